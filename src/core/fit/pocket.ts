import type { Contents, Ease } from '../constructions';
import {
  slotOf,
  stageAfter,
  unfolds,
  type Cavity,
  type FlatCavity,
  type Folded,
  type Room,
  type Size3,
  type Slot,
} from '../fold';
import { mm, type Mm } from '../length';
import type { Fit, Hold } from './hold';

/** Thickness a cavity's walls do not take up by standing apart. */
const beyondGusset = ({ opens }: Slots, thickness: number): number => Math.max(0, thickness - (opens ?? 0));
/** Share of the thickness that a cavity's height loses: closed at both ends, or open at one. */
const bulge = (cavity: FlatCavity): number => (cavity.kind === 'closed' ? 1 : 0.5);

/** Lengths along the contents' own axes as the mouth sees them (width across it, height into it), and back. */
export const turned = <T>(
  cavity: Cavity | undefined,
  { width, height }: { width: T; height: T },
): { width: T; height: T } =>
  cavity && cavity.kind !== 'box' && cavity.acrossMouth === 'height'
    ? { width: height, height: width }
    : { width, height };

/** A cavity as it is when the contents go in, and as it is at the end. */
export interface Slots {
  readonly cavity: FlatCavity;
  readonly going: Slot;
  readonly lying: Slot;
  /** How far its walls stand apart at the mouth, mm, as the folded gusset unfolds; null without one. */
  readonly opens: Mm | null;
}

/** Opens a cavity at both moments. */
export function slotsOf(folded: Folded, cavity: FlatCavity): Slots {
  const { stack } = stageAfter(folded, cavity.insertAfter);
  return {
    cavity,
    opens: cavity.gusset ? mm(Math.min(...cavity.gusset.map((between) => unfolds(stack, between)))) : null,
    going: slotOf(stack, cavity, false, folded.slack),
    lying: slotOf(folded.finished, cavity, !cavity.through, folded.slack),
  };
}

/** The largest flat thing that both goes in and lies inside; mm along the contents' own axes. */
export const insideOf = ({ cavity, going, lying }: Slots): Room =>
  turned(cavity, smaller(going.largest, lying.largest));

const smaller = (a: Room, b: Room): Room => ({
  width: mm(Math.min(a.width, b.width)),
  height: mm(Math.min(a.height, b.height)),
});

/** How the given contents fit, asked of the folded shape at insertion and when closed. */
export function fitOf(slots: Slots, contents: Contents): Fit {
  const { cavity, going, lying } = slots;
  const flat = turned(cavity, contents);
  const thick = beyondGusset(slots, contents.thickness);
  const deep = flat.height + bulge(cavity) * thick;
  const want = { width: flat.width + thick, height: cavity.through ? Math.min(deep, lying.largest.height) : deep };
  const room = smaller(going.roomFor(want), lying.roomFor(want));
  return {
    ease: turned(cavity, { width: mm(room.width - want.width), height: mm(room.height - want.height) }),
    depth: mm(0),
    insert: going.test(want),
    seat: lying.test(want),
  };
}

/** Most width and height that keep the least ease at a thickness; 0 where nothing fits. */
export function largestContents(slots: Slots, inside: Room, least: Ease, thickness: Mm): Contents {
  const { width, height } = turned(slots.cavity, inside);
  const limit = turned(slots.cavity, least);
  const thick = beyondGusset(slots, thickness);
  const most = turned(slots.cavity, {
    width: mm(Math.max(0, width - thick - limit.width)),
    height: mm(Math.max(0, height - bulge(slots.cavity) * thick - limit.height)),
  });
  return { ...most, thickness };
}

/** Most thickness at a width and height that keeps the least ease both ways; 0 when they do not fit at all. */
export function thickest({ cavity, opens }: Slots, inside: Room, least: Ease, contents: Contents): Mm {
  const [room, flat, limit] = [turned(cavity, inside), turned(cavity, contents), turned(cavity, least)];
  const across = room.width - flat.width - limit.width;
  const into = cavity.through ? Infinity : (room.height - flat.height - limit.height) / bulge(cavity);
  const most = Math.min(across, into);
  if (most < -1e-9) return mm(0);
  // Walls that stand apart take what stands between them, and no more.
  return opens ?? mm(Math.max(0, most));
}

/**
 * Where flat contents lie in the cavity, mm, seen with its mouth at the top: in the middle, and against the bottom
 * where there is one.
 */
export function seatIn(
  cavity: FlatCavity,
  inside: { readonly width: Mm; readonly height: Mm },
  contents: { readonly width: Mm; readonly height: Mm },
): { readonly x: number; readonly y: number; readonly width: Mm; readonly height: Mm } {
  const [lying, room] = [turned(cavity, contents), turned(cavity, inside)];
  const left = room.height - lying.height;
  return {
    ...lying,
    x: (room.width - lying.width) / 2,
    y: cavity.through ? left / 2 : Math.max(0, left),
  };
}

/** A flat cavity, ready to be asked. */
export function pocketHold(folded: Folded, cavity: FlatCavity): Hold {
  const slots = slotsOf(folded, cavity);
  const inside: Size3 = { ...insideOf(slots), depth: mm(0) };
  return {
    cavity,
    inside,
    limits: cavity.through ? [cavity.acrossMouth ?? 'width'] : ['width', 'height'],
    opens: slots.opens,
    fit: (contents) => fitOf(slots, contents),
    largest: (least, thickness) => largestContents(slots, inside, least, thickness),
    thickest: (least, contents) => thickest(slots, inside, least, contents),
  };
}
