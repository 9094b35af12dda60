import { designOf, setOfOlder, type SetInput } from '@/core/sets';
import type { JournalEntry, KeptTable } from './db';
import { patched } from './patch';

/** Tables whose records had a single design until version 4 of the data, and are sets since. */
const WERE_DESIGNS: ReadonlySet<string> = new Set<KeptTable>(['projects', 'makes']);

type Fields = Readonly<Record<string, unknown>>;
const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A record as this version has it, from one of an older version; anything else as it is. */
export function fromOlder(table: KeptTable, raw: unknown): unknown {
  if (!WERE_DESIGNS.has(table) || !isFields(raw) || 'set' in raw || !isFields(raw.design)) return raw;
  const { design, ...rest } = raw;
  try {
    return { ...rest, set: setOfOlder(design as Record<string, unknown>) };
  } catch {
    // What no version could have written stays as it is, and is told as damaged.
    return raw;
  }
}

/** True for a change that a page of an older version made: of the one design there was. */
export const isOlderChange = ({ table, patch }: Pick<JournalEntry, 'table' | 'patch'>): boolean =>
  WERE_DESIGNS.has(table) && patch.some(({ at: [field] }) => field === 'design');

/**
 * A record with a change of an older version laid over it: over its design as it was kept, or, where it is a set by now,
 * over the design of its only part. Null where there is no such design any more.
 */
export function withOlderChange(raw: object, patch: JournalEntry['patch']): object | null {
  const { set, ...rest } = raw as { readonly set?: SetInput } & Fields;
  if (!set) return isFields(rest.design) ? patched(raw, patch) : null;
  const [part, ...others] = set.parts;
  if (!part || part.given || others.length > 0) return null;
  const older = patched<Fields>({ ...rest, design: designOf(set, part) }, patch);
  const { design, ...next } = older;
  // Its own names stay: what the person has open is of them.
  const anew = setOfOlder(design as Record<string, unknown>);
  return {
    ...next,
    set: { ...anew, parts: anew.parts.map((one, i) => (i === 0 ? { ...part, ...one, id: part.id } : one)) },
  };
}
