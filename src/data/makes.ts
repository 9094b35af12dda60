import type { Units } from '@/core/length';
import type { DesignInput } from '@/core/design';
import type { Finished, LaidPaper, SetInput, WayOfWork } from '@/core/sets';
import {
  db,
  type LaidForMake,
  type MakeRecord,
  type Project,
  type SpoiledSheet,
  type TakenMeasure,
  type TakenWay,
} from './db';
import { markCut } from './cuttings';
import { allKept, keep, readAll } from './keep';
import { newId } from './newId';

/** Begins a make of a project as it stands now; later changes of the project leave it alone. Gives back its id. */
export async function beginMake(
  project: { readonly id: string; readonly name: string; readonly units: Units; readonly set: SetInput },
  copies: number,
  way: WayOfWork,
  laid: readonly LaidForMake[],
  usual: number,
): Promise<string> {
  const now = Date.now();
  const { name, units, set } = project;
  return db.makes.add({
    id: newId(),
    projectId: project.id,
    name,
    units,
    set: structuredClone(set),
    copies,
    way,
    done: 0,
    spent: 0,
    startedAt: now,
    updatedAt: now,
    endedAt: 0,
    spoiled: [],
    ...(laid.length > 0 && { laid }),
    usual,
  });
}

const goingOn = async (): Promise<MakeRecord[]> =>
  (await readAll<MakeRecord>('makes')).records
    .filter(({ endedAt }) => endedAt === 0)
    .sort((a, b) => b.updatedAt - a.updatedAt);

/** The make of a project that goes on, the one touched last; null when none does. */
export const openMake = async (projectId: string): Promise<MakeRecord | null> =>
  (await goingOn()).find((make) => make.projectId === projectId) ?? null;

/** Those of the makes that go on and whose project stands on the shelf, last touched first. */
export function openMakesOf(makes: readonly MakeRecord[], shelf: readonly Project[]): MakeRecord[] {
  const standing = new Set(shelf.map(({ id }) => id));
  return makes
    .filter(({ endedAt, projectId }) => endedAt === 0 && standing.has(projectId))
    .sort((a, b) => b.updatedAt - a.updatedAt);
}

/** Ways out that were taken in a make, as they were taken. */
export const takenWays = ({ ways = [] }: Pick<MakeRecord, 'ways'>): readonly TakenWay[] =>
  ways.flatMap((way) => ('design' in way ? [way] : []));

/** How the sheets of a make were laid out, as its way is told from them. */
export const laidPapers = ({ laid = [] }: Pick<MakeRecord, 'laid'>): readonly LaidPaper[] =>
  laid.map(({ paper, list, layout, cut }) => ({ paper, list, layout, cut: cut !== '' }));

/** Sheets as they were laid for a make: when it began, and anew whenever something was measured. */
export const laidIn = ({ laid = [], ways = [] }: Pick<MakeRecord, 'laid' | 'ways'>): readonly LaidForMake[] => [
  ...laid,
  ...ways.flatMap((way) => ('measured' in way ? (way.laid ?? []) : [])),
];

/** Lets the stash follow what was cut on the way of a make, some of its sheets as laid; fails with a sentence where they are not there. */
export async function markCutIn(make: MakeRecord, cut: readonly LaidForMake[]): Promise<void> {
  const followed = new Map<LaidForMake, string>();
  try {
    for (const one of cut)
      followed.set(one, await markCut(one.table, make.name, one.list, one.layout, new Map(one.papers)));
  } finally {
    // Those that did follow have, whatever became of the others.
    followedBy(make, followed);
  }
}

/** The stash stays as it is, whatever a make cut. */
export const leaveStash = (make: MakeRecord, cut: readonly LaidForMake[]): void =>
  followedBy(make, new Map(cut.map((one) => [one, ''])));

const followedBy = (make: MakeRecord, followed: ReadonlyMap<LaidForMake, string>): void => {
  const told = (laid: readonly LaidForMake[]): readonly LaidForMake[] =>
    laid.map((one) => {
      const by = followed.get(one);
      return by === undefined ? one : { ...one, followed: by };
    });
  keepMake(make, {
    ...(make.laid && { laid: told(make.laid) }),
    ...(make.ways && {
      ways: make.ways.map((way) => ('measured' in way && way.laid ? { ...way, laid: told(way.laid) } : way)),
    }),
  });
};

/** What was measured in some makes, beside what was planned: of each part the last, which may have put an earlier one right. */
export const takenMeasures = (makes: readonly MakeRecord[]): readonly TakenMeasure[] =>
  makes.flatMap(({ ways = [] }) => [
    ...new Map(ways.flatMap((way) => ('measured' in way ? [[way.part, way] as const] : []))).values(),
  ]);

/** Makes that were finished, as a pace is told from them. */
export const finishedMakes = (makes: readonly MakeRecord[]): readonly Finished[] =>
  makes.flatMap(({ finished, usual, spent }) => (finished && usual ? [{ took: spent / 60_000, usual }] : []));

/** Keeps what became of a make, at once. */
export const keepMake = (
  make: MakeRecord,
  change: Partial<Pick<MakeRecord, 'done' | 'spent' | 'endedAt' | 'set' | 'ways' | 'laid'>>,
): void => keep('makes', make.id, make, { ...make, ...change });

/** Keeps a sheet that went wrong; gives back the time it was set aside, which tells it from others. */
export async function keepSpoiled(make: MakeRecord, sheet: Omit<SpoiledSheet, 'at'>): Promise<number> {
  const at = Date.now();
  keep('makes', make.id, make, { ...make, spoiled: [...make.spoiled, { ...sheet, at }] });
  await allKept();
  return at;
}

/** Sheets set aside that nothing became of yet, the last first, each with the make it is of. */
export const setAsideOf = (
  makes: readonly MakeRecord[],
): readonly { readonly make: MakeRecord; readonly sheet: SpoiledSheet }[] =>
  makes
    .flatMap((make) => make.spoiled.filter(({ settled }) => !settled).map((sheet) => ({ make, sheet })))
    .sort((a, b) => b.sheet.at - a.sheet.at);

const withSheet = (make: MakeRecord, at: number, settled: boolean): readonly SpoiledSheet[] =>
  make.spoiled.map((sheet) => (sheet.at === at ? { ...sheet, settled } : sheet));

/** Nothing more is to be done with a sheet that was set aside, or it is there again. */
export const settleSheet = (make: MakeRecord, at: number, settled = true): void =>
  keep('makes', make.id, make, { ...make, spoiled: withSheet(make, at, settled) });

/**
 * True where a make can go on with a way out: it goes on, and nothing was done since the sheet was set aside.
 */
export const goesOnWith = (make: MakeRecord, sheet: SpoiledSheet): boolean =>
  make.endedAt === 0 && sheet.done === make.done;

/** Takes a way out for the copy a sheet was to become: the make goes on from where it stood. Gives it back as it is then. */
export function takeWay(make: MakeRecord, sheet: SpoiledSheet, design: DesignInput): MakeRecord {
  const way = { part: sheet.part, copy: sheet.copy, at: make.done, design };
  const taken = { ...make, spoiled: withSheet(make, sheet.at, true), ways: [...(make.ways ?? []), way] };
  keep('makes', make.id, make, taken);
  return taken;
}

/** The make as it was before a way was taken: its sheet set aside, and where it stood, however far it came since. */
export const takeWayBack = (taken: MakeRecord, { done, spoiled, ways = [] }: MakeRecord): void =>
  keep('makes', taken.id, { ...taken, done: done + 1 }, { ...taken, done, spoiled, ways });
