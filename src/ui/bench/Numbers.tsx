import { keyFigures, layerFigures, type FigurePart, type KeyFigure } from '@/core/looks';
import type { Design } from '@/core/design';
import type { Made } from '@/core/plan';
import { Figure } from '../parts/Figure';
import styles from './Numbers.module.css';

interface NumbersProps {
  readonly made: Made;
  readonly design: Design;
  /** It is there already: only what is cut for it is told. */
  readonly given?: boolean;
}

/** So many figures are read at a glance; of more the first stand there, and the rest a touch away. */
const [AT_ONCE, FIRST] = [8, 3];

/** The figures a maker reads from an arm's length: cut, set or score, then room left, finished size and lap. */
export function Numbers({ made, design, given = false }: NumbersProps) {
  const all = given ? layerFigures(made) : keyFigures(made, design);
  const first = all.length > AT_ONCE ? all.slice(0, FIRST) : all;
  const rest = all.slice(first.length);
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
  const list = (figures: readonly KeyFigure[]) => (
    <dl className={styles.numbers}>
      {figures.map(({ label, first: leads, parts }) => (
        <div key={label} className={`${leads ? styles.hero : ''} ${isWide(leads, parts) ? styles.wide : ''}`}>
          <dt>{label}</dt>
          {parts[0]!.along === undefined ? (
            <dd className={!leads && parts[0]!.lengths.length > 1 ? styles.size : undefined}>
              {lengths(parts[0]!, leads ? 'hero' : 'large')}
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
  return (
    <>
      {list(first)}
      {rest.length > 0 && (
        <details className={styles.rest}>
          <summary>The other {rest.length} figures, piece by piece</summary>
          {list(rest)}
        </details>
      )}
    </>
  );
}

/** What takes a line of its own: heroes of two lengths, three lengths, and what is measured along something. */
const isWide = (first: boolean, parts: KeyFigure['parts']): boolean =>
  parts[0]!.along !== undefined || parts[0]!.lengths.length > (first ? 1 : 2);
