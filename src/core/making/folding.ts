import type { PanelId, PanelName, ScoreId } from '../pattern';
import type { Mm, Say } from '../length';
import { isReady, type FlatWork, type Stage, type StandingStage } from '../fold';
import {
  CONTENTS,
  glueAreas,
  glueIds,
  keepDry,
  type GlueAdvice,
  type ScoreNumber,
  type Made,
  panelName,
  partNamed,
  pieceOf,
} from '../plan';
import { type Design, isPhotoSize } from '../design';
import { adhesiveSentence, CAUTION } from './words';
import { listed } from '../text';
import type { StepDraft } from './step';
import type { StepPicture } from '../looks';

/** True for a fold that is nothing but a fold: several of one piece are told together. */
export const isPlainFold = ({ step, joints }: Stage, made: Made): boolean =>
  step.kind === 'fold' &&
  !step.closes &&
  !step.under &&
  joints.length === 0 &&
  !made.built.cavities.some(({ insertAfter }) => insertAfter === step.id);

/** The piece a step of the assembly is about. */
export const pieceWorkedOn = (stage: Stage, { built }: Pick<Made, 'built'>): string =>
  pieceOf(built, stage.step.kind === 'fold' ? turnedAt(stage, built) : stage.step.panel).name;

/** The panel that turns about a fold's own line: what is laid on it moves as well, and is not what is folded. */
function turnedAt({ step, moving }: Stage, { pieces }: Made['built']): PanelId {
  const own = step.kind === 'fold' ? step.hinges[0] : undefined;
  const hinge = pieces.flatMap(({ hinges }) => hinges).find(({ id }) => id === own);
  return hinge?.between.find((id) => moving.includes(id)) ?? moving[0]!;
}

/** Plain folds of one piece, one after the other. */
export function foldsTogether(
  stages: readonly Stage[],
  last: number,
  made: Made,
  numbers: ReadonlyMap<string, ScoreNumber>,
): StepDraft {
  const [first] = stages;
  const scores = stages.flatMap(({ step }) => (step.kind === 'fold' ? step.hinges : []));
  const said = stages.map(({ step }) => `${step.name}${scoreWords(step, numbers)}`);
  const [lead, ...others] = said as [string, ...string[]];
  const all = others.every((one) => one.startsWith('Fold ')) ? [lead, ...others.map((one) => one.slice(5))] : said;
  return {
    piece: pieceWorkedOn(first!, made),
    action: 'fold',
    score: scores[0]!,
    scores,
    text: `${listed(all)}; crease each with a folder.`,
    picture: { kind: 'folded', stage: last, since: last - stages.length + 1 },
  };
}

/** The second score of a fold that goes round layers, made while its sheet is flat. */
export function secondScoreStep(
  stage: Stage,
  by: Mm,
  made: Made,
  numbers: ReadonlyMap<string, ScoreNumber>,
  say: Say,
): StepDraft {
  const piece = pieceWorkedOn(stage, made);
  const { programme, piece: sheet } = partNamed(made, piece);
  const moves = programme.moves.length;
  const hinges = stage.step.kind === 'fold' ? stage.step.hinges : [];
  const own = hinges.filter((score) => sheet.hinges.some(({ id }) => id === score));
  return {
    piece,
    action: 'score',
    text: `Score the ${panelName(made.built, turnedAt(stage, made.built))} once more, ${say(by, 'up')} beyond${onScores(own, numbers).replace(' on', '')}: it goes round what will lie there.`,
    picture: { kind: 'flat', piece, near: 1, moves, fresh: 0 },
  };
}

/** What is cut off by hand of what was bought, before anything is glued. */
export function trimStep(stage: Stage, i: number, made: Made, say: Say): StepDraft {
  const { at, off } = stage.step.trims!;
  return {
    piece: pieceWorkedOn(stage, made),
    action: 'trim',
    readings: [{ at, what: 'off each far end', on: 'ruler' }],
    text: `Trim ${say(at)} off ${off}.`,
    caution: CAUTION.blade,
    picture: { kind: 'folded', stage: i, before: true },
  };
}

/** One step of the assembly: its glue, the fold or the laying, the notch punched late. */
export function assemblySteps(
  stage: Stage,
  i: number,
  made: Made,
  numbers: ReadonlyMap<string, ScoreNumber>,
  advice: GlueAdvice | undefined,
  say: Say,
  late: ReadonlySet<string>,
): StepDraft[] {
  const { step } = stage;
  const { built } = made;
  const name = (id: PanelId): PanelName => panelName(built, id);
  const steps: StepDraft[] = [];
  const glue = glueIds(made).get(step.id);
  const piece = pieceWorkedOn(stage, made);
  const glued = [...new Set(stage.joints.map((joint) => name(joint.panel)))];
  const onto = [...new Set(stage.joints.map((joint) => name(joint.onto)))];
  if (glue && !step.closes)
    steps.push({
      piece,
      action: 'glue',
      glue,
      text: `${advice?.chosen === 'tape' ? 'Put tape on' : 'Glue'} the ${listed(glued, 'the ')} only where ${glued.length > 1 ? 'they' : 'it'} will lie on the ${listed(onto, 'the ')}.${keepDry(made).some((dry) => dry.step === step.id) ? ' Beyond that it would stick what must stay free.' : ''}${advice ? ` ${adhesiveSentence(advice, say)}` : ''}`.trimEnd(),
      ...(advice?.chosen === 'hot-glue' ? { caution: CAUTION.hotGlue } : {}),
      picture: { kind: 'folded', stage: i, before: true, glue },
    });
  const on = scoreWords(step, numbers);
  steps.push({
    piece,
    action: step.closes ? 'close' : step.kind === 'place' && stage.joints.length > 0 ? 'glue' : 'fold',
    ...(step.kind === 'fold' ? { score: step.hinges[0]! } : {}),
    ...(step.kind === 'fold' && step.under ? { layer: step.under } : {}),
    ...(step.closes && glue ? { glue } : {}),
    ...(!step.closes && glue ? { joins: glue } : {}),
    text: step.closes
      ? `${step.name}${on}.${glue ? ' To seal it, gum only where it lies on the paper below.' : ''}`
      : `${step.name}${on}${step.kind === 'fold' ? ', crease with a folder' : ''}.`,
    ...(step.care && { caution: CAUTION[step.care] }),
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
  return steps;
}

/** The contents go in: laid on the flat sheet, slid or put into what is folded by then. */
export function contentsSteps(
  made: Made,
  { contents, holds }: Pick<Design, 'contents' | 'holds'>,
  advice: GlueAdvice | undefined,
  say: Say,
): StepDraft[] {
  const { built, folded } = made;
  const cavity = built.cavities[0]!;
  const piece = pieceOf(built, cavity.floor).name;
  const flat = folded.stages.findIndex(({ step }) => step.id === cavity.insertAfter);
  const standing = folded.standing?.stages.findIndex(({ step }) => step.id === cavity.insertAfter) ?? -1;
  const glue = glueIds(made).get(CONTENTS);
  const box = cavity.kind === 'box';
  const picture: StepPicture =
    standing >= 0
      ? { kind: 'standing', stage: standing, inserting: true }
      : flat >= 0
        ? { kind: 'folded', stage: flat, ...(box ? {} : { inserting: true }) }
        : !box && isReady(folded, cavity)
          ? { kind: 'folded', stage: 0, before: true, inserting: true }
          : { kind: 'standing', stage: 0, before: true, inserting: true };
  const what = holds ?? 'contents';
  const plain = cavity.through
    ? `Slide it over ${holds ? `the ${holds}` : 'what it holds'}.`
    : !box || cavity.from === 'end'
      ? `Slide the ${what} in.`
      : standing >= 0
        ? `Put the ${what} in.`
        : `Lay the ${what} on it.`;
  // A holder's own sentence names the one thing it is for.
  const all = cavity.put && holds && !cavity.put.includes(holds) ? ` What goes in: the ${holds}.` : '';
  const put = `${cavity.put ?? plain}${all}`;
  const kept = contents && isPhotoSize(contents);
  const cautions = [...(cavity.food ? [CAUTION.food] : []), ...(kept ? [CAUTION.photo] : [])].join(' ');
  return [
    ...(glue
      ? [
          {
            piece,
            action: 'glue',
            glue,
            text: `Glue the inside of the ${panelName(built, cavity.floor)} where the ${cavity.id} will lie.${advice ? ` ${adhesiveSentence(advice, say)}` : ''}`.trimEnd(),
            ...(advice?.chosen === 'hot-glue' ? { caution: CAUTION.hotGlue } : {}),
            picture: { kind: 'standing', stage: 0, before: true, glue },
          } as const,
        ]
      : []),
    {
      piece,
      action: 'insert',
      text: put,
      ...(glue && { joins: glue }),
      ...(cautions && { caution: cautions }),
      picture,
    },
  ];
}

/** One step in space: its glue, the walls raised or the piece set down. */
export function standingSteps(
  stage: StandingStage,
  i: number,
  made: Made,
  numbers: ReadonlyMap<string, ScoreNumber>,
  advice: GlueAdvice | undefined,
  say: Say,
): StepDraft[] {
  const { step } = stage;
  const { built } = made;
  const [cavity] = built.cavities;
  const name = (id: string): string => (id === CONTENTS && cavity ? cavity.id : panelName(built, id));
  const steps: StepDraft[] = [];
  const glue = glueIds(made).get(step.id);
  const here = glueAreas(made).flatMap(({ id, joint }) => (id === glue ? [joint] : []));
  const hinges = step.kind === 'raise' ? step.turns.flatMap((turn) => turn.hinges) : [];
  const lead = step.kind === 'raise' ? stage.before.hinges.find(({ id }) => id === hinges[0])!.between[1] : step.panel;
  const piece = pieceOf(built, lead).name;
  if (glue) {
    const parts = [...new Set(here.map((joint) => joint.panel))];
    const glued = [...new Set(parts.map(name))];
    // Several of one name: each of them.
    const the = glued.length < parts.length ? 'each ' : 'the ';
    const onto = [...new Set(here.map((joint) => name(joint.onto)))];
    const sides = new Set(here.map(({ side }) => side));
    steps.push({
      piece,
      action: 'glue',
      glue,
      text: `Glue ${sides.size === 1 ? `the ${[...sides][0]} of ` : ''}${the}${listed(glued, the)} where ${glued.length > 1 ? 'they' : 'it'} will lie on the ${listed(onto, 'the ')}.${advice ? ` ${adhesiveSentence(advice, say)}` : ''}`.trimEnd(),
      ...(advice?.chosen === 'hot-glue' ? { caution: CAUTION.hotGlue } : {}),
      picture: { kind: 'standing', stage: i, before: true, glue },
    });
  }
  const square = step.kind === 'raise' && step.turns.every(({ angle }) => angle === 90);
  steps.push({
    piece,
    action: step.closes ? 'close' : step.kind === 'set' && glue ? 'glue' : 'fold',
    ...(hinges[0] ? { score: hinges[0] } : {}),
    text: `${step.name}${onScores(hinges, numbers)}${square && !step.closes ? ', square' : ''}.`,
    ...(step.care && { caution: CAUTION[step.care] }),
    ...(glue && { joins: glue }),
    picture: { kind: 'standing', stage: i },
  });
  return steps;
}

const notchedAfter = ({ built }: Made, cavity: string): string | undefined =>
  built.cavities.find(({ id }) => id === cavity)?.insertAfter;

/** What a finger notch bites through, in words. */
function notchLayers({ pieces }: Made): string {
  const names = pieces.flatMap(({ piece }) =>
    piece.trims.flatMap((trim) => (trim.cut.kind === 'punched' ? [trim.name] : [])),
  );
  return `the ${listed(names, 'the ')}`;
}

const scoreWords = (step: FlatWork, numbers: ReadonlyMap<string, ScoreNumber>): string =>
  step.kind === 'fold' ? onScores(step.hinges, numbers) : '';

function onScores(hinges: readonly ScoreId[], numbers: ReadonlyMap<string, ScoreNumber>): string {
  const found = [...new Set(hinges.map((id) => numbers.get(id)?.number).filter((n) => n !== undefined))];
  return found.length > 1
    ? ` on scores ${listed([...found].sort((a, b) => a - b).map(String))}`
    : found.length > 0
      ? ` on score ${found[0]}`
      : '';
}
