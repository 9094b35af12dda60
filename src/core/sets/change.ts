/** Changes of a set as a person makes them: each gives the set anew, and nothing else of it is touched. */
import { begunIn, type DesignInput } from '../design';
import type { Graduation } from '../length';
import type { SetRemedy } from './checks';
import type { SetPlan } from './plan-set';
import { hasSize, type PartInput, type SetInput, type SetPaperInput } from './set';

/** An id that no part (or paper) of the set has: the word itself, or with a number. */
export function freeId(set: SetInput, word: string, among: 'parts' | 'papers' = 'parts'): string {
  const taken = new Set((set[among] ?? []).map(({ id }) => id));
  const base =
    word
      .toLowerCase()
      .replaceAll(/[^a-z0-9]+/gu, '-')
      .replaceAll(/^-|-$/gu, '')
      .slice(0, 40) || 'part';
  for (let n = 1; ; n++) {
    const id = n === 1 ? base : `${base}-${n}`;
    if (!taken.has(id)) return id;
  }
}

/** The set with one part changed. */
export const withPart = (set: SetInput, id: string, change: Partial<PartInput>): SetInput => ({
  ...set,
  parts: set.parts.map((part) => {
    if (part.id !== id) return part;
    const next = { ...part, ...change } as Record<string, unknown>;
    for (const key of Object.keys(next)) if (next[key] === undefined) delete next[key];
    return next as PartInput;
  }),
});

/** The set with one paper changed, or a new one at its end. */
export const withPaper = (set: SetInput, paper: SetPaperInput): SetInput => {
  const papers = set.papers ?? [];
  return {
    ...set,
    papers: papers.some(({ id }) => id === paper.id)
      ? papers.map((one) => (one.id === paper.id ? paper : one))
      : [...papers, paper],
  };
};

/** A part without a size of its own; what is there already keeps its size. */
const sizeless = ({ design, ...part }: PartInput): PartInput => {
  if (!design) return part;
  const { contents: _, blank: __, sheets: ___, ...rest } = design;
  return { ...part, design: rest };
};

/** A part that holds one thing more, which tells its size from then on unless it fills the room there is. */
export function holding(part: PartInput, hold: NonNullable<PartInput['holds']>[number]): PartInput {
  return { ...(hold.fills ? part : sizeless(part)), holds: [...(part.holds ?? []), hold] };
}

/** A part as it is begun in these marks: see `begunIn` of a design. */
const partBegunIn = (marks: Graduation = '1/8 in', part: PartInput): PartInput =>
  part.design ? { ...part, design: begunIn(part.design as Partial<DesignInput>, marks) } : part;

/** A set as it is begun in these marks. */
export const setBegunIn = (marks: Graduation, set: SetInput): SetInput => ({
  ...set,
  graduation: marks,
  parts: set.parts.map((part) => partBegunIn(marks, part)),
});

/** A part that goes into another: it tells the other’s size from then on, which needs none of its own any more. */
export function withInside(set: SetInput, holder: string, inner: PartInput, hold: Partial<HeldInput> = {}): SetInput {
  const holds = (part: PartInput): PartInput =>
    part.id === holder ? holding(part, { part: inner.id, ...hold }) : part;
  return { ...set, parts: [partBegunIn(set.graduation, inner), ...set.parts.map(holds)] };
}
type HeldInput = NonNullable<PartInput['holds']>[number];

/** A part that another goes into, or that goes round it. */
export const withOutside = (set: SetInput, outer: PartInput): SetInput => ({
  ...set,
  parts: [...set.parts, partBegunIn(set.graduation, outer)],
});

/**
 * The set without a part. What took its size from it keeps the size it had, where it was planned; the last part stays.
 */
export function withoutPart(set: SetInput, id: string, planned: SetPlan | null): SetInput {
  if (set.parts.length === 1) return set;
  const parts = set.parts
    .filter((part) => part.id !== id)
    .map((part) => {
      const holds = part.holds?.filter((hold) => hold.part !== id);
      const { round, from, ...rest } = part;
      const next: PartInput = {
        ...rest,
        ...(holds && { holds }),
        ...(round !== undefined && roundOf(part) !== id && { round }),
        ...(from !== undefined && from !== id && { from }),
      };
      const lost = roundOf(part) === id || (part.holds ?? []).some((hold) => hold.part === id);
      const filled = set.parts.some(
        (other) => other.id === id && other.holds?.some((hold) => hold.fills && hold.part === part.id),
      );
      const stillTold = (holds ?? []).some(({ fills }) => !fills) || next.round !== undefined;
      if (!(lost || filled) || stillTold || !part.design || hasSize(part.design)) return next;
      const was = planned?.parts.find((one) => one.part.id === part.id)?.plan.design.contents;
      const contents = was
        ? { width: was.width, height: was.height, thickness: was.thickness }
        : { width: 100, height: 100 };
      return { ...next, design: { ...part.design, contents } };
    });
  return { ...set, parts };
}

/** The part another goes round; null where it goes round none. */
export const roundOf = ({ round }: PartInput): string | null =>
  round === undefined ? null : typeof round === 'string' ? round : round.part;

/** The set with a remedy taken. */
export function withRemedy(set: SetInput, remedy: SetRemedy): SetInput {
  switch (remedy.code) {
    case 'quantity':
      return withPart(set, remedy.part, { quantity: remedy.to });
    case 'own-size':
      return { ...set, parts: set.parts.map((part) => (part.id === remedy.part ? sizeless(part) : part)) };
    case 'turned':
      return {
        ...set,
        parts: set.parts.map(({ given, ...part }) =>
          given && part.id === remedy.part
            ? { ...part, given: { ...given, width: given.height, height: given.width } }
            : { ...part, ...(given && { given }) },
        ),
      };
    case 'room':
      return withPart(set, remedy.in, {
        holds: set.parts
          .find(({ id }) => id === remedy.in)
          ?.holds?.map((hold) => (hold.part === remedy.part ? { ...hold, room: remedy.to } : hold)),
      });
  }
}
