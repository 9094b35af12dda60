/** Sheets of a set laid out as a first layout has them: a paper of unknown size is of 12 × 12 in. */
import { piecesOf, readCutList } from '../../src/core/cutting';
import { firstLayout } from '../../src/core/cutting/first';
import { cutListOf, pieceName, type LaidPaper, type SetPlan } from '../../src/core/sets';

export function laidFirst(plan: SetPlan, copies: number, cut = false): LaidPaper[] {
  return cutListOf(plan).map(({ paper: id, pieces }) => {
    const paper = plan.set.papers.find((one) => one.id === id);
    const own = pieces.map(({ part, ...piece }) => ({ ...piece, name: pieceName(plan.set, part, piece.name) }));
    const read = readCutList({
      version: 1,
      sheets: [{ name: paper?.name || 'Paper', width: paper?.width ?? '12 in', height: paper?.height ?? '12 in' }],
      pieces: piecesOf([{ name: '', copies, pieces: own }]),
    });
    if (!read.ok) throw new Error(JSON.stringify(read.issues));
    return { paper: id, list: read.list, layout: firstLayout(read.list), cut };
  });
}
