import { Alert, Button } from 'antd';
import { useMemo, useState } from 'react';
import { figureText, keyFigures } from '@/core/looks';
import { walkOf, type SetPlan, type Stop } from '@/core/sets';
import type { Toolbox } from '@/core/tools';
import { uncapitalised } from '@/core/text';
import type { MakeRecord, Project } from '@/data/db';
import { keepMake, laidPapers } from '@/data/makes';
import { same } from '@/data/patch';
import { usePlannedSet } from '../parts/plans';
import { useUnits } from '../parts/InUnits';
import { withKit } from '../parts/withKit';
import { Words } from '../parts/Words';
import styles from './Make.module.css';

interface OlderPlanProps {
  readonly make: MakeRecord;
  readonly project: Project;
  readonly toolbox: Toolbox;
  /** The plan the make goes by, and its way through it. */
  readonly plan: SetPlan;
  readonly walk: readonly Stop[];
}

/** Says so when the project was changed since this make began, what is different, and what of the work still counts. */
export function OlderPlan({ make, project, toolbox, plan, walk }: OlderPlanProps) {
  const { say } = useUnits();
  const [left, setLeft] = useState<unknown>(null);
  const newer = useMemo(() => withKit(project.set, toolbox), [project.set, toolbox]);
  const whole = usePlannedSet(newer);
  const older = !same(make.set, project.set);
  const laid = useMemo(() => laidPapers(make), [make]);
  const next = 'plan' in whole ? whole.plan : null;
  const fresh = useMemo(
    () => (older && next ? walkOf(next, say, make.copies, make.way, laid) : []),
    [older, next, say, make.copies, make.way, laid],
  );
  if (!older || left === project.set || !next || next.parts.some((one) => !one.plan.made)) return null;
  const figures = ({ parts }: SetPlan): Map<string, string> =>
    new Map(
      parts.flatMap(({ part, plan: { made, design } }) =>
        made && !part.given
          ? keyFigures(made, design).map((figure): [string, string] => [
              parts.length > 1 ? `${part.name}, ${uncapitalised(figure.label)}` : figure.label,
              figureText(figure, say),
            ])
          : [],
      ),
    );
  const [before, after] = [figures(plan), figures(next)];
  const changed = [...after].filter(([label, text]) => before.get(label) !== text);
  // Work counts as far as both plans tell the same steps for the same copies.
  const alike = walk.findIndex((stop, i) => !sameStop(stop, fresh[i]));
  const counts = Math.min(make.done, alike < 0 ? walk.length : alike);
  return (
    <Alert
      type="info"
      showIcon
      className={styles.older}
      title="The plan on the bench was changed since this make began"
      description={
        <>
          <p>
            <Words>
              {changed.length === 0
                ? 'Its figures are the same.'
                : changed
                    .slice(0, 4)
                    .map(
                      ([label, text]) => `${label}: ${text}${before.has(label) ? `, was ${before.get(label)}` : ''}.`,
                    )
                    .join(' ')}
            </Words>{' '}
            {make.done === 0
              ? 'Nothing is done yet.'
              : counts === make.done
                ? 'All that is done still counts.'
                : counts === 0
                  ? 'Nothing of what is done counts for it.'
                  : `Of the ${make.done} steps done the first ${counts} still count.`}
          </p>
          <div className={styles.beginButtons}>
            <Button onClick={() => keepMake(make, { set: project.set, done: counts, ways: [] })}>
              Take the new plan
            </Button>
            <Button type="text" onClick={() => setLeft(project.set)}>
              Go on with this one
            </Button>
          </div>
        </>
      }
    />
  );
}

const sameStop = (a: Stop, b: Stop | undefined): boolean =>
  b !== undefined && a.part === b.part && a.step.text === b.step.text && same([...a.copies], [...b.copies]);
