import fc from 'fast-check';
import { contentsFirst, paperFirst, planOf } from '../../../tests/helpers/designs';
import { runs } from '../../../tests/helpers/runs';
import { CONSTRUCTIONS } from '../constructions';
import { figureText, keyFigures, leastLap, settingOf } from './key-figures';
import { planDocument } from '../document';
import { sayer } from '../length';

const say = sayer('in', '1/8 in');
const figures = (design: object) => {
  const { made, design: read } = planOf({
    version: 1,
    contents: { width: '3 in', height: '4 in', thickness: '1/2 in' },
    ...design,
  });
  return Object.fromEntries(keyFigures(made!, read).map((figure) => [figure.label, figureText(figure, say)]));
};

test('an envelope: the square, the setting, the lap, the room, the finished size', () => {
  const found = figures({ construction: 'diagonal-envelope', contents: { width: '3 in', height: '4 in' } });
  expect(found).toMatchObject({ 'Cut a square': '6 in', 'Set the board at': '2 5/8 in', 'Flaps lap': '3/4 in' });
  expect(found['Room left']).toMatch(/1\/8 in × about 3\/16 in/);
  expect(Object.keys(found)).toEqual([
    'Cut a square',
    'Set the board at',
    'Room left',
    'Finished',
    'Flaps lap',
    'Thickest it takes',
  ]);
});

test('a square without a board is marked on its four edges, where the notch would end', () => {
  const found = figures({
    construction: 'diagonal-envelope',
    contents: { width: '3 in', height: '4 in' },
    tool: { kind: 'ruler' },
  });
  // The notch of the board is 3/4 in wide about its setting at 2 5/8; the square's other edges have what is left of 6 in.
  expect(found['Mark each edge from its left end']).toBe(
    '2 1/4 in and 3 in first and third; 3 in and 3 3/4 in second and fourth',
  );
  expect(found).not.toHaveProperty('Set the board at');
});

test('a box: each piece to cut, where each is scored from two edges, three figures for what stands', () => {
  const found = figures({ construction: 'tray-box', tool: { kind: 'scoring-board' } });
  expect(Object.keys(found)).toEqual([
    'Cut the box',
    'Cut the lid',
    'Score the box',
    'Score the lid',
    'Room left',
    'Finished',
    'Thickest it takes',
  ]);
  expect(found['Score the box']).toMatch(/^\S.* in and .* in across; .* in turned$/);
  expect(found.Finished!.split(' × ')).toHaveLength(3);
  expect(found['Room left']!.split(' × ')).toHaveLength(3);
});

test('from a paper: what it holds, to the mark below; through a band only across', () => {
  const paper = { contents: undefined, blank: { width: '6 in', height: '4 in' } };
  expect(figures({ construction: 'sleeve', ...paper })['Holds up to']).toMatch(/^\d[^×]* × \d[^×]*$/);
  expect(
    figures({ construction: 'belly-band', contents: { width: '3 in', height: '4 in' } })['Room left'],
  ).not.toContain('×');
  // Round a packet a band has room across and in the depth.
  expect(figures({ construction: 'belly-band' })['Room left']).toMatch(/^[^×]* × [^×]*$/);
});

test('a mat has no lap and no setting, and tells no room', () => {
  const mat = planOf({ version: 1, construction: 'mat', contents: { width: '3 in', height: '4 in' } });
  expect([leastLap(mat.made!), settingOf(mat.made!)]).toEqual([null, null]);
});

/** Figures a maker reads are the ones of the plan document, which is proved; nothing is said twice or of no length. */
test.each(CONSTRUCTIONS.map((c) => [c.name, c] as const))(
  '%s: what is shown is what the plan says',
  (_, construction) => {
    let held = 0;
    fc.assert(
      fc.property(fc.oneof(contentsFirst(construction), paperFirst(construction)), (input) => {
        const plan = planOf(input);
        fc.pre(plan.made !== null);
        held++;
        const shown = keyFigures(plan.made!, plan.design);
        const { pieces, finished, inside, ease } = planDocument(plan);
        expect(new Set(shown.map(({ label }) => label)).size).toBe(shown.length);
        const lengths = (id: string): number[][] =>
          shown.filter((f) => f.id === id).map(({ parts }) => parts.flatMap((part) => [...part.lengths]));
        for (const { parts } of shown)
          for (const part of parts) {
            expect(part.lengths.length).toBeGreaterThan(0);
            for (const length of part.lengths) expect(Number.isFinite(length)).toBe(true);
          }
        const cut = lengths('cut').map(([w, h]) => [w, h ?? w]);
        expect(cut).toHaveLength(pieces.length);
        pieces.forEach(({ blank }, i) => {
          expect(Math.abs(cut[i]![0]! - blank.width)).toBeLessThan(1e-3);
          expect(Math.abs(cut[i]![1]! - blank.height)).toBeLessThan(1e-3);
        });
        const [whole] = lengths('finished');
        expect(whole!.slice(0, 2)).toEqual([expect.closeTo(finished.width, 3), expect.closeTo(finished.height, 3)]);
        const room = shown.find(({ label }) => label === 'Room left');
        if (room && plan.design.contents && room.parts[0]!.lengths.length > 1) {
          const { width, height, thickness } = plan.design.contents;
          const free = { width: inside!.width - width, height: inside!.height - height };
          const sides = plan.made!.holds[0]!.limits;
          for (const [i, length] of room.parts[0]!.lengths.entries()) {
            const side = sides[i]!;
            expect(length).toBeCloseTo(ease![side]!, 3);
            if (side === 'depth') continue;
            // What is thick takes of a flat pocket's width, up to its own thickness at either side; so does its paper.
            expect(length).toBeLessThan(free[side] + 1e-3);
            expect(length).toBeGreaterThan(free[side] - 2 * thickness - 8 * plan.design.paper.caliper - 1e-3);
          }
        }
        // Scores of a straight-scored piece are told once each, and lie on the sheet.
        for (const figure of shown.filter(({ id }) => id === 'score'))
          for (const { lengths: places } of figure.parts)
            expect([...places].sort((a, b) => a - b)).toEqual([...new Set(places)]);
      }),
      runs(3),
    );
    expect(held).toBeGreaterThan(0);
  },
);
