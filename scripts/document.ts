import { readFileSync } from 'node:fs';
import type { Issue } from '../src/core/plan';

/** Prints what is wrong as one JSON object and stops with status 2; nothing goes to standard output. */
export function refuse(error: string, issues: readonly Issue[]): never {
  process.stderr.write(`${JSON.stringify({ error, issues })}\n`);
  process.exit(2);
}

/** What came in on standard input; refused when that is nothing. `what` is the document asked for. */
export function standardInput(what: string): string {
  const input = readFileSync(0, 'utf8').replace(/^\uFEFF/, '');
  if (input.trim() === '')
    refuse(`Nothing came in. Give a ${what} document on standard input.`, [
      { path: '', message: 'The document is empty.' },
    ]);
  return input;
}
