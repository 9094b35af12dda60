/** What comes off besides notches, carried out by the simulated tool and held against the pattern. */
import { planOf } from '../../../tests/helpers/designs';
import { said } from '../../../tests/helpers/faults';
import { mm } from '../length';
import { COMMON_BOARD, differences, simulate, type Move } from '.';

const made = (construction: string, width: number, height: number, options: object = {}) => {
  const plan = planOf({ version: 1, construction, contents: { width, height }, options });
  const [{ piece, programme }] = plan.made!.pieces;
  const { tool } = plan.design;
  return {
    moves: programme.moves,
    piece,
    /** What a programme gives that differs from the pattern. */
    against: (moves: readonly Move[]): string[] => said(differences(simulate(piece.blank, tool, moves), piece)),
    off: (moves: readonly Move[]) => simulate(piece.blank, tool, moves).off,
  };
};
const changed = <M extends Move['do']>(
  moves: readonly Move[],
  kind: M,
  change: (move: Extract<Move, { do: M }>) => Move | null,
): Move[] =>
  moves.flatMap((move) => {
    const next = move.do === kind ? change(move as Extract<Move, { do: M }>) : move;
    return next ? [next] : [];
  });

describe('a corner rounded', () => {
  const { moves, against, off } = made('seam-envelope', 80, 110, { corner: '1/4 in' });

  test('comes off as the pattern has it, each of them', () => {
    expect(against(moves)).toEqual([]);
    const rounds = off(moves).filter(({ by }) => by === 'round');
    expect(rounds).toHaveLength(moves.filter((move) => move.do === 'round').length);
    expect(rounds.length).toBe(2);
  });

  test('to another radius, not at all, or one of two, is not the pattern', () => {
    for (const times of [0.8, 1.2, 2])
      expect(against(changed(moves, 'round', (move) => ({ ...move, radius: mm(move.radius * times) })))).not.toEqual(
        [],
      );
    expect(against(changed(moves, 'round', () => null))).toContain(
      'what comes off at round corners is not what the pattern leaves out',
    );
    let left = 1;
    expect(against(changed(moves, 'round', (move) => (left-- > 0 ? move : null)))).not.toEqual([]);
  });

  test('with a radius the edges do not take, the tool says what it needs and what there is', () => {
    expect(against(changed(moves, 'round', (move) => ({ ...move, radius: mm(99) })))[0]).toMatch(
      /^the corner of the closing flap: a radius of 99 mm needs .* mm of either edge, and there are /,
    );
  });

  test('where there is no corner, or one that goes in, the tool says so', () => {
    const at = (along: number) =>
      against(changed(moves, 'round', (move) => ({ ...move, at: { ...move.at, at: mm(move.at.at + along) } })));
    expect(at(7)[0]).toContain('there is no corner of the paper to round');
    const mat = made('flap-mat', 150, 75);
    expect(mat.against(mat.moves)).toEqual([]);
    // The paper the other way round: a corner that lies on the mat’s own straight edge.
    const middle = { edge: 1, at: mm(30), deep: mm(0), on: 'open', scores: [] } as const;
    expect(mat.against(changed(mat.moves, 'round', (move) => ({ ...move, at: middle })))[0]).toMatch(/no corner/);
  });

  test('an arc leaves a square corner by (1 − π/4) r², as the textbook has it', () => {
    const square = { width: mm(100), height: mm(100) };
    const corner = { edge: 1, at: mm(0), deep: mm(0), on: 'corner', scores: [] } as const;
    const run = simulate(square, COMMON_BOARD, [{ do: 'round', what: 'corner', at: corner, radius: mm(20) }]);
    const [ring] = run.off[0]!.rings;
    const doubled = ring!.reduce((sum, p, i) => {
      const q = ring![(i + 1) % ring!.length]!;
      return sum + p.x * q.y - q.x * p.y;
    }, 0);
    expect(Math.abs(doubled) / 2).toBeCloseTo((1 - Math.PI / 4) * 400, 1);
    expect(run.faults).toEqual([]);
  });
});

describe('a bite of a punch', () => {
  const { moves, against } = made('card-holder', 54, 85.6);

  test('comes off as the pattern has it', () => {
    expect(moves.filter((move) => move.do === 'bite')).toHaveLength(1);
    expect(against(moves)).toEqual([]);
  });

  test('of another punch, elsewhere, or none, is not the pattern', () => {
    for (const times of [0.8, 1.2])
      expect(against(changed(moves, 'bite', (move) => ({ ...move, diameter: mm(move.diameter * times) })))).toEqual([
        'what the punch bites off is not what the pattern leaves out',
      ]);
    for (const [along, in_] of [
      [3, 0],
      [0, 3],
      [0, -3],
    ] as const)
      expect(
        against(
          changed(moves, 'bite', (move) => ({
            ...move,
            at: { ...move.at, at: mm(move.at.at + along), deep: mm(move.at.deep + in_) },
          })),
        ),
      ).toEqual(['what the punch bites off is not what the pattern leaves out']);
    expect(against(changed(moves, 'bite', () => null))).not.toEqual([]);
  });

  test('beside the paper meets none, and is told', () => {
    expect(against(changed(moves, 'bite', (move) => ({ ...move, at: { ...move.at, deep: mm(-50) } })))[0]).toMatch(
      /^the punch for the finger notch in the front meets no paper/,
    );
  });
});

test('a cut that lets the wrong side fall is not the pattern', () => {
  const { moves, against } = made('card-holder', 54, 85.6);
  expect(against(changed(moves, 'cut', (move) => ({ ...move, path: [...move.path].reverse() })))).toContain(
    'what is cut off is not what the pattern leaves out',
  );
});

test('a kind of move that no tool knows is not passed over', () => {
  expect(() => simulate({ width: mm(10), height: mm(10) }, COMMON_BOARD, [{ do: 'hammer' } as never])).toThrow(
    'no simulated tool carries out {"do":"hammer"}',
  );
});
