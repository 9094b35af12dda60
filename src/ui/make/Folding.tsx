import { Button } from 'antd';
import { useEffect, useMemo, useState } from 'react';
import type { Leaf } from '@/core/fold';
import { concernedIn, momentsOf, seenAt, type Moment } from '@/core/looks';
import { basePieces, panelName, type Made } from '@/core/plan';
import type { Design } from '@/core/design';
import type { Step } from '@/core/making';
import { heightOf, stillScene, widthOf } from '@/core/scene';
import { useMedia } from '../shell/useMedia';
import { Drawn } from '../space/Drawn';
import styles from './Make.module.css';

interface FoldingProps {
  readonly made: Made;
  readonly design: Design;
  readonly step: Step;
}

/** One fold takes so long to be shown, ms; for people who ask for less motion it stands half way. */
const TIME = 1800;
const HALF = 0.45;

/** A fold as a fold: the paper turning about its score, from how it lay to how it lies. */
export function Folding({ made, design, step }: FoldingProps) {
  const calm = useMedia('(prefers-reduced-motion: reduce)');
  const moments = useMemo(() => momentsOf(made, design), [made, design]);
  const { picture } = step;
  const id =
    picture.kind === 'folded'
      ? made.folded.stages[picture.stage]!.step.id
      : picture.kind === 'standing'
        ? made.folded.standing!.stages[picture.stage]!.step.id
        : 'flat';
  const last = moments.findIndex((m) => m.step === (step.action === 'insert' ? 'contents' : id));
  // Several folds of one step are shown one after the other.
  const count = picture.kind === 'folded' && picture.since !== undefined ? picture.stage - picture.since + 1 : 1;
  const first = Math.max(0, last - count + 1);
  const [passed, setPassed] = useState(0);
  const now = Math.min(count - 1, Math.floor(passed));
  const moment = moments[first + now] ?? moments[0]!;
  const [run, setRun] = useState(0);
  useEffect(() => {
    if (calm) return;
    let frame = 0;
    const started = performance.now();
    const draw = (now: number): void => {
      const part = Math.min(count, Math.max(0, (now - started - 300) / TIME));
      setPassed(part);
      if (part < count) frame = requestAnimationFrame(draw);
    };
    frame = requestAnimationFrame(draw);
    return () => cancelAnimationFrame(frame);
  }, [calm, first, count, run]);
  const part = passed - now;
  const shown = calm ? HALF : part * part * (3 - 2 * part);
  const standing = useMemo(() => ({ ...moment.after, leaves: leavesAt(moment, shown) }), [moment, shown]);
  // One scale from the beginning of the fold to its end.
  const extent = useMemo(() => {
    const sizes = [0, HALF, 1].map((part) => stillScene({ ...moment.after, leaves: leavesAt(moment, part) }));
    return {
      width: Math.max(...sizes.map(widthOf)),
      height: Math.max(...sizes.map(heightOf)),
    };
  }, [moment]);
  const given = useMemo(() => basePieces(made.built), [made]);
  const under = step.layer ? panelName(made.built, step.layer) : null;
  return (
    <div className={styles.folding}>
      <Drawn made={made} standing={standing} label={`The fold: ${moment.text}`} given={given} extent={extent} />
      {under && picture.kind === 'folded' && <TuckOrder made={made} stage={picture.stage} />}
      {!calm && (
        <Button className={styles.again} onClick={() => setRun(run + 1)}>
          Show it again
        </Button>
      )}
    </div>
  );
}

/** What is seen at a share of a fold: the paper it is about, and what lies in it. */
function leavesAt(moment: Moment, share: number): readonly Leaf[] {
  const { paper, contents } = seenAt(moment, share);
  const about = concernedIn(moment);
  const inside = moment.floor === null || about.has(moment.floor);
  return [...paper.filter(({ panel }) => about.has(panel.id)), ...(inside ? contents : [])];
}

/** What lies on what once it is tucked, from the table up. */
function TuckOrder({ made, stage }: { readonly made: Made; readonly stage: number }) {
  const layers = made.folded.stages[stage]!.stack.layers;
  const moved = made.folded.stages[stage]!.moving;
  return (
    <p className={styles.tuck}>
      From the table up:{' '}
      {layers.map(({ panel }, i) => (
        <span key={panel}>
          {i > 0 && ', '}
          {[...moved].includes(panel) ? <strong>{panelName(made.built, panel)}</strong> : panelName(made.built, panel)}
        </span>
      ))}
      .
    </p>
  );
}
