import Dexie, { type EntityTable } from 'dexie';
import type { Units } from '@/core/length';
import type { DesignInput } from '@/core/plan';
import type { EnvelopeBoard } from '@/core/tools';

/** A project as it is kept: what the person decided, and when. */
export interface Project {
  readonly id: string;
  readonly name: string;
  readonly units: Units;
  readonly design: DesignInput;
  /** Milliseconds since 1970. */
  readonly createdAt: number;
  readonly updatedAt: number;
  /** When it was put in the bin, 0 while it stands on the shelf. */
  readonly deletedAt: number;
  /** Which open page wrote it last; another page then takes the change over. */
  readonly writtenBy: string;
}

/** Choices that belong to the person, not to a project. */
export interface Setting {
  readonly key: 'demo-shelf' | 'my-board' | 'theme';
  readonly value: unknown;
}
/** The board the person owns. */
export type MyBoard = Pick<EnvelopeBoard, 'notch' | 'offset' | 'rulerEnd' | 'grooveEnd'>;

type Database = Dexie & { projects: EntityTable<Project, 'id'>; settings: EntityTable<Setting, 'key'> };

/** Opens the browser's database. Each change of shape gets a version of its own, with a sample and a test. */
export function openDatabase(name = 'tuck-fold'): Database {
  const database = new Dexie(name) as Database;
  database.version(1).stores({ projects: '&id, updatedAt', settings: '&key' });
  return database;
}

export const db = openDatabase();
