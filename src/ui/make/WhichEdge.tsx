import { leftOf } from '@/core/pattern';
import { partNamed, type Made } from '@/core/plan';
import { sheetNow } from '@/core/rescue';
import type { Design } from '@/core/design';
import type { Step } from '@/core/making';
import type { Stop } from '@/core/sets';
import { OnTable } from '../table/OnTable';
import { useUnits } from '../parts/InUnits';
import styles from './Make.module.css';

interface WhichEdgeProps {
  readonly made: Made;
  readonly design: Design;
  readonly steps: readonly Step[];
  readonly stop: Stop;
}

/** Where a maker who was called away stands: what is done on the sheet, which edge is near, how to tell. */
export function WhichEdge({ made, design, steps, stop }: WhichEdgeProps) {
  const { say } = useUnits();
  const { step } = stop;
  const now = sheetNow(made, design, steps, step, say);
  const part = partNamed(made, now.piece.name);
  const near = step.picture.kind === 'flat' && step.phase === 'flat' ? step.picture.near : now.near;
  return (
    <div className={styles.which}>
      {step.phase === 'fold' ? (
        <p className={styles.text}>The flat work is done: no edge matters any more. {now.text}</p>
      ) : (
        <>
          <p className={styles.text}>
            <strong>Edge {near}</strong> near you, <strong>edge {leftOf(near)}</strong> on the left.
          </p>
          <OnTable
            piece={now.piece.name}
            blank={now.piece.blank}
            made={made}
            tool={design.tool}
            moves={part.programme.moves.slice(0, now.moves)}
            fresh={0}
            near={near}
            width={560}
            height={330}
            label="The sheet as it should lie"
          />
          <p>{now.text}</p>
          <p>
            Number the edges lightly in pencil before you begin: 1 near you, 2 on the right, 3 far, 4 on the left. The
            notches and scores in the picture tell which is which on a sheet without numbers.
          </p>
        </>
      )}
    </div>
  );
}
