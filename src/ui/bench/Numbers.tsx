import { roundTo, type Graduation, type Units } from '@/core/length';
import { leastLap, type Design, type Made, type MadePiece } from '@/core/plan';
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
  const { built, finished, fit, largest } = made;
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
  const lap = leastLap(made);
  const notched = first.piece.notches.length > 0;
  const square = Math.abs(first.piece.blank.width - first.piece.blank.height) < 1e-6;
  const several = made.pieces.length > 1;
  const [cavity] = built.cavities;
  // Three figures take a line of their own.
  const deep = built.room ? styles.wide : undefined;
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
      {made.pieces.map(
        (part) =>
          part.piece.notches.length > 0 && (
            <Setting key={part.piece.name} made={made} part={part} design={design} figure={figure} />
          ),
      )}
      {made.pieces.slice(1).map(({ piece }) => (
        <div key={piece.name} className={styles.piece}>
          <dt>Cut the {piece.name}</dt>
          <dd className={styles.two}>{pair(piece.blank.width, piece.blank.height)}</dd>
        </div>
      ))}
      {!notched &&
        made.pieces.map((part) => (
          <Scores key={part.piece.name} part={part} several={several} units={units} graduation={graduation} />
        ))}
      {(cavity || built.room) && (
        <div className={deep}>
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
      <div className={deep}>
        <dt>Finished</dt>
        <dd className={styles.two}>{size(finished.width, finished.height, finished.depth)}</dd>
      </div>
      {made.pen !== null && (
        <div>
          <dt>Pen it takes, across</dt>
          <dd>{figure(roundTo(made.pen, graduation, 'down'))}</dd>
        </div>
      )}
      {lap !== null && (
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

/** Where the board is set for a piece, or the marks on a square's four edges. */
function Setting({
  made,
  part: { piece, programme },
  design,
  figure,
}: Pick<NumbersProps, 'made' | 'design'> & {
  readonly part: MadePiece;
  readonly figure: (value: number, size?: 'large' | 'hero') => React.ReactNode;
}) {
  const of = piece === made.pieces[0].piece ? '' : ` for the ${piece.name}`;
  const each = piece.notches.filter(({ edge }) => edge === made.built.start.edge).length;
  const joined = (marks: readonly { readonly at: number }[], size: 'large' | 'hero') =>
    marks.map((mark, i) => (
      <span key={i}>
        {i > 0 && ' and '}
        {figure(mark.at, size)}
      </span>
    ));
  if (design.tool.kind === 'envelope-board') {
    const marks = programme.marks.filter((mark) => mark.edge === made.built.start.edge).slice(0, each);
    return (
      marks.length > 0 && (
        <div className={`${styles.hero} ${marks.length > 1 || of ? styles.wide : ''}`}>
          <dt>{marks[0]!.reference === 'board' ? `Set the board${of} at` : `Mark${of}, and centre on the notch`}</dt>
          <dd>{joined(marks, of ? 'large' : 'hero')}</dd>
        </div>
      )
    );
  }
  return (
    <div className={styles.wide}>
      <dt>Mark each edge{of} from its left end</dt>
      <dd className={styles.marks}>
        {[1, 2].map((edge) => (
          <span key={edge}>
            <small>{edge === 1 ? 'first and third' : 'second and fourth'}</small>
            {joined(
              programme.marks.filter((mark) => mark.edge === edge && mark.for === 'score').slice(0, 2 * each),
              'large',
            )}
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
