import type { Envelopes } from '@/core/sets';
import styles from './Choose.module.css';

/** Room for the drawing, px. */
const WIDE = 300;
const HIGH = 300;
/** Room for the letters beside it, px. */
const EDGE = 34;

/** An envelope with its flap open, to its own proportions, and where each length is measured. */
export function WhereToMeasure({ have: { across, deep, flap, shape } }: { readonly have: Envelopes }) {
  const scale = Math.min((WIDE - 2 * EDGE) / across, (HIGH - 2 * EDGE) / (deep + flap));
  const [w, h, f] = [across * scale, deep * scale, flap * scale];
  const [x, y] = [(WIDE - w) / 2, (HIGH - h - f) / 2 + f];
  const open =
    shape === 'pointed' ? `M${x} ${y}L${x + w / 2} ${y - f}L${x + w} ${y}` : `M${x} ${y}V${y - f}H${x + w}V${y}`;
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      width={WIDE}
      height={HIGH}
      className={styles.measure}
      role="img"
      aria-label="An envelope with its flap open: A along the mouth, B from the mouth to the far end, C from the mouth to the flap’s tip"
    >
      <path d={open} className={styles.flap} />
      <rect x={x} y={y} width={w} height={h} className={styles.body} />
      <path d={`M${x} ${y + h}L${x + w / 2} ${y + h * 0.45}L${x + w} ${y + h}`} className={styles.seam} />
      <path d={`M${x} ${y}H${x + w}`} className={styles.crease} />
      <Measure from={[x, y + h + 16]} to={[x + w, y + h + 16]} letter="A" />
      <Measure from={[x - 16, y]} to={[x - 16, y + h]} letter="B" />
      <Measure from={[x + w + 16, y - f]} to={[x + w + 16, y]} letter="C" />
    </svg>
  );
}

type At = readonly [x: number, y: number];

function Measure({
  from: [x0, y0],
  to: [x1, y1],
  letter,
}: {
  readonly from: At;
  readonly to: At;
  readonly letter: string;
}) {
  const [dx, dy] = x0 === x1 ? [5, 0] : [0, 5];
  return (
    <g className={styles.length}>
      <path
        d={`M${x0} ${y0}L${x1} ${y1}M${x0 - dx} ${y0 - dy}L${x0 + dx} ${y0 + dy}M${x1 - dx} ${y1 - dy}L${x1 + dx} ${y1 + dy}`}
      />
      <text x={(x0 + x1) / 2} y={(y0 + y1) / 2}>
        {letter}
      </text>
    </g>
  );
}
