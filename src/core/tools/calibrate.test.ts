import fc from 'fast-check';
import { planOf } from '../../../tests/helpers/designs';
import { inches, mm } from '../length';
import { calibrate, COMMON_BOARD, enclosedBy, simulate, trialInside, type Move, type TrialFold } from '.';

const SQUARE = { sheet: inches(6), setting: inches(2.625) };

describe('calibration from trial folds', () => {
  test.each([
    [0.75, 0],
    [0.8, -0.0625],
    [0.7, 0.1],
  ])('a board with notch %d and offset %d is found from the one envelope it folds', (n, d) => {
    // The envelope's own formulas, written out: a = p + d − n/2, b = L − p − d − n/2; the inside is √2 as large.
    const [a, b] = [2.625 + d - n / 2, 6 - 2.625 - d - n / 2];
    const found = calibrate([{ ...SQUARE, width: inches(Math.SQRT2 * a), height: inches(Math.SQRT2 * b) }]);
    expect(found).toMatchObject({
      ok: true,
      board: { notch: expect.closeTo(inches(n), 6), offset: expect.closeTo(inches(d), 6) },
      readings: 2,
      odd: null,
    });
  });

  test('a trial measured on the simulated board gives that board back', () => {
    const tool = { ...COMMON_BOARD, notch: mm(20.3), offset: mm(-1.1) };
    const moves = planOf({
      version: 1,
      construction: 'diagonal-envelope',
      blank: { width: '6 in', height: '6 in' },
      options: { setting: inches(2.625) },
      tool,
    }).made!.pieces[0].programme.moves as Move[];
    const inside = enclosedBy(simulate({ width: inches(6), height: inches(6) }, tool, moves).scores)!;
    const [width, height] = [inside.width, inside.height].sort((a, b) => a - b) as [never, never];
    expect(calibrate([{ ...SQUARE, width, height }])).toMatchObject({
      ok: true,
      board: { notch: expect.closeTo(20.3, 4), offset: expect.closeTo(-1.1, 4) },
    });
  });

  test('the worked example: three trials read in eighths, solved by hand', () => {
    // 6 in squares at 2 5/8, 2 1/4 and 3: widths 3 1/8, 2 5/8, 3 3/4; heights 4 1/4, 4 3/4, 3 3/4 (in).
    // W/√2 − p: −0.41529, −0.39384, −0.34835; mean −0.38583.  H/√2 − (L − p): −0.36980, −0.39124, −0.34835;
    // mean −0.36980.  n = 0.38583 + 0.36980 = 0.75563;  d = (−0.38583 + 0.36980)/2 = −0.00802.
    const trials = [
      [2.625, 3.125, 4.25],
      [2.25, 2.625, 4.75],
      [3, 3.75, 3.75],
    ].map(([p, w, h]): TrialFold => ({
      sheet: inches(6),
      setting: inches(p!),
      width: inches(w!),
      height: inches(h!),
    }));
    const found = calibrate(trials);
    expect(found).toMatchObject({ ok: true, readings: 6, odd: null });
    if (!found.ok) throw new Error(found.message);
    expect(found.board.notch / 25.4).toBeCloseTo(0.75563, 4);
    expect(found.board.offset / 25.4).toBeCloseTo(-0.00802, 4);
    // Departures −0.02946, −0.00801, 0.03748 and 0, −0.02144, 0.02145: squares sum to 0.003257, over 6 − 2 spare readings
    // σ = 0.02853, more than the 1/16/√3/√2 = 0.02552 of the eye. Notch 2σ√(1/3 + 1/3) = 0.0466, offset half of that.
    expect(found.sure.notch / 25.4).toBeCloseTo(0.0466, 4);
    expect(found.sure.offset / 25.4).toBeCloseTo(0.0233, 4);
  });

  test('several trials come nearer than one, however each was misread, and say so truly', () => {
    const misread = fc.double({ min: -1, max: 1, noNaN: true }).map((share) => (share * inches(1)) / 16);
    fc.assert(
      fc.property(
        fc.double({ min: 12, max: 30, noNaN: true }),
        fc.double({ min: -3, max: 3, noNaN: true }),
        fc.array(fc.tuple(fc.double({ min: 50, max: 75, noNaN: true }), misread, misread), {
          minLength: 1,
          maxLength: 6,
        }),
        (notch, offset, folds) => {
          const board = { notch: mm(notch), offset: mm(offset) };
          const trials = folds.map(([setting, across, down]) => {
            const { width, height } = trialInside(board, mm(152.4), mm(setting));
            return { sheet: mm(152.4), setting: mm(setting), width: mm(width + across), height: mm(height + down) };
          });
          const found = calibrate(trials);
          if (!found.ok) throw new Error(found.message);
          // However the readings fell, the figures are off by no more than the worst of them would make it.
          expect(Math.abs(found.board.notch - notch)).toBeLessThanOrEqual((2 * inches(1)) / 16 / Math.SQRT2 + 1e-6);
          expect(Math.abs(found.board.offset - offset)).toBeLessThanOrEqual(inches(1) / 16 / Math.SQRT2 + 1e-6);
          const one = calibrate(trials.slice(0, 1));
          if (one.ok && trials.length > 2) expect(found.sure.notch).toBeLessThan(one.sure.notch * 1.6);
        },
      ),
    );
  });

  test('the figure for how sure it is holds for nineteen of twenty boards', () => {
    let inside = 0;
    let half = 0;
    const runs = 400;
    // A sequence spread evenly over readings half a mark either way: additive recurrence with irrational steps.
    for (let i = 1; i <= runs; i++) {
      const share = (step: number): number => (((i * step) % 1) * 2 - 1) * (inches(1) / 16);
      const { width, height } = trialInside({ notch: mm(19), offset: mm(1) }, mm(152.4), mm(66));
      const second = trialInside({ notch: mm(19), offset: mm(1) }, mm(152.4), mm(55));
      const found = calibrate([
        {
          sheet: mm(152.4),
          setting: mm(66),
          width: mm(width + share(Math.SQRT2)),
          height: mm(height + share(Math.sqrt(3))),
        },
        {
          sheet: mm(152.4),
          setting: mm(55),
          width: mm(second.width + share(Math.sqrt(5))),
          height: mm(second.height + share(Math.sqrt(7))),
        },
      ]);
      if (found.ok && Math.abs(found.board.notch - 19) <= found.sure.notch) inside++;
      if (found.ok && Math.abs(found.board.notch - 19) <= found.sure.notch / 2) half++;
    }
    expect(inside / runs).toBeGreaterThan(0.94);
    // And it promises no more than it must: half of it would not do.
    expect(half / runs).toBeLessThan(0.85);
  });

  test('a trial that does not go with the others is named', () => {
    const good = trialInside(COMMON_BOARD, inches(6), inches(2.625));
    const bad = { ...good, width: mm(good.width + 9) };
    expect(
      calibrate([
        { ...SQUARE, ...good },
        { ...SQUARE, ...bad },
        { ...SQUARE, ...good },
      ]),
    ).toMatchObject({
      ok: true,
      odd: 1,
    });
  });

  test('widths alone or heights alone do not tell notch from guide; one of each is enough', () => {
    const { width, height } = trialInside(COMMON_BOARD, inches(6), inches(2.625));
    expect(calibrate([])).toMatchObject({ ok: false });
    expect(calibrate([{ ...SQUARE, width }])).toMatchObject({
      ok: false,
      message: expect.stringContaining('Measure a width and a height'),
    });
    expect(
      calibrate([
        { ...SQUARE, width },
        { ...SQUARE, height },
      ]),
    ).toMatchObject({
      ok: true,
      board: { notch: expect.closeTo(COMMON_BOARD.notch, 6) },
    });
  });

  test('the two lengths the other way round are still understood', () => {
    const found = calibrate([
      {
        sheet: inches(6),
        setting: inches(2),
        width: inches(Math.SQRT2 * 3.625),
        height: inches(Math.SQRT2 * 1.625),
      },
    ]);
    expect(found).toMatchObject({ ok: true, board: { offset: expect.closeTo(0, 6) } });
  });

  test('figures no board can have are refused with a sentence', () => {
    expect(calibrate([{ ...SQUARE, width: inches(5), height: inches(5) }])).toMatchObject({
      ok: false,
      message: expect.stringContaining('which no board has'),
    });
    expect(
      calibrate([{ sheet: inches(6), setting: inches(4.5), width: inches(3.2), height: inches(4.2) }]),
    ).toMatchObject({ ok: false, message: expect.stringContaining('Check the setting') });
  });
});

describe('what scores enclose', () => {
  const score = (x1: number, y1: number, x2: number, y2: number) => ({ from: { x: x1, y: y1 }, to: { x: x2, y: y2 } });
  test('two pairs square to each other enclose a rectangle; a stretch of the same line counts once', () => {
    const four = [score(0, 0, 0, 90), score(40, 0, 40, 90), score(-5, 10, 60, 10), score(-5, 70, 60, 70)];
    expect(enclosedBy(four)).toEqual({ width: expect.closeTo(40, 9), height: expect.closeTo(60, 9) });
    expect(enclosedBy([...four, score(0, 95, 0, 99)])).not.toBeNull();
  });
  test('too few, too many or slanting scores enclose nothing', () => {
    const three = [score(0, 0, 0, 90), score(40, 0, 40, 90), score(-5, 10, 60, 10)];
    expect(enclosedBy([])).toBeNull();
    expect(enclosedBy(three)).toBeNull();
    expect(enclosedBy([...three, score(-5, 30, 60, 30), score(-5, 70, 60, 70)])).toBeNull();
    expect(enclosedBy([...three.slice(0, 2), score(0, 0, 50, 50), score(0, 20, 50, 70)])).toBeNull();
  });
});
