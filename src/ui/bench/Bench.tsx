'use client';

import { RedoOutlined, UndoOutlined } from '@ant-design/icons';
import { Alert, Button, Segmented, Select, Tooltip } from 'antd';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { GRADUATIONS, mm, roundTo, unitsOf, type Graduation, type Mm } from '@/core/length';
import type { Grip } from '@/core/constructions';
import { readDesign, type DesignChange, type DesignInput } from '@/core/plan';
import { Brief } from './Brief';
import { Checks } from './Checks';
import { FileMenu } from './FileMenu';
import { FitsSoFar } from './FitsSoFar';
import { FoldedView } from './FoldedView';

import { Numbers } from './Numbers';
import { Boundary } from '../parts/Boundary';
import { KeysDialog, type KeyLine } from '../parts/KeysDialog';
import { Waiting } from '../parts/Waiting';
import { KEYS } from '../parts/keys';
import { TextField } from '../parts/TextField';
import { UnitsSwitch } from '../parts/UnitsSwitch';
import { useTell } from '../parts/useTell';
import { useToolbox } from '../parts/useToolbox';
import { withKit } from '../parts/withKit';
import { PaperView } from './PaperView';
import { SheetView, type DragPhase } from './SheetView';
import { Steps } from './Steps';
import { changedDesign, type BenchStore } from './store';
import { planned, usePlan } from './usePlan';
import { useFollowing } from './useFollowing';
import styles from './Bench.module.css';

/** Cutting loads when it is looked at. */
const CuttingView = dynamic(() => import('./CuttingView').then((module) => module.CuttingView), {
  ssr: false,
  loading: () => <Waiting what="Laying out the cutting view" />,
});

const VIEWS = [
  { value: 'sheet', label: 'Sheet' },
  { value: 'folded', label: 'Folded' },
  { value: 'paper', label: 'On paper' },
  { value: 'steps', label: 'Steps' },
  { value: 'cutting', label: 'Cutting' },
] as const;
type ViewName = (typeof VIEWS)[number]['value'];

/** What the keyboard does at the bench. */
const KEY_LINES: readonly KeyLine[] = [
  ['1 2 3 4 5', 'Sheet, Folded, On paper, Steps, Cutting'],
  ['Ctrl Z', 'Undo'],
  ['Ctrl Shift Z', 'Redo'],
  ['Tab', 'From grip to grip on the sheet and the paper'],
  ['Arrows', 'On a grip or a length: one mark at a time; on the folding, one step'],
  ['?', 'This list'],
];

/** One project on the table: what goes in, the sheet, the numbers, the checks. */
export function Bench({ store }: { store: BenchStore }) {
  useFollowing(store);
  const { wrong: tellWrong } = useTell();
  const { id, name, units, design, past, future, change, undo, redo } = store();
  const [view, setView] = useState<ViewName>('sheet');
  const [keysOpen, setKeysOpen] = useState(false);
  const [pieceName, setPieceName] = useState('');
  const toolbox = useToolbox();
  const result = usePlan(useMemo(() => withKit(design, toolbox), [design, toolbox]));
  const dragFrom = useRef({ design, result });

  useHotkeys('mod+z', () => undo(), { ...KEYS, preventDefault: true });
  useHotkeys(['mod+shift+z', 'mod+y'], () => redo(), { ...KEYS, preventDefault: true });
  useHotkeys('1', () => setView('sheet'), KEYS);
  useHotkeys('2', () => setView('folded'), KEYS);
  useHotkeys('3', () => setView('paper'), KEYS);
  useHotkeys('4', () => setView('steps'), KEYS);
  useHotkeys('5', () => setView('cutting'), KEYS);
  useHotkeys(['?', 'shift+?'], () => setKeysOpen(true), { ...KEYS, useKey: true });

  const graduation = design.graduation ?? '1/8 in';
  /** Takes a design over unless it cannot be read; then it says why, and what was there stays. */
  const take = (next: DesignInput, key: string): readonly string[] => {
    const read = readDesign(next);
    if (read.ok) change({ design: next }, key);
    return read.ok ? [] : read.issues.map((issue) => issue.message);
  };
  const apply = (patch: DesignChange, key: string): void => {
    const wrong = take(changedDesign(design, patch), key);
    if (wrong.length > 0) tellWrong(wrong.join(' '));
  };

  /**
   * A dragged fold decides the room aimed for, or an option; the plan's own rounding makes it snap. Dragged past
   * what makes sense, the design stays at the last place that did.
   */
  const dragFold = (grip: Grip | null, by: number, phase: DragPhase): void => {
    if (phase === 'start') {
      const now = store.getState().design;
      dragFrom.current = { design: now, result: planned(now) };
      return;
    }
    const from = dragFrom.current;
    if (!grip || !('plan' in from.result) || !from.result.plan.made) return;
    // What the grip was when the drag began: its plan moves under it.
    const { does } =
      from.result.plan.made.built.grips.find((g) => g.hinge === grip.hinge && g.label === grip.label) ?? grip;
    if (does.kind === 'option') {
      const asked = Math.min(Math.max(does.from + does.rate * by, does.least), does.most);
      const value = roundTo(mm(asked), graduation, 'nearest');
      take(changedDesign(from.design, { options: { [does.option]: value } }), 'drag-fold');
      return;
    }
    const ease = from.result.plan.made.fit?.ease;
    if (!ease) return;
    const room = (side: 'width' | 'height'): Mm =>
      mm(Math.max(0, ease[side] + (side === does.side ? does.rate * by : 0)));
    const aimed = changedDesign(from.design, { ease: { width: room('width'), height: room('height') } });
    const landed = planned(aimed);
    const real = 'plan' in landed ? landed.plan.made?.fit?.ease : null;
    const kept = real && { width: mm(Math.max(0, real.width)), height: mm(Math.max(0, real.height)) };
    take(kept ? changedDesign(aimed, { ease: kept }) : aimed, 'drag-fold');
  };

  const dragContents = (wider: number, higher: number, phase: DragPhase): void => {
    if (phase === 'start') return dragFold(null, 0, 'start');
    const { design: before, result: then } = dragFrom.current;
    if (!('design' in then) || !then.design.contents) return;
    const { contents } = then.design;
    const grow = (size: Mm, by: number): Mm =>
      by === 0 ? size : mm(Math.max(5, roundTo(mm(Math.max(0, size + by)), graduation, 'nearest')));
    const grown = { ...contents, width: grow(contents.width, wider), height: grow(contents.height, higher) };
    take(changedDesign(before, { contents: grown }), 'drag-contents');
  };

  const made = 'plan' in result ? result.plan.made : null;
  const part = made && (made.pieces.find(({ piece }) => piece.name === pieceName) ?? made.pieces[0]);
  return (
    <main className={styles.bench}>
      <div className={styles.toolbar}>
        <h1 className="sr-only">{name}</h1>
        <TextField
          className={styles.name}
          variant="borderless"
          aria-label="Name of the project"
          value={name}
          maxLength={120}
          needed
          onChange={(text) => change({ name: text }, 'name')}
        />
        <div className={styles.tools}>
          <Tooltip title="Undo (Ctrl Z)">
            <Button icon={<UndoOutlined />} aria-label="Undo" disabled={past.length === 0} onClick={undo} />
          </Tooltip>
          <Tooltip title="Redo (Ctrl Shift Z)">
            <Button icon={<RedoOutlined />} aria-label="Redo" disabled={future.length === 0} onClick={redo} />
          </Tooltip>
          <UnitsSwitch value={units} onChange={(next) => change({ units: next }, 'units')} />
          <Select<Graduation>
            aria-label="Marks on your ruler"
            className={styles.marks}
            value={graduation}
            options={GRADUATIONS.map((value) => ({
              value,
              label: value === 'exact' ? 'no rounding' : `marks ${value}`,
            }))}
            onChange={(next) =>
              change(
                {
                  units: next === 'exact' ? units : unitsOf(next),
                  design: changedDesign(design, { graduation: next }),
                },
                'graduation',
              )
            }
          />
          <Link href={`/make?p=${encodeURIComponent(id)}`} className={styles.makeIt}>
            Make it
          </Link>
          <FileMenu name={name} units={units} design={design} plan={'plan' in result ? result.plan : null} />
        </div>
      </div>
      <div className={styles.table}>
        <section className={styles.brief} aria-label="What you have">
          {'design' in result && (
            <Boundary what="The brief" of={design}>
              <Brief design={result.design} made={made} units={units} graduation={graduation} onChange={apply} />
            </Boundary>
          )}
        </section>
        <section className={styles.stage} aria-label="The plan">
          <Segmented<ViewName>
            className={styles.views}
            aria-label="View"
            value={view}
            options={[...VIEWS]}
            onChange={setView}
          />
          {made && part && view === 'sheet' && made.pieces.length > 1 && (
            <Segmented
              className={styles.pieces}
              aria-label="Piece on the table"
              value={part.piece.name}
              options={made.pieces.map(({ piece }) => piece.name)}
              onChange={setPieceName}
            />
          )}
          <div className={styles.view}>
            {made && part && 'design' in result ? (
              <Boundary key={view} what={`The view “${VIEWS.find(({ value }) => value === view)!.label}”`} of={design}>
                {view === 'sheet' && (
                  <SheetView
                    key={part.piece.name}
                    made={made}
                    part={part}
                    design={result.design}
                    units={units}
                    graduation={graduation}
                    onFold={dragFold}
                    onContents={dragContents}
                  />
                )}
                {view === 'folded' && (
                  <FoldedView
                    made={made}
                    design={result.design}
                    units={units}
                    graduation={graduation}
                    onChange={apply}
                  />
                )}
                {view === 'paper' && (
                  <PaperView
                    made={made}
                    design={result.design}
                    units={units}
                    graduation={graduation}
                    onChange={apply}
                  />
                )}
                {view === 'steps' && 'plan' in result && (
                  <Steps plan={result.plan} units={units} graduation={graduation} />
                )}
                {view === 'cutting' && (
                  <CuttingView
                    id={id}
                    name={name}
                    made={made}
                    design={result.design}
                    units={units}
                    graduation={graduation}
                  />
                )}
              </Boundary>
            ) : (
              <p className={styles.nothing}>There is no pattern for this yet. The check beside says why.</p>
            )}
          </div>
        </section>
        <section className={styles.answer} aria-label="The answer">
          {'plan' in result ? (
            <>
              {made && (
                <Boundary what="The numbers" of={design}>
                  <Numbers made={made} design={result.design} units={units} graduation={graduation} />
                </Boundary>
              )}
              <Boundary what="What the log says" of={design}>
                <FitsSoFar design={result.design} units={units} graduation={graduation} onChange={apply} />
              </Boundary>
              <Boundary what="The checks" of={design}>
                <Checks
                  checks={result.checks}
                  units={units}
                  graduation={graduation}
                  onRemedy={(patch) => apply(patch, 'remedy')}
                />
              </Boundary>
            </>
          ) : (
            <Alert
              type="error"
              title="This design cannot be read"
              description={result.issues.map(({ path, message }) => (path ? `${path}: ${message}` : message)).join(' ')}
            />
          )}
          <Button type="link" className={styles.keys} onClick={() => setKeysOpen(true)}>
            Keys <kbd>?</kbd>
          </Button>
        </section>
      </div>
      <KeysDialog keys={KEY_LINES} open={keysOpen} onClose={() => setKeysOpen(false)} />
    </main>
  );
}
