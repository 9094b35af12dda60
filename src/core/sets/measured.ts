/** Measured as made: a part that came out otherwise than planned, and all that is still to be cut for it or round it. */
import { mm, type Say } from '../length';
import { pieceName } from './cut-list';
import { planSet, type PlannedPart, type Planner, type SetPlan } from './plan-set';
import { stepsAt, type LaidPaper, type Stop } from './stop';
import { setsLaid, walkOf, withOwnWays, type DoneAgain, type OwnWay, type WayOfWork } from './walk';

/** A part as it came out of the hands, from the outside, mm, and what was behind when it was measured. */
export interface MeasuredPart {
  readonly part: string;
  readonly measured: { readonly width: number; readonly height: number };
  /** Stops that were behind. */
  readonly at: number;
  /** How the sheets were laid out anew for what is still to be cut. */
  readonly laid?: readonly LaidPaper[];
}

/** A set planned with some of its parts as they came out: what holds them, fills them and lies on them follows. */
export function planAsMade(
  { set }: SetPlan,
  measured: readonly Pick<MeasuredPart, 'part' | 'measured'>[],
  plan?: Planner,
): SetPlan {
  const last = new Map(measured.map((one) => [one.part, one.measured]));
  const parts = set.parts.map((part) => {
    const came = last.get(part.id);
    return came
      ? { ...part, design: { ...part.design, measured: { width: mm(came.width), height: mm(came.height) } } }
      : part;
  });
  return planSet({ ...set, parts }, plan);
}

const pairOf = (part: string, copy: number): string => `${part} ${copy}`;

/** Which copies of which parts are begun when some stops are behind: cut, or cut out of sheets. */
export function begunBy(
  behind: readonly Stop[],
  walk: readonly Stop[],
  planned: SetPlan,
): (part: string, copy: number) => boolean {
  const begun = new Set(behind.flatMap(({ part, copies }) => copies.map((copy) => pairOf(part, copy))));
  const cut = behind.flatMap(({ sheets }) => sheets?.list.pieces.map(({ name }) => name) ?? []);
  if (cut.length > 0)
    for (const stop of walk) {
      if (stop.sheets || stop.step.phase === 'cut') continue;
      if (piecesAt(planned, stop).some((name) => cut.includes(name)))
        for (const copy of stop.copies) begun.add(pairOf(stop.part, copy));
    }
  return (part, copy) => begun.has(pairOf(part, copy));
}

/** How a make is made: sets, and the order of work. */
export interface MakeOf {
  readonly copies: number;
  readonly way: WayOfWork;
}

/**
 * The way through a make after a part was measured: what is begun goes on as it was planned, what is not begun is made for what came
 * out. `planned` is the set as it was planned until then, `next` with the part as measured.
 */
export function withMeasured(
  now: readonly Stop[],
  planned: SetPlan,
  next: SetPlan,
  say: Say,
  { at, laid = [] }: MeasuredPart,
  { copies, way }: MakeOf,
): Stop[] {
  const [behind, rest] = [now.slice(0, at), now.slice(at)];
  const begun = begunBy(behind, now, planned);
  const cutPapers = new Set(behind.flatMap(({ sheets }) => sheets?.paper ?? []));
  // A paper some of whose blanks are begun was not laid out for what is left of it.
  const fresh = laid.filter(({ list }) =>
    now.every(
      (stop) =>
        !piecesAt(planned, stop).some((name) => list.pieces.some((one) => one.name === name)) ||
        !stop.copies.some((copy) => copy > trialOf(planned, stop.part, way, copies) && begun(stop.part, copy)),
    ),
  );
  const anew = walkOf(next, say, copies, way, fresh);
  const nextPart = new Map(next.parts.map((one): [string, PlannedPart] => [one.part.id, one]));
  const keyOf = ({ part, copies: some }: Pick<Stop, 'part' | 'copies'>): string => `${part} ${some.join()}`;
  // Done again, or gone its own way: it comes first, as it would have.
  const isAside = ({ again, own, asMade }: Stop): boolean =>
    again === true || (own !== undefined && asMade === undefined);
  const aside = rest.filter(isAside);
  const waiting = new Map<string, Stop[]>();
  for (const stop of rest) {
    if (isAside(stop)) continue;
    const old = stop.sheets ? cutPapers.has(stop.sheets.paper) : stop.copies.some((copy) => begun(stop.part, copy));
    const key = stop.sheets ? `sheets ${stop.sheets.paper}` : keyOf(stop);
    if (old) waiting.set(key, [...(waiting.get(key) ?? []), stop]);
  }
  const left = new Map<string, number>();
  for (const stop of anew) if (!stop.sheets) left.set(keyOf(stop), (left.get(keyOf(stop)) ?? 0) + 1);
  const sheetsOf = [...waiting].filter(([key]) => key.startsWith('sheets ')).flatMap(([, stops]) => stops.splice(0));
  const told = anew.flatMap((stop): readonly Stop[] => {
    if (stop.sheets) return cutPapers.has(stop.sheets.paper) ? [] : [stop];
    const key = keyOf(stop);
    const own = waiting.get(key);
    if (own) {
      // Those that are left are the last of as many as would be told anew.
      const after = left.get(key)! - 1;
      left.set(key, after);
      return own.splice(0, Math.max(0, own.length - after));
    }
    const some = stop.copies.filter((copy) => !begun(stop.part, copy));
    return some.length > 0 ? [{ ...stop, copies: some, own: nextPart.get(stop.part)!, asMade: true }] : [];
  });
  // Nothing of what is begun is left out, whatever the new plan is like.
  return [...behind, ...aside, ...sheetsOf, ...told, ...[...waiting.values()].flat()];
}

/** What the blanks of a stop are called in the set. */
const piecesAt = ({ set }: SetPlan, { part, step, sheets }: Stop): readonly string[] =>
  sheets ? [] : [step.piece, ...(step.alike ?? [])].map((piece) => pieceName(set, part, piece));

/** Copies of a part that belong to a trial: for these no sheets are laid out. */
const trialOf = ({ set }: SetPlan, part: string, way: WayOfWork, copies: number): number =>
  (copies - setsLaid(way, copies)) * (set.parts.find(({ id }) => id === part)?.quantity ?? 1);

/** True where something that is planned has no pattern any more for what came out: then nothing follows. */
export const isRefused = (planned: SetPlan, next: SetPlan): boolean =>
  next.parts.some(
    ({ part, plan }) => !plan.made && planned.parts.some((one) => one.part.id === part.id && one.plan.made),
  );

/** A blank that comes out of another size since a part was measured. */
export interface Follows {
  readonly part: string;
  readonly name: string;
  readonly was: { readonly width: number; readonly height: number };
  readonly is: { readonly width: number; readonly height: number };
  /** All of it is cut already: then it is only checked. */
  readonly cut: boolean;
  /** It is laid on something, without a fold of its own: one that is too large can be trimmed. */
  readonly layer: boolean;
}

/** A blank differs by more than nobody sees, mm. */
const SEEN = 0.1;

/** What follows from a measure: every blank that comes out of another size, and whether it is cut already. */
export function followsFrom(planned: SetPlan, next: SetPlan, walk: readonly Stop[], done: number): readonly Follows[] {
  const begun = begunBy(walk.slice(0, done), walk, planned);
  return planned.parts.flatMap(({ part, plan }): readonly Follows[] => {
    const then = next.parts.find((one) => one.part.id === part.id)?.plan.made;
    if (!plan.made || !then || part.given) return [];
    const after = [...then.pieces, ...then.layers];
    const all = new Set(walk.flatMap((stop) => (stop.part === part.id ? stop.copies : [])));
    return [...plan.made.pieces, ...plan.made.layers].flatMap((one): readonly Follows[] => {
      const { piece } = one;
      const is = after.find((one) => one.piece.name === piece.name)?.piece.blank;
      const was = piece.blank;
      if (!is || (Math.abs(is.width - was.width) < SEEN && Math.abs(is.height - was.height) < SEEN)) return [];
      const cut = [...all].every((copy) => begun(part.id, copy));
      return [
        { part: part.id, name: pieceName(planned.set, part.id, piece.name), was, is, cut, layer: 'layer' in one },
      ];
    });
  });
}

/** Whether a stop may be measured at: something of the part is done that is no longer flat. */
export const isFolded = (walk: readonly Stop[], done: number, part: string): boolean =>
  walk.slice(0, done).some((stop) => stop.part === part && stepsAt(stop).some(({ phase }) => phase === 'fold'));

/** What happened on the way, each when so many stops were behind, in the order it happened. */
export type Happened = OwnWay | DoneAgain | MeasuredPart;

/** The way through a make as it was begun, and all that happened since: copies with ways of their own, things done again, things measured. */
export function wayThrough(
  walk: readonly Stop[],
  planned: SetPlan,
  say: Say,
  happened: readonly Happened[],
  make: MakeOf,
  plan?: Planner,
): Stop[] {
  let stops = [...walk];
  let now = planned;
  happened.forEach((one, i) => {
    if (!('measured' in one)) {
      stops = withOwnWays(stops, planned, say, [one]);
      return;
    }
    const next = planAsMade(
      planned,
      happened.slice(0, i + 1).filter((other) => 'measured' in other),
      plan,
    );
    if (isRefused(planned, next)) return;
    stops = withMeasured(stops, now, next, say, one, make);
    now = next;
  });
  return stops;
}
