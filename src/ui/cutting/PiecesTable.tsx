import { PrinterOutlined } from '@ant-design/icons';
import { Button } from 'antd';
import { Fragment, useEffect, useMemo, useState } from 'react';
import { createPortal } from 'react-dom';
import { cutListOf, pieceName, type SetPlan } from '@/core/sets';
import { useUnits } from '../parts/InUnits';
import { Words } from '../parts/Words';
import { Besides } from './Shopping';
import styles from './PiecesTable.module.css';

interface PiecesTableProps {
  readonly title: string;
  readonly plan: SetPlan;
  readonly copies: number;
}

/** Everything that is cut, by paper, and what it takes besides: a table that prints on a page of its own. */
export function PiecesTable(props: PiecesTableProps) {
  const [printing, setPrinting] = useState(false);
  useEffect(() => {
    if (!printing) return;
    const done = (): void => setPrinting(false);
    window.addEventListener('afterprint', done);
    window.print();
    return () => window.removeEventListener('afterprint', done);
  }, [printing]);
  return (
    <details className={styles.pieces}>
      <summary>All pieces in a table</summary>
      <Pieces {...props} />
      <Button icon={<PrinterOutlined />} onClick={() => setPrinting(true)}>
        Print this table
      </Button>
      {printing &&
        createPortal(
          <div className={styles.printed}>
            <h1>{props.title}</h1>
            <Pieces {...props} />
          </div>,
          document.body,
        )}
    </details>
  );
}

function Pieces({ plan, copies }: PiecesTableProps) {
  const { say } = useUnits();
  const cuts = useMemo(() => cutListOf(plan, copies), [plan, copies]);
  const one = useMemo(() => [{ plan, copies }], [plan, copies]);
  return (
    <>
      <table className={styles.table} aria-label="All pieces">
        <thead>
          <tr>
            <th scope="col">Piece</th>
            <th scope="col">Size</th>
            <th scope="col">How many</th>
          </tr>
        </thead>
        <tbody>
          {cuts.map(({ paper, pieces }) => (
            <Fragment key={paper}>
              <tr className={styles.paper}>
                <th scope="rowgroup" colSpan={3}>
                  {plan.set.papers.find(({ id }) => id === paper)?.name || 'Any paper'}
                </th>
              </tr>
              {pieces.map(({ part, name, width, height, quantity, gives = 1 }) => (
                <tr key={`${part} ${name}`}>
                  <td>{pieceName(plan.set, part, name)}</td>
                  <td>
                    <Words>{`${say(width)} × ${say(height)}`}</Words>
                  </td>
                  <td>{Math.ceil(quantity / gives)}</td>
                </tr>
              ))}
            </Fragment>
          ))}
        </tbody>
      </table>
      <section className={styles.besides} aria-label="Besides paper">
        <h3>Besides paper</h3>
        <ul>
          <Besides of={one} />
        </ul>
      </section>
    </>
  );
}
