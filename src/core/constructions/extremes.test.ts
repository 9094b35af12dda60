/**
 * Every holder with each of its options at its ends, and for contents and papers from tiny to large: what it comes out
 * as, or why it cannot be made and what the limit is. Approved as tables in tests/approved/extremes; that what is made is
 * right is asked by the laws, that what is refused has a cure that holds by the sentences.
 */
import { expectApproved } from '../../../tests/helpers/approved';
import { mm } from '../length';
import { checksOf } from '../checks';
import { constructionOptions, readDesign } from '../design';
import { planFor, type Plan } from '../plan';
import { CONSTRUCTIONS } from '.';

const short = (value: number): string => String(Math.round(value * 100) / 100);
const size = (...lengths: number[]): string => lengths.map(short).join(' × ');

/** One line for a plan: pieces with how many panels and how much paper, inside and outside, what fails. */
function outcome(plan: Plan): string {
  const checks = checksOf(plan);
  const found = checks
    .filter(({ level }) => level === 'fail' || level === 'warn')
    .map(({ id, level, value, limit, about }) => {
      const words = Object.entries(about).map(([key, of]) => `${key} ${typeof of === 'number' ? short(of) : of}`);
      return `${level} ${id} ${short(value)} of ${short(limit)}${words.length > 0 ? ` (${words.join(', ')})` : ''}`;
    });
  // What is told to be too large is larger than what it is told to be too large for.
  for (const { id, value, limit } of checks)
    if (/-too-(large|round|deep)$/.test(id)) expect({ id, over: value - limit > 0 }).toEqual({ id, over: true });
  const { made } = plan;
  if (!made) return found.join('; ');
  const pieces = made.pieces.map(({ piece, programme }) => {
    const paper = piece.panels.reduce(
      (sum, { polygon }) =>
        sum +
        polygon.reduce(
          (a, p, i) =>
            a + (p.x * polygon[(i + 1) % polygon.length]!.y - polygon[(i + 1) % polygon.length]!.x * p.y) / 2,
          0,
        ),
      0,
    );
    return `${piece.name} ${size(piece.blank.width, piece.blank.height)}, ${piece.panels.length} panels of ${short(paper)}, ${programme.moves.length} moves`;
  });
  return [
    ...pieces,
    `inside ${size(made.inside.width, made.inside.height, made.inside.depth)}`,
    `outside ${size(made.finished.width, made.finished.height, made.finished.depth, made.finished.thickness)}`,
    `holds ${size(made.largest.width, made.largest.height)}, ${short(made.thickest)} thick`,
    ...found,
  ].join('; ');
}

test.each(CONSTRUCTIONS.map(({ name }) => name))('%s', (name) => {
  const contents = { width: 76.2, height: 101.6, thickness: 6.35 };
  const lines: string[] = [];
  const tried = (label: string, fields: object): void => {
    const read = readDesign({
      version: 1,
      construction: name,
      graduation: '1/8 in',
      tool: { kind: 'ruler' },
      ...fields,
    });
    lines.push(
      `${label}: ${read.ok ? outcome(planFor(read.design)) : read.issues.map(({ message }) => message).join(' ')}`,
    );
  };
  tried('as usual', { contents });
  for (const [width, height, thickness] of [
    [6, 6, 0],
    [20, 30, 0],
    [50, 50, 2],
    [85.6, 53.98, 0.76],
    [210, 297, 0],
    [300, 200, 12],
    [90, 120, 40],
  ] as const)
    tried(`contents ${size(width, height, thickness)}`, { contents: { width, height, thickness } });
  for (const [width, height] of [
    [30, 30],
    [60, 60],
    [100, 150],
    [150, 150],
    [304.8, 304.8],
    [20, 300],
  ] as const)
    tried(`paper ${size(width, height)}`, { blank: { width, height } });
  for (const option of constructionOptions(name)) {
    const values: readonly unknown[] =
      option.choices.length > 0
        ? option.choices
        : option.unit === 'yes-no'
          ? [true, false]
          : option.unit === 'count'
            ? [option.limits!.least, option.limits!.most]
            : [1, 5, 15, 40, 90, 250];
    for (const value of values)
      tried(`${option.name} ${String(value)}`, {
        ...(option.onPaper ? { blank: { width: 152.4, height: 152.4 } } : { contents }),
        options: { [option.name]: value },
      });
  }
  expectApproved(`extremes/${name}`, `${lines.join('\n')}\n`);
});

/** What a construction says of itself besides its pattern: steps, handles, cures, which options make no difference. */
test.each(CONSTRUCTIONS.map((construction) => [construction.name, construction] as const))(
  '%s: its steps, its handles, its cures',
  (name, { title, purpose, idle, cures, schools, advice, ease }) => {
    const lines = [
      `${title}: ${purpose}`,
      `ease ${size(ease.aim.width, ease.aim.height)}, least ${size(ease.least.width, ease.least.height)}`,
    ];
    for (const { name: option, title: words, unit, choices, fallback, limits, open, onPaper } of constructionOptions(
      name,
    ))
      lines.push(
        `option ${option}, ${words}: ${unit} ${choices.join(' ')} usually ${typeof fallback === 'number' ? short(fallback) : String(fallback)}${limits ? ` within ${JSON.stringify(limits)}` : ''}${open ? ', open' : ''}${onPaper ? ', on paper' : ''}`,
      );
    for (const { option, value, title: words } of schools) lines.push(`school ${option} ${value}: ${words}`);
    for (const { mistake, instead } of advice) lines.push(`${mistake} ${instead}`);
    const usual = Object.fromEntries(constructionOptions(name).map((option) => [option.name, option.fallback]));
    for (const { for: what, id, label, options } of cures)
      lines.push(
        `cure for ${what}${id ? ` of ${id}` : ''}, ${label}: ${[0.3, 10, 33.3333].map((limit) => JSON.stringify(options(mm(limit), usual, { thickness: mm(9), graduation: '1/8 in' }), (_, v: unknown) => (v === undefined ? null : typeof v === 'number' ? Math.round(v * 1e4) / 1e4 : v))).join(' ')}`,
      );
    const variants: [string, object][] = [
      ['contents 76.2 × 101.6 × 6.35', { contents: { width: 76.2, height: 101.6, thickness: 6.35 } }],
      ['contents 60 × 40', { contents: { width: 60, height: 40 } }],
      ['paper 152.4 × 152.4', { blank: { width: 152.4, height: 152.4 } }],
    ];
    // Every choice and every yes or no changes steps or handles of some.
    for (const { name: option, choices, unit, onPaper } of constructionOptions(name))
      for (const value of choices.length > 0
        ? choices.slice(1)
        : unit === 'yes-no'
          ? [true, false]
          : unit === 'mm'
            ? [0]
            : [])
        variants.push([
          `${option} ${String(value)}`,
          {
            ...(onPaper
              ? { blank: { width: 152.4, height: 152.4 } }
              : { contents: { width: 76.2, height: 101.6, thickness: 6.35 } }),
            options: { [option]: value },
          },
        ]);
    const told = new Set<string>();
    for (const [label, fields] of variants) {
      const read = readDesign({
        version: 1,
        construction: name,
        graduation: '1/8 in',
        tool: { kind: 'ruler' },
        ...fields,
      });
      const made = read.ok ? planFor(read.design).made : null;
      lines.push('', label);
      if (!read.ok || !made) {
        lines.push('not made');
        continue;
      }
      const { built } = made;
      const own: string[] = [`idle: ${idle(read.design.options).join(' ')}`];
      for (const piece of built.pieces) {
        own.push(
          `piece ${piece.name}${piece.source === 'base' ? ', given' : ''} × ${piece.quantity}: ${piece.panels.map((panel) => `${panel.id} (${panel.name})`).join(', ')}`,
        );
        own.push(
          `    folds ${piece.hinges.map(({ id, between, fold, angle }) => `${id} ${between.join('-')} ${fold} ${angle}`).join(', ')}`,
        );
        own.push(
          `    trims ${piece.trims.map((trim) => `${trim.name} ${trim.cut.kind}`).join(', ')}; holes ${piece.holes.map(({ id, panel, diameter }) => `${id} ${panel} ${short(diameter)}`).join(', ')}; slits ${piece.slits.map((slit) => slit.name).join(', ')}`,
        );
      }
      for (const step of built.assembly)
        own.push(
          `step ${JSON.stringify(step, (_, v: unknown) => (typeof v === 'number' ? Math.round(v * 100) / 100 + 0 : v))}`,
        );
      for (const { hinge, along, label: words, does } of built.grips)
        own.push(
          `handle ${hinge} along ${short(along.x)} ${short(along.y)}, ${words}: ${does.kind === 'room' ? `room ${does.side} × ${short(does.rate)}` : `${does.option} from ${short(does.from)} × ${short(does.rate)}, ${short(does.least)} to ${short(does.most)}`}`,
        );
      const { start, proud, front, claims } = built;
      own.push(
        `from edge ${start.edge} of the ${start.reference}, proud ${proud.join(' ')}, front ${front}`,
        ...claims.map(
          ({ kind, ...claim }) =>
            `claims ${kind}: ${JSON.stringify(claim, (_, v: unknown) => (typeof v === 'number' ? Math.round(v * 100) / 100 + 0 : v))}`,
        ),
      );
      for (const cavity of built.cavities) {
        const { id, kind, floor, insertAfter } = cavity;
        own.push(
          cavity.kind === 'box'
            ? `cavity ${id}, box on the ${floor}, ${cavity.tall} tall, ${cavity.onEdge ? 'on edge, ' : ''}after ${insertAfter}`
            : `cavity ${id} ${kind}, ${floor} under ${String(cavity.roof)}, ${cavity.acrossMouth ?? 'width'} across, after ${insertAfter}${cavity.through ? ', through' : ''}`,
        );
      }
      // Each line once: what a variant shares with those before it says nothing.
      lines.push(...own.filter((line) => !told.has(line)));
      for (const line of own) told.add(line);
    }
    expectApproved(`constructions/${name}`, `${lines.join('\n')}\n`);
  },
);
