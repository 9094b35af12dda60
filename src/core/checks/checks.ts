/** Checks: `checksOf(plan)` asks of the folded shape what a maker would ask, each answer with what would mend it. */
import type { Facts, RefusalCode } from '../constructions';
import { isGiven } from '../design';
import type { Plan } from '../plan';
import { check, curesFor, type Check, type Remedy } from './check';
import { claimChecks } from './claims';
import { enoughToDraw } from './enough';
import { fitChecks } from './fit';
import { foldChecks } from './fold';
import { closureChecks, glueChecks } from './glue';
import { kitChecks } from './kit';
import { layerChecks } from './layers';
import { leastChecks } from './least';
import { paperChecks, printChecks } from './paper';
import { toolChecks } from './tool';

export type { Check, CheckOf, Level, PlanFacts, Remedy } from './check';

/** Everything asked of a plan, in the order a maker would ask. */
export function checksOf(plan: Plan): Check[] {
  if (!plan.made) return [refused(plan)];
  const { made, design } = plan;
  // What nobody makes is neither cut nor scored: its paper and its tool ask nothing.
  const cut = !isGiven(design.construction.name);
  return [
    ...fitChecks(plan, made),
    ...foldChecks(plan, made),
    ...(cut ? leastChecks(plan, made) : []),
    ...claimChecks('standing', design, made),
    ...glueChecks(plan, made),
    ...closureChecks(plan, made),
    ...layerChecks(plan, made),
    ...(cut ? paperChecks(plan, made) : []),
    ...printChecks(plan, made),
    ...(cut ? [...toolChecks(plan, made), ...kitChecks(plan, made)] : []),
  ];
}

/** The one check of a design without a pattern: what stands in the way, and what would do. */
function refused({ refusal, design }: Plan): Check {
  const { code, value, limit, about = {} } = refusal!;
  const cures = curesFor(design, code, limit, about.id);
  const stands = (more: object, remedies: readonly Remedy[]): Check =>
    check(code, 'fail', value, limit, { ...about, ...more } as Facts[RefusalCode], [...remedies, ...cures]);
  const { blank } = design;
  if (code === 'blank-not-square' && blank)
    return stands({}, [
      {
        code: 'square_blank',
        side: limit,
        change: { blank: { width: limit, height: limit }, paper: { ...design.paper, ...blank } },
      },
    ]);
  const enough = code === 'part-too-small' || code === 'contents-too-small' ? enoughToDraw(design) : null;
  if (!enough) return stands({}, []);
  const { of, side, to } = enough;
  return stands({ of: of === 'blank' ? 'a sheet' : 'contents', side, would: to }, [
    { code: 'larger', of, side, to, change: { [of]: { ...design[of], [side]: to } } },
  ]);
}
