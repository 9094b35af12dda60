import { expect, test } from '@playwright/test';

const card = { version: 1, construction: 'diagonal-envelope', contents: { width: '3 in', height: '4 in' } };

test('the plan route answers as the command line does', async ({ request }) => {
  const response = await request.post('/api/v1/plan', { data: card });
  expect(response.status()).toBe(200);
  const plan = (await response.json()) as { pieces: { blank: { width: number } }[]; checks: { level: string }[] };
  expect(plan.pieces[0]!.blank.width).toBeCloseTo(152.4, 6);
  expect(plan.checks.every((check) => check.level === 'pass')).toBe(true);
});

test('bad documents, long ones and empty ones are refused with sentences', async ({ request }) => {
  const post = (data: string) =>
    request.post('/api/v1/plan', { data: Buffer.from(data), headers: { 'content-type': 'application/json' } });
  for (const [data, status, sentence] of [
    [JSON.stringify({ ...card, contents: { width: '3', height: '4 in' } }), 422, 'has no unit'],
    ['{', 422, 'not JSON'],
    ['', 422, 'empty'],
    [`"${'x'.repeat(70_000)}"`, 413, 'longer than'],
  ] as const) {
    const response = await post(data);
    expect(response.status()).toBe(status);
    const body = (await response.json()) as { error: string; issues: unknown[] };
    expect(JSON.stringify(body)).toContain(sentence);
    expect(body.issues.length).toBeGreaterThan(0);
  }
  expect((await request.get('/api/v1/plan')).status()).toBe(405);
});

test('the pack route answers as the command line does, and refuses with sentences', async ({ request }) => {
  const list = {
    version: 1,
    sheets: [{ name: 'cardstock 12 × 12', width: '12 in', height: '12 in', count: 20 }],
    pieces: [{ name: 'mat', width: '5 1/4 in', height: '5 7/8 in', quantity: 16, turn: true }],
    cutter: 'guillotine',
  };
  const response = await request.post('/api/v1/pack', { data: list });
  expect(response.status()).toBe(200);
  expect(await response.json()).toMatchObject({ sheetsUsed: 4, lowerBound: 4, optimal: true, unplaced: [] });
  const refused = await request.post('/api/v1/pack', { data: { ...list, pieces: [] } });
  expect(refused.status()).toBe(422);
  expect(JSON.stringify(await refused.json())).toContain('There is no piece to cut');
  expect((await request.post('/api/v1/pack', { data: Buffer.from('{') })).status()).toBe(422);
});

test('the schema is published', async ({ request }) => {
  const schema = (await (await request.get('/api/v1/schema')).json()) as { $defs: object };
  expect(Object.keys(schema.$defs)).toEqual(expect.arrayContaining(['plan', 'cutList', 'layout']));
});
