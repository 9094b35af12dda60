import { box, type Print } from './print';

/** Lengthwise stripes: a broad one, and two threads. */
export const mitre: Print = {
  name: 'mitre',
  title: 'Mitre, stripes',
  tile: { width: 12, height: 12 },
  directional: true,
  colours: ['#f2e8d5', '#a63d2a', '#22303c'],
  back: '#fdf8ec',
  draw: () => [
    { d: box(0, 0, 4, 12), fill: 1 },
    { d: box(5.5, 0, 0.7, 12) + box(9.2, 0, 0.7, 12), fill: 2 },
  ],
};
