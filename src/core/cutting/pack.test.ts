import fc from 'fast-check';
import { atLeast, runs } from '../../../tests/helpers/runs';
import { ALBUM } from '../../../tests/helpers/cut-lists';
import {
  carryOutCuts,
  copiesFrom,
  fenceOrder,
  isPlaced,
  laidByHand,
  layoutSchema,
  readCutList,
  sheetsFor,
  type CutList,
  type CutListInput,
  type Layout,
} from '.';
import { loadSolver, type Solver } from './solver';
import { pack, packing } from './pack';

let solver: Solver;
beforeAll(async () => {
  solver = await loadSolver();
});

type Written = Omit<CutListInput, 'version'>;
function read(list: Written): CutList {
  const found = readCutList({ version: 1, ...list });
  if (!found.ok) throw new Error(JSON.stringify(found.issues));
  return found.list;
}
const packed = (list: Written): Layout => pack(read(list), solver);
const square = { name: 'sheet', width: '12 in', height: '12 in' };
const inch = (name: string, width: number, height: number, quantity = 1, turn = true) => ({
  name,
  width: `${width} in`,
  height: `${height} in`,
  quantity,
  turn,
});

const overlaps = (
  a: { x: number; y: number; width: number; height: number },
  b: { x: number; y: number; width: number; height: number },
): boolean =>
  Math.min(a.x + a.width, b.x + b.width) - Math.max(a.x, b.x) > 1e-4 &&
  Math.min(a.y + a.height, b.y + b.height) - Math.max(a.y, b.y) > 1e-4;
const same = (a: number, b: number): boolean => Math.abs(a - b) < 2e-4;

/** What must hold of every layout, whatever the list. */
function lawful(list: CutList, layout: Layout): void {
  expect(layoutSchema.safeParse(layout).success).toBe(true);
  // Every piece once: placed, or told of as unplaced.
  const asked = new Map<string, number>();
  for (const { name, quantity } of list.pieces) asked.set(name, (asked.get(name) ?? 0) + quantity);
  const got = new Map<string, number>();
  for (const { placements } of layout.sheets)
    for (const { piece } of placements) got.set(piece, (got.get(piece) ?? 0) + 1);
  for (const { piece, quantity } of layout.unplaced) got.set(piece, (got.get(piece) ?? 0) + quantity);
  expect(Object.fromEntries(got)).toEqual(Object.fromEntries(asked));
  // No more sheets than there are, and never fewer than the bound.
  for (const sheet of list.sheets)
    expect(layout.sheets.filter((used) => used.sheet === sheet.name).length).toBeLessThanOrEqual(
      sheet.count ?? Infinity,
    );
  expect(layout.sheetsUsed).toBe(layout.sheets.length);
  expect(layout.lowerBound).toBeLessThanOrEqual(layout.sheetsUsed);
  if (layout.optimal) expect([layout.lowerBound, layout.unplaced]).toEqual([layout.sheetsUsed, []]);
  for (const { sheet: name, placements, cuts, offcuts } of layout.sheets) {
    const sheet = list.sheets.find((kind) => kind.name === name)!;
    placements.forEach((a, i) => {
      const piece = list.pieces.find((p) => p.name === a.piece)!;
      expect(a.turned && (!piece.turn || sheet.directional)).toBe(false);
      const [w, h] = a.turned ? [piece.height, piece.width] : [piece.width, piece.height];
      expect([same(a.width, w), same(a.height, h)]).toEqual([true, true]);
      expect(Math.min(a.x, a.y)).toBeGreaterThan(sheet.trim - 1e-3);
      expect(a.x + a.width).toBeLessThan(sheet.width - sheet.trim + 1e-3);
      expect(a.y + a.height).toBeLessThan(sheet.height - sheet.trim + 1e-3);
      for (const b of [...placements.slice(i + 1), ...offcuts]) expect(overlaps(a, b)).toBe(false);
    });
    offcuts.forEach((a, i) => {
      expect(Math.min(a.width, a.height)).toBeGreaterThan(list.keep - 1e-3);
      for (const b of offcuts.slice(i + 1)) expect(overlaps(a, b)).toBe(false);
    });
    if (list.cutter === 'free') continue;
    // The simulated trimmer carries the cuts out in order; every piece and every offcut is a part in the end.
    const { parts } = carryOutCuts(sheet, cuts);
    for (const wanted of [...placements, ...offcuts])
      expect(
        parts.some(
          (part) =>
            same(part.x, wanted.x) &&
            same(part.y, wanted.y) &&
            same(part.width, wanted.width) &&
            same(part.height, wanted.height),
        ),
      ).toBe(true);
  }
}

const grid = fc.integer({ min: 2, max: 24 });
const pieces = (most: number) =>
  fc
    .array(fc.record({ w: grid, h: grid, quantity: fc.integer({ min: 1, max: 4 }), turn: fc.boolean() }), {
      minLength: 1,
      maxLength: most,
    })
    .map((all) =>
      all.map(({ w, h, quantity, turn }, i) => ({ name: `p${i}`, width: w * 10, height: h * 10, quantity, turn })),
    );
const lists = fc.record({
  cutter: fc.constantFrom('guillotine' as const, 'free' as const),
  sheets: fc
    .array(
      fc.record({
        w: fc.integer({ min: 20, max: 32 }),
        h: fc.integer({ min: 20, max: 32 }),
        count: fc.option(fc.integer({ min: 0, max: 4 }), { nil: undefined }),
        kerf: fc.constantFrom(0, 0, 3),
        trim: fc.constantFrom(0, 0, 5),
        directional: fc.boolean(),
        priority: fc.constantFrom(0, 0, 1),
      }),
      { minLength: 1, maxLength: 3 },
    )
    .map((all) => all.map(({ w, h, ...rest }, i) => ({ name: `s${i}`, width: w * 10, height: h * 10, ...rest }))),
  pieces: pieces(5),
});

test('every layout keeps every piece once, overlaps nothing, and is cut by its own cuts in order', () => {
  fc.assert(
    fc.property(lists, (written) => {
      const list = read(written);
      for (const { layout } of packing(list, solver)) lawful(list, layout);
    }),
    runs(20),
  );
});

describe('pieces that have a place on their paper', () => {
  const spot = fc.integer({ min: 0, max: 30 });
  const placed = fc.tuple(lists, fc.tuple(spot, spot), fc.boolean()).map(([list, [x, y], across]) => {
    const [sheet] = list.sheets as [(typeof list.sheets)[number]];
    const on = across ? { width: sheet.height, height: sheet.width } : { width: sheet.width, height: sheet.height };
    return {
      ...list,
      pieces: list.pieces.map((piece, i) =>
        i === 0 ? { ...piece, turn: true, place: { x: 10 * x, y: 10 * y, on } } : piece,
      ),
    };
  });
  test('lie there, each on a sheet of its own, and what that leaves is cut up as any sheet is', () => {
    let [there, shared] = [0, 0];
    fc.assert(
      fc.property(placed, (written) => {
        const list = read(written);
        const layout = pack(list, solver);
        lawful(list, layout);
        const { name } = list.pieces[0]!;
        for (const { sheet, placements } of layout.sheets) {
          const kind = list.sheets.find((one) => one.name === sheet)!;
          const first = placements.filter(({ piece }) => piece === name);
          if (!first.some((one) => isPlaced(list, kind, one))) continue;
          expect(first).toHaveLength(1);
          there++;
          if (placements.length > 1) shared++;
        }
      }),
      runs(60),
    );
    // Of sixty lists sixteen have one there, and seven share its sheet.
    expect(Math.min(there, shared)).toBeGreaterThanOrEqual(atLeast(3));
  });

  test('a motif at the left edge: four copies take four sheets, and the rest of them serves the small pieces', () => {
    const place = { x: '1 in', y: '2 in', on: { width: '12 in', height: '12 in' } };
    const layout = packed({
      sheets: [square],
      pieces: [{ ...inch('envelope', 6, 6, 4), place }, inch('tag', 2, 4, 12)],
    });
    expect([layout.sheetsUsed, layout.lowerBound, layout.optimal]).toEqual([4, 4, true]);
    for (const { placements } of layout.sheets)
      expect(placements.find(({ piece }) => piece === 'envelope')).toMatchObject({ x: 25.4, y: 50.8, turned: false });
    // Cut out of the left and near edge, the way a trimmer goes.
    expect(
      fenceOrder(read({ sheets: [square], pieces: [inch('x', 1, 1)] }).sheets, layout.sheets).length,
    ).toBeGreaterThan(0);
  });

  test('a stack is enough for as many copies as it has sheets, though smaller ones would lie beside each other', () => {
    const [sheet] = read({ sheets: [square], pieces: [inch('x', 1, 1)] }).sheets;
    const [free, placed] = read({
      sheets: [square],
      pieces: [
        inch('a', 4, 4),
        { ...inch('b', 4, 4), place: { x: 0, y: '1 in', on: { width: '12 in', height: '12 in' } } },
      ],
    }).pieces;
    expect([copiesFrom([free!], sheet!, 3), copiesFrom([placed!], sheet!, 3)]).toEqual([27, 3]);
    // Small pieces come out of what is left.
    expect(sheetsFor([placed!, { ...free!, quantity: 4 }], sheet!)).toBe(1);
  });

  test('paper that lies the other way in the stash is turned; on other paper it lies like any piece', () => {
    const pieces = [
      { ...inch('card', 4, 3), place: { x: '1 in', y: '2 in', on: { width: '8 1/2 in', height: '11 in' } } },
    ];
    const on = (width: string, height: string) =>
      packed({ sheets: [{ name: 's', width, height }], pieces }).sheets[0]!.placements[0];
    expect(on('8 1/2 in', '11 in')).toMatchObject({ x: 25.4, y: 50.8, turned: false });
    const turned = on('11 in', '8 1/2 in')!;
    expect(turned).toMatchObject({ x: 50.8, turned: true });
    expect(turned.y).toBeCloseTo((8.5 - 1 - 4) * 25.4, 6);
    expect(on('12 in', '12 in')).toMatchObject({ x: 0, y: 0 });
  });

  test('more copies than sheets are told of, and so is a place off the sheet', () => {
    const place = { x: '8 in', y: 0, on: { width: '12 in', height: '12 in' } };
    const two = packed({ sheets: [{ ...square, count: 1 }], pieces: [{ ...inch('a', 4, 4, 2), place }] });
    expect([two.sheetsUsed, two.optimal, two.unplaced]).toEqual([
      1,
      false,
      [{ piece: 'a', quantity: 1, why: 'There is no sheet left to cut it from.' }],
    ]);
    const off = packed({ sheets: [square], pieces: [{ ...inch('a', 5, 4), place }] });
    expect(off).toMatchObject({ sheetsUsed: 0, optimal: false, yield: 0 });
    expect(off.unplaced).toEqual([{ piece: 'a', quantity: 1, why: 'Its place reaches over the edge of the sheet.' }]);
  });
});

test('a larger sheet never needs more', () => {
  fc.assert(
    fc.property(pieces(4), fc.integer({ min: 0, max: 6 }), (some, more) => {
      const on = (side: number): Layout => packed({ sheets: [{ name: 's', width: side, height: side }], pieces: some });
      const [small, large] = [on(250), on(250 + 10 * more)];
      expect(large.sheetsUsed).toBeLessThanOrEqual(small.sheetsUsed);
    }),
    runs(20),
  );
});

/** Whether pieces can be cut from one sheet, tried every way there is: an oracle that shares nothing with the search. */
function cutsFrom(width: number, height: number, some: readonly (readonly [number, number])[]): boolean {
  const area = some.reduce((sum, [w, h]) => sum + w * h, 0);
  if (area > width * height) return false;
  if (some.length === 0) return true;
  if (some.length === 1) {
    const [[w, h]] = some as [readonly [number, number]];
    return (w <= width && h <= height) || (h <= width && w <= height);
  }
  for (let set = 1; set < 2 ** some.length - 1; set++) {
    const [a, b] = [some.filter((_, i) => set & (1 << i)), some.filter((_, i) => !(set & (1 << i)))];
    for (let x = 1; x < width; x++) if (cutsFrom(x, height, a) && cutsFrom(width - x, height, b)) return true;
    for (let y = 1; y < height; y++) if (cutsFrom(width, y, a) && cutsFrom(width, height - y, b)) return true;
  }
  return false;
}
/** The fewest sheets by trying every division of the pieces among sheets. */
function fewest(side: number, some: readonly (readonly [number, number])[]): number {
  const place = (at: number, sheets: (readonly [number, number])[][], most: number): boolean => {
    if (at === some.length) return sheets.every((sheet) => cutsFrom(side, side, sheet));
    for (let s = 0; s < Math.min(sheets.length + 1, most); s++) {
      const now = sheets.map((sheet, i) => (i === s ? [...sheet, some[at]!] : sheet));
      if (place(at + 1, s === sheets.length ? [...sheets, [some[at]!]] : now, most)) return true;
    }
    return false;
  };
  for (let n = 1; ; n++) if (place(0, [], n)) return n;
}

test('small lists: as few sheets as trying everything finds, and proved', () => {
  const side = fc.integer({ min: 1, max: 6 });
  fc.assert(
    fc.property(fc.array(fc.tuple(side, side), { minLength: 1, maxLength: 5 }), (some) => {
      const layout = packed({
        sheets: [{ name: 's', width: 60, height: 60 }],
        pieces: some.map(([w, h], i) => ({ name: `p${i}`, width: w * 10, height: h * 10 })),
      });
      expect([layout.sheetsUsed, layout.optimal]).toEqual([fewest(6, some), true]);
    }),
    runs(20),
  );
});

test('sheets cut up at random along edge-to-edge cuts are put together again: nothing is lost, and that is proved', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 3 }), fc.array(fc.nat(), { minLength: 30, maxLength: 30 }), (n, chance) => {
      let at = 0;
      const some = Array.from({ length: n }, () => {
        let parts = [[24, 24] as const] as (readonly [number, number])[];
        for (let i = 0; i < 4; i++) {
          parts.sort((a, b) => b[0] * b[1] - a[0] * a[1]);
          const [w, h] = parts[0]!;
          const long = Math.max(w, h);
          const cut = 2 + (chance[at++ % chance.length]! % (long - 3));
          parts = [
            ...parts.slice(1),
            ...(w > h
              ? ([
                  [cut, h],
                  [w - cut, h],
                ] as const)
              : ([
                  [w, cut],
                  [w, h - cut],
                ] as const)),
          ];
        }
        return parts;
      }).flat();
      const layout = packed({
        sheets: [square],
        pieces: some.map(([w, h], i) => ({ name: `p${i}`, width: `${w}/2 in`, height: `${h}/2 in` })),
      });
      expect([layout.sheetsUsed, layout.optimal, layout.yield]).toEqual([n, true, expect.closeTo(1, 9)]);
    }),
    runs(20),
  );
});

describe('lists a person really has', () => {
  test('one folder whose four pieces come from a single sheet', () => {
    const layout = packed({
      sheets: [square],
      pieces: [inch('cover', 9, 6), inch('spine', 3, 6), inch('pocket', 6, 6, 1, false), inch('flap', 5.5, 5)],
    });
    expect([layout.sheetsUsed, layout.optimal]).toEqual([1, true]);
  });

  const album = ALBUM.map(([name, width, height, quantity]) => inch(name, width, height, quantity));
  test('an eight-page album: 160 pieces of 10 sizes from 12 in sheets, the fewest and proved', () => {
    const list = read({ sheets: [square], pieces: album });
    const steps = [...packing(list, solver)];
    const last = steps.at(-1)!;
    expect(last.doing).toBe('done');
    expect(last.layout).toMatchObject({ optimal: true, sheetsUsed: last.layout.lowerBound, unplaced: [] });
    lawful(list, last.layout);
    // An answer at once, and none later is worse.
    expect(steps[0]!.layout.sheets.length).toBeGreaterThan(0);
    const used = steps.map(({ layout }) => layout.sheetsUsed);
    expect(used).toEqual([...used].sort((a, b) => b - a));
    const bounds = steps.map(({ layout }) => layout.lowerBound);
    expect(bounds).toEqual([...bounds].sort((a, b) => a - b));
  });

  test('stopped early, the best so far is the answer, and it says it is not proved', () => {
    const list = read({ sheets: [square], pieces: album });
    const layout = pack(list, solver, undefined, () => false);
    lawful(list, layout);
    expect(layout.optimal).toBe(false);
  });

  test('pieces in a blade’s width of each other do not fit where without a blade they would', () => {
    const of = (kerf: number): number =>
      packed({ sheets: [{ ...square, kerf }], pieces: [inch('quarter', 6, 6, 4)] }).sheetsUsed;
    expect([of(0), of(1)]).toEqual([1, 4]);
  });
});

describe('sheets', () => {
  test('the priority first used first: offcuts save a new sheet, and no more new ones are taken than needed', () => {
    const layout = packed({
      sheets: [
        { name: 'new', width: '12 in', height: '12 in', priority: 1 },
        { name: 'offcut', width: '6 in', height: '4 in', count: 3, priority: 0 },
      ],
      pieces: [inch('tag', 5, 4, 9), inch('cover', 6, 6, 4)],
    });
    const used = (name: string): number => layout.sheets.filter(({ sheet }) => sheet === name).length;
    // Four covers and nine tags: 324 in² are three new sheets, or two and the three offcuts.
    expect([used('new'), used('offcut'), layout.optimal, layout.lowerBound]).toEqual([2, 3, true, 5]);
  });

  test('of two sizes with one priority the fewer sheets are taken, then the less paper', () => {
    const layout = packed({
      sheets: [
        { name: 'large', width: 400, height: 400 },
        { name: 'small', width: 210, height: 210 },
      ],
      pieces: [{ name: 'p', width: 200, height: 200, quantity: 5 }],
    });
    expect(layout.sheets.map(({ sheet }) => sheet)).toEqual(['large', 'small']);
  });

  test('a directional sheet turns nothing, and pieces that may not turn are not', () => {
    const of = (directional: boolean, turn: boolean): number =>
      packed({
        sheets: [{ name: 's', width: 100, height: 60, directional }],
        pieces: [{ name: 'p', width: 30, height: 50, quantity: 6, turn }],
      }).sheetsUsed;
    expect([of(false, true), of(true, true), of(false, false)]).toEqual([2, 2, 2]);
    const tall = (directional: boolean) =>
      packed({
        sheets: [{ name: 's', width: 100, height: 60, directional }],
        pieces: [{ name: 'p', width: 50, height: 90 }],
      });
    expect(tall(false).sheetsUsed).toBe(1);
    expect(tall(true).unplaced).toEqual([{ piece: 'p', quantity: 1, why: 'It is larger than every sheet.' }]);
  });

  test('too few sheets: as much as goes is placed, the rest told of', () => {
    const layout = packed({ sheets: [{ ...square, count: 1 }], pieces: [inch('quarter', 6, 6, 6)] });
    expect(layout).toMatchObject({
      sheetsUsed: 1,
      optimal: false,
      unplaced: [{ piece: 'quarter', quantity: 2, why: 'There is no sheet left to cut it from.' }],
    });
  });

  test('four round a fifth: one sheet with scissors, two from edge to edge', () => {
    const of = (cutter: 'free' | 'guillotine') =>
      packed({
        cutter,
        sheets: [{ name: 's', width: 50, height: 50 }],
        pieces: [
          { name: 'long', width: 30, height: 20, quantity: 4 },
          { name: 'middle', width: 10, height: 10 },
        ],
      });
    expect(of('free')).toMatchObject({ sheetsUsed: 1, optimal: true });
    expect(of('guillotine')).toMatchObject({ sheetsUsed: 2, optimal: true });
  });

  test('what is left of a sheet lies together', () => {
    const [sheet] = packed({ sheets: [square], pieces: [inch('tag', 3, 5, 4), inch('card', 2.5, 3.5, 2)] }).sheets;
    // 77.5 in² of 144 are used; of what is left more than half is one rectangle.
    expect((sheet!.offcuts[0]!.width * sheet!.offcuts[0]!.height) / 25.4 ** 2).toBeGreaterThan(48);
  });
});

describe('on the trimmer', () => {
  test('equal settings are cut together, over all sheets, and every cut waits for the one it needs', () => {
    const list = read({ sheets: [square], pieces: [inch('mat', 5.25, 5.75, 8), inch('strip', 1.5, 12, 2)] });
    const layout = pack(list, solver);
    const groups = fenceOrder(list.sheets, layout.sheets);
    const cuts = groups.flatMap((group) => group.cuts);
    expect(cuts.length).toBe(layout.sheets.reduce((sum, { cuts }) => sum + cuts.length, 0));
    cuts.forEach(({ sheet, after }, i) => {
      if (after >= 0) expect(cuts.slice(0, i).some((c) => c.sheet === sheet && c.cut === after)).toBe(true);
    });
    for (const { setting, cuts: together } of groups)
      for (const cut of together) expect(cut.setting).toBeCloseTo(setting, 3);
    // No order moves the fence less often than there are settings; here one is enough for each.
    expect(groups.length).toBe(new Set(cuts.map(({ setting }) => setting.toFixed(2))).size);
  });

  test('a cut that stops inside a part is refused by its number', () => {
    const sheet = read({ sheets: [square], pieces: [inch('p', 1, 1)] }).sheets[0]!;
    expect(() => carryOutCuts(sheet, [{ from: [100, 0], to: [100, 200] }])).toThrow(
      'Cut 1 does not go from edge to edge',
    );
    expect(() => carryOutCuts(sheet, [{ from: [0, 0], to: [100, 200] }])).toThrow('Cut 1');
  });
});

describe('laid by hand', () => {
  const sheet = read({ sheets: [{ name: 's', width: 50, height: 50 }], pieces: [inch('p', 1, 1)] }).sheets[0]!;
  const at = (x: number, y: number, width: number, height: number) => ({
    piece: 'p',
    x,
    y,
    width,
    height,
    turned: false,
  });
  const round = [at(0, 0, 30, 20), at(30, 0, 20, 30), at(20, 30, 30, 20), at(0, 20, 20, 30)];

  test('pieces that lock one another are named; scissors do not mind', () => {
    expect(laidByHand(round, sheet, 'guillotine', 25)).toEqual({ ok: false, why: 'locked', pieces: [0, 1, 2, 3] });
    expect(laidByHand(round, sheet, 'free', 25).ok).toBe(true);
  });

  test('outside and over one another', () => {
    expect(laidByHand([at(30, 0, 30, 10)], sheet, 'guillotine', 25)).toMatchObject({ why: 'outside', pieces: [0] });
    expect(laidByHand([at(0, 0, 30, 10), at(20, 5, 10, 10)], sheet, 'free', 25)).toMatchObject({
      why: 'overlap',
      pieces: [0, 1],
    });
  });

  test('what can be cut comes with its cuts and what is left', () => {
    const found = laidByHand([at(20, 0, 30, 20)], sheet, 'guillotine', 10);
    expect(found.ok && carryOutCuts(sheet, found.sheet.cuts).parts).toHaveLength(3);
    expect(found.ok && found.sheet.offcuts).toHaveLength(2);
  });
});

describe('lists that cannot be read', () => {
  test.each([
    ['no sheets', { sheets: [], pieces: [inch('p', 1, 1)] }, 'There is no sheet to cut from'],
    ['no pieces', { sheets: [square], pieces: [] }, 'There is no piece to cut'],
    [
      'a bad length',
      { sheets: [square], pieces: [{ name: 'p', width: 'wide', height: 1 }] },
      'does not read as a length',
    ],
    [
      'half a piece',
      { sheets: [square], pieces: [{ ...inch('p', 1, 1), quantity: 0.5 }] },
      'A quantity is a whole number',
    ],
    ['thousands', { sheets: [square], pieces: [inch('p', 1, 1, 1500), inch('q', 1, 1, 1500)] }, 'Make two lists of it'],
    [
      'two sizes of a name',
      { sheets: [square, { ...square, width: 10 }], pieces: [inch('p', 1, 1)] },
      'Give one another name',
    ],
    [
      'nothing but trim',
      { sheets: [{ ...square, width: '4 in', trim: '2 in' }], pieces: [inch('p', 1, 1)] },
      'leaves nothing of',
    ],
    [
      'a strip of nothing from a long sheet',
      { sheets: [{ ...square, height: '8 m' }], pieces: [{ name: 'p', width: '6 mm', height: '4 in' }] },
      'Cut strips of it first',
    ],
    [
      'confetti',
      { sheets: [{ ...square, width: '1 m', height: '1 m' }], pieces: [{ name: 'p', width: '2 mm', height: '3 mm' }] },
      'the most a list may ask for',
    ],
    [
      'more sizes than a list holds',
      { sheets: [square], pieces: Array.from({ length: 201 }, (_, i) => inch(`p${i}`, 1, 1)) },
      'At most 200 sizes of piece',
    ],
    [
      'more kinds of sheet than a list holds',
      { sheets: Array.from({ length: 61 }, (_, i) => ({ ...square, name: `s${i}` })), pieces: [inch('p', 1, 1)] },
      'At most 60 kinds of sheet',
    ],
    ['a foreign word', { sheets: [{ ...square, colour: 'red' }], pieces: [inch('p', 1, 1)] }, 'is not known here'],
  ])('%s', (_, list, sentence) => {
    const found = readCutList({ version: 1, ...list });
    expect(found.ok ? '' : JSON.stringify(found.issues)).toContain(sentence);
  });
});

test('whoever waits has a first answer long before the search is done, and without a solver that is the answer', async () => {
  // As many sizes as a list holds, none of them like another.
  const read = readCutList({
    version: 1,
    sheets: [{ name: 'roll', width: '700 mm', height: '1000 mm', count: 500 }],
    pieces: Array.from({ length: 190 }, (_, i) => ({
      name: `p${i}`,
      width: 31.7 + ((i * 37) % 190),
      height: 33.1 + ((i * 53) % 210),
      quantity: 1 + (i % 4),
    })),
  });
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  const standing = [...packing(read.list, null)];
  const [first, last] = [standing[0]!, standing.at(-1)!];
  expect([first.doing, last.doing]).toEqual(['first answer', 'done']);
  expect(first.layout.unplaced).toEqual([]);
  expect(last.layout.sheetsUsed).toBeLessThanOrEqual(first.layout.sheetsUsed);
  for (const { layout } of standing) expect(layout.lowerBound).toBeGreaterThan(0);
  // One step a better answer, and the last, tidied.
  expect(standing.length).toBeLessThan(12);
});
