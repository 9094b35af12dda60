import { connect } from 'node:net';
import { expect, test } from '@playwright/test';

// One after the other: they count what the server does at once.
test.describe.configure({ mode: 'default' });

/** A length in mm as good as this many inches: it may have been summed. */
const inch = (inches: number): unknown => expect.closeTo(inches * 25.4, 6);

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

test('the rescue and hands routes answer as the command lines do, and refuse with sentences', async ({ request }) => {
  const design = { version: 1, construction: 'tab-envelope', contents: { width: '3 in', height: '4 in' } };
  const wrong = [{ kind: 'blank', width: '3 5/8 in', height: '9 in' }];
  const rescued = await request.post('/api/v1/rescue', { data: { version: 1, design, step: 1, wrong } });
  expect(rescued.status()).toBe(200);
  const { ways, mistakes } = (await rescued.json()) as { ways: { kind: string }[]; mistakes: { mistake: string }[] };
  expect(ways.length).toBeGreaterThan(1);
  expect(ways.at(-1)!.kind).toBe('new-sheet');
  expect(mistakes.map(({ mistake }) => mistake)).toEqual(['whole-mark']);
  const odds = await request.post('/api/v1/hands', { data: { version: 1, design, runs: 40, seed: 3 } });
  expect(odds.status()).toBe(200);
  expect(await odds.json()).toMatchObject({ version: 1, runs: 40, seed: 3 });
  const { version: _, ...own } = design;
  const set = {
    version: 1,
    set: 'In a band',
    parts: [
      { id: 'envelope', quantity: 1, design: own },
      { id: 'band', quantity: 1, design: { construction: 'belly-band' }, round: 'envelope' },
    ],
  };
  const chain = await request.post('/api/v1/hands', { data: { version: 1, set, runs: 20, seed: 3 } });
  expect(chain.status()).toBe(200);
  const counted = (await chain.json()) as { share: number; parts: { part: string; share: number }[] };
  expect(counted.share).toBeGreaterThan(0);
  expect(counted.share).toBeLessThanOrEqual(counted.parts[0]!.share);
  expect(counted.parts.map(({ part }) => part).sort()).toEqual(['band', 'envelope']);
  for (const [route, data, sentence] of [
    ['rescue', { version: 1, design, wrong: [{ kind: 'melted' }] }, 'What went wrong is a'],
    ['hands', { version: 1, design, runs: 0 }, 'once at least'],
  ] as const) {
    const refused = await request.post(`/api/v1/${route}`, { data });
    expect(refused.status()).toBe(422);
    expect(JSON.stringify(await refused.json())).toContain(sentence);
  }
});

test('the schema is published', async ({ request }) => {
  const schema = (await (await request.get('/api/v1/schema')).json()) as { $defs: object };
  expect(Object.keys(schema.$defs)).toEqual(expect.arrayContaining(['plan', 'cutList', 'layout']));
});

/** The heaviest list that may be asked for: as many sizes as a list holds, none of them like another. */
const HEAVY = {
  version: 1,
  sheets: [
    { name: 'roll', width: '700 mm', height: '1000 mm', count: 500 },
    { name: 'sheet', width: '305 mm', height: '305 mm', count: 500 },
  ],
  pieces: Array.from({ length: 190 }, (_, i) => ({
    name: `p${i}`,
    width: 31.7 + ((i * 37) % 190),
    height: 33.1 + ((i * 53) % 210),
    quantity: 1 + (i % 10),
    turn: true,
  })),
};
const SMALL = {
  version: 1,
  sheets: [{ name: 'cardstock', width: '12 in', height: '12 in', count: 2 }],
  pieces: [{ name: 'mat', width: '5 in', height: '5 in', quantity: 2 }],
};

test.describe('while the heaviest requests run', () => {
  const origin = (baseURL: string | undefined): string => baseURL!;
  const post = (url: string, body: object, signal?: AbortSignal): Promise<Response> =>
    fetch(url, { method: 'POST', body: JSON.stringify(body), ...(signal ? { signal } : {}) });

  test('the server goes on answering, turns away what is too much, and has an answer at the deadline', async ({
    baseURL,
  }) => {
    const [pack, ping] = [`${origin(baseURL)}/api/v1/pack`, `${origin(baseURL)}/api/ping`];
    // Both threads are there, and their parts are loaded.
    await Promise.all([post(pack, SMALL), post(pack, SMALL)]);
    /** Pings for as long as is wanted; gives how long each waited, shortest first, ms. */
    const pinged = async (goesOn: (so: number) => boolean): Promise<number[]> => {
      const waits: number[] = [];
      while (goesOn(waits.length)) {
        const asked = performance.now();
        expect((await fetch(ping)).status).toBe(200);
        waits.push(performance.now() - asked);
        await new Promise((wake) => setTimeout(wake, 15));
      }
      return waits.sort((x, y) => x - y);
    };
    const most = (waits: readonly number[]): number => waits[Math.floor(waits.length * 0.95)]!;
    const idle = most(await pinged((so) => so < 60));
    let running = true;
    const pinging = pinged(() => running);
    const heavy = [post(pack, HEAVY), post(pack, HEAVY)];
    await new Promise((wake) => setTimeout(wake, 600));
    const third = await post(pack, SMALL);
    expect(third.status).toBe(503);
    expect(third.headers.get('retry-after')).toBe('5');
    expect(JSON.stringify(await third.json())).toContain('two are the most at once');
    // Plans are made beside them.
    expect((await post(`${origin(baseURL)}/api/v1/plan`, card)).status).toBe(200);
    for (const answer of await Promise.all(heavy)) {
      expect(answer.status).toBe(200);
      const layout = (await answer.json()) as { sheetsUsed: number; lowerBound: number; unplaced: unknown[] };
      expect(layout.sheetsUsed).toBeGreaterThanOrEqual(layout.lowerBound);
      expect(layout.unplaced).toEqual([]);
    }
    running = false;
    const waits = await pinging;
    test.info().annotations.push({
      type: 'ping',
      description: `${waits.length} pings, 95 of 100 under ${most(waits).toFixed(0)} ms (${idle.toFixed(0)} ms before), worst ${waits.at(-1)!.toFixed(0)} ms`,
    });
    // Nothing of the heavy work is done where pings are answered: that would hold them up for seconds. (How long they wait
    // otherwise is up to what else runs on this machine, which was measured before.)
    expect(waits.length).toBeGreaterThan(50);
    expect(most(waits)).toBeLessThan(Math.max(100, 4 * idle));
    expect(waits.at(-1)).toBeLessThan(Math.max(1000, 10 * idle));
  });

  test('what cannot be counted in time is refused with what can, and a second question at once', async ({
    baseURL,
  }) => {
    const hands = `${origin(baseURL)}/api/v1/hands`;
    const box = { construction: 'diagonal-box', contents: { width: '3 in', height: '4 in', thickness: '1/2 in' } };
    const asked = performance.now();
    const [much, second] = await Promise.all([
      post(hands, { version: 1, design: box, runs: 20_000 }),
      new Promise((wake) => setTimeout(wake, 100)).then(() => post(hands, { version: 1, design: box, runs: 20 })),
    ]);
    expect(performance.now() - asked).toBeLessThan(10_000);
    expect([much.status, second.status]).toEqual([422, 503]);
    expect(await second.text()).toContain('one is the most at once');
    const { issues } = (await much.json()) as { issues: { path: string; message: string }[] };
    expect(issues[0]!.path).toBe('runs');
    const runs = Number(/Ask for (\d+) runs/.exec(issues[0]!.message)![1]);
    expect(runs).toBeGreaterThan(10);
    expect(runs).toBeLessThan(20_000);
    const leaving = new AbortController();
    const left = post(hands, { version: 1, design: box, runs }, leaving.signal);
    await new Promise((wake) => setTimeout(wake, 300));
    expect((await post(hands, { version: 1, design: box, runs: 1 })).status).toBe(503);
    leaving.abort();
    await Promise.allSettled([left]);
    const again = async () => expect((await post(hands, { version: 1, design: box, runs: 1 })).status).toBe(200);
    await expect(again).toPass({ timeout: 5000 });
  });

  test('who goes takes the work along', async ({ baseURL }) => {
    const pack = `${origin(baseURL)}/api/v1/pack`;
    const leaving = new AbortController();
    const left = [post(pack, HEAVY, leaving.signal), post(pack, HEAVY, leaving.signal)];
    await new Promise((wake) => setTimeout(wake, 500));
    expect((await post(pack, SMALL)).status).toBe(503);
    leaving.abort();
    await Promise.allSettled(left);
    await expect(async () => expect((await post(pack, SMALL)).status).toBe(200)).toPass({ timeout: 5000 });
  });

  test('many designs at once are all planned, and a flood is told to wait', async ({ baseURL }) => {
    const plan = `${origin(baseURL)}/api/v1/plan`;
    const some = await Promise.all(Array.from({ length: 30 }, () => post(plan, card)));
    expect(some.map(({ status }) => status)).toEqual(some.map(() => 200));
    const flood = await Promise.all(Array.from({ length: 200 }, () => post(plan, card)));
    for (const answer of flood) {
      expect([200, 503]).toContain(answer.status);
      if (answer.status === 503) expect(JSON.stringify(await answer.json())).toContain('Ask again in a few seconds');
    }
    expect((await post(plan, card)).status).toBe(200);
  });
});

test('whatever is posted has a short answer with a sentence', async ({ request }) => {
  const many = (count: number, of: (i: number) => string): string =>
    Array.from({ length: count }, (_, i) => of(i)).join();
  const bodies: readonly string[] = [
    '{"construction":{"toString":1}}',
    '{"version":1,"construction":"__proto__"}',
    '[]',
    'null',
    '"text"',
    '{"version":1e999}',
    `{"version":1,"construction":"diagonal-envelope","contents":{"width":"3 in","height":"4 in"},"decorate":[${many(1000, () => '"mat"')}]}`,
    `{"version":1,"construction":"diagonal-envelope","contents":{"width":"3 in","height":"4 in"},"options":{${many(3000, (i) => `"k${i}":1`)}}}`,
    `{${many(4000, (i) => `"k${i}":1`)}}`,
    `${'['.repeat(30_000)}${']'.repeat(30_000)}`,
    '\uFEFF{}',
    '{"a":"\uD800"}',
    `{"version":1,"sheets":[{"name":"${'x'.repeat(9000)}","width":1,"height":1,"count":1}],"pieces":[]}`,
  ];
  for (const route of ['plan', 'pack'])
    for (const body of bodies) {
      const response = await request.post(`/api/v1/${route}`, { data: Buffer.from(body) });
      const text = await response.text();
      expect([route, body.slice(0, 60), response.status()]).toEqual([route, body.slice(0, 60), 422]);
      const { error, issues } = JSON.parse(text) as { error: string; issues: { message: string }[] };
      expect(error).toMatch(/\.$/);
      expect(issues.length).toBeGreaterThan(0);
      expect(issues.length).toBeLessThanOrEqual(21);
      expect(text.length).toBeLessThan(8000);
      // Sentences of ours, not a library's.
      expect(text).not.toMatch(/Invalid input|expected|Unrecognized|undefined|\[object/);
    }
});

test('every answer carries its headers: pages, parts, routes, and what is not there', async ({ request }) => {
  const page = await request.get('/bench');
  const html = await page.text();
  const script = /\/_next\/static\/[^"]+\.js/.exec(html)![0];
  for (const path of [
    '/',
    '/bench',
    '/backup',
    '/nowhere',
    '/api/ping',
    '/api/v1/plan',
    '/api/v1/schema',
    '/sw.js',
    '/manifest.webmanifest',
    '/icon.svg',
    script,
    // What is not there, and what is not wanted: nothing here makes pictures smaller.
    '/_next/static/nowhere.js',
    '/_next/image?url=%2Ficon.svg&w=64&q=75',
    '/api/nowhere',
    '/%E0%A4%A',
  ]) {
    const headers = (await request.get(path)).headers();
    expect([path, headers['x-content-type-options']]).toEqual([path, 'nosniff']);
    expect([path, headers['cross-origin-opener-policy']]).toEqual([path, 'same-origin']);
    expect([path, headers['permissions-policy']]).toEqual([path, expect.stringContaining('camera=()')]);
    expect([path, headers['content-security-policy']]).toEqual([path, expect.stringContaining('default-src')]);
    expect(headers['content-security-policy']).not.toMatch(/script-src[^;]*'unsafe/);
    if (headers['content-type']?.startsWith('text/html') && !/^\/(_next|api)/.test(path)) {
      expect([path, headers['cache-control']]).toEqual([path, expect.stringContaining('no-cache')]);
      expect([path, headers['content-security-policy']]).toEqual([
        path,
        expect.stringMatching(/script-src 'self' 'sha256-/),
      ]);
    }
  }
  expect((await request.get(script)).headers()['cache-control']).toContain('immutable');
});

/** Sends bytes as they are, so many at a time; gives what came back until the server hung up. */
async function raw(baseURL: string, text: string, letterEvery = 0): Promise<string> {
  const { hostname, port } = new URL(baseURL);
  return new Promise((resolve) => {
    const socket = connect(Number(port), hostname);
    let heard = '';
    socket.on('data', (data) => (heard += data.toString()));
    socket.on('error', () => undefined);
    let sent = 0;
    const more = setInterval(() => {
      if (letterEvery > 0 && socket.writable) socket.write(text[sent++ % text.length]!);
    }, letterEvery || 1000);
    socket.on('close', () => {
      clearInterval(more);
      resolve(heard);
    });
    if (letterEvery === 0) socket.write(text);
  });
}

test('who sends the head of a request a letter at a time is cut off; what is no request gets a short answer', async ({
  baseURL,
}) => {
  const [slow, none, long] = await Promise.all([
    raw(baseURL!, 'GET /api/ping HTTP/1.1\r\nX-Slow: aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa', 400),
    raw(baseURL!, 'what is this\r\n\r\n'),
    raw(baseURL!, `GET / HTTP/1.1\r\nHost: x\r\nX-Long: ${'x'.repeat(40_000)}\r\n\r\n`),
  ]);
  expect(slow).toMatch(/^HTTP\/1\.1 408 /);
  expect(none).toMatch(/^HTTP\/1\.1 400 /);
  expect(long).toMatch(/^HTTP\/1\.1 431 /);
  for (const answer of [slow, none, long]) {
    expect(answer).toMatch(/nosniff/i);
    expect(answer).toContain('This is not a request that can be answered.');
  }
});

test('another language, and ways of asking that nobody answers to, end at once; the server goes on', async ({
  baseURL,
}) => {
  const upgrade = 'GET / HTTP/1.1\r\nHost: x\r\nConnection: Upgrade\r\nUpgrade: websocket\r\n\r\n';
  const answers = await Promise.all(Array.from({ length: 1200 }, () => raw(baseURL!, upgrade)));
  expect(new Set(answers.map((answer) => answer.split('\r\n')[0]))).toEqual(new Set(['HTTP/1.1 400 Bad Request']));
  const trace = await raw(baseURL!, 'TRACE / HTTP/1.1\r\nHost: x\r\nConnection: close\r\n\r\n');
  expect(trace).toMatch(/^HTTP\/1\.1 405 [^]*Allow: GET, HEAD, POST, OPTIONS/);
  expect((await fetch(`${baseURL}/api/ping`)).status).toBe(200);
});

test('a set is told from a design by itself, and answered with all its parts', async ({ request }) => {
  const set = {
    version: 1,
    set: 'Two cards',
    papers: [{ id: 'white', name: 'White', width: '8 1/2 in', height: '11 in', count: 1 }],
    parts: [
      { id: 'card', quantity: 2, given: { width: '3 in', height: '4 in', thickness: 0.4 } },
      {
        id: 'envelope',
        quantity: 2,
        paper: 'white',
        design: { construction: 'seam-envelope' },
        holds: [{ part: 'card' }],
      },
    ],
  };
  const response = await request.post('/api/v1/plan', { data: set });
  expect(response.status()).toBe(200);
  expect(await response.json()).toMatchObject({
    set: 'Two cards',
    parts: [
      { id: 'card', plan: null },
      { id: 'envelope', contents: { width: inch(3), height: inch(4), thickness: 0.4 } },
    ],
    cutList: [{ paper: 'white', pieces: [{ part: 'envelope', quantity: 2 }] }],
    shortages: [{ paper: 'white', sheets: 2, has: 1 }],
  });
  const wrong = await request.post('/api/v1/plan', { data: { ...set, parts: set.parts.slice(1) } });
  expect(wrong.status()).toBe(422);
  expect(await wrong.json()).toMatchObject({
    error: 'The set has a problem.',
    issues: [{ path: 'parts.0.holds.0.part' }],
  });
});
