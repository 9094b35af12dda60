import {
  aboveSlot,
  assemble,
  hingeLine,
  inView,
  layerOf,
  mouthView,
  stageAfter,
  type FlatCavity,
  type Folded,
  type Layer,
  type Stack,
} from '../../fold';
import {
  anticlockwise,
  apply,
  applyAll,
  area,
  circle,
  contains,
  difference,
  distance,
  extent,
  fromSegment,
  intersection,
  invert,
  sideOf,
  type Point,
  type Polygon,
} from '../../geometry';
import { mm, type Mm } from '../../length';
import { LEAST, type Hole, type Piece, type Trim, some } from '../../pattern';
import type { BuildResult, Built, Feature } from './construction';

/** Chords that draw a circle leave it by well under a cut's width. */
const CHORDS = 48;

/** A construction with its features cut; and its folding, where they left that as it was. */
export type Featured = BuildResult & { readonly folded?: Folded };

/**
 * Cuts a construction's features: each is placed on the folded thing, refused where it would cut a fold or a glue
 * area, and cut into every panel it goes through, in the flat.
 * @param before the construction folded without them, where it is known
 */
export function withFeatures(built: Built, before?: Folded): Featured {
  let result: BuildResult = { ok: true, built };
  let folded = before;
  for (const feature of built.features) {
    if (!result.ok) return result;
    folded ??= assemble(result.built.pieces, result.built.assembly);
    if (feature.kind === 'hole') result = holed(result.built, folded, feature);
    else {
      result = notched(result.built, folded, feature);
      // A bite changes the panels that are folded; a hole does not.
      folded = undefined;
    }
  }
  return { ...result, ...(folded ? { folded } : {}) };
}

/** A bite as it would be cut: where, and through which panels; or what it would cut that must stay whole. */
interface Bite {
  readonly centre: Point<'folded'>;
  readonly circle: Polygon<'folded'>;
  readonly hit: ReadonlySet<string>;
  readonly cuts: 'notch-cuts-fold' | 'notch-cuts-glue' | null;
}

function notched(built: Built, folded: Folded, feature: Extract<Feature, { kind: 'finger-notch' }>): BuildResult {
  const cavity = built.cavities.find((c) => c.id === feature.cavity);
  if (!cavity || cavity.kind === 'box') throw new Error(`there is no pocket ${feature.cavity} to notch`);
  const { stack } = stageAfter(folded, cavity.insertAfter);
  const bite = biteOf(built, stack, cavity, feature);
  if (bite.hit.size === 0) return { ok: true, built };
  if (bite.cuts) {
    const largest = largestWhole(
      (diameter) => biteOf(built, stack, cavity, { ...feature, diameter }),
      feature.diameter,
    );
    return refusal(bite.cuts, feature.diameter, largest);
  }
  const { centre, circle, hit } = bite;
  return {
    ok: true,
    built: changed(built, (piece) => {
      const trims: Trim[] = [];
      const panels = piece.panels.map((panel) => {
        if (!hit.has(panel.id)) return panel;
        const back = invert(layerOf(stack, panel.id).map);
        const onSheet = anticlockwise(applyAll<'sheet'>(back, circle));
        const [left] = difference([panel.polygon], [onSheet]).sort((a, b) => area(b) - area(a));
        intersection(panel.polygon, onSheet).forEach((polygon, i) =>
          trims.push({
            id: `notch-${panel.id}${i > 0 ? `-${i}` : ''}`,
            name: panel.name,
            polygon,
            cut: { kind: 'punched', centre: apply<'sheet'>(back, centre), diameter: feature.diameter },
          }),
        );
        return { ...panel, polygon: left! };
      });
      return { ...piece, panels, trims: [...piece.trims, ...trims] };
    }),
  };
}

/** Halvings that find the largest punch, to under a tenth of a millimetre. */
const HALVINGS = 10;

/** The largest diameter under one that cuts too much, which cuts nothing that must stay whole, mm; 0 for none. */
function largestWhole(at: (diameter: Mm) => Bite, most: Mm): Mm {
  let [low, high] = [0, most as number];
  for (let i = 0; i < HALVINGS; i++) {
    const middle = (low + high) / 2;
    if (at(mm(middle)).cuts === null) low = middle;
    else high = middle;
  }
  return mm(low);
}

/** The bite at the middle of the opening: through the plain panel where the side on top has a seam in its way. */
function biteOf(
  built: Built,
  stack: Stack,
  cavity: FlatCavity,
  { diameter, bite }: Pick<Extract<Feature, { kind: 'finger-notch' }>, 'diameter' | 'bite'>,
): Bite {
  const base = new Set(built.pieces.filter(({ source }) => source === 'base').map(({ name }) => name));
  const above = aboveSlot(stack, cavity);
  const made = stack.layers.filter((layer) => !base.has(layer.piece));
  const onTop = above.has(made.at(-1)!.panel);
  const view = mouthView(stack, cavity);
  const [from, to] = extent(
    layerOf(stack, cavity.floor).polygon.map((p) => inView(view, p)),
    { x: 1, y: 0 },
  );
  const middle = (from + to) / 2;
  const at = (x: number, y: number): Point<'folded'> => ({
    x: view.origin.x + view.across.x * x + view.up.x * y,
    y: view.origin.y + view.across.y * x + view.up.y * y,
  });
  const through = (covers: readonly Layer[]): Bite => {
    // The covering paper starts where the line down the middle of the opening first meets it.
    const start = Math.min(...covers.map((layer) => firstAlong(layer.polygon, at(middle, 0), view.up)));
    const centre = at(middle, start - diameter / 2 + bite * diameter);
    const round = circle(centre, diameter / 2, CHORDS);
    const cut = Number.isFinite(start)
      ? covers.filter((layer) => intersection(layer.polygon, round).some((shared) => area(shared) > SPECK))
      : [];
    const hit = new Set(cut.map((layer) => layer.panel));
    const cutsGlue = stack.joints.some((joint) => {
      if (!hit.has(joint.panel) && !hit.has(joint.onto)) return false;
      const { map } = layerOf(stack, joint.panel);
      return joint.polygons.some((ring) => intersection(applyAll<'folded'>(map, ring), round).length > 0);
    });
    // The paper left beside a fold must not tear.
    const cuts = cutsFold(stack, hit, centre, diameter / 2 + LEAST.left.fails)
      ? 'notch-cuts-fold'
      : cutsGlue
        ? 'notch-cuts-glue'
        : null;
    return { centre, circle: round, hit, cuts };
  };
  const usual = through(made.filter((layer) => above.has(layer.panel) === onTop));
  if (usual.cuts !== 'notch-cuts-glue' && usual.hit.size < 2) return usual;
  const plain = through(made.filter((layer) => above.has(layer.panel) !== onTop));
  return plain.hit.size === 1 && plain.cuts === null ? plain : usual;
}

/** What shares less than this is not cut, mm². */
const SPECK = 0.01;

function holed(built: Built, folded: Folded, feature: Extract<Feature, { kind: 'hole' }>): BuildResult {
  const { finished: stack } = folded;
  const centre = apply<'folded'>(layerOf(stack, feature.panels[0]).map, feature.centre);
  const hit = new Set(feature.panels);
  if (cutsFold(stack, hit, centre, feature.diameter / 2)) return refusal('hole-cuts-fold', feature.diameter);
  const holes = new Map(
    feature.panels.map((panel): [string, Hole] => [
      panel,
      {
        id: `${feature.id}-${panel}`,
        panel,
        centre: apply<'sheet'>(invert(layerOf(stack, panel).map), centre),
        diameter: feature.diameter,
      },
    ]),
  );
  for (const piece of built.pieces)
    for (const panel of piece.panels) {
      const hole = holes.get(panel.id);
      if (!hole) continue;
      const inside =
        contains(panel.polygon, hole.centre) && rimDistance(panel.polygon, hole.centre) > feature.diameter / 2;
      if (!inside) return refusal('hole-cuts-fold', feature.diameter);
      const near = piece.holes.find(
        (other) => distance(other.centre, hole.centre) < (other.diameter + hole.diameter) / 2,
      );
      if (near) return refusal('holes-touch', feature.diameter);
    }
  return {
    ok: true,
    built: changed(built, (piece) => ({
      ...piece,
      holes: [...piece.holes, ...piece.panels.flatMap((panel) => holes.get(panel.id) ?? [])],
    })),
  };
}

const refusal = (
  code: 'notch-cuts-fold' | 'notch-cuts-glue' | 'hole-cuts-fold' | 'holes-touch',
  value: number,
  limit = 0,
): BuildResult => ({
  ok: false,
  refusal: { code, value: mm(value), limit: mm(limit) },
});

const changed = (built: Built, change: (piece: Piece) => Piece): Built => ({
  ...built,
  pieces: some(built.pieces.map(change)),
});

/** True when a score of one of the panels runs through a circle. */
function cutsFold(stack: Stack, panels: ReadonlySet<string>, centre: Point<'folded'>, radius: number): boolean {
  return stack.hinges.some((hinge) =>
    hinge.between.some(
      (panel) => panels.has(panel) && fromSegment(hingeLine(stack, hinge, panel), centre) < radius - 0.01,
    ),
  );
}

/** How far along a direction a line first meets a polygon, mm; infinite when it misses. */
function firstAlong(polygon: Polygon<'folded'>, start: Point<'folded'>, along: Point<'folded'>): number {
  const line = { from: start, to: { x: start.x + along.x, y: start.y + along.y } };
  let first = Infinity;
  polygon.forEach((p, i) => {
    const q = polygon[(i + 1) % polygon.length]!;
    const [a, b] = [sideOf(line, p), sideOf(line, q)];
    if (a > 0 === b > 0) return;
    const t = a / (a - b);
    first = Math.min(first, (p.x + (q.x - p.x) * t - start.x) * along.x + (p.y + (q.y - p.y) * t - start.y) * along.y);
  });
  return first;
}

function rimDistance(polygon: Polygon<'sheet'>, p: Point<'sheet'>): number {
  return Math.min(...polygon.map((from, i) => Math.abs(sideOf({ from, to: polygon[(i + 1) % polygon.length]! }, p))));
}
