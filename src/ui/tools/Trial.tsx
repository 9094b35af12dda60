import { Button } from 'antd';
import { useMemo, useRef, useState } from 'react';
import { leftOf } from '@/core/pattern';
import { moveWords, simulate, type Move } from '@/core/tools';
import { useSize } from '../draw/useSize';
import { OnTable } from '../table/OnTable';
import { useUnits } from '../parts/InUnits';
import { Hands } from './Hands';
import { Outcome, type TrialProps } from './Outcome';
import styles from './Tools.module.css';

/** The board with its sheet, the moves made, and what they come to. */
export function Trial({ blank, tool, plan }: TrialProps) {
  const { say } = useUnits();
  const [moves, setMoves] = useState<readonly Move[]>([]);
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const made = useMemo(() => simulate(blank, tool, moves), [blank, tool, moves]);
  const { near } = made;
  const add = (...more: readonly Move[]): void => setMoves((now) => [...now, ...more]);
  const programme = plan?.part.programme.moves ?? [];
  const along = moves.every((move, i) => sameMove(move, programme[i]));
  const next = along ? programme[moves.length] : undefined;
  return (
    <div className={styles.trial}>
      <div ref={frame} className={styles.stage}>
        {size && (
          <OnTable
            piece={plan?.part.piece.name ?? 'sheet'}
            blank={blank}
            tool={tool}
            moves={moves}
            fresh={Math.min(moves.length, 1)}
            near={near}
            width={size.width}
            height={size.height}
            label={`The sheet, edge ${near} near you, edge ${leftOf(near)} on the left: ${made.notches.length} notches, ${made.scores.length} scores`}
          />
        )}
      </div>
      <section className={styles.hand} aria-label="What to do with it">
        {plan && (
          <div className={styles.follow}>
            {next ? (
              <>
                <p>
                  <strong>Next in the plan:</strong> {moveWords(next, say)}
                </p>
                <Button type="primary" size="large" onClick={() => add(next)}>
                  Do it
                </Button>
                <Button onClick={() => setMoves(programme)}>Do all the rest</Button>
              </>
            ) : along ? (
              <p>
                <strong>All {programme.length} moves of the plan are made.</strong>
              </p>
            ) : (
              <p>
                <strong>This is not what the plan says.</strong> Take the last move back to follow it again.
              </p>
            )}
          </div>
        )}
        <Hands tool={tool} sheet={made} onMove={add} />
        <div className={styles.handButtons}>
          <Button size="large" onClick={() => add({ do: 'turn' })}>
            Turn a quarter clockwise
          </Button>
          <Button disabled={moves.length === 0} onClick={() => setMoves((now) => now.slice(0, -1))}>
            Take the last move back
          </Button>
          <Button disabled={moves.length === 0} onClick={() => setMoves([])}>
            A new sheet
          </Button>
        </div>
        <Outcome blank={blank} tool={tool} moves={moves} made={made} plan={plan} />
      </section>
    </div>
  );
}

const sameMove = (a: Move, b: Move | undefined): boolean => JSON.stringify(a) === JSON.stringify(b);
