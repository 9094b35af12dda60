import { z } from '../text/zod';
import { oneLine } from '../text';
import { issuesOf, type Issue } from '../text/issues';
import { readSet, setOfOlder, type SetInput } from '../sets';

/** The set a project file of either version keeps, as it was written; every problem in it is told. */
const setShape = z.unknown().transform((set, context) => {
  const read = readSet(set);
  if (read.ok) return set as SetInput;
  for (const { path, message } of read.issues)
    context.issues.push({ code: 'custom', message, path: path ? path.split('.') : [], input: set });
  return z.NEVER;
});

const name = z
  .string()
  .overwrite(oneLine)
  .min(1, 'The project needs a name.')
  .max(120, 'The name is longer than 120 characters.');
const units = z.enum(['in', 'mm'], { error: 'The units are "in" or "mm".' });

/** A project as a file: what the person decided, nothing that can be computed from it. */
export const projectSchema = z.strictObject({
  format: z.literal('tuck-fold-project', {
    error: 'This is not a Tuck Fold project: its "format" should be "tuck-fold-project".',
  }),
  version: z.literal(2, { error: 'This project was written by another version; this one reads versions 1 and 2.' }),
  name,
  units,
  set: setShape,
});
export type ProjectFile = z.output<typeof projectSchema>;

/** A project of version 1 had one design, and what went with it in a list: the same project as a set. */
function fromVersion1(document: unknown): unknown {
  const older = document as { readonly version?: unknown; readonly design?: unknown } | null;
  if (older?.version !== 1 || typeof older.design !== 'object' || older.design === null) return document;
  const { design, ...rest } = older;
  try {
    return { ...rest, version: 2, set: setOfOlder(design as Record<string, unknown>) };
  } catch {
    // What no version could have written is told as it stands.
    return { ...rest, version: 2, set: { version: 1, parts: [{ id: 'part-1', design }] } };
  }
}

/** Longest project file worth reading, characters. A real one has under 2,000. */
export const LONGEST_PROJECT = 200_000;

/** Writes a project file. */
export const writeProject = (project: ProjectFile): string => `${JSON.stringify(project, null, 2)}\n`;

/** Reads a project file; every problem is a sentence, and nothing is half read. */
export function readProject(
  text: string,
): { ok: true; project: ProjectFile } | { ok: false; issues: readonly Issue[] } {
  const refuse = (message: string) => ({ ok: false as const, issues: [{ path: '', message }] });
  if (text.length > LONGEST_PROJECT)
    return refuse(`This file has ${text.length} characters; a project has under ${LONGEST_PROJECT}.`);
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch {
    return refuse('This file is not JSON, so it is not a project. Choose a file that “Save as file” wrote.');
  }
  const read = projectSchema.safeParse(fromVersion1(document), { reportInput: true });
  return read.success ? { ok: true, project: read.data } : { ok: false, issues: issuesOf(read.error) };
}
