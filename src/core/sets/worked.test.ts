/** Sets as workshops make them. Figures: common practice, no source (tests/common-practice.json), unless said otherwise. */
import practice from '../../../tests/common-practice.json';
import { INCH, inches } from '../length';
import { cutListOf, planSet, readSet, setChecks, type PlannedPart, type SetInput, type SetPlan } from '.';

function planned(input: SetInput): SetPlan {
  const read = readSet(input);
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  return planSet(read.set);
}
const named = ({ parts }: SetPlan, id: string): PlannedPart => parts.find(({ part }) => part.id === id)!;
const levels = (plan: SetPlan, kind: string) =>
  setChecks(plan).flatMap((check) => (check.kind === kind ? [check.level] : []));
const inInches = (value: number): number => value / INCH;

describe('long cards with two layers in centre-seam envelopes from letter sheets, four to a lidded box one inch deep', () => {
  const [seam] = practice.seamEnvelope as { blank: number[]; inside: number[]; lap: number }[];
  const [tray] = practice.trayBox;
  const set: SetInput = {
    version: 1,
    tool: { kind: 'scoring-board' },
    papers: [
      { id: 'cover', width: '12 in', height: '12 in', caliper: 0.3 },
      { id: 'letter', width: '8 1/2 in', height: '11 in', caliper: 0.13 },
    ],
    parts: [
      {
        id: 'card',
        quantity: 4,
        paper: 'cover',
        given: { width: '3 1/2 in', height: '8 1/2 in', thickness: 0.6 },
        layers: [{ on: 'front' }, { on: 'front' }],
      },
      {
        id: 'envelope',
        quantity: 4,
        paper: 'letter',
        design: {
          construction: 'seam-envelope',
          blank: { width: inches(seam!.blank[0]!), height: inches(seam!.blank[1]!) },
          options: { lap: inches(seam!.lap), bottomFlap: '1/2 in', closingFlap: '1 1/2 in' },
        },
        holds: [{ part: 'card' }],
      },
      {
        id: 'box',
        paper: 'cover',
        design: {
          construction: 'tray-box',
          options: { depth: '1 in' },
        },
        holds: [{ part: 'envelope', count: 4, lie: 'stacked' }],
      },
    ],
  };
  const plan = planned(set);

  test('a letter sheet gives an envelope four inches by nine, and the card goes in with its two mats', () => {
    const { inside } = named(plan, 'envelope').plan.made!;
    expect([inInches(inside.width), inInches(inside.height)]).toEqual([
      expect.closeTo(seam!.inside[0]!, 6),
      expect.closeTo(seam!.inside[1]!, 6),
    ]);
    // The card and two papers: the outside of what goes in.
    expect(named(plan, 'card').outside!.thickness).toBeCloseTo(0.6 + 2 * 0.3, 6);
    expect(named(plan, 'envelope').holds!.thickness).toBeCloseTo(1.2, 6);
  });

  test('all four lie in the box, with room over them, and its lid closes', () => {
    const box = named(plan, 'box');
    expect(box.holds!.thickness).toBeLessThan(inches(1));
    const { width, height } = box.plan.made!.inside;
    expect(width).toBeGreaterThan(box.holds!.width);
    expect(height).toBeGreaterThan(box.holds!.height);
    expect(box.plan.made!.fit!.depth).toBeGreaterThan(0);
    expect(named(plan, 'box').plan.made!.built.pieces.map(({ name }) => name)).toContain('lid');
    expect(levels(plan, 'count-short')).toEqual([]);
  });

  test('the tray of common practice is an exact fit lengthwise: what its tabs take of it is told', () => {
    const usual = {
      ...set,
      parts: set.parts.map((part) =>
        part.id === 'box'
          ? {
              ...part,
              design: {
                construction: 'tray-box',
                blank: { width: inches(tray!.tray[0]!), height: inches(tray!.tray[1]!) },
                options: { depth: inches(tray!.score) },
              },
            }
          : part,
      ),
    };
    const long = setChecks(planned(usual)).find(({ id }) => id === 'goes-in-box-height')!;
    // Two layers of 0.3 mm where the tabs are glued inside.
    expect([long.level, long.value]).toEqual(['fail', expect.closeTo(-0.6, 6)]);
    expect(levels(planned(usual), 'goes-in').filter((level) => level === 'pass').length).toBeGreaterThan(2);
  });

  test('its mats are an eighth and a quarter smaller all round than the card, eight in all', () => {
    const mats = cutListOf(plan).flatMap(({ pieces }) => pieces.filter(({ part }) => part === 'card'));
    expect(mats.map(({ width, height, quantity }) => [inInches(width), inInches(height), quantity])).toEqual([
      [expect.closeTo(3.25, 6), expect.closeTo(8.25, 6), 4],
      [expect.closeTo(3, 6), expect.closeTo(8, 6), 4],
    ]);
  });
});

test('a band joined from two strips goes round the box it is made for, a lap at the join and one at the ends', () => {
  const set = (sheetLength: string | null): SetInput => ({
    version: 1,
    parts: [
      { id: 'box', given: { width: '5 in', height: '9 in', thickness: '1 in' } },
      {
        id: 'band',
        design: { construction: 'belly-band', options: { lap: '1/2 in', ...(sheetLength && { sheetLength }) } },
        round: 'box',
      },
    ],
  });
  const whole = named(planned(set(null)), 'band').plan.made!;
  // Once round is twice the width and the thickness, the lap, and 1/16 to 1/8 in to slide with on each of its four sides.
  const [length] = whole.pieces.map(({ piece }) => piece.blank.width);
  const ease = (length! - 2 * inches(5 + 1) - inches(1 / 2)) / 4;
  expect(ease).toBeGreaterThanOrEqual(inches(practice.ease.slidingInsert[0]!) - 1e-6);
  expect(ease).toBeLessThanOrEqual(inches(practice.ease.slidingInsert[1]!) + 1e-6);
  const joined = named(planned(set('11 in')), 'band').plan.made!;
  const strips = joined.pieces.map(({ piece }) => piece.blank.width);
  expect(strips).toHaveLength(2);
  // What is joined is longer by the lap of the join.
  expect(strips.reduce((sum, one) => sum + one, 0)).toBeCloseTo(length! + inches(1 / 2), 6);
  expect(Math.max(...strips)).toBeLessThanOrEqual(inches(11));
});

test('a gift card with insert, holder and mats: the holder is the usual one, and grows with the paper of the insert', () => {
  const [holder] = practice.cardHolder;
  const set = (insert: boolean): SetInput => ({
    version: 1,
    tool: { kind: 'scoring-board' },
    papers: [
      { id: 'cover', width: '12 in', height: '12 in', caliper: 0.3 },
      { id: 'mat', caliper: 0.25 },
    ],
    parts: [
      { id: 'gift-card', given: { width: '85.6 mm', height: '53.98 mm', thickness: 0.76 } },
      {
        id: 'holder',
        paper: 'cover',
        design: { construction: 'card-holder', options: { fingerNotch: 0 } },
        holds: [{ part: 'gift-card', turn: true }],
        layers: [
          { on: 'front', paper: 'mat' },
          { on: 'front', paper: 'mat' },
          ...(insert ? [{ on: 'inside', pull: true, paper: 'mat' } as const] : []),
        ],
      },
      { id: 'envelope', paper: 'cover', design: { construction: 'seam-envelope' }, holds: [{ part: 'holder' }] },
    ],
  });
  const [plain, lined] = [planned(set(false)), planned(set(true))];
  const blank = named(plain, 'holder').plan.made!.pieces[0].piece.blank;
  // ISO/IEC 7810 ID-1, 85.60 × 53.98 mm, standing in the holder of common practice.
  expect([inInches(blank.width), inInches(blank.height)]).toEqual([
    expect.closeTo(holder!.blank[0]!, 6),
    expect.closeTo(holder!.blank[1]!, 6),
  ]);
  const [mat, second, insert] = named(lined, 'holder').plan.made!.layers.map(({ piece }) => piece.blank);
  expect(mat!.width - second!.width).toBeCloseTo(inches(1 / 4), 6);
  expect(insert!.width).toBeLessThan(named(lined, 'holder').plan.made!.inside.width);
  // The holder is as thick as its paper, the card, the insert and both mats.
  const thicker = named(lined, 'holder').outside!.thickness - named(plain, 'holder').outside!.thickness;
  expect(thicker).toBeCloseTo(0.25, 6);
  expect(named(lined, 'envelope').holds!.thickness).toBeCloseTo(named(lined, 'holder').outside!.thickness, 9);
});
