import { spawnSync } from 'node:child_process';

/** Runs the command line as the contract names it. */
function plan(input: string, ...args: string[]) {
  const { status, stdout, stderr } = spawnSync('node_modules/.bin/tsx', ['scripts/plan.ts', ...args], {
    input,
    encoding: 'utf8',
  });
  return { status, stdout, stderr };
}
const card = { version: 1, construction: 'diagonal-envelope', contents: { width: '3 in', height: '4 in' } };

test('a design on standard input gives its plan on standard output', () => {
  const { status, stdout, stderr } = plan(JSON.stringify(card));
  expect([status, stderr]).toEqual([0, '']);
  const [piece] = (JSON.parse(stdout) as { pieces: { blank: { width: number } }[] }).pieces;
  // Common practice: a 3 × 4 in card takes a 6 in square.
  expect(piece!.blank.width).toBeCloseTo(152.4, 6);
});

test('many designs, a line each, give a plan a line each', () => {
  const { status, stdout } = plan(`${JSON.stringify(card)}\n\n${JSON.stringify(card)}\n`, '--many');
  expect(status).toBe(0);
  expect(
    stdout
      .trim()
      .split('\n')
      .map((line) => (JSON.parse(line) as { version: number }).version),
  ).toEqual([1, 1]);
});

test('among many each line answers for itself: a bad one costs no other its answer', () => {
  const { status, stdout, stderr } = plan(`${JSON.stringify(card)}\n{}\n{"half\n${JSON.stringify(card)}\n`, '--many');
  expect([status, stderr]).toEqual([2, '']);
  const lines = stdout
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

test('a design that cannot be made is a plan with a failed check, and no error', () => {
  const { status, stdout } = plan(JSON.stringify({ ...card, paper: { width: '5 in', height: '5 in' } }));
  const { checks } = JSON.parse(stdout) as { checks: { id: string; level: string }[] };
  expect([status, checks.find((c) => c.id === 'paper')?.level]).toEqual([0, 'fail']);
});

test.each([
  ['nothing', '', [], 'The document is empty.'],
  ['half a document', '{"version": 1', [], 'This is not JSON'],
  ['a bad length', JSON.stringify({ ...card, contents: { width: 'x', height: 1 } }), [], 'does not read as a length'],
  ['an unknown option', JSON.stringify(card), ['--lots'], 'is not an option here'],
])(
  '%s: status 2, nothing on standard output, one object with its issues on standard error',
  (_, input, args, sentence) => {
    const { status, stdout, stderr } = plan(input, ...args);
    expect([status, stdout]).toEqual([2, '']);
    const document = JSON.parse(stderr) as { error: string; issues: { path: string; message: string }[] };
    expect(JSON.stringify(document)).toContain(sentence);
    expect(Array.isArray(document.issues)).toBe(true);
  },
);
