/** The way through a make of a set of one part: as many copies, together or one by one. */
import fc from 'fast-check';
import { contentsFirst } from '../../../tests/helpers/designs';
import { runs } from '../../../tests/helpers/runs';
import { CONSTRUCTIONS } from '../constructions';
import { sayer } from '../length';
import { stepsOf } from '../making';
import type { DesignInput } from '../design';
import { planSet, readSet, setOf, setsDone, walkOf, withOwnWays, type SetPlan } from '.';

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

describe('a copy that goes its own way', () => {
  const plan = card();
  const planned = plan.parts[0]!.plan;
  const steps = stepsOf(planned, say);
  const walk = walkOf(plan, say, 3, 'together');
  const flat = steps.filter(({ phase }) => phase === 'flat').length;
  const other = card({ graduation: '1/16 in' }).parts[0]!.plan;
  const own = stepsOf(other, say);
  /** Taken while the second sheet lies in the board. */
  const at = 1 + flat + 1;
  const taken = withOwnWays(walk, plan, say, [{ part: 'part-1', copy: 2, at, plan: other }]);

  test('what is behind stays; its own steps come at once, its folds where it was folded; the others are made as before', () => {
    expect(taken.slice(0, at)).toEqual(walk.slice(0, at));
    const mine = taken.slice(at).filter(({ copies }) => copies.includes(2));
    expect(mine.map(({ step }) => step.text)).toEqual(own.map(({ text }) => text));
    expect(mine.every((stop) => stop.own?.plan === other)).toBe(true);
    expect(taken[at]!.step.phase).toBe('cut');
    for (const copy of [1, 3])
      expect(taken.filter(({ copies }) => copies.includes(copy))).toEqual(
        walk.filter(({ copies }) => copies.includes(copy)),
      );
    // The folds of the first copy come before its own, those of the third after.
    const fold = (copy: number): number =>
      taken.findIndex(({ copies, step }) => copies.includes(copy) && step.phase === 'fold');
    expect(fold(1)).toBeLessThan(fold(2));
    expect(fold(2)).toBeLessThan(fold(3));
    expect(setsDone(plan, taken, taken.length)).toBe(3);
    expect(setsDone(plan, taken, taken.length - 1)).toBe(2);
  });

  test('taken before all are cut, the others are still cut in one go', () => {
    const early = withOwnWays(walk, plan, say, [{ part: 'part-1', copy: 2, at: 0, plan: other }]);
    const cuts = early.filter(({ step }) => step.phase === 'cut').map(({ copies }) => copies);
    expect(cuts).toEqual([[2], [1, 3]]);
  });

  test('one taken after the other for the same copy: the last counts; one without a pattern changes nothing', () => {
    const twice = withOwnWays(walk, plan, say, [
      { part: 'part-1', copy: 2, at, plan: other },
      { part: 'part-1', copy: 2, at, plan: planned },
    ]);
    expect(twice.filter(({ own: one }) => one).every(({ own: one }) => one!.plan === planned)).toBe(true);
    expect(setsDone(plan, twice, twice.length)).toBe(3);
    const none = { design: other.design, made: null, refusal: { code: 'holes-touch', value: 0, limit: 0 } } as never;
    expect(withOwnWays(walk, plan, say, [{ part: 'part-1', copy: 2, at, plan: none }])).toEqual(walk);
    expect(withOwnWays(walk, plan, say, [{ part: 'no part', copy: 2, at, plan: other }])).toEqual(walk);
  });
});
