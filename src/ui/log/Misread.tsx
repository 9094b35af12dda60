import { DeleteOutlined } from '@ant-design/icons';
import { Button } from 'antd';
import { misreadWords, type Misread } from '@/core/rescue';
import { MISREADS } from '@/data/setting-kinds';
import { useSetting } from '../parts/useKept';
import { useTell } from '../parts/useTell';
import { titleOf } from './fitWords';
import styles from './Log.module.css';

/** Readings that were mistaken: each is told again at its step, until it is forgotten here. */
export function MisreadBefore() {
  const [known = [], set] = useSetting(MISREADS);
  const { undoable } = useTell();
  if (known.length === 0) return null;
  const forget = (one: Misread): void => {
    const key = JSON.stringify(one);
    set((now) => now.filter((other) => JSON.stringify(other) !== key));
    undoable({
      key,
      done: 'It is forgotten',
      back: () => Promise.resolve(set((now) => [...now, one])),
    });
  };
  return (
    <section className={styles.noPrint} aria-label="Readings that were mistaken">
      <h2>Readings that were mistaken</h2>
      <p className={styles.said}>At the step where one happened it is told again the next time.</p>
      <ul className={styles.misread}>
        {known.map((one) => (
          <li key={JSON.stringify(one)}>
            <span>
              {titleOf(one.construction)}: {misreadWords(one)}
            </span>
            <Button
              size="small"
              type="text"
              icon={<DeleteOutlined aria-hidden />}
              aria-label={`Forget: ${misreadWords(one)}`}
              onClick={() => forget(one)}
            />
          </li>
        ))}
      </ul>
    </section>
  );
}
