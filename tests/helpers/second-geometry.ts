/**
 * Second geometry libraries to hold the project's own against: Clipper2 (clipper2-ts 2.0.1, floating point in, its
 * own integers inside) for areas and overlaps, and JTS (jsts 2.12) with its snap rounding for the faces between lines.
 */
import { areaPathsD, differenceD, FillRule, intersectD, unionD, type PathsD } from 'clipper2-ts';
import JtsPrecisionModel from 'jsts/org/locationtech/jts/geom/PrecisionModel.js';
import JtsGeoJSONReader from 'jsts/org/locationtech/jts/io/GeoJSONReader.js';
import JtsGeoJSONWriter from 'jsts/org/locationtech/jts/io/GeoJSONWriter.js';
import JtsGeometryNoder from 'jsts/org/locationtech/jts/noding/snapround/GeometryNoder.js';
import JtsPolygonizer from 'jsts/org/locationtech/jts/operation/polygonize/Polygonizer.js';
import JtsArrayList from 'jsts/java/util/ArrayList.js';

// The package's types ask for arguments its constructors do not take.
/* eslint-disable @typescript-eslint/no-explicit-any */
const Polygonizer = JtsPolygonizer as any;
const PrecisionModel = JtsPrecisionModel as any;
const GeometryNoder = JtsGeometryNoder as any;
const GeoJSONReader = JtsGeoJSONReader as any;
const GeoJSONWriter = JtsGeoJSONWriter as any;
const ArrayList = JtsArrayList as any;
/* eslint-enable @typescript-eslint/no-explicit-any */

interface Point {
  readonly x: number;
  readonly y: number;
}
interface Segment {
  readonly from: Point;
  readonly to: Point;
}
type Rings = readonly (readonly Point[])[];
/** Decimals of a millimetre that Clipper2 keeps. */
const DECIMALS = 5;
const turn = (ring: readonly Point[]): number =>
  ring.reduce((sum, p, i) => {
    const q = ring[(i + 1) % ring.length]!;
    return sum + p.x * q.y - q.x * p.y;
  }, 0);
/** Every ring anticlockwise: solid. */
const paths = (rings: Rings): PathsD =>
  rings.map((ring) => (turn(ring) < 0 ? [...ring].reverse() : ring).map(({ x, y }) => ({ x, y })));

export const secondArea = (rings: Rings): number => areaPathsD(unionD(paths(rings), [], FillRule.NonZero, DECIMALS));
export const secondIntersection = (a: Rings, b: Rings): number =>
  areaPathsD(intersectD(paths(a), paths(b), FillRule.NonZero, DECIMALS));
/** What two sets of rings share. */
export const secondShared = (a: Rings, b: Rings): readonly (readonly Point[])[] =>
  intersectD(paths(a), paths(b), FillRule.NonZero, DECIMALS);
export const secondDifference = (a: Rings, b: Rings): number =>
  areaPathsD(differenceD(paths(a), paths(b), FillRule.NonZero, DECIMALS));

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
  for (let i = new GeometryNoder(new PrecisionModel(10_000)).node(all).iterator(); i.hasNext();) {
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
  for (let i = polygonizer.getPolygons().iterator(); i.hasNext();) {
    const { coordinates } = writer.write(i.next()) as { coordinates: number[][][] };
    rings.push(coordinates[0]!.slice(1).map(([x, y]) => ({ x: x!, y: y! })));
  }
  return rings;
}
