import { range } from 'd3-array';
import { scaleLinear } from 'd3-scale';
import { INCH, countedLength, lengthParts, mm, tickOf } from '@/core/length';
import { useUnits } from '../parts/InUnits';
import styles from './RulerCloseUp.module.css';

interface RulerCloseUpProps {
  readonly at: number;
  /** Which way the tool's own ruler counts; from left to right unless told. */
  readonly runs?: 'left' | 'right' | undefined;
}

/** Size of the drawing, px. */
const [WIDTH, HEIGHT] = [520, 132];

/** A stretch of the person's ruler round one length: the long mark before it, the small ones counted, the right one lit. */
export function RulerCloseUp({ at, runs = 'right' }: RulerCloseUpProps) {
  const { units, graduation } = useUnits();
  const { whole, marks, per, at: mark } = tickOf(mm(at), units, graduation);
  const unit = units === 'in' ? INCH : 10;
  const start = units === 'in' ? whole * INCH : whole;
  const small = unit / per;
  // From a little before the long mark to a little past the next.
  const from = start === 0 ? -0.1 * unit : start - 0.35 * unit;
  const x = scaleLinear()
    .domain([from, start + 1.45 * unit])
    .range(runs === 'right' ? [0, WIDTH] : [WIDTH, 0]);
  const ticks = range(Math.ceil(Math.max(0, from) / small - 1e-6), Math.floor((start + 1.45 * unit) / small) + 1);
  const rank = (i: number): number => {
    const share = (((i % per) + per) % per) / per;
    if (share === 0) return 56;
    if (share === 0.5) return 42;
    if (units === 'in' && (share === 0.25 || share === 0.75)) return 32;
    if (units === 'in' && (share * 8) % 1 === 0) return 24;
    return units === 'mm' && per === 20 && i % 2 === 1 ? 12 : 18;
  };
  const first = Math.round(start / small);
  const parts = lengthParts(mm(at), units, graduation);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className={styles.ruler}
      role="img"
      aria-label={countedLength(mm(at), units, graduation)}
    >
      <rect x={0} y={44} width={WIDTH} height={HEIGHT - 44} className={styles.body} />
      {marks > 0 && (
        <rect
          x={Math.min(x(start), x(mark))}
          y={44}
          width={Math.abs(x(mark) - x(start))}
          height={HEIGHT - 44}
          className={styles.counted}
        />
      )}
      {ticks.map((i) => {
        const here = x(i * small);
        const lit = Math.abs(i * small - mark) < 1e-6;
        const counted = i > first && i <= first + marks;
        return (
          <g key={i}>
            <line
              x1={here}
              x2={here}
              y1={44}
              y2={44 + rank(i)}
              className={lit ? styles.lit : counted ? styles.countedTick : styles.tick}
            />
            {i % per === 0 && (
              <text x={here} y={124} textAnchor="middle" className={styles.number}>
                {Math.round((i / per) * (units === 'in' ? 1 : 10))}
              </text>
            )}
            {counted && per <= 16 && (
              <text x={here} y={44 + rank(i) + 14} textAnchor="middle" className={styles.count}>
                {units === 'mm' && per === 20 ? '' : i - first}
              </text>
            )}
          </g>
        );
      })}
      <path d={`M${x(mark)} 42l-8 -13h16z`} className={styles.flag} />
      <text x={Math.min(Math.max(x(mark), 60), WIDTH - 60)} y={23} textAnchor="middle" className={styles.said}>
        {parts.about && '≈ '}
        {parts.negative && '−'}
        {parts.whole}
        {parts.fraction && (
          <tspan className={styles.fraction} dx={parts.whole ? 3 : 0}>
            {parts.fraction.join('/')}
          </tspan>
        )}
        <tspan className={styles.unit} dx="4">
          {parts.unit}
        </tspan>
      </text>
    </svg>
  );
}
