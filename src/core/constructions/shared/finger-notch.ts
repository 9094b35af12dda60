import type { Mm } from '../../length';
import { LEAST } from '../../pattern';
import type { Brief, Built, Cure, School } from './construction';
import { onMark } from './sizing';
import { choiceOption, lengthOption } from './options';

/** The options of the finger notch that any pocket may have: how large, and when it is punched, where makers differ. */
export const notchOptions = (fallback: Mm) => ({
  fingerNotch: lengthOption(
    'Finger notch',
    'Diameter of a half-round bite at the opening, so that the contents can be pulled out; 0 for none.',
    fallback,
    { least: 0, most: 80 },
    { madeWith: 'punch' },
  ),
  notchDepth: choiceOption('Notch bites', 'How much of the punch goes into the paper.', ['third', 'half']),
  notchWhen: choiceOption('Notch punched', 'While the piece is flat, or once it is glued.', ['flat', 'assembled']),
});

interface Notched {
  readonly fingerNotch: Mm;
  readonly notchDepth: 'third' | 'half';
  readonly notchWhen: 'flat' | 'assembled';
}

/** The share of its diameter that a punch bites deep. Common practice: a third to a half. */
const BITES = { third: 1 / 3, half: 1 / 2 } as const;

/** What of them changes nothing. */
export const idleNotch = ({ fingerNotch: diameter }: Pick<Notched, 'fingerNotch'>): readonly string[] =>
  diameter > 0 ? [] : ['notchDepth', 'notchWhen'];

export const NOTCH_SCHOOLS: readonly School[] = [
  {
    option: 'notchDepth',
    value: 'third',
    title: 'A third of the punch',
    why: 'Shallow and wide: the usual, and a small punch leaves most of the edge whole.',
  },
  {
    option: 'notchDepth',
    value: 'half',
    title: 'Half of the punch',
    why: 'A half-round bite that a thumb finds by itself; it shows more of the contents.',
  },
  {
    option: 'notchWhen',
    value: 'flat',
    title: 'Notch punched flat',
    why: 'Clean and easy to centre on one layer; the fold must then meet it.',
  },
  {
    option: 'notchWhen',
    value: 'assembled',
    title: 'Notch punched at the end',
    why: 'Sits exactly in the middle of the finished opening; a thick pile may not go into the punch.',
  },
];

/** A notch no larger than an opening so wide has room for, with paper left at both its ends. */
export function suitedNotch(brief: Brief<Notched>, wide: number): Partial<Notched> {
  const { fingerNotch } = brief.options;
  const most = onMark(Math.max(0, wide - 2 * LEAST.left.warns - NOTCH_SPARE), brief, 'down');
  return fingerNotch > most ? { fingerNotch: most } : {};
}

/** Rounding to marks may take so much of an opening, mm. */
const NOTCH_SPARE = 2;

/** What mends a notch that cannot be cut. */
export const NOTCH_CURES: readonly Cure[] = (['notch-cuts-fold', 'notch-cuts-glue'] as const).flatMap((problem) => [
  {
    for: problem,
    label: 'The largest punch that does',
    options: (limit) => (limit >= SMALL_PUNCH ? { fingerNotch: Math.floor(limit * 10) / 10 } : null),
  },
  { for: problem, label: 'Leave the notch out', options: () => ({ fingerNotch: 0 }) },
]);
/** No finger finds a smaller bite, mm. From memory. */
const SMALL_PUNCH = 6;

/** The finger notch as a feature, when there is to be one. */
export const fingerNotch = (
  cavity: string,
  { fingerNotch: diameter, notchDepth, notchWhen: when }: Notched,
): Built['features'] =>
  diameter > 0 ? [{ kind: 'finger-notch', cavity, diameter, bite: BITES[notchDepth], when }] : [];
