/**
 * The laws every plan obeys, over the whole registry: a construction is held to them the moment it is registered.
 * A failing law prints fast-check's seed and its smallest case.
 */
import fc from 'fast-check';
import { runs } from '../../../tests/helpers/runs';
import { parseSync, type INode } from 'svgson';
import { contentsFirst, paperFirst, planOf } from '../../../tests/helpers/designs';
import { facesBetween, secondArea, secondDifference, secondIntersection } from '../../../tests/helpers/second-geometry';
import { claimsOf, CONSTRUCTIONS } from '../constructions';
import { edgesMeet, foldedOutline, layerOf, leafOf } from '../fold';
import { slotsOf } from '../fit/pocket';
import { applyAll, area, distance, posed, seenFrom, type Point, type Polygon, type Segment } from '../geometry';
import { mm, sayer } from '../length';
import { patternFaults, wasteOf } from '../pattern';
import { checksOf } from '../checks';
import { ownPaper, type Made, type Plan } from '../plan';
import { planDocument, planSchema } from '../document';
import { stepsOf } from '../making';
import type { DesignInput } from '../design';
import { setOf } from '../sets';
import { flatPiece } from '../../../tests/helpers/scenes';
import { sheetPicture } from '../looks';
import { readProject, sheetSvg, writeProject } from '.';

/** Designs that a law must hold for, one by one: those it says nothing about are drawn anew, not counted. */
const RUNS = runs(5);
/** Lengths that must agree, agree to this, mm. */
const CLOSE = 0.01;

const failed = (plan: Plan): string[] => checksOf(plan).flatMap((check) => (check.level === 'fail' ? [check.id] : []));

/** Runs a law on random designs that yield a pattern. */
function holds(
  construction: (typeof CONSTRUCTIONS)[number],
  law: (made: Made, plan: Plan, input: DesignInput, run: number) => void,
  only: (plan: Plan) => boolean = () => true,
): void {
  let held = 0;
  const body = (input: DesignInput): void => {
    const plan = planOf(input);
    fc.pre(plan.made !== null && only(plan));
    held++;
    law(plan.made!, plan, input, held);
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
}

const sound = (plan: Plan): boolean => failed(plan).length === 0;

describe.each(CONSTRUCTIONS.map((c) => [c.name, c] as const))('%s', (_, construction) => {
  test('1: panels and waste make up the blank without overlapping', () =>
    holds(construction, (made) => {
      for (const { piece } of made.pieces) expect(patternFaults(piece)).toEqual([]);
    }));

  test('1: the lines of the cutting drawing, read back, divide the blank into exactly the panels and the waste', () =>
    holds(construction, (made, _plan, _input, run) => {
      // One piece a run: the faces take a second library a while.
      const part = made.pieces[run % made.pieces.length]!;
      const { piece } = part;
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
      const read = linesOf(sheetSvg([sheetPicture(made, part)], 'x'), height);
      const vertices = read.cut.map((line) => line.from);
      const faces = facesBetween([
        ...rim,
        ...[...read.cut, ...read.scores, ...read.slits].map((line) => meeting(line, vertices)),
        // A last place rounded otherwise in the rim than in the cut leaves a sliver as long as the sheet: no piece of paper.
      ]).filter((a) => a > 0.0002 * Math.max(width, height));
      for (const panel of piece.panels) {
        // The nearest: a piece of waste can be as large as a panel to a fifth of a square millimetre.
        const off = faces.map((face) => Math.abs(face - area(panel.polygon)));
        const nearest = Math.min(...off);
        expect({ [panel.id]: nearest < 0.2 }).toEqual({ [panel.id]: true });
        faces.splice(off.indexOf(nearest), 1);
      }
      // What is left is waste; pieces of it that touch fall away as one.
      const waste = wasteOf(piece).map(area);
      expect(faces.length).toBeLessThanOrEqual(waste.length);
      expect(Math.abs(sum(faces) - sum(waste))).toBeLessThan(0.3);
    }));

  test('2: every score is a hinge between two panels, and every hinge is in the document', () =>
    holds(construction, ({ pieces, built }, plan) => {
      planDocument(plan).pieces.forEach(({ scores }, i) => {
        expect(scores.map((s) => s.id).sort()).toEqual(pieces[i]!.piece.hinges.map((h) => h.id).sort());
        expect(scores.map((s) => s.order)).toEqual(scores.map((s) => s.order).sort((a, b) => a - b));
      });
      const panels = pieces.flatMap(({ piece }) => piece.panels.map(({ id }) => id));
      expect(new Set(panels).size).toBe(panels.length);
      const steps = built.assembly.map(({ id }) => id);
      expect(new Set(steps).size).toBe(steps.length);
    }));

  test('3: every fold of a sound plan can be made, and nothing but what is declared stands past the floor', () =>
    holds(
      construction,
      (made) => {
        expect(made.folded.problems).toEqual([]);
        const [cavity] = made.built.cavities;
        if (!cavity) return;
        if (cavity.kind === 'box') return standsRound(made);
        const pile = ownPaper(made.folded.finished, made.built);
        const floor = layerOf(pile, cavity.floor).polygon;
        const rest = pile.layers
          .filter((layer) => !made.built.proud.includes(layer.panel))
          .map((layer) => layer.polygon);
        expect(secondDifference(rest, [hull(floor)])).toBeLessThan(0.1);
        if (made.built.proud.length > 0 || cavity.through) return;
        // What holds by its floor alone is as large as the inside, or larger by a glued strip at its sides.
        expect(made.finished.width - made.inside.width).toBeGreaterThan(-CLOSE);
        expect(Math.abs(made.finished.height - made.inside.height)).toBeLessThan(CLOSE);
        expect(secondArea(foldedOutline(pile))).toBeCloseTo(secondArea([floor, ...rest]), 0);
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
        expect(made.fit.depth).toBeGreaterThanOrEqual(-1e-4);
        if (made.holds[0]!.limits.includes('height'))
          expect(made.fit.ease.height).toBeGreaterThanOrEqual(design.least.height - 1e-4);
      },
      sound,
    ));

  test('5: every glue area is layer on layer, none lies across a slot, and none seals an opening', () =>
    holds(construction, (made) => {
      for (const { stack, joints } of made.folded.stages)
        for (const joint of joints) {
          const { map } = layerOf(stack, joint.panel);
          const folded = joint.polygons.map((ring) => applyAll<'folded'>(map, ring));
          const both = [layerOf(stack, joint.panel).polygon, layerOf(stack, joint.onto).polygon] as const;
          for (const layer of both) expect(secondDifference(folded, [layer])).toBeLessThan(0.05);
        }
      for (const { after, joints } of made.folded.standing?.stages ?? [])
        for (const joint of joints) {
          const [own, other] = [leafOf(after, joint.panel), leafOf(after, joint.onto)];
          for (const polygon of joint.polygons)
            for (const corner of polygon.map((p) => posed(own.pose, p)))
              expect(Math.abs(seenFrom(other.pose, corner).z)).toBeLessThan(CLOSE);
          const lying = joint.polygons.map((ring) => ring.map((p) => seenFrom(other.pose, posed(own.pose, p))));
          expect(secondDifference(lying, [other.panel.polygon])).toBeLessThan(0.05);
          expect(secondDifference(joint.polygons, [own.panel.polygon])).toBeLessThan(0.05);
        }
      // Whatever the slot of any cavity takes goes in past all the glue.
      for (const cavity of made.built.cavities) {
        if (cavity.kind === 'box') continue;
        const { going } = slotsOf(made.folded, cavity);
        expect(going.largest.width).toBeGreaterThan(0);
        expect(going.test(going.largest)).toBeNull();
      }
    }));

  test('6: a closed cavity has no hole by a second library’s count, and each lap that holds is broad enough', () =>
    holds(
      construction,
      (made, plan) => {
        const [cavity] = made.built.cavities;
        for (const [a, b] of claimsOf(made.built.claims, 'walls-meet').flatMap(({ pairs }) => pairs))
          expect(edgesMeet(made.folded.standing!.finished, a, b)).toBeGreaterThan(0.5);
        const laps = claimsOf(made.built.claims, 'laps').flatMap(({ pairs }) => pairs);
        for (const [a, b] of laps)
          if (made.folded.standing) {
            const glued = made.folded.standing.finished.joints.filter((j) => j.panel === a && j.onto === b);
            expect(
              glued.flatMap(({ polygons }) => polygons).reduce((sum, ring) => sum + area(ring), 0),
            ).toBeGreaterThan(0);
          } else
            expect(
              secondIntersection(
                [layerOf(made.folded.finished, a).polygon],
                [layerOf(made.folded.finished, b).polygon],
              ),
            ).toBeGreaterThan(0);
        if (laps.length > 0)
          expect(checksOf(plan).find((c) => c.id === 'flap-overlap')?.value).toBeGreaterThan(6 - CLOSE);
        if (cavity?.kind !== 'closed') return;
        const floor = layerOf(made.folded.finished, cavity.floor).polygon;
        const others = made.folded.finished.layers.filter((l) => l.panel !== cavity.floor).map((l) => l.polygon);
        expect(secondDifference([floor], others)).toBeLessThan(0.05);
      },
      (plan) => sound(plan) && !checksOf(plan).some((c) => c.id === 'flap-overlap' && c.level === 'warn'),
    ));

  test('7: the programme, carried out on the simulated tool, gives the same scores, notches, cuts and holes', () =>
    holds(construction, (made) => expect(made.pieces.flatMap((part) => part.toolFaults)).toEqual([])));

  test('8: the largest contents, planned with the least ease, give the same blank; 0.1 mm more does not go in', () => {
    fc.assert(
      fc.property(contentsFirst(construction), (input) => {
        const exact = { ...input, graduation: 'exact' as const };
        const first = planOf(exact);
        fc.pre(first.made !== null && sound(first));
        const { made, design } = { made: first.made!, design: first.design };
        const [hold] = made.holds;
        if (!hold) return expect(made.fit).toBeNull();
        const { cavity } = hold;
        if (cavity.kind === 'box') {
          fc.pre(made.largest.width >= 5 && made.largest.height >= 5);
          const contents = { ...made.largest, ...(cavity.onEdge ? {} : { thickness: design.thickness }) };
          const again = planOf({ ...exact, contents, ease: design.least, leastEase: design.least });
          // Tabs stand on the longer walls. Near a square their own paper makes the other walls the longer of the two.
          const lies = ({ width, height }: { width: number; height: number }): boolean => width >= height;
          fc.pre(lies(made.largest) === lies(design.contents!));
          expect(again.made?.pieces[0].piece.blank.width).toBeCloseTo(made.pieces[0].piece.blank.width, 5);
          expect(again.made?.pieces[0].piece.blank.height).toBeCloseTo(made.pieces[0].piece.blank.height, 5);
          const clear = (side: 'width' | 'height' | 'depth') => mm(made.inside[side] - hold.taken[side]);
          const [width, height, thickness] = [clear('width'), clear('height'), clear('depth')];
          expect(hold.fit({ width, height, thickness }).seat).toBeNull();
          const more = 0.1;
          for (const larger of [
            { width: mm(width + more), height, thickness },
            // What runs through may be as long as it is.
            ...(cavity.through ? [] : [{ width, height: mm(height + more), thickness }]),
            { width, height, thickness: mm(thickness + more) },
          ])
            expect(hold.fit(larger).seat).not.toBeNull();
          return;
        }
        // An album's page is as large as its mats need for the photo, which may be more than its pockets do.
        if (['ring-album', 'flap-album'].includes(construction.name)) return;
        const largest = cavity.through ? { ...made.largest, height: design.contents!.height } : made.largest;
        fc.pre(largest.width >= 5 && largest.height >= 5);
        // What gave way for the first stays as it is.
        const options = design.options as Record<string, unknown>;
        const again = planOf({ ...exact, options, contents: largest, ease: design.least, leastEase: design.least });
        expect(again.made?.pieces[0].piece.blank.width).toBeCloseTo(made.pieces[0].piece.blank.width, 5);
        expect(again.made?.pieces[0].piece.blank.height).toBeCloseTo(made.pieces[0].piece.blank.height, 5);
        const { going, lying } = slotsOf(made.folded, cavity);
        const { width, height } = going.largest;
        for (const slot of [going, lying]) {
          expect([null, 'uncovered']).toContain(slot.test({ width, height }));
          expect(slot.test({ width: width + 0.1, height })).toBe('too_wide');
          if (!cavity.through) expect(slot.test({ width, height: height + 0.1 })).toBe('too_high');
        }
      }),
      RUNS,
    );
  });

  test('9: project files survive unchanged, and units change words but no length', () =>
    holds(construction, (_made, plan, input) => {
      const project = {
        format: 'tuck-fold-project' as const,
        version: 2 as const,
        name: 'Trial',
        units: 'in' as const,
        set: setOf(input),
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

  test('the order of work: a piece is cut before it is marked, flat work comes before folding, glue before what it holds', () =>
    holds(construction, (made, plan) => {
      const steps = stepsOf(plan, sayer('in', '1/8 in'));
      const first = (is: (s: (typeof steps)[number]) => boolean): number => steps.findIndex(is);
      for (const { piece } of made.pieces) {
        const own = steps.filter((s) => s.piece === piece.name || s.alike?.includes(piece.name));
        // A sheet that is the blank already is not cut.
        const { blank } = plan.design;
        const whole =
          blank !== null &&
          Math.abs(blank.width - piece.blank.width) + Math.abs(blank.height - piece.blank.height) < 0.01;
        if (!whole) expect(own[0]?.action).toBe('cut');
        if (whole && made.pieces[0].piece === piece) expect(own.every((s) => s.phase !== 'cut')).toBe(true);
        const flat = own.map((s) => s.picture.kind === 'flat');
        // Once folded, nothing of that piece is done flat any more.
        expect(flat.lastIndexOf(true)).toBeLessThan(flat.includes(false) ? flat.indexOf(false) : Infinity);
      }
      const insert = first((s) => s.action === 'insert');
      const close = first((s) => s.action === 'close');
      if (made.holds.length > 0) expect(insert).toBeGreaterThan(0);
      if (close >= 0 && insert >= 0) expect(close).toBeGreaterThan(insert);
      expect(steps.map((s) => s.id)).toEqual(steps.map((_, i) => i + 1));
    }));

  test('9: the cutting drawing gives the geometry back', () =>
    holds(construction, (made, _plan, _input, run) => {
      const scene = sheetPicture(made, made.pieces[run % made.pieces.length]);
      const drawing = flatPiece(scene);
      const svg = parseSync(sheetSvg([scene], 'Star & card <b>'));
      expect([svg.attributes.width, svg.attributes.height]).toEqual(
        [drawing.blank.width, drawing.blank.height].map((v) => `${Number(v.toFixed(4))}mm`),
      );
      const cut = group(svg, 'cut').children.map((path) => ringOf(path.attributes.d!, drawing.blank.height));
      // Corners are written to a ten-thousandth: a rim as long as this moves by half of one.
      expect(Math.abs(secondArea(cut) - secondArea(drawing.outline))).toBeLessThan(
        1e-4 * around(drawing.outline) + 1e-3,
      );
      const scores = group(svg, 'score').children.map((line) => segmentOf(line, drawing.blank.height));
      drawing.scores.forEach((score, i) =>
        expect(distance(score.from, scores[i]!.from) + distance(score.to, scores[i]!.to)).toBeLessThan(CLOSE),
      );
      expect(group(svg, 'glue').children).toHaveLength(drawing.glue.length);
    }));
});

/** What stands is as wide and high as its inside, or larger by a lid: nothing but what is declared stands out. */
function standsRound({ inside, finished, built, folded }: Made): void {
  const { leaves } = folded.standing!.finished;
  for (const l of leaves)
    for (const corner of l.corners) expect(Number.isFinite(corner.x + corner.y + corner.z)).toBe(true);
  for (const side of ['width', 'height', 'depth'] as const) {
    expect(finished[side] - inside[side]).toBeGreaterThan(-CLOSE);
    if (claimsOf(built.claims, 'lid').length === 0) expect(Math.abs(finished[side] - inside[side])).toBeLessThan(CLOSE);
  }
}

/** The rectangle round a floor: a bite out of it, or a rounded corner, lets nothing stand past it. */
function hull(polygon: Polygon): Polygon {
  if (polygon.length <= 4) return polygon;
  const xs = polygon.map((p) => p.x);
  const ys = polygon.map((p) => p.y);
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return [
    { x: x0, y: y0 },
    { x: x1, y: y0 },
    { x: x1, y: y1 },
    { x: x0, y: y1 },
  ];
}

/** How long the rims of these are together, mm. */
const around = (rings: readonly (readonly Point[])[]): number =>
  sum(rings.flatMap((ring) => ring.map((p, i) => distance(p, ring[(i + 1) % ring.length]!))));
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
function linesOf(text: string, height: number): { cut: Segment[]; scores: Segment[]; slits: Segment[] } {
  const svg = parseSync(text);
  const cut = group(svg, 'cut').children.flatMap((path) => {
    const ring = ringOf(path.attributes.d!, height);
    return ring.map((from, i): Segment => ({ from, to: ring[(i + 1) % ring.length]! }));
  });
  const lines = (id: string): Segment[] => group(svg, id).children.map((line) => segmentOf(line, height));
  return { cut, scores: lines('score'), slits: lines('slit') };
}

/** Lines written to a ten-thousandth still meet: ends move to a corner of the cut that is there, or a hair on; loose ends bound no face. */
function meeting({ from, to }: Segment, corners: readonly Point[]): Segment {
  const share = 0.002 / Math.max(distance(from, to), 0.002);
  const end = (p: Point, other: Point): Point =>
    corners.find((q) => distance(p, q) < 0.0015) ?? {
      x: p.x + (p.x - other.x) * share,
      y: p.y + (p.y - other.y) * share,
    };
  return { from: end(from, to), to: end(to, from) };
}
