import { dot, type Print } from './print';

/** Dots 5 mm apart, each row between those of the next. */
export const pinhole: Print = {
  name: 'pinhole',
  title: 'Pinhole, dots',
  tile: { width: 5, height: 8.66 },
  directional: false,
  colours: ['#22304f', '#f4e6c4'],
  back: '#eef3f6',
  draw: () => [{ d: dot(1.25, 2.165, 0.6) + dot(3.75, 6.495, 0.6), fill: 1 }],
};
