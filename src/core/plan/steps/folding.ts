import type { Say } from '../../length';
import type { FlatWork, Stage, StandingStage } from '../../fold';
import { glueIds, keepDry, type GlueAdvice } from '../work/glue';
import type { ScoreNumber } from '../work/numbers';
import { panelName, pieceOf, type Made } from '../plan';
import { adhesiveSentence, CAUTION } from '../words';
import { listed } from '../../text';
import type { Draft } from './step';

/** One step of the assembly: its glue, the fold or the laying, the notch punched late, the contents. */
export function assemblySteps(
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
  const [cavity] = built.cavities;
  if (cavity?.insertAfter === step.id)
    steps.push({
      piece: pieceOf(built, cavity.floor).name,
      action: 'insert',
      ...(cavity.kind === 'box'
        ? { text: 'Lay the contents on it.', picture: { kind: 'folded', stage: i } }
        : {
            text: cavity.through ? 'Slide it over what it holds.' : 'Slide the contents in.',
            picture: { kind: 'folded', stage: i, inserting: true },
          }),
    });
  return steps;
}

/** One step in space: its glue, the walls raised or the piece set down, the contents. */
export function standingSteps(
  stage: StandingStage,
  i: number,
  made: Made,
  numbers: ReadonlyMap<string, ScoreNumber>,
  advice: GlueAdvice | undefined,
  say: Say,
): Draft[] {
  const { step } = stage;
  const { built } = made;
  const name = (id: string): string => panelName(built, id);
  const steps: Draft[] = [];
  const glue = glueIds(made).get(step.id);
  const hinges = step.kind === 'raise' ? step.turns.flatMap((turn) => turn.hinges) : [];
  const lead = step.kind === 'raise' ? stage.before.hinges.find(({ id }) => id === hinges[0])!.between[1] : step.panel;
  const piece = pieceOf(built, lead).name;
  if (glue) {
    const parts = [...new Set(stage.joints.map((joint) => joint.panel))];
    const glued = [...new Set(parts.map(name))];
    // Several of one name: each of them.
    const the = glued.length < parts.length ? 'each ' : 'the ';
    const onto = [...new Set(stage.joints.map((joint) => name(joint.onto)))];
    const sides = new Set(stage.joints.map(({ side }) => side));
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
    action: step.closes ? 'close' : 'fold',
    ...(hinges[0] ? { score: hinges[0] } : {}),
    text: `${step.name}${onScores(hinges, numbers)}${square && !step.closes ? ', square' : ''}${glue ? ' and hold until the glue grips' : ''}.`,
    picture: { kind: 'standing', stage: i },
  });
  const [cavity] = built.cavities;
  if (cavity?.insertAfter === step.id)
    steps.push({
      piece: pieceOf(built, cavity.floor).name,
      action: 'insert',
      text: cavity.through
        ? 'Slide it over what it holds.'
        : cavity.kind === 'box' && cavity.from === 'end'
          ? 'Slide the contents in.'
          : 'Put the contents in.',
      picture: { kind: 'standing', stage: i, inserting: true },
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

function onScores(hinges: readonly string[], numbers: ReadonlyMap<string, ScoreNumber>): string {
  const found = [...new Set(hinges.map((id) => numbers.get(id)?.number).filter((n) => n !== undefined))];
  return found.length > 1
    ? ` on scores ${listed([...found].sort((a, b) => a - b).map(String))}`
    : found.length > 0
      ? ` on score ${found[0]}`
      : '';
}
