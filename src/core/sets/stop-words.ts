/** What a stop says: all that is done in one go, for all its copies. */
import { unnamed, type Action } from '../making';
import type { RulerReading } from '../tools';
import { listed } from '../text';
import { minutesOf } from './time';
import { stepsAt, type Stop } from './stop';

export interface StopWords {
  /** For which copies: `All 24`, `Copies 3 and 7, again`; null where there is one. */
  readonly who: string | null;
  /** What is done there, each kind once; how the sheet is turned is none. */
  readonly actions: readonly Action[];
  /** How the sheet is laid for it, what is done, what follows: a sentence or two each. */
  readonly first: readonly string[];
  readonly text: string;
  readonly follows: readonly string[];
  readonly how: readonly string[];
  /** In which rhythm, where glue asks for one. */
  readonly rhythm: string | null;
  readonly cautions: readonly string[];
  readonly readings: readonly RulerReading[];
}

/** So many lie under a book at once. Common practice, no source. */
const UNDER_A_BOOK = 10;

/** Copies as one says them, of so many in all. */
export function copiesSaid(copies: readonly number[], of: number): string {
  const [first] = copies;
  const last = copies.at(-1);
  if (copies.length === of) return of === 2 ? 'Both' : `All ${of}`;
  if (copies.length === 1) return `Copy ${first}`;
  const inARow = copies.every((copy, i) => copy === first! + i);
  return inARow && copies.length > 2 ? `Copies ${first} to ${last}` : `Copies ${listed(copies.map(String))}`;
}

/** How many go through the glue at once, and what dries meanwhile; null where nothing dries, or there is one. */
function rhythmOf(stop: Stop): string | null {
  const dries = stepsAt(stop).find((step) => step.dries)?.dries;
  const count = stop.copies.length;
  const glues = stop.step.action === 'glue' && (stop.follows?.length ?? 0) > 0;
  if (count === 1) return null;
  if (!dries) return glues ? 'Glue one and join it, then take the next.' : null;
  const one = 'Glue one and join it, lay it by, then take the next.';
  if (!dries.pressed) return `${one} The last is dry ${dries.minutes} minutes after it is joined.`;
  if (count <= UNDER_A_BOOK)
    return `${one} All ${count} lie under the book; the last comes out after ${dries.minutes} minutes.`;
  const each = minutesOf([stop]) / count;
  return UNDER_A_BOOK * each >= dries.minutes
    ? `${one} Ten lie under the book at once: when the next comes, the first is dry.`
    : `${one} Ten lie under the book at once, each for ${dries.minutes} minutes: with two books nobody waits.`;
}

const unlike = (all: readonly (string | undefined)[]): readonly string[] => [
  ...new Set(all.flatMap((one) => (one ? [one] : []))),
];

/** @param of copies there are of the part */
export function stopWords(stop: Stop, of: number): StopWords {
  const { copies, again } = stop;
  const rhythm = rhythmOf(stop);
  const who =
    of === 1 || copies.length === 0
      ? null
      : `${copiesSaid(copies, of)}${again ? ', again' : ''}${rhythm ? ', one by one' : ''}`;
  const all = stepsAt(stop);
  const actions = [...new Set(all.flatMap(({ action }) => (action === 'turn' ? [] : action)))];
  return {
    who,
    actions: actions.length > 0 ? actions : [stop.step.action],
    // The piece is named where the work is told, once.
    first: (stop.first ?? []).map(unnamed),
    text: stop.step.text,
    follows: (stop.follows ?? []).map(unnamed),
    how: unlike(all.map(({ how }) => how)),
    rhythm,
    cautions: unlike(all.map(({ caution }) => caution)),
    readings: all.flatMap(({ readings }) => readings),
  };
}
