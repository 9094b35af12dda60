import { dot, type Inking, type Print } from './print';

const said = (value: number): string => value.toFixed(2);

/** A leaf that grows from a place, turned clockwise by degrees. */
function leaf(x: number, y: number, turn: number, size: number): string {
  const [cos, sin] = [Math.cos((turn * Math.PI) / 180) * size, Math.sin((turn * Math.PI) / 180) * size];
  const at = (px: number, py: number): string => `${said(x + cos * px - sin * py)} ${said(y + sin * px + cos * py)}`;
  return `M${at(0, 0)}C${at(1.8, -2.2)} ${at(2.4, -6)} ${at(0, -9)}C${at(-2.4, -6)} ${at(-1.8, -2.2)} ${at(0, 0)}z`;
}

/** A sprig: its stem, five leaves, three berries at its foot. */
const sprig = (x: number, y: number): Inking[] => [
  { d: `M${said(x)} ${said(y + 16)}V${said(y)}`, stroke: 1, width: 0.4 },
  {
    d: [
      leaf(x, y + 13, -52, 0.8),
      leaf(x, y + 13, 52, 0.8),
      leaf(x, y + 7.5, -48, 0.7),
      leaf(x, y + 7.5, 48, 0.7),
      leaf(x, y + 2, 0, 0.6),
    ].join(''),
    fill: 2,
  },
  { d: dot(x - 2, y + 15, 0.9) + dot(x + 2, y + 15.6, 0.9) + dot(x, y + 17.2, 0.9), fill: 3 },
];

/** Upright sprigs of rowan, each column half a step from the next. */
export const rowan: Print = {
  name: 'rowan',
  title: 'Rowan, sprigs',
  tile: { width: 20, height: 36 },
  directional: true,
  colours: ['#efe9d8', '#6c5a3c', '#3e5f4a', '#be4b2d'],
  back: '#fdfaf1',
  draw: () => [...sprig(5, 7), ...sprig(15, 25), ...sprig(15, -11)],
};
