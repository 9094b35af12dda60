/** Command line of the plan contract: a design on standard input, its plan on standard output. */
import { readFileSync } from 'node:fs';
import { planDocument, planFor, readDesign, type Issue } from '../src/core/plan';

/** Prints what is wrong as one JSON object and stops with status 2; nothing goes to standard output. */
function refuse(error: string, issues: readonly Issue[]): never {
  process.stderr.write(`${JSON.stringify({ error, issues })}\n`);
  process.exit(2);
}

function planText(text: string, where: string): { ok: true; plan: string } | { ok: false; issues: Issue[] } {
  const at = (path: string): string => [where, path].filter(Boolean).join('.');
  let document: unknown;
  try {
    document = JSON.parse(text);
  } catch (error) {
    return { ok: false, issues: [{ path: at(''), message: `This is not JSON: ${(error as Error).message}.` }] };
  }
  const read = readDesign(document);
  if (!read.ok) return { ok: false, issues: read.issues.map(({ path, message }) => ({ path: at(path), message })) };
  return { ok: true, plan: JSON.stringify(planDocument(planFor(read.design)), null, where ? undefined : 2) };
}

const args = process.argv.slice(2);
const many = args.includes('--many');
const unknown = args.find((arg) => arg !== '--many');
if (unknown) refuse(`“${unknown}” is not an option here. Only --many is.`, []);
const input = readFileSync(0, 'utf8').replace(/^\uFEFF/, '');
if (input.trim() === '')
  refuse('Nothing came in. Give a design document on standard input.', [
    { path: '', message: 'The document is empty.' },
  ]);

const texts = many
  ? input.split(/\r?\n/).flatMap((text, i) => (text.trim() === '' ? [] : [{ text, where: `line ${i + 1}` }]))
  : [{ text: input, where: '' }];
const results = texts.map(({ text, where }) => planText(text, where));
const issues = results.flatMap((result) => (result.ok ? [] : result.issues));
if (issues.length > 0)
  refuse(issues.length === 1 ? 'The design has a problem.' : `The design has ${issues.length} problems.`, issues);
process.stdout.write(results.map((result) => (result.ok ? `${result.plan}\n` : '')).join(''));
