/**
 * The laws every plan obeys, over the whole registry: a construction is held to them the moment it is registered.
 * A failing law prints fast-check's seed and its smallest case.
 */
import fc from 'fast-check';
import { parseSync, type INode } from 'svgson';
import { contentsFirst, paperFirst, planOf } from '../../../tests/helpers/designs';
import { facesBetween, secondArea, secondDifference, secondIntersection } from '../../../tests/helpers/second-geometry';
import { CONSTRUCTIONS } from '../constructions';
import { foldedOutline, layerOf, slotOf, stageAfter } from '../fold';
import { applyAll, area, distance, type Point, type Polygon, type Segment } from '../geometry';
import { patternFaults, wasteOf } from '../pattern';
import { checksOf, planDocument, planSchema, sayer, type DesignInput, type Made, type Plan } from '../plan';
import { readProject, sheetDrawing, sheetSvg, writeProject } from '.';

const RUNS = { numRuns: 120 };
/** Lengths that must agree, agree to this, mm. */
const CLOSE = 0.01;

const failed = (plan: Plan): string[] => checksOf(plan).flatMap((check) => (check.level === 'fail' ? [check.id] : []));

/** Runs a law on every random design that yields a pattern, and makes sure enough of them do. */
function holds(
  construction: (typeof CONSTRUCTIONS)[number],
  law: (made: Made, plan: Plan, input: DesignInput) => void,
  only: (plan: Plan) => boolean = () => true,
): void {
  let held = 0;
  const body = (input: DesignInput): void => {
    const plan = planOf(input);
    if (!plan.made || !only(plan)) return;
    held++;
    law(plan.made, plan, input);
  };
  fc.assert(
    fc.property(
      fc.oneof(
        { weight: 3, arbitrary: contentsFirst(construction) },
        { weight: 1, arbitrary: paperFirst(construction) },
      ),
      body,
    ),
    RUNS,
  );
  expect(held).toBeGreaterThan(RUNS.numRuns / 3);
}

const sound = (plan: Plan): boolean => failed(plan).length === 0;

describe.each(CONSTRUCTIONS.map((c) => [c.name, c] as const))('%s', (_, construction) => {
  test('1: panels and waste make up the blank without overlapping', () =>
    holds(construction, (made) => expect(patternFaults(made.built.piece)).toEqual([])));

  test('1: the lines of the cutting drawing, read back, divide the blank into exactly the panels and the waste', () =>
    holds(construction, (made) => {
      const { piece } = made.built;
      // Everything from the file: its size, too, is written to a ten-thousandth.
      const [width, height] = [piece.blank.width, piece.blank.height].map((v) => Number(v.toFixed(4))) as [
        number,
        number,
      ];
      const corners: Point[] = [
        { x: 0, y: 0 },
        { x: width, y: 0 },
        { x: width, y: height },
        { x: 0, y: height },
      ];
      const rim = corners.map((from, i): Segment => ({ from, to: corners[(i + 1) % 4]! }));
      const read = linesOf(sheetSvg(sheetDrawing(made), 'x'), height);
      const faces = facesBetween([...rim, ...read.map((line) => meeting(line, read))]).filter((a) => a > 0.05);
      for (const panel of piece.panels) {
        const found = faces.findIndex((face) => Math.abs(face - area(panel.polygon)) < 0.2);
        expect([panel.id, found]).not.toEqual([panel.id, -1]);
        faces.splice(found, 1);
      }
      // What is left is waste; pieces of it that touch fall away as one.
      const waste = wasteOf(piece).map(area);
      expect(faces.length).toBeLessThanOrEqual(waste.length);
      expect(Math.abs(sum(faces) - sum(waste))).toBeLessThan(0.3);
    }));

  test('2: every score is a hinge between two panels, and every hinge is in the document', () =>
    holds(construction, ({ built }, plan) => {
      const scores = planDocument(plan).pieces[0]!.scores;
      expect(scores.map((s) => s.id).sort()).toEqual(built.piece.hinges.map((h) => h.id).sort());
      expect(scores.map((s) => s.order)).toEqual([...scores.map((s) => s.order)].sort((a, b) => a - b));
    }));

  test('3: every fold of a sound plan can be made, and the folded outline is the inside', () =>
    holds(
      construction,
      (made) => {
        expect(made.folded.problems).toEqual([]);
        expect(Math.abs(made.finished.width - made.inside.width)).toBeLessThan(CLOSE);
        expect(Math.abs(made.finished.height - made.inside.height)).toBeLessThan(CLOSE);
        const outline = secondArea(foldedOutline(made.folded.finished));
        expect(outline).toBeCloseTo(made.inside.width * made.inside.height, 0);
      },
      sound,
    ));

  test('4: the contents enter and seat with at least the least ease', () =>
    holds(
      construction,
      (made, { design }) => {
        expect([made.fit?.insert ?? null, made.fit?.seat ?? null]).toEqual([null, null]);
        if (!made.fit) return;
        expect(made.fit.ease.width).toBeGreaterThanOrEqual(design.least.width - 1e-4);
        expect(made.fit.ease.height).toBeGreaterThanOrEqual(design.least.height - 1e-4);
      },
      sound,
    ));

  test('5: every glue area is layer on layer, and none lies across the slot', () =>
    holds(construction, (made) => {
      for (const { fold, stack } of made.folded.stages)
        for (const joint of stack.joints.filter((j) => fold.moving.includes(j.panel))) {
          const { map } = layerOf(stack, joint.panel);
          const folded = joint.polygons.map((ring) => applyAll<'folded'>(map, ring));
          const both = [layerOf(stack, joint.panel).polygon, layerOf(stack, joint.onto).polygon] as const;
          for (const layer of both) expect(secondDifference(folded, [layer])).toBeLessThan(0.05);
        }
      const [cavity] = made.built.cavities;
      const ready = stageAfter(made.folded, cavity.insertAfter).stack;
      const floorGlue = ready.joints.filter((j) => j.panel === cavity.floor || j.onto === cavity.floor);
      expect(floorGlue).toEqual([]);
    }));

  test('6: a closed cavity has no hole by a second library’s count, and each lap that holds is broad enough', () =>
    holds(
      construction,
      (made, plan) => {
        const [cavity] = made.built.cavities;
        if (cavity.kind !== 'closed') return;
        const floor = layerOf(made.folded.finished, cavity.floor).polygon;
        const others = made.folded.finished.layers.filter((l) => l.panel !== cavity.floor).map((l) => l.polygon);
        expect(secondDifference([floor], others)).toBeLessThan(0.05);
        for (const [a, b] of made.built.holds)
          expect(
            secondIntersection([layerOf(made.folded.finished, a).polygon], [layerOf(made.folded.finished, b).polygon]),
          ).toBeGreaterThan(0);
        expect(checksOf(plan).find((c) => c.id === 'flap-overlap')?.value).toBeGreaterThan(6.35 - CLOSE);
      },
      (plan) => sound(plan) && !checksOf(plan).some((c) => c.id === 'flap-overlap' && c.level === 'warn'),
    ));

  test('7: the programme, carried out on the simulated tool, gives the same scores, notches and cuts', () =>
    holds(construction, (made) => expect(made.toolFaults).toEqual([])));

  test('8: the largest contents, planned with the least ease, give the same blank; 0.1 mm more does not go in', () => {
    let held = 0;
    fc.assert(
      fc.property(contentsFirst(construction), (input) => {
        const exact = { ...input, graduation: 'exact' as const };
        const first = planOf(exact);
        if (!first.made || !sound(first) || first.made.largest.width < 5 || first.made.largest.height < 5) return;
        held++;
        const { made, design } = first;
        const again = planOf({ ...exact, contents: made.largest, ease: design.least, leastEase: design.least });
        expect(again.made?.built.piece.blank.width).toBeCloseTo(made.built.piece.blank.width, 5);
        expect(again.made?.built.piece.blank.height).toBeCloseTo(made.built.piece.blank.height, 5);
        const [cavity] = made.built.cavities;
        const slots = [
          slotOf(stageAfter(made.folded, cavity.insertAfter).stack, cavity, false),
          slotOf(made.folded.finished, cavity, true),
        ];
        const { width, height } = slots[0]!.largest;
        for (const slot of slots) {
          expect(slot.test({ width, height })).toBeNull();
          expect(slot.test({ width: width + 0.1, height })).toBe('too_wide');
          expect(slot.test({ width, height: height + 0.1 })).toBe('too_high');
        }
      }),
      RUNS,
    );
    expect(held).toBeGreaterThan(RUNS.numRuns / 3);
  });

  test('9: project files survive unchanged, and units change words but no length', () =>
    holds(construction, (_made, plan, input) => {
      const project = {
        format: 'tuck-fold-project' as const,
        version: 1 as const,
        name: 'Trial',
        units: 'in' as const,
        design: input,
      };
      const read = readProject(writeProject(project));
      expect(read).toEqual({ ok: true, project: JSON.parse(JSON.stringify(project)) });
      const [inInches, inMm] = [planDocument(plan, sayer('in', '1/8 in')), planDocument(plan, sayer('mm', '1 mm'))];
      const lengths = (document: typeof inMm) =>
        JSON.stringify({
          ...document,
          steps: document.steps.map(({ text: _text, ...step }) => step),
          checks: document.checks.map(({ message: _message, ...check }) => check),
        });
      expect(lengths(inInches)).toBe(lengths(inMm));
      expect(planSchema.parse(JSON.parse(JSON.stringify(inMm)))).toEqual(inMm);
    }));

  test('9: the cutting drawing gives the geometry back', () =>
    holds(construction, (made) => {
      const drawing = sheetDrawing(made);
      const svg = parseSync(sheetSvg(drawing, 'Star & card <b>'));
      expect([svg.attributes.width, svg.attributes.height]).toEqual(
        [drawing.blank.width, drawing.blank.height].map((v) => `${Number(v.toFixed(4))}mm`),
      );
      const cut = group(svg, 'cut').children.map((path) => ringOf(path.attributes.d!, drawing.blank.height));
      expect(secondArea(cut)).toBeCloseTo(secondArea(drawing.outline), 1);
      const scores = group(svg, 'score').children.map((line) => segmentOf(line, drawing.blank.height));
      drawing.scores.forEach((score, i) =>
        expect(distance(score.from, scores[i]!.from) + distance(score.to, scores[i]!.to)).toBeLessThan(CLOSE),
      );
      expect(group(svg, 'glue').children).toHaveLength(drawing.glue.length);
    }));
});

const sum = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0);
const group = (svg: INode, id: string): INode => svg.children.find((child) => child.attributes.id === id)!;
const ringOf = (d: string, height: number): Polygon =>
  d
    .slice(1, -1)
    .split('L')
    .map((pair) => pair.split(' ').map(Number))
    .map(([x, y]) => ({ x: x!, y: height - y! }));
const segmentOf = ({ attributes: a }: INode, height: number): Segment => ({
  from: { x: Number(a.x1), y: height - Number(a.y1) },
  to: { x: Number(a.x2), y: height - Number(a.y2) },
});

/** Cut and score lines of a drawing, read back by an independent SVG reader (svgson). */
function linesOf(text: string, height: number): Segment[] {
  const svg = parseSync(text);
  const cut = group(svg, 'cut').children.flatMap((path) => {
    const ring = ringOf(path.attributes.d!, height);
    return ring.map((from, i): Segment => ({ from, to: ring[(i + 1) % ring.length]! }));
  });
  return [...cut, ...group(svg, 'score').children.map((line) => segmentOf(line, height))];
}

/** Lines written to a ten-thousandth still meet: ends move to a corner that is there, or a hair on; loose ends bound no face. */
function meeting({ from, to }: Segment, lines: readonly Segment[]): Segment {
  const share = 0.002 / Math.max(distance(from, to), 0.002);
  const end = (p: Point, other: Point): Point =>
    lines.map((line) => line.from).find((q) => distance(p, q) < 0.0015) ?? {
      x: p.x + (p.x - other.x) * share,
      y: p.y + (p.y - other.y) * share,
    };
  return { from: end(from, to), to: end(to, from) };
}
