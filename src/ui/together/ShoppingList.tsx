import { useMemo } from 'react';
import { cutListOf, sheetsTaken, type SetPlan } from '@/core/sets';
import { useUnits } from '../parts/InUnits';
import { useStashPapers } from '../parts/useStash';
import { Words } from '../parts/Words';
import styles from './Together.module.css';

interface ShoppingListProps {
  readonly plan: SetPlan;
  /** Sets that are made. */
  readonly copies: number;
}

/** What of each paper so many sets take, what there is of it, and what to buy. */
export function ShoppingList({ plan, copies }: ShoppingListProps) {
  const { say } = useUnits();
  const stash = useStashPapers();
  const lines = useMemo(
    () =>
      cutListOf(plan, copies).map(({ paper: id, pieces }) => {
        const paper = plan.set.papers.find((one) => one.id === id);
        const own = stash.find((one) => one.id === paper?.stash);
        const has = own?.count ?? paper?.count ?? null;
        const sheets = sheetsTaken(paper, pieces);
        return {
          id,
          name: paper?.name || 'Paper',
          size: paper?.width !== undefined && paper.height !== undefined ? paper : null,
          pieces: pieces.reduce((sum, { quantity, gives = 1 }) => sum + Math.ceil(quantity / gives), 0),
          sheets,
          has,
          buy: sheets === null || has === null ? null : Math.max(0, sheets - has),
        };
      }),
    [plan, copies, stash],
  );
  return (
    <table className={styles.shopping} aria-label="Papers it takes">
      <thead>
        <tr>
          <th scope="col">Paper</th>
          <th scope="col">Pieces</th>
          <th scope="col">Sheets</th>
          <th scope="col">At hand</th>
          <th scope="col">To buy</th>
        </tr>
      </thead>
      <tbody>
        {lines.map(({ id, name, size, pieces, sheets, has, buy }) => (
          <tr key={id} data-paper={id}>
            <th scope="row">
              {name}
              {size && (
                <small>
                  {' '}
                  <Words>
                    {say(size.width!)} × {say(size.height!)}
                  </Words>
                </small>
              )}
            </th>
            <td>{pieces}</td>
            <td>{sheets === null ? 'size not told' : Number.isFinite(sheets) ? sheets : 'too small'}</td>
            <td>{has ?? 'not counted'}</td>
            <td data-short={(buy !== null && buy > 0) || undefined}>
              {buy === null
                ? sheets !== null && Number.isFinite(sheets)
                  ? sheets
                  : ''
                : Number.isFinite(buy)
                  ? buy
                  : ''}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
