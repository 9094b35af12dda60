import { Alert, Button } from 'antd';
import { useMemo, useState } from 'react';
import { figureText, keyFigures, stepsOf, walkOf, type Design, type Made, type Step } from '@/core/plan';
import type { Toolbox } from '@/core/tools';
import type { MakeRecord, Project } from '@/data/db';
import { keepMake } from '@/data/makes';
import { same } from '@/data/patch';
import { usePlan } from '../parts/plans';
import { useReading } from '../parts/Reading';
import { withKit } from '../parts/withKit';
import { Words } from '../parts/Words';
import styles from './Make.module.css';

interface OlderPlanProps {
  readonly make: MakeRecord;
  readonly project: Project;
  readonly toolbox: Toolbox;
  readonly made: Made;
  readonly design: Design;
  readonly steps: readonly Step[];
}

/** Says so when the project was changed since this make began, what is different, and what of the work still counts. */
export function OlderPlan({ make, project, toolbox, made, design, steps }: OlderPlanProps) {
  const { say } = useReading();
  const [left, setLeft] = useState<unknown>(null);
  const newer = useMemo(() => withKit(project.design, toolbox), [project.design, toolbox]);
  const planned = usePlan(newer);
  const older = !same(make.design, project.design);
  const plan = 'plan' in planned ? planned.plan : null;
  const fresh = useMemo(() => (older && plan ? stepsOf(plan, say) : []), [older, plan, say]);
  if (!older || left === project.design || !plan?.made) return null;
  const figures = (of: Made, by: Design): Map<string, string> =>
    new Map(keyFigures(of, by).map((figure) => [figure.label, figureText(figure, say)]));
  const [before, after] = [figures(made, design), figures(plan.made, plan.design)];
  const changed = [...after].filter(([label, text]) => before.get(label) !== text);
  // Work counts as far as both plans tell the same steps.
  const alike = steps.findIndex((step, i) => step.text !== fresh[i]?.text);
  const kept = walkOf(steps.slice(0, alike < 0 ? steps.length : alike), make.copies, make.way).length;
  const counts = Math.min(make.done, make.way === 'together' && make.copies > 1 ? Math.min(kept, 1) : kept);
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
            <Button onClick={() => keepMake(make, { design: project.design, done: counts })}>Take the new plan</Button>
            <Button type="text" onClick={() => setLeft(project.design)}>
              Go on with this one
            </Button>
          </div>
        </>
      }
    />
  );
}
