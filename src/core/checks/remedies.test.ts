/** Every remedy that is offered was tried: it can be read, it helps, nothing gets worse, and following them ends. */
import fc from 'fast-check';
import { contentsFirst, paperFirst, planOf } from '../../../tests/helpers/designs';
import { runs } from '../../../tests/helpers/runs';
import { CONSTRUCTIONS } from '../constructions';
import { inches, mm, sayer } from '../length';
import { changedDesign, inputOf, readDesign, type DesignInput } from '../design';
import { checksOf } from './checks';
import { planFor, type Plan } from '../plan';
import { remediesTried } from './remedies';
import { remedyLabel } from './words';
import type { Check } from './check';

const say = sayer('in', '1/8 in');
const failsOf = (checks: readonly Check[]): ReadonlyMap<string, number> =>
  new Map(checks.flatMap(({ id, level, value, limit }) => (level === 'fail' ? [[id, Math.abs(value - limit)]] : [])));
const tried = (input: object) => remediesTried(planOf({ version: 1, ...input }));
const labels = (input: object, id: string): string[] =>
  (tried(input).find((check) => check.id === id)?.remedies ?? []).map((remedy) => remedyLabel(remedy, say));

/** Follows the first remedy of the first fault, as long as there is one. */
function follow(first: DesignInput, most: number): { readonly plan: Plan; readonly seen: readonly string[] } {
  let input = first;
  const seen: string[] = [];
  for (let step = 0; ; step++) {
    seen.push(JSON.stringify(input));
    const read = readDesign(input);
    if (!read.ok) throw new Error(`${JSON.stringify(input)}: ${JSON.stringify(read.issues)}`);
    const plan = planFor(read.design);
    const [remedy] =
      remediesTried(plan).find(({ level, remedies }) => level === 'fail' && remedies.length > 0)?.remedies ?? [];
    if (!remedy || step === most) return { plan, seen };
    input = changedDesign(input, remedy.change);
  }
}

describe.each(CONSTRUCTIONS.map((c) => [c.name, c] as const))('%s', (_, construction) => {
  test('each remedy can be read, takes its fault away or lessens it, and makes no other', () => {
    fc.assert(
      fc.property(fc.oneof(contentsFirst(construction), paperFirst(construction)), (input) => {
        const plan = planOf(input);
        const before = failsOf(checksOf(plan));
        for (const { id, level, remedies } of remediesTried(plan)) {
          if (level === 'pass') expect(remedies).toEqual([]);
          expect(remedies.length).toBeLessThanOrEqual(3);
          for (const { change } of remedies) {
            const read = readDesign(changedDesign(input, change));
            expect(read.ok ? [] : read.issues).toEqual([]);
            if (!read.ok) continue;
            const next = planFor(read.design);
            expect(next.made).not.toBeNull();
            const after = failsOf(checksOf(next));
            for (const [other, by] of after)
              expect([other, by <= (plan.made ? (before.get(other) ?? -1) : -1) + 1e-6]).toEqual([other, true]);
            if (level === 'fail') expect(after.get(id) ?? -1).toBeLessThan(before.get(id)!);
          }
        }
      }),
      runs(5),
    );
  });

  test('following them never comes round to where it was, and ends', () => {
    fc.assert(
      fc.property(fc.oneof(contentsFirst(construction), paperFirst(construction)), (input) => {
        const { seen } = follow(input, 8);
        expect(new Set(seen).size).toBe(seen.length);
        expect(seen.length).toBeLessThan(9);
      }),
      runs(5),
    );
  });
});

describe('in the order a maker would rather have it', () => {
  const card = { width: '3 in', height: '4 in' };

  test('a paper that is not owned comes last and is called that; one that is owned before', () => {
    const design = { construction: 'diagonal-envelope', contents: card, paper: { width: '5 in', height: '5 in' } };
    expect(labels(design, 'paper').at(-1)).toBe('Get 6 in square');
    const owned = [
      { name: 'night card', width: mm(210), height: mm(297), caliper: mm(0.2), sided: 2 as const, directional: false },
    ];
    const checks = remediesTried(planOf({ version: 1, ...design }), owned);
    const paper = checks.find(({ id }) => id === 'paper')!.remedies.map((remedy) => remedyLabel(remedy, say));
    expect(paper).toContain('Use your night card');
    expect(paper.indexOf('Use your night card')).toBeLessThan(paper.indexOf('Get 6 in square') >>> 0);
  });

  test('finer marks first, where they alone do', () => {
    // On eighths the setting that suits misses by less than a sixteenth.
    const sheet = { construction: 'diagonal-envelope', blank: { width: '6 in', height: '6 in' } };
    const found = [...Array(15).keys()]
      .map((i) => tried({ ...sheet, contents: { width: 60 + 2 * i, height: 126.5 - 2 * i } }))
      .flatMap((checks) => checks.filter(({ id }) => id === 'room-width' || id === 'room-height'))
      .map(({ remedies }) => remedies.map((remedy) => remedyLabel(remedy, say)))
      .filter((all) => all.includes('Size it on marks of 1/16 in'));
    expect(found.length).toBeGreaterThan(0);
    for (const [first] of found) expect(first).toBe('Size it on marks of 1/16 in');
  });

  test('on a given sheet the parts that only hold give way to the contents, down to what still holds', () => {
    // 6 in square, lap 1/2: 2 3/4 in wide (common practice); a card of 2 13/16 wants the lap a little less.
    const design = {
      construction: 'seam-envelope',
      blank: { width: '6 in', height: '6 in' },
      contents: { width: '2 13/16 in', height: '3 1/2 in' },
      options: { seam: 'even' },
    };
    // Nobody told the lap: it gives way by itself, as far as it takes, and that is said.
    const plan = planOf({ version: 1, ...design });
    expect(checksOf(plan).filter(({ level }) => level === 'fail')).toEqual([]);
    expect(checksOf(plan).find(({ id }) => id === 'gave-way-lap')).toMatchObject({
      level: 'note',
      limit: inches(1 / 2),
    });
    expect((plan.design.options as { lap: number }).lap).toBeGreaterThanOrEqual(inches(1 / 4));
    // Told, it stays, and the remedy takes it back.
    const told = { ...design, options: { seam: 'even', lap: '1/2 in' } };
    expect(labels(told, 'room-width')).toContain('Make “Lap of the seam” only 1/4 in');
  });

  test('a lump in an envelope is offered another holder that takes it', () => {
    const lump = { construction: 'seam-envelope', contents: { ...card, thickness: '3/4 in' } };
    expect(labels(lump, 'thick-contents')).toEqual(['Make this instead: Tray box with a lid']);
  });

  test('more pleats are more, and never fewer', () => {
    const stack = { construction: 'accordion-pocket', contents: { ...card, thickness: '2 in' } };
    const [remedy] = tried(stack).find(({ id }) => id === 'gusset')!.remedies;
    expect((remedy!.change.options as { pleats: number }).pleats).toBe(5);
    expect(tried({ ...stack, options: { pleats: 5 } }).find(({ id }) => id === 'gusset')!.level).toBe('pass');
    // With as many as there can be only broader ones help.
    const most = tried({ ...stack, options: { pleats: 8, pleat: 3 } }).find(({ id }) => id === 'gusset')!;
    for (const { change } of most.remedies) expect(change.options?.pleats).toBeUndefined();
  });

  test('what nothing cures offers nothing, and its sentence names the figure', () => {
    const board = { construction: 'seam-envelope', contents: card, paper: { caliper: 3 } };
    expect(labels(board, 'board')).toEqual([]);
  });
});

test('a plan without a fault is tried for nothing that it does not offer', () => {
  const plan = planOf({ version: 1, construction: 'seam-envelope', contents: { width: '3 in', height: '4 in' } });
  const checks = checksOf(plan);
  expect(remediesTried(plan, [], checks).map(({ remedies }) => remedies.length)).toEqual(checks.map(() => 0));
});

test('a blank a hair larger than its paper: the smallest change of a part that makes it fit, before another paper', () => {
  const plan = planOf({
    version: 1,
    construction: 'tab-envelope',
    contents: { width: 180, height: 138, thickness: 1 },
    paper: { name: 'A4', width: 210, height: 297 },
    graduation: '1 mm',
  } as DesignInput);
  const { height } = plan.made!.pieces[0].piece.blank;
  expect(height).toBeGreaterThan(297);
  const found = remediesTried(plan).find(({ id }) => id === 'paper')!;
  const [first] = found.remedies;
  expect(first).toMatchObject({ code: 'smaller_part' });
  expect(found.remedies.findIndex(({ code }) => code === 'other_paper')).toBeGreaterThan(0);
  const changed = planOf(changedDesign(inputOf(plan.design), first!.change) as DesignInput);
  const blank = changed.made!.pieces[0].piece.blank;
  // It fits, and a mark more would not.
  expect(blank.height).toBeLessThanOrEqual(297 + 1e-6);
  expect(blank.height).toBeGreaterThan(296 - 1e-6);
  expect(checksOf(changed).find(({ id }) => id === 'paper')!.level).toBe('pass');
});
