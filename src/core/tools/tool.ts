import { z } from 'zod';
import { inches, lengthSchema, mm, roundTo, type Graduation, type Mm } from '../length';
import type { Making } from '../constructions';

const envelopeBoard = z.strictObject({
  kind: z.literal('envelope-board'),
  notch: lengthSchema({ over: 0, most: 100 })
    .prefault(inches(3 / 4))
    .describe('Length of the notch the board cuts, along the sheet’s edge.'),
  offset: lengthSchema({ least: -50, most: 50 })
    .prefault(mm(0))
    .describe('True setting less the reading of the board’s ruler.'),
  rulerEnd: lengthSchema({ over: 0 }).prefault(inches(5)).describe('Largest setting the board’s ruler shows.'),
  grooveEnd: lengthSchema({ over: 0 }).prefault(inches(7)).describe('Longest score the board’s groove guides.'),
});
const scoringBoard = z.strictObject({
  kind: z.literal('scoring-board'),
  length: lengthSchema({ over: 0 }).prefault(inches(12)).describe('Length of the board.'),
  pitch: lengthSchema({ least: 0.5, most: 60 })
    .optional()
    .describe('From one groove to the next; left out where the board has a groove for every mark.'),
  notch: lengthSchema({ over: 0, most: 100 })
    .prefault(inches(3 / 4))
    .describe('Notch to cut by hand, along the sheet’s edge.'),
});
const edgeBoard = z.strictObject({
  kind: z.literal('edge-board'),
  scoreFrom: lengthSchema({ over: 0, most: 100 })
    .prefault(inches(1 / 2))
    .describe('How far from the sheet’s edge the board makes its one score.'),
  relief: lengthSchema({ over: 0, most: 50 })
    .prefault(inches(1 / 4))
    .describe('Length along the edge of the relief notch it punches where the guide meets a score.'),
  offset: lengthSchema({ least: -20, most: 20 })
    .prefault(mm(0))
    .describe('True distance of the score from the edge less what the board says.'),
  notch: lengthSchema({ over: 0, most: 100 })
    .prefault(inches(3 / 4))
    .describe('Notch to cut by hand on square sheets, along the sheet’s edge.'),
});
const ruler = z.strictObject({
  kind: z.literal('ruler'),
  notch: lengthSchema({ over: 0, most: 100 })
    .prefault(inches(3 / 4))
    .describe('Notch to cut by hand, along the sheet’s edge. 3/4 in matches a common board; 1 in is easier to mark.'),
});

/** What the maker works with. */
export const toolSchema = z.discriminatedUnion('kind', [envelopeBoard, scoringBoard, edgeBoard, ruler], {
  error: 'The tool is one of "envelope-board", "scoring-board", "edge-board" or "ruler", named by its kind.',
});
export type Tool = z.output<typeof toolSchema>;
export type ScoringBoard = z.output<typeof scoringBoard>;
export type EdgeBoard = z.output<typeof edgeBoard>;
export type EnvelopeBoard = z.output<typeof envelopeBoard>;

/** An envelope board as most are: notch 3/4 in, no offset, ruler to 5 in, groove to 7 in. */
export const COMMON_BOARD: EnvelopeBoard = envelopeBoard.parse({ kind: 'envelope-board' });

/** How far from a groove a score may stand and still be run in it, mm: the tip of a scoring tool. From memory. */
const IN_GROOVE = 0.1;

/** True when the board has a groove at that distance from its fence: on the board, and on its pitch. */
export function hasGroove({ length, pitch }: ScoringBoard, at: number): boolean {
  if (at > length + 1e-6) return false;
  return pitch === undefined || Math.abs(at - Math.round(at / pitch) * pitch) <= IN_GROOVE;
}

/** True when two tools are one for a plan: every figure alike. What is cut by hand anyway is no figure of a board. */
export function sameTool(a: Tool, b: Tool): boolean {
  if (a.kind !== b.kind) return false;
  const figures = new Set([...Object.keys(a), ...Object.keys(b)]);
  if (a.kind !== 'envelope-board') figures.delete('notch');
  return [...figures].every((figure) => {
    const [x, y] = [a, b].map((tool) => (tool as unknown as Record<string, unknown>)[figure]);
    return typeof x === 'number' && typeof y === 'number' ? Math.abs(x - y) < 1e-6 : x === y;
  });
}

/** What a construction needs to know of a tool. By hand the notch is measured, so it stands on the graduation. */
export function makingWith(tool: Tool, graduation: Graduation): Making {
  if (tool.kind === 'envelope-board')
    return { graduation, notch: tool.notch, offset: tool.offset, rulerEnd: tool.rulerEnd, relief: null };
  const measured = roundTo(tool.notch, graduation, 'nearest');
  const notch: Mm = measured > 0 ? measured : tool.notch;
  const relief =
    tool.kind === 'edge-board' ? { from: mm(tool.scoreFrom + tool.offset), inset: mm(tool.relief / 2) } : null;
  return { graduation, notch, offset: mm(0), rulerEnd: null, relief };
}
