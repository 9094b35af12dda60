import { mm, unitsOf, type Graduation, type Mm } from '../length';

/** Who works in millimetres cuts ribbon, cord and strips off to the centimetre, up; fractions of an inch are told up to a mark. From memory. */
const CENTIMETRE = mm(10);

/** Ribbon, cord or strip as it is cut off, in the marks it is planned in. */
export const offTheReel = (length: number, graduation: Graduation): Mm =>
  graduation === 'exact' || unitsOf(graduation) === 'in'
    ? mm(length)
    : mm(Math.ceil(length / CENTIMETRE - 1e-9) * CENTIMETRE);
