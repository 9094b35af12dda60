import { contains, distance, type Point, type Polygon } from '@/core/geometry';
import { edgeLength, onEdge, type Blank, type Edge } from '@/core/pattern';
import { simulate, type Move, type Tool } from '@/core/tools';
import { ringsPath } from './path';
import styles from './MadeSheet.module.css';

interface MadeSheetProps {
  readonly blank: Blank;
  readonly tool: Tool;
  /** Moves done; the last `fresh` of them stand out. */
  readonly moves: readonly Move[];
  readonly fresh: number;
  /** The sheet's millimetres on the drawing, and how many pixels one takes. */
  readonly at: (p: Point) => readonly [number, number];
  readonly scale: number;
  /** New scores are drawn as they are run. */
  readonly running?: boolean;
}

/** A sheet with what a simulated tool has made of it, seen from above: notches, scores, cuts, round corners, marks. */
export function MadeSheet({ blank, tool, moves, fresh, at, scale, running = false }: MadeSheetProps) {
  const before = simulate(blank, tool, moves.slice(0, moves.length - fresh));
  const now = simulate(before, tool, moves.slice(moves.length - fresh));
  const line = ({ from, to }: { from: Point; to: Point }): string => `M${at(from).join(' ')}L${at(to).join(' ')}`;
  const isNew = (i: number, count: number): string => (i >= count ? styles.fresh! : '');
  return (
    <g>
      {/* What falls away in these moves still lies there; what fell before does not. */}
      <path d={ringsPath(before.paper, at)} className={styles.sheet} />
      {now.scores.map((score, i) => (
        <g key={i}>
          <path d={line(score)} className={`${styles.score} ${isNew(i, before.scores.length)}`} />
          {running && i >= before.scores.length && <path d={line(score)} pathLength={1} className={styles.running} />}
        </g>
      ))}
      {now.slits.map((slit, i) => (
        <path key={i} d={line(slit)} className={`${styles.cut} ${isNew(i, before.slits.length)}`} />
      ))}
      {now.cuts.slice(before.cuts.length).map((path, i) => (
        <path
          key={i}
          d={`M${path.map((p) => at(p).join(' ')).join('L')}`}
          className={`${styles.cut} ${styles.fresh}`}
        />
      ))}
      {now.holes.map((hole, i) => {
        const [x, y] = at(hole.centre);
        return (
          <circle
            key={i}
            cx={x}
            cy={y}
            r={Math.max(1.6, (hole.diameter / 2) * scale)}
            className={`${styles.notch} ${isNew(i, before.holes.length)}`}
          />
        );
      })}
      {[
        ...now.notches.slice(before.notches.length),
        ...now.off.slice(before.off.length).flatMap(({ by, rings }) => (by === 'cut' ? [] : rings)),
      ].map((ring, i) => (
        <path key={i} d={ringsPath([ring], at)} className={`${styles.notch} ${styles.fresh}`} />
      ))}
      {moves.map((move, i) => {
        if (move.do !== 'mark') return null;
        const place = inFrom(blank, move.edge, move.at, move.deep ?? 0);
        const isFresh = i >= moves.length - fresh;
        if (!isFresh && !liesOn(before.paper, place)) return null;
        const [x, y] = at(place);
        return (
          <circle key={i} cx={x} cy={y} r={isFresh ? 4 : 2.6} className={isFresh ? styles.markFresh : styles.mark} />
        );
      })}
    </g>
  );
}

/** How near a rim a mark still lies on the paper, mm. */
const RIM = 0.05;
/** True where paper is left, its rim counted in. */
const liesOn = (paper: readonly Polygon<'sheet'>[], p: Point<'sheet'>): boolean =>
  paper.some(
    (ring) =>
      contains(ring, p) ||
      ring.some((a, i) => {
        const b = ring[(i + 1) % ring.length]!;
        return distance(a, p) + distance(p, b) < distance(a, b) + RIM;
      }),
  );

/** The place so far along an edge and so deep in from it. */
export function inFrom(blank: Blank, edge: Edge, along: number, deep: number): Point<'sheet'> {
  const length = edgeLength(blank, edge);
  const [from, to, rim] = [onEdge(blank, edge, 0), onEdge(blank, edge, length), onEdge(blank, edge, along)];
  return { x: rim.x - ((to.y - from.y) / length) * deep, y: rim.y + ((to.x - from.x) / length) * deep };
}
