import { inches, lengthSchema, mm } from '../length';
import { edgeLength, leftOf, rightOf } from '../pattern';
import { sideOf, TOLERANCE } from '../geometry';

import type { EdgeBoard } from './kinds';
import type { EdgeBoardMove, Spot } from './move';
import { handNotch, makingByHand, type Figures, type MovesOf, type ToolType } from './tool';

const figures = {
  scoreFrom: {
    asked: lengthSchema({ over: 0, most: 100 })
      .prefault(inches(1 / 2))
      .describe('How far from the sheet’s edge the board makes its one score.'),
    owned: { title: 'Score from the edge', least: 2, most: 100, fresh: inches(1 / 2) },
    bench: { title: 'Score from the edge', least: 2, most: 100 },
  },
  relief: {
    asked: lengthSchema({ over: 0, most: 50 })
      .prefault(inches(1 / 4))
      .describe('Length along the edge of the relief notch it punches where the guide meets a score.'),
    owned: { title: 'Relief notch', least: 1, most: 50, fresh: inches(1 / 4) },
    bench: { title: 'Relief notch', least: 1, most: 50 },
  },
  offset: {
    asked: lengthSchema({ least: -20, most: 20 })
      .prefault(mm(0))
      .describe('True distance of the score from the edge less what the board says.'),
    owned: { title: 'Guide off by', least: -20, most: 20, fresh: mm(0) },
    bench: { title: 'Guide off by', least: -20, most: 20 },
  },
  notch: { asked: handNotch('Notch to cut by hand on square sheets, along the sheet’s edge.'), byHand: true },
} satisfies Figures;

/** How far from the edge it truly scores. */
const scoreOf = ({ scoreFrom, offset }: EdgeBoard): number => scoreFrom + offset;

/** The board that scores near an edge, and punches a relief notch where its guide meets a score. */
export const edgeBoard: ToolType<EdgeBoard> = {
  kind: 'edge-board',
  title: 'Edge board',
  plural: 'Edge boards',
  figures,
  plan: {
    offered: 'Edge board: one score, relief notch',
    making: (tool, graduation) => ({
      ...makingByHand(tool, graduation),
      relief: { from: mm(scoreOf(tool)), inset: mm(tool.relief / 2) },
    }),
    score: ({ ids: [score, ...also], edge, at, only }, blank, tool) => {
      if (only) return null;
      // The score lies along the edge that is laid in: along the left, or the right, of the one it is measured on.
      const far = edgeLength(blank, edge) - at;
      const beside =
        Math.abs(at - scoreOf(tool)) < TOLERANCE.folded
          ? leftOf(edge)
          : Math.abs(far - scoreOf(tool)) < TOLERANCE.folded
            ? rightOf(edge)
            : null;
      return beside && { near: null, move: { do: 'edge-score', score: score!, also, edge: beside }, mark: null };
    },
    slants: (path, tool) =>
      reliefs(path, tool).map((move) => ({
        move,
        marks: { edge: move.edge, at: mm(move.at + (move.slants === 'left' ? -1 : 1) * (tool.relief / 2)) },
      })),
    moves: {
      'edge-score': {
        carryOut: ({ edge, score, also = [] }, sheet, tool) => {
          const deep = scoreOf(tool);
          sheet.run([score, ...also], {
            from: sheet.found({ edge, at: mm(0), deep }),
            to: sheet.found({ edge, at: edgeLength(sheet.blank, edge), deep }),
          });
        },
        step: ({ edge, score }, { number, of }) => ({
          action: 'score',
          edge,
          score,
          text: `Score ${number(score)}${of}: lay edge ${edge} in the edge board and run its one groove.`,
        }),
        short: ({ edge }) => `lay edge ${edge} in the edge board and score.`,
      },
      relief: {
        carryOut: ({ edge, at }, sheet, tool) => {
          const guide = sheet.found({ edge, at, deep: scoreOf(tool) });
          if (!sheet.state.runs.some(({ line }) => Math.abs(sideOf(line, guide)) < TOLERANCE.found))
            sheet.fault({ code: 'guide-meets-nothing', edge, at });
          else for (const way of [-1, 1]) sheet.mark({ edge, at: mm(at + (way * tool.relief) / 2) });
        },
        step: ({ edge, at }, { say }) => ({
          action: 'punch',
          edge,
          at,
          readings: [{ at, on: 'ruler', what: 'from the left end' }],
          text: `With edge ${edge} in the edge board, bring the guide to the score ${say(at)} from the left end and punch the relief notch.`,
          caution: 'punch',
          brings: edge,
        }),
        short: ({ at }, say) => `punch the relief notch at ${say(at)}.`,
      },
    } satisfies MovesOf<EdgeBoardMove, EdgeBoard>,
    faults: {
      'guide-meets-nothing': ({ edge, at }, say) => `no score meets the guide at ${say(at)} on edge ${edge}`,
    },
    words: {},
    proof: 'The moves, tried on a simulated edge board, give these very scores and cuts.',
    under: (tool, moves, { wide, deep }) => {
      const last = moves.at(-1);
      if (last?.do !== 'edge-score' && last?.do !== 'relief') return null;
      const groove = scoreOf(tool);
      return {
        box: { left: -14, right: wide + 14, bottom: -14, top: Math.min(deep, tool.scoreFrom * 3) },
        shift: 0,
        things: [
          { is: 'fence', along: 'near' },
          { is: 'groove', from: { x: -12, y: groove }, to: { x: wide + 12, y: groove } },
        ],
      };
    },
  },
};

/** The slants of a cut that the relief notch makes: from a crossing on its score out to the rim. */
function reliefs(path: readonly Spot[], board: EdgeBoard): Extract<EdgeBoardMove, { do: 'relief' }>[] {
  return path.flatMap((spot, i) =>
    [path[i - 1], path[i + 1]].flatMap((rim) => {
      const onScore = Math.abs(spot.deep - scoreOf(board)) <= TOLERANCE.folded && spot.on === 'crossing';
      if (!rim || rim.deep > 0 || spot.edge !== rim.edge || !onScore) return [];
      const slant = rim.at - spot.at;
      return Math.abs(Math.abs(slant) - board.relief / 2) < TOLERANCE.folded
        ? [{ do: 'relief' as const, edge: spot.edge, at: spot.at, slants: slant < 0 ? ('left' as const) : 'right' }]
        : [];
    }),
  );
}
