import { COMMON_BOARD, toolOf, type Tool, type Toolbox } from '@/core/tools';
import { db } from './db';
import { allKept, keep } from './keep';
import type { SettingKind } from './setting-kinds';

/** A setting as the browser kept it; what holds without it where there is none, or none that can be read. */
export async function loadSetting<T>({ key, shape, fallback }: SettingKind<T>): Promise<T> {
  // What this page changed a moment ago counts; where it cannot be laid, what is there does.
  await allKept().catch(() => undefined);
  const read = shape.safeParse((await db.settings.get(key))?.value);
  return read.success ? read.data : fallback;
}

/** Keeps what became of a setting, at once: of a list or a record only what changed, so that two windows agree. */
export const keepSetting = <T>({ key }: SettingKind<T>, before: T, after: T): void =>
  keep('settings', key, { value: before }, { value: after }, { key, value: before });

/** The envelope board that is out today, or a common one. */
export function boardOut(toolbox: Toolbox): Tool {
  const own = toolbox.find(({ kind, out }) => kind === 'envelope-board' && out);
  return (own && toolOf(own)) ?? COMMON_BOARD;
}
