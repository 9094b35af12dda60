'use client';

import { Button } from 'antd';
import { memo, useCallback, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { constructionNamed } from '@/core/constructions';
import type { DesignChange } from '@/core/design';
import { withDesign, type SetInput } from '@/core/sets';
import { Boundary } from '../parts/Boundary';
import { KEYS } from '../parts/keys';
import { KeysDialog, type KeyLine } from '../parts/KeysDialog';
import { partOf, plannedSet, usePlannedSet, type OpenPart, type Planned } from '../parts/plans';
import { useTell } from '../parts/useTell';
import { useToolbox } from '../parts/useToolbox';
import { withKit } from '../parts/withKit';
import { InUnits } from '../parts/InUnits';
import { Answer } from './Answer';
import { Brief } from './Brief';
import { Glance } from './Glance';
import { Layers } from './Layers';
import { Across } from '../together/Across';
import { PartHead } from '../together/PartHead';
import { Strip } from '../together/Strip';
import type { TogetherProps } from '../together/props';
import type { ViewName } from '../parts/views';
import { Stage } from './Stage';
import { changedSince, type BenchStore } from './store';
import { Toolbar } from './Toolbar';
import { useDrag } from './useDrag';
import { useFollowing } from './useFollowing';
import styles from './Bench.module.css';

/** What the keyboard does at the bench. */
const KEY_LINES: readonly KeyLine[] = [
  ['1 2 3 4 5 6 7', 'Sheet, Folded, On paper, Steps, Cutting, Together, Fit'],
  [', .', 'The part inside, the part outside'],
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
  const [view, setView] = useState<ViewName>(() => opensOn(store.getState().set));
  const [keysOpen, setKeysOpen] = useState(false);

  /** To the part that stands next in the strip. */
  const step = (by: number): void => {
    const { set, part, show } = store.getState();
    const at = set.parts.findIndex(({ id }) => id === part) + by;
    if (set.parts[at]) show(set.parts[at].id);
  };

  useHotkeys('mod+z', () => undo(), { ...KEYS, preventDefault: true });
  useHotkeys(['mod+shift+z', 'mod+y'], () => redo(), { ...KEYS, preventDefault: true });
  useHotkeys('1', () => setView('sheet'), KEYS);
  useHotkeys('2', () => setView('folded'), KEYS);
  useHotkeys('3', () => setView('paper'), KEYS);
  useHotkeys('4', () => setView('steps'), KEYS);
  useHotkeys('5', () => setView('cutting'), KEYS);
  useHotkeys('6', () => setView('together'), KEYS);
  useHotkeys('7', () => setView('fit'), KEYS);
  useHotkeys('comma', () => step(-1), KEYS);
  useHotkeys('period', () => step(1), KEYS);
  useHotkeys(['?', 'shift+?'], () => setKeysOpen(true), { ...KEYS, useKey: true });

  const openKeys = useCallback(() => setKeysOpen(true), []);
  return (
    <main className={styles.bench}>
      <Table store={store} view={view} onView={setView} onKeys={openKeys} />
      <KeysDialog keys={KEY_LINES} open={keysOpen} onClose={() => setKeysOpen(false)} />
    </main>
  );
}

/** A set opens on all of it, a book and what is there already on what they look like, anything else on its sheet. */
function opensOn({ parts: [part, ...others] }: SetInput): ViewName {
  if (others.length > 0) return 'together';
  if (part?.given) return 'folded';
  return constructionNamed(String(part?.design?.construction))?.does === 'gathers' ? 'folded' : 'sheet';
}

interface TableProps {
  readonly store: BenchStore;
  readonly view: ViewName;
  readonly onView: (view: ViewName) => void;
  readonly onKeys: () => void;
}

/** What follows the set: the sheet of the part on the table at once, what is beside it when there is time. */
function Table({ store, view, onView, onKeys }: TableProps) {
  const { wrong: tellWrong } = useTell();
  const name = store((now) => now.name);
  const set = store((now) => now.set);
  const part = store((now) => now.part);
  const toolbox = useToolbox();
  const kitted = useMemo(() => withKit(set, toolbox), [set, toolbox]);
  const whole = usePlannedSet(kitted);
  const open = useMemo(() => partOf(whole, part), [whole, part]);
  const { input, answer: result } = open;
  // What the app fails to work out leaves the last plan on the table, with a sentence over it.
  const [good, setGood] = useState<{ readonly part: string; readonly planned: Planned } | null>(
    'plan' in result ? { part, planned: result } : null,
  );
  if ('plan' in result && good?.planned !== result) setGood({ part, planned: result });
  const last = good?.part === part ? good.planned : null;
  const lying = 'plan' in result || !('design' in result) ? result : (last ?? result);
  const { dragging, going } = useDrag(store, toolbox);
  const now = useMemo(() => ({ whole, open }), [whole, open]);
  // A dragged fold moves at once; the numbers and forms beside it are drawn in between. Nothing else waits.
  const follows = useDeferredValue(now);
  const beside = going ? follows : now;
  const drawn = useRef({ stage: result, beside: beside.open.answer });
  useEffect(() => {
    drawn.current = { stage: result, beside: beside.open.answer };
  });
  /** Takes a change of the set over unless it cannot be read with it; then it says why, and what was there stays. */
  const take = useCallback(
    (make: (set: SetInput) => SetInput, key: string): void => {
      const { name: called, set: was, change } = store.getState();
      const next = make(was);
      const answer = plannedSet(withKit(next, toolbox));
      if ('plan' in answer) change({ set: next, name: renamed(called, was, next) }, key);
      else tellWrong(answer.issues.map((issue) => issue.message).join(' '));
    },
    [store, toolbox, tellWrong],
  );
  const apply = useCallback(
    (where: 'stage' | 'beside', patch: DesignChange, key: string): void => {
      const { set: was, part: at } = store.getState();
      const { input: before } = partOf(plannedSet(withKit(was, toolbox)), at);
      const seen = drawn.current[where];
      const next = changedSince('design' in seen ? seen.design : {}, before, patch);
      take((now) => withDesign(now, at, before, next), key);
    },
    [store, toolbox, take],
  );
  const onStage = useCallback((patch: DesignChange, key: string) => apply('stage', patch, key), [apply]);
  const onBeside = useCallback((patch: DesignChange, key: string) => apply('beside', patch, key), [apply]);
  const onShow = useCallback(
    (id: string, then?: ViewName) => {
      store.getState().show(id);
      if (then && then !== view) onView(then);
    },
    [store, view, onView],
  );
  const together = useMemo(
    () => ({ whole: beside.whole, part, onSet: take, onShow, id: store.getState().id }),
    [beside.whole, part, take, onShow, store],
  );
  const shown = beside.open.answer;
  return (
    <InUnits units={store((now) => now.units)} graduation={set.graduation ?? '1/8 in'}>
      <Toolbar store={store} whole={beside.whole} />
      <Boundary what="The set at a glance" of={set}>
        <Strip {...together} view={view} onView={onView} />
      </Boundary>
      {'plan' in shown && shown.plan.made && !beside.open.part?.part.given && (
        <Boundary what="The figures at a glance" of={beside.open.input}>
          <Glance made={shown.plan.made} design={shown.design} />
        </Boundary>
      )}
      <div className={styles.table}>
        <WhatYouHave open={beside.open} together={together} onChange={onBeside} />
        <Stage
          id={store.getState().id}
          name={name}
          view={view}
          planned={lying}
          of={input}
          onView={onView}
          onChange={onStage}
          dragging={dragging}
          together={together}
        />
        <section className={styles.answer} aria-label="The answer" aria-busy={going}>
          <Across whole={beside.whole} onSet={take} />
          <Answer
            planned={shown}
            last={last}
            of={beside.open.input}
            given={beside.open.part !== null && beside.open.part.part.given !== null}
            onChange={onBeside}
          />
          <KeysButton onKeys={onKeys} />
        </section>
      </div>
    </InUnits>
  );
}

/** A project that nobody named goes on being called after its holder. */
function renamed(name: string, before: SetInput, after: SetInput): string {
  const titleOf = ({ parts: [part, ...others] }: SetInput): string | undefined =>
    others.length === 0 ? constructionNamed(String(part?.design?.construction))?.title : undefined;
  const [was, is] = [titleOf(before), titleOf(after)];
  return was && is && (name === was || name === `${was} from this paper`) ? name.replace(was, is) : name;
}

const WhatYouHave = memo(function WhatYouHave({
  open: { part, input, answer },
  together,
  onChange,
}: {
  readonly open: OpenPart;
  readonly together: TogetherProps;
  readonly onChange: (change: DesignChange, key: string) => void;
}) {
  return (
    <section className={styles.brief} aria-label="What you have">
      <Boundary what="The part" of={together.whole.set}>
        <PartHead {...together} planned={part} />
      </Boundary>
      {'design' in answer && part?.part.given && (
        <Boundary what="What is laid on it" of={input}>
          <h2 className={styles.laidOn}>Laid on it</h2>
          <Layers design={answer.design} made={'plan' in answer ? answer.plan.made : null} onChange={onChange} />
        </Boundary>
      )}
      {'design' in answer && !part?.part.given && (
        <Boundary what="The brief" of={input}>
          <Brief
            design={answer.design}
            made={'plan' in answer ? answer.plan.made : null}
            told={part !== null && !part.part.fixed}
            onChange={onChange}
          />
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
