import type { PanelId, StepId, Panel, Piece } from '../../pattern';
import {
  anticlockwise,
  applyAll,
  area,
  betweenSheets,
  boxOf3,
  cross3,
  direction3,
  dot3,
  intersection,
  length3,
  minus3,
  plus3,
  poseOf,
  posed,
  poseWithin,
  seenFrom,
  seenPose,
  turnedAbout,
  type Line3,
  type Pose,
  type Polygon,
  type Segment,
  type Vec,
  centre3,
} from '../../geometry';
import type { Mm } from '../../length';
import type { StepBasics } from '../flat/assembly-step';
import { bringing } from '../flat/bringing';
import { hangsOn, reached } from '../flat/hangsOn';
import { EXACT, type Slack } from '../flat/slack';
import type { Joint, Side, Stack } from '../flat/stack';
import { passThrough } from './crossing';
import { carriedLeaf, leafOf, standingOf, type Leaf, type Standing, type Touch } from './pose';

/** Paper is looked at every so many degrees of a turn. */
const LOOK = 5;
/** How far a thing that is set down is lifted before, as a share of its height. */
const LIFTS = [1, 0.8, 0.6, 0.4, 0.2, 0.1, 0.05];
/** Room left between piles that lie side by side, mm. */
const ASIDE = 25;

/** Paper glued to paper as it comes to stand: `panel` on that face of `onto`. */
export interface Join {
  readonly panel: PanelId;
  readonly onto: PanelId;
  readonly face: Side;
}

interface StandingStep extends StepBasics {
  readonly joins?: readonly Join[];
}

/** Hinges turned in space: those of one turn share a line; turns of one step go together. */
export interface AssemblyRaise extends StandingStep {
  readonly kind: 'raise';
  readonly turns: readonly { readonly hinges: readonly [string, ...string[]]; readonly angle: number }[];
}

/** Paper that stands by itself, set down: a line of it over a line on the sheet of `onto`, so far above that. */
export interface AssemblySet extends StandingStep {
  readonly kind: 'set';
  readonly panel: PanelId;
  readonly onto: PanelId;
  readonly line: Segment<'sheet'>;
  readonly on: Segment<'sheet'>;
  /** Turned over before it is set down. */
  readonly over: boolean;
  readonly above: Mm;
}

export type StandingWork = AssemblyRaise | AssemblySet;

/** Why a step in space cannot be done as told. */
export interface StandingProblem {
  readonly code: 'joint_off_line' | 'blocked' | 'passes_through' | 'apart' | 'wrong_face';
  readonly fold: StepId;
  readonly panel: PanelId;
  readonly by: string;
}

/** Panels that turn together about one line, by an angle in radians; or are carried straight by a vector. */
export type Motion =
  | { readonly kind: 'turn'; readonly moving: ReadonlySet<string>; readonly line: Line3; readonly angle: number }
  | { readonly kind: 'carry'; readonly moving: ReadonlySet<string>; readonly from: Vec };

export interface StandingStage {
  readonly step: StandingWork;
  readonly before: Standing;
  readonly motions: readonly Motion[];
  readonly after: Standing;
  readonly joints: readonly Joint[];
}

/** Everything raised from flat piles: how it lay, every stage, and how it stands. */
export interface Raised {
  readonly start: Standing;
  readonly stages: readonly StandingStage[];
  readonly finished: Standing;
  readonly problems: readonly StandingProblem[];
}

/** Where the motions have brought the paper at a share of their way, 0 to 1. */
export function midway(before: Standing, motions: readonly Motion[], share: number): readonly Leaf[] {
  const moves = motions.map((motion) => ({
    moving: motion.moving,
    move:
      motion.kind === 'turn'
        ? turnedAbout(motion.line, motion.angle * share)
        : (pose: Pose): Pose => ({ ...pose, o: plus3(pose.o, motion.from, 1 - share) }),
  }));
  return before.leaves.map((l) => {
    const own = moves.find(({ moving }) => moving.has(l.panel.id));
    return own ? carriedLeaf(l, own.move) : l;
  });
}

/**
 * Raises walls from flat piles step by step. Each turn is watched every five degrees: nothing may pass through
 * anything, and what comes to lie on other paper lies on the face it came from.
 */
export function raise(
  pieces: readonly Piece[],
  piles: readonly Stack[],
  steps: readonly StandingWork[],
  slack: Slack = EXACT,
): Raised {
  const panels = new Map(pieces.flatMap((piece) => piece.panels.map((p): [string, Panel] => [p.id, p])));
  const start = sideBySide(piles, panels);
  const stages: StandingStage[] = [];
  const problems: StandingProblem[] = [];
  let now = start;
  for (const step of steps) {
    const done = step.kind === 'raise' ? turn(now, step, slack) : setDown(now, step, slack);
    stages.push(done.stage);
    problems.push(...done.problems);
    now = done.stage.after;
  }
  return { start, stages, finished: now, problems };
}

function sideBySide(piles: readonly Stack[], panels: ReadonlyMap<string, Panel>): Standing {
  let right = 0;
  const parts = piles.map((pile, i): Standing => {
    const lying = standingOf(pile, panels);
    const [least, most] = boxOf3(lying.leaves.flatMap((l) => l.corners));
    const aside = i === 0 ? 0 : right - least.x;
    right = aside + most.x + ASIDE;
    return i === 0 ? lying : standingOf(pile, panels, aside);
  });
  return {
    leaves: parts.flatMap((p) => p.leaves),
    hinges: parts.flatMap((p) => p.hinges),
    joints: parts.flatMap((p) => p.joints),
    touches: parts.flatMap((p) => p.touches),
  };
}

interface Done {
  readonly stage: StandingStage;
  readonly problems: readonly StandingProblem[];
}

function turn(before: Standing, step: AssemblyRaise, slack: Slack): Done {
  const problems: StandingProblem[] = [];
  const motions = step.turns.map(({ hinges, angle }): Motion & { kind: 'turn' } => {
    const lead = before.hinges.find(({ id }) => id === hinges[0]);
    if (!lead) throw new Error(`${step.id} turns no hinge that is there`);
    const still = leafOf(before, lead.between[0]);
    const line = { from: posed(still.pose, lead.line.from), to: posed(still.pose, lead.line.to) };
    const moving = hangsOn(before, hinges);
    // Held together some other way, both sides would go along: the hinge is fast.
    if (moving.has(lead.between[0]))
      problems.push({ code: 'joint_off_line', fold: step.id, panel: lead.between[1], by: lead.between[0] });
    for (const [by, panel, off] of heldAcross(before, moving, line))
      if (off > slack.lines) problems.push({ code: 'joint_off_line', fold: step.id, panel, by });
    // A valley turns towards the inside face of what stays, a mountain away from it.
    const furthest = mostOff(leafOf(before, lead.between[1]).corners, line);
    const rising = dot3(cross3(direction3(line), minus3(furthest, line.from)), still.pose.normal) > 0;
    const sign = rising === (lead.fold === 'valley') ? 1 : -1;
    return { kind: 'turn', moving, line, angle: (sign * angle * Math.PI) / 180 };
  });
  problems.push(...pushed(before, motions, step.id, slack));
  const looks = Math.max(2, Math.ceil(Math.max(...step.turns.map(({ angle }) => angle)) / LOOK));
  return finish(
    before,
    step,
    motions,
    Array.from({ length: looks }, (_, i) => (i + 1) / looks),
    problems,
    slack,
  );
}

function setDown(before: Standing, step: AssemblySet, slack: Slack): Done {
  const onto = leafOf(before, step.onto);
  const own = leafOf(before, step.panel);
  const moving = reached(before, [step.panel]);
  if (moving.has(step.onto)) throw new Error(`${step.id}: ${step.panel} and ${step.onto} are one thing already`);
  const target = poseWithin(onto.pose, poseOf(bringing(step.line, step.on, step.over), step.above));
  const moved = before.leaves.map((l) =>
    moving.has(l.panel.id) ? carriedLeaf(l, (pose) => poseWithin(target, seenPose(own.pose, pose))) : l,
  );
  const [least, most] = boxOf3(moved.filter((l) => moving.has(l.panel.id)).flatMap((l) => l.corners));
  const height = Math.abs(dot3(minus3(most, least), onto.pose.normal)) + 10;
  // From the side of the face it is to lie on; a lid comes from over the inside.
  const side = (step.joins?.some(({ face }) => face === 'outside') ? -1 : 1) * height;
  const { normal } = onto.pose;
  const down: Motion = { kind: 'carry', moving, from: { x: normal.x * side, y: normal.y * side, z: normal.z * side } };
  const lying = { ...before, leaves: moved };
  return finish(lying, step, [down], [...LIFTS.map((lift) => 1 - lift), 1], [], slack);
}

/** Carries the motions out, watching; then says what lies on what, and glues. */
function finish(
  before: Standing,
  step: StandingWork,
  motions: readonly Motion[],
  shares: readonly number[],
  found: readonly StandingProblem[],
  slack: Slack,
): Done {
  const problems = [...found];
  const groups = before.leaves.map(({ panel }) => motions.findIndex(({ moving }) => moving.has(panel.id)));
  // Only paper that moves against other paper can meet it: each such pair once, whichever of the two moves.
  const looks = [before.leaves, ...shares.map((share) => midway(before, motions, share))];
  const [last, leaves] = looks.slice(-2) as [readonly Leaf[], readonly Leaf[]];
  const pairs = groups.flatMap((group, i) =>
    groups.flatMap((other, k) => (group < 0 || group === other || (other >= 0 && k < i) ? [] : [[i, k] as const])),
  );
  const through = new Set<number>();
  for (const look of looks.slice(1))
    pairs.forEach(([i, k], n) => {
      const [a, b] = [look[i]!, look[k]!];
      if (through.has(n) || !passThrough(a, b, slack.touch)) return;
      through.add(n);
      problems.push({ code: 'passes_through', fold: step.id, panel: a.panel.id, by: b.panel.id });
    });
  const groupOf = new Map(before.leaves.map((l, i) => [l.panel.id, groups[i]!]));
  const kept = before.touches.filter(({ panel, onto }) => groupOf.get(panel) === groupOf.get(onto));
  const touches = pairs.flatMap(([i, k]): Touch[] => {
    const [a, b] = [leaves[i]!, leaves[k]!];
    if (!inOnePlane(a, b, slack) || overlap(a, b, slack).length === 0) return [];
    const came = seenFrom(last[k]!.pose, centre3(last[i]!.corners)).z;
    const told = step.joins?.find(({ panel, onto }) => panel === a.panel.id && onto === b.panel.id)?.face;
    const face = Math.abs(came) > slack.touch ? (came > 0 ? 'inside' : 'outside') : told;
    return face ? [{ panel: a.panel.id, onto: b.panel.id, face }] : [];
  });
  const joints = (step.joins ?? []).flatMap(({ panel, onto, face }): Joint[] => {
    const [a, b] = [panel, onto].map((id) => leaves.find((l) => l.panel.id === id)!) as [Leaf, Leaf];
    const glued = inOnePlane(a, b, slack) ? overlap(a, b, slack) : [];
    if (glued.length === 0) {
      problems.push({ code: 'apart', fold: step.id, panel, by: onto });
      return [];
    }
    const alike = dot3(a.pose.normal, b.pose.normal) > 0;
    // Whichever of the two moved, it is the one that lies on the other.
    const own = touches.find((t) => t.panel === panel && t.onto === onto);
    const other = touches.find((t) => t.panel === onto && t.onto === panel);
    const met = own?.face ?? (other && (alike ? opposite(other.face) : other.face));
    if (met && met !== face) problems.push({ code: 'wrong_face', fold: step.id, panel, by: onto });
    return [
      {
        id: `glue-${panel}-${onto}`,
        panel,
        onto,
        side: (face === 'inside') === alike ? 'outside' : 'inside',
        polygons: glued,
      },
    ];
  });
  const after = { ...before, leaves, joints: [...before.joints, ...joints], touches: [...kept, ...touches] };
  return { stage: { step, before, motions, after, joints }, problems };
}

const opposite = (face: Touch['face']): Touch['face'] => (face === 'inside' ? 'outside' : 'inside');

/** What a turn would push into from the start: paper lying on it, or under it, that stays. */
function pushed(
  before: Standing,
  motions: readonly (Motion & { kind: 'turn' })[],
  step: string,
  slack: Slack,
): StandingProblem[] {
  const speed = (l: Leaf): Vec | null => {
    const motion = motions.find(({ moving }) => moving.has(l.panel.id));
    if (!motion) return null;
    const spin = cross3(direction3(motion.line), minus3(centre3(l.corners), motion.line.from));
    return motion.angle > 0 ? spin : { x: -spin.x, y: -spin.y, z: -spin.z };
  };
  return before.touches.flatMap(({ panel, onto, face }): StandingProblem[] => {
    const [a, b] = [leafOf(before, panel), leafOf(before, onto)];
    const [goes, other] = [speed(a), speed(b)];
    if ((goes === null) === (other === null)) return [];
    const out = face === 'inside' ? 1 : -1;
    const into = goes ? -out * dot3(goes, b.pose.normal) : out * dot3(other!, b.pose.normal);
    if (into <= EXACT.lines || !inOnePlane(a, b, slack) || overlap(a, b, slack).length === 0) return [];
    const [mover, stays] = goes ? [panel, onto] : [onto, panel];
    return [{ code: 'blocked', fold: step, panel: mover, by: stays }];
  });
}

/** Every hinge and joint between moving paper and paper that stays, with how far it lies off the line (mm). */
function* heldAcross(before: Standing, moving: ReadonlySet<string>, line: Line3): Generator<[string, string, number]> {
  const along = direction3(line);
  const off = (p: Vec): number => length3(cross3(along, minus3(p, line.from)));
  for (const hinge of before.hinges) {
    const [a, b] = hinge.between;
    if (moving.has(a) === moving.has(b)) continue;
    const { pose } = leafOf(before, a);
    yield [
      hinge.id,
      moving.has(a) ? a : b,
      Math.max(off(posed(pose, hinge.line.from)), off(posed(pose, hinge.line.to))),
    ];
  }
  for (const joint of before.joints) {
    if (moving.has(joint.panel) === moving.has(joint.onto)) continue;
    const { pose } = leafOf(before, joint.panel);
    yield [joint.id, joint.panel, Math.max(...joint.polygons.flat().map((p) => off(posed(pose, p))))];
  }
}

function mostOff(corners: readonly Vec[], line: Line3): Vec {
  const along = direction3(line);
  const off = (p: Vec): number => length3(cross3(along, minus3(p, line.from)));
  return corners.reduce((best, p) => (off(p) > off(best) ? p : best));
}

/** True when two panels lie in one plane: no corner stands further off it than touching paper may. */
export const inOnePlane = (a: Leaf, b: Leaf, { touch }: Slack = EXACT): boolean =>
  a.corners.every((corner) => Math.abs(seenFrom(b.pose, corner).z) < touch);

/** Where two panels of one plane cover each other, on the sheet of the first. */
function overlap(a: Leaf, b: Leaf, { speck }: Slack): Polygon<'sheet'>[] {
  const other = anticlockwise(applyAll<'sheet'>(betweenSheets(b.pose, a.pose), b.panel.polygon));
  return intersection(a.panel.polygon, other)
    .filter((ring) => area(ring) > speck)
    .map((ring) => anticlockwise(ring));
}
