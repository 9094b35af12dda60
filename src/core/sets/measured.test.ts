/** What follows from a thing that was measured as it came out. */
import { laidFirst } from '../../../tests/helpers/laid';
import { sayer } from '../length';
import {
  followsFrom,
  isFolded,
  isRefused,
  planAsMade,
  planSet,
  readSet,
  stepsAt,
  walkOf,
  wayThrough,
  type MeasuredPart,
  type SetInput,
  type SetPlan,
  type Stop,
} from '.';

const say = sayer('in', '1/8 in');
const planOf = (set: unknown): SetPlan => {
  const read = readSet(set);
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  return planSet(read.set);
};
/** A card in an envelope with a mat, and the box that holds it. */
const SET: SetInput = {
  version: 1,
  graduation: '1/16 in',
  parts: [
    {
      id: 'card',
      name: 'Card',
      design: { construction: 'folded-card', contents: { width: '4 in', height: '5 in' } },
      layers: [{ on: 'front' }],
    },
    {
      id: 'box',
      name: 'Box',
      design: { construction: 'tray-box' },
      holds: [{ part: 'card', count: 3, lie: 'stacked' }],
    },
  ],
};
const planned = planOf(SET);
const outside = (plan: SetPlan, id: string) => plan.parts.find(({ part }) => part.id === id)!.own!;
const blanks = (plan: SetPlan, id: string): Record<string, string> =>
  Object.fromEntries(
    [
      ...plan.parts.find(({ part }) => part.id === id)!.plan.made!.pieces,
      ...plan.parts.find(({ part }) => part.id === id)!.plan.made!.layers,
    ].map(({ piece: { name, blank } }) => [name, `${say(blank.width)} × ${say(blank.height)}`]),
  );
const came = outside(planned, 'card');
const SIXTEENTH = 25.4 / 16;
const measured = { width: came.width + 2 * SIXTEENTH, height: came.height - 2 * SIXTEENTH };
const card = (at: number): MeasuredPart => ({ part: 'card', measured, at });
const next = planAsMade(planned, [card(0)]);

test('what lies on it follows by as much as it came out otherwise, and what holds it', () => {
  expect([blanks(planned, 'card')['mat'], blanks(next, 'card')['mat']]).toEqual([
    '3 3/4 in × 4 3/4 in',
    '3 7/8 in × 4 5/8 in',
  ]);
  // The thing itself is as it was drawn; its outside is what came.
  expect(blanks(next, 'card')['card']).toBe(blanks(planned, 'card')['card']);
  expect(outside(next, 'card')).toMatchObject(measured);
  const [before, after] = [outside(planned, 'box'), outside(next, 'box')];
  expect(after.width - before.width).toBeCloseTo(2 * SIXTEENTH, 6);
  expect(after.height - before.height).toBeCloseTo(-2 * SIXTEENTH, 6);
  const room = (plan: SetPlan) => plan.parts.find(({ part }) => part.id === 'box')!.plan.design.contents!;
  expect(room(next).width - room(planned).width).toBeCloseTo(2 * SIXTEENTH, 6);
});

const cutsOf = (walk: readonly Stop[], part: string): readonly string[] =>
  walk.flatMap((stop) =>
    stop.part === part && stop.step.phase === 'cut' ? stepsAt(stop).map(({ text }) => text) : [],
  );
const make = (way: 'by-setting' | 'trial-first' | 'one-by-one', order?: 'by-piece') => {
  const plan = order ? planOf({ ...SET, order }) : planned;
  const copies = 3;
  return { plan, copies, way, walk: walkOf(plan, say, copies, way) };
};
const through = ({ plan, walk, copies, way }: ReturnType<typeof make>, ...happened: readonly MeasuredPart[]): Stop[] =>
  wayThrough(walk, plan, say, happened, { copies, way });
const told = (walk: readonly Stop[]): readonly string[] =>
  walk
    .flatMap((stop) => stepsAt(stop).flatMap(({ id }) => stop.copies.map((copy) => `${stop.part} ${id} ${copy}`)))
    .sort();

test('a trial is measured: the rest is cut for what came out, each step of each copy is told once, what is behind stays', () => {
  const whole = make('trial-first');
  const at = walkOf(planned, say, 1, 'by-setting').length;
  const walk = through(whole, card(at));
  expect(walk.slice(0, at)).toEqual(whole.walk.slice(0, at));
  expect(told(walk)).toEqual(told(whole.walk));
  const [trial, rest] = [cutsOf(walk.slice(0, at), 'card'), cutsOf(walk.slice(at), 'card')];
  expect(trial.join(' ')).toContain('3 3/4 in × 4 3/4 in');
  expect(rest.join(' ')).toContain('3 7/8 in × 4 5/8 in');
  expect(cutsOf(walk.slice(at), 'box')).not.toEqual(cutsOf(whole.walk.slice(at), 'box'));
  expect(isFolded(walk, at, 'card')).toBe(true);
  expect(isFolded(walk, 1, 'card')).toBe(false);
});

test('made piece by piece: the card is measured, and the box that is not begun is made for it; the card’s own steps stay', () => {
  const whole = make('by-setting', 'by-piece');
  const at = whole.walk.findLastIndex(({ part }) => part === 'card') + 1;
  expect(whole.walk.slice(at).some(({ part }) => part === 'box')).toBe(true);
  const walk = through(whole, card(at));
  expect(told(walk)).toEqual(told(whole.walk));
  expect(walk.slice(0, at)).toEqual(whole.walk.slice(0, at));
  expect(cutsOf(walk, 'box')).not.toEqual(cutsOf(whole.walk, 'box'));
  expect(followsFrom(planned, next, whole.walk, at).map(({ name, cut }) => [name, cut])).toEqual([
    ['Card: mat', true],
    ['Box: box', false],
    ['Box: lid', false],
  ]);
});

test('where all is cut nothing changes; the last measure of a part counts', () => {
  const whole = make('by-setting');
  const at = whole.walk.length - 2;
  expect(through(whole, card(at))).toEqual(whole.walk);
  expect(followsFrom(planned, next, whole.walk, at).every(({ cut }) => cut)).toBe(true);
  const trial = make('trial-first');
  const first = walkOf(planned, say, 1, 'by-setting').length;
  const again: MeasuredPart = { part: 'card', measured: { width: came.width, height: came.height }, at: first };
  const walk = through(trial, card(first), again);
  expect(walk.map(({ step }) => step.text)).toEqual(trial.walk.map(({ step }) => step.text));
});

test('sheets that are laid out anew for what came out are cut in place of those laid before', () => {
  const { plan, copies, way } = make('trial-first');
  const walk = walkOf(plan, say, copies, way, laidFirst(plan, copies - 1));
  const at = walk.findIndex(({ sheets }) => sheets);
  expect(at).toBeGreaterThan(0);
  const laid = laidFirst(next, copies - 1);
  const after = wayThrough(walk, plan, say, [{ ...card(at), laid }], { copies, way });
  expect(after.slice(at).flatMap(({ sheets }) => sheets?.list ?? [])[0]).toEqual(laid[0]!.list);
  expect(after.slice(at).some(({ step, sheets }) => step.phase === 'cut' && step.action === 'cut' && !sheets)).toBe(
    false,
  );
  // Laid before for another size, they are not counted on.
  const without = wayThrough(walk, plan, say, [card(at)], { copies, way });
  expect(without.slice(at).some(({ sheets }) => sheets)).toBe(false);
});

test('only what lies flat on it can be trimmed; what is scored stays as it was cut', () => {
  const whole = make('by-setting');
  const follows = followsFrom(planned, next, whole.walk, whole.walk.length);
  expect(follows.map(({ name, layer }) => [name, layer])).toEqual([
    ['Card: mat', true],
    ['Box: box', false],
    ['Box: lid', false],
  ]);
});

test('a measure for which something can no longer be made changes nothing', () => {
  const whole = make('trial-first');
  const at = walkOf(planned, say, 1, 'by-setting').length;
  const tiny: MeasuredPart = { part: 'card', measured: { width: 0.4, height: 0.4 }, at };
  expect(isRefused(planned, planAsMade(planned, [tiny]))).toBe(true);
  expect(isRefused(planned, next)).toBe(false);
  expect(through(whole, tiny)).toEqual(whole.walk);
});

test('made piece by piece: sheets laid out anew are not cut for what is cut; a copy made anew after it has the blank of its own plan', () => {
  const { plan, copies, way, walk } = make('by-setting', 'by-piece');
  const at = walk.findLastIndex(({ part }) => part === 'card') + 1;
  // One paper for all: its layout has the cards in it, and these are made.
  const laid = laidFirst(planAsMade(plan, [card(at)]), copies);
  const after = wayThrough(walk, plan, say, [{ ...card(at), laid }], { copies, way });
  expect(after.some(({ sheets }) => sheets)).toBe(false);
  expect(told(after)).toEqual(told(walk));

  const sheets = walkOf(plan, say, copies, 'by-setting', laidFirst(plan, copies));
  const late = sheets.findLastIndex(({ part }) => part === 'card') + 1;
  const anew = wayThrough(sheets, plan, say, [card(late), { part: 'box', copies: [2], at: late, from: 0 }], {
    copies,
    way,
  });
  // The boxes were cut out of their sheets before the card was measured: the new one is like the others.
  const size = (from: readonly Stop[]): readonly string[] =>
    from.flatMap(({ part, step, sheets: cut }) => (part === 'box' && step.phase === 'cut' && !cut ? [step.text] : []));
  expect(size(anew)).toEqual(size(walkOf(plan, say, 1, 'by-setting')));
});
