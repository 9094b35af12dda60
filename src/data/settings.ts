import { z } from 'zod';
import { lengthSchema } from '@/core/length';
import { COMMON_BOARD, COMMON_TOOLBOX, toolboxSchema, toolOf, type Tool, type Toolbox } from '@/core/tools';
import { db } from './db';

/** The person's own tools; what a table usually has until they have told. What the browser kept is checked before use. */
export async function loadToolbox(): Promise<Toolbox> {
  const read = toolboxSchema.safeParse((await db.settings.get('toolbox'))?.value);
  return read.success ? read.data : COMMON_TOOLBOX;
}
export const saveToolbox = (toolbox: Toolbox): Promise<string> => db.settings.put({ key: 'toolbox', value: toolbox });

/** The envelope board that is out today, or a common one. */
export async function loadBoard(): Promise<Tool> {
  const own = (await loadToolbox()).find(({ kind, out }) => kind === 'envelope-board' && out);
  return (own && toolOf(own)) ?? COMMON_BOARD;
}

const room = z.strictObject({
  width: lengthSchema({ least: 0, most: 200 }),
  height: lengthSchema({ least: 0, most: 200 }),
});
const usualRoom = z.record(z.string().max(80), room);
/** Room to leave by kind of holder and contents, where the person took up what their fits say. */
export type UsualRoom = z.output<typeof usualRoom>;
export async function loadUsualRoom(): Promise<UsualRoom> {
  const read = usualRoom.safeParse((await db.settings.get('usual-room'))?.value);
  return read.success ? read.data : {};
}
export const saveUsualRoom = (rooms: UsualRoom): Promise<string> =>
  db.settings.put({ key: 'usual-room', value: rooms });

/** Whether steps are read out; off until it is asked for. */
export const loadSpoken = async (): Promise<boolean> => (await db.settings.get('spoken'))?.value === true;
export const saveSpoken = (spoken: boolean): Promise<string> => db.settings.put({ key: 'spoken', value: spoken });

export type Theme = 'light' | 'dark' | 'auto';
/** Light, dark, or as the device says. */
export async function loadTheme(): Promise<Theme> {
  const kept = (await db.settings.get('theme'))?.value;
  return kept === 'light' || kept === 'dark' ? kept : 'auto';
}
export const saveTheme = (theme: Theme): Promise<string> => db.settings.put({ key: 'theme', value: theme });
