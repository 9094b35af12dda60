// pdf.js is published as ES modules only, which this is as well: others import it when they need it.
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

/**
 * What pdf.js reads in a PDF, page by page: its size, every line drawn and every piece of text, in points.
 *
 * @param {Uint8Array} bytes
 * @returns {Promise<import('./printed').ReadPage[]>}
 */
export async function pagesOf(bytes) {
  const pdf = await getDocument({ data: new Uint8Array(bytes), verbosity: 0 }).promise;
  const pages = [];
  for (let n = 1; n <= pdf.numPages; n++) {
    const page = await pdf.getPage(n);
    const { fnArray, argsArray } = await page.getOperatorList();
    const lines = [];
    // What is drawn stands where the transforms up to it put it.
    let map = [1, 0, 0, 1, 0, 0];
    const saved = [];
    const placed = ([x, y]) => [map[0] * x + map[2] * y + map[4], map[1] * x + map[3] * y + map[5]];
    fnArray.forEach((fn, i) => {
      if (fn === OPS.save) saved.push(map);
      if (fn === OPS.restore) map = saved.pop() ?? map;
      if (fn === OPS.transform) {
        const [a, b, c, d, e, f] = argsArray[i];
        const [x, y] = [placed([a, b]), placed([c, d])].map(([px, py]) => [px - map[4], py - map[5]]);
        map = [...x, ...y, ...placed([e, f])];
      }
      if (fn !== OPS.constructPath) return;
      // pdf.js packs a path as [painting operator, [numbers], bounds]; in the numbers 0 moves, 1 draws, 2 and 3 curve, 4 closes.
      const numbers = Object.values(argsArray[i][1][0] ?? {});
      let [start, at] = [null, null];
      for (let j = 0; j < numbers.length;) {
        const op = numbers[j++];
        if (op === 4) {
          if (start && at) lines.push([...placed(at), ...placed(start)]);
          continue;
        }
        // 2 and 3 are curves: their end is taken, the handles before it are not on the line.
        if (op === 2) j += 4;
        if (op === 3) j += 2;
        const p = [numbers[j++], numbers[j++]];
        if (op === 0) start = p;
        else lines.push([...placed(at), ...placed(p)]);
        at = p;
      }
    });
    const { items } = await page.getTextContent();
    const text = items.map((item) => item.str).join(' ');
    // Where each piece of text stands, along the line it is written on.
    const words = items.map(({ str, transform, width }) => ({ str, x: transform[4], y: transform[5], width }));
    pages.push({ width: page.view[2], height: page.view[3], lines, text, words });
  }
  return pages;
}
