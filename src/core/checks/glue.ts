import { mm, roundTo } from '../length';
import { closurePlan, type ClosurePlan, glueAdvice, type Made, type Plan } from '../plan';
import type { DesignChange, Design } from '../design';
import { check, type Check, type Remedy } from './check';

/** Whether what is chosen to glue with suits its areas. */
export function glueChecks({ design }: Plan, made: Made): Check[] {
  return glueAdvice(made, design)
    .filter(({ trouble }) => trouble !== null)
    .map(({ step, chosen, breadth, tape, margin, trouble }) => {
      const joins = (kind: 'wet-glue' | 'tape'): DesignChange['adhesive'] => ({
        ...design.adhesive,
        joins: { ...design.adhesive.joins, [step]: kind },
      });
      const remedies: Remedy[] =
        trouble === 'too_narrow' && tape !== null && chosen === 'tape'
          ? [{ code: 'narrower_tape', width: tape, change: { adhesive: { ...design.adhesive, tape } } }]
          : trouble === 'creeps'
            ? tape === null
              ? []
              : [{ code: 'narrower_tape', width: tape, change: { adhesive: { ...joins('tape'), tape } } }]
            : [{ code: 'wet_glue', change: { adhesive: joins('wet-glue') } }];
      return check(
        'glue',
        trouble === 'creeps' ? 'note' : 'warn',
        breadth,
        margin,
        { trouble: trouble!, chosen, tape: tape ?? 0 },
        remedies,
        step,
      );
    });
}

/** Whether what shuts it has something to hold. */
export function closureChecks({ design }: Plan, made: Made): Check[] {
  const plan = closurePlan(made, design);
  if (!plan) return [];
  return [
    check(
      'closure',
      plan.trouble === 'disc_off_flap' ? 'fail' : plan.trouble ? 'warn' : 'pass',
      plan.length,
      plan.least,
      { kind: plan.kind, trouble: plan.trouble, apart: plan.apart },
      plan.trouble ? closureRemedies(design, plan) : [],
    ),
  ];
}

/** Discs smaller than this are hard to wind a cord round, mm. From memory. */
const LEAST_DISC = 9;

/** What makers do where discs would meet: move one, cut both along one line, take smaller ones, or do without. */
function closureRemedies({ closure }: Design, { trouble, apart, least, clear }: ClosurePlan): Remedy[] {
  const none: Remedy = { code: 'no_closure', change: { closure: { kind: 'none' } } };
  if (trouble !== 'discs_overlap') return [none];
  const smaller = roundTo(mm(closure.disc - (least - apart)), '1/16 in', 'down');
  return [
    ...(clear !== null && closure.fromTip !== undefined
      ? [{ code: 'move_disc', to: clear, change: { closure: { ...closure, otherFromTip: clear } } } as const]
      : []),
    ...(closure.cut ? [] : [{ code: 'cut_discs', change: { closure: { ...closure, cut: true } } } as const]),
    ...(smaller >= LEAST_DISC
      ? [{ code: 'smaller_discs', to: smaller, change: { closure: { ...closure, disc: smaller } } } as const]
      : []),
    none,
  ];
}
