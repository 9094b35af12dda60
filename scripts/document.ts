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

/** What a command line gives back: what it writes, and its status. */
export interface Said {
  readonly status: number;
  readonly out: string;
  readonly err: string;
}
/** A command line: what stands behind its name, and what comes in on standard input once it is asked for. */
export type Command = (args: readonly string[], input: () => string) => Promise<Said>;

const STATUS: Record<Answer['so'], number> = { answer: 0, wrong: 2, broke: 3 };

/**
 * What became of one document: its answer on standard output; anything else as one JSON object on standard error, and the status
 * says which.
 */
export const said = ({ so, body }: Answer): Said =>
  so === 'answer'
    ? { status: STATUS[so], out: `${JSON.stringify(body, null, 2)}\n`, err: '' }
    : { status: STATUS[so], out: '', err: `${JSON.stringify(body)}\n` };

/** What became of many documents, a line each in their order; the status is that of the worst. */
export const saidOfMany = (answers: readonly Answer[]): Said => ({
  status: Math.max(0, ...answers.map(({ so }) => STATUS[so])),
  out: answers.map(({ body }) => `${JSON.stringify(body)}\n`).join(''),
  err: '',
});

/** A command line without options: a document in, its answer out. */
export const onDocument =
  (work: (document: unknown) => Answer | Promise<Answer>): Command =>
  async ([option], input) =>
    said(
      option === undefined
        ? await answerTo(input(), work)
        : wrong(`“${option}” is not an option here. There is none.`, []),
    );

/** Runs a command line where its script was started as one, and not only read. */
export async function main(script: string, command: Command): Promise<void> {
  if (!process.argv[1]?.endsWith(`${script}.ts`)) return;
  // Without the mark some editors begin a file with.
  const { status, out, err } = await command(process.argv.slice(2), () =>
    readFileSync(0, 'utf8').replace(/^\uFEFF/, ''),
  );
  process.stdout.write(out);
  process.stderr.write(err);
  process.exitCode = status;
}
