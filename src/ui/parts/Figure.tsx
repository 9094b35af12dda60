import { lengthParts, mm } from '@/core/length';
import { useUnits } from './InUnits';
import styles from './Figure.module.css';

interface FigureProps {
  readonly value: number;
  /** Heroes are read from an arm's length away. */
  readonly size?: 'text' | 'large' | 'hero';
  /** False where a neighbour says the unit for both. */
  readonly unit?: boolean;
}

/** A length set in type: tabular whole number, true diagonal fraction, unit always shown; ≈ when it lies between marks. */
export function Figure({ value, size = 'text', unit = true }: FigureProps) {
  const { units, graduation } = useUnits();
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
