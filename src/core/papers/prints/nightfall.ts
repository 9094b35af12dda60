import { seeded } from '../../chance';
import { box, dot, type Ink, type Inking, type Print } from './print';

const SIDE = 305;
const BANDS = 122;
const STARS = 520;
/** How far down the sky each colour is reached, a share of the sheet. */
const REACHED = [0, 0.5, 0.8, 1] as const;

/** The sky's colour so far down. */
function sky(share: number): Ink {
  const next = Math.max(
    1,
    REACHED.findIndex((reached) => share <= reached),
  );
  const [from, to] = [REACHED[next - 1]!, REACHED[next]!];
  return [next - 1, next, (share - from) / (to - from)];
}

/** One evening over a whole sheet, from the last light upwards to the stars: every flap takes another hour. */
export const nightfall: Print = {
  name: 'nightfall',
  title: 'Nightfall, one evening',
  tile: { width: SIDE, height: SIDE },
  directional: true,
  colours: ['#161f42', '#4c4270', '#b5737a', '#ebbe8c', '#fff4d8'],
  back: '#f8f1ea',
  draw: () => {
    const chance = seeded(5);
    const high = SIDE / BANDS;
    const bands = Array.from({ length: BANDS }, (_, i): Inking => ({
      // Each a hair longer, so that no line shows between them.
      d: box(0, i * high, SIDE, high + 0.2),
      fill: sky((i + 0.5) / BANDS),
    }));
    const stars = Array.from({ length: STARS }, () => dot(chance() * SIDE, SIDE * chance() ** 2, 0.3 + chance() * 0.5));
    return [...bands, { d: stars.join(''), fill: 4 }];
  },
};
