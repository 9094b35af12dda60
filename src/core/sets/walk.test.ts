/** The way through a make of a set of one part: as many copies, together or one by one. */
import fc from 'fast-check';
import { contentsFirst } from '../../../tests/helpers/designs';
import { runs } from '../../../tests/helpers/runs';
import { CONSTRUCTIONS } from '../constructions';
import { sayer } from '../length';
import { stepsOf, type DesignInput } from '../plan';
import { planSet, readSet, setOf, setsDone, walkOf, type SetPlan } from '.';

const say = sayer('in', '1/8 in');
const alone = (input: unknown): SetPlan => {
  const read = readSet(setOf(input as DesignInput));
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  return planSet(read.set);
};
const card = (fields: object = {}): SetPlan =>
  alone({ version: 1, construction: 'diagonal-envelope', contents: { width: '3 in', height: '4 in' }, ...fields });
describe('the way through a make', () => {
  test('one copy goes step by step, whichever way of work', () => {
    const plan = card();
    const steps = stepsOf(plan.parts[0]!.plan, say);
    for (const way of ['together', 'one-by-one'] as const)
      expect(walkOf(plan, say, 1, way)).toEqual(steps.map((step) => ({ part: 'part-1', step, copies: [1] })));
  });

  test('six together: one stop to cut all, then sheet by sheet round the board, then fold by fold', () => {
    const plan = card();
    const steps = stepsOf(plan.parts[0]!.plan, say);
    const flat = steps.filter(({ phase }) => phase === 'flat').length;
    const walk = walkOf(plan, say, 6, 'together');
    expect(walk[0]).toMatchObject({ step: { action: 'cut' }, copies: [1, 2, 3, 4, 5, 6] });
    expect(walk.slice(1, 1 + flat).every(({ copies }) => copies[0] === 1)).toBe(true);
    expect(walk[1 + flat]!.copies).toEqual([2]);
    expect(walk.filter(({ step }) => step.phase === 'fold')[0]).toBe(walk[1 + 6 * flat]);
    expect(walk.length).toBe(1 + 6 * (steps.length - 1));
  });

  test('one after the other: the first is finished before the second is cut', () => {
    const plan = card();
    const steps = stepsOf(plan.parts[0]!.plan, say);
    const walk = walkOf(plan, say, 3, 'one-by-one');
    expect(walk.map(({ copies }) => copies[0])).toEqual([1, 2, 3].flatMap((copy) => steps.map(() => copy)));
    expect(setsDone(plan, walk, steps.length - 1)).toBe(0);
    expect(setsDone(plan, walk, steps.length)).toBe(1);
    expect(setsDone(plan, walk, walk.length)).toBe(3);
  });

  test('of a batch nothing is finished until the folding', () => {
    const plan = card();
    const steps = stepsOf(plan.parts[0]!.plan, say);
    const walk = walkOf(plan, say, 6, 'together');
    const folds = steps.filter(({ phase }) => phase === 'fold').length;
    expect(setsDone(plan, walk, walk.length - 6 * folds)).toBe(0);
    expect(setsDone(plan, walk, walk.length - folds)).toBe(5);
  });

  test.each(CONSTRUCTIONS.map((c) => [c.name, c] as const))(
    '%s: every step is done once for every copy, and for each copy cutting comes before flat work before folding',
    (_name, construction) => {
      let spoke = 0;
      fc.assert(
        fc.property(
          contentsFirst(construction),
          fc.integer({ min: 2, max: 5 }),
          fc.constantFrom('together' as const, 'one-by-one' as const),
          (input, copies, way) => {
            const plan = alone(input);
            fc.pre(plan.parts[0]!.plan.made !== null);
            spoke++;
            const steps = stepsOf(plan.parts[0]!.plan, say);
            const walk = walkOf(plan, say, copies, way);
            const order = { cut: 0, flat: 1, fold: 2 };
            for (let copy = 1; copy <= copies; copy++) {
              const own = walk.filter((stop) => stop.copies.includes(copy)).map(({ step }) => step);
              expect([...own].sort((a, b) => a.id - b.id)).toEqual(steps);
              for (const piece of new Set(steps.map((s) => s.piece))) {
                const phases = own.filter((s) => s.piece === piece && s.phase !== 'fold').map((s) => order[s.phase]);
                expect(phases).toEqual([...phases].sort());
              }
              // Within one kind of work the order told by the plan is kept.
              for (const phase of ['cut', 'flat', 'fold'])
                expect(own.filter((s) => s.phase === phase)).toEqual(steps.filter((s) => s.phase === phase));
            }
            expect(setsDone(plan, walk, walk.length)).toBe(copies);
          },
        ),
        runs(4),
      );
      expect(spoke).toBeGreaterThan(0);
    },
  );
});
