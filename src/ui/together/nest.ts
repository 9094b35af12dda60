/** Nested outlines of a set: what holds what, each thing in what holds it, mm, from the front or from the side. */
import { heldBy, type PlannedPart, type SetPlan } from '@/core/sets';

/** One outline, its lower left corner and size in mm; `deep` counts how far inside it lies. */
export interface Outline {
  readonly part: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly deep: number;
  /** A band, which goes round what is drawn under it. */
  readonly round: boolean;
  /** The paper it is of, by its id; null for what is of none. */
  readonly paper: string | null;
  /** A layer on its front. */
  readonly layer: boolean;
}

/** Most of one thing that are drawn: what is more is told. */
const MOST = 12;
/** Room between things that stand beside each other, as a share of the tallest. */
const GAP = 0.12;

/** The parts nothing holds or goes round. */
const roots = ({ parts, set }: SetPlan): readonly PlannedPart[] =>
  parts.filter(
    ({ part: { id } }) =>
      !set.parts.some(({ holds, round }) => round?.part === id || holds.some(({ part }) => part === id)),
  );

/** All outlines of a set beside each other, from the front (width) or from the side (thickness). */
export function outlinesOf(plan: SetPlan, from: 'front' | 'side'): readonly Outline[] {
  let x = 0;
  const tallest = Math.max(1, ...plan.parts.map(({ own }) => own?.height ?? 0));
  return roots(plan).flatMap((root) => {
    const [across] = sizeOf(root, from);
    const under = root.part.round ? plan.parts.find(({ part }) => part.id === root.part.round!.part) : undefined;
    const wide = Math.max(across, under ? sizeOf(under, from)[0] : 0);
    const own = nested(root, plan, from, { x: x + wide / 2, y: 0 }, 0);
    x += wide + GAP * tallest;
    return own;
  });
}

function sizeOf({ own }: PlannedPart, from: 'front' | 'side'): readonly [number, number] {
  return own ? [from === 'front' ? own.width : own.thickness, own.height] : [0, 0];
}

function nested(
  one: PlannedPart,
  plan: SetPlan,
  from: 'front' | 'side',
  middle: { readonly x: number; readonly y: number },
  deep: number,
  turned = false,
): Outline[] {
  const size = sizeOf(one, from);
  const [width, height] = turned && from === 'front' ? [size[1], size[0]] : size;
  const own: Outline = {
    part: one.part.id,
    x: middle.x - width / 2,
    y: middle.y - height / 2,
    width,
    height,
    deep,
    round: one.part.round !== undefined,
    paper: one.part.given ? null : (one.plan.design.paper.id ?? null),
    layer: false,
  };
  const layers =
    from === 'front'
      ? (one.plan.made?.layers ?? [])
          .filter(({ layer }) => layer.face === 'front')
          .map(({ piece: { blank }, layer }): Outline => {
            const [w, h] = turned ? [blank.height, blank.width] : [blank.width, blank.height];
            return {
              ...own,
              x: middle.x - w / 2,
              y: middle.y - h / 2,
              width: w,
              height: h,
              paper: layer.paper.id ?? null,
              layer: true,
            };
          })
      : [];
  if (!one.own) return [];
  const all = one.part.round ? heldBy(one.part) : one.part.holds;
  const inner = all.flatMap(({ part, count, lie, turn }): Outline[] => {
    const held = plan.parts.find((other) => other.part.id === part);
    if (!held?.own) return [];
    const [w, h] = sizeOf(held, from);
    const shown = Math.min(MOST, count);
    const row = (from === 'front' && lie === 'beside') || (from === 'side' && lie !== 'beside');
    const step = turn && from === 'front' ? h : w;
    return Array.from({ length: row ? shown : 1 }, (_, i) =>
      nested(
        held,
        plan,
        from,
        { x: middle.x + (row ? (i - (shown - 1) / 2) * step : 0), y: middle.y },
        deep + 1,
        turned !== turn,
      ),
    ).flat();
  });
  // A band is drawn over what it goes round, everything else under what lies in it.
  return own.round ? [...inner, own, ...layers] : [own, ...layers, ...inner];
}
