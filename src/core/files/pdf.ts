import {
  clip,
  closePath,
  endPath,
  fillAndStroke,
  lineTo,
  moveTo,
  PDFDocument,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  rgb,
  setDashPattern,
  setFillingRgbColor,
  setLineWidth,
  setStrokingRgbColor,
  StandardFonts,
  stroke,
  type PDFOperator,
  type PDFPage,
} from '@cantoo/pdf-lib';
import { boxOf, circle, type Point } from '../geometry';
import { readCutList } from '../cutting';
import { firstLayout } from '../cutting/first';
import { letteringIn, textLines, type Lettering, type Printed } from './pdf-text';
import { FOOT, OVERLAP, RIM, tilesFor, type Page, type Tile } from './tiles';
import type { PrintShape } from './print-picture';
import {
  heightOf,
  linesOf,
  marksOf,
  ringsOf,
  scoresOf,
  STYLE,
  widthOf,
  type Paint,
  type Scene,
  type Tone,
} from '../scene';

/** PDF counts in points: 72 to the inch. */
export const POINT = 72 / 25.4;

/** The words a printed pattern carries. */
export interface PrintWords {
  readonly title: string;
  /** What is done first to each piece, by its name: how it is cut, where it is set or scored. */
  readonly pieces: Readonly<Record<string, string>>;
  /** The check bar: its length in mm and what it says. */
  readonly bar: { readonly length: number; readonly label: string };
}

/** Room between pieces that share a page, mm. */
const BETWEEN = 6;

/** A piece as it lies on a page: the tile of it that is shown, and where. */
interface Shown {
  readonly drawing: Scene;
  readonly tile: Tile;
  readonly at: (p: Point) => readonly [number, number];
}

/** A page to print: upright or across, with the pieces on it; `tiles` are all of a piece that takes several pages. */
interface PrintPage {
  readonly across: boolean;
  readonly shown: readonly [Shown, ...Shown[]];
  readonly tiles: readonly Tile[];
}

/** The pieces of one paper on as few pages as a first layout finds; one that is larger than a page is tiled on its own. */
function pagesFor(drawings: readonly Scene[], page: Page): readonly PrintPage[] {
  const window = { width: page.width - 2 * RIM, height: page.height - 2 * RIM - FOOT };
  const size = (drawing: Scene) => ({ width: widthOf(drawing), height: heightOf(drawing) });
  const isSmall = (drawing: Scene): boolean => {
    const { width, height } = size(drawing);
    return (
      Math.min(width, height) <= Math.min(window.width, window.height) &&
      Math.max(width, height) <= Math.max(window.width, window.height)
    );
  };
  const small = drawings.filter(isSmall);
  const shared = (small.length > 1 ? sharing(small, window) : []).map((shown): PrintPage => ({
    across: false,
    shown,
    tiles: [],
  }));
  const alone = drawings
    .filter((drawing) => small.length < 2 || !isSmall(drawing))
    .flatMap((drawing): PrintPage[] => {
      const { across, tiles } = tilesFor(size(drawing), page);
      return tiles.map((tile) => ({ across, shown: [{ drawing, tile, at: onPage(tile) }], tiles }));
    });
  return [...shared, ...alone];
}

/** Pieces that fit a page, several to a page where there is room. */
function sharing(
  small: readonly Scene[],
  window: { readonly width: number; readonly height: number },
): readonly PrintPage['shown'][] {
  const grown = (length: number): number => length + BETWEEN;
  const read = readCutList({
    version: 1,
    sheets: [{ name: 'page', width: grown(window.width), height: grown(window.height) }],
    pieces: small.map((drawing, i) => ({
      name: String(i),
      width: grown(widthOf(drawing)),
      height: grown(heightOf(drawing)),
    })),
    cutter: 'free',
  });
  const layout = read.ok ? firstLayout(read.list) : null;
  return (layout?.sheets ?? []).flatMap(({ placements }) => {
    const [first, ...others] = placements.map(({ piece, x, y, turned }): Shown => {
      const drawing = small[Number(piece)]!;
      const [width, height] = [widthOf(drawing), heightOf(drawing)];
      const lies = (p: Point): readonly [number, number] => (turned ? [x + height - p.y, y + p.x] : [x + p.x, y + p.y]);
      return {
        drawing,
        tile: { row: 0, column: 0, x: 0, y: 0, width, height },
        at: (p) => {
          const [px, py] = lies(p);
          return [(px + RIM) * POINT, (py + RIM + FOOT) * POINT];
        },
      };
    });
    return first ? [[first, ...others] as const] : [];
  });
}

/**
 * The flat pieces as a PDF at true size, those of one paper after each other, several to a page where they fit. A piece larger than the
 * page is tiled: neighbouring pages repeat 10 mm and carry the same join marks. Every page has a check bar to hold a ruler to, what is
 * done to its pieces, and a small picture of what it becomes. `fonts` are font files for letters that no reader of PDF has of its own.
 * @param papers the pieces by the paper they are cut from
 */
export async function sheetPdf(
  papers: readonly (readonly Scene[])[],
  page: Page,
  words: PrintWords,
  picture: readonly PrintShape[] = [],
  fonts: readonly Uint8Array[] = [],
): Promise<Printed> {
  const pdf = await PDFDocument.create({ updateMetadata: false });
  pdf.setTitle(words.title);
  const letters = await letteringIn(pdf, StandardFonts.Helvetica, fonts);
  const several = papers.flat().length > 1;
  const pages = papers.flatMap((drawings) => pagesFor(drawings, page));
  pages.forEach(({ across, shown, tiles }, i) => {
    const [width, height] = across ? [page.height, page.width] : [page.width, page.height];
    const sheet = pdf.addPage([width * POINT, height * POINT]);
    for (const one of shown) {
      drawTile(sheet, one, shown.length > 1);
      drawNumbers(sheet, letters, one);
      if (shown.length > 1) drawName(sheet, letters, one, words);
    }
    const [{ drawing, tile }] = shown;
    drawJoins(sheet, letters, tile, tiles);
    const names = shown.map((one) => one.drawing.name).join(', ');
    const place = `page ${i + 1} of ${pages.length}${tiles.length > 1 ? `, row ${tile.row + 1}, column ${tile.column + 1}` : ''}`;
    // Pieces that share a page carry what is done to them themselves.
    drawFoot(
      sheet,
      letters,
      words,
      shown.length > 1 ? names : words.pieces[drawing.name],
      picture,
      several && shown.length === 1 ? `${names}, ${place}` : place,
    );
  });
  return { bytes: await pdf.save(), missing: [...letters.missing] };
}

/** What a piece that shares its page is, and what is done to it first, inside its near edge as far as there is room. */
function drawName(page: PDFPage, letters: Lettering, { drawing, at }: Shown, words: PrintWords): void {
  const [[x1, y1], [x2, y2]] = [at({ x: 0, y: 0 }), at({ x: widthOf(drawing), y: heightOf(drawing) })];
  const [left, wide, bottom, high] = [Math.min(x1, x2), Math.abs(x2 - x1), Math.min(y1, y2), Math.abs(y2 - y1)];
  const size = 7;
  const said = words.pieces[drawing.name];
  const lines = textLines(
    said ? `${drawing.name}: ${said}` : drawing.name,
    (text) => letters.width(text, size) <= wide - 8,
  );
  const room = Math.max(1, Math.floor((high - 8) / (size * 1.2)));
  const some = lines.slice(0, Math.min(room, 5));
  some.forEach((line, i) =>
    letters.draw(page, line, { x: left + 4, y: bottom + 5 + (some.length - 1 - i) * size * 1.2, size }),
  );
}

/** From the sheet's millimetres to the page's points. */
const onPage =
  (tile: Tile) =>
  (p: Point): readonly [number, number] => [(p.x - tile.x + RIM) * POINT, (p.y - tile.y + RIM + FOOT) * POINT];

function drawTile(page: PDFPage, { drawing, tile, at }: Shown, whole: boolean): void {
  page.pushOperators(
    pushGraphicsState(),
    // A piece that shares its page is there whole.
    ...(whole
      ? []
      : [rectangle(RIM * POINT, (RIM + FOOT) * POINT, tile.width * POINT, tile.height * POINT), clip(), endPath()]),
    ...sheetLines(drawing, at),
    popGraphicsState(),
  );
}

/** How dark a tone is printed: 0 is black. */
const GREYS: Partial<Record<Tone, number>> = { ink: 0, 'ink-soft': 0.45 };

/** A sheet's outline, folds, cuts and glue as strokes; `at` carries the sheet's millimetres to the page's points. */
export function sheetLines(scene: Scene, at: (p: Point) => readonly [number, number]): PDFOperator[] {
  const { face, hole, line, area } = STYLE.printed;
  const ring = (points: readonly Point[]): PDFOperator[] => [
    moveTo(...at(points[0]!)),
    ...points.slice(1).map((p) => lineTo(...at(p))),
    closePath(),
    stroke(),
  ];
  const path = ([from, ...more]: readonly Point[]): PDFOperator[] => [
    moveTo(...at(from!)),
    ...more.map((p) => lineTo(...at(p))),
    stroke(),
  ];
  const look = ({ width = 0, stroke: tone, dash = [] }: Paint): PDFOperator[] => {
    const grey = GREYS[tone!] ?? 0;
    return [
      setLineWidth(width * POINT),
      setStrokingRgbColor(grey, grey, grey),
      setDashPattern(
        dash.map((d) => d * POINT),
        0,
      ),
    ];
  };
  return [
    ...look(area['no-glue']),
    ...ringsOf(scene, 'no-glue').flatMap(ring),
    ...look(area.glue),
    ...ringsOf(scene, 'glue').flatMap((polygon) => [...ring(polygon), ...hatch(polygon, at)]),
    ...look(face.paper),
    ...scene.faces.flatMap(({ rings }) => rings.flatMap(ring)),
    ...look(hole),
    ...marksOf(scene, 'hole').flatMap((one) => ring(circle(one.at, one.diameter / 2, 32))),
    ...look(line.slit),
    ...linesOf(scene, 'slit').flatMap(({ points }) => path(points)),
    ...scoresOf(scene).flatMap(({ fold, from, to }) => [...look(line[fold]), ...path([from, to])]),
    ...look(face.paper),
  ];
}

/** Upright hatching for a glue area, 3 mm apart: the stretches of each line that lie inside. */
function hatch(polygon: readonly Point[], at: (p: Point) => readonly [number, number]): PDFOperator[] {
  const xs = polygon.map((p) => p.x);
  const lines: PDFOperator[] = [];
  for (let x = Math.ceil(Math.min(...xs) / 3) * 3 + 1e-4; x < Math.max(...xs); x += 3) {
    const ys = polygon
      .flatMap((p, i) => {
        const q = polygon[(i + 1) % polygon.length]!;
        return p.x < x !== q.x < x ? [p.y + ((q.y - p.y) * (x - p.x)) / (q.x - p.x)] : [];
      })
      .sort((a, b) => a - b);
    for (let i = 0; i + 1 < ys.length; i += 2)
      lines.push(moveTo(...at({ x, y: ys[i]! })), lineTo(...at({ x, y: ys[i + 1]! })), stroke());
  }
  return lines;
}

/** Numbers the scores, beside each line where this page shows it. */
function drawNumbers(page: PDFPage, letters: Lettering, { drawing, tile, at }: Shown): void {
  for (const { from, to, number } of scoresOf(drawing))
    for (const share of [0.2, 0.8]) {
      const p = { x: from.x + (to.x - from.x) * share, y: from.y + (to.y - from.y) * share };
      if (p.x < tile.x + 4 || p.x > tile.x + tile.width - 4 || p.y < tile.y + 4 || p.y > tile.y + tile.height - 4)
        continue;
      const [x, y] = at(p);
      page.drawCircle({ x, y, size: 2.4 * POINT, color: rgb(1, 1, 1), borderColor: rgb(0, 0, 0), borderWidth: 0.5 });
      letters.draw(page, String(number), { x: x - letters.width(String(number), 8) / 2, y: y - 2.8, size: 8 });
      break;
    }
}

/** Crosses in the overlap with each neighbour, lettered so that the right pages meet. */
function drawJoins(page: PDFPage, letters: Lettering, tile: Tile, tiles: readonly Tile[]): void {
  const at = onPage(tile);
  const cross = (p: Point, letter: string): void => {
    const [x, y] = at(p);
    for (const [dx, dy] of [
      [3, 0],
      [0, 3],
    ] as const)
      page.drawLine({
        start: { x: x - dx * POINT, y: y - dy * POINT },
        end: { x: x + dx * POINT, y: y + dy * POINT },
        thickness: 0.5,
      });
    letters.draw(page, letter, { x: x + 1.2 * POINT, y: y + 1.2 * POINT, size: 7 });
  };
  for (const other of tiles) {
    const beside = other.row === tile.row && Math.abs(other.column - tile.column) === 1;
    const below = other.column === tile.column && Math.abs(other.row - tile.row) === 1;
    if (!beside && !below) continue;
    const [first, second] = [tile, other].sort((a, b) => a.row - b.row || a.column - b.column) as [Tile, Tile];
    const letter = `${first.row + 1}.${first.column + 1}-${second.row + 1}.${second.column + 1}`;
    for (const share of [0.15, 0.85])
      cross(
        beside
          ? { x: second.x + OVERLAP / 2, y: first.y + first.height * share }
          : { x: first.x + first.width * share, y: first.y + OVERLAP / 2 },
        letter,
      );
  }
}

/** Title, numbers, and the bar that shows whether the printer kept the size. */
function drawFoot(
  page: PDFPage,
  letters: Lettering,
  words: PrintWords,
  said: string | undefined,
  picture: readonly PrintShape[],
  place: string,
): void {
  const ink = rgb(0, 0, 0);
  const y = (RIM + 4) * POINT;
  const [from, to] = [RIM * POINT, (RIM + words.bar.length) * POINT];
  page.drawLine({ start: { x: from, y }, end: { x: to, y }, thickness: 0.8, color: ink });
  for (const x of [from, to])
    page.drawLine({ start: { x, y: y - 2 * POINT }, end: { x, y: y + 2 * POINT }, thickness: 0.8, color: ink });
  letters.draw(page, words.bar.label, { x: from, y: y - 4.5 * POINT, size: 7 });
  const right = page.getWidth() - RIM * POINT;
  const width = right - from - (picture.length > 0 ? (PICTURE.width + 4) * POINT : 0);
  drawPicture(page, picture, right - PICTURE.width * POINT, y + 1 * POINT);
  const lines = textLines(said ? `${words.title}: ${said}` : words.title, (text) => letters.width(text, 9) <= width);
  // From the bar upwards; two lines fit under the sheet.
  lines
    .slice(0, 2)
    .forEach((line, i, all) =>
      letters.draw(page, line, { x: from, y: y + (4 + 4.2 * (all.length - 1 - i)) * POINT, size: 9 }),
    );
  letters.draw(page, 'dashed: fold    hatched: glue    dotted: keep glue off', {
    x: to + 5 * POINT,
    y: y - 1,
    size: 7,
  });
  letters.draw(page, place, {
    x: page.getWidth() - RIM * POINT - letters.width(place, 7),
    y: y - 4.5 * POINT,
    size: 7,
  });
}

/** Room for the small picture at the foot, mm. */
const PICTURE = { width: 24, height: FOOT - 6 };

/** The finished thing in the corner of the foot, as large as its room allows. */
export function drawPicture(
  page: PDFPage,
  picture: readonly PrintShape[],
  left: number,
  bottom: number,
  room: { readonly width: number; readonly height: number } = PICTURE,
): void {
  if (picture.length === 0) return;
  const { minX, maxX, minY, maxY } = boxOf(picture.flatMap(({ rings }) => rings.flat()));
  const scale = Math.min(room.width / (maxX - minX), room.height / (maxY - minY)) * POINT;
  const x0 = left + (room.width * POINT - (maxX - minX) * scale) / 2;
  const at = ({ x, y }: Point): readonly [number, number] => [x0 + (x - minX) * scale, bottom + (y - minY) * scale];
  page.pushOperators(
    pushGraphicsState(),
    setLineWidth(0.4),
    setStrokingRgbColor(0.15, 0.15, 0.15),
    ...picture.flatMap(({ rings, shade }) => [
      setFillingRgbColor(shade, shade, shade),
      ...rings.flatMap((ring) => [moveTo(...at(ring[0]!)), ...ring.slice(1).map((p) => lineTo(...at(p))), closePath()]),
      fillAndStroke(),
    ]),
    popGraphicsState(),
  );
}
