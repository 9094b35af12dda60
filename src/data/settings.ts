import { z } from 'zod';
import { lengthSchema } from '@/core/length';
import { COMMON_BOARD } from '@/core/tools';
import { db, type MyBoard } from './db';

const length = lengthSchema({ over: 0 });
const myBoard = z.object({ notch: length, offset: lengthSchema({ least: -50 }), rulerEnd: length, grooveEnd: length });

/** The person's own board; a common one until they have set theirs. What the browser kept is checked before use. */
export async function loadMyBoard(): Promise<MyBoard> {
  const read = myBoard.safeParse((await db.settings.get('my-board'))?.value);
  if (read.success) return read.data;
  const { notch, offset, rulerEnd, grooveEnd } = COMMON_BOARD;
  return { notch, offset, rulerEnd, grooveEnd };
}
export const saveMyBoard = (board: MyBoard): Promise<string> => db.settings.put({ key: 'my-board', value: board });

export type Theme = 'light' | 'dark' | 'auto';
/** Light, dark, or as the device says. */
export async function loadTheme(): Promise<Theme> {
  const kept = (await db.settings.get('theme'))?.value;
  return kept === 'light' || kept === 'dark' ? kept : 'auto';
}
export const saveTheme = (theme: Theme): Promise<string> => db.settings.put({ key: 'theme', value: theme });
