import { lengthParts, mm, type Graduation, type Units } from '@/core/length';
import styles from './Figure.module.css';

interface FigureProps {
  readonly value: number;
  readonly units: Units;
  readonly graduation: Graduation;
  /** Heroes are read from an arm's length away. */
  readonly size?: 'text' | 'large' | 'hero';
  /** False where a neighbour says the unit for both. */
  readonly unit?: boolean;
}

/** A length set in type: tabular whole number, true diagonal fraction, unit always shown; ≈ when it lies between marks. */
export function Figure({ value, units, graduation, size = 'text', unit = true }: FigureProps) {
  const parts = lengthParts(mm(value), units, graduation);
  return (
    <span className={`${styles.figure} ${styles[size]}`}>
      {parts.about && <span className={styles.about}>≈</span>}
      {parts.negative && '−'}
      {parts.whole}
      {parts.fraction && (
        <>
          <span className="sr-only"> </span>
          <span className={styles.fraction}>{parts.fraction.join('/')}</span>
        </>
      )}
      {unit && <span className={styles.unit}> {parts.unit}</span>}
    </span>
  );
}
