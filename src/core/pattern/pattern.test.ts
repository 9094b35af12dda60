import { inches, mm } from '../length';
import { planOf } from '../../../tests/helpers/designs';
import { blankPolygon, notchTriangle, onEdge, outlineOf, panelOf, patternFaults, type Piece } from '.';
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
