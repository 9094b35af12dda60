/** Defaults never trip over themselves: told nothing but sensible contents, no holder fails or warns. */
import fc from 'fast-check';
import { planOf } from '../../../tests/helpers/designs';
import { runs } from '../../../tests/helpers/runs';
import { CONSTRUCTIONS } from '../constructions';
import { checksOf } from '.';

/** What a holder is for: the least side it takes, how much taller than wide, how thick; mm. */
interface For {
  readonly least?: number;
  readonly tall?: readonly [least: number, most: number];
  readonly thick?: readonly [least: number, most: number];
}
const FLAT = [0, 2] as const;
const FOR: Readonly<Record<string, For>> = {
  'tray-box': { thick: [3, 40] },
  'diagonal-box': { least: 40, thick: [3, 25] },
  'desk-file': { least: 45, thick: [5, 40] },
  'pad-holder': { least: 45, thick: [3, 25] },
  folio: { least: 60, thick: [3, 20] },
  // Folded of a square: what lies across it and is half as tall fills it, all else is told to be loose.
  'accordion-pocket': { least: 60, tall: [1 / 2, 1 / 1.75], thick: [3, 12] },
  // Its wings share the centre's width, and close over what is at least as tall as wide.
  'envelope-trio': { least: 50, tall: [1, 1.3] },
  'slider-set': { least: 60 },
  'storage-pocket': { least: 55 },
};

test.each(CONSTRUCTIONS.map(({ name }) => name))('%s: nothing told but what goes in', (construction) => {
  const { least = 30, tall = [1 / 2.5, 2.5], thick = FLAT } = FOR[construction] ?? {};
  const share = fc.double({ min: 0, max: 1, noNaN: true });
  fc.assert(
    fc.property(share, share, share, fc.boolean(), (size, shape, body, inches) => {
      const step = inches ? 25.4 / 8 : 1;
      const onMark = (length: number): number => Math.round(length / step) * step;
      const ratio = tall[0] * (tall[1] / tall[0]) ** shape;
      const shorter = least + size * (300 / Math.max(ratio, 1 / ratio) - least);
      const [width, height] = ratio > 1 ? [shorter, shorter * ratio] : [shorter / ratio, shorter];
      const thickness = thick[0] + body * (thick[1] - thick[0]);
      const plan = planOf({
        version: 1,
        construction,
        contents: {
          width: onMark(width),
          height: onMark(height),
          thickness: thick === FLAT ? thickness : onMark(thickness),
        },
        graduation: inches ? '1/8 in' : '1 mm',
      });
      const wrong = checksOf(plan).flatMap(({ id, level, value }) =>
        level === 'fail' || level === 'warn' ? [`${level} ${id} ${value.toFixed(2)}`] : [],
      );
      expect({ refused: plan.refusal, wrong }).toEqual({ refused: null, wrong: [] });
    }),
    runs(20),
  );
});
