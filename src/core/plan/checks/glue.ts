import { closurePlan } from '../work/closures';
import { glueAdvice } from '../work/glue';
import type { Made, Plan } from '../plan';
import type { DesignChange } from '../design/change';
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
      plan.trouble ? 'warn' : 'pass',
      plan.length,
      plan.least,
      { kind: plan.kind, trouble: plan.trouble },
      plan.trouble ? [{ code: 'no_closure', change: { closure: { kind: 'none' } } }] : [],
    ),
  ];
}
