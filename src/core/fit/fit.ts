import type { Built, Contents, Ease } from '../constructions';
import { roomIn, slotTest, stageAfter, type Cavity, type Folded, type Room, type SlotRefusal } from '../fold';
import { mm, type Mm } from '../length';

/** Share of the thickness that a cavity's height loses: closed at both ends, or open at one. */
const bulge = (cavity: Cavity): number => (cavity.kind === 'closed' ? 1 : 0.5);

/** How contents sit in a folded holder; width and height along the contents' own. */
export interface Fit {
  /** Inside size in the flat. */
  readonly inside: Ease;
  /** Room left beside these contents, thickness taken off; negative when they do not fit. */
  readonly ease: Ease;
  /** Why the contents cannot go in, or cannot lie inside once closed. */
  readonly insert: SlotRefusal;
  readonly seat: SlotRefusal;
}

/** Contents' lengths as the mouth sees them, and back. */
const turned = <T>(built: Built, { width, height }: { width: T; height: T }): { width: T; height: T } =>
  built.acrossMouth === 'width' ? { width, height } : { width: height, height: width };

/** The largest flat thing that both goes in and lies inside, read off the folded shape; mm along the contents' own axes. */
export function insideOf(built: Built, folded: Folded): Ease {
  const [cavity] = built.cavities;
  const going = roomIn(stageAfter(folded, cavity.insertAfter).stack, cavity, null, false);
  const lying = roomIn(folded.finished, cavity, null, cavity.kind === 'closed');
  return turned(built, { width: mm(Math.min(going.width, lying.width)), height: mm(Math.min(going.height, lying.height)) });
}

/** How the given contents fit, asked of the folded shape at insertion and when closed. */
export function fitOf(built: Built, folded: Folded, contents: Contents): Fit {
  const [cavity] = built.cavities;
  const swollen = turned(built, { width: contents.width + contents.thickness, height: contents.height + contents.thickness });
  const want = cavity.kind === 'closed' ? swollen : { width: swollen.width, height: swollen.height - contents.thickness * (1 - bulge(cavity)) };
  const { stack } = stageAfter(folded, cavity.insertAfter);
  const closed = cavity.kind === 'closed';
  const rooms: Room[] = [roomIn(stack, cavity, want, false), roomIn(folded.finished, cavity, want, closed)];
  const left = { width: mm(Math.min(...rooms.map((r) => r.width)) - want.width), height: mm(Math.min(...rooms.map((r) => r.height)) - want.height) };
  return { inside: insideOf(built, folded), ease: turned(built, left), insert: slotTest(stack, cavity, want, false), seat: slotTest(folded.finished, cavity, want, closed) };
}

/** Most width and height that keep the least ease at a thickness; 0 where nothing fits. */
export function largestContents(built: Built, inside: Ease, least: Ease, thickness: Mm): Contents {
  const [cavity] = built.cavities;
  const { width, height } = turned(built, inside);
  const limit = turned(built, least);
  const most = turned(built, { width: mm(Math.max(0, width - thickness - limit.width)), height: mm(Math.max(0, height - bulge(cavity) * thickness - limit.height)) });
  return { ...most, thickness };
}

/** Most thickness at a width and height that keeps the least ease both ways; 0 when they do not fit at all. */
export function thickest(built: Built, inside: Ease, least: Ease, contents: Contents): Mm {
  const [cavity] = built.cavities;
  const [room, flat, limit] = [turned(built, inside), turned(built, contents), turned(built, least)];
  const most = Math.min(room.width - flat.width - limit.width, (room.height - flat.height - limit.height) / bulge(cavity));
  return mm(most < 1e-9 ? 0 : most);
}
