import { lengthParts, mm } from '@/core/length';
import { useUnits } from '../parts/InUnits';
import styles from './draw.module.css';

interface FigureTextProps {
  readonly x: number;
  readonly y: number;
  readonly value: number;
  readonly before?: string;
  readonly className?: string;
  readonly anchor?: 'start' | 'middle' | 'end';
}

/** A length inside a drawing, with a true diagonal fraction. */
export function FigureText({ x, y, value, before = '', className, anchor = 'middle' }: FigureTextProps) {
  const { units, graduation } = useUnits();
  const parts = lengthParts(mm(value), units, graduation);
  return (
    <text x={x} y={y} textAnchor={anchor} className={className}>
      {before}
      {parts.negative && '−'}
      {parts.whole}
      {parts.fraction && (
        <tspan className={styles.fraction} dx={parts.whole ? 1.5 : 0}>
          {parts.fraction.join('/')}
        </tspan>
      )}
      <tspan className={styles.unit} dx="2">
        {parts.unit}
      </tspan>
    </text>
  );
}
