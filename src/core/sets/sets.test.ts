/** Laws of sets, over random ones: whatever holds what, how many, how they lie, from which papers. */
import fc from 'fast-check';
import { anyChain } from '../../../tests/helpers/sets';
import { atLeast, runs } from '../../../tests/helpers/runs';
import { mm, sayer, stepOf } from '../length';
import { blanksOf } from '../making';
import { checksOf } from '../checks';
import { paperOf, readDesign, type DesignInput } from '../design';
import { planDocument } from '../document';
import { planFor } from '../plan';
import {
  CHAINS,
  cutListOf,
  designOf,
  planSet,
  readSet,
  setChecks,
  setDocument,
  setOf,
  setPlanSchema,
  setSentence,
  setsDone,
  walkOf,
  withDesign,
  withoutPart,
  withPart,
  type PlannedPart,
  type SetDesign,
  type SetInput,
  type SetPlan,
  withRemedy,
} from '.';
import { runsOf } from './order';

const say = sayer('in', '1/8 in');
const HAIR = 1e-6;

function setFrom(input: SetInput): SetDesign {
  const read = readSet(input);
  if (!read.ok) throw new Error(`${JSON.stringify(input)}: ${JSON.stringify(read.issues)}`);
  return read.set;
}
const planned = (input: SetInput): SetPlan => planSet(setFrom(input));
const named = ({ parts }: SetPlan, id: string): PlannedPart => parts.find(({ part }) => part.id === id)!;

/** The room that so many of something take, reckoned here again. */
function roomFor(
  { part, count, lie = 'stacked', turn = false }: { part: string; count: number; lie?: string; turn?: boolean },
  plan: SetPlan,
) {
  const { width, height, thickness } = named(plan, part).outside!;
  const [w, h] = turn ? [height, width] : [width, height];
  return { wide: lie === 'beside' ? count * w : w, high: h, thick: (lie === 'beside' ? 1 : count) * thickness, lie };
}

test('what a part holds is at least the outside of what lies in it, each way', () => {
  let asked = 0;
  fc.assert(
    fc.property(anyChain, (input) => {
      const plan = planned(input);
      for (const { part, plan: own, holds } of plan.parts) {
        if (part.fixed || !own.made || part.holds.length === 0) continue;
        const inner = part.holds[0]!;
        if (!named(plan, inner.part).outside) continue;
        const room = roomFor(inner, plan);
        const standing = inner.lie === 'on-edge' && holds!.thickness !== room.thick;
        const [wide, high, thick] = standing ? [room.wide, room.thick, room.high] : [room.wide, room.high, room.thick];
        expect(holds!.width).toBeGreaterThanOrEqual(wide - HAIR);
        expect(holds!.height).toBeGreaterThanOrEqual(high - HAIR);
        expect(holds!.thickness).toBeGreaterThanOrEqual(thick - HAIR);
        expect(own.design.contents).toMatchObject(holds!);
        // The outside is never smaller than what is inside: where it closes over it, both ways.
        if (own.design.construction.does === 'closes' || own.design.construction.does === 'stands') {
          const { finished } = own.made;
          expect(finished.width).toBeGreaterThanOrEqual(holds!.width - HAIR);
          expect(finished.thickness).toBeGreaterThanOrEqual(holds!.thickness - HAIR);
        }
        asked++;
      }
    }),
    runs(30),
  );
  expect(asked).toBeGreaterThan(atLeast(10));
});

/** The thickness of a filled part without what is in it, mm. */
const paperOnly = ({ outside, holds }: PlannedPart): number => outside!.thickness - (holds?.thickness ?? 0);

test('a larger innermost part never makes anything that holds it smaller', () => {
  let strict = 0;
  fc.assert(
    fc.property(
      anyChain,
      fc.constantFrom('width', 'height', 'thickness'),
      fc.integer({ min: 1, max: 20 }),
      (input, side, by) => {
        const [inner] = input.parts as [SetInput['parts'][number]];
        const of = inner.given ?? (inner.design!.contents as Record<string, number>);
        const larger = { ...of, [side]: Number((of as Record<string, unknown>)[side] ?? 0) + by };
        const grown = withPart(
          input,
          inner.id,
          inner.given ? { given: larger as typeof inner.given } : { design: { ...inner.design, contents: larger } },
        );
        const [small, large] = [planned(input), planned(grown)];
        let whole = true;
        // A setting and a sheet are rounded to marks together: the pair nearest the aim may be smaller one way for a larger card.
        const coupled = input.parts.some(({ design }) => design?.construction === 'diagonal-envelope');
        const slack = coupled && input.graduation !== 'exact' ? 2 * stepOf(input.graduation!) : HAIR;
        for (const { part, outside, holds, plan } of small.parts) {
          const now = named(large, part.id);
          if (!outside || !now.outside) continue;
          // A flap that stands out past its fold is a plan that cannot be made: it reaches less far on a larger one.
          if (checksOf(plan).some(({ kind, level }) => kind === 'overhang' && level !== 'pass')) whole = false;
          // Flaps of one length lie over each other on a small envelope, and no more on a larger one: its paper is thinner
          // there by whole layers, and what holds it may follow. But for that nothing shrinks.
          const own =
            plan.made && now.plan.made && paperOnly(now) < paperOnly(small.parts.find((p) => p.part === part)!) - HAIR;
          if (holds && now.holds && whole)
            for (const way of ['width', 'height', 'thickness'] as const)
              expect([part.id, 'holds', way, now.holds[way] >= holds[way] - slack]).toEqual([
                part.id,
                'holds',
                way,
                true,
              ]);
          for (const way of ['width', 'height', 'thickness'] as const)
            if (whole && !(way === 'thickness' && own))
              expect([part.id, way, now.outside[way] >= outside[way] - slack]).toEqual([part.id, way, true]);
          if (own) whole = false;
          strict += whole ? 1 : 0;
        }
      },
    ),
    runs(25),
  );
  expect(strict).toBeGreaterThan(atLeast(25));
});

test('the cut list is exactly the pieces of all plans, times how many there are of each', () => {
  fc.assert(
    fc.property(anyChain, fc.integer({ min: 1, max: 3 }), (input, copies) => {
      const plan = planned(input);
      const listed = cutListOf(plan, copies).flatMap(({ paper, pieces }) =>
        pieces.map(({ part, name, width, height, quantity }) => [paper, part, name, width, height, quantity]),
      );
      const all = plan.parts.flatMap(({ part, plan: { made, design } }) => {
        if (!made) return [];
        const layers = made.layers.map(({ piece }) => piece.name);
        return blanksOf(made, design)
          .filter(({ name }) => !part.given || layers.includes(name))
          .map(({ name, width, height, quantity }) => [
            layers.includes(name)
              ? (input.parts.find(({ id }) => id === part.id)!.layers![layers.indexOf(name)]!.paper ?? part.paper)
              : (part.paper ?? 'thin'),
            part.id,
            name,
            width,
            height,
            quantity * part.quantity * copies,
          ]);
      });
      const sorted = (rows: unknown[][]) => rows.map((row) => JSON.stringify(row)).sort();
      // A layer there was no room for shifts those after it: told apart by the next test.
      fc.pre(plan.parts.every(({ part, plan: { made } }) => !made || made.layers.length === part.layers.length));
      expect(sorted(listed)).toEqual(sorted(all));
    }),
    runs(40),
  );
});

test('a set of one part plans as the part alone, and its design comes back from it', () => {
  for (const construction of ['diagonal-envelope', 'tray-box', 'folio', 'mat']) {
    const design = {
      version: 1,
      construction,
      contents: { width: 76.2, height: 101.6, thickness: 3 },
      graduation: '1/8 in',
      tool: { kind: 'ruler', notch: 19.05 },
      paper: { id: 'paper', name: 'Blue', width: 305, height: 305, caliper: 0.3, sided: 1, directional: true, turn: 1 },
      layers: [{ on: 'front' }],
      options: {},
    } as never;
    const set = setOf(design);
    const read = readDesign(design);
    if (!read.ok) throw new Error(JSON.stringify(read.issues));
    const alone = planDocument(planFor(read.design));
    expect(setDocument(planned(set)).parts.map(({ plan }) => plan)).toEqual([alone]);
    expect(designOf(set, set.parts[0]!)).toEqual(design);
    // Nobody named it: it is called after what it is.
    expect(planned(set).parts[0]!.part.name).toBe(read.design.construction.title);
  }
});

test('documents survive: a set as JSON is the same set, its answer keeps its schema', () => {
  fc.assert(
    fc.property(anyChain, (input) => {
      const again = JSON.parse(JSON.stringify(input)) as SetInput;
      expect(setFrom(again)).toEqual(setFrom(input));
      const answer = setDocument(planned(input));
      expect(setPlanSchema.parse(JSON.parse(JSON.stringify(answer)))).toEqual(JSON.parse(JSON.stringify(answer)));
      for (const check of setChecks(planned(input))) expect(setSentence(check, say)).toMatch(/\.$/);
    }),
    runs(15),
  );
});

test('what is fixed never changes, whatever goes in: it is checked', () => {
  const box = (inner: number): SetInput => ({
    version: 1,
    parts: [
      { id: 'pad', given: { width: inner, height: 60, thickness: 10 } },
      {
        id: 'box',
        design: { construction: 'tray-box', contents: { width: 80, height: 70, thickness: 12 } },
        holds: [{ part: 'pad' }],
      },
    ],
  });
  const plans = [50, 75, 90].map((inner) => planned(box(inner)));
  const documents = plans.map((plan) => setDocument(plan).parts[1]!.plan!.pieces);
  expect(documents[1]).toEqual(documents[0]);
  expect(documents[2]).toEqual(documents[0]);
  const level = (plan: SetPlan) => setChecks(plan).find(({ id }) => id === 'goes-in-box-width')!.level;
  expect(plans.map(level)).toEqual(['pass', 'pass', 'fail']);
});

describe('asked from the outside in', () => {
  const nested = (width: number): SetInput => ({
    version: 1,
    graduation: '1 mm',
    parts: [
      { id: 'card', design: { construction: 'folded-card' } },
      { id: 'envelope', design: { construction: 'seam-envelope' }, holds: [{ part: 'card', fills: true }] },
      {
        id: 'box',
        design: { construction: 'tray-box', contents: { width, height: 120, thickness: 12 }, options: {} },
        holds: [{ part: 'envelope', fills: true }],
      },
    ],
  });
  test('this box is made: the largest envelope goes in, and the largest card into that', () => {
    fc.assert(
      fc.property(fc.integer({ min: 70, max: 160 }), (width) => {
        const plan = planned(nested(width));
        const [box, envelope, card] = ['box', 'envelope', 'card'].map((id) => named(plan, id));
        for (const [inner, holder] of [
          [envelope!, box!],
          [card!, envelope!],
        ] as const) {
          const { made, design } = holder.plan;
          const room = made!.holds[0]!.largest(design.least, design.thickness);
          const goesIn = ({ width, height }: { width: number; height: number }): boolean =>
            width <= room.width + HAIR && height <= room.height + HAIR;
          expect(goesIn(inner.outside!)).toBe(true);
          // One mark more either way does not go in.
          const own = inner.plan.design;
          const size = own.contents!;
          for (const [more, higher] of [
            [1, 0],
            [0, 1],
          ] as const) {
            const contents = { ...size, width: mm(size.width + more), height: mm(size.height + higher) };
            expect(goesIn(planFor({ ...own, contents }).made!.finished)).toBe(false);
          }
          // What keeps the room aimed for is told beside it, and taken by a button.
          const told = setChecks(plan).find(({ id }) => id === `as-large-${inner.part.id}`)!;
          expect(told).toMatchObject({ kind: 'as-large', about: { size, otherwise: inner.otherwise } });
          const aimed = named(planned(withRemedy(nested(width), told.remedies[0]!)), inner.part.id)!;
          expect(aimed.plan.design.contents).toEqual(inner.otherwise);
          expect(aimed.otherwise).toEqual(size);
        }
      }),
      runs(15),
    );
  });
});

describe('the order of work', () => {
  test('every step once, nothing goes into anything before it is finished', () => {
    fc.assert(
      fc.property(anyChain, fc.constantFrom('by-operation' as const, 'by-piece' as const), (input, order) => {
        const plan = planned({ ...input, order });
        const ended = new Set<string>();
        const told = runsOf(plan, say);
        const left = new Map<string, number>();
        for (const { part, steps } of told) left.set(part, (left.get(part) ?? 0) + steps.length);
        for (const { part: id, steps } of told) {
          const { part, plan: own } = named(plan, id);
          const layers = new Set(own.made?.layers.map(({ piece }) => piece.name));
          for (const step of steps) {
            if (step.action === 'insert' && !layers.has(step.piece))
              for (const { part: inner } of [...part.holds, ...(part.round ? [part.round] : [])])
                if (left.has(inner)) expect([id, inner, ended.has(inner)]).toEqual([id, inner, true]);
            const rest = left.get(id)! - 1;
            left.set(id, rest);
            if (rest === 0) ended.add(id);
          }
        }
        expect([...left.values()].every((rest) => rest === 0)).toBe(true);
      }),
      runs(20),
    );
  });

  test('all is cut paper by paper, whatever part it is for', () => {
    for (const chain of CHAINS) {
      const plan = planned(chain.set(chain.usual));
      const papers = walkOf(plan, say, 1, 'together')
        .filter(({ step }) => step.phase === 'cut')
        .map(({ part, step }) => paperOf(named(plan, part).plan.design, step.piece).id);
      expect(papers.length).toBeGreaterThan(1);
      expect(papers.filter((paper, i) => paper !== papers[i - 1])).toEqual([...new Set(papers)]);
    }
  });

  test.each(['together', 'one-by-one'] as const)('%s: every copy of every part passes every step of it once', (way) => {
    for (const chain of CHAINS) {
      const plan = planned(chain.set(chain.usual));
      const walk = walkOf(plan, say, 2, way);
      const seen = new Map<string, number>();
      for (const { part, step, copies } of walk)
        for (const copy of copies) {
          const key = `${part} ${step.id} ${copy}`;
          seen.set(key, (seen.get(key) ?? 0) + 1);
        }
      expect(new Set(seen.values())).toEqual(new Set([1]));
      expect(setsDone(plan, walk, walk.length)).toBe(2);
      expect(setsDone(plan, walk, 0)).toBe(0);
    }
  });
});

describe('a part’s design', () => {
  test('changed on its own goes where it belongs: marks to the set, paper to its paper, contents nowhere where they are told', () => {
    const set = CHAINS[1]!.set(CHAINS[1]!.usual);
    const envelope = set.parts[1]!;
    const now = designOf(set, envelope, { contents: { width: 88.9, height: 215.9, thickness: 0.6 } });
    const paper = { ...now.paper, caliper: 0.2 };
    const next = withDesign(set, 'envelope', now, { ...now, paper, graduation: '1/16 in', options: { lap: 10 } });
    expect(next.graduation).toBe('1/16 in');
    expect(next.papers!.find(({ id }) => id === 'envelope')!.caliper).toBe(0.2);
    expect(next.papers!.filter(({ id }) => id !== 'envelope')).toEqual(
      set.papers!.filter(({ id }) => id !== 'envelope'),
    );
    expect(next.parts[1]!.design).toEqual({ construction: 'seam-envelope', options: { lap: 10 } });
    expect([next.parts[0], next.parts[2], next.parts[3]]).toEqual([set.parts[0], set.parts[2], set.parts[3]]);
  });

  test('a set without papers gets the one that is told', () => {
    const { papers: _, ...set } = CHAINS[1]!.set(CHAINS[1]!.usual);
    const bare: SetInput = { ...set, parts: [{ ...set.parts[1]!, holds: [], paper: undefined }] };
    const now = designOf(bare, bare.parts[0]!);
    const next = withDesign(bare, 'envelope', now, { ...now, paper: { ...now.paper, caliper: 0.3 } });
    expect(next.papers).toEqual([expect.objectContaining({ id: 'paper', caliper: 0.3 })]);
  });

  test('another tool is that of the whole where it is all there is, and else of the part alone', () => {
    const set = CHAINS[1]!.set(CHAINS[1]!.usual);
    const tool = { kind: 'edge-board' } as const;
    const now = designOf(set, set.parts[1]!);
    const several = withDesign(set, 'envelope', now, { ...now, tool });
    expect([several.tool, several.parts[1]!.tool, several.parts[0]]).toEqual([set.tool, tool, set.parts[0]]);
    const one: SetInput = { ...set, parts: [{ ...set.parts[1]!, holds: [], tool: { kind: 'ruler' } }] };
    const alone = designOf(one, one.parts[0]!);
    const next = withDesign(one, 'envelope', alone, { ...alone, tool });
    expect(next.tool).toEqual(tool);
    expect(next.parts[0]).not.toHaveProperty('tool');
  });
});

test('what was cut from the sheets of a part that is taken out is cut from its own paper again; the others keep theirs', () => {
  const sized = { contents: { width: 100, height: 100 } };
  const set = {
    version: 1,
    parts: [
      { id: 'a', design: { construction: 'mat', ...sized } },
      { id: 'b', design: { construction: 'mat', ...sized }, from: 'a' },
      { id: 'c', design: { construction: 'mat', ...sized }, from: 'b' },
    ],
  } as SetInput;
  expect(withoutPart(set, 'a', null).parts.map(({ id, ...part }) => [id, 'from' in part ? part.from : null])).toEqual([
    ['b', null],
    ['c', 'b'],
  ]);
});

test('thick things that sit tightly in a box cannot be taken out by fingers: it is told, and not where they have room', () => {
  const grip = (ease: string, thickness: number, construction = 'tray-box'): boolean =>
    setChecks(
      planned({
        version: 1,
        parts: [
          { id: 'stack', given: { width: 100, height: 120, thickness } },
          {
            id: 'box',
            design: {
              construction,
              ease: { width: ease, height: ease },
              options: construction === 'tray-box' ? { depth: 40 } : {},
            },
            holds: [{ part: 'stack' }],
          },
        ],
      } as SetInput),
    ).some(({ kind }) => kind === 'grip');
  expect([grip('2 mm', 30), grip('30 mm', 30), grip('2 mm', 5)]).toEqual([true, false, false]);
});

test('papers of single pieces and of layers come along into a set, each once', () => {
  const back = { width: 200, height: 200, name: 'Back' };
  const set = setOf({
    version: 1,
    construction: 'packet',
    contents: { width: 80, height: 110 },
    papers: { back, front: { ...back, id: 'own' } },
    layers: [
      { on: 'front', paper: { ...back, id: 'own' } },
      { on: 'back', paper: back },
    ],
  } as DesignInput);
  expect(set.papers?.map(({ id, name }) => [id, name])).toEqual([
    ['paper', ''],
    ['back', 'Back'],
    ['own', 'Back'],
    ['layer-2', 'Back'],
  ]);
  expect(set.parts[0]).toMatchObject({
    papers: { back: 'back', front: 'own' },
    layers: [{ paper: 'own' }, { paper: 'layer-2' }],
  });
});
