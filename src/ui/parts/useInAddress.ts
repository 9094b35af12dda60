import { useSearchParams } from 'next/navigation';
import { useCallback, useState } from 'react';

/**
 * What is looked for on a screen: it stands in the address, so that a reload, going back and a copied address keep it, and each
 * window looks for its own. `usual` stands there by being left out.
 */
export function useInAddress(name: string, usual = ''): readonly [now: string, set: (next: string) => void] {
  const address = useSearchParams().get(name) ?? usual;
  // The address follows a moment later: what was typed last is shown until it has come.
  const [typed, setTyped] = useState<{ readonly value: string; readonly before: string } | null>(null);
  const now = typed && typed.before === address ? typed.value : address;
  const set = useCallback(
    (value: string): void => {
      const params = new URLSearchParams(window.location.search);
      setTyped({ value, before: params.get(name) ?? usual });
      if (value === usual) params.delete(name);
      else params.set(name, value);
      const query = params.toString();
      window.history.replaceState(null, '', query ? `?${query}` : window.location.pathname);
    },
    [name, usual],
  );
  return [now, set];
}
