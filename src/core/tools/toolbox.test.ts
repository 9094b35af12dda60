import { inches, mm } from '../length';
import {
  boardsOf,
  COMMON_TOOLBOX,
  hasGroove,
  kitOf,
  freshTool,
  ownedFigures,
  ownToolSchema,
  sameTool,
  TOOLS,
  toolboxSchema,
  toolOf,
  toolSchema,
  type OwnTool,
  type Toolbox,
} from '.';

const away = (toolbox: Toolbox, kind: OwnTool['kind']): Toolbox =>
  toolbox.map((tool) => (tool.kind === kind ? { ...tool, out: false } : tool));

describe('what is out today', () => {
  test('trimmer and ruler by their longest, punches and rounders one by one', () => {
    const more = ownToolSchema.parse({ id: 'x', name: 'Small', out: true, kind: 'trimmer', longest: inches(6) });
    expect(kitOf([more, ...COMMON_TOOLBOX])).toEqual({
      trimmer: expect.closeTo(inches(12), 6),
      ruler: expect.closeTo(inches(18), 6),
      punches: [expect.closeTo(inches(1), 6), expect.closeTo(inches(1 / 8), 6)],
      rounders: [expect.closeTo(inches(1 / 4), 6)],
    });
  });

  test('punches that are put away are missing; a kind of which nothing is owned is not asked about', () => {
    expect(kitOf(away(COMMON_TOOLBOX, 'punch')).punches).toEqual([]);
    expect(kitOf(COMMON_TOOLBOX.filter(({ kind }) => kind !== 'punch'))).not.toHaveProperty('punches');
    expect(kitOf(away(COMMON_TOOLBOX, 'trimmer'))).not.toHaveProperty('trimmer');
    expect(kitOf([])).toEqual({});
  });

  test('plans are made for boards that are out', () => {
    expect(boardsOf(COMMON_TOOLBOX).map(({ tool }) => tool.kind)).toEqual(['envelope-board', 'scoring-board']);
    expect(boardsOf(away(COMMON_TOOLBOX, 'envelope-board')).map(({ tool }) => tool.kind)).toEqual(['scoring-board']);
  });
});

describe.each(TOOLS.map((type) => [type.kind, type] as const))('%s', (kind, type) => {
  const tool = freshTool(kind, type.title, 'one');
  const figures = ownedFigures(type);

  test('a fresh one is valid, and its figures are all there is to it', () => {
    expect(Object.keys(tool).sort()).toEqual(['id', 'kind', 'name', 'out', ...figures.map(({ name }) => name)].sort());
    for (const { name, least, most } of figures) {
      const value = (tool as unknown as Record<string, number>)[name]!;
      expect(value).toBeGreaterThanOrEqual(least);
      expect(value).toBeLessThanOrEqual(most);
    }
  });

  test('the form’s limits are the schema’s: both ends are taken, what lies past them is not', () => {
    for (const { name, least, most } of figures) {
      for (const value of [least, most]) expect(ownToolSchema.safeParse({ ...tool, [name]: value }).success).toBe(true);
      for (const value of [least - 0.01, most + 0.01])
        expect(ownToolSchema.safeParse({ ...tool, [name]: value }).success).toBe(false);
    }
  });

  test('a tool a plan is made for is one the design document takes', () => {
    const made = toolOf(tool);
    if (made) expect(toolSchema.safeParse(made).success).toBe(true);
    expect(made === null).toBe(['trimmer', 'ruler', 'punch', 'corner-rounder'].includes(kind));
  });
});

test('a toolbox that was tampered with is refused whole', () => {
  expect(toolboxSchema.safeParse(COMMON_TOOLBOX).success).toBe(true);
  for (const wrong of [
    [{ kind: 'saw' }],
    [{ ...COMMON_TOOLBOX[0], notch: 'wide' }],
    [{ ...COMMON_TOOLBOX[0], extra: 1 }],
  ])
    expect(toolboxSchema.safeParse(wrong).success).toBe(false);
  expect(new Set(COMMON_TOOLBOX.map(({ id }) => id)).size).toBe(COMMON_TOOLBOX.length);
});

describe('whether two tools are one', () => {
  const board = toolOf(COMMON_TOOLBOX[0]!)!;
  const grooves = toolOf(COMMON_TOOLBOX[1]!)!;
  test('every figure of a board counts', () => {
    expect(sameTool(board, { ...board })).toBe(true);
    expect(sameTool(board, { ...board, offset: mm(0.5) } as never)).toBe(false);
    expect(sameTool(board, grooves)).toBe(false);
  });
  test('a board with its pitch told is not the one without; the notch that is cut by hand anyway does not count', () => {
    const { pitch: _, ...bare } = grooves as { pitch: number };
    expect(sameTool(grooves, bare as never)).toBe(false);
    expect(sameTool(grooves, { ...grooves, notch: mm(30) } as never)).toBe(true);
  });
});

test.each([
  [12, undefined, 5.3, true],
  [12, undefined, 12, true],
  [12, undefined, 12.1, false],
  [12, 0.25, 5.25, true],
  [12, 0.25, 5.3, false],
  [12, 0.25, 12.25, false],
] as const)('a board to %s in with a groove each %s in has one at %s in: %s', (length, pitch, at, has) => {
  const board = { kind: 'scoring-board', length: inches(length), notch: inches(0.75) } as const;
  expect(hasGroove(pitch ? { ...board, pitch: inches(pitch) } : board, inches(at))).toBe(has);
});
