/** Paper first: what a whole sheet gives when every piece has to come from it, really cut; and where contents sit best on it. */
import fc from 'fast-check';
import { planOf } from '../../../tests/helpers/designs';
import { runs } from '../../../tests/helpers/runs';
import { readCutList } from '../cutting';
import { loadSolver, pack } from '../cutting/pack';
import { INCH, sayer } from '../length';
import { blanksOf } from '../making';
import { checkSentence, checksOf, remediesTried, remedyLabel } from '../checks';
import { readDesign } from './design';
import type { Plan } from '../plan';

const say = sayer('in', '1/8 in');
const square = (side: string) => ({ blank: { width: side, height: side } });
const plan = (construction: string, more: object): Plan => planOf({ version: 1, construction, ...more });
const find = (of: Plan, id: string) => checksOf(of).find((check) => check.id === id);
const inches = (of: Plan) => of.made!.pieces.map(({ piece: { blank } }) => [blank.width / INCH, blank.height / INCH]);

/** Sheets that the searched layout takes: fewest, and proved where it can be. */
async function cutFrom({ design, made }: Plan): Promise<number> {
  const read = readCutList({
    version: 1,
    sheets: [{ name: 'sheet', ...design.blank!, count: 20 }],
    pieces: blanksOf(made!, design),
    cutter: 'guillotine',
  });
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  return pack(read.list, await loadSolver()).sheetsUsed;
}

describe('a sheet as it is sold is what all pieces come from', () => {
  test('a slider set from one 12 in square is at least the set that workshops cut from it (geometry notes)', async () => {
    const set = plan('slider-set', square('12 in'));
    expect(await cutFrom(set)).toBe(1);
    expect(find(set, 'sheets')).toMatchObject({ level: 'pass', value: 1 });
    const [cover] = inches(set);
    expect(cover![0]).toBeGreaterThanOrEqual(6);
    expect(cover![1]).toBeGreaterThanOrEqual(8);
    expect(set.made!.largest.height / INCH).toBeGreaterThanOrEqual(2.75);
  });

  test.each([
    ['tray-box', square('12 in'), {}],
    ['tray-box', { blank: { width: 210, height: 297 }, graduation: '1 mm' }, {}],
    ['folio', square('12 in'), {}],
    ['diagonal-box', square('12 in'), { top: 'lid' }],
    ['storage-pocket', { blank: { width: '11 in', height: '8 1/2 in' } }, {}],
  ])(
    '%s from %j is really cut from it, and there would be more of no larger one',
    async (construction, paper, options) => {
      const set = plan(construction, { ...paper, options });
      expect(await cutFrom(set)).toBe(1);
      expect(find(set, 'sheets')?.level).toBe('pass');
      expect(checksOf(set).filter(({ level }) => level === 'fail')).toEqual([]);
    },
  );

  test('of pieces that do not all come from it the first takes it whole, and the plan says how many it takes', () => {
    const pouch = plan('accordion-pocket', square('6 in'));
    expect(inches(pouch)[0]).toEqual([expect.closeTo(6, 6), expect.closeTo(6, 6)]);
    expect(checkSentence(find(pouch, 'sheets')!, say)).toBe(
      'Its pieces take 2 sheets of 6 in × 6 in: the first takes a whole one.',
    );
  });

  test('any other size is the first piece; all from one is offered where it does', () => {
    const box = plan('tray-box', { blank: { width: '6 1/2 in', height: '11 1/4 in' } });
    expect(inches(box)[0]).toEqual([expect.closeTo(6.5, 6), expect.closeTo(11.25, 6)]);
    const remedies = remediesTried(box).find(({ id }) => id === 'sheets')!.remedies;
    expect(remedies.map((remedy) => remedyLabel(remedy, say))).toEqual(['Cut all its pieces from this one sheet']);
    const all = plan('tray-box', { blank: { width: '6 1/2 in', height: '11 1/4 in' }, sheets: 1 });
    expect(all.made!.pieces[0].piece.blank.height).toBeLessThan(11.25 * INCH);
  });
});

describe('from so many sheets', () => {
  test('more sheets never hold less, and what one does not give another does', () => {
    const largest = [1, 2, 3].map((sheets) => plan('folio', { blank: { width: 260, height: 180 }, sheets }).made);
    const area = largest.map((made) =>
      made ? made.pieces[0].piece.blank.width * made.pieces[0].piece.blank.height : 0,
    );
    expect(area[1]!).toBeGreaterThan(area[0]!);
    expect(area[2]!).toBeGreaterThanOrEqual(area[1]! - 1);
  });

  test('too few are told, and one more is the first remedy where it does', () => {
    const small = plan('tray-box', { blank: { width: '3 1/4 in', height: '3 1/4 in' }, sheets: 1 });
    expect(small.made).toBeNull();
    expect(find(small, 'sheets-too-few')!.value).toBe(1);
    const [remedy] = remediesTried(small)[0]!.remedies;
    expect(remedyLabel(remedy!, say)).toBe('Take 2 sheets');
  });

  test('need a paper', () => {
    const read = readDesign({ version: 1, construction: 'folio', contents: { width: 100, height: 150 }, sheets: 2 });
    expect(read.ok ? [] : read.issues.map(({ path }) => path)).toEqual(['sheets']);
    const many = readDesign({ version: 1, construction: 'folio', blank: { width: 200, height: 200 }, sheets: 21 });
    expect(many.ok ? [] : many.issues[0]!.message).toBe('At most 20 sheets.');
  });
});

test('paper and contents together: no other mark of the board shares the room out more evenly', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 40, max: 96 }),
      fc.double({ min: 0.3, max: 0.7, noNaN: true }),
      fc.double({ min: 0.75, max: 0.95, noNaN: true }),
      (eighths, share, used) => {
        const side = (eighths * INCH) / 8;
        const all = Math.SQRT2 * (side - 0.75 * INCH) * used;
        const contents = { width: all * share, height: all * (1 - share) };
        const design = { blank: { width: side, height: side }, contents };
        const unevenness = (options: object): number => {
          const { made } = plan('diagonal-envelope', { ...design, options });
          return made ? Math.abs(made.fit!.ease.width - made.fit!.ease.height) : Infinity;
        };
        const chosen = plan('diagonal-envelope', design).made!.pieces[0].piece.notches[0]!.at;
        const own = unevenness({});
        for (const by of [-2, -1, 1, 2]) {
          const setting = chosen + (by * INCH) / 8;
          if (setting > 0.5 * INCH && setting < side - 0.5 * INCH)
            expect(own).toBeLessThanOrEqual(unevenness({ setting }) + 1e-6);
        }
      },
    ),
    runs(25),
  );
});

test('nothing is ever up to 0 in: what holds nothing says so', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('diagonal-envelope', 'seam-envelope', 'card-holder', 'tray-box', 'belly-band', 'pad-holder'),
      fc.double({ min: 30, max: 90, noNaN: true }),
      fc.double({ min: 0, max: 20, noNaN: true }),
      (construction, side, thickness) => {
        const check = find(
          plan(construction, { blank: { width: side, height: side }, contents: { thickness } }),
          'what-fits',
        );
        if (!check) return;
        expect(checkSentence(check, say)).not.toMatch(/up to 0 (in|mm)|× 0 (in|mm)/);
      },
    ),
    runs(60),
  );
});
