/** What the words of a step name is in its picture: walked over every holder with everything that can go with it. */
import fc from 'fast-check';
import { anyLayers, contentsFirst, planOf } from '../../../tests/helpers/designs';
import { runs } from '../../../tests/helpers/runs';
import { CONSTRUCTIONS } from '../constructions';
import { hasPanel } from '../fold';
import { scoresRun, type Move } from '../tools';
import { CLOSURES, type DesignInput } from '../design';
import { partNamed, type Plan, allNumbers } from '../plan';
import { stepScene, dressing, gluedFlat } from '../looks';
import { sayer } from '../length';
import { stepsOf } from './steps';
import type { Action, Step } from './step';

const say = sayer('in', '1/8 in');

/** What a move is that makes a step of that action. */
const DOES: Partial<Record<Action, (move: Move) => boolean>> = {
  punch: (move) => ['punch', 'relief', 'bite', 'hole'].includes(move.do),
  score: (move) => scoresRun(move).length > 0,
  mark: (move) => move.do === 'mark',
  turn: (move) => move.do === 'turn',
  trim: (move) => ['cut', 'slit', 'round', 'snip', 'bite'].includes(move.do),
};

/** The numbers of the scores that a sentence names: “score 3”, “scores 1, 2 and 4”, “scores 5 to 7”. */
function scoresNamed(text: string): number[] {
  return [...text.matchAll(/scores? ((?:\d+(?:, | and | to )?)+)/g)].flatMap(([, list]) => {
    const range = /^(\d+) to (\d+)/.exec(list!);
    if (range) return Array.from({ length: Number(range[2]) - Number(range[1]) + 1 }, (_, i) => Number(range[1]) + i);
    return [...list!.matchAll(/\d+/g)].map(Number);
  });
}

/** What is wrong with a step's picture; empty where it shows what its words name. */
function missing(step: Step, plan: Plan): string[] {
  const made = plan.made!;
  const { design } = plan;
  const { picture, text } = step;
  const wrong: string[] = [];
  const want = (holds: boolean, what: string): void => void (holds || wrong.push(what));
  const numbers = allNumbers(made);
  const named = scoresNamed(text);
  if (picture.kind === 'flat' && !picture.done) {
    const part = partNamed(made, picture.piece);
    if (picture.glued) {
      // The sheet that takes it, seen from where it is glued on: the layer, or the ribbon it goes over.
      const { laid, ribbon } = gluedFlat(made, design, picture.piece, picture.glued);
      const layer = made.layers.find((one) => one.piece.name === step.piece)?.layer;
      if (layer)
        want(layer.laid?.side === picture.glued.side && laid.at(-1) === layer.laid?.polygon, `the ${step.piece}`);
      else want(laid.length === 0 && (ribbon !== null || made.folded.standing !== null), 'the ribbon');
      for (const n of named)
        want(picture.glued.from !== undefined && numbers.get(picture.glued.from)?.number === n, `${n}`);
    } else want(picture.piece === step.piece, `the ${step.piece}`);
    const moves = part.programme.moves.slice(0, picture.moves);
    const fresh = moves.slice(moves.length - picture.fresh);
    const near = /edge (\d) near you/.exec(text);
    if (near) want(Number(near[1]) === picture.near, `edge ${near[1]} near`);
    const does = DOES[step.action];
    if (does && picture.fresh > 0) want(fresh.some(does), step.action);
    const drawn = new Set(moves.flatMap(scoresRun).map((id) => numbers.get(id)?.number));
    for (const n of named) want(drawn.has(n), `score ${n}`);
    return wrong;
  }
  // Panels that are drawn.
  // What is never folded is finished as it lies.
  const { faces, marks } = stepScene(made, design, picture);
  const shows = (panel: string): boolean =>
    picture.kind === 'flat' ? hasPanel(made.folded.finished, panel) : faces.some((face) => face.panel === panel);
  const glued =
    faces.some(({ stuff }) => stuff === 'glue') || marks.some((mark) => mark.kind === 'area' && mark.of === 'glue');
  if (step.action === 'glue' && step.glue && !step.joins) {
    want(picture.kind !== 'flat' && picture.glue === step.glue, 'its glue by name');
    want(glued, 'its glue');
  }
  // Scores that run on in one line have one number: one of them is enough.
  const { hinges } = partNamed(made, step.piece).piece;
  for (const n of named) {
    const own = hinges.filter(({ id }) => numbers.get(id)?.number === n);
    if (own.length > 0)
      want(
        own.some(({ between }) => between.some(shows)),
        `score ${n}`,
      );
  }
  // Longest first: “the far wall of the lid” is not the box's far wall.
  const panels = made.built.pieces.flatMap((piece) => piece.panels);
  const names = [...new Set([...panels.map(({ name }) => name), ...made.built.pieces.map(({ name }) => name)])];
  let left = text;
  for (const name of names.sort((one, other) => other.length - one.length)) {
    const words = new RegExp(`\\bthe ${name}\\b`, 'g');
    if (!words.test(left)) continue;
    left = left.replace(words, '');
    const own = panels.filter((panel) => panel.name === name);
    if (own.length > 0)
      want(
        own.some(({ id }) => shows(id)),
        `the ${name}`,
      );
  }
  if (step.action === 'insert' && made.built.cavities[0]?.kind !== 'box')
    want(picture.kind !== 'flat' && picture.inserting === true, 'the contents');
  if (picture.done) {
    const { laid, closure } = dressing(made, design, picture.done);
    if (/the mat/.test(text) && picture.done === 'layer') want(laid.length > 0, 'the mat');
    if (picture.done === 'closure') want(closure !== null, 'what shuts it');
  }
  return wrong;
}

test.each(CONSTRUCTIONS.map((construction) => [construction.name, construction] as const))(
  '%s: every step’s picture shows what its words name',
  (_name, construction) => {
    let walked = 0;
    const extras = fc.record({
      closure: fc.constantFrom(...CLOSURES).map((kind) => ({ kind })),
      layers: anyLayers,
    });
    fc.assert(
      fc.property(contentsFirst(construction), extras, (input, more) => {
        const plan = planOf({ ...input, ...more } as DesignInput);
        fc.pre(plan.made !== null);
        for (const step of stepsOf(plan, say)) {
          expect([step.text, missing(step, plan)]).toEqual([step.text, []]);
          walked++;
        }
      }),
      runs(6),
    );
    expect(walked).toBeGreaterThan(0);
  },
);
