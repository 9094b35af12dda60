import { GRADUATIONS, mm, onGraduation, stepOf, type Mm } from '../../length';
import { hasGroove } from '../../tools';
import type { Design } from '../design/design';
import type { Made, Plan } from '../plan';
import { check, HAIR, type Check } from './check';

/** Whether the tool makes this pattern, and where it ends. */
export function toolChecks({ design }: Plan, { built, pieces }: Made): Check[] {
  const { tool, graduation } = design;
  const faults = pieces.flatMap(({ piece, toolFaults }) =>
    toolFaults.map((fault) => (pieces.length > 1 ? `${piece.name}: ${fault}` : fault)),
  );
  const notched = pieces.some(({ piece }) => piece.notches.length > 0);
  const checks: Check[] = [
    check('tool-proof', faults.length > 0 ? 'fail' : 'pass', faults.length, 0, {
      fault: faults[0] ?? null,
      tool: notched || tool.kind !== 'envelope-board' ? tool.kind : 'ruler',
    }),
  ];
  const [{ programme }] = pieces;
  const first = programme.marks.find((mark) => mark.edge === built.start.edge);
  if (tool.kind === 'envelope-board' && notched) {
    if (built.start.reference === 'ruler') checks.push(check('ruler-end', 'note', first?.at ?? 0, tool.rulerEnd, {}));
    const longest = Math.max(0, ...programme.moves.map((move) => (move.do === 'score' ? move.length : 0)));
    if (longest > tool.grooveEnd + HAIR) checks.push(check('groove-end', 'note', longest, tool.grooveEnd, {}));
  }
  if (tool.kind === 'scoring-board' && notched) checks.push(check('slanted-scores', 'note', 0, 0, {}));
  if (tool.kind === 'scoring-board') {
    const past = pieces.flatMap((part) =>
      part.programme.marks.filter((mark) => mark.for === 'score' && mark.reference === 'ruler'),
    );
    const over = past.find((mark) => mark.at > tool.length + HAIR);
    if (!notched && over) checks.push(check('board-end', 'note', over.at, tool.length, {}));
    const between = past.find((mark) => mark.at <= tool.length + HAIR && !hasGroove(tool, mark.at));
    if (!notched && between && tool.pitch !== undefined) checks.push(betweenGrooves(design, between.at, tool.pitch));
  }
  const set = pieces.flatMap((part) =>
    tool.kind === 'envelope-board' && notched ? [first] : part.programme.marks.filter((mark) => mark.for === 'score'),
  );
  const off = [
    ...set.map((mark) => mark?.at),
    ...pieces.flatMap(({ piece }) => [piece.blank.width, piece.blank.height]),
  ].find((at) => at !== undefined && !onGraduation(at, graduation));
  if (off !== undefined) checks.push(check('between-marks', 'note', off, 0, {}));
  return checks;
}

/** A score with no groove from either side; where the maker's marks could be the grooves, that mends it. */
function betweenGrooves({ graduation }: Design, at: Mm, pitch: Mm): Check {
  const own = GRADUATIONS.find((marks) => Math.abs(stepOf(marks) - pitch) < HAIR);
  const below = mm(Math.floor(at / pitch) * pitch);
  return check(
    'between-grooves',
    'note',
    at,
    pitch,
    { below, above: below + pitch },
    own && own !== graduation ? [{ code: 'groove_marks', pitch, change: { graduation: own } }] : [],
  );
}
