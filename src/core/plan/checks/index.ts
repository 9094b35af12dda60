/** Checks: `checksOf(plan)` asks of the folded shape what a maker would ask, each answer with what would mend it. */
import type { Plan } from '../plan';
import { boxChecks } from './box';
import { check, curesFor, type Check } from './check';
import { enoughToDraw } from './enough';
import { fitChecks } from './fit';
import { foldChecks } from './fold';
import { closureChecks, glueChecks } from './glue';
import { kitChecks } from './kit';
import { paperChecks, printChecks } from './paper';
import { toolChecks } from './tool';

export type { Check, DesignChange, Level, Remedy } from './check';

/** Everything asked of a plan, in the order a maker would ask. */
export function checksOf(plan: Plan): Check[] {
  if (!plan.made) return [refused(plan)];
  const { made } = plan;
  return [
    ...fitChecks(plan, made),
    ...foldChecks(plan, made),
    ...boxChecks(plan, made),
    ...glueChecks(plan, made),
    ...closureChecks(plan, made),
    ...paperChecks(plan, made),
    ...printChecks(plan, made),
    ...toolChecks(plan, made),
    ...kitChecks(plan, made),
  ];
}

/** The one check of a design without a pattern: what stands in the way, and what would do. */
function refused({ refusal, design }: Plan): Check {
  const { code, value, limit, about = {} } = refusal!;
  const id = code.replaceAll('_', '-');
  const cures = curesFor(design, code, limit, about.part);
  const { blank } = design;
  if (code === 'blank_not_square' && blank)
    return check(id, 'fail', value, limit, about, [
      {
        code: 'square_blank',
        side: limit,
        change: { blank: { width: limit, height: limit }, paper: { ...design.paper, ...blank } },
      },
      ...cures,
    ]);
  const enough = code === 'part_too_small' || code === 'contents_too_small' ? enoughToDraw(design) : null;
  if (!enough) return check(id, 'fail', value, limit, about, cures);
  const { of, side, to } = enough;
  const words = { ...about, of: of === 'blank' ? 'a sheet' : 'contents', side, would: to };
  return check(id, 'fail', value, limit, words, [
    { code: 'larger', of, side, to, change: { [of]: { ...design[of], [side]: to } } },
    ...cures,
  ]);
}
