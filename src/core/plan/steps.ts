import type { AssemblyFold } from '../fold';
import type { Mm } from '../length';
import type { Edge } from '../pattern';
import type { Move, Programme } from '../tools';
import type { Made, Plan } from './plan';
import { CAUTION, type Say } from './words';

export type Action = 'cut' | 'mark' | 'punch' | 'score' | 'turn' | 'trim' | 'fold' | 'glue' | 'insert' | 'close';

/** One thing to do at the table. */
export interface Step {
  readonly id: number;
  readonly piece: string;
  readonly action: Action;
  readonly edge?: Edge;
  readonly at?: Mm;
  readonly turn?: 'cw';
  readonly score?: string;
  readonly glue?: string;
  readonly text: string;
  readonly caution?: string;
}

const EDGE_NAME: Record<Edge, string> = { 1: 'first edge', 2: 'second edge', 3: 'third edge', 4: 'fourth edge' };

const MARK_FOR = { notch: ', for the notch', score: '', slant: ', for a cut' } as const;

/** The whole make in order, told for the design's tool: cut, set, punch, score, turn, fold, glue, insert, close. */
export function stepsOf(plan: Plan, say: Say): Step[] {
  const { made } = plan;
  if (!made) return [];
  const { piece } = made.built;
  const { width, height } = piece.blank;
  const steps: Omit<Step, 'id' | 'piece'>[] = [
    {
      action: 'cut',
      text:
        Math.abs(width - height) < 1e-6
          ? `Cut a square, ${say(width)} each way.`
          : `Cut a piece ${say(width)} × ${say(height)}.`,
      caution: CAUTION.blade,
    },
    ...toolSteps(made, say),
    ...made.built.folds.flatMap((fold) => foldSteps(fold, made)),
  ];
  return steps.map((step, i) => ({ id: i + 1, piece: piece.name, ...step }));
}

function toolSteps({ programme }: Made, say: Say): Omit<Step, 'id' | 'piece'>[] {
  const steps: Omit<Step, 'id' | 'piece'>[] = [];
  const numbers = scoreNumbers(programme);
  const number = (score: string): number => numbers.get(score) ?? 0;
  let placed: Extract<Move, { do: 'place' }> | null = null;
  let marking: { for: string; at: Mm[] } | null = null;
  for (const move of programme.moves) {
    if (move.do === 'place') placed = move;
    else if (move.do === 'punch' && placed) {
      const where =
        placed.by === 'ruler'
          ? `Lay the ${EDGE_NAME[placed.edge]} in the board with the sheet’s left end at ${say(placed.at)}. Punch.`
          : placed.by === 'mark'
            ? `Lay the ${EDGE_NAME[placed.edge]} in the board with your mark in the middle of the notch. Punch.`
            : `Lay the ${EDGE_NAME[placed.edge]} in the board with the score you just made at the pointer. Punch.`;
      steps.push({ action: 'punch', edge: placed.edge, at: placed.at, text: where, caution: CAUTION.punch });
    } else if (move.do === 'score')
      steps.push({
        action: 'score',
        ...(placed ? { edge: placed.edge } : {}),
        score: move.score,
        text: move.onward
          ? `Score ${number(move.score)}: run the groove as far as it goes, then carry the line on with a ruler to the sheet’s edge (${say(move.length)} in all).`
          : `Score ${number(move.score)}: run the groove two or three times, lightly.`,
      });
    else if (move.do === 'turn')
      steps.push({
        action: 'turn',
        turn: 'cw',
        text: 'Turn the sheet a quarter clockwise: the right edge comes near.',
      });
    else if (move.do === 'mark') {
      const last = steps.at(-1);
      // Two marks on one edge for the same purpose are one thing to do.
      if (last?.action === 'mark' && last.edge === move.edge && move.for === marking?.for) marking.at.push(move.at);
      else marking = { for: move.for, at: [move.at] };
      const text = `With the ${EDGE_NAME[move.edge]} near you, mark ${marking.at.map((at) => say(at)).join(' and ')} from its left end${MARK_FOR[move.for]}.`;
      if (marking.at.length > 1) steps[steps.length - 1] = { ...last!, text };
      else steps.push({ action: 'mark', edge: move.edge, at: move.at, text });
    } else if (move.do === 'join')
      steps.push({
        action: 'score',
        edge: move.from.edge,
        at: move.from.at,
        score: move.score,
        text: `Score ${number(move.score)}: ruler from ${say(move.from.at)} on the ${EDGE_NAME[move.from.edge]} to ${say(move.to.at)} on the ${EDGE_NAME[move.to.edge]}; score between the notches.`,
      });
    else if (move.do === 'snip')
      steps.push({
        action: 'trim',
        edge: move.edge,
        at: move.from,
        text: `Cut out the small corner between the marks at ${say(move.from)} and ${say(move.to)} on the ${EDGE_NAME[move.edge]}, in to where the scores cross.`,
        caution: CAUTION.scissors,
      });
    else if (move.do === 'slant')
      steps.push({
        action: 'trim',
        edge: move.from.edge,
        at: move.from.at,
        text: `Cut straight from mark to mark: the ${move.what} comes off.`,
        caution: CAUTION.blade,
      });
    else if (move.do === 'round')
      steps.push({ action: 'trim', text: `Round the ${move.what} to ${say(move.radius)}.`, caution: CAUTION.scissors });
  }
  return steps;
}

function foldSteps(fold: AssemblyFold, { built, folded, programme }: Made): Omit<Step, 'id' | 'piece'>[] {
  const steps: Omit<Step, 'id' | 'piece'>[] = [];
  const name = (id: string): string => built.piece.panels.find((panel) => panel.id === id)?.name ?? id;
  const score = fold.hinges[0]!;
  const order = scoreNumbers(programme).get(score);
  const stage = folded.stages.find((s) => s.fold.id === fold.id)!;
  const keepOff = stage.contacts.some((contact) => contact.onto !== null && !fold.gluedTo?.includes(contact.onto));
  const glue = glueIds(folded.stages.flatMap((s) => (s.fold.gluedTo ? [s.fold.id] : []))).get(fold.id);
  if (fold.gluedTo && !fold.closes)
    steps.push({
      action: 'glue',
      ...(glue ? { glue } : {}),
      text: `Glue the ${name(fold.moving[0]!)} only where it will lie on the ${listed(fold.gluedTo.map(name))}.${keepOff ? ' Glue beyond that would seal the pocket.' : ''}`,
    });
  steps.push({
    action: fold.closes ? 'close' : 'fold',
    score,
    ...(fold.closes && glue ? { glue } : {}),
    text: fold.closes
      ? `${fold.name} on score ${order}. To seal it, gum only where it lies on the flaps.`
      : `${fold.name} on score ${order}, crease with a folder${fold.gluedTo ? ' and hold until the glue grips' : ''}.`,
  });
  if (built.cavities.some((cavity) => cavity.insertAfter === fold.id))
    steps.push({ action: 'insert', text: 'Slide the contents in.' });
  return steps;
}

const listed = (names: readonly string[]): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(', the ')} and the ${names.at(-1)}`;

/** Scores numbered in the order they are made; the sheet and the steps both use these numbers. */
export const scoreNumbers = (programme: Programme): Map<string, number> =>
  new Map(
    programme.moves
      .flatMap((move) => (move.do === 'score' || move.do === 'join' ? [move.score] : []))
      .map((score, i) => [score, i + 1]),
  );

/** Glue areas are numbered by the fold that brings them together: `g1`, `g2`. */
export const glueIds = (foldIds: readonly string[]): Map<string, string> =>
  new Map(foldIds.map((id, i) => [id, `g${i + 1}`]));
