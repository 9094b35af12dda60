import { useCallback, useEffect, useRef } from 'react';

/** Keys that go on to the next step, as a browser names them. */
const GO_ON: ReadonlySet<string> = new Set(['ArrowRight', 'PageDown', 'n']);

/**
 * A hand on the pedal does not wait for the table to be laid out: what is pressed from “Begin” until the first step is there
 * is counted, and done then.
 */
export function useAhead(): { readonly begin: () => void; readonly take: () => number } {
  /** Presses since it was begun; null while nothing is. */
  const pressed = useRef<number | null>(null);
  useEffect(() => {
    const count = (event: KeyboardEvent): void => {
      if (pressed.current === null || event.repeat || !GO_ON.has(event.key)) return;
      pressed.current++;
      event.preventDefault();
    };
    window.addEventListener('keydown', count);
    return () => window.removeEventListener('keydown', count);
  }, []);
  const begin = useCallback(() => void (pressed.current = 0), []);
  const take = useCallback(() => {
    const all = pressed.current ?? 0;
    pressed.current = null;
    return all;
  }, []);
  return { begin, take };
}
