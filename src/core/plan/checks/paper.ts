import type { Mm } from '../../length';
import { liesOn, smallestPaperFor, STIFF, THIN } from '../design/papers';
import type { Made, Plan } from '../plan';
import { printMap, turnFor, windowOnFront } from '../looks/print';
import { check, HAIR, type Check, type Remedy } from './check';

/** Plain paper that shows on less than this share of the front is no fault. From memory. */
const SEEN_SHARE = 0.1;

/** Whether the paper is large enough, and how it takes folding. */
export function paperChecks({ design }: Plan, { pieces, finished }: Made): Check[] {
  const { paper } = design;
  const checks: Check[] = [];
  if (paper.width !== undefined && paper.height !== undefined) {
    const sheet = { width: paper.width, height: paper.height };
    // Paper with a right way up is not turned to make room.
    const lies = (blank: { width: Mm; height: Mm }): boolean => {
      if (!paper.directional) return liesOn(blank, sheet);
      const [w, h] = paper.turn % 2 === 0 ? [blank.width, blank.height] : [blank.height, blank.width];
      return w <= sheet.width + HAIR && h <= sheet.height + HAIR;
    };
    const blanks = pieces.map(({ piece }) => piece.blank);
    const over = blanks.find((blank) => !lies(blank));
    const worst = over ?? blanks.reduce((a, b) => (a.width * a.height > b.width * b.height ? a : b));
    const other = over ? smallestPaperFor(over) : null;
    checks.push(
      check(
        'paper',
        over ? 'fail' : 'pass',
        Math.max(worst.width, worst.height),
        Math.min(sheet.width, sheet.height),
        {
          width: sheet.width,
          height: sheet.height,
          other: other?.title ?? null,
          blankWidth: worst.width,
          blankHeight: worst.height,
          turned: over !== undefined && liesOn(over, sheet),
        },
        other && !(over && liesOn(over, sheet))
          ? [
              {
                code: 'other_paper',
                name: other.title,
                change: { paper: { ...paper, width: other.width, height: other.height } },
              },
            ]
          : [],
      ),
    );
  }
  if (paper.caliper < THIN) checks.push(check('thin-paper', 'note', paper.caliper, THIN, {}));
  if (paper.caliper > STIFF)
    checks.push(check('stiff-paper', 'note', paper.caliper, STIFF, { thickness: finished.thickness }));
  return checks;
}

/** What of the print shows, and which way up, with what would mend it. */
export function printChecks({ design }: Plan, made: Made): Check[] {
  const { paper } = design;
  const checks: Check[] = [];
  const window = windowOnFront(made, design);
  if (window)
    checks.push(
      paper.window?.keep === 'avoid'
        ? check('window-avoided', window.onBlank > 0.001 ? 'warn' : 'pass', window.onBlank, 0, {})
        : check('window', window.share < 0.999 ? 'note' : 'pass', window.share, 1, {}),
    );
  if (paper.sided === 2 && !paper.directional) return checks;
  const shows = printMap(made, design);
  if (paper.sided === 1) {
    const plain = shows.filter((s) => s.side === 'A');
    // A notch lets a little of the inside be seen, and is meant to.
    const whole = shows.reduce((sum, s) => sum + (s.face === shows[0]!.face ? s.area : 0), 0);
    const onFront = plain.filter((s) => s.face === shows[0]!.face && s.area > SEEN_SHARE * whole);
    const remedies: Remedy[] =
      onFront.length > 0 && !design.companions.includes('mat')
        ? [{ code: 'back_with_mat', change: { companions: [...design.companions, 'mat'] } }]
        : [];
    checks.push(
      check(
        'print-side',
        onFront.length > 0 ? 'warn' : 'note',
        plain.length,
        0,
        { panels: [...new Set(plain.map((s) => s.name))] },
        remedies,
      ),
    );
  }
  const [front] = shows;
  if (paper.directional && front) {
    const turn = turnFor(front, paper.turn);
    const right = turn !== null && turn === paper.turn;
    const remedies: Remedy[] =
      turn === null || right
        ? []
        : [{ code: 'turn_blank', quarters: (turn - paper.turn + 4) % 4, change: { paper: { ...paper, turn } } }];
    checks.push(
      check(
        'print-direction',
        right ? 'pass' : 'warn',
        front.turn,
        0,
        { panel: front.name, slanted: turn === null },
        remedies,
      ),
    );
    const wrong = shows.filter(
      (s) =>
        s.panel !== front.panel &&
        Math.abs(s.turn - front.turn) > 0.5 &&
        Math.abs(Math.abs(s.turn - front.turn) - 180) < 0.5,
    );
    if (right && wrong.length > 0)
      checks.push(
        check('print-upside-down', 'note', wrong.length, 0, { panels: [...new Set(wrong.map((s) => s.name))] }),
      );
  }
  return checks;
}
