import { useMemo } from 'react';
import { formatLength, mm, usualMarks } from '@/core/length';
import { CARDS } from '@/core/design';
import { sizeChart, type ChartLine } from '@/core/choosing';
import { toolOf } from '@/core/tools';
import { useUnits } from '../parts/InUnits';
import type { OwnBoard } from './useBoard';
import styles from './Tools.module.css';

/** What the new figures change for a few cards, before they are taken. */
export function Changes({ board, next }: { readonly board: OwnBoard; readonly next: OwnBoard }) {
  const { units } = useUnits();
  const graduation = usualMarks(units);
  const [before, after] = useMemo(() => {
    const cards = CARDS.slice(1, 6).map(({ title, width, height }) => ({
      name: title,
      width,
      height,
      thickness: mm(0),
    }));
    return [board, next].map((own) => sizeChart(cards, toolOf(own)!, graduation)) as [ChartLine[], ChartLine[]];
  }, [board, next, graduation]);
  const say = (value: number): string => formatLength(mm(value), units, graduation, true);
  const told = (line: ChartLine): string =>
    line.ok ? `${say(line.row.blank)} square at ${say(line.row.setting)}` : 'cannot be made';
  return (
    <table className={styles.changes}>
      <caption>What changes</caption>
      <thead>
        <tr>
          <th>For</th>
          <th>was</th>
          <th>will be</th>
        </tr>
      </thead>
      <tbody>
        {before.map((line, i) => {
          const [was, will] = [told(line), told(after[i]!)];
          return (
            <tr key={i} className={was === will ? undefined : styles.changed}>
              <td>{line.ok ? line.row.card.name : line.card.name}</td>
              <td>{was}</td>
              <td>{was === will ? 'the same' : will}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
