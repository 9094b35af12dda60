import { useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';

/** An address is written at most so often, ms: browsers refuse to write it faster for long. */
const APART = 320;

const inAddress = (name: string, usual: string): string =>
  new URLSearchParams(window.location.search).get(name) ?? usual;

function writeInAddress(name: string, value: string, usual: string): void {
  const params = new URLSearchParams(window.location.search);
  if ((params.get(name) ?? usual) === value) return;
  if (value === usual) params.delete(name);
  else params.set(name, value);
  const query = params.toString();
  window.history.replaceState(null, '', query ? `?${query}` : window.location.pathname);
}

/**
 * What is looked for on a screen: it stands in the address, so that a reload, going back and a copied address keep it, and each
 * window looks for its own. `usual` stands there by being left out. What is typed stands here at once and in the address a
 * moment later; the address is asked only when somebody else changed it.
 */
export function useInAddress(name: string, usual = ''): readonly [now: string, set: (next: string) => void] {
  const told = useSearchParams().get(name) ?? usual;
  const [now, setNow] = useState(told);
  /**
   * What waits to be written, and what was written last: what comes back of it is no news. `late` are those before it: on a slow
   * machine the router comes to them when there is a newer one already, and puts them back into the address on its way.
   */
  const writing = useRef<{
    waits: string | null;
    written: string;
    readonly late: Set<string>;
    at: number;
    timer: number | null;
  }>({
    waits: null,
    written: told,
    late: new Set(),
    at: -Infinity,
    timer: null,
  });
  useEffect(() => {
    // `told` may be an echo that is late: what stands in the address this moment is what counts.
    const stands = inAddress(name, usual);
    const { waits, written, late } = writing.current;
    // It has caught up: nothing older comes any more.
    if (told === written) late.clear();
    if (waits !== null || stands === written || late.has(stands)) return;
    writing.current.written = stands;
    // Somebody went back, or followed a link.
    setNow(stands);
  }, [told, name, usual]);
  const write = useCallback((): void => {
    const { current } = writing;
    if (current.timer !== null) window.clearTimeout(current.timer);
    current.timer = null;
    if (current.waits === null) return;
    current.at = performance.now();
    current.late.add(current.written);
    current.written = current.waits;
    current.waits = null;
    writeInAddress(name, current.written, usual);
  }, [name, usual]);
  useEffect(() => {
    const { current } = writing;
    window.addEventListener('pagehide', write);
    // Before a link is followed: written while the router is on its way, the address would call it back.
    window.addEventListener('click', write, true);
    return () => {
      window.removeEventListener('pagehide', write);
      window.removeEventListener('click', write, true);
      // The screen is left: the address is another's by now.
      if (current.timer !== null) window.clearTimeout(current.timer);
      current.timer = null;
    };
  }, [write]);
  const set = useCallback(
    (value: string): void => {
      setNow(value);
      const { current } = writing;
      current.waits = value;
      current.timer ??= window.setTimeout(write, Math.max(0, current.at + APART - performance.now()));
    },
    [write],
  );
  return [now, set];
}
