/** Prints of our own, drawn by code at true scale. A new one is a file here and a line in the list. */
import { basket } from './basket';
import { clerk } from './clerk';
import { combed } from './combed';
import { contour } from './contour';
import { halves } from './halves';
import { mitre } from './mitre';
import { nightfall } from './nightfall';
import { offcuts } from './offcuts';
import { pinhole } from './pinhole';
import type { Print } from './print';
import { rowan } from './rowan';
import { windowpane } from './windowpane';

export { type Ink, type Inking, type Print } from './print';

/** All prints, in the order they are offered. */
export const PRINTS: readonly Print[] = [
  mitre,
  pinhole,
  windowpane,
  rowan,
  halves,
  contour,
  clerk,
  basket,
  combed,
  offcuts,
  nightfall,
];

/** The print of that name; null where there is none. */
export const printNamed = (name: string): Print | null => PRINTS.find((print) => print.name === name) ?? null;
