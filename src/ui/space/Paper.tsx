'use client';

import { useEffect, useRef, useState } from 'react';
import type { SpaceScene, Tone } from '@/core/scene';
import { toneName } from '../draw/SceneDrawn';
import { drawingOn, SpaceDrawing, type SpaceColours } from './SpaceDrawing';
import styles from './SpaceView.module.css';

interface PaperProps {
  readonly seen: SpaceScene;
  readonly label: string;
  /** Told that nothing can be drawn in space here. */
  readonly onMissing: () => void;
}

/** Arrow keys turn the thing the way they point; the viewer goes the other way. */
const TURNS: Record<string, readonly [number, number]> = {
  ArrowLeft: [1, 0],
  ArrowRight: [-1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** The paper in space, turned with mouse, touch and keys. */
export default function Paper({ seen, label, onMissing }: PaperProps) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [scene, setScene] = useState<SpaceDrawing | null>(null);
  const theme = useTheme();
  useEffect(() => {
    const element = canvas.current!;
    const context = drawingOn(element);
    if (!context) {
      onMissing();
      return;
    }
    const made = new SpaceDrawing(element, context, coloursOf(element));
    setScene(made);
    const watch = new ResizeObserver(([entry]) => {
      if (entry && entry.contentRect.width > 0) made.resize(entry.contentRect.width, entry.contentRect.height);
    });
    watch.observe(element);
    const lost = (): void => onMissing();
    element.addEventListener('webglcontextlost', lost);
    return () => {
      watch.disconnect();
      element.removeEventListener('webglcontextlost', lost);
      made.dispose();
      setScene(null);
    };
  }, [onMissing]);
  useEffect(() => {
    scene?.recolour(coloursOf(canvas.current!));
  }, [scene, theme]);
  useEffect(() => {
    scene?.show(seen);
  }, [scene, seen, theme]);
  return (
    <canvas
      ref={canvas}
      className={styles.canvas}
      role="img"
      aria-label={label}
      aria-describedby="space-keys"
      tabIndex={0}
      onKeyDown={(event) => {
        const by = TURNS[event.key];
        if (by) scene?.turn(...by);
        else if (event.key === '+' || event.key === '=') scene?.near(1.15);
        else if (event.key === '-') scene?.near(1 / 1.15);
        else if (event.key === 'Home') scene?.front();
        else return;
        event.preventDefault();
        event.stopPropagation();
      }}
      onDoubleClick={() => scene?.front()}
    />
  );
}

/** The theme of the page, followed as it changes. */
function useTheme(): string | undefined {
  const [theme, setTheme] = useState(() => document.documentElement.dataset.theme);
  useEffect(() => {
    const watch = new MutationObserver(() => setTheme(document.documentElement.dataset.theme));
    watch.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
    return () => watch.disconnect();
  }, []);
  return theme;
}

function coloursOf(element: Element): SpaceColours {
  const style = getComputedStyle(element);
  return {
    of: (tone: Tone) => style.getPropertyValue(`--${toneName(tone)}`).trim(),
    lit: document.documentElement.dataset.theme === 'dark' ? 0.86 : 1,
    shadow: document.documentElement.dataset.theme === 'dark' ? 0.5 : 0.22,
  };
}
