import type { Cavity } from '../fold';
import { TOLERANCE } from '../geometry';
import { isSquare } from '../pattern';
import { claimsOf, leastOf, penTaken } from '../constructions';
import { mm, near, roundTo, type Mm, type Say } from '../length';
import { planTool } from '../tools';
import { calipersOf, isGiven, type Design } from '../design';
import { type Made, type MadePiece, pieceOf } from '../plan';
import { listed } from '../text';

/** Lengths that are read together: a size (`3 × 4`), or places one after the other (`2, 5 and 8`). */
export interface FigurePart {
  /** Along what they are measured, said beside them; left out where the label says it all. */
  readonly along?: string;
  /** Where the measuring begins, where there is room to say it. */
  readonly from?: string;
  readonly lengths: readonly Mm[];
  readonly joined: 'times' | 'and';
}

/** A figure of a plan, for whoever shows it: on the bench, on the bench card, in a chart. */
export interface KeyFigure {
  readonly id: 'cut' | 'set' | 'marks' | 'score' | 'room' | 'finished' | 'pen' | 'lap' | 'thickest' | 'other';
  readonly label: string;
  /** True for what a maker looks for first: the first piece's size and setting. */
  readonly first: boolean;
  readonly parts: readonly FigurePart[];
}

const by = (...lengths: number[]): FigurePart => ({ lengths: lengths.map(mm), joined: 'times' });
const each = (lengths: readonly Mm[], where: Pick<FigurePart, 'along' | 'from'> = {}): FigurePart => ({
  ...where,
  lengths,
  joined: 'and',
});

/** Figures of the work on the sheet. */
const ON_SHEET: readonly KeyFigure['id'][] = ['cut', 'set', 'marks', 'score'];

/** Of a thing that is there already: what is cut to lie on it. */
export const layerFigures = ({ layers }: Pick<Made, 'layers'>): readonly KeyFigure[] =>
  layers.map(({ piece: { name, blank } }, i) => ({
    id: 'cut',
    label: `Cut the ${name}`,
    first: i === 0,
    parts: [by(blank.width, blank.height)],
  }));

/** The figures a maker wants large: what to cut, where to set, mark or score, what it comes out as, the room left. */
export function keyFigures(made: Made, design: Design): KeyFigure[] {
  const { built, inside, largest, finished, fit } = made;
  const [first, ...others] = made.pieces;
  const several = others.length > 0;
  const notched = first.piece.notches.length > 0;
  // Where the tool makes the notches it is set; by hand they are marked.
  const setByTool = planTool(design.tool).notched !== undefined;
  const figures: KeyFigure[] = [];
  // What nobody makes has nothing to be cut, set or scored.
  const left: readonly KeyFigure['id'][] = isGiven(design.construction.name) ? ON_SHEET : [];
  const add = (id: KeyFigure['id'], label: string, parts: readonly FigurePart[], isFirst = false): void => {
    if (parts.length > 0 && !left.includes(id)) figures.push({ id, label, first: isFirst, parts });
  };
  const { width, height } = first.piece.blank;
  const square = isSquare({ width, height });
  add(
    'cut',
    several ? `Cut the ${first.piece.name}` : square ? 'Cut a square' : 'Cut',
    [square ? by(width) : by(width, height)],
    true,
  );
  for (const part of made.pieces) {
    if (part.piece.notches.length === 0) continue;
    const of = part === first ? '' : ` for the ${part.piece.name}`;
    const setting = setByTool ? settingOf(made, part) : null;
    if (setting)
      add(
        'set',
        setting.onRuler ? `Set the board${of} at` : `Mark${of}, and centre on the notch`,
        [each(setting.at)],
        part === first,
      );
    else if (!setByTool) add('marks', `Mark each edge${of} from its left end`, marksOf(made, part));
  }
  for (const { piece } of others) add('cut', `Cut the ${piece.name}`, [by(piece.blank.width, piece.blank.height)]);
  if (!notched)
    for (const part of made.pieces) add('score', several ? `Score the ${part.piece.name}` : 'Score', scoresOf(part));
  const [hold, ...more] = made.holds;
  const inBox = hold?.limits.includes('depth');
  const down = (value: Mm): Mm => roundTo(value, design.graduation, 'down');
  if (hold) {
    if (design.contents && fit) {
      // What goes through lies free along its way: the room across is all there is.
      const room = { ...fit.ease, depth: fit.depth };
      add('room', 'Room left', [by(...hold.limits.map((side) => room[side]))]);
    } else {
      const most = [down(largest.width), down(largest.height)];
      add('room', 'Holds up to', [
        by(...most, ...(inBox ? [down(mm(Math.max(0, inside.depth - hold.taken.depth)))] : [])),
      ]);
    }
  }
  const deep = inBox || finished.depth > 0;
  add('finished', 'Finished', [by(finished.width, finished.height, ...(deep ? [finished.depth] : []))]);
  for (const loop of claimsOf(built.claims, 'pen-loop'))
    add('pen', 'Pen it takes, across', [
      by(down(penTaken(loop, { folded: made.folded, caliper: calipersOf(design) }))),
    ]);
  const lap = leastLap(made);
  if (lap !== null) add('lap', notched ? 'Flaps lap' : 'Least lap', [by(lap)]);
  if (hold && design.contents) add('thickest', 'Thickest it takes', [by(made.thickest)]);
  for (const { cavity, inside: own } of more)
    add('other', `Inside the ${placeName(made, cavity)}`, [by(own.width, own.height)]);
  return figures;
}

/** What a maker calls a place for contents: its own name, or where several are numbered the piece that makes it. */
const placeName = ({ built }: Made, { floor, id }: Cavity): string =>
  /-\d+$/.test(id) ? pieceOf(built, floor).name : id;

/** Where an envelope board is set for a piece: readings of its ruler, or marks on the sheet; null without a notch. */
export function settingOf(
  made: Made,
  { piece, programme }: MadePiece = made.pieces[0],
): { readonly at: readonly Mm[]; readonly onRuler: boolean } | null {
  const { edge } = made.built.start;
  const notches = piece.notches.filter((notch) => notch.edge === edge).length;
  const marks = programme.marks.filter((mark) => mark.edge === edge).slice(0, notches);
  return marks.length > 0 ? { at: marks.map(({ at }) => at), onRuler: marks[0]!.reference === 'board' } : null;
}

/** The marks on a square's edges, those of opposite edges being the same. */
function marksOf(made: Made, { piece, programme }: MadePiece): FigurePart[] {
  const notches = piece.notches.filter((notch) => notch.edge === made.built.start.edge).length;
  return ([1, 2] as const).flatMap((edge) => {
    const marks = programme.marks.filter((mark) => mark.edge === edge && mark.for === 'score').slice(0, 2 * notches);
    const along = edge === 1 ? 'first and third' : 'second and fourth';
    return marks.length > 0
      ? [
          each(
            // Where one notch ends and the next begins there is one mark.
            marks.flatMap(({ at }, i) =>
              marks.slice(0, i).some((other) => near(other.at, at, TOLERANCE.drawn)) ? [] : [at],
            ),
            { along },
          ),
        ]
      : [];
  });
}

/** Where a piece is scored: across its width, and turned, along its height. */
function scoresOf({ piece }: MadePiece): FigurePart[] {
  const at = (axis: 'x' | 'y'): Mm[] => {
    const straight = piece.hinges.filter(({ line }) => Math.abs(line.from[axis] - line.to[axis]) < TOLERANCE.folded);
    const places = straight.map(({ line }) => Math.round(line.from[axis] * 1e4) / 1e4);
    return [...new Set(places)].sort((a, b) => a - b).map(mm);
  };
  const [across, along] = [at('x'), at('y')];
  return [
    ...(across.length > 0 ? [each(across, { along: 'across', from: 'from the left edge' })] : []),
    ...(along.length > 0
      ? [each(along, { along: across.length > 0 ? 'turned' : 'up', from: 'from the near edge' })]
      : []),
  ];
}

/** The least lap of those that hold it together, mm; null where nothing laps. */
export const leastLap = ({ built, folded }: Made): Mm | null => {
  const laps = claimsOf(built.claims, 'laps').flatMap((claim) => leastOf(claim, { folded })?.breadth ?? []);
  return laps.length > 0 ? mm(Math.min(...laps)) : null;
};

/** A figure in words: `3 in × 4 in`, `2 in and 5 in across; 3 in turned`. */
export const figureText = ({ parts }: KeyFigure, say: Say): string =>
  parts
    .map(({ along, lengths, joined }) => {
      const said = lengths.map((length) => say(length));
      return [joined === 'times' ? said.join(' × ') : listed(said), ...(along ? [along] : [])].join(' ');
    })
    .join('; ');
