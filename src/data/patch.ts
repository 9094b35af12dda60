/**
 * What changed in a record, small enough to lie over what somebody else changed meanwhile: of
 * `{ name: 'a', size: { w: 1, h: 2 } }` and the same with `h: 3` it is `[{ at: ['size', 'h'], set: 3 }]`.
 */

/** Where in a record: the name of a field, or the id of an item in a list. */
export type Path = readonly (string | { readonly id: string })[];

export type PatchStep =
  /** A field is this now; or an item of a list, which stands behind the one named (null: in front) when it is new. */
  | { readonly at: Path; readonly set: unknown; readonly behind?: string | null }
  /** A field or an item is gone. */
  | { readonly at: Path; readonly drop: true }
  /** A list whose items have no ids lost these and gained those. */
  | { readonly at: Path; readonly less: readonly unknown[]; readonly more: readonly unknown[] };

export type Patch = readonly PatchStep[];

/** Fields that mean something only as a whole: two halves of two tools are no tool. */
const WHOLE: ReadonlySet<string> = new Set(['tool', 'byHand', 'cut', 'image']);

type Fields = Readonly<Record<string, unknown>>;
type Item = Fields & { readonly id: string };

const isFields = (value: unknown): value is Fields => {
  if (typeof value !== 'object' || value === null) return false;
  // A plain object, also one that another realm made: a worker, a frame, a test.
  const kind: unknown = Object.getPrototypeOf(value);
  return kind === null || Object.getPrototypeOf(kind) === null;
};

/** True when two kept values say the same; a field that is undefined is not there. */
export function same(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((one, i) => same(one, b[i]));
  if (!isFields(a) || !isFields(b)) return false;
  return [...new Set([...Object.keys(a), ...Object.keys(b)])].every((key) => same(a[key], b[key]));
}

/** A list whose items are told apart by their ids; null for any other. */
function items(list: readonly unknown[]): readonly Item[] | null {
  if (!list.every((one): one is Item => isFields(one) && typeof one.id === 'string')) return null;
  return new Set(list.map(({ id }) => id)).size === list.length ? list : null;
}

/** What makes `after` out of `before`. */
export function patchBetween(before: unknown, after: unknown, at: Path = []): Patch {
  if (same(before, after)) return [];
  const last = at.at(-1);
  if (typeof last === 'string' && WHOLE.has(last)) return [{ at, set: after }];
  if (Array.isArray(before) && Array.isArray(after)) return betweenLists(before, after, at);
  if (!isFields(before) || !isFields(after)) return [{ at, set: after }];
  return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((key): Patch => {
    const there = [...at, key];
    if (after[key] === undefined) return before[key] === undefined ? [] : [{ at: there, drop: true }];
    return before[key] === undefined ? [{ at: there, set: after[key] }] : patchBetween(before[key], after[key], there);
  });
}

function betweenLists(before: readonly unknown[], after: readonly unknown[], at: Path): Patch {
  const [had, has] = [items(before), items(after)];
  const patch = had && has ? betweenItems(had, has, at) : betweenValues(before, after, at);
  // An order that no step tells is told by the whole list.
  return same(listPatched(before, at, patch), after) ? patch : [{ at, set: after }];
}

function betweenItems(before: readonly Item[], after: readonly Item[], at: Path): Patch {
  return [
    ...before
      .filter(({ id }) => !after.some((one) => one.id === id))
      .map(({ id }): PatchStep => ({ at: [...at, { id }], drop: true })),
    ...after.flatMap((item, i): Patch => {
      const there = [...at, { id: item.id }];
      const old = before.find(({ id }) => id === item.id);
      return old ? patchBetween(old, item, there) : [{ at: there, set: item, behind: after[i - 1]?.id ?? null }];
    }),
  ];
}

function betweenValues(before: readonly unknown[], after: readonly unknown[], at: Path): Patch {
  const less = before.filter((one) => !after.some((other) => same(one, other)));
  const more = after.filter((one) => !before.some((other) => same(one, other)));
  return less.length + more.length > 0 ? [{ at, less, more }] : [{ at, set: after }];
}

const listPatched = (list: readonly unknown[], at: Path, patch: Patch): unknown =>
  patch.reduce<unknown>((now, step) => stepped(now, step.at.slice(at.length), step), list);

/**
 * A record with a patch laid over it. Where what a step speaks of is not there any more, the step is passed over: an
 * item that somebody took out stays out.
 */
export const patched = <T>(record: T, patch: Patch): T =>
  patch.reduce<unknown>((now, step) => stepped(now, step.at, step), record) as T;

function stepped(now: unknown, [key, ...rest]: Path, step: PatchStep): unknown {
  if (key === undefined) {
    if ('set' in step) return step.set;
    if ('drop' in step || !Array.isArray(now)) return now;
    const left = now.filter((one) => !step.less.some((gone) => same(one, gone)));
    return [...left, ...step.more.filter((one) => !left.some((other) => same(one, other)))];
  }
  if (typeof key === 'string') {
    if (!isFields(now)) return now;
    // Own fields only: a file may name its field after one that every object has.
    const own = Object.hasOwn(now, key) ? now[key] : undefined;
    if (rest.length > 0) return own === undefined ? now : { ...now, [key]: stepped(own, rest, step) };
    if ('drop' in step) return Object.fromEntries(Object.entries(now).filter(([name]) => name !== key));
    return { ...now, [key]: stepped(own, [], step) };
  }
  if (!Array.isArray(now)) return now;
  const list: readonly unknown[] = now;
  const place = list.findIndex((one) => isFields(one) && one.id === key.id);
  if (rest.length > 0) return place < 0 ? now : list.with(place, stepped(list[place], rest, step));
  if ('drop' in step) return list.filter((_, i) => i !== place);
  if (place >= 0) return list.with(place, stepped(list[place], [], step));
  if (!('set' in step) || !('behind' in step)) return now;
  const behind = list.findIndex((one) => isFields(one) && one.id === step.behind);
  const into = step.behind === null ? 0 : behind < 0 ? list.length : behind + 1;
  return list.toSpliced(into, 0, step.set);
}

/** The fields, at the top of a record, that a patch speaks of. */
export const fieldsIn = (patch: Patch): ReadonlySet<string> =>
  new Set(patch.flatMap(({ at: [field] }) => (typeof field === 'string' ? [field] : [])));

/** True when two patches speak of the same place, or one of a place inside the other's. */
export const collide = (a: Patch, b: Patch): boolean => a.some((one) => b.some((other) => within(one.at, other.at)));

const within = (a: Path, b: Path): boolean =>
  a.slice(0, b.length).every((key, i) => {
    const other = b[i];
    return other === undefined || same(key, other);
  });
