import type { Point } from '../geometry';
import { rect } from '../pattern';
import { oneLine } from '../text';
import type { SheetDrawing } from './sheet-drawing';

/** Figures are written to a ten-thousandth of a millimetre. */
export const figure = (value: number): string => String(Number(value.toFixed(4)));

/** Text in XML: printable letters only, for XML 1.0 forbids controls, lone surrogates, U+FFFE and U+FFFF even escaped. */
export const escaped = (text: string): string => oneLine(text).replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);

/** Gap between pieces drawn in one file, mm. */
export const GAP = 10;

/**
 * The flat pieces as SVG at true size: one user unit is one millimetre, y down as SVG has it, with the groups
 * `cut`, `slit`, `score`, `hole`, `glue` and `no-glue` as layers; a piece that has a place on its paper lies there, with
 * the groups `paper` and `blank` round it. Cut lines are solid, valleys dashed, mountains dash-dotted.
 * Several pieces stand one above the other, each in a group of its name; their layers carry it too.
 */
export function sheetSvg(drawings: SheetDrawing | readonly SheetDrawing[], name: string): string {
  const all = 'blank' in drawings ? [drawings] : drawings;
  const width = Math.max(...all.map(({ blank }) => blank.width));
  const height = all.reduce((sum, { blank }) => sum + blank.height, GAP * (all.length - 1));
  const tops = all.map((_, i) => all.slice(0, i).reduce((sum, { blank }) => sum + blank.height + GAP, 0));
  const body =
    all.length === 1
      ? layers(all[0]!, '')
      : all.flatMap((drawing, i) => [
          `  <g id="${idOf(drawing.name)}" transform="translate(0 ${figure(tops[i]!)})">`,
          ...layers(drawing, `${idOf(drawing.name)}-`),
          '  </g>',
        ]);
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${figure(width)}mm" height="${figure(height)}mm" viewBox="0 0 ${figure(width)} ${figure(height)}">`,
    `  <title>${escaped(name)}</title>`,
    ...body,
    '</svg>',
    '',
  ].join('\n');
}

const idOf = (name: string): string => escaped(name).replaceAll(' ', '-');

function layers({ blank, outline, scores, holes, slits, glue, noGlue, laid }: SheetDrawing, prefix: string): string[] {
  const at = (p: Point): string => `${figure(p.x)} ${figure(blank.height - p.y)}`;
  const ring = (polygon: readonly Point[]): string => `M${polygon.map(at).join('L')}Z`;
  const area = (id: string, polygons: readonly (readonly Point[])[], look: string): string =>
    [
      `  <g id="${prefix}${id}" ${look}>`,
      ...polygons.map((polygon) => `    <path d="${ring(polygon)}"/>`),
      '  </g>',
    ].join('\n');
  const line = (score: SheetDrawing['scores'][number]): string =>
    `    <line id="${escaped(score.id)}" class="${score.fold}" x1="${figure(score.from.x)}" y1="${figure(blank.height - score.from.y)}" x2="${figure(score.to.x)}" y2="${figure(blank.height - score.to.y)}" stroke-dasharray="${score.fold === 'valley' ? '4 2' : '6 1.5 1 1.5'}"/>`;
  return [
    ...(laid
      ? [
          area('paper', [rect(0, 0, blank.width, blank.height)], 'fill="none" stroke="#000000" stroke-width="0.1"'),
          area(
            'blank',
            [rect(laid.x, laid.y, laid.x + laid.width, laid.y + laid.height)],
            'fill="none" stroke="#000000" stroke-width="0.1" stroke-dasharray="2 2"',
          ),
        ]
      : []),
    area('glue', glue, 'fill="#000000" fill-opacity="0.15" stroke="none"'),
    area('no-glue', noGlue, 'fill="none" stroke="#000000" stroke-width="0.1" stroke-dasharray="0.5 1"'),
    `  <g id="${prefix}score" fill="none" stroke="#0000ff" stroke-width="0.2">`,
    ...scores.map(line),
    '  </g>',
    `  <g id="${prefix}hole" fill="none" stroke="#ff0000" stroke-width="0.2">`,
    ...holes.map(
      ({ centre, diameter }) =>
        `    <circle cx="${figure(centre.x)}" cy="${figure(blank.height - centre.y)}" r="${figure(diameter / 2)}"/>`,
    ),
    '  </g>',
    `  <g id="${prefix}slit" fill="none" stroke="#ff0000" stroke-width="0.2">`,
    ...slits.map(
      ({ from, to }) =>
        `    <line x1="${figure(from.x)}" y1="${figure(blank.height - from.y)}" x2="${figure(to.x)}" y2="${figure(blank.height - to.y)}"/>`,
    ),
    '  </g>',
    area('cut', outline, 'fill="none" stroke="#ff0000" stroke-width="0.2"'),
  ];
}
