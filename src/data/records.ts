import { z } from '@/core/text/zod';
import { cutListSchema, layoutSchema, stashPaperSchema } from '@/core/cutting';
import { logEntrySchema } from '@/core/files';
import { issuesOf } from '@/core/text/issues';
import { readSet } from '@/core/sets';
import { oneLine, quoted } from '@/core/text';
import type { KeptTable } from './db';
import { fromOlder } from './older';
import { SETTINGS } from './setting-kinds';

/**
 * What each kind of record must be for the screens to use it. What the browser kept, or a backup brings, is read
 * through these: one damaged record is set aside, and the rest goes on. Fields not known here are kept as they are.
 */

const id = z.string().min(1).max(200);
const time = z.number();
const units = z.enum(['in', 'mm']);
const none = z.number().default(0);
const count = (least: number) => z.number().min(least);
const set = z.looseObject(
  { parts: z.array(z.looseObject({ id: z.string() })).min(1) },
  { error: 'What it is made of cannot be read.' },
);

const pieceShape = cutListSchema.shape.pieces.element.shape;
const laid = z.object({ list: cutListSchema, layout: layoutSchema });

const laidForMake = laid.extend({
  paper: z.string(),
  table: z.string(),
  papers: z.array(z.tuple([z.string(), z.string()])),
  cut: z.string(),
  followed: z.string().optional(),
});
const outside = z.object({ width: z.number().positive(), height: z.number().positive() });

const SHAPES = {
  projects: z.looseObject({
    id,
    name: z.string(),
    units,
    set,
    copies: count(1).optional(),
    createdAt: time.default(0),
    updatedAt: time,
    deletedAt: none,
  }),
  makes: z.looseObject({
    id,
    projectId: z.string(),
    name: z.string(),
    units,
    set,
    copies: count(1),
    way: z.enum(['by-setting', 'trial-first', 'one-by-one', 'together']),
    done: count(0),
    spent: count(0),
    startedAt: time,
    updatedAt: time,
    endedAt: none,
    spoiled: z
      .array(
        z.looseObject({
          at: time,
          part: z.string().default(''),
          step: z.number(),
          piece: z.string(),
          text: z.string(),
          drawn: z
            .object({
              paper: z.array(z.array(z.tuple([z.number(), z.number()])).max(500)).max(50),
              scores: z.array(z.tuple([z.number(), z.number(), z.number(), z.number()])).max(300),
            })
            .optional(),
          settled: z.boolean().optional(),
        }),
      )
      .default([]),
    ways: z
      .array(
        z.union([
          z.looseObject({
            part: z.string(),
            at: count(0),
            measured: outside,
            planned: outside,
            laid: z.array(laidForMake).optional(),
          }),
          z.looseObject({
            part: z.string(),
            copy: count(1),
            at: count(0),
            design: z.looseObject({ construction: z.string() }),
          }),
          z.looseObject({ part: z.string(), copies: z.array(count(1)), at: count(0), from: count(0) }),
        ]),
      )
      .optional(),
    laid: z.array(laidForMake).optional(),
    usual: z.number().min(0).optional(),
    finished: z.boolean().optional(),
  }),
  log: z.looseObject({
    ...logEntrySchema.shape,
    id,
    units,
    makeId: z.string().default(''),
    projectId: z.string().default(''),
    part: z.string().default(''),
    addedAt: time.default(0),
    deletedAt: none,
  }),
  photos: z.looseObject({
    id,
    image: z.custom<Blob>((image) => typeof Blob !== 'undefined' && image instanceof Blob, {
      error: 'Its picture is not one.',
    }),
  }),
  papers: z.looseObject({
    ...stashPaperSchema.shape,
    id,
    offcut: z.boolean(),
    from: z.string().default(''),
    addedAt: time.default(0),
    deletedAt: none,
  }),
  cuttings: z.looseObject({
    id,
    needs: z.array(z.looseObject({ projectId: z.string(), copies: count(1) })),
    extra: z.array(z.looseObject(pieceShape)),
    papers: z.array(z.string()).nullable(),
    bought: z.array(z.string()).nullable(),
    cutter: z.enum(['guillotine', 'free']),
    offcutsFirst: z.boolean(),
    byHand: laid.nullable(),
    cut: laid.extend({ id: z.string() }).nullable(),
    step: count(0),
    updatedAt: none,
  }),
  cuts: z.looseObject({
    id,
    name: z.string(),
    at: time,
    sheets: z.number(),
    paper: z.number(),
    pieces: z.number(),
    kept: z.number(),
    saved: z.number(),
    cost: z.number(),
    savedCost: z.number(),
    taken: z.array(z.looseObject({ paper: z.string(), count: z.number() })),
    added: z.array(z.looseObject({ paper: z.string(), count: z.number() })),
    undoneAt: none,
  }),
  drafts: z.looseObject({ id, value: z.unknown(), updatedAt: none }),
  settings: z.looseObject({ key: id, value: z.unknown() }).superRefine(({ key, value }, context) => {
    // What no setting here is called is kept for the app that knows it.
    const read = SETTINGS.get(key)?.shape.safeParse(value);
    if (read && !read.success) context.addIssue({ code: 'custom', message: `The setting “${key}” is damaged.` });
  }),
} as const satisfies Record<KeptTable, z.ZodType>;

/** Things in a list told apart by their ids; those of an older version get some, the same whenever they are read. */
function withIds(table: KeptTable, record: Record<string, unknown>): Record<string, unknown> {
  if (table !== 'cuttings') return record;
  const { needs, extra } = record as { needs: { id?: string; projectId: string }[]; extra: { id?: string }[] };
  return {
    ...record,
    needs: needs.map((need) => ({ ...need, id: need.id ?? need.projectId })),
    extra: extra.map((piece, i) => ({ ...piece, id: piece.id ?? `piece-${i + 1}` })),
  };
}

/** A record as the screens use it, or why it cannot be read. */
export type ReadRecord =
  | { readonly ok: true; readonly record: Record<string, unknown> }
  | { readonly ok: false; readonly why: string };

/** Reads a record of a table. */
export function readRecord(table: KeptTable, raw: unknown): ReadRecord {
  const read = SHAPES[table].safeParse(fromOlder(table, raw), { reportInput: true });
  if (read.success) return { ok: true, record: withIds(table, read.data as Record<string, unknown>) };
  const issues = issuesOf(read.error);
  const why = issues.slice(0, 3).map(({ path, message }) => (path ? `${path}: ${message}` : message));
  return { ok: false, why: why.join(' ') };
}

/** True when a record can be read and what was decided in it makes sense together. */
export function isSound(table: KeptTable, raw: unknown): boolean {
  const read = readRecord(table, raw);
  if (!read.ok) return false;
  return table !== 'projects' || readSet(read.record.set).ok;
}

/** What a person would call a record, as far as it can be read. */
export function recordName(table: KeptTable, raw: unknown): string {
  const kind: Record<KeptTable, string> = {
    projects: 'a project',
    makes: 'a make',
    log: 'an entry of the log',
    photos: 'a photo',
    papers: 'a paper',
    cuttings: 'what lay on a cutting table',
    cuts: 'a cutting',
    drafts: 'something you were typing',
    settings: 'a setting',
  };
  const name = typeof raw === 'object' && raw !== null && 'name' in raw ? raw.name : null;
  return typeof name === 'string' && oneLine(name) ? `${kind[table]}, ${quoted(name)}` : kind[table];
}
