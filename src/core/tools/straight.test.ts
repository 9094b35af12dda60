/** Straight work on every holder's pieces: what a maker is told to set, mark and cut, on each kind of tool. */
import { planOf } from '../../../tests/helpers/designs';
import { CONSTRUCTIONS } from '../constructions';
import { inches, onGraduation } from '../length';
import { edgeLength } from '../pattern';
import { differences, simulate, type Move, type Tool } from '.';

const TOOLS: readonly Tool[] = [
  { kind: 'ruler', notch: inches(0.75) },
  { kind: 'scoring-board', length: inches(12), notch: inches(0.75) },
  { kind: 'scoring-board', length: inches(5), notch: inches(0.75) },
  { kind: 'edge-board', scoreFrom: inches(0.5), relief: inches(0.25), offset: 0 as never, notch: inches(0.75) },
];
const straight = CONSTRUCTIONS.filter(({ name }) => !name.endsWith('diagonal-envelope') && name !== 'coin-envelope');
const parts = (construction: string, tool: Tool) =>
  planOf({ version: 1, construction, contents: { width: '4 in', height: '4 1/2 in' }, tool: tool as never }).made!
    .pieces;

describe.each(straight.map((c) => [c.name]))('%s', (construction) => {
  test.each(
    TOOLS.map((tool) => [`${tool.kind}${tool.kind === 'scoring-board' ? ` of ${tool.length}` : ''}`, tool] as const),
  )('on a %s every score is run once, on a mark, and every cut starts and ends where it can be found', (_, tool) => {
    for (const { piece, programme, toolFaults } of parts(construction, tool)) {
      expect(toolFaults).toEqual([]);
      const run = programme.moves.flatMap((move) =>
        move.do === 'groove' || move.do === 'join' || move.do === 'edge-score'
          ? [move.score, ...(move.also ?? [])]
          : [],
      );
      expect([...run].sort()).toEqual(piece.hinges.map((hinge) => hinge.id).sort());
      for (const mark of programme.marks) {
        expect(mark.at).toBeLessThanOrEqual(edgeLength(piece.blank, mark.edge) + 1e-6);
        expect(mark.at).toBeGreaterThanOrEqual(-1e-6);
        // A board is as it is: a wrap round it is measured, not rounded.
        if (mark.for === 'score' && construction !== 'cover-board')
          expect([mark.at, onGraduation(mark.at, '1/8 in')]).toEqual([mark.at, true]);
        expect(mark.reference).toBe(tool.kind === 'scoring-board' && mark.reference === 'fence' ? 'fence' : 'ruler');
      }
      for (const move of programme.moves)
        if (move.do === 'cut') {
          const [first, last] = [move.path[0]!, move.path.at(-1)!];
          expect([first.deep, last.deep]).toEqual([0, 0]);
        }
    }
  });

  test('a move left out, a piece turned the wrong way, or another board’s score is noticed', () => {
    const tool = TOOLS[1]!;
    for (const { piece, programme } of parts(construction, tool)) {
      const faults = (moves: readonly Move[]) => differences(simulate(piece.blank, tool, moves), piece);
      programme.moves.forEach((move, i) => {
        if (move.do === 'groove' || move.do === 'cut' || move.do === 'hole')
          expect(faults(programme.moves.filter((_, j) => j !== i)).length).toBeGreaterThan(0);
      });
      const wider = { ...piece, blank: { ...piece.blank, width: inches(30) } };
      if (programme.moves.some((move) => move.do === 'groove' && move.edge === 2))
        expect(differences(simulate(wider.blank, tool, programme.moves), piece).length).toBeGreaterThan(0);
    }
  });
});

test('a score past a short board’s end from either side is measured with a ruler, and it is said', () => {
  const short: Tool = { kind: 'scoring-board', length: inches(2), notch: inches(0.75) };
  const [{ programme, toolFaults }] = parts('seam-envelope', short);
  expect(toolFaults).toEqual([]);
  expect(programme.moves.some((move) => move.do === 'join')).toBe(true);
  expect(programme.moves.some((move) => move.do === 'groove')).toBe(true);
});
