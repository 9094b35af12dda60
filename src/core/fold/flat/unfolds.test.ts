/** What unfolds is measured on the folded thing, not asked of the formula that drew it. */
import { planOf } from '../../../../tests/helpers/designs';
import { checksOf } from '../../checks';
import { mm } from '../../length';
import { drawPiece, rect } from '../../pattern';
import { assemble, flatStack, freeBreadth, stageAfter, unfolds, type FlatCavity } from '..';

const plan = (construction: string, contents: object, options: object = {}) =>
  planOf({ version: 1, construction, contents, options, graduation: 'exact' });

test('pleats open by all their breadths but the outermost ones, which are glued on each other', () => {
  const { built, folded, holds } = plan('accordion-pocket', { width: 100, height: 70 }, { pleats: 5, pleat: 8 }).made!;
  const { stack } = stageAfter(folded, built.cavities[0]!.insertAfter);
  expect([1, 2, 3, 4, 5].map((i) => freeBreadth(stack, `back-left-${i}`))).toEqual(
    [8, 8, 8, 8, 0].map((b) => expect.closeTo(b, 6)),
  );
  expect(holds[0]!.opens).toBeCloseTo(2 * 4 * 8, 6);
});

test('a pleat drawn narrower is measured narrower: of two sides, the one that opens less counts', () => {
  const { built } = plan('accordion-pocket', { width: 100, height: 70 }, { pleats: 3, pleat: 8 }).made!;
  const [body, ...rest] = built.pieces;
  const narrower = {
    ...body!,
    panels: body!.panels.map((panel) =>
      panel.id === 'back-left-1'
        ? { ...panel, polygon: panel.polygon.map(({ x, y }) => ({ x: Math.max(x, 18), y })) }
        : panel,
    ),
  };
  const folded = assemble([narrower, ...rest], built.assembly);
  const { stack } = stageAfter(folded, built.cavities[0]!.insertAfter);
  // The first pleat on the left runs from 16 to 24 mm; two millimetres of it are taken away.
  const opens = (built.cavities[0] as FlatCavity).gusset!.map((chain) => unfolds(stack, chain));
  expect(opens).toEqual([expect.closeTo(30, 6), expect.closeTo(32, 6)]);
});

test('a tab folded under opens as far as its glue lets go of it, and the check asks no more', () => {
  const of = (thickness: number, tab: number) =>
    plan('patch-pocket', { width: 80, height: 60, thickness }, { seat: 'gusset', tab });
  expect(of(3, 10).made!.holds[0]!.opens).toBeCloseTo(5, 6);
  expect(plan('patch-pocket', { width: 80, height: 60 }, { tab: 10 }).made!.holds[0]!.opens).toBeNull();
  // What it gives the front it takes of the page: the mouth gains nothing, so thickness takes of the width (as an envelope's).
  const room = (thickness: number) => of(thickness, 10).made!;
  expect(room(4).inside.width).toBeCloseTo(room(0).inside.width + 4, 6);
  expect(room(4).fit!.ease.width).toBeCloseTo(room(0).fit!.ease.width, 6);
  const gusset = (thickness: number, tab: number) => checksOf(of(thickness, tab)).find(({ id }) => id === 'gusset')!;
  expect(gusset(4.9, 10).level).toBe('pass');
  expect(gusset(5.2, 10)).toMatchObject({ level: 'fail', limit: expect.closeTo(5, 6) });
  // Its cure is wide enough.
  const [cure] = gusset(9, 10).remedies;
  const tab = (cure!.change as { options: { tab: number } }).options.tab;
  expect(gusset(9, mm(tab)).level).toBe('pass');
});

test('what hangs by no fold does not unfold', () => {
  const { folded } = plan('patch-pocket', { width: 80, height: 60 }).made!;
  expect(() => freeBreadth(folded.finished, 'pocket')).toThrow('pocket hangs by no fold');
});

test('of a tab on either side, what its glue leaves free is counted from its own fold', () => {
  const strip = drawPiece({
    name: 'strip',
    blank: { width: mm(80), height: mm(30) },
    panels: [
      { id: 'left', name: 'left tab', polygon: rect(0, 0, 20, 30) },
      { id: 'middle', name: 'middle', polygon: rect(20, 0, 60, 30) },
      { id: 'right', name: 'right tab', polygon: rect(60, 0, 80, 30) },
    ],
    folds: ['left', 'right'].map((tab) => ({ id: `s-${tab}`, between: ['middle', tab] as const })),
  });
  const glued = (panel: string, x0: number, x1: number) => ({
    ...flatStack(strip),
    joints: [{ id: 'glue', panel, onto: 'page', side: 'outside' as const, polygons: [rect(x0, 0, x1, 30)] }],
  });
  // The last 8 of 20 mm are glued: 12 are free. Glued up to the fold nothing is, and without glue all of it.
  expect([freeBreadth(glued('left', 0, 8), 'left'), freeBreadth(glued('right', 72, 80), 'right')]).toEqual([12, 12]);
  expect([freeBreadth(glued('left', 0, 20), 'left'), freeBreadth(glued('right', 60, 80), 'right')]).toEqual([0, 0]);
  expect([freeBreadth(flatStack(strip), 'left'), freeBreadth(flatStack(strip), 'right')]).toEqual([20, 20]);
  expect(() => freeBreadth(flatStack(strip), 'middle')).toThrow('middle hangs by no fold');
});
