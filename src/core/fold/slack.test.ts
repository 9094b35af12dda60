/** Sheets whose lines lie a little off: exact, they are refused; with that much slack they fold, and are judged. */
import { contentsFirst, planOf } from '../../../tests/helpers/designs';
import fc from 'fast-check';
import { runs } from '../../../tests/helpers/runs';
import { CONSTRUCTIONS } from '../constructions';
import { holdOf } from '../fit';
import type { Point } from '../geometry';
import { mm } from '../length';
import type { Piece } from '../pattern';
import type { DesignInput } from '../design';
import { assemble, EXACT, offBy, type AssemblyFold } from '.';

/** A piece cut and scored by hand: every corner of every panel, and every score, a little off, each place its own way. */
function byHand(piece: Piece, off: number): Piece {
  // One place is one mistake, wherever it is read: from a panel or from a score.
  const moved = ({ x, y }: Point<'sheet'>): Point<'sheet'> => {
    const way = Math.sin(Math.round(x * 100) * 12.9898 + Math.round(y * 100) * 78.233) * 43758.5453;
    const angle = 2 * Math.PI * (way - Math.floor(way));
    return { x: x + off * Math.cos(angle), y: y + off * Math.sin(angle) };
  };
  return {
    ...piece,
    panels: piece.panels.map((panel) => ({ ...panel, polygon: panel.polygon.map(moved) })),
    hinges: piece.hinges.map((hinge) => ({
      ...hinge,
      line: { from: moved(hinge.line.from), to: moved(hinge.line.to) },
    })),
  };
}
const planned = (construction: string, more: object = {}) =>
  planOf({ version: 1, construction, contents: { width: 80, height: 110 }, graduation: '1 mm', ...more } as DesignInput)
    .made!.built;

test('a pattern is held to rounding alone', () => {
  expect(offBy(0)).toEqual(EXACT);
  expect(offBy(0.4)).toEqual({ lines: EXACT.lines + 0.8, speck: EXACT.speck, touch: EXACT.touch + 0.8 });
});

test('a fold of several scores, one of them off its line', () => {
  const { pieces, assembly } = planned('storage-pocket');
  const step = assembly.find((one): one is AssemblyFold => one.kind === 'fold' && one.hinges.length > 1)!;
  const last = step.hinges.at(-1)!;
  const shifted = pieces.map((piece) => ({
    ...piece,
    hinges: piece.hinges.map((hinge) =>
      hinge.id === last
        ? {
            ...hinge,
            line: {
              from: { x: hinge.line.from.x + 0.3, y: hinge.line.from.y + 0.3 },
              to: { x: hinge.line.to.x + 0.3, y: hinge.line.to.y + 0.3 },
            },
          }
        : hinge,
    ),
  }));
  const codes = (slack = EXACT) => assemble(shifted, assembly, slack).problems.map(({ code }) => code);
  expect(codes()).toContain('joint_off_line');
  expect(codes(offBy(0.1))).toContain('joint_off_line');
  expect(codes(offBy(0.3))).not.toContain('joint_off_line');
});

test.each(['seam-envelope', 'tab-envelope', 'card-holder', 'library-pocket', 'diagonal-envelope'])(
  'a %s cut by hand, a quarter of a millimetre off at every corner, folds, and holds what it then holds',
  (name) => {
    const { pieces, assembly, cavities } = planned(name);
    const made = pieces.map((piece) => byHand(piece, 0.25));
    const folded = assemble(made, assembly, offBy(0.25));
    expect(folded.problems).toEqual([]);
    expect(folded.finished.joints.map(({ id }) => id)).toEqual(
      assemble(pieces, assembly).finished.joints.map(({ id }) => id),
    );
    const [exact, own] = [assemble(pieces, assembly), folded].map((one) => holdOf(one, cavities[0]!).inside);
    for (const side of ['width', 'height'] as const) {
      // Two rims, each off by as much at either end, and turned by that over their length.
      expect(Math.abs(own![side] - exact![side])).toBeLessThan(1.5);
      expect(own![side]).not.toBe(exact![side]);
    }
  },
);

test('walls that stand a little off their planes are glued with slack, and apart without', () => {
  const { pieces, assembly } = planned('tray-box', { contents: { width: 80, height: 60, thickness: mm(20) } });
  const made = pieces.map((piece) => byHand(piece, 0.05));
  const codes = (slack = EXACT) => assemble(made, assembly, slack).problems.map(({ code }) => code);
  expect(codes()).toContain('apart');
  expect(codes(offBy(0.6))).not.toContain('apart');
});

test.each(CONSTRUCTIONS.map((construction) => [construction.name, construction] as const))(
  '%s: more slack finds no more wrong with a sound pattern',
  (_, construction) => {
    fc.assert(
      fc.property(contentsFirst(construction), (input) => {
        const { made } = planOf(input);
        fc.pre(made !== null && made.folded.problems.length === 0);
        const { pieces, assembly } = made!.built;
        expect(assemble(pieces, assembly, offBy(0.5)).problems).toEqual([]);
      }),
      runs(3),
    );
  },
);
