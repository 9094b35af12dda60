/** Least sizes: what hands cannot fold, glue or cut is never proved. The sizes are from memory and common practice. */
import fc from 'fast-check';
import { anyDesign, planOf } from '../../../tests/helpers/designs';
import { runs } from '../../../tests/helpers/runs';
import { facesOf } from '../../../tests/helpers/second-reader';
import { CONSTRUCTIONS } from '../constructions';
import { checkSentence } from './words';
import { checksOf } from './checks';
import { planDocument } from '../document';
import { planFor } from '../plan';
import { readDesign, type DesignChange, type DesignInput } from '../design';
import { sayer } from '../length';
import type { Check } from './check';

const design = (construction: string, fields: object = {}): DesignInput =>
  ({
    version: 1,
    construction,
    contents: { width: 90, height: 120, thickness: 1 },
    graduation: 'exact',
    ...fields,
  }) as never;
const found = (construction: string, kind: Check['kind'], fields: object = {}): Check | undefined =>
  checksOf(planOf(design(construction, fields))).find((check) => check.kind === kind);
const tab = (width: number) => ({ options: { tab: width } });
const caliper = (thick: number) => ({ paper: { caliper: thick } });

test.each([
  ['a tab too narrow to fold', 'library-pocket', 'narrow-part', tab(2.9), 'fail', 2.9],
  ['a tab just broad enough', 'library-pocket', 'narrow-part', tab(3), 'warn', 3],
  ['a tab nearly as broad as is good', 'library-pocket', 'narrow-part', tab(5.9), 'warn', 5.9],
  ['a broad tab', 'library-pocket', 'narrow-part', tab(6), undefined, undefined],
  ['a strip no glue holds on', 'library-pocket', 'glue-strip', tab(2.9), 'fail', 2.9],
  ['a strip some glue holds on', 'library-pocket', 'glue-strip', tab(3), undefined, undefined],
  ['a spine whose scores split the paper', 'folio', 'close-scores', { options: { spine: 1.4 } }, 'fail', 1.4],
  ['a spine as narrow as may be', 'folio', 'close-scores', { options: { spine: 1.5 } }, undefined, undefined],
  ['the same of thicker card', 'folio', 'close-scores', { options: { spine: 1.5 }, ...caliper(0.6) }, 'fail', 1.5],
  ['card that folds', 'sleeve', 'board', caliper(1), undefined, undefined],
  ['board that is hinged rather', 'sleeve', 'board', caliper(1.1), 'warn', 1.1],
  ['board that does not fold', 'sleeve', 'board', caliper(2.1), 'fail', 2.1],
  [
    'the edge of a board, which forms its paper',
    'cover-board',
    'close-scores',
    { options: { board: 1 } },
    undefined,
    undefined,
  ],
] as const)('%s', (_, construction, kind, fields, level, value) => {
  const check = found(construction, kind, fields);
  expect(check?.level).toBe(level);
  if (value !== undefined) expect(check!.value).toBeCloseTo(value, 3);
});

test('a hole near the rim leaves paper that tears, and says how much there is', () => {
  const near = found('diagonal-box', 'paper-left', {
    contents: { width: 20, height: 30, thickness: 0 },
    options: { top: 'closed', tieHole: 3.175 },
    graduation: '1/8 in',
  });
  expect(near).toMatchObject({ level: 'warn', limit: 6 });
  expect(checkSentence(near!, sayer('mm', '0.5 mm'))).toMatch(
    /^The hole in the \w+ rim flap leaves .* mm of paper beside it/,
  );
});

test('a sheet larger than any that is sold is told, unless the person has told theirs', () => {
  const large = { contents: { width: 900, height: 1200, thickness: 0 } };
  expect(found('diagonal-envelope', 'large-blank', large)).toMatchObject({ level: 'warn' });
  expect(found('diagonal-envelope', 'large-blank', { ...large, paper: { width: 3000, height: 3000 } })).toBeUndefined();
  expect(found('diagonal-envelope', 'large-blank')).toBeUndefined();
  // Larger than any flat sheet: from a roll, which is told too.
  const long = found('tab-envelope', 'large-blank', { contents: { width: 20, height: 1070, thickness: 0 } })!;
  expect(long).toMatchObject({ level: 'note' });
  expect(checkSentence(long, sayer('mm', '1 mm'))).toMatch(/larger than any sheet sold flat: cut it from a roll/);
});

test('a box is never shallower than is worth folding, and no shallower for contents of a hair than of nothing', () => {
  for (const construction of ['tray-box', 'diagonal-box'])
    for (const graduation of ['1/8 in', '1/32 in', '1 mm', 'exact'])
      fc.assert(
        fc.property(fc.double({ min: 0, max: 40, noNaN: true }), (thickness) => {
          const depth = (thick: number, options = {}): number =>
            planOf(
              design(construction, { contents: { width: 90, height: 120, thickness: thick }, graduation, options }),
            ).made!.inside.depth;
          expect(depth(thickness)).toBeGreaterThan(12.69);
          expect(depth(thickness)).toBeGreaterThan(depth(0) - 1e-6);
          expect(depth(thickness, { leastDepth: 0, depth: 9 })).toBeLessThan(12);
        }),
        runs(6),
      );
});

test('walls too low to fold are offered a depth that can be folded, and taking it mends them', () => {
  for (const construction of ['tray-box', 'diagonal-box']) {
    const shallow = design(construction, { options: { depth: 2 } });
    const low = found(construction, 'narrow-part', { options: { depth: 2 } })!;
    expect(low.level).toBe('fail');
    const mended = changed(shallow, low.remedies[0]!.change);
    expect(checksOf(planOf(mended)).filter(({ level }) => level === 'fail')).toEqual([]);
  }
});
const changed = (input: DesignInput, { options, ...fields }: DesignChange): DesignInput =>
  JSON.parse(
    JSON.stringify({ ...input, ...fields, options: { ...(input.options as object), ...options } }),
  ) as DesignInput;

/** Least extent of a face over all directions, a degree apart. */
const breadth = (ring: readonly { readonly x: number; readonly y: number }[]): number =>
  Math.min(
    ...Array.from({ length: 180 }, (_, degree) => {
      const [x, y] = [Math.cos((degree * Math.PI) / 180), Math.sin((degree * Math.PI) / 180)];
      const along = ring.map((p) => p.x * x + p.y * y);
      return Math.max(...along) - Math.min(...along);
    }),
  );

// A cover's paper is formed over the edge of its board, and its corners are pinched in.
const FOLDED = CONSTRUCTIONS.filter(({ name }) => name !== 'cover-board');

test.each(FOLDED.map((construction) => [construction.name, construction] as const))(
  '%s: what is proved has no face too narrow, read from its document by faces between its lines',
  (_, construction) => {
    fc.assert(
      fc.property(anyDesign(construction), (input) => {
        const read = readDesign(input);
        if (!read.ok) return;
        const plan = planFor(read.design);
        const document = planDocument(plan);
        if (!plan.made || document.checks.some(({ level }) => level === 'fail')) return;
        for (const piece of document.pieces)
          expect(Math.min(...facesOf(piece as never).map(breadth))).toBeGreaterThan(1.49);
      }),
      runs(6),
    );
  },
);
