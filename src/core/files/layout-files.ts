import { DxfWriter, point3d } from '@tarikjabiri/dxf';
import { fenceOrder, type CutList, type Layout } from '../cutting';
import { boxOf, type Point, type Polygon } from '../geometry';
import {
  heightOf,
  layoutScene,
  linesOf,
  marksOf,
  ringsOf,
  ringsSeen,
  STYLE,
  widthOf,
  type Paint,
  type Scene,
} from '../scene';
import { oneLine } from '../text';
import { csv, guarded, length } from './csv';
import { escaped, figure, painted, svgFile } from './svg';

/** Gap between sheets drawn in one file, mm. */
const GAP = 20;

/** Every sheet of a layout, and where it stands in a drawing of all of them, left to right, mm. */
function sideBySide(list: CutList, { sheets }: Layout): { readonly scene: Scene; readonly left: number }[] {
  let left = 0;
  return sheets.map((sheet) => {
    const scene = layoutScene(
      list.sheets.find(({ name }) => name === sheet.sheet)!,
      sheet,
    );
    const at = left;
    left += widthOf(scene) + GAP;
    return { scene, left: at };
  });
}

/** The layout as SVG at true size, y down: the groups `sheet`, `piece`, `cut`, `offcut` and `name` of each sheet. */
export function layoutSvg(list: CutList, layout: Layout, title: string): string {
  const all = sideBySide(list, layout);
  const { face, line, area } = STYLE.filedLayout;
  const width = all.reduce((most, { scene, left }) => Math.max(most, left + widthOf(scene)), 1);
  const height = Math.max(1, ...all.map(({ scene }) => heightOf(scene)));
  const body = all.flatMap(({ scene, left }, i) => {
    const up = (y: number): string => figure(heightOf(scene) - y);
    const box = (ring: Polygon): string => {
      const { minX, maxX, minY, maxY } = boxOf(ring);
      return `<rect x="${figure(minX)}" y="${up(maxY)}" width="${figure(maxX - minX)}" height="${figure(maxY - minY)}"/>`;
    };
    const group = (name: string, look: Paint, lines: readonly string[]): string[] => [
      `    <g id="${name}-${i + 1}" ${painted(look)}>`,
      ...lines.map((line) => `      ${line}`),
      '    </g>',
    ];
    return [
      `  <g id="sheet-${i + 1}" transform="translate(${figure(left)} 0)">`,
      ...group('edge', face.stock, ringsSeen(scene, 'stock').map(box)),
      ...group('offcut', area.offcut, ringsOf(scene, 'offcut').map(box)),
      ...group('piece', face.paper, ringsSeen(scene, 'paper').map(box)),
      ...group(
        'cut',
        line.cut,
        linesOf(scene, 'cut').map(
          ({ points: [from, to] }) =>
            `<line x1="${figure(from!.x)}" y1="${up(from!.y)}" x2="${figure(to!.x)}" y2="${up(to!.y)}"/>`,
        ),
      ),
      `    <g id="name-${i + 1}" font-family="sans-serif" font-size="5" text-anchor="middle">`,
      ...marksOf(scene, 'name').map(
        ({ at, text }) => `      <text x="${figure(at.x)}" y="${up(at.y)}">${escaped(text)}</text>`,
      ),
      '    </g>',
      '  </g>',
    ];
  });
  return svgFile(width, height, title, body);
}

/** The layers of a layout's DXF file, a kind of line each, with a colour number that every reader knows. */
const LAYERS = { SHEET: 7, PIECE: 5, CUT: 1, OFFCUT: 3, NAME: 8 } as const;

/** The layout as DXF, millimetres, y up: sheets side by side, a layer for each kind of line. */
export function layoutDxf(list: CutList, layout: Layout): string {
  const dxf = new DxfWriter();
  dxf.setUnits(4);
  for (const [name, colour] of Object.entries(LAYERS)) dxf.addLayer(name, colour, 'Continuous');
  for (const { scene, left } of sideBySide(list, layout)) {
    const on = ({ x, y }: Point) => point3d(left + x, y);
    const ring = (layerName: keyof typeof LAYERS, polygon: Polygon): void =>
      polygon.forEach((from, i) => dxf.addLine(on(from), on(polygon[(i + 1) % polygon.length]!), { layerName }));
    for (const sheet of ringsSeen(scene, 'stock')) ring('SHEET', sheet);
    const names = marksOf(scene, 'name');
    ringsSeen(scene, 'paper').forEach((piece, i) => {
      const { at, text, room } = names[i]!;
      ring('PIECE', piece);
      // A name that would break the file's lines is set on one.
      dxf.addText(on({ x: at.x - room.width / 2 + 2, y: at.y }), 4, oneLine(text), { layerName: 'NAME' });
    });
    for (const { points } of linesOf(scene, 'cut')) dxf.addLine(on(points[0]!), on(points[1]!), { layerName: 'CUT' });
    for (const offcut of ringsOf(scene, 'offcut')) ring('OFFCUT', offcut);
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
