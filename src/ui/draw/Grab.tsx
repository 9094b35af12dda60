'use client';

import { drag } from 'd3-drag';
import { select } from 'd3-selection';
import { useEffect, useRef, type KeyboardEvent } from 'react';
import styles from './Grab.module.css';

interface GrabProps {
  readonly at: readonly [number, number];
  readonly label: string;
  /** Its value in words. */
  readonly text: string;
  readonly value: number;
  /** Drawn as a corner rather than a point. */
  readonly corner?: boolean;
  readonly onStart: () => void;
  /** Pixels since the drag began. */
  readonly onDrag: (dx: number, dy: number) => void;
  readonly onEnd?: () => void;
  /** Arrow keys: one step right, left, up or down. */
  readonly onStep: (dx: number, dy: number) => void;
}

const STEPS: Record<string, readonly [number, number]> = {
  ArrowUp: [0, 1],
  ArrowRight: [1, 0],
  ArrowDown: [0, -1],
  ArrowLeft: [-1, 0],
};

/** A grip on a drawing: mouse, touch and arrow keys. */
export function Grab({ at: [x, y], label, text, value, corner, onStart, onDrag, onEnd, onStep }: GrabProps) {
  const grip = useRef<SVGGElement>(null);
  const latest = useRef({ onStart, onDrag, onEnd });
  useEffect(() => {
    latest.current = { onStart, onDrag, onEnd };
  });
  useEffect(() => {
    if (!grip.current) return;
    const behaviour = drag<SVGGElement, unknown>()
      // The drawing is as large as the page shows it, so the page's own pixels will do: asking an element where the
      // pointer is on it would lay the whole page out at every move.
      .container(() => window as never)
      .subject(() => ({ x: 0, y: 0 }))
      .on('start', () => {
        grip.current?.focus();
        latest.current.onStart();
      })
      .on('drag', (event: { x: number; y: number }) => latest.current.onDrag(event.x, event.y))
      .on('end', () => latest.current.onEnd?.());
    select(grip.current).call(behaviour);
  }, []);
  const keys = (event: KeyboardEvent): void => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    onStep(...step);
  };
  return (
    <g
      ref={grip}
      className={styles.handle}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuetext={text}
      aria-valuenow={Math.round(value * 100) / 100}
      transform={`translate(${x} ${y})`}
      onKeyDown={keys}
    >
      <circle r={22} className={styles.reach} />
      {corner ? (
        <rect x={-7} y={-7} width={14} height={14} rx={2} transform="rotate(45)" className={styles.knob} />
      ) : (
        <circle r={7.5} className={styles.knob} />
      )}
    </g>
  );
}
