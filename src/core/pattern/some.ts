/** A list with one thing in it at least. */
export type Some<T> = readonly [T, ...T[]];

/** Holds a list to that. Throws where it is empty: what was drawn has always had a piece. */
export function some<T>(list: readonly T[]): Some<T> {
  const [first, ...others] = list;
  if (first === undefined) throw new Error('a list that has one thing in it at least is empty');
  return [first, ...others];
}
