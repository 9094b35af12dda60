/** Straight work on every holder's pieces: what a maker is told to set, mark and cut, on each kind of tool. */
import { planOf } from '../../../tests/helpers/designs';
import { CONSTRUCTIONS } from '../constructions';
import { inches, mm, onGraduation } from '../length';
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
        if (move.do === 'groove' || move.do === 'cut' || move.do === 'hole' || move.do === 'slit')
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

describe('scores that stop part-way, and slits', () => {
  const STOPPING = ['desk-file', 'cover-board'];
  test.each(STOPPING.flatMap((name) => TOOLS.slice(0, 2).map((tool) => [name, tool.kind, tool] as const)))(
    'a %s on a %s: a score run on past its stop is noticed, and so is one that stops short',
    (construction, _, tool) => {
      let [stopped, spoiling] = [0, 0];
      for (const { piece, programme } of parts(construction, tool))
        programme.moves.forEach((move, i) => {
          if ((move.do !== 'groove' && move.do !== 'join') || !move.only) return;
          stopped++;
          const instead = (only: typeof move.only | undefined) =>
            differences(
              simulate(
                piece.blank,
                tool,
                programme.moves.map((other, j) => (j === i ? ({ ...move, only } as Move) : other)),
              ),
              piece,
            );
          expect(instead(move.only)).toEqual([]);
          expect(instead({ ...move.only, to: inches(move.only.to / inches(1) - 1 / 2) }).length).toBeGreaterThan(0);
          if (instead(undefined).length > 0) spoiling++;
        });
      expect(stopped).toBeGreaterThan(1);
      // Past most stops lies what is cut away; the tucks’ scores would run on over the front’s wings.
      if (construction === 'desk-file') expect(spoiling).toBe(2);
    },
  );

  test('a slit runs from mark to mark, and cut too far it parts what should hold', () => {
    const tool = TOOLS[0]!;
    const [{ piece, programme }] = parts('pad-holder', tool);
    const slits = programme.moves.filter((move) => move.do === 'slit');
    expect(slits).toHaveLength(2);
    const drawn = simulate(piece.blank, tool, programme.moves);
    expect(drawn.slits).toHaveLength(2);
    for (const { from, to } of drawn.slits) {
      expect(from.y).toBeCloseTo(to.y, 6);
      expect([inches(1), piece.blank.height - inches(1)].some((y) => Math.abs(from.y - y) < 1e-6)).toBe(true);
    }
    const longer = programme.moves.map((move) =>
      move.do === 'slit' ? { ...move, to: { ...move.to, at: mm(move.to.at + 5) } } : move,
    );
    expect(differences(simulate(piece.blank, tool, longer), piece).length).toBeGreaterThan(0);
  });

  test('two settings a side: four notches are punched from the ruler, the rest with a score at the pointer', () => {
    const board: Tool = {
      kind: 'envelope-board',
      notch: inches(0.75),
      offset: 0 as never,
      rulerEnd: inches(5),
      grooveEnd: inches(7),
    };
    const [{ piece, programme, toolFaults }] = parts('diagonal-box', board);
    expect(toolFaults).toEqual([]);
    const punches = programme.moves.filter((move) => move.do === 'punch');
    expect(punches).toHaveLength(8);
    expect(piece.notches).toHaveLength(8);
    const pointers = programme.moves.filter((move) => move.do === 'place' && move.to !== undefined);
    expect(pointers).toHaveLength(6);
    // One of them at the wrong score: every later one goes astray.
    const astray = programme.moves.map((move) => (move === pointers[0] ? (pointers[1] as Move) : move));
    expect(differences(simulate(piece.blank, board, astray), piece).length).toBeGreaterThan(0);
  });
});
