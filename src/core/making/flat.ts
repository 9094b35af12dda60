import { type ScoreId, leftOf, rightOf, type Edge, type Piece, isSquare } from '../pattern';
import { TOLERANCE } from '../geometry';
import { mm, near as nearly, type Say } from '../length';
import { partWay, stretchReadings, toolMove, type MarkFor, type Move, type RulerReading, type Spot } from '../tools';
import { paperOf, type Design, type Decoration } from '../design';
import { cutOutOf, windowInside, type CutOut } from '../looks';
import { cutAway, type Rescued } from '../mending';
import { scoreNumbers, type Made, type MadePiece } from '../plan';
import { CAUTION } from './words';
import { listed, quoted } from '../text';
import type { StepDraft } from './step';

type MarkMove = Extract<Move, { readonly do: 'mark' }>;
type TurnMove = Extract<Move, { readonly do: 'turn' }>;
/** What marks are for: one, and several. */
const MARK_FOR: Readonly<Record<MarkFor, readonly [string, string]>> = {
  notch: ['for the notch', 'for the notches'],
  score: ['for a score', 'for scores'],
  slant: ['for a cut', 'for cuts'],
  hole: ['for a hole', 'for holes'],
  slit: ['for a slit', 'for slits'],
};

/** All marks on one edge, by what they are for, and how many moves that takes. */
function marking(marks: readonly MarkMove[], say: Say): [Omit<StepDraft, 'picture' | 'piece'>, number] {
  const { edge, at } = marks[0]!;
  // Where one notch ends and the next begins there is one mark.
  const apart = marks.filter(
    (mark, i) =>
      !marks
        .slice(0, i)
        .some(
          (other) =>
            nearly(other.at, mark.at, TOLERANCE.drawn) && nearly(other.deep ?? 0, mark.deep ?? 0, TOLERANCE.drawn),
        ),
  );
  const purposes = [...new Set(apart.map((mark) => mark.for))];
  const places = (own: readonly MarkMove[]): string => {
    const [first] = own;
    const alike = own.length > 1 && own.every(({ deep }) => deep && nearly(deep, first!.deep ?? 0, TOLERANCE.drawn));
    return alike
      ? `${listed(own.map((mark) => say(mark.at)))}, each ${say(first!.deep!)} up from the edge`
      : listed(own.map((mark) => (mark.deep ? `${say(mark.at)} (${say(mark.deep)} up from the edge)` : say(mark.at))));
  };
  const forWhat = (purpose: MarkFor, count: number): string => MARK_FOR[purpose][count > 1 ? 1 : 0]!;
  const text =
    purposes.length > 1
      ? `mark from its left end ${purposes
          .map((purpose) => {
            const own = apart.filter((mark) => mark.for === purpose);
            return `${places(own)} ${forWhat(purpose, own.length)}`;
          })
          .join('; ')}`
      : `mark ${apart.some(({ deep }) => deep) ? `from its left end ${places(apart)}` : `${places(apart)} from its left end`}${purposes[0] === 'score' ? '' : `, ${forWhat(purposes[0]!, apart.length)}`}`;
  return [
    {
      action: 'mark',
      edge,
      at,
      text: `With edge ${edge} near you, ${text}.`,
      readings: apart.flatMap((mark): RulerReading[] => [
        { at: mark.at, on: 'ruler', what: `from the left end of edge ${edge}` },
        ...(mark.deep ? [{ at: mm(mark.deep), on: 'ruler', what: 'up from the edge' } as const] : []),
      ]),
    },
    marks.length,
  ];
}

/** True where a finger notch is punched only once it is glued: through all its layers, after the flat steps. */
const punchedLast = ({ built }: Made): boolean =>
  built.features.some((f) => f.kind === 'finger-notch' && f.when === 'assembled');

/** How many moves of a piece are made while it is flat: they come first. */
export const flatMoves = (made: Made, { programme: { moves } }: MadePiece): number =>
  punchedLast(made) ? moves.filter((move) => move.do !== 'bite').length : moves.length;

/** Edges inked, or a pattern pressed in, on the flat piece. */
export function decorating(what: Decoration, part: MadePiece, made: Made): StepDraft {
  const { piece } = part;
  return {
    piece: piece.name,
    action: 'mark',
    text:
      what === 'ink'
        ? `Ink the edges of the ${piece.name} while it lies flat, and let them dry.`
        : `Emboss the ${piece.name} while it lies flat. An embossed sheet is thicker: measure it again.`,
    caution: what === 'ink' ? CAUTION.drying : CAUTION.press,
    picture: { kind: 'flat', piece: piece.name, near: 1, moves: flatMoves(made, part), fresh: 0 },
  };
}

/** The paper a piece is cut from, where it has a name. */
function fromPaper({ name }: Piece, design: Design): string {
  const paper = paperOf(design, name).name;
  return paper ? `, from ${quoted(paper)}` : '';
}

/** Cutting the blank. */
export function cutStep(piece: Piece, alike: readonly string[], made: Made, design: Design, say: Say): StepDraft {
  const { width, height } = piece.blank;
  if (design.rescued?.piece === piece.name) return cuttingRescued(piece, design.rescued, say);
  const out = piece === made.pieces[0].piece ? cutOutOf(made, design) : null;
  if (out) return cuttingOut(piece, out, made, design, say);
  const from = fromPaper(piece, design);
  const names = [piece.name, ...alike];
  const each =
    piece.quantity > 1
      ? `${piece.quantity} ${alike.length > 0 ? 'of each' : 'alike'}, each `
      : alike.length > 0
        ? 'each '
        : '';
  const what = hasSeveral(made) || each ? `the ${listed(names, 'the ')}: ${each}` : '';
  const square = isSquare({ width, height });
  return {
    piece: piece.name,
    action: 'cut',
    ...(alike.length > 0 && { alike }),
    text: what
      ? `Cut ${what}${square ? `${say(width)} square` : `${say(width)} × ${say(height)}`}${from}.`
      : square
        ? `Cut a square, ${say(width)} each way${from}.`
        : `Cut a piece ${say(width)} wide and ${say(height)} high${from}.`,
    caution: CAUTION.blade,
    readings: [
      { at: width, on: 'trimmer', what: square ? 'each way' : 'wide' },
      ...(square ? [] : [{ at: height, on: 'trimmer', what: 'high' } as const]),
    ],
    picture: { kind: 'flat', piece: piece.name, near: 1, moves: 0, fresh: 0, cut: true },
  };
}

const TURNS: Record<Rescued['turned'], string> = {
  not: '',
  round: 'turn it half round',
  left: 'turn it a quarter to the left',
  right: 'turn it a quarter to the right',
};

/** How a sheet that went wrong is laid anew, in a maker’s words; null where it lies as it did. */
export function laidAnew({ turned, over }: Pick<Rescued, 'turned' | 'over'>): string | null {
  const turns = [TURNS[turned], over ? 'turn it over, left to right' : ''].filter(Boolean);
  return turns.length > 0 ? turns.join(', then ') : null;
}

/** The sheet that went wrong, laid anew and cut to what the piece takes. */
function cuttingRescued(piece: Piece, rescued: Rescued, say: Say): StepDraft {
  const { left, near, width, height } = cutAway(piece, rescued);
  const cuts = [
    ...(left > 0 ? [{ at: mm(left), text: `cut ${say(mm(left))} off its left end` }] : []),
    ...(width === null ? [] : [{ at: mm(width), text: `cut it ${say(mm(width))} wide from there` }]),
    ...(near > 0 ? [{ at: mm(near), text: `cut ${say(mm(near))} off its near edge` }] : []),
    ...(height === null ? [] : [{ at: mm(height), text: `cut it ${say(mm(height))} high from there` }]),
  ];
  const told = [...[laidAnew(rescued)].filter((one) => one !== null), ...cuts.map(({ text }) => text)];
  return {
    piece: piece.name,
    action: cuts.length > 0 ? 'cut' : 'turn',
    text:
      told.length > 0
        ? `Take the sheet that went wrong: ${listed(told)}. Its edges are numbered anew: the near one is edge 1.`
        : 'Take the sheet that went wrong, as it is.',
    ...(cuts.length > 0 && { caution: CAUTION.blade }),
    readings: cuts.map(({ at, text }) => ({ at, on: 'trimmer', what: text }) as const),
    picture: { kind: 'flat', piece: piece.name, near: 1, moves: 0, fresh: 0, cut: true },
  };
}

/** How much of a punch bites into the paper, in words; its middle lies outside or on the edge. */
const biteOf = ({ at, diameter }: Extract<Move, { do: 'bite' }>): string =>
  (diameter / 2 + at.deep) / diameter > 0.42 ? 'half' : 'a third';

type HoleMove = Extract<Move, { readonly do: 'hole' }>;
type CutMove = Extract<Move, { readonly do: 'cut' }>;
const isWaste = ({ what, kept }: CutMove): boolean => !kept && what.startsWith('waste beside');

/** How a piece of waste is cut: straight across, or in to where scores cross and out again; null for anything else. */
function wayOf({ path }: CutMove): 'across' | 'in and out' | null {
  const [from, ...rest] = path;
  const to = rest.pop();
  if (!from || !to || from.deep > 0 || to.deep > 0) return null;
  if (rest.length === 0) return 'across';
  return rest.length === 1 && rest[0]!.on === 'crossing' ? 'in and out' : null;
}

/** Several pieces of waste, all cut alike. */
function wastesOff(cuts: readonly CutMove[]): string {
  // From one edge to the next it is a corner that comes off.
  const corners = cuts.every(({ path }) => path[0]!.edge !== path.at(-1)!.edge);
  const count = ['', '', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight'][cuts.length] ?? String(cuts.length);
  const where = corners ? (cuts.length === 4 ? 'all four corners' : `${count} corners`) : `${count} places`;
  const way =
    wayOf(cuts[0]!) === 'across'
      ? 'straight from edge to edge, as marked'
      : 'in from the edge to where the scores cross, then out to the edge';
  return `Cut off the waste ${corners ? 'at' : 'in'} ${where}: each time ${way}.`;
}

/** A blank cut out of a certain place of its sheet: two distances from two edges, a cut after the other. */
function cuttingOut(piece: Piece, out: CutOut, made: Made, design: Design, say: Say): StepDraft {
  const { x, y, width, height } = out;
  const inside = windowInside(made, design);
  const off = (length: number, which: string): string =>
    length > TOLERANCE.drawn ? `cut off the ${which} ${say(length)}, then ` : '';
  const first = `${off(x, 'left')}cut at ${say(width)} from that edge`;
  const second = `${off(y, 'near')}cut at ${say(height)} from that edge`;
  const of = made.pieces.length > 1 ? ` for the ${piece.name}` : '';
  return {
    piece: piece.name,
    action: 'cut',
    text: `Cut a piece ${say(width)} wide and ${say(height)} high${of} out of the sheet${fromPaper(piece, design)}, print upright: ${say(x)} from its left edge, ${say(y)} from its near edge. From the left: ${first}. From the near edge: ${second}.${inside === null ? '' : ` What is to show then ends ${say(inside)} inside the nearest edge of the front.`}`,
    caution: CAUTION.blade,
    readings: [
      ...(x > TOLERANCE.drawn
        ? [{ at: mm(x), on: 'trimmer', what: 'from the sheet’s left edge, to cut off' } as const]
        : []),
      { at: mm(width), on: 'trimmer', what: 'wide' },
      ...(y > TOLERANCE.drawn
        ? [{ at: mm(y), on: 'trimmer', what: 'from the sheet’s near edge, to cut off' } as const]
        : []),
      { at: mm(height), on: 'trimmer', what: 'high' },
    ],
    picture: { kind: 'flat', piece: piece.name, near: 1, moves: 0, fresh: 0, cut: true },
  };
}

/** A spot as a maker finds it. */
function spotWords(spot: Spot, numbers: ReadonlyMap<string, number>, say: Say): string {
  const scores = spot.scores.map((id) => numbers.get(id)).filter((n) => n !== undefined);
  if (spot.on === 'corner') {
    // At the left end of its edge, or at the right one.
    const [left, right] = spot.at < TOLERANCE.found ? [leftOf(spot.edge), spot.edge] : [spot.edge, rightOf(spot.edge)];
    return `the corner of edges ${left} and ${right}`;
  }
  if (spot.on === 'crossing')
    return scores.length > 1 ? `where scores ${scores[0]} and ${scores[1]} cross` : `the end of score ${scores[0]}`;
  if (spot.deep === 0) return `${say(spot.at)} on edge ${spot.edge}`;
  if (spot.on === 'score') return `the mark on score ${scores[0]}`;
  return `the mark ${say(spot.deep)} up from edge ${spot.edge}`;
}

/** One corner, or several of one part: `both corners of the closing flap`. */
function cornersOf(part: string, count: number): string {
  if (count === 1) return `the corner of the ${part}`;
  return `${count === 2 ? 'both' : `all ${count === 3 ? 'three' : count}`} corners of the ${part}`;
}

/** Whether its steps have to say which piece they are of. */
export const hasSeveral = ({ pieces, layers }: Made): boolean => pieces.length + layers.length > 1;

/** The programme of a piece, told move by move for the tool. */
export function toolSteps(
  { piece, programme }: MadePiece,
  alike: readonly string[],
  made: Made,
  say: Say,
): StepDraft[] {
  const steps: StepDraft[] = [];
  const numbers = scoreNumbers(programme);
  const number = (score: ScoreId): number => numbers.get(score) ?? 0;
  const several = hasSeveral(made) ? ` of the ${listed([piece.name, ...alike], 'the ')}` : '';
  /** The moves of one kind that end with this one. */
  const runUpTo = <M extends Move>(end: number, goesOn: (move: Move) => move is M): readonly M[] => {
    const others = programme.moves.slice(0, end + 1);
    return others.slice(others.findLastIndex((move) => !goesOn(move)) + 1).filter(goesOn);
  };
  let near: Edge = 1;
  programme.moves.forEach((move, i) => {
    if (move.do === 'turn') near = ((near % 4) + 1) as Edge;
    const push = (step: Omit<StepDraft, 'picture' | 'piece'>, fresh = 1, by: Edge = near): void =>
      void steps.push({
        piece: piece.name,
        ...(alike.length > 0 && { alike }),
        ...step,
        picture: { kind: 'flat', piece: piece.name, near: by, moves: i + 1, fresh },
      });
    const own = toolMove(move);
    if (own) {
      const telling = {
        say,
        number,
        of: several,
        before: programme.moves.slice(0, i),
        after: programme.moves.slice(i + 1),
      };
      const told = own.step(move, telling);
      if (!told) return;
      const { takes, caution, brings, ...step } = told;
      return push({ ...step, ...(caution && { caution: CAUTION[caution] }) }, takes, brings);
    }
    switch (move.do) {
      case 'turn': {
        // Turns that follow each other are one thing to do: told with the last of them.
        if (programme.moves[i + 1]?.do === 'turn') return;
        const turns = runUpTo(i, (other): other is TurnMove => other.do === 'turn').length;
        return push(
          {
            action: 'turn',
            turn: 'cw',
            // A sheet that lies nowhere yet is not turned: it is laid so.
            text:
              i + 1 === turns
                ? `Lay the sheet down with edge ${near} near you, edge ${leftOf(near)} on the left.`
                : `Turn the sheet ${turns > 1 ? 'clockwise until' : 'a quarter clockwise:'} edge ${near} comes near, edge ${leftOf(near)} lies on the left.`,
          },
          turns,
        );
      }
      case 'mark': {
        // Marks on one edge are one thing to do: told with the last of them.
        const here = (other: Move | undefined): other is MarkMove => other?.do === 'mark' && other.edge === move.edge;
        if (here(programme.moves[i + 1])) return;
        return push(...marking(runUpTo(i, here), say));
      }
      case 'join':
        return push({
          action: 'score',
          edge: move.from.edge,
          at: move.from.at,
          score: move.score,
          text: `Score ${number(move.score)}${several}: ruler from ${say(move.from.at)} on edge ${move.from.edge} to ${say(move.to.at)} on edge ${move.to.edge}; score ${move.notched ? 'between the notches' : move.only ? partWay(move.only, move.from.edge, say).slice(2) : 'all along'}.`,
          readings: [
            { at: move.from.at, on: 'ruler', what: `the mark on edge ${move.from.edge}` },
            { at: move.to.at, on: 'ruler', what: `the mark on edge ${move.to.edge}` },
            ...stretchReadings(move.only, move.from.edge),
          ],
        });
      case 'snip':
        return push({
          action: 'trim',
          edge: move.edge,
          at: move.from,
          text: `Cut out the small corner between the marks at ${say(move.from)} and ${say(move.to)} on edge ${move.edge}, in to where the scores cross.`,
          caution: CAUTION.scissors,
        });
      case 'cut': {
        // Waste that comes off alike, or beside the same part, is one thing to do: told with the last of it.
        const alike = (other: Move | undefined): other is CutMove =>
          other?.do === 'cut' &&
          isWaste(other) &&
          isWaste(move) &&
          wayOf(other) === wayOf(move) &&
          (wayOf(move) !== null || other.what === move.what);
        if (alike(programme.moves[i + 1])) return;
        const cuts = (isWaste(move) ? runUpTo(i, alike) : [move]) as readonly [CutMove, ...CutMove[]];
        const [{ path }] = cuts;
        const along = cuts.map((cut) =>
          cut.path.map((spot, j) => `${j === 0 ? 'from' : 'to'} ${spotWords(spot, numbers, say)}`).join(', '),
        );
        return push(
          {
            action: 'trim',
            edge: path[0]!.edge,
            at: path[0]!.at,
            text:
              cuts.length > 1 && wayOf(move) !== null
                ? wastesOff(cuts)
                : `Cut ${move.kept ? '' : 'off '}the ${move.what}: ${along.join('; and ')}.`,
            caution: path.length > 2 ? CAUTION.scissors : CAUTION.blade,
          },
          cuts.length,
        );
      }
      case 'slit':
        return push({
          action: 'cut',
          edge: move.from.edge,
          at: move.from.at,
          text: `Cut the ${move.what}: from ${spotWords(move.from, numbers, say)} to ${spotWords(move.to, numbers, say)}, and no further.`,
          caution: CAUTION.blade,
        });
      case 'round': {
        // Corners of one part are rounded in one go: told with the last of them.
        const alike = (other: Move | undefined): boolean =>
          other?.do === 'round' && other.what === move.what && other.radius === move.radius;
        if (alike(programme.moves[i + 1])) return;
        let corners = 1;
        while (alike(programme.moves[i - corners])) corners++;
        return push(
          {
            action: 'trim',
            text: `Round ${cornersOf(move.what, corners)} to ${say(move.radius)}.`,
            rounds: move.radius,
            caution: CAUTION.scissors,
          },
          corners,
        );
      }
      case 'bite':
        // Punched once it is glued: that step comes later.
        if (punchedLast(made)) return;
        return push({
          action: 'punch',
          text: `Punch the finger notch in the ${move.what}: a ${say(move.diameter)} punch, ${biteOf(move)} of it over the edge’s middle, one layer at a time.`,
          caution: CAUTION.punch,
        });
      case 'hole': {
        // Holes of one size are punched one after the other: told with the last of them.
        const same = (other: Move | undefined): other is HoleMove =>
          other?.do === 'hole' && nearly(other.diameter, move.diameter, TOLERANCE.drawn);
        if (same(programme.moves[i + 1])) return;
        const holes = runUpTo(i, same);
        return push(
          {
            action: 'punch',
            edge: move.at.edge,
            at: move.at.at,
            text:
              holes.length > 1
                ? `Punch ${holes.length} holes, ${say(move.diameter)} across, one at each mark.`
                : `Punch a ${say(move.diameter)} hole in the ${move.what}, at the mark ${say(move.at.deep)} up from edge ${move.at.edge}.`,
            caution: CAUTION.punch,
          },
          holes.length,
        );
      }
    }
  });
  return steps;
}
