import { keyFigures } from '@/core/looks';
import type { Design } from '@/core/design';
import type { Made } from '@/core/plan';
import { Figure } from '../parts/Figure';
import { useMedia } from '../shell/useMedia';
import styles from './Bench.module.css';

/** The first figures, always in sight where the others stand further down: on a tablet held upright, on a phone. */
export function Glance({ made, design }: { readonly made: Made; readonly design: Design }) {
  const narrow = useMedia('(max-width: 1080px)');
  if (!narrow) return null;
  const figures = keyFigures(made, design);
  const shown = [...figures.filter(({ first }) => first), ...figures.filter(({ id }) => id === 'room')];
  return (
    <dl className={styles.glance} aria-label="At a glance">
      {shown.map(({ label, parts }) => (
        <div key={label}>
          <dt>{label}</dt>
          <dd>
            {parts[0]!.lengths.map((length, i) => (
              <span key={i}>
                {i > 0 && (parts[0]!.joined === 'times' ? ' × ' : ', ')}
                <Figure value={length} unit={i === parts[0]!.lengths.length - 1} />
              </span>
            ))}
          </dd>
        </div>
      ))}
    </dl>
  );
}
