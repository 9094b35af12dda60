import { useCallback, useEffect, useRef, useState } from 'react';
import { SPOKEN } from '@/data/setting-kinds';
import { useSetting } from '../parts/useKept';

/** Keeps the screen awake while a make is on it, where the browser can; says whether it does. */
export function useAwake(): boolean {
  const [awake, setAwake] = useState(false);
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    const hold = (): void => {
      if (!('wakeLock' in navigator) || document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (held) => {
          if (gone) return void held.release();
          lock = held;
          setAwake(true);
          held.addEventListener('release', () => setAwake(false));
        },
        // Refused on a low battery, or by the person: the screen then sleeps as it always does.
        () => setAwake(false),
      );
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', hold);
      void lock?.release();
    };
  }, []);
  return awake;
}

/** The voice that reads steps out. */
export interface Speech {
  /** False where the browser has no voice. */
  readonly able: boolean;
  readonly on: boolean;
  readonly toggle: () => void;
}

/** Reads each step out when that is asked for, with the browser's own voice. */
export function useSpeech(text: string): Speech {
  const [able, setAble] = useState(false);
  const [on = false, setOn] = useSetting(SPOKEN);
  useEffect(() => {
    // What the browser can is known only once the page lives in it.
    // oxlint-disable-next-line react/set-state-in-effect
    setAble('speechSynthesis' in window && 'SpeechSynthesisUtterance' in window);
  }, []);
  useEffect(() => {
    if (!able) return;
    const { speechSynthesis } = window;
    speechSynthesis.cancel();
    if (!on) return;
    const words = new SpeechSynthesisUtterance(text);
    words.lang = 'en';
    words.rate = 0.95;
    speechSynthesis.speak(words);
    return () => speechSynthesis.cancel();
  }, [able, on, text]);
  const toggle = useCallback(() => setOn((was) => !was), [setOn]);
  return { able, on: able && on, toggle };
}

/** A pause at the table longer than this is no work, ms; a stop that takes longer has longer. */
const PAUSE = 10 * 60_000;

/**
 * Time at the table: counts while the page is seen. `take` gives what has passed since it was last asked, of a pause no more than
 * ten minutes, or what the stop at hand takes at most.
 * @param most what the stop at hand takes at most, ms
 */
export function useClock(most = 0): { readonly running: number; readonly take: () => number } {
  const since = useRef<number | null>(null);
  const gathered = useRef(0);
  const [running, setRunning] = useState(0);
  const longest = useRef(PAUSE);
  useEffect(() => {
    longest.current = Math.max(PAUSE, most);
  }, [most]);
  useEffect(() => {
    since.current = Date.now();
    const turn = (): void => {
      if (document.visibilityState === 'visible') since.current = Date.now();
      else if (since.current !== null) {
        gathered.current += Math.min(longest.current, Date.now() - since.current);
        since.current = null;
      }
    };
    const beat = setInterval(() => {
      const now = since.current === null ? 0 : Math.min(longest.current, Date.now() - since.current);
      setRunning(gathered.current + now);
    }, 10_000);
    document.addEventListener('visibilitychange', turn);
    return () => {
      clearInterval(beat);
      document.removeEventListener('visibilitychange', turn);
    };
  }, []);
  const take = useCallback((): number => {
    const now = since.current === null ? 0 : Math.min(longest.current, Date.now() - since.current);
    const all = gathered.current + now;
    gathered.current = 0;
    if (since.current !== null) since.current = Date.now();
    setRunning(0);
    return all;
  }, []);
  return { running, take };
}
