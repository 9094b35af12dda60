/**
 * A second reader of the plan document, which knows nothing of how plans are made: it splits each sheet along its scores
 * and cuts, turns every face by the angles it is told, and joins the pieces as `assembly` says. Lengths in mm.
 */
import { ringsBetween, secondArea, secondDifference, secondShared } from './second-geometry';

interface Flat {
  readonly x: number;
  readonly y: number;
}
interface Spot extends Flat {
  readonly z: number;
}
type Pair = readonly [number, number];

/** What is read of a plan document. */
export interface ReadDocument {
  readonly pieces: readonly {
    readonly name: string;
    readonly outline: readonly Pair[];
    readonly scores: readonly {
      readonly id: string;
      readonly from: Pair;
      readonly to: Pair;
      readonly fold: 'valley' | 'mountain';
      readonly angle: number;
    }[];
    readonly cuts: readonly { readonly from: Pair; readonly to: Pair }[];
    readonly holes: readonly { readonly at: Pair; readonly diameter: number }[];
  }[];
  readonly given: readonly {
    readonly name: string;
    readonly width: number;
    readonly height: number;
    readonly outline?: readonly Pair[] | undefined;
    readonly scores?: ReadDocument['pieces'][number]['scores'] | undefined;
  }[];
  readonly assembly: readonly {
    readonly piece: string;
    readonly own: string;
    readonly onto: string;
    readonly panel: string;
    readonly transform: readonly number[];
    readonly above?: number | undefined;
  }[];
  readonly joins: readonly { readonly a: string; readonly b: string; readonly polygon: readonly Pair[] }[];
}

/** A place in space: the three columns of a turn, and a move. */
interface Place {
  readonly x: Spot;
  readonly y: Spot;
  readonly z: Spot;
  readonly o: Spot;
}

const HERE: Place = {
  x: { x: 1, y: 0, z: 0 },
  y: { x: 0, y: 1, z: 0 },
  z: { x: 0, y: 0, z: 1 },
  o: { x: 0, y: 0, z: 0 },
};
const add = (a: Spot, b: Spot, times = 1): Spot => ({
  x: a.x + b.x * times,
  y: a.y + b.y * times,
  z: a.z + b.z * times,
});
const dot = (a: Spot, b: Spot): number => a.x * b.x + a.y * b.y + a.z * b.z;
const turned = ({ x, y, z }: Place, v: Spot): Spot => add(add(add({ x: 0, y: 0, z: 0 }, x, v.x), y, v.y), z, v.z);
const at = (place: Place, p: Flat): Spot => add(turned(place, { ...p, z: 0 }), place.o);
/** First `b`, then `a`. */
const after = (a: Place, b: Place): Place => ({
  x: turned(a, b.x),
  y: turned(a, b.y),
  z: turned(a, b.z),
  o: add(turned(a, b.o), a.o),
});
const undone = ({ x, y, z, o }: Place): Place => {
  const back = { x: { x: x.x, y: y.x, z: z.x }, y: { x: x.y, y: y.y, z: z.y }, z: { x: x.z, y: y.z, z: z.z } };
  return { ...back, o: turned({ ...back, o: HERE.o }, { x: -o.x, y: -o.y, z: -o.z }) };
};

/** A turn about a line of the sheet by so many degrees; what lies on the left of the line comes up. */
function turnAbout(from: Flat, to: Flat, degrees: number): Place {
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  const d: Spot = { x: (to.x - from.x) / length, y: (to.y - from.y) / length, z: 0 };
  const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
  const spun = (v: Spot): Spot => {
    const cross = { x: d.y * v.z - d.z * v.y, y: d.z * v.x - d.x * v.z, z: d.x * v.y - d.y * v.x };
    return add(add(add({ x: 0, y: 0, z: 0 }, v, c), cross, s), d, dot(d, v) * (1 - c));
  };
  const turn = { x: spun(HERE.x), y: spun(HERE.y), z: spun(HERE.z), o: HERE.o };
  const base = { ...from, z: 0 };
  return { ...turn, o: add(base, turned(turn, base), -1) };
}

/** One face of a folded piece: its ring on the sheet, and where the folding brought it. */
export interface Face {
  readonly ring: readonly Flat[];
  readonly place: Place;
}
/** A piece split, folded and joined. */
export interface FoldedPiece {
  readonly name: string;
  readonly faces: readonly Face[];
  /** How far paths round the sheet disagree about where a face comes to, mm: 0 where it folds without tearing. */
  readonly torn: number;
}

const leftOf = (a: Flat, b: Flat, p: Flat): number => {
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  return ((b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x)) / length;
};
const along = (a: Flat, b: Flat, p: Flat): number => {
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  return ((b.x - a.x) * (p.x - a.x) + (b.y - a.y) * (p.y - a.y)) / length;
};
const holds = (ring: readonly Flat[], p: Flat): boolean => {
  let inside = false;
  ring.forEach((a, i) => {
    const b = ring[(i + 1) % ring.length]!;
    if (a.y > p.y !== b.y > p.y && p.x < ((b.x - a.x) * (p.y - a.y)) / (b.y - a.y) + a.x) inside = !inside;
  });
  return inside;
};
const size = (ring: readonly Flat[]): number =>
  Math.abs(
    ring.reduce((sum, p, i) => {
      const q = ring[(i + 1) % ring.length]!;
      return sum + p.x * q.y - q.x * p.y;
    }, 0),
  ) / 2;
/** A point inside a ring: halfway into the widest gap of a level line through it. */
function within(ring: readonly Flat[]): Flat {
  const levels = [...new Set(ring.map(({ y }) => y))].sort((a, b) => a - b);
  let best: { readonly p: Flat; readonly gap: number } = { p: ring[0]!, gap: 0 };
  levels.slice(0, -1).forEach((low, i) => {
    const y = (low + levels[i + 1]!) / 2;
    const xs = ring
      .flatMap((a, k) => {
        const b = ring[(k + 1) % ring.length]!;
        return a.y > y !== b.y > y ? [((b.x - a.x) * (y - a.y)) / (b.y - a.y) + a.x] : [];
      })
      .sort((a, b) => a - b);
    for (let k = 0; k + 1 < xs.length; k += 2) {
      const gap = Math.min(xs[k + 1]! - xs[k]!, levels[i + 1]! - low);
      if (gap > best.gap) best = { p: { x: (xs[k]! + xs[k + 1]!) / 2, y }, gap };
    }
  });
  return best.p;
}

const flat = ([x, y]: Pair): Flat => ({ x, y });
const NEAR = 2e-3;

/** Where a face borders a line: on which side, and from where to where along it; null where it does not. */
function border(ring: readonly Flat[], from: Flat, to: Flat): { readonly left: boolean; readonly span: Pair } | null {
  const long = Math.hypot(to.x - from.x, to.y - from.y);
  const spans = ring.flatMap((p, i) => {
    const q = ring[(i + 1) % ring.length]!;
    if (Math.abs(leftOf(from, to, p)) > NEAR || Math.abs(leftOf(from, to, q)) > NEAR) return [];
    const [s, t] = [along(from, to, p), along(from, to, q)].sort((a, b) => a - b) as [number, number];
    return t > NEAR && s < long - NEAR && t - s > NEAR ? [[Math.max(0, s), Math.min(long, t)] as const] : [];
  });
  if (spans.length === 0) return null;
  const [s, t] = spans.reduce((a, b) => (b[1] - b[0] > a[1] - a[0] ? b : a));
  const middle = (s + t) / 2;
  const side = { x: -(to.y - from.y) / long, y: (to.x - from.x) / long };
  const p = (off: number): Flat => ({
    x: from.x + ((to.x - from.x) / long) * middle + side.x * off,
    y: from.y + ((to.y - from.y) / long) * middle + side.y * off,
  });
  return { left: holds(ring, p(0.01)), span: [s, t] };
}

interface Line {
  readonly from: Flat;
  readonly to: Flat;
}
const distance = (p: Flat, q: Flat): number => Math.hypot(p.x - q.x, p.y - q.y);

/** Lines parted wherever another ends on them or crosses them; ends that lie together become one point. */
function parted(lines: readonly Line[]): Line[] {
  const known: Flat[] = [];
  const one = (p: Flat): Flat => {
    const there = known.find((q) => distance(p, q) < NEAR);
    if (!there) known.push(p);
    return there ?? p;
  };
  const joined = lines.map(({ from, to }) => ({ from: one(from), to: one(to) })).filter(({ from, to }) => from !== to);
  for (const { from, to } of joined)
    for (const other of joined) {
      const [s, t] = [leftOf(from, to, other.from), leftOf(from, to, other.to)];
      const [u, v] = [leftOf(other.from, other.to, from), leftOf(other.from, other.to, to)];
      if (s * t < 0 && u * v < 0 && [s, t, u, v].every((d) => Math.abs(d) > NEAR)) {
        const share = s / (s - t);
        one({
          x: other.from.x + (other.to.x - other.from.x) * share,
          y: other.from.y + (other.to.y - other.from.y) * share,
        });
      }
    }
  return joined.flatMap(({ from, to }) => {
    const long = distance(from, to);
    const on = known
      .filter((p) => Math.abs(leftOf(from, to, p)) < NEAR)
      .map((p) => ({ p, d: along(from, to, p) }))
      .filter(({ p, d }) => p === from || p === to || (d > NEAR && d < long - NEAR))
      .sort((p, q) => p.d - q.d)
      .map(({ p }) => p);
    return on.slice(0, -1).map((p, i) => ({ from: p, to: on[i + 1]! }));
  });
}

/** The faces that a sheet's scores and cuts divide it into. */
export function facesOf({
  outline,
  scores,
  cuts,
}: Pick<ReadDocument['pieces'][number], 'outline' | 'scores' | 'cuts'>): Flat[][] {
  const lines = [
    ...outline.map((p, i) => ({ from: flat(p), to: flat(outline[(i + 1) % outline.length]!) })),
    ...[...scores, ...cuts].map(({ from, to }) => ({ from: flat(from), to: flat(to) })),
  ];
  const paper = outline.map(flat);
  return ringsBetween(parted(lines)).filter((ring) => size(ring) > 0.01 && holds(paper, within(ring)));
}

/** Splits a sheet along its scores and cuts and turns its faces; the largest stays where it is. */
function foldPiece({ name, outline, scores, cuts }: ReadDocument['pieces'][number]): FoldedPiece {
  const rings = facesOf({ outline, scores, cuts });
  const hinges = scores.flatMap((score) => {
    const [from, to] = [flat(score.from), flat(score.to)];
    const beside = rings.flatMap((ring, face) => {
      const found = border(ring, from, to);
      return found ? [{ face, ...found }] : [];
    });
    return beside
      .filter(({ left }) => left)
      .flatMap((l) =>
        beside
          .filter((r) => !r.left && Math.min(l.span[1], r.span[1]) - Math.max(l.span[0], r.span[0]) > NEAR)
          .map((r) => ({
            left: l.face,
            right: r.face,
            from,
            to,
            turn: score.fold === 'valley' ? score.angle : -score.angle,
          })),
      );
  });
  const root = rings.reduce((best, ring, i) => (size(ring) > size(rings[best]!) ? i : best), 0);
  const places = new Map<number, Place>([[root, HERE]]);
  const queue = [root];
  let torn = 0;
  for (const face of queue) {
    const place = places.get(face)!;
    for (const hinge of hinges) {
      if (hinge.left !== face && hinge.right !== face) continue;
      const other = hinge.left === face ? hinge.right : hinge.left;
      // What moves must lie on the left of the line it turns about.
      const turn =
        hinge.left === other
          ? turnAbout(hinge.from, hinge.to, hinge.turn)
          : turnAbout(hinge.to, hinge.from, hinge.turn);
      const next = after(place, turn);
      const known = places.get(other);
      if (known)
        for (const p of rings[other]!) {
          const apart = add(at(known, p), at(next, p), -1);
          torn = Math.max(torn, Math.sqrt(dot(apart, apart)));
        }
      else {
        places.set(other, next);
        queue.push(other);
      }
    }
  }
  return { name, torn, faces: rings.flatMap((ring, i) => (places.has(i) ? [{ ring, place: places.get(i)! }] : [])) };
}

type Laid = ReadDocument['assembly'][number];
/** Where `transform` brings a point of the piece, and where it takes one from. */
const brought = ([a, b, c, d, e, f]: Laid['transform'], { x, y }: Flat): Flat => ({
  x: a! * x + c! * y + e!,
  y: b! * x + d! * y + f!,
});
function takenFrom([a, b, c, d, e, f]: Laid['transform'], p: Flat): Flat {
  const [x, y, whole] = [p.x - e!, p.y - f!, a! * d! - b! * c!];
  return { x: (d! * x - c! * y) / whole, y: (a! * y - b! * x) / whole };
}

/**
 * A point of the panel that comes to lie on another, as far as the document tells: where it is glued, or the middle of
 * the largest face that comes over the other piece at all.
 */
function pointOf(
  document: ReadDocument,
  piece: FoldedPiece,
  base: FoldedPiece,
  { own, onto, panel, transform }: Laid,
): Flat {
  const names = [`${piece.name}/${own}`, `${onto}/${panel}`];
  const glued = document.joins.find(({ a, b }) => names.includes(a) && names.includes(b));
  if (glued) {
    const p = within(glued.polygon.map(flat));
    return glued.a === names[0] ? p : takenFrom(transform, p);
  }
  const middles = [...piece.faces].sort((a, b) => size(b.ring) - size(a.ring)).map(({ ring }) => within(ring));
  return middles.find((p) => base.faces.some(({ ring }) => holds(ring, brought(transform, p)))) ?? middles[0]!;
}

/** Everything of a plan folded and joined, each piece where it comes to; the first stays on the table. */
export function readPlan(document: ReadDocument): FoldedPiece[] {
  const lying = new Map<string, FoldedPiece>();
  for (const piece of document.pieces) lying.set(piece.name, foldPiece(piece));
  for (const { name, width, height, outline, scores } of document.given)
    if (outline && scores) lying.set(name, foldPiece({ name, outline, scores, cuts: [], holes: [] }));
    else
      lying.set(name, {
        name,
        torn: 0,
        faces: [
          {
            ring: [
              { x: 0, y: 0 },
              { x: width, y: 0 },
              { x: width, y: height },
              { x: 0, y: height },
            ],
            place: HERE,
          },
        ],
      });
  const done = new Map<string, FoldedPiece>();
  const laid = new Set(document.assembly.map(({ piece }) => piece));
  for (const [name, piece] of lying) if (!laid.has(name)) done.set(name, piece);
  // A piece that others were laid on may itself come to lie on another later.
  const waiting = [...document.assembly];
  while (waiting.length > 0) {
    const [laying] = waiting.splice(
      waiting.findIndex(({ onto }) => done.has(onto)),
      1,
    );
    const { piece: name, onto, transform, above = 0 } = laying!;
    const [piece, base] = [lying.get(name)!, done.get(onto)];
    if (!base) throw new Error(`${name} is laid on ${onto}, which lies on nothing`);
    const [a, b, c, d, e, f] = transform as [number, number, number, number, number, number];
    const p = pointOf(document, piece, base, laying!);
    const mine = piece.faces.find(({ ring }) => holds(ring, p));
    const theirs = base.faces.find(({ ring }) => holds(ring, brought(transform, p)));
    if (!mine || !theirs) throw new Error(`${name} is laid beside ${onto}, not on it`);
    const lift: Place = {
      x: { x: a, y: b, z: 0 },
      y: { x: c, y: d, z: 0 },
      z: { x: 0, y: 0, z: Math.sign(a * d - b * c) },
      o: { x: e, y: f, z: above },
    };
    const world = after(after(theirs.place, lift), undone(mine.place));
    done.set(name, { ...piece, faces: piece.faces.map((face) => ({ ...face, place: after(world, face.place) })) });
  }
  return [...done.values()];
}

/** All corners of pieces as they come to lie. */
export const cornersOf = (pieces: readonly FoldedPiece[]): Spot[] =>
  pieces.flatMap(({ faces }) => faces.flatMap(({ ring, place }) => ring.map((p) => at(place, p))));

/** How large folded pieces are, longest side first, mm: boxes round them along each edge of their largest face. */
export function sizesOf(pieces: readonly FoldedPiece[]): readonly (readonly number[])[] {
  const corners = cornersOf(pieces);
  const faces = pieces.flatMap((piece) => piece.faces);
  const largest = faces.reduce((best, face) => (size(face.ring) > size(best.ring) ? face : best));
  const span = (axis: Spot): number => {
    const reach = corners.map((p) => dot(p, axis));
    return Math.max(...reach) - Math.min(...reach);
  };
  const up = span(largest.place.z);
  return largest.ring.map((p, i) => {
    const q = largest.ring[(i + 1) % largest.ring.length]!;
    const length = Math.hypot(q.x - p.x, q.y - p.y);
    const u = turned(largest.place, { x: (q.x - p.x) / length, y: (q.y - p.y) / length, z: 0 });
    const v = turned(largest.place, { x: -(q.y - p.y) / length, y: (q.x - p.x) / length, z: 0 });
    return [span(u), span(v), up].sort((a, b) => b - a);
  });
}

/** For a join: how far the two papers are apart there, and the share of the joined patch that the second covers. */
export function joinOf(
  document: ReadDocument,
  pieces: readonly FoldedPiece[],
  { a, b, polygon }: ReadDocument['joins'][number],
): { readonly apart: number; readonly covered: boolean } {
  const [one, other] = [a, b].map((name) => pieces.find((piece) => piece.name === name.split('/')[0])!) as [
    FoldedPiece,
    FoldedPiece,
  ];
  const ring = polygon.map(flat);
  const p = within(ring);
  const mine = one.faces.find((face) => holds(face.ring, p))!;
  let best = { apart: Infinity, covered: false };
  for (const face of other.faces) {
    if (face === mine) continue;
    const back = undone(face.place);
    const points = [p, ...ring].map((q) => add(turned(back, at(mine.place, q)), back.o));
    const apart = Math.max(...points.map(({ z }) => Math.abs(z)));
    const covered = holds(face.ring, points[0]!);
    if ((covered && !best.covered) || (covered === best.covered && apart < best.apart)) best = { apart, covered };
  }
  return best;
}

const longestEdge = ({ ring }: Face): readonly [Flat, Flat] =>
  ring
    .map((p, i) => [p, ring[(i + 1) % ring.length]!] as const)
    .reduce((best, edge) => (distance(...edge) > distance(...best) ? edge : best));
/** Axes on a sheet with x along an edge. */
function edgeAxes(p: Flat, q: Flat): Place {
  const length = distance(p, q);
  const [c, s] = [(q.x - p.x) / length, (q.y - p.y) / length];
  return { x: { x: c, y: s, z: 0 }, y: { x: -s, y: c, z: 0 }, z: HERE.z, o: HERE.o };
}

/** True when everything lies in one plane, to a tenth of a millimetre. */
export function isFlat(pieces: readonly FoldedPiece[]): boolean {
  const faces = pieces.flatMap((piece) => piece.faces);
  const { place } = faces.reduce((best, face) => (size(face.ring) > size(best.ring) ? face : best));
  const heights = cornersOf(pieces).map((spot) => dot(spot, place.z));
  return Math.max(...heights) - Math.min(...heights) < 0.1;
}

/** How far the papers of a join may lap, mm: the breadths of what its first shares with each that lies on it there. */
export function lapsOf(
  pieces: readonly FoldedPiece[],
  { a, b, polygon }: ReadDocument['joins'][number],
): readonly number[] {
  const [one, other] = [a, b].map((name) => pieces.find((piece) => piece.name === name.split('/')[0])!) as [
    FoldedPiece,
    FoldedPiece,
  ];
  const p = within(polygon.map(flat));
  const mine = one.faces.find((face) => holds(face.ring, p))!;
  return other.faces.flatMap((face) => {
    if (face === mine) return [];
    const back = undone(face.place);
    const lying = [p, ...mine.ring].map((q) => add(turned(back, at(mine.place, q)), back.o));
    if (!holds(face.ring, lying[0]!) || lying.some(({ z }) => Math.abs(z) > 0.1)) return [];
    return secondShared([lying.slice(1)], [face.ring]).map(breadth);
  });
}

/** The least distance between two parallel lines with a ring between them: one of them lies along an edge of its hull. */
function breadth(ring: readonly Flat[]): number {
  let least = Infinity;
  ring.forEach((p) =>
    ring.forEach((q) => {
      if (distance(p, q) < NEAR) return;
      const off = ring.map((r) => leftOf(p, q, r));
      if (Math.min(...off) > -NEAR) least = Math.min(least, Math.max(...off));
    }),
  );
  return least;
}

/**
 * Whether a rectangle lies somewhere within the paper of what is folded flat: along the longest edge of the largest face,
 * either way round, with a side on an edge of something or in the middle.
 */
export function liesWithin(pieces: readonly FoldedPiece[], width: number, height: number): boolean {
  const faces = pieces.flatMap((piece) => piece.faces);
  const largest = faces.reduce((best, face) => (size(face.ring) > size(best.ring) ? face : best));
  const back = undone(after(largest.place, edgeAxes(...longestEdge(largest))));
  const paper = faces.map((face) => face.ring.map((p) => add(turned(back, at(face.place, p)), back.o)));
  const [xs, ys] = [paper.flat().map(({ x }) => x), paper.flat().map(({ y }) => y)];
  const box = (Math.max(...xs) - Math.min(...xs)) * (Math.max(...ys) - Math.min(...ys));
  // Where the paper fills no rectangle its corners are rounded: what lies there must be covered but for such corners.
  const lost = box - secondArea(paper);
  const marks = (axis: 'x' | 'y'): number[] =>
    [...new Set(paper.flat().map((q) => Math.round(q[axis] * 1e3) / 1e3))].sort((p, q) => p - q);
  const starts = (axis: 'x' | 'y', long: number): number[] => {
    const own = marks(axis);
    const [low, high] = [own[0]!, own.at(-1)!];
    return [...own, ...own.map((mark) => mark - long), (low + high - long) / 2].filter(
      (start) => start > low - 0.01 && start + long < high + 0.01,
    );
  };
  for (const [w, h] of [
    [width, height],
    [height, width],
  ] as const)
    for (const x of starts('x', w))
      for (const y of starts('y', h)) {
        const lying = [
          { x, y },
          { x: x + w, y },
          { x: x + w, y: y + h },
          { x, y: y + h },
        ];
        const slack = 0.02 * (w + h);
        const lacking = secondDifference([lying], paper);
        if (lacking < slack) return true;
        if (lacking < slack + lost && secondDifference([roundedOff(x, y, w, h)], paper) < slack) return true;
      }
  return false;
}

/** A rectangle whose corners are rounded as far as can be: by half its shorter side. */
function roundedOff(x: number, y: number, w: number, h: number): readonly Flat[] {
  const r = Math.min(w, h) / 2;
  const middles = [
    [x + w - r, y + h - r],
    [x + r, y + h - r],
    [x + r, y + r],
    [x + w - r, y + r],
  ] as const;
  return middles.flatMap(([cx, cy], quarter) =>
    Array.from({ length: 17 }, (_, i) => {
      const angle = ((quarter + i / 16) * Math.PI) / 2;
      return { x: cx + r * Math.cos(angle), y: cy + r * Math.sin(angle) };
    }),
  );
}

/**
 * The room between the walls that stand round each face of pieces, mm, the largest first: across each of its ways the
 * distance of the outermost two (null where fewer stand), and how high the highest of them is.
 */
export const roomsIn = (pieces: readonly FoldedPiece[]): readonly Room[] => {
  const faces = pieces.flatMap((piece) => piece.faces);
  return [...faces].sort((a, b) => size(b.ring) - size(a.ring)).map((floor) => roomOn(floor, faces));
};

/** Room on a floor, mm. */
export interface Room {
  readonly ways: readonly (number | null)[];
  readonly deep: number;
}

function roomOn(floor: Face, faces: readonly Face[]): Room {
  const [p, q] = longestEdge(floor);
  const back = undone(after(floor.place, edgeAxes(p, q)));
  const walls = faces.flatMap((face) => {
    const normal = turned({ ...back, o: HERE.o }, face.place.z);
    if (face === floor || Math.abs(normal.z) > 1e-3) return [];
    return [{ normal, corners: face.ring.map((r) => add(turned(back, at(face.place, r)), back.o)) }];
  });
  const ways = (['x', 'y'] as const).map((axis) => {
    const places = walls
      .filter(({ normal }) => Math.abs(Math.abs(normal[axis]) - 1) < 1e-3)
      .map(({ corners }) => corners[0]![axis]);
    const apart = Math.max(...places) - Math.min(...places);
    return places.length > 1 && apart > 1 ? apart : null;
  });
  return { ways, deep: Math.max(0, ...walls.flatMap(({ corners }) => corners.map(({ z }) => Math.abs(z)))) };
}

/** How near a hole comes to a score, a cut or the rim of its sheet, beyond its own radius, mm. */
export const clearOf = (
  { outline, scores, cuts }: ReadDocument['pieces'][number],
  hole: ReadDocument['pieces'][number]['holes'][number],
): number => {
  const lines = [
    ...outline.map((p, i) => [flat(p), flat(outline[(i + 1) % outline.length]!)] as const),
    ...[...scores, ...cuts].map(({ from, to }) => [flat(from), flat(to)] as const),
  ];
  const centre = flat(hole.at);
  const off = lines.map(([from, to]) => {
    const long = distance(from, to);
    const t = Math.min(long, Math.max(0, along(from, to, centre)));
    return distance(centre, { x: from.x + ((to.x - from.x) * t) / long, y: from.y + ((to.y - from.y) * t) / long });
  });
  const inside = holds(outline.map(flat), centre);
  return (inside ? 1 : -1) * Math.min(...off) - hole.diameter / 2;
};

/** How fine the grid is on which layers are counted across a wall. */
const GRID = 24;

/**
 * Layers of paper inside the outermost that stand at two facing walls of a room of that floor, both together at their
 * thickest place, along its first and its second side: counted on a grid of points, of a piece as it stands.
 */
export function layersRound({ faces }: FoldedPiece, [wide, high]: readonly [number, number]): readonly number[] {
  const near = (a: number, b: number): boolean => Math.abs(a - b) < 0.02;
  // A floor is a rectangle: a wing may happen to have two such sides.
  const floors = faces.filter(
    ({ ring }) =>
      ring.length === 4 &&
      ring.some((p, i) => {
        const [q, r] = [ring[(i + 1) % ring.length]!, ring[(i + 2) % ring.length]!];
        return near(distance(p, q), wide) && near(distance(q, r), high);
      }),
  );
  const floor = floors.reduce((best, face) => (size(face.ring) > size(best.ring) ? face : best), floors[0]!);
  const { ring } = floor;
  const start = ring.findIndex((p, i) => near(distance(p, ring[(i + 1) % ring.length]!), wide));
  const back = undone(after(floor.place, edgeAxes(ring[start]!, ring[(start + 1) % ring.length]!)));
  const seen = faces
    .filter((face) => face !== floor)
    .map((face) => face.ring.map((p) => add(turned(back, at(face.place, p)), back.o)));
  const base = ring.map((p) => add(turned(back, at(floor.place, p)), back.o));
  const along = (axis: 'x' | 'y'): number => {
    const other = axis === 'x' ? 'y' : 'x';
    const ends = [Math.min(...base.map((p) => p[axis])), Math.max(...base.map((p) => p[axis]))];
    const walls = ends.map((end) =>
      seen
        .filter((corners) => corners.every((p) => Math.abs(p[axis] - end) < 0.3))
        .map((corners) => corners.map((p) => ({ x: p[other], y: p.z }))),
    );
    const spots = walls.flat(2);
    const [low, top] = [Math.min(...spots.map(({ x }) => x)), Math.max(...spots.map(({ x }) => x))];
    const heights = spots.map(({ y }) => y);
    const [down, up] = [Math.min(...heights), Math.max(...heights)];
    let most = 0;
    for (let i = 0; i < GRID; i++)
      for (let j = 0; j < GRID; j++) {
        const spot = { x: low + ((top - low) * (i + 0.5)) / GRID, y: down + ((up - down) * (j + 0.5)) / GRID };
        most = Math.max(most, walls.flat().filter((wall) => holds(wall, spot)).length);
      }
    return Math.max(0, most - walls.filter((wall) => wall.length > 0).length);
  };
  return [along('x'), along('y')];
}

/** The most layers of paper that lie over each other anywhere in what is folded flat: counted on a grid of points. */
export function mostLayersOf(pieces: readonly FoldedPiece[]): number {
  const faces = pieces.flatMap((piece) => piece.faces);
  const largest = faces.reduce((best, face) => (size(face.ring) > size(best.ring) ? face : best));
  const back = undone(after(largest.place, edgeAxes(...longestEdge(largest))));
  const paper = faces.map((face) => face.ring.map((p) => add(turned(back, at(face.place, p)), back.o)));
  const spots = paper.flat();
  const [xs, ys] = [spots.map(({ x }) => x), spots.map(({ y }) => y)];
  const [x0, y0] = [Math.min(...xs), Math.min(...ys)];
  const [dx, dy] = [(Math.max(...xs) - x0) / FINE, (Math.max(...ys) - y0) / FINE];
  let most = 0;
  for (let i = 0; i < FINE; i++)
    for (let j = 0; j < FINE; j++) {
      // Off the middles, where papers that only meet would both be hit.
      const spot = { x: x0 + dx * (i + 0.47), y: y0 + dy * (j + 0.531) };
      most = Math.max(most, paper.filter((ring) => holds(ring, spot)).length);
    }
  return most;
}
const FINE = 90;
