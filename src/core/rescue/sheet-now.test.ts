import fc from 'fast-check';
import { runs } from '../../../tests/helpers/runs';
import { contentsFirst, planOf } from '../../../tests/helpers/designs';
import { CONSTRUCTIONS } from '../constructions';
import { simulate } from '../tools';
import { sayer } from '../length';
import { sheetNow } from './sheet-now';
import { stepsOf, type Step } from '../making';
import type { Plan } from '../plan';

const say = sayer('in', '1/8 in');
const card = (fields: object = {}): Plan =>
  planOf({ version: 1, construction: 'diagonal-envelope', contents: { width: '3 in', height: '4 in' }, ...fields });
const holder = (fields: object = {}): Plan =>
  planOf({
    version: 1,
    construction: 'card-holder',
    contents: { width: '2 in', height: '3 in' },
    tool: { kind: 'scoring-board' },
    ...fields,
  });

describe('what each step brings along', () => {
  const step = (plan: Plan, action: Step['action']): Step => stepsOf(plan, say).find((s) => s.action === action)!;

  test('readings say what is looked for, and on what', () => {
    expect(step(card(), 'cut').readings).toEqual([{ at: expect.closeTo(152.4, 6), on: 'trimmer', what: 'each way' }]);
    expect(step(card(), 'punch').readings).toEqual([
      { at: expect.closeTo(66.675, 6), on: 'board', what: 'for the sheet’s left end' },
    ]);
    expect(step(holder(), 'score').readings[0]).toMatchObject({ on: 'fence', what: 'from the fence' });
    expect(step(card({ tool: { kind: 'ruler' } }), 'mark').readings.map(({ at }) => at / 25.4)).toEqual([
      expect.closeTo(2.25, 9),
      expect.closeTo(3, 9),
    ]);
    expect(step(card(), 'turn').readings).toEqual([]);
  });

  test('how hard to press follows the paper', () => {
    const how = (caliper: number) => step(card({ paper: { caliper } }), 'score').how;
    expect(how(0.1)).toContain('Once, lightly');
    expect(how(0.25)).toContain('never so hard that it cuts');
    expect(how(0.4)).toContain('one hard pass cuts');
  });

  test('glue, then join, then wait: each adhesive in its own words, the waiting once', () => {
    const steps = (all: string): Step[] => stepsOf(holder({ adhesive: { all } }), say);
    const how = (all: string, at: 'glue' | 'joins'): string[] =>
      steps(all).flatMap((s) => (s[at] ? [s.how ?? ''] : []));
    expect(how('wet-glue', 'glue')).toEqual(['Thin, and out to the rim; join it while it is wet.']);
    expect(how('wet-glue', 'joins')[0]).toMatch(
      /shift it for about a minute.*under a book for ten minutes.*before the next step\.$/,
    );
    expect(how('tape', 'glue')[0]).toContain('peel its backing off');
    expect(how('tape', 'joins')[0]).toContain('cannot be shifted');
    expect(how('tape-runner', 'glue')[0]).toContain('One pass');
    expect(how('hot-glue', 'joins')[0]).toContain('hold it for thirty');
    expect(how('hook-dot', 'joins')[0]).toContain('best after a day');
    for (const all of ['tape', 'tape-runner', 'hot-glue', 'hook-dot'])
      expect(steps(all).filter((s) => s.how?.includes('let it dry'))).toEqual([]);
    // What stands cannot lie under a book.
    const box = stepsOf(
      planOf({ version: 1, construction: 'desk-file', contents: { width: '6 in', height: '8 in', thickness: '1 in' } }),
      say,
    );
    const dries = box.filter((s) => s.how?.includes('let it dry'));
    expect(dries).toHaveLength(1);
    expect(dries[0]!.how).not.toContain('book');
  });

  test('walls are left soft, flat folds are burnished', () => {
    const box = planOf({
      version: 1,
      construction: 'tray-box',
      contents: { width: '3 in', height: '4 in', thickness: '1 in' },
      tool: { kind: 'scoring-board' },
    });
    expect(step(box, 'fold').how).toContain('leave the crease soft');
    expect(step(card(), 'fold').how).toContain('burnish through scrap paper');
  });

  test('what is laid down or set on is not creased: only folds on a score are told how', () => {
    const box = planOf({
      version: 1,
      construction: 'tray-box',
      contents: { width: '3 in', height: '4 in', thickness: '1 in' },
      tool: { kind: 'scoring-board' },
      options: { liner: true },
    });
    // The liner is glued in: it joins.
    const folds = stepsOf(box, say).filter((s) => s.action === 'fold' || s.joins !== undefined);
    const laid = folds.filter((s) => !s.score);
    expect(laid.map((s) => s.text).join(' ')).toContain('liner');
    expect(laid.some((s) => s.how?.includes('crease') || s.how?.includes('score'))).toBe(false);
    expect(folds.filter((s) => s.score).every((s) => s.how !== undefined)).toBe(true);
  });

  test('the first cut tells how to square a torn or rolled sheet, with the iron’s caution', () => {
    const cut = step(card(), 'cut');
    expect(cut.ifRough?.text).toContain('cut a second edge square to it');
    expect(cut.ifRough?.caution).toContain('Hot iron');
    expect(stepsOf(card(), say).filter((s) => s.ifRough)).toHaveLength(1);
  });

  test('cautions stand at the step that needs them: trimmer, blade, punch, heat, fixings', () => {
    expect(step(card({ kit: { trimmer: '12 in' } }), 'cut').caution).toContain('Trimmer: fingers behind the guard');
    expect(step(card(), 'cut').caution).toContain('Blade');
    expect(step(card(), 'punch').caution).toContain('clear of the punch');
    const inked = stepsOf(card({ decorate: ['ink'] }), say).find(({ text }) => text.startsWith('Ink'))!;
    expect(inked.caution).toContain('heat gun');
    const buttons = stepsOf(
      planOf({
        version: 1,
        construction: 'seam-envelope',
        contents: { width: '4 in', height: '5 in' },
        closure: { kind: 'buttons' },
      }),
      say,
    ).find(({ text }) => text.startsWith('Fix a disc'))!;
    expect(buttons.caution).toMatch(/awl.*hammer.*small children/);
    expect(step(card(), 'turn').caution).toBeUndefined();
  });

  test('a trimmer too short for the cut is told of at the cut', () => {
    const long = { kit: { trimmer: '5 in' }, paper: { width: '12 in', height: '12 in' } };
    expect(step(card(long), 'cut').how).toContain('Your trimmer ends before that');
    expect(step(card(long), 'cut').caution).toContain('Blade');
  });
});

describe('what the sheet is when something goes wrong', () => {
  const now = (plan: Plan, pick: (step: Step) => boolean) => {
    const steps = stepsOf(plan, say);
    return sheetNow(plan.made!, plan.design, steps, steps.find(pick)!, say);
  };

  test('at the cut nothing is made yet', () => {
    expect(now(card(), (s) => s.action === 'cut')).toMatchObject({
      moves: 0,
      scores: [],
      text: 'The sheet was to be cut 6 in square; nothing is scored or punched on it yet.',
    });
  });

  test('round the board: what is behind is made, the step itself is not counted on', () => {
    expect(now(card(), (s) => s.score === 's3' || s.text.startsWith('Score 3'))).toMatchObject({
      scores: [1, 2],
      near: 3,
      notched: [1, 2, 3],
      text: 'The sheet is 6 in square, as cut. Scores 1 and 2 are made. Edges 1, 2 and 3 have their notches.',
    });
  });

  test('while folding, all scores are made and the folds behind are told', () => {
    const folding = now(card(), (s) => s.action === 'glue');
    expect(folding.scores).toEqual([1, 2, 3, 4]);
    expect(folding.folded.length).toBeGreaterThan(0);
    expect(folding.text).toContain('Folded so far');
  });

  test('of several pieces the one at hand is told of', () => {
    const doors = planOf({
      version: 1,
      construction: 'slider-set',
      contents: { width: '5 in', height: '3 in' },
      tool: { kind: 'scoring-board' },
    });
    const piece = doors.made!.pieces[1]!.piece.name;
    const wrong = now(doors, (s) => s.piece === piece && s.phase === 'flat');
    expect(wrong.piece.name).toBe(piece);
    expect(wrong.text).toMatch(new RegExp(`^The ${piece} is`));
  });

  test.each(CONSTRUCTIONS.map((c) => [c.name, c] as const))(
    '%s: what is told as made is what the simulated tool has made by then, at every step',
    (_name, construction) => {
      let spoke = 0;
      fc.assert(
        fc.property(contentsFirst(construction), fc.double({ min: 0, max: 0.999, noNaN: true }), (input, share) => {
          const plan = planOf(input);
          fc.pre(plan.made !== null);
          const steps = stepsOf(plan, say);
          const wrong = steps[Math.floor(share * steps.length)]!;
          const now = sheetNow(plan.made!, plan.design, steps, wrong, say);
          const part = plan.made!.pieces.find(({ piece }) => piece === now.piece)!;
          const moves = part.programme.moves.slice(0, now.moves);
          const made = simulate(now.piece.blank, plan.design.tool, moves);
          // Every punch and snip behind has left its notch, on the edge that was near or that was named.
          const notches = moves.filter((move) => move.do === 'punch' || move.do === 'snip');
          expect(made.notches.length).toBe(notches.length);
          expect(now.notched.length > 0).toBe(notches.length > 0);
          expect(now.near).toBe((moves.filter((move) => move.do === 'turn').length % 4) + 1);
          // Work goes on from there: the rest of the moves makes the same sheet as all of them in one go.
          const rest = part.programme.moves.slice(now.moves);
          expect(simulate(now.state, plan.design.tool, rest)).toEqual(
            simulate(now.piece.blank, plan.design.tool, part.programme.moves),
          );
          // A run that falls away whole with a notch leaves nothing; else each score told is a line on the sheet.
          expect(made.scores.length > 0 || now.scores.length === 0 || made.notches.length > 0).toBe(true);
          expect(now.moves).toBeLessThanOrEqual(part.programme.moves.length);
          if (wrong.phase === 'fold' && part.piece.name === wrong.piece)
            // All are made, but for a notch that is punched through everything glued and is still to come.
            expect(part.programme.moves.slice(now.moves).map((move) => move.do)).toEqual(
              steps.some((s) => s.phase === 'fold' && s.action === 'punch' && s.id >= wrong.id)
                ? part.programme.moves.flatMap((move) => (move.do === 'bite' ? ['bite'] : []))
                : [],
            );
          if (wrong.phase === 'cut') expect(now.moves).toBe(0);
          expect(now.text).toMatch(/^The .+\.$/s);
          spoke++;
        }),
        runs(6),
      );
      expect(spoke).toBeGreaterThan(0);
    },
  );
});
