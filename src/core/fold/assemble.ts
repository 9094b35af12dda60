import {
  apply,
  boxesMeet,
  boxOf,
  compose,
  direction,
  plainRings,
  sharedRegion,
  type Affine,
  type Polygon,
  type Segment,
} from '../geometry';
import type { Piece } from '../pattern';
import { contactsOf, type Contact } from './contact';
import { carried, foldOver, tuckProblems, type Fold, type FoldProblem } from './foldOver';
import { flatStack, hasPanel, layerOf, levelOf, type Joint, type Stack } from './stack';

/** What folding and placing have in common: a name, and the glue that goes with it. */
interface Step {
  readonly id: string;
  /** What a maker does: `Fold the left flap over`. */
  readonly name: string;
  /** Panels the moving paper is glued to as it comes down. */
  readonly gluedTo?: readonly string[];
  /** Where alone the glue goes, on the flat sheet of the moving paper; all that meets when left out. */
  readonly glueWithin?: readonly Polygon<'sheet'>[];
  /** Set on the step that closes the holder over its contents. */
  readonly closes?: boolean;
  /** Steps that must come before this one besides those the paper itself demands. */
  readonly after?: readonly string[];
}

/** One fold of the assembly. Without `moving`, all that hangs on the moving side of its hinges moves. */
export interface AssemblyFold extends Step, Omit<Fold, 'moving'> {
  readonly kind: 'fold';
  readonly moving?: readonly string[];
}

/** A piece, folded as far as it is, laid onto another: one line of it on a line of a panel there. */
export interface AssemblyPlace extends Step {
  readonly kind: 'place';
  /** Any panel of the paper that is laid down. */
  readonly panel: string;
  readonly onto: string;
  /** The line on the sheet of `panel`, and the one on the sheet of `onto` that it comes to lie on, end to end. */
  readonly line: Segment<'sheet'>;
  readonly on: Segment<'sheet'>;
  /** Turned over before it is laid down. */
  readonly over: boolean;
  /** Where in the pile: on top, underneath all, or into the gap just above or below a panel. */
  readonly level: 'top' | 'bottom' | { readonly above: string } | { readonly below: string };
}

export type AssemblyStep = AssemblyFold | AssemblyPlace;

/** The thing after one step: the pile that was worked on, before and after, and what a glued part came down on. */
export interface Stage {
  readonly step: AssemblyStep;
  /** Every panel that moved. */
  readonly moving: readonly string[];
  readonly before: Stack;
  readonly stack: Stack;
  readonly contacts: readonly Contact[];
  /** Where it was glued. */
  readonly joints: readonly Joint[];
}

/** Pieces folded and joined from flat to finished: every stage, and everything that could not be done. */
export interface Folded {
  /** The first piece as it lies flat. */
  readonly flat: Stack;
  readonly stages: readonly Stage[];
  readonly finished: Stack;
  readonly problems: readonly FoldProblem[];
}

/**
 * Folds and joins pieces step by step. Each piece starts as a pile of its own; placing one makes two piles one.
 * Glue joints are read off where the paper really meets.
 */
export function assemble(pieces: readonly Piece[], steps: readonly AssemblyStep[]): Folded {
  const flats = pieces.map(flatStack);
  let piles: readonly Stack[] = flats;
  const pileWith = (panel: string): Stack => {
    const pile = piles.find((p) => hasPanel(p, panel));
    if (!pile) throw new Error(`no piece has a panel ${panel}`);
    return pile;
  };
  const stages: Stage[] = [];
  const problems: FoldProblem[] = [];
  for (const step of steps) {
    const done = step.kind === 'fold' ? turn(piles, step) : lay(pileWith, step);
    problems.push(...done.problems);
    const { gluedTo } = step;
    const contacts = gluedTo ? contactsMade(done.stack, done.moving, gluedTo) : [];
    const joints = contacts
      .filter((contact) => contact.onto !== null && gluedTo!.includes(contact.onto))
      .flatMap((contact): Joint[] => {
        const polygons = step.glueWithin
          ? plainRings(contact.polygons.flatMap((ring) => step.glueWithin!.flatMap((w) => sharedRegion([ring], [w]))))
          : contact.polygons;
        return polygons.length > 0
          ? [{ id: `glue-${contact.panel}-${contact.onto}`, panel: contact.panel, onto: contact.onto!, polygons }]
          : [];
      });
    const stack = { ...done.stack, joints: [...done.stack.joints, ...joints] };
    stages.push({ step, moving: done.moving, before: done.before, stack, contacts, joints });
    piles = [...piles.filter((pile) => !done.used.includes(pile)), stack];
  }
  const main = pieces.find((piece) => !piece.given) ?? pieces[0]!;
  return { flat: flats[pieces.indexOf(main)]!, stages, finished: pileWith(main.panels[0]!.id), problems };
}

interface Done {
  readonly before: Stack;
  readonly stack: Stack;
  readonly moving: readonly string[];
  readonly problems: readonly FoldProblem[];
  readonly used: readonly Stack[];
}

function turn(piles: readonly Stack[], step: AssemblyFold): Done {
  const before = piles.find((pile) => pile.hinges.some((hinge) => hinge.id === step.hinges[0]));
  if (!before) throw new Error(`fold ${step.id} names no hinge of any piece`);
  const moving = step.moving ?? hangsOn(before, step.hinges);
  const { stack, problems } = foldOver(before, { ...step, moving });
  return { before, stack, moving, problems, used: [before] };
}

/** Every panel that hangs together with the moving side of some hinges once these let go: by hinges and by glue. */
export function hangsOn(stack: Stack, hinges: readonly string[]): readonly string[] {
  const links = [
    ...stack.hinges.filter((hinge) => !hinges.includes(hinge.id)).map((hinge) => hinge.between),
    ...stack.joints.map((joint) => [joint.panel, joint.onto] as const),
  ];
  const found = new Set(stack.hinges.filter(({ id }) => hinges.includes(id)).map(({ between }) => between[1]));
  for (let grew = true; grew;) {
    grew = false;
    for (const [a, b] of links)
      if (found.has(a) !== found.has(b)) {
        found.add(a).add(b);
        grew = true;
      }
  }
  return stack.layers.map((layer) => layer.panel).filter((panel) => found.has(panel));
}

function lay(pileWith: (panel: string) => Stack, step: AssemblyPlace): Done {
  const [part, base] = [pileWith(step.panel), pileWith(step.onto)];
  if (part === base) throw new Error(`${step.id}: ${step.panel} and ${step.onto} are in one pile already`);
  const line = (map: Affine, { from, to }: Segment<'sheet'>): Segment<'folded'> => ({
    from: apply(map, from),
    to: apply(map, to),
  });
  const map = bringing(
    line(layerOf(part, step.panel).map, step.line),
    line(layerOf(base, step.onto).map, step.on),
    step.over,
  );
  const laid = carried(part.layers, map, step.over);
  const { level } = step;
  const at =
    level === 'top'
      ? base.layers.length
      : level === 'bottom'
        ? 0
        : 'above' in level
          ? levelOf(base, level.above) + 1
          : levelOf(base, level.below);
  const stack = {
    layers: [...base.layers.slice(0, at), ...laid, ...base.layers.slice(at)],
    hinges: [...base.hinges, ...part.hinges],
    joints: [...base.joints, ...part.joints],
  };
  return {
    before: base,
    stack,
    moving: laid.map((layer) => layer.panel),
    problems: typeof level === 'string' ? [] : tuckProblems(base, step, at, laid),
    used: [part, base],
  };
}

/** The rigid map that brings one line onto another, start to start; `over` turns the paper over on the way. */
function bringing(line: Segment, on: Segment, over: boolean): Affine {
  const [u, v] = [direction(line.from, line.to), direction(on.from, on.to)];
  // Columns of the turn that takes u to v, as a rotation or as a reflection.
  const [cos, sin] = over
    ? [u.x * v.x - u.y * v.y, u.x * v.y + u.y * v.x]
    : [u.x * v.x + u.y * v.y, u.x * v.y - u.y * v.x];
  const turning: Affine = over ? [cos, sin, sin, -cos, 0, 0] : [cos, sin, -sin, cos, 0, 0];
  const start = apply(turning, line.from);
  return compose([1, 0, 0, 1, on.from.x - start.x, on.from.y - start.y], turning);
}

/**
 * What the moved panels that come to lie on what they are glued to meet, above and below; paper that moved together
 * does not meet itself anew.
 */
function contactsMade(stack: Stack, moving: readonly string[], gluedTo: readonly string[]): readonly Contact[] {
  const targets = stack.layers.filter((layer) => gluedTo.includes(layer.panel)).map((layer) => boxOf(layer.polygon));
  return moving
    .filter((panel) => {
      const box = boxOf(layerOf(stack, panel).polygon);
      return targets.some((target) => boxesMeet(box, target));
    })
    .flatMap((panel) =>
      (['under', 'over'] as const)
        .flatMap((where) => contactsOf(stack, panel, where))
        .filter(({ onto }) => onto !== null && !moving.includes(onto)),
    );
}

/** The stage after the step of that id. Throws when none has it. */
export function stageAfter(folded: Folded, step: string): Stage {
  const stage = folded.stages.find((s) => s.step.id === step);
  if (!stage) throw new Error(`no step is called ${step}`);
  return stage;
}
