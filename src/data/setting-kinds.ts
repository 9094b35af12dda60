import { z } from '@/core/text/zod';
import { GRADUATIONS, lengthSchema, type Units } from '@/core/length';
import { misreadSchema, type Misread } from '@/core/rescue/mistaken';
import { lineSchema, nameSchema } from '@/core/text';
import { COMMON_TOOLBOX, toolboxSchema, type Toolbox } from '@/core/tools';

/** A choice that belongs to the person: where it is kept, what it must be, and what holds until it is made. */
export interface SettingKind<T> {
  readonly key: SettingKey;
  readonly shape: z.ZodType<T>;
  readonly fallback: T;
}

export type SettingKey =
  | 'demo-shelf'
  | 'toolbox'
  | 'theme'
  | 'spoken'
  | 'usual-room'
  | 'units'
  | 'size-chart'
  | 'backup'
  | 'currency'
  | 'hands'
  | 'handed'
  | 'misreads';

const length = lengthSchema({ least: 0, most: 200 });
const room = z.strictObject({ width: length, height: length });
const usualRoom = z.record(z.string().max(80), room);
/** Room to leave by kind of holder and contents, where the person took up what their fits say. */
export type UsualRoom = z.output<typeof usualRoom>;

const sizeChart = z.strictObject({
  graduation: z.enum(GRADUATIONS),
  ease: z.strictObject({ width: length.optional(), height: length.optional() }),
  cards: z
    .array(
      z.strictObject({
        name: nameSchema(60, 'It needs a name.'),
        width: lengthSchema({ over: 0 }),
        height: lengthSchema({ over: 0 }),
        thickness: length,
      }),
    )
    .max(200),
});
/** What a person's own size chart is made of. */
export type ChartSetting = z.output<typeof sizeChart>;

/** How far off what someone cuts, scores and sets is, two standard deviations, mm. */
const off = lengthSchema({ least: 0, most: 10 });
const hands = z.strictObject({ cut: off, score: off, setting: off });

export type Theme = 'light' | 'dark' | 'auto';

/** How often the person wants to be reminded of a backup, and when the last one was taken. */
const backup = z.strictObject({
  every: z.enum(['never', 'week', 'month', 'quarter']),
  /** ms since 1970; 0 while none was. */
  lastAt: z.number().min(0),
  /** Not reminded again before then. */
  laterUntil: z.number().min(0),
});
export type BackupSetting = z.output<typeof backup>;

/** Takes the input of a shape for its output, which they are for what was read before. */
const kind = <T>(key: SettingKey, shape: z.ZodType<T>, fallback: T): SettingKind<T> => ({ key, shape, fallback });

export const DEMO_SHELF_AT = kind('demo-shelf', z.number(), 0);
/** The person's own tools; what a table usually has until they have told. */
export const TOOLBOX = kind<Toolbox>('toolbox', toolboxSchema, COMMON_TOOLBOX);
export const USUAL_ROOM = kind<UsualRoom>('usual-room', usualRoom, {});
/** Whether steps are read out; off until it is asked for. */
export const SPOKEN = kind('spoken', z.boolean(), false);
/** The hand that holds the knife and the folder: for the left one the table is laid the other way round. */
export const HANDED = kind<'right' | 'left'>('handed', z.enum(['right', 'left']), 'right');
/** Where inches are the measure of the land (Unicode CLDR, measurementSystem US; from memory). */
const IN_INCHES: ReadonlySet<string> = new Set(['US', 'LR', 'MM']);
/** Units as the browser's region has them, until the person chooses. */
export function unitsOfRegion(language: string | undefined): Units {
  if (!language) return 'in';
  try {
    return IN_INCHES.has(new Intl.Locale(language).maximize().region ?? '') ? 'in' : 'mm';
  } catch {
    return 'in';
  }
}
/** Units of the screens that belong to no project, and of what is begun there. */
export const UNITS = kind<Units>(
  'units',
  z.enum(['in', 'mm']),
  unitsOfRegion(typeof navigator === 'undefined' ? undefined : navigator.language),
);
export const SIZE_CHART = kind<ChartSetting | null>('size-chart', sizeChart.nullable(), null);
/** Light, dark, or as the device says. */
export const THEME = kind<Theme>('theme', z.enum(['light', 'dark', 'auto']), 'auto');
/** What money is written with: a sign or a short name; nothing until it is told. */
export const CURRENCY = kind('currency', lineSchema(20), '');
/** How exact one’s hands are; the usual figures while nobody measured. */
export const HANDS = kind<z.output<typeof hands> | null>('hands', hands.nullable(), null);
/** Readings that were mistaken, the latest last: told again at their steps. */
const MOST_MISREADS = 60;
export const MISREADS = kind<readonly Misread[]>('misreads', z.array(misreadSchema).max(MOST_MISREADS), []);

/** The readings with some more, each once. */
export const remembering = (known: readonly Misread[], more: readonly Misread[]): readonly Misread[] => {
  const key = (one: Misread): string => JSON.stringify(one);
  const fresh = more.filter((one, i) => more.findIndex((other) => key(other) === key(one)) === i);
  const kept = known.filter((one) => !fresh.some((other) => key(other) === key(one)));
  return [...kept, ...fresh].slice(-MOST_MISREADS);
};
export const BACKUP = kind<BackupSetting>('backup', backup, { every: 'month', lastAt: 0, laterUntil: 0 });

/** Every kind of setting by its key. */
export const SETTINGS: ReadonlyMap<string, SettingKind<unknown>> = new Map(
  [DEMO_SHELF_AT, TOOLBOX, USUAL_ROOM, SPOKEN, UNITS, SIZE_CHART, THEME, BACKUP, CURRENCY, HANDS, HANDED, MISREADS].map(
    (one) => [one.key, one as SettingKind<unknown>],
  ),
);
