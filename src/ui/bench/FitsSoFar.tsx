import { Button } from 'antd';
import Link from 'next/link';
import { useMemo } from 'react';
import { roomFromFits } from '@/core/fit';
import { stepOf } from '@/core/length';
import type { Design, DesignChange } from '@/core/plan';
import type { LogRecord } from '@/data/db';
import { evidenceIn, fitKey, latestFirst } from '@/data/log';
import { fitWords } from '../log/fitWords';
import { useAll } from '../parts/useKept';
import { useReading } from '../parts/Reading';
import styles from './Bench.module.css';

interface FitsSoFarProps {
  readonly design: Design;
  readonly onChange: (change: DesignChange, key: string) => void;
}

/** What the log knows of such a holder round such contents: how the last one fitted, and the room that would be right. */
export function FitsSoFar({ design, onChange }: FitsSoFarProps) {
  const { units, graduation, say } = useReading();
  const all = useAll<LogRecord>('log');
  const log = useMemo(() => all && latestFirst(all.records), [all]);
  if (!log || !design.contents) return null;
  const key = fitKey(design.construction.name, design.contents);
  const own = log.filter((entry) => fitKey(entry.construction, entry.contents) === key);
  const known = evidenceIn(own);
  const advice = roomFromFits(known, graduation);
  const [last] = own;
  if (!last) return null;
  const { aim } = design;
  const least = Math.max(0.4, stepOf(graduation) / 2);
  const differs =
    advice !== null && (['width', 'height'] as const).some((side) => Math.abs(advice[side].onMark - aim[side]) > least);
  const right = last.fit.width.how === 'right' && last.fit.height.how === 'right';
  return (
    <aside className={styles.fits} aria-label="How such holders fitted so far">
      <p>
        Last time (<Link href={`/log?e=${encodeURIComponent(last.id)}`}>{last.name}</Link>) this was{' '}
        <strong>{right ? 'just right' : `too ${fitWords({ fit: last.fit, units })}`}</strong>.
      </p>
      {advice && differs && (
        <p>
          Your {known.length} {known.length === 1 ? 'make says' : 'makes say'}: leave {say(advice.width.onMark)} in the
          width and {say(advice.height.onMark)} in the height.{' '}
          <Button
            size="small"
            onClick={() =>
              onChange({ ease: { width: advice.width.onMark, height: advice.height.onMark } }, 'fits-so-far')
            }
          >
            Leave that much
          </Button>
        </p>
      )}
    </aside>
  );
}
