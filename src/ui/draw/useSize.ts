import { useEffect, useState, type RefObject } from 'react';

/** Size of an element in pixels, followed as it changes; null until it is known. */
export function useSize(ref: RefObject<Element | null>): { readonly width: number; readonly height: number } | null {
  const [size, setSize] = useState<{ width: number; height: number } | null>(null);
  useEffect(() => {
    if (!ref.current) return;
    const watch = new ResizeObserver(([entry]) => {
      if (entry) setSize({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    watch.observe(ref.current);
    return () => watch.disconnect();
  }, [ref]);
  return size;
}
