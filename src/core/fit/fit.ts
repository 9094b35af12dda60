import type { Built, Contents, Ease } from '../constructions';
import { slotOf, stageAfter, type Cavity, type Folded, type Slot, type SlotRefusal } from '../fold';
import { mm, type Mm } from '../length';

/** Share of the thickness that a cavity's height loses: closed at both ends, or open at one. */
const bulge = (cavity: Cavity): number => (cavity.kind === 'closed' ? 1 : 0.5);

/** How contents sit in a folded holder; width and height along the contents' own. */
export interface Fit {
  /** Room left beside these contents, thickness taken off; negative when they do not fit. */
  readonly ease: Ease;
  /** Why the contents cannot go in, or cannot lie inside once closed. */
  readonly insert: SlotRefusal;
  readonly seat: SlotRefusal;
}

/** Lengths along the contents' own axes as the mouth sees them (width across it, height into it), and back. */
export const turned = <T>(built: Built, { width, height }: { width: T; height: T }): { width: T; height: T } =>
  built.acrossMouth === 'width' ? { width, height } : { width: height, height: width };

/** The first cavity as it is when the contents go in, and as it is at the end. */
export interface Slots {
  readonly going: Slot;
  readonly lying: Slot;
}

/** Opens the first cavity of a folded holder at both moments. */
export function slotsOf(built: Built, folded: Folded): Slots {
  const [cavity] = built.cavities;
  return {
    going: slotOf(stageAfter(folded, cavity.insertAfter).stack, cavity, false),
    lying: slotOf(folded.finished, cavity, cavity.kind === 'closed'),
  };
}

/** The largest flat thing that both goes in and lies inside; mm along the contents' own axes. */
export const insideOf = (built: Built, { going, lying }: Slots): Ease =>
  turned(built, smaller(going.largest, lying.largest));

const smaller = (a: Ease, b: Ease): Ease => ({
  width: mm(Math.min(a.width, b.width)),
  height: mm(Math.min(a.height, b.height)),
});

/** How the given contents fit, asked of the folded shape at insertion and when closed. */
export function fitOf(built: Built, { going, lying }: Slots, contents: Contents): Fit {
  const flat = turned(built, contents);
  const want = {
    width: flat.width + contents.thickness,
    height: flat.height + bulge(built.cavities[0]) * contents.thickness,
  };
  const room = smaller(going.roomFor(want), lying.roomFor(want));
  return {
    ease: turned(built, { width: mm(room.width - want.width), height: mm(room.height - want.height) }),
    insert: going.test(want),
    seat: lying.test(want),
  };
}

/** Most width and height that keep the least ease at a thickness; 0 where nothing fits. */
export function largestContents(built: Built, inside: Ease, least: Ease, thickness: Mm): Contents {
  const [cavity] = built.cavities;
  const { width, height } = turned(built, inside);
  const limit = turned(built, least);
  const most = turned(built, {
    width: mm(Math.max(0, width - thickness - limit.width)),
    height: mm(Math.max(0, height - bulge(cavity) * thickness - limit.height)),
  });
  return { ...most, thickness };
}

/** Most thickness at a width and height that keeps the least ease both ways; 0 when they do not fit at all. */
export function thickest(built: Built, inside: Ease, least: Ease, contents: Contents): Mm {
  const [cavity] = built.cavities;
  const [room, flat, limit] = [turned(built, inside), turned(built, contents), turned(built, least)];
  const most = Math.min(
    room.width - flat.width - limit.width,
    (room.height - flat.height - limit.height) / bulge(cavity),
  );
  return mm(most < 1e-9 ? 0 : most);
}
