import { stepsOf } from '@/core/making';
import type { Plan } from '@/core/plan';
import { listed } from '@/core/text';
import { ACTION_TITLE } from '../parts/titles';
import { useUnits } from '../parts/InUnits';
import { Words } from '../parts/Words';
import { StepPicture } from './StepPicture';
import styles from './Steps.module.css';

/** The whole make in order for the chosen tool, each step with the paper as it lies and the caution it needs. */
export function Steps({ plan }: { plan: Plan }) {
  const { say } = useUnits();
  const { made, design } = plan;
  const steps = stepsOf(plan, say);
  return (
    <ol className={styles.steps} tabIndex={0} aria-label="Steps in order">
      {steps.map((step) => (
        <li key={step.id} className={step.action === 'turn' ? styles.turn : undefined}>
          <span className={styles.number}>{step.id}</span>
          <div>
            <strong>
              {ACTION_TITLE[step.action]}
              {made && made.pieces.length + made.layers.length > 1 && (
                <span className={styles.piece}> {listed([step.piece, ...(step.alike ?? [])])}</span>
              )}
            </strong>
            <p>
              <Words>{step.text}</Words>
            </p>
            {step.how && (
              <p className={styles.how}>
                <Words>{step.how}</Words>
              </p>
            )}
            {step.caution && <p className={styles.caution}>{step.caution}</p>}
          </div>
          {made && <StepPicture picture={step.picture} made={made} design={design} />}
        </li>
      ))}
    </ol>
  );
}
