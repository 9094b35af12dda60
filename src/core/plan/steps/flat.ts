import { TOLERANCE } from '../../geometry';
import { mm, near as nearly, type Mm, type Say } from '../../length';
import { leftOf, type Edge, type Piece, isSquare } from '../../pattern';
import { partWay, stretchReadings, toolMove, type Move, type Reading, type Spot } from '../../tools';
import type { Decoration } from '../design/extras';
import { scoreNumbers } from '../work/numbers';
import type { Made, MadePiece } from '../plan';
import { CAUTION } from '../words';
import { listed } from '../../text';
import type { Draft } from './step';

const MARK_FOR = {
  notch: ', for the notch',
  score: '',
  slant: ', for a cut',
  hole: ', for a hole',
  slit: ', for a slit',
} as const;

/** True where a finger notch is punched only once it is glued: through all its layers, after the flat steps. */
const punchedLast = ({ built }: Made): boolean =>
  built.features.some((f) => f.kind === 'finger-notch' && f.when === 'assembled');

/** How many moves of a piece are made while it is flat: they come first. */
export const flatMoves = (made: Made, { programme: { moves } }: MadePiece): number =>
  punchedLast(made) ? moves.filter((move) => move.do !== 'bite').length : moves.length;

/** Edges inked, or a pattern pressed in, on the flat piece. */
export function decorating(what: Decoration, part: MadePiece, made: Made): Draft {
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

/** Cutting the blank. */
export function cutStep(piece: Piece, made: Made, say: Say): Draft {
  const { width, height } = piece.blank;
  const alike = piece.quantity > 1 ? `${piece.quantity} alike, each ` : '';
  const what = made.pieces.length > 1 || alike ? `the ${piece.name}: ${alike}` : '';
  const square = isSquare({ width, height });
  return {
    piece: piece.name,
    action: 'cut',
    text: what
      ? `Cut ${what}${square ? `${say(width)} square` : `${say(width)} × ${say(height)}`}.`
      : square
        ? `Cut a square, ${say(width)} each way.`
        : `Cut a piece ${say(width)} wide and ${say(height)} high.`,
    caution: CAUTION.blade,
    readings: [
      { at: width, on: 'trimmer', what: square ? 'each way' : 'wide' },
      ...(square ? [] : [{ at: height, on: 'trimmer', what: 'high' } as const]),
    ],
    picture: { kind: 'flat', piece: piece.name, near: 1, moves: 0, fresh: 0 },
  };
}

/** A spot as a maker finds it. */
function spotWords(spot: Spot, numbers: ReadonlyMap<string, number>, say: Say): string {
  const scores = spot.scores.map((id) => numbers.get(id)).filter((n) => n !== undefined);
  if (spot.on === 'corner') return 'the corner';
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

/** The programme of a piece, told move by move for the tool. */
export function toolSteps({ piece, programme }: MadePiece, made: Made, say: Say): Draft[] {
  const steps: Draft[] = [];
  const numbers = scoreNumbers(programme);
  const number = (score: string): number => numbers.get(score) ?? 0;
  const several = made.pieces.length > 1 ? ` of the ${piece.name}` : '';
  let marking: {
    readonly for: string;
    /** Marks made, and their places: several may be one. */
    readonly made: number;
    readonly at: readonly { readonly at: Mm; readonly deep: Mm | null }[];
    readonly readings: readonly Reading[];
  } | null = null;
  let near: Edge = 1;
  programme.moves.forEach((move, i) => {
    if (move.do === 'turn') near = ((near % 4) + 1) as Edge;
    // Marks for a slant and cuts along it are made with whichever edge suits; the picture brings that edge near.
    const shown = move.do === 'mark' || move.do === 'snip' ? move.edge : near;
    const push = (step: Omit<Draft, 'picture' | 'piece'>, fresh = 1, by: Edge = shown): void =>
      void steps.push({
        piece: piece.name,
        ...step,
        picture: { kind: 'flat', piece: piece.name, near: by, moves: i + 1, fresh },
      });
    const own = toolMove(move);
    if (own) {
      const telling = { say, number, of: several, before: programme.moves.slice(0, i) };
      const told = own.step(move as never, telling as never);
      if (!told) return;
      const { takes, caution, brings, ...step } = told;
      return push({ ...step, ...(caution && { caution: CAUTION[caution] }) }, takes, brings);
    }
    switch (move.do) {
      case 'turn': {
        const last = steps.at(-1);
        // Turns that follow each other are one thing to do.
        const goesOn = last?.action === 'turn';
        if (goesOn) steps.pop();
        return push(
          {
            action: 'turn',
            turn: 'cw',
            text: `Turn the sheet ${goesOn ? 'clockwise until' : 'a quarter clockwise:'} edge ${near} comes near, edge ${leftOf(near)} lies on the left.`,
          },
          goesOn && last.picture.kind === 'flat' ? last.picture.fresh + 1 : 1,
        );
      }
      case 'mark': {
        const last = steps.at(-1);
        const here = { at: move.at, deep: move.deep ? mm(move.deep) : null };
        // Marks on one edge for the same purpose are one thing to do.
        const goesOn = last?.action === 'mark' && last.edge === move.edge && move.for === marking?.for;
        const read: Reading[] = [
          { at: move.at, on: 'ruler', what: `from the left end of edge ${move.edge}` },
          ...(here.deep ? [{ at: here.deep, on: 'ruler', what: 'up from the edge' } as const] : []),
        ];
        const before = goesOn ? marking! : { made: 0, at: [], readings: [] };
        // Where one notch ends and the next begins there is one mark.
        const there = before.at.some(
          ({ at, deep }) => nearly(at, here.at, TOLERANCE.drawn) && nearly(deep ?? 0, here.deep ?? 0, TOLERANCE.drawn),
        );
        marking = {
          for: move.for,
          made: before.made + 1,
          at: there ? before.at : [...before.at, here],
          readings: there ? before.readings : [...before.readings, ...read],
        };
        const places = marking.at.map(({ at, deep }) => (deep ? `${say(at)}, ${say(deep)} up from the edge` : say(at)));
        const onEdge = marking.at.every(({ deep }) => deep === null);
        const text = `With edge ${move.edge} near you, mark ${onEdge ? `${listed(places)} from its left end` : `from its left end ${places.join('; ')}`}${MARK_FOR[move.for]}.`;
        if (goesOn) steps.pop();
        const { readings } = marking;
        return push({ action: 'mark', edge: move.edge, at: goesOn ? last.at! : move.at, text, readings }, marking.made);
      }
      case 'join':
        return push({
          action: 'score',
          edge: move.from.edge,
          at: move.from.at,
          score: move.score,
          text: `Score ${number(move.score)}${several}: ruler from ${say(move.from.at)} on edge ${move.from.edge} to ${say(move.to.at)} on edge ${move.to.edge}; score ${move.notched ? 'between the notches' : move.only ? partWay(move.only, say).slice(2) : 'all along'}.`,
          readings: [
            { at: move.from.at, on: 'ruler', what: `the mark on edge ${move.from.edge}` },
            { at: move.to.at, on: 'ruler', what: `the mark on edge ${move.to.edge}` },
            ...stretchReadings(move.only),
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
      case 'cut':
        return push({
          action: 'trim',
          edge: move.path[0]!.edge,
          at: move.path[0]!.at,
          text: `Cut ${move.kept ? '' : 'off '}the ${move.what}: ${move.path.map((spot, j) => `${j === 0 ? 'from' : 'to'} ${spotWords(spot, numbers, say)}`).join(', ')}.`,
          caution: move.path.length > 2 ? CAUTION.scissors : CAUTION.blade,
        });
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
          text: `Punch the finger notch in the ${move.what}: a ${say(move.diameter)} punch, two fifths of it over the edge’s middle, one layer at a time.`,
          caution: CAUTION.punch,
        });
      case 'hole':
        return push({
          action: 'punch',
          edge: move.at.edge,
          at: move.at.at,
          text: `Punch a ${say(move.diameter)} hole in the ${move.what}, at the mark ${say(move.at.deep)} up from edge ${move.at.edge}.`,
          caution: CAUTION.punch,
        });
    }
  });
  return steps;
}
