import type { Mm } from '../length';
import type { Built, Cure, School } from './construction';
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
  notchWhen: choiceOption('Notch punched', 'While the piece is flat, or once it is glued.', ['flat', 'assembled']),
});

interface Notched {
  readonly fingerNotch: Mm;
  readonly notchWhen: 'flat' | 'assembled';
}

/** What of them changes nothing. */
export const idleNotch = ({ fingerNotch: diameter }: Pick<Notched, 'fingerNotch'>): readonly string[] =>
  diameter > 0 ? [] : ['notchWhen'];

export const NOTCH_SCHOOLS: readonly School[] = [
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

/** What mends a notch that cannot be cut. */
export const NOTCH_CURES: readonly Cure[] = (['notch-cuts-fold', 'notch-cuts-glue'] as const).map((problem) => ({
  for: problem,
  label: 'Leave the notch out',
  options: () => ({ fingerNotch: 0 }),
}));

/** The finger notch as a feature, when there is to be one. */
export const fingerNotch = (cavity: string, { fingerNotch: diameter, notchWhen: when }: Notched): Built['features'] =>
  diameter > 0 ? [{ kind: 'finger-notch', cavity, diameter, when }] : [];
