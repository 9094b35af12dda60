/** A colour of a print by its place in the list, or one between two of them. */
export type Ink = number | readonly [from: number, to: number, share: number];

/** One thing that is printed: an outline that is filled, a line, or both. */
export interface Inking {
  /** SVG path data; millimetres from the tile's upper left corner, y down. */
  readonly d: string;
  readonly fill?: Ink;
  readonly stroke?: Ink;
  /** Breadth of the line, mm. */
  readonly width?: number;
}

/** A print of our own: one tile of it, that is laid beside itself in both directions. */
export interface Print {
  readonly name: string;
  readonly title: string;
  /** What the tile measures, mm. */
  readonly tile: { readonly width: number; readonly height: number };
  /** True for a print that has a right way up. */
  readonly directional: boolean;
  /** As it comes, the ground first; the person has others. */
  readonly colours: readonly string[];
  /** The colour of its plain back. */
  readonly back: string;
  /** What is printed on the ground, in order. */
  readonly draw: () => readonly Inking[];
}

type Place = readonly [x: number, y: number];

const said = (value: number): string => String(Math.round(value * 100) / 100);

/** A rectangle. */
export const box = (x: number, y: number, width: number, height: number): string =>
  `M${said(x)} ${said(y)}h${said(width)}v${said(height)}h${said(-width)}z`;

/** A dot. */
export const dot = (x: number, y: number, r: number): string =>
  `M${said(x - r)} ${said(y)}a${said(r)} ${said(r)} 0 1 0 ${said(2 * r)} 0a${said(r)} ${said(r)} 0 1 0 ${said(-2 * r)} 0z`;

/** Places one after the other; closed where it is an outline. */
export const through = (places: readonly Place[], closed = false): string =>
  `M${places.map(([x, y]) => `${said(x)} ${said(y)}`).join('L')}${closed ? 'z' : ''}`;

/** Places turned clockwise by degrees, made larger, and moved. */
export const placed = (
  places: readonly Place[],
  {
    x,
    y,
    turn = 0,
    size = 1,
  }: { readonly x: number; readonly y: number; readonly turn?: number; readonly size?: number },
): Place[] => {
  const [cos, sin] = [Math.cos((turn * Math.PI) / 180) * size, Math.sin((turn * Math.PI) / 180) * size];
  return places.map(([px, py]) => [x + cos * px - sin * py, y + sin * px + cos * py]);
};

/** Where a thing that sticks out of its tile is drawn again, so that it goes on beyond every side: the tile's own place, and all round. */
export const around = ({ width, height }: Print['tile'], [x, y]: Place, reach: number): Place[] =>
  [-width, 0, width].flatMap((dx) =>
    [-height, 0, height].flatMap((dy): Place[] => {
      const [px, py] = [x + dx, y + dy];
      return px > -reach && px < width + reach && py > -reach && py < height + reach ? [[px, py]] : [];
    }),
  );
