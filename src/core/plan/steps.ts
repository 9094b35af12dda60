import type { AssemblyStep, Stage } from '../fold';
import type { Mm } from '../length';
import type { Edge, Piece } from '../pattern';
import type { Move, Programme, Spot } from '../tools';
import { closurePlan } from './closures';
import { companionsOf } from './companions';
import type { Design } from './design';
import type { Decoration } from './extras';
import { glueAdvice, glueIds, keepDry, type GlueAdvice } from './glue';
import { inOrder, type Operation } from './order';
import { panelName, pieceOf, type Made, type MadePiece, type Plan } from './plan';
import { adhesiveSentence, CAUTION, closureWords, type Say } from './words';

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
  readonly layer?: string;
  readonly text: string;
  readonly caution?: string;
  readonly picture: StepPicture;
}

/** What the paper looks like during a step. */
export type StepPicture =
  /** Flat, with `near` at the maker, after the first `moves` of the piece's programme; the last `fresh` of them are this step's. */
  | {
      readonly kind: 'flat';
      readonly piece: string;
      readonly near: Edge;
      readonly moves: number;
      readonly fresh: number;
    }
  /** Part-folded: the pile before or after a stage. `glue` is about to be put on, or the contents about to go in. */
  | {
      readonly kind: 'folded';
      readonly stage: number;
      readonly before?: boolean;
      readonly glue?: string;
      readonly inserting?: boolean;
    };

type Draft = Omit<Step, 'id'>;
interface Task extends Operation {
  readonly steps: readonly Draft[];
}

const leftOf = (near: Edge): Edge => (((near + 2) % 4) + 1) as Edge;

const MARK_FOR = { notch: ', for the notch', score: '', slant: ', for a cut', hole: ', for a hole' } as const;

/**
 * The whole make in order, told for the design's tool. Every operation names what must come before it: a piece is cut
 * before it is scored, flat work comes before folding, glue before what closes over it; the order follows.
 */
export function stepsOf(plan: Plan, say: Say): Step[] {
  const { made, design } = plan;
  if (!made) return [];
  const byPiece = design.order === 'by-piece';
  const tasks: Task[] = made.pieces.flatMap((part, i) => {
    const { piece } = part;
    const cut = `cut ${piece.name}`;
    return [
      { id: cut, after: [], rank: byPiece ? 2 * i : 0, steps: [cutStep(piece, made, say)] },
      { id: `flat ${piece.name}`, after: [cut], rank: byPiece ? 2 * i + 1 : 1 + i, steps: toolSteps(part, made, say) },
      // Looks come while the piece is flat and cut out: neither inks nor dies reach a folded edge.
      ...design.decorate.map((what) => ({
        id: `${what} ${piece.name}`,
        after: [`flat ${piece.name}`],
        rank: byPiece ? 2 * i + 1 : 1 + i,
        steps: [decorating(what, part)],
      })),
    ];
  });
  const late = new Set(
    made.built.features.flatMap((f) => (f.kind === 'finger-notch' && f.when === 'assembled' ? [f.cavity] : [])),
  );
  const advice = glueAdvice(made, design);
  const numbers = allNumbers(made);
  // A pile waits for the flat work of its pieces, and for the step that worked on it last.
  const lastOn = new Map<string, string>();
  const floor = made.pieces.length * 2 + 1;
  made.folded.stages.forEach((stage, i) => {
    const panels = stage.stack.layers;
    const pieces = [...new Set(panels.map((layer) => layer.piece))].filter((name) =>
      made.pieces.some(({ piece }) => piece.name === name),
    );
    const after = pieces.flatMap((name) => [
      `flat ${name}`,
      ...design.decorate.map((what) => `${what} ${name}`),
      ...(lastOn.has(name) ? [lastOn.get(name)!] : []),
    ]);
    tasks.push({
      id: stage.step.id,
      after: [...new Set([...after, ...(stage.step.after ?? [])])],
      rank: floor + i,
      steps: assemblySteps(
        stage,
        i,
        made,
        numbers,
        advice.find((a) => a.step === stage.step.id),
        say,
        late,
      ),
    });
    for (const name of pieces) lastOn.set(name, stage.step.id);
  });
  tasks.push(...finishing(design, made, floor + made.folded.stages.length, say));
  return inOrder(tasks)
    .flatMap((task) => task.steps)
    .map((step, i) => ({ id: i + 1, ...step }));
}

/** Edges inked, or a pattern pressed in, on the flat piece. */
function decorating(what: Decoration, { piece, programme }: MadePiece): Draft {
  return {
    piece: piece.name,
    action: 'mark',
    text:
      what === 'ink'
        ? `Ink the edges of the ${piece.name} while it lies flat, and let them dry.`
        : `Emboss the ${piece.name} while it lies flat. An embossed sheet is thicker: measure it again.`,
    picture: { kind: 'flat', piece: piece.name, near: 1, moves: programme.moves.length, fresh: 0 },
  };
}

/** Companions and the closure, when the thing itself is folded: a ribbon under its mat before that is glued. */
function finishing(design: Design, made: Made, rank: number, say: Say): Task[] {
  const last = made.folded.stages.length - 1;
  const done = made.folded.stages.map(({ step }) => step.id);
  const picture: StepPicture =
    last >= 0
      ? { kind: 'folded', stage: last }
      : { kind: 'flat', piece: made.pieces[0].piece.name, near: 1, moves: 0, fresh: 0 };
  const piece = made.pieces[0].piece.name;
  const closure = closurePlan(made, design);
  const tasks: Task[] = companionsOf(made, design).map((companion) => ({
    id: `cut ${companion.name}`,
    after: [],
    rank: rank + 1,
    steps: [
      {
        piece: companion.title,
        action: 'cut',
        text: `${companion.title}: cut ${say(companion.width)} × ${say(companion.height)}${companion.scores.length > 0 ? `, score at ${listed(companion.scores.map((at) => say(at)))}` : ''}.${companion.ribbon > 0 ? ` It takes ${say(companion.ribbon)} of ribbon.` : ''}`,
        caution: CAUTION.blade,
        picture,
      },
    ],
  }));
  const hasMat = tasks.some(({ id }) => id === 'cut mat');
  const tie = closure && !closure.trouble;
  if (tie)
    tasks.push({
      id: 'closure',
      // A ribbon under a mat is laid before the mat; everything else closes what is finished.
      after: design.closure.kind === 'ribbon' ? done : [...done, ...(hasMat ? ['glue mat'] : [])],
      rank: rank + 3,
      steps: [
        {
          piece,
          action: design.closure.kind === 'ribbon' ? 'glue' : 'close',
          text: closureWords(design.closure.kind, say(closure.length)),
          picture,
          ...(design.closure.kind === 'buttons' ? { caution: CAUTION.punch } : {}),
        },
      ],
    });
  if (hasMat)
    tasks.push({
      id: 'glue mat',
      after: [...done, 'cut mat', ...(tie && design.closure.kind === 'ribbon' ? ['closure'] : [])],
      rank: rank + 2,
      steps: [{ piece, action: 'glue', text: 'Glue the mat on the front, the same border all round.', picture }],
    });
  return tasks;
}

function cutStep(piece: Piece, made: Made, say: Say): Draft {
  const { width, height } = piece.blank;
  const what = made.pieces.length > 1 ? `the ${piece.name}: ` : '';
  const square = Math.abs(width - height) < 1e-6;
  return {
    piece: piece.name,
    action: 'cut',
    text: what
      ? `Cut ${what}${square ? `${say(width)} square` : `${say(width)} × ${say(height)}`}.`
      : square
        ? `Cut a square, ${say(width)} each way.`
        : `Cut a piece ${say(width)} wide and ${say(height)} high.`,
    caution: CAUTION.blade,
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

function toolSteps({ piece, programme }: MadePiece, made: Made, say: Say): Draft[] {
  const steps: Draft[] = [];
  const numbers = scoreNumbers(programme);
  const number = (score: string): number => numbers.get(score) ?? 0;
  const several = made.pieces.length > 1 ? ` of the ${piece.name}` : '';
  let placed: Extract<Move, { do: 'place' }> | null = null;
  let marking: { for: string; at: string[] } | null = null;
  let near: Edge = 1;
  programme.moves.forEach((move, i) => {
    if (move.do === 'turn') near = ((near % 4) + 1) as Edge;
    // Marks for a slant and cuts along it are made with whichever edge suits; the picture brings that edge near.
    const shown = move.do === 'mark' || move.do === 'snip' || move.do === 'relief' ? move.edge : near;
    const push = (step: Omit<Draft, 'picture' | 'piece'>, fresh = 1): void =>
      void steps.push({
        piece: piece.name,
        ...step,
        picture: { kind: 'flat', piece: piece.name, near: shown, moves: i + 1, fresh },
      });
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
      case 'groove':
        return push({
          action: 'score',
          edge: move.edge,
          at: move.at,
          score: move.score,
          text: `Score ${number(move.score)}${several}: edge ${move.edge} near you, edge ${leftOf(move.edge)} against the fence, down the groove at ${say(move.at)}.`,
        });
      case 'edge-score':
        return push({
          action: 'score',
          edge: move.edge,
          score: move.score,
          text: `Score ${number(move.score)}${several}: lay edge ${move.edge} in the edge board and run its one groove.`,
        });
      case 'relief':
        return push({
          action: 'punch',
          edge: move.edge,
          at: move.at,
          text: `With edge ${move.edge} in the edge board, bring the guide to the score ${say(move.at)} from the left end and punch the relief notch.`,
          caution: CAUTION.punch,
        });
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
        const deep = move.deep ?? 0;
        const here = deep > 0 ? `${say(move.at)}, ${say(deep)} up from the edge` : say(move.at);
        // Marks on one edge for the same purpose are one thing to do.
        const goesOn = last?.action === 'mark' && last.edge === move.edge && move.for === marking?.for;
        marking = { for: move.for, at: goesOn ? [...marking!.at, here] : [here] };
        const simple = marking.at.every((at) => !at.includes(','));
        const text = `With edge ${move.edge} near you, mark ${simple ? `${listed(marking.at)} from its left end` : `from its left end ${marking.at.join('; ')}`}${MARK_FOR[move.for]}.`;
        if (goesOn) steps.pop();
        return push({ action: 'mark', edge: move.edge, at: goesOn ? last.at! : move.at, text }, marking.at.length);
      }
      case 'join':
        return push({
          action: 'score',
          edge: move.from.edge,
          at: move.from.at,
          score: move.score,
          text: `Score ${number(move.score)}${several}: ruler from ${say(move.from.at)} on edge ${move.from.edge} to ${say(move.to.at)} on edge ${move.to.edge}; score ${move.notched ? 'between the notches' : 'all along'}.`,
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
          text: `Cut ${move.what === 'second mat' ? '' : 'off '}the ${move.what}: ${move.path.map((spot, j) => `${j === 0 ? 'from' : 'to'} ${spotWords(spot, numbers, say)}`).join(', ')}.`,
          caution: move.path.length > 2 ? CAUTION.scissors : CAUTION.blade,
        });
      case 'round':
        return push({
          action: 'trim',
          text: `Round the ${move.what} to ${say(move.radius)}.`,
          caution: CAUTION.scissors,
        });
      case 'bite':
        // Punched once it is glued: that step comes later.
        if (made.built.features.some((f) => f.kind === 'finger-notch' && f.when === 'assembled')) return;
        return push({
          action: 'punch',
          text: `Punch the ${move.what}: a ${say(move.diameter)} punch, two fifths of it over the edge’s middle, one layer at a time.`,
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

function assemblySteps(
  stage: Stage,
  i: number,
  made: Made,
  numbers: ReadonlyMap<string, ScoreNumber>,
  advice: GlueAdvice | undefined,
  say: Say,
  late: ReadonlySet<string>,
): Draft[] {
  const { step } = stage;
  const { built } = made;
  const name = (id: string): string => panelName(built, id);
  const steps: Draft[] = [];
  const glue = glueIds(made).get(step.id);
  const piece = pieceOf(built, step.kind === 'fold' ? stage.moving[0]! : step.panel).name;
  const glued = [...new Set(stage.joints.map((joint) => name(joint.panel)))];
  const onto = [...new Set(stage.joints.map((joint) => name(joint.onto)))];
  if (glue && !step.closes)
    steps.push({
      piece,
      action: 'glue',
      glue,
      text: `Glue the ${listed(glued, 'the ')} only where ${glued.length > 1 ? 'they' : 'it'} will lie on the ${listed(onto, 'the ')}.${keepDry(made).some((dry) => dry.step === step.id) ? ' Beyond that it would stick what must stay free.' : ''}${advice ? ` ${adhesiveSentence(advice, say)}` : ''}`.trimEnd(),
      ...(advice?.chosen === 'hot-glue' ? { caution: CAUTION.hotGlue } : {}),
      picture: { kind: 'folded', stage: i, before: true, glue },
    });
  const on = scoreWords(step, numbers);
  steps.push({
    piece,
    action: step.closes ? 'close' : 'fold',
    ...(step.kind === 'fold' ? { score: step.hinges[0]! } : {}),
    ...(step.kind === 'fold' && step.under ? { layer: step.under } : {}),
    ...(step.closes && glue ? { glue } : {}),
    text: step.closes
      ? `${step.name}${on}.${glue ? ' To seal it, gum only where it lies on the paper below.' : ''}`
      : `${step.name}${on}${step.kind === 'fold' ? ', crease with a folder' : ''}${glue ? ' and hold until the glue grips' : ''}.`,
    picture: { kind: 'folded', stage: i },
  });
  for (const feature of built.features)
    if (feature.kind === 'finger-notch' && late.has(feature.cavity) && notchedAfter(made, feature.cavity) === step.id)
      steps.push({
        piece,
        action: 'punch',
        text: `Punch the finger notch at the middle of the opening, ${say(feature.diameter)} across, through ${notchLayers(made)} only.`,
        caution: CAUTION.punch,
        picture: { kind: 'folded', stage: i },
      });
  const entering = built.cavities.filter((cavity) => cavity.insertAfter === step.id);
  if (entering.some((cavity) => cavity === built.cavities[0]))
    steps.push({
      piece: pieceOf(built, built.cavities[0]!.floor).name,
      action: 'insert',
      text: built.cavities[0]!.through ? 'Slide it over what it holds.' : 'Slide the contents in.',
      picture: { kind: 'folded', stage: i, inserting: true },
    });
  return steps;
}

const notchedAfter = ({ built }: Made, cavity: string): string | undefined =>
  built.cavities.find(({ id }) => id === cavity)?.insertAfter;

/** What a finger notch bites through, in words. */
function notchLayers({ pieces }: Made): string {
  const names = pieces.flatMap(({ piece }) =>
    piece.trims.flatMap((trim) => (trim.cut.kind === 'punched' ? [trim.name.replace('finger notch in ', '')] : [])),
  );
  return listed(names);
}

function scoreWords(step: AssemblyStep, numbers: ReadonlyMap<string, ScoreNumber>): string {
  if (step.kind !== 'fold') return '';
  const found = [...new Set(step.hinges.map((id) => numbers.get(id)?.number).filter((n) => n !== undefined))];
  return found.length > 1
    ? ` on scores ${listed([...found].sort((a, b) => a - b).map(String))}`
    : found.length > 0
      ? ` on score ${found[0]}`
      : '';
}

const listed = (names: readonly string[], each = ''): string =>
  names.length < 2 ? names.join('') : `${names.slice(0, -1).join(`, ${each}`)} and ${each}${names.at(-1)}`;

/** Scores numbered in the order they are made; those run in one go share a number. */
export const scoreNumbers = (programme: Programme): Map<string, number> =>
  new Map(
    programme.moves
      .flatMap((move) =>
        move.do === 'score'
          ? [[move.score]]
          : move.do === 'join' || move.do === 'groove' || move.do === 'edge-score'
            ? [[move.score, ...(move.also ?? [])]]
            : [],
      )
      .flatMap((scores, i) => scores.map((score): [string, number] => [score, i + 1])),
  );

/** A score's number on its own piece. */
export interface ScoreNumber {
  readonly piece: string;
  readonly number: number;
}

/** The numbers of all scores of all pieces. */
export const allNumbers = (made: Made): ReadonlyMap<string, ScoreNumber> =>
  new Map(
    made.pieces.flatMap(({ piece, programme }) =>
      [...scoreNumbers(programme)].map(([id, number]): [string, ScoreNumber] => [id, { piece: piece.name, number }]),
    ),
  );
