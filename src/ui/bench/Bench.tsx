'use client';

import { Button } from 'antd';
import { memo, useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { constructionNamed } from '@/core/constructions';
import type { DesignChange, DesignInput } from '@/core/plan';
import { Boundary } from '../parts/Boundary';
import { KEYS } from '../parts/keys';
import { KeysDialog, type KeyLine } from '../parts/KeysDialog';
import { planned, usePlan, type Planned } from '../parts/plans';
import { useTell } from '../parts/useTell';
import { useToolbox } from '../parts/useToolbox';
import { withKit } from '../parts/withKit';
import { Reading } from '../parts/Reading';
import { Answer } from './Answer';
import { Brief } from './Brief';
import { Glance } from './Glance';
import { Stage, type ViewName } from './Stage';
import { changedSince, type BenchStore } from './store';
import { Toolbar } from './Toolbar';
import { useDrag } from './useDrag';
import { useFollowing } from './useFollowing';
import styles from './Bench.module.css';

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
  const { undo, redo } = store.getState();
  const [view, setView] = useState<ViewName>('sheet');
  const [keysOpen, setKeysOpen] = useState(false);

  useHotkeys('mod+z', () => undo(), { ...KEYS, preventDefault: true });
  useHotkeys(['mod+shift+z', 'mod+y'], () => redo(), { ...KEYS, preventDefault: true });
  useHotkeys('1', () => setView('sheet'), KEYS);
  useHotkeys('2', () => setView('folded'), KEYS);
  useHotkeys('3', () => setView('paper'), KEYS);
  useHotkeys('4', () => setView('steps'), KEYS);
  useHotkeys('5', () => setView('cutting'), KEYS);
  useHotkeys(['?', 'shift+?'], () => setKeysOpen(true), { ...KEYS, useKey: true });

  const openKeys = useCallback(() => setKeysOpen(true), []);
  return (
    <main className={styles.bench}>
      <Table store={store} view={view} onView={setView} onKeys={openKeys} />
      <KeysDialog keys={KEY_LINES} open={keysOpen} onClose={() => setKeysOpen(false)} />
    </main>
  );
}

interface TableProps {
  readonly store: BenchStore;
  readonly view: ViewName;
  readonly onView: (view: ViewName) => void;
  readonly onKeys: () => void;
}

/** What follows the design: the sheet at once, what is beside it when there is time. */
function Table({ store, view, onView, onKeys }: TableProps) {
  const { wrong: tellWrong } = useTell();
  const name = store((now) => now.name);
  const design = store((now) => now.design);
  const toolbox = useToolbox();
  const input = useMemo(() => withKit(design, toolbox), [design, toolbox]);
  const result = usePlan(input);
  // What the app fails to work out leaves the last plan on the table, with a sentence over it.
  const [good, setGood] = useState<Planned | null>('plan' in result ? result : null);
  if ('plan' in result && good !== result) setGood(result);
  const lying = 'plan' in result || !('design' in result) ? result : (good ?? result);
  const { dragging, going } = useDrag(store, toolbox);
  const now = useMemo(() => ({ design, input, result }), [design, input, result]);
  // A dragged fold moves at once; the numbers and forms beside it are drawn in between. Nothing else waits.
  const follows = useDeferredValue(now);
  const beside = going ? follows : now;
  /** Takes a change over unless the design cannot be read with it; then it says why, and what was there stays. */
  const drawn = useRef({ stage: result, beside: beside.result });
  useEffect(() => {
    drawn.current = { stage: result, beside: beside.result };
  });
  const apply = useCallback(
    (where: 'stage' | 'beside', patch: DesignChange, key: string): void => {
      const { design: now, name: called, change } = store.getState();
      const seen = drawn.current[where];
      const next = changedSince('design' in seen ? seen.design : {}, now, patch);
      const answer = planned(withKit(next, toolbox));
      if ('design' in answer) change({ design: next, name: renamed(called, now, next) }, key);
      else tellWrong(answer.issues.map((issue) => issue.message).join(' '));
    },
    [store, toolbox, tellWrong],
  );
  const onStage = useCallback((patch: DesignChange, key: string) => apply('stage', patch, key), [apply]);
  const onBeside = useCallback((patch: DesignChange, key: string) => apply('beside', patch, key), [apply]);
  return (
    <Reading units={store((now) => now.units)} graduation={design.graduation ?? '1/8 in'}>
      <Toolbar store={store} design={beside.design} plan={'plan' in beside.result ? beside.result.plan : null} />
      {'plan' in beside.result && beside.result.plan.made && (
        <Boundary what="The figures at a glance" of={beside.input}>
          <Glance made={beside.result.plan.made} design={beside.result.design} />
        </Boundary>
      )}
      <div className={styles.table}>
        <WhatYouHave planned={beside.result} of={beside.input} onChange={onBeside} />
        <Stage
          id={store.getState().id}
          name={name}
          view={view}
          planned={lying}
          of={input}
          onView={onView}
          onChange={onStage}
          dragging={dragging}
        />
        <section className={styles.answer} aria-label="The answer" aria-busy={going}>
          <Answer planned={beside.result} last={good} of={beside.input} onChange={onBeside} />
          <KeysButton onKeys={onKeys} />
        </section>
      </div>
    </Reading>
  );
}

/** A project that nobody named goes on being called after its holder. */
function renamed(name: string, before: DesignInput, after: DesignInput): string {
  const [was, is] = [before, after].map(({ construction }) => constructionNamed(construction)?.title);
  return was && is && (name === was || name === `${was} from this paper`) ? name.replace(was, is) : name;
}

const WhatYouHave = memo(function WhatYouHave({
  planned: answer,
  of,
  onChange,
}: {
  readonly planned: Planned;
  readonly of: DesignInput;
  readonly onChange: (change: DesignChange, key: string) => void;
}) {
  return (
    <section className={styles.brief} aria-label="What you have">
      {'design' in answer && (
        <Boundary what="The brief" of={of}>
          <Brief design={answer.design} made={'plan' in answer ? answer.plan.made : null} onChange={onChange} />
        </Boundary>
      )}
    </section>
  );
});

const KeysButton = memo(function KeysButton({ onKeys }: { readonly onKeys: () => void }) {
  return (
    <Button type="link" className={styles.keys} onClick={onKeys}>
      Keys <kbd>?</kbd>
    </Button>
  );
});
