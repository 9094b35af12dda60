import { readFileSync, rmSync } from 'node:fs';
import { answerTo, end, endMany, wrong, type Answer } from './document';

afterEach(() => {
  process.exitCode = undefined;
  jest.restoreAllMocks();
});

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
  const out = jest.spyOn(process.stdout, 'write').mockReturnValue(true);
  const err = jest.spyOn(process.stderr, 'write').mockReturnValue(true);
  end(await answerTo('{"a":1}', (document) => ({ so: 'answer', body: document as object })));
  expect([process.exitCode, out.mock.lastCall, err.mock.lastCall]).toEqual([0, ['{\n  "a": 1\n}\n'], undefined]);
  end(await answerTo('{', () => wrong('never', [])));
  expect(process.exitCode).toBe(2);
  expect(JSON.parse(err.mock.lastCall![0] as string)).toEqual({
    error: 'This is not JSON.',
    issues: [{ path: '', message: 'This is not JSON.' }],
  });
  expect(out).toHaveBeenCalledTimes(1);
});

test('many: a line each, and the status of the worst', () => {
  const out = jest.spyOn(process.stdout, 'write').mockReturnValue(true);
  const good: Answer = { so: 'answer', body: { version: 1 } };
  const broke: Answer = { so: 'broke', body: { error: 'x', reference: 'y' } };
  endMany([good, broke, wrong('z', []), good]);
  expect(process.exitCode).toBe(3);
  expect(out.mock.lastCall).toEqual([
    '{"version":1}\n{"error":"x","reference":"y"}\n{"error":"z","issues":[]}\n{"version":1}\n',
  ]);
});
