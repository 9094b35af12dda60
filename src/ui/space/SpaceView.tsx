'use client';

import { Spin } from 'antd';
import dynamic from 'next/dynamic';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { basePieces, type Made } from '@/core/plan';
import { asMade, momentsOf, seenAt } from '@/core/looks';
import type { Design } from '@/core/design';
import { spaceScene } from '@/core/scene';
import { StepSlider } from '../parts/StepSlider';
import { useMedia } from '../shell/useMedia';
import { Drawn } from './Drawn';
import styles from './SpaceView.module.css';

interface SpaceViewProps {
  readonly made: Made;
  readonly design: Design;
}

/** three.js comes only when this is opened. */
const Paper = dynamic(() => import('./Paper'), {
  ssr: false,
  loading: () => <Spin aria-label="Unpacking the paper" />,
});

/** One step of the making takes so long to be shown, ms. */
const STEP_TIME = 900;

/** The thing in space at any moment of its making: a slider through all of it, step by step, and turned about. */
export function SpaceView({ made, design }: SpaceViewProps) {
  const moments = useMemo(() => momentsOf(made, design), [made, design]);
  const last = moments.length - 1;
  // How many moments are done: 2.5 is half way through the third. Null stands for all of them, however many there are.
  const [done, setDone] = useState<number | null>(null);
  const at = Math.min(done ?? last, last);
  const index = Math.min(last, Math.ceil(at - 1e-9));
  const moment = moments[index]!;
  const given = useMemo(() => basePieces(made.built), [made]);
  const standing = useMemo(() => {
    const { paper, contents } = seenAt(moment, index === 0 ? 1 : at - index + 1);
    return { ...moment.after, leaves: [...paper, ...contents] };
  }, [moment, index, at]);
  const seen = useMemo(
    () =>
      asMade(
        made,
        spaceScene(
          standing,
          given,
          made.built.pieces.flatMap(({ holes }) => holes),
        ),
      ),
    [made, standing, given],
  );
  const [missing, setMissing] = useState(false);
  const lack = useCallback(() => setMissing(true), []);
  const calm = useMedia('(prefers-reduced-motion: reduce)');
  // The frame asked for, and where the paper is on its way to: a key pressed meanwhile goes on from there.
  const running = useRef<{ frame: number; to: number } | null>(null);
  const stop = (): void => {
    if (running.current) cancelAnimationFrame(running.current.frame);
    running.current = null;
  };
  useEffect(() => stop, []);
  /** Goes to a moment's end: seen happening, or at once for people who ask for less motion. */
  const goTo = (to: number): void => {
    stop();
    if (calm) return setDone(to);
    const [from, started] = [at, performance.now()];
    const time = Math.max(1, Math.abs(to - from)) * STEP_TIME;
    const draw = (now: number): void => {
      const share = Math.min(1, Math.max(0, (now - started) / time));
      setDone(from + (to - from) * (share * share * (3 - 2 * share)));
      running.current = share < 1 ? { frame: requestAnimationFrame(draw), to } : null;
    };
    running.current = { frame: requestAnimationFrame(draw), to };
  };
  const step = (by: 1 | -1): void => {
    const from = running.current?.to ?? at;
    goTo(Math.max(0, Math.min(last, by > 0 ? Math.floor(from + 1e-9) + 1 : Math.ceil(from - 1e-9) - 1)));
  };
  const label = `The paper in space: ${moment.text}`;
  return (
    <div className={styles.frame}>
      <div className={styles.stage}>
        {missing ? (
          <Drawn made={made} standing={standing} label={label} given={given} />
        ) : (
          <Paper seen={seen} label={label} onMissing={lack} />
        )}
      </div>
      <StepSlider
        label="How far it is folded"
        at={at}
        words={moments.map((m) => m.text)}
        parts={0.05}
        note={{
          id: 'space-keys',
          text: missing
            ? 'This device draws nothing in space, so it is shown as a drawing.'
            : 'Drag it, or use the arrow keys, to turn it; + and − come nearer and go back; Home stands where you began.',
        }}
        onPull={(to) => {
          stop();
          setDone(to);
        }}
        onStep={step}
      />
    </div>
  );
}
