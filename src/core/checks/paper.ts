import { sheetsFor } from '../cutting';
import {
  constructionOptions,
  cutFor,
  sheetOf,
  paperOf,
  type Design,
  liesOn,
  smallestPaperFor,
  STIFF,
  THIN,
} from '../design';
import { TOLERANCE } from '../geometry';
import { mm, roundTo, type Mm } from '../length';
import type { Blank, Piece } from '../pattern';
import { HOLDS, type Made, type Plan } from '../plan';
import {
  isUpright,
  openPrintMap,
  printMap,
  printOn,
  printStands,
  turnedUpright,
  turnFor,
  windowOnFront,
  type Showing,
} from '../looks';
import { listed } from '../text';
import { check, type Check, type Remedy } from './check';

/** Plain paper that shows on less than this share of the front is no fault. From memory. */
const SEEN_SHARE = 0.1;

/** Whether each paper is large enough for what is cut from it, and how it takes folding. */
export function paperChecks({ design }: Plan, { pieces: own, layers, finished }: Made): Check[] {
  const sheets = sheetsCheck(design, own);
  const pieces = [...own, ...layers];
  // However its pieces are turned on the print, it is one paper.
  const kind = ({ piece: { name } }: Made['pieces'][number] | Made['layers'][number]) =>
    design.papers[name] ?? design.paper;
  const papers = [...new Set(pieces.map(kind))];
  return [
    ...sheets,
    ...papers.flatMap((paper) => {
      const cut = pieces.filter((piece) => kind(piece) === paper).map(({ piece }) => piece);
      // A paper that single pieces are cut from is told apart by them.
      const at = paper === design.paper ? undefined : cut.map(({ name }) => name).join('-');
      const checks = sizeChecks(design, paper, cut, at);
      if (paper.caliper < THIN) checks.push(check('thin-paper', 'note', paper.caliper, THIN, {}, [], at));
      if (paper.caliper > STIFF)
        checks.push(check('stiff-paper', 'note', paper.caliper, STIFF, { thickness: finished.thickness }, [], at));
      return checks;
    }),
  ];
}

/** How many sheets as the given one all pieces take. */
function sheetsCheck(design: Design, pieces: Made['pieces']): Check[] {
  const { blank, paper, sheets } = design;
  const drawn = pieces.map(({ piece }) => piece);
  const cut = cutFor(drawn, design);
  if (!blank || cut.reduce((sum, { quantity }) => sum + quantity, 0) < 2) return [];
  const sheet =
    paper.width !== undefined && paper.height !== undefined ? { width: paper.width, height: paper.height } : blank;
  const asked = sheets ?? 1;
  const takes = sheetsFor(cut, sheetOf(sheet, design.paper), asked);
  const larger = cut.find((piece) => !liesOn(piece, sheet))?.name ?? null;
  // With a paper of a known size that is a failure, and told as one.
  if (larger !== null && paper.width !== undefined) return [];
  const several = takes > asked;
  const remedies: Remedy[] = several && sheets === null ? [{ code: 'all_from_one', change: { sheets: 1 } }] : [];
  const count = Number.isFinite(takes) ? takes : 0;
  return [check('sheets', several ? 'note' : 'pass', count, asked, { ...sheet, larger }, remedies)];
}

/** Whether a paper of a known size is large enough for each of its blanks. */
function sizeChecks(design: Design, paper: Design['paper'], cut: readonly Piece[], at: string | undefined): Check[] {
  if (paper.width === undefined || paper.height === undefined) return [];
  const sheet = { width: paper.width, height: paper.height };
  // Paper with a right way up is not turned to make room.
  const lies = ({ name, blank }: Piece): boolean => {
    if (!paper.directional) return liesOn(blank, sheet);
    const across = paperOf(design, name).turn % 2 === 1;
    const [w, h] = across ? [blank.height, blank.width] : [blank.width, blank.height];
    return w <= sheet.width + TOLERANCE.folded && h <= sheet.height + TOLERANCE.folded;
  };
  const blanks = cut.map(({ blank }) => blank);
  const over = cut.find((piece) => !lies(piece))?.blank;
  const worst = over ?? blanks.reduce((a, b) => (a.width * a.height > b.width * b.height ? a : b));
  const other = over && at === undefined ? smallestPaperFor(over) : null;
  const turned = over !== undefined && liesOn(over, sheet);
  const change = { paper: { ...paper, width: other?.width, height: other?.height } };
  return [
    check(
      'paper',
      over ? 'fail' : 'pass',
      Math.max(worst.width, worst.height),
      Math.min(sheet.width, sheet.height),
      {
        ...sheet,
        other: other?.title ?? null,
        blankWidth: worst.width,
        blankHeight: worst.height,
        turned,
        of:
          at === undefined
            ? null
            : listed(
                cut.map(({ name }) => name),
                'the ',
              ),
      },
      [
        ...(over && !turned ? smallerParts(design, over, sheet) : []),
        ...(other && !turned ? [{ code: 'other_paper', name: other.title, change } as const] : []),
      ],
      at,
    ),
  ];
}

/** A blank a hair too large is made to fit: at most so much of a part is given up. */
const MOST_GIVEN = 0.4;

/** Parts that might be smaller by what a blank is over its sheet, or by half of it where there are two: the least change first. */
function smallerParts({ construction, options, graduation }: Design, blank: Blank, sheet: Blank): Remedy[] {
  const over = (width: Mm, height: Mm): Mm => mm(Math.max(0, blank.width - width, blank.height - height));
  const by = Math.min(over(sheet.width, sheet.height), over(sheet.height, sheet.width));
  return constructionOptions(construction.name)
    .flatMap(({ name, title, unit, madeWith, limits }): { readonly cost: number; readonly remedy: Remedy }[] => {
      const now = (options as Record<string, unknown>)[name];
      if (unit !== 'mm' || madeWith || typeof now !== 'number') return [];
      return [by / 2, by].flatMap((less) => {
        const to = roundTo(mm(now - less), graduation, 'down');
        if (to < Math.max(HOLDS, limits?.least ?? 0) || now - to > now * MOST_GIVEN) return [];
        return [{ cost: now - to, remedy: { code: 'smaller_part', title, to, change: { options: { [name]: to } } } }];
      });
    })
    .sort((a, b) => a.cost - b.cost)
    .map(({ remedy }) => remedy);
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
  const papers = made.pieces.map(({ piece }) => paperOf(design, piece.name));
  if (papers.every(({ sided, directional }) => sided === 2 && !directional)) return checks;
  const shows = printMap(made, design);
  const ofPaper = ({ piece }: (typeof shows)[number]): Design['paper'] => paperOf(design, piece);
  if (papers.some(({ sided }) => sided === 1)) {
    const plain = shows.filter((s) => s.side === 'inside' && ofPaper(s).sided === 1);
    // A notch lets a little of the inside be seen, and is meant to.
    const whole = shows.reduce((sum, s) => sum + (s.face === shows[0]!.face ? s.area : 0), 0);
    const onFront = plain.filter((s) => s.face === shows[0]!.face && s.area > SEEN_SHARE * whole);
    const remedies: Remedy[] =
      onFront.length > 0 && !design.layers.some(({ on }) => on === 'front')
        ? [{ code: 'back_with_mat', change: { layers: [...design.layers, { on: 'front' }] } }]
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
  const opened = openedCheck(design, made, shows);
  if (opened) return [...checks, opened];
  const [front] = shows;
  if (front && ofPaper(front).directional) {
    const own = ofPaper(front);
    const turn = turnFor(front, own.turn);
    const right = turn !== null && turn === own.turn;
    const remedies: Remedy[] =
      turn === null || right || own !== paper
        ? []
        : [{ code: 'turn_blank', quarters: (turn - own.turn + 4) % 4, change: { paper: { ...paper, turn } } }];
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
        ofPaper(s).directional &&
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

/** Of what is opened or leafed through: what reads upright, wherever it is looked at; null for what is not. */
function openedCheck(design: Design, made: Made, closed: readonly Showing[]): Check | null {
  if (!made.pieces.some(({ piece }) => paperOf(design, piece.name).directional)) return null;
  const open = openPrintMap(made, design);
  const printed = [...closed, ...open].filter((one) => printOn(made, design, one) !== null);
  if (open.length === 0 || printed.length === 0) return null;
  const wrong = new Map<string, { name: string; stands: string; faces: string[] }>();
  const slanted = new Set<string>();
  for (const one of printed.filter((shown) => !isUpright(shown))) {
    const { name, turn, face } = one;
    if (turnFor(one, 0) === null) {
      slanted.add(one.piece);
      continue;
    }
    const key = `${name} ${printStands(turn)}`;
    const lies = wrong.get(key) ?? { name, stands: printStands(turn), faces: [] };
    lies.faces.push(face);
    wrong.set(key, lies);
  }
  const change = turnedUpright(made, design);
  return check(
    'print-seen',
    wrong.size > 0 && change ? 'warn' : wrong.size + slanted.size > 0 ? 'note' : 'pass',
    wrong.size,
    0,
    { wrong: [...wrong.values()], slanted: [...slanted] },
    change && wrong.size > 0 ? [{ code: 'turn_all', change }] : [],
  );
}
