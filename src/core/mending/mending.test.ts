/** Sheets that went wrong: what is made of them is held to what would have been made, and to the tests’ second reader. */
import { contentsFirst, planOf } from '../../../tests/helpers/designs';
import { disagreements } from '../../../tests/helpers/disagreements';
import { runs } from '../../../tests/helpers/runs';
import fc from 'fast-check';
import { CONSTRUCTIONS, type Does } from '../constructions';
import { foldedOutline } from '../fold';
import { difference, regionArea } from '../geometry';
import { inches, sayer } from '../length';
import type { Piece } from '../pattern';
import { blanksOf, stepsOf } from '../making';
import { checksOf } from '../checks';
import { inputOf } from '../design';
import { planDocument } from '../document';
import { planFor, type Plan } from '../plan';
import { onlyHinge } from './mends';
import type { Rescued } from './schema';

const say = sayer('in', '1/8 in');
const drawn = (construction: string, does: Does): Plan =>
  planOf({
    version: 1,
    construction,
    contents: { width: '3 in', height: '4 in', thickness: does === 'stands' ? '1/2 in' : 0 },
  });
const on = (plan: Plan, piece: Piece, more: Partial<Rescued>): Plan =>
  planFor({
    ...plan.design,
    rescued: {
      piece: piece.name,
      sheet: piece.blank,
      turned: 'not',
      over: false,
      at: { x: inches(0), y: inches(0) },
      gone: [],
      scores: [],
      cuts: [],
      strips: [],
      joined: [],
      ...more,
    },
  });
const sound = (plan: Plan): boolean => plan.made !== null && checksOf(plan).every(({ level }) => level !== 'fail');
const apart = (a: Plan, b: Plan): number => {
  const [one, other] = [a, b].map(({ made }) => foldedOutline(made!.folded.finished));
  return regionArea(difference(one!, other!)) + regionArea(difference(other!, one!));
};

/** Holders of which no flap can be joined on anew, and why. */
const NO_FLAPS: Readonly<Record<string, string>> = {
  mat: 'has no fold',
  'flap-mat': 'has no fold',
  tag: 'has no fold',
  'cover-board': 'its turn-ins are narrower than their lap would be',
  'ring-album': 'its turn-ins are narrower than their lap would be',
  'flap-album': 'its turn-ins are narrower than their lap would be',
  'pad-holder': 'its parts hang by several folds, or carry what is laid on them',
};

/** A wing that only its joined flap holds lies on no paper of the centre itself, which is what the reader asks for. */
const notRead = (id: string): boolean => ['left-join', 'right-join'].includes(id);

describe('a flap made anew and joined on', () => {
  test.each(CONSTRUCTIONS.map(({ name, does }) => [name, does] as const))(
    '%s: folds to the same thing, as the second reader has it too',
    (construction, does) => {
      const plan = drawn(construction, does);
      let held = 0;
      for (const { piece } of plan.made!.pieces)
        for (const { id, name } of piece.panels) {
          if (!onlyHinge(piece, id)) continue;
          const joined = on(plan, piece, { joined: [id] });
          if (!sound(joined)) continue;
          held++;
          if (!plan.made!.folded.standing) expect([id, apart(plan, joined) < 1]).toEqual([id, true]);
          expect(joined.made!.pieces.some((one) => one.piece.name === `new ${name}`)).toBe(true);
          if (!notRead(id)) expect([id, ...disagreements(joined, planDocument(joined))]).toEqual([id]);
        }
      expect(held > 0).toBe(!(construction in NO_FLAPS));
    },
  );

  test('is cut, glued on before anything is folded, and folded like the old one', () => {
    const plan = drawn('tab-envelope', 'closes');
    const [{ piece }] = plan.made!.pieces;
    const steps = stepsOf(on(plan, piece, { joined: ['closing'] }), say);
    const at = (text: string): number => steps.findIndex((step) => step.text.includes(text));
    expect(at('Cut the new closing flap: 3 1/4 in × 1 1/2 in.')).toBe(0);
    expect(at('ut off the old closing flap')).toBeGreaterThan(0);
    expect(at('Join the new closing flap on, its lap on the inside of the back')).toBeGreaterThan(
      at('ut off the old closing flap'),
    );
    expect(at('Fold the left tab in')).toBeGreaterThan(at('Join the new closing flap on'));
    expect(steps.at(-1)!.text).toContain('Fold the closing flap down');
  });
});

describe('paper that is missing', () => {
  const plan = drawn('tab-envelope', 'closes');
  const [{ piece }] = plan.made!.pieces;
  const hole = [
    [40, 160],
    [55, 160],
    [50, 175],
  ] as unknown as Rescued['gone'][number];
  const rim = [
    [20, -1],
    [45, -1],
    [30, 18],
  ] as unknown as Rescued['gone'][number];

  test('is off the panels; a strip behind it is a piece of its own, glued on first', () => {
    const torn = on(plan, piece, { gone: [rim] });
    expect(torn.made!.pieces[0].piece.panels.find(({ id }) => id === 'front')!.polygon.length).toBeGreaterThan(4);
    const backed = on(plan, piece, { gone: [rim], strips: ['front'] });
    expect(sound(backed)).toBe(true);
    expect(backed.made!.pieces.map((one) => one.piece.name)).toEqual(['envelope', 'strip for the front']);
    expect(disagreements(backed, planDocument(backed))).toEqual([]);
    // It is 1/4 in broader than what it mends on every side within its panel, on a mark.
    const { blank } = backed.made!.pieces[1]!.piece;
    expect(blank.width).toBeCloseTo(inches(1.5), 3);
    const texts = stepsOf(backed, say).map(({ text }) => text);
    expect(texts).toContainEqual('Lay the strip behind what is torn or cut, on the inside of the front.');
  });

  test('in the middle of a panel it is a hole; a panel in two parts is past mending, and says so', () => {
    expect(on(plan, piece, { gone: [hole] }).made!.built.pieces[0].holes).toHaveLength(1);
    const across = [
      [0, 150],
      [200, 150],
      [200, 156],
      [0, 156],
    ] as unknown as Rescued['gone'][number];
    expect(on(plan, piece, { gone: [across] }).refusal).toMatchObject({ code: 'sheet-past-mending' });
  });
});

describe('work that is done already', () => {
  const plan = drawn('tab-envelope', 'closes');
  const [{ piece }] = plan.made!.pieces;
  const lines = piece.hinges.map(({ line: { from, to } }) => [
    [from.x, from.y],
    [to.x, to.y],
  ]) as unknown as Rescued['scores'];

  test('is not told again: neither cutting the sheet, nor a score that is in it, nor waste that is off', () => {
    const off = piece.trims.flatMap(({ polygon }) =>
      polygon.length > 2 ? [polygon.map(({ x, y }) => [x, y])] : [],
    ) as unknown as Rescued['gone'];
    const all = stepsOf(on(plan, piece, { scores: lines, gone: off }), say);
    expect(all.every(({ phase }) => phase === 'fold')).toBe(true);
    const scored = stepsOf(on(plan, piece, { scores: lines }), say);
    expect(scored.some(({ action }) => action === 'score')).toBe(false);
    expect(scored.some(({ action }) => action === 'trim')).toBe(true);
    const half = stepsOf(on(plan, piece, { scores: lines.slice(1) }), say);
    expect(half.filter(({ action }) => action === 'score')).toHaveLength(1);
  });

  test('a larger sheet is turned and cut first, and takes no paper of its own', () => {
    const { width, height } = piece.blank;
    const turned = on(plan, piece, {
      sheet: { width: inches(12), height },
      turned: 'left',
      at: { x: inches(0), y: inches(0.5) },
    });
    const [first] = stepsOf(turned, say);
    expect(first!.text).toContain('Take the sheet that went wrong: turn it a quarter to the left');
    expect(first!.text).toContain('cut 1/2 in off its near edge');
    expect(first!.readings.length).toBeGreaterThan(0);
    expect(first!.caution).toBeDefined();
    expect(blanksOf(turned.made!, turned.design)).toEqual([]);
    expect(blanksOf(plan.made!, plan.design)).toHaveLength(1);
    expect(width).toBeGreaterThan(0);
  });

  test('the document of a design carries its sheet, and reads back the same', () => {
    const torn = on(plan, piece, { scores: lines, strips: [], joined: ['closing'] });
    const again = planOf(JSON.parse(JSON.stringify(inputOf(torn.design))) as object);
    expect(again.design.rescued).toEqual(torn.design.rescued);
    expect(apart(again, torn)).toBeLessThan(1e-6);
  });
});

test('what is torn and joined at random is folded as the second reader folds it', () => {
  const envelope = CONSTRUCTIONS.find(({ name }) => name === 'tab-envelope')!;
  fc.assert(
    fc.property(
      contentsFirst(envelope),
      fc.double({ min: 0.1, max: 0.9, noNaN: true }),
      fc.boolean(),
      (input, share, joins) => {
        const plan = planOf(input);
        fc.pre(sound(plan));
        const [{ piece }] = plan.made!.pieces;
        const x = piece.blank.width * share;
        const gone = [
          [
            [x, -1],
            [x + 8, -1],
            [x + 4, 5],
          ],
        ] as unknown as Rescued['gone'];
        const torn = on(plan, piece, { gone, joined: joins ? ['tab-1'] : [] });
        fc.pre(torn.made !== null && sound(torn));
        expect(disagreements(torn, planDocument(torn))).toEqual([]);
      },
    ),
    runs(5),
  );
});
