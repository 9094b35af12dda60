import type { Point } from '@/core/geometry';
import type { Blank } from '@/core/pattern';
import { inFrom } from '@/core/scene';
import type { Move, Spot } from '@/core/tools';
import styles from './OnTable.module.css';

interface HandToolsProps {
  readonly blank: Blank;
  /** The moves that are shown. */
  readonly moves: readonly Move[];
  readonly at: (p: Point) => readonly [number, number];
  /** Pixels to a millimetre. */
  readonly scale: number;
  /** How large a tool in the hand is drawn, px. */
  readonly size?: number;
}

/** What is held in the hand: a knife at the end of its cut, the round punch, the corner rounder at its corner. */
export function HandTools({ blank, moves, at, scale, size = 22 }: HandToolsProps) {
  const place = ({ edge, at: along, deep }: Spot) => at(inFrom(blank, edge, along, deep));
  const [mx, my] = at({ x: blank.width / 2, y: blank.height / 2 });
  return moves.map((move, i) => {
    if (move.do === 'hole' || move.do === 'bite') {
      const [x, y] = place(move.at);
      return <circle key={i} cx={x} cy={y} r={(move.diameter / 2) * scale + size / 4} className={styles.held} />;
    }
    if (move.do === 'round' && move.at.on === 'corner') {
      // Its two guides hug the corner from outside.
      const [x, y] = place(move.at);
      const [dx, dy] = [Math.sign(mx - x) || 1, Math.sign(my - y) || 1];
      const [ox, oy] = [x - (dx * size) / 5, y - (dy * size) / 5];
      return (
        <path key={i} d={`M${ox + dx * 1.6 * size} ${oy}H${ox}V${oy + dy * 1.6 * size}`} className={styles.held} />
      );
    }
    const path = move.do === 'cut' ? move.path : move.do === 'slit' ? [move.from, move.to] : [];
    if (path.length < 2) return null;
    const [from, tip] = path.slice(-2).map(place) as [readonly [number, number], readonly [number, number]];
    const turn = (Math.atan2(tip[1] - from[1], tip[0] - from[0]) * 180) / Math.PI;
    return (
      <path
        key={i}
        d={`M0 0L${-0.5 * size} ${-0.25 * size}H${-1.5 * size}V${0.1 * size}H${-0.5 * size}Z`}
        transform={`translate(${tip[0]} ${tip[1]}) rotate(${turn})`}
        className={styles.knife}
      />
    );
  });
}
