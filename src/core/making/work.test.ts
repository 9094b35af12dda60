/** What a make takes, as data: whatever the holder, nothing is done before what it waits for, and nothing is left out. */
import { planOf } from '../../../tests/helpers/designs';
import { CONSTRUCTIONS } from '../constructions';
import { CLOSURES, LAYER_PLACES, type DesignInput } from '../design';
import { keyFigures } from '../looks';
import { sayer } from '../length';
import { stepsOf } from './steps';
import { checksOf } from '../checks';
import { apply, boxOf, fromSegment, sideOf, type Point } from '../geometry';
import type { FlatCavity } from '../fold';
import { scoreNumbers } from '../plan';
import { workOf, type Work } from './work';

const work = (construction: string, fields: object = {}): readonly Work[] =>
  workOf(
    planOf({
      version: 1,
      construction,
      contents: { width: '3 in', height: '4 in', thickness: construction === 'desk-file' ? 25 : 2 },
      tool: { kind: 'scoring-board' },
      ...fields,
    } as DesignInput),
  );
const ids = (all: readonly Work[]): string[] => all.map(({ id }) => id);

describe.each(CONSTRUCTIONS.map(({ name }) => [name]))('%s', (construction) => {
  test.each([
    ...CLOSURES.map((kind) => ({ closure: { kind } })),
    {
      order: 'by-piece',
      decorate: ['ink', 'emboss'],
      layers: LAYER_PLACES.map((on) => ({ on, pull: true })),
      closure: { kind: 'ribbon' },
    },
    {
      order: 'by-operation',
      decorate: ['ink', 'emboss'],
      layers: LAYER_PLACES.map((on) => ({ on, pull: true })),
      closure: { kind: 'cord' },
    },
  ])('follows on what it needs, each thing once: %j', (fields) => {
    const plan = planOf({
      version: 1,
      construction,
      contents: { width: '3 in', height: '4 in', thickness: construction === 'desk-file' ? 25 : 2 },
      tool: { kind: 'scoring-board' },
      ...fields,
    } as DesignInput);
    const all = workOf(plan);
    const done = new Set<string>();
    for (const { id, after } of all) {
      expect(after.filter((other) => !done.has(other))).toEqual([]);
      expect(done.has(id)).toBe(false);
      done.add(id);
    }
    const { pieces, layers, folded } = plan.made!;
    const stages = [...folded.stages, ...(folded.standing?.stages ?? [])].map(({ step }) => step.id);
    expect(ids(all).filter((id) => stages.includes(id))).toEqual(expect.arrayContaining(stages));
    // Everything that is cut has its cut, alone or with what is made alike.
    const named = (kind: 'cut' | 'flat'): string[] =>
      all.flatMap((one) => (one.do === kind ? [one.part, ...one.alike].map(({ piece }) => piece.name) : [])).sort();
    const both = [...pieces, ...layers];
    expect(named('cut')).toEqual(both.map(({ piece }) => piece.name).sort());
    expect(named('flat')).toEqual(
      [...pieces, ...layers.filter(({ programme }) => programme.moves.length > 0)]
        .map(({ piece }) => piece.name)
        .sort(),
    );
    expect(all.filter((one) => one.do === 'decorate')).toHaveLength(pieces.length * plan.design.decorate.length);
  });
});

test('a design that cannot be drawn takes no work', () =>
  expect(work('mat', { contents: { width: '0.1 in', height: '0.1 in' } })).toEqual([]));

test('all pieces flat before the first fold, or each piece cut and scored before the next', () => {
  const flat = (order: string): string[] =>
    ids(work('tray-box', { order })).filter((id) => id.startsWith('cut ') || id.startsWith('flat '));
  expect(flat('by-operation').slice(0, 2)).toEqual(['cut box', 'cut lid']);
  expect(flat('by-piece').slice(0, 2)).toEqual(['cut box', 'flat box']);
});

test('a mat is on before anything is folded, a ribbon under it; a cord goes round what is finished', () => {
  const order = (kind: string): string[] =>
    ids(work('card-holder', { layers: [{ on: 'front' }, { on: 'front' }], closure: { kind } })).filter((id) =>
      ['flat holder', 'closure', 'lay mat', 'lay second mat', 'contents'].includes(id),
    );
  expect(order('ribbon')).toEqual(['flat holder', 'closure', 'lay mat', 'lay second mat', 'contents']);
  expect(order('cord')).toEqual(['flat holder', 'lay mat', 'lay second mat', 'contents', 'closure']);
  const all = work('card-holder', { layers: [{ on: 'front' }], closure: { kind: 'ribbon' } });
  expect(all.findIndex(({ do: what }) => what === 'fold')).toBeGreaterThan(all.findIndex(({ id }) => id === 'lay mat'));
});

test('what is glued on flat is found there by its sentence: the score, or the edge, and how far from it', () => {
  const exact = sayer('mm', 'exact');
  const by = { score: 0, opening: 0, far: 0, middle: 0 };
  for (const { name: construction } of CONSTRUCTIONS) {
    const plan = planOf({
      version: 1,
      construction,
      contents: { width: '3 in', height: '4 in', thickness: construction === 'desk-file' ? 25 : 2 },
      layers: [{ on: 'front' }, { on: 'back' }],
    } as DesignInput);
    const made = plan.made!;
    for (const { text } of stepsOf(plan, exact)) {
      const told =
        /^On the (?:in|out)side of the (.*?), glue the (mat(?: for the back)?) (?:in the middle of the .*, the same border at facing sides|on the .*, (\S+ mm) from (?:score (\d+)|its edge (at|away from) the opening), the same border at both sides)\.$/u.exec(
          text,
        );
      if (!told) continue;
      const [, seat, name, far, score, edge] = told;
      const { laid } = made.layers.find(({ piece }) => piece.name === name)!.layer;
      const { piece, programme } = made.pieces.find((part) => part.piece.name === seat)!;
      const panel = boxOf(piece.panels.find(({ id }) => id === laid!.panel)!.polygon);
      const own = boxOf(laid!.polygon);
      // Left and right, near and far: what is in the middle has the same on both sides.
      const gaps = [
        [own.minX - panel.minX, panel.maxX - own.maxX],
        [own.minY - panel.minY, panel.maxY - own.maxY],
      ] as const;
      const even = gaps.filter(([one, other]) => Math.abs(one - other) < 1.001);
      expect([construction, name, even.length]).toEqual([construction, name, far === undefined ? 2 : 1]);
      by[far === undefined ? 'middle' : score ? 'score' : edge === 'at' ? 'opening' : 'far']++;
      if (score !== undefined) {
        const numbers = scoreNumbers(programme);
        const line = piece.hinges.find(({ id }) => numbers.get(id) === Number(score))!.line;
        const off = Math.min(...laid!.polygon.map((p) => fromSegment(line, p)));
        expect([construction, exact(off)]).toEqual([construction, far]);
      } else if (edge !== undefined) {
        // By another road than the plan's view: how far from the mouth, as both lie when it is folded.
        const { layers } = made.folded.finished;
        const onto = (id: string, p: Point): Point => apply(layers.find((layer) => layer.panel === id)!.map, p);
        const cavity = made.built.cavities[0] as FlatCavity;
        const mouth = {
          from: onto(cavity.floor, cavity.mouth.from),
          to: onto(cavity.floor, cavity.mouth.to),
        };
        const deep = (ring: readonly Point[]): readonly number[] =>
          ring.map((p) => Math.abs(sideOf(mouth, onto(laid!.panel, p))));
        const [mat, whole] = [deep(laid!.polygon), deep(piece.panels.find(({ id }) => id === laid!.panel)!.polygon)];
        const off = edge === 'at' ? Math.min(...mat) - Math.min(...whole) : Math.max(...whole) - Math.max(...mat);
        expect([construction, off]).toEqual([construction, expect.closeTo(Number.parseFloat(far!), 1)]);
      }
    }
  }
  // Each way of saying it comes up.
  expect(Object.values(by).every((times) => times > 0)).toBe(true);
});

test('a fold that goes round layers is scored a second time while flat, as far beyond as its check says', () => {
  const plan = planOf({
    version: 1,
    construction: 'envelope-trio',
    contents: { width: '4 in', height: '4 in' },
  });
  const say = sayer('in', '1/8 in');
  const steps = stepsOf(plan, say);
  const found = checksOf(plan).filter(({ kind }) => kind === 'creases');
  expect(found.length).toBeGreaterThan(0);
  const told = steps.filter(({ text }) => /once more, .* beyond score \d+:/u.test(text));
  expect(told.map(({ phase, action }) => [phase, action])).toEqual(found.map(() => ['flat', 'score']));
  expect(told.map(({ text }) => /once more, (.*) beyond/u.exec(text)![1]).sort()).toEqual(
    found.map(({ value }) => say(value, 'up')).sort(),
  );
  expect(steps.filter(({ text }) => text.includes('Crease it on both lines.'))).toHaveLength(found.length);
});

test('what is bought is trimmed before the first glue, and photos go in once all is joined', () => {
  const trimmed = work('flap-album');
  const at = (id: string): number => trimmed.findIndex((one) => one.id === id);
  expect(at('trim join-1')).toBeLessThan(trimmed.findIndex(({ do: what }) => what === 'fold'));
  expect(trimmed.at(-1)!.id).toBe('contents');
  // Left shut, its pockets open at the spine alone.
  const shut = ids(work('flap-album', { options: { trim: 0 } }));
  expect(shut.some((id) => id.startsWith('trim'))).toBe(false);
  expect(shut.indexOf('contents')).toBeLessThan(shut.indexOf('join-3'));
});

test('holes for a lacing are laced, tips that meet are tied, a strap is held: nothing is told and then left', () => {
  const last = (construction: string, fields: object = {}): string =>
    stepsOf(
      planOf({ version: 1, construction, contents: { width: 90, height: 90, thickness: 5 }, ...fields } as DesignInput),
      sayer('mm', '1 mm'),
    ).at(-1)!.text;
  expect(last('storage-pocket')).toMatch(/^Lace .* crosswise through the holes/u);
  expect(last('storage-pocket', { options: { tie: 'tied' } })).toMatch(/^Take .* of ribbon once round/u);
  expect(last('diagonal-box', { options: { top: 'closed' } })).toMatch(/tie a bow/u);
  expect(last('folio')).toMatch(/^With a dot of hook and loop/u);
});

test('what cannot close it is no work', () => {
  expect(ids(work('card-holder', { closure: { kind: 'dot' } }))).not.toContain('closure');
  expect(ids(work('card-holder', { closure: { kind: 'cord' } }))).toContain('closure');
});

test('a board is laid down when its paper is flat, before anything stands', () => {
  const all = work('cover-board');
  const at = all.findIndex((one) => one.do === 'contents');
  expect(at).toBeGreaterThan(all.findIndex((one) => one.do === 'flat'));
  expect(all.slice(0, at).some((one) => one.do === 'raise')).toBe(false);
  const box = work('tray-box');
  expect(box.findIndex((one) => one.do === 'contents')).toBe(box.length - 2);
  expect(box.at(-1)!.id).toBe('lid-on');
});

test('where one notch ends and the next begins one mark is told, once, and its figure stands once layers the sheet', () => {
  const plan = planOf({
    version: 1,
    construction: 'diagonal-box',
    contents: { width: '3 in', height: '4 in', thickness: 2 },
    options: { top: 'closed' },
    tool: { kind: 'ruler', notch: '3/4 in' },
  });
  const say = sayer('in', '1/8 in');
  const marking = stepsOf(plan, say).filter(({ action }) => action === 'mark');
  expect(marking).toHaveLength(4);
  for (const { text, readings } of marking) {
    const places = /mark (.*) from its left end/.exec(text)![1]!.split(/, | and /);
    expect(places).toHaveLength(3);
    expect(new Set(places).size).toBe(3);
    expect(readings).toHaveLength(3);
  }
  const [marks] = keyFigures(plan.made!, plan.design).filter(({ id }) => id === 'marks');
  for (const { lengths } of marks!.parts) expect(new Set(lengths.map((length) => length.toFixed(3))).size).toBe(3);
});

test('a blank as large as its sheet is not cut, also where the sheet lies the other way', () => {
  const mat = (paper: object = {}) => work('mat', { contents: { width: '4 in', height: '6 in' }, paper });
  const cut = mat().find((one) => one.do === 'cut')!;
  const { width, height } = cut.part.piece.blank;
  expect(width).not.toBe(height);
  const isCut = (paper: object): boolean => mat(paper).some((one) => one.do === 'cut');
  expect([isCut({ width, height }), isCut({ width: height, height: width }), isCut({ width: height, height })]).toEqual(
    [false, false, true],
  );
});

test('hot glue has its caution wherever it is used, on mats as on flaps', () => {
  const steps = stepsOf(
    planOf({
      version: 1,
      construction: 'card-holder',
      contents: { width: 60, height: 90 },
      layers: [{ on: 'front' }],
      adhesive: { all: 'hot-glue' },
    }),
    sayer('mm', '1 mm'),
  ).filter(({ action }) => action === 'glue');
  expect(steps.map(({ piece }) => piece)).toEqual(expect.arrayContaining(['mat', 'holder']));
  for (const { text, caution } of steps)
    expect([text, caution?.match(/Hot glue burns/gu)]).toEqual([text, ['Hot glue burns']]);
});
