/** What stands: walls raised, tabs and lids, read off poses; figures worked out by hand beside each check. */
import { applyAll, distance3, seenFrom, type Vec } from '../../geometry';
import { stillOf } from '../../../../tests/helpers/scenes';
import { mm } from '../../length';
import { drawPiece, rect, type Panel, type Piece } from '../../pattern';
import { assemble, type AssemblyPlace, type AssemblyStep } from '../assemble';
import {
  boxInside,
  carriedLeaf,
  contentsIn,
  edgesMeet,
  leafOf,
  lidWays,
  liftsOf,
  passThrough,
  seenAsPile,
  standsFree,
  type AssemblyRaise,
  type AssemblySet,
  type Leaf,
  type Raised,
  type Standing,
} from '.';
import type { BoxCavity } from '..';

const raise = (
  id: string,
  turns: readonly [string, ...string[]][],
  more: Partial<AssemblyRaise> = {},
): AssemblyRaise => ({
  kind: 'raise',
  id,
  name: id,
  turns: turns.map((hinges) => ({ hinges, angle: 90 })),
  ...more,
});

/** A floor of 60 × 40 with walls 20 high; tabs of 10 on the near and the far wall. Ids start with `p`. */
function tray(p = '', more = 0): Piece {
  const [w, h, d, g] = [60 + more, 40 + more, 20, 10];
  const [x1, x2, y1, y2] = [d, d + w, d, d + h];
  const id = (part: string): string => p + part;
  const panel = (part: string, polygon: Panel['polygon']): Panel => ({ id: id(part), name: part, polygon });
  return drawPiece({
    name: p || 'tray',
    blank: { width: mm(w + 2 * d), height: mm(h + 2 * d) },
    panels: [
      panel('floor', rect(x1, y1, x2, y2)),
      panel('near', rect(x1, 0, x2, y1)),
      panel('far', rect(x1, y2, x2, y2 + d)),
      panel('left', rect(0, y1, x1, y2)),
      panel('right', rect(x2, y1, x2 + d, y2)),
      panel('tab-1', rect(x1 - g, 0, x1, y1 - 2)),
      panel('tab-2', rect(x2, 0, x2 + g, y1 - 2)),
      panel('tab-3', rect(x1 - g, y2 + 2, x1, y2 + d)),
      panel('tab-4', rect(x2, y2 + 2, x2 + g, y2 + d)),
    ],
    folds: [
      ...['near', 'far', 'left', 'right'].map((wall) => ({
        id: id(`s-${wall}`),
        between: [id('floor'), id(wall)] as const,
        angle: 90,
      })),
      ...[1, 2, 3, 4].map((n) => ({
        id: id(`s-tab-${n}`),
        between: [id(n < 3 ? 'near' : 'far'), id(`tab-${n}`)] as const,
        angle: 90,
      })),
    ],
  });
}
const raising = (p = ''): AssemblyRaise[] => [
  raise(`${p}keepers`, [[`${p}s-near`], [`${p}s-far`]]),
  raise(
    `${p}tabs`,
    [1, 2, 3, 4].map((n): [string] => [`${p}s-tab-${n}`]),
  ),
  raise(`${p}others`, [[`${p}s-left`], [`${p}s-right`]], {
    joins: [1, 2, 3, 4].map((n) => ({
      panel: `${p}tab-${n}`,
      onto: p + (n % 2 === 1 ? 'left' : 'right'),
      face: 'inside' as const,
    })),
  }),
];
const room: BoxCavity = {
  kind: 'box',
  id: 'box',
  floor: 'floor',
  across: { from: { x: 20, y: 40 }, to: { x: 80, y: 40 } },
  tall: 'near',
  onEdge: false,
  insertAfter: 'others',
};
const standing = (pieces: readonly Piece[], steps: readonly AssemblyStep[]): Raised =>
  assemble(pieces, steps).standing!;
const box = standing([tray()], raising());
const codes = ({ problems }: Raised): string[] => problems.map(({ code, panel, by }) => `${code} ${panel} ${by}`);

/** A leaf of so many mm standing where its first corner and two edges say. */
const sheet = (id: string, o: Vec, x: Vec, y: Vec, long: number, high: number): Leaf => {
  const normal = { x: x.y * y.z - x.z * y.y, y: x.z * y.x - x.x * y.z, z: x.x * y.y - x.y * y.x };
  const flat: Leaf = {
    piece: id,
    panel: { id, name: id, polygon: rect(0, 0, long, high) },
    pose: { x, y, normal, o },
    corners: [],
    box: [o, o],
  };
  return carriedLeaf(flat, (pose) => pose);
};
const X = { x: 1, y: 0, z: 0 };
const Y = { x: 0, y: 1, z: 0 };
const Z = { x: 0, y: 0, z: 1 };
const at = (x: number, y: number, z: number): Vec => ({ x, y, z });

describe('nothing passes through anything', () => {
  const table = sheet('table', at(0, 0, 0), X, Y, 100, 100);
  test.each([
    ['stands across it', sheet('a', at(20, 50, -10), X, Z, 40, 20), true],
    ['crosses it as an X does, alike on both sides', sheet('a', at(20, 50, -10), X, Z, 60, 20), true],
    ['stands on it', sheet('a', at(20, 50, 0), X, Z, 40, 20), false],
    ['hangs under it', sheet('a', at(20, 50, -20), X, Z, 40, 20), false],
    ['lies on it', sheet('a', at(20, 20, 0), X, Y, 40, 20), false],
    ['shares its edge', sheet('a', at(0, 0, -10), X, Z, 100, 20), false],
    ['passes beside it', sheet('a', at(120, 50, -10), X, Z, 40, 20), false],
    ['dips into it by a fiftieth of a millimetre', sheet('a', at(20, 50, -0.015), X, Z, 40, 20), false],
  ])('what %s', (_, other, through) => {
    expect(passThrough(table, other)).toBe(through);
    expect(passThrough(other, table)).toBe(through);
  });

  test('a sheet with a bite is passed through beside the bite, not in it', () => {
    const bitten = {
      ...table,
      panel: {
        ...table.panel,
        polygon: [
          [0, 0],
          [100, 0],
          [100, 100],
          [60, 100],
          [60, 40],
          [40, 40],
          [40, 100],
          [0, 100],
        ].map(([x, y]) => ({ x: x!, y: y! })) as unknown as Panel['polygon'],
      },
    };
    const u = carriedLeaf(bitten, (pose) => pose);
    expect(passThrough(u, sheet('a', at(45, 80, -10), X, Z, 10, 20))).toBe(false);
    expect(passThrough(u, sheet('a', at(35, 80, -10), X, Z, 10, 20))).toBe(true);
  });
});

describe('a tray', () => {
  test('stands as large as its scores say, and every wall meets its neighbours', () => {
    expect(codes(box)).toEqual([]);
    const { width, height, depth } = boxInside(box.finished, room);
    expect([width, height, depth]).toEqual([60, 40, 20].map((v) => expect.closeTo(v, 9)));
    for (const a of ['near', 'far'])
      for (const b of ['left', 'right']) expect(edgesMeet(box.finished, a, b)).toBeCloseTo(20, 9);
    expect(edgesMeet(box.finished, 'near', 'far')).toBe(0);
  });

  test('its tabs are glued inside the walls they lie on, where they overlap them', () => {
    expect(box.finished.joints).toHaveLength(4);
    for (const joint of box.finished.joints) {
      expect(joint.side).toBe('outside');
      const [tab, wall] = [leafOf(box.finished, joint.panel), leafOf(box.finished, joint.onto)];
      for (const corner of tab.corners) expect(seenFrom(wall.pose, corner).z).toBeCloseTo(0, 9);
    }
  });

  test('stands in the order told: a tab that was not turned in is in the wall’s way', () => {
    const [keepers, , others] = raising();
    // The tabs stick out past the corners still; nothing is where it should be glued.
    expect(codes(standing([tray()], [keepers!, others!])).filter((c) => c.startsWith('apart'))).toHaveLength(4);
    // Walls first, tabs after: then they come to lie outside the walls, not inside as they should be glued.
    const late = { ...raising()[1]!, joins: others!.joins! };
    expect(codes(standing([tray()], [keepers!, { ...others!, joins: [] }, late]))).toEqual(
      [1, 2, 3, 4].map((n) => `wrong_face tab-${n} ${n % 2 === 1 ? 'left' : 'right'}`),
    );
  });

  test('a tab glued on the face it does not lie on is noticed, and so is one turned the wrong way', () => {
    const [keepers, tabs, others] = raising();
    const wrong = { ...others!, joins: others!.joins!.map((join) => ({ ...join, face: 'outside' as const })) };
    expect(codes(standing([tray()], [keepers!, tabs!, wrong]))).toEqual(
      expect.arrayContaining([expect.stringMatching(/^wrong_face tab-1 left$/)]),
    );
    const twice = { ...tabs!, id: 'more' };
    expect(codes(standing([tray()], [keepers!, tabs!, twice])).length).toBe(0);
    expect(codes(standing([tray()], [keepers!, tabs!, twice, others!])).some((c) => c.startsWith('apart'))).toBe(true);
  });

  test('what is glued fast cannot be turned about another line', () => {
    const again = raise('again', [['s-left']]);
    const found = codes(standing([tray()], [...raising(), again]));
    expect(found).toEqual(expect.arrayContaining([expect.stringMatching(/^joint_off_line/)]));
  });

  test('contents go in from above and stand free; larger ones do not', () => {
    const free = (width: number, height: number, depth: number, open = true): boolean =>
      standsFree(box.finished, box.finished, room, { width: mm(width), height: mm(height), depth: mm(depth) }, open);
    expect(free(59, 39, 30)).toBe(true);
    expect(free(61, 39, 10)).toBe(false);
    expect(free(59, 41, 10)).toBe(false);
    const six = contentsIn(box.finished, room, { width: mm(50), height: mm(30), depth: mm(10) });
    expect(six).toHaveLength(6);
    const zs = six.flatMap(({ corners }) => corners.map(({ z }) => z));
    expect([Math.min(...zs), Math.max(...zs)]).toEqual([expect.closeTo(0, 9), expect.closeTo(10, 9)]);
    // Every face looks outward: away from the middle.
    for (const face of six) {
      const middle = { x: 50, y: 40, z: 5 };
      expect(seenFrom(face.pose, middle).z).toBeLessThan(0);
    }
  });

  test('paper turned over the opening is in the way', () => {
    const flap = drawPiece({
      name: 'lidded',
      blank: { width: mm(60), height: mm(100) },
      panels: [
        { id: 'floor', name: 'floor', polygon: rect(0, 0, 60, 40) },
        { id: 'near', name: 'wall', polygon: rect(0, 40, 60, 60) },
        { id: 'top', name: 'top', polygon: rect(0, 60, 60, 100) },
      ],
      folds: [
        { id: 's-wall', between: ['floor', 'near'], angle: 90 },
        { id: 's-top', between: ['near', 'top'], angle: 90 },
      ],
    });
    const open = standing([flap], [raise('up', [['s-wall']])]);
    const shut = standing([flap], [raise('up', [['s-wall']]), raise('over', [['s-top']])]);
    const flat: BoxCavity = { ...room, across: { from: { x: 0, y: 20 }, to: { x: 60, y: 20 } } };
    const size = { width: mm(50), height: mm(30), depth: mm(10) };
    expect(standsFree(open.finished, shut.finished, flat, size, true)).toBe(true);
    expect(standsFree(shut.finished, shut.finished, flat, size, true)).toBe(false);
    expect(standsFree(shut.finished, shut.finished, flat, size, false)).toBe(true);
    expect(boxInside(shut.finished, flat).depth).toBeCloseTo(20, 9);
  });
});

/** A loose strip of 30 mm, so high, and laying it over the line between the floor and the left wall from `x` on. */
const strip = (id: string, high: number): Piece =>
  drawPiece({
    name: id,
    blank: { width: mm(30), height: mm(high) },
    panels: [{ id, name: id, polygon: rect(0, 0, 30, high) }],
    folds: [],
  });
const laidOver = (panel: string, x: number, level: 'top' | 'bottom', gluedTo: readonly string[]): AssemblyPlace => ({
  kind: 'place',
  id: 'lay',
  name: 'lay',
  panel,
  onto: 'floor',
  line: { from: { x: 0, y: 0 }, to: { x: 30, y: 0 } },
  on: { from: { x, y: 30 }, to: { x: x + 30, y: 30 } },
  over: false,
  level,
  gluedTo,
});

test('a wall glued off its fold to what stays cannot be raised', () => {
  const raised = (gluedTo: readonly string[]): string[] =>
    codes(standing([tray(), strip('strap', 6)], [laidOver('strap', 8, 'bottom', gluedTo), raise('up', [['s-left']])]));
  // It crosses the fold at 20: glued on both sides of it, the wall is fast.
  expect(raised(['floor', 'left'])).toContain('joint_off_line left floor');
  expect(raised(['floor'])).toEqual([]);
});

describe('paper that lies in the way of a turn', () => {
  const tag = strip('tag', 20);
  const laid = laidOver('tag', 5, 'top', ['floor']);
  const turned = (turn: AssemblyRaise, angle: number): string[] => {
    const { hinges, ...rest } = tray();
    const bent = hinges.map((hinge) =>
      hinge.id === 's-left' ? { ...hinge, fold: angle > 0 ? ('valley' as const) : ('mountain' as const) } : hinge,
    );
    return codes(standing([{ ...rest, hinges: bent }, tag], [laid, turn])).filter((c) => c.startsWith('blocked'));
  };
  test('a wall cannot be raised into what lies on it; away from it, it turns freely', () => {
    const wall = raise('up', [['s-left']]);
    expect(turned(wall, 90)).toEqual(['blocked left tag']);
    expect(turned(wall, -90)).toEqual([]);
    // The wall the tag does not reach.
    expect(turned(raise('up', [['s-right']]), 90)).toEqual([]);
  });
});

test('what lies on what is kept once through every turn', () => {
  for (const raised of [box, standing([tray('lid-', 4)], raising('lid-'))]) {
    const pairs = raised.finished.touches.map(({ panel, onto }) => `${panel} ${onto}`);
    expect(new Set(pairs).size).toBe(pairs.length);
    const prefix = raised === box ? '' : 'lid-';
    expect(pairs.map((pair) => pair.split(' ').sort().join(' ')).sort()).toEqual(
      ['left tab-1', 'left tab-3', 'right tab-2', 'right tab-4'].map((pair) =>
        pair.replace(/(\w+-?\d?) (\S+)/, `${prefix}$1 ${prefix}$2`),
      ),
    );
  }
});

describe('edges that meet', () => {
  const floor = sheet('floor', at(0, 0, 0), X, Y, 100, 100);
  const meet = (wall: Leaf): number =>
    edgesMeet({ leaves: [floor, wall], hinges: [], joints: [], touches: [] }, 'floor', wall.panel.id);
  test.each([
    ['all along', sheet('wall', at(0, 0, 0), X, Z, 100, 20), 100],
    ['for a part of the edge', sheet('wall', at(30, 0, 0), X, Z, 40, 20), 40],
    ['past its end', sheet('wall', at(80, 0, 0), X, Z, 40, 20), 20],
    ['the other way along', sheet('wall', at(70, 0, 0), { x: -1, y: 0, z: 0 }, Z, 40, 20), 40],
    ['from underneath', sheet('wall', at(10, 100, -20), X, Z, 30, 20), 30],
    ['not, for it stands off by a hundredth and more', sheet('wall', at(30, -0.02, 0), X, Z, 40, 20), 0],
    ['not, beside the end', sheet('wall', at(100, 0, 0), X, Z, 40, 20), 0],
    ['not, for it stands in the middle', sheet('wall', at(30, 50, 0), X, Z, 40, 20), 0],
  ])('a wall meets the floor %s', (_, wall, length) => {
    expect(Math.max(0, meet(wall))).toBeCloseTo(length, 9);
  });
});

describe('a lid', () => {
  const lidOn: AssemblySet = {
    kind: 'set',
    id: 'lid-on',
    name: 'lid on',
    panel: 'lid-floor',
    onto: 'floor',
    line: { from: { x: 20, y: 42 }, to: { x: 84, y: 42 } },
    on: { from: { x: 18, y: 40 }, to: { x: 82, y: 40 } },
    over: true,
    above: mm(20),
  };
  const lidded = (more: number, set: Partial<AssemblySet> = {}): Raised =>
    standing([tray(), tray('lid-', more)], [...raising(), ...raising('lid-'), { ...lidOn, ...set }]);
  const pair = {
    inner: 'floor',
    outer: 'lid-floor',
    across: room.across,
    outerAcross: { from: { x: 20, y: 42 }, to: { x: 84, y: 42 } },
    wall: 'lid-near',
  };

  test('comes down over the box, its inside to the box’s inside', () => {
    const raised = lidded(4);
    expect(codes(raised)).toEqual([]);
    const [lid, floor] = [leafOf(raised.finished, 'lid-floor'), leafOf(raised.finished, 'floor')];
    expect(lid.pose.normal.z).toBeCloseTo(-floor.pose.normal.z, 9);
    for (const { z } of lid.corners) expect(z).toBeCloseTo(20, 9);
    for (const { z } of leafOf(raised.finished, 'lid-near').corners) expect(z).toBeLessThan(20 + 1e-9);
  });

  test('its allowance and the layers it goes round are counted wall by wall', () => {
    const { width, height } = lidWays(lidded(4).finished, pair, (piece) => (piece.startsWith('lid') ? 0.3 : 1));
    expect([width.allowance, height.allowance]).toEqual([expect.closeTo(4, 6), expect.closeTo(4, 6)]);
    // Left and right: the box's wall with its tab inside, and the lid's own tab inside the lid's wall. Near and far: a wall.
    expect([width.layers, height.layers]).toEqual([3, 1]);
    // Of the box's paper twice and of the lid's once; of the box's once.
    expect([width.thick, height.thick]).toEqual([expect.closeTo(2.3, 9), expect.closeTo(1, 9)]);
  });

  test('where one wall of two is thicker, that one is counted', () => {
    const patch = drawPiece({
      name: 'patch',
      blank: { width: mm(10), height: mm(10) },
      panels: [{ id: 'patch', name: 'patch', polygon: rect(0, 0, 10, 10) }],
      folds: [],
    });
    // On the tab inside the left wall: wall, tab and patch of the box, and a tab of the lid.
    for (const [wall, x] of [
      ['left', 5],
      ['right', 85],
    ] as const) {
      const patched: AssemblyPlace = {
        kind: 'place',
        id: 'patch',
        name: 'patch',
        panel: 'patch',
        onto: wall,
        line: { from: { x: 0, y: 0 }, to: { x: 10, y: 0 } },
        on: { from: { x, y: 22 }, to: { x: x + 10, y: 22 } },
        over: false,
        level: 'top',
        gluedTo: [wall],
      };
      const raised = standing([tray(), patch, tray('lid-', 4)], [patched, ...raising(), ...raising('lid-'), lidOn]);
      const { width, height } = lidWays(raised.finished, pair, () => 1);
      expect([width.layers, height.layers]).toEqual([4, 1]);
    }
  });

  test('smaller than the box it meets the walls on its way down', () => {
    expect(codes(lidded(-2)).some((c) => c.startsWith('passes_through lid-'))).toBe(true);
  });
});

describe('what lies on what is told apart for drawing', () => {
  test('a glued tab is drawn inside its wall, and a pile in its order', () => {
    const lifts = liftsOf(box.finished);
    for (const n of [1, 2, 3, 4]) expect(lifts.get(`tab-${n}`)).not.toBe(0);
    for (const wall of ['near', 'far', 'left', 'right', 'floor']) expect(lifts.get(wall)).toBe(0);
    // A step along the tab's own inside face that goes towards the middle of the box.
    for (const n of [1, 2, 3, 4]) {
      const tab = leafOf(box.finished, `tab-${n}`);
      const inward = seenFrom(tab.pose, { x: 50, y: 40, z: 10 }).z;
      expect(Math.sign(lifts.get(`tab-${n}`)!)).toBe(Math.sign(inward));
    }
  });

  test('flaps that lie on each other in a ring are drawn all the same', () => {
    const leaves = ['a', 'b', 'c'].map((id) => sheet(id, at(0, 0, 0), X, Y, 10, 10));
    const touches = [
      { panel: 'a', onto: 'b', face: 'inside' },
      { panel: 'b', onto: 'c', face: 'inside' },
      { panel: 'c', onto: 'a', face: 'inside' },
    ] as const;
    const ring: Standing = { leaves, hinges: [], joints: [], touches };
    expect(new Set(liftsOf(ring).values()).size).toBeGreaterThan(1);
  });
});

describe('layers on the two faces of a plane', () => {
  const down = { x: 0, y: -1, z: 0 };
  const table = sheet('table', at(0, 0, 0), X, Y, 100, 100);
  /** The same place, its inside face down: its own inside is the underside. */
  const tag = sheet('tag', at(30, 60, 0), X, down, 20, 20);
  const on = (face: 'inside' | 'outside', leaves: readonly Leaf[]): Standing => ({
    leaves,
    hinges: [],
    joints: [],
    touches: [{ panel: 'tag', onto: 'table', face }],
  });

  test.each([
    ['on the inside of the table: down its own inside', 'inside', -1],
    ['under the table: up its own inside', 'outside', 1],
  ] as const)('a tag %s', (_, face, lift) => {
    for (const leaves of [
      [table, tag],
      [tag, table],
    ]) {
      const lifts = liftsOf(on(face, leaves));
      expect([lifts.get('table'), lifts.get('tag')]).toEqual([expect.closeTo(0), lift]);
    }
  });

  test.each(['inside', 'outside'] as const)('are drawn as they are seen from above, the tag on the %s', (face) => {
    const upsideDown = sheet('table', at(0, 100, 0), X, down, 100, 100);
    for (const under of [table, upsideDown])
      for (const leaves of [
        [under, tag],
        [tag, under],
      ]) {
        const order = stillOf(leaves, on(face, leaves).touches).map(({ panel }) => panel);
        const seen = (face === 'inside') === (under === table);
        expect(order).toEqual(seen ? ['table', 'tag'] : ['tag', 'table']);
      }
  });
});

test('of parallel sheets the farther is drawn first, however they are listed', () => {
  const walls = [0, 20, 40, 60].map((y) => sheet(`at ${y}`, at(0, y, 0), X, Z, 50, 50));
  for (const order of [
    [0, 1, 2, 3],
    [3, 1, 0, 2],
    [2, 0, 3, 1],
  ])
    expect(
      stillOf(
        order.map((i) => walls[i]!),
        [],
      ).map(({ panel }) => panel),
    ).toEqual(['at 60', 'at 40', 'at 20', 'at 0']);
});

describe('the room in a box that something lies over', () => {
  const over = (x: number, y: number, z: number, long: number, deep: number) => {
    const { width, height, depth } = boxInside(
      { ...box.finished, leaves: [...box.finished.leaves, sheet('roof', at(x, y, z), X, Y, long, deep)] },
      room,
    );
    return [width, height, depth].map((v) => Math.round(v * 1e6) / 1e6);
  };
  test('is as high as what lies over all of it', () => expect(over(20, 20, 12, 60, 40)).toEqual([60, 40, 12]));
  test('goes under a corner, or keeps beside it, whichever loses less', () => {
    expect(over(20, 20, 12, 10, 10)).toEqual([60, 40, 12]);
    expect(over(20, 20, 5, 10, 12)).toEqual([50, 40, 20]);
    expect(over(70, 20, 5, 10, 12)).toEqual([50, 40, 20]);
    expect(over(20, 20, 5, 12, 10)).toEqual([60, 30, 20]);
    expect(over(20, 50, 5, 12, 10)).toEqual([60, 30, 20]);
  });
  test('is nothing where something comes slanting through the middle of its floor', () => {
    const slanting = sheet('slanting', at(40, 30, -5), X, { x: 0, y: 0.8, z: 0.6 }, 20, 20);
    expect(boxInside({ ...box.finished, leaves: [...box.finished.leaves, slanting] }, room).depth).toBe(0);
  });
});

test('what goes in is drawn with six faces, each where its name says, or two where it is flat', () => {
  const six = contentsIn(box.finished, room, { width: mm(50), height: mm(30), depth: mm(10) });
  const middle = (name: string): Vec => {
    const { box: sides } = six.find(({ panel }) => panel.id === `contents-${name}`)!;
    const half = (axis: 'x' | 'y' | 'z'): number => Math.round((sides[0][axis] + sides[1][axis]) * 5e5) / 1e6;
    return at(half('x'), half('y'), half('z'));
  };
  // The floor runs from 20 to 80 and from 20 to 60: its middle is 50, 40.
  expect(middle('bottom')).toEqual(at(50, 40, 0));
  expect(middle('top')).toEqual(at(50, 40, 10));
  expect(middle('near')).toEqual(at(50, 25, 5));
  expect(middle('far')).toEqual(at(50, 55, 5));
  expect(middle('left')).toEqual(at(25, 40, 5));
  expect(middle('right')).toEqual(at(75, 40, 5));
  const flat = contentsIn(box.finished, room, { width: mm(50), height: mm(30), depth: mm(0) });
  expect(flat.map(({ panel }) => panel.id)).toEqual(['contents-bottom', 'contents-top']);
  expect(contentsIn(box.finished, room, { width: mm(0), height: mm(0), depth: mm(0) })).toEqual([]);
});

describe('a still picture', () => {
  test('draws what is nearer later: the near wall over the floor, the far wall before it', () => {
    const order = stillOf(box.finished.leaves, box.finished.touches).map(({ panel }) => panel);
    expect(order).toHaveLength(box.finished.leaves.length);
    expect(order.indexOf('near')).toBeGreaterThan(order.indexOf('floor'));
    expect(order.indexOf('far')).toBeLessThan(order.indexOf('near'));
    expect(order.indexOf('left')).toBeGreaterThan(order.indexOf('tab-1'));
  });

  test('keeps the proportions of what it shows, and says which side of the sheet is seen', () => {
    const faces = stillOf(box.finished.leaves, box.finished.touches);
    const near = faces.find(({ panel }) => panel === 'near')!;
    const far = faces.find(({ panel }) => panel === 'far')!;
    const sides = ({ points }: typeof near): number[] =>
      points.map((p, i) => {
        const q = points[(i + 1) % points.length]!;
        return Math.hypot(p.x - q.x, p.y - q.y);
      });
    // Parallel walls of one size are drawn alike: there is no perspective.
    expect(sides(near).sort()).toEqual(
      sides(far)
        .sort()
        .map((v) => expect.closeTo(v, 6)),
    );
    expect([near.side, far.side]).toEqual(['outside', 'inside']);
    for (const { light } of faces) expect(light).toBeGreaterThanOrEqual(0);
  });
});

test('seen squarely from a side, the walls there are a pile with the nearest on top', () => {
  const front = seenAsPile(box.finished, { name: 'front', from: at(0, -1, 0), up: at(0, 0, 1) });
  expect(front.layers.map(({ panel }) => panel)).toEqual(['far', 'near']);
  expect(front.layers.map(({ up }) => up)).toEqual(['inside', 'outside']);
  for (const { panel, map, polygon } of front.layers)
    expect(applyAll(map, leafOf(box.finished, panel).panel.polygon)).toEqual(polygon);
  const right = seenAsPile(box.finished, { name: 'right', from: at(1, 0, 0), up: at(0, 0, 1) });
  expect(right.layers.at(-1)!.panel).toBe('right');
  // Its tabs lie on its inside: hidden behind it.
  expect(
    right.layers
      .slice(-3, -1)
      .map(({ panel }) => panel)
      .sort(),
  ).toEqual(['tab-2', 'tab-4']);
});

test('paper stays whole: no panel is stretched by any turn', () => {
  for (const { after } of box.stages)
    for (const { corners, panel } of after.leaves)
      corners.forEach((corner, i) => {
        const j = (i + 1) % corners.length;
        const [p, q] = [panel.polygon[i]!, panel.polygon[j]!];
        expect(distance3(corner, corners[j]!)).toBeCloseTo(Math.hypot(p.x - q.x, p.y - q.y), 9);
      });
});
