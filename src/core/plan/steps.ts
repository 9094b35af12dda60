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
  readonly picture: StepPicture;
}

/** What the paper looks like during a step. */
export type StepPicture =
  /** Flat, with `near` at the maker, after the first `moves` of the programme; the last `fresh` of them are this step's. */
  | { readonly kind: 'flat'; readonly near: Edge; readonly moves: number; readonly fresh: number }
  /** Part-folded: after the first `folds` folds. `glue` is about to be put on, or the contents about to go in. */
  | { readonly kind: 'folded'; readonly folds: number; readonly glue?: string; readonly inserting?: boolean };

type Draft = Omit<Step, 'id' | 'piece'>;

const leftOf = (near: Edge): Edge => (((near + 2) % 4) + 1) as Edge;

const MARK_FOR = { notch: ', for the notch', score: '', slant: ', for a cut' } as const;

/** The whole make in order, told for the design's tool: cut, set, punch, score, turn, fold, glue, insert, close. */
export function stepsOf(plan: Plan, say: Say): Step[] {
  const { made } = plan;
  if (!made) return [];
  const { piece } = made.built;
  const { width, height } = piece.blank;
  const steps: Draft[] = [
    {
      action: 'cut',
      text:
        Math.abs(width - height) < 1e-6
          ? `Cut a square, ${say(width)} each way.`
          : `Cut a piece ${say(width)} × ${say(height)}.`,
      caution: CAUTION.blade,
      picture: { kind: 'flat', near: 1, moves: 0, fresh: 0 },
    },
    ...toolSteps(made, say),
    ...made.built.folds.flatMap((fold, i) => foldSteps(fold, i, made)),
  ];
  return steps.map((step, i) => ({ id: i + 1, piece: piece.name, ...step }));
}

function toolSteps({ programme }: Made, say: Say): Draft[] {
  const steps: Draft[] = [];
  const numbers = scoreNumbers(programme);
  const number = (score: string): number => numbers.get(score) ?? 0;
  let placed: Extract<Move, { do: 'place' }> | null = null;
  let marking: { for: string; at: Mm[] } | null = null;
  let near: Edge = 1;
  programme.moves.forEach((move, i) => {
    if (move.do === 'turn') near = ((near % 4) + 1) as Edge;
    // Marks for a slant and cuts along it are made with whichever edge suits; the picture brings that edge near.
    const shown = move.do === 'mark' ? move.edge : move.do === 'snip' ? move.edge : near;
    const push = (step: Omit<Draft, 'picture'>, fresh = 1): void =>
      void steps.push({ ...step, picture: { kind: 'flat', near: shown, moves: i + 1, fresh } });
    switch (move.do) {
      case 'place':
        placed = move;
        return;
      case 'punch': {
        if (!placed) return;
        const lay = `Lay edge ${placed.edge} in the board`;
        const text = {
          ruler: `${lay}, edge ${leftOf(placed.edge)} on the left, the sheet’s left end at ${say(placed.at)}. Punch.`,
          mark: `${lay}, edge ${leftOf(placed.edge)} on the left, with your mark in the middle of the notch. Punch.`,
          pointer: `${lay}, with the score you just made at the pointer. Punch.`,
        }[placed.by];
        return push({ action: 'punch', edge: placed.edge, at: placed.at, text, caution: CAUTION.punch }, 2);
      }
      case 'score':
        return push({
          action: 'score',
          ...(placed ? { edge: placed.edge } : {}),
          score: move.score,
          text: move.onward
            ? `Score ${number(move.score)}: run the groove as far as it goes, then carry the line on with a ruler to the sheet’s edge (${say(move.length)} in all).`
            : `Score ${number(move.score)}: run the groove two or three times, lightly.`,
        });
      case 'turn':
        return push({
          action: 'turn',
          turn: 'cw',
          text: `Turn the sheet a quarter clockwise: edge ${near} comes near, edge ${leftOf(near)} lies on the left.`,
        });
      case 'mark': {
        const last = steps.at(-1);
        // Two marks on one edge for the same purpose are one thing to do.
        const goesOn = last?.action === 'mark' && last.edge === move.edge && move.for === marking?.for;
        marking = { for: move.for, at: goesOn ? [...marking!.at, move.at] : [move.at] };
        const text = `With edge ${move.edge} near you, mark ${marking.at.map((at) => say(at)).join(' and ')} from its left end${MARK_FOR[move.for]}.`;
        if (goesOn) steps.pop();
        return push({ action: 'mark', edge: move.edge, at: goesOn ? last.at! : move.at, text }, marking.at.length);
      }
      case 'join':
        return push({
          action: 'score',
          edge: move.from.edge,
          at: move.from.at,
          score: move.score,
          text: `Score ${number(move.score)}: ruler from ${say(move.from.at)} on edge ${move.from.edge} to ${say(move.to.at)} on edge ${move.to.edge}; score ${move.notched ? 'between the notches' : 'all along'}.`,
        });
      case 'snip':
        return push({
          action: 'trim',
          edge: move.edge,
          at: move.from,
          text: `Cut out the small corner between the marks at ${say(move.from)} and ${say(move.to)} on edge ${move.edge}, in to where the scores cross.`,
          caution: CAUTION.scissors,
        });
      case 'slant':
        return push({
          action: 'trim',
          edge: move.from.edge,
          at: move.from.at,
          text: `Cut straight from mark to mark: the ${move.what} comes off.`,
          caution: CAUTION.blade,
        });
      case 'round':
        return push({
          action: 'trim',
          text: `Round the ${move.what} to ${say(move.radius)}.`,
          caution: CAUTION.scissors,
        });
    }
  });
  return steps;
}

function foldSteps(fold: AssemblyFold, i: number, { built, folded, programme }: Made): Draft[] {
  const steps: Draft[] = [];
  const name = (id: string): string => built.piece.panels.find((panel) => panel.id === id)?.name ?? id;
  const score = fold.hinges[0]!;
  const order = scoreNumbers(programme).get(score);
  const stage = folded.stages[i]!;
  const keepOff = stage.contacts.some((contact) => contact.onto !== null && !fold.gluedTo?.includes(contact.onto));
  const glue = glueIds(folded.stages.flatMap((s) => (s.fold.gluedTo ? [s.fold.id] : []))).get(fold.id);
  if (fold.gluedTo && !fold.closes)
    steps.push({
      action: 'glue',
      ...(glue ? { glue } : {}),
      text: `Glue the ${name(fold.moving[0]!)} only where it will lie on the ${listed(fold.gluedTo.map(name))}.${keepOff ? ' Glue beyond that would seal the pocket.' : ''}`,
      picture: { kind: 'folded', folds: i, ...(glue ? { glue } : {}) },
    });
  steps.push({
    action: fold.closes ? 'close' : 'fold',
    score,
    ...(fold.closes && glue ? { glue } : {}),
    text: fold.closes
      ? `${fold.name} on score ${order}. To seal it, gum only where it lies on the flaps.`
      : `${fold.name} on score ${order}, crease with a folder${fold.gluedTo ? ' and hold until the glue grips' : ''}.`,
    picture: { kind: 'folded', folds: i + 1 },
  });
  if (built.cavities.some((cavity) => cavity.insertAfter === fold.id))
    steps.push({
      action: 'insert',
      text: 'Slide the contents in.',
      picture: { kind: 'folded', folds: i + 1, inserting: true },
    });
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
