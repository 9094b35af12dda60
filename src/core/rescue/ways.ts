import type { PanelId, Piece } from '../pattern';
import { CONSTRUCTIONS, type Construction } from '../constructions';
import { sheetsFor } from '../cutting';
import { area, type Point } from '../geometry';
import { mm, stepOf, type Mm, type Say } from '../length';
import {
  changedDesign,
  inputOf,
  liesOn,
  paperOf,
  PAPERS,
  readDesign,
  sheetOf,
  type Design,
  type DesignChange,
  type DesignInput,
} from '../design';
import { checksOf, FINER, remedyLabel, type Check } from '../checks';
import { laidAnew, stepsOf } from '../making';
import { onlyHinge, type Rescued } from '../mending';
import { panelName, partNamed, planFor, planOnSheet, type Made, type Plan } from '../plan';
import { toEnd } from '../progress';
import { article, listed, several } from '../text';
import { carriedOut } from './carried-out';
import { laidSo, showsWhere, waysToLie, type LaidPattern, type Scar } from './laid';
import { misreadOf, mistakeWords, type Misread, type Mistake } from './mistaken';
import { spoiledPiece, sheetAsItIs, type ScarredSheet, type SheetMark } from './sheet';
import type { Mishap, Other } from './wrong';

export type WayKind = 'as-it-is' | 'mend' | 'other-holder' | 'other-contents' | 'new-sheet';

/** One way out of a mishap. */
export interface WayOut {
  readonly kind: WayKind;
  readonly title: string;
  readonly design: DesignInput;
  /** It holds what it should. */
  readonly keeps: boolean;
  /** Room left beside what goes in, mm. */
  readonly room: { readonly width: Mm; readonly height: Mm };
  readonly scars: readonly Scar[];
  /** All paper it takes that the sheet does not give, mm², in sheets and by its pieces; and steps that are left. */
  readonly cost: {
    readonly paper: number;
    readonly sheets: number;
    readonly pieces: readonly FreshPiece[];
    readonly steps: number;
  };
  readonly text: string;
  readonly plan: Plan;
  /** How its pattern lies on the sheet; null for a new one. */
  readonly laid: LaidPattern | null;
  /** Panels with a strip behind them, or joined on anew. */
  readonly mended: readonly string[];
  /** Discs on it would lie on each other. */
  readonly overlaps: boolean;
  /** How ugly what shows is. */
  readonly ugly: number;
}

/** What a mishap is answered with. */
export interface WaysOut {
  readonly sheet: ScarredSheet;
  /** Readings that are commonly mistaken, for each thing wrong that is one. */
  readonly mistakes: readonly { readonly mistake: Mistake; readonly text: string; readonly misread: Misread }[];
  /** The best first; a new sheet is always the last. */
  readonly ways: readonly WayOut[];
  /** Share of what is tried that was, 0 to 1. */
  readonly done: number;
}

/** Most ways shown of each kind. */
const MOST: Record<WayKind, number> = {
  'as-it-is': 3,
  mend: 3,
  'other-holder': 3,
  'other-contents': 3,
  'new-sheet': 1,
};
/** Ways to lie that are folded with what they lack, the least ugly first. */
const FOLDED = 2;

const AS_IT_SHOULD = 'It is as it should be';

interface Attempt {
  readonly kind: WayKind;
  readonly title: string;
  readonly design: Design;
  /** The piece that is laid on the sheet; the first of another holder. */
  readonly piece: string | null;
  /** What this is a mend with: a mat over what shows. */
  readonly mends?: true;
  /** Strips and flaps joined on are tried with it too. */
  readonly mendable?: true;
}

/** Seeks ways out, one attempt after the other; each time what is known so far. The first is there at once. */
export function* waysOut(mishap: Mishap, say: Say): Generator<WaysOut, WaysOut> {
  // What went wrong before went its own way; what is sought now is sought of the whole pattern, on what is left.
  const fresh = { ...mishap, design: { ...mishap.design, rescued: null } };
  const whole = planFor(fresh.design);
  const asMade = mishap.design.rescued ? planFor(mishap.design) : whole;
  const plan = asMade.made ? asMade : whole;
  const { made } = plan;
  if (!made || !whole.made) {
    const none = {
      blank: { width: mm(0), height: mm(0) },
      paper: [],
      gone: [],
      marks: [],
      step: null,
      joined: false,
      off: [],
      glued: false,
      stuck: null,
      cutWrong: false,
      again: false,
    };
    return { sheet: none, mistakes: [], ways: [], done: 1 };
  }
  const sheet = sheetAsItIs(plan, made, mishap, say);
  const piece = spoiledPiece(made, mishap);
  const found: WayOut[] = [];
  const misreads = mishap.wrong.flatMap((fact) => misreadOf(fact, piece, mishap.design) ?? []);
  const mistakes = misreads
    .filter(({ mistake }, i) => misreads.findIndex((one) => one.mistake === mistake) === i)
    .map((misread) => ({ mistake: misread.mistake, text: mistakeWords(misread.mistake), misread }));
  const drawn = [...whole.made.pieces, ...whole.made.layers].find((one) => one.piece.name === piece.name)?.piece;
  const last = drawn ? newSheet(whole, whole.made, fresh, say) : newSheet(plan, made, mishap, say);
  const answer = (done: number): WaysOut => ({ sheet, mistakes, ways: [...best(found), last], done });
  yield answer(0);
  // A strip, or a flap that was joined on, is made again.
  // The first is tried before all others are so much as read: where nothing is wrong none of them is.
  const coming = drawn ? attemptsFor(fresh, sheet, whole, whole.made, drawn, say) : [];
  let [tried, all] = [0, Infinity];
  const seek = function* (attempt: Attempt): Generator<WaysOut, boolean> {
    tried++;
    // What shows nothing needs no mat.
    if (attempt.mends && !found.some(({ kind, scars }) => kind === 'as-it-is' && scars.some(showsWrong))) return false;
    for (const way of attempted(attempt, fresh, sheet, whole, say, found)) {
      if (!found.some((one) => isSame(one, way))) found.push(way);
      // Nothing is wrong: nothing else is sought.
      if (way.title === AS_IT_SHOULD) return true;
      yield answer(tried / all);
    }
    if (tried % 8 === 0) yield answer(tried / all);
    return false;
  };
  for (const first of coming) {
    if (yield* seek(first)) return answer(1);
    const others = [...coming];
    all = 1 + others.length;
    for (const attempt of others) if (yield* seek(attempt)) return answer(1);
  }
  return answer(1);
}

const showsWrong = ({ ends, wrong }: Scar): boolean => wrong && ends === 'shows';

/** All ways at once. */
export const allWaysOut = (mishap: Mishap, say: Say): WaysOut => toEnd(waysOut(mishap, say));

/** Holds what it should; nothing ugly shows; least work and paper. */
const ORDER: Record<WayKind, number> = {
  'as-it-is': 0,
  mend: 1,
  'other-holder': 2,
  'other-contents': 3,
  'new-sheet': 4,
};
function best(found: readonly WayOut[]): WayOut[] {
  const rank = (way: WayOut): readonly number[] => [
    Number(!way.keeps),
    gapes(way) + Number(way.overlaps),
    // A way that takes new sheets is none but a new sheet, while another keeps what it should.
    Number(way.cost.sheets > 0),
    shows(way),
    ORDER[way.kind],
    // What nobody sees is not ugly.
    shows(way) * Math.round(way.ugly * 4),
    -Math.min(way.room.width, way.room.height, 3),
    way.cost.steps,
    way.cost.paper,
  ];
  const sorted = found.toSorted((a, b) => {
    const [x, y] = [rank(a), rank(b)];
    return x.map((value, i) => value - y[i]!).find((apart) => Math.abs(apart) > 1e-9) ?? 0;
  });
  const counts = new Map<WayKind, number>();
  const titles = new Set<string>();
  return sorted.filter(({ kind, title }) => {
    // Two of one name, laid otherwise on the sheet, nobody could choose between: the better one is told.
    if (titles.has(title)) return false;
    titles.add(title);
    const count = (counts.get(kind) ?? 0) + 1;
    counts.set(kind, count);
    return count <= MOST[kind];
  });
}

/** Whether anything of the sheet’s history can be seen. */
const shows = ({ scars }: Pick<WayOut, 'scars'>): number => Number(scars.some(({ ends }) => ends === 'shows'));
/** Whether it is cut through where that can be seen, with nothing behind. */
const gapes = ({ scars, mended }: WayOut): number =>
  Number(
    scars.some(
      ({ ends, open, wrong, panelId }) => wrong && open && ends === 'shows' && !mended.includes(panelId ?? ''),
    ),
  );
/** Discs that would lie on each other: they are moved, or cut. */
const isOverlap = (check: Check): boolean => check.kind === 'closure' && check.about.trouble === 'discs_overlap';
const overlaps = (plan: Plan): boolean => plan.design.closure.kind === 'buttons' && checksOf(plan).some(isOverlap);
/** No check of it fails. */
const holds = (plan: Plan): boolean => !checksOf(plan).some(({ level }) => level === 'fail');

/** Two ways that come to the same: one holder on one size of paper, with as much room and the same to be seen. */
const isSame = (a: WayOut, b: WayOut): boolean => {
  const gist = ({ kind, design, plan, room, scars }: WayOut): string =>
    JSON.stringify([
      kind,
      design.construction,
      kind === 'mend' && [design.layers, design.closure, plan.design.rescued?.strips, plan.design.rescued?.joined],
      plan.made!.pieces.map(({ piece }) => [piece.blank.width.toFixed(1), piece.blank.height.toFixed(1)]),
      room.width.toFixed(1),
      room.height.toFixed(1),
      scars.map(({ ends, panel }) => [ends, panel]),
    ]);
  // What is said of both in the same words is one way to whoever reads it.
  return gist(a) === gist(b) || (a.kind === b.kind && a.title === b.title && a.text === b.text);
};

const HOLDERS: readonly Construction[] = CONSTRUCTIONS.filter(({ does }) => does !== 'gathers' && does !== 'decorates');

/** What is tried, in the order in which a maker would rather have it. */
function* attemptsFor(
  { design, others }: Mishap,
  sheet: ScarredSheet,
  plan: Plan,
  made: Made,
  piece: Piece,
  say: Say,
): Generator<Attempt> {
  const { construction, contents, least } = design;
  // What is glued cannot be laid out anew: what is stuck comes off along its fold, and is made anew.
  if (sheet.glued) {
    if (sheet.stuck) yield { kind: 'mend', title: 'It will still do', design, piece: piece.name, mendable: true };
    return;
  }
  const input = inputOf(design);
  const first = piece === made.pieces[0].piece;
  const { width, height } = sheet.blank;
  const sized = (w: Mm, h: Mm): DesignChange => ({
    blank: { width: w, height: h },
    paper: { ...input.paper, width: w, height: h, at: undefined },
  });
  const onIt = sized(width, height);
  const square = sized(mm(Math.min(width, height)), mm(Math.min(width, height)));
  const attempt = (title: string, kind: WayKind, change: DesignChange, mends = false): readonly Attempt[] => {
    const read = readDesign(changedDesign(input, change));
    const own = kind === 'as-it-is' || kind === 'mend';
    return read.ok
      ? [{ kind, title, design: read.design, piece: own ? piece.name : null, ...(mends && { mends }) }]
      : [];
  };
  const asItIs = { kind: 'as-it-is', title: 'It will still do', design, piece: piece.name } as const;
  const layer = made.layers.find((one) => one.piece === piece)?.layer;
  if (layer) {
    yield asItIs;
    // A mat is cut again sooner than it is mended: a broader border, or none.
    const mark = design.graduation === 'exact' ? 1 : stepOf(design.graduation);
    for (let more = 1; more <= BORDERS; more++) {
      const reveal = mm(layer.reveal + (more * mark) / 2);
      const layers = input.layers!.map((one, i) => (i === layer.index ? { ...one, reveal } : one));
      yield* attempt(`With a border of ${say(reveal)}`, 'as-it-is', { layers });
    }
    return;
  }
  yield { ...asItIs, mendable: true };
  // What is glued to others is laid out as nothing else.
  if (sheet.joined) return;
  for (const remedy of checksOf(plan).flatMap((check) =>
    check.level === 'fail' || isOverlap(check) ? check.remedies : [],
  ))
    if (remedy.code !== 'no_closure') yield* attempt(remedyLabel(remedy, say), 'mend', remedy.change);
  if (first) {
    yield* attempt('The same on this sheet', 'as-it-is', onIt).map((one) => ({ ...one, mendable: true }) as const);
    if (width !== height) {
      yield* attempt('The same, the sheet turned', 'as-it-is', sized(height, width));
      yield* attempt('The same, cut down to a square', 'as-it-is', square);
    }
  }
  const layers = input.layers ?? [];
  for (const on of ['front', 'back', 'flap'] as const) {
    const mat = { layers: [...layers, { on }] };
    yield* attempt(`A mat over it, on the ${on}`, 'mend', mat, true);
    if (first) yield* attempt(`A mat over it, on the ${on}, on this sheet`, 'mend', { ...onIt, ...mat }, true);
  }
  if (contents) yield* attempt('The same with less room', 'as-it-is', { ease: least });
  const finer = FINER[design.graduation];
  if (finer) {
    yield* attempt(`On marks of ${finer}`, 'as-it-is', { graduation: finer, ...(contents && { ease: least }) });
    if (first) yield* attempt(`On this sheet, on marks of ${finer}`, 'as-it-is', { ...onIt, graduation: finer });
  }
  // Where makers differ there is another way.
  for (const school of construction.schools) {
    if ((design.options as Record<string, unknown>)[school.option] === school.value) continue;
    const options = { [school.option]: school.value };
    yield* attempt(school.title, 'as-it-is', { options });
    if (first) yield* attempt(`${school.title}, on this sheet`, 'as-it-is', { ...onIt, options });
  }
  const free = { blank: undefined, sheets: undefined };
  if (contents && made.built.cavities.length > 0)
    for (const other of HOLDERS) {
      if (other.name === construction.name) continue;
      const change = { construction: other.name, options: null, ease: undefined, leastEase: undefined };
      yield* attempt(other.title, 'other-holder', { ...change, ...free });
      yield* attempt(`${other.title}, on all of this sheet`, 'other-holder', { ...change, ...onIt });
      if (width !== height)
        yield* attempt(`${other.title}, the sheet turned`, 'other-holder', { ...change, ...sized(height, width) });
    }
  for (const one of others) {
    const change = { contents: asContents(one), ease: undefined };
    const name = one.name ?? 'your other contents';
    yield* attempt(`The same for ${name}`, 'other-contents', { ...change, ...free });
    if (first) yield* attempt(`The same for ${name}, on all of this sheet`, 'other-contents', { ...change, ...onIt });
  }
}

/** So many broader borders are tried. */
const BORDERS = 6;

const asContents = ({ width, height, thickness, name }: Other): NonNullable<DesignInput['contents']> => ({
  width,
  height,
  thickness,
  ...(name && { name }),
});

/** What comes of one attempt: planned, laid on the sheet, folded with what that lacks, and mended. */
function* attempted(
  { kind, title, design, piece: name, mends, mendable }: Attempt,
  mishap: Mishap,
  sheet: ScarredSheet,
  before: Plan,
  say: Say,
  found: readonly WayOut[],
): Generator<WayOut> {
  // What lies as it was planned is planned already.
  const plan = design === mishap.design ? before : planFor(design);
  const { made } = plan;
  if (!plan.made || !made || (mends && made.layers.length === 0)) return;
  const another = kind === 'other-holder' || kind === 'other-contents';
  const part = name === null ? made.pieces[0] : partNamed(made, name);
  const { piece } = part;
  const sized = mishap.design.contents !== null;
  // What holds nothing has its own size to keep.
  const keeps = kind !== 'other-contents' && (!sized || made.fit !== null || made.built.cavities.length === 0);
  const every = waysToLie(made, piece, sheet, paperOf(design, piece.name).sided);
  const asLain = ({ turned, over, at }: LaidPattern): boolean => turned === 'not' && !over && at.x === 0 && at.y === 0;
  const all = sheet.joined ? every.filter(asLain) : every;
  const lays = all.slice(0, FOLDED);
  const common = { keeps, sheet, before, mishap, say };
  // Of several alike one went wrong: it does as it is, or is cut anew, and the others are told as before.
  const alone = piece.quantity === 1;
  if (mendable && alone) {
    // Mended as it lies; and as it would look best.
    const asItLay = all.find(asLain);
    for (const laid of new Set([asItLay, ...(sheet.glued ? [] : lays.slice(0, 1))]))
      for (const mend of laid ? mendsFor(piece, laid, sheet) : []) {
        const way = mended(mend, { ...rescuedFrom(sheet, piece, laid!), ...mend }, plan, laid!, common);
        if (way) yield way;
      }
  }
  if (sheet.glued) return;
  for (const laid of lays) {
    const rescued = rescuedFrom(sheet, piece, laid);
    // Uglier than all that would be shown of its kind: it need not be folded.
    const better = found.filter(
      (way) => way.kind === kind && way.keeps === keeps && shows(way) <= shows(laid) && way.ugly <= laid.ugly,
    );
    if (better.length >= MOST[kind]) return;
    // A mat that covers nothing mends nothing.
    if (mends && (laid.scars.some(showsWrong) || !laid.scars.some(({ ends, wrong }) => wrong && ends === 'hidden')))
      continue;
    // A mat that lacks something is no mat; and nothing else is made of a sheet that is too small for it.
    if (laid.bites.size > 0 && (another || !made.pieces.includes(part))) continue;
    const folded = laid.bites.size === 0 ? { ...plan, design: { ...design, rescued } } : planOnSheet(plan, rescued);
    // A torn flap may have no place for its mat any more.
    if (!folded.made || folded.made.layers.length < made.layers.length || !holds(folded)) continue;
    // Nor where it is cut through.
    if (another && laid.scars.some(({ open, ends }) => open && ends !== 'cut-off')) continue;
    // A flap that came off is missed, whatever folds without it.
    if (!another && sheet.off.some((panel) => !hasWhole(folded.made!, piece, panel))) continue;
    const told = alone ? folded : plan;
    const way = wayOf({ kind, title, plan: told, made: told.made!, piece, laid, mended: [], ...common });
    if (!way) continue;
    yield way;
    return;
  }
}

const pair = ({ x, y }: Point<'sheet'>): [Mm, Mm] => [mm(x), mm(y)];

/** The sheet as a design carries it, and how the pattern lies on it. */
function rescuedFrom(sheet: ScarredSheet, piece: Piece, { turned, over, at }: LaidPattern): Rescued {
  const lines = (some: readonly SheetMark[]): Rescued['scores'] =>
    some.flatMap((mark) => mark.lines.map(({ from, to }): [[Mm, Mm], [Mm, Mm]] => [pair(from), pair(to)]));
  return {
    piece: piece.name,
    sheet: sheet.blank,
    turned,
    over,
    at: { x: mm(at.x), y: mm(at.y) },
    gone: sheet.gone.map((ring) => ring.map(pair)),
    scores: lines(sheet.marks.filter(({ kind }) => kind === 'score')),
    cuts: lines(sheet.marks.filter(({ kind }) => kind === 'slit' || kind === 'cut')),
    strips: [],
    joined: [],
    ...(sheet.step !== null && { step: sheet.step }),
    ...(sheet.stuck && { stuck: sheet.stuck }),
  };
}

type Mend = Pick<Rescued, 'strips' | 'joined'>;

/** At most so many flaps are joined on to one sheet. */
const MOST_JOINED = 2;

/** What could mend a sheet that a pattern is laid on: strips behind what is open, flaps made anew. */
function mendsFor(piece: Piece, { spoiled, bites, scars }: LaidPattern, { stuck, off }: ScarredSheet): readonly Mend[] {
  if (stuck) return [{ strips: [], joined: [stuck] }];
  const cut = new Set(scars.flatMap(({ open, wrong, panelId }) => (open && wrong && panelId ? [panelId] : [])));
  const open = spoiled.filter((panel) => bites.has(panel) || cut.has(panel));
  const flaps = spoiled.filter((panel) => onlyHinge(piece, panel) !== null);
  // There is nothing left of what came off to glue a strip behind.
  const strips = open.length > 0 && off.length === 0 ? [{ strips: open, joined: [] }] : [];
  const joined =
    flaps.length > 0 && flaps.length <= MOST_JOINED
      ? [{ strips: open.filter((panel) => !flaps.includes(panel)), joined: flaps }]
      : [];
  return [...strips, ...joined];
}

/** A mended sheet: its strips and new flaps cut, all of it folded; null where that is no way out. */
function mended(
  mend: Mend,
  rescued: Rescued,
  whole: Plan & { readonly made: Made },
  { turned, over, at, lay }: LaidPattern,
  common: Pick<Told, 'keeps' | 'sheet' | 'before' | 'mishap' | 'say'>,
): WayOut | null {
  const plan = planOnSheet(whole, rescued);
  const { made } = plan;
  if (!made || !holds(plan)) return null;
  // Where its scars are is asked of the pattern that the sheet is to be, before what is missing is taken off.
  const drawn = planOnSheet(whole, { ...rescued, gone: [], cuts: [], strips: [] }).made ?? made;
  const { piece } = drawn.pieces.find((one) => one.piece.name === rescued.piece)!;
  const laid = { ...laidSo(drawn, piece, common.sheet, lay, showsWhere(drawn), Infinity)!, turned, over, at };
  const nameOf = (panel: PanelId): string => panelName(whole.made.built, panel);
  const title = [
    ...(mend.joined.length > 0 ? [`A new ${listed(mend.joined.map(nameOf), 'a new ')}, joined on`] : []),
    ...(mend.strips.length > 0
      ? [`${mend.joined.length > 0 ? 'a' : 'A'} strip behind the ${listed(mend.strips.map(nameOf), 'one behind the ')}`]
      : []),
  ].join(' and ');
  return wayOf({
    kind: 'mend',
    title,
    plan,
    made,
    piece,
    laid: { ...laid, ugly: laid.ugly / 2 },
    mended: [...mend.strips, ...mend.joined],
    ...common,
  });
}

interface Told {
  readonly kind: WayKind;
  readonly title: string;
  readonly keeps: boolean;
  readonly plan: Plan;
  readonly made: Made;
  readonly piece: Piece;
  readonly laid: LaidPattern;
  readonly mended: readonly string[];
  readonly sheet: ScarredSheet;
  readonly before: Plan;
  readonly mishap: Mishap;
  readonly say: Say;
}

/** A piece that the sheet does not give, so many of it. */
export interface FreshPiece {
  readonly name: string;
  readonly width: Mm;
  readonly height: Mm;
  readonly quantity: number;
}

/** What is cut of new paper: all but the piece on the sheet, and what there is already as it was planned. */
function freshOf(kind: WayKind, made: Made, piece: Piece, before: Plan): readonly FreshPiece[] {
  const own = kind === 'as-it-is' || kind === 'mend';
  const there = (one: Piece): boolean =>
    own &&
    [...(before.made?.pieces ?? []), ...(before.made?.layers ?? [])].some(
      ({ piece: other }) =>
        other.name === one.name &&
        Math.abs(other.blank.width - one.blank.width) + Math.abs(other.blank.height - one.blank.height) < ALIKE,
    );
  return [...made.pieces, ...made.layers].flatMap(({ piece: one }) => {
    const quantity = one === piece ? (own ? 0 : one.quantity - 1) : there(one) ? 0 : one.quantity;
    const { width, height } = one.blank;
    return quantity > 0 ? [{ name: one.name, width, height, quantity }] : [];
  });
}
/** Two sizes are one within this, mm. */
const ALIKE = 0.1;

/** Sheets that new pieces take, as large as the first of the person’s papers that takes them all, or as a usual one. */
function sheetsOf(fresh: readonly FreshPiece[], { paper }: Design, { papers }: Mishap): number {
  const sizes = [paper, ...papers.filter(({ count }) => (count ?? 1) > 0)].flatMap(({ width, height }) =>
    width !== undefined && height !== undefined ? [{ width, height }] : [],
  );
  const usual = PAPERS.filter((size) => fresh.every((one) => liesOn(one, size)));
  const sheet = sizes.find((size) => fresh.every((one) => liesOn(one, size))) ?? usual[0];
  if (!sheet) return fresh.reduce((sum, { quantity }) => sum + quantity, 0);
  const takes = sheetsFor(
    fresh.map((one) => ({ ...one, turn: true })),
    sheetOf(sheet, paper),
    1,
  );
  return Number.isFinite(takes) ? takes : fresh.length;
}

/** True while a panel is there as it was drawn, or joined on anew. */
const hasWhole = ({ pieces }: Made, drawn: Piece, id: PanelId): boolean => {
  const was = drawn.panels.find((panel) => panel.id === id);
  const now = pieces.flatMap(({ piece }) => piece.panels).find((panel) => panel.id === id);
  return was !== undefined && now !== undefined && area(now.polygon) > area(was.polygon) / 2;
};

/** A way with what it costs and what is seen of it; null where its steps cannot be carried out on the sheet as it is. */
function wayOf({
  kind,
  title,
  keeps,
  plan,
  made,
  piece,
  laid,
  mended,
  sheet,
  before,
  mishap,
  say,
}: Told): WayOut | null {
  const room = { width: made.fit?.ease.width ?? mm(0), height: made.fit?.ease.height ?? mm(0) };
  const showing = laid.scars.filter(({ ends }) => ends === 'shows');
  const hidden = laid.scars.filter(({ ends, wrong }) => ends === 'hidden' && wrong);
  const lapping = overlaps(plan);
  const untouched =
    !lapping &&
    !sheet.cutWrong &&
    !sheet.again &&
    !sheet.marks.some(({ wrong }) => wrong) &&
    !sheet.glued &&
    JSON.stringify(inputOf({ ...plan.design, rescued: null })) === JSON.stringify(inputOf(before.design));
  const steps = stepsOf(plan, say);
  if (!untouched && carriedOut(plan, steps).length > 0) return null;
  const fresh = untouched ? [] : freshOf(kind, made, piece, before);
  const cost = {
    paper: fresh.reduce((sum, { width, height, quantity }) => sum + width * height * quantity, 0),
    // Strips, flaps and mats come out of an offcut.
    sheets: kind === 'mend' || fresh.length === 0 ? 0 : sheetsOf(fresh, plan.design, mishap),
    pieces: fresh,
    steps: Math.max(1, steps.length),
  };
  const where = ({ what, panel }: Scar): string => `${what} on the ${panel}`;
  const sentences = [
    untouched ? 'Nothing is wrong with it: go on as planned.' : lying(laid, say),
    made.fit
      ? `Room left: ${say(room.width)} × ${say(room.height)}.`
      : `Inside it is ${say(made.inside.width)} × ${say(made.inside.height)}.`,
    showing.length > 0
      ? `You will see the ${listed(showing.length > 3 ? [...showing.slice(0, 2).map(where), `${showing.length - 2} marks more`] : showing.map(where))}.`
      : sheet.marks.some(({ wrong }) => wrong)
        ? 'Nothing of it shows.'
        : null,
    laid.short.length > 0 ? `Shorter than drawn: the ${listed(laid.short)}.` : null,
    hidden.length > 0 ? `Hidden: the ${listed(hidden.map(where))}.` : null,
    fresh.length > 0
      ? `Cut for it${cost.sheets > 0 ? `, from ${several(cost.sheets, 'new sheet')}` : ''}: ${listed(fresh.map(({ name, width, height, quantity }) => `${quantity > 1 ? `${quantity} of the` : article(name)} ${name}, ${say(width)} × ${say(height)}`))}.`
      : null,
    plan.design.rescued && !untouched ? `${cost.steps} ${cost.steps === 1 ? 'step is' : 'steps are'} left.` : null,
  ];
  return {
    kind,
    title: untouched ? AS_IT_SHOULD : title,
    design: inputOf(untouched ? before.design : plan.design),
    keeps,
    room,
    scars: laid.scars,
    cost,
    text: sentences.filter((one) => one !== null).join(' '),
    plan: untouched ? before : plan,
    laid,
    mended,
    overlaps: lapping,
    ugly: laid.ugly,
  };
}

/** How the sheet is laid for it; null where it lies as it did. */
function lying(laid: LaidPattern, say: Say): string | null {
  const { x, y } = laid.at;
  const from = [
    x > BEGINS ? `${say(mm(x))} from its left end` : '',
    y > BEGINS ? `${say(mm(y))} from its near edge` : '',
  ].filter(Boolean);
  const told = [laidAnew(laid) ?? '', from.length > 0 ? `begin ${listed(from)}` : ''].filter(Boolean);
  return told.length > 0 ? `Lay the sheet anew: ${listed(told)}.` : null;
}
/** Less is its own end, mm. */
const BEGINS = 0.5;

/** Only this piece anew, and whether there is paper for it. */
function newSheet(plan: Plan, made: Made, mishap: Mishap, say: Say): WayOut {
  const piece = spoiledPiece(made, mishap);
  const { blank } = piece;
  const has = mishap.papers.filter(
    (paper) =>
      paper.width !== undefined &&
      paper.height !== undefined &&
      (paper.count ?? 1) > 0 &&
      liesOn(blank, { width: paper.width, height: paper.height }),
  );
  const text = `Cut the ${piece.name} anew, ${say(blank.width)} × ${say(blank.height)}, and nothing else. ${
    mishap.papers.length === 0
      ? ''
      : has.length > 0
        ? `It goes on ${has[0]!.name ? `“${has[0]!.name}”` : 'a sheet you have'}. `
        : 'None of your papers is large enough for it. '
  }The spoiled sheet goes back to the stash as an offcut, with its scars.`;
  return {
    kind: 'new-sheet',
    title: 'A new sheet of just this piece',
    design: inputOf(plan.design),
    keeps: holds(plan),
    room: { width: made.fit?.ease.width ?? mm(0), height: made.fit?.ease.height ?? mm(0) },
    scars: [],
    cost: {
      paper: blank.width * blank.height,
      sheets: 1,
      pieces: [{ name: piece.name, width: blank.width, height: blank.height, quantity: 1 }],
      steps: stepsOf(plan, say).filter((step) => step.piece === piece.name).length,
    },
    text,
    plan,
    laid: null,
    mended: [],
    overlaps: false,
    ugly: 0,
  };
}
