import { useCallback, useLayoutEffect, useState, type RefObject } from 'react';

/** Type is set smaller in these steps until what is needed is in sight; smaller than the last nobody reads at arm's length. */
const SCALES = [1, 0.9, 0.8, 0.7] as const;
/** So much of a line may be cut off unseen, px. */
const SLACK = 3;
/** The line that says that there is more, px. */
const MORE = 44;

/**
 * Sets the type of what scrolls in a panel so that everything marked `data-needed` in it is seen without scrolling, where it can be. Says whether
 * there is more below what is seen, and goes there.
 * @param key what is shown: it is fitted anew when that changes, or when the panel does
 */
export function useFit(
  panel: RefObject<HTMLElement | null>,
  key: unknown,
): { readonly more: boolean; readonly down: () => void } {
  const [more, setMore] = useState(false);
  useLayoutEffect(() => {
    const node = panel.current;
    if (!node) return;
    const look = (): void => setMore(node.scrollHeight - node.clientHeight - node.scrollTop > SLACK);
    const fit = (): void => {
      for (const scale of SCALES) {
        node.style.setProperty('--fit', String(scale));
        // What says that there is more takes a line of the same room.
        const [height, whole] = [node.parentElement!.clientHeight, node.scrollHeight];
        const bottom = node.getBoundingClientRect().top + (whole > height ? height - MORE : height) + SLACK;
        const needed = [...node.querySelectorAll('[data-needed]')];
        if (node.scrollTop > 0 || needed.every((one) => one.getBoundingClientRect().bottom <= bottom)) break;
      }
      look();
    };
    fit();
    let gone = false;
    // Type that comes later is wider or narrower than what it was fitted with.
    void document.fonts?.ready.then(() => !gone && fit());
    node.addEventListener('scroll', look, { passive: true });
    // The panel is as high as what it holds, up to a bound: the screen itself tells when there is more room.
    window.addEventListener('resize', fit);
    const watching = typeof ResizeObserver === 'undefined' ? null : new ResizeObserver(look);
    for (const child of node.children) watching?.observe(child);
    return () => {
      gone = true;
      node.removeEventListener('scroll', look);
      window.removeEventListener('resize', fit);
      watching?.disconnect();
    };
  }, [panel, key]);
  const down = useCallback(() => panel.current?.scrollBy({ top: panel.current.clientHeight - 40 }), [panel]);
  return { more, down };
}
