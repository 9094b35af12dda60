import { box, type Print } from './print';

/** A check of broad bars and threads. */
export const windowpane: Print = {
  name: 'windowpane',
  title: 'Windowpane, check',
  tile: { width: 24, height: 24 },
  directional: false,
  colours: ['#3f5248', '#e6ddc6', '#c98b4a'],
  back: '#fbf8ee',
  draw: () => [
    { d: box(5.4, 0, 1.2, 24) + box(0, 5.4, 24, 1.2), fill: 1 },
    { d: box(17.75, 0, 0.5, 24) + box(0, 17.75, 24, 0.5), fill: 2 },
  ],
};
