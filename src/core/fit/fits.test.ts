import fc from 'fast-check';
import { inches, mm } from '../length';
import { contentsKind, roomFromFits, wantedRoom, type FitSeen, type Fitted } from '.';

const fitted = (how: Fitted['how'], by = 0): Fitted => ({ how, by: inches(by) });
const make = (room: number, fit: Fitted): FitSeen => ({
  room: { width: inches(room), height: inches(room) },
  fit: { width: fit, height: fitted('right') },
});

test('tight wants more than was left, loose less, right the same; unmeasured counts as a sixteenth', () => {
  expect(wantedRoom(inches(0.25), fitted('tight', 0.125)) / 25.4).toBeCloseTo(0.375, 9);
  expect(wantedRoom(inches(0.25), fitted('loose', 0.125)) / 25.4).toBeCloseTo(0.125, 9);
  expect(wantedRoom(inches(0.25), fitted('right')) / 25.4).toBeCloseTo(0.25, 9);
  expect(wantedRoom(inches(0.25), fitted('tight')) / 25.4).toBeCloseTo(0.3125, 9);
  expect(wantedRoom(inches(0.0625), fitted('loose', 0.25))).toBe(0);
});

test('the worked example, by hand: five makes of one holder', () => {
  // Room left 3/16 tight by 1/8 → 5/16; 1/4 tight by 1/16 → 5/16; 1/4 right → 1/4; 3/8 loose, unmeasured → 5/16;
  // 1/2 loose by 1/16 → 7/16. In order 1/4, 5/16, 5/16, 5/16, 7/16: the middle one is 5/16. Height: always right,
  // so 3/16, 1/4, 1/4, 3/8, 1/2: 1/4.
  const advice = roomFromFits(
    [
      make(3 / 16, fitted('tight', 1 / 8)),
      make(1 / 4, fitted('tight', 1 / 16)),
      make(1 / 4, fitted('right')),
      make(3 / 8, fitted('loose')),
      make(1 / 2, fitted('loose', 1 / 16)),
    ],
    '1/16 in',
  )!;
  expect(advice.width.wanted / 25.4).toBeCloseTo(5 / 16, 9);
  expect(advice.width.onMark / 25.4).toBeCloseTo(5 / 16, 9);
  expect(advice.width.least / 25.4).toBeCloseTo(1 / 4, 9);
  expect(advice.width.most / 25.4).toBeCloseTo(7 / 16, 9);
  expect(advice.width).toMatchObject({ makes: 5, off: 4 });
  expect(advice.height.wanted / 25.4).toBeCloseTo(1 / 4, 9);
  expect(advice.height.off).toBe(0);
});

test('three fits an eighth too tight ask for an eighth more', () => {
  const advice = roomFromFits(
    [1, 2, 3].map(() => make(1 / 4, fitted('tight', 1 / 8))),
    '1/8 in',
  )!;
  expect(advice.width.onMark / 25.4).toBeCloseTo(3 / 8, 9);
  expect(advice.width.makes).toBe(3);
});

test('with an even number the two middle ones are shared; between marks the next one up is taken', () => {
  const advice = roomFromFits([make(1 / 4, fitted('right')), make(1 / 4, fitted('tight', 1 / 16))], '1/8 in')!;
  expect(advice.width.wanted / 25.4).toBeCloseTo(0.28125, 9);
  // A hair too much slides; a hair too little does not go in.
  expect(advice.width.onMark / 25.4).toBeCloseTo(0.375, 9);
});

test('a misfit measured on things of this very size stands before what all others say', () => {
  const size = { width: inches(3), height: inches(4), thickness: 0 };
  const others = [make(1 / 8, fitted('right')), make(1 / 8, fitted('right')), make(1 / 8, fitted('right'))];
  const measured = { ...make(1 / 8, fitted('tight', 1 / 8)), contents: size };
  const felt = { ...make(1 / 8, fitted('tight')), contents: size };
  const width = (makes: readonly FitSeen[], contents?: typeof size): number =>
    roomFromFits(makes, '1/16 in', contents)!.width.onMark / 25.4;
  expect(width([...others, measured], size)).toBeCloseTo(1 / 4, 9);
  // Of another size, or only felt and not measured, it is one among many.
  expect(width([...others, measured], { ...size, width: inches(3.5) })).toBeCloseTo(1 / 8, 9);
  expect(width([...others, measured])).toBeCloseTo(1 / 8, 9);
  expect(width([...others, felt], size)).toBeCloseTo(1 / 8, 9);
  // Several of this size: the middle of what they say, whatever the others do.
  const again = { ...make(1 / 4, fitted('loose', 1 / 16)), contents: { ...size, width: size.width + 0.3 } };
  expect(roomFromFits([again, ...others, measured], '1/16 in', size)!.width.wanted / 25.4).toBeCloseTo(7 / 32, 9);
  expect(roomFromFits([...others, measured], '1/16 in', size)!.width.makes).toBe(1);
});

test('without makes there is no advice', () => {
  expect(roomFromFits([], '1/8 in')).toBeNull();
});

test('advice lies between what the makes say, in whatever order they come, and one odd make in five cannot move it beyond the others', () => {
  const how = fc.constantFrom('tight' as const, 'right' as const, 'loose' as const);
  const one = fc.record({
    room: fc.double({ min: 0, max: 12, noNaN: true }),
    how,
    by: fc.double({ min: 0, max: 6, noNaN: true }),
  });
  fc.assert(
    fc.property(fc.array(one, { minLength: 1, maxLength: 9 }), (rows) => {
      const makes = rows.map(({ room, how: verdict, by }): FitSeen => ({
        room: { width: mm(room), height: mm(room) },
        fit: { width: { how: verdict, by: mm(by) }, height: { how: 'right', by: mm(0) } },
      }));
      const { width } = roomFromFits(makes, 'exact')!;
      expect(width.wanted).toBeGreaterThanOrEqual(width.least);
      expect(width.wanted).toBeLessThanOrEqual(width.most);
      expect(roomFromFits([...makes].reverse(), 'exact')!.width).toEqual(width);
      if (makes.length >= 4) {
        const odd: FitSeen = { ...makes[0]!, room: { width: mm(900), height: mm(0) } };
        expect(roomFromFits([...makes, odd], 'exact')!.width.wanted).toBeLessThanOrEqual(width.most);
      }
    }),
  );
});

test('a card is flat, a stack is thick', () => {
  expect(contentsKind({ thickness: 0.76 })).toBe('flat');
  expect(contentsKind({ thickness: 3 })).toBe('thick');
});
