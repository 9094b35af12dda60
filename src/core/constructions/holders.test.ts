import practice from '../../../tests/common-practice.json';
import { planOf } from '../../../tests/helpers/designs';
import { distance } from '../geometry';
import { INCH, inches } from '../length';
import type { Piece } from '../pattern';
import { checksOf } from '../checks';
import type { Made } from '../plan';
import { roomy } from './shared/sizing';
import { CONSTRUCTIONS, optionFields } from '.';

const plan = (construction: string, fields: object) =>
  planOf({ version: 1, construction, tool: { kind: 'scoring-board', length: '16 in' }, ...fields });
const made = (construction: string, fields: object): Made => {
  const found = plan(construction, fields);
  if (!found.made) throw new Error(`refused: ${JSON.stringify(found.refusal)}`);
  return found.made;
};
const failing = (construction: string, fields: object): string[] =>
  checksOf(plan(construction, fields)).flatMap((check) => (check.level === 'fail' ? [check.id] : []));
const blank = (width: number, height: number) => ({ width: inches(width), height: inches(height) });
const within = (found: number, wanted: number): void =>
  expect(Math.abs(found - wanted)).toBeLessThanOrEqual(practice.tolerance + 1e-9);
const sizes = ({ pieces }: Made): number[][] =>
  pieces.map(({ piece }) => [piece.blank.width / INCH, piece.blank.height / INCH]);
/** Scores across (from the left edge) and along (from the near edge), inches, each line once. */
const scores = ({ hinges }: Piece): [number[], number[]] => {
  const at = (upright: boolean): number[] => [
    ...new Set(
      hinges
        .filter(({ line }) => Math.abs(upright ? line.from.x - line.to.x : line.from.y - line.to.y) < 1e-3)
        .map(({ line }) => Math.round(((upright ? line.from.x : line.from.y) / INCH) * 1e6) / 1e6),
    ),
  ];
  return [at(true).sort((a, b) => a - b), at(false).sort((a, b) => a - b)];
};
const inside = (m: Made): [number, number] => [m.inside.width / INCH, m.inside.height / INCH];

describe('common practice (figures workshops use, no published source)', () => {
  test('seam envelopes: a letter sheet, and a 6 in wide one with even flaps', () => {
    const [letter, even] = practice.seamEnvelope;
    const m = made('seam-envelope', { blank: blank(letter!.blank![0]!, letter!.blank![1]!) });
    expect(scores(m.pieces[0].piece)).toEqual([letter!.scoresAcross, letter!.scoresAlong]);
    expect(inside(m)).toEqual([expect.closeTo(4, 6), expect.closeTo(9, 6)]);
    const e = made('seam-envelope', { blank: blank(even!.blankWidth!, 8), options: { seam: 'even' } });
    expect(scores(e.pieces[0].piece)[0]).toEqual(even!.scoresAcross);
    expect(inside(e)[0]).toBeCloseTo(even!.inside[0]!, 6);
    expect(
      checksOf(plan('seam-envelope', { blank: blank(6, 8), options: { seam: 'even' } })).find(
        (c) => c.id === 'flap-overlap',
      )!.value,
    ).toBeCloseTo(inches(0.5), 3);
  });

  test('an envelope with side tabs', () => {
    const [tab] = practice.tabEnvelope;
    const m = made('tab-envelope', { blank: blank(tab!.blank[0]!, tab!.blank[1]!) });
    expect(scores(m.pieces[0].piece)[1]).toEqual(tab!.scores);
    within(inside(m)[0], tab!.insideWidth);
  });

  test('a card holder for an ID-1 card (ISO/IEC 7810: 85.60 × 53.98 mm)', () => {
    const [holder] = practice.cardHolder;
    const m = made('card-holder', { blank: blank(holder!.blank[0]!, holder!.blank[1]!) });
    const [across, along] = scores(m.pieces[0].piece);
    across.forEach((at, i) => within(at, holder!.scores[i]!));
    within(along[0]!, holder!.scoreTurned);
    inside(m).forEach((side, i) => within(side, holder!.inside[i]!));
    expect(failing('card-holder', { blank: blank(5.25, 4), contents: { width: 53.98, height: 85.6 } })).toEqual([]);
  });

  test.each(practice.patchPocket)('a patch pocket from $blank with tabs of $tab', ({ blank: [w, h], tab }) => {
    const m = made('patch-pocket', { blank: blank(w!, h!), options: { tab: inches(tab) } });
    expect(inside(m)).toEqual([expect.closeTo(w! - 2 * tab, 6), expect.closeTo(h! - tab, 6)]);
    expect(m.pieces).toHaveLength(1);
  });

  test('library pockets: where strips are folded', () => {
    const [square, ...strips] = practice.libraryPocket;
    const m = made('library-pocket', { blank: blank(square!.strip![0]!, square!.strip![1]!) });
    within(scores(m.pieces[0].piece)[1][0]!, square!.fold);
    [m.finished.width, m.finished.height].forEach((side, i) => within(side / INCH, square!.finished![i]!));
    for (const strip of strips) {
      const s = made('library-pocket', { blank: blank(5, strip.stripHeight!) });
      within(scores(s.pieces[0].piece)[1][0]!, strip.fold);
    }
  });

  test.each(practice.accordionPocket)('an accordion pocket of $pleats pleats of $pleat', (figures) => {
    const m = made('accordion-pocket', {
      blank: blank(figures.square, figures.square),
      options: { pleats: figures.pleats, pleat: inches(figures.pleat) },
    });
    expect(inside(m)).toEqual([expect.closeTo(figures.insideWidth, 6), expect.closeTo(figures.square / 2, 6)]);
    if (!figures.lid) return;
    const lid = m.pieces[1]!.piece;
    expect(sizes(m)[1]).toEqual(figures.lid.map((side) => expect.closeTo(side, 6)));
    expect(scores(lid)[1]).toEqual(figures.lidScores);
  });

  test('a packet: front 3 1/2 × 4 1/4, back 3 1/4 wide folded at 4 1/2 (geometry notes)', () => {
    const m = made('packet', { blank: blank(4.5, 5) });
    expect(inside(m)).toEqual([expect.closeTo(3.5, 6), expect.closeTo(4.25, 6)]);
    const back = m.pieces[1]!.piece;
    within(back.blank.width / INCH, 3.25);
    within(scores(back)[1][0]!, 4.5);
  });

  test('a storage pocket: body 4 × 12 scored 4 1/2 and 10, side flaps 3 × 4 (geometry notes)', () => {
    const m = made('storage-pocket', { blank: blank(4, 12) });
    expect(scores(m.pieces[0].piece)[1]).toEqual([4.5, 10]);
    expect(sizes(m).slice(1)).toEqual(
      [
        [3, 4],
        [3, 4],
        [4, 2],
      ].map((size) => size.map((side) => expect.closeTo(side, 6))),
    );
    expect(scores(m.pieces[1]!.piece)[0]).toEqual([0.5, 1.5, 2.5]);
  });

  test('a slider set: cover, channel, slider and fixed door from one 12 in sheet (geometry notes)', () => {
    const m = made('slider-set', { blank: blank(6, 8) });
    expect(sizes(m)).toEqual(
      [
        [6, 8],
        [8, 5.75],
        [7, 2.875],
        [2.5, 2.875],
      ].map((size) => size.map((side) => expect.closeTo(side, 6))),
    );
    expect(m.pieces.map(({ piece }) => scores(piece).flat())).toEqual([[2, 2.5, 6], [3, 6], [2], [0.5]]);
  });

  test('a sleeve and the band round it', () => {
    const [figures] = practice.sleeve;
    const m = made('sleeve', { blank: blank(figures!.wrap[0]!, figures!.wrap[1]!) });
    expect(scores(m.pieces[0].piece)[1]).toEqual([figures!.score]);
    const band = made('belly-band', { contents: { width: inches(figures!.score), height: inches(figures!.wrap[0]!) } });
    sizes(band)[0]!.forEach((side, i) => within(side, figures!.band[i]!));
  });

  test('a mat leaves its border, and half a square lines a 45° flap', () => {
    const m = made('mat', { contents: { width: '5 1/4 in', height: '5 7/8 in' } });
    expect(sizes(m)).toEqual([[expect.closeTo(5, 6), expect.closeTo(5.625, 6)]]);
    const flap = made('flap-mat', { contents: { width: '6 in', height: '3 in' }, graduation: 'exact' });
    // The inset triangle has legs r(2 + √2) shorter (derivation by the incircle).
    expect(sizes(flap)[0]![0]).toBeCloseTo(6 / Math.SQRT2 - (1 / 8) * (2 + Math.SQRT2), 6);
    expect(
      checksOf(plan('flap-mat', { contents: { width: '6 in', height: '3 in' }, graduation: 'exact' })).find(
        (c) => c.id === 'reveal',
      )!.value,
    ).toBeCloseTo(inches(1 / 8), 3);
  });
});

describe('every choice a construction offers gives a sound plan for ordinary contents', () => {
  const cases = CONSTRUCTIONS.flatMap(({ name, options }) =>
    optionFields(options).flatMap((field): [string, Record<string, unknown>][] => {
      if (field.unit === 'choice') return field.choices.map((choice) => [name, { [field.name]: choice }]);
      if (field.unit === 'yes-no') return [true, false].map((value) => [name, { [field.name]: value }]);
      if (field.unit === 'count') return [field.limits!.least!, 3].map((value) => [name, { [field.name]: value }]);
      return [[name, {}]];
    }),
  );
  test.each(cases)('%s %j', (construction, options) => {
    // What is boxed is a pile; what is pocketed is a card.
    const thickness = ['diagonal-box', 'desk-file', 'tray-box', 'pad-holder'].includes(construction) ? '1 in' : 0.5;
    const contents = { width: '4 in', height: '4 1/2 in', thickness };
    expect(failing(construction, { contents, options })).toEqual([]);
    // A finger notch, too, wherever the middle of the opening is free of a seam.
    const has = optionFields(CONSTRUCTIONS.find((c) => c.name === construction)!.options).map((field) => field.name);
    if (!has.includes('fingerNotch') || construction === 'seam-envelope' || options.fold === 'tube') return;
    const notch = { fingerNotch: '3/4 in', ...(has.includes('closingFlap') ? { closingFlap: 0 } : {}) };
    expect(failing(construction, { contents, options: { ...options, ...notch } })).toEqual([]);
  });
});

describe('what is dragged lands where it is pulled', () => {
  test.each([
    ['library-pocket', { blank: blank(4, 6) }],
    ['seam-envelope', { blank: blank(8.5, 11) }],
    ['seam-envelope', { blank: blank(8.5, 11), options: { seam: 'even' } }],
    ['seam-envelope', { contents: { width: 90, height: 120 } }],
    ['library-pocket', { contents: { width: 90, height: 120 } }],
    ['tab-envelope', { contents: { width: 90, height: 120 } }],
    ['tab-envelope', { blank: blank(5, 9) }],
    ['card-holder', { blank: blank(6, 5) }],
    ['patch-pocket', { blank: blank(6, 5) }],
    ['packet', { blank: blank(5, 6) }],
    ['storage-pocket', { blank: blank(4, 12) }],
    ['slider-set', { blank: blank(6, 8) }],
    ['accordion-pocket', { contents: { width: 100, height: 75 } }],
    ['card-holder', { contents: { width: 54, height: 86 } }],
    ['patch-pocket', { contents: { width: 90, height: 60 } }],
    ['accordion-pocket', { blank: blank(7, 7) }],
    ['storage-pocket', { contents: { width: 90, height: 120 } }],
    ['slider-set', { contents: { width: 130, height: 80 } }],
  ])('%s %j', (construction, fields) => {
    const exact = { ...fields, graduation: 'exact' };
    const before = made(construction, exact);
    const line = (m: Made, id: string) => m.pieces.flatMap(({ piece }) => piece.hinges).find((h) => h.id === id)!.line;
    expect(before.built.grips.length).toBeGreaterThan(0);
    for (const { hinge, along, does } of before.built.grips) {
      if (does.kind !== 'option') continue;
      const options = { ...(fields as { options?: object }).options, [does.option]: does.from + 2 * does.rate };
      const after = made(construction, { ...exact, options });
      const [a, b] = [line(before, hinge), line(after, hinge)];
      const middle = ({ from, to }: typeof a) => ({ x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 });
      const moved = (middle(b).x - middle(a).x) * along.x + (middle(b).y - middle(a).y) * along.y;
      // On a given sheet the fold goes just where it is pulled to.
      const at = before.pieces.findIndex(({ piece }) => piece.hinges.some((h) => h.id === hinge));
      const [was, is] = [before.pieces[at]!.piece.blank, after.pieces[at]!.piece.blank];
      const grown = (is.width - was.width) * Math.abs(along.x) + (is.height - was.height) * Math.abs(along.y);
      if (Math.abs(grown) < 1e-6) expect([hinge, moved]).toEqual([hinge, expect.closeTo(2, 4)]);
      // A sheet that grows or shrinks with it stands still in its middle, so half of that is not seen: it follows the pull.
      expect([hinge, moved - (Math.sign(along.x + along.y) * grown) / 2]).toEqual([
        hinge,
        expect.closeTo(Math.abs(grown) < 1e-6 ? 2 : 1, 4),
      ]);
      expect(distance(a.from, a.to)).toBeGreaterThan(0);
    }
  });
});

test('the mark chosen is the one nearest the aim that keeps the least ease (exhaustive search)', () => {
  for (const need of [50, 77.3, 101.6, 88.9])
    for (const [aim, least] of [
      [6.35, 1.5],
      [3.175, 1.6],
      [1, 2],
      [0, 0],
    ] as const) {
      const chosen = roomy(need, aim as never, least as never, '1/8 in');
      const marks = Array.from({ length: 60 }, (_, i) => (Math.floor(need / 3.175) - 5 + i) * 3.175);
      const best = Math.min(...marks.filter((m) => m - need >= least - 1e-9).map((m) => Math.abs(m - need - aim)));
      expect(Math.abs(chosen - need - aim)).toBeCloseTo(best, 6);
      expect(chosen - need).toBeGreaterThanOrEqual(least - 1e-6);
    }
});

describe('features', () => {
  const holder = (fingerNotch: string | number, more = {}) => ({
    contents: { width: '2 1/8 in', height: '3 3/8 in' },
    options: { fingerNotch, ...more },
  });

  test('a finger notch bites only what covers the contents, a third of its diameter deep, or half, at the middle of the opening', () => {
    const { piece } = made('card-holder', holder('1 in')).pieces[0];
    const bites = piece.trims.filter((trim) => trim.cut.kind === 'punched');
    expect(bites.map((trim) => trim.name)).toEqual(['front']);
    const front = piece.panels.find((p) => p.id === 'front')!;
    const middle = (Math.min(...front.polygon.map((p) => p.x)) + Math.max(...front.polygon.map((p) => p.x))) / 2;
    const lowest = bites[0]!.polygon.reduce((a, b) => (b.y < a.y ? b : a));
    expect(lowest.x).toBeCloseTo(middle, 1);
    expect((piece.blank.height - lowest.y) / INCH).toBeCloseTo(1 / 3, 2);
    const deeper = made('card-holder', holder('1 in', { notchDepth: 'half' })).pieces[0].piece;
    const ys = deeper.trims
      .filter(({ cut }) => cut.kind === 'punched')
      .flatMap(({ polygon }) => polygon.map((p) => p.y));
    expect((deeper.blank.height - Math.min(...ys)) / INCH).toBeCloseTo(1 / 2, 2);
  });

  test('a notch that would cut a fold or a glued tab is refused', () => {
    expect(failing('card-holder', holder('3 in'))).toEqual(['notch-cuts-fold']);
    // Where glue is in the way on one side, the plain one is bitten.
    const bitten = made('card-holder', holder('1 3/4 in', { tab: '3/4 in' })).pieces[0].piece;
    expect(bitten.trims.filter(({ cut }) => cut.kind === 'punched').map(({ name }) => name)).toEqual(['back']);
  });

  test('too large a punch is told the largest that does, which does', () => {
    const [refused] = checksOf(plan('card-holder', holder('3 in')));
    expect(refused!.limit).toBeGreaterThan(20);
    expect(failing('card-holder', holder(refused!.limit))).toEqual([]);
    expect(failing('card-holder', holder(refused!.limit + 0.3))).toEqual(['notch-cuts-fold']);
  });

  test('holes line up through the layers, and what would meet a fold is refused', () => {
    const m = made('storage-pocket', { contents: { width: '3 3/4 in', height: '5 in' } });
    const flap = m.pieces.find(({ piece }) => piece.name === 'left side flap')!.piece;
    expect(flap.holes).toHaveLength(6);
    // Mirror images in the middle fold, so that they meet when it is folded double.
    const fold = flap.blank.width / 2;
    for (const hole of flap.holes) {
      const twin = flap.holes.find((other) => other !== hole && Math.abs(other.centre.y - hole.centre.y) < 1e-6)!;
      expect(hole.centre.x + twin.centre.x).toBeCloseTo(2 * fold, 6);
    }
  });
});

test('a gusset takes thickness before the width does, and no more than it opens', () => {
  const contents = { width: '4 in', height: '3 in', thickness: '3/8 in' };
  const flat = made('accordion-pocket', { contents: { ...contents, thickness: 0 } });
  const thick = made('accordion-pocket', { contents });
  expect(thick.fit!.ease.width - thick.inside.width).toBeCloseTo(flat.fit!.ease.width - flat.inside.width, 6);
  // Its bottom is a plain fold, and takes half of the thickness whatever the sides do.
  const lost = flat.fit!.ease.height - flat.inside.height - (thick.fit!.ease.height - thick.inside.height);
  expect(lost).toBeCloseTo(inches(3 / 16), 6);
  expect(failing('accordion-pocket', { contents: { ...contents, thickness: '2 in' } })).toContain('gusset');
  const low = { contents: { ...contents, height: '2 in' }, options: { pleats: 4 } };
  expect(made('accordion-pocket', low).thickest).toBeCloseTo(inches(1.5), 6);
});

test('what is lower than the pocket’s back rests on the bottom, where the pocket covers it', () => {
  const tall = { blank: blank(4, 9), contents: { width: '3 in', height: '3 in' } };
  expect(failing('library-pocket', tall)).toEqual([]);
  expect(failing('library-pocket', { ...tall, contents: { width: '3 in', height: '6 in' } })).toContain('room-height');
});

test('a band longer than the sheet is joined from two strips, or refused when that is not enough', () => {
  const contents = { width: '5 in', height: '4 in' };
  const m = made('belly-band', { contents, options: { sheetLength: '8 in' } });
  expect(m.pieces).toHaveLength(2);
  for (const [width] of sizes(m)) expect(width).toBeLessThanOrEqual(8);
  expect(m.inside.width).toBeCloseTo(made('belly-band', { contents }).inside.width, 6);
  expect(failing('belly-band', { contents, options: { sheetLength: '4 in' } })).toEqual(['strip-too-short']);
});

test('what a sheet is too small for is said with the figure, and the offered change cures it where there is one', () => {
  for (const { name } of CONSTRUCTIONS) {
    const tiny = plan(name, { blank: blank(0.6, 0.6) });
    if (tiny.made) continue;
    const [check] = checksOf(tiny);
    expect([name, check!.level, Number.isFinite(check!.limit)]).toEqual([name, 'fail', true]);
  }
  expect(failing('seam-envelope', { blank: blank(0.4, 5) })).toEqual(['sheet-too-small']);
  const deep = { contents: { width: '3 in', height: '2 in' }, options: { lid: '6 in' } };
  const [refused] = checksOf(plan('accordion-pocket', deep));
  expect(refused!.id).toBe('part-too-large');
  expect(failing('accordion-pocket', { ...deep, ...refused!.remedies[0]!.change })).toEqual([]);
});
