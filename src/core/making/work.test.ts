/** What a make takes, as data: whatever the holder, nothing is done before what it waits for, and nothing is left out. */
import { planOf } from '../../../tests/helpers/designs';
import { CONSTRUCTIONS } from '../constructions';
import { CLOSURES, LAYER_PLACES, type DesignInput } from '../design';
import { keyFigures } from '../looks';
import { sayer } from '../length';
import { stepsOf } from './steps';
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

test('a ribbon lies under its mat, a cord goes round it, and neither is there before all is folded', () => {
  const last = (kind: string): string[] =>
    ids(work('card-holder', { layers: [{ on: 'front' }], closure: { kind } })).slice(-3);
  expect(last('ribbon').indexOf('closure')).toBeLessThan(last('ribbon').indexOf('lay mat'));
  expect(last('cord').indexOf('closure')).toBeGreaterThan(last('cord').indexOf('lay mat'));
  expect(last('ribbon')).toContain('lay mat');
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
