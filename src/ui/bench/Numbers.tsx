import { mm, roundTo, type Graduation, type Units } from '@/core/length';
import { lapBetween } from '@/core/fold';
import type { Design, Made, MadePiece } from '@/core/plan';
import { Figure } from '../parts/Figure';
import styles from './Numbers.module.css';

interface NumbersProps {
  readonly made: Made;
  readonly design: Design;
  readonly units: Units;
  readonly graduation: Graduation;
}

/** The figures a maker reads from an arm's length: cut, set or score, then lap, finished size and room left. */
export function Numbers({ made, design, units, graduation }: NumbersProps) {
  const { built, finished, fit, largest, folded } = made;
  const [first] = made.pieces;
  const figure = (value: number, size: 'large' | 'hero' = 'large') => (
    <Figure value={value} units={units} graduation={graduation} size={size} />
  );
  const pair = (width: number, height: number) => (
    <>
      <Figure value={width} units={units} graduation={graduation} size="large" unit={false} /> × {figure(height)}
    </>
  );
  /** Of what stands, the depth as well. */
  const size = (width: number, height: number, depth: number) => (
    <>
      <Figure value={width} units={units} graduation={graduation} size="large" unit={false} /> ×{' '}
      {built.room ? pair(height, depth) : figure(height)}
    </>
  );
  const lap = Math.min(...built.holds.map(([a, b]) => lapBetween(folded.finished, a, b).breadth));
  const notched = first.piece.notches.length > 0;
  const square = Math.abs(first.piece.blank.width - first.piece.blank.height) < 1e-6;
  const several = made.pieces.length > 1;
  const [cavity] = built.cavities;
  return (
    <dl className={styles.numbers}>
      <div className={`${styles.hero} ${square ? '' : styles.wide}`}>
        <dt>{several ? `Cut the ${first.piece.name}` : square ? 'Cut a square' : 'Cut'}</dt>
        <dd>
          {square ? (
            figure(first.piece.blank.width, 'hero')
          ) : (
            <>
              <Figure value={first.piece.blank.width} units={units} graduation={graduation} size="hero" unit={false} />
              {' × '}
              {figure(first.piece.blank.height, 'hero')}
            </>
          )}
        </dd>
      </div>
      {notched && <Setting made={made} design={design} figure={figure} />}
      {made.pieces.slice(1).map(({ piece }) => (
        <div key={piece.name} className={styles.piece}>
          <dt>{piece.name}</dt>
          <dd className={styles.two}>{pair(piece.blank.width, piece.blank.height)}</dd>
        </div>
      ))}
      {!notched &&
        made.pieces.map((part) => (
          <Scores key={part.piece.name} part={part} several={several} units={units} graduation={graduation} />
        ))}
      {(cavity || built.room) && (
        <div>
          <dt>{design.contents ? 'Room left' : 'Holds up to'}</dt>
          <dd className={styles.two}>
            {design.contents && fit
              ? !built.room && cavity?.through
                ? figure(fit.ease[built.acrossMouth])
                : size(fit.ease.width, fit.ease.height, fit.depth)
              : size(
                  roundTo(largest.width, graduation, 'down'),
                  roundTo(largest.height, graduation, 'down'),
                  roundTo(made.inside.depth, graduation, 'down'),
                )}
          </dd>
        </div>
      )}
      <div>
        <dt>Finished</dt>
        <dd className={styles.two}>{size(finished.width, finished.height, finished.depth)}</dd>
      </div>
      {built.penLoop && (
        <div>
          <dt>Pen it takes, across</dt>
          <dd>{figure(roundTo(mm((2 * built.penLoop.wall) / Math.PI), graduation, 'down'))}</dd>
        </div>
      )}
      {Number.isFinite(lap) && (
        <div>
          <dt>{notched ? 'Flaps lap' : 'Least lap'}</dt>
          <dd>{figure(lap)}</dd>
        </div>
      )}
      {(cavity || built.room) && design.contents && (
        <div>
          <dt>Thickest it takes</dt>
          <dd>{figure(made.thickest)}</dd>
        </div>
      )}
      {made.others.map((other) => (
        <div key={other.id}>
          <dt>Inside the {other.id}</dt>
          <dd className={styles.two}>{pair(other.width, other.height)}</dd>
        </div>
      ))}
    </dl>
  );
}

/** Where the board is set, or the marks on a square's four edges. */
function Setting({
  made,
  design,
  figure,
}: Pick<NumbersProps, 'made' | 'design'> & {
  readonly figure: (value: number, size?: 'large' | 'hero') => React.ReactNode;
}) {
  const [{ programme }] = made.pieces;
  const first = programme.marks.find((mark) => mark.edge === made.built.start.edge);
  if (design.tool.kind === 'envelope-board')
    return (
      first && (
        <div className={styles.hero}>
          <dt>{first.reference === 'board' ? 'Set the board at' : 'Mark, and centre on the notch'}</dt>
          <dd>{figure(first.at, 'hero')}</dd>
        </div>
      )
    );
  const marks = [1, 2].map((edge) =>
    programme.marks.filter((mark) => mark.edge === edge && mark.for === 'score').slice(0, 2),
  );
  return (
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
  );
}

/** Where a piece is scored: across its width, and turned, along its height. */
function Scores({
  part,
  several,
  units,
  graduation,
}: {
  readonly part: MadePiece;
  readonly several: boolean;
  readonly units: Units;
  readonly graduation: Graduation;
}) {
  const { piece } = part;
  const at = (upright: boolean): number[] =>
    [
      ...new Set(
        piece.hinges
          .filter(({ line }) => Math.abs(upright ? line.from.x - line.to.x : line.from.y - line.to.y) < 1e-3)
          .map(({ line }) => Math.round((upright ? line.from.x : line.from.y) * 1e4) / 1e4),
      ),
    ].sort((a, b) => a - b);
  const [across, along] = [at(true), at(false)];
  if (across.length + along.length === 0) return null;
  const list = (values: readonly number[]) =>
    values.map((value, i) => (
      <span key={value}>
        {i > 0 && (i === values.length - 1 ? ' and ' : ', ')}
        <Figure value={value} units={units} graduation={graduation} size="large" unit={i === values.length - 1} />
      </span>
    ));
  return (
    <div className={styles.wide}>
      <dt>{several ? `Score the ${piece.name}` : 'Score'}</dt>
      <dd className={styles.marks}>
        {across.length > 0 && (
          <span>
            <small>across, from the left edge</small>
            {list(across)}
          </span>
        )}
        {along.length > 0 && (
          <span>
            <small>{across.length > 0 ? 'turned, from the near edge' : 'up, from the near edge'}</small>
            {list(along)}
          </span>
        )}
      </dd>
    </div>
  );
}
