import { keyFigures, type FigurePart, type KeyFigure } from '@/core/looks';
import type { Design } from '@/core/design';
import type { Made } from '@/core/plan';
import { Figure } from '../parts/Figure';
import styles from './Numbers.module.css';

interface NumbersProps {
  readonly made: Made;
  readonly design: Design;
}

/** The figures a maker reads from an arm's length: cut, set or score, then room left, finished size and lap. */
export function Numbers({ made, design }: NumbersProps) {
  const lengths = ({ lengths: values, joined }: FigurePart, size: 'large' | 'hero') =>
    values.map((value, i) => {
      const last = i === values.length - 1;
      return (
        <span key={i}>
          {i > 0 && (joined === 'times' ? ' × ' : last ? ' and ' : ', ')}
          <Figure value={value} size={size} unit={last} />
        </span>
      );
    });
  return (
    <dl className={styles.numbers}>
      {keyFigures(made, design).map(({ label, first, parts }) => (
        <div key={label} className={`${first ? styles.hero : ''} ${isWide(first, parts) ? styles.wide : ''}`}>
          <dt>{label}</dt>
          {parts[0]!.along === undefined ? (
            <dd className={!first && parts[0]!.lengths.length > 1 ? styles.size : undefined}>
              {lengths(parts[0]!, first ? 'hero' : 'large')}
            </dd>
          ) : (
            <dd className={styles.marks}>
              {parts.map((part) => (
                <span key={part.along}>
                  <small>{[part.along, ...(part.from ? [part.from] : [])].join(', ')}</small>
                  {lengths(part, 'large')}
                </span>
              ))}
            </dd>
          )}
        </div>
      ))}
    </dl>
  );
}

/** What takes a line of its own: heroes of two lengths, three lengths, and what is measured along something. */
const isWide = (first: boolean, parts: KeyFigure['parts']): boolean =>
  parts[0]!.along !== undefined || parts[0]!.lengths.length > (first ? 1 : 2);
