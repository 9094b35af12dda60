/** What orders parts: each after those its size follows from. */
interface Sized {
  readonly id: string;
  readonly holds: readonly { readonly part: string; readonly fills: boolean }[];
  readonly round?: { readonly part: string } | undefined;
}

/** The ids in an order in which each part comes after those its size follows from, or a circle of ids. */
export function innerFirst(
  parts: readonly Sized[],
):
  | { readonly ok: true; readonly order: readonly string[] }
  | { readonly ok: false; readonly circle: readonly string[] } {
  const after = new Map<string, string[]>(parts.map(({ id }) => [id, []]));
  for (const { id, holds, round } of parts) {
    for (const { part, fills } of holds)
      if (fills) after.get(part)?.push(id);
      else after.get(id)!.push(part);
    if (round) after.get(id)!.push(round.part);
  }
  const order: string[] = [];
  const state = new Map<string, 'open' | 'done'>();
  const path: string[] = [];
  const visit = (id: string): readonly string[] | null => {
    if (state.get(id) === 'done') return null;
    if (state.get(id) === 'open') return path.slice(path.indexOf(id));
    state.set(id, 'open');
    path.push(id);
    for (const inner of after.get(id) ?? []) {
      const circle = visit(inner);
      if (circle) return circle;
    }
    path.pop();
    state.set(id, 'done');
    order.push(id);
    return null;
  };
  for (const { id } of parts) {
    const circle = visit(id);
    if (circle) return { ok: false, circle };
  }
  return { ok: true, order };
}
