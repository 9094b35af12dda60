import { roundTo, type Graduation, type Units } from '@/core/length';
import { lapBetween } from '@/core/fold';
import type { Design, Made } from '@/core/plan';
import { Figure } from '../parts/Figure';
import styles from './Numbers.module.css';

interface NumbersProps {
  readonly made: Made;
  readonly design: Design;
  readonly units: Units;
  readonly graduation: Graduation;
}

/** The figures a maker reads from an arm's length: cut, set or mark, then lap, finished size and room left. */
export function Numbers({ made, design, units, graduation }: NumbersProps) {
  const { built, programme, finished, fit, largest, folded } = made;
  const { blank } = built.piece;
  const first = programme.marks.find((mark) => mark.edge === built.start.edge);
  const byBoard = design.tool.kind === 'envelope-board';
  const marks = [1, 2].map((edge) =>
    programme.marks.filter((mark) => mark.edge === edge && mark.for === 'score').slice(0, 2),
  );
  const lap = Math.min(...built.holds.map(([a, b]) => lapBetween(folded.finished, a, b).breadth));
  const figure = (value: number, size: 'large' | 'hero' = 'large') => (
    <Figure value={value} units={units} graduation={graduation} size={size} />
  );
  const pair = (width: number, height: number) => (
    <>
      <Figure value={width} units={units} graduation={graduation} size="large" unit={false} /> × {figure(height)}
    </>
  );
  const square = Math.abs(blank.width - blank.height) < 1e-6;
  return (
    <dl className={styles.numbers}>
      <div className={styles.hero}>
        <dt>{square ? 'Cut a square' : 'Cut'}</dt>
        <dd>
          {figure(blank.width, 'hero')}
          {!square && <> × {figure(blank.height, 'hero')}</>}
        </dd>
      </div>
      {byBoard && first && (
        <div className={styles.hero}>
          <dt>{first.reference === 'board' ? 'Set the board at' : 'Mark, and centre on the notch'}</dt>
          <dd>{figure(first.at, 'hero')}</dd>
        </div>
      )}
      {!byBoard && (
        <div className={styles.wide}>
          <dt>Mark each edge from its left end</dt>
          <dd className={styles.marks}>
            {marks.map((pair, i) => (
              <span key={i}>
                <small>{i === 0 ? 'first and third' : 'second and fourth'}</small>
                {pair.map((mark, j) => (
                  <span key={j}>
                    {j > 0 && ' and '}
                    {figure(mark.at)}
                  </span>
                ))}
              </span>
            ))}
          </dd>
        </div>
      )}
      <div>
        <dt>{design.contents ? 'Room left' : 'Holds up to'}</dt>
        <dd className={styles.two}>
          {design.contents && fit
            ? pair(fit.ease.width, fit.ease.height)
            : pair(roundTo(largest.width, graduation, 'down'), roundTo(largest.height, graduation, 'down'))}
        </dd>
      </div>
      <div>
        <dt>Finished</dt>
        <dd className={styles.two}>{pair(finished.width, finished.height)}</dd>
      </div>
      <div>
        <dt>Flaps lap</dt>
        <dd>{figure(lap)}</dd>
      </div>
      {design.contents && (
        <div>
          <dt>Thickest it takes</dt>
          <dd>{figure(made.thickest)}</dd>
        </div>
      )}
    </dl>
  );
}
