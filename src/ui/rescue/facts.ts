import { z } from '@/core/text/zod';
import { inches, mm, type Mm } from '@/core/length';
import type { Edge } from '@/core/pattern';

const length = z.number().min(0);
const edge = z.union([z.literal(1), z.literal(2), z.literal(3), z.literal(4)]);
const MARKS = ['score', 'notch', 'slit', 'hole'] as const;
export type MarkKind = (typeof MARKS)[number];

/** One thing that is wrong, as it is told on the screen: a size, a mark elsewhere or too many, a torn place, glue. */
const told = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('blank'), width: length, height: length }),
  z.object({ kind: z.enum(MARKS), edge, at: length, instead: length.nullable(), deep: length.optional() }),
  z.object({ kind: z.literal('torn'), edge, at: length, wide: length, deep: length }),
  z.object({ kind: z.literal('flap-off'), score: z.string() }),
  z.object({ kind: z.literal('glued'), panel: z.string().optional() }),
]);
export type ToldFact = z.output<typeof told>;
/** A mark that lies elsewhere, or is one too many. */
export type ToldMark = Extract<ToldFact, { readonly kind: MarkKind }>;

/** What is told of a mishap before a way out is taken: which thing, how far it had come, and what is wrong. */
export const TOLD = z.object({
  project: z.string(),
  part: z.string(),
  piece: z.string(),
  step: z.number().int().positive().nullable(),
  /** For what is on no shelf. */
  construction: z.string(),
  width: length,
  height: length,
  facts: z.array(told).max(12),
});
export type Told = z.output<typeof TOLD>;
/** Nothing told yet: something on no shelf. */
export const USUAL: Told = {
  project: '',
  part: '',
  piece: '',
  step: null,
  construction: 'diagonal-envelope',
  width: inches(3),
  height: inches(4),
  facts: [],
};

/** A torn place as a triangle from the edge in, on a blank of that size. */
function torn(
  { edge, at, wide, deep }: Extract<ToldFact, { kind: 'torn' }>,
  width: Mm,
  height: Mm,
): [number, number][] {
  const on = (along: number, d: number): [number, number] =>
    edge === 1
      ? [along, d]
      : edge === 2
        ? [width - d, along]
        : edge === 3
          ? [width - along, height - d]
          : [d, height - along];
  return [on(at - wide / 2, 0), on(at + wide / 2, 0), on(at, deep)];
}

/** The facts as the rescue document has them. */
export const wrongOf = (facts: readonly ToldFact[], blank: { readonly width: Mm; readonly height: Mm }): object[] =>
  facts.map((fact) => {
    switch (fact.kind) {
      case 'blank':
      case 'flap-off':
      case 'glued':
        return fact;
      case 'torn':
        return { kind: 'torn', polygon: torn(fact, blank.width, blank.height) };
      default:
        return {
          kind: fact.kind,
          edge: fact.edge,
          at: fact.at,
          ...(fact.instead !== null && { instead: fact.instead }),
          ...(isDeep(fact) && fact.deep !== undefined && { deep: fact.deep }),
        };
    }
  });

/** True for what reaches, or lies, so far in from the edge it is told at. */
export const isDeep = ({ kind, instead }: ToldMark): boolean =>
  instead === null && (kind === 'slit' || kind === 'hole');

/** A torn place is so wide and deep until it is measured, mm. */
export const TORN = inches(1 / 2);

const DEEP: ReadonlySet<string> = new Set<MarkKind>(['slit', 'hole']);

/** A fact begun: the sheet’s own size, a mark in the middle of the near edge. */
export const begun = (
  kind: Exclude<ToldFact['kind'], 'flap-off'>,
  { width, height }: { readonly width: number; readonly height: number },
): ToldFact =>
  kind === 'blank'
    ? { kind, width, height }
    : kind === 'glued'
      ? { kind }
      : kind === 'torn'
        ? { kind, edge: 1, at: mm(width / 2), wide: TORN, deep: TORN }
        : { kind, edge: 1 as Edge, at: mm(width / 2), instead: null, ...(DEEP.has(kind) && { deep: inches(1) }) };

/** A place of a mark on the sheet that can be told otherwise. */
export interface MarkPlace {
  readonly kind: MarkKind;
  readonly edge: Edge;
  readonly at: number;
}

/** The facts with a mark moved there; one that was moved before is moved on from where it should have been. */
export function withMoved(facts: readonly ToldFact[], { kind, edge, at }: MarkPlace, to: number): ToldFact[] {
  const before = facts.findIndex(
    (fact) =>
      fact.kind === kind &&
      'instead' in fact &&
      fact.edge === edge &&
      fact.instead !== null &&
      Math.abs(fact.instead - at) < 0.5,
  );
  return before >= 0
    ? facts.map((fact, i) => (i === before && 'instead' in fact ? { ...fact, instead: to } : fact))
    : [...facts, { kind, edge, at, instead: to }];
}

/** The facts with one more that happened; a thing is glued shut once. */
export const withHappened = (facts: readonly ToldFact[], fact: ToldFact): ToldFact[] => [
  ...facts.filter(({ kind }) => kind !== 'glued' || fact.kind !== kind),
  fact,
];
