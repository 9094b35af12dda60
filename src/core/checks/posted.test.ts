/** A plan handed from one thread to another is the same plan. */
import fc from 'fast-check';
import { contentsFirst, planOf } from '../../../tests/helpers/designs';
import { runs } from '../../../tests/helpers/runs';
import { CONSTRUCTIONS } from '../constructions';
import { checksOf } from './checks';
import { keyFigures } from '../looks';
import { planDocument } from '../document';
import { postPlan, receivePlan } from './posted';
import type { Plan } from '../plan';

/** Through the same copying that a message takes. */
const handed = (plan: Plan) => receivePlan(structuredClone(postPlan(plan, checksOf(plan))));

test.each(CONSTRUCTIONS.map((construction) => [construction.name, construction] as const))(
  '%s: handed over, it says the same',
  (_, construction) => {
    fc.assert(
      fc.property(contentsFirst(construction), (input) => {
        const plan = planOf(input);
        const { plan: other, checks } = handed(plan);
        expect(checks).toEqual(checksOf(plan));
        expect(planDocument(other)).toEqual(planDocument(plan));
        if (!plan.made) return expect(other.made).toBeNull();
        expect(keyFigures(other.made!, other.design)).toEqual(keyFigures(plan.made, plan.design));
        expect(other.made!.holds.map(({ inside }) => inside)).toEqual(plan.made.holds.map(({ inside }) => inside));
        // Opened once, when first asked for.
        expect(other.made!.holds).toBe(other.made!.holds);
      }),
      runs(4),
    );
  },
);

test('a holder that is not known here is not taken for another', () => {
  const plan = planOf({ version: 1, construction: 'mat', contents: { width: 80, height: 60 } });
  const posted = postPlan(plan, []);
  expect(() => receivePlan({ ...posted, design: { ...posted.design, construction: 'loom' } })).toThrow(/loom/);
});
