import { useSearchParams } from 'next/navigation';
import { useCallback, useEffect, useRef, useState } from 'react';

/**
 * What is looked for on a screen: it stands in the address, so that a reload, going back and a copied address keep it, and each
 * window looks for its own. `usual` stands there by being left out.
 */
export function useInAddress(name: string, usual = ''): readonly [now: string, set: (next: string) => void] {
  const address = useSearchParams().get(name) ?? usual;
  const [now, setNow] = useState(address);
  /** What was written into the address and has not come back from it yet: it follows a moment later. */
  const written = useRef<string[]>([]);
  useEffect(() => {
    const place = written.current.indexOf(address);
    if (place >= 0) written.current = written.current.slice(place + 1);
    // Somebody went back, or followed a link.
    else setNow(address);
  }, [address]);
  const set = useCallback(
    (value: string): void => {
      const params = new URLSearchParams(window.location.search);
      if ((params.get(name) ?? usual) === value) return;
      written.current.push(value);
      setNow(value);
      if (value === usual) params.delete(name);
      else params.set(name, value);
      const query = params.toString();
      window.history.replaceState(null, '', query ? `?${query}` : window.location.pathname);
    },
    [name, usual],
  );
  return [now, set];
}
