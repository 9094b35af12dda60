import { contentsFirst, planOf } from '../../../tests/helpers/designs';
import fc from 'fast-check';
import { PageSizes } from '@cantoo/pdf-lib';
import { CONSTRUCTIONS } from '../constructions';
import { INCH, inches, mm, sayer } from '../length';
import { CARDS, PAPERS, readDesign, smallestPaperFor } from '../design';
import { checkSentence, checksOf, remedyLabel } from '../checks';
import { planDocument } from '../document';
import { stepsOf } from '../making';

const envelope = (fields: object) => ({ version: 1, construction: 'diagonal-envelope', ...fields });
const card = { contents: { width: '3 in', height: '4 in' } };
const issues = (input: unknown) => {
  const read = readDesign(input);
  return read.ok ? [] : read.issues.map((issue) => `${issue.path}: ${issue.message}`);
};
const find = (fields: object, id: string) => checksOf(planOf(envelope(fields))).find((check) => check.id === id);

describe('a bad document', () => {
  test.each([
    [null, 'JSON object'],
    [[], 'JSON object'],
    [{}, 'Name the construction'],
    [{ version: 1, construction: 'hat' }, '"hat" is not a construction known here. Known are: diagonal-envelope'],
    [envelope({}), 'contents: Say what goes in'],
    [{ ...envelope(card), version: 2 }, 'version: This reads documents of version 1'],
    [envelope({ contents: { width: '3 in' } }), 'contents.height: The contents’ height is missing'],
    [envelope({ contents: { width: '3', height: '4 in' } }), 'contents.width: “3” has no unit'],
    [envelope({ contents: { width: -1, height: '4 in' } }), 'contents.width: -1 mm is too small'],
    [envelope({ contents: { width: '3 in', height: '4 in', thickness: '-1 mm' } }), 'contents.thickness'],
    [envelope({ contents: { width: '3 in', height: '4 in', depth: 3 } }), 'contents.depth: “depth” is not known here'],
    [envelope({ contents: { width: 1e9, height: '4 in' } }), 'contents.width: 1000000000 mm is too large'],
    [envelope({ contents: { width: null, height: '4 in' } }), 'contents.width: Write a length'],
    [envelope({ ...card, graduation: '1/7 in' }), 'graduation: Marks come at 1/8 in'],
    [envelope({ ...card, tool: { kind: 'laser' } }), 'tool'],
    [envelope({ ...card, tool: { kind: 'envelope-board', notch: 0 } }), 'tool.notch'],
    [envelope({ ...card, options: { radus: 9 } }), 'options.radus: “radus” is not known here'],
    [
      envelope({ ...card, options: { opening: 'top' } }),
      'options.opening: "top" is not a choice here. Choose long or short',
    ],
    [envelope({ ...card, options: { setting: '2 in' } }), 'options.setting: “Set at” goes with the paper at hand'],
    [envelope({ ...card, paper: { width: '12 in' } }), 'paper.height: Give the paper’s width and height both'],
    [envelope({ ...card, paper: { sided: 3 } }), 'paper.sided: Paper is printed on 1 or 2 sides'],
    [envelope({ ...card, ease: { width: '-1/8 in' } }), 'ease.width'],
    [
      JSON.parse(
        '{"version":1,"construction":"diagonal-envelope","contents":{"width":"3 in","height":"4 in","__proto__":{"x":1}}}',
      ),
      'contents.__proto__',
    ],
  ])('%j is refused: %s', (input, sentence) => expect(issues(input).join('\n')).toContain(sentence));

  test('every problem is gathered, not the first', () =>
    expect(issues(envelope({ contents: { width: 'x', height: 'y' }, graduation: 'z' }))).toHaveLength(3));
  test('anything at all is answered without throwing', () =>
    fc.assert(fc.property(fc.anything(), (input) => void readDesign(input))));
});

describe('defaults', () => {
  test('least ease is never asked beyond the aim by itself', () => {
    const read = readDesign(envelope({ ...card, ease: { width: 1 } }));
    expect(read).toMatchObject({
      ok: true,
      design: { aim: { width: 1, height: inches(3 / 16) }, least: { width: 1, height: inches(0.0625) } },
    });
  });

  test('paper first with no setting stands in the middle; contents beside it are tried in it', () => {
    const { made } = planOf(
      envelope({ blank: { width: '6 in', height: '6 in' }, contents: { width: '3 in', height: '3 in' } }),
    );
    expect(made!.pieces[0].piece.notches.map((n) => n.at)).toEqual(
      [3, 3, 3, 3].map((at) => expect.closeTo(inches(at), 6)),
    );
    // Two folded edges, and the laps of the flaps, of paper of 0.25 mm.
    expect(made!.fit!.ease.width).toBeCloseTo(inches(Math.SQRT2 * (3 - 0.375) - 3) - 4 * 0.25, 6);
  });
});

describe('checks', () => {
  test('too large contents fail by how much, tight ones warn, none left is a warning', () => {
    const sheet = {
      blank: { width: '6 in', height: '6 in' },
      graduation: 'exact',
      options: { setting: '3 in' },
      paper: { caliper: 0.01 },
    };
    const inside = Math.SQRT2 * (3 - 0.375);
    const width = (by: number) =>
      find({ ...sheet, contents: { width: inches(inside + by), height: '2 in' } }, 'room-width')!;
    expect([width(0.1).level, width(0.1).value / INCH]).toEqual(['fail', expect.closeTo(-0.1 - 0.04 / INCH, 5)]);
    expect(width(0).level).toBe('warn');
    expect(width(-0.03).level).toBe('warn');
    expect(width(-0.1).level).toBe('pass');
    expect(find({ ...sheet, contents: { width: inches(inside + 0.1), height: '2 in' } }, 'goes-in')!.level).toBe(
      'fail',
    );
  });

  test('thickness takes its room both ways', () => {
    const { made } = planOf(
      envelope({ contents: { width: '3 in', height: '4 in', thickness: '1/8 in' }, graduation: 'exact' }),
    );
    expect(made!.inside.width / INCH).toBeCloseTo(3 + 1 / 8 + 3 / 16 + made!.holds[0]!.taken.width / INCH, 6);
    expect(made!.inside.height / INCH).toBeCloseTo(4 + 1 / 8 + 3 / 16 + made!.holds[0]!.taken.height / INCH, 6);
    // The aim is what is there, the envelope's own paper taken off.
    expect(made!.fit!.ease.width / INCH).toBeCloseTo(3 / 16, 6);
    expect(made!.thickest / INCH).toBeCloseTo(1 / 8 + 3 / 16 - 1 / 16, 6);
    expect(find({ contents: { width: '3 in', height: '4 in', thickness: '1/2 in' } }, 'thick-contents')!.level).toBe(
      'warn',
    );
  });

  test('a blank larger than the paper fails and offers the smallest sheet that does', () => {
    const check = find({ ...card, paper: { width: '5 in', height: '5 in' } }, 'paper')!;
    expect([check.level, remedyLabel(check.remedies[0]!, sayer('in', '1/8 in'))]).toEqual(['fail', 'Get 6 in square']);
    expect(find({ ...card, paper: { ...(check.remedies[0]!.change.paper as object) } }, 'paper')!.level).toBe('pass');
    expect(
      find({ contents: { width: 5000, height: 5000 }, paper: { width: '5 in', height: '5 in' } }, 'paper')!.remedies,
    ).toEqual([]);
  });

  test('thin and stiff paper, one-sided and directional paper are spoken of', () => {
    expect(find({ ...card, paper: { caliper: 0.08 } }, 'thin-paper')!.level).toBe('note');
    expect(find({ ...card, paper: { caliper: 0.5 } }, 'stiff-paper')!.level).toBe('note');
    expect(find({ ...card, paper: { sided: 1 } }, 'print-side')).toMatchObject({ level: 'note', value: 0 });
    // The folds run at 45° to the sheet, and so does its print on the finished front.
    expect(Math.abs(find({ ...card, paper: { directional: true } }, 'print-direction')!.value % 90)).toBeCloseTo(45, 3);
  });

  test('the plain side of one-sided paper shows only where a flap sticks out past the front, and the flap is named', () => {
    const oneSided = { paper: { sided: 1 } };
    // A folded tip lies under the closed flap, so it shows nothing.
    expect(find({ ...card, ...oneSided, options: { tip: 'folded' } }, 'print-side')!.value).toBe(0);
    const check = find(
      { contents: { width: '2 in', height: '5 in' }, options: { flaps: 'whole' }, ...oneSided },
      'print-side',
    )!;
    expect(checkSentence(check, sayer('in', '1/8 in'))).toBe(
      'One-sided paper: the plain side will show at the bottom flap and the closing flap.',
    );
  });

  test.each([
    [{ contents: { width: '2 in', height: '5 in' }, options: { flaps: 'whole' } }, 'overhang', 'Trim the flaps'],
    [{ blank: { width: '6 in', height: '8 in' } }, 'blank-not-square', 'Cut it 6 in square'],
    [
      { blank: { width: '6 in', height: '6 in' }, options: { setting: '7 in' } },
      'setting-off-sheet',
      'Set it in the middle',
    ],
    [{ contents: { width: '2 in', height: '2 in' }, options: { corner: '3 in' } }, 'corner-too-round', 'Make it fit'],
    [{ ...card, options: { tip: 'blunt', tipDepth: '3 in' } }, 'tip-too-deep', 'Take less off'],
    [
      {
        blank: { width: '6 in', height: '6 in' },
        options: { setting: '3 in' },
        contents: { width: '5 in', height: '3 in' },
      },
      'room-width',
      'Cut a sheet to fit',
    ],
  ])('%j: the remedy of %s, “%s”, laid over the design, cures it', (fields, id, label) => {
    const check = find(fields, id)!;
    expect(check.level).toBe('fail');
    const remedy = check.remedies.find((r) => remedyLabel(r, sayer('in', '1/8 in')) === label)!;
    const { options, ...change } = remedy.change;
    // Through JSON, as a file would carry it: what is undefined is left out.
    const cured = JSON.parse(
      JSON.stringify({ ...fields, ...change, options: { ...(fields as { options?: object }).options, ...options } }),
    ) as object;
    expect(checksOf(planOf(envelope(cured))).filter((c) => c.level === 'fail')).toEqual([]);
  });

  test('every check of many designs has its sentence, in inches and in millimetres', () =>
    fc.assert(
      fc.property(contentsFirst(CONSTRUCTIONS[0]!), fc.boolean(), (input, oneSided) => {
        const plan = planOf({
          ...input,
          paper: { width: 150, height: 150, caliper: 0.1, sided: oneSided ? 1 : 2, directional: true },
        });
        for (const check of checksOf(plan))
          for (const say of [sayer('in', '1/16 in'), sayer('mm', '1 mm')]) {
            expect(checkSentence(check, say)).toMatch(/^[A-Z0-9−≈].*\.$/u);
            expect(checkSentence(check, say)).not.toMatch(/undefined|NaN|Infinity/);
            for (const remedy of check.remedies) expect(remedyLabel(remedy, say)).toMatch(/^[A-Z]/);
          }
      }),
    ));

  test('what fits is never said larger than it is', () => {
    const { made } = planOf(envelope({ blank: { width: '6 in', height: '6 in' }, options: { setting: '2 5/8 in' } }));
    const sentence = checkSentence(
      find({ blank: { width: '6 in', height: '6 in' }, options: { setting: '2 5/8 in' } }, 'what-fits')!,
      sayer('in', '1/8 in'),
    );
    expect(sentence).toBe('Holds up to 3 in × 4 1/8 in.');
    expect(made!.largest.width).toBeGreaterThanOrEqual(inches(3));
  });
});

describe('steps', () => {
  test('tell the whole make in order, and warn at blade, punch and scissors', () => {
    const steps = stepsOf(planOf(envelope(card)), sayer('in', '1/8 in'));
    expect(steps.map((s) => s.action)).toEqual([
      'cut',
      'punch',
      'score',
      'turn',
      'punch',
      'score',
      'turn',
      'punch',
      'score',
      'turn',
      'punch',
      'score',
      'trim',
      'fold',
      'glue',
      'fold',
      'insert',
      'close',
    ]);
    expect(steps.filter((s) => ['cut', 'punch', 'trim'].includes(s.action)).every((s) => s.caution)).toBe(true);
    expect(steps[1]!.text).toContain('left end at 2 5/8 in');
    expect(steps.map((s) => s.id)).toEqual(steps.map((_, i) => i + 1));
  });

  test('by hand the marks of an edge are one step, and a turn is a turn', () => {
    const texts = stepsOf(planOf(envelope({ ...card, tool: { kind: 'ruler' } })), sayer('in', '1/8 in')).map(
      (s) => s.text,
    );
    expect(texts[1]).toBe('With edge 1 near you, mark 2 1/4 in and 3 in from its left end.');
    expect(texts.filter((text) => text.includes('score between the notches'))).toHaveLength(4);
    expect(texts[2]).toBe('Turn the sheet a quarter clockwise: edge 2 comes near, edge 1 lies on the left.');
  });

  test('the score of a folded tip has no notches to stop at', () => {
    const texts = stepsOf(planOf(envelope({ ...card, options: { tip: 'folded' } })), sayer('in', '1/8 in')).map(
      (s) => s.text,
    );
    expect(texts.find((text) => text.startsWith('Score 5:'))).toMatch(/; score all along\.$/);
  });

  test('past the groove’s end the step says what to do instead', () => {
    const texts = stepsOf(planOf(envelope({ contents: { width: '5 in', height: '7 in' } })), sayer('in', '1/8 in')).map(
      (s) => s.text,
    );
    expect(texts.some((text) => text.includes('carry the line on with a ruler'))).toBe(true);
  });
});

test('sizes are the published ones (ISO 216 through a PDF library’s table; ISO/IEC 7810 ID-1 85.60 × 53.98 mm)', () => {
  const size = (list: typeof CARDS, id: string) => list.find((s) => s.id === id)!;
  for (const [list, id, points] of [
    [CARDS, 'a7', PageSizes.A7],
    [CARDS, 'a6', PageSizes.A6],
    [CARDS, 'a5', PageSizes.A5],
    [PAPERS, 'a4', PageSizes.A4],
    [PAPERS, 'a3', PageSizes.A3],
    [PAPERS, 'letter', PageSizes.Letter],
  ] as const)
    expect([size(list, id).width, size(list, id).height]).toEqual(
      points.map((p) => expect.closeTo((p / 72) * INCH, 0)),
    );
  expect(size(CARDS, 'id1')).toMatchObject({ width: 85.6, height: 53.98 });
  expect(smallestPaperFor({ width: mm(205), height: mm(205) })?.id).toBe('a4');
});

test('the document answers for paper alone with the largest contents at the least ease', () => {
  const document = planDocument(
    planOf(envelope({ blank: { width: '6 in', height: '6 in' }, contents: { thickness: '1/8 in' } })),
  );
  expect(document.ease).toEqual({ width: inches(1 / 16), height: inches(1 / 16), depth: 0 });
  // A millimetre is what two folded edges and the laps of the flaps take.
  expect(document.largestContents.width).toBeCloseTo(document.inside.width - inches(1 / 8) - inches(1 / 16) - 1, 6);
});
