import { useCallback, useState } from 'react';

/** So far beyond the window something counts as in sight: it is there before it is scrolled to. */
const SOON = '300px';

/** Whether something has come into sight on this page, and the ref that it is told by. Where a browser does not say, it has. */
export function useInSight(): readonly [(node: Element | null) => void, boolean] {
  const [seen, setSeen] = useState(false);
  const ref = useCallback((node: Element | null) => {
    if (!node) return;
    if (typeof IntersectionObserver === 'undefined') return setSeen(true);
    const watching = new IntersectionObserver(
      (entries) => {
        if (!entries.some(({ isIntersecting }) => isIntersecting)) return;
        setSeen(true);
        watching.disconnect();
      },
      { rootMargin: SOON },
    );
    watching.observe(node);
    return () => watching.disconnect();
  }, []);
  return [ref, seen];
}
