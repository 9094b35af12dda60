import type { Ease } from '../constructions';
import { INCH, mm, onGraduation, roundTo, type Graduation, type Mm } from '../length';

/** How contents sat one way in a finished thing, and by how much it was off; 0 when that was not measured. */
export interface Fitted {
  readonly how: 'tight' | 'right' | 'loose';
  readonly by: Mm;
}

/** One make: what it was made for, the room its plan left, and how it then fitted. */
export interface FitSeen {
  readonly contents?: { readonly width: number; readonly height: number; readonly thickness: number };
  readonly room: Ease;
  readonly fit: { readonly width: Fitted; readonly height: Fitted };
}

/** "Tight" or "loose" without a measure counts as this much, mm: the least a hand tells apart. From memory. */
export const FELT = INCH / 16;
/** Room is never advised under nothing. */
const NONE = mm(0);

/** What a person's fits say about the room to leave one way. */
export interface RoomAdvice {
  /** Room that would have been right, mm: the middle one of what every make says. */
  readonly wanted: Mm;
  /** The same on the person's marks. */
  readonly onMark: Mm;
  /** The least and the most that any one make says, mm. */
  readonly least: Mm;
  readonly most: Mm;
  /** Makes it rests on, and how many of them were not right. */
  readonly makes: number;
  readonly off: number;
}

/** The room that would have been right in one make, mm: what was left, and more where it was tight. */
export function wantedRoom(room: Mm, { how, by }: Fitted): Mm {
  const off = how === 'right' ? 0 : by > 0 ? by : FELT;
  return mm(Math.max(NONE, how === 'tight' ? room + off : room - off));
}

/**
 * The room to leave from now on, each way: the median of what each make would have wanted, so that one odd sheet does
 * not pull it away. Null without makes. Rounded up to a mark of the graduation: a hair too much slides, a hair too little
 * does not go in. Where a misfit was measured on things of this very size, what those say stands before all others.
 */
export function roomFromFits(
  all: readonly FitSeen[],
  graduation: Graduation,
  contents?: FitSeen['contents'],
): { readonly width: RoomAdvice; readonly height: RoomAdvice } | null {
  if (all.length === 0) return null;
  const ofSize = contents ? all.filter((make) => isSize(make.contents, contents)) : [];
  const makes = ofSize.some(({ fit }) => isMeasured(fit)) ? ofSize : all;
  const advice = (side: 'width' | 'height'): RoomAdvice => {
    const wanted = makes.map(({ room, fit }) => wantedRoom(room[side], fit[side])).sort((a, b) => a - b);
    const middle = median(wanted);
    return {
      wanted: middle,
      onMark: onGraduation(middle, graduation) ? middle : roundTo(middle, graduation, 'up'),
      least: wanted[0]!,
      most: wanted.at(-1)!,
      makes: makes.length,
      off: makes.filter(({ fit }) => fit[side].how !== 'right').length,
    };
  };
  return { width: advice('width'), height: advice('height') };
}

/** Two sizes are one for a maker within this, mm. */
const ALIKE = 0.5;
const isSize = (a: FitSeen['contents'], b: NonNullable<FitSeen['contents']>): boolean =>
  a !== undefined && (['width', 'height', 'thickness'] as const).every((side) => Math.abs(a[side] - b[side]) <= ALIKE);
const isMeasured = ({ width, height }: FitSeen['fit']): boolean =>
  [width, height].some(({ how, by }) => how !== 'right' && by > 0);

function median(sorted: readonly Mm[]): Mm {
  const half = Math.floor(sorted.length / 2);
  return sorted.length % 2 === 1 ? sorted[half]! : mm((sorted[half - 1]! + sorted[half]!) / 2);
}

/** Contents no thicker than this count as flat, mm: a card with a picture glued on. From memory. */
const FLAT = 1;

/** Kinds of contents whose fits are told apart: what lies flat, and what has body. */
export type ContentsKind = 'flat' | 'thick';
export const contentsKind = ({ thickness }: { readonly thickness: number }): ContentsKind =>
  thickness <= FLAT ? 'flat' : 'thick';
