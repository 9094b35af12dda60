import { TOLERANCE } from '../geometry';
import { inches, GRADUATIONS, lengthSchema, mm, near as nearly, stepOf } from '../length';
import { edgeLength, leftOf, type Edge } from '../pattern';
import { listed } from '../text';
import type { ScoringBoard } from './kinds';
import { scoresRun, type Move, type ScoringBoardMove, type Stretch } from './move';
import { stretchOf } from './sheet';
import { handNotch, makingByHand, type Figures, type MovesOf, type RulerReading, type ToolType } from './tool';
import { partWay, stretchReadings } from './telling';

const figures = {
  length: {
    asked: lengthSchema({ over: 0 }).prefault(inches(12)).describe('Length of the board.'),
    owned: { title: 'Last groove at', least: 50, most: 2000, fresh: inches(12) },
    bench: { title: 'Length of the board', least: 50, most: 2000 },
  },
  pitch: {
    asked: lengthSchema({ least: 0.5, most: 60 })
      .optional()
      .describe('From one groove to the next; left out where the board has a groove for every mark.'),
    owned: { title: 'Groove to groove', least: 0.5, most: 60, fresh: inches(1 / 8) },
    bench: { title: 'Groove to groove', clears: 'any', least: 0.5, most: 60 },
  },
  notch: { asked: handNotch('Notch to cut by hand, along the sheet’s edge.'), byHand: true },
} satisfies Figures;

/** How far from a groove a score may stand and still be run in it, mm: the tip of a scoring tool. From memory. */
const IN_GROOVE = 0.1;

/** True when the board has a groove at that distance from its fence: on the board, and on its pitch. */
export function hasGroove({ length, pitch }: ScoringBoard, at: number): boolean {
  if (at > length + TOLERANCE.length) return false;
  return pitch === undefined || Math.abs(at - Math.round(at / pitch) * pitch) <= IN_GROOVE;
}

const sameStretch = (a: Stretch | undefined, b: Stretch | undefined): boolean =>
  a === b ||
  (a !== undefined &&
    b !== undefined &&
    nearly(a.from, b.from, TOLERANCE.drawn) &&
    nearly(a.to, b.to, TOLERANCE.drawn));

/** True where one groove is run after another with the sheet lying as it lies. */
const goesOn = (a: ScoringBoardMove, b: ScoringBoardMove): boolean => a.edge === b.edge && sameStretch(a.only, b.only);

/** The grooves that are run with the sheet lying as it does for this last of them: one thing to do. */
function withoutMoving(before: readonly Move[], last: ScoringBoardMove): readonly ScoringBoardMove[] {
  const since = before.findLastIndex((move) => move.do !== 'groove' || !goesOn(move, last)) + 1;
  return [...before.slice(since).filter((move) => move.do === 'groove'), last];
}

/** The board with grooves square to its fence. */
export const scoringBoard: ToolType<ScoringBoard> = {
  kind: 'scoring-board',
  title: 'Scoring board',
  plural: 'Scoring boards',
  figures,
  plan: {
    offered: 'A scoring board',
    making: makingByHand,
    score: ({ ids: [score, ...also], edge, at, only }, blank, tool) => {
      // What lies past the board's end, or between its grooves, may have a groove when it is measured from the other side.
      const across = { side: (edge + 2) as Edge, groove: mm(edgeLength(blank, edge) - at) };
      const { side, groove } = hasGroove(tool, at) ? { side: edge as Edge, groove: at } : across;
      if (!hasGroove(tool, groove)) return null;
      const depth = edgeLength(blank, edge === 1 ? 2 : 1);
      const here = only && side !== edge ? { from: mm(depth - only.to), to: mm(depth - only.from) } : only;
      return {
        near: side,
        move: { do: 'groove', score: score!, also, edge: side, at: groove, ...(here ? { only: here } : {}) },
        mark: { edge: side, at: groove, for: 'score', reference: 'fence', ...here },
      };
    },
    moves: {
      groove: {
        carryOut: ({ edge, at, score, also = [], only }, sheet, board) => {
          if (edge !== sheet.near) sheet.fault({ code: 'wrong-edge', edge, near: sheet.near });
          else if (!hasGroove(board, at)) sheet.fault({ code: at > board.length ? 'board-ends' : 'no-groove', at });
          else
            sheet.run([score, ...also], stretchOf({ from: sheet.over(at, 0), to: sheet.over(at, sheet.deep) }, only));
        },
        step: (move, { say, number, of, before, after }) => {
          const [next] = after;
          if (next?.do === 'groove' && goesOn(next, move)) return null;
          const all = withoutMoving(before, move);
          const { edge, only } = move;
          const numbers = listed(all.map(({ score }) => String(number(score))));
          return {
            action: 'score',
            edge,
            at: all[0]!.at,
            score: all[0]!.score,
            ...(all.length > 1 && { scores: all.flatMap(scoresRun) }),
            text: `${all.length > 1 ? 'Scores' : 'Score'} ${numbers}${of}: edge ${edge} near you, edge ${leftOf(edge)} against the fence, down the ${all.length > 1 ? 'grooves' : 'groove'} at ${listed(all.map(({ at }) => say(at)))}${partWay(only, edge, say)}.`,
            readings: [
              ...all.map(({ at }): RulerReading => ({ at, on: 'fence', what: 'from the fence' })),
              ...stretchReadings(only, edge),
            ],
            takes: all.length,
          };
        },
        short: ({ edge, at }, say) => `edge ${leftOf(edge)} against the fence, score down the groove at ${say(at)}.`,
      },
    } satisfies MovesOf<ScoringBoardMove, ScoringBoard>,
    faults: {
      'board-ends': ({ at }, say) => `the scoring board ends before ${say(at)}`,
      'no-groove': ({ at }, say) => `the scoring board has no groove at ${say(at)}`,
    },
    limits: (board, { notched, pieces }) => {
      const note = { level: 'note', about: {} } as const;
      if (notched) return [{ kind: 'slanted-scores', value: 0, limit: 0, ...note }];
      const ruled = pieces.flatMap(({ programme }) =>
        programme.marks.filter((mark) => mark.for === 'score' && mark.reference === 'ruler'),
      );
      const over = ruled.find((mark) => mark.at > board.length + TOLERANCE.folded);
      const between = ruled.find((mark) => mark.at <= board.length + TOLERANCE.folded && !hasGroove(board, mark.at));
      const { pitch } = board;
      const below = between && pitch !== undefined ? Math.floor(between.at / pitch) * pitch : 0;
      // Where the maker's marks could be the grooves, that mends it.
      const marks = GRADUATIONS.find((one) => pitch !== undefined && Math.abs(stepOf(one) - pitch) < TOLERANCE.folded);
      return [
        ...(over ? [{ kind: 'board-end', value: over.at, limit: board.length, ...note } as const] : []),
        ...(between && pitch !== undefined
          ? [
              {
                kind: 'between-grooves',
                level: 'note',
                value: between.at,
                limit: pitch,
                about: { below, above: below + pitch },
                ...(marks && { marks }),
              } as const,
            ]
          : []),
      ];
    },
    words: {
      'slanted-scores': () =>
        'A scoring board’s grooves run square to its fence, and these folds run corner to corner: mark them with a ruler instead.',
      'board-end': ({ value, limit }, say) =>
        `A score at ${say(value)} lies past the end of your scoring board at ${say(limit)}, from either side. Mark it and score along a ruler.`,
      'between-grooves': ({ value, about: { below, above } }, say) =>
        `A score at ${say(value)} lies between your scoring board’s grooves, at ${say(below)} and ${say(above)}, from either side. Mark it and score along a ruler.`,
    },
    proof: 'The moves, tried on a simulated scoring board, give these very scores and cuts.',
    under: (board, moves, { wide, deep }) => {
      const last = moves.at(-1);
      if (last?.do !== 'groove') return null;
      return {
        box: { left: -10, right: Math.min(board.length + 8, wide + 60), bottom: -14, top: deep + 18 },
        shift: 0,
        things: [
          {
            is: 'grooves',
            end: board.length,
            pitch: board.pitch ?? null,
            lit: withoutMoving(moves.slice(0, -1), last).map(({ at }) => at),
          },
          { is: 'fence', along: 'left' },
          { is: 'fence', along: 'near' },
        ],
      };
    },
    hands: (board, { near, blank, runs }) => [
      {
        title: 'Score down that groove',
        length: {
          title: 'Groove, from the fence',
          most: Math.min(board.length, edgeLength(blank, near)),
          fresh: { in: inches(1), mm: mm(25) },
        },
        moves: (at) => [{ do: 'groove', score: `s-${runs.length + 1}`, edge: near, at }],
      },
    ],
  },
};
