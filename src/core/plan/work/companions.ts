import { inches, mm, roundTo, type Mm } from '../../length';
import { LEAST, drawPiece, rect, type Piece } from '../../pattern';
import type { Design } from '../design/design';
import type { CompanionName } from '../design/extras';
import { turned } from '../../fit';
import { plainFront } from '../looks/print';
import type { Made } from '../plan';

interface Size {
  readonly width: Mm;
  readonly height: Mm;
  /** Scores across it, measured up from its near edge. */
  readonly scores: readonly Mm[];
  readonly holes: readonly { readonly x: Mm; readonly y: Mm; readonly diameter: Mm }[];
}

/** A small thing to make with a holder: a rectangle, where it is scored, and what it is for. */
export interface Companion extends Size {
  readonly name: CompanionName;
  readonly title: string;
  /** It as a piece that is cut, scored and punched like any other. */
  readonly piece: Piece;
  /** What else it takes: ribbon, mm. */
  readonly ribbon: Mm;
  readonly note: 'pull' | 'border' | 'tie' | 'offcut' | 'wrap' | 'template' | 'clip';
  /** Where it goes, and so when. */
  readonly goes: 'before the holes' | 'before the contents' | 'with the contents' | 'on the front' | 'beside';
}

/** An insert is smaller than the inside by this, mm. Common practice 1/16 to 1/8 in. */
const SLIDES = inches(1 / 8);
/** A wrapped sweet, mm: across and round. Common practice, no source. */
const SWEET = { length: 30, round: 45 };
/** A jumbo paper clip, mm. From memory. */
const CLIP = { width: 10, length: 50 };

/** What companions are sized from. */
type Sized = Pick<Made, 'inside' | 'finished' | 'built' | 'pieces' | 'folded'>;

/** The companions a design asks for, sized from what was folded. Those that would come out too small are left out. */
export function companionsOf(
  made: Sized,
  { companions, graduation }: Pick<Design, 'companions' | 'graduation'>,
): readonly Companion[] {
  const mark = (value: number): Mm => roundTo(mm(value), graduation, 'down');
  const { inside, finished, built } = made;
  // A mat goes on the front as it really is: clear of notch, holes, flaps and folds.
  const face = (companions.includes('mat') ? turnedFront(made) : null) ?? finished;
  const seat = turned(built.cavities[0], inside);
  const plain = { scores: [], holes: [], ribbon: mm(0) };
  const all: Record<CompanionName, () => Omit<Companion, 'piece'>> = {
    'insert-card': () => ({
      ...plain,
      name: 'insert-card',
      title: 'Insert card with a ribbon pull',
      width: mark(inside.width - SLIDES),
      height: mark(inside.height - SLIDES),
      // Round the far end of the insert and up past the mouth to hold.
      ribbon: mm(Math.ceil(2 * seat.height + 60)),
      note: 'pull',
      goes: 'before the contents',
    }),
    mat: () => ({
      ...plain,
      name: 'mat',
      title: 'Mat for the front',
      width: mark(face.width - 2 * SLIDES),
      height: mark(face.height - 2 * SLIDES),
      note: 'border',
      goes: 'on the front',
    }),
    tag: () => {
      const [width, height] = [
        mark(Math.min(inside.width - SLIDES, inches(2))),
        mark(Math.min(inside.height - SLIDES, inches(4))),
      ];
      return {
        ...plain,
        name: 'tag',
        title: 'Tag',
        width,
        height,
        holes: [{ x: mm(width / 2), y: mm(height - inches(3 / 8)), diameter: inches(3 / 16) }],
        ribbon: inches(8),
        note: 'tie',
        goes: 'beside',
      };
    },
    note: () => {
      const [width, half] = [mark(inside.width - SLIDES), mark(inside.height - SLIDES)];
      return {
        ...plain,
        name: 'note',
        title: 'Folded note',
        width,
        height: mm(2 * half),
        scores: [half],
        note: 'offcut',
        goes: 'with the contents',
      };
    },
    'sweet-wrap': () => ({
      ...plain,
      name: 'sweet-wrap',
      title: 'Strip round a small sweet',
      width: mark(SWEET.length),
      height: mark(SWEET.round + inches(1 / 2)),
      note: 'wrap',
      goes: 'with the contents',
    }),
    'hole-template': () => {
      const part = made.pieces.find(({ piece }) => piece.holes.length > 0)?.piece;
      return {
        ...plain,
        name: 'hole-template',
        title: 'Template for the holes',
        width: mark(part?.blank.width ?? 0),
        height: mark(part?.blank.height ?? 0),
        holes: (part?.holes ?? []).map(({ centre, diameter }) => ({ x: mm(centre.x), y: mm(centre.y), diameter })),
        note: 'template',
        goes: 'before the holes',
      };
    },
    'clip-cover': () => ({
      ...plain,
      name: 'clip-cover',
      title: 'Cover for a paper clip',
      width: mark(CLIP.width + 2 * SLIDES),
      height: mark(2 * (CLIP.length / 2 + SLIDES)),
      scores: [mark(CLIP.length / 2 + SLIDES)],
      note: 'clip',
      goes: 'beside',
    }),
  };
  return [...new Set(companions)]
    .map((name) => all[name]())
    .filter(
      ({ width, height, holes }) =>
        Math.min(width, height) >= LEAST.folded.fails && holes.every((hole) => liesIn(hole, width, height)),
    )
    .map((companion) => ({ ...companion, piece: pieceFrom(companion) }));
}

/** The plain part of the front, along the finished thing's own width and height. */
function turnedFront(made: Sized): { width: number; height: number } | null {
  const face = plainFront(made);
  return face && turned(made.built.cavities[0], { width: mm(face.width), height: mm(face.height) });
}

/** A hole with paper all round it. */
const liesIn = ({ x, y, diameter }: Size['holes'][number], width: number, height: number): boolean =>
  Math.min(x, y, width - x, height - y) > diameter / 2;

/** A rectangle with its scores and holes: panels from score to score. */
function pieceFrom({ title, width, height, scores, holes }: Omit<Companion, 'piece'>): Piece {
  const name = title.toLowerCase();
  const rows = [0, ...scores, height];
  const panels = rows.slice(1).map((top, i) => ({ id: `part-${i + 1}`, name, polygon: rect(0, rows[i]!, width, top) }));
  const piece = drawPiece({
    name,
    blank: { width, height },
    panels,
    folds: scores.map((_, i) => ({ id: `s-${i + 1}`, between: [panels[i]!.id, panels[i + 1]!.id] as const })),
  });
  const panelAt = (y: number): string => panels[rows.findLastIndex((low) => low <= y)]!.id;
  return {
    ...piece,
    holes: holes.map(({ x, y, diameter }, i) => ({
      id: `hole-${i + 1}`,
      panel: panelAt(y),
      centre: { x, y },
      diameter,
    })),
  };
}
