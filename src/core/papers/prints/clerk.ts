import { seeded } from '../../chance';
import { box, type Inking, type Print } from './print';

const TILE = { width: 120, height: 42 };
const LINES = 6;
const APART = TILE.height / LINES;

/** A word from its first stroke on: loops above the line and, now and then, below it. What it takes of the line is told as well. */
function word(
  x: number,
  y: number,
  letters: number,
  chance: () => number,
): { readonly d: string; readonly end: number } {
  let [d, at] = [`M${x.toFixed(2)} ${y.toFixed(2)}`, x];
  for (let i = 0; i < letters; i++) {
    const drawn = chance();
    if (drawn < 0.2) d += 'c.9 -.3 1.5 -4.4 .9 -4.9s-1.2 1.6 -.8 3.4s.8 1.6 1.5 1.3';
    else if (drawn < 0.3) d += 'c.7 -.1 1.1 -1.5 .9 -1.9s-.8 .7 -.4 1.4s.4 2.6 0 3.1s-.9 -.6 -.1 -1.5s.8 -.9 1.2 -1.1';
    else if (drawn < 0.65) d += 'c.3 -.2 .7 -2 1.1 -2.1s-.2 1.9 .5 2.1';
    else d += 'c.7 -.3 1.2 -1.3 .8 -1.7s-1 .3 -.8 1s.9 .9 1.6 .7';
    at += 1.6;
  }
  return { d, end: at };
}

function written(): string {
  const chance = seeded(11);
  let d = '';
  for (let j = 0; j < LINES; j++) {
    let x = 25 + chance() * 4;
    while (x < TILE.width - 12) {
      const one = word(x, (j + 1) * APART - 0.6, 3 + Math.floor(chance() * 6), chance);
      if (one.end > TILE.width - 2) break;
      d += one.d;
      x = one.end + 2.4 + chance() * 1.5;
      // A line that ends before its end: a paragraph.
      if (chance() < 0.06) break;
    }
  }
  return d;
}

const ruled = (): string => {
  const lines = Array.from({ length: LINES }, (_, j) => box(0, (j + 1) * APART - 0.25, TILE.width, 0.25));
  return lines.join('');
};

/** A ruled page in a running hand. */
export const clerk: Print = {
  name: 'clerk',
  title: 'Clerk, a written page',
  tile: TILE,
  directional: true,
  colours: ['#f3ecda', '#8ca7b8', '#b9503f', '#34405e'],
  back: '#fdf9ef',
  draw: (): readonly Inking[] => [
    { d: ruled(), fill: 1 },
    { d: box(20, 0, 0.3, TILE.height) + box(21.4, 0, 0.3, TILE.height), fill: 2 },
    { d: written(), stroke: 3, width: 0.36 },
  ],
};
