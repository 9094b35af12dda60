import { planOf } from '../../../tests/helpers/designs';
import { INCH, inches, mm, sayer } from '../length';
import { inOrder } from './order';
import { layersOf, closurePlan, glueAdvice, planFor, type Made, type Plan } from '../plan';
import { fromSegment } from '../geometry';
import { ADHESIVES, changedDesign, CLOSURES, LAYER_PLACES, inputOf, readDesign, paperOf } from '../design';
import { checksOf, checkSentence } from '../checks';
import { fromPaper, onPaper, printMap, turnFor, windowOnFront } from '../looks';
import { planDocument } from '../document';
import { stepsOf } from './steps';
import { suggest, papersFor, becomes } from '../choosing';

const plan = (construction: string, fields: object = {}): Plan =>
  planOf({
    version: 1,
    construction,
    contents: { width: '3 in', height: '4 in' },
    tool: { kind: 'scoring-board' },
    ...fields,
  });
const made = (p: Plan): Made => p.made!;
const say = sayer('in', '1/8 in');
const ids = (p: Plan, level: string): string[] => checksOf(p).flatMap((c) => (c.level === level ? [c.id] : []));

describe('the order of work', () => {
  const op = (id: string, after: string[] = [], rank = 0) => ({ id, after, rank });
  test('what must come first comes first; ties go by rank, then as given', () => {
    expect(inOrder([op('c', ['b']), op('b', [], 2), op('a', [], 1), op('d', [], 1)]).map((o) => o.id)).toEqual([
      'a',
      'd',
      'b',
      'c',
    ]);
  });
  test('a circle, or something that is never done, is a bug and throws', () => {
    expect(() => inOrder([op('a', ['b']), op('b', ['a'])])).toThrow('nothing can come next: a, b wait');
    expect(() => inOrder([op('a', ['x'])])).toThrow('nothing can come next');
  });
  test('all pieces are cut before any is folded, or each is finished flat before the next', () => {
    const cuts = (order: string) =>
      stepsOf(plan('slider-set', { order, contents: { width: '5 in', height: '3 in' } }), say).flatMap((s, i) =>
        s.action === 'cut' ? [i] : [],
      );
    expect(cuts('by-operation')).toEqual([0, 1, 2, 3]);
    expect(cuts('by-piece')[1]).toBeGreaterThan(1);
  });
  test('a notch punched through everything glued is in no picture of the flat piece; one punched flat is, from then on', () => {
    const biteShown = (notchWhen: string): readonly boolean[] => {
      const p = plan('card-holder', { options: { notchWhen }, decorate: ['ink'], closure: { kind: 'ribbon' } });
      const [{ programme }] = made(p).pieces;
      return stepsOf(p, say).flatMap(({ picture }) =>
        picture.kind === 'flat' ? [programme.moves.slice(0, picture.moves).some((move) => move.do === 'bite')] : [],
      );
    };
    expect(biteShown('assembled')).not.toContain(true);
    expect(biteShown('flat').at(-1)).toBe(true);
  });

  test('inking and embossing come while the piece is flat, a ribbon before the mat that covers it', () => {
    const steps = stepsOf(
      plan('card-holder', { decorate: ['ink', 'emboss'], layers: [{ on: 'front' }], closure: { kind: 'ribbon' } }),
      say,
    ).map((s) => s.text);
    const at = (part: string): number => steps.findIndex((text) => text.includes(part));
    expect(at('Ink the edges')).toBeGreaterThan(at('Punch the finger notch'));
    expect(at('Ink the edges')).toBeLessThan(at('Fold the side tab'));
    expect(at('Emboss')).toBeLessThan(at('Fold the side tab'));
    expect(at('ribbon across')).toBeGreaterThan(0);
    expect(at('ribbon across')).toBeLessThan(at('glue the mat on the front'));
    expect(at('glue the mat on the front')).toBeLessThan(at('Fold the side tab'));
  });
  test('a notch punched at the end comes after the glue and before the contents', () => {
    const steps = stepsOf(plan('card-holder', { options: { notchWhen: 'assembled' } }), say);
    const notch = steps.findIndex((s) => s.text.includes('finger notch'));
    expect(notch).toBeGreaterThan(steps.findLastIndex((s) => s.action === 'glue'));
    expect(notch).toBeLessThan(steps.findIndex((s) => s.action === 'insert'));
    expect(steps.filter((s) => s.text.includes('finger notch'))).toHaveLength(1);
  });
});

describe('what of the print shows', () => {
  test('a library pocket shows the outside below and the inside above; the pocket’s print hangs', () => {
    const p = plan('library-pocket');
    const shows = printMap(made(p), p.design);
    const front = Object.fromEntries(shows.filter((s) => s.face === 'front').map((s) => [s.panel, [s.side, s.turn]]));
    // By hand: a sheet folded up from the near edge shows its outside upside down; the back's inside stays upright.
    expect(front).toEqual({ pocket: ['outside', 180], back: ['inside', 0] });
    expect(shows.filter((s) => s.face === 'back').map((s) => [s.panel, s.side])).toEqual([['back', 'outside']]);
  });

  test.each([0, 1, 2, 3])('the remedy turns the blank so that the front reads upright, from quarter %d', (turn) => {
    const directional = (t: number) => plan('seam-envelope', { paper: { sided: 1, directional: true, turn: t } });
    const check = checksOf(directional(turn)).find((c) => c.id === 'print-direction')!;
    if (check.level === 'pass') {
      expect(check.value).toBe(0);
      expect(check.remedies).toEqual([]);
      return;
    }
    const cured = planOf({
      version: 1,
      construction: 'seam-envelope',
      contents: { width: '3 in', height: '4 in' },
      ...check.remedies[0]!.change,
    });
    expect(checksOf(cured).find((c) => c.id === 'print-direction')!.level).toBe('pass');
    expect(checkSentence(check, say)).toMatch(/Turn the blank/);
  });

  test('an envelope from a square slants the print, and no turn mends that', () => {
    const p = plan('diagonal-envelope', { paper: { directional: true } });
    const [front] = printMap(made(p), p.design);
    expect(turnFor(front!, 0)).toBeNull();
    expect(
      checkSentence(
        checksOf(p).find((c) => c.id === 'print-direction')!,
        say,
      ),
    ).toContain('slant: 45°');
  });

  test('one-sided paper: the plain side on the front is a warning with a mat as its remedy', () => {
    const p = plan('library-pocket', { paper: { sided: 1 } });
    const check = checksOf(p).find((c) => c.id === 'print-side')!;
    expect([check.level, check.remedies[0]!.change]).toEqual(['warn', { layers: [{ on: 'front' }] }]);
    expect(ids(plan('seam-envelope', { paper: { sided: 1 } }), 'warn')).toEqual([]);
  });

  test('directional paper is not turned to make room', () => {
    const wide = { width: '12 in', height: '6 in', directional: true };
    expect(ids(plan('library-pocket', { paper: wide }), 'fail')).toEqual(['paper']);
    expect(ids(plan('library-pocket', { paper: { ...wide, directional: false } }), 'fail')).toEqual([]);
  });

  test('a place on the paper goes to the blank and back, whichever way it is turned', () => {
    const blank = { width: mm(80), height: mm(50) };
    for (const turn of [0, 1, 2, 3] as const) {
      const paper = { caliper: mm(0.2), sided: 1, directional: true, turn, at: { x: mm(11), y: mm(7) } } as const;
      for (const p of [
        { x: 0, y: 0 },
        { x: 80, y: 50 },
        { x: 13, y: 29 },
      ]) {
        const there = onPaper(paper, blank, p);
        expect(fromPaper(paper, blank, there)).toEqual({ x: expect.closeTo(p.x, 9), y: expect.closeTo(p.y, 9) });
        expect(there.x).toBeGreaterThanOrEqual(11);
        expect(there.y).toBeGreaterThanOrEqual(7);
      }
    }
    // Turned a quarter clockwise, the blank's own top points to the paper's right.
    const paper = { caliper: mm(0.2), sided: 1, directional: true, turn: 1 } as const;
    expect(onPaper(paper, blank, { x: 0, y: 50 }).x - onPaper(paper, blank, { x: 0, y: 0 }).x).toBe(50);
  });

  test('a window over the front’s panel lands on the front whole; beside it, it does not; one to avoid must stay off', () => {
    const sheet = { width: '12 in', height: '12 in', sided: 1 };
    const at = (x: number, keep = 'show') =>
      plan('seam-envelope', {
        paper: { ...sheet, window: { x, y: inches(2.5), width: inches(1), height: inches(1), keep } },
      });
    const over = at(inches(3));
    expect(windowOnFront(made(over), over.design)!.share).toBeCloseTo(1, 6);
    const beside = at(inches(9));
    expect(windowOnFront(made(beside), beside.design)!.share).toBe(0);
    expect(ids(at(inches(3), 'avoid'), 'warn')).toEqual(['window-avoided']);
    expect(ids(at(inches(9), 'avoid'), 'warn')).toEqual([]);
  });
});

describe('glue', () => {
  test('advice follows from the areas: breadth, the tape that fits, the margin to the pocket', () => {
    const p = plan('card-holder');
    const [advice] = glueAdvice(made(p), p.design);
    expect(advice!.breadth / INCH).toBeLessThanOrEqual(0.5 + 1e-6);
    expect(advice!.tape! / INCH).toBeLessThanOrEqual(advice!.breadth / INCH + 1e-6);
    expect(advice!.margin).toBeCloseTo(inches(1 / 8), 6);
  });

  test('a tape broader than its strip is a warning, and the remedy fits', () => {
    const wide = { adhesive: { all: 'tape', tape: '3/4 in' } };
    const check = checksOf(plan('card-holder', wide)).find((c) => c.id.startsWith('glue-'))!;
    expect(check.level).toBe('warn');
    const cured = plan('card-holder', check.remedies[0]!.change);
    expect(checksOf(cured).some((c) => c.id.startsWith('glue-') && c.level === 'warn')).toBe(false);
  });

  test('where a part slides, only wet glue lets it be lined up', () => {
    const set = (all: string) =>
      ids(plan('slider-set', { contents: { width: '5 in', height: '3 in' }, adhesive: { all } }), 'warn');
    expect(set('tape-runner')).toContain('glue-lay-fixed');
    expect(set('wet-glue')).not.toContain('glue-lay-fixed');
  });

  test('every adhesive has words on every step that is glued, hot glue with its caution', () => {
    for (const all of ADHESIVES)
      for (const step of stepsOf(plan('packet', { adhesive: { all } }), say).filter((s) => s.action === 'glue')) {
        expect(step.text).toMatch(/\.$/);
        if (all === 'hot-glue') expect(step.caution).toContain('burns');
      }
  });

  test('a tucked tab: the lower inch of the side is left dry until it is in', () => {
    const p = plan('card-holder', { options: { bottomTab: 'tucked' } });
    expect(ids(p, 'fail')).toEqual([]);
    const side = made(p).folded.stages.find(({ step }) => step.id === 'fold-front')!.joints[0]!;
    const low = made(p)
      .pieces[0].piece.panels.find((x) => x.id === 'front')!
      .polygon.reduce((a, b) => Math.min(a, b.y), Infinity);
    expect(Math.min(...side.polygons.flat().map((q) => q.y)) - low).toBeCloseTo(inches(1), 3);
  });
});

describe('closures', () => {
  test('once round is twice the width and what wraps it, with the tie on top (common practice)', () => {
    const round = (kind: string, thickness = 0): number => {
      const p = plan('seam-envelope', { closure: { kind }, contents: { width: '3 in', height: '4 in', thickness } });
      return closurePlan(made(p), p.design)!.length;
    };
    expect(round('bow') - round('cord')).toBeCloseTo(inches(11 - 4), 6);
    const p = plan('seam-envelope', { closure: { kind: 'cord' } });
    const { finished } = made(p);
    expect(round('cord')).toBeCloseTo(2 * (finished.width + finished.thickness) + inches(4), 6);
  });

  test('two discs stay apart by a cord’s width; large ones on a small flap are refused', () => {
    const of = (disc: string) => {
      const p = plan('seam-envelope', { closure: { kind: 'buttons', disc } });
      return closurePlan(made(p), p.design)!;
    };
    const [a, b] = of('1/2 in').discs;
    expect(b!.at.y - a!.at.y).toBeGreaterThanOrEqual(of('1/2 in').least - 1e-9);
    expect(of('2 1/4 in').trouble).toBe('discs_overlap');
  });

  describe('discs on two flaps whose tips meet (common practice: move one, or cut both on one line)', () => {
    const trio = (closure: object) =>
      plan('envelope-trio', { closure: { kind: 'buttons', disc: '5/8 in', ...closure } });
    const found = (closure: object) => checksOf(trio(closure)).find(({ kind }) => kind === 'closure')!;
    const discs = (closure: object) => closurePlan(made(trio(closure)), trio(closure).design)!;

    test('each at its tip they lap when it is closed: found before the glue, told with how far they are apart', () => {
      const near = { fromTip: '1/4 in' };
      const { trouble, apart, least } = discs(near);
      expect(trouble).toBe('discs_overlap');
      // Two tips 1/4 in and what they stand apart: each is measured from its own flap.
      const gap = -checksOf(trio(near)).find(({ kind }) => kind === 'tips-height')!.value;
      expect(apart).toBeCloseTo(inches(1 / 2) + gap, 4);
      expect(apart).toBeLessThan(least);
      expect(found(near)).toMatchObject({ level: 'warn', about: { trouble: 'discs_overlap', apart } });
      // No hole is made for what would not close.
      expect(made(trio(near)).pieces.flatMap(({ piece }) => piece.holes)).toEqual([]);
    });

    test('every remedy mends it: one moved, both cut on one line between them, or smaller ones', () => {
      const near = trio({ fromTip: '1/4 in' });
      const remedies = found({ fromTip: '1/4 in' }).remedies;
      expect(remedies.map(({ code }) => code)).toEqual(['move_disc', 'cut_discs', 'smaller_discs', 'no_closure']);
      for (const { code, change } of remedies.slice(0, 3)) {
        const read = readDesign(changedDesign(inputOf(near.design), change));
        if (!read.ok) throw new Error(read.issues[0]!.message);
        const mended = planFor(read.design);
        expect({ code, trouble: closurePlan(mended.made!, mended.design)!.trouble }).toEqual({ code, trouble: null });
        expect(mended.made!.pieces.flatMap(({ piece }) => piece.holes)).toHaveLength(2);
      }
    });

    test('cut on one line both end there, half-way between their middles, and the step says so', () => {
      const cut = { fromTip: '1/4 in', cut: true };
      const { discs: two, apart } = discs(cut);
      expect(two.map((disc) => disc.at.y + disc.cut!)).toEqual([
        expect.closeTo(two[0]!.at.y + apart / 2, 6),
        expect.closeTo(two[0]!.at.y + apart / 2, 6),
      ]);
      const texts = stepsOf(trio(cut), sayer('in', '1/16 in')).map(({ text }) => text);
      expect(texts.find((text) => text.includes('Fix a disc'))).toMatch(
        /^Centre: cut both discs off along a straight line, about 5\/16 in from the middle: there they meet\. Fix a disc .* towards each other\.$/u,
      );
      // Discs that keep clear of each other are left whole.
      expect(discs({ fromTip: '3/4 in', cut: true }).discs.map((disc) => disc.cut)).toEqual([null, null]);
    });

    test('a disc under the flap is none to wind a cord round', () => {
      const under = discs({ fromTip: '1 in', otherFromTip: '1/8 in' });
      expect(under.apart).toBeGreaterThan(under.least);
      expect(under.trouble).toBe('discs_overlap');
    });

    test('it lies on the side of the flaps, and what goes round on the front', () => {
      expect(discs({}).face).toBe('back');
      const cord = plan('seam-envelope', { closure: { kind: 'cord' } });
      expect(closurePlan(made(cord), cord.design)!.face).toBe('front');
    });
  });

  test('a lacing runs through its own holes; without holes, or with nothing that closes, it is said', () => {
    const laced = plan('storage-pocket', { closure: { kind: 'laced' } });
    expect(closurePlan(made(laced), laced.design)!.length).toBeGreaterThan(inches(11));
    const none = plan('card-holder', { closure: { kind: 'laced' } });
    expect(closurePlan(made(none), none.design)!.trouble).toBe('no_holes');
    const open = plan('card-holder', { closure: { kind: 'dot' } });
    expect(closurePlan(made(open), open.design)!.trouble).toBe('nothing_to_hold');
  });

  test('a cord keeps clear of an opening that nothing closes, and may cross one that a flap closes', () => {
    const trouble = (construction: string, height: string, options: object) => {
      const p = plan(construction, { closure: { kind: 'cord' }, contents: { width: '3 in', height }, options });
      return closurePlan(made(p), p.design)!.trouble;
    };
    // The middle of a holder less than an inch high is within half an inch of its mouth.
    expect(trouble('sleeve', '3/4 in', { fingerNotch: 0 })).toBe('covers_opening');
    expect(trouble('sleeve', '4 in', { fingerNotch: 0 })).toBeNull();
    expect(trouble('seam-envelope', '3/4 in', { closingFlap: '3/4 in' })).toBeNull();
  });

  test('each has a sentence and, where it holds, a step', () => {
    for (const kind of CLOSURES.slice(1)) {
      const p = plan('storage-pocket', { closure: { kind } });
      const check = checksOf(p).find((c) => c.id === 'closure')!;
      expect(checkSentence(check, say)).toMatch(/\.$/);
      const shut = stepsOf(p, say).some(({ picture }) => picture.done === 'closure');
      expect([kind, shut]).toEqual([kind, check.level === 'pass']);
    }
  });
});

test('layers follow the size of what they go on, and are in the document', () => {
  const insert = (fields: object) => {
    const p = plan('storage-pocket', { layers: [{ on: 'inside', pull: true }], ...fields });
    return { width: made(p).layers[0]!.piece.blank.width, inside: made(p).inside.width, p };
  };
  const small = insert({});
  expect(small.inside - small.width).toBeGreaterThanOrEqual(inches(1 / 8) - 1e-6);
  expect(insert({ contents: { width: '4 in', height: '5 in' } }).width - small.width).toBeCloseTo(inches(1), 6);
  const all = plan('storage-pocket', { layers: LAYER_PLACES.map((on) => ({ on })) });
  expect(planDocument(all).layers.map(({ on }) => on)).toEqual(made(all).layers.map(({ layer }) => layer.on));
  expect(made(all).layers.map(({ layer }) => layer.on)).toContain('sheet');
});

test('a layer is never larger than asked for because of the marks it is cut on, and none is cut that is nothing', () => {
  for (let sixteenths = 0; sixteenths < 16; sixteenths++) {
    const contents = { width: inches(3 + sixteenths / 16), height: inches(4 + sixteenths / 16) };
    const p = plan('seam-envelope', { layers: [{ on: 'inside' }], contents, graduation: '1/16 in' });
    const [insert] = layersOf(made(p), { ...p.design, graduation: '1/8 in' });
    const room = made(p).inside.width - insert!.piece.blank.width;
    expect(room).toBeGreaterThanOrEqual(inches(1 / 8) - 1e-6);
    expect(room).toBeLessThan(inches(1 / 4));
  }
  // A quarter of an inch high inside: nothing is left of a mat with a border all round.
  const thin = plan('sleeve', {
    layers: [{ on: 'front' }, { on: 'inside' }],
    contents: { width: '6 in', height: '1/8 in' },
    options: { fingerNotch: 0 },
  });
  expect(made(thin).layers.map(({ layer }) => layer.on)).toEqual(['inside']);
  const check = checksOf(thin).find(({ kind }) => kind === 'layer')!;
  expect([check.id, check.level]).toEqual(['layer-1', 'warn']);
  expect(checkSentence(check, say)).toContain('goes on the front');
});

test('mats lie on mats, each smaller by twice its own border, and add their papers to the thickness', () => {
  const layers = [{ on: 'front' }, { on: 'front', reveal: '1/4 in', paper: { caliper: 0.5 } }, { on: 'back' }];
  const p = plan('card-holder', { layers, options: { fingerNotch: 0 } });
  const [first, second, back] = made(p).layers;
  expect(first!.piece.blank.width - second!.piece.blank.width).toBeCloseTo(inches(1 / 2), 6);
  expect(first!.piece.blank.height - second!.piece.blank.height).toBeCloseTo(inches(1 / 2), 6);
  expect([first, second, back].map((one) => one!.layer.upon)).toEqual([null, 'mat', null]);
  const bare = made(plan('card-holder', { options: { fingerNotch: 0 } })).finished.thickness;
  expect(made(p).finished.thickness - bare).toBeCloseTo(0.25 + 0.5 + 0.25, 6);
  expect(paperOf(p.design, 'second mat').caliper).toBe(0.5);
  expect(paperOf(p.design, 'mat')).toEqual(p.design.paper);
});

test('what lies inside takes of the room: the holder is sized for it, and what goes in is told without it', () => {
  const stiff = [{ on: 'inside', paper: { caliper: '1/8 in' } }];
  const [bare, lined] = [plan('seam-envelope'), plan('seam-envelope', { layers: stiff })];
  expect(made(lined).inside.width - made(bare).inside.width).toBeCloseTo(inches(1 / 8), 6);
  expect(made(lined).fit!.ease).toEqual({
    width: expect.closeTo(made(bare).fit!.ease.width, 6),
    height: expect.closeTo(made(bare).fit!.ease.height, 6),
  });
  expect(made(bare).thickest - made(lined).thickest).toBeLessThanOrEqual(inches(1 / 8));
  expect([lined.design.contents, lined.design.thickness]).toEqual([bare.design.contents, 0]);
});

test('a mat for the flap has the flap’s shape, its border all round', () => {
  const p = plan('tab-envelope', { layers: [{ on: 'flap' }] });
  const [{ layer }] = made(p).layers as [Made['layers'][number]];
  const panel = made(p).pieces[0].piece.panels.find(({ id }) => id === layer.laid!.panel)!;
  const rim = panel.polygon.map((from, i) => ({ from, to: panel.polygon[(i + 1) % panel.polygon.length]! }));
  const nearest = layer.laid!.polygon.map((corner) => Math.min(...rim.map((edge) => fromSegment(edge, corner))));
  for (const away of nearest) expect(away).toBeCloseTo(inches(1 / 8), 6);
  // An envelope from a square closes with a house-shaped flap.
  const house = made(plan('diagonal-envelope', { layers: [{ on: 'flap' }], tool: { kind: 'envelope-board' } }));
  expect(house.layers[0]!.piece.panels[0]!.polygon.length).toBeGreaterThan(4);
  expect(house.layers[0]!.layer.face).toBe('back');
});

test('a mat goes on the front as it is: clear of a finger notch, of a flap, of what lies lower', () => {
  const mat = (construction: string, options: object = {}) => {
    const p = plan(construction, { layers: [{ on: 'front' }], options, contents: { width: '3 in', height: '4 in' } });
    return { ...made(p).layers[0]!.piece.blank, finished: made(p).finished };
  };
  // An eighth all round on a plain front.
  const plain = mat('card-holder', { fingerNotch: 0 });
  expect(plain.finished.height - plain.height).toBeGreaterThan(inches(1 / 4) - 0.01);
  expect(plain.finished.height - plain.height).toBeLessThan(inches(3 / 8) + 0.01);
  // A notch of an inch bites two fifths of it: the mat ends below.
  const notched = mat('card-holder');
  expect(plain.height - notched.height).toBeGreaterThan(inches(1 / 4));
  expect(notched.width).toBeCloseTo(plain.width, 6);
  // The pocket of a library pocket is the front, not the back that shows over it.
  expect(mat('library-pocket').height).toBeLessThan(mat('library-pocket').finished.height - inches(1));
});

describe('the chooser', () => {
  test('what can hold a card: those that can come first, every other says why', () => {
    const found = suggest({ contents: { width: '3 in', height: '4 in', thickness: '1 in' } });
    const can = found.filter((s) => s.obstacle === null);
    expect(can.length).toBeGreaterThan(4);
    expect(found.slice(0, can.length)).toEqual(can);
    for (const { obstacle } of found.slice(can.length)) expect(checkSentence(obstacle!, say)).toMatch(/\.$/);
    // A mat holds nothing, and is no answer; what stands round a thick thing comes first, a band lets things stick out and
    // comes after what holds, what is far too loose comes last.
    expect(found.map((s) => s.construction)).not.toContain('mat');
    expect(can[0]!.does).toBe('stands');
    const band = can.findIndex((s) => s.construction === 'belly-band');
    expect(can.slice(0, band).every((s) => s.does !== 'wraps' && s.suits)).toBe(true);
    expect(can.at(-1)!.suits).toBe(false);
    // Flat things lie: what closes over them comes before an open pocket, and that before walls.
    const flat = suggest({ contents: { width: '3 in', height: '4 in' } }).filter((s) => s.obstacle === null);
    const order = flat.filter((s) => s.suits).map((s) => s.does);
    expect(order.indexOf('closes')).toBe(0);
    expect(order.lastIndexOf('closes')).toBeLessThan(order.indexOf('opens'));
    expect(order.lastIndexOf('opens')).toBeLessThan(order.indexOf('wraps'));
    if (order.includes('stands')) expect(order.lastIndexOf('wraps')).toBeLessThan(order.indexOf('stands'));
  });

  test('what a strip can become: the square ones say they need a square', () => {
    const found = suggest({ blank: { width: inches(4), height: inches(9) } });
    expect(
      found
        .filter((s) => s.obstacle?.id === 'blank-not-square')
        .map((s) => s.construction)
        .sort(),
    ).toEqual(['accordion-pocket', 'coin-envelope', 'diagonal-box', 'diagonal-envelope', 'envelope-trio', 'flap-mat']);
    expect(found[0]!.largest.width).toBeGreaterThan(0);
  });

  test('screened papers agree with plans that were folded', () => {
    const question = { contents: { width: inches(3), height: inches(4), thickness: 0 } };
    const papers = [
      { width: mm(210), height: mm(297) },
      { width: inches(6), height: inches(6) },
      { width: inches(2), height: inches(2) },
    ];
    const choices = papersFor(question, papers);
    expect(choices.length).toBeGreaterThan(10);
    for (const { paper, construction } of choices)
      expect(ids(planOf({ version: 1, construction, ...question, paper }), 'fail')).toEqual([]);
    for (const { paper, construction, floor } of becomes({}, papers).slice(0, 20)) {
      const { inside } = made(planOf({ version: 1, construction, blank: paper }));
      expect(Math.min(inside.width, inside.height)).toBeLessThanOrEqual(Math.max(floor.width, floor.height) + 1e-6);
    }
  });
});
