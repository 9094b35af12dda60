/**
 * Second geometry libraries to hold the project's own against: Clipper 6 (clipper-lib 6.4.2; the project's own is Clipper2,
 * which was written anew) for areas and overlaps, and JTS (jsts 2.12) with its snap rounding for the faces between lines.
 */
import ClipperLib from 'clipper-lib';
import JtsPrecisionModel from 'jsts/org/locationtech/jts/geom/PrecisionModel.js';
import JtsGeoJSONReader from 'jsts/org/locationtech/jts/io/GeoJSONReader.js';
import JtsGeoJSONWriter from 'jsts/org/locationtech/jts/io/GeoJSONWriter.js';
import JtsGeometryNoder from 'jsts/org/locationtech/jts/noding/snapround/GeometryNoder.js';
import JtsPolygonizer from 'jsts/org/locationtech/jts/operation/polygonize/Polygonizer.js';
import JtsArrayList from 'jsts/java/util/ArrayList.js';

// The package's types ask for arguments its constructors do not take.
/* oxlint-disable typescript/no-explicit-any */
const Polygonizer = JtsPolygonizer as any;
const PrecisionModel = JtsPrecisionModel as any;
const GeometryNoder = JtsGeometryNoder as any;
const GeoJSONReader = JtsGeoJSONReader as any;
const GeoJSONWriter = JtsGeoJSONWriter as any;
const ArrayList = JtsArrayList as any;
/* eslint-enable typescript/no-explicit-any */

interface Point {
  readonly x: number;
  readonly y: number;
}
interface Segment {
  readonly from: Point;
  readonly to: Point;
}
type Rings = readonly (readonly Point[])[];
/** Clipper 6 counts in whole numbers: so many to a millimetre. */
const UNITS_PER_MM = 1e5;
const turn = (ring: readonly Point[]): number =>
  ring.reduce((sum, p, i) => {
    const q = ring[(i + 1) % ring.length]!;
    return sum + p.x * q.y - q.x * p.y;
  }, 0);
/** Every ring anticlockwise: solid. */
const paths = (rings: Rings) =>
  rings.map((ring) =>
    (turn(ring) < 0 ? [...ring].reverse() : ring).map(({ x, y }) => ({
      X: Math.round(x * UNITS_PER_MM),
      Y: Math.round(y * UNITS_PER_MM),
    })),
  );
function clipped(operation: number, a: Rings, b: Rings): Point[][] {
  const clipper = new ClipperLib.Clipper();
  clipper.AddPaths(paths(a), ClipperLib.PolyType.ptSubject, true);
  if (b.length > 0) clipper.AddPaths(paths(b), ClipperLib.PolyType.ptClip, true);
  const found: { X: number; Y: number }[][] = [];
  const { pftNonZero } = ClipperLib.PolyFillType;
  if (!clipper.Execute(operation, found, pftNonZero, pftNonZero)) throw new Error('clipped nothing');
  return found.map((ring) => ring.map(({ X, Y }) => ({ x: X / UNITS_PER_MM, y: Y / UNITS_PER_MM })));
}
/** Holes run clockwise and count off. */
const areaOf = (rings: Rings): number => rings.reduce((sum, ring) => sum + turn(ring) / 2, 0);
const { ctUnion, ctIntersection, ctDifference } = ClipperLib.ClipType;

export const secondArea = (rings: Rings): number => areaOf(clipped(ctUnion, rings, []));
export const secondIntersection = (a: Rings, b: Rings): number => areaOf(clipped(ctIntersection, a, b));
/** What two sets of rings share. */
export const secondShared = (a: Rings, b: Rings): Rings => clipped(ctIntersection, a, b);
export const secondDifference = (a: Rings, b: Rings): number => areaOf(clipped(ctDifference, a, b));

/** The areas of all faces that a set of lines divides the plane into, smallest first. */
export const facesBetween = (lines: readonly Segment[]): number[] =>
  ringsBetween(lines)
    .map((ring) => Math.abs(turn(ring)) / 2)
    .sort((a, b) => a - b);

/** The faces that a set of lines divides the plane into, as their outer rings; lines meet to 1e-4 mm, as files write them. */
export function ringsBetween(lines: readonly Segment[]): Point[][] {
  const [reader, writer] = [new GeoJSONReader(), new GeoJSONWriter()];
  const all = new ArrayList();
  for (const { from, to } of lines)
    all.add(
      reader.read({
        type: 'LineString',
        coordinates: [
          [from.x, from.y],
          [to.x, to.y],
        ],
      }),
    );
  const polygonizer = new Polygonizer();
  const added = new Set<string>();
  for (const i = new GeometryNoder(new PrecisionModel(10_000)).node(all).iterator(); i.hasNext();) {
    const { coordinates } = writer.write(i.next()) as { coordinates: number[][] };
    for (const [j, from] of coordinates.slice(0, -1).entries()) {
      // Lines drawn twice (a cut along the blank's edge) count once, or they would bound faces of no area.
      const ends = [from, coordinates[j + 1]!];
      const key = [...ends].map(String).sort().join(' ');
      if (!added.has(key)) polygonizer.add(reader.read({ type: 'LineString', coordinates: ends }));
      added.add(key);
    }
  }
  const rings: Point[][] = [];
  for (const i = polygonizer.getPolygons().iterator(); i.hasNext();) {
    const { coordinates } = writer.write(i.next()) as { coordinates: number[][][] };
    rings.push(coordinates[0]!.slice(1).map(([x, y]) => ({ x: x!, y: y! })));
  }
  return rings;
}
