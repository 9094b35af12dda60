import { EventEmitter } from 'node:events';
import type { Worker } from 'node:worker_threads';
import type { ServerQuestion, ServerAnswer } from '@/workers/server.worker';
import { crew } from './crew';

/** A thread that says what the test tells it to. */
class Hand extends EventEmitter {
  readonly asked: ServerQuestion[] = [];
  ended = false;
  postMessage(asked: ServerQuestion): void {
    this.asked.push(asked);
  }
  terminate(): Promise<number> {
    this.ended = true;
    this.emit('exit', 1);
    return Promise.resolve(1);
  }
  ref(): void {}
  unref(): void {}
  say(said: ServerAnswer): void {
    this.emit('message', said);
  }
}

function hired(limits: { readonly hands: number; readonly queue: number; readonly deadline?: number }) {
  const hands: Hand[] = [];
  const hire = (): Worker => {
    hands.push(new Hand());
    return hands.at(-1) as unknown as Worker;
  };
  const { ask } = crew({ deadline: 1000, ...limits, hire });
  const asking = (text: string, signal = new AbortController().signal) => ask({ kind: 'pack', text }, signal);
  return { hands, asking };
}
const ANSWER: ServerAnswer = { so: 'answer', status: 200, body: '{"a":1}' };
const soon = (): Promise<void> => new Promise((wake) => setImmediate(wake));

test('an answer is passed on, and its thread does the next piece of work', async () => {
  const { hands, asking } = hired({ hands: 1, queue: 4 });
  const first = asking('one');
  const second = asking('two');
  await soon();
  expect(hands.map(({ asked }) => asked.map(({ text }) => text))).toEqual([['one']]);
  hands[0]!.say(ANSWER);
  expect(await first).toEqual({ kind: 'answer', status: 200, body: '{"a":1}' });
  await soon();
  expect(hands.map(({ asked }) => asked.map(({ text }) => text))).toEqual([['one', 'two']]);
  hands[0]!.say({ so: 'answer', status: 422, body: '{}' });
  expect(await second).toMatchObject({ status: 422 });
  expect(hands[0]!.ended).toBe(false);
});

test('more than work and wait are turned away at once', async () => {
  const { hands, asking } = hired({ hands: 2, queue: 1 });
  const taken = [asking('one'), asking('two'), asking('three')];
  expect(await asking('four')).toEqual({ kind: 'busy' });
  expect(hands).toHaveLength(2);
  hands[0]!.say(ANSWER);
  await taken[0];
  await soon();
  expect(hands[0]!.asked.at(-1)!.text).toBe('three');
});

test('at the deadline the best so far is the answer, and the thread is ended; with nothing so far it is late', async () => {
  jest.useFakeTimers({ doNotFake: ['setImmediate'] });
  const { hands, asking } = hired({ hands: 2, queue: 0, deadline: 1000 });
  const [some, nothing] = [asking('one'), asking('two')];
  hands[0]!.say({ so: 'far', body: '{"far":1}' });
  hands[0]!.say({ so: 'far', body: '{"far":2}' });
  jest.advanceTimersByTime(999);
  expect(hands.map(({ ended }) => ended)).toEqual([false, false]);
  jest.advanceTimersByTime(1);
  expect(await some).toEqual({ kind: 'answer', status: 200, body: '{"far":2}' });
  expect(await nothing).toEqual({ kind: 'late' });
  expect(hands.map(({ ended }) => ended)).toEqual([true, true]);
  jest.useRealTimers();
  // Both places are free again, with new threads.
  void asking('three');
  void asking('four');
  expect(hands).toHaveLength(4);
});

test('waiting counts: who waits has what is left of its time, and who waits too long is late', async () => {
  jest.useFakeTimers({ doNotFake: ['setImmediate'] });
  const { hands, asking } = hired({ hands: 1, queue: 2, deadline: 1000 });
  const first = asking('one');
  jest.advanceTimersByTime(400);
  const [second, third] = [asking('two'), asking('three')];
  jest.advanceTimersByTime(300);
  hands[0]!.say(ANSWER);
  await first;
  await soon();
  expect(hands[0]!.asked.at(-1)).toEqual({ kind: 'pack', text: 'two', time: 700 });
  jest.advanceTimersByTime(700);
  expect([await second, await third]).toEqual([{ kind: 'late' }, { kind: 'late' }]);
  jest.useRealTimers();
});

test('an asker that goes takes the work along, also out of the queue', async () => {
  const { hands, asking } = hired({ hands: 1, queue: 2 });
  const [here, waits] = [new AbortController(), new AbortController()];
  const working = asking('one', here.signal);
  const waiting = asking('two', waits.signal);
  const last = asking('three');
  waits.abort();
  expect(await waiting).toEqual({ kind: 'gone' });
  here.abort();
  expect(await working).toEqual({ kind: 'gone' });
  expect(hands[0]!.ended).toBe(true);
  await soon();
  expect(hands[1]!.asked.map(({ text }) => text)).toEqual(['three']);
  hands[1]!.say(ANSWER);
  expect((await last).kind).toBe('answer');
  expect(await asking('four', here.signal)).toEqual({ kind: 'gone' });
});

test('a thread that breaks is told of with its stack, never used again, and its place is free', async () => {
  const { hands, asking } = hired({ hands: 1, queue: 1 });
  const first = asking('one');
  hands[0]!.emit('error', new Error('no memory'));
  expect(await first).toMatchObject({ kind: 'broke', stack: expect.stringContaining('no memory') });
  const second = asking('two');
  hands[1]!.say({ so: 'broke', stack: 'at work' });
  expect(await second).toEqual({ kind: 'broke', stack: 'at work' });
  const third = asking('three');
  hands[2]!.emit('exit', 1);
  expect(await third).toEqual({ kind: 'broke', stack: 'the thread ended' });
  const fourth = asking('four');
  hands[3]!.say(ANSWER);
  expect((await fourth).kind).toBe('answer');
  // One that breaks while it rests is not asked again.
  hands[3]!.emit('error', new Error('later'));
  const fifth = asking('five');
  expect(hands).toHaveLength(5);
  hands[4]!.say(ANSWER);
  expect((await fifth).kind).toBe('answer');
});
