import { z } from 'zod';
import { GRADUATIONS, lengthSchema, type Units } from '@/core/length';
import { COMMON_BOARD, COMMON_TOOLBOX, toolboxSchema, toolOf, type Tool, type Toolbox } from '@/core/tools';
import { db } from './db';

/** The person's own tools; what a table usually has until they have told. What the browser kept is checked before use. */
export async function loadToolbox(): Promise<Toolbox> {
  const read = toolboxSchema.safeParse((await db.settings.get('toolbox'))?.value);
  return read.success ? read.data : COMMON_TOOLBOX;
}
export const saveToolbox = (toolbox: Toolbox): Promise<string> => db.settings.put({ key: 'toolbox', value: toolbox });
/** Changes the toolbox as it stands by then: of two quick changes neither undoes the other. */
export const changeToolbox = (change: (now: Toolbox) => Toolbox): Promise<string> =>
  db.transaction('rw', db.settings, async () => saveToolbox(change(await loadToolbox())));

/** The envelope board that is out today, or a common one. */
export async function loadBoard(): Promise<Tool> {
  const own = (await loadToolbox()).find(({ kind, out }) => kind === 'envelope-board' && out);
  return (own && toolOf(own)) ?? COMMON_BOARD;
}

const length = lengthSchema({ least: 0, most: 200 });
const room = z.strictObject({ width: length, height: length });
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

/** Units of the screens that belong to no project. */
export const loadUnits = async (): Promise<Units> => ((await db.settings.get('units'))?.value === 'mm' ? 'mm' : 'in');
export const saveUnits = (units: Units): Promise<string> => db.settings.put({ key: 'units', value: units });

const sizeChart = z.strictObject({
  graduation: z.enum(GRADUATIONS),
  ease: z.strictObject({ width: length.optional(), height: length.optional() }),
  cards: z
    .array(
      z.strictObject({
        name: z.string().max(60),
        width: lengthSchema({ over: 0 }),
        height: lengthSchema({ over: 0 }),
        thickness: length,
      }),
    )
    .max(200),
});
/** What a person's own size chart is made of. */
export type ChartSetting = z.output<typeof sizeChart>;
export async function loadSizeChart(): Promise<ChartSetting | null> {
  const read = sizeChart.safeParse((await db.settings.get('size-chart'))?.value);
  return read.success ? read.data : null;
}
export const saveSizeChart = (chart: ChartSetting): Promise<string> =>
  db.settings.put({ key: 'size-chart', value: chart });

export type Theme = 'light' | 'dark' | 'auto';
/** Light, dark, or as the device says. */
export async function loadTheme(): Promise<Theme> {
  const kept = (await db.settings.get('theme'))?.value;
  return kept === 'light' || kept === 'dark' ? kept : 'auto';
}
export const saveTheme = (theme: Theme): Promise<string> => db.settings.put({ key: 'theme', value: theme });
