import type { Point, Polygon } from '../geometry';
import {
  heightOf,
  linesOf,
  marksOf,
  ringsOf,
  ringsSeen,
  scoresOf,
  STYLE,
  widthOf,
  type Paint,
  type Scene,
} from '../scene';
import { oneLine } from '../text';

/** Figures are written to a ten-thousandth of a millimetre. */
export const figure = (value: number): string => String(Number(value.toFixed(4)));

/** Text in XML: printable letters only, for XML 1.0 forbids controls, lone surrogates, U+FFFE and U+FFFF even escaped. */
export const escaped = (text: string): string => oneLine(text).replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

/** Gap between pieces drawn in one file, mm. */
export const GAP = 10;

/** A drawing as an SVG file of its own, one user unit a millimetre. */
export const svgFile = (width: number, height: number, name: string, body: readonly string[]): string =>
  [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${figure(width)}mm" height="${figure(height)}mm" viewBox="0 0 ${figure(width)} ${figure(height)}">`,
    `  <title>${escaped(name)}</title>`,
    ...body,
    '</svg>',
    '',
  ].join('\n');

/**
 * Scenes of flat pieces as SVG at true size: one user unit is one millimetre, y down as SVG has it, with the groups
 * `cut`, `slit`, `score`, `hole`, `glue` and `no-glue` as layers; a piece that has a place on its paper lies there, with
 * the groups `paper` and `blank` round it. Cut lines are solid, valleys dashed, mountains dash-dotted.
 * Several pieces stand one above the other, each in a group of its name; their layers carry it too.
 */
export function sheetSvg(scenes: readonly Scene[], name: string): string {
  const width = Math.max(...scenes.map(widthOf));
  const height = scenes.reduce((sum, scene) => sum + heightOf(scene), GAP * (scenes.length - 1));
  const tops = scenes.map((_, i) => scenes.slice(0, i).reduce((sum, scene) => sum + heightOf(scene) + GAP, 0));
  const body =
    scenes.length === 1
      ? layers(scenes[0]!, '')
      : scenes.flatMap((scene, i) => [
          `  <g id="${idOf(scene.name)}" transform="translate(0 ${figure(tops[i]!)})">`,
          ...layers(scene, `${idOf(scene.name)}-`),
          '  </g>',
        ]);
  return svgFile(width, height, name, body);
}

const idOf = (name: string): string => escaped(name).replaceAll(' ', '-');

/** Colours as machines know them. */
const COLOURS: Readonly<Partial<Record<string, string>>> = { ink: '#000000', cut: '#ff0000', fold: '#0000ff' };
/** A paint as the attributes of a group. */
export const painted = ({ fill, cover, stroke, width, dash }: Paint): string =>
  [
    `fill="${fill ? COLOURS[fill] : 'none'}"`,
    ...(cover === undefined ? [] : [`fill-opacity="${cover}"`]),
    `stroke="${stroke ? COLOURS[stroke] : 'none'}"`,
    ...(width === undefined ? [] : [`stroke-width="${width}"`]),
    ...(dash ? [`stroke-dasharray="${dash.join(' ')}"`] : []),
  ].join(' ');

function layers(scene: Scene, prefix: string): string[] {
  const { box } = scene;
  const [x, y] = [(p: Point): string => figure(p.x - box.minX), (p: Point): string => figure(box.maxY - p.y)];
  const ring = (polygon: Polygon): string => `M${polygon.map((p) => `${x(p)} ${y(p)}`).join('L')}Z`;
  const group = (id: string, look: Paint, body: readonly string[]): string[] => [
    `  <g id="${prefix}${id}" ${painted(look)}>`,
    ...body.map((line) => `    ${line}`),
    '  </g>',
  ];
  const area = (id: string, look: Paint, rings: readonly Polygon[]): string[] =>
    group(
      id,
      look,
      rings.map((polygon) => `<path d="${ring(polygon)}"/>`),
    );
  const ends = (from: Point, to: Point): string => `x1="${x(from)}" y1="${y(from)}" x2="${x(to)}" y2="${y(to)}"`;
  const { face, hole, line, area: areas } = STYLE.filed;
  const { dash: _each, ...score } = line.valley;
  const stock = ringsSeen(scene, 'stock');
  return [
    ...(stock.length > 0
      ? [...area('paper', face.stock, stock), ...area('blank', areas.blank, ringsOf(scene, 'blank'))]
      : []),
    ...area('glue', areas.glue, ringsOf(scene, 'glue')),
    ...area('no-glue', areas['no-glue'], ringsOf(scene, 'no-glue')),
    ...group(
      'score',
      score,
      scoresOf(scene).map(
        ({ id, fold, from, to }) =>
          `<line id="${escaped(id)}" class="${fold}" ${ends(from, to)} stroke-dasharray="${line[fold].dash.join(' ')}"/>`,
      ),
    ),
    ...group(
      'hole',
      hole,
      marksOf(scene, 'hole').map(
        ({ at, diameter }) => `<circle cx="${x(at)}" cy="${y(at)}" r="${figure(diameter / 2)}"/>`,
      ),
    ),
    ...group(
      'slit',
      line.slit,
      linesOf(scene, 'slit').map(({ points: [from, to] }) => `<line ${ends(from!, to!)}/>`),
    ),
    ...area('cut', face.paper, ringsSeen(scene, 'paper')),
  ];
}
