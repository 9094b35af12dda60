/** Boxes and holders that stand, against what workshops do and against sums done another way. */
import practice from '../../../tests/common-practice.json';
import { planOf } from '../../../tests/helpers/designs';
import { edgesMeet, leafOf } from '../fold';
import { seenFrom } from '../geometry';
import { INCH, inches, mm, sayer } from '../length';
import type { Piece } from '../pattern';
import { checksOf, checkSentence, type Check, type CheckOf } from '../checks';
import { consequenceOf } from '../choosing';
import { planDocument } from '../document';
import { stepsOf } from '../making';
import type { Made } from '../plan';
import { claimsOf, penTaken } from '.';

const say = sayer('in', '1/8 in');
const plan = (construction: string, fields: object) =>
  planOf({ version: 1, construction, tool: { kind: 'scoring-board', length: '16 in' }, ...fields });
const made = (construction: string, fields: object): Made => {
  const found = plan(construction, fields);
  if (!found.made) throw new Error(`refused: ${JSON.stringify(found.refusal)}`);
  return found.made;
};
const check = (construction: string, fields: object, id: string): Check =>
  checksOf(plan(construction, fields)).find((c) => c.id === id)!;
const failing = (construction: string, fields: object): string[] =>
  checksOf(plan(construction, fields)).flatMap((c) => (c.level === 'fail' ? [c.id] : []));
const blank = (width: number, height: number) => ({ width: inches(width), height: inches(height) });
const inchesOf = (values: readonly number[]): number[] => values.map((v) => v / INCH);
const close = (values: readonly number[]) => values.map((v) => expect.closeTo(v, 6));
const inside = ({ inside: { width, height, depth } }: Made): number[] => inchesOf([width, height, depth]);
const blankOf = (m: Made, name: string): number[] => {
  const { piece } = m.pieces.find((part) => part.piece.name === name)!;
  return inchesOf([piece.blank.width, piece.blank.height]);
};
/** Where upright or level scores stand, inches, each line once. */
const scores = ({ hinges }: Piece, upright: boolean): number[] =>
  [
    ...new Set(
      hinges
        .filter(({ line: { from, to } }) => Math.abs(upright ? from.x - to.x : from.y - to.y) < 1e-3)
        .map(({ line: { from } }) => Math.round(((upright ? from.x : from.y) / INCH) * 1e6) / 1e6),
    ),
  ].sort((a, b) => a - b);
const within = (found: number, wanted: number): void =>
  expect(Math.abs(found - wanted)).toBeLessThanOrEqual(practice.tolerance + 1e-9);

describe('common practice (figures workshops use, no published source)', () => {
  test('a tray of 6 1/2 × 11 scored at 1, its lid larger across only', () => {
    const [figures] = practice.trayBox;
    const fields = {
      blank: blank(figures!.tray[0]!, figures!.tray[1]!),
      options: { depth: '1 in', lidDirections: 'across' },
    };
    const m = made('tray-box', fields);
    expect(blankOf(m, 'lid')).toEqual(close(figures!.lid));
    expect(scores(m.pieces[0].piece, true)).toEqual([1, 5.5]);
    expect(scores(m.pieces[0].piece, false)).toEqual([1, 10]);
    expect(inside(m)).toEqual(close([4.5, 9, figures!.score]));
    // Lengthwise an exact fit, which is a note (geometry notes).
    expect(check('tray-box', fields, 'lid-height').level).toBe('note');
    expect(failing('tray-box', fields)).toEqual([]);
  });

  test('a diagonal box from a 4 1/2 in square set at 1 and 3', () => {
    const [figures] = practice.diagonalBox;
    const side = figures!.blank;
    const [p1, p2] = figures!.settings as [number, number];
    const fields = {
      blank: blank(side, side),
      tool: { kind: 'envelope-board' },
      options: { setting: inches(p1), secondSetting: inches(p2) },
    };
    const m = made('diagonal-box', fields);
    // L = (W + D)/√2 + √2·H + n, p1 = W/√2 + n/2, p2 = L − (D/√2 + n/2).
    const [W, D, H] = [(p1 - 0.375) * Math.SQRT2, (side - p2 - 0.375) * Math.SQRT2, (p2 - p1) / Math.SQRT2];
    expect(inside(m)).toEqual(close([W, D, H]));
    expect(m.pieces[0].piece.notches).toHaveLength(8);
    expect(
      failing('diagonal-box', { ...fields, contents: { width: '3/4 in', height: '1 3/8 in', thickness: '3/4 in' } }),
    ).toEqual([]);
  });

  test('a holder for a 4 × 6 pad, 1/2 in thick', () => {
    const [figures] = practice.padHolder;
    const [width, height, thickness] = figures!.pad.map((v): number => inches(v)) as [number, number, number];
    // Loop walls of 1/2 in, as the figures have them: for a pen of 5/16.
    const m = made('pad-holder', { contents: { width, height, thickness }, options: { loopWall: '1/2 in' } });
    blankOf(m, m.pieces[0].piece.name).forEach((side, i) => within(side, figures!.blank[i]!));
    const found = scores(m.pieces[0].piece, true);
    expect(found).toHaveLength(4);
    found.forEach((at, i) => within(at, figures!.scores[i]!));
    // Slit 1 in from each end, from the first to the third score.
    const slits = m.pieces[0].piece.slits.map(({ line }) => [
      line.from.y / INCH,
      Math.abs(line.from.x - line.to.x) / INCH,
    ]);
    const [, blankHeight] = blankOf(m, m.pieces[0].piece.name) as [number, number];
    expect(slits.map(([y]) => y).sort((a, b) => a! - b!)).toEqual(close([figures!.slit, blankHeight - figures!.slit]));
    for (const [, long] of slits) expect(long).toBeCloseTo(1, 6);
  });

  test('a folio for a 4 × 6 notebook', () => {
    const [figures] = practice.folio;
    const [width, height] = figures!.notebook.map((v): number => inches(v)) as [number, number];
    const m = made('folio', { contents: { width, height, thickness: inches(0.5) } });
    for (const half of ['left half', 'right half']) {
      blankOf(m, half).forEach((side, i) => within(side, figures!.pieces[i]!));
      const { piece } = m.pieces.find((part) => part.piece.name === half)!;
      expect(scores(piece, true)).toHaveLength(2);
      scores(piece, true).forEach((at, i) => within(at, figures!.scores[i]!));
    }
    blankOf(m, 'band').forEach((side, i) => within(side, [5.125, 1.25][i]!));
    blankOf(m, 'strap').forEach((side, i) => within(side, [3.5, 0.5][i]!));
  });

  test('a desk file for 3 in pads from 8 3/4 × 7 (geometry notes)', () => {
    // As deep as told; for a stack as thick its walls would want 1/8 in more, which is tested below.
    const m = made('desk-file', { contents: { width: '3 in', height: '3 in' }, options: { depth: '1 1/2 in' } });
    const { piece } = m.pieces[0];
    expect(inchesOf([piece.blank.width, piece.blank.height])).toEqual(close([8.75, 7]));
    expect(scores(piece, true)).toEqual([1.5, 4.75]);
    // Across: the strip all the way, walls and tucks on the base only; the tuck at 1 3/8 where 1 1/4 is the figure:
    // a tuck as long as told would pass through the one that faces it.
    const across = scores(piece, false);
    expect(across.slice(1, 3)).toEqual([2.75, 4.25]);
    across.forEach((at, i) => within(at, [1.25, 2.75, 4.25, 5.75][i]!));
  });

  test('a wrap for a board: board + 2 × (turn-in + thickness), the lining 1/8 in inside it (geometry notes)', () => {
    const m = made('cover-board', {
      contents: { width: '5 in', height: '7 in' },
      options: { board: 3 },
      graduation: 'exact',
    });
    const more = 2 * (0.5 + 3 / INCH);
    expect(blankOf(m, 'wrap')).toEqual(close([5 + more, 7 + more]));
    expect(blankOf(m, 'lining')).toEqual(close([4.75, 6.75]));
    // Corners cut off at 45° leave twice the board's thickness past the board's corner, square to the cut.
    const corner = m.pieces[0].piece.panels.find(({ id }) => id === 'corner-1')!.polygon;
    const [x1, y1] = [inches(0.5) + 3, inches(0.5) + 3];
    const off = corner.map((p) => (x1 - p.x + (y1 - p.y)) / Math.SQRT2);
    expect(Math.max(...off)).toBeCloseTo(2 * 3, 6);
  });
});

describe('a lid', () => {
  const cards = { width: '3 in', height: '4 in', thickness: '3/4 in' };
  const paper = (caliper: number) => ({ caliper });

  test('has the room its layers leave, and the sentence says both that and the familiar 1/8 in', () => {
    // Along the tabbed walls three layers a side (wall, tab, the lid's own tab), along the others one.
    for (const caliper of [0.2, 0.3]) {
      const fields = { contents: cards, paper: paper(caliper) };
      const checks = (['lid-width', 'lid-height'] as const).map(
        (id) => check('tray-box', fields, id) as CheckOf<'lid-width'>,
      );
      expect(checks.map(({ about }) => about.layers).sort()).toEqual([1, 3]);
      for (const { value, about } of checks) expect(value).toBeCloseTo(inches(1 / 8) - 2 * about.layers * caliper, 3);
      expect(checkSentence(checks[0]!, say)).toContain('workshops allow 1/8 in without counting');
    }
  });

  test('of thick card does not go on until it is made larger, and the remedy makes it so', () => {
    const fields = { contents: cards, paper: paper(0.9) };
    expect(failing('tray-box', fields)).toEqual(['lid-height']);
    const [remedy] = check('tray-box', fields, 'lid-height').remedies;
    const { options } = remedy!.change as { options: object };
    expect(failing('tray-box', { ...fields, options })).toEqual([]);
  });

  test('larger across only grips lengthwise: both schools say what they leave', () => {
    const both = consequenceOf(plan('tray-box', { contents: cards, options: { lidDirections: 'both' } }), say);
    const across = consequenceOf(plan('tray-box', { contents: cards, options: { lidDirections: 'across' } }), say);
    expect(both).toMatch(/The lid has .* of play in the width and has .* of play in the height\.$/);
    expect(across).toMatch(/of play in the width and grips in the height\.$/);
  });

  test('of the diagonal box is the same square with its settings moved', () => {
    const m = made('diagonal-box', {
      contents: { width: '2 in', height: '2 1/2 in', thickness: '1 in' },
      tool: { kind: 'envelope-board' },
      options: { top: 'lid' },
    });
    expect(blankOf(m, 'lid')).toEqual(blankOf(m, 'box'));
    const settings = (name: string): number[] =>
      m.pieces
        .find(({ piece }) => piece.name === name)!
        .piece.notches.filter(({ edge }) => edge === 1)
        .map(({ at }) => at / INCH);
    const [[a, b], [c, d]] = [settings('box'), settings('lid')] as [[number, number], [number, number]];
    expect([c - a, b - d]).toEqual(close([1 / 8, 1 / 8]));
  });
});

describe('depth', () => {
  test('follows what goes in; what is deeper than told stands above the rim, and the remedy lets it follow', () => {
    const cards = { width: '3 in', height: '4 in', thickness: '7/8 in' };
    // The first mark over them: exactly as deep would leave no room.
    expect(inside(made('tray-box', { contents: cards }))[2]).toBeCloseTo(1, 6);
    const shallow = { contents: cards, options: { depth: '1/2 in' } };
    expect(failing('tray-box', shallow)).toContain('room-depth');
    expect(checkSentence(check('tray-box', shallow, 'room-depth'), say)).toBe(
      'The contents are 3/8 in thicker than there is room for between the layers of paper, and it would not close. Make it deeper.',
    );
    const [remedy] = check('tray-box', shallow, 'room-depth').remedies;
    expect(Object.keys((remedy!.change as { options: object }).options)).toContain('depth');
    expect(failing('tray-box', { contents: cards })).toEqual([]);
  });

  test('a diagonal box taller than its floor is long has no wall for its corner tabs', () => {
    const tower = { contents: { width: '3/4 in', height: '1 in', thickness: '2 in' } };
    expect(failing('diagonal-box', tower)).toEqual(['part-too-large']);
    const [refused] = checksOf(plan('diagonal-box', tower));
    expect(checkSentence(refused!, say)).toMatch(/^The corner tab takes 2 1\/4 in; there is room for 1 1\/8 in\./);
  });
});

describe('a pen loop', () => {
  const pad = { width: '3 in', height: '3 in', thickness: '3/8 in' };
  test('is sized from the pen: its two walls go round it', () => {
    const m = made('pad-holder', { contents: pad, options: { pen: '3/8 in' }, graduation: 'exact' });
    // 2l = π·d round the middle of the paper, and the pen is measured on the folded loop.
    const [loop] = claimsOf(m.built.claims, 'pen-loop');
    const paper = (caliper: number) => ({ folded: m.folded, caliper: () => mm(caliper) });
    expect(penTaken(loop!, paper(0.25))).toBeCloseTo(inches(3 / 8), 6);
    expect(penTaken(loop!, paper(1.25))).toBeCloseTo(inches(3 / 8) - 1, 6);
    expect(check('pad-holder', { contents: pad, options: { pen: '3/8 in' } }, 'pen').level).toBe('pass');
  });

  test('that is scored already says what pen fits: walls of 1/2 in take 5/16 (geometry notes)', () => {
    const fields = { contents: pad, options: { loopWall: '1/2 in' } };
    // The paper's 0.25 mm and 0.3 mm of slack come off the circle.
    expect(check('pad-holder', fields, 'pen').value).toBeCloseTo(INCH / Math.PI - 0.55, 4);
    const pen = check('pad-holder', { ...fields, options: { loopWall: '1/2 in', pen: '5/16 in' } }, 'pen');
    expect(pen.level).toBe('note');
    expect(checkSentence(pen, sayer('in', '1/16 in'))).toContain('5/16 in only just');
  });

  test('scored too narrow for the pen it is for is a warning, and the remedy sizes it from the pen', () => {
    const fields = { contents: pad, options: { loopWall: '1/2 in', pen: '1/2 in' } };
    const { level, remedies } = check('pad-holder', fields, 'pen');
    expect(level).toBe('warn');
    expect(remedies).toHaveLength(1);
    const options = { pen: '1/2 in', ...(remedies[0]!.change as { options: object }).options };
    expect(check('pad-holder', { contents: pad, options }, 'pen').level).toBe('pass');
  });

  test('two schools: loops at the ends, or one long one in the middle', () => {
    const glued = (loop: string): string[] => {
      const { folded } = made('pad-holder', { contents: pad, options: { loop } });
      return folded.stages.flatMap(({ joints }) => joints.map(({ panel }) => panel)).sort();
    };
    expect(glued('ends')).toHaveLength(1);
    expect(glued('middle')).toHaveLength(2);
    expect(failing('pad-holder', { contents: pad, options: { loop: 'middle' } })).toEqual([]);
  });
});

test('a desk file stands with its pads in it, and is cut to the fold, not past it', () => {
  const fields = { contents: { width: '4 1/2 in', height: '4 in', thickness: '1 in' } };
  const m = made('desk-file', fields);
  const { finished } = m.folded.standing!;
  expect(failing('desk-file', fields)).toEqual([]);
  for (const wall of ['wall-1', 'wall-2']) expect(edgesMeet(finished, wall, 'front') / INCH).toBeCloseTo(1.5, 6);
  // Front, back and both walls stand square on the base.
  const base = leafOf(finished, 'base');
  for (const id of ['front', 'back', 'wall-1', 'wall-2']) {
    const { corners } = leafOf(finished, id);
    const on = corners.filter((p) => Math.abs(seenFrom(base.pose, p).z) < 1e-6);
    expect([id, on.length]).toEqual([id, 2]);
  }
  const steps = stepsOf(plan('desk-file', fields), say).map(({ text }) => text);
  expect(steps.some((text) => /only from .* to .* up from edge \d/.test(text))).toBe(true);
  expect(steps.some((text) => /^Cut the slit .* and no further\.$/.test(text))).toBe(true);
});

test('the document of what stands gives its depth, its slits and the steps in space', () => {
  const document = planDocument(plan('tray-box', { contents: { width: '3 in', height: '4 in', thickness: '3/4 in' } }));
  expect(document.inside.depth! / INCH).toBeCloseTo(7 / 8, 6);
  expect(document.finished.depth! / INCH).toBeCloseTo(7 / 8, 6);
  const lid = document.assembly.find(({ piece }) => piece === 'lid')!;
  expect(lid.above! / INCH).toBeCloseTo(7 / 8, 6);
  const file = planDocument(plan('desk-file', { contents: { width: '4 in', height: '4 in', thickness: '1 in' } }));
  expect(file.pieces[0]!.cuts.length).toBeGreaterThan(0);
});
