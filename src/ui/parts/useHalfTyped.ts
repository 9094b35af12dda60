import { useEffect, useRef } from 'react';

/** Where a field is: the address of its screen, and what it is called there. */
const placeOf = (field: string): string => `half typed: ${window.location.pathname}${window.location.search}: ${field}`;

/** The window's own store; null where a browser keeps none. */
function store(): Storage | null {
  try {
    return window.sessionStorage;
  } catch {
    return null;
  }
}

/**
 * What is typed and cannot be taken is in nobody's hands but the field's. It outlives a reload of its window: the field that stands
 * in its place, over the same value, shows it again with its sentence.
 * @param text what cannot be taken; null while nothing such stands in the field
 * @param restore puts it into the field again
 */
export function useHalfTyped(field: string, kept: string, text: string | null, restore: (text: string) => void): void {
  const first = useRef({ kept, restore });
  const wrote = useRef<string | null>(null);
  useEffect(() => {
    const place = placeOf(field);
    try {
      const found = store()?.getItem(place);
      if (!found) return;
      // Of several fields of one name the first takes it; what it was typed over has changed where it is not the same.
      store()?.removeItem(place);
      const said = JSON.parse(found) as { readonly kept: string; readonly text: string };
      if (said.kept === first.current.kept) first.current.restore(String(said.text));
    } catch {
      // A store that is full, closed or written by another is no reason to fail.
    }
  }, [field]);
  useEffect(() => {
    try {
      if (text !== null) {
        wrote.current = placeOf(field);
        store()?.setItem(wrote.current, JSON.stringify({ kept, text }));
      } else if (wrote.current) {
        store()?.removeItem(wrote.current);
        wrote.current = null;
      }
    } catch {
      // As above.
    }
  }, [field, kept, text]);
}
