import { useRef, type TouchEvent } from 'react';

/** A finger went so far across, and at most half as far along, px: less is a tap, more upright is scrolling. */
const FAR = 64;

/** Next and back by a finger drawn across: to the left is on, to the right is back, as a page is turned. */
export function useSwipe(
  on: () => void,
  back: () => void,
): {
  readonly onTouchStart: (event: TouchEvent) => void;
  readonly onTouchEnd: (event: TouchEvent) => void;
} {
  const began = useRef<{ readonly x: number; readonly y: number } | null>(null);
  return {
    onTouchStart: ({ touches, target }) => {
      const finger = touches[0];
      // What is dragged itself is no page.
      const held = target instanceof Element && target.closest('input, [role="slider"], canvas') !== null;
      began.current = finger && touches.length === 1 && !held ? { x: finger.clientX, y: finger.clientY } : null;
    },
    onTouchEnd: ({ changedTouches }) => {
      const finger = changedTouches[0];
      const from = began.current;
      began.current = null;
      if (!finger || !from) return;
      const [across, along] = [finger.clientX - from.x, Math.abs(finger.clientY - from.y)];
      if (Math.abs(across) < FAR || along > Math.abs(across) / 2) return;
      if (across < 0) on();
      else back();
    },
  };
}
