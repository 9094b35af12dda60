/** Something to be done, and what must be done before it. */
export interface Operation {
  readonly id: string;
  readonly after: readonly string[];
  /** Of those that may come next, the lowest comes first. */
  readonly rank: number;
}

/**
 * The operations in an order that respects what must come before what; ties by rank, then as they were given. Throws
 * when they wait for each other in a circle, or for something that is never done.
 */
export function inOrder<T extends Operation>(operations: readonly T[]): T[] {
  const waiting = operations.map((operation, place) => ({ operation, place, needs: new Set(operation.after) }));
  const ordered: T[] = [];
  while (waiting.length > 0) {
    const ready = waiting.filter(({ needs }) => needs.size === 0);
    const next = ready.reduce<(typeof ready)[number] | null>(
      (best, one) => (!best || one.operation.rank < best.operation.rank ? one : best),
      null,
    );
    if (!next)
      throw new Error(`nothing can come next: ${waiting.map(({ operation }) => operation.id).join(', ')} wait`);
    waiting.splice(waiting.indexOf(next), 1);
    ordered.push(next.operation);
    for (const other of waiting) other.needs.delete(next.operation.id);
  }
  return ordered;
}
