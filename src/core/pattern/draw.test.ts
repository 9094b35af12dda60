import { area } from '../geometry';
import { mm } from '../length';
import { drawPiece, outlineOf, patternFaults, rect, ring, wasteOf, type Panel } from '.';

const blank = { width: mm(100), height: mm(60) };
const panel = (id: string, polygon: Panel['polygon']): Panel => ({ id, name: `${id} panel`, polygon });
const body = panel('body', rect(20, 0, 80, 60));
const tab = panel('tab', ring([0, 10], [20, 0], [20, 60], [0, 60]));

test('a hinge lies where two panels share an edge, and runs as the still panel’s edge does', () => {
  const piece = drawPiece({ name: 'p', blank, panels: [body, tab], folds: [{ id: 's', between: ['body', 'tab'] }] });
  const [hinge] = piece.hinges;
  expect([hinge!.line.from, hinge!.line.to]).toEqual([
    { x: 20, y: 60 },
    { x: 20, y: 0 },
  ]);
  expect([hinge!.fold, hinge!.angle, hinge!.order]).toEqual(['valley', 180, 1]);
});

test('what no panel covers is waste, named after what it is cut from, its cut running along the panels', () => {
  const piece = drawPiece({ name: 'p', blank, panels: [body, tab], folds: [{ id: 's', between: ['body', 'tab'] }] });
  expect(piece.trims.map((trim) => trim.name).sort()).toEqual([
    'waste beside the body panel',
    'waste beside the tab panel',
  ]);
  expect(
    wasteOf(piece)
      .map(area)
      .reduce((a, b) => a + b, 0),
  ).toBeCloseTo(20 * 60 + 100, 3);
  expect(patternFaults(piece)).toEqual([]);
  // Walking along the cut, the waste is on the right: a point of the strip has the cut on its left.
  const strip = piece.trims.find((trim) => trim.name.includes('body'))!;
  if (strip.cut.kind !== 'path') throw new Error('a straight cut is a path');
  const [from, to] = strip.cut.path;
  const right = (to!.y - from!.y) * (90 - from!.x) - (to!.x - from!.x) * (30 - from!.y);
  expect(right).toBeGreaterThan(0);
});

test('two panels that share no edge cannot fold on each other, and that is a bug', () => {
  const far = panel('far', rect(90, 0, 100, 60));
  expect(() =>
    drawPiece({ name: 'p', blank, panels: [body, far], folds: [{ id: 's', between: ['body', 'far'] }] }),
  ).toThrow('p: body and far share no edge to fold on');
});

test('panels that fill the blank leave no waste, and the outline is the blank', () => {
  const left = panel('left', rect(0, 0, 40, 60));
  const right = panel('right', rect(40, 0, 100, 60));
  const piece = drawPiece({
    name: 'p',
    blank,
    panels: [left, right],
    folds: [{ id: 's', between: ['left', 'right'] }],
  });
  expect(piece.trims).toEqual([]);
  expect(area(outlineOf(piece)[0]!)).toBeCloseTo(6000, 6);
});

test('waste cut off at two places is two cuts of one name and counts once', () => {
  const middle = panel('middle', rect(0, 20, 100, 40));
  const piece = drawPiece({ name: 'p', blank, panels: [middle], folds: [] });
  expect(piece.trims).toHaveLength(2);
  expect(wasteOf(piece).map(area)).toEqual([expect.closeTo(2000, 3), expect.closeTo(2000, 3)]);
});

test('a piece is made unless it is told to be there already', () => {
  const page = drawPiece({
    name: 'page',
    blank,
    panels: [panel('page', rect(0, 0, 100, 60))],
    folds: [],
    source: 'base',
  });
  expect(page.source).toBe('base');
  expect(drawPiece({ name: 'card', blank, panels: [panel('card', rect(0, 0, 100, 60))], folds: [] }).source).toBe(
    'made',
  );
});
