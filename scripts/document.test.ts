import { readFileSync, rmSync } from 'node:fs';
import { answerTo, onDocument, said, saidOfMany, wrong, type Answer } from './document';

test('what nobody foresaw has a reference, and a file with the document that caused it', async () => {
  const answer = await answerTo('{"a":1}', () => {
    throw new RangeError('no ring');
  });
  if (answer.so !== 'broke') throw new Error(answer.so);
  expect(answer.body.error).not.toContain('no ring');
  const [report] = /\S+\.json/.exec(answer.body.error)!;
  const kept = JSON.parse(readFileSync(report, 'utf8')) as Record<string, string>;
  rmSync(report);
  expect(kept).toMatchObject({ reference: answer.body.reference, document: '{"a":1}' });
  expect(kept.stack).toContain('no ring');
});

test('one document: its answer on standard output, anything else on standard error, and the status says which', async () => {
  const echo = onDocument((document) => ({ so: 'answer', body: document as object }));
  expect(await echo([], () => '{"a":1}')).toEqual({ status: 0, out: '{\n  "a": 1\n}\n', err: '' });
  const { status, out, err } = said(await answerTo('{', () => wrong('never', [])));
  expect([status, out]).toEqual([2, '']);
  expect(JSON.parse(err)).toEqual({
    error: 'This is not JSON.',
    issues: [{ path: '', message: 'This is not JSON.' }],
  });
});

test('an option nobody knows is said before anything is read', async () => {
  const echo = onDocument((document) => ({ so: 'answer', body: document as object }));
  const { status, err } = await echo(['--fast'], () => {
    throw new Error('read');
  });
  expect([status, err]).toEqual([2, expect.stringContaining('“--fast” is not an option here')]);
});

test('many: a line each, and the status of the worst', () => {
  const good: Answer = { so: 'answer', body: { version: 1 } };
  const broke: Answer = { so: 'broke', body: { error: 'x', reference: 'y' } };
  expect(saidOfMany([good, broke, wrong('z', []), good])).toEqual({
    status: 3,
    out: '{"version":1}\n{"error":"x","reference":"y"}\n{"error":"z","issues":[]}\n{"version":1}\n',
    err: '',
  });
});
