import { WarningFilled } from '@ant-design/icons';
import { memo } from 'react';
import { pictureOf } from '@/core/looks';
import type { Level } from '@/core/constructions';
import type { PlannedPart, SetPlan } from '@/core/sets';
import { SmallPicture } from '../draw/SmallPicture';
import { answerOf, checksAcross, type PlannedSet } from '../parts/plans';
import type { ViewName } from '../parts/views';
import { AddPart } from './AddPart';
import type { TogetherProps } from './props';
import styles from './Together.module.css';

interface StripProps extends TogetherProps {
  readonly view: ViewName;
  readonly onView: (view: ViewName) => void;
}

const ROOM = { width: 46, height: 30 };

/** The set in one line, from the innermost outwards, always in sight: tap one and it is the one on the table. */
export const Strip = memo(function Strip({ view, onView, ...props }: StripProps) {
  const { whole, part, onShow } = props;
  if (!('plan' in whole)) return null;
  const { parts } = whole.plan;
  return (
    <nav className={styles.strip} aria-label="What holds what">
      {parts.length > 1 && (
        <ol>
          {parts.map((one) => (
            <li key={one.part.id}>
              <button
                type="button"
                aria-pressed={one.part.id === part}
                data-part={one.part.id}
                // The view stays; what is there already has nothing to be looked at but its place in the set.
                onClick={() => onShow(one.part.id, one.part.given ? 'together' : undefined)}
              >
                <span className={styles.thumb} aria-hidden="true">
                  {one.plan.made && <SmallPicture picture={pictureOf(one.plan.made)} scale={0.22} room={ROOM} />}
                </span>
                <span>
                  {one.part.name}
                  {one.part.quantity > 1 && <small> × {one.part.quantity}</small>}
                </span>
                {worstOf(one, whole) === 'fail' && (
                  <WarningFilled className={styles.flag} aria-label="not ready to cut" />
                )}
              </button>
              <span className={styles.goes} aria-hidden="true">
                {goesHow(one, whole.plan)}
              </span>
            </li>
          ))}
        </ol>
      )}
      <AddPart {...props} view={view} onView={onView} />
    </nav>
  );
});

/** How a part goes with the next in the line. */
function goesHow({ part: { id } }: PlannedPart, { set }: SetPlan): string {
  if (set.parts.some(({ round }) => round?.part === id)) return 'under';
  return set.parts.some(({ holds }) => holds.some((hold) => hold.part === id)) ? 'in' : '·';
}

/** The worst that is found of a part, by itself or with what it holds. */
export function worstOf(one: PlannedPart, whole: PlannedSet): Level {
  const own = answerOf(whole.set, one);
  const levels = [
    ...('checks' in own && !one.part.given ? own.checks.map(({ level }) => level) : []),
    ...checksAcross(whole).flatMap(({ part, level }) => (part === one.part.id ? [level] : [])),
  ];
  return levels.includes('fail') ? 'fail' : levels.includes('warn') ? 'warn' : 'pass';
}
