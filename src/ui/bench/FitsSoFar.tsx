import { Button } from 'antd';
import { Link } from '../parts/Link';
import { useMemo } from 'react';
import { roomFromFits } from '@/core/fit';
import type { Design, DesignChange } from '@/core/design';
import type { Made } from '@/core/plan';
import type { LogRecord } from '@/data/db';
import { evidenceIn, FIT_MARKS, fitKey, latestFirst, ownMakes } from '@/data/log';
import { USUAL_ROOM } from '@/data/setting-kinds';
import { fitWords } from '../log/fitWords';
import { useAll, useSetting } from '../parts/useKept';
import { Words } from '../parts/Words';
import { useUnits } from '../parts/InUnits';
import styles from './Bench.module.css';

interface FitsSoFarProps {
  readonly design: Design;
  /** Room the plan really leaves; null where nothing goes in. */
  readonly fit: Made['fit'];
  readonly onChange: (change: DesignChange, key: string) => void;
}

/** Room that differs less than this is the same room, mm: half of the finest mark used at a table. */
const SAME = 0.8;

/** What the log knows of such a holder round such contents: how the last one fitted, and the room that would be right. */
export function FitsSoFar({ design, fit, onChange }: FitsSoFarProps) {
  const { units, say } = useUnits();
  const all = useAll<LogRecord>('log');
  const [, setUsual] = useSetting(USUAL_ROOM);
  const log = useMemo(() => all && ownMakes(latestFirst(all.records)), [all]);
  if (!log || !design.contents) return null;
  const key = fitKey(design.construction.name, design.contents);
  const own = log.filter((entry) => fitKey(entry.construction, entry.contents) === key);
  const known = evidenceIn(own);
  const advice = roomFromFits(known, FIT_MARKS[units], design.contents);
  const [last] = own;
  if (!last) return null;
  const { aim } = design;
  const differs =
    advice !== null && (['width', 'height'] as const).some((side) => Math.abs(advice[side].onMark - aim[side]) > SAME);
  const taken = advice !== null && !differs;
  // What was asked for is laid on the marks of the ruler, and may come out as more.
  const more =
    taken && fit !== null && (['width', 'height'] as const).some((side) => fit.ease[side] - aim[side] > SAME);
  const right = last.fit.width.how === 'right' && last.fit.height.how === 'right';
  return (
    <aside className={styles.fits} aria-label="How such holders fitted so far">
      <p>
        Last time (<Link href={`/log?e=${encodeURIComponent(last.id)}`}>{last.name}</Link>) this was{' '}
        <strong>{right ? 'just right' : `too ${fitWords({ fit: last.fit, units })}`}</strong>.
      </p>
      {advice && differs && (
        <p>
          <Words>
            Your {advice.width.makes} {advice.width.makes === 1 ? 'make says' : 'makes say'}: leave{' '}
            {say(advice.width.onMark)} in the width and {say(advice.height.onMark)} in the height.
          </Words>{' '}
          <Button
            size="small"
            onClick={() => {
              const room = { width: advice.width.onMark, height: advice.height.onMark };
              onChange({ ease: room }, 'fits-so-far');
              // As from the log: the next plan of such a holder begins with it.
              setUsual((usual) => ({ ...usual, [key]: room }));
            }}
          >
            Leave that much
          </Button>
        </p>
      )}
      {more && (
        <p>
          <Words>
            You asked for {say(aim.width)} and {say(aim.height)}; your marks make it {say(fit.ease.width)} and{' '}
            {say(fit.ease.height)}.
          </Words>
        </p>
      )}
    </aside>
  );
}
