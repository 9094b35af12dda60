/** Command line of the plan contract: a design on standard input, its plan on standard output. */
import { planDocument, planFor, readDesign, type Issue } from '../src/core/plan';
import { refuse, standardInput } from './document';

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
const input = standardInput('design');

const texts = many
  ? input.split(/\r?\n/).flatMap((text, i) => (text.trim() === '' ? [] : [{ text, where: `line ${i + 1}` }]))
  : [{ text: input, where: '' }];
const results = texts.map(({ text, where }) => planText(text, where));
const issues = results.flatMap((result) => (result.ok ? [] : result.issues));
if (issues.length > 0)
  refuse(issues.length === 1 ? 'The design has a problem.' : `The design has ${issues.length} problems.`, issues);
process.stdout.write(results.map((result) => (result.ok ? `${result.plan}\n` : '')).join(''));
