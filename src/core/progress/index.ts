/** Long work is a generator: it tells how far it is, and ends with its answer. Whoever asks may stop asking. */

/** Does work to its end, telling of each step on the way. */
export function toEnd<Told, Answer>(work: Generator<Told, Answer>, tell?: (told: Told) => void): Answer {
  for (;;) {
    const next = work.next();
    if (next.done) return next.value;
    tell?.(next.value);
  }
}
