import { compose, invert } from '../geometry';
import { USUAL_CALIPER } from '../length';
import type { Blank } from '../pattern';
import { paperOf, type Design } from '../design';
import { backOf, frontOf, printLies } from '../papers';
import { partNamed, type Made } from '../plan';
import { papered, type Scene, type SheetLooks, type SpaceScene } from '../scene';
import { laidOnPaper } from './print';

/** What a sheet looks like on either side where a blank is cut from it as told, on the blank's own places. */
function looksOn(paper: Design['paper'], blank: Blank): SheetLooks {
  const [wide, high] = paper.turn % 2 === 0 ? [blank.width, blank.height] : [blank.height, blank.width];
  const sheet = { width: paper.width ?? wide, height: paper.height ?? high };
  const back = invert(laidOnPaper(paper, blank));
  const [front, behind] = [frontOf(paper), backOf(paper)];
  return {
    // A sheet lies with its back up while it is worked on: its front becomes the outside.
    outside: { face: front, lies: compose(back, printLies(front, 'front', sheet.width)) },
    inside: { face: behind, lies: compose(back, printLies(behind, 'back', sheet.width)) },
  };
}

/** What a sheet of paper looks like that nothing is known of but its name. */
export const looksNamed = (name: string, blank: Blank): SheetLooks => looksOn({ ...UNTOLD, name }, blank);
const UNTOLD = { caliper: USUAL_CALIPER, sided: 2, directional: false, turn: 0 } as const;

const KNOWN = new WeakMap<Made, Map<string, SheetLooks>>();

/** What the paper of a piece looks like, by its name; that of a layer too. */
export function looksOf(made: Made, piece: string): SheetLooks {
  const known = KNOWN.get(made) ?? new Map<string, SheetLooks>();
  KNOWN.set(made, known);
  const looks = known.get(piece) ?? looksOn(paperOf(made.papers, piece), partNamed(made, piece).piece.blank);
  known.set(piece, looks);
  return looks;
}

/** A scene of what was made, with its paper as it looks. */
export const asMade = <S extends Scene | SpaceScene>(made: Made, scene: S): S =>
  papered(scene, (piece) => looksOf(made, piece));
