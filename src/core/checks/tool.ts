import { mm, onGraduation } from '../length';
import { planTool, usesTool } from '../tools';
import type { Made, Plan } from '../plan';
import { check, type Check } from './check';

/** Whether the tool makes this pattern, and where it ends. */
export function toolChecks({ design }: Plan, { built, pieces }: Made): Check[] {
  const { tool, graduation } = design;
  const { limits, settings } = planTool(tool);
  const work = {
    pieces,
    start: built.start,
    graduation,
    notched: pieces.some(({ piece }) => piece.notches.length > 0),
  };
  const wrong = pieces.find(({ toolFaults }) => toolFaults.length > 0);
  const count = pieces.reduce((sum, { toolFaults }) => sum + toolFaults.length, 0);
  const checks: Check[] = [
    check('tool-proof', wrong ? 'fail' : 'pass', count, 0, {
      fault: wrong?.toolFaults[0] ?? null,
      piece: wrong && pieces.length > 1 ? wrong.piece.name : null,
      tool: pieces.some(({ programme }) => usesTool(programme.moves)) ? tool.kind : 'ruler',
    }),
  ];
  for (const { kind, level, value, limit, about, marks } of limits?.(tool, work) ?? [])
    checks.push(
      check(
        kind,
        level,
        value,
        limit,
        about,
        marks && marks !== graduation
          ? [{ code: 'groove_marks', pitch: mm(limit), change: { graduation: marks } }]
          : [],
      ),
    );
  const set =
    settings?.(work) ?? pieces.flatMap(({ programme }) => programme.marks.filter((mark) => mark.for === 'score'));
  const off = [
    ...set.map((mark) => mark.at),
    ...pieces.flatMap(({ piece }) => [piece.blank.width, piece.blank.height]),
  ].find((at) => !onGraduation(at, graduation));
  if (off !== undefined) checks.push(check('between-marks', 'note', off, 0, {}));
  return checks;
}
