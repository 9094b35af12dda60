/** Rescue: what a sheet that went wrong can still be, held to what is folded; mishaps as makers tell them (common practice). */
import fc from 'fast-check';
import { faultsOf, seededMishaps } from '../../../tests/helpers/mishaps';
import { runs } from '../../../tests/helpers/runs';
import { CONSTRUCTIONS } from '../constructions';
import { inches, mm, sayer } from '../length';
import { blanksOf, stepsOf } from '../making';
import { checksOf } from '../checks';
import { planFor, type Made } from '../plan';
import { foldedOutline } from '../fold';
import { toEnd } from '../progress';
import { difference, regionArea } from '../geometry';
import {
  allWaysOut,
  misreadSchema,
  misreadWords,
  mistakeOf,
  warningAt,
  readRescue,
  rescueAnswer,
  sheetAsItIs,
  waysOut,
  type Fact,
  type Mishap,
  type WayKind,
  type WaysOut,
} from '.';
import { carriedOut } from './carried-out';

const say = sayer('in', '1/8 in');
const ENVELOPE = { construction: 'diagonal-envelope', contents: { width: '3 in', height: '4 in' } };
const TABS = {
  construction: 'tab-envelope',
  contents: { width: '3 in', height: '4 in' },
  tool: { kind: 'scoring-board' },
};
function mishap(design: object, wrong: readonly object[], more: object = {}): Mishap {
  const read = readRescue({ version: 1, design, wrong, ...more });
  if (!read.ok) throw new Error(JSON.stringify(read.issues));
  return read.mishap;
}
const KINDS: readonly WayKind[] = ['as-it-is', 'mend', 'other-holder', 'other-contents', 'new-sheet'];
/** All ways out; whatever is asked, each is of a kind a screen has words for. */
function ways(...about: Parameters<typeof mishap>): WaysOut {
  const all = allWaysOut(mishap(...about), say);
  for (const { kind } of all.ways) expect(KINDS).toContain(kind);
  // Nobody could choose between two of one name.
  const titles = all.ways.map(({ title }) => title);
  expect(titles).toEqual([...new Set(titles)]);
  return all;
}
const sheetOf = (one: Mishap) => {
  const plan = planFor(one.design);
  return sheetAsItIs(plan, plan.made!, one, say);
};

describe('a sheet with nothing wrong', () => {
  // Every piece of every construction, with what it has of notches, slits, holes, discs and trims.
  test.each(CONSTRUCTIONS.map(({ name, does }) => [name, does] as const))(
    '%s: it is as it should be comes first for every piece, and nothing of it is a scar',
    (construction, does) => {
      const thickness = does === 'stands' ? '1/2 in' : 0;
      const closure = { kind: 'buttons', disc: '1/4 in' };
      const design = { construction, contents: { width: '3 in', height: '4 in', thickness }, closure };
      const { made } = planFor(mishap(design, []).design);
      expect(made).not.toBeNull();
      for (const { piece } of made!.pieces) {
        const [first] = ways(design, [], { piece: piece.name }).ways;
        expect([piece.name, first!.title]).toEqual([piece.name, 'It is as it should be']);
        expect(first!.scars.filter(({ ends }) => ends === 'shows' || ends === 'hidden')).toEqual([]);
      }
    },
  );
});

describe('what a way out costs, and from where it goes on', () => {
  const TRIO = { construction: 'envelope-trio', contents: { width: '4 in', height: '4 in' } };

  test('a piece that the sheet does not give is new: counted, named, and from new sheets; nothing larger than the sheet is made of it', () => {
    const { ways: found } = ways(TABS, [{ kind: 'blank', width: '5 in', height: '6 in' }]);
    const others = found.filter(({ kind }) => kind === 'other-holder');
    for (const { plan, cost, laid } of others) {
      expect(laid!.bites.size).toBe(0);
      const made = plan.made!.pieces.reduce((sum, { piece }) => sum + piece.quantity, 0);
      expect(cost.pieces.reduce((sum, { quantity }) => sum + quantity, 0)).toBe(made - 1);
      const area = cost.pieces.reduce((sum, { width, height, quantity }) => sum + width * height * quantity, 0);
      expect(cost.paper).toBeCloseTo(area, 6);
      expect(cost.sheets > 0).toBe(made > 1);
    }
    // What keeps what it should and takes no new sheet comes before what does.
    const keeping = found.filter(({ keeps }) => keeps).map(({ cost }) => Number(cost.sheets > 0));
    expect(keeping).toEqual(keeping.toSorted((a, b) => a - b));
  });

  test('a flap that came off is missed: it is made anew, and nothing that is finished is told again', () => {
    const whole = planFor(mishap(TRIO, []).design);
    const all = stepsOf(whole, say);
    const at = all.find(({ text }) => text.startsWith('Join the left wing'))!.id + 1;
    const off = { kind: 'flap-off', score: 's-left-outer' };
    const one = mishap(TRIO, [off], { piece: 'left wing', step: at });
    const { ways: found } = allWaysOut(one, say);
    expect(found.map(({ title }) => title)).not.toContain('It will still do');
    const [first] = found;
    expect(first).toMatchObject({ kind: 'mend', keeps: true });
    expect(first!.title).toMatch(/^A new outer flap/u);
    expect(first!.cost.steps).toBeLessThan(all.length);
    const told = stepsOf(first!.plan, say).map(({ text }) => text);
    const again = stepsOf(first!.plan, say);
    // But for what is glued and joined with the flap that is made anew.
    const anew = new Set(
      again.flatMap(({ text, glue }) => (text.includes('outer flap of the left wing') && glue) || []),
    );
    for (const { id, text } of all)
      if (id < at && !again.some((one) => one.text === text && anew.has(one.glue ?? one.joins ?? '')))
        expect([text, told.filter((one) => one === text)]).toEqual([text, []]);
    // No piece that is finished is cut, marked or scored again, whatever it was made alike with.
    for (const { piece, alike = [] } of again.filter(({ phase }) => phase !== 'fold'))
      for (const name of [piece, ...alike]) expect(name).toMatch(/^(?:left wing|new outer flap.*)$/u);
    // What was still to be done is.
    for (const { id, text } of all) if (id > at && text.startsWith('Glue the centre’s')) expect(told).toContain(text);
    expect(told.some((text) => /new outer flap/u.test(text))).toBe(true);
    // Glued to the centre it is laid out as nothing else.
    for (const { kind } of found) expect(['mend', 'as-it-is', 'new-sheet']).toContain(kind);
  });

  test('a flap of a fold that is not there is told of, with the folds there are', () => {
    const read = readRescue({ version: 1, design: ENVELOPE, wrong: [{ kind: 'flap-off', score: 's-lid' }] });
    expect(read.ok || read.issues).toEqual([
      {
        path: 'wrong.0.score',
        message: 'The envelope has no fold called “s-lid”. Its folds are s-side-1, s-side-2, s-bottom and s-closing.',
      },
    ]);
  });

  test('a folded card answers with a folded card', () => {
    const card = { construction: 'folded-card', contents: { width: '4 in', height: '5 in' } };
    const { ways: found } = ways(card, [{ kind: 'blank', width: '7 3/4 in', height: '5 in' }]);
    expect(found[0]).toMatchObject({ keeps: true, design: { construction: 'folded-card' } });
    for (const { design } of found) expect(design.construction).toBe('folded-card');
  });

  test('a sheet that is slit or notched where it would lie is no other holder', () => {
    // Only cut so far, and too short: it can still be something else. Cut in to its middle it can be less.
    const short = { kind: 'blank', width: '6 in', height: '5 1/4 in' };
    const others = (wrong: readonly object[]): readonly string[] =>
      ways(ENVELOPE, wrong, { step: 2 }).ways.flatMap(({ kind, plan, scars }) => {
        if (kind !== 'other-holder') return [];
        expect(scars.filter(({ open, ends }) => open && ends !== 'cut-off')).toEqual([]);
        return [plan.design.construction.name];
      });
    const whole = others([short]);
    const slit = others([short, { kind: 'slit', edge: 1, at: '3 in', deep: '4 in' }]);
    expect(whole.length).toBeGreaterThan(0);
    expect(slit).not.toEqual(whole);
  });
});

describe('laws of every way out', () => {
  const designs = fc.constantFrom<object>(ENVELOPE, TABS, {
    construction: 'card-holder',
    contents: { width: '3 in', height: '4 in' },
  });
  const edge = fc.constantFrom(1, 2, 3, 4);
  const at = fc.integer({ min: 8, max: 140 });
  const fact = fc.oneof(
    fc.record({ kind: fc.constant('score'), edge, at }),
    fc.record({ kind: fc.constant('notch'), edge, at }),
    fc.record({ kind: fc.constant('score'), edge, at, instead: at }),
    fc.record({ kind: fc.constant('hole'), edge, at }),
    fc.record({
      kind: fc.constant('blank'),
      width: fc.integer({ min: 80, max: 170 }),
      height: fc.integer({ min: 80, max: 240 }),
    }),
    fc.tuple(at, at).map(([x, y]) => ({
      kind: 'torn',
      polygon: [
        [x, y],
        [x + 12, y],
        [x + 6, y + 9],
      ],
    })),
  );
  test('none that keeps the contents has a failed check, each mark is accounted for once, a new sheet is the last', () => {
    fc.assert(
      fc.property(designs, fc.array(fact, { maxLength: 2 }), (design, wrong) => {
        const one = mishap(design, wrong);
        const sheet = sheetOf(one);
        const found = allWaysOut(one, say).ways;
        expect(found.at(-1)!.kind).toBe('new-sheet');
        expect(found.filter(({ kind }) => kind === 'new-sheet')).toHaveLength(1);
        for (const way of found) {
          if (way.laid) {
            expect(way.scars).toHaveLength(sheet.marks.length);
            expect(way.scars.map(({ what }) => what)).toEqual(sheet.marks.map(({ what }) => what));
          }
          if (way.keeps && way.laid)
            expect(checksOf(way.plan).flatMap(({ kind, level }) => (level === 'fail' ? [kind] : []))).toEqual([]);
          for (const { ends, panel } of way.scars) expect(panel === null).toBe(ends === 'cut-off');
        }
      }),
      runs(3),
    );
  });

  test('of seeded mishaps none has a way first that takes more paper than the plainest, or keeps less; none are called alike', () => {
    // The first of those that `npm run bench mishaps` draws.
    for (const one of seededMishaps(runs(20).numRuns)) expect(faultsOf(allWaysOut(one, say))).toEqual([]);
  });

  test('where no paper is missing the plan folded on the scarred sheet has the plan’s own outline', () => {
    const found = ways(TABS, [{ kind: 'score', edge: 2, at: '5 in' }]).ways.filter(
      ({ laid }) => laid && laid.bites.size === 0,
    );
    expect(found.length).toBeGreaterThan(2);
    for (const way of found) {
      const read = readRescue({ version: 1, design: way.design });
      if (!read.ok) throw new Error('unread');
      const own = planFor(read.mishap.design).made!;
      const outline = (m: Made) => foldedOutline(m.folded.finished);
      const [a, b] = [outline(own), outline(way.plan.made!)];
      if (own.folded.standing) continue;
      expect(regionArea(difference(a, b)) + regionArea(difference(b, a))).toBeLessThan(1);
    }
  });
});

describe('a way is carried out by the simulated tool, on the sheet as it is', () => {
  const half = ways(ENVELOPE, [{ kind: 'score', edge: 2, at: '2 in' }], { step: 5 }).ways.filter(({ laid }) => laid);

  test('all its steps leave the pattern that is folded; without any one that cuts, punches or scores something is wrong', () => {
    expect(half.length).toBeGreaterThan(1);
    let left = 0;
    for (const { plan } of half) {
      const steps = stepsOf(plan, say);
      expect(carriedOut(plan, steps)).toEqual([]);
      const { rescued } = plan.design;
      if (!rescued) continue;
      for (const step of steps) {
        if (step.piece !== rescued.piece || !['punch', 'score', 'trim'].includes(step.action)) continue;
        // A rounded corner is a hair, and the score of a flap that comes off leaves nothing.
        if (step.phase !== 'flat' || step.score === '' || /\bround/iu.test(step.text)) continue;
        left++;
        expect([
          step.text,
          carriedOut(
            plan,
            steps.filter((one) => one !== step),
          ),
        ]).not.toEqual([step.text, []]);
      }
    }
    expect(left).toBeGreaterThan(6);
  });

  test('where a score was made before, the pointer is told which one it comes to', () => {
    const way = half.find(({ plan }) => plan.design.construction.name === 'diagonal-envelope' && plan.design.rescued)!;
    const told = stepsOf(way.plan, say).filter(({ text }) => text.includes('at the pointer'));
    expect(told.length).toBeGreaterThan(0);
    for (const { text } of told) expect(text).toMatch(/with score \d at the pointer/u);
  });

  test('notches that stand where a score would meet the rim leave the pointer nothing to meet: on finer marks it is no way', () => {
    // All is cut and scored, and a score too many was run.
    const found = ways(ENVELOPE, [{ kind: 'score', edge: 1, at: 100.375 }]).ways;
    expect(found.map(({ title }) => title)).not.toContain('On marks of 1/16 in');
    expect(found[0]).toMatchObject({ keeps: true });
  });
});

describe('mishaps as makers tell them', () => {
  test('cut a quarter inch short before anything else is done: the same on this sheet where it still holds, or near', () => {
    const short = ways(ENVELOPE, [{ kind: 'blank', width: '5 3/4 in', height: '6 in' }], { step: 1 });
    expect(short.sheet.blank).toEqual({ width: expect.closeTo(inches(5.75), 6), height: expect.closeTo(inches(6), 6) });
    const kept = short.ways.filter(({ keeps, laid }) => keeps && laid);
    expect(kept.length).toBeGreaterThan(0);
    // Nothing was scored yet, so nothing can show.
    for (const way of kept) expect(way.scars).toEqual([]);
    expect(short.mistakes.map(({ mistake }) => mistake)).toEqual(['whole-mark']);
  });

  test('a score too many across the back is hidden under a mat, and that is offered', () => {
    const { ways: found } = ways(TABS, [{ kind: 'score', edge: 2, at: '5 in' }]);
    const mend = found.find(({ kind }) => kind === 'mend')!;
    expect(mend.scars.filter(({ wrong }) => wrong)).toEqual([
      expect.objectContaining({ ends: 'hidden', panel: 'back' }),
    ]);
    expect(mend.plan.made!.layers).toHaveLength(1);
    const still = found.find(({ title }) => title === 'It will still do')!;
    expect(still.text).toContain('You will see the score at 5 in on edge 2, one too many on the back.');
    // What shows nothing comes before what does.
    expect(found.indexOf(mend)).toBeLessThan(found.indexOf(still));
  });

  test('a notch too many in a flap that is covered is hidden there', () => {
    const { ways: found } = ways(ENVELOPE, [{ kind: 'notch', edge: 1, at: '4 1/2 in' }]);
    expect(found[0]).toMatchObject({ kind: 'as-it-is', keeps: true });
    expect(found[0]!.scars.find(({ wrong }) => wrong)).toMatchObject({ ends: 'hidden', open: true });
  });

  test('discs that would lie on each other are moved, cut off or smaller, before anything is left as it is', () => {
    const design = { construction: 'envelope-trio', contents: { width: '4 in', height: '4 in' } };
    const lapping = { ...design, closure: { kind: 'buttons', disc: '2 1/4 in' } };
    const { plan } = { plan: planFor(mishap(lapping, []).design) };
    expect(checksOf(plan)).toContainEqual(
      expect.objectContaining({ about: expect.objectContaining({ trouble: 'discs_overlap' }) }),
    );
    const { ways: found } = ways(lapping, []);
    expect(found[0]).toMatchObject({ kind: 'mend', keeps: true });
    expect(found[0]!.title).toMatch(/disc/i);
    expect(checksOf(found[0]!.plan).some(({ about }) => 'trouble' in about && about.trouble === 'discs_overlap')).toBe(
      false,
    );
    expect(found.some(({ title }) => title === 'It is as it should be')).toBe(false);
  });

  test('torn open where it shows, a strip is behind it before it is left gaping; each new piece is told with its size', () => {
    const back = [
      [40, 60],
      [55, 60],
      [50, 75],
    ];
    const { ways: found } = ways(TABS, [{ kind: 'torn', polygon: back }]);
    const strip = found.find(({ mended }) => mended.length > 0)!;
    expect(strip).toMatchObject({ kind: 'mend', title: 'A strip behind the front', keeps: true });
    expect(strip.text).toContain('Cut for it: a strip for the front, 1 1/8 in × 1 1/8 in.');
    expect(strip.cost.paper).toBeCloseTo(inches(9 / 8) ** 2, 0);
    const still = found.find(({ title }) => title === 'It will still do')!;
    expect(found.indexOf(strip)).toBeLessThan(found.indexOf(still));
    expect(strip.plan.design.rescued).toMatchObject({ piece: 'envelope', strips: ['front'] });
  });

  test('a strip hides nothing: what is seen without it is seen with it, and a flap made anew shows nothing', () => {
    const rim = [
      [70, 0],
      [82.5, 0],
      [76.2, 12.7],
    ];
    const { ways: found } = ways(ENVELOPE, [{ kind: 'torn', polygon: rim }]);
    const torn = (title: string) =>
      found.find((way) => way.title === title)!.scars.find(({ what }) => what === 'torn place');
    for (const title of ['It will still do', 'A strip behind the bottom flap'])
      expect([title, torn(title)]).toEqual([title, expect.objectContaining({ ends: 'shows', panelId: 'bottom' })]);
    expect(torn('A new bottom flap, joined on')).toMatchObject({ ends: 'cut-off', panel: null });
    // A mat that covers it is there, and is told with its size.
    for (const way of found.filter(({ title }) => title.startsWith('A mat over it'))) {
      expect(way.plan.made!.layers.length).toBeGreaterThan(0);
      expect(way.text).toContain('Cut for it: a mat');
    }
  });

  test('a tab that is stuck is cut off and made anew, where it is told which; what is left to do is told, and no more', () => {
    for (const panel of ['left tab', 'tab-1']) {
      const { ways: found, sheet } = ways(TABS, [{ kind: 'glued', panel }]);
      expect(sheet.stuck).toBe('tab-1');
      expect(found.map(({ kind }) => kind)).toEqual(['mend', 'new-sheet']);
      expect(found[0]!.title).toBe('A new left tab, joined on');
      const texts = stepsOf(found[0]!.plan, say).map(({ text }) => text);
      expect(texts).toContainEqual(expect.stringContaining('cut off the old left tab (what is stuck of it stays)'));
      expect(texts.some((text) => text.startsWith('Score 1 of the envelope'))).toBe(false);
    }
  });

  test('a torn flap is made anew; the way is a design of its own that plans again to the same', () => {
    const flap = [
      [20, 230],
      [60, 230],
      [40, 208],
    ];
    const { ways: found } = ways(TABS, [{ kind: 'torn', polygon: flap }]);
    const joined = found.find(({ plan }) => plan.design.rescued?.joined.length)!;
    expect(joined.title).toBe('A new closing flap, joined on');
    const again = planFor(mishap(joined.design, []).design);
    expect(stepsOf(again, say).map(({ text }) => text)).toEqual(stepsOf(joined.plan, say).map(({ text }) => text));
    // Both sides of its joint are told once each: nothing of the torn place is left on it.
    expect(joined.scars.filter(({ what }) => what === 'torn place')).toEqual([
      expect.objectContaining({ ends: 'cut-off', panel: null }),
    ]);
  });

  test('what went wrong twice: the first scars are still there, and are accounted for with the new ones', () => {
    const flap = [
      [20, 230],
      [60, 230],
      [40, 208],
    ];
    const first = ways(TABS, [{ kind: 'torn', polygon: flap }]).ways.find(
      ({ plan }) => plan.design.rescued?.joined.length,
    )!;
    const twice = mishap(first.design, [{ kind: 'score', edge: 2, at: '5 in' }]);
    const { sheet, ways: found } = allWaysOut(twice, say);
    expect(sheet.again).toBe(true);
    const whats = sheet.marks.map(({ what }) => what);
    expect(whats).toContain('place that was gone already');
    expect(whats).toContain('score at 5 in on edge 2, one too many');
    expect(found.some(({ title }) => title === 'It is as it should be')).toBe(false);
    const again = found.find(({ plan }) => plan.design.rescued?.joined.includes('closing'))!;
    expect(again.scars.map(({ what }) => what)).toEqual(whats);
    // Nothing new: the sheet is as it was, and wants the same flap.
    expect(allWaysOut(mishap(first.design, []), say).ways[0]!.title).not.toBe('It is as it should be');
    // A new sheet is whole again; of a strip or a flap made anew only that is made again.
    expect(found.at(-1)!.design.rescued).toBeUndefined();
    const flapAgain = allWaysOut(mishap(first.design, [], { piece: 'new closing flap' }), say).ways;
    expect(flapAgain.map(({ kind }) => kind)).toEqual(['new-sheet']);
    expect(flapAgain[0]!.text).toContain('Cut the new closing flap anew');
  });

  test('a pocket’s blank cut low: with its tabs behind, the other school’s way, this sheet still does as it is', () => {
    const pocket = { construction: 'library-pocket', contents: { width: '3 in', height: '4 in' } };
    const { blank } = planFor(mishap(pocket, []).design).made!.pieces[0].piece;
    const low = { kind: 'blank', width: blank.width, height: blank.height - 6 };
    const behind = ways(pocket, [low], { step: 1 }).ways.find(({ title }) => title === 'Tabs behind, on this sheet');
    expect(behind).toMatchObject({ kind: 'as-it-is', keeps: true, design: { options: { tabs: 'behind' } } });
  });

  test('of several alike one went wrong: it does as it is, or one is cut anew; the others are made as before', () => {
    const album = { construction: 'flap-album', contents: { width: '3 in', height: '3 in' } };
    const plan = planFor(mishap(album, []).design);
    const many = plan.made!.pieces.find(({ piece }) => piece.quantity > 1)!.piece;
    const { ways: found } = ways(album, [{ kind: 'score', edge: 1, at: many.blank.width / 2 }], { piece: many.name });
    const own = found.filter(({ kind }) => kind === 'as-it-is' || kind === 'mend');
    expect(own.length).toBeGreaterThan(0);
    for (const way of own) {
      expect(way.design.rescued).toBeUndefined();
      expect(blanksOf(way.plan.made!, way.plan.design).find(({ name }) => name === many.name)!.quantity).toBe(
        many.quantity,
      );
    }
    expect(found.at(-1)!.text).toContain(`Cut the ${many.name} anew`);
  });

  test('a mat that is cut too small does with a broader border, or is cut anew', () => {
    const matted = { ...TABS, layers: [{ on: 'front' }] };
    const { ways: found } = ways(matted, [{ kind: 'blank', width: '2 3/4 in', height: '3 in' }], { piece: 'mat' });
    expect(found.map(({ title }) => title)).toEqual(['With a border of 1/4 in', 'A new sheet of just this piece']);
    const { layers } = found[0]!.plan.made!;
    expect(layers[0]!.piece.blank.width).toBeLessThanOrEqual(inches(2.75) + 0.01);
    // Planned again it is the same: its mat is cut of the sheet that is there.
    const again = planFor(mishap(found[0]!.design, []).design);
    expect(again.made!.layers[0]!.piece.blank).toEqual(layers[0]!.piece.blank);
    expect(stepsOf(again, say).map(({ text }) => text)).toContainEqual(
      expect.stringMatching(/^Take the sheet that went wrong/),
    );
    expect(blanksOf(again.made!, again.design).map(({ name }) => name)).toEqual(['envelope']);
  });

  test('a torn tab that lies inside needs nothing; glued shut only a new sheet is left, and whether paper suffices', () => {
    const torn = ways(TABS, [
      {
        kind: 'torn',
        polygon: [
          [0, 0],
          [3, 0],
          [3, 20],
          [0, 20],
        ],
      },
    ]).ways;
    expect(torn[0]!.scars.find(({ wrong }) => wrong)).toMatchObject({ ends: 'hidden', panel: 'left tab' });
    expect(torn[0]!.text).not.toContain('Lay the sheet anew');
    const papers = [{ width: '12 in', height: '12 in', name: 'Star chart' }];
    const [only, ...others] = ways(ENVELOPE, [{ kind: 'glued' }], { papers }).ways;
    expect([only!.kind, others]).toEqual(['new-sheet', []]);
    expect(only!.text).toContain('It goes on “Star chart”.');
    const none = ways(ENVELOPE, [{ kind: 'glued' }], { papers: [{ width: '4 in', height: '4 in' }] }).ways[0]!;
    expect(none.text).toContain('None of your papers is large enough for it.');
  });

  test('smaller contents of one’s own are offered, and said not to be what it was for', () => {
    const { ways: found } = ways(ENVELOPE, [{ kind: 'blank', width: '5 in', height: '5 in' }], {
      step: 1,
      others: [{ width: '2 in', height: '2 1/2 in', name: 'a stamp' }],
    });
    expect(found.find(({ kind }) => kind === 'other-contents')).toMatchObject({
      keeps: false,
      title: expect.stringContaining('a stamp'),
    });
  });

  test('the first answer is there at once and the ways only get better', () => {
    const going = waysOut(mishap(TABS, [{ kind: 'score', edge: 2, at: '5 in' }]), say);
    const first = going.next();
    if (first.done) throw new Error('done at once');
    expect(first.value.ways.map(({ kind }) => kind)).toEqual(['new-sheet']);
    let done = 0;
    for (let next = going.next(); !next.done; next = going.next()) {
      expect(next.value.done).toBeGreaterThanOrEqual(done);
      done = next.value.done;
    }
  });
});

describe('paper that is gone in the middle of a panel', () => {
  const front = {
    kind: 'torn',
    polygon: [
      [40, 120],
      [55, 120],
      [48, 135],
    ],
  };

  test('is a scar where it shows, though no edge of the sheet is touched', () => {
    const { ways: found, sheet } = ways(TABS, [front]);
    expect(regionArea(sheet.paper)).toBeLessThan(regionArea(sheetOf(mishap(TABS, [])).paper) - 100);
    const still = found.find(({ title }) => title === 'It will still do')!;
    expect(still.scars.find(({ what }) => what === 'torn place')).toMatchObject({
      ends: 'shows',
      panel: 'back',
      open: true,
    });
    // The proof knows of the hole: paper must be left beside it.
    expect(still.plan.made!.pieces[0].piece.holes).toHaveLength(1);
  });

  test('a hole too many beside those of the pattern is told; the pattern’s own lack nothing', () => {
    const holed = { ...ENVELOPE, closure: { kind: 'buttons' } };
    const { ways: found } = ways(holed, [{ kind: 'hole', edge: 1, at: '3 in', deep: '3 in' }]);
    const scars = found.flatMap(({ scars: all }) => all.filter(({ wrong }) => wrong));
    expect(scars.length).toBeGreaterThan(0);
    for (const scar of scars) expect(['shows', 'hidden']).toContain(scar.ends);
    const own = found[0]!.scars.filter(({ what, wrong }) => what === 'hole' && !wrong);
    expect(own.map(({ ends }) => ends)).toEqual(['cut-off', 'cut-off']);
  });
});

test('what a sheet is short of is told by the panels that lose it', () => {
  const going = waysOut(mishap(TABS, [{ kind: 'blank', width: '3 3/4 in', height: '8 7/8 in' }], { step: 1 }), say);
  const seen = new Set<string>();
  toEnd(going, ({ ways: found }) => found.forEach(({ text, laid }) => laid && laid.short.length > 0 && seen.add(text)));
  expect([...seen].some((text) => text.includes('Shorter than drawn: the closing flap.'))).toBe(true);
});

test('a sheet that has to be turned for its scars to lie well is told how', () => {
  // A notch too many, which lies under the flaps when the sheet is turned.
  const { ways: found } = ways(ENVELOPE, [{ kind: 'notch', edge: 1, at: '4 1/2 in' }]);
  const turned = found.filter(({ laid }) => laid && (laid.turned !== 'not' || laid.over));
  for (const { text } of turned) expect(text).toMatch(/^Lay the sheet anew: (?:begin|turn it)/u);
  for (const { text, laid } of found)
    if (laid && laid.turned === 'not' && !laid.over && laid.at.x < 0.5 && laid.at.y < 0.5)
      expect(text).not.toContain('Lay the sheet anew');
  expect(turned.length).toBeGreaterThan(0);
});

describe('the sheet as it is', () => {
  test('what is left of it is the blank less its notches; a notch elsewhere takes as much paper there', () => {
    const whole = sheetOf(mishap(ENVELOPE, []));
    const moved = sheetOf(mishap(ENVELOPE, [{ kind: 'notch', edge: 2, at: '3 3/8 in', instead: '2 5/8 in' }]));
    const notch = inches(3 / 4) ** 2 / 4;
    const blank = whole.blank.width * whole.blank.height;
    expect(regionArea(whole.paper)).toBeGreaterThan(blank - 4 * notch - 60);
    expect(regionArea(moved.paper)).toBeCloseTo(regionArea(whole.paper), 1);
    const wrong = moved.marks.filter((mark) => mark.wrong);
    expect(wrong.map(({ what }) => what)).toEqual(['notch at 2 5/8 in on edge 2 instead of 3 3/8 in']);
    // The tip of a notch lies half its length in from the edge, here from the right one.
    const tip = wrong[0]!.gone[0]!.reduce((least, p) => (p.x < least.x ? p : least));
    expect([tip.x, tip.y]).toEqual([
      expect.closeTo(whole.blank.width - inches(3 / 8), 3),
      expect.closeTo(inches(2.625), 3),
    ]);
  });

  test('only what comes before the step is done', () => {
    expect(sheetOf(mishap(ENVELOPE, [], { step: 1 })).marks).toEqual([]);
    const some = sheetOf(mishap(ENVELOPE, [], { step: 4 })).marks.length;
    expect(some).toBeGreaterThan(0);
    expect(some).toBeLessThan(sheetOf(mishap(ENVELOPE, [])).marks.length);
  });
});

describe('figures that are commonly mistaken (common practice)', () => {
  const plan = planFor(mishap(ENVELOPE, []).design);
  const [{ piece }] = plan.made!.pieces;
  const [first, second] = [piece.notches[0]!.at, piece.notches.find((n) => n.edge === 2)!.at];
  const beside = first + 9;
  const other = { ...piece, notches: [...piece.notches, { ...piece.notches[1]!, at: mm(beside) }] };
  const asked = (fact: object): string | null => mistakeOf(fact as Fact, other, { graduation: '1/8 in' });
  test.each<[string, object, string | null]>([
    [
      'measured from the other end',
      { kind: 'score', edge: 1, at: inches(2), instead: piece.blank.width - inches(2) },
      'mirror',
    ],
    // On a square the next edge’s setting is the mirror of this one’s.
    ['the next edge’s setting', { kind: 'notch', edge: 1, at: first, instead: second }, 'mirror'],
    ['another edge’s', { kind: 'notch', edge: 1, at: first, instead: beside }, 'neighbour'],
    ['one mark beside', { kind: 'notch', edge: 1, at: first, instead: first + inches(1 / 8) }, 'whole-mark'],
    ['one inch beside', { kind: 'score', edge: 1, at: inches(2), instead: inches(3) }, 'one-inch'],
    ['the wrong edge near', { kind: 'notch', edge: 1, at: second }, 'wrong-edge'],
    ['nothing that is known', { kind: 'score', edge: 1, at: inches(2), instead: inches(2.33) }, null],
    ['an inch short', { kind: 'blank', width: piece.blank.width - inches(1), height: piece.blank.height }, 'one-inch'],
  ])('%s', (_, fact, mistake) => {
    expect(asked(fact)).toBe(mistake);
  });
});

describe('a reading that was mistaken is told again at its step', () => {
  const { design } = mishap(ENVELOPE, []);
  const plan = planFor(design);
  const [{ piece }] = plan.made!.pieces;
  const steps = stepsOf(plan, say);
  /** They are known with the first answer, before any way is sought. */
  const mistakes = (...wrong: object[]) => (waysOut(mishap(ENVELOPE, wrong), say).next().value as WaysOut).mistakes;
  const known = (fact: object) => mistakes(fact).map(({ misread }) => misread);

  test('a notch at the mirror setting: where that edge is set, on this holder alone', () => {
    const { at } = piece.notches.find(({ edge }) => edge === 1)!;
    const misreads = known({ kind: 'notch', edge: 1, at, instead: piece.blank.width - at });
    expect(misreads).toEqual([
      { mistake: 'mirror', of: 'notch', construction: 'diagonal-envelope', piece: 'envelope', edge: 1 },
    ]);
    const warned = steps.filter((step) => warningAt(step, 'diagonal-envelope', misreads));
    expect(warned.length).toBeGreaterThan(0);
    for (const step of warned) expect([step.edge ?? 1, step.phase]).toEqual([1, 'flat']);
    expect(warningAt(warned[0]!, 'diagonal-envelope', misreads)).toBe(
      'Here you once took the mirror setting: see that the sheet’s left end is at nought.',
    );
    for (const step of steps) expect(warningAt(step, 'coin-envelope', misreads)).toBeNull();
    for (const step of steps) expect(warningAt(step, 'diagonal-envelope', [])).toBeNull();
    expect(misreadWords(misreads[0]!)).toBe('a notch on the envelope, edge 1: the mirror setting');
  });

  test('a blank an inch short: where it is cut', () => {
    const misreads = known({ kind: 'blank', width: piece.blank.width - inches(1), height: piece.blank.height });
    const warned = steps.filter((step) => warningAt(step, 'diagonal-envelope', misreads));
    expect(warned.map(({ phase }) => phase)).toEqual(['cut']);
    expect(misreadSchema.safeParse(misreads[0]).success).toBe(true);
  });

  test('what is no common mistake is not remembered; the same one twice is told once', () => {
    expect(known({ kind: 'score', edge: 1, at: inches(2), instead: inches(2.33) })).toEqual([]);
    const inch = { kind: 'score', edge: 1, at: inches(2), instead: inches(3) };
    expect(mistakes(inch, inch)).toHaveLength(1);
  });
});

test('the answer is as the contract has it, and a document that cannot be read says where', () => {
  const answer = rescueAnswer(ways(ENVELOPE, [{ kind: 'notch', edge: 1, at: '4 1/2 in' }])) as {
    version: number;
    ways: { kind: string; plan: { version: number }; scars: object[]; room: { width: number } }[];
    sheet: { outline: number[][][]; scores: number[][]; notches: number[][][] };
  };
  expect(answer).toMatchObject({ version: 1, sought: 1 });
  expect(answer.ways[0]!.plan.version).toBe(1);
  expect(answer.sheet.notches).toHaveLength(5);
  expect(answer.sheet.scores.length).toBeGreaterThanOrEqual(4);
  expect(JSON.parse(JSON.stringify(answer))).toEqual(answer);
  // Broken off it says that it is not all.
  const read = readRescue({ version: 1, design: ENVELOPE, wrong: [{ kind: 'notch', edge: 1, at: '4 1/2 in' }] });
  expect(rescueAnswer(read.ok ? waysOut(read.mishap, say).next().value : ways(ENVELOPE, []))).toMatchObject({
    sought: 0,
  });
  const bad = readRescue({ version: 1, design: ENVELOPE, wrong: [{ kind: 'melted' }] });
  expect(bad.ok ? '' : bad.issues[0]!.message).toContain('What went wrong is a "blank"');
  const none = readRescue({ version: 1, design: { construction: 'card-holder' } });
  expect(none.ok ? '' : none.issues[0]!.path).toBe('design.contents');
});
