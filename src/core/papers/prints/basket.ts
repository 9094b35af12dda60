import { box, type Print } from './print';

const CELL = 9;
const STRIPS = [0, 1, 2].map((k) => k * 2.85);

/** Strips woven three by three. */
export const basket: Print = {
  name: 'basket',
  title: 'Basket, woven',
  tile: { width: 2 * CELL, height: 2 * CELL },
  directional: false,
  colours: ['#6b4028', '#d6a26b', '#be8450'],
  back: '#fbf3e5',
  draw: () =>
    [0, 1].flatMap((j) =>
      [0, 1].map((i) => {
        const upright = (i + j) % 2 === 1;
        const strips = STRIPS.map((k) =>
          upright
            ? box(i * CELL + 0.5 + k, j * CELL + 0.3, 2.2, 8.4)
            : box(i * CELL + 0.3, j * CELL + 0.5 + k, 8.4, 2.2),
        );
        return { d: strips.join(''), fill: upright ? 1 : 2 };
      }),
    ),
};
