import type { CrewOutcome } from './crew';
import { answerTo } from './answer';

let outcome: CrewOutcome | Error;
jest.mock('./crew', () => ({
  crew: () => ({ ask: () => (outcome instanceof Error ? Promise.reject(outcome) : Promise.resolve(outcome)) }),
}));
let logged: jest.SpyInstance;
beforeEach(() => (logged = jest.spyOn(console, 'error').mockImplementation(() => undefined)));
afterEach(() => logged.mockRestore());

const post = (body = '{"a":1}') => answerTo('pack', new Request('http://here/api', { method: 'POST', body }));

test('an answer is passed on as it is', async () => {
  outcome = { kind: 'answer', status: 422, body: '{"error":"x"}' };
  const response = await post();
  expect([response.status, response.headers.get('content-type'), await response.text()]).toEqual([
    422,
    'application/json',
    '{"error":"x"}',
  ]);
});

test.each([
  ['busy', 503, 'Ask again in a few seconds'],
  ['late', 503, 'No layout of this list was found'],
  ['gone', 499, 'gone'],
] as const)('%s is told with %d and a sentence', async (kind, status, words) => {
  outcome = { kind };
  const response = await post();
  expect(response.status).toBe(status);
  const { error, issues } = (await response.json()) as { error: string; issues: { message: string }[] };
  expect(error).toContain(words);
  expect(issues).toEqual([{ path: '', message: error }]);
  expect(response.headers.get('retry-after')).toBe(kind === 'busy' ? '5' : null);
});

test.each([
  ['in the thread', { kind: 'broke', stack: 'TypeError: secret place' }],
  ['here', new Error('secret place')],
] as const)('what nobody foresaw %s is told with a reference; the log has the rest', async (_, what) => {
  outcome = what;
  const response = await post('{"b":2}');
  expect(response.status).toBe(500);
  const body = (await response.json()) as { error: string; reference: string };
  expect(body.error).toMatch(/nobody foresaw/);
  expect(body.reference).toMatch(/^[0-9a-f-]{36}$/);
  expect(JSON.stringify(body)).not.toContain('secret');
  const [line] = logged.mock.calls.map(([text]) => JSON.parse(text as string) as Record<string, string>);
  expect(line).toMatchObject({ reference: body.reference, document: '{"b":2}' });
  expect(line!.stack).toContain('secret place');
});
