import { asked, started } from '../tests/helpers/command-line';
import { rescue } from './rescue';

const design = { version: 1, construction: 'diagonal-envelope', contents: { width: '3 in', height: '4 in' } };

test('a sheet that went wrong on standard input gives its ways out, a new sheet the last, none with a failed check', () => {
  const { status, out, err } = started(
    'rescue',
    JSON.stringify({ version: 1, design, wrong: [{ kind: 'notch', edge: 1, at: '4 1/2 in' }] }),
  );
  expect([status, err]).toEqual([0, '']);
  const { ways } = JSON.parse(out) as {
    ways: { kind: string; keeps: boolean; plan: { checks: { level: string }[] } }[];
  };
  expect(ways.length).toBeGreaterThan(2);
  expect(ways.at(-1)!.kind).toBe('new-sheet');
  for (const { keeps, plan } of ways)
    if (keeps) expect(plan.checks.filter(({ level }) => level === 'fail')).toEqual([]);
});

test.each([
  ['a fact nobody knows', { version: 1, design, wrong: [{ kind: 'melted' }] }, 'wrong.0'],
  ['an edge there is none of', { version: 1, design, wrong: [{ kind: 'score', edge: 5, at: 1 }] }, 'wrong.0.edge'],
  ['a bad design', { version: 1, design: { construction: 'boat' } }, 'design.construction'],
])('%s is status 2 with its place', async (_, document, path) => {
  const { status, out, err } = await asked(rescue, JSON.stringify(document));
  expect([status, out]).toEqual([2, '']);
  const { issues } = JSON.parse(err) as { issues: { path: string }[] };
  expect(issues.map((issue) => issue.path).join()).toContain(path);
});
