import { mm, roundTo, usualOn, usualUnits, type Direction, type Graduation, type Mm } from '../../length';
import type { Cure } from './construction';
import type { AskedKind } from './facts';

/** What mends a part that is too large: as large as there is room for, to a tenth of a millimetre. */
export const partCure = (option: string, more: Readonly<Record<string, unknown>> = {}): Cure => ({
  for: 'part-too-large',
  id: option,
  label: 'Make it fit',
  options: (limit) => ({ [option]: Math.max(0.1, Math.floor((limit - 0.05) * 10) / 10), ...more }),
});

/** What lengths that are usual mend: laid over the design's as they are said on its marks. */
export const usualCure = (problem: AskedKind, label: string, lengths: Readonly<Record<string, Mm>>): Cure => ({
  for: problem,
  label,
  options: (_, _now, { graduation }) =>
    Object.fromEntries(Object.entries(lengths).map(([option, length]) => [option, usualOn(graduation, length)])),
});

/** A length that mends something, on marks as fine as are worth setting: sixteenths of an inch, or half millimetres. */
export const onFineMark = (length: number, graduation: Graduation, way: Direction = 'up'): Mm =>
  roundTo(mm(length), usualUnits(graduation) === 'in' ? '1/16 in' : '0.5 mm', way);
