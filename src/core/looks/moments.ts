import type { PanelId, Panel } from '../pattern';
import { seatIn } from '../fit';
import {
  isReady,
  contentsIn,
  hasPanel,
  hingeLine,
  turningLine,
  leafOf,
  liftsOf,
  midway,
  reached,
  standingOf,
  carriedLeaf,
  type BoxCavity,
  type FlatCavity,
  type Folded,
  type Leaf,
  type Motion,
  type Stack,
  type Stage,
  type Standing,
  type StandingStage,
  type View,
} from '../fold';
import { plus3, poseBetween, poseWithin, seenPose, type Point, type Pose, type Vec } from '../geometry';
import type { Contents } from '../constructions';
import { mm, type Mm } from '../length';
import type { Design } from '../design';
import { type Made, viewOf } from '../plan';
import { laidOnFaces, leafOn } from './dressing';

/** One thing done at the table, as it is seen in space: how the paper lay, how it moves, how it then stands. */
export interface Moment {
  /** The step of the assembly; `flat` and `contents` besides. */
  readonly step: string;
  /** What is done: `Raise the far and the near wall`. */
  readonly text: string;
  readonly before: Standing;
  readonly motions: readonly Motion[];
  readonly after: Standing;
  /** What goes in, where it comes to lie when this is done, and the panel it lies on; empty before its turn. */
  readonly contents: readonly Leaf[];
  readonly floor: string | null;
  /** Where it comes from, from where it lies, while this moment brings it in; null when it lies there already. */
  readonly entering: Vec | null;
  /** Thickness of a layer as it is drawn, mm. */
  readonly layer: number;
  /** What rests on a rim: drawn a layer higher along that direction, so that it hides the rim. */
  readonly resting: { readonly moving: ReadonlySet<string>; readonly up: Vec } | null;
  /** Paper that was brought from beside the work: how a panel of it lay before, and all that came along. */
  readonly brought: { readonly panel: PanelId; readonly from: Pose } | null;
}

/** Thickness of paper as it is drawn, as a share of the finished thing's longest side: enough to tell what lies on what. */
const LAYER = 1 / 400;
/** Contents are drawn so much smaller than they are that their faces are told from the paper’s, mm. */
const LESS = 0.8;
/** How high paper is held while it is carried over, mm. */
const HELD = 60;

/** The whole making in space, from the flat sheet to the finished thing with its contents in and what is glued on it. */
export function momentsOf(made: Made, design: Design): readonly Moment[] {
  const contents = design.contents ?? made.largest;
  const { folded, built } = made;
  const panels = new Map(built.pieces.flatMap((piece) => piece.panels.map((p): [string, Panel] => [p.id, p])));
  const start = standingOf(folded.flat, panels);
  const moments: Bare[] = [{ ...QUIET, step: 'flat', text: beginning(made), before: start, motions: [], after: start }];
  for (const stage of folded.stages) moments.push(flatMoment(stage, panels));
  let lay: Standing = folded.standing?.start ?? start;
  for (const stage of folded.standing?.stages ?? []) {
    moments.push(standingMoment(stage, lay));
    lay = stage.after;
  }
  const layer = Math.max(made.finished.width, made.finished.height) * LAYER;
  return withLaidOn(withContents(moments, made, contents, layer), made, layer).map((moment) => ({
    ...moment,
    layer,
  }));
}

/** What the paper is before anything is done. */
export const beginning = ({ built: { cavities }, folded }: Made): string =>
  cavities[0] && cavities[0].insertAfter !== 'flat' && isReady(folded, cavities[0])
    ? 'As it is bought'
    : 'Flat, inside up';

type Bare = Omit<Moment, 'layer'>;
/** A moment in which nothing but paper moves. */
const QUIET = { contents: [], floor: null, entering: null, resting: null, brought: null } as const;

/** A flat fold as half a turn in space; a piece laid down as a carry from above, or from below. */
function flatMoment({ step, moving, before, stack }: Stage, panels: ReadonlyMap<string, Panel>): Bare {
  const [lay, after] = [standingOf(before, panels), standingOf(stack, panels)];
  // So does a strip that goes round an edge, and then stands.
  const stands = before.layers.filter(({ panel }) => step.kind === 'fold' && !hasPanel(stack, panel));
  const moves = new Set([...moving, ...stands.map(({ panel }) => panel)]);
  const common = { ...QUIET, step: step.id, text: step.name, after };
  if (step.kind === 'place') {
    const z = step.level === 'bottom' ? -HELD : HELD;
    return { ...common, before: after, motions: [{ kind: 'carry', moving: moves, from: { x: 0, y: 0, z } }] };
  }
  const lead = before.hinges.find(({ id }) => id === step.hinges[0])!;
  const line = hingeLine(before, { ...lead, line: turningLine(before.hinges, step.hinges) });
  const rises =
    (lead.fold === 'valley') === (before.layers.find(({ panel }) => panel === lead.between[0])!.up === 'inside');
  // Which way round lifts the moving paper off the table depends on the side of the line it lies on.
  const [from, to] = [line.from, line.to];
  const side = before.layers
    .filter(({ panel }) => moves.has(panel))
    .flatMap(({ polygon }) => polygon)
    .reduce((sum, p) => sum + (to.x - from.x) * (p.y - from.y) - (to.y - from.y) * (p.x - from.x), 0);
  const angle = side > 0 === rises ? Math.PI : -Math.PI;
  const flat = ({ x, y }: Point): Vec => ({ x, y, z: 0 });
  return {
    ...common,
    before: lay,
    motions: [{ kind: 'turn', moving: moves, line: { from: flat(from), to: flat(to) }, angle }],
  };
}

function standingMoment({ step, before, motions, after }: StandingStage, lay: Standing): Bare {
  const common = { ...QUIET, step: step.id, text: step.name, before, motions, after };
  if (step.kind !== 'set') return common;
  return {
    ...common,
    resting: step.above > 0 ? { moving: motions[0]!.moving, up: leafOf(after, step.onto).pose.normal } : null,
    brought: { panel: step.panel, from: leafOf(lay, step.panel).pose },
  };
}

/** Puts in a moment at which the contents go in, and leaves them lying in all that follow. */
function withContents(moments: readonly Bare[], made: Made, contents: Contents, layer: number): readonly Bare[] {
  const { built, folded } = made;
  const [cavity] = built.cavities;
  const at = moments.findIndex(({ step }) => step === cavity?.insertAfter || (cavity && isReady(folded, cavity)));
  if (!cavity || at < 0) return moments;
  const { seated, floor, way } =
    cavity.kind === 'box'
      ? standingSeat(folded, cavity, contents)
      : flatSeat(made, cavity, moments[at]!.after, stackAfter(folded, cavity.insertAfter), contents, layer);
  // The floor may be turned after that: what lies on it goes along. Another pile on the table has no floor.
  const on = (standing: Standing): readonly Leaf[] => {
    const now = standing.leaves.find((l) => l.panel.id === floor.panel);
    if (!now) return [];
    return seated.map((l) => carriedLeaf(l, (pose) => poseWithin(now.pose, seenPose(floor.pose, pose))));
  };
  const { pose } = leafOf(moments[at]!.after, floor.panel);
  const entering = plus3(plus3(plus3({ x: 0, y: 0, z: 0 }, pose.x, way.x), pose.y, way.y), pose.normal, way.z);
  const entry: Bare = {
    ...QUIET,
    step: 'contents',
    text: 'The contents go in',
    before: moments[at]!.after,
    motions: [],
    after: moments[at]!.after,
    contents: on(moments[at]!.after),
    floor: floor.panel,
    entering,
  };
  return [
    ...moments.slice(0, at + 1),
    entry,
    ...moments.slice(at + 1).map((moment) => ({ ...moment, contents: on(moment.after), floor: floor.panel })),
  ];
}

/** Puts what is glued on the finished thing there, each in a moment of its own. */
function withLaidOn(moments: readonly Bare[], made: Made, layer: number): readonly Bare[] {
  const all = [...moments];
  const upon = new Map<string, number>();
  for (const one of laidOnFaces(made)) {
    const last = all.at(-1)!;
    const lift = liftsOf(last.after).get(one.panel) ?? 0;
    // One on the other: each a layer further off the paper.
    const place = `${one.panel} ${one.side}`;
    const off = 1 + (upon.get(place) ?? 0);
    upon.set(place, off);
    const { leaf } = leafOn(last.after, one, 'laid', (one.side === 'inside' ? off + lift : off - lift) * layer);
    all.push({
      ...QUIET,
      step: one.name,
      text: `Glued on: the ${one.name}`,
      before: last.after,
      motions: [],
      after: last.after,
      contents: [...last.contents, leaf],
      floor: last.floor ?? one.panel,
    });
  }
  return all;
}

interface Seat {
  readonly seated: readonly Leaf[];
  readonly floor: { readonly panel: PanelId; readonly pose: Pose };
  /** Where the contents come from, along the floor's own axes. */
  readonly way: Vec;
}

function standingSeat(folded: Folded, box: BoxCavity, contents: Contents): Seat {
  const { finished } = folded.standing!;
  const { width, height, thickness: depth } = contents;
  const drawn = (length: number): Mm => mm(Math.max(LESS / 2, length - LESS));
  const floor = leafOf(finished, box.floor).pose;
  const seated = contentsIn(finished, box, {
    width: drawn(width),
    height: drawn(height),
    depth: drawn(depth),
  }).map((l) => carriedLeaf(l, (pose) => ({ ...pose, o: plus3(pose.o, floor.normal, LESS / 2) })));
  const tallest = Math.max(...finished.leaves.map((l) => Math.abs(l.box[1].z - l.box[0].z)), width / 2);
  return {
    seated,
    floor: { panel: box.floor, pose: floor },
    way: { x: 0, y: 0, z: 1.2 * tallest + 20 },
  };
}

/** Contents of a flat holder: a sheet on the floor's inner face, drawn in through the mouth. */
function flatSeat(
  made: Made,
  cavity: FlatCavity,
  standing: Standing,
  stack: Stack,
  contents: Contents,
  layer: number,
): Seat {
  const view = viewOf(made.built, stack);
  const { x, y, width, height } = seatIn(cavity, made.inside, contents);
  const floor = leafOf(standing, cavity.floor);
  const pose = sheetIn(view, floor.pose.normal.z > 0 ? layer / 2 : -layer / 2);
  const polygon = [
    { x, y },
    { x: x + width, y },
    { x: x + width, y: y + height },
    { x, y: y + height },
  ] as Panel['polygon'];
  const flat: Leaf = {
    piece: 'contents',
    panel: { id: 'contents', name: 'contents', polygon },
    pose,
    corners: [],
    box: floor.box,
  };
  const out = 1.05 * height;
  const { up } = view;
  const away = { x: -up.x * out, y: -up.y * out, z: 0 };
  const own = seenPose(floor.pose, { ...floor.pose, o: plus3(floor.pose.o, away) }).o;
  return { seated: [carriedLeaf(flat, (p) => p)], floor: { panel: cavity.floor, pose: floor.pose }, way: own };
}

/** A view of the pile as axes in space, so far above the table. */
const sheetIn = ({ origin, across, up }: View, z: number): Pose => ({
  x: { x: across.x, y: across.y, z: 0 },
  y: { x: up.x, y: up.y, z: 0 },
  normal: { x: 0, y: 0, z: across.x * up.y - across.y * up.x },
  o: { x: origin.x, y: origin.y, z },
});

const stackAfter = (folded: Folded, step: string): Stack =>
  [...folded.earlier, ...folded.stages].find((stage) => stage.step.id === step)?.stack ?? folded.finished;

/** Where everything is at a share of a moment, 0 to 1, layers told apart: the paper, and the contents by themselves. */
export function seenAt(
  moment: Moment,
  share: number,
): { readonly paper: readonly Leaf[]; readonly contents: readonly Leaf[] } {
  const { before, motions, after, brought, resting, layer } = moment;
  // What lay beside the work is brought over it first, then set down.
  const bringing = brought ? Math.min(1, 2 * share) : 1;
  const doing = brought ? Math.max(0, 2 * share - 1) : share;
  const there = midway(before, motions, doing);
  const carried = brought && bringing < 1 ? carriedOver(there, motions[0]!.moving, brought, bringing) : there;
  const [was, is] = [liftsOf(before), liftsOf(after)];
  const paper = carried.map((l) => {
    const id = l.panel.id;
    const lift = layer * ((was.get(id) ?? 0) * (1 - share) + (is.get(id) ?? 0) * share);
    return carriedLeaf(l, (pose) => {
      const o = plus3(pose.o, pose.normal, lift);
      return { ...pose, o: resting?.moving.has(id) ? plus3(o, resting.up, layer * share) : o };
    });
  });
  const { entering, floor } = moment;
  const way = entering ? 1 - share : 0;
  const on = paper.find((l) => l.panel.id === floor);
  // What lies on a floor goes where the floor goes.
  const contents = on
    ? moment.contents.map((l) =>
        carriedLeaf(l, (pose) => {
          const lain = poseWithin(on.pose, seenPose(leafOf(after, floor!).pose, pose));
          return entering ? { ...lain, o: plus3(lain.o, entering, way) } : lain;
        }),
      )
    : [];
  return { paper, contents };
}

function carriedOver(
  leaves: readonly Leaf[],
  moving: ReadonlySet<string>,
  { panel, from }: NonNullable<Moment['brought']>,
  share: number,
): readonly Leaf[] {
  const to = leaves.find((l) => l.panel.id === panel)!.pose;
  const way = poseBetween(from, to, share);
  const now = { ...way, o: { ...way.o, z: way.o.z + HELD * Math.sin(Math.PI * share) } };
  return leaves.map((l) =>
    moving.has(l.panel.id) ? carriedLeaf(l, (pose) => poseWithin(now, seenPose(to, pose))) : l,
  );
}

/** The panels a moment is about: what moves, and all that hangs together with it once it has; everything when nothing moves. */
export function concernedIn({ motions, after }: Moment): ReadonlySet<string> {
  const moving = motions.flatMap((motion) => [...motion.moving]);
  return moving.length > 0 ? reached(after, moving) : new Set(after.leaves.map(({ panel }) => panel.id));
}
