'use client';

import { PrinterOutlined } from '@ant-design/icons';
import { Button, Select } from 'antd';
import { useMemo } from 'react';
import { z } from '@/core/text/zod';
import { GRADUATIONS, mm, usualMarks, type Graduation, type Units, sayer } from '@/core/length';
import { CARDS } from '@/core/design';
import { checkSentence } from '@/core/checks';
import { sizeChart, type ChartCard, type ChartLine } from '@/core/choosing';
import { toolOf, type OwnTool } from '@/core/tools';
import type { Project } from '@/data/db';
import { same } from '@/data/patch';
import { shelfAndBin } from '@/data/projects';
import { SIZE_CHART, type ChartSetting } from '@/data/setting-kinds';
import { Figure } from '../parts/Figure';
import { LengthField } from '../parts/LengthField';
import { Opened } from '../parts/Opened';
import { TextField } from '../parts/TextField';
import { plannedSet } from '../parts/plans';
import { useAll, useSetting } from '../parts/useKept';
import { useUnsent } from '../parts/useUnsent';
import { Waiting } from '../parts/Waiting';
import { InUnits, useUnits } from '../parts/InUnits';
import { BoardSelect, NoBoard } from './BoardSelect';
import { ToolsHead } from './ToolsHead';
import { useBoard } from './useBoard';
import { inWords } from '../parts/Words';
import styles from './Tools.module.css';

/** A chart to begin with: the usual cards, the construction's own ease. */
const FIRST = (units: Units): ChartSetting => ({
  graduation: usualMarks(units),
  ease: {},
  cards: CARDS.map(({ title, width, height }) => ({ name: title, width, height, thickness: mm(0) })),
});

/** A size chart of one's own: this board, this ease, these marks, the cards one makes; every line folded and proved. */
export const SizeChart = () => (
  <Opened what="Opening the toolbox">
    <MySizeChart />
  </Opened>
);

function MySizeChart() {
  const { units } = useUnits();
  const { read, board, boards, choose } = useBoard();
  const first = useMemo(() => FIRST(units), [units]);
  const [kept, keepChart] = useSetting(SIZE_CHART, first);
  return (
    <main className={styles.tools}>
      <ToolsHead title="My size chart" />
      {(!read || kept === undefined) && <Waiting what="Folding every line" />}
      {read && !board && <NoBoard />}
      {board && kept !== undefined && (
        <Chart
          board={board}
          boards={boards}
          onChoose={choose}
          chart={kept ?? first}
          onChange={(change) => keepChart((now) => ({ ...now!, ...change(now!) }))}
        />
      )}
    </main>
  );
}

function Chart({
  board,
  boards,
  onChoose,
  chart,
  onChange: change,
}: {
  readonly board: OwnTool;
  readonly boards: readonly OwnTool[];
  readonly onChoose: (id: string) => void;
  readonly chart: ChartSetting;
  /** What of the chart is to be, made of the chart as it is this moment. */
  readonly onChange: (change: (now: ChartSetting) => Partial<ChartSetting>) => void;
}) {
  const { units } = useUnits();
  const { graduation, ease, cards } = chart;
  const say = useMemo(() => sayer(units, graduation), [units, graduation]);
  const lines = useMemo(
    () => sizeChart(cards, toolOf(board)!, graduation, ease as { width?: never; height?: never }),
    [cards, board, graduation, ease],
  );
  const set = (side: 'width' | 'height', to: number | undefined): void => {
    change((now) => {
      const next = { ...now.ease, [side]: to === undefined ? undefined : mm(to) };
      return { ease: Object.fromEntries(Object.entries(next).filter(([, value]) => value !== undefined)) };
    });
  };
  return (
    <>
      <div className={styles.chartSettings}>
        <BoardSelect boards={boards} board={board} onChoose={onChoose} />
        <Select<Graduation>
          {...inWords}
          aria-label="Marks"
          value={graduation}
          style={{ minWidth: 130 }}
          options={GRADUATIONS.map((value) => ({
            value,
            label: value === 'exact' ? 'no rounding' : `marks ${value}`,
          }))}
          onChange={(next) => change(() => ({ graduation: next }))}
        />
        {(['width', 'height'] as const).map((side) => (
          <LengthField
            key={side}
            label={`Room in the ${side}`}
            placeholder="usual"
            value={ease[side]}
            least={0}
            most={100}
            onChange={(length) => set(side, length)}
            onClear={() => set(side, undefined)}
          />
        ))}
        <Button icon={<PrinterOutlined />} onClick={() => window.print()}>
          Print
        </Button>
      </div>
      <p className={styles.printOnly}>
        {board.name}: notch {say((board as { notch?: number }).notch ?? 0)}, marks {graduation}.
      </p>
      <table className={styles.chart}>
        <thead>
          <tr>
            <th>Card</th>
            <th>Size</th>
            <th>Square</th>
            <th>Set at</th>
            <th>Flaps lap</th>
            <th>Room left</th>
            <th className={styles.noPrint}>
              <span className="sr-only">Take out</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <InUnits units={units} graduation={graduation}>
            {lines.map((line, i) => (
              <ChartLineRow
                key={i}
                line={line}
                why={!line.ok && line.why ? checkSentence(line.why, say) : 'That is no card.'}
                onRemove={() =>
                  change((now) => {
                    const out = now.cards.findIndex((card) => same(card, cards[i]));
                    return { cards: now.cards.filter((_, j) => j !== out) };
                  })
                }
              />
            ))}
          </InUnits>
        </tbody>
      </table>
      <p className={styles.proved}>
        {lines.filter((line) => line.ok).length} of {lines.length} lines drawn, folded and tried on a simulated board
        with your figures.
      </p>
      <AddCards cards={cards} onAdd={(more) => change((now) => ({ cards: [...now.cards, ...more].slice(0, 200) }))} />
    </>
  );
}

function ChartLineRow({
  line,
  why,
  onRemove,
}: {
  readonly line: ChartLine;
  readonly why: string;
  readonly onRemove: () => void;
}) {
  const card = line.ok ? line.row.card : line.card;
  const figure = (value: number, unit = true) => <Figure value={value} size="large" unit={unit} />;
  const small = (value: number, unit = true) => <Figure value={value} unit={unit} />;
  return (
    <tr>
      <th scope="row">{card.name}</th>
      <td>
        {small(card.width, false)} × {small(card.height)}
        {card.thickness > 0 && <> × {small(card.thickness)}</>}
      </td>
      {line.ok ? (
        <>
          <td>{figure(line.row.blank)}</td>
          <td>
            {figure(line.row.setting)}
            {!line.row.onRuler && <small> marked on the sheet</small>}
          </td>
          <td>{small(line.row.lap)}</td>
          <td>
            {small(line.row.room.width, false)} × {small(line.row.room.height)}
          </td>
        </>
      ) : (
        <td colSpan={4} className={styles.cannot}>
          {why}
        </td>
      )}
      <td className={styles.noPrint}>
        <Button type="text" size="small" aria-label={`Take ${card.name} out of the chart`} onClick={onRemove}>
          ×
        </Button>
      </td>
    </tr>
  );
}

/** A card as far as it is typed. */
const CARD = z.object({
  name: z.string(),
  width: z.number().optional(),
  height: z.number().optional(),
  thickness: z.number().optional(),
});
type CardSoFar = z.output<typeof CARD>;
const NO_CARD: CardSoFar = { name: '' };

/** A card of one's own, or what the projects on the shelf hold. */
function AddCards({
  cards,
  onAdd,
}: {
  readonly cards: readonly ChartCard[];
  readonly onAdd: (cards: readonly ChartCard[]) => void;
}) {
  const projects = useAll<Project>('projects');
  const shelf = projects ? shelfAndBin(projects).shelf : [];
  const unsent = useUnsent('chart-card', NO_CARD, CARD);
  const { name, ...size } = unsent.value ?? NO_CARD;
  const has = (width: number, height: number): boolean =>
    cards.some((card) => Math.abs(card.width - width) < 0.05 && Math.abs(card.height - height) < 0.05);
  const held = shelf.flatMap((project): ChartCard[] => {
    const whole = plannedSet(project.set);
    const innermost = 'plan' in whole ? whole.plan.parts[0]! : null;
    const contents = innermost?.part.given ?? innermost?.plan.design.contents;
    if (!contents || has(contents.width, contents.height) || contents.thickness >= 4) return [];
    const { width, height, thickness } = contents;
    return [{ name: project.name.slice(0, 60), width, height, thickness }];
  });
  const { width, height, thickness = 0 } = size;
  return (
    <div className={`${styles.addCards} ${styles.noPrint}`}>
      <h2>More cards</h2>
      <div className={styles.chartSettings}>
        <label className={styles.cardName}>
          Name
          <TextField value={name} maxLength={60} onChange={(text) => unsent.set({ name: text })} />
        </label>
        {(['width', 'height', 'thickness'] as const).map((side) => (
          <LengthField
            key={side}
            label={`Card’s ${side}`}
            value={size[side]}
            {...(side === 'thickness' ? { placeholder: 'flat' } : {})}
            least={side === 'thickness' ? 0 : 5}
            most={side === 'thickness' ? 60 : 1000}
            onChange={(length) => unsent.set({ [side]: length })}
          />
        ))}
        <Button
          disabled={width === undefined || height === undefined}
          onClick={() => {
            onAdd([
              { name: name.trim() || 'My card', width: mm(width!), height: mm(height!), thickness: mm(thickness) },
            ]);
            unsent.forget();
          }}
        >
          Add to the chart
        </Button>
        {held.length > 0 && (
          <Button onClick={() => onAdd(held)}>
            Add what my {held.length} {held.length === 1 ? 'project holds' : 'projects hold'}
          </Button>
        )}
      </div>
    </div>
  );
}
