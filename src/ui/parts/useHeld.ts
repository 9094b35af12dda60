import { useEffect, useRef, useState } from 'react';

/** What a field shows and does while it has the focus. */
interface Held<T> {
  readonly shown: T;
  /** True while what was typed stands in the field. */
  readonly typing: boolean;
  /** This was typed: it stands in the field until that is left, whatever the value does meanwhile. */
  readonly hold: (typed: T) => void;
  /** The field shows what is kept again. */
  readonly release: () => void;
  /** The field was left with what cannot be taken in it: that stands there until what is kept changes. */
  readonly leave: () => void;
}

/** Nobody is typing who has not touched a key for so long, ms. */
const PAUSE = 1500;

/**
 * The one way a field is bound to what is kept: what is typed belongs to the field while it has the focus, and what is
 * kept follows. A database that answers late, or another window, never takes a keystroke back. `says` tells whether what
 * is kept is what was typed: once that is so, and another window changes it, a field in which nobody types any more
 * shows it.
 */
export function useHeld<T>(kept: T, says: (typed: T, kept: T) => boolean = Object.is): Held<T> {
  const [held, setHeld] = useState<{ readonly typed: T; readonly left?: { readonly kept: T } } | null>(null);
  const state = useRef({ lastKey: -Infinity, typed: null as { readonly typed: T } | null, taken: false, says });
  useEffect(() => {
    state.current.says = says;
  });
  useEffect(() => {
    const { typed, taken, lastKey } = state.current;
    if (!typed) return;
    if (state.current.says(typed.typed, kept)) {
      state.current.taken = true;
      return;
    }
    // What is not taken yet has come to nobody’s knowledge but the field’s: it stands.
    if (!taken) return;
    const timer = setTimeout(
      () => {
        if (state.current.typed === typed) setHeld(null);
      },
      Math.max(0, PAUSE - (performance.now() - lastKey)),
    );
    return () => clearTimeout(timer);
  }, [kept]);
  const stands = held !== null && (!held.left || held.left.kept === kept);
  return {
    shown: stands ? held.typed : kept,
    typing: stands,
    hold: (typed) => {
      state.current = { lastKey: performance.now(), typed: { typed }, taken: state.current.says(typed, kept), says };
      setHeld({ typed });
    },
    release: () => {
      state.current.typed = null;
      setHeld(null);
    },
    leave: () => setHeld((now) => now && { ...now, left: { kept } }),
  };
}
