/** Planning a set: each part from the outsides of what it holds, or into the room of what it fills. */
import type { Contents } from '../constructions';
import { TOLERANCE } from '../geometry';
import { mm, roundTo, stepOf, type Mm } from '../length';
import { planFor, type Made, type Plan } from '../plan';
import type { Design } from '../design';
import { listed, uncapitalised } from '../text';
import { alike, eachOf, onEachOther, outsideOf, together, type Outside } from './outside';
import type { HeldPart, Part, SetDesign } from './set';

/** A part with its plan; what it holds and how large it then is. */
export interface PlannedPart {
  readonly part: Part;
  readonly plan: Plan;
  /** All that lies in it together, or that it goes round, as its own axes see it; null where nothing tells it. */
  readonly holds: Contents | null;
  /** Filled, as what holds it sees it: a band with what it goes round. Null where no pattern exists. */
  readonly outside: Outside | null;
  /** The thing by itself, filled: a band as it is. */
  readonly own: Outside | null;
  /** What fills another, were it made with the other room: with what is aimed for, or the largest there can be. */
  readonly otherwise: Contents | null;
}

/** A set with all its parts planned. */
export interface SetPlan {
  readonly set: SetDesign;
  /** From the innermost outwards. */
  readonly parts: readonly PlannedPart[];
}

/** How a design is planned: anew, or as somebody remembers it. */
export type Planner = (design: Design) => Plan;

/** So often what fills a room is fitted to it at most: its outside grows nearly as its inside does. */
const FITTINGS = 8;

/** Plans every part of a set, inner to outer; what fills another comes after it. */
export function planSet(set: SetDesign, plan: Planner = planFor): SetPlan {
  const done = new Map<string, PlannedPart>();
  const part = (id: string): Part => set.parts.find((one) => one.id === id)!;
  for (const one of set.parts) if (!one.fills) planOuter(one, { done, part, plan });
  return { set, parts: set.parts.flatMap(({ id }) => done.get(id) ?? []) };
}

interface SetBench {
  readonly done: Map<string, PlannedPart>;
  readonly part: (id: string) => Part;
  readonly plan: Planner;
}

/** Plans a part whose size comes from within or stands by itself, and then what fills it. */
const planOuter = (part: Part, bench: SetBench): void => planFilled(part, bench, (more) => sizedFor(part, more, bench));

/** Plans a part with so much thickness to spare, and what fills it; then once more with the thickness that takes. */
function planFilled(part: Part, bench: SetBench, planned: (more: Mm) => PlannedPart): void {
  const fillers = part.holds.filter(({ fills }) => fills);
  const settle = (more: Mm): void => {
    const holder = planned(more);
    bench.done.set(part.id, holder);
    for (const hold of fillers) planFilling(bench.part(hold.part), hold, holder, bench);
  };
  settle(mm(0));
  const more = fillers.reduce(
    (sum, { part: id, count }) => sum + count * (bench.done.get(id)?.outside?.thickness ?? 0),
    0,
  );
  if (!part.fixed && more > TOLERANCE.length) settle(mm(more));
  // What is of its own size is not planned anew: it is filled, and as thick as that makes it.
  if (part.fixed && fillers.length > 0) {
    const { plan, holds } = bench.done.get(part.id)!;
    bench.done.set(part.id, filled(part, plan, lyingIn(part.holds, bench, standsOnFloor(plan)) ?? holds));
  }
}

/** A part planned for what it holds or goes round, with so much thickness more. */
function sizedFor(part: Part, more: Mm, bench: SetBench): PlannedPart {
  const held = heldBy(part);
  const planned = (onFloor: boolean): PlannedPart => {
    const holds = lyingIn(held, bench, onFloor);
    if (!holds && !part.fixed && held.length > 0)
      return untold(part, listed(held.map(({ part: id }) => uncapitalised(bench.part(id).name))));
    return carriedOut(part, holds && { ...holds, thickness: mm(holds.thickness + more) }, bench);
  };
  const first = planned(false);
  // Whether things on edge stand on a floor is known once there is one.
  return standsOnFloor(first.plan) && held.some(({ lie }) => lie === 'on-edge') ? planned(true) : first;
}

/** True for what has a floor, and does not hold things on edge by itself. */
function standsOnFloor({ made }: Plan): boolean {
  const [cavity] = made?.built.cavities ?? [];
  return cavity?.kind === 'box' && !cavity.onEdge;
}

/** A part that another should tell the size of, and does not. */
const untold = (part: Part, from: string): PlannedPart => ({
  part,
  plan: {
    design: { ...part.design, contents: null },
    made: null,
    refusal: { code: 'not-told', value: mm(0), limit: mm(0), about: { part: from } },
  },
  holds: null,
  outside: null,
  own: null,
  otherwise: null,
});

type Held = Pick<HeldPart, 'part' | 'count' | 'lie' | 'turn'>;

/** What a part takes its size from: what it holds, or goes round. */
export const heldBy = ({ holds, round }: Pick<Part, 'holds' | 'round'>): readonly Held[] =>
  round ? [{ ...round, turn: false }] : holds.filter(({ fills }) => !fills);

/** Some things together as they lie in one; null where there are none, or something of them has no plan. */
function lyingIn(held: readonly Held[], { done }: SetBench, onFloor: boolean): Contents | null {
  const all = held.flatMap((hold) => {
    const outside = done.get(hold.part)?.outside;
    return outside ? [together(hold, alike(hold.count, outside), onFloor)] : [];
  });
  return held.length > 0 && all.length === held.length ? onEachOther(all) : null;
}

/** A part planned for some contents; what stands by itself is planned as it is. */
function carriedOut(part: Part, holds: Contents | null, { plan, part: named }: SetBench): PlannedPart {
  const design = designFor(part, part.fixed ? null : holds, named);
  return filled(part, plan(design), holds);
}

/** A part as it was planned, with what lies in it or what it goes round. */
function filled(part: Part, plan: Plan, holds: Contents | null): PlannedPart {
  const { made, design } = plan;
  const thick = holds?.thickness ?? (part.given ? 0 : design.thickness);
  const own = made && outsideOf(made, design, part.given, thick);
  return { part, plan, holds, own, outside: own && part.round && holds ? round(own, holds) : own, otherwise: null };
}

/** What goes round something, with it: as large as the larger of them each way. */
const round = (own: Outside, holds: Contents): Outside => ({
  width: mm(Math.max(own.width, holds.width)),
  height: mm(Math.max(own.height, holds.height)),
  thickness: mm(Math.max(own.thickness, holds.thickness)),
});

/** A part’s design for what goes in, and what that is called. */
function designFor(part: Part, contents: Contents | null, named: SetBench['part']): Design {
  const called = calledTogether(part, named);
  const design = called === null ? part.design : { ...part.design, holds: called };
  return contents ? { ...design, contents, thickness: contents.thickness } : design;
}

/** What a part holds in words: `card`, `4 envelopes and tag`; null for nothing of the set. */
function calledTogether(part: Part, named: SetBench['part']): string | null {
  const all = part.round ? [part.round] : part.holds;
  if (all.length === 0) return null;
  return all.map(({ part: id, count }) => counted(count, named(id).name)).join(' and ');
}

/** So many of something, in words: `card`, `12 star cards`. */
export const counted = (count: number, name: string): string => {
  return count === 1 ? uncapitalised(name) : `${count} ${plural(uncapitalised(name))}`;
};

/** More than one of a thing, by the usual endings; what ends in s is taken for several already. */
function plural(name: string): string {
  if (!/[a-z]$/iu.test(name) || name.endsWith('s')) return name;
  if (/(?:[xz]|[cs]h)$/u.test(name)) return `${name}es`;
  return /[^aeiou]y$/u.test(name) ? `${name.slice(0, -1)}ies` : `${name}s`;
}

/** Plans what is as large as the room of its holder allows, on its marks; and what fills that. */
const planFilling = (part: Part, hold: HeldPart, holder: PlannedPart, bench: SetBench): void =>
  planFilled(part, bench, (more) => {
    const found = fitted(part, roomIn(holder.plan, hold), more, bench);
    if (!found) return untold(part, `room of the ${uncapitalised(holder.part.name)}`);
    const other = fitted(
      part,
      roomIn(holder.plan, { ...hold, room: hold.room === 'aim' ? 'least' : 'aim' }),
      more,
      bench,
    );
    return { ...found, otherwise: other?.plan.design.contents ?? null };
  });

/** The largest on its marks whose outside the room takes; null where nothing of it goes in. One mark more either way does not. */
function fitted(part: Part, room: RoomIn | null, thickness: Mm, bench: SetBench): PlannedPart | null {
  if (!room) return null;
  const marks = part.design.graduation;
  const step = marks === 'exact' ? TOLERANCE.folded : stepOf(marks);
  const onMark = (length: number): Mm => (marks === 'exact' ? mm(length) : roundTo(mm(length), marks, 'down'));
  const at = (width: number, height: number): PlannedPart | null =>
    width > 0 && height > 0
      ? carriedOut({ ...part, fixed: false }, { width: onMark(width), height: onMark(height), thickness }, bench)
      : null;
  let [width, height] = [room.width as number, room.height as number];
  let best: PlannedPart | null = null;
  for (let i = 0; i < FITTINGS; i++) {
    const tried = at(width, height);
    if (!tried) break;
    const { outside } = tried;
    if (!outside) {
      // Too large to be drawn as well as too small: a little less, and then it is given up.
      [width, height] = [width * 0.9, height * 0.9];
      continue;
    }
    const over = { width: outside.width - room.width, height: outside.height - room.height };
    if (within(outside, room)) {
      if (!best || larger(tried, best)) best = tried;
      // It may have shrunk by more than it had to: a mark more, once it goes in.
      const [moreWide, moreHigh] = [-over.width >= step - TOLERANCE.length, -over.height >= step - TOLERANCE.length];
      if (!moreWide && !moreHigh) break;
      [width, height] = [
        onMark(width) + (moreWide ? onMark(-over.width) : 0),
        onMark(height) + (moreHigh ? onMark(-over.height) : 0),
      ];
      continue;
    }
    [width, height] = [
      Math.min(width, onMark(width)) - Math.max(0, over.width),
      Math.min(height, onMark(height)) - Math.max(0, over.height),
    ];
  }
  // What its outside does not grow with may still grow: a mark at a time, for as long as it goes in.
  while (best && marks !== 'exact') {
    const now: Contents = best.plan.design.contents!;
    const more = [
      at(now.width + step, now.height + step),
      at(now.width + step, now.height),
      at(now.width, now.height + step),
    ];
    const next = more.find((tried) => tried?.outside && within(tried.outside, room));
    if (!next) break;
    best = next;
  }
  return best;
}

/** Whether a thing lies in a room, by its outside. */
const within = (outside: Outside, room: RoomIn): boolean =>
  outside.width <= room.width + TOLERANCE.length && outside.height <= room.height + TOLERANCE.length;

const larger = ({ outside: a }: PlannedPart, { outside: b }: PlannedPart): boolean =>
  a !== null && (b === null || a.width * a.height > b.width * b.height);

interface RoomIn {
  readonly width: Mm;
  readonly height: Mm;
}
/** A room in what came out larger or smaller than it was planned. */
const asItCame = ({ finished }: Made, { measured = finished }: Design, room: Contents): Contents => ({
  ...room,
  width: mm(room.width + measured.width - finished.width),
  height: mm(room.height + measured.height - finished.height),
});

/** The most one of some like things may measure to lie in a holder with its room, least or aimed for; null where none goes in. */
function roomIn({ made, design }: Plan, hold: HeldPart): RoomIn | null {
  const [opened] = made?.holds ?? [];
  if (!opened) return null;
  const { width, height } = eachOf(hold, asItCame(made!, design, opened.largest(design[hold.room], design.thickness)));
  return width > 0 && height > 0 ? { width, height } : null;
}
