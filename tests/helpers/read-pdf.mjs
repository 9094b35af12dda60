// Reads a PDF on standard input with pdf.js and prints, page by page, its size and every line drawn, in points.
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs';

const chunks = [];
for await (const chunk of process.stdin) chunks.push(chunk);
const pdf = await getDocument({ data: new Uint8Array(Buffer.concat(chunks)), verbosity: 0 }).promise;
const pages = [];
for (let n = 1; n <= pdf.numPages; n++) {
  const page = await pdf.getPage(n);
  const { fnArray, argsArray } = await page.getOperatorList();
  const lines = [];
  fnArray.forEach((fn, i) => {
    if (fn !== OPS.constructPath) return;
    // pdf.js packs a path as [painting operator, [numbers], bounds]; in the numbers 0 moves, 1 draws, 2 and 3 curve, 4 closes.
    const numbers = Object.values(argsArray[i][1][0] ?? {});
    let [start, at] = [null, null];
    for (let j = 0; j < numbers.length;) {
      const op = numbers[j++];
      if (op === 4) {
        if (start && at) lines.push([...at, ...start]);
        continue;
      }
      // 2 and 3 are curves: their end is taken, the handles before it are not on the line.
      if (op === 2) j += 4;
      if (op === 3) j += 2;
      const p = [numbers[j++], numbers[j++]];
      if (op === 0) start = p;
      else lines.push([...at, ...p]);
      at = p;
    }
  });
  const text = (await page.getTextContent()).items.map((item) => item.str).join(' ');
  pages.push({ width: page.view[2], height: page.view[3], lines, text });
}
process.stdout.write(JSON.stringify(pages));
