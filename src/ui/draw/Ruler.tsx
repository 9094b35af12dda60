import { range } from 'd3-array';
import { memo } from 'react';
import { INCH, stepOf } from '@/core/length';
import { useUnits } from '../parts/InUnits';
import styles from './draw.module.css';

interface RulerProps {
  /** Length of the edge, mm, and how many pixels a millimetre takes. */
  readonly length: number;
  readonly scale: number;
}

/** Marks closer than this run together, px. */
const CLOSEST = 3.4;

/** Ruler marks along +x, growing to +y: drawn outside an edge, counted from the edge's left end. */
export const Ruler = memo(function Ruler({ length, scale }: RulerProps) {
  const { units, graduation } = useUnits();
  const own = units === 'in' ? [1 / 32, 1 / 16, 1 / 8, 1 / 4, 1 / 2].map((part) => part * INCH) : [0.5, 1, 5];
  const whole = units === 'in' ? INCH : 10;
  const finest =
    [...own, whole].find((step) => step * scale >= CLOSEST && step >= (stepOf(graduation) || 0) - 1e-6) ?? whole;
  const every = whole * scale < 22 ? Math.ceil(22 / (whole * scale)) : 1;
  const marks = range(0, Math.floor(length / finest + 1e-6) + 1);
  const rank = (at: number): number => {
    const levels = units === 'in' ? [INCH, INCH / 2, INCH / 4] : [10, 5];
    const level = levels.findIndex((step) => Math.abs(at / step - Math.round(at / step)) < 1e-6);
    return level < 0 ? 4 : [13, 9, 7][level]!;
  };
  return (
    <g className={styles.ruler} aria-hidden="true">
      {/* One path for all marks: a dragged sheet draws its rulers anew at every move. */}
      <path d={marks.map((i) => `M${px(i * finest * scale)} 0V${rank(i * finest)}`).join('')} />
      {range(1, Math.floor(length / whole + 1e-6) + 1)
        .filter((count) => count % every === 0 && count * whole < length - 1e-6)
        .map((count) => (
          <text key={count} x={px(count * whole * scale)} y={24} textAnchor="middle">
            {units === 'in' ? count : count * 10}
          </text>
        ))}
    </g>
  );
});

/** Pixels to a hundredth. */
const px = (value: number): number => Math.round(value * 100) / 100;
