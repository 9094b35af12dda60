import { max } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { useMoney } from '../parts/useMoney';
import styles from './Cutting.module.css';

interface PieceCostsProps {
  /** What one of each piece costs, by its name. */
  readonly each: ReadonlyMap<string, number>;
}

const [WIDTH, LINE, BAR] = [560, 26, 250];

/** What the paper of one of each piece costs, dearest first. */
export function PieceCosts({ each }: PieceCostsProps) {
  const money = useMoney();
  const rows = [...each].filter(([, cost]) => cost > 0).sort(([, a], [, b]) => b - a);
  const x = scaleLinear([0, max(rows, ([, cost]) => cost) ?? 1], [0, BAR]);
  return (
    <details className={styles.costs}>
      <summary>What each piece costs</summary>
      <svg
        viewBox={`0 0 ${WIDTH} ${rows.length * LINE + 4}`}
        role="img"
        aria-label={`Paper for one: ${rows.map(([piece, cost]) => `${piece} ${money(cost)}`).join(', ')}`}
      >
        {rows.map(([piece, cost], i) => (
          <g key={piece} transform={`translate(0 ${i * LINE})`}>
            <text y={18}>{piece.length > 32 ? `${piece.slice(0, 31)}…` : piece}</text>
            <rect x={240} y={5} width={x(cost)} height={17} />
            <text x={248 + x(cost)} y={18}>
              {money(cost)}
            </text>
          </g>
        ))}
      </svg>
    </details>
  );
}
