import { z } from 'zod';
import { oneLine } from '../text';
import { designSchema, issuesOf, type DesignInput, type Issue } from '../plan';

/** A project as a file: what the person decided, nothing that can be computed from it. */
export const projectSchema = z.strictObject({
  format: z.literal('tuck-fold-project', {
    error: 'This is not a Tuck Fold project: its "format" should be "tuck-fold-project".',
  }),
  version: z.literal(1, { error: 'This project was written by another version; this one reads version 1.' }),
  name: z
    .string()
    .overwrite(oneLine)
    .min(1, 'The project needs a name.')
    .max(120, 'The name is longer than 120 characters.'),
  units: z.enum(['in', 'mm'], { error: 'The units are "in" or "mm".' }),
  design: z.unknown().transform((design, context) => {
    const checked = designSchema.safeParse(design, { reportInput: true });
    if (checked.success) return design as DesignInput;
    for (const { path, message } of issuesOf(checked.error))
      context.issues.push({ code: 'custom', message, path: path ? path.split('.') : [], input: design });
    return z.NEVER;
  }),
});
export type ProjectFile = z.output<typeof projectSchema>;

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
  const read = projectSchema.safeParse(document, { reportInput: true });
  return read.success ? { ok: true, project: read.data } : { ok: false, issues: issuesOf(read.error) };
}
