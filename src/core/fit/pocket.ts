import type { Contents, Ease } from '../constructions';
import {
  addsToMouth,
  NO_PAPER,
  slotOf,
  stageAfter,
  unfolds,
  type Calipers,
  type Cavity,
  type FitRefusal,
  type FlatCavity,
  type Folded,
  type Room,
  type Slack,
  type Size3,
  type Slot,
  type Stack,
} from '../fold';
import { TOLERANCE } from '../geometry';
import { mm, type Mm } from '../length';
import type { Fit, OpenCavity } from './hold';

/**
 * What the contents' thickness takes of the room each way, mm, but for what walls take up by standing apart. At a bottom
 * that is a plain fold nothing stands apart.
 */
function thickTakes({ cavity, adds, lying: { taken } }: Slots, thickness: number): { width: number; height: number } {
  const beyond = Math.max(0, thickness - adds);
  return { width: beyond, height: bulge(cavity) * (taken.wedge ? thickness : beyond) };
}

/** What the holder's own paper takes each way, mm: its layers as any thickness does, and its folded edges. */
const paperTakes = ({ cavity, lying: { taken } }: Slots): { width: number; height: number } => ({
  width: taken.width + taken.layers,
  height: cavity.through ? 0 : taken.height + bulge(cavity) * taken.layers,
});

/** Share of the thickness that a cavity's height loses: closed at both ends, or open at one. */
const bulge = (cavity: FlatCavity): number => (cavity.kind === 'closed' ? 1 : 0.5);

/** Lengths along the contents' own axes as the mouth sees them (width across it, height into it), and back. */
export const alongContents = <T>(
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
  /** How much of that its mouth gains: half of what its perimeter is longer than its two walls, mm. */
  readonly adds: number;
}

/** Opens a cavity at both moments. */
export function slotsOf(folded: Folded, cavity: FlatCavity, caliper: Calipers = NO_PAPER): Slots {
  const { stack } = stageAfter(folded, cavity.insertAfter);
  return {
    cavity,
    opens: cavity.gusset ? mm(Math.min(...cavity.gusset.map((between) => unfolds(stack, between)))) : null,
    adds: cavity.gusset ? Math.min(...cavity.gusset.map((between) => addsToMouth(stack, between))) : 0,
    going: slotOf(stack, cavity, false, folded.slack),
    lying: slotOf(folded.finished, cavity, !cavity.through, folded.slack, caliper),
  };
}

/** The largest flat thing that both goes in and lies inside; mm along the contents' own axes. */
export const insideOf = ({ cavity, going, lying }: Slots): Room =>
  alongContents(cavity, smaller(going.largest, lying.largest));

const smaller = (a: Room, b: Room): Room => ({
  width: mm(Math.min(a.width, b.width)),
  height: mm(Math.min(a.height, b.height)),
});

/** When the contents go in, and at the end. */
interface Moments<T> {
  readonly insertAfter: T;
  readonly finished: T;
}

/** Room in a cavity both when the contents go in and when they lie, for a thing as large, mm along the contents' own axes. */
export function roomAt(
  { insertAfter, finished }: Moments<Stack>,
  above: Moments<ReadonlySet<string>>,
  cavity: FlatCavity,
  contents: Pick<Contents, 'width' | 'height'>,
  slack: Slack,
): Room {
  const want = alongContents(cavity, contents);
  const going = slotOf(insertAfter, cavity, false, slack, NO_PAPER, above.insertAfter);
  const lying = slotOf(finished, cavity, !cavity.through, slack, NO_PAPER, above.finished);
  return alongContents(cavity, smaller(going.roomFor(want), lying.roomFor(want)));
}

/** How the given contents fit, asked of the folded shape at insertion and when closed. */
export function fitOf(slots: Slots, contents: Contents): Fit {
  const { cavity, going, lying } = slots;
  const flat = alongContents(cavity, contents);
  const { width, height } = thickTakes(slots, contents.thickness);
  const deep = flat.height + height;
  const want = { width: flat.width + width, height: cavity.through ? Math.min(deep, lying.largest.height) : deep };
  const room = smaller(going.roomFor(want), lying.roomFor(want));
  const paper = paperTakes(slots);
  const left = (side: 'width' | 'height'): Mm => mm(pressed(room[side] - want[side], paper[side]));
  const ease = alongContents(cavity, { width: left('width'), height: left('height') });
  const stuck: FitRefusal =
    ease.width < -TOLERANCE.drawn ? 'too_wide' : ease.height < -TOLERANCE.drawn ? 'too_high' : null;
  return { ease, depth: mm(0), insert: going.test(want) ?? stuck, seat: lying.test(want) ?? stuck };
}

/** Paper gives way so much where the contents would just fill the room as it is scored, mm. From memory. */
const GIVES = 0.5;

/** Room less what the holder's own paper takes of it; where that little is lacking, none is left. */
function pressed(room: number, paper: number): number {
  const left = room - paper;
  return left < 0 && left > -GIVES && room >= -TOLERANCE.folded ? 0 : left;
}

/** Most width and height that keep the least ease at a thickness; 0 where nothing fits. */
export function largestContents(slots: Slots, inside: Room, least: Ease, thickness: Mm): Contents {
  const { cavity } = slots;
  const [room, limit] = [alongContents(cavity, inside), alongContents(cavity, least)];
  const [thick, paper] = [thickTakes(slots, thickness), paperTakes(slots)];
  const most = (side: 'width' | 'height'): Mm => mm(Math.max(0, room[side] - thick[side] - paper[side] - limit[side]));
  return { ...alongContents(cavity, { width: most('width'), height: most('height') }), thickness };
}

/** Most thickness at a width and height that keeps the least ease both ways; 0 when they do not fit at all. */
export function thickest(slots: Slots, inside: Room, least: Ease, contents: Contents): Mm {
  const { cavity, opens, adds, lying } = slots;
  const [room, flat, limit] = [
    alongContents(cavity, inside),
    alongContents(cavity, contents),
    alongContents(cavity, least),
  ];
  const paper = paperTakes(slots);
  const left = (side: 'width' | 'height'): number => room[side] - paper[side] - flat[side] - limit[side];
  const [across, into] = [left('width'), cavity.through ? Infinity : left('height') / bulge(cavity)];
  if (Math.min(across, into) < -TOLERANCE.length) return mm(0);
  // Walls that stand apart take what stands between them, and no more; a bottom that is a fold takes what it can.
  const most = Math.min(opens ?? Infinity, across + adds, lying.taken.wedge ? into : into + adds);
  return mm(Math.max(0, most));
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
  const [lying, room] = [alongContents(cavity, contents), alongContents(cavity, inside)];
  const left = room.height - lying.height;
  return {
    ...lying,
    x: (room.width - lying.width) / 2,
    y: cavity.through ? left / 2 : Math.max(0, left),
  };
}

/** A flat cavity, ready to be asked. */
export function pocketHold(folded: Folded, cavity: FlatCavity, caliper: Calipers): OpenCavity {
  const slots = slotsOf(folded, cavity, caliper);
  const inside: Size3 = { ...insideOf(slots), depth: mm(0) };
  const paper = paperTakes(slots);
  return {
    cavity,
    inside,
    taken: { ...alongContents(cavity, { width: mm(paper.width), height: mm(paper.height) }), depth: mm(0) },
    limits: cavity.through ? [cavity.acrossMouth ?? 'width'] : ['width', 'height'],
    opens: slots.opens,
    fit: (contents) => fitOf(slots, contents),
    largest: (least, thickness) => largestContents(slots, inside, least, thickness),
    thickest: (least, contents) => thickest(slots, inside, least, contents),
  };
}
