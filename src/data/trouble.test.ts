import { DataTrouble, Refused, troubleOf, whyOf } from './trouble';

const named = (name: string, more: object = {}): Error =>
  Object.assign(new Error('A mutation operation was attempted on a database that did not allow mutations.'), {
    name,
    ...more,
  });

test.each([
  ['QuotaExceededError', 'full'],
  ['MissingAPIError', 'blocked'],
  ['SecurityError', 'blocked'],
  ['VersionError', 'newer'],
  ['DatabaseClosedError', 'closed'],
  ['InvalidStateError', 'closed'],
  ['OpenFailedError', 'blocked'],
  ['DataError', 'unforeseen'],
] as const)('a browser’s %s is %s', (name, kind) => expect(troubleOf(named(name)).kind).toBe(kind));

test('what lies behind a library’s error decides', () => {
  expect(troubleOf(named('OpenFailedError', { inner: named('VersionError') })).kind).toBe('newer');
  expect(troubleOf(named('AbortError', { inner: named('QuotaExceededError') })).kind).toBe('full');
  expect(troubleOf(named('BulkError', { cause: new DataTrouble('held') })).kind).toBe('held');
  const round = named('AbortError');
  Object.assign(round, { inner: round });
  expect(troubleOf(round).kind).toBe('unforeseen');
});

test.each([null, undefined, 'text', 7, {}])('%p thrown is trouble too', (thrown) =>
  expect(troubleOf(thrown).kind).toBe('unforeseen'),
);

test('what is said is a sentence of ours without its stop, never the browser’s words', () => {
  const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  for (const name of ['QuotaExceededError', 'VersionError', 'DataError', 'OpenFailedError']) {
    const why = whyOf(named(name));
    expect(why).toMatch(/^[A-Za-z].{20,}[^.]$/);
    expect(why).not.toMatch(/mutation|Error/);
  }
  // What nobody foresaw is told to whoever looks for it.
  expect(quiet).toHaveBeenCalledTimes(1);
  expect(whyOf(new Refused('That offcut was cut since'))).toBe('That offcut was cut since');
  quiet.mockRestore();
});
