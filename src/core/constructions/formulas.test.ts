/** Blanks against the closed formulas of the trade's sums (derived by hand), over random contents: the folding must agree. */
import fc from 'fast-check';
import { runs } from '../../../tests/helpers/runs';
import { planOf } from '../../../tests/helpers/designs';
import { inches, stepOf, type Graduation } from '../length';
import type { Made } from '../plan';

const RUNS = runs(15);
const inch = (value: number): number => inches(value);

/** Blank of the first piece from the inside, and what the thickness takes, at the options' defaults: told where they give way. */
const FORMULAS: Record<
  string,
  {
    blank: (W: number, H: number) => [number, number];
    takes: [number, number];
    ease: [aim: number, least: number];
    options?: object;
  }
> = {
  // (s1 + W + s2) × (ft + H + fb), s1 + s2 = W + lap
  'seam-envelope': { blank: (W, H) => [2 * W + inch(0.5), H + inch(2)], takes: [1, 1], ease: [0.25, 0.125] },
  // (W + 2g) × (f + H + ft), f = H − drop
  'tab-envelope': { blank: (W, H) => [W + inch(0.5), 2 * H - inch(0.5) + inch(1)], takes: [1, 1], ease: [0.25, 0.125] },
  // (2W + g) × (H + g)
  'card-holder': { blank: (W, H) => [2 * W + inch(0.5), H + inch(0.5)], takes: [1, 0.5], ease: [0.125, 0.0625] },
  // (W + 2g) × (H + g)
  'patch-pocket': { blank: (W, H) => [W + inch(0.5), H + inch(0.25)], takes: [1, 0.5], ease: [0.125, 0.0625] },
  // (W + 2g) × (P + B), P = B − show
  'library-pocket': {
    blank: (W, B) => [W + inch(0.5), 2 * B - inch(1.5)],
    takes: [1, 0.5],
    ease: [0.125, 0.0625],
    options: { show: '1 1/2 in' },
  },
  // front: (W + 2g) × (g + H + hem)
  packet: { blank: (W, H) => [W + inch(1), H + inch(0.75)], takes: [1, 1], ease: [0.25, 0.125] },
  // W × (F + B + T), F = B − show
  'storage-pocket': { blank: (W, B) => [W, 2 * B - inch(1) + inch(2)], takes: [1, 1], ease: [0.25, 0.125] },
  // cover: (channel + 1/4) × (clasp + spine + channel + 1/2 + foot)
  'slider-set': {
    blank: (L, c) => [L + inch(0.25), c + inch(5)],
    takes: [1, 0.5],
    ease: [0.25, 0.125],
    options: { foot: '2 in' },
  },
  // folded once at the end
  sleeve: { blank: (W, H) => [W, 2 * H], takes: [1, 0.5], ease: [0.0625, 0.03125] },
};

const contents = fc.record({
  width: fc.double({ min: 62, max: 180, noNaN: true }),
  height: fc.double({ min: 62, max: 180, noNaN: true }),
  thickness: fc.constantFrom(0, 0.76, 2),
});
const graduation = fc.constantFrom<Graduation>('1/8 in', '1/16 in', '1 mm', 'exact');

const made = (construction: string, input: object): Made => {
  const options = FORMULAS[construction]?.options;
  const plan = planOf({ version: 1, construction, tool: { kind: 'ruler' }, ...(options && { options }), ...input });
  if (!plan.made) throw new Error(`${construction} refused ${JSON.stringify(input)}: ${JSON.stringify(plan.refusal)}`);
  return plan.made;
};

describe.each(Object.entries(FORMULAS))('%s', (construction, { blank, takes, ease }) => {
  test('the blank is what the formula gives for the inside that was folded', () =>
    fc.assert(
      fc.property(contents, graduation, (card, marks) => {
        const { inside, pieces } = made(construction, { contents: card, graduation: marks });
        const [width, height] = blank(inside.width, inside.height);
        expect(pieces[0].piece.blank.width).toBeCloseTo(width, 4);
        expect(pieces[0].piece.blank.height).toBeCloseTo(height, 4);
      }),
      RUNS,
    ));

  test('the inside is the mark nearest the aim that keeps the least ease, thickness taken off', () =>
    fc.assert(
      fc.property(contents, graduation, (card, marks) => {
        const { inside, fit, holds } = made(construction, { contents: card, graduation: marks });
        const [aim, least] = ease.map(inch) as [number, number];
        (['width', 'height'] as const).forEach((side, i) => {
          const room = inside[side] - card[side] - takes[i]! * card.thickness;
          // The holder's own paper takes some of it, and never so much that less than the least is left.
          expect(fit!.ease[side]).toBeCloseTo(room - holds[0]!.taken[side], 3);
          expect(fit!.ease[side]).toBeGreaterThanOrEqual(least - 1e-3);
          const step = stepOf(marks);
          // The aim is what is reported: room net of the holder's own paper.
          const nearest = (left: number): boolean =>
            step === 0
              ? Math.abs(left - aim) < 1e-3
              : // One mark less is either under the least, or no nearer the aim; one more is no nearer either.
                [left - step, left + step].every(
                  (other) => other < least - 1e-6 || Math.abs(other - aim) >= Math.abs(left - aim) - 1e-3,
                );
          expect(nearest(room - holds[0]!.taken[side])).toBe(true);
        });
      }),
      RUNS,
    ));

  test('paper first gives the same inside back: the blank of a plan, given, holds the same contents', () =>
    fc.assert(
      fc.property(contents, graduation, (card, marks) => {
        const first = made(construction, { contents: card, graduation: marks });
        const given = first.pieces[0].piece.blank;
        const back = made(construction, { blank: given, contents: card, graduation: marks });
        // On marks the sheet may be shared out a mark differently, never to less than the least ease.
        if (marks === 'exact') {
          expect(back.inside.width).toBeCloseTo(first.inside.width, 3);
          expect(back.inside.height).toBeCloseTo(first.inside.height, 3);
        }
        expect(Math.abs(back.inside.width - first.inside.width)).toBeLessThanOrEqual(stepOf(marks) + 1e-3);
        expect(back.pieces[0].piece.blank).toEqual(given);
      }),
      RUNS,
    ));
});

test('an accordion pocket: inside S − 2kq by S/2 for any pleats, and room at the mouth of 2(k − 1)q', () =>
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 6 }),
      fc.double({ min: 4, max: 9, noNaN: true }),
      fc.double({ min: 160, max: 300, noNaN: true }),
      (k, q, S) => {
        const m = made('accordion-pocket', {
          blank: { width: S, height: S },
          options: { pleats: k, pleat: q, lid: 40 },
          graduation: 'exact',
        });
        expect(m.inside.width).toBeCloseTo(S - 2 * k * q, 3);
        expect(m.inside.height).toBeCloseTo(S / 2, 3);
        expect(m.holds[0]!.opens).toBeCloseTo(2 * (k - 1) * q, 9);
        // In and out, in and out: the outermost pleats of front and back lie face to face, one on the other.
        const levels = m.folded.finished.layers.map((layer) => layer.panel);
        expect(levels.indexOf(`front-left-${k}`) - levels.indexOf(`back-left-${k}`)).toBeGreaterThan(0);
        expect(m.folded.finished.joints.filter((j) => j.panel === `front-left-${k}`)).toHaveLength(1);
      },
    ),
    RUNS,
  ));

test('a band is twice its flat width and its lap, to the nearest mark; its ends meet on the back', () =>
  fc.assert(
    fc.property(contents, graduation, (card, marks) => {
      const m = made('belly-band', { contents: card, graduation: marks });
      const length = m.pieces[0].piece.blank.width;
      const round = 2 * (card.width + card.thickness) + inch(0.5) + inch(0.125);
      // Twice what its folds and the lap inside take, where that would leave too little.
      expect(length - round).toBeGreaterThanOrEqual(-stepOf(marks) - 1e-6);
      expect(length - round).toBeLessThanOrEqual(2 * stepOf(marks) + 2 * m.holds[0]!.taken.width + 1e-6);
      expect(m.inside.width).toBeGreaterThanOrEqual(card.width + card.thickness + inch(1 / 32) - 1e-3);
    }),
    RUNS,
  ));

test('a mat is the panel less twice its border, to the mark below: the border is never narrower', () =>
  fc.assert(
    fc.property(contents, graduation, (panel, marks) => {
      const { blank } = made('mat', { contents: panel, graduation: marks }).pieces[0].piece;
      for (const side of ['width', 'height'] as const) {
        expect(panel[side] - inch(0.25) - blank[side]).toBeGreaterThanOrEqual(-1e-6);
        expect(panel[side] - inch(0.25) - blank[side]).toBeLessThanOrEqual(stepOf(marks) + 1e-6);
      }
    }),
    RUNS,
  ));
