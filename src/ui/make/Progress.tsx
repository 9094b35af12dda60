import dayjs from 'dayjs';
import { copiesSaid, type Stop } from '@/core/sets';
import { uncapitalised } from '@/core/text';
import styles from './Make.module.css';

interface ProgressProps {
  readonly done: number;
  readonly all: number;
  /** Copies there are of the part at hand, and sets of all of it. */
  readonly of: number;
  readonly sets: number;
  readonly finished: number;
  readonly stop: Stop | undefined;
  /** The part at hand, where there are several. */
  readonly part: string | null;
  /** Minutes that are left. */
  readonly left: number;
}

/** What the clock says in so many minutes, to the five minutes: nobody folds to the minute. */
const clockAt = (minutes: number): string =>
  dayjs()
    .add(Math.ceil(minutes / 5) * 5, 'minute')
    .format('H:mm');

/** How far a make has come: the track, the step, the copy, and when it will be done. */
export function Progress({ done, all, of, sets, finished, stop, part, left }: ProgressProps) {
  return (
    <div className={styles.progress}>
      <div
        className={styles.track}
        role="progressbar"
        aria-label="How far the make has come"
        aria-valuemin={0}
        aria-valuemax={all}
        aria-valuenow={done}
      >
        <div style={{ width: `${(done / all) * 100}%` }} />
      </div>
      <span>
        {stop ? (
          <>
            Step <strong>{done + 1}</strong> of {all}
          </>
        ) : (
          <>All {all} steps done</>
        )}
        {stop && part && ` · ${part}`}
        {(of > 1 || sets > 1) && (
          <>
            {stop?.sheets && ' · whole sheets'}
            {stop && !stop.sheets && of > 1 && (
              <>
                {' · '}
                <strong>{uncapitalised(copiesSaid(stop.copies, of))}</strong>
                {stop.copies.length === 1 && ` of ${of}`}
              </>
            )}
            {sets > 1 && ` · ${finished} finished`}
          </>
        )}
        {stop && ` · done about ${clockAt(left)}`}
      </span>
    </div>
  );
}
