import { useEffect } from 'react';

const PRESSED = 'a, button, label, input, [role="menuitem"], [role="option"], [role="switch"], [role="radio"]';

/**
 * The second half of a double click may land on something that only came to stand there by the first: the card behind a
 * menu that closed, the button of a dialog that opened. It presses nothing.
 */
export function useNoClickThrough(): void {
  useEffect(() => {
    let last: Element | null = null;
    const click = (event: MouseEvent): void => {
      const pressed = event.target instanceof Element ? event.target.closest(PRESSED) : null;
      // The browser counts clicks that follow each other on one spot.
      if (event.detail > 1 && last && pressed && pressed !== last) {
        event.preventDefault();
        event.stopPropagation();
        return;
      }
      last = pressed;
    };
    window.addEventListener('click', click, { capture: true });
    return () => window.removeEventListener('click', click, { capture: true });
  }, []);
}
