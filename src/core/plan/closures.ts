import { claimsOf, type Facts } from '../constructions';
import { foldedBox, inView, outOfView, type Layer, type View } from '../fold';
import { inches, mm, type Mm } from '../length';
import { offTheReel } from './reel';
import { apply, contains, invert, nearRim, TOLERANCE, type Point } from '../geometry';
import type { Hole } from '../pattern';
import type { Design, Closure } from '../design';
import type { Made, MadePiece } from './made';
import { ownPaper, viewOf } from './thing';

/** A bow takes this much cord beyond once round, a knot this much, mm. Common practice 10 to 12 in, and 4 in. */
const BOW = inches(11);
const KNOT = inches(4);
/** Cord that winds round two buttons, mm: twice between them and a tail to hold. Common practice, no source. */
const TAIL = inches(3);
/** Cord's width to leave between two discs, mm. From memory. */
const CORD = 2;

/** What goes round stays this far from an opening, mm. Common practice 1/2 in. */
const CLEAR = inches(1 / 2);

/** A disc or dot: where its middle lies, and where it is cut off straight, mm along y from there; null where it is whole. */
export interface Disc {
  readonly at: Point<'folded'>;
  readonly diameter: Mm;
  readonly cut: Mm | null;
}

/** Where a closure goes on the finished thing, and what it needs. */
export interface ClosurePlan {
  readonly kind: Closure;
  /** Cord, ribbon or band needed, mm; 0 for none. */
  readonly length: Mm;
  /** The side it lies on: what goes round is tied on the front, what holds a flap lies with the flap. */
  readonly face: 'front' | 'back';
  /** Discs and dots there, in the view of the finished pile: x across the mouth, y from it. */
  readonly discs: readonly Disc[];
  /** The line a cord or band runs along on the front. */
  readonly line: readonly [Point<'folded'>, Point<'folded'>] | null;
  /** Set where it goes through holes made for it, and not round. */
  readonly through?: boolean;
  readonly trouble: Facts['closure']['trouble'];
  /** How far apart the discs' middles are, and must be at least, mm. */
  readonly apart: Mm;
  readonly least: Mm;
  /** How far from the second flap's tip its disc would be clear of the first; null where there is no room. */
  readonly clear: Mm | null;
}

const NO_DISCS = { discs: [], apart: mm(0), least: mm(0), clear: null } as const;

/** What goes round a thing that stands; whatever needs a flat front has nothing to hold there. */
function roundBox(kind: Closure, { finished, built, pieces }: Folded): ClosurePlan {
  const none = { ...NO_DISCS, face: 'front', line: null } as const;
  // Where a hole is made for it the tie goes through: it holds the tips together and is not taken round.
  const holed = pieces.some(({ piece }) => piece.holes.length > 0);
  const through = holed && claimsOf(built.claims, 'tie').some(({ needs }) => needs > 0) && kind !== 'band';
  const round = through ? 0 : 2 * (finished.width + Math.min(finished.depth, finished.height));
  const more: Partial<Record<Closure, number>> = { cord: KNOT, bow: BOW, ribbon: BOW, band: inches(1 / 2) };
  const extra = more[kind];
  return extra === undefined
    ? { kind, length: mm(0), ...none, trouble: 'nothing_to_hold' }
    : { kind, length: mm(round + extra), ...none, trouble: null, through };
}

/** What a closure is placed on. */
type Folded = Pick<Made, 'built' | 'folded' | 'finished'> & { readonly pieces: readonly Pick<MadePiece, 'piece'>[] };

/** Holes for the fixings of discs, mm across. From memory. */
const FIXING = inches(1 / 8);
/** Paper to keep round them, mm. Common practice 1/8 in. */
const BESIDE = inches(1 / 8);

/**
 * The holes that discs are fixed through, by panel: one in the flap and one in what it meets, each in the outermost
 * paper there alone, so that they are punched while the sheet is flat.
 */
export function discHoles(made: Folded, design: Pick<Design, 'closure' | 'thickness' | 'graduation'>): readonly Hole[] {
  const plan = closurePlan(made, design);
  if (plan?.kind !== 'buttons' || plan.trouble) return [];
  const { view, layers } = seenFromFlap(made);
  return plan.discs.flatMap(({ at }, i): Hole[] => {
    const p = outOfView(view, at);
    const layer = layers.find(({ polygon }) => contains(polygon, p));
    return layer
      ? [{ id: `disc-${i + 1}`, panel: layer.panel, centre: apply<'sheet'>(invert(layer.map), p), diameter: FIXING }]
      : [];
  });
}

/** The finished pile with its layers from the flap's side in. */
function seenFromFlap({ built, folded }: Folded): {
  readonly view: View;
  readonly layers: readonly Layer[];
  readonly above: boolean;
} {
  const closing = folded.stages.find(({ step }) => step.closes);
  const stack = ownPaper(folded.finished, built);
  const flap = stack.layers.findIndex(({ panel }) => closing?.moving.includes(panel));
  const above = flap * 2 >= stack.layers.length;
  return { view: viewOf(built, stack), layers: above ? [...stack.layers].reverse() : stack.layers, above };
}

/** True where the outermost paper goes on round a fixing: not at a seam, a fold or a rim. */
function holdsFixing(made: Folded, at: Point<'folded'>): boolean {
  const { view, layers } = seenFromFlap(made);
  const p = outOfView(view, at);
  const polygon = layers.find((layer) => contains(layer.polygon, p))?.polygon ?? [];
  return polygon.length > 0 && !nearRim(polygon, p, FIXING / 2 + BESIDE);
}

/** The side of the finished thing that its closing flap lies on. */
const flapFace = (made: Folded): ClosurePlan['face'] =>
  seenFromFlap(made).above === (made.built.front === 'above') ? 'front' : 'back';

/**
 * One disc on the flap, the other on what it meets: the flap that faces it, or what lies under its edge. Where nobody says
 * how far from the tips they go, as near the edge as they are clear of each other.
 */
function twoDiscs(
  made: Folded,
  { disc, fromTip, otherFromTip, cut }: Design['closure'],
  edge: number | null,
  view: View,
): Pick<ClosurePlan, 'discs' | 'length' | 'trouble' | 'apart' | 'least' | 'clear'> {
  const { built, folded } = made;
  const box = foldedBox(ownPaper(folded.finished, built), view);
  const [x, y] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const from = edge ?? y;
  const least = mm(disc + CORD);
  const facing = facingFlap(made, view);
  const other = facing?.edge ?? from;
  const closing = folded.stages.flatMap(({ step, moving }) => (step.closes ? moving : []));
  const onFlap = (py: number, flap: readonly string[]): boolean =>
    holdsFixing(made, { x, y: py }) && liesOn(made, { x, y: py }, flap);
  const near = disc / 2 + CORD;
  // As near its tip as the flap, or its mat, goes on round the fixing.
  const first = from - (fromTip ?? found(near, (d) => onFlap(from - d, closing)));
  const told = otherFromTip ?? fromTip;
  const after = Math.max(first + least, from + disc / 2);
  const second =
    told !== undefined
      ? other + told
      : facing
        ? Math.min(
            other + found(Math.max(near, after - other), (d) => onFlap(other + d, [facing.panel])),
            box.maxY - disc / 2,
          )
        : Math.min(first + Math.max(least, disc * 1.6), box.maxY - disc / 2);
  // In the middle of its flap; only where nothing faces it beside a seam that runs down the middle.
  const beside = facing ? [x] : [0, 1, -1, 2, -2].map((steps) => x + steps * (FIXING + BESIDE));
  const place = beside.find((px) => [first, second].every((py) => holdsFixing(made, { x: px, y: py }))) ?? x;
  const strays =
    facing !== null &&
    (!liesOn(made, { x: place, y: first }, closing) || !liesOn(made, { x: place, y: second }, [facing.panel]));
  const apart = mm(second - first);
  // What the flap covers nobody can wind a cord round.
  const hidden = from - (second - disc / 2);
  const tooNear = apart < least - TOLERANCE.length || (told !== undefined && hidden > TOLERANCE.length);
  const cuts = cut && tooNear && canBeCut(first, second, from);
  const needed = Math.max(first + least, from + disc / 2);
  const clear = needed + disc / 2 <= box.maxY + TOLERANCE.length ? mm(needed - other) : null;
  const line = (first + second) / 2;
  const overlap = (tooNear && !cuts) || (told === undefined && box.maxY - box.minY < 2 * disc);
  return {
    length: mm(4 * apart + TAIL),
    discs: [first, second].map((py) => ({
      at: { x: place, y: py } as Point<'folded'>,
      diameter: disc,
      cut: cuts ? mm(line - py) : null,
    })),
    trouble: edge === null ? 'nothing_to_hold' : overlap ? 'discs_overlap' : strays ? 'disc_off_flap' : null,
    apart,
    least,
    clear,
  };
}

/** Cut along one line half-way between them, beyond the flap's edge, both keep their fixing and paper round it. */
const canBeCut = (first: number, second: number, edge: number): boolean =>
  second - first >= FIXING + 2 * BESIDE && second - edge >= FIXING / 2;

/** How far from its tip something holds, mm, at least `from`; that where it does nowhere. */
function found(from: number, holds: (far: number) => boolean): number {
  for (let far = from; far < from + REACH; far += 1) if (holds(far)) return far;
  return from;
}
/** So much further from a flap's tip a place is sought, mm. */
const REACH = 40;

/** Whether the outermost paper at a place is one of these panels, or a mat that is glued on one. */
function liesOn(made: Folded, at: Point<'folded'>, panels: readonly string[]): boolean {
  const { view, layers } = seenFromFlap(made);
  const top = layers.find(({ polygon }) => contains(polygon, outOfView(view, at)))?.panel;
  if (top === undefined) return false;
  const under = made.built.assembly.flatMap((step) => ('onto' in step && step.panel === top ? [step.onto] : []));
  return panels.includes(top) || under.some((panel) => panels.includes(panel));
}

/** The flap that faces the closing one, and its free edge in the view; null where there is none. */
function facingFlap({ built, folded }: Folded, view: View): { readonly panel: string; readonly edge: number } | null {
  const closing = folded.stages.find(({ step }) => step.closes);
  for (const { pairs } of claimsOf(built.claims, 'facing'))
    for (const [a, b] of pairs) {
      const own = [a, b].find((panel) => closing?.moving.includes(panel));
      const facing = own === a ? b : a;
      if (own === undefined) continue;
      const layer = folded.finished.layers.find(({ panel }) => panel === facing);
      const over = folded.finished.layers.find(({ panel }) => panel === own);
      if (!layer || !over || facing === undefined) continue;
      const [tip, begins] = [layer, over].map(({ polygon }) => Math.min(...polygon.map((p) => inView(view, p).y))) as [
        number,
        number,
      ];
      // Doors that come from the sides face each other across, and not along.
      if (tip > begins + TOLERANCE.folded) return { panel: facing, edge: tip };
    }
  return null;
}

/** What shuts it: what its maker chose, or what its holder's own options say. */
export const closureOf = ({ ties }: Pick<Made['built'], 'ties'>, { kind }: Design['closure']): Closure =>
  kind === 'none' ? (ties ?? 'none') : kind;

/** Places a closure on the finished thing; null when there is none. */
export function closurePlan(
  made: Folded,
  design: Pick<Design, 'closure' | 'thickness' | 'graduation'>,
): ClosurePlan | null {
  const plan = closureFor(made, design);
  return plan && { ...plan, length: offTheReel(plan.length, design.graduation) };
}

function closureFor(
  made: Folded,
  { closure, thickness }: Pick<Design, 'closure' | 'thickness' | 'graduation'>,
): ClosurePlan | null {
  const { disc } = closure;
  const { built, folded } = made;
  const kind = closureOf(built, closure);
  if (kind === 'none') return null;
  if (folded.standing) return roundBox(kind, made);
  const stack = ownPaper(folded.finished, built);
  const view = viewOf(built, stack);
  const box = foldedBox(stack, view);
  const width = box.maxX - box.minX;
  const [x, y] = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2];
  const at = (px: number, py: number): Point<'folded'> => ({ x: px, y: py });
  const round = 2 * (width + thickness + made.finished.thickness);
  const across = [at(box.minX, y), at(box.maxX, y)] as const;
  // A cord round the middle must stay clear of an opening that nothing closes, and of the finger notch in it.
  const open = built.cavities[0] && !folded.stages.some(({ step }) => step.closes);
  const covers = open && y - box.minY < CLEAR ? ('covers_opening' as const) : null;
  const none = { ...NO_DISCS, face: 'front', line: null, trouble: null } as const;
  // The free edge of what closes: the flap's own far end.
  const closing = folded.stages.find(({ step }) => step.closes);
  const flap = closing && folded.finished.layers.find((layer) => closing.moving.includes(layer.panel));
  const edge =
    closing && flap
      ? Math.max(
          ...folded.finished.layers
            .filter((l) => closing.moving.includes(l.panel))
            .flatMap((l) => l.polygon.map((p) => inView(view, p).y)),
        )
      : null;
  switch (kind) {
    case 'cord':
      return { kind, length: mm(round + KNOT), ...none, line: across, trouble: covers };
    case 'bow':
      return { kind, length: mm(round + BOW), ...none, line: across, trouble: covers };
    case 'band':
      return { kind, length: mm(round + inches(1 / 2)), ...none, line: across, trouble: covers };
    case 'ribbon':
      return { kind, length: mm(round + BOW), ...none, line: across, trouble: covers };
    case 'laced': {
      const holes = made.pieces.flatMap(({ piece }) => piece.holes.map((hole) => ({ piece, hole })));
      const points = holes.flatMap(({ hole }) => {
        const layer = folded.finished.layers.find((l) => l.panel === hole.panel);
        if (!layer) return [];
        const [a, b, c, d, e, f] = layer.map;
        return [
          inView(view, { x: a * hole.centre.x + c * hole.centre.y + e, y: b * hole.centre.x + d * hole.centre.y + f }),
        ];
      });
      const distinct = points.filter((p, i) => points.findIndex((q) => Math.hypot(p.x - q.x, p.y - q.y) < 1) === i);
      const left = distinct.filter((p) => p.x < x).sort((a, b) => a.y - b.y);
      const right = distinct.filter((p) => p.x >= x).sort((a, b) => a.y - b.y);
      let length: number = BOW;
      // Crosswise from hole to hole, as a shoe is laced.
      for (let i = 0; i < Math.min(left.length, right.length); i++) {
        length += Math.hypot(left[i]!.x - right[i]!.x, left[i]!.y - right[i]!.y);
        const [l, r] = [left[i + 1], right[i + 1]];
        if (l && r)
          length += Math.hypot(left[i]!.x - r.x, left[i]!.y - r.y) + Math.hypot(right[i]!.x - l.x, right[i]!.y - l.y);
      }
      return { kind, length: mm(length), ...none, trouble: distinct.length === 0 ? 'no_holes' : null };
    }
    case 'buttons':
      return { ...none, kind, face: flapFace(made), ...twoDiscs(made, closure, edge, view) };
    case 'dot':
      return {
        kind,
        length: mm(0),
        ...none,
        face: flapFace(made),
        discs: [{ at: at(x, (edge ?? y) - disc), diameter: disc, cut: null }],
        trouble: edge === null ? 'nothing_to_hold' : null,
      };
    case 'tuck':
      return { kind, length: mm(0), ...none, trouble: edge === null ? 'nothing_to_hold' : null };
  }
}
