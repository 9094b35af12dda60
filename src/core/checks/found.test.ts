/** Cases that trying properties on new seeds found, each by its smallest: what they showed was mended, and stays so. */
import { planOf } from '../../../tests/helpers/designs';
import { checksOf } from './checks';

test('pleats of an accordion pocket made to fit do fit, also where rounding gave the old ones more room', () => {
  let options: Record<string, unknown> = { pleats: 5, pleat: '1/4 in', lid: '2 1/2 in' };
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
    parts.push((refused!.about as { part?: string }).part);
    options = { ...options, ...refused!.remedies[0]!.change.options };
  }
  // First the pleats, then the lid, each made to fit once.
  expect(parts).toEqual(['pleat', 'lid']);
});

test.each([
  [{ kind: 'edge-board' }, '1 mm', { width: 32.150000500000004, height: 17.682500275000002 }],
  [{ kind: 'scoring-board', length: 80 }, '1/8 in', { width: 34.925, height: 19.20875 }],
] as const)(
  'a desk file’s front that is too high for its walls fits once it was made to fit (%j)',
  (tool, graduation, contents) => {
    const design = { version: 1, construction: 'desk-file', contents, tool, graduation } as const;
    const plan = planOf({ ...design, options: { frontHeight: 47.62499999999999 } });
    const [refused] = checksOf(plan);
    expect(refused).toMatchObject({ id: 'part-too-large', about: { part: 'front' } });
    const mended = planOf({ ...design, options: { ...refused!.remedies[0]!.change.options } });
    expect(checksOf(mended).filter(({ id }) => id === 'part-too-large')).toEqual([]);
    expect(mended.made).not.toBeNull();
  },
);

test('a sliver of rounding beside a mat is no waste to cut off', () => {
  const { made } = planOf({
    version: 1,
    construction: 'flap-mat',
    blank: { width: 244.78169499999998, height: 244.78169499999998 },
    contents: { thickness: 0 },
    tool: { kind: 'scoring-board', length: 80 },
    graduation: 'exact',
    options: { cornerRadius: 3.175 },
  });
  const [{ piece, toolFaults }] = made!.pieces;
  expect(piece.trims.map(({ name }) => name)).toEqual(['second mat', 'mat', 'mat', 'mat']);
  expect(toolFaults).toEqual([]);
});
