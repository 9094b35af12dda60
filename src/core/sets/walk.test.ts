/** The way through a make of a set of one part: as many copies, together or one by one. */
import fc from 'fast-check';
import { contentsFirst } from '../../../tests/helpers/designs';
import { laidFirst } from '../../../tests/helpers/laid';
import { runs } from '../../../tests/helpers/runs';
import { CONSTRUCTIONS } from '../constructions';
import { sayer } from '../length';
import { stepsOf } from '../making';
import type { DesignInput } from '../design';
import {
  copiesSaid,
  minutesOf,
  paceOf,
  planSet,
  readSet,
  setOf,
  setsDone,
  stepsAt,
  stopWords,
  walkOf,
  withOwnWays,
  type SetPlan,
  type Stop,
} from '.';

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
    for (const way of ['by-setting', 'trial-first', 'together', 'one-by-one'] as const)
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

  test('six by setting: each step once for all, punched and scored where they lie, turned as a pile, glued and joined one by one', () => {
    const walk = walkOf(card(), say, 6, 'by-setting');
    const told = walk.map((stop) => stepsAt(stop).map(({ action }) => action));
    expect(told).toEqual([
      ['cut'],
      ['punch', 'score', 'turn'],
      ['punch', 'score', 'turn'],
      ['punch', 'score', 'turn'],
      ['punch', 'score'],
      ['trim'],
      ['fold'],
      ['glue', 'fold'],
      ['insert', 'close'],
    ]);
    for (const { copies } of walk) expect(copies).toEqual([1, 2, 3, 4, 5, 6]);
    const glue = walk[7]!;
    expect(stopWords(glue, 6)).toMatchObject({
      who: 'All 6, one by one',
      actions: ['glue', 'fold'],
      text: expect.stringMatching(/^Glue the bottom flap/),
      follows: [expect.stringMatching(/^Fold the bottom flap/)],
      rhythm:
        'Glue one and join it, lay it by, then take the next. All 6 lie under the book; the last comes out after 10 minutes.',
    });
    // Six at once take longer than one, and less than six times one.
    const [one, six] = [1, 6].map((copies) => minutesOf(walkOf(card(), say, copies, 'by-setting')));
    expect(six).toBeGreaterThan(2 * one!);
    expect(six).toBeLessThan(6 * one!);
  });

  test('how a pile is laid down is told before what is done to it, and a book made page by page is told page by page', () => {
    const packet = alone({
      version: 1,
      construction: 'packet',
      contents: { width: '3 in', height: '4 in' },
      tool: { kind: 'ruler' },
    });
    const laid = walkOf(packet, say, 4, 'by-setting').find(({ first }) => first !== undefined)!;
    expect(stopWords(laid, 4)).toMatchObject({
      who: 'All 4',
      actions: ['mark'],
      first: [expect.stringMatching(/^Lay the sheet down with edge 2/)],
      text: expect.stringMatching(/^Back: with edge 2 near you, mark/),
      follows: [expect.stringMatching(/^Turn the sheet/)],
    });
    const album = (order: string): readonly Stop[] =>
      walkOf(
        alone({ version: 1, construction: 'flap-album', contents: { width: '4 in', height: '6 in' }, order }),
        say,
        3,
        'by-setting',
      ).filter(({ step }) => step.phase === 'fold');
    expect(album('by-piece').length).toBeGreaterThan(0);
    expect(album('by-piece').every(({ copies, follows }) => copies.length === 1 && !follows)).toBe(true);
    expect(album('by-operation').every(({ copies }) => copies.length === 3)).toBe(true);
  });

  test('of many that dry under a book ten lie there at once, and the first is dry or it is waited for', () => {
    const glue = (copies: number): string | null => {
      const walk = walkOf(card(), say, copies, 'by-setting');
      return stopWords(
        walk.find(({ step }) => step.action === 'glue')!,
        copies,
      ).rhythm;
    };
    // Ten take a little over eight minutes.
    expect(glue(12)).toContain('Ten lie under the book at once, each for 10 minutes');
    expect(glue(2)).toContain('All 2 lie under the book');
    const taped = walkOf(card({ adhesive: { all: 'tape' } }), say, 12, 'by-setting');
    expect(
      stopWords(
        taped.find(({ step }) => step.action === 'glue')!,
        12,
      ).rhythm,
    ).toBe('Glue one and join it, then take the next.');
  });

  test('one first: a set is made to its end, step by step, before the others are cut', () => {
    const plan = card();
    const steps = stepsOf(plan.parts[0]!.plan, say);
    const walk = walkOf(plan, say, 6, 'trial-first');
    expect(walk.slice(0, steps.length)).toEqual(steps.map((step) => ({ part: 'part-1', step, copies: [1] })));
    expect(walk.slice(steps.length).every(({ copies }) => copies.length === 5 && copies[0] === 2)).toBe(true);
    expect(setsDone(plan, walk, steps.length)).toBe(1);
    expect(setsDone(plan, walk, walk.length - 1)).toBe(1);
  });

  test('copies are told as one says them', () => {
    expect(copiesSaid([1, 2], 2)).toBe('Both');
    expect(copiesSaid([1, 2, 3], 3)).toBe('All 3');
    expect(copiesSaid([2, 3, 4, 5, 6], 6)).toBe('Copies 2 to 6');
    expect(copiesSaid([2, 5], 6)).toBe('Copies 2 and 5');
    expect(copiesSaid([4], 6)).toBe('Copy 4');
  });

  test('a pace is learned from what was finished; one small make says little, one that cannot be says nothing', () => {
    expect(paceOf([])).toBe(1);
    expect(paceOf([{ took: 120, usual: 60 }])).toBe(1.5);
    expect(paceOf([{ took: 2, usual: 1 }])).toBeCloseTo(62 / 61);
    expect(
      paceOf([
        { took: 600, usual: 60 },
        { took: 1, usual: 0 },
      ]),
    ).toBe(1);
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
          fc.constantFrom(...(['by-setting', 'trial-first', 'together', 'one-by-one'] as const)),
          (input, copies, way) => {
            const plan = alone(input);
            fc.pre(plan.parts[0]!.plan.made !== null);
            spoke++;
            const steps = stepsOf(plan.parts[0]!.plan, say);
            const walk = walkOf(plan, say, copies, way);
            const order = { cut: 0, flat: 1, fold: 2 };
            for (let copy = 1; copy <= copies; copy++) {
              const own = walk.filter((stop) => stop.copies.includes(copy)).flatMap(stepsAt);
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
            if (way !== 'by-setting') return;
            // Nothing is set twice, and what was glued is joined before the next is glued.
            const told = walk.flatMap((stop) => stepsAt(stop).map(({ id }) => id));
            expect(new Set(told).size).toBe(told.length);
            for (const stop of walk) {
              const { glue, id } = stop.step;
              if (glue === undefined) continue;
              const joined = steps.find(({ joins }) => joins === glue);
              if (joined && joined.id - id <= 2) expect(stepsAt(stop)).toContainEqual(joined);
            }
          },
        ),
        runs(4),
      );
      expect(spoke).toBeGreaterThan(0);
    },
  );
});

describe('something done again', () => {
  const plan = card();
  const walk = walkOf(plan, say, 6, 'by-setting');
  const texts = (stops: readonly Stop[]): readonly string[] => stops.map(({ step }) => step.text);

  test('the last stop, for some of the copies: it comes once more for these, and they go on with the others', () => {
    const again = withOwnWays(walk, plan, say, [{ part: 'part-1', copies: [2, 5], at: 3, from: 2 }]);
    expect(again.slice(0, 3)).toEqual(walk.slice(0, 3));
    expect(again[3]).toEqual({ ...walk[2], copies: [2, 5], again: true });
    expect(again.slice(4)).toEqual(walk.slice(3));
    expect(stopWords(again[3]!, 6).who).toBe('Copies 2 and 5, again');
    expect(setsDone(plan, again, again.length)).toBe(6);
    // One of the two is still not right.
    const more = withOwnWays(again, plan, say, [{ part: 'part-1', copies: [5], at: 4, from: 3 }]);
    expect(more[4]).toEqual({ ...walk[2], copies: [5], again: true });
    expect(more.slice(5)).toEqual(again.slice(4));
  });

  test('a copy of a new sheet: all that is behind comes once more for it, of the one piece that went wrong', () => {
    const anew = withOwnWays(walk, plan, say, [{ part: 'part-1', copies: [4], at: 5, from: 0, piece: 'envelope' }]);
    expect(texts(anew.slice(5, 10))).toEqual(texts(walk.slice(0, 5)));
    expect(anew.slice(5, 10).every(({ copies }) => copies.length === 1 && copies[0] === 4)).toBe(true);
    expect(anew.slice(10)).toEqual(walk.slice(5));
    const other = withOwnWays(walk, plan, say, [{ part: 'part-1', copies: [4], at: 5, from: 0, piece: 'lid' }]);
    expect(other).toEqual(walk);
    // Asked for twice, what was done again is not doubled.
    const twice = withOwnWays(walk, plan, say, [
      { part: 'part-1', copies: [4], at: 2, from: 0 },
      { part: 'part-1', copies: [4], at: 6, from: 0 },
    ]);
    expect(texts(twice.slice(6, 6 + 4))).toEqual(texts([...walk.slice(0, 2), ...walk.slice(2, 4)]));
  });
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

describe('sheets cut as they were laid out', () => {
  test('cut as the sheets are laid out: whole sheets setting by setting, no blank by itself, and the rest as it was', () => {
    const plan = card();
    const plain = walkOf(plan, say, 6, 'by-setting');
    const walk = walkOf(plan, say, 6, 'by-setting', laidFirst(plan, 6));
    const sheets = walk.filter((stop) => stop.sheets);
    // Six squares of 6 in, four from a sheet: the fence stays where it is.
    expect(sheets.map(({ step }) => step.text)).toEqual([
      'Fence at 6 in. Cut 1 sheet of “Paper”, its left edge at the fence. Each half: a strip with 2 pieces. Cut 1 sheet of “Paper”, its left edge at the fence. At the fence: a strip with 2 pieces; beyond it: an offcut to keep. Cut 3 parts, 6 in × 12 in, each with its near edge at the fence. Each half: “envelope”.',
    ]);
    expect(sheets[0]!.step.how).toBe(
      'Write its name on each piece. Number all their edges in pencil on the inside: 1 near you, 2 on the right, 3 far, 4 on the left.',
    );
    expect(stopWords(sheets[0]!, 6).who).toBeNull();
    expect(walk.slice(sheets.length)).toEqual(plain.slice(1));
    expect(setsDone(plan, walk, walk.length)).toBe(6);
    // Five cuts at one setting.
    expect(minutesOf(sheets)).toBeCloseTo(0.5 * (1 + 0.5 * 4));
  });

  test('what is cut already is laid ready once, whichever way of work; a trial is cut by itself', () => {
    const plan = card();
    const cut = laidFirst(plan, 6, true);
    for (const way of ['by-setting', 'trial-first', 'one-by-one'] as const) {
      const walk = walkOf(plan, say, 6, way, cut);
      expect(walk[0]!.step.text).toBe('Lay ready what is cut: 6 × “envelope”, from 2 sheets.');
      expect(walk.slice(1).some(({ step }) => step.phase === 'cut')).toBe(false);
    }
    const trial = walkOf(plan, say, 6, 'trial-first', laidFirst(plan, 5));
    expect(
      trial.filter(({ step }) => step.phase === 'cut').map(({ sheets, copies }) => [sheets !== undefined, copies]),
    ).toEqual([
      [false, [1]],
      [true, []],
    ]);
    expect(walkOf(plan, say, 6, 'one-by-one', laidFirst(plan, 6)).some(({ sheets }) => sheets)).toBe(false);
  });

  test('sheets that were laid for another size, or for fewer, are not counted on', () => {
    const [plan, larger] = [card(), card({ contents: { width: '3 1/2 in', height: '4 in' } })];
    const plain = walkOf(larger, say, 6, 'by-setting');
    expect(walkOf(larger, say, 6, 'by-setting', laidFirst(plan, 6))).toEqual(plain);
    expect(walkOf(larger, say, 6, 'by-setting', laidFirst(larger, 5))).toEqual(plain);
    const small = laidFirst(larger, 6).map((paper) => ({
      ...paper,
      layout: { ...paper.layout, unplaced: [{ piece: 'envelope', quantity: 1, why: '' }] },
    }));
    expect(
      walkOf(larger, say, 6, 'by-setting', small).some(({ step, sheets }) => step.phase === 'cut' && !sheets),
    ).toBe(true);
  });

  test('a copy that is made anew has its blank cut by itself, where the first came from whole sheets', () => {
    const plan = card();
    const walk = walkOf(plan, say, 6, 'by-setting', laidFirst(plan, 6));
    const anew = withOwnWays(walk, plan, say, [{ part: 'part-1', copies: [3], at: 4, from: 0 }]);
    expect(anew.slice(4, 8).map(({ step, copies, again }) => [step.action, copies, again])).toEqual([
      ['cut', [3], true],
      ['punch', [3], true],
      ['punch', [3], true],
      ['punch', [3], true],
    ]);
  });

  test('of every set each blank is cut from sheets once, and each operation of each copy is told once', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...CONSTRUCTIONS).chain(contentsFirst),
        fc.integer({ min: 2, max: 5 }),
        (input, copies) => {
          const plan = alone(input);
          if (!plan.parts[0]!.plan.made) return;
          const laid = laidFirst(plan, copies);
          // Where not everything finds a place each blank is cut by itself.
          const whole = laid.filter(({ layout }) => layout.unplaced.length === 0);
          const told = (walk: readonly Stop[]): string[] =>
            walk
              .filter(({ sheets }) => !sheets)
              .flatMap((stop) => stepsAt(stop).flatMap(({ id }) => stop.copies.map((copy) => `${id} ${copy}`)))
              .sort();
          const [plain, walk] = [
            walkOf(plan, say, copies, 'by-setting'),
            walkOf(plan, say, copies, 'by-setting', laid),
          ];
          const cuts = walk.flatMap(({ sheets }) => sheets?.group?.cuts ?? []);
          expect(cuts.length).toBe(
            whole.reduce((sum, { layout }) => sum + layout.sheets.flatMap((sheet) => sheet.cuts).length, 0),
          );
          // No setting twice where once would do.
          const groups = walk.flatMap(({ sheets }) => sheets?.group ?? []);
          groups.slice(1).forEach((group, at) => {
            if (
              walk.filter(({ sheets }) => sheets)[at]!.sheets!.paper ===
              walk.filter(({ sheets }) => sheets)[at + 1]!.sheets!.paper
            )
              expect(group.setting).not.toBeCloseTo(groups[at]!.setting, 3);
          });
          if (whole.length === 0) expect(walk).toEqual(plain);
          if (whole.length === laid.length) {
            const cut = new Set(
              plain
                .filter(({ step }) => step.phase === 'cut' && step.action === 'cut')
                .flatMap((stop) => stepsAt(stop).map(({ id }) => id)),
            );
            expect(told(walk)).toEqual(told(plain).filter((one) => !cut.has(Number(one.split(' ')[0]))));
          }
        },
      ),
      runs(20),
    );
  });
});
