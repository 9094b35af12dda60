/**
 * What is shown besides the steps, as approved tables: what the chooser offers, how a make moves in space, what a sheet
 * has become when a step goes wrong, and what is said of a design that cannot be read.
 */
import { expectApproved } from '../../../tests/helpers/approved';
import { planOf } from '../../../tests/helpers/designs';
import { inches, mm, sayer } from '../length';
import { becomes, papersFor, suggest } from '../choosing';
import { checksOf } from '../checks';
import { closurePlan, type Plan } from '../plan';
import {
  CLOSURES,
  LAYER_PLACES,
  readDesign,
  type DesignInput,
  CARDS,
  liesOn,
  MEASURED,
  PAPERS,
  sizeIn,
  sizeNamed,
  smallestPaperFor,
} from '../design';
import { momentsOf } from '../looks';
import { sheetNow } from '../rescue';
import { stepsOf } from '../making';

const say = sayer('in', '1/8 in');
const short = (value: number): string => String(Math.round(value * 100) / 100 + 0);
const plan = (construction: string, fields: object = {}): Plan =>
  planOf({
    version: 1,
    construction,
    contents: { width: '3 in', height: '4 in', thickness: '1/4 in' },
    tool: { kind: 'scoring-board' },
    ...fields,
  } as DesignInput);

describe('the chooser', () => {
  const offered = (question: Parameters<typeof suggest>[0]): string =>
    `${suggest(question)
      .map(
        ({ construction, paper, does, suits, operations, difficulty, finished, largest, obstacle }) =>
          `${construction}: ${
            obstacle
              ? `no, ${obstacle.id}`
              : `${short(paper)} of paper, ${does}, ${suits ? '' : 'loose, '}${operations} operations, ${difficulty}, finished ${short(finished.width)} × ${short(finished.height)}, holds ${short(largest.width)} × ${short(largest.height)}`
          }`,
      )
      .join('\n')}\n`;
  test('for a card, for a pile, and for a square of paper', () => {
    expectApproved('shown/chooser-card', offered({ contents: { width: 76.2, height: 101.6, thickness: 0 } }));
    expectApproved('shown/chooser-pile', offered({ contents: { width: 76.2, height: 101.6, thickness: 20 } }));
    expectApproved('shown/chooser-square', offered({ blank: { width: 152.4, height: 152.4 } }));
  });
  test('which papers would do, best used first; what each of them can become', () => {
    const papers = [
      { width: mm(210), height: mm(297) },
      { width: mm(152.4), height: mm(152.4) },
    ];
    const would = papersFor({ contents: { width: 76.2, height: 101.6, thickness: 0 } }, papers).map(
      ({ paper, construction, use }) =>
        `${short(paper.width)} × ${short(paper.height)} ${construction} ${use.toFixed(4)}`,
    );
    const could = becomes({}, papers).map(
      ({ paper, construction, use, floor }) =>
        `${short(paper.width)} × ${short(paper.height)} ${construction} ${use.toFixed(4)} floor ${short(floor.width)} × ${short(floor.height)}`,
    );
    expectApproved('shown/papers', `${[...would, '', ...could].join('\n')}\n`);
  });
});

test.each(['diagonal-envelope', 'library-pocket', 'storage-pocket', 'tray-box', 'cover-board', 'folio'])(
  'how a %s moves: every moment, what turns by how much, where the contents come from',
  (construction) => {
    const { made, design } = plan(construction);
    const lines = momentsOf(made!, design).flatMap((moment) => {
      const at = ({ x, y, z }: { x: number; y: number; z: number }): string => `${short(x)} ${short(y)} ${short(z)}`;
      return [
        `${moment.step}: ${moment.text}`,
        ...moment.motions.map((motion) =>
          motion.kind === 'turn'
            ? `    turns ${[...motion.moving].sort().join(' ')} by ${short((motion.angle * 180) / Math.PI)} about ${at(motion.line.from)} to ${at(motion.line.to)}`
            : `    carries ${[...motion.moving].sort().join(' ')} from ${at(motion.from)}`,
        ),
        ...(moment.entering ? [`    contents come from ${at(moment.entering)} onto ${moment.floor}`] : []),
        ...(moment.contents.length > 0
          ? [
              `    contents in ${moment.contents.length} faces, the first at ${moment.contents[0]!.corners.map(at).join(', ')}`,
            ]
          : []),
        ...(moment.resting
          ? [`    rests with ${[...moment.resting.moving].sort().join(' ')} up ${at(moment.resting.up)}`]
          : []),
        ...(moment.brought ? [`    brought ${moment.brought.panel} from ${at(moment.brought.from.o)}`] : []),
      ];
    });
    expectApproved(`shown/moves-${construction}`, `${lines.join('\n')}\n`);
  },
);

test.each<[string, object]>([
  ['diagonal-envelope', { tool: { kind: 'envelope-board' }, contents: { width: '3 in', height: '4 in' } }],
  ['diagonal-envelope', { tool: { kind: 'ruler' }, contents: { width: '3 in', height: '4 in' } }],
  ['tray-box', {}],
  ['patch-pocket', { tool: { kind: 'edge-board' } }],
])('what a %s has become when a step goes wrong (%j)', (construction, fields) => {
  const p = plan(construction, fields);
  const steps = stepsOf(p, say);
  const lines = steps.map((step) => {
    const { piece, near, moves, scores, notched, folded, text } = sheetNow(p.made!, p.design, steps, step, say);
    return `${step.id} ${piece.name}, edge ${near} near, ${moves} moves, scores ${scores.join(' ')}, notched ${notched.join(' ')}, ${folded.length} folded: ${text}`;
  });
  expectApproved(`shown/wrong-${construction}-${p.design.tool.kind}`, `${lines.join('\n')}\n`);
});

describe('a design that cannot be read says what would do', () => {
  const wrong: readonly unknown[] = [
    null,
    [],
    'text',
    7,
    {},
    { version: 2, construction: 'mat' },
    { version: 1, construction: 'hat' },
    { version: 1, construction: 'mat', contents: null },
    { version: 1, construction: 'mat', contents: 'large' },
    { version: 1, construction: 'mat', contents: { width: 3 } },
    { version: 1, construction: 'mat', contents: { width: true, height: [] } },
    { version: 1, construction: 'mat', contents: { width: '3 feet', height: -1 } },
    { version: 1, construction: 'mat', contents: { width: '', height: 1e9 } },
    { version: 1, construction: 'mat', contents: { width: 30, height: 40, depth: 3 }, colour: 'blue' },
    { version: 1, construction: 'tray-box', options: { lid: 'yes' } },
    { version: 1, construction: 'tray-box', options: { lid: 1 } },
    { version: 1, construction: 'tray-box', options: { tabsOn: 'both' } },
    { version: 1, construction: 'accordion-pocket', options: { pleats: 2.5 } },
    { version: 1, construction: 'accordion-pocket', options: { pleats: 99 } },
    { version: 1, construction: 'mat', paper: { sided: 3 } },
    { version: 1, construction: 'mat', paper: { turn: 5, directional: 'yes' } },
    { version: 1, construction: 'mat', graduation: '1/7 in' },
    { version: 1, construction: 'mat', tool: { kind: 'saw' } },
    { version: 1, construction: 'mat', tool: 'ruler' },
    { version: 1, construction: 'mat', closure: { kind: 'nail' } },
    { version: 1, construction: 'mat', layers: [{ on: 'hat' }, { on: 'front', reveal: -1, paper: { sided: 3 } }] },
    { version: 1, construction: 'mat', decorate: 'ink' },
    { version: 1, construction: 'mat', order: 'any' },
    { version: 1, construction: 'mat', adhesive: { all: 'spit', tape: 0 } },
  ];
  test('each wrong thing with its place', () => {
    const lines = wrong.map((input) => {
      const read = readDesign(input);
      return `${JSON.stringify(input)}\n${read.ok ? '    is read' : read.issues.map(({ path, message }) => `    ${path || '(all of it)'}: ${message}`).join('\n')}`;
    });
    expectApproved('shown/complaints', `${lines.join('\n')}\n`);
  });
  test('twenty complaints are told, and how many more there are', () => {
    const many = (count: number) => ({
      version: 1,
      construction: 'mat',
      contents: { width: 30, height: 40, ...Object.fromEntries(Array.from({ length: count }, (_, i) => [`k${i}`, 1])) },
    });
    const issues = (count: number) => {
      const read = readDesign(many(count));
      return read.ok ? [] : read.issues.map(({ message }) => message);
    };
    expect(issues(20)).toHaveLength(20);
    expect(issues(21)).toHaveLength(21);
    expect(issues(21).at(-1)).toBe('And 1 more. Mend these first.');
    expect(issues(25).at(-1)).toBe('And 5 more. Mend these first.');
  });
});

test('every closure on holders of every kind: what it takes, where it goes, why it cannot', () => {
  const lines = [
    'seam-envelope',
    'card-holder',
    'storage-pocket',
    'belly-band',
    'tray-box',
    'folio',
    'diagonal-envelope',
  ].flatMap((construction) =>
    CLOSURES.slice(1).map((kind) => {
      const p = plan(construction, { closure: { kind } });
      if (!p.made) return `${construction} ${kind}: not made`;
      const { length, discs, line, trouble, least } = closurePlan(p.made, p.design)!;
      const check = checksOf(p).find(({ id }) => id === 'closure')!;
      return [
        `${construction} ${kind}: ${short(length)} long`,
        ...discs.map(({ at, diameter }) => `disc ${short(diameter)} at ${short(at.x)} ${short(at.y)}`),
        ...(line ? [`along ${line.map(({ x, y }) => `${short(x)} ${short(y)}`).join(' to ')}`] : []),
        ...(least > 0 ? [`${short(least)} apart at least`] : []),
        `${check.level}${trouble ? ` for ${trouble}, ${check.remedies.map(({ code, change }) => `${code} ${JSON.stringify(change)}`).join()}` : ''}`,
      ].join(', ');
    }),
  );
  expectApproved('shown/closures', `${lines.join('\n')}\n`);
});

test('every layer, sized', () => {
  const lines = ['seam-envelope', 'storage-pocket', 'tray-box', 'diagonal-envelope'].flatMap((construction) => {
    const p = plan(construction, { layers: [...LAYER_PLACES, 'front' as const].map((on) => ({ on, pull: true })) });
    return p.made!.layers.map(
      ({ piece, layer: { on, upon, reveal, ribbon, face, laid } }) =>
        `${construction} ${piece.name} ${on}${upon ? ` upon ${upon}` : ''}: ${short(piece.blank.width)} × ${short(piece.blank.height)}, border ${short(reveal)}, holes ${piece.holes.map(({ centre: { x, y }, diameter }) => `${short(diameter)} at ${short(x)} ${short(y)}`).join('; ')}, ribbon ${short(ribbon)}, seen ${face}, ${laid ? `${laid.side} of ${laid.panel} ${laid.polygon.map(({ x, y }) => `${short(x)} ${short(y)}`).join(', ')}` : 'not glued'}`,
    );
  });
  expectApproved('shown/layers', `${lines.join('\n')}\n`);
});

describe('papers by their names', () => {
  test('a size is known either way round, to a thousandth of a millimetre, and no other', () => {
    const paper = PAPERS.find((one) => one.width !== one.height);
    const { width, height } = paper!;
    for (const [w, h] of [
      [width, height],
      [height, width],
      [width + 0.0009, height],
    ] as const)
      expect(sizeNamed(PAPERS, w, h)).toBe(paper);
    expect(sizeNamed(PAPERS, width + 0.002, height)).toBeNull();
    // Measured in inches it is the same within half a sixty-fourth.
    expect(sizeNamed(PAPERS, width + 0.15, height, MEASURED)).toBe(paper);
    expect(sizeNamed(PAPERS, width + 0.25, height, MEASURED)).toBeNull();
    expect(sizeNamed(PAPERS, height, height)?.title).not.toBe(paper!.title);
  });
  test('a published size is taken to the nearest thirty-second in inches, and as it is in millimetres', () => {
    const card = CARDS.find(({ id }) => id === 'id1')!;
    expect(sizeIn(card, 'mm')).toEqual({ width: card.width, height: card.height });
    expect(sizeIn(card, 'in').width).toBeCloseTo(25.4 * 3.375, 9);
    expect(sizeIn(card, 'in').height).toBeCloseTo(25.4 * 2.125, 9);
    expect(sizeNamed(CARDS, sizeIn(card, 'in').width, sizeIn(card, 'in').height, MEASURED)).toBe(card);
  });
  test('a piece lies on a sheet either way round, exactly as large and no larger', () => {
    const sheet = { width: 10, height: 20 };
    expect(liesOn({ width: 10, height: 20 }, sheet)).toBe(true);
    expect(liesOn({ width: 20, height: 10 }, sheet)).toBe(true);
    expect(liesOn({ width: 10.001, height: 20 }, sheet)).toBe(false);
    expect(liesOn({ width: 20.001, height: 10 }, sheet)).toBe(false);
    expect(liesOn({ width: 15, height: 15 }, sheet)).toBe(false);
    expect(liesOn({ width: 10.001, height: 20 }, sheet, 0.01)).toBe(true);
  });
  test('the smallest that will do, or none', () => {
    expect(smallestPaperFor({ width: 5, height: 5 })).toBe(PAPERS[0]);
    expect(smallestPaperFor({ width: 50_000, height: 50_000 })).toBeNull();
    const wide = smallestPaperFor({ width: inches(11.5), height: inches(11.5) })!;
    expect(Math.min(wide.width, wide.height)).toBeGreaterThanOrEqual(inches(11.5));
  });
});
