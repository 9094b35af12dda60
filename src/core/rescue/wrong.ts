import { z } from '../text/zod';
import { lengthSchema, mm, type Mm } from '../length';
import type { Edge } from '../pattern';
import { paperSchema, readDesign, type Design } from '../design';
import { planFor } from '../plan';
import { listed, quoted } from '../text';
import { issuesOf, type Issue } from '../text/issues';

const size = lengthSchema({ over: 0, most: 10_000 });
const place = lengthSchema({ least: -1000, most: 10_000 });
const point = z.tuple([place, place]);
const edge = z.union([z.literal(1), z.literal(2), z.literal(3), z.literal(4)], {
  error: 'An edge is 1 (near), 2 (right), 3 (far) or 4 (left), as the sheet first lies.',
});
const onEdge = {
  edge,
  at: place.describe('From the left end of the edge once it is near.'),
  instead: place.optional().describe('Where it is instead; left out, it is one too many.'),
};

/** One thing that is wrong on a sheet. */
const factSchema = z.discriminatedUnion(
  'kind',
  [
    z.strictObject({ kind: z.literal('blank'), width: size, height: size }).describe('It is cut to this instead.'),
    z.strictObject({ kind: z.literal('score'), ...onEdge }),
    z.strictObject({ kind: z.literal('notch'), ...onEdge }),
    z.strictObject({ kind: z.literal('slit'), ...onEdge, deep: size.optional() }),
    z.strictObject({ kind: z.literal('hole'), ...onEdge, deep: size.optional(), diameter: size.optional() }),
    z.strictObject({ kind: z.literal('cut-on'), id: z.string().max(120), to: point }),
    z.strictObject({
      kind: z.literal('torn'),
      polygon: z.array(point).min(3, { error: 'A torn place has three corners at least.' }).max(60),
    }),
    z
      .strictObject({
        kind: z.literal('flap-off'),
        score: z.string().max(120).describe('The fold it came off at, by id.'),
      })
      .describe('All that hung on that fold came off.'),
    z.strictObject({
      kind: z.literal('glued'),
      panel: z.string().max(120).optional().describe('What is stuck where it should not be, by id or name.'),
    }),
  ],
  { error: 'What went wrong is a "blank", "score", "notch", "slit", "hole", "cut-on", "torn", "flap-off" or "glued".' },
);
export type Fact = z.output<typeof factSchema>;

/** Most things told of one sheet, and most contents and papers that ways out are sought with. */
const MOST = 20;

/** The rescue document (its JSON Schema: /api/v1/schema): a design, how far its make had come, and what is wrong on the sheet. */
export const rescueSchema = z.strictObject({
  version: z.literal(1, { error: 'This reads documents of version 1: write "version": 1.' }),
  design: z.record(z.string(), z.unknown(), { error: 'A design is an object with its construction.' }),
  piece: z.string().max(120).optional().describe('Which piece; the first when left out.'),
  step: z
    .int({ error: 'A step is the number of one.' })
    .min(1)
    .optional()
    .describe('Everything before this step is done; all flat work when left out.'),
  wrong: z
    .array(factSchema)
    .max(MOST, { error: `At most ${MOST} things are wrong on one sheet.` })
    .default([]),
  others: z
    .array(
      z.strictObject({
        width: size,
        height: size,
        thickness: lengthSchema({ least: 0, most: 200 }).prefault(mm(0)),
        name: z.string().max(60).optional(),
      }),
    )
    .max(MOST)
    .default([])
    .describe('What else its maker has that it could hold.'),
  papers: z
    .array(z.strictObject({ ...paperSchema.shape, count: z.int().min(0).optional() }))
    .max(60)
    .default([])
    .describe('Papers at hand for a new one.'),
});

/** Contents of the maker’s own. */
export interface Other {
  readonly width: Mm;
  readonly height: Mm;
  readonly thickness: Mm;
  readonly name?: string | undefined;
}

/** A mishap that was read. */
export interface Mishap {
  readonly design: Design;
  readonly piece: string | null;
  readonly step: number | null;
  readonly wrong: readonly Fact[];
  readonly others: readonly Other[];
  readonly papers: z.output<typeof rescueSchema>['papers'];
}

/** Reads the document; what is wrong with it with its place. */
export function readRescue(
  document: unknown,
): { readonly ok: true; readonly mishap: Mishap } | { readonly ok: false; readonly issues: readonly Issue[] } {
  const read = rescueSchema.safeParse(document, { reportInput: true });
  if (!read.success) return { ok: false, issues: issuesOf(read.error) };
  const { design, piece = null, step = null, wrong, others, papers } = read.data;
  const plan = readDesign({ version: 1, ...design });
  if (!plan.ok)
    return {
      ok: false,
      issues: plan.issues.map(({ path, message }) => ({ path: ['design', path].filter(Boolean).join('.'), message })),
    };
  const mishap = { design: plan.design, piece, step, wrong, others, papers };
  const issues = foldsMissed(mishap);
  return issues.length > 0 ? { ok: false, issues } : { ok: true, mishap };
}

/** Folds that are told of and are none of the piece. */
function foldsMissed({ design, piece, wrong }: Mishap): Issue[] {
  if (!wrong.some(({ kind }) => kind === 'flap-off')) return [];
  const { made } = planFor(design);
  const found = made?.pieces.find((one) => one.piece.name === piece) ?? made?.pieces[0];
  if (!found) return [];
  const ids = found.piece.hinges.map(({ id }) => id);
  return wrong.flatMap((fact, i) =>
    fact.kind === 'flap-off' && !ids.includes(fact.score)
      ? [
          {
            path: `wrong.${i}.score`,
            message: `The ${found.piece.name} has no fold called ${quoted(fact.score)}. ${ids.length > 0 ? `Its folds are ${listed(ids)}.` : 'It is not folded.'}`,
          },
        ]
      : [],
  );
}

/** What is told of an edge: a mark that lies elsewhere, or is one too many. */
export type EdgeFact = Extract<Fact, { readonly edge: Edge }>;
