/**
 * Every holder with each of its options at its ends, and for contents and papers from tiny to large: what it comes out
 * as, or why it cannot be made and what the limit is. Approved as tables in tests/approved/extremes; that what is made is
 * right is asked by the laws, that what is refused has a cure that holds by the sentences.
 */
import { expectApproved } from '../../../tests/helpers/approved';
import { checksOf, constructionOptions, planFor, readDesign, type Plan } from '../plan';
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
