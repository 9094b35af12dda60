import { compose, translation, type Affine, type Point } from '../geometry';
import type { Blank, Piece } from '../pattern';
import type { Rescued, Turned } from './schema';

/** A sheet turned so: from how it first lay to how it lies, and how large it is then. */
export interface Orientation {
  readonly turned: Turned;
  readonly over: boolean;
  readonly map: Affine;
  readonly size: Blank;
}

/** The eight ways a sheet can lie, as it is first. */
export function orientations({ width, height }: Blank): readonly Orientation[] {
  const across = { width: height, height: width };
  const turns: readonly Omit<Orientation, 'over'>[] = [
    { turned: 'not', map: [1, 0, 0, 1, 0, 0], size: { width, height } },
    { turned: 'round', map: [-1, 0, 0, -1, width, height], size: { width, height } },
    { turned: 'left', map: [0, 1, -1, 0, height, 0], size: across },
    { turned: 'right', map: [0, -1, 1, 0, 0, width], size: across },
  ];
  return [
    ...turns.map((turn): Orientation => ({ ...turn, over: false })),
    ...turns.map((turn): Orientation => ({
      ...turn,
      over: true,
      map: compose([-1, 0, 0, 1, turn.size.width, 0], turn.map),
    })),
  ];
}

/** From a sheet that lies so to a pattern that begins there on it. */
export const layFrom = ({ map }: Pick<Orientation, 'map'>, { x, y }: Point<'sheet'>): Affine =>
  compose(translation(-x, -y), map);

/** From the sheet as it first lay to the pattern that is made of it. */
export function layOf({ sheet, turned, over, at }: Pick<Rescued, 'sheet' | 'turned' | 'over' | 'at'>): Affine {
  const lies = orientations(sheet).find((one) => one.turned === turned && one.over === over)!;
  return layFrom(lies, at);
}

/** Less is its own end, mm. */
const BEGINS = 0.5;

/** What is to be cut off a sheet that went wrong before anything else, from its own left end and near edge as it lies then, mm. */
export interface CutAway {
  readonly left: number;
  readonly near: number;
  /** How broad and high it is cut; null where it is no larger. */
  readonly width: number | null;
  readonly height: number | null;
}

export function cutAway({ blank }: Pick<Piece, 'blank'>, rescued: Rescued): CutAway {
  const { size } = orientations(rescued.sheet).find(
    ({ turned, over }) => turned === rescued.turned && over === rescued.over,
  )!;
  const { x, y } = rescued.at;
  const [left, near] = [Math.max(0, x), Math.max(0, y)];
  return {
    left: left > BEGINS ? left : 0,
    near: near > BEGINS ? near : 0,
    width: size.width - x - blank.width > BEGINS ? blank.width + Math.min(0, x) : null,
    height: size.height - y - blank.height > BEGINS ? blank.height + Math.min(0, y) : null,
  };
}

/** True where the sheet is worked on as it lies, with nothing to be turned or cut first. */
export function liesAsItIs(piece: Piece, rescued: Rescued): boolean {
  const { left, near, width, height } = cutAway(piece, rescued);
  return rescued.turned === 'not' && !rescued.over && left + near === 0 && width === null && height === null;
}
