'use client';

import { DownloadOutlined, PrinterOutlined } from '@ant-design/icons';
import { Alert, App, Button, Dropdown, Progress as Bar, Select } from 'antd';
import { useMemo, useRef, useState } from 'react';
import { fenceOrder, paperSpent, type CutList, type KeptPaper, type Layout, type Progress } from '@/core/cutting';
import { kitOf } from '@/core/tools';
import { stepOf } from '@/core/length';
import { markCut, undoCut } from '@/data/cuttings';
import { Refused, whyOf } from '@/data/trouble';
import { download, fileName } from '../parts/download';
import { OnceButton } from '../parts/once';
import { useTell } from '../parts/useTell';
import { useToolbox } from '../parts/useToolbox';
import { useReading } from '../parts/Reading';
import { kindOf, mayTurn, placeFor, redrawn, refusedWords, settled, snapped, turned, type Draft } from './byHand';
import { CutOrder } from './CutOrder';
import { PieceCosts } from './PieceCosts';
import { LaidSheet, SmallSheet } from './LaidSheet';
import { sheetGroups } from './sheetGroups';
import type { CuttingTable } from './useCuttingTable';
import { useLaying } from './useLaying';
import styles from './Cutting.module.css';

interface CutPlanProps {
  readonly table: CuttingTable;
  readonly title: string;
  /** Finished pieces all of it makes, for what one costs; 0 where that means nothing. */
  readonly copies: number;
}

const DOING: Record<Progress['doing'], string> = {
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
function Laid({ table, title, copies, list, layout: valid, running, byHand }: LaidProps) {
  const { graduation } = useReading();
  const { message, modal } = App.useApp();
  const { record, stash, paperIds, save } = table;
  const { cut, step } = record;
  const toolbox = useToolbox();
  const longest = toolbox ? kitOf(toolbox).trimmer : undefined;
  /** What was dragged and cannot be cut yet. */
  const [open, setOpen] = useState<Draft | null>(null);
  const layout = open?.layout ?? valid;
  const groups = useMemo(() => sheetGroups(layout.sheets), [layout]);
  const [chosen, setChosen] = useState(0);
  const [picked, setPicked] = useState<number | null>(null);
  const fence = useMemo(
    () => (list.cutter === 'guillotine' && !open ? fenceOrder(list.sheets, layout.sheets) : []),
    [list, layout, open],
  );
  const cuts = useMemo(() => fence.flatMap((group) => group.cuts), [fence]);
  const stepping = step > 0 && step < cuts.length;
  const at = Math.min(stepping ? cuts[step]!.sheet : chosen, layout.sheets.length - 1);
  const sheet = layout.sheets[at];
  const paperOf = (name: string): KeptPaper | undefined => stash.find(({ id }) => id === paperIds.get(name));
  // Once it is cut the stash has changed, and what it cost stands there.
  const spent = cut ? null : paperSpent(list, layout, paperOf);
  const group = groups.findLastIndex(({ first }) => first <= at);

  const take = (changed: ReadonlyMap<number, Layout['sheets'][number]['placements']>): void => {
    const next = redrawn(list, open ?? { layout: valid, refused: new Map() }, changed);
    if (next.refused.size > 0) {
      setOpen(next);
      return;
    }
    const kept = settled(next, list);
    setOpen(null);
    save({ byHand: { list, layout: kept }, step: 0 });
  };
  const move = (piece: number, dx: number, dy: number): void => {
    if (cut || !sheet) return;
    const { placements } = sheet;
    const own = placements[piece]!;
    const others = placements.filter((_, i) => i !== piece);
    const there = snapped({ ...own, x: own.x + dx, y: own.y + dy }, others, kindOf(list, sheet.sheet), graduation);
    take(new Map([[at, placements.map((p, i) => (i === piece ? there : p))]]));
  };
  const stepPiece = (piece: number, dx: number, dy: number): void => {
    if (cut || !sheet) return;
    const by = stepOf(graduation) || 1;
    const placements = sheet.placements.map((p, i) => (i === piece ? { ...p, x: p.x + dx * by, y: p.y + dy * by } : p));
    take(new Map([[at, placements]]));
  };
  const turn = (piece: number): void => {
    if (cut || !sheet) return;
    if (!mayTurn(list, kindOf(list, sheet.sheet), sheet.placements[piece]!.piece)) {
      void message.info('This piece may not be turned: its paper or its print has a right way up.');
      return;
    }
    take(new Map([[at, sheet.placements.map((p, i) => (i === piece ? turned(p) : p))]]));
  };
  const toSheet = (piece: number, to: number): void => {
    if (cut || !sheet || to === at) return;
    const own = sheet.placements[piece]!;
    const there = placeFor(own, layout.sheets[to]!.placements, list, kindOf(list, layout.sheets[to]!.sheet));
    if (!there) {
      void message.warning(`There is no place left for “${own.piece}” on sheet ${to + 1}.`);
      return;
    }
    take(
      new Map([
        [at, sheet.placements.filter((_, i) => i !== piece)],
        [to, [...layout.sheets[to]!.placements, there]],
      ]),
    );
    setPicked(null);
  };
  const dropped = (piece: number, dx: number, dy: number, over: Element | null): void => {
    const target = over?.closest<HTMLElement>('[data-sheet]')?.dataset.sheet;
    if (target !== undefined) toSheet(piece, Number(target));
    else move(piece, dx, dy);
  };
  const mark = async (): Promise<void> => {
    try {
      const id = await markCut(record.id, title, list, layout, paperIds);
      void message.success({
        content: (
          <span>
            The stash has followed.{' '}
            <Button type="link" onClick={() => void undo(id)}>
              Undo
            </Button>
          </span>
        ),
        duration: 8,
      });
    } catch (error) {
      const why = whyOf(error);
      modal.error({
        title: 'It was not marked as cut',
        content: `${error instanceof Refused ? `In the stash ${why}` : why}.`,
      });
    }
  };
  const undo = async (id: string): Promise<void> => {
    try {
      await undoCut(id);
    } catch (error) {
      modal.error({ title: 'It could not be taken back', content: `${whyOf(error)}.` });
    }
  };
  const refused = open?.refused.get(at);
  const money = (value: number): string => value.toFixed(2);
  return (
    <>
      <dl className={styles.figures}>
        <div className={styles.hero}>
          <dt>Sheets</dt>
          <dd>{layout.sheetsUsed}</dd>
        </div>
        <div>
          <dt>Fewest there can be</dt>
          <dd>
            {layout.optimal ? `${layout.lowerBound}, proved` : `${layout.lowerBound} or more`}
            {running && !layout.optimal && '…'}
          </dd>
        </div>
        <div>
          <dt>Of the paper used</dt>
          <dd>{Math.round(layout.yield * 100)} %</dd>
        </div>
        {spent && spent.cost > 0 && (
          <div>
            <dt>{copies > 0 ? 'Paper for one' : 'Paper costs'}</dt>
            <dd>{money(copies > 0 ? spent.cost / copies : spent.cost)}</dd>
          </div>
        )}
      </dl>
      {spent && spent.cost > 0 && <PieceCosts each={spent.each} />}
      {layout.unplaced.length > 0 && (
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
                onClick={() => save({ bought: [...new Set([...table.bought, '12in'])], papers: [...table.chosen] })}
              >
                Buy 12 in squares for the rest
              </Button>
            </>
          }
        />
      )}
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
      {byHand && !open && !cut && (
        <p className={styles.soft}>
          Laid by hand.{' '}
          <Button type="link" onClick={() => save({ byHand: null, step: 0 })}>
            Lay it out anew
          </Button>
        </p>
      )}
      <div className={styles.sheets} role="group" aria-label="All sheets">
        {groups.map(({ first, count }, i) => (
          <button
            key={first}
            type="button"
            data-sheet={first}
            aria-pressed={i === group}
            aria-label={`Sheet ${first + 1}${count > 1 ? ` and ${count - 1} like it` : ''}`}
            onClick={() => {
              setChosen(first);
              setPicked(null);
              if (stepping) save({ step: 0 });
            }}
          >
            <SmallSheet sheet={layout.sheets[first]!} kind={kindOf(list, layout.sheets[first]!.sheet)} />
            <span>{count > 1 ? `${first + 1}–${first + count}` : first + 1}</span>
          </button>
        ))}
      </div>
      <div className={styles.work}>
        {sheet && (
          <figure className={styles.figure}>
            <figcaption>
              Sheet {at + 1}
              {groups[group]!.count > 1 && ` of ${groups[group]!.count} alike`}: {sheet.sheet}
            </figcaption>
            <LaidSheet
              key={at}
              sheet={sheet}
              kind={kindOf(list, sheet.sheet)}
              label={`Sheet ${at + 1}: ${sheet.placements.length} pieces`}
              wrong={refused?.pieces ?? []}
              selected={picked}
              cut={stepping ? cuts[step]! : null}
              hands={{ onSelect: setPicked, onDrag: dropped, onStep: stepPiece, onTurn: turn }}
            />
            {open && (
              <Alert
                type="error"
                showIcon
                title={
                  refused
                    ? refusedWords(refused, sheet.placements)
                    : `Sheet ${[...open.refused.keys()].map((i) => i + 1).join(', ')} cannot be cut like this.`
                }
                action={<Button onClick={() => setOpen(null)}>Put it back</Button>}
              />
            )}
            {!cut && picked !== null && sheet.placements[picked] && (
              <div
                className={styles.pieceTools}
                role="group"
                aria-label={`The piece “${sheet.placements[picked].piece}”`}
              >
                <span>{sheet.placements[picked].piece}</span>
                <Button onClick={() => turn(picked)}>Turn</Button>
                {layout.sheets.length > 1 && (
                  <Select
                    aria-label="To another sheet"
                    placeholder="To sheet…"
                    value={null}
                    className={styles.toSheet}
                    options={layout.sheets.flatMap((_, i) =>
                      i === at ? [] : [{ value: i, label: `To sheet ${i + 1}` }],
                    )}
                    onChange={(to: number | null) => to !== null && toSheet(picked, to)}
                  />
                )}
                <span className={styles.soft}>Drag it, or move it with the arrow keys; R turns it.</span>
              </div>
            )}
          </figure>
        )}
        <CutOrder
          layout={layout}
          groups={fence}
          step={Math.min(step, cuts.length)}
          longest={longest}
          onStep={(next) => save({ step: next })}
        />
      </div>
      <div className={styles.actions}>
        {!cut && (
          <OnceButton type="primary" size="large" disabled={open !== null} onPress={mark}>
            Mark as cut
          </OnceButton>
        )}
        <Button size="large" icon={<PrinterOutlined />} onClick={() => window.print()}>
          Print
        </Button>
        <Along list={list} layout={layout} title={title} />
      </div>
      <div className={styles.printed} aria-hidden>
        {groups.map(({ first, count }) => {
          const { sheet: name } = layout.sheets[first]!;
          return (
            <figure key={first}>
              <figcaption>
                {count > 1 ? `Sheets ${first + 1} to ${first + count}` : `Sheet ${first + 1}`}: {name}
              </figcaption>
              <LaidSheet
                sheet={layout.sheets[first]!}
                kind={kindOf(list, name)}
                label={name}
                wrong={[]}
                selected={null}
                cut={null}
                hands={null}
              />
            </figure>
          );
        })}
      </div>
    </>
  );
}

/** Files of a layout to take along. */
function Along({ list, layout, title }: { readonly list: CutList; readonly layout: Layout; readonly title: string }) {
  const { failed } = useTell();
  const button = useRef<HTMLButtonElement>(null);
  const write = async (kind: string): Promise<void> => {
    const { cutsCsv, layoutCsv, layoutDxf, layoutSvg } = await import('@/core/files/layout-files');
    const name = `${title} cutting`;
    if (kind === 'svg') download(fileName(name, 'svg'), 'image/svg+xml', layoutSvg(list, layout, title));
    if (kind === 'dxf') download(fileName(name, 'dxf'), 'image/vnd.dxf', layoutDxf(list, layout));
    if (kind === 'pieces') download(fileName(name, 'csv'), 'text/csv;charset=utf-8', layoutCsv(layout));
    if (kind === 'cuts') download(fileName(`${name} order`, 'csv'), 'text/csv;charset=utf-8', cutsCsv(list, layout));
    if (kind === 'json') download(fileName(name, 'json'), 'application/json', `${JSON.stringify(layout, null, 2)}\n`);
  };
  return (
    <Dropdown
      trigger={['click']}
      autoFocus
      menu={{
        items: [
          { key: 'svg', label: 'Sheets as drawing (SVG)' },
          { key: 'dxf', label: 'Sheets for a cutting machine (DXF)' },
          { key: 'pieces', label: 'Pieces as a table (CSV)' },
          { key: 'cuts', label: 'Cuts in order as a table (CSV)', disabled: list.cutter === 'free' },
          { key: 'json', label: 'Layout (JSON)' },
        ],
        onClick: ({ key }) => {
          void write(key).catch(failed('It could not be written'));
          setTimeout(() => button.current?.focus());
        },
      }}
    >
      <Button ref={button} size="large" icon={<DownloadOutlined />}>
        Take it along
      </Button>
    </Dropdown>
  );
}
