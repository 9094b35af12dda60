/** Tools as they are when nothing is said of them, and their moves for every holder as approved tables. */
import { expectApproved } from '../../../tests/helpers/approved';
import { planOf } from '../../../tests/helpers/designs';
import { CONSTRUCTIONS } from '../constructions';
import { inches, mm, type Graduation } from '../length';
import type { DesignInput } from '../design';
import { COMMON_BOARD, hasGroove, planTool, sameTool, toolSchema, type Tool } from '.';
import { calibrate, trialInside } from './calibrate';

const tool = (fields: object): Tool => toolSchema.parse(fields);

test('a tool of which nothing is said has the usual figures (common practice, no source), and no offset', () => {
  expect(COMMON_BOARD).toEqual({
    kind: 'envelope-board',
    notch: inches(3 / 4),
    offset: 0,
    rulerEnd: inches(5),
    grooveEnd: inches(7),
  });
  expect(tool({ kind: 'scoring-board' })).toEqual({ kind: 'scoring-board', length: inches(12), notch: inches(3 / 4) });
  expect(tool({ kind: 'edge-board' })).toEqual({
    kind: 'edge-board',
    scoreFrom: inches(1 / 2),
    relief: inches(1 / 4),
    offset: 0,
    notch: inches(3 / 4),
  });
  expect(tool({ kind: 'ruler' })).toEqual({ kind: 'ruler', notch: inches(3 / 4) });
});

const making = (tool: Tool, graduation: Graduation) => planTool(tool).making(tool, graduation);

test('grooves: at every mark up to the board’s end, or on its pitch to a tenth of a millimetre', () => {
  const every = tool({ kind: 'scoring-board', length: 100 }) as Extract<Tool, { kind: 'scoring-board' }>;
  expect([0, 33.3, 100, 100.01].map((at) => hasGroove(every, at))).toEqual([true, true, true, false]);
  const pitched = { ...every, pitch: mm(10) };
  expect([10, 10.1, 10.11, 9.9, 9.89, 15, 110].map((at) => hasGroove(pitched, at))).toEqual([
    true,
    true,
    false,
    true,
    false,
    false,
    false,
  ]);
});

test('one tool or another: every figure counts but the notch that is cut by hand', () => {
  const board = tool({ kind: 'scoring-board' });
  expect(sameTool(board, tool({ kind: 'scoring-board', notch: 25 }))).toBe(true);
  expect(sameTool(board, tool({ kind: 'scoring-board', length: 200 }))).toBe(false);
  expect(sameTool(board, tool({ kind: 'scoring-board', pitch: 5 }))).toBe(false);
  expect(sameTool(COMMON_BOARD, { ...COMMON_BOARD, notch: mm(20) })).toBe(false);
  expect(sameTool(COMMON_BOARD, { ...COMMON_BOARD, offset: mm(1e-7) })).toBe(true);
  expect(sameTool(board, tool({ kind: 'ruler' }))).toBe(false);
});

test('what a pattern needs to know of a tool: by hand the notch is measured, and stands on a mark', () => {
  expect(making({ ...COMMON_BOARD, notch: mm(20), offset: mm(1) }, '1/8 in')).toEqual({
    graduation: '1/8 in',
    notch: 20,
    offset: 1,
    rulerEnd: 127,
    relief: null,
  });
  expect(making(tool({ kind: 'ruler', notch: 20 }), '1/8 in').notch).toBeCloseTo(inches(0.75), 9);
  // A notch smaller than half a mark is not rounded away.
  expect(making(tool({ kind: 'ruler', notch: 1 }), '1/8 in').notch).toBe(1);
  expect(making(tool({ kind: 'edge-board', scoreFrom: 10, offset: 0.5, relief: 6 }), '1 mm')).toMatchObject({
    offset: 0,
    rulerEnd: null,
    relief: { from: 10.5, inset: 3 },
  });
});

describe('calibrating', () => {
  const board = { notch: mm(20), offset: mm(1) };
  const trial = (setting: number, offBy = 0) => {
    const { width, height } = trialInside(board, mm(150), mm(setting));
    return { sheet: mm(150), setting: mm(setting), width: mm(width + offBy), height: mm(height - offBy) };
  };
  test('the inside a board makes, by the envelope’s formulas', () => {
    // √2 · (60 + 1 − 10) and √2 · (150 − 60 − 1 − 10).
    expect(trialInside(board, mm(150), mm(60))).toEqual({
      width: expect.closeTo(51 * Math.SQRT2, 9),
      height: expect.closeTo(79 * Math.SQRT2, 9),
    });
  });
  test('a trial is odd from one and a half readings off on, along the inside', () => {
    const odd = (by: number): number | null => {
      const found = calibrate([trial(50), trial(60), trial(70, by)], 1);
      if (!found.ok) throw new Error(found.message);
      return found.odd;
    };
    // Off by `by` along the inside, the setting is off by by/√2, and two thirds of that are left once it is averaged in.
    const limit = 1.5 / (2 / 3);
    expect(odd(limit * 0.99)).toBeNull();
    expect(odd(limit * 1.01)).toBe(2);
  });
  test('how sure it is: half a mark each way, spread evenly, over so many readings', () => {
    const found = calibrate([trial(50), trial(60)], 1);
    if (!found.ok) throw new Error(found.message);
    expect(found.board).toEqual({ notch: expect.closeTo(20, 9), offset: expect.closeTo(1, 9) });
    expect(found.readings).toBe(4);
    // Two deviations of 1/√3/√2, from two widths and two heights: √(1/2 + 1/2).
    expect(found.sure).toEqual({
      notch: expect.closeTo(2 / Math.sqrt(6), 9),
      offset: expect.closeTo(1 / Math.sqrt(6), 9),
    });
  });
  test('lengths written the other way round are turned where only that makes sense', () => {
    const { width, height, ...rest } = trial(40);
    const found = calibrate([{ ...rest, width: height, height: width }]);
    expect(found).toMatchObject({ ok: true, board: { notch: expect.closeTo(20, 6), offset: expect.closeTo(1, 6) } });
    // Near the middle both ways round could be a guide that is off: what is written stands.
    const middle = trial(70);
    const swapped = calibrate([{ ...middle, width: middle.height, height: middle.width }]);
    expect(swapped).toMatchObject({ ok: true, board: { offset: expect.closeTo(9, 6) } });
  });
  test('at the ends of what a board can be', () => {
    const made = (notch: number, offset: number) => {
      const { width, height } = trialInside({ notch: mm(notch), offset: mm(offset) }, mm(150), mm(75));
      return calibrate([{ sheet: mm(150), setting: mm(75), width, height }]).ok;
    };
    expect([made(5.1, 0), made(5, 0), made(50.7, 0), made(50.9, 0)]).toEqual([true, false, true, false]);
    expect([made(20, 12.6), made(20, 12.8), made(20, -12.6), made(20, -12.8)]).toEqual([true, false, true, false]);
  });
});

/** Every move of every piece, as data. */
test.each<[string, object]>([
  ['envelope-board', { kind: 'envelope-board', offset: '1/16 in', rulerEnd: '3 in', grooveEnd: '5 in' }],
  ['scoring-board', { kind: 'scoring-board', length: '8 in', pitch: '1/4 in' }],
  ['edge-board', { kind: 'edge-board', offset: '1/32 in' }],
  ['ruler', { kind: 'ruler', notch: '1 in' }],
])('the moves on the %s', (name, board) => {
  const lines = CONSTRUCTIONS.flatMap((construction) => {
    const { made } = planOf({
      version: 1,
      construction: construction.name,
      contents: { width: '3 in', height: '4 in', thickness: '1/4 in' },
      tool: board,
    } as DesignInput);
    return (made?.pieces ?? []).flatMap(({ piece, programme, toolFaults }) => [
      `${construction.name} ${piece.name}${toolFaults.length > 0 ? `: ${toolFaults.join('; ')}` : ''}`,
      ...programme.marks.map((mark) => `    mark ${told(mark)}`),
      ...programme.moves.map((move) => `    ${told(move)}`),
    ]);
  });
  expectApproved(`moves/${name}`, `${lines.join('\n')}\n`);
});

const told = (data: unknown): string =>
  JSON.stringify(data, (_, v: unknown) => (typeof v === 'number' ? Math.round(v * 1e3) / 1e3 + 0 : v));
