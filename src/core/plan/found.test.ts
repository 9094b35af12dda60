/** Cases that trying properties on new seeds found, each by its smallest: what they showed was mended, and stays so. */
import { planOf } from '../../../tests/helpers/designs';
import { checksOf } from '.';

test('pleats of an accordion pocket made to fit do fit, also where rounding gave the old ones more room', () => {
  let options: Record<string, unknown> = { pleats: 5 };
  const parts: unknown[] = [];
  for (let tries = 0; tries < 4; tries++) {
    const plan = planOf({
      version: 1,
      construction: 'accordion-pocket',
      contents: { width: 16.5, height: 30 },
      graduation: '1/32 in',
      options,
    });
    if (plan.made) break;
    const [refused] = checksOf(plan);
    parts.push(refused!.about.part);
    options = { ...options, ...refused!.remedies[0]!.change.options };
  }
  // First the pleats, then the lid, each made to fit once.
  expect(parts).toEqual(['pleat', 'lid']);
});
