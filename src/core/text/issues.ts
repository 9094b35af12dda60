import type { z } from './zod';
import { oneLine, quoted, shortened } from '.';

/** Something wrong with a document: where, and a sentence. */
export interface Issue {
  readonly path: string;
  readonly message: string;
}
/** Most complaints told of one document: whoever mends twenty asks again. */
const MOST_ISSUES = 20;
/** Longest path and sentence of one, characters: what was written may be long. */
const LONGEST_PATH = 120;
const LONGEST_MESSAGE = 600;

/** A schema's complaints as sentences a crafter understands; a long list is cut short. Needs issues made with `reportInput`. */
export function issuesOf(error: z.ZodError): Issue[] {
  const all = allIssuesOf(error);
  const told = all.slice(0, MOST_ISSUES).map(({ path, message }) => ({
    path: shortened(oneLine(path), LONGEST_PATH),
    message: shortened(oneLine(message), LONGEST_MESSAGE),
  }));
  return all.length > MOST_ISSUES
    ? [...told, { path: '', message: `And ${all.length - MOST_ISSUES} more. Mend these first.` }]
    : told;
}

/** Each complaint once: of two about one place, the one that says the other too. */
function allIssuesOf(error: z.ZodError): Issue[] {
  const said = new Map<string, string[]>();
  return everyIssueOf(error).filter(({ path, message }) => {
    const before = said.get(path);
    if (before?.some((other) => other.endsWith(message))) return false;
    if (before) before.push(message);
    else said.set(path, [message]);
    return true;
  });
}

function everyIssueOf(error: z.ZodError): Issue[] {
  return error.issues.flatMap((issue): Issue[] => {
    const path = issue.path.map(String).join('.');
    const at = (key: string): string => (path ? `${path}.${key}` : key);
    switch (issue.code) {
      case 'unrecognized_keys':
        return issue.keys.map((key) => ({
          path: at(key),
          message: `${quoted(key)} is not known here. Check the spelling, or leave it out.`,
        }));
      case 'invalid_type':
      case 'invalid_union': {
        if (path === '')
          return [{ path, message: `A document is one JSON object in braces, not ${named(issue.input)}.` }];
        if (issue.input === undefined) return [{ path, message: `“${path}” is missing. ${asFor(issue)}` }];
        return [
          {
            path,
            message:
              issue.code === 'invalid_type'
                ? `“${path}” is ${typeof issue.input === 'number' ? issue.input : named(issue.input)}. ${asFor(issue)}`
                : issue.message,
          },
        ];
      }
      case 'too_big':
      case 'too_small':
        return [{ path, message: lengthSentence(issue) ?? issue.message }];
      case 'invalid_value':
        return [{ path, message: oneOfThese(issue) ?? issue.message }];
      default:
        return [{ path, message: issue.message }];
    }
  });
}

/** A text that is too long or too short, where its schema says no sentence of its own: as the library words it, none ends. */
function lengthSentence(issue: Extract<z.core.$ZodIssue, { code: 'too_big' | 'too_small' }>): string | null {
  if (issue.origin !== 'string' || /[.!?]$/u.test(issue.message)) return null;
  return issue.code === 'too_big'
    ? `This has at most ${issue.maximum} characters. Shorten it.`
    : `This has at least ${issue.minimum} characters.`;
}

/** A value that is none of a few, where its schema says no sentence of its own. */
const oneOfThese = ({ values, message }: Extract<z.core.$ZodIssue, { code: 'invalid_value' }>): string | null =>
  /[.!?]$/u.test(message) ? null : `Write one of ${values.map((one) => `"${String(one)}"`).join(', ')}.`;

/** What a JSON value is, in words. */
function named(value: unknown): string {
  if (value === null || value === undefined) return 'empty';
  if (Array.isArray(value)) return 'a list';
  if (typeof value === 'boolean') return `just ${value}`;
  return { string: 'text', number: 'a number' }[typeof value as string] ?? 'something else';
}

/** What would do in place of a value of the wrong kind. */
function asFor(issue: z.core.$ZodIssue): string {
  if (issue.code !== 'invalid_type') return issue.message;
  const wanted: Record<string, string> = {
    object: 'Write its parts in braces, each with its name: {"width": "3 in"}.',
    array: 'Write a list in square brackets: ["one", "two"].',
    record: 'Write its parts in braces, each with its name: {"lid": "green"}.',
    boolean: 'Write true or false, without quotes.',
    string: 'Write it as text in quotes.',
    number: 'Write a number, without quotes.',
  };
  return wanted[issue.expected] ?? issue.message;
}
