import { randomUUID } from 'node:crypto';
import { readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseDocument } from '../src/core/design';
import type { Issue } from '../src/core/text/issues';

/** What became of a document: its answer, what is wrong with it, or what nobody foresaw. */
export type Answer =
  | { readonly so: 'answer'; readonly body: object }
  | { readonly so: 'wrong'; readonly body: { readonly error: string; readonly issues: readonly Issue[] } }
  | { readonly so: 'broke'; readonly body: { readonly error: string; readonly reference: string } };

/** An answer that says what is wrong. */
export const wrong = (error: string, issues: readonly Issue[]): Answer => ({ so: 'wrong', body: { error, issues } });

/** Answers a document sent as text. What nobody foresaw is told with a reference and kept, with the document, in a file. */
export async function answerTo(text: string, work: (document: unknown) => Answer | Promise<Answer>): Promise<Answer> {
  const document = parseDocument(text);
  if (!document.ok) return wrong(document.message, [{ path: '', message: document.message }]);
  try {
    return await work(document.value);
  } catch (error) {
    const reference = randomUUID();
    const report = join(tmpdir(), `tuck-fold-${reference}.json`);
    const stack = error instanceof Error ? (error.stack ?? error.message) : String(error);
    writeFileSync(report, JSON.stringify({ reference, stack, document: text }));
    return {
      so: 'broke',
      body: {
        error: `Something went wrong here that nobody foresaw; ${report} has all of it. Send us that file.`,
        reference,
      },
    };
  }
}

/** What came in on standard input, without the mark some editors begin a file with. */
export const standardInput = (): string => readFileSync(0, 'utf8').replace(/^\uFEFF/, '');

const STATUS: Record<Answer['so'], number> = { answer: 0, wrong: 2, broke: 3 };

/**
 * Ends with what became of one document: its answer on standard output; anything else as one JSON object on standard
 * error, and the status says which.
 */
export function end({ so, body }: Answer): void {
  if (so === 'answer') process.stdout.write(`${JSON.stringify(body, null, 2)}\n`);
  else process.stderr.write(`${JSON.stringify(body)}\n`);
  process.exitCode = STATUS[so];
}

/** Writes what became of many documents, a line each in their order; the status is that of the worst. */
export function endMany(answers: readonly Answer[]): void {
  process.stdout.write(answers.map(({ body }) => `${JSON.stringify(body)}\n`).join(''));
  process.exitCode = Math.max(0, ...answers.map(({ so }) => STATUS[so]));
}
