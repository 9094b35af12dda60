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

/** The first tool of that kind that is out today. */
const out = (toolbox: Toolbox, kind: Tool['kind']): Tool | null => {
  const own = toolbox.find((tool) => tool.kind === kind && tool.out);
  return own ? toolOf(own) : null;
};

/** The envelope board that is out today, or a common one. */
export const boardOut = (toolbox: Toolbox): Tool => out(toolbox, 'envelope-board') ?? COMMON_BOARD;

/** What is out today to plan for: the envelope board, and for straight scores a scoring board before it. */
export function toolsOut(toolbox: Toolbox): { readonly tool: Tool; readonly straight?: Tool } {
  const straight = out(toolbox, 'scoring-board');
  return { tool: boardOut(toolbox), ...(straight ? { straight } : {}) };
}
