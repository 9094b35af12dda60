import Dexie, { type EntityTable, type Table } from 'dexie';
import type { CutList, CutPiece, KeptPaper, Layout } from '@/core/cutting';
import type { Units } from '@/core/length';
import type { DoneAgain, SetInput, WayOfWork } from '@/core/sets';
import type { LogEntry } from '@/core/files';
import type { DesignInput } from '@/core/design';
import { COMMON_TOOLBOX, type OwnTool } from '@/core/tools';
import type { Patch } from './patch';
import type { SettingKey } from './setting-kinds';
import { DataTrouble } from './trouble';

/** A project as it is kept: what the person decided, and when. */
export interface Project {
  readonly id: string;
  readonly name: string;
  readonly units: Units;
  /** What is made, by its parts: a single holder is a set of one. */
  readonly set: SetInput;
  /** How many of it are made, wherever that is asked; one where nobody told. */
  readonly copies?: number;
  /** Milliseconds since 1970. */
  readonly createdAt: number;
  readonly updatedAt: number;
  /** When it was put in the bin, 0 while it stands on the shelf. */
  readonly deletedAt: number;
}

/** A make under way or finished: a copy of what was decided when it began, and how far it has come. */
export interface MakeRecord {
  readonly id: string;
  readonly projectId: string;
  readonly name: string;
  readonly units: Units;
  readonly set: SetInput;
  /** Of the whole set. */
  readonly copies: number;
  readonly way: WayOfWork;
  /** Stops that are behind. */
  readonly done: number;
  /** Time at the table so far, ms. */
  readonly spent: number;
  readonly startedAt: number;
  readonly updatedAt: number;
  /** When it was finished or given up, 0 while it goes on. */
  readonly endedAt: number;
  /** Sheets that went wrong on the way, for their rescue. */
  readonly spoiled: readonly SpoiledSheet[];
  /** What happened on the way: copies that go their own way since, what is done again, what was measured. Left out where nothing did. */
  readonly ways?: readonly (TakenWay | DoneAgain | TakenMeasure)[];
  /** How its sheets were laid out when it began; left out where each blank is cut by itself. */
  readonly laid?: readonly LaidForMake[];
  /** Minutes it takes by usual figures; left out in what older versions wrote. */
  readonly usual?: number;
  /** It was made to its end, not given up. */
  readonly finished?: boolean;
}

/** The sheets of one paper as they were laid out for a make. */
export interface LaidForMake {
  /** Its id in the set. */
  readonly paper: string;
  /** The cutting table it was laid on. */
  readonly table: string;
  readonly list: CutList;
  readonly layout: Layout;
  /** Which paper of the stash a sheet of the list is. */
  readonly papers: readonly (readonly [sheet: string, paper: string])[];
  /** The cutting that was carried out of it before the make began; empty where it is cut on the way. */
  readonly cut: string;
  /** The cutting by which the stash followed on the way. */
  readonly followed?: string;
}

/** A way out that was taken for one copy, and how many stops were behind then. */
export interface TakenWay {
  readonly part: string;
  readonly copy: number;
  readonly at: number;
  readonly design: DesignInput;
}

/** A part that was measured as it came out, what was planned, and how sheets were laid out anew for it. */
export interface TakenMeasure {
  readonly part: string;
  readonly at: number;
  readonly measured: { readonly width: number; readonly height: number };
  readonly planned: { readonly width: number; readonly height: number };
  readonly laid?: readonly LaidForMake[];
}

/** A sheet on which something went wrong: what it was by then. */
export interface SpoiledSheet {
  readonly at: number;
  readonly copy: number;
  /** The part it was to become; empty in what older versions wrote: the only one. */
  readonly part: string;
  /** The step that went wrong, by its number in the part’s plan. */
  readonly step: number;
  readonly piece: string;
  readonly blank: { readonly width: number; readonly height: number };
  /** Moves of the piece's programme that were behind. */
  readonly moves: number;
  readonly text: string;
  /** Stops of the make that were behind; left out in what older versions wrote. */
  readonly done?: number;
  /** The sheet as it was, for its picture: what was left of it, and its scores. */
  readonly drawn?: {
    readonly paper: readonly (readonly (readonly [number, number])[])[];
    readonly scores: readonly (readonly [number, number, number, number])[];
  };
  /** A way out was taken for it, or it was put away: it is set aside no more. */
  readonly settled?: boolean;
}

/** A finished make as it is remembered. */
export interface LogRecord extends LogEntry {
  readonly id: string;
  readonly units: Units;
  /** The make and the project it came from, empty when it was written by hand or read from a table. */
  readonly makeId: string;
  readonly projectId: string;
  /** The part of the set it tells of; empty when it was written by hand, and in what older versions wrote. */
  readonly part: string;
  readonly addedAt: number;
  readonly deletedAt: number;
  readonly updatedAt?: number;
}

/** A photo of a finished make, shrunk, by the log entry it belongs to. */
export interface Photo {
  readonly id: string;
  readonly image: Blob;
}

/** A paper of the stash. */
export interface PaperRecord extends KeptPaper {
  /** The cutting an offcut came from; empty for others. */
  readonly from: string;
  readonly addedAt: number;
  readonly deletedAt: number;
  readonly updatedAt?: number;
}

/** A piece on the cutting table that belongs to no project. */
export interface ExtraPiece extends CutPiece {
  readonly id: string;
}

/** What lies on the cutting table: of one project (by its id), or of several (`table`). */
export interface CuttingRecord {
  readonly id: string;
  readonly needs: readonly { readonly id: string; readonly projectId: string; readonly copies: number }[];
  /** Pieces that belong to no project. */
  readonly extra: readonly ExtraPiece[];
  /** Papers of the stash it may take; null while nobody chose: those that suit. */
  readonly papers: readonly string[] | null;
  /** Paper sizes to buy as many of as are needed; null while nobody chose. */
  readonly bought: readonly string[] | null;
  readonly cutter: CutList['cutter'];
  readonly offcutsFirst: boolean;
  /** Sheets laid by hand, and the list they were laid for. */
  readonly byHand: { readonly list: CutList; readonly layout: Layout } | null;
  /** Set while the table shows what was cut. */
  readonly cut: { readonly id: string; readonly list: CutList; readonly layout: Layout } | null;
  /** Cuts that are behind, in a trimmer's order. */
  readonly step: number;
  readonly updatedAt: number;
}

/** A cutting that was carried out: where the paper went, and what the stash gave and got. */
export interface CutRecord {
  readonly id: string;
  readonly name: string;
  readonly at: number;
  readonly sheets: number;
  /** mm²: all sheets, pieces, kept as offcuts, pieces from offcuts. */
  readonly paper: number;
  readonly pieces: number;
  readonly kept: number;
  readonly saved: number;
  readonly cost: number;
  readonly savedCost: number;
  readonly taken: readonly { readonly paper: string; readonly count: number }[];
  /** The offcuts it put into the stash, and how many of each. */
  readonly added: readonly { readonly paper: string; readonly count: number }[];
  readonly undoneAt: number;
  readonly updatedAt?: number;
}

/** Choices that belong to the person, not to a project. */
export interface Setting {
  readonly key: SettingKey;
  readonly value: unknown;
}

/** What was typed into a form and not sent off yet. */
export interface DraftRecord {
  /** Which form, of what. */
  readonly id: string;
  readonly value: unknown;
  /** False once it was sent off or given up; left out by older versions. */
  readonly open?: boolean;
  readonly updatedAt: number;
}

/** A change as a page made it, written down at once and laid over its record right after. */
export interface JournalEntry {
  /** The open page it was made on, and its place among that page's changes. */
  readonly page: string;
  readonly seq: number;
  readonly table: KeptTable;
  readonly id: string;
  readonly patch: Patch;
  /** The fields it speaks of, whole: where what was changed meanwhile does not go with the patch. */
  readonly whole: Readonly<Record<string, unknown>>;
  /** The record to begin with where there is none; null where there must be one. */
  readonly fresh: object | null;
  readonly at: number;
}

/** How many of a page's changes have been laid over their records. */
interface AppliedRecord {
  readonly page: string;
  readonly seq: number;
  readonly at: number;
}

/** A record that could not be read when a change was to be laid over it, as it was. */
export interface AsideRecord {
  readonly id: string;
  readonly table: KeptTable;
  readonly record: unknown;
  readonly why: string;
  readonly at: number;
}

/** What a restore replaced and added, so that it can be taken back. */
export interface RestoreRecord {
  readonly id: string;
  readonly at: number;
  readonly name: string;
  readonly before: readonly { readonly table: KeptTable; readonly id: string; readonly record: object | null }[];
}

type Database = Dexie & {
  projects: EntityTable<Project, 'id'>;
  settings: EntityTable<Setting, 'key'>;
  makes: EntityTable<MakeRecord, 'id'>;
  log: EntityTable<LogRecord, 'id'>;
  photos: EntityTable<Photo, 'id'>;
  papers: EntityTable<PaperRecord, 'id'>;
  cuttings: EntityTable<CuttingRecord, 'id'>;
  cuts: EntityTable<CutRecord, 'id'>;
  drafts: EntityTable<DraftRecord, 'id'>;
  journal: Table<JournalEntry, [string, number]>;
  applied: EntityTable<AppliedRecord, 'page'>;
  aside: EntityTable<AsideRecord, 'id'>;
  restores: EntityTable<RestoreRecord, 'id'>;
};

/** The tables whose records are the person's own. */
export const KEPT_TABLES = [
  'projects',
  'settings',
  'makes',
  'log',
  'photos',
  'papers',
  'cuttings',
  'cuts',
  'drafts',
] as const;
export type KeptTable = (typeof KEPT_TABLES)[number];

/** Version of the data this app reads and writes. */
export const DATA_VERSION = 5;

/**
 * The browser's storage, but for one thing: a database of a newer version is not opened. Dexie would ask for it again
 * without a version and add to it what it misses; written by this app, it would come out half old.
 */
function notNewer(storage: IDBFactory | undefined): IDBFactory | undefined {
  if (!storage) return undefined;
  return {
    open: (name, version) => {
      if (version === undefined) throw new DataTrouble('newer');
      return storage.open(name, version);
    },
    deleteDatabase: (name) => storage.deleteDatabase(name),
    databases: () => storage.databases(),
    cmp: (a, b) => storage.cmp(a, b),
  };
}

/** Opens the browser's database. Each change of shape gets a version of its own, with a sample and a test. */
export function openDatabase(name = 'tuck-fold'): Database {
  const storage = notNewer(typeof indexedDB === 'undefined' ? undefined : indexedDB);
  const database = new Dexie(name, storage ? { indexedDB: storage, IDBKeyRange } : {}) as Database;
  database.version(1).stores({ projects: '&id, updatedAt', settings: '&key' });
  database
    .version(2)
    .stores({ makes: '&id, projectId, updatedAt', log: '&id, day, construction', photos: '&id' })
    .upgrade(async (change) => {
      // The one board of version 1 becomes the first of the tools.
      const settings = change.table('settings');
      const old = (await settings.get('my-board')) as { value: object } | undefined;
      if (!old) return;
      const tools = COMMON_TOOLBOX.map((tool) =>
        tool.kind === 'envelope-board' ? ({ ...tool, name: 'My board', ...old.value } as OwnTool) : tool,
      );
      await settings.put({ key: 'toolbox', value: tools });
      await settings.delete('my-board');
    });
  database.version(3).stores({ papers: '&id, from', cuttings: '&id', cuts: '&id, at' });
  database
    .version(4)
    // The log is read whole: an index of it would only make a long import longer.
    .stores({ log: '&id', drafts: '&id', journal: '[page+seq]', applied: '&page', aside: '&id', restores: '&id' });
  // Projects and makes are sets. Records of before are read as sets, and written anew once what pages of before left in the
  // journal is laid over them (`older.ts`).
  database.version(DATA_VERSION).stores({});
  return database;
}

export const db = openDatabase();
