import { expose, type Endpoint } from 'comlink';
import { greets, helperWhy, HelperTrouble, startHelper, type Greets } from './helper';

interface Adds extends Greets {
  readonly add: (a: number, b: number) => number;
  readonly fail: () => never;
}

/** A worker without a thread: a message channel to what it does; null for one that never answers. */
function workerOf(does: Adds | null): { readonly worker: Worker; readonly ended: () => boolean } {
  const { port1, port2 } = new MessageChannel();
  if (does) expose(does, port2 as unknown as Endpoint);
  let ended = false;
  const worker = Object.assign(port1, {
    terminate: () => {
      ended = true;
      port1.close();
    },
  }) as unknown as Worker;
  port1.start();
  return { worker, ended: () => ended };
}
const ADDS: Adds = {
  ...greets,
  add: (a, b) => a + b,
  fail: () => {
    throw new RangeError('too long');
  },
};

test('a helper that is there answers, and is ended', async () => {
  const { worker, ended } = workerOf(ADDS);
  const helper = startHelper<Adds>(() => worker);
  expect(await helper.ask((remote) => remote.add(2, 3))).toBe(5);
  await expect(helper.ask((remote) => remote.fail())).rejects.toThrow('too long');
  helper.end();
  expect(ended()).toBe(true);
});

test('where there are none, or one breaks, whoever asks is told at once', async () => {
  const none = startHelper<Adds>(() => {
    throw new ReferenceError('Worker is not defined');
  });
  await expect(none.ask((remote) => remote.add(2, 3))).rejects.toMatchObject({ problem: 'none' });
  none.end();
  const { worker } = workerOf(null);
  const broken = startHelper<Adds>(() => worker);
  const asked = broken.ask((remote) => remote.add(2, 3));
  const prevented = jest.fn();
  worker.onerror!({ preventDefault: prevented } as unknown as ErrorEvent);
  await expect(asked).rejects.toMatchObject({ problem: 'broke' });
  expect(prevented).toHaveBeenCalled();
  await expect(broken.ask((remote) => remote.add(2, 3))).rejects.toThrow(/Load the page again/);
  broken.end();
});

test('one that says nothing is told of within seconds, another is started beside it, and whichever greets is asked', async () => {
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask', 'nextTick'] });
  const made = [workerOf(null), workerOf(ADDS)];
  let at = 0;
  const make = jest.fn(() => made[at++]!.worker);
  const helper = startHelper<Adds>(make);
  const told = jest.fn();
  const asked = helper.ask((remote) => remote.add(2, 3), told);
  jest.advanceTimersByTime(7999);
  expect(told).not.toHaveBeenCalled();
  expect(make).toHaveBeenCalledTimes(1);
  jest.advanceTimersByTime(1);
  expect(told.mock.calls).toEqual([[expect.objectContaining({ problem: 'silent' })]]);
  jest.useRealTimers();
  expect(await asked).toBe(5);
  expect(made.map(({ ended }) => ended())).toEqual([true, false]);
  helper.end();
  expect(made.map(({ ended }) => ended())).toEqual([true, true]);
});

test('one that greets and works long is not called silent', async () => {
  const { worker } = workerOf(ADDS);
  const helper = startHelper<Adds>(() => worker);
  await helper.ask((remote) => remote.hello());
  jest.useFakeTimers({ doNotFake: ['setImmediate', 'queueMicrotask', 'nextTick'] });
  const told = jest.fn();
  void helper.ask(() => new Promise(() => undefined), told);
  await new Promise((wake) => setImmediate(wake));
  jest.advanceTimersByTime(60_000);
  expect(told).not.toHaveBeenCalled();
  jest.useRealTimers();
  helper.end();
});

test('what is said of trouble is a sentence of ours, whatever was thrown', () => {
  const quiet = jest.spyOn(console, 'error').mockImplementation(() => undefined);
  expect(helperWhy(new HelperTrouble('told', 'The list is too long.'))).toBe('The list is too long');
  expect(helperWhy(new TypeError('x is not a function'))).toMatch(/^Something unforeseen happened/);
  expect(quiet).toHaveBeenCalledTimes(1);
  quiet.mockRestore();
});
