/** The fold-out of three: its sizes and order against the figures workshops use, and against a count of its own. */
import { planOf } from '../../../../tests/helpers/designs';
import { layerOf, layersAt, levelOf, type Stack } from '../../fold';
import { centreOf } from '../../geometry';
import { INCH, inches, sayer } from '../../length';
import { checksOf } from '../../checks';
import { stepsOf } from '../../making';
import type { Made } from '../../plan';

const board = { kind: 'envelope-board', notch: '3/4 in', offset: 0, rulerEnd: '5 in', grooveEnd: '7 in' };
const plan = (fields: object, options: object = {}) =>
  planOf({ version: 1, construction: 'envelope-trio', tool: board, ...fields, options } as never);
const made = (fields: object, options: object = {}): Made => {
  const found = plan(fields, options);
  if (!found.made) throw new Error(`refused: ${JSON.stringify(found.refusal)}`);
  return found.made;
};
/** An 8 in centre set in its middle, wings the next size down on a chart that goes by half inches. */
const chart = { blank: { width: '8 in', height: '8 in' } };
const neighbours = { setting: '4 in', wing: '7 1/2 in' };
const cut = ({ pieces }: Made): Record<string, string> =>
  Object.fromEntries(
    pieces.map(({ piece: { name, blank } }) => [name, `${blank.width / INCH} × ${blank.height / INCH}`]),
  );
const body = (m: Made, panel: string) => {
  const { polygon } = layerOf(m.folded.finished, panel);
  const [a, b, c] = polygon as unknown as [
    { x: number; y: number },
    { x: number; y: number },
    { x: number; y: number },
  ];
  return [Math.hypot(a.x - b.x, a.y - b.y) / INCH, Math.hypot(b.x - c.x, b.y - c.y) / INCH].sort();
};

test('squares of neighbouring sizes set alike share the dimension across and differ up and down (common practice)', () => {
  const m = made(chart, neighbours);
  // √2·(4 − 3/8) across, √2·(8 − 4 − 3/8) up the centre and √2·(7 1/2 − 4 − 3/8) up the wings.
  const [across, wing] = [Math.SQRT2 * 3.625, Math.SQRT2 * 3.125];
  expect(body(m, 'body')).toEqual([expect.closeTo(across, 6), expect.closeTo(across, 6)]);
  for (const side of ['left', 'right'])
    expect(body(m, `${side}-body`)).toEqual([expect.closeTo(wing, 6), expect.closeTo(across, 6)]);
  // Each mat is its panel less an eighth all round, down to a mark: 5.13 and 4.42 less 1/4.
  expect(cut(m)).toEqual({
    centre: '8 × 8',
    'left wing': '7.5 × 7.5',
    'right wing': '7.5 × 7.5',
    'centre’s inside mat': '4.875 × 4.875',
    'centre’s outside mat': '4.875 × 4.875',
    'left wing’s inside mat': '4.875 × 4.125',
    'left wing’s outside mat': '4.875 × 4.125',
    'right wing’s inside mat': '4.875 × 4.125',
    'right wing’s outside mat': '4.875 × 4.125',
    // Half the fold’s square, 5.127 / √2, less 1/8 · (2 + √2), down to a mark.
    'top flap’s mat': '3.125 × 3.125',
  });
});

test.each(['hidden', 'inside', 'flaps'])('with its joints %s it folds up and closes, wings in the middle', (joints) => {
  const m = made(chart, { ...neighbours, joints });
  expect(m.folded.problems).toEqual([]);
  expect(checksOf(plan(chart, { ...neighbours, joints })).filter(({ level }) => level === 'fail')).toEqual([]);
  const pile = m.folded.finished;
  const order = ['body', 'left-body', 'right-body', 'bottom', 'closing'].map((panel) => levelOf(pile, panel));
  expect(order).toEqual([...order].sort((a, b) => a - b));
  // The wings lie between the centre’s top and bottom folds, as far from either.
  const middle = centreOf(layerOf(pile, 'body').polygon);
  for (const side of ['left', 'right']) {
    const own = centreOf(layerOf(pile, `${side}-body`).polygon);
    expect(Math.hypot(own.x - middle.x, own.y - middle.y)).toBeCloseTo(0, 6);
  }
  // The middle of the closed pile, counted by where its panels lie: every mat and body is there once.
  const over = layersAt(pile, middle).map(({ panel }) => panel);
  expect(over).toEqual(
    expect.arrayContaining([
      'centre-back-mat',
      'body',
      'centre-mat',
      'left-mat',
      'left-body',
      'left-back-mat',
      'right-mat',
      'right-body',
      'right-back-mat',
    ]),
  );
  expect(over.indexOf('left-mat')).toBeLessThan(over.indexOf('left-body'));
  expect(over.indexOf('right-body')).toBeLessThan(over.indexOf('right-back-mat'));
});

test('what each crease goes round is the paper that lies there, and what lies in the centre', () => {
  const fields = { ...chart, paper: { caliper: 0.25 }, contents: { thickness: 2 } };
  const found = checksOf(plan(fields, { ...neighbours, mats: false })).filter(({ kind }) => kind === 'creases');
  const m = made(fields, { ...neighbours, mats: false });
  const thickest = (step: string, moving: readonly string[]): number => {
    const { stack } = m.folded.stages.find((stage) => stage.step.id === step)!;
    const floor = levelOf(stack, 'body');
    const panels = stack.layers.filter(({ panel }, level) => level > floor && !moving.includes(panel));
    const under: Stack = { ...stack, layers: panels };
    // Every place where paper can be thickest lies beside a corner of some panel.
    const places = panels.flatMap(({ polygon }) => {
      const centre = centreOf(polygon);
      return [centre, ...polygon.map((p) => ({ x: p.x + (centre.x - p.x) * 0.02, y: p.y + (centre.y - p.y) * 0.02 }))];
    });
    return 0.25 * Math.max(...places.map((p) => layersAt(under, p).length));
  };
  const value = (at: string) => found.find((check) => check.id === `creases-${at}`)!.value;
  // The first wing lies on the contents alone: its body, its three flaps and the centre’s flap, where they lap most.
  expect(value('turn-right')).toBeGreaterThanOrEqual(2 + 2 * 0.25);
  expect(value('turn-right')).toBeLessThanOrEqual(2 + thickest('turn-right', ['side-2']));
  expect(value('close')).toBeGreaterThan(value('turn-right'));
  expect(value('fold-bottom')).toBeLessThanOrEqual(value('close'));
});

test('a wing narrower by an eighth leaves that much between its edge and the other crease', () => {
  const m = made(chart, { ...neighbours, wingSetting: '3 15/16 in' });
  const [height, width] = body(m, 'left-body');
  expect(body(m, 'body')[0]! - width!).toBeCloseTo(Math.SQRT2 / 16, 6);
  expect(height!).toBeCloseTo(Math.SQRT2 * (7.5 - 3.9375 - 0.375), 6);
  expect(m.folded.problems).toEqual([]);
});

test.each([
  [{ wing: '8 1/2 in' }, 'part-too-large', 'wing'],
  [{ wingSetting: '4 1/4 in' }, 'part-too-large', 'wingSetting'],
  [{ wing: '4 in' }, 'part-too-small', undefined],
  [{ reveal: '3 in' }, 'part-too-large', 'reveal'],
])('%j is refused, and says which part', (options, code, id) => {
  const { refusal } = plan(chart, { setting: '4 in', ...options });
  expect(refusal).toMatchObject({ code, ...(id && { about: { id } }) });
});

test('what goes in comes first: the centre takes it, and the wings follow a size down', () => {
  const m = made({ contents: { width: '4 in', height: '5 in', thickness: 1 } });
  const [centre, wing] = m.pieces.map(({ piece }) => piece.blank.width);
  expect(centre! - wing!).toBeCloseTo(inches(1 / 4), 6);
  expect(m.inside.width).toBeGreaterThanOrEqual(inches(4) + 1);
  expect(m.inside.height).toBeGreaterThanOrEqual(inches(5) + 1);
});

test('the wings are folded and backed before they are joined, and what goes in is laid down before they turn', () => {
  const steps = stepsOf(plan(chart, neighbours), sayer('in', '1/8 in')).map(({ text }) => text);
  const at = (words: RegExp): number => steps.findIndex((text) => words.test(text));
  const order = [
    /Fold the outer flap of the left wing in/u,
    /Join the left wing/u,
    /Glue the centre’s inside mat on/u,
    /Lay it on the centre/u,
    /Fold the left wing in/u,
    /Fold the right wing in/u,
    /Fold the bottom flap up/u,
    /Fold the top flap down/u,
  ].map(at);
  expect(order).not.toContain(-1);
  expect(order).toEqual([...order].sort((a, b) => a - b));
});

test.each([
  ['3 1/2 in', true],
  ['3 1/2 in', false],
  ['3 in', true],
  ['4 in', true],
] as const)(
  'buttons, set at %s, mats %s: each disc lies on its own closing flap or the mat of it, in its middle',
  (setting, mats) => {
    // Tips that meet, lap, or stand 5/16 and 7/16 in apart.
    const fields = { blank: { width: '7 7/8 in', height: '7 7/8 in' }, closure: { kind: 'buttons' } };
    const found = plan(fields, { setting, wing: '7 1/2 in', mats });
    const closure = checksOf(found).find(({ kind }) => kind === 'closure')!;
    expect(closure.level).not.toBe('fail');
    const holes = found.made!.pieces.flatMap(({ piece }) => piece.holes.map((hole) => ({ hole, piece })));
    expect(holes.map(({ hole }) => hole.panel)).toEqual(
      expect.arrayContaining([mats ? 'top-flap’s-mat' : 'closing', 'bottom']),
    );
    for (const { hole } of holes) {
      // On its sheet a flap’s middle is the diagonal.
      expect(Math.abs(hole.centre.x - hole.centre.y)).toBeLessThan(0.01);
    }
  },
);

test('a disc told to lie past its own flap is no closure: the check fails', () => {
  const told = (otherFromTip: string) => {
    const fields = { ...chart, closure: { kind: 'buttons', otherFromTip } };
    return checksOf(plan(fields, neighbours)).find(({ kind }) => kind === 'closure')!;
  };
  expect(told('2 in').level).toBe('pass');
  expect(told('7 in')).toMatchObject({ level: 'fail', about: { trouble: 'disc_off_flap' } });
});

test('a wing that would rise beyond the centre is refused, as large as it may be told', () => {
  // Set 1 in from its corner a square of 7 1/2 in rises 6 1/2; the centre of 8 in set at 4 rises 4.
  expect(plan(chart, { setting: '4 in', wing: '7 1/2 in', wingSetting: '1 in' }).refusal).toMatchObject({
    about: { part: 'wing' },
    value: inches(7.5),
    limit: expect.closeTo(inches(5), 6),
  });
  expect(plan(chart, { setting: '4 in', wing: '4 7/8 in', wingSetting: '1 in' }).refusal).toBeNull();
});
