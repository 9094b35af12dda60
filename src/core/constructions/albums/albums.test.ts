/** Albums from bought envelopes: their lists against figures makers use, every pocket against cards pushed into it. */
import fc from 'fast-check';
import { planOf } from '../../../../tests/helpers/designs';
import { runs } from '../../../../tests/helpers/runs';
import { foldedBox, layerOf, layersAt, levelOf, slotOf, stageAfter } from '../../fold';
import { area as areaOf, boxOf, centreOf } from '../../geometry';
import { INCH, inches, mm, sayer } from '../../length';
import { claimsOf, measured, soldAs } from '..';
import { cutListOf, planSet, readSet, setOf, type SetDesign } from '../../sets';
import { bookOf, type Made } from '../../plan';
import { checksOf, checkSentence } from '../../checks';
import { planDocument } from '../../document';
import { materialsOf, materialWords, stepsOf } from '../../making';
import type { DesignInput } from '../../design';

const plan = (construction: string, options: object = {}, fields: object = {}) =>
  planOf({
    version: 1,
    construction,
    contents: { width: '4 in', height: '4 in' },
    paper: { caliper: 0.2 },
    ...fields,
    options,
  } as DesignInput);
const made = (construction: string, options: object = {}, fields: object = {}): Made => {
  const found = plan(construction, options, fields);
  if (!found.made) throw new Error(`refused: ${JSON.stringify(found.refusal)}`);
  return found.made;
};
const setFor = (construction: string, options: object): SetDesign => {
  const read = readSet(
    setOf({
      version: 1,
      construction,
      contents: { width: '4 in', height: '4 in' },
      options,
    } as DesignInput),
  );
  if (!read.ok) throw new Error(read.issues[0]!.message);
  return read.set;
};
const say = sayer('in', '1/8 in');
const found = (construction: string, options: object = {}, fields: object = {}) =>
  checksOf(plan(construction, options, fields));
const failing = (...about: Parameters<typeof found>): string[] =>
  found(...about).flatMap(({ level, id }) => (level === 'fail' ? [id] : []));

/** Size by size: how many of each, inches. */
const list = (m: Made): Record<string, number> => {
  const all: Record<string, number> = {};
  for (const { piece } of m.pieces) {
    const size = [piece.blank.width, piece.blank.height].map((v) => Number((v / INCH).toFixed(4))).join(' × ');
    all[size] = (all[size] ?? 0) + piece.quantity;
  }
  return all;
};

test('a cover is the covered board: the board lies between the scores, its corners are covered, the strip goes round (geometry notes)', () => {
  for (const [construction, names, options] of [
    ['ring-album', [''], { board: 2.5, turnIn: '5/8 in' }],
    ['flap-album', ['front ', 'back '], {}],
  ] as const)
    for (const name of names) {
      const m = made(construction, options);
      const wrap = m.built.pieces.find((piece) => piece.name === `${name}cover wrap`)!;
      const board = m.built.pieces.find((piece) => piece.name === `${name}board`)!.blank;
      const thick = construction === 'ring-album' ? 2.5 : inches(1 / 8);
      const alone = made(
        'cover-board',
        { turnIn: construction === 'ring-album' ? '5/8 in' : '1/2 in' },
        { contents: { ...board, thickness: thick } },
      ).pieces[0].piece;
      const lines = (piece: typeof wrap) => piece.hinges.map(({ line, angle, fold }) => ({ line, angle, fold }));
      expect([lines(wrap), wrap.blank, wrap.trims.map(({ polygon }) => polygon)]).toEqual([
        lines(alone),
        alone.blank,
        alone.trims.map(({ polygon }) => polygon),
      ]);
      // Between the scores exactly the board; past its corner about one and a half to two thicknesses, square to the cut.
      const { minX, minY, maxX, maxY } = boxOf(wrap.panels[0]!.polygon);
      expect([maxX - minX, maxY - minY]).toEqual([expect.closeTo(board.width, 6), expect.closeTo(board.height, 6)]);
      const [corner] = wrap.panels.filter(({ bends }) => bends === 'pinched');
      const past = Math.max(...corner!.polygon.map((p) => (minX - p.x + (minY - p.y)) / Math.SQRT2));
      expect(past / thick).toBeGreaterThanOrEqual(1.49);
      expect(past / thick).toBeLessThanOrEqual(2 + 1e-6);
      // Folded, every turn-in lies over the board from its very edge inwards, and nothing of it past the edge.
      const lying = (panel: string) =>
        boxOf(layerOf(m.folded.finished, `${name.trim()}${name && '-'}${panel}`).polygon);
      const [on, near, left] = [lying('board'), lying('turn-near'), lying('turn-left')];
      expect(Math.min(Math.abs(near.minY - on.minY), Math.abs(near.maxY - on.maxY))).toBeLessThan(1e-6);
      expect(Math.min(Math.abs(left.minX - on.minX), Math.abs(left.maxX - on.maxX))).toBeLessThan(1e-6);
    }
});

test('a strip goes round the spine, and its far turn lies on the other cover as the near one does on its own', () => {
  const { finished } = made('flap-album').folded;
  const [near, far] = ['spine-1', 'spine-2'].map((panel) => boxOf(layerOf(finished, panel).polygon));
  for (const side of ['minX', 'maxX', 'minY', 'maxY'] as const) expect(near![side]).toBeCloseTo(far![side], 6);
  expect(finished.joints.map(({ id }) => id)).toContain('glue-spine-2-front-wrap');
});

test('a board too thick for its turn-in is refused, with how thick it may be', () => {
  const options = { board: 10, turnIn: '1/4 in' };
  const { refusal } = plan('ring-album', options);
  expect(refusal).toMatchObject({ code: 'part-too-large', about: { part: 'board' } });
  expect(plan('ring-album', { ...options, board: refusal!.limit! - 0.01 }).refusal).toBeNull();
  for (const wrong of [options, { board: 3, turnIn: '4 in' }]) {
    const [{ remedies }] = found('ring-album', wrong) as [ReturnType<typeof found>[number]];
    const { options: cured } = remedies[0]!.change as { options: object };
    expect(plan('ring-album', { ...wrong, ...cured }).refusal).toBeNull();
  }
});

test('on the smallest covers facing turn-ins do not lie on each other', () => {
  const { finished } = made('flap-album', {}, { contents: { width: 6, height: 6 } }).folded;
  const lies = (side: string) => boxOf(layerOf(finished, `back-turn-${side}`).polygon);
  const apart = (a: ReturnType<typeof lies>, b: ReturnType<typeof lies>, low: 'minX' | 'minY', high: 'maxX' | 'maxY') =>
    Math.max(a[low] - b[high], b[low] - a[high]);
  expect(apart(lies('near'), lies('far'), 'minY', 'maxY')).toBeGreaterThan(3);
  expect(apart(lies('left'), lies('right'), 'minX', 'maxX')).toBeGreaterThan(3);
});

describe('ring album', () => {
  test('eight pages of envelopes sold as 6 in and measured 6 1/8: everything follows from the measured one (common practice)', () => {
    const m = made('ring-album', { envelope: '6 1/8 in' });
    expect(list(m)).toEqual({
      '5.25 × 5.875': 16, // outer mats: e − 1/2 − 3/8 by e − 1/4
      '0.5 × 5.875': 16, // ring strips
      '3 × 3': 8, // corner tucks, two from a square
      '2.75 × 2.75': 8, // their layers
      '5.125 × 5.75': 8, // middle pull-outs: e − 1 by e − 3/8
      '4.875 × 5.5': 16, // their layers, one a side
      '1 × 1': 24, // thumb tabs
      '5.75 × 5.625': 16, // side pull-outs: e − 3/8, and clear of the holes
      '5.5 × 5.375': 32,
      '4.5 × 4.5': 16, // photo cards: photo and four borders
      '4.25 × 4.25': 32, // their layers, one a side
      '8 × 8': 2, // wraps: board and twice the turn-in and the board
      '6.5 × 6.5': 2, // linings
      '0.75 × 6.125': 1, // the guide for the holes
      '3.75 × 3.75': 1, // and for the corners
    });
    expect(planDocument(plan('ring-album', { envelope: '6 1/8 in' })).given).toEqual([
      expect.objectContaining({ name: 'first envelope', quantity: 8 }),
      expect.objectContaining({ name: 'second envelope', quantity: 8 }),
      expect.objectContaining({ name: 'board', quantity: 2, width: inches(6.75), height: inches(6.75) }),
    ]);
  });

  test('an envelope an eighth smaller makes everything on it smaller by as much', () => {
    const [large, small] = ['6 1/8 in', '6 in'].map((envelope) => made('ring-album', { envelope }));
    const side = (m: Made, name: string) => m.pieces.find(({ piece }) => piece.name === name)!.piece.blank;
    for (const name of ['first outer mat', 'middle pull-out', 'side pull-out', 'cover lining']) {
      expect(side(large!, name).width - side(small!, name).width).toBeCloseTo(inches(1 / 8), 6);
      expect(side(large!, name).height - side(small!, name).height).toBeCloseTo(inches(1 / 8), 6);
    }
    expect(side(large!, 'photo card')).toEqual(side(small!, 'photo card'));
  });

  test('with any envelope every pocket of a page takes its pull-out, and nothing else that would be larger by what is left', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 100, max: 260, noNaN: true }),
        fc.constantFrom('pointed', 'straight'),
        fc.double({ min: 6, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 6, noNaN: true }),
        (envelope, shape, tape, reveal) => {
          const options = { envelope, shape, tape, reveal, cornerTuck: 0 };
          const found = plan('ring-album', options, { contents: { width: 50, height: 50 } });
          fc.pre(found.made !== null);
          const m = found.made!;
          expect(m.folded.problems).toEqual([]);
          expect(m.built.cavities.map(({ id }) => id)).toEqual(['first pocket', 'second pocket', 'middle pocket']);
          const card = (name: string) => m.pieces.find(({ piece }) => piece.name === name)!.piece.blank;
          for (const cavity of m.built.cavities) {
            if (cavity.kind === 'box') throw new Error('a page has no walls');
            const { stack } = stageAfter(m.folded, cavity.insertAfter);
            const slot = slotOf(stack, cavity, false);
            const middle = cavity.id === 'middle pocket';
            const { width } = card(middle ? 'middle pull-out' : 'side pull-out');
            // To the pocket’s end, or as long as the card is.
            const { height } = slot.roomFor({ width, height: 0 });
            const deep = Math.min(height, card(middle ? 'middle pull-out' : 'side pull-out').height);
            expect(slot.test({ width, height: deep })).toBeNull();
            // Taped along the rings and along the foot the middle one is that much less; the others are whole.
            expect(slot.largest.width).toBeCloseTo(middle ? envelope - tape : envelope, 4);
            expect(height).toBeCloseTo(middle ? envelope - tape : envelope, 4);
          }
        },
      ),
      runs(12),
    );
  });

  test('a side pull-out ends where the holes with their border begin, and a page has its tape there', () => {
    const m = made('ring-album', { envelope: '6 1/8 in', holeFromEdge: '3/8 in' });
    const card = m.pieces.find(({ piece }) => piece.name === 'side pull-out')!.piece.blank.height;
    expect(card).toBeCloseTo(inches(6.125 - 0.375 - 0.125 - 0.125), 6);
    const { holes, blank } = m.pieces.find(({ piece }) => piece.name === 'hole guide')!.piece;
    expect(holes).toHaveLength(2);
    // As far from the top as from the bottom, so that the guide may be turned over.
    expect(holes[0]!.centre.y).toBeCloseTo(blank.height - holes[1]!.centre.y, 6);
    expect(holes.every(({ centre }) => Math.abs(centre.x - inches(3 / 8)) < 1e-9)).toBe(true);
  });

  test('a card that is longer is stopped by the rings, one that is broader by the pocket', () => {
    const m = made('ring-album', { envelope: '6 1/8 in' });
    const [claim] = claimsOf(m.built.claims, 'pull-outs');
    const thing = { folded: m.folded, cavity: m.built.cavities[0], caliper: () => 0.2, name: (panel: string) => panel };
    const told = (more: { across?: number; into?: number }) =>
      measured(
        [
          {
            ...claim!,
            cards: claim!.cards.map((card) => ({
              ...card,
              across: mm(card.across + (more.across ?? 0)),
              into: mm(card.into + (more.into ?? 0)),
            })),
          },
        ],
        'pile',
        thing,
      ).map(({ at, level, about }) => [at, level, (about as { side: string }).side]);
    expect(told({})).toEqual([
      ['first pocket', 'pass', 'across'],
      ['second pocket', 'pass', 'across'],
      ['middle pocket', 'pass', 'across'],
    ]);
    // The border is 1/8 in: so much longer they touch the rings; the middle one stops at its tape and stands out.
    expect(told({ into: inches(1 / 8) + 1 })).toEqual([
      ['first pocket', 'fail', 'rings'],
      ['second pocket', 'fail', 'rings'],
      ['middle pocket', 'pass', 'across'],
    ]);
    expect(told({ across: inches(5 / 8) }).map(([, level, side]) => [level, side])).toEqual([
      ['fail', 'across'],
      ['fail', 'across'],
      ['fail', 'across'],
    ]);
  });

  test('photos that are larger than their mats are warned of, on their cards or without', () => {
    const photos = (construction: string, options: object, photo: string) =>
      found(construction, options, { contents: { width: photo, height: photo } }).find(({ id }) => id === 'photos')!;
    const ring = { envelope: '6 1/8 in' };
    expect(photos('ring-album', ring, '4 3/4 in')).toMatchObject({ level: 'pass', value: 32 });
    // Its card is half an inch larger, and the mat 5 1/4 in across.
    expect(photos('ring-album', ring, '5 in')).toMatchObject({
      level: 'warn',
      value: expect.closeTo(inches(1 / 4), 4),
    });
    expect(checkSentence(photos('ring-album', ring, '5 in'), say)).toBe(
      'The photo with its card is 1/4 in larger than the mat it lies on. Take smaller photos, or larger envelopes.',
    );
    const flaps = { envelopeWidth: '5 3/4 in', envelopeHeight: '4 3/8 in' };
    expect(checkSentence(photos('flap-album', flaps, '3 3/4 in'), say)).toBe(
      'It holds 12 photos of 3 3/4 in × 3 3/4 in, one on each face of a page.',
    );
    expect(photos('flap-album', flaps, '4 in')).toMatchObject({ level: 'warn' });
  });

  test.each([
    ['ring-album', { envelope: '6 1/8 in' }],
    ['flap-album', { reveal: '1/8 in' }],
    ['envelope-trio', {}],
  ])('%s: every mat keeps its border where the folding has brought it', (construction, options) => {
    const border = found(construction, options).find(({ id }) => id === 'reveal')!;
    expect(border.level).toBe('pass');
    expect(border.value).toBeGreaterThan(inches(1 / 8) - 0.01);
    expect(border.value).toBeLessThan(inches(1 / 8) + inches(1 / 16));
  });

  test('closed it is as thick as all its pages, and the ring is wide enough to turn', () => {
    const thick = (pages: number): number =>
      found('ring-album', { envelope: '6 1/8 in', pages }).find((c) => c.id === 'closed')!.value;
    // A few pages are thickest at their rim, where the covers' turn-ins lie; more of them where their mats do.
    const [six, seven, eight] = [6, 7, 8].map(thick);
    expect(eight! - six!).toBeCloseTo(2 * (seven! - six!), 6);
    expect(made('ring-album', { envelope: '6 1/8 in' }).finished.thickness).toBeCloseTo(eight!, 6);
    const check = found('ring-album', { envelope: '6 1/8 in' }).find((c) => c.id === 'closed')!;
    expect(checkSentence(check, say)).toMatch(
      /^Closed and filled it is .* thick: take rings of .* inside, or more\.$/u,
    );
    // No pull-outs, no corners, no photos: thinner.
    expect(
      found('ring-album', { envelope: '6 1/8 in', pullOuts: false, cornerTuck: 0 }).find((c) => c.id === 'closed')!
        .value,
    ).toBeLessThan(eight! - 8 * 9 * 0.2);
  });

  test.each([
    [{ flap: '7 in' }, 'part-too-large', 'flap'],
    [{ tape: '3 in' }, 'part-too-large', 'tape'],
    [{ reveal: '2 in' }, 'part-too-large', 'reveal'],
    [{ cornerTuck: '6 in' }, 'part-too-large', 'cornerTuck'],
    [{ cornerTuck: '1/2 in' }, 'part-too-small', undefined],
    [{ holeFromEdge: '1/8 in' }, 'part-too-small', undefined],
    [{ holeFromEdge: '6 in' }, 'part-too-large', 'holeFromEdge'],
  ])('%j is refused, and says which part', (options, code, id) => {
    const { refusal } = plan('ring-album', { envelope: '6 1/8 in', ...options });
    expect(refusal).toMatchObject({ code, ...(id && { about: { id } }) });
    if (id === undefined) return;
    // What it says there is room for does, as far as this part goes, and a hair more does not.
    const at = (length: number) => plan('ring-album', { envelope: '6 1/8 in', [id]: length }).refusal?.about?.id;
    expect(at(refusal!.limit - 0.001)).not.toBe(id);
    expect(at(refusal!.limit + 0.01)).toBe(id);
  });

  test('a square gives both corners of its own page: as many squares are cut as there are pages', () => {
    const [paper] = cutListOf(planSet(setFor('ring-album', { envelope: '6 1/8 in' })));
    expect(paper!.pieces.filter(({ name }) => name === 'corner tuck')).toEqual([
      expect.objectContaining({ quantity: 8 }),
    ]);
    expect(paper!.pieces.find(({ name }) => name === 'corner tuck')!.gives).toBeUndefined();
  });

  test('what it takes besides paper is listed with its sizes: envelopes, boards, rings, tape', () => {
    const fields = plan('ring-album', { envelope: '6 1/8 in', pages: 8 });
    const needs = materialsOf(fields.made!, fields.design).map((one) => materialWords(one, 1, say, 'in'));
    expect(needs[0]).toMatch(/^8 first envelopes, 6 1\/8 in × .* in$/u);
    expect(needs).toContain('2 boards, 6 3/4 in × 6 3/4 in');
    expect(needs.find((one) => one.includes('ring'))).toMatch(/^2 rings, .* in inside$/u);
    expect(needs.find((one) => one.includes('tape'))).toMatch(/^.* in of tape, 1\/2 in wide$/u);
    // Twice as many albums take twice as much.
    const tape = materialsOf(fields.made!, fields.design).find(({ what }) => what === 'tape')!;
    expect(tape.length! / 25.4).toBeGreaterThan(8 * 10);
    expect(materialWords({ what: 'cord', count: 1, length: mm(254) }, 2, say, 'in')).toBe('20 in of cord');
  });

  test('an oblong envelope is refused as a blank', () => {
    expect(
      plan('ring-album', {}, { contents: undefined, blank: { width: '6 in', height: '5 in' } }).refusal,
    ).toMatchObject({ code: 'blank-not-square' });
  });

  test('what is done is told for all pages, and the binding once', () => {
    const steps = stepsOf(plan('ring-album', { envelope: '6 1/8 in' }), say);
    const text = (words: RegExp): string => steps.find((step) => words.test(step.text))!.text;
    expect(text(/^Cut the first outer mat/u)).toContain('8 of each');
    expect(text(/mouth to mouth/u)).toContain('The same for all 8.');
    expect(text(/^Turn the near edge/u)).toContain('The same for both.');
    expect(text(/ring them/u)).not.toContain('The same');
    const at = (words: RegExp): number => steps.findIndex((step) => words.test(step.text));
    const order = [
      /mouth to mouth/u,
      /^Glue the first outer mat on/u,
      /^Fold the page together/u,
      // Punched before they are filled.
      /ring them/u,
      /^Slide the pull-outs/u,
    ].map(at);
    expect(order).not.toContain(-1);
    expect(order).toEqual([...order].sort((a, b) => a - b));
  });
});

describe('leafed through', () => {
  test('a ring album has a leaf for every page, its side cards at the free edge and the middle one at the top', () => {
    const { leaves, view, top } = bookOf(made('ring-album', { envelope: '6 1/8 in', pages: 5 }))!;
    expect(leaves.map(({ pages }) => pages)).toEqual([[1, 5]]);
    const [leaf] = leaves;
    const box = foldedBox(leaf!.stack, view);
    const side = inches(6.125);
    // The page alone, without its covers.
    expect([box.maxX - box.minX, box.maxY - box.minY]).toEqual([expect.closeTo(side, 4), expect.closeTo(side, 4)]);
    expect(leaf!.cards.map(({ face }) => face).sort()).toEqual(['above', 'below', null].sort());
    for (const { face, x, y, width, height, out } of leaf!.cards) {
      // In its pocket it lies on the page, but for what stands out at its mouth.
      expect(x).toBeGreaterThan(box.minX - inches(1 / 4));
      expect(x + width).toBeLessThan(box.maxX + inches(1 / 4));
      expect(y).toBeGreaterThan(box.minY - 1e-6);
      expect(y + height).toBeLessThan(box.maxY + 1e-6);
      if (face === null) expect([Math.sign(out.x), out.y]).toEqual([top === 'left' ? -1 : 1, 0]);
      else expect([out.x, Math.sign(out.y)]).toEqual([0, -1]);
    }
    expect(bookOf(made('ring-album', { envelope: '6 1/8 in', pullOuts: false }))!.leaves[0]!.cards).toEqual([]);
  });

  test('a chain of envelopes has a leaf for each, the last one glued first; what is no book has none', () => {
    const { leaves } = bookOf(
      made('flap-album', { envelopeWidth: '5 3/4 in', envelopeHeight: '4 3/8 in', envelopes: 4 }),
    )!;
    // Between its mats.
    expect(leaves.map(({ stack }) => stack.layers[1]!.piece)).toEqual([
      'envelope 4',
      'envelope 3',
      'envelope 2',
      'envelope 1',
    ]);
    expect(leaves.every(({ stack }) => stack.layers.every(({ panel }) => !panel.endsWith('flap')))).toBe(true);
    expect(bookOf(made('seam-envelope'))).toBeNull();
  });
});

describe('album flap to flap', () => {
  const envelope = { envelopeWidth: '5 3/4 in', envelopeHeight: '4 3/8 in', flap: '1 1/2 in' };

  test('every flap lies in the next mouth, inside its front and past what slides in', () => {
    const m = made('flap-album', { ...envelope, envelopes: 5 });
    expect(m.folded.problems).toEqual([]);
    const pile = m.folded.finished;
    for (const k of [3, 4, 5]) {
      const flap = k === 3 ? '1-flap' : `${k - 1}-flap`;
      const over = layersAt(pile, centreOf(pile.layers.find(({ panel }) => panel === flap)!.polygon)).map(
        ({ panel }) => panel,
      );
      const [back, own, front] = [`${k}-back`, flap, `${k}-front`].map((panel) => over.indexOf(panel));
      expect(back).toBeLessThan(own!);
      expect(own).toBeLessThan(front!);
      expect(pile.joints.some((joint) => joint.panel === `${k}-front` && joint.onto === flap)).toBe(true);
      expect(pile.joints.some((joint) => joint.panel === `${k}-back` && joint.onto === flap)).toBe(false);
    }
    expect(levelOf(pile, '1-front')).toBeLessThan(levelOf(pile, '2-front'));
  });

  test('mats are the page as trimmed less the border, for both faces of every envelope (common practice)', () => {
    expect(list(made('flap-album', { ...envelope, envelopes: 6, cover: false }))).toEqual({ '3.75 × 5.25': 12 });
    expect(list(made('flap-album', { ...envelope, envelopes: 6, cover: false, trim: 0, reveal: '1/8 in' }))).toEqual({
      '4.125 × 5.5': 12,
    });
  });

  test('with any envelopes that are left shut or trimmed the pages fold up, and lie within the cover', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 80, max: 200, noNaN: true }),
        fc.double({ min: 80, max: 200, noNaN: true }),
        fc.constantFrom(0, inches(1 / 8)),
        fc.integer({ min: 3, max: 5 }),
        fc.boolean(),
        fc.constantFrom('straight', 'pointed'),
        (envelopeWidth, envelopeHeight, trim, envelopes, cover, shape) => {
          const options = { envelopeWidth, envelopeHeight, trim, envelopes, cover, shape };
          const m = made('flap-album', options, { contents: { width: 50, height: 50 } });
          expect(m.folded.problems).toEqual([]);
          expect(m.inside.width).toBeCloseTo(envelopeWidth, 4);
          expect(m.inside.height).toBeCloseTo(envelopeHeight - trim, 4);
          const over = cover ? 2 * inches(5 / 16) : 0;
          expect(m.finished.width).toBeCloseTo(envelopeWidth + over, 6);
          const spine = m.pieces.find(({ piece }) => piece.name === 'spine strip')?.piece.blank.width;
          const closed = checksOf(plan('flap-album', options, { contents: { width: 50, height: 50 } })).find(
            ({ id }) => id === 'closed',
          )!;
          // On a small one the strip turns in by a quarter of the cover.
          const turn = Math.min(inches(1), (envelopeHeight - trim + over) / 4);
          if (cover) expect(spine! - 2 * turn).toBeGreaterThanOrEqual(closed.value - 1e-6);
          expect(closed.level).toBe('note');
        },
      ),
      runs(12),
    );
  });

  test('cards stand in the trimmed ends, half in and half out, clear of the glued flap', () => {
    const m = made('flap-album', { ...envelope, envelopes: 4, cards: 2, cover: false });
    expect(m.folded.problems).toEqual([]);
    const card = m.pieces.find(({ piece }) => piece.name === 'card page')!.piece;
    // The page is 4 1/4 deep, the flap 1 1/2, and 1/8 is left free.
    expect([card.quantity, card.blank.height / INCH / 2]).toEqual([2, expect.closeTo(2.625, 6)]);
    const gate = made('flap-album', { ...envelope, envelopes: 4, cards: 2, gatefold: true, cover: false });
    expect(gate.pieces.find(({ piece }) => piece.name === 'card page')!.piece.blank.height / INCH / 2).toBeCloseTo(
      2,
      6,
    );
    expect(failing('flap-album', { ...envelope, envelopes: 4, cards: 2 })).toEqual([]);
  });

  test.each([
    [{ flap: '4 1/4 in' }, 'part-too-large', 'flap'],
    [{ reveal: '2 1/4 in' }, 'part-too-large', 'reveal'],
    [{ trim: '4 3/8 in' }, 'part-too-large', 'trim'],
    [{ cards: 5 }, 'part-too-large', 'cards'],
    [{ cards: 1, trim: 0 }, 'part-too-small', undefined],
    [{ flap: 1 }, 'part-too-small', undefined],
    [{ envelopes: 16, envelopeHeight: '3/4 in', flap: '1/4 in', reveal: 0 }, 'part-too-large', 'envelopes'],
  ])('%j is refused, and says which part', (options, code, id) => {
    expect(plan('flap-album', { ...envelope, ...options }).refusal).toMatchObject({
      code,
      ...(id && { about: { id } }),
    });
  });
});

describe('how a ring album is made', () => {
  const texts = (fields: object = {}): string[] =>
    stepsOf(plan('ring-album', { envelope: '6 1/8 in', pages: 5 }, fields), say).map(({ text }) => text);

  test('a page is whole before the cards that go into it, and its tape is the tape it is drawn for', () => {
    const steps = texts();
    const at = (part: string): number => steps.findIndex((text) => text.includes(part));
    expect(at('Fold the page together')).toBeGreaterThan(at('in the opening of its guide'));
    expect(at('Fold the page together')).toBeLessThan(at('Glue the thumb tab'));
    expect(steps.find((text) => text.startsWith('Put tape on'))).toMatch(
      /first envelope\.(?: .*)? Tape, 1\/2 in wide\.$/u,
    );
    expect(found('ring-album', { envelope: '6 1/8 in' }).filter(({ id }) => id === 'glue-fold-page')).toEqual([]);
    // Whoever would rather glue it may.
    const glued = texts({ adhesive: { joins: { 'fold-page': 'wet-glue' } } });
    expect(glued.filter((text) => text.startsWith('Put tape on'))).toEqual([]);
  });

  test('by kind of work every step is done for all pages, page by page one page is made and then the others', () => {
    const kind = texts();
    expect(kind.filter((text) => text.endsWith('The same for all 5.')).length).toBeGreaterThan(8);
    const pages = texts({ order: 'by-piece' });
    expect(pages.filter((text) => text.endsWith('The same for all 5.'))).toEqual([]);
    const [again] = pages.flatMap((text, i) => {
      const times = /Then make the other 4, one after the other: the last (\d+) steps again\.$/u.exec(text);
      return times ? [{ i, steps: Number(times[1]) }] : [];
    });
    // From the first thing done to a page on.
    expect(pages[again!.i - again!.steps + 1]).toMatch(/^Glue the flap of the second envelope/u);
    expect(pages.filter((text) => /Then make the other one: the last \d+ steps again\.$/u.test(text))).toHaveLength(1);
    expect(pages.at(-2)).toMatch(/ring them\.$/u);
    expect(pages.at(-1)).toMatch(/^Slide the pull-outs/u);
  });

  test('the corner guide leaves an opening as large as the tuck, and stands round it', () => {
    const piece = (name: string) =>
      made('ring-album', { cornerTuck: '2 in' }).pieces.find((one) => one.piece.name === name)!.piece;
    expect(piece('corner guide').trims[0]!.polygon).toHaveLength(3);
    expect(areaOf(piece('corner guide').trims[0]!.polygon)).toBeCloseTo(
      areaOf(piece('corner tuck').panels[0]!.polygon),
      6,
    );
    expect(piece('corner guide').blank.width - piece('corner tuck').blank.width).toBeCloseTo(inches(3 / 4), 6);
    expect(made('ring-album', { cornerTuck: 0 }).pieces.map((one) => one.piece.name)).not.toContain('corner guide');
  });
});

test('what an envelope is sold by is told from what it measures: up to 1/8 in over a quarter (common practice)', () => {
  for (const [measured, name] of [
    [6.125, 6],
    [6.0625, 6],
    [4.375, 4.25],
    [5.75, null],
    [6.1875, null],
    [4.21875, null],
  ] as const)
    expect([measured, soldAs(inches(measured))]).toEqual([
      measured,
      name === null ? null : expect.closeTo(inches(name), 9),
    ]);
});

test('trimmed ends are cut off by the length the holder is drawn for, and the step shows it', () => {
  const steps = (trim: string | number) =>
    stepsOf(plan('flap-album', { envelopeWidth: '5 3/4 in', envelopeHeight: '4 3/8 in', trim }), say);
  const first = steps('1/4 in').find(({ text }) => text.startsWith('Trim 1/4 in off the far end'))!;
  expect(first.readings).toEqual([{ at: inches(1 / 4), on: 'ruler', what: 'off each far end' }]);
  expect(steps(0).some(({ text }) => text.startsWith('Trim'))).toBe(false);
});

test('the first two edges of a cover’s wrap are glued to its board alone; the others lie on the corners as well', () => {
  const { built } = made('ring-album');
  const glued = built.assembly
    .filter(({ id }) => /turn-(?:near|far|left|right)$/u.test(id))
    .map((step) => [step.id.split('-').at(-1)!, ('gluedTo' in step && step.gluedTo?.length) || 0] as const);
  expect(glued.length).toBeGreaterThanOrEqual(4);
  for (const [side, onto] of glued) expect([side, onto]).toEqual([side, side === 'near' || side === 'far' ? 1 : 3]);
});
