/**
 * Steps as the person who must do them reads them: whatever the holder, its closure, layers and decorations,
 * everything that is made has its step, once, after all it rests on and before whatever covers it.
 */
import { anyLayers, contentsFirst, planOf } from '../../../tests/helpers/designs';
import { runs } from '../../../tests/helpers/runs';
import fc from 'fast-check';
import { CONSTRUCTIONS } from '../constructions';
import { ADHESIVES, CLOSURES, DECORATIONS, type Adhesive, type DesignInput } from '../design';
import { closurePlan, glueAreas, type Plan } from '../plan';
import { sayer } from '../length';
import { stepsOf } from './steps';
import type { Step } from './step';
import { flatMoves } from './flat';

const say = sayer('in', '1/8 in');
const only = <T>(all: readonly T[]): T => {
  expect(all).toHaveLength(1);
  return all[0]!;
};

/** Everything a make is asked for in one go. */
const extras = fc.record({
  closure: fc.constantFrom(...CLOSURES).map((kind) => ({ kind })),
  layers: anyLayers,
  decorate: fc.subarray([...DECORATIONS]),
  order: fc.constantFrom('by-piece' as const, 'by-operation' as const),
  adhesive: fc.constantFrom(...ADHESIVES).map((all) => ({ all })),
});

function eachHasItsStep(plan: Plan, steps: readonly Step[]): void {
  const made = plan.made!;
  const { design } = plan;
  const at = (step: Step): number => steps.indexOf(step);
  const folds = steps.filter(({ phase }) => phase === 'fold');
  const firstFold = folds.length > 0 ? at(folds[0]!) : steps.length;

  // Every piece is cut once, alone or with what is made alike; every move of its programme is carried out once.
  for (const part of [...made.pieces, ...made.layers]) {
    const { name } = part.piece;
    const does = ({ piece, alike = [] }: Step): boolean => piece === name || alike.includes(name);
    only(steps.filter((step) => step.phase === 'cut' && does(step)));
    const flat = steps.filter((step) => step.phase === 'flat' && does(step) && step.picture.kind === 'flat');
    let moves = 0;
    let near = 1;
    for (const step of flat) {
      if (step.picture.kind !== 'flat') continue;
      const { fresh, moves: by } = step.picture;
      if (fresh === 0) continue;
      expect(by - fresh).toBe(moves);
      moves = by;
      // The near edge changes with a turn alone, or where the sheet is laid into a tool by an edge that is named.
      if (step.action !== 'turn' && step.picture.near !== near)
        expect(step.text).toContain(`edge ${step.picture.near}`);
      if (step.action === 'turn') near = step.picture.near;
    }
    expect(moves).toBe(flatMoves(made, part));
    for (const what of design.decorate)
      if (made.pieces.includes(part)) {
        const own = only(
          flat.filter((step) => step.text.startsWith(`${what === 'ink' ? 'Ink the edges of' : 'Emboss'} the ${name} `)),
        );
        expect(at(own)).toBeLessThan(firstFold);
      }
  }

  // Every fold of the assembly once; several plain ones may be one step.
  const stages = (kind: 'folded' | 'standing'): number[] =>
    steps.flatMap(({ picture, action }) =>
      picture.kind === kind && !picture.before && !picture.done && action !== 'insert' && action !== 'punch'
        ? Array.from(
            {
              length:
                picture.stage - (picture.kind === 'folded' ? (picture.since ?? picture.stage) : picture.stage) + 1,
            },
            (_, i) => picture.stage - i,
          )
        : [],
    );
  expect(stages('folded').sort((a, b) => a - b)).toEqual(made.folded.stages.map((_, i) => i));
  expect(stages('standing').sort((a, b) => a - b)).toEqual((made.folded.standing?.stages ?? []).map((_, i) => i));

  // Whatever is glued: glue on, then joined in the very next step, and waiting told after that, never before.
  const closing = new Set(
    steps.flatMap(({ action, glue, joins }) => (action === 'close' && glue && !joins ? [glue] : [])),
  );
  const dries = ({ how = '' }: Step): boolean => how.includes('let it dry');
  for (const id of new Set(glueAreas(made).map((area) => area.id))) {
    if (closing.has(id)) continue;
    const on = only(steps.filter((step) => step.action === 'glue' && step.glue === id));
    const join = only(steps.filter((step) => step.joins === id));
    expect(at(join)).toBe(at(on) + 1);
    expect(dries(on)).toBe(false);
  }
  const holds = (step: Step): Adhesive => design.adhesive.joins[step.joins!] ?? design.adhesive.all;
  const wet = steps.filter((step) => step.joins && holds(step) === 'wet-glue');
  for (const step of steps.filter(dries)) expect(wet).toContain(step);
  if (wet.length > 0) expect(dries(wet.at(-1)!)).toBe(true);
  // Nothing is put in or closed while glue is wet.
  let pending = false;
  for (const step of steps) {
    if ((step.action === 'insert' || step.action === 'close') && !step.joins) expect(pending).toBe(false);
    if (wet.includes(step)) pending = !dries(step);
  }

  // The contents go in once, where there is a place for them, and before anything closes over them.
  const { cavities } = made.built;
  const inserts = steps.filter(
    ({ action, piece }) => action === 'insert' && !made.layers.some((b) => b.piece.name === piece),
  );
  if (cavities.length === 0) expect(inserts).toEqual([]);
  else {
    const insert = only(inserts);
    for (const step of steps)
      if (step.action === 'close' && step.phase === 'fold') expect(at(step)).toBeGreaterThan(at(insert));
  }

  // A layer is laid once, after it was cut and after the one below it.
  for (const { layer } of made.layers) {
    const { name } = layer.piece;
    const laid = (which: string): Step =>
      only(
        steps.filter(
          (step) =>
            step.piece === which &&
            step.phase !== 'cut' &&
            (step.phase === 'fold' || step.action === 'glue' || /^Lay the (?:\w+ )?template/u.test(step.text)),
        ),
      );
    const used = laid(name);
    if (layer.upon) expect(at(used)).toBeGreaterThan(at(laid(layer.upon)));
    if (layer.on === 'sheet' && !layer.upon)
      for (const step of steps)
        if (
          step.action === 'punch' &&
          made.pieces.some(({ piece }) => piece.name === step.piece && piece.holes.length > 0)
        )
          expect(at(used)).toBeLessThan(at(step));
  }

  // What shuts it comes last, once; its discs are fixed while the sheet is flat, in holes that are punched by then.
  const closure = closurePlan(made, design);
  if (closure && !closure.trouble) {
    if (closure.kind === 'buttons' && !made.folded.standing) {
      const fixed = only(steps.filter(({ text }) => /(?:^|[.:] )[Ff]ix a disc/u.test(text)));
      expect(at(fixed)).toBeLessThan(firstFold);
      expect(made.pieces.flatMap(({ piece }) => piece.holes).filter(({ id }) => id.startsWith('disc'))).toHaveLength(2);
      for (const step of steps)
        if (step.action === 'punch' && step.phase === 'flat') expect(at(step)).toBeLessThan(at(fixed));
    }
    const words = {
      cord: 'cord',
      bow: 'bow',
      laced: 'Lace',
      buttons: 'wind',
      ribbon: 'ribbon',
      dot: 'dot',
      tuck: 'Tuck',
      band: 'band of',
    };
    const word = words[closure.kind as keyof typeof words];
    // A ribbon that lies under a mat is laid with it, on the piece that is on.
    const own = steps.filter(
      ({ text, piece, phase }) =>
        text.includes(word) &&
        (closure.kind === 'ribbon' ? phase !== 'cut' : phase === 'fold' && piece === made.pieces[0].piece.name),
    );
    expect(own.length).toBeGreaterThan(0);
  }
}

test('a sheet that is the blank already is not cut: the first step is the next one, and tells how to square it', () => {
  const envelope = { version: 1, construction: 'diagonal-envelope', tool: { kind: 'envelope-board' } } as const;
  const actions = (more: object): string[] =>
    stepsOf(planOf({ ...envelope, ...more } as DesignInput), say).map(({ action }) => action);
  const six = { width: '6 in', height: '6 in' };
  expect(actions({ blank: six })[0]).toBe('punch');
  expect(actions({ contents: { width: '3 in', height: '4 in' } })[0]).toBe('cut');
  // The square for this card is 6 in: it is there already, or comes out of a larger sheet.
  expect(actions({ contents: { width: '3 in', height: '4 in' }, paper: six })[0]).toBe('punch');
  expect(actions({ contents: { width: '3 in', height: '4 in' }, paper: { width: '12 in', height: '12 in' } })[0]).toBe(
    'cut',
  );
  expect(actions({ blank: six, paper: { width: '12 in', height: '12 in' } })[0]).toBe('cut');
  const [first] = stepsOf(planOf({ ...envelope, blank: six } as DesignInput), say);
  expect(first!.ifRough?.text).toContain('square');
});

test.each(CONSTRUCTIONS.map((construction) => [construction.name, construction] as const))(
  '%s: everything that is made has its step, once and in time',
  (_name, construction) => {
    let told = 0;
    fc.assert(
      fc.property(contentsFirst(construction), extras, (input, more) => {
        const plan = planOf({ ...input, ...more } as DesignInput);
        fc.pre(plan.made !== null);
        eachHasItsStep(plan, stepsOf(plan, say));
        told++;
      }),
      runs(12),
    );
    expect(told).toBeGreaterThan(0);
  },
);

test('corners are rounded with the rounder that is there, and by hand without one', () => {
  const rounding = (rounders: string[]): Step =>
    stepsOf(
      planOf({
        version: 1,
        construction: 'diagonal-envelope',
        contents: { width: '3 in', height: '4 in' },
        options: { corner: '1/4 in' },
        kit: { rounders },
      } as DesignInput),
      say,
    ).find(({ text }) => text.startsWith('Round the corner'))!;
  expect(rounding(['1/4 in'])).toMatchObject({ how: expect.stringContaining('corner rounder'), rounds: 6.35 });
  expect(rounding(['1/4 in']).caution).toContain('punch');
  for (const others of [[], ['1/2 in']]) {
    expect(rounding(others).how).toContain('coin');
    expect(rounding(others).caution).toContain('cut away from your fingers');
  }
});

test('what is the size of a photo is told where it goes in, once; nothing else is', () => {
  const cautions = (width: string, height: string): string[] =>
    stepsOf(planOf({ version: 1, construction: 'library-pocket', contents: { width, height } } as DesignInput), say)
      .filter(({ caution }) => caution?.includes('photo-safe'))
      .map(({ action }) => action);
  expect([cautions('4 in', '6 in'), cautions('6 in', '4 in'), cautions('3 in', '4 in')]).toEqual([
    ['insert'],
    ['insert'],
    [],
  ]);
});
