import type { PanelId, StepId, Piece } from '../pattern';
import {
  apply,
  boxesMeet,
  boxOf,
  plainRings,
  sharedRegion,
  type Affine,
  type Polygon,
  type Segment,
} from '../geometry';
import { bringing } from './flat/bringing';
import type { Cavity } from './flat/cavity';
import { contactsOf, type Contact } from './flat/contact';
import { carried, foldOver, tuckProblems, type Fold, type FoldProblem } from './flat/foldOver';
import { hangsOn } from './flat/hangsOn';
import { raise, type Raised, type StandingProblem, type StandingWork } from './standing';
import type { StepBasics } from './flat/assembly-step';
import { EXACT, isBroad, type Slack } from './flat/slack';
import { flatStack, hasPanel, layerOf, levelOf, type Joint, type Layer, type Stack } from './flat/stack';

/** Flat work, and the glue that goes with it. */
interface FlatStep extends StepBasics {
  /** Done before it was bought: carried out like any other, and told to nobody. */
  readonly bought?: true;
  /** Panels the moving paper is glued to as it comes down. */
  readonly gluedTo?: readonly PanelId[];
  /** Where alone the glue goes, on the flat sheet of the moving paper; all that meets when left out. */
  readonly glueWithin?: readonly Polygon<'sheet'>[];
  /** The same for moving panels that were cut anew, on sheets of their own. */
  readonly glueWithinOn?: Readonly<Record<string, readonly Polygon<'sheet'>[]>>;
}

/** One fold of the assembly. Without `moving`, all that hangs on the moving side of its hinges moves. */
export interface AssemblyFold extends FlatStep, Omit<Fold, 'moving'> {
  readonly kind: 'fold';
  readonly moving?: readonly PanelId[];
}

/** A piece, folded as far as it is, laid onto another: one line of it on a line of a panel there. */
export interface AssemblyPlace extends FlatStep {
  readonly kind: 'place';
  /** Any panel of the paper that is laid down. */
  readonly panel: PanelId;
  readonly onto: PanelId;
  /** The line on the sheet of `panel`, and the one on the sheet of `onto` that it comes to lie on, end to end. */
  readonly line: Segment<'sheet'>;
  readonly on: Segment<'sheet'>;
  /** Turned over before it is laid down. */
  readonly over: boolean;
  /**
   * Where in the pile: on top, underneath all, or into the gap just above or below a panel; or slid over some panels that
   * lie on each other, its own layers from `from` upwards above them and the others below.
   */
  readonly level:
    | 'top'
    | 'bottom'
    | { readonly above: PanelId }
    | { readonly below: PanelId }
    | { readonly slidOver: readonly PanelId[]; readonly from: PanelId };
}

/** Work on flat piles. */
export type FlatWork = AssemblyFold | AssemblyPlace;
/** Flat work comes first; from the first wall that is raised, all the rest is done in space. */
export type AssemblyStep = FlatWork | StandingWork;

/** The thing after one step: the pile that was worked on, before and after, and what a glued part came down on. */
export interface Stage {
  readonly step: FlatWork;
  /** Every panel that moved. */
  readonly moving: readonly PanelId[];
  readonly before: Stack;
  readonly stack: Stack;
  readonly contacts: readonly Contact[];
  /** Where it was glued. */
  readonly joints: readonly Joint[];
}

/** Pieces folded and joined from flat to finished: every stage, and everything that could not be done. */
export interface Folded {
  /** The first piece as the making begins: flat, or folded as it was bought. */
  readonly flat: Stack;
  readonly stages: readonly Stage[];
  /** Stages of what was done before a piece was bought. */
  readonly earlier: readonly Stage[];
  /** The pile of the first piece once all flat work is done. */
  readonly finished: Stack;
  /** What is raised from the piles; null for what stays flat. */
  readonly standing: Raised | null;
  /** How far off it was folded with, and is judged with. */
  readonly slack: Slack;
  readonly problems: readonly AnyProblem[];
}

/** Why a step cannot be done, flat or standing. */
export type AnyProblem = FoldProblem | StandingProblem;

/**
 * Folds and joins pieces step by step. Each piece starts as a pile of its own; placing one makes two piles one.
 * Glue joints are read off where the paper really meets.
 * @param slack how far off the lines of these pieces may be: rounding alone for a pattern, more for a sheet cut by hand
 */
export function assemble(pieces: readonly Piece[], steps: readonly AssemblyStep[], slack: Slack = EXACT): Folded {
  const flats = pieces.map(flatStack);
  let piles: readonly Stack[] = flats;
  const pileWith = (panel: PanelId): Stack => {
    const pile = piles.find((p) => hasPanel(p, panel));
    if (!pile) throw new Error(`no piece has a panel ${panel}`);
    return pile;
  };
  const main = pieces.find(({ source }) => source === 'made') ?? pieces[0]!;
  let flat = flats[pieces.indexOf(main)]!;
  const stages: Stage[] = [];
  const earlier: Stage[] = [];
  const problems: AnyProblem[] = [];
  const rising = steps.findIndex(isStanding);
  const flatWork = steps.slice(0, rising < 0 ? steps.length : rising) as readonly FlatWork[];
  for (const step of flatWork) {
    const done = step.kind === 'fold' ? turn(piles, step, slack) : lay(pileWith, step, slack);
    problems.push(...done.problems);
    const { gluedTo } = step;
    const contacts = gluedTo ? contactsMade(done.stack, done.moving, gluedTo) : [];
    const joints = contacts
      .filter((contact) => contact.onto !== null && gluedTo!.includes(contact.onto))
      .flatMap((contact): Joint[] => {
        const within = step.glueWithinOn?.[contact.panel] ?? step.glueWithin;
        const met = within
          ? plainRings(contact.polygons.flatMap((ring) => within.flatMap((w) => sharedRegion([ring], [w]))))
          : contact.polygons;
        // Paper that only just reaches over a fold that lies a little off is not glued there.
        const polygons = met.filter((ring) => isBroad(ring, slack));
        return polygons.length > 0
          ? [
              {
                id: `glue-${contact.panel}-${contact.onto}`,
                panel: contact.panel,
                onto: contact.onto!,
                side: contact.side,
                polygons,
              },
            ]
          : [];
      });
    const stack = { ...done.stack, joints: [...done.stack.joints, ...joints] };
    const stage = { step, moving: done.moving, before: done.before, stack, contacts, joints };
    (step.bought ? earlier : stages).push(stage);
    if (step.bought && stages.length === 0 && hasPanel(stack, main.panels[0]!.id)) flat = stack;
    piles = [...piles.filter((pile) => !done.used.includes(pile)), stack];
  }
  const finished = pileWith(main.panels[0]!.id);
  const standing =
    rising < 0
      ? null
      : raiseAll(pieces, [finished, ...piles.filter((pile) => pile !== finished)], steps.slice(rising), slack);
  return {
    flat,
    stages,
    earlier,
    finished,
    standing,
    slack,
    problems: [...problems, ...(standing?.problems ?? [])],
  };
}

const isStanding = (step: AssemblyStep): step is StandingWork => step.kind === 'raise' || step.kind === 'set';

function raiseAll(
  pieces: readonly Piece[],
  piles: readonly Stack[],
  steps: readonly AssemblyStep[],
  slack: Slack,
): Raised {
  const late = steps.find((step) => !isStanding(step));
  if (late) throw new Error(`${late.id} is flat work, and comes after walls were raised`);
  return raise(pieces, piles, steps as readonly StandingWork[], slack);
}

interface Done {
  readonly before: Stack;
  readonly stack: Stack;
  readonly moving: readonly PanelId[];
  readonly problems: readonly FoldProblem[];
  readonly used: readonly Stack[];
}

function turn(piles: readonly Stack[], step: AssemblyFold, slack: Slack): Done {
  const before = piles.find((pile) => pile.hinges.some((hinge) => hinge.id === step.hinges[0]));
  if (!before) throw new Error(`fold ${step.id} names no hinge of any piece`);
  const hanging = step.moving ? null : hangsOn(before, step.hinges);
  const moving = step.moving ?? before.layers.flatMap(({ panel }) => (hanging!.has(panel) ? [panel] : []));
  const { stack, problems } = foldOver(before, { ...step, moving }, slack);
  // A strip that goes round an edge moves, and then lies in no pile.
  const lying = moving.filter((panel) => hasPanel(stack, panel));
  return { before, stack, moving: lying, problems, used: [before] };
}

function lay(pileWith: (panel: PanelId) => Stack, step: AssemblyPlace, slack: Slack): Done {
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
  const { layers, problems } =
    typeof level === 'object' && 'slidOver' in level
      ? slid({ ...part, layers: laid }, base, level, step, slack)
      : laidAt(laid, base, level, step, slack);
  return {
    before: base,
    stack: {
      layers,
      hinges: [...base.hinges, ...part.hinges],
      joints: [...base.joints, ...part.joints],
    },
    moving: laid.map((layer) => layer.panel),
    problems,
    used: [part, base],
  };
}

type Level = AssemblyPlace['level'];
type SlidOver = Extract<Level, { readonly slidOver: unknown }>;
interface LaidPile {
  readonly layers: readonly Layer[];
  readonly problems: readonly FoldProblem[];
}

/** Paper laid into a pile in one piece. */
function laidAt(
  laid: readonly Layer[],
  base: Stack,
  level: Exclude<Level, SlidOver>,
  step: AssemblyPlace,
  slack: Slack,
): LaidPile {
  const at =
    level === 'top'
      ? base.layers.length
      : level === 'bottom'
        ? 0
        : 'above' in level
          ? levelOf(base, level.above) + 1
          : levelOf(base, level.below);
  return {
    layers: [...base.layers.slice(0, at), ...laid, ...base.layers.slice(at)],
    problems: typeof level === 'string' ? [] : tuckProblems(base, step, at, laid, slack),
  };
}

/** A pocket slid over paper of the pile: nothing of its own may tie its two walls together where that comes to lie. */
function slid(part: Stack, base: Stack, { slidOver, from }: SlidOver, step: AssemblyPlace, slack: Slack): LaidPile {
  const levels = slidOver.map((panel) => levelOf(base, panel));
  const [low, high] = [Math.min(...levels), Math.max(...levels)];
  if (high - low + 1 !== slidOver.length)
    throw new Error(`${step.id}: ${slidOver.join(', ')} do not lie on each other`);
  const at = levelOf(part, from);
  const inner = base.layers.slice(low, high + 1);
  return {
    layers: [
      ...base.layers.slice(0, low),
      ...part.layers.slice(0, at),
      ...inner,
      ...part.layers.slice(at),
      ...base.layers.slice(high + 1),
    ],
    problems: tuckProblems(part, step, at, inner, slack),
  };
}

/**
 * What the moved panels that come to lie on what they are glued to meet, above and below; paper that moved together
 * does not meet itself anew.
 */
function contactsMade(stack: Stack, moving: readonly PanelId[], gluedTo: readonly PanelId[]): readonly Contact[] {
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

/** True where contents can go in before anything is done: into what lies flat, or what is bought with its pocket shut. */
export const isReady = ({ earlier }: Folded, { insertAfter }: Cavity): boolean =>
  insertAfter === 'flat' || earlier.some(({ step }) => step.id === insertAfter);

/** The stage after the step of that id. Throws when none has it. */
export function stageAfter(folded: Folded, step: StepId): Stage {
  const stage = [...folded.earlier, ...folded.stages].find((s) => s.step.id === step);
  if (!stage) throw new Error(`no step is called ${step}`);
  return stage;
}
