/** Something to put in, and the sheet it is cut from: how many it gives stands first. */
import { piecesOf, readCutList } from '../cutting';
import { loadSolver, pack } from '../cutting/pack';
import { readDesign } from '../design';
import { mm } from '../length';
import { blanksOf } from '../making';
import { planFor } from '../plan';
import { suggest } from '.';

const A4 = { width: 210, height: 297 };

test('what suits is ranked by how many a sheet gives, and a searched layout agrees that they come out of it', async () => {
  const solver = await loadSolver();
  const found = suggest({ contents: { width: 74, height: 105, thickness: 0 }, paper: A4, graduation: '1 mm' });
  const can = found.filter(({ obstacle, suits, ofItsKind }) => obstacle === null && suits && ofItsKind);
  const gives = can.map((one) => one.gives!);
  expect(gives).toEqual([...gives].sort((a, b) => b - a));
  expect(Math.max(...gives)).toBeGreaterThan(2);
  expect(gives).toContain(0);
  for (const { design, gives: count } of can.filter((one) => one.gives! > 0)) {
    const read = readDesign(design);
    if (!read.ok) throw new Error(JSON.stringify(read.issues));
    const pieces = piecesOf([{ name: '', copies: count!, pieces: blanksOf(planFor(read.design).made!, read.design) }]);
    const list = readCutList({
      version: 1,
      sheets: [{ name: 'A4', ...A4 }],
      pieces: pieces.map(({ place: _, ...piece }) => piece),
    });
    if (!list.ok) throw new Error(JSON.stringify(list.issues));
    expect([design.construction, pack(list.list, solver).sheetsUsed]).toEqual([design.construction, 1]);
  }
});

test('without a sheet nothing is counted', () => {
  const [first] = suggest({ contents: { width: mm(74), height: mm(105), thickness: mm(0) } });
  expect(first!.gives).toBeNull();
});
