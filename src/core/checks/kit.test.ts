import { planOf } from '../../../tests/helpers/designs';
import { inches, sayer } from '../length';
import { drawPiece, rect } from '../pattern';
import { differences, programmeFor, simulate } from '../tools';
import { checksOf } from './checks';
import { checkSentence, remedyLabel } from './words';
import { longestCut } from '../cutting';
import { keyFigures } from '../looks';
import type { DesignInput } from '../design';

const say = sayer('in', '1/16 in');
const holder = (fields: object): DesignInput =>
  ({
    version: 1,
    construction: 'card-holder',
    contents: { width: '2 1/8 in', height: '3 3/8 in' },
    tool: { kind: 'scoring-board', pitch: '1/4 in' },
    ...fields,
  }) as DesignInput;
const checks = (design: object) => checksOf(planOf(design as never));
const found = (design: object, id: string) => checks(design).find((check) => check.id === id);

describe('scores between the grooves', () => {
  test('a score with no groove from either side is marked and scored along a ruler, and the check says so', () => {
    const design = holder({
      graduation: '1/16 in',
      paper: { caliper: 0.05 },
      contents: { width: '2 1/16 in', height: '3 3/16 in' },
    });
    const check = found(design, 'between-grooves')!;
    expect(checkSentence(check, say)).toMatch(
      /^A score at .* lies between your scoring board’s grooves, at .* and .*, from either side\. Mark it/,
    );
    const { programme, toolFaults } = planOf(design).made!.pieces[0];
    expect(toolFaults).toEqual([]);
    expect(programme.moves.some((move) => move.do === 'join')).toBe(true);
    for (const move of programme.moves)
      if (move.do === 'groove')
        expect((move.at / inches(1 / 4)) % 1).toBeCloseTo(Math.round((move.at / inches(1 / 4)) % 1), 6);
  });

  test('sizing on the grooves, where a ruler has such marks, mends it', () => {
    const design = holder({
      tool: { kind: 'scoring-board', pitch: '1/8 in' },
      graduation: '1/16 in',
      contents: { width: '2 1/16 in', height: '3 3/16 in' },
      options: { tab: '7/16 in' },
    });
    const check = found(design, 'between-grooves')!;
    expect(check.remedies.map((remedy) => remedyLabel(remedy, say))).toEqual(['Size it on the grooves, 1/8 in apart']);
    const mended = { ...design, ...check.remedies[0]!.change, options: {} } as DesignInput;
    expect(found(mended, 'between-grooves')).toBeUndefined();
  });

  test('a board with a groove for every mark has nothing between', () => {
    expect(
      found(holder({ tool: { kind: 'scoring-board' }, graduation: '1/16 in' }), 'between-grooves'),
    ).toBeUndefined();
  });

  test('measured from the other side a score may have its groove after all', () => {
    // 6 1/8 in wide, scored 2 1/8 from the left: that is 4 from the right, where a board with inch grooves has one.
    const [w, h, at] = [inches(6.125), inches(4), inches(2.125)];
    const piece = drawPiece({
      name: 'strip',
      blank: { width: w, height: h },
      panels: [
        { id: 'left', name: 'left', polygon: rect(0, 0, at, h) },
        { id: 'right', name: 'right', polygon: rect(at, 0, w, h) },
      ],
      folds: [{ id: 's1', between: ['left', 'right'] }],
    });
    const tool = { kind: 'scoring-board', length: inches(12), pitch: inches(1), notch: inches(3 / 4) } as const;
    const { moves } = programmeFor(piece, { edge: 1, reference: 'board' }, tool);
    expect(moves.find((move) => move.do === 'groove')).toMatchObject({ edge: 3, at: expect.closeTo(inches(4), 6) });
    expect(differences(simulate(piece.blank, tool, moves), piece)).toEqual([]);
  });
});

describe('what else lies on the table', () => {
  test('nothing is asked of tools nobody told of', () => {
    expect(checks(holder({})).filter(({ id }) => /trimmer|ruler-short|no-/.test(id))).toEqual([]);
  });

  test('a cut longer than the trimmer', () => {
    const check = found(
      holder({ kit: { trimmer: '4 in' }, paper: { width: '12 in', height: '12 in' } }),
      'trimmer-end',
    )!;
    expect(check.level).toBe('note');
    expect(checkSentence(check, say)).toContain('your trimmer ends at 4 in');
    expect(found(holder({ kit: { trimmer: '12 in' } }), 'trimmer-end')).toBeUndefined();
  });

  test('a punch that is missing: the nearest is offered, and taking it mends the plan', () => {
    const design = holder({ kit: { punches: ['3/4 in', '1/8 in'] } });
    const check = found(design, 'no-punch')!;
    expect(checkSentence(check, say)).toBe(
      'This takes a punch of 1 in, which is not on your table; the nearest there is 3/4 in.',
    );
    const [remedy] = check.remedies;
    expect(remedyLabel(remedy!, say)).toBe('Use your 3/4 in punch');
    expect(found({ ...design, options: remedy!.change.options }, 'no-punch')).toBeUndefined();
  });

  test('no punch at all: another way is told, and nothing is offered that is not there', () => {
    const check = found(holder({ kit: { punches: [] } }), 'no-punch')!;
    expect(check.remedies).toEqual([]);
    expect(checkSentence(check, say)).toContain('Draw it round a coin');
  });

  test('a corner rounder that is missing', () => {
    const design = (kit: object) => ({
      version: 1,
      construction: 'diagonal-envelope',
      contents: { width: '3 in', height: '4 in' },
      options: { corner: '1/2 in' },
      kit,
    });
    const check = found(design({ rounders: ['1/4 in'] }), 'no-corner-rounder')!;
    expect(check.remedies.map((r) => remedyLabel(r, say))).toEqual(['Use your 1/4 in corner rounder']);
    expect(found(design({ rounders: ['1/2 in'] }), 'no-corner-rounder')).toBeUndefined();
  });

  test('a line longer than the ruler', () => {
    const check = found(
      {
        version: 1,
        construction: 'diagonal-envelope',
        contents: { width: '5 in', height: '7 in' },
        tool: { kind: 'ruler' },
        kit: { ruler: '6 in' },
      },
      'ruler-short',
    )!;
    expect(checkSentence(check, say)).toContain('move the ruler along the line');
  });
});

test.each([
  // Blank, sheet, longest cut (in): worked out on squared paper.
  [[4, 6], [12, 12], 12],
  [[4, 6], [6, 12], 6],
  [[4, 6], [4, 12], 4],
  [[6, 6], [6, 6], 0],
  [[5, 11], [8.5, 11], 11],
  [[6, 4], [4, 12], 4],
  // What lies on no sheet is cut from a larger one: its own longest edge is all that is known.
  [[14, 4], [12, 12], 14],
  [[4, 14], [12, 12], 14],
] as const)('a blank of %p from a sheet of %p takes a cut of %p at most', ([w, h], [sw, sh], longest) => {
  expect(longestCut({ width: inches(w), height: inches(h) }, { width: inches(sw), height: inches(sh) })).toBeCloseTo(
    inches(longest),
    6,
  );
});

test('what was bought is neither cut nor scored: no figure for it, and nothing asked of paper, tool or trimmer', () => {
  const bought = planOf({
    version: 1,
    construction: 'bought-envelope',
    blank: { width: '7 1/4 in', height: '5 1/4 in' },
    paper: { width: '3 in', height: '3 in' },
    kit: { trimmer: '4 in' },
    tool: { kind: 'scoring-board', length: '6 in' },
  } as never);
  const figures = keyFigures(bought.made!, bought.design).map(({ id }) => id);
  expect(figures).toContain('finished');
  expect(figures.filter((id) => ['cut', 'set', 'marks', 'score'].includes(id))).toEqual([]);
  const asked = checksOf(bought).map(({ kind }) => kind);
  expect(asked).toContain('folding');
  expect(
    asked.filter((kind) => /^(paper|tool-proof|between|trimmer|board-end|close-scores|no-room)/u.test(kind)),
  ).toEqual([]);
});
