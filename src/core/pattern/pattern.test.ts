import { inches, mm } from '../length';
import { planOf } from '../../../tests/helpers/designs';
import {
  blankPolygon,
  drawPiece,
  notchTriangle,
  onEdge,
  outlineOf,
  panelOf,
  patternFaults,
  rect,
  type Panel,
  type Piece,
} from '.';
import { area } from '../geometry';

const sound = (): Piece =>
  planOf({
    version: 1,
    construction: 'diagonal-envelope',
    contents: { width: '3 in', height: '4 in' },
    options: { corner: 0 },
  }).made!.pieces[0].piece;

test('edges run anticlockwise: each edge’s left end, once it is near, is the corner before it', () => {
  const blank = { width: mm(100), height: mm(60) };
  expect([1, 2, 3, 4].map((edge) => onEdge(blank, edge as 1, 10))).toEqual([
    { x: 10, y: 0 },
    { x: 100, y: 10 },
    { x: 90, y: 60 },
    { x: 0, y: 50 },
  ]);
  expect(area(blankPolygon(blank))).toBe(6000);
});

test('a notch is right-angled, half as deep as it is long', () => {
  const [start, tip, end] = notchTriangle(
    { width: mm(100), height: mm(100) },
    { id: 'n', edge: 2, at: mm(40), length: mm(20) },
  );
  expect([start, tip, end]).toEqual([
    { x: 100, y: 30 },
    { x: 90, y: 40 },
    { x: 100, y: 50 },
  ]);
});

test('an envelope’s outline is the square less its four notches', () => {
  const outline = outlineOf(sound());
  expect(outline).toHaveLength(1);
  // Four triangles of base n and height n/2 come off: n² in all (n = 3/4 in, arithmetic).
  expect(area(outline[0]!)).toBeCloseTo(inches(6) ** 2 - inches(0.75) ** 2, 2);
});

test('a sound pattern has no faults, and each kind of damage is named', () => {
  const piece = sound();
  expect(patternFaults(piece)).toEqual([]);
  const moved = (id: string, by: number): Piece => ({
    ...piece,
    panels: piece.panels.map((panel) =>
      panel.id === id ? { ...panel, polygon: panel.polygon.map((p) => ({ x: p.x + by, y: p.y })) } : panel,
    ),
  });
  const codes = (broken: Piece): Set<string> => new Set(patternFaults(broken).map((fault) => fault.code));
  expect(codes(moved('side-1', -3)).has('panels_overlap')).toBe(true);
  expect(codes(moved('side-1', 30)).has('outside_blank')).toBe(true);
  expect(
    codes({
      ...piece,
      panels: piece.panels.filter((panel) => panel.id !== 'side-1'),
      hinges: piece.hinges.filter((h) => h.between[1] !== 'side-1'),
    }).has('area_missing'),
  ).toBe(true);
  expect(
    codes({
      ...piece,
      hinges: piece.hinges.map((h, i) =>
        i === 0 ? { ...h, line: { from: { x: 0, y: 0 }, to: { x: 50, y: 10 } } } : h,
      ),
    }).has('score_off_panel'),
  ).toBe(true);
  expect(() => panelOf(piece, 'lid')).toThrow('envelope has no panel lid');
});

describe('faults of a strip of two panels', () => {
  const two = (change: Partial<Piece> = {}): Piece => ({
    ...drawPiece({
      name: 'strip',
      blank: { width: mm(60), height: mm(20) },
      panels: [
        { id: 'left', name: 'left', polygon: rect(0, 0, 30, 20) },
        { id: 'right', name: 'right', polygon: rect(30, 0, 60, 20) },
      ],
      folds: [{ id: 's1', between: ['left', 'right'] }],
    }),
    ...change,
  });
  const panels = (left: Panel['polygon'], right: Panel['polygon']): Pick<Piece, 'panels'> => ({
    panels: [
      { id: 'left', name: 'left', polygon: left },
      { id: 'right', name: 'right', polygon: right },
    ],
  });
  const codes = (piece: Piece): string[] => patternFaults(piece).map(({ code }) => code);

  test('sound, it has one outline without the corners on its straight sides', () => {
    expect(patternFaults(two())).toEqual([]);
    expect(outlineOf(two()).map((ring) => ring.length)).toEqual([4]);
  });
  test('in two parts it says so, and how much of the blank is missing', () => {
    const apart = two(panels(rect(0, 0, 25, 20), rect(35, 0, 60, 20)));
    expect(patternFaults(apart)).toEqual([
      { code: 'not_one_piece', detail: '2 rings' },
      { code: 'area_missing', detail: '200 mm² of the blank is neither panel nor waste' },
      { code: 'score_off_panel', detail: 's1 does not lie on the rim of left' },
      { code: 'score_off_panel', detail: 's1 does not lie on the rim of right' },
    ]);
  });
  test.each([
    ['left', rect(-1, 0, 30, 20), rect(30, 0, 60, 20)],
    ['right', rect(0, 0, 30, 20), rect(30, 0, 61, 20)],
    ['below', rect(0, -1, 30, 20), rect(30, 0, 60, 20)],
    ['above', rect(0, 0, 30, 21), rect(30, 0, 60, 20)],
  ])('a panel past its blank, %s', (_, left, right) => {
    expect(codes(two(panels(left, right)))).toContain('outside_blank');
  });
  test('panels over each other, by how much', () => {
    const [fault] = patternFaults(two(panels(rect(0, 0, 31, 20), rect(30, 0, 60, 20))));
    expect(fault).toEqual({ code: 'panels_overlap', detail: 'left and right share 20 mm²' });
  });
  test('a score that runs past the rim at either end, or beside it, does not lie on it; a part of the rim does', () => {
    const scored = (from: readonly [number, number], to: readonly [number, number]): string[] =>
      codes(
        two({
          hinges: two().hinges.map((hinge) => ({
            ...hinge,
            line: { from: { x: from[0], y: from[1] }, to: { x: to[0], y: to[1] } },
          })),
        }),
      );
    const off = ['score_off_panel', 'score_off_panel'];
    expect(scored([30, 0], [30, 20])).toEqual([]);
    expect(scored([30, 20], [30, 5])).toEqual([]);
    expect(scored([30, -1], [30, 20])).toEqual(off);
    expect(scored([30, 0], [30, 21])).toEqual(off);
    expect(scored([30.01, 0], [30.01, 20])).toEqual(off);
    expect(scored([30, 0], [31, 20])).toEqual(off);
  });
});

describe('what is left of a panel', () => {
  const drawn = (polygon: Panel['polygon']) =>
    drawPiece({
      name: 'sheet',
      blank: { width: mm(50), height: mm(50) },
      panels: [{ id: 'flap', name: 'flap', polygon }],
      folds: [],
    });
  const ring = (...points: readonly (readonly [number, number])[]) =>
    points.map(([x, y]) => ({ x, y })) as unknown as Panel['polygon'];
  test('crossing itself it cannot be drawn, whichever of its sides cross', () => {
    for (const bow of [
      ring([0, 0], [40, 40], [40, 0], [0, 40]),
      ring([0, 40], [0, 0], [40, 40], [40, 0]),
      ring([0, 0], [40, 0], [40, 40], [20, -10], [0, 40]),
    ])
      expect(() => drawn(bow)).toThrow();
  });
  test('touching itself, or bent in, it can', () => {
    expect(drawn(ring([0, 0], [40, 0], [40, 40], [20, 1], [0, 40])).panels).toHaveLength(1);
    expect(drawn(ring([0, 0], [40, 0], [40, 40], [20, 0], [0, 40])).panels).toHaveLength(1);
  });
  test('corners that fall together count once', () => {
    const [panel] = drawn(ring([0, 0], [40, 0], [40, 0], [40, 40], [0, 40])).panels;
    expect(panel!.polygon).toHaveLength(4);
  });
});

test('waste in the middle of a sheet is cut out all round', () => {
  const frame = drawPiece({
    name: 'frame',
    blank: { width: mm(30), height: mm(30) },
    panels: [
      { id: 'low', name: 'low side', polygon: rect(0, 0, 30, 10) },
      { id: 'left', name: 'left side', polygon: rect(0, 10, 10, 20) },
      { id: 'right', name: 'right side', polygon: rect(20, 10, 30, 20) },
      { id: 'top', name: 'top side', polygon: rect(0, 20, 30, 30) },
    ],
    folds: [],
  });
  expect(frame.trims.map(({ name }) => name)).toEqual(['waste beside the low side and the left side']);
  const [{ cut }] = frame.trims as [Piece['trims'][number]];
  // Round and back to where it began.
  expect(cut.kind === 'path' && cut.path.length).toBeGreaterThanOrEqual(4);
});
