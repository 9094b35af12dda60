import { sideOf } from '../../src/core/geometry';
import type { Plan } from '../../src/core/plan';
import type { PlanDocument } from '../../src/core/document';
import { secondArea, secondDifference } from './second-geometry';
import {
  clearOf,
  isFlat,
  joinOf,
  lapsOf,
  liesWithin,
  readPlan,
  roomsIn,
  sizesOf,
  type FoldedPiece,
  type ReadDocument,
  type Room,
} from './second-reader';

/** Lengths agree to this, mm. */
const CLOSE = 0.02;
const points = (ring: readonly (readonly [number, number])[]) => ring.map(([x, y]) => ({ x, y }));

/** What a document says that the second reader does not find; empty when both agree. */
export function disagreements(plan: Plan, document: PlanDocument): string[] {
  const wrong: string[] = [];
  const { built } = plan.made!;
  const read = readPlan(document as ReadDocument);
  // What was bought and folds is part of the thing; a page it is only fixed to is not.
  const own = read.filter(
    ({ name }) =>
      document.pieces.some((piece) => piece.name === name) ||
      document.given.some((given) => given.name === name && given.outline !== undefined),
  );
  for (const { name, faces, torn } of own) {
    const piece = built.pieces.find((one) => one.name === name)!;
    // A corner that is pinched in by hand does not fold by its scores.
    const pinched = piece.panels.some((panel) => panel.bends === 'pinched');
    if (!pinched && torn > CLOSE) wrong.push(`the ${name} tears by ${torn} mm`);
    if (faces.length !== piece.panels.length) wrong.push(`the ${name} has ${faces.length} faces`);
  }
  for (const join of document.joins) {
    const { apart, covered } = joinOf(document as ReadDocument, read, join);
    // What went round an edge lies as high as the strip that stands there.
    const high = roundAnEdge(plan).get(join.a.split('/')[1]!) ?? 0;
    if (Math.min(apart, Math.abs(apart - high)) > CLOSE || !covered)
      wrong.push(`${join.a} does not lie on ${join.b}: ${apart} mm apart`);
  }
  for (const { name, outline, glue, noGlue } of document.pieces)
    for (const { polygon } of [...glue, ...noGlue]) {
      const over = secondDifference([points(polygon)], [points(outline)]);
      if (over > 0.01 * secondArea([points(polygon)]) + 0.1) wrong.push(`glue stands over the ${name} by ${over} mm²`);
    }
  // What is meant to stand out past the rest may not be counted; only what holds a room says how deep it is.
  const told = [document.finished.width, document.finished.height, document.finished.depth].sort((a, b) => b - a);
  const pinched = built.pieces.some(({ panels }) => panels.some((panel) => panel.bends === 'pinched'));
  const asked = built.cavities[0]?.kind === 'box' && !pinched ? told : told.slice(0, 2);
  // Cards that go into it are joined to nothing of it.
  const joined = joinedTo(document);
  const thing = own.filter(({ name }) => joined.has(name));
  const within = thing.filter(
    ({ name }) =>
      !built.pieces.some((piece) => piece.name === name && piece.panels.some(({ id }) => built.proud.includes(id))),
  );
  const sizes = [thing, within].filter((pieces) => pieces.length > 0).flatMap(sizesOf);
  if (!sizes.some((size) => asked.every((side, i) => Math.abs(side - size[i]!) < CLOSE)))
    wrong.push(`it is told to be ${told.join(' × ')}, and comes to ${sizes.map((s) => s.join(' × ')).join(' or ')}`);
  wrong.push(...insideWrong(document, thing, pinched), ...lapsWrong(document, read), ...holesWrong(document));
  return wrong;
}

/** How high each panel lies that a strip carries round an edge: how broad the strip is, mm. */
function roundAnEdge({ made }: Plan): ReadonlyMap<string, number> {
  const hinges = made!.built.pieces.flatMap((piece) => piece.hinges);
  const high = new Map<string, number>();
  for (const step of made!.built.assembly) {
    if (step.kind !== 'fold') continue;
    const [first, second] = step.hinges.map((id) => hinges.find((hinge) => hinge.id === id)!);
    if (first && second && second.between[0] === first.between[1])
      high.set(second.between[1], Math.abs(sideOf(first.line, second.line.from)));
  }
  return high;
}

/** Everything that hangs together with the first piece, one laid on the other. */
function joinedTo({ pieces, assembly }: PlanDocument): ReadonlySet<string> {
  const found = new Set([pieces[0]!.name]);
  for (let grew = true; grew;) {
    grew = false;
    for (const { piece, onto } of assembly)
      if (found.has(piece) !== found.has(onto)) {
        found.add(piece).add(onto);
        grew = true;
      }
  }
  return found;
}

/** What the inside is told to be and cannot: more than its paper, less than lies in it, not what its walls leave. */
function insideWrong(document: PlanDocument, own: readonly FoldedPiece[], pinched: boolean): string[] {
  const { width, height, depth } = document.inside;
  if (width <= 0 || height <= 0) return [];
  const told = `the inside is told to be ${width} × ${height} × ${depth}`;
  if (isFlat(own)) {
    if (!liesWithin(own, width, height)) return [`${told}, and lies nowhere within the paper`];
    return [];
  }
  if (depth <= 0 || pinched) return [];
  const near = (a: number, b: number): boolean => Math.abs(a - b) < CLOSE;
  // One piece is the box; where walls are pieces of their own, all of them together. The floor is the largest face that
  // walls of the depth stand on.
  const groups = [...own.map((piece) => [piece]), own].map(roomsIn);
  const rooms = groups.flatMap((all) => all.find(({ deep }) => near(deep, depth)) ?? []);
  if (rooms.length === 0)
    return [`${told}, and its walls stand ${groups.map(([room]) => room!.deep).join(' or ')} high`];
  const walled = rooms.filter(({ ways }) => ways.some((way) => way !== null));
  const fits = ({ ways: [across, up] }: Room): boolean =>
    [
      [width, height],
      [height, width],
    ].some(
      ([w, h]) =>
        (across === null || across === undefined || near(across, w!)) &&
        (up === null || up === undefined || near(up, h!)),
    );
  return walled.length > 0 && !walled.some(fits) ? [`${told}, and its walls leave another room`] : [];
}

/** The lap that is told must be that of some join. */
function lapsWrong({ checks, joins }: PlanDocument, read: readonly FoldedPiece[]): string[] {
  const told = checks.find(({ id }) => id === 'flap-overlap')?.value;
  const laps = (joins as ReadDocument['joins']).flatMap((join) => lapsOf(read, join));
  return told === undefined || told < CLOSE || laps.some((lap) => Math.abs(lap - told) < CLOSE)
    ? []
    : [`flaps are told to lap by ${told} and do by ${laps.join(', ')}`];
}

/** Every hole lies in its paper, clear of folds and rims. */
const holesWrong = ({ pieces }: PlanDocument): string[] =>
  pieces.flatMap((piece) =>
    piece.holes.flatMap((hole) => {
      const clear = clearOf(piece as ReadDocument['pieces'][number], hole);
      return clear > 0 ? [] : [`a hole of the ${piece.name} runs ${-clear} mm into a fold or past the rim`];
    }),
  );
