import { CONSTRUCTIONS, type Construction } from '../constructions';
import { mm, type Mm, type Say } from '../length';
import type { Piece } from '../pattern';
import {
  changedDesign,
  checksOf,
  FINER,
  inputOf,
  liesOn,
  paperOf,
  planFor,
  planOn,
  readDesign,
  stepsOf,
  type Design,
  type DesignChange,
  type DesignInput,
  type Made,
  type Plan,
} from '../plan';
import { toEnd } from '../progress';
import { listed } from '../text';
import { bitten, waysToLie, type Laid, type Scar } from './laid';
import { mistakeOf, mistakeWords, type Mistake } from './mistaken';
import { pieceAt, sheetAsItIs, type ScarredSheet } from './sheet';
import type { Mishap, Other } from './wrong';

export type WayKind = 'as-it-is' | 'mend' | 'other-holder' | 'other-contents' | 'new-sheet';

/** One way out of a mishap. */
export interface Way {
  readonly kind: WayKind;
  readonly title: string;
  readonly design: DesignInput;
  /** It holds what it should. */
  readonly keeps: boolean;
  /** Room left beside what goes in, mm. */
  readonly room: { readonly width: Mm; readonly height: Mm };
  readonly scars: readonly Scar[];
  /** New paper it takes, mm², and steps that are left. */
  readonly cost: { readonly paper: number; readonly steps: number };
  readonly text: string;
  readonly plan: Plan;
  /** How its pattern lies on the sheet; null for a new one. */
  readonly laid: Laid | null;
  /** How ugly what shows is. */
  readonly ugly: number;
}

/** What a mishap is answered with. */
export interface WaysOut {
  readonly sheet: ScarredSheet;
  /** Readings that are commonly mistaken, for each thing wrong that is one. */
  readonly mistakes: readonly { readonly mistake: Mistake; readonly text: string }[];
  /** The best first; a new sheet is always the last. */
  readonly ways: readonly Way[];
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
}

/** Seeks ways out, one attempt after the other; each time what is known so far. The first is there at once. */
export function* waysOut(mishap: Mishap, say: Say): Generator<WaysOut, WaysOut> {
  const plan = planFor(mishap.design);
  const { made } = plan;
  if (!made) {
    const none = {
      blank: { width: mm(0), height: mm(0) },
      paper: [],
      gone: [],
      marks: [],
      glued: false,
      cutWrong: false,
    };
    return { sheet: none, mistakes: [], ways: [], done: 1 };
  }
  const sheet = sheetAsItIs(plan, made, mishap, say);
  const piece = pieceAt(made, mishap);
  const found: Way[] = [];
  const mistakes = [...new Set(mishap.wrong.flatMap((fact) => mistakeOf(fact, piece, mishap.design) ?? []))].map(
    (mistake) => ({ mistake, text: mistakeWords(mistake) }),
  );
  const last = newSheet(plan, made, mishap, say);
  const answer = (done: number): WaysOut => ({ sheet, mistakes, ways: [...best(found), last], done });
  yield answer(0);
  // What is glued shut cannot be laid out anew; a mat is cut again sooner than it is mended.
  const own = made.pieces.some((one) => one.piece === piece);
  const attempts = sheet.glued || !own ? [] : [...attemptsFor(mishap, sheet, made, piece)];
  let tried = 0;
  for (const attempt of attempts) {
    tried++;
    // What shows nothing needs no mat.
    if (attempt.mends && !found.some(({ kind, scars }) => kind === 'as-it-is' && scars.some(showsWrong))) continue;
    const way = attempted(attempt, mishap, sheet, plan, say, found);
    if (way && !found.some((one) => isSame(one, way))) found.push(way);
    // Nothing is wrong: nothing else is sought.
    if (way?.title === AS_IT_SHOULD) return answer(1);
    if (way || tried % 8 === 0) yield answer(tried / attempts.length);
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
function best(found: readonly Way[]): Way[] {
  const rank = (way: Way): readonly number[] => [
    Number(!way.keeps),
    shows(way),
    ORDER[way.kind],
    Math.round(way.ugly * 4) / 4,
    -Math.min(way.room.width, way.room.height, 3),
    way.cost.steps,
    way.cost.paper,
  ];
  const sorted = found.toSorted((a, b) => {
    const [x, y] = [rank(a), rank(b)];
    return x.map((value, i) => value - y[i]!).find((apart) => Math.abs(apart) > 1e-9) ?? 0;
  });
  const counts = new Map<WayKind, number>();
  return sorted.filter(({ kind }) => {
    const count = (counts.get(kind) ?? 0) + 1;
    counts.set(kind, count);
    return count <= MOST[kind];
  });
}

/** Whether anything of the sheet’s history can be seen. */
const shows = ({ scars }: Pick<Way, 'scars'>): number => Number(scars.some(({ ends }) => ends === 'shows'));
/** No check of it fails. */
const holds = (plan: Plan): boolean => !checksOf(plan).some(({ level }) => level === 'fail');

/** Two ways that come to the same: one holder on one size of paper, with as much room and the same to be seen. */
const isSame = (a: Way, b: Way): boolean => {
  const gist = ({ kind, design, plan, room, scars }: Way): string =>
    JSON.stringify([
      kind,
      design.construction,
      kind === 'mend' && design.layers,
      plan.made!.pieces.map(({ piece }) => [piece.blank.width.toFixed(1), piece.blank.height.toFixed(1)]),
      room.width.toFixed(1),
      room.height.toFixed(1),
      scars.map(({ ends, panel }) => [ends, panel]),
    ]);
  return gist(a) === gist(b);
};

const HOLDERS: readonly Construction[] = CONSTRUCTIONS.filter(({ does }) => does !== 'gathers' && does !== 'decorates');

/** What is tried, in the order in which a maker would rather have it. */
function* attemptsFor({ design, others }: Mishap, sheet: ScarredSheet, made: Made, piece: Piece): Generator<Attempt> {
  const { construction, contents, least } = design;
  const input = inputOf(design);
  const first = piece === made.pieces[0].piece;
  const { width, height } = sheet.blank;
  const sized = (w: Mm, h: Mm): DesignChange => ({
    blank: { width: w, height: h },
    paper: { ...input.paper, width: w, height: h, at: undefined },
  });
  const onIt = sized(width, height);
  const square = sized(mm(Math.min(width, height)), mm(Math.min(width, height)));
  const attempt = (title: string, kind: WayKind, change: DesignChange, mends = false): Attempt[] => {
    const read = readDesign(changedDesign(input, change));
    const own = kind === 'as-it-is' || kind === 'mend';
    return read.ok
      ? [{ kind, title, design: read.design, piece: own ? piece.name : null, ...(mends && { mends }) }]
      : [];
  };
  yield { kind: 'as-it-is', title: 'It will still do', design, piece: piece.name };
  if (first) {
    yield* attempt('The same on this sheet', 'as-it-is', onIt);
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
  if (contents)
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

const asContents = ({ width, height, thickness, name }: Other): NonNullable<DesignInput['contents']> => ({
  width,
  height,
  thickness,
  ...(name && { name }),
});

/** What comes of one attempt: planned, laid on the sheet, folded with what that lacks; null where it is no way out. */
function attempted(
  { kind, title, design, piece: name, mends }: Attempt,
  mishap: Mishap,
  sheet: ScarredSheet,
  before: Plan,
  say: Say,
  found: readonly Way[],
): Way | null {
  const plan = planFor(design);
  const { made } = plan;
  if (!made || (mends && made.layers.length === 0)) return null;
  const part = made.pieces.find(({ piece }) => piece.name === name) ?? made.pieces[0];
  const told = mishap.design.contents !== null;
  const keeps = kind !== 'other-contents' && (!told || made.fit !== null);
  for (const laid of waysToLie(made, part.piece, sheet, paperOf(design, part.piece.name).sided).slice(0, FOLDED)) {
    // Uglier than all that would be shown of its kind: it need not be folded.
    const better = found.filter(
      (way) => way.kind === kind && way.keeps === keeps && shows(way) <= shows(laid) && way.ugly <= laid.ugly,
    );
    if (better.length >= MOST[kind]) return null;
    // A mat that covers nothing mends nothing.
    if (mends && (laid.scars.some(showsWrong) || !laid.scars.some(({ ends, wrong }) => wrong && ends === 'hidden')))
      continue;
    const drawn = bitten(made.built, part.piece, laid);
    if (!drawn) continue;
    const folded = laid.bites.size === 0 ? plan : planOn(plan, drawn);
    if (!holds(folded)) continue;
    return wayOf({ kind, title, keeps, plan: folded, made: folded.made!, piece: part.piece, laid, sheet, before, say });
  }
  return null;
}

interface Told {
  readonly kind: WayKind;
  readonly title: string;
  readonly keeps: boolean;
  readonly plan: Plan;
  readonly made: Made;
  readonly piece: Piece;
  readonly laid: Laid;
  readonly sheet: ScarredSheet;
  readonly before: Plan;
  readonly say: Say;
}

function wayOf({ kind, title, keeps, plan, made, piece, laid, sheet, before, say }: Told): Way {
  const room = { width: made.fit?.ease.width ?? mm(0), height: made.fit?.ease.height ?? mm(0) };
  const showing = laid.scars.filter(({ ends }) => ends === 'shows');
  const hidden = laid.scars.filter(({ ends, wrong }) => ends === 'hidden' && wrong);
  const untouched =
    !sheet.cutWrong &&
    !sheet.marks.some(({ wrong }) => wrong) &&
    JSON.stringify(inputOf(plan.design)) === JSON.stringify(inputOf(before.design));
  const all = stepsOf(plan, say);
  const cost = {
    paper: kind === 'mend' ? made.layers.reduce((sum, { piece: { blank } }) => sum + blank.width * blank.height, 0) : 0,
    steps: Math.max(
      1,
      all.filter(({ phase, action }) => phase !== 'cut' && action !== 'score').length +
        piece.hinges.length -
        laid.scored.length,
    ),
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
    `${cost.steps} steps are left${cost.paper > 0 ? ', and a mat to cut' : ''}.`,
  ];
  return {
    kind,
    title: untouched ? AS_IT_SHOULD : title,
    design: inputOf(plan.design),
    keeps,
    room,
    scars: laid.scars,
    cost,
    text: sentences.filter((one) => one !== null).join(' '),
    plan,
    laid,
    ugly: laid.ugly,
  };
}

const TURNED: Record<Laid['turned'], string> = {
  not: '',
  round: 'turn it round',
  left: 'turn it a quarter to the left',
  right: 'turn it a quarter to the right',
};

/** How the sheet is laid for it; null where it lies as it did. */
function lying({ turned, over, at: { x, y } }: Laid, say: Say): string | null {
  const turns = [TURNED[turned], over ? 'turn it over' : ''].filter(Boolean);
  const from = [
    x > BEGINS ? `${say(x)} from its left end` : '',
    y > BEGINS ? `${say(y)} from its near edge` : '',
  ].filter(Boolean);
  const told = [...turns, ...(from.length > 0 ? [`begin ${listed(from)}`] : [])];
  return told.length > 0 ? `Lay the sheet anew: ${listed(told)}.` : null;
}
/** Less is its own end, mm. */
const BEGINS = 0.5;

/** Only this piece anew, and whether there is paper for it. */
function newSheet(plan: Plan, made: Made, mishap: Mishap, say: Say): Way {
  const piece = pieceAt(made, mishap);
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
      steps: stepsOf(plan, say).filter((step) => step.piece === piece.name).length,
    },
    text,
    plan,
    laid: null,
    ugly: 0,
  };
}
