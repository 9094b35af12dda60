/**
 * A trial tool, for the test that adds it: a machine that scores and cuts a sheet from a drawing. It is not shipped;
 * with one line in `tools/list.ts` it would be.
 */
import type { Point, Segment } from '../../src/core/geometry';
import { inches, lengthSchema, mm, type Mm, type Say } from '../../src/core/length';
import type { Finding } from '../../src/core/constructions';
import { makingByHand, type Figures, type MovesOf, type ToolType, type ToolWork } from '../../src/core/tools/tool';
import { notchTriangle, type Edge, type Piece } from '../../src/core/pattern';

const figures = {
  bed: {
    asked: lengthSchema({ over: 0 }).prefault(inches(12)).describe('The widest sheet the machine takes.'),
    owned: { title: 'Widest sheet', least: 100, most: 1500, fresh: inches(12) },
    bench: { title: 'Widest sheet', least: 100, most: 1500 },
  },
  drift: {
    asked: lengthSchema({ least: -5, most: 5 }).prefault(mm(0)).describe('How far to the right it scores.'),
    owned: { title: 'Scores off by', least: -5, most: 5, fresh: mm(0) },
    bench: { title: 'Scores off by', least: -5, most: 5 },
  },
  notch: { asked: lengthSchema({ over: 0, most: 100 }).prefault(inches(3 / 4)), byHand: true },
} satisfies Figures;

/** What a design says of it. */
interface DieCutter {
  readonly kind: 'die-cutter';
  readonly bed: Mm;
  readonly drift: Mm;
}
/** The sheet goes in once; everything on the drawing is made. */
interface DieMove {
  readonly do: 'die';
  readonly scores: readonly { readonly id: string; readonly line: Segment<'sheet'> }[];
  readonly notches: readonly { readonly edge: Edge; readonly corners: readonly Point<'sheet'>[] }[];
  readonly trims: Piece['trims'];
  readonly slits: readonly Segment<'sheet'>[];
  readonly holes: Piece['holes'];
}

const OFF = { path: 'cut', rounded: 'round', punched: 'bite' } as const;

const moves: MovesOf<DieMove, DieCutter> = {
  die: {
    carryOut: ({ scores, notches, trims, slits, holes }, sheet, { bed, drift }) => {
      if (sheet.blank.width > bed) return sheet.fault({ code: 'too-wide', width: sheet.blank.width, bed } as never);
      const off = ({ x, y }: Point<'sheet'>): Point<'sheet'> => ({ x: x + drift, y });
      for (const { id, line } of scores) sheet.run([id], { from: off(line.from), to: off(line.to) });
      for (const { edge, corners } of notches) sheet.notch(edge, corners);
      for (const { cut, polygon } of trims)
        if (cut.kind === 'path') sheet.cut(cut.path);
        else sheet.takeOff(OFF[cut.kind], polygon);
      for (const line of slits) sheet.slit(line);
      for (const { centre, diameter } of holes) sheet.hole(centre, diameter);
    },
    step: (_, { of }) => ({
      action: 'cut',
      text: `Lay the sheet${of} on the machine’s mat, its left edge on the line, and let it score and cut.`,
      caution: 'press',
    }),
    short: () => 'let the machine score and cut.',
  },
};

/** Its tool, moves, findings and faults stand in no union of the product's: here alone that is passed over. */
export const dieCutter = {
  kind: 'die-cutter',
  title: 'Die cutter',
  plural: 'Die cutters',
  figures,
  plan: {
    offered: 'A die-cutting machine',
    making: makingByHand,
    whole: ({ blank, hinges, notches, trims, slits, holes }: Piece) => ({
      moves: [
        {
          do: 'die',
          scores: hinges.map(({ id, line }) => ({ id, line })),
          notches: notches.map((notch) => ({ edge: notch.edge, corners: notchTriangle(blank, notch) })),
          trims,
          slits: slits.map(({ line }) => line),
          holes,
        },
      ],
      marks: [],
    }),
    moves,
    faults: {
      'too-wide': ({ width, bed }: { width: number; bed: number }, say: Say) =>
        `a sheet of ${say(width)} does not go into a machine of ${say(bed)}`,
    },
    settings: () => [],
    limits: ({ bed }: DieCutter, { pieces }: ToolWork) => {
      const widest = Math.max(...pieces.map(({ piece }) => piece.blank.width));
      return widest > bed ? [{ kind: 'bed-end', level: 'warn', value: widest, limit: bed, about: {} }] : [];
    },
    words: {
      'bed-end': ({ value, limit }: Finding, say: Say) =>
        `The sheet is ${say(value)} wide, and the machine takes ${say(limit)}. Turn it, or cut it by hand.`,
    },
    proof: 'The machine, tried in the computer, makes these very scores and cuts.',
    under: ({ bed }: DieCutter, _: unknown, { deep }: { deep: number }) => ({
      box: { left: -8, right: bed, bottom: -8, top: deep + 8 },
      shift: 0,
      things: [{ is: 'fence', along: 'left' }],
    }),
  },
} as unknown as ToolType;
