import { LONGEST_BODY, readBody } from './body';

const post = (body: BodyInit | null, headers: HeadersInit = {}): Request =>
  new Request('http://localhost/api/v1/plan', { method: 'POST', body, headers, duplex: 'half' } as RequestInit);
/** A body sent in parts, whose length no header tells. */
const stream = (parts: readonly string[], ends = true): ReadableStream =>
  new ReadableStream({
    start(controller) {
      for (const part of parts) controller.enqueue(new TextEncoder().encode(part));
      if (ends) controller.close();
    },
  });

afterEach(() => jest.useRealTimers());

test('text in one part or in several is read', async () => {
  expect(await readBody(post('{"a": "¾"}'))).toEqual({ ok: true, text: '{"a": "¾"}' });
  expect(await readBody(post(stream(['{"a"', ': 1}'])))).toEqual({ ok: true, text: '{"a": 1}' });
  expect(await readBody(post(null))).toEqual({ ok: true, text: '' });
});

test('a body too long by its header, or by what arrives, is refused without reading on', async () => {
  const tooLong = { ok: false, status: 413, message: `The document is longer than ${LONGEST_BODY} bytes.` };
  expect(await readBody(post('{}', { 'content-length': String(LONGEST_BODY + 1) }))).toEqual(tooLong);
  const part = 'x'.repeat(LONGEST_BODY / 2 + 1);
  expect(await readBody(post(stream([part, part], false)))).toEqual(tooLong);
});

test('a sender that stops half-way is given up after ten seconds', async () => {
  jest.useFakeTimers();
  const answer = readBody(post(stream(['{"a"'], false)));
  await jest.advanceTimersByTimeAsync(10_001);
  expect(await answer).toEqual({ ok: false, status: 408, message: 'The document did not arrive in time.' });
});
