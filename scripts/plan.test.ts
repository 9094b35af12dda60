import { asked, started } from '../tests/helpers/command-line';
import { plan } from './plan';

const card = { version: 1, construction: 'diagonal-envelope', contents: { width: '3 in', height: '4 in' } };

test('a design on standard input gives its plan on standard output', () => {
  const { status, out, err } = started('plan', JSON.stringify(card));
  expect([status, err]).toEqual([0, '']);
  const [piece] = (JSON.parse(out) as { pieces: { blank: { width: number } }[] }).pieces;
  // Common practice: a 3 × 4 in card takes a 6 in square.
  expect(piece!.blank.width).toBeCloseTo(152.4, 6);
});

test('many designs, a line each, give a plan a line each', async () => {
  const { status, out } = await asked(plan, `${JSON.stringify(card)}\n\n${JSON.stringify(card)}\n`, '--many');
  expect(status).toBe(0);
  expect(
    out
      .trim()
      .split('\n')
      .map((line) => (JSON.parse(line) as { version: number }).version),
  ).toEqual([1, 1]);
});

test('among many each line answers for itself: a bad one costs no other its answer', async () => {
  const { status, out, err } = await asked(
    plan,
    `${JSON.stringify(card)}\n{}\n{"half\n${JSON.stringify(card)}\n`,
    '--many',
  );
  expect([status, err]).toEqual([2, '']);
  const lines = out
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as { version?: number; error?: string; issues?: { message: string }[] });
  expect(lines.map(({ version, error }) => version ?? error)).toEqual([
    1,
    'The design has a problem.',
    'This is not JSON.',
    1,
  ]);
  expect(lines[1]!.issues!.map(({ message }) => message)).toContainEqual(
    expect.stringContaining('Name the construction'),
  );
});

test('started with an option nobody knows it ends with status 2, its reasons on standard error, nothing on standard output', () => {
  const { status, out, err } = started('plan', '', '--lots');
  expect([status, out]).toEqual([2, '']);
  expect(JSON.parse(err)).toMatchObject({ error: '“--lots” is not an option here. Only --many is.' });
});

test('a design that cannot be made is a plan with a failed check, and no error', async () => {
  const { status, out } = await asked(plan, JSON.stringify({ ...card, paper: { width: '5 in', height: '5 in' } }));
  const { checks } = JSON.parse(out) as { checks: { id: string; level: string }[] };
  expect([status, checks.find((c) => c.id === 'paper')?.level]).toEqual([0, 'fail']);
});

test.each([
  ['nothing', '', [], 'The document is empty.'],
  ['half a document', '{"version": 1', [], 'This is not JSON'],
  ['a bad length', JSON.stringify({ ...card, contents: { width: 'x', height: 1 } }), [], 'does not read as a length'],
  ['an unknown option', JSON.stringify(card), ['--lots'], 'is not an option here'],
])(
  '%s: status 2, nothing on standard output, one object with its issues on standard error',
  async (_, input, args, sentence) => {
    const { status, out, err } = await asked(plan, input, ...args);
    expect([status, out]).toEqual([2, '']);
    const document = JSON.parse(err) as { error: string; issues: { path: string; message: string }[] };
    expect(JSON.stringify(document)).toContain(sentence);
    expect(Array.isArray(document.issues)).toBe(true);
  },
);
