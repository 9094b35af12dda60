/** What a thing is made of: made, bought or there already; how many alike; each of its own paper. */
import { planOf } from '../../../tests/helpers/designs';
import { blanksOf } from './blanks';
import { assemble, type AssemblyStep } from '../fold';
import { holdOf } from '../fit';
import { mm, sayer } from '../length';
import { drawPiece, patternFaults, rect, type Piece, type Source } from '../pattern';
import { checksOf } from '../checks';
import { paperOf, type Design, type DesignInput } from '../design';
import { planFor } from '../plan';
import { printMap } from '../looks';
import { stepsOf } from './steps';
import { workOf } from './work';

const say = sayer('mm', '1 mm');
const box = (more: object = {}) =>
  planOf({
    version: 1,
    construction: 'tray-box',
    contents: { width: 80, height: 60, thickness: 20 },
    graduation: '1 mm',
    ...more,
  } as DesignInput);
/** The same design with papers for single pieces. */
const withPapers = (design: Design, papers: Readonly<Record<string, Partial<Design['paper']>>>) =>
  planFor({
    ...design,
    papers: Object.fromEntries(Object.entries(papers).map(([name, own]) => [name, { ...design.paper, ...own }])),
  });

describe('a paper a piece', () => {
  test('is the design’s own unless told', () => {
    const { design } = box();
    expect(paperOf(design, 'lid')).toBe(design.paper);
    const own = { ...design.paper, caliper: mm(1) };
    expect(paperOf({ ...design, papers: { lid: own } }, 'lid')).toBe(own);
    expect(paperOf({ ...design, papers: { lid: own } }, 'box')).toBe(design.paper);
  });

  test('a thick lid has only its own layers thick: what it takes counts each paper by itself', () => {
    const { design, made } = box({ paper: { caliper: 0.2 } });
    const names = made!.pieces.map(({ piece }) => piece.name);
    expect(names).toHaveLength(2);
    const takes = (papers: Readonly<Record<string, Partial<Design['paper']>>>): number => {
      const check = checksOf(withPapers(design, papers)).find(({ kind }) => kind === 'lid-width')!;
      return (check.about as { takes: number }).takes;
    };
    const [bottom, lid] = names as [string, string];
    const [all, thickBox, thickLid] = [
      takes({}),
      takes({ [bottom]: { caliper: mm(1) } }),
      takes({ [lid]: { caliper: mm(1) } }),
    ];
    const both = takes({ [bottom]: { caliper: mm(1) }, [lid]: { caliper: mm(1) } });
    expect(both).toBeCloseTo(5 * all, 9);
    // Each paper adds for its own layers alone.
    expect(thickBox - all + (thickLid - all)).toBeCloseTo(both - all, 9);
    expect(thickBox).toBeGreaterThan(all);
    expect(thickBox).toBeLessThan(both);
  });

  test('each is asked whether its own blanks lie on it', () => {
    const { design, made } = box({ paper: { width: 300, height: 300 } });
    const [bottom, lid] = made!.pieces.map(({ piece }) => piece.name) as [string, string];
    const papers = (plan: ReturnType<typeof box>) => checksOf(plan).filter(({ kind }) => kind === 'paper');
    expect(papers(box({ paper: { width: 300, height: 300 } })).map(({ id, level }) => [id, level])).toEqual([
      ['paper', 'pass'],
    ]);
    const small = papers(withPapers(design, { [lid]: { width: mm(50), height: mm(50) } }));
    expect(small.map(({ id, level }) => [id, level])).toEqual([
      ['paper', 'pass'],
      [`paper-${lid}`, 'fail'],
    ]);
    // What would do is a change of the design's own paper: a single piece's is not changed by it.
    expect(small[1]!.remedies).toEqual([]);
    expect(papers(withPapers(design, { [bottom]: { width: mm(50), height: mm(50) } }))[0]!.id).toBe(`paper-${bottom}`);
  });

  test('a stiff paper is scored and folded as stiff paper, the other is not', () => {
    const { design, made } = box({ paper: { caliper: 0.2 } });
    const [bottom, lid] = made!.pieces.map(({ piece }) => piece.name) as [string, string];
    const plan = withPapers(design, { [lid]: { caliper: mm(0.9) } });
    const how = (piece: string): string =>
      stepsOf(plan, say).find((step) => step.piece === piece && step.action === 'score')!.how!;
    expect(how(lid)).toContain('one hard pass cuts stiff paper');
    expect(how(bottom)).not.toContain('stiff');
    expect(checksOf(plan).flatMap(({ id, kind }) => (kind === 'stiff-paper' ? [id] : []))).toEqual([
      `stiff-paper-${lid}`,
    ]);
  });

  test('print that has a right way up is turned, and laid on its sheet, by its own paper', () => {
    const { design, made } = box({ paper: { sided: 1 } });
    const [bottom, lid] = made!.pieces.map(({ piece }) => piece.name) as [string, string];
    const turned = withPapers(design, { [lid]: { directional: true, turn: 1 } });
    const turnsOf = (plan: ReturnType<typeof box>, piece: string) =>
      printMap(plan.made!, plan.design).flatMap((one) => (one.piece === piece && one.face === 'top' ? [one.turn] : []));
    const plain = withPapers(design, {});
    expect(turnsOf(turned, bottom)).toEqual(turnsOf(plain, bottom));
    const quarter = (turn: number): number => (((turn % 360) + 360) % 360) / 90;
    expect(turnsOf(turned, lid).map(quarter)).toEqual(turnsOf(plain, lid).map((turn) => (quarter(turn) + 3) % 4));
    const blank = (plan: ReturnType<typeof box>, name: string) =>
      blanksOf(plan.made!, plan.design).find((piece) => piece.name === name)!;
    expect(blank(turned, lid)).toMatchObject({
      turn: false,
      width: blank(plain, lid).height,
      height: blank(plain, lid).width,
    });
    expect(blank(turned, bottom)).toEqual(blank(plain, bottom));
  });
});

describe('several alike', () => {
  test('are cut as many times, told so, and counted so', () => {
    const plan = box();
    const { made, design } = plan;
    const pieces = made!.pieces.map((part, i) => (i === 1 ? { ...part, piece: { ...part.piece, quantity: 3 } } : part));
    const three = { ...plan, made: { ...made!, pieces: pieces as never } } as typeof plan;
    const lid = pieces[1]!.piece;
    const cut = stepsOf(three, say).filter(({ phase }) => phase === 'cut');
    expect(cut.find(({ piece }) => piece === lid.name)!.text).toContain(`the ${lid.name}: 3 alike, each `);
    expect(cut.find(({ piece }) => piece !== lid.name)!.text).not.toContain('alike');
    expect(blanksOf(three.made!, design).map(({ quantity }) => quantity)).toEqual([1, 3]);
  });
});

describe('bought, made, or there already', () => {
  /** A folded sleeve and a card that is laid into it. */
  const sleeve = (source: Source): Piece =>
    drawPiece({
      name: 'sleeve',
      blank: { width: mm(60), height: mm(80) },
      panels: [
        { id: 'back', name: 'back', polygon: rect(0, 40, 60, 80) },
        { id: 'front', name: 'front', polygon: rect(0, 0, 60, 40) },
      ],
      folds: [{ id: 's', between: ['back', 'front'] }],
      source,
    });
  const mat = drawPiece({
    name: 'mat',
    blank: { width: mm(50), height: mm(30) },
    panels: [{ id: 'mat', name: 'mat', polygon: rect(0, 0, 50, 30) }],
    folds: [],
  });
  const steps = (bought: boolean): AssemblyStep[] => [
    { kind: 'fold', id: 'fold', name: 'Fold the front up', hinges: ['s'], ...(bought && { bought: true as const }) },
    {
      kind: 'place',
      id: 'lay',
      name: 'Lay the mat on it',
      panel: 'mat',
      onto: 'front',
      line: { from: { x: 0, y: 0 }, to: { x: 50, y: 0 } },
      on: { from: { x: 55, y: 5 }, to: { x: 5, y: 5 } },
      over: true,
      level: 'top',
      gluedTo: ['front'],
    },
  ];

  test('what was done before it was bought is carried out and told to nobody', () => {
    const own = assemble([sleeve('made'), mat], steps(false));
    const bought = assemble([sleeve('bought'), mat], steps(true));
    expect(own.stages.map(({ step }) => step.id)).toEqual(['fold', 'lay']);
    expect(bought.stages.map(({ step }) => step.id)).toEqual(['lay']);
    expect(bought.problems).toEqual([]);
    expect(bought.finished.layers).toEqual(own.finished.layers);
    expect(bought.finished.layers.map(({ panel }) => panel)).toEqual(['back', 'front', 'mat']);
    // What goes in when it was bought so is asked of it as it was then.
    const cavity = {
      id: 'sleeve',
      kind: 'wrap',
      floor: 'back',
      roof: ['front'],
      mouth: { from: { x: 0, y: 80 }, to: { x: 60, y: 80 } },
      insertAfter: 'fold',
      covered: { floor: 1, roof: 1 },
    } as const;
    expect(holdOf(bought, cavity).inside).toEqual(holdOf(own, cavity).inside);
    expect(holdOf(bought, cavity).inside.height).toBeCloseTo(40, 6);
  });

  test('a fold that is not told can fail as any other', () => {
    const [folded, laid] = steps(true) as [AssemblyStep, AssemblyStep];
    const twice = { ...folded, id: 'again', hinges: ['s'], moving: ['back', 'mat'] } as AssemblyStep;
    const { problems, stages } = assemble([sleeve('bought'), mat], [folded, laid, twice]);
    expect(problems.map(({ fold }) => fold)).toContain('again');
    expect(stages.map(({ step }) => step.id)).toEqual(['lay']);
  });

  test('what is bought counts in layers, size and print; a base does not; neither is cut', () => {
    const plan = box();
    const made = (source: Source) => {
      const pieces = [mat, sleeve(source)] as const;
      const assembly = steps(source === 'bought');
      return {
        ...plan.made!,
        built: { ...plan.made!.built, pieces, assembly, cavities: [], front: 'above' as const },
        folded: assemble(pieces, assembly),
      };
    };
    const faces = (source: Source) => [
      ...new Set(printMap(made(source) as never, plan.design).map(({ piece }) => piece)),
    ];
    expect(faces('bought').sort()).toEqual(['mat', 'sleeve']);
    expect(faces('base')).toEqual(['mat']);
  });

  test('work on bought paper waits for the work before it', () => {
    const patch = planOf({
      version: 1,
      construction: 'patch-pocket',
      contents: { width: 80, height: 60 },
    } as DesignInput);
    const work = workOf(patch);
    const place = work.findIndex(({ id }) => id === 'lay-on-page');
    expect(place).toBeGreaterThan(work.findIndex(({ id }) => id === 'fold-tab-3'));
    expect(work[place]!.after).not.toContain('flat page');
  });
});

describe('layers', () => {
  test('are pieces like any other: a template has the holes of the sheet it marks, a mat for a flap its slants', () => {
    const [template] = planOf({
      version: 1,
      construction: 'storage-pocket',
      contents: { width: 80, height: 60 },
      layers: [{ on: 'sheet' }],
    } as DesignInput).made!.layers;
    expect(template!.piece.holes.length).toBeGreaterThan(0);
    const [flap] = planOf({
      version: 1,
      construction: 'diagonal-envelope',
      contents: { width: 80, height: 100 },
      layers: [{ on: 'flap' }],
    } as DesignInput).made!.layers;
    for (const { piece } of [template!, flap!]) expect(patternFaults(piece)).toEqual([]);
    expect(flap!.piece.trims.length).toBeGreaterThan(0);
  });

  test('one that would come out narrower than hands can cut is left out', () => {
    const band = (breadth: number) =>
      planOf({
        version: 1,
        construction: 'belly-band',
        contents: { width: 80, height: 60 },
        options: { breadth },
        layers: [{ on: 'front' }],
        graduation: 'exact',
      } as DesignInput).made!.layers.length;
    // An eighth on both sides, and 3 mm left.
    const least = 3 + 25.4 / 4;
    expect([band(least + 0.05), band(least - 0.05)]).toEqual([1, 0]);
  });
});
