'use client';

import { PrinterOutlined } from '@ant-design/icons';
import { Alert, Button, Progress as Bar } from 'antd';
import { useMemo, useState } from 'react';
import { fenceOrder, type CutList, type Layout, type PackProgress } from '@/core/cutting';
import { kitOf } from '@/core/tools';
import { OnceButton } from '../parts/once';
import { useToolbox } from '../parts/useToolbox';
import { AllSheets, PrintedSheets } from './AllSheets';
import { CutOrder } from './CutOrder';
import { LayoutFigures, OffTheirPaper, Unplaced } from './LayoutFigures';
import { SheetAtHand } from './SheetAtHand';
import { sheetGroups } from './sheetGroups';
import { TakeAlong } from './TakeAlong';
import type { CuttingTable } from './useCuttingTable';
import { useLaidByHand } from './useLaidByHand';
import { useLaying } from './useLaying';
import { useMarkCut } from './useMarkCut';
import styles from './Cutting.module.css';

interface CutPlanProps {
  readonly table: CuttingTable;
  readonly title: string;
  /** Finished pieces all of it makes, for what one costs; 0 where that means nothing. */
  readonly copies: number;
}

const DOING: Record<PackProgress['doing'], string> = {
  'first answer': 'A first answer is there. Looking for a better one…',
  'lower bound': 'Working out how few sheets there must be…',
  'better patterns': 'Trying other ways to fill a sheet…',
  'whole numbers': 'Choosing among the ways found…',
  'every pattern': 'Going through every way there is…',
  done: 'Done',
};

/** Sheets with their pieces, how few there can be, the order of cuts, and what follows when it is cut. */
export function CutPlan(props: CutPlanProps) {
  const { table } = props;
  const { list, record, problems } = table;
  const { cut } = record;
  const key = useMemo(() => (list ? JSON.stringify(list) : ''), [list]);
  const laying = useLaying(cut ? null : list, cut ? 'cut' : key);
  const ownHand = !cut && record.byHand && JSON.stringify(record.byHand.list) === key ? record.byHand.layout : null;
  const layout = cut?.layout ?? ownHand ?? laying.progress?.layout ?? null;
  const shownList = cut?.list ?? list;
  if (!shownList)
    return (
      <section className={styles.plan} aria-label="The sheets">
        <Alert type="info" showIcon title={problems.join(' ')} />
      </section>
    );
  return (
    <section className={styles.plan} aria-label="The sheets" aria-busy={laying.running}>
      {laying.trouble && <Alert type="error" showIcon title={`The sheets could not be laid out. ${laying.trouble}.`} />}
      {!cut && laying.running && !ownHand && (
        <div className={styles.running} role="status">
          <Bar percent={100} status="active" showInfo={false} size="small" aria-label="Looking for fewer sheets" />
          <span>{DOING[laying.progress?.doing ?? 'first answer']}</span>
          <Button onClick={laying.stop}>Stop here</Button>
        </div>
      )}
      {layout && (
        <Laid
          {...props}
          key={`${cut?.id ?? key}`}
          list={shownList}
          layout={layout}
          running={laying.running && !ownHand}
          byHand={ownHand !== null}
        />
      )}
    </section>
  );
}

interface LaidProps extends CutPlanProps {
  readonly list: CutList;
  readonly layout: Layout;
  readonly running: boolean;
  readonly byHand: boolean;
}

/** A layout: looked at, changed by hand, cut in order, marked as cut. */
function Laid({ table, title, copies, list, layout: valid, running, byHand: laidByHand }: LaidProps) {
  const { record, save } = table;
  const { cut, step } = record;
  const toolbox = useToolbox();
  const byHand = useLaidByHand(list, valid, (layout) => save({ byHand: { list, layout }, step: 0 }));
  const { mark, undo } = useMarkCut(table);
  const { layout, open } = byHand;
  const groups = useMemo(() => sheetGroups(layout.sheets), [layout]);
  const [chosen, setChosen] = useState(0);
  const fence = useMemo(
    () => (list.cutter === 'guillotine' && !open ? fenceOrder(list.sheets, layout.sheets) : []),
    [list, layout, open],
  );
  const cuts = useMemo(() => fence.flatMap((group) => group.cuts), [fence]);
  const stepping = step > 0 && step < cuts.length;
  const at = Math.min(stepping ? cuts[step]!.sheet : chosen, layout.sheets.length - 1);
  const group = groups.findLastIndex(({ first }) => first <= at);
  return (
    <>
      <LayoutFigures table={table} list={list} layout={layout} running={running} copies={copies} />
      <Unplaced table={table} layout={layout} />
      <OffTheirPaper list={list} layout={layout} />
      {cut && (
        <Alert
          type="success"
          showIcon
          title="This is cut. Its sheets are out of the stash, its offcuts in it."
          action={
            <span className={styles.cutActions}>
              <OnceButton onPress={() => undo(cut.id)}>Take it back</OnceButton>
              <Button type="primary" onClick={() => save({ cut: null, byHand: null, step: 0 })}>
                Cut more
              </Button>
            </span>
          }
        />
      )}
      {laidByHand && !open && !cut && (
        <p className={styles.soft}>
          Laid by hand.{' '}
          <Button type="link" onClick={() => save({ byHand: null, step: 0 })}>
            Lay it out anew
          </Button>
        </p>
      )}
      <AllSheets
        list={list}
        layout={layout}
        groups={groups}
        shown={group}
        onShow={(sheet) => {
          setChosen(sheet);
          byHand.pick(null);
          if (stepping) save({ step: 0 });
        }}
      />
      <div className={styles.work}>
        {layout.sheets[at] && (
          <SheetAtHand
            list={list}
            at={at}
            alike={groups[group]!.count}
            byHand={byHand}
            free={cut === null}
            cut={stepping ? cuts[step]! : null}
          />
        )}
        <CutOrder
          layout={layout}
          groups={fence}
          step={Math.min(step, cuts.length)}
          longest={toolbox ? kitOf(toolbox).trimmer : undefined}
          onStep={(next) => save({ step: next })}
        />
      </div>
      <div className={styles.actions}>
        {!cut && (
          <OnceButton type="primary" size="large" disabled={open !== null} onPress={() => mark(title, list, layout)}>
            Mark as cut
          </OnceButton>
        )}
        <Button size="large" icon={<PrinterOutlined />} onClick={() => window.print()}>
          Print
        </Button>
        <TakeAlong list={list} layout={layout} title={title} />
      </div>
      <PrintedSheets list={list} layout={layout} groups={groups} />
    </>
  );
}
