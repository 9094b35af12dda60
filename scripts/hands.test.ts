import { asked, started } from '../tests/helpers/command-line';
import { hands } from './hands';

const question = {
  version: 1,
  design: { version: 1, construction: 'diagonal-envelope', contents: { width: '3 in', height: '4 in' } },
  hands: { cut: '1/32 in', score: '1/32 in', setting: '1/32 in' },
  runs: 50,
  seed: 5,
};

test('a question on standard input gives the odds on standard output, the same ones each time', async () => {
  const one = started('hands', JSON.stringify(question));
  const again = await asked(hands, JSON.stringify(question));
  expect([one.status, one.err]).toEqual([0, '']);
  const answer = JSON.parse(one.out) as { share: number; by: object[]; room: { share: number }[]; runs: number };
  expect([answer.runs, answer.by.length, answer.room.length]).toEqual([50, 4, 5]);
  // Exact hands and the usual room: it nearly always fits (common practice).
  expect(answer.share).toBeGreaterThan(0.9);
  expect(again.out).toBe(one.out);
});

test.each([
  ['a negative error', { ...question, hands: { cut: -1 } }, 'hands.cut'],
  ['too many runs', { ...question, runs: 1e9 }, 'runs'],
  ['no design', { version: 1 }, 'design'],
])('%s is status 2 with its place', async (_, document, path) => {
  const { status, out, err } = await asked(hands, JSON.stringify(document));
  expect([status, out]).toEqual([2, '']);
  const { issues } = JSON.parse(err) as { issues: { path: string }[] };
  expect(issues.map((issue) => issue.path)).toContain(path);
});
