/**
 * The plan document held against a second reader, which imports nothing of the core: it splits every sheet along its
 * scores and cuts, folds it by its angles and joins the pieces as told; what comes out must be what the plan says.
 */
import fc from 'fast-check';
import { contentsFirst, planOf } from '../../../tests/helpers/designs';
import { runs } from '../../../tests/helpers/runs';
import { secondArea, secondDifference } from '../../../tests/helpers/second-geometry';
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
} from '../../../tests/helpers/second-reader';
import { CONSTRUCTIONS } from '../constructions';
import { checksOf, planDocument, type Plan, type PlanDocument } from '.';

/** Lengths agree to this, mm. */
const CLOSE = 0.02;
const points = (ring: readonly (readonly [number, number])[]) => ring.map(([x, y]) => ({ x, y }));

/** What a document says that the second reader does not find; empty when both agree. */
function disagreements(plan: Plan, document: PlanDocument): string[] {
  const wrong: string[] = [];
  const { built } = plan.made!;
  const read = readPlan(document as ReadDocument);
  const own = read.filter(({ name }) => document.pieces.some((piece) => piece.name === name));
  for (const { name, faces, torn } of own) {
    const piece = built.pieces.find((one) => one.name === name)!;
    // A corner that is pinched in by hand does not fold by its scores.
    const pinched = piece.panels.some((panel) => panel.pinched);
    if (!pinched && torn > CLOSE) wrong.push(`the ${name} tears by ${torn} mm`);
    if (faces.length !== piece.panels.length) wrong.push(`the ${name} has ${faces.length} faces`);
  }
  for (const join of document.joins) {
    const { apart, covered } = joinOf(document as ReadDocument, read, join);
    if (apart > CLOSE || !covered) wrong.push(`${join.a} does not lie on ${join.b}: ${apart} mm apart`);
  }
  for (const { name, outline, glue, noGlue } of document.pieces)
    for (const { polygon } of [...glue, ...noGlue]) {
      const over = secondDifference([points(polygon)], [points(outline)]);
      if (over > 0.01 * secondArea([points(polygon)]) + 0.1) wrong.push(`glue stands over the ${name} by ${over} mm²`);
    }
  // What is meant to stand out past the rest may not be counted; only what holds a room says how deep it is.
  const told = [document.finished.width, document.finished.height, document.finished.depth].sort((a, b) => b - a);
  const pinched = built.pieces.some(({ panels }) => panels.some((panel) => panel.pinched));
  const asked = built.cavities[0]?.kind === 'box' && !pinched ? told : told.slice(0, 2);
  const within = own.filter(
    ({ name }) =>
      !built.pieces.some((piece) => piece.name === name && piece.panels.some(({ id }) => built.proud.includes(id))),
  );
  const sizes = [own, within].filter((pieces) => pieces.length > 0).flatMap(sizesOf);
  if (!sizes.some((size) => asked.every((side, i) => Math.abs(side - size[i]!) < CLOSE)))
    wrong.push(`it is told to be ${told.join(' × ')}, and comes to ${sizes.map((s) => s.join(' × ')).join(' or ')}`);
  wrong.push(...insideWrong(document, own, pinched), ...lapsWrong(document, read), ...holesWrong(document));
  return wrong;
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

describe.each(CONSTRUCTIONS.map((c) => [c.name, c] as const))('%s, read by a second reader', (name, construction) => {
  test.each([0, 6])('folds as its document says, contents %s mm thick', (thickness) => {
    const plan = planOf({ version: 1, construction: name, contents: { width: 100, height: 140, thickness } });
    expect(plan.made).not.toBeNull();
    expect(disagreements(plan, planDocument(plan))).toEqual([]);
  });

  test('so does every sound plan of it', () => {
    let held = 0;
    fc.assert(
      fc.property(contentsFirst(construction), (input) => {
        const plan = planOf(input);
        fc.pre(plan.made !== null && checksOf(plan).every(({ level }) => level !== 'fail'));
        held++;
        expect(disagreements(plan, planDocument(plan))).toEqual([]);
      }),
      runs(5),
    );
    expect(held).toBeGreaterThan(0);
  });
});

describe('a document that says something else is noticed', () => {
  const plan = planOf({ version: 1, construction: 'tray-box', contents: { width: 100, height: 140, thickness: 20 } });
  const document = planDocument(plan);
  const found = (change: (document: PlanDocument) => void): string => {
    const other = structuredClone(document);
    change(other);
    return disagreements(plan, other).join('; ');
  };

  test('a score somewhere else, or turned by another angle', () => {
    expect(found((d) => (d.pieces[0]!.scores[0]!.angle = 80))).toMatch(/apart|comes to/);
    expect(
      found((d) => {
        for (const end of ['from', 'to'] as const) d.pieces[0]!.scores[0]![end][1] += 1;
      }),
    ).not.toBe('');
    expect(found((d) => (d.pieces[0]!.scores[0]!.fold = 'mountain'))).not.toBe('');
    expect(found((d) => void d.pieces[0]!.scores.pop())).toMatch(/faces/);
  });

  test('another inside, another lap, a hole in a fold', () => {
    expect(found((d) => (d.inside.width += 1))).toMatch(/walls leave another room/);
    expect(found((d) => (d.inside.depth -= 1))).toMatch(/walls stand/);
    const pocket = planOf({ version: 1, construction: 'storage-pocket', contents: { width: 100, height: 140 } });
    const foundIn = (change: (document: PlanDocument) => void): string => {
      const other = structuredClone(planDocument(pocket));
      change(other);
      return disagreements(pocket, other).join('; ');
    };
    expect(foundIn(() => undefined)).toBe('');
    expect(foundIn((d) => (d.inside.width = d.finished.width + 1))).toMatch(/nowhere within the paper/);
    expect(foundIn((d) => (d.checks.find(({ id }) => id === 'flap-overlap')!.value += 1))).toMatch(/told to lap/);
    expect(
      foundIn((d) => {
        const piece = d.pieces.find(({ holes }) => holes.length > 0)!;
        piece.holes[0]!.at = [...piece.scores[0]!.from];
      }),
    ).toMatch(/hole of the/);
  });

  test('another size, a lid set down elsewhere, glue that stands over', () => {
    expect(found((d) => (d.finished.height += 0.5))).toMatch(/comes to/);
    expect(found((d) => (d.assembly[0]!.transform[4]! += 5))).toMatch(/comes to/);
    expect(found((d) => (d.assembly[0]!.above! += 5))).toMatch(/comes to/);
    expect(
      found((d) => {
        for (const p of d.pieces[0]!.glue[0]!.polygon) p[0] -= 40;
      }),
    ).toMatch(/glue stands over/);
  });
});
