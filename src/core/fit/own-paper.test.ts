/**
 * What the holder's own paper takes of its room: worked out by hand from how each is folded, counted again by the second
 * reader from the plan document alone, and held to what paper does: thicker paper, or thicker contents, never leave more.
 */
import fc from 'fast-check';
import { paperFirst, planOf } from '../../../tests/helpers/designs';
import { runs } from '../../../tests/helpers/runs';
import { layersRound, mostLayersOf, readPlan, type ReadDocument } from '../../../tests/helpers/second-reader';
import { CONSTRUCTIONS } from '../constructions';
import { checksOf } from '../checks';
import { planDocument } from '../document';

const C = 0.25;
const taken = (construction: string, more: object = {}, caliper = C) => {
  const contents = { width: '3 in', height: '4 in', thickness: '3/4 in' };
  const { made } = planOf({ version: 1, construction, contents, paper: { caliper }, ...more });
  return made!.holds[0]!.taken;
};
const flat = { contents: { width: '3 in', height: '4 in', thickness: 1 } };

describe('by hand, in calipers: folded edges that bound it, and layers where the contents lie', () => {
  test.each([
    // Two folds, and one flap on the other; both ends closed.
    ['seam-envelope', flat, { width: 3, height: 3 }],
    // Two folds, the side tab and the bottom tab on it; half of two layers and one fold into the pocket.
    ['card-holder', flat, { width: 4, height: 2 }],
    // Two folds and the tabs that are folded under.
    ['patch-pocket', flat, { width: 3, height: 1.5 }],
    ['library-pocket', flat, { width: 3, height: 1.5 }],
    // One fold at the end.
    ['sleeve', flat, { width: 0, height: 1 }],
    // Two folds, and one end on the other.
    ['belly-band', flat, { width: 3, height: 0 }],
    // Round a packet the ends lap on its back.
    ['belly-band', {}, { width: 0, height: 0, depth: 1 }],
    // The tabs of the long walls are glued inside both short ones.
    ['tray-box', {}, { width: 0, height: 2, depth: 0 }],
    ['tray-box', { options: { liner: true } }, { width: 0, height: 2, depth: 1 }],
    // Two wings and a tuck inside either wall: 1.5 mm of everyday card (geometry notes).
    ['desk-file', {}, { width: 0, height: 0, depth: 6 }],
    // The loop's walls lie outside.
    ['pad-holder', {}, { width: 0, height: 0, depth: 0 }],
    // The band on its ends, the inner wing, and a pocket on its tab on either wing.
    ['folio', {}, { width: 0, height: 0, depth: 7 }],
    ['folio', { options: { wings: false } }, { width: 0, height: 0, depth: 3 }],
    // A board is wrapped tight.
    ['cover-board', flat, { width: 0, height: 0, depth: 0 }],
  ])('%s %j', (construction, more, layers) => {
    for (const [side, count] of Object.entries(layers))
      expect([side, taken(construction, more)[side as 'width'] / C]).toEqual([side, expect.closeTo(count, 6)]);
    expect(taken(construction, more, 2 * C).width).toBeCloseTo(2 * taken(construction, more).width, 6);
  });

  test('a piece of another thickness counts with its own', () => {
    const plan = planOf({ version: 1, construction: 'tray-box', ...flat, options: { liner: true } });
    expect(plan.made!.holds[0]!.taken.depth).toBeCloseTo(0.25, 6);
  });
});

test.each(['tray-box', 'diagonal-box', 'desk-file'])(
  '%s: the second reader counts the same layers in its document, whatever its size',
  (construction) => {
    let counted = 0;
    fc.assert(
      fc.property(
        fc.double({ min: 50, max: 160, noNaN: true }),
        fc.double({ min: 0.5, max: 0.95, noNaN: true }),
        fc.double({ min: 14, max: 30, noNaN: true }),
        fc.constantFrom(0.1, 0.25, 0.4),
        (long, ratio, thickness, caliper) => {
          const contents = { width: long * ratio, height: long, thickness };
          const options = construction === 'desk-file' ? {} : { lid: false };
          const plan = planOf({
            version: 1,
            construction,
            contents,
            paper: { caliper },
            options: construction === 'diagonal-box' ? { top: 'lid' } : options,
          });
          fc.pre(plan.made !== null);
          const document = planDocument(plan);
          const { inside, ease } = document;
          // In a square floor the reader could not tell one way from the other.
          fc.pre(Math.abs(inside.width - inside.height) > 0.05);
          const told = [
            inside.width - contents.width - ease.width,
            construction === 'desk-file'
              ? inside.depth! - thickness - ease.depth!
              : inside.height - contents.height - ease.height,
          ];
          const read = readPlan(document as ReadDocument)[0]!;
          const floor = [inside.width, construction === 'desk-file' ? inside.depth! : inside.height] as const;
          const layers = layersRound(read, floor);
          counted++;
          expect(layers.map((count) => count * caliper)).toEqual(told.map((mm) => expect.closeTo(mm, 4)));
        },
      ),
      runs(5),
    );
    expect(counted).toBeGreaterThan(0);
  },
);

test.each(['card-holder', 'patch-pocket', 'library-pocket', 'belly-band'])(
  '%s: the second reader counts its layers over each other in the document, all pieces joined',
  (construction) => {
    fc.assert(
      fc.property(
        fc.double({ min: 60, max: 160, noNaN: true }),
        fc.double({ min: 0.6, max: 1, noNaN: true }),
        fc.constantFrom(0.1, 0.25, 0.4),
        (long, ratio, caliper) => {
          const contents = { width: long * ratio, height: long, thickness: 1 };
          const plan = planOf({ version: 1, construction, contents, paper: { caliper } });
          fc.pre(plan.made !== null);
          const document = planDocument(plan);
          // Floor and roof are no layers; two folds bound the room across.
          const layers = mostLayersOf(readPlan(document as ReadDocument)) - 2;
          const told = document.inside.width - contents.width - contents.thickness - document.ease.width;
          expect(told).toBeCloseTo((layers + 2) * caliper, 4);
        },
      ),
      runs(5),
    );
  },
);

/** What holds something: a mat or a card has no room to lose. */
const HOLDERS = CONSTRUCTIONS.filter(({ ease }) => ease.aim.width > 0);

describe.each(HOLDERS.map((c) => [c.name, c] as const))('%s on a given sheet', (_, construction) => {
  test('thicker paper never leaves more room, and neither do thicker contents', () => {
    fc.assert(
      fc.property(paperFirst(construction), fc.double({ min: 1.1, max: 6, noNaN: true }), (input, times) => {
        const room = (caliper: number, thickness: number) => {
          const { made } = planOf({
            ...input,
            paper: { caliper },
            contents: { thickness },
            leastEase: { width: 0, height: 0 },
          });
          return made && { ...made.largest, thickest: made.thickest };
        };
        const now = room(0.15, 2);
        fc.pre(now !== null);
        for (const less of [room(0.15 * times, 2), ...(onlyFlat(construction.name) ? [room(0.15, 2 * times)] : [])]) {
          if (!less) continue;
          expect(less.width).toBeLessThanOrEqual(now!.width + 1e-6);
          expect(less.height).toBeLessThanOrEqual(now!.height + 1e-6);
        }
      }),
      runs(6),
    );
  });

  test('and with contents given it never fits better on thicker paper', () => {
    fc.assert(
      fc.property(paperFirst(construction), (input) => {
        const fit = (caliper: number) => {
          // A folio's spine would follow the paper: here it is what it is.
          const options = { ...(input.options as object), ...(construction.name === 'folio' ? { spine: 20 } : {}) };
          const contents = { width: 60, height: 50, thickness: 2 };
          const { made, design } = planOf({ ...input, options, contents, paper: { caliper } });
          return made?.fit ? { ...made.fit, options: design.options } : null;
        };
        const [thin, thick] = [fit(0.1), fit(0.6)];
        fc.pre(thin !== null && thick !== null);
        // Laps that nobody told give way only where that lets the contents in: rooms are compared of the same pattern.
        fc.pre(JSON.stringify(thin!.options) === JSON.stringify(thick!.options));
        for (const side of ['width', 'height'] as const)
          expect(thick!.ease[side]).toBeLessThanOrEqual(thin!.ease[side] + 1e-6);
        expect(thick!.depth).toBeLessThanOrEqual(thin!.depth + 1e-6);
      }),
      runs(5),
    );
  });
});

/** Holders whose walls, spines and boards do not follow the thickness told. */
const onlyFlat = (name: string): boolean =>
  ![
    'tray-box',
    'diagonal-box',
    'desk-file',
    'pad-holder',
    'folio',
    'cover-board',
    'belly-band',
    'sleeve',
    'slider-set',
    'accordion-pocket',
  ].includes(name);

test('contents as thick as a desk file is deep do not go in: its walls take a millimetre and a half', () => {
  const plan = (thickness: number) =>
    planOf({
      version: 1,
      construction: 'desk-file',
      contents: { width: '3 in', height: '3 in', thickness },
      options: { depth: '1 1/2 in' },
    });
  const failing = (thickness: number) =>
    checksOf(plan(thickness)).flatMap(({ id, level }) => (level === 'fail' ? [id] : []));
  expect(failing(38.1)).toEqual(['room-depth', 'goes-in']);
  expect(failing(38.1 - 1.49)).toEqual(['room-depth', 'goes-in']);
  expect(failing(38.1 - 1.51)).toEqual([]);
});
