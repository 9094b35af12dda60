import { DxfWriter, point3d } from '@tarikjabiri/dxf';
import { type CutList, type Layout, type SheetKind, type SheetLayout, fenceOrder } from '../cutting';
import { oneLine } from '../text';
import { csv, guarded, length } from './csv';
import { escaped, figure } from './svg';

/** Gap between sheets drawn in one file, mm. */
const GAP = 20;

/** Every sheet of a layout with where it stands in a drawing of all of them, left to right, mm. */
function sideBySide(list: CutList, { sheets }: Layout): { kind: SheetKind; sheet: SheetLayout; left: number }[] {
  let left = 0;
  return sheets.map((sheet) => {
    const kind = list.sheets.find(({ name }) => name === sheet.sheet)!;
    const at = left;
    left += kind.width + GAP;
    return { kind, sheet, left: at };
  });
}

/** The layout as SVG at true size, y down: the groups `sheet`, `piece`, `cut`, `offcut` and `name` of each sheet. */
export function layoutSvg(list: CutList, layout: Layout, title: string): string {
  const all = sideBySide(list, layout);
  const width = all.reduce((most, { kind, left }) => Math.max(most, left + kind.width), 1);
  const height = Math.max(1, ...all.map(({ kind }) => kind.height));
  const body = all.flatMap(({ kind, sheet, left }, i) => {
    const up = (y: number): string => figure(kind.height - y);
    const box = (r: { x: number; y: number; width: number; height: number }): string =>
      `<rect x="${figure(r.x)}" y="${up(r.y + r.height)}" width="${figure(r.width)}" height="${figure(r.height)}"/>`;
    const group = (name: string, look: string, lines: readonly string[]): string[] => [
      `    <g id="${name}-${i + 1}" ${look}>`,
      ...lines.map((line) => `      ${line}`),
      '    </g>',
    ];
    return [
      `  <g id="sheet-${i + 1}" transform="translate(${figure(left)} 0)">`,
      ...group('edge', 'fill="none" stroke="#000000" stroke-width="0.3"', [
        box({ x: 0, y: 0, width: kind.width, height: kind.height }),
      ]),
      ...group('offcut', 'fill="#000000" fill-opacity="0.08" stroke="none"', sheet.offcuts.map(box)),
      ...group('piece', 'fill="none" stroke="#0000ff" stroke-width="0.1"', sheet.placements.map(box)),
      ...group(
        'cut',
        'fill="none" stroke="#ff0000" stroke-width="0.2"',
        sheet.cuts.map(
          ({ from, to }) =>
            `<line x1="${figure(from[0])}" y1="${up(from[1])}" x2="${figure(to[0])}" y2="${up(to[1])}"/>`,
        ),
      ),
      ...group(
        'name',
        'font-family="sans-serif" font-size="5" text-anchor="middle"',
        sheet.placements.map(
          (p) => `<text x="${figure(p.x + p.width / 2)}" y="${up(p.y + p.height / 2)}">${escaped(p.piece)}</text>`,
        ),
      ),
      '  </g>',
    ];
  });
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${figure(width)}mm" height="${figure(height)}mm" viewBox="0 0 ${figure(width)} ${figure(height)}">`,
    `  <title>${escaped(title)}</title>`,
    ...body,
    '</svg>',
    '',
  ].join('\n');
}

/** The layers of a layout's DXF file, a kind of line each, with a colour number that every reader knows. */
const LAYERS = { SHEET: 7, PIECE: 5, CUT: 1, OFFCUT: 3, NAME: 8 } as const;

/** The layout as DXF, millimetres, y up: sheets side by side, a layer for each kind of line. */
export function layoutDxf(list: CutList, layout: Layout): string {
  const dxf = new DxfWriter();
  dxf.setUnits(4);
  for (const [name, colour] of Object.entries(LAYERS)) dxf.addLayer(name, colour, 'Continuous');
  for (const { kind, sheet, left } of sideBySide(list, layout)) {
    const line = (layer: keyof typeof LAYERS, from: readonly [number, number], to: readonly [number, number]): void => {
      dxf.addLine(point3d(left + from[0], from[1]), point3d(left + to[0], to[1]), { layerName: layer });
    };
    const box = (layer: keyof typeof LAYERS, r: { x: number; y: number; width: number; height: number }): void => {
      const [right, top] = [r.x + r.width, r.y + r.height];
      line(layer, [r.x, r.y], [right, r.y]);
      line(layer, [right, r.y], [right, top]);
      line(layer, [right, top], [r.x, top]);
      line(layer, [r.x, top], [r.x, r.y]);
    };
    box('SHEET', { x: 0, y: 0, width: kind.width, height: kind.height });
    for (const piece of sheet.placements) {
      box('PIECE', piece);
      // A name that would break the file's lines is set on one.
      dxf.addText(point3d(left + piece.x + 2, piece.y + piece.height / 2), 4, oneLine(piece.piece), {
        layerName: 'NAME',
      });
    }
    for (const { from, to } of sheet.cuts) line('CUT', from, to);
    for (const offcut of sheet.offcuts) box('OFFCUT', offcut);
  }
  return dxf.stringify();
}

/** Every piece of a layout as a table: sheet, piece, where it lies from the sheet's lower left, mm. */
export const layoutCsv = ({ sheets }: Layout): string =>
  csv(
    ['number', 'sheet', 'piece', 'x', 'y', 'width', 'height', 'turned'],
    sheets.flatMap(({ sheet, placements }, i) =>
      placements.map((p) => [
        String(i + 1),
        guarded(sheet),
        guarded(p.piece),
        length(p.x),
        length(p.y),
        length(p.width),
        length(p.height),
        p.turned ? 'yes' : 'no',
      ]),
    ),
  );

/** The cuts in a trimmer's order as a table: where the fence stands, in which sheet, how long, what lies at the fence. */
export const cutsCsv = (list: CutList, layout: Layout): string =>
  csv(
    ['cut', 'fence', 'sheet number', 'length', 'kept width', 'kept height'],
    fenceOrder(list.sheets, layout.sheets)
      .flatMap(({ cuts }) => cuts)
      .map((cut, i) => [
        String(i + 1),
        length(cut.setting),
        String(cut.sheet + 1),
        length(cut.length),
        length(cut.first.width),
        length(cut.first.height),
      ]),
  );
