import type { Say } from '../length';
import { isSquare, type Edge, type Piece } from '../pattern';
import { scoresRun, simulate, type SheetState } from '../tools';
import type { Design } from '../design';
import { scoreNumbers, partNamed, type Made } from '../plan';
import { type Step, flatMoves } from '../making';
import { listed } from '../text';

/** What a sheet has become by the time a step goes wrong: as cut, as scored, as folded. */
export interface SheetNow {
  readonly piece: Piece;
  /** The sheet itself, as the simulated tool left it: work goes on from it. */
  readonly state: SheetState;
  /** The edge at the maker. */
  readonly near: Edge;
  /** Moves of the piece's programme that are behind. */
  readonly moves: number;
  /** Scores made so far, by number. */
  readonly scores: readonly number[];
  /** Edges with a notch punched or cut. */
  readonly notched: readonly Edge[];
  /** Folds and joins behind, in a maker's words. */
  readonly folded: readonly string[];
  /** All of it in sentences. */
  readonly text: string;
}

/**
 * What lies on the table when a step goes wrong: everything before it is done, it itself is not counted on.
 * @param steps all steps of the plan, and which of them went wrong
 */
export function sheetNow(
  made: Made,
  { tool }: Pick<Design, 'tool'>,
  steps: readonly Step[],
  wrong: Step,
  say: Say,
): SheetNow {
  const part = partNamed(made, wrong.piece);
  const { piece, programme } = part;
  const before = steps.filter(({ id }) => id < wrong.id);
  const flat = wrong.picture.kind === 'flat' && wrong.picture.piece === piece.name ? wrong.picture : null;
  // A notch through everything glued is punched among the folds: it is made once that step is behind.
  const punched = before.some((s) => s.phase === 'fold' && s.action === 'punch' && s.piece === piece.name);
  const folding = punched ? programme.moves.length : flatMoves(made, part);
  const moves = wrong.phase === 'cut' ? 0 : flat ? Math.max(0, flat.moves - flat.fresh) : folding;
  const done = programme.moves.slice(0, moves);
  const numbers = scoreNumbers(programme);
  const scores = [
    ...new Set(
      done.flatMap((move) =>
        scoresRun(move)
          .slice(0, 1)
          .map((id) => numbers.get(id) ?? 0),
      ),
    ),
  ];
  const state = simulate(piece.blank, tool, done);
  const edges = [...new Set(state.notched)].sort();
  const folded =
    wrong.phase === 'fold'
      ? before.filter((s) => s.phase === 'fold' && (s.action === 'fold' || s.joins !== undefined)).map((s) => s.text)
      : [];
  const { width, height } = piece.blank;
  const size = isSquare({ width, height }) ? `${say(width)} square` : `${say(width)} × ${say(height)}`;
  const several = made.pieces.length > 1 ? `The ${piece.name}` : 'The sheet';
  const text =
    wrong.phase === 'cut'
      ? `${several} was to be cut ${size}; nothing is scored or punched on it yet.`
      : [
          `${several} is ${size}, as cut.`,
          scores.length > 0
            ? `${scores.length > 1 ? 'Scores' : 'Score'} ${listed(scores.map(String))} ${scores.length > 1 ? 'are' : 'is'} made.`
            : 'No score is made yet.',
          edges.length > 0
            ? `${edges.length > 1 ? 'Edges' : 'Edge'} ${listed(edges.map(String))} ${edges.length > 1 ? 'have their notches' : 'has its notch'}.`
            : '',
          folded.length > 0
            ? `Folded so far: ${folded.length} ${folded.length > 1 ? 'steps' : 'step'}, the last: ${folded.at(-1)}`
            : '',
        ]
          .filter(Boolean)
          .join(' ');
  return { piece, state, near: state.near, moves, scores, notched: edges, folded, text };
}
