/** The way through a make: stop after stop, each a step of a part and the copies it is done for. */
import type { Say } from '../length';
import { NUMBER_EDGES, pageByPage, type Step } from '../making';
import type { Plan } from '../plan';
import { partSteps, runsOf } from './order';
import type { PlannedPart, SetPlan } from './plan-set';
import { isLaid, sheetStops, stillGiving } from './sheet-stops';
import type { LaidPaper, Stop } from './stop';

/**
 * How several copies are made. By setting: each step is done for all of them before the next, so that nothing is set twice.
 * Trial first: one set is made so to its end, then the rest. One by one: each copy is finished before the next is cut. Together,
 * as makes of before have it: all are cut, then each sheet is marked and scored in one go, then each is folded.
 */
export type WayOfWork = 'by-setting' | 'trial-first' | 'one-by-one' | 'together';

/** A copy of a part that goes its own way from a stop on. */
export interface OwnWay {
  readonly part: string;
  readonly copy: number;
  /** Stops that were behind when it was taken. */
  readonly at: number;
  readonly plan: Plan;
}

/** Copies for which stops that are behind are done again, of new sheets or of what lies there. */
export interface DoneAgain {
  readonly part: string;
  readonly copies: readonly number[];
  /** Stops that were behind when it was asked for. */
  readonly at: number;
  /** The first stop that is done again. */
  readonly from: number;
  /** The only piece it is done again for; left out for all of the part. */
  readonly piece?: string;
}

/** A step that joins what was glued comes this many steps after the glue at most: later the glue was dry. */
const WET = 3;

/** Steps as they are done in one go: a sheet is not laid down between them. */
interface Go {
  readonly first: readonly Step[];
  readonly step: Step;
  readonly follows: readonly Step[];
}

/** Steps of one run, cut up into goes. */
function goesOf(steps: readonly Step[]): readonly Go[] {
  const goes: Go[] = [];
  for (let at = 0; at < steps.length;) {
    const begun = at;
    const { piece } = steps[at]!;
    const laid = (step: Step | undefined): boolean => step?.action === 'turn' && step.piece === piece;
    while (laid(steps[at]) && steps[at + 1]?.piece === piece) at++;
    const first = steps.slice(begun, at);
    const step = steps[at]!;
    at++;
    const follows: Step[] = [];
    const joins = step.glue === undefined ? -1 : steps.findIndex(({ joins: glue }, i) => i >= at && glue === step.glue);
    if (joins >= 0 && joins < at + WET) {
      follows.push(...steps.slice(at, joins + 1));
      at = joins + 1;
    }
    // What is scored where it was just punched lies in the board as it is.
    if (step.action === 'punch')
      while (steps[at]?.action === 'score' && steps[at]!.piece === piece && steps[at]!.readings.length === 0)
        follows.push(steps[at++]!);
    // Filled and shut, then the next.
    if (step.action === 'insert') while (steps[at]?.action === 'close') follows.push(steps[at++]!);
    if (step.phase === 'flat' && step.action !== 'turn') while (laid(steps[at])) follows.push(steps[at++]!);
    goes.push({ first, step, follows });
  }
  return goes;
}

/** Goes as stops for so many copies; one copy alone goes step by step. */
const stopsOf = (part: string, steps: readonly Step[], copies: readonly number[]): readonly Stop[] =>
  copies.length === 1
    ? steps.map((step) => ({ part, step, copies }))
    : goesOf(steps).map(({ first, step, follows }) => ({
        part,
        step,
        ...(first.length > 0 && { first }),
        ...(follows.length > 0 && { follows }),
        copies,
      }));

/** Each of these copies step by step, one after the other. */
const oneByOne = (part: string, steps: readonly Step[], copies: readonly number[]): readonly Stop[] =>
  copies.flatMap((copy) => steps.map((step): Stop => ({ part, step, copies: [copy] })));

/** For how many of so many sets sheets are laid out: of a trial, and of what is made one by one, each blank is cut by itself. */
export const setsLaid = (way: WayOfWork, copies: number): number =>
  way === 'by-setting' ? copies : way === 'trial-first' && copies > 1 ? copies - 1 : 0;

/**
 * The way through the make of so many sets, in the order of all that waits for something else.
 * @param laid how sheets were laid out for `setsLaid` of them, or cut for all: then these are told, and not a blank after the other
 */
export function walkOf(
  planned: SetPlan,
  say: Say,
  copies: number,
  way: WayOfWork,
  laid: readonly LaidPaper[] = [],
): Stop[] {
  const sets = Math.max(1, Math.floor(copies));
  const partOf = (id: string): PlannedPart => planned.parts.find(({ part }) => part.id === id)!;
  /** Copies of a part that so many sets take, those of the sets before left out. */
  const copiesOf = (id: string, from: number, to: number): readonly number[] => {
    const each = partOf(id).part.quantity;
    return Array.from({ length: each * (to - from) }, (_, i) => each * from + i + 1);
  };
  const runs = runsOf(planned, say);
  const cutUp = (sheets: readonly LaidPaper[]): readonly Stop[] => {
    const numbered = runs.some(({ part, steps }) =>
      steps.some((step) => step.how?.includes(NUMBER_EDGES) && isLaid(planned, part, step, sheets)),
    );
    return sheetStops(sheets, numbered, say);
  };
  const bySetting = (from: number, to: number, sheets: readonly LaidPaper[]): Stop[] =>
    runs.flatMap(({ part, phase, steps }) => {
      // A book whose pages follow each other says itself which steps come again.
      const stops = phase === 'fold' && pageByPage(partOf(part).plan) ? oneByOne : stopsOf;
      const told = steps.filter((step) => !isLaid(planned, part, step, sheets));
      return stops(part, told, copiesOf(part, from, to));
    });
  // What is cut already is cut for all, whichever way they are made.
  const cut = stillGiving(
    planned,
    laid.filter((sheets) => sheets.cut),
    sets,
  );
  const uncut = stillGiving(
    planned,
    laid.filter((sheets) => !sheets.cut),
    setsLaid(way, sets),
  );
  const all = [...cut, ...uncut];
  switch (way) {
    case 'by-setting':
      return [...cutUp(all), ...bySetting(0, sets, all)];
    case 'trial-first':
      return sets === 1
        ? [...cutUp(cut), ...bySetting(0, 1, cut)]
        : [...cutUp(cut), ...bySetting(0, 1, cut), ...cutUp(uncut), ...bySetting(1, sets, all)];
    case 'together':
      return runs.flatMap(({ part, phase, steps }) =>
        phase === 'cut'
          ? steps.map((step): Stop => ({ part, step, copies: copiesOf(part, 0, sets) }))
          : oneByOne(part, steps, copiesOf(part, 0, sets)),
      );
    case 'one-by-one': {
      // A part may be begun before what goes into it, and is finished after it: in the order in which they are finished.
      const ended = [...new Set([...runs].reverse().map(({ part }) => part))].reverse();
      return [
        ...cutUp(cut),
        ...ended.flatMap((part) => {
          const steps = partSteps(partOf(part), say).filter((step) => !isLaid(planned, part, step, cut));
          return oneByOne(part, steps, copiesOf(part, 0, sets));
        }),
      ];
    }
  }
}

const isOf = (stop: Stop, part: string, copies: readonly number[]): boolean =>
  stop.part === part && stop.copies.some((copy) => copies.includes(copy));

/**
 * The way through a make when some copies go their own way, or are done again, the one taken first first. What was behind stays.
 * Own ways: what was to come of that copy is left out, and its own steps come instead: flat work at once, folding where it was
 * folded. Done again: the stops that are asked for come once more for these copies, and they go on with the others.
 */
export const withOwnWays = (
  walk: readonly Stop[],
  planned: SetPlan,
  say: Say,
  ways: readonly (OwnWay | DoneAgain)[],
): Stop[] =>
  ways.reduce<Stop[]>(
    (now, way) => ('plan' in way ? withOwn(now, planned, say, way) : withAgain(now, planned, say, way)),
    [...walk],
  );

function withOwn(now: Stop[], planned: SetPlan, say: Say, { part: id, copy, at, plan }: OwnWay): Stop[] {
  const planOf = planned.parts.find(({ part }) => part.id === id);
  if (!planOf || !plan.made) return now;
  const own: PlannedPart = { ...planOf, plan };
  const steps = partSteps(own, say).map((step): Stop => ({ part: id, step, copies: [copy], own }));
  const rest = now.slice(at);
  const without = (stops: readonly Stop[]): Stop[] =>
    stops
      .map((stop) => (isOf(stop, id, [copy]) ? { ...stop, copies: stop.copies.filter((one) => one !== copy) } : stop))
      .filter(({ copies }) => copies.length > 0);
  const folds = rest.findIndex((stop) => isOf(stop, id, [copy]) && stop.step.phase === 'fold');
  const [first, then] = folds < 0 ? [[], rest] : [rest.slice(0, folds), rest.slice(folds)];
  const flat = steps.filter(({ step }) => step.phase !== 'fold');
  const late = steps.filter(({ step }) => step.phase === 'fold');
  return [...now.slice(0, at), ...flat, ...without(first), ...late, ...without(then)];
}

function withAgain(now: Stop[], planned: SetPlan, say: Say, way: DoneAgain): Stop[] {
  const { part, copies, at, from, piece } = way;
  const own = now
    .slice(from, at)
    // Of all that is behind nothing comes twice; the last stop alone may have been done again itself.
    .filter((stop) => isOf(stop, part, copies) && (stop.again === undefined || from === at - 1))
    .filter(({ step }) => piece === undefined || [step.piece, ...(step.alike ?? [])].includes(piece))
    .map((stop): Stop => ({ ...stop, copies: stop.copies.filter((copy) => copies.includes(copy)), again: true }));
  return [...now.slice(0, at), ...blanksAnew(now, planned, say, way), ...own, ...now.slice(at)];
}

/** The blanks of a copy that is made anew, where the first were cut from whole sheets: they are cut by themselves. */
function blanksAnew(
  now: readonly Stop[],
  planned: SetPlan,
  say: Say,
  { part, copies, at, from, piece }: DoneAgain,
): Stop[] {
  const laid = now.slice(from, at).flatMap(({ sheets }) => sheets ?? []);
  // By the plan that the rest of this copy goes by.
  const own =
    now.find((stop) => stop.asMade && isOf(stop, part, copies))?.own ??
    planned.parts.find((one) => one.part.id === part);
  if (laid.length === 0 || !own) return [];
  return partSteps(own, say)
    .filter((step) => isLaid(planned, part, step, laid))
    .filter((step) => piece === undefined || [step.piece, ...(step.alike ?? [])].includes(piece))
    .map((step): Stop => ({ part, step, copies, again: true }));
}

/** How many sets are finished when the first `done` stops are behind: of every part so many as one set takes. */
export function setsDone({ set }: SetPlan, walk: readonly Stop[], done: number): number {
  const of = (stops: readonly Stop[], part: string): Set<number> =>
    new Set(stops.filter((stop) => stop.part === part).flatMap((stop) => stop.copies));
  const finished = set.parts
    .filter(({ id }) => walk.some(({ part }) => part === id))
    .map(({ id, quantity }) => Math.floor((of(walk, id).size - of(walk.slice(done), id).size) / quantity));
  return finished.length > 0 ? Math.min(...finished) : 0;
}
