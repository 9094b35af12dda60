import { Alert, Button } from 'antd';
import { isPlaced, paperSpent, type CutList, type KeptPaper, type Layout } from '@/core/cutting';
import { formatLength, mm } from '@/core/length';
import { useUnits } from '../parts/InUnits';
import { useMoney } from '../parts/useMoney';
import { Words } from '../parts/Words';
import { kindOf } from './byHand';
import { PieceCosts } from './PieceCosts';
import type { CuttingTable } from './useCuttingTable';
import styles from './Cutting.module.css';

interface LayoutFiguresProps {
  readonly table: CuttingTable;
  readonly list: CutList;
  readonly layout: Layout;
  /** Fewer sheets are still looked for. */
  readonly running: boolean;
  /** Finished pieces all of it makes; 0 where that means nothing. */
  readonly copies: number;
}

/** How many sheets, how few there can be, how much of them is used and what they cost. */
export function LayoutFigures({ table, list, layout, running, copies }: LayoutFiguresProps) {
  const { record, stash, paperIds } = table;
  const money = useMoney();
  const paperOf = (name: string): KeptPaper | undefined => stash.find(({ id }) => id === paperIds.get(name));
  // Once it is cut the stash has changed, and what it cost stands there.
  const spent = record.cut ? null : paperSpent(list, layout, paperOf);
  // What is bought and what lies there already are told apart.
  const offcuts = layout.sheets.filter(({ sheet }) => paperOf(sheet)?.offcut).length;
  const bought = layout.sheets.filter(({ sheet }) => !paperIds.has(sheet)).length;
  const whole = layout.sheets.length - offcuts - bought;
  const kinds = [
    whole > 0 && `${whole} from the stash`,
    offcuts > 0 && `${offcuts} ${offcuts === 1 ? 'offcut' : 'offcuts'}`,
    bought > 0 && `${bought} to buy`,
  ].filter(Boolean);
  const costs = spent && spent.cost > 0 ? spent : null;
  return (
    <>
      <dl className={styles.figures}>
        <div className={styles.hero}>
          <dt>Sheets</dt>
          <dd>{layout.sheetsUsed}</dd>
        </div>
        {(kinds.length > 1 || bought > 0) && !record.cut && (
          <div>
            <dt>Of these</dt>
            <dd className={styles.kinds}>{kinds.join(', ')}</dd>
          </div>
        )}
        <div>
          <dt>Fewest of this paper</dt>
          <dd>
            {layout.optimal ? `${layout.lowerBound}, proved` : `${layout.lowerBound} or more`}
            {running && !layout.optimal && '…'}
          </dd>
        </div>
        <div>
          <dt>Of the paper used</dt>
          <dd>{Math.round(layout.yield * 100)} %</dd>
        </div>
        {costs && (
          <div>
            <dt>{copies > 0 ? 'This paper for one' : 'Paper costs'}</dt>
            <dd>{money(copies > 0 ? costs.cost / copies : costs.cost)}</dd>
          </div>
        )}
      </dl>
      {costs && <PieceCosts each={costs.each} />}
    </>
  );
}

/** What finds no place, why, and what would give it one. */
export function Unplaced({ table, layout }: Pick<LayoutFiguresProps, 'table' | 'layout'>) {
  if (layout.unplaced.length === 0) return null;
  return (
    <Alert
      type="warning"
      showIcon
      title="Not everything finds a place"
      description={
        <>
          {layout.unplaced.map(({ piece, quantity, why }) => (
            <div key={piece}>
              {quantity} × {piece}: {why}
            </div>
          ))}
          <Button
            onClick={() => table.save({ bought: [...new Set([...table.bought, '12in'])], papers: [...table.chosen] })}
          >
            Buy 12 in squares for the rest
          </Button>
        </>
      }
    />
  );
}

/** Pieces that lie anywhere here, since the paper on which they have a place is not cut. */
export function OffTheirPaper({ list, layout }: Pick<LayoutFiguresProps, 'list' | 'layout'>) {
  const { units, graduation } = useUnits();
  const say = (length: number): string => formatLength(mm(length), units, graduation);
  const lies = layout.sheets.flatMap(({ sheet, placements }) =>
    placements.filter((one) => !isPlaced(list, kindOf(list, sheet), one)).map(({ piece }) => piece),
  );
  const off = list.pieces.filter(({ name, place }) => place && lies.includes(name));
  return off.map(({ name, place }) => (
    <Alert
      key={name}
      type="info"
      showIcon
      title={
        <Words>
          “{name}” lies anywhere here: its place is told for paper {say(place!.on.width)} × {say(place!.on.height)}, and
          none of that is ticked.
        </Words>
      }
    />
  ));
}
