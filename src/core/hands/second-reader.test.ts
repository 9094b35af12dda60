/** What is folded again with errors (`refold`) held against the tests’ second reader, which folds the same sheet from nothing. */
import fc from 'fast-check';
import { runs } from '../../../tests/helpers/runs';
import { planOf } from '../../../tests/helpers/designs';
import { readPlan, type ReadDocument } from '../../../tests/helpers/second-reader';
import { CONSTRUCTIONS } from '../constructions';
import { layerOf, refold } from '../fold';
import { apply, area, centreOf, compose, contains, invert, union, type Point, type Polygon } from '../geometry';
import { sharedEdge, type Piece } from '../pattern';
import { drawnWith, loosened, type HandError } from './lines';

const pair = ({ x, y }: Point): readonly [number, number] => [x, y];

/** A sheet as it was cut and scored: what the reader is told of it. */
const told = ({ name, panels, hinges }: Piece): ReadDocument => ({
  pieces: [
    {
      name,
      outline: union(panels.map(({ polygon }) => polygon))
        .reduce((most, ring) => (area(ring) > area(most) ? ring : most))
        .map(pair),
      // Scored from rim to rim: where the two panels meet.
      scores: hinges.map(({ id, between, fold, angle }) => {
        const [a, b] = between.map((panel) => panels.find((one) => one.id === panel)!.polygon);
        const { from, to } = sharedEdge(a!, b!)!;
        return { id, from: pair(from), to: pair(to), fold, angle };
      }),
      // Two panels that only came to touch do not hang on each other there.
      cuts: panels.flatMap((one, i) =>
        panels.slice(i + 1).flatMap((other) => {
          const hangs = hinges.some(({ between }) => between.includes(one.id) && between.includes(other.id));
          const line = hangs ? null : sharedEdge(one.polygon, other.polygon);
          return line ? [{ from: pair(line.from), to: pair(line.to) }] : [];
        }),
      ),
      holes: [],
    },
  ],
  given: [],
  assembly: [],
  joins: [],
});

/** What is one sheet that lies flat in the end, with no slit in it. */
const ONE = CONSTRUCTIONS.flatMap(({ name }) => {
  const plan = planOf({ version: 1, construction: name, contents: { width: 90, height: 120 } });
  const { made } = plan;
  if (!made || made.built.pieces.length > 1 || made.folded.standing || made.pieces[0].piece.slits.length > 0) return [];
  return made.pieces[0].piece.hinges.length > 0 ? [[name, made] as const] : [];
});

test('there is something to hold', () => expect(ONE.length).toBeGreaterThan(5));

test.each(ONE)('%s, off by up to half a millimetre everywhere, folds to what the second reader folds', (_, made) => {
  const { built, folded } = made;
  const [{ piece, programme }] = made.pieces;
  const doings: HandError[] = [];
  const loose = loosened(piece, programme, doings, false, { fence: 'two', setBy: 'pointer' });
  const off = fc.array(
    fc.integer({ min: -5, max: 5 }).map((tenths) => tenths / 10),
    {
      minLength: doings.length,
      maxLength: doings.length,
    },
  );
  let held = 0;
  fc.assert(
    fc.property(off, (errors) => {
      const { piece: drawn } = drawnWith(loose, errors);
      const now = refold(folded, built.assembly, [drawn], new Set());
      const [read] = readPlan(told(drawn));
      // A score that ends a hair short of the rim parts nothing for the reader, as it would not for a hand.
      fc.pre(read!.faces.length === drawn.panels.length);
      held++;
      const faceOf = (polygon: Polygon<'sheet'>) =>
        read!.faces.find(({ ring }) => contains(polygon, centreOf(ring as Polygon<'sheet'>)))!;
      // The reader leaves its largest face where it is.
      const base = drawn.panels.find(({ polygon }) => {
        const { o, x, y } = faceOf(polygon).place;
        return Math.hypot(o.x, o.y, o.z, x.x - 1, y.y - 1) < 1e-9;
      })!;
      const toBase = invert(layerOf(now.finished, base.id).map);
      for (const { id, polygon } of drawn.panels) {
        const { place } = faceOf(polygon);
        const lies = compose(toBase, layerOf(now.finished, id).map);
        for (const p of polygon) {
          const own = apply(lies, p);
          const theirs = {
            x: place.o.x + place.x.x * p.x + place.y.x * p.y,
            y: place.o.y + place.x.y * p.x + place.y.y * p.y,
          };
          expect(Math.hypot(own.x - theirs.x, own.y - theirs.y)).toBeLessThan(0.02);
        }
      }
    }),
    runs(5),
  );
  expect(held).toBe(runs(5).numRuns);
});
