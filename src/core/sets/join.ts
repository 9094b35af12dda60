import { freeId, holding, roundOf } from './change';
import type { HeldPart, PartInput, SetInput } from './set';

/** The parts of a set that nothing of it holds or goes round: what one sees of it. */
export const outermost = ({ parts }: SetInput): readonly PartInput[] =>
  parts.filter(
    ({ id }) => !parts.some((other) => other.holds?.some(({ part }) => part === id) || roundOf(other) === id),
  );

/** Two sets as one: the parts and papers of the other come first, under ids of their own where they must. */
export function joined(set: SetInput, other: SetInput): { readonly set: SetInput; readonly outer: string } {
  const parts = new Map<string, string>();
  const papers = new Map<string, string>();
  let now = set;
  for (const paper of other.papers ?? []) {
    const like = (now.papers ?? []).find((one) => same(one, paper));
    const id = like?.id ?? freeId(now, paper.id, 'papers');
    papers.set(paper.id, id);
    if (!like) now = { ...now, papers: [...(now.papers ?? []), { ...paper, id }] };
  }
  const own = other.parts.map((part) => {
    const id = freeId(
      { ...now, parts: [...now.parts, ...[...parts.values()].map((taken) => ({ id: taken }))] },
      part.id,
    );
    parts.set(part.id, id);
    return { ...part, id };
  });
  const paperOf = (id: string | undefined): string | undefined =>
    id === undefined ? undefined : (papers.get(id) ?? id);
  // Where the papers of both come together the first of them is no longer what it was: each part names its own.
  const first = other.papers?.[0]?.id;
  const renamed = own.map((part): PartInput => {
    const { round, from, papers: separate, layers, holds, tool } = part;
    const paper = paperOf(part.paper ?? first);
    return {
      ...part,
      ...(paper !== undefined && !part.given && { paper }),
      ...(separate && {
        papers: Object.fromEntries(Object.entries(separate).map(([piece, id]) => [piece, paperOf(id)!])),
      }),
      ...(layers && {
        layers: layers.map((layer) => ({
          ...layer,
          ...(layer.paper !== undefined && { paper: paperOf(layer.paper)! }),
        })),
      }),
      ...(holds && { holds: holds.map((hold) => ({ ...hold, part: parts.get(hold.part) ?? hold.part })) }),
      ...(round !== undefined && {
        round: typeof round === 'string' ? parts.get(round)! : { ...round, part: parts.get(round.part)! },
      }),
      ...(from !== undefined && { from: parts.get(from)! }),
      ...((tool ?? other.tool) &&
        !part.given &&
        JSON.stringify(tool ?? other.tool) !== JSON.stringify(set.tool) && { tool: (tool ?? other.tool)! }),
    };
  });
  return { set: { ...now, parts: [...renamed, ...now.parts] }, outer: parts.get(outermost(other).at(-1)!.id)! };
}

/** How a set comes to lie in another. */
export type Put = Pick<HeldPart, 'count' | 'lie'>;

/** The set with another in one of its parts: that tells the part’s size from then on. */
export function withSetInside(set: SetInput, holder: string, other: SetInput, { count, lie }: Put): SetInput {
  const { set: both, outer } = joined(set, other);
  const holders = set.parts.find(({ id }) => id === holder)?.quantity ?? 1;
  const inner = new Set(both.parts.filter(({ id }) => !set.parts.some((part) => part.id === id)).map(({ id }) => id));
  return {
    ...both,
    parts: both.parts.map((part) => {
      // So many of all that goes in, for each of what holds it.
      if (inner.has(part.id)) return { ...part, quantity: (part.quantity ?? 1) * count * holders };
      return part.id === holder ? holding(part, { part: outer, count, lie }) : part;
    }),
  };
}

/** The set with one of its parts in another set: each in one of its own (`each`), or so many in one. */
export function withSetOutside(
  set: SetInput,
  inner: string,
  other: SetInput,
  put: Put & { readonly each: boolean },
): SetInput {
  const { set: both, outer } = joined(set, other);
  const quantity = set.parts.find(({ id }) => id === inner)?.quantity ?? 1;
  const { count, lie, each } = put;
  return {
    ...both,
    parts: both.parts.map((part) =>
      part.id === outer
        ? { ...holding(part, { part: inner, count: each ? 1 : count, lie }), ...(each && { quantity }) }
        : part,
    ),
  };
}

const same = (a: object, b: object): boolean => JSON.stringify({ ...a, id: '' }) === JSON.stringify({ ...b, id: '' });
