/** What paper looks like; contrast against the figures WCAG 2.2 gives, everything else worked out by hand. */
import fc from 'fast-check';
import { runs } from '../../../tests/helpers/runs';
import { apply } from '../geometry';
import {
  backOf,
  CASING,
  coloursOf,
  colourNamed,
  contrast,
  faceSchema,
  frontOf,
  groundOf,
  inked,
  LINE,
  lineOn,
  luminance,
  printLies,
  printNamed,
  PRINTS,
} from '.';

const colour = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`);

test('contrast as WCAG 2.2 counts it', () => {
  expect(contrast('#000000', '#ffffff')).toBeCloseTo(21, 6);
  expect(contrast('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
  expect(contrast('#ffffff', '#777777')).toBe(contrast('#777777', '#ffffff'));
  expect(luminance('#808080')).toBeCloseTo(0.2159, 4);
});

test('on every colour of every print, and on any other, the line or its casing is seen', () => {
  const seen = (ground: string): number => Math.max(contrast(LINE, ground), contrast(CASING, ground));
  for (const print of PRINTS) for (const one of print.colours) expect(seen(one)).toBeGreaterThan(4.2);
  fc.assert(
    fc.property(colour, (ground) => {
      expect(seen(ground)).toBeGreaterThan(4.2);
      expect(contrast(lineOn(ground), ground)).toBe(seen(ground));
    }),
    runs(300),
  );
});

test.each(PRINTS.map((print) => [print.name, print] as const))(
  '%s is drawn in its own colours, on its tile',
  (_, print) => {
    const drawn = print.draw();
    expect(drawn.length).toBeGreaterThan(0);
    const used = new Set([0]);
    for (const { d, fill, stroke, width } of drawn) {
      expect(d).toMatch(/^M-?[\d.]/);
      expect(d).not.toMatch(/NaN|undefined/);
      for (const ink of [fill, stroke]) {
        if (ink === undefined) continue;
        expect(inked(ink, print.colours)).toMatch(/^#[\da-f]{6}$/);
        for (const index of typeof ink === 'number' ? [ink] : [ink[0], ink[1]]) used.add(index);
      }
      expect(fill !== undefined || (stroke !== undefined && width! > 0)).toBe(true);
    }
    // A colour that is told and never seen would be one the person changes without effect.
    expect([...used].sort()).toEqual(print.colours.map((_one, i) => i));
    // The same each time: pictures of one paper are one picture.
    expect(print.draw()).toEqual(drawn);
    expect(faceSchema.parse({ print: print.name })).toEqual({ print: print.name, colours: [], turn: 0 });
  },
);

test('a paper is of the colour it is called by, its back is told from its front', () => {
  expect([colourNamed('Midnight cardstock'), colourNamed('Cream text'), colourNamed('Old green cover')]).toEqual([
    '#25304f',
    '#f3e9cf',
    '#e4d5b4',
  ]);
  expect(colourNamed('12 in, smooth')).toBe(colourNamed(''));
  const cream = { name: 'Cream text', sided: 2 } as const;
  expect(frontOf(cream)).toEqual({ colour: '#f3e9cf' });
  const dark = { name: 'Midnight', sided: 2 } as const;
  expect(luminance(groundOf(backOf(dark)))).toBeGreaterThan(luminance(groundOf(frontOf(dark))));
  expect(backOf({ sided: 1, front: faceSchema.parse({ print: 'rowan' }) })).toEqual({
    colour: printNamed('rowan')!.back,
  });
  expect(backOf({ sided: 1, back: { colour: '#112233' } })).toEqual({ colour: '#112233' });
  expect(coloursOf(printNamed('mitre')!, ['#111111'])).toEqual(['#111111', '#a63d2a', '#22303c']);
});

test('what is no colour and no print is told so', () => {
  for (const wrong of [{ colour: 'red' }, { colour: '#FFF' }, { print: 'stars of mine' }, {}, 'red'])
    expect(faceSchema.safeParse(wrong).success).toBe(false);
});

test('a print is read the right way round from the side it is on, upright where the sheet is', () => {
  // Mitre’s tile is 12 mm wide; the sheet 100.
  const face = faceSchema.parse({ print: 'mitre' });
  const [front, back] = [printLies(face, 'front', 100), printLies(face, 'back', 100)];
  // On the back it lies as the sheet does: right is right, down is down.
  expect(apply(back, { x: 3, y: -5 })).toEqual({ x: 3, y: 5 });
  // What is left in front is right from behind.
  expect(apply(front, { x: 3, y: -5 })).toEqual({ x: 97, y: 5 });
  // Turned a quarter clockwise, up points to the right of whoever reads it: in front to the sheet's left as it lies.
  const turned = printLies({ ...face, turn: 1 }, 'front', 100);
  const [foot, head] = [apply(turned, { x: 0, y: 12 }), apply(turned, { x: 0, y: 0 })];
  expect([head.x - foot.x, head.y - foot.y].map((v) => Math.round(v))).toEqual([-12, 0]);
  const behind = printLies({ ...face, turn: 1 }, 'back', 100);
  expect(apply(behind, { x: 0, y: 0 }).x - apply(behind, { x: 0, y: 12 }).x).toBeCloseTo(12, 9);
});
