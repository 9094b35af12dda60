import { axisBottom, axisLeft } from 'd3-axis';
import { scaleBand, scaleLinear } from 'd3-scale';
import { select } from 'd3-selection';
import { stack } from 'd3-shape';
import { useEffect, useRef } from 'react';
import { INCH } from '@/core/length';
import type { CutRecord } from '@/data/db';
import { useUnits } from '../parts/InUnits';
import styles from './Stash.module.css';

interface SavedChartProps {
  readonly cuts: readonly CutRecord[];
}

const [WIDTH, HEIGHT] = [520, 210];
const PARTS = ['fresh', 'saved', 'kept', 'lost'] as const;
type ChartPart = (typeof PARTS)[number];
const WORD: Record<ChartPart, string> = {
  fresh: 'pieces from new sheets',
  saved: 'pieces from offcuts',
  kept: 'kept as offcuts',
  lost: 'waste',
};

/** Where the paper of each cutting went; the paper saved is what was cut from offcuts. */
export function SavedChart({ cuts }: SavedChartProps) {
  const { units } = useUnits();
  const axes = useRef<SVGGElement>(null);
  // Square feet or square decimetres: both are a few to a cutting.
  const unit = units === 'in' ? (12 * INCH) ** 2 : 10_000;
  const rows = cuts.slice(-12).map(({ id, name, at, paper, pieces, kept, saved }) => ({
    id,
    name,
    at,
    fresh: (pieces - saved) / unit,
    saved: saved / unit,
    kept: kept / unit,
    lost: Math.max(0, paper - pieces - kept) / unit,
  }));
  const x = scaleBand(
    rows.map(({ id }) => id),
    [44, WIDTH - 8],
  ).padding(0.28);
  const y = scaleLinear(
    [0, Math.max(1e-6, ...rows.map((r) => r.fresh + r.saved + r.kept + r.lost))],
    [HEIGHT - 34, 10],
  ).nice();
  const layers = stack<(typeof rows)[number], ChartPart>().keys(PARTS)(rows);
  const drawn = JSON.stringify([rows.map(({ id, at }) => [id, at]), y.domain()]);
  useEffect(() => {
    if (!axes.current) return;
    const g = select(axes.current);
    g.selectAll('*').remove();
    const days = new Map(rows.map(({ id, at }) => [id, new Date(at)]));
    g.append('g')
      .attr('transform', `translate(0 ${HEIGHT - 34})`)
      .call(
        axisBottom(x).tickFormat((id) => days.get(id)!.toLocaleDateString('en-GB', { day: 'numeric', month: 'short' })),
      );
    g.append('g').attr('transform', 'translate(44 0)').call(axisLeft(y).ticks(4));
    // The scales are made anew at every drawing; what they say is in `drawn`.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [drawn]);
  const total = rows.reduce((sum, row) => sum + row.saved, 0);
  const area = units === 'in' ? 'ft²' : 'dm²';
  return (
    <figure className={styles.chart}>
      <svg
        viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
        role="img"
        aria-label={`Where the paper of the last ${rows.length} cuttings went; ${total.toFixed(1)} ${area} of pieces came from offcuts`}
      >
        <defs>
          <pattern id="saved-hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <rect width="6" height="6" className={styles.savedGround} />
            <line x1="0" x2="0" y1="0" y2="6" className={styles.savedLine} />
          </pattern>
        </defs>
        {layers.map((layer) => (
          <g key={layer.key} className={styles[layer.key]}>
            {layer.map(([from, to], i) => (
              <rect
                key={rows[i]!.id}
                x={x(rows[i]!.id)}
                width={x.bandwidth()}
                y={y(to)}
                height={Math.max(0, y(from) - y(to))}
              >
                <title>{`${rows[i]!.name}: ${(to - from).toFixed(2)} ${area} ${WORD[layer.key]}`}</title>
              </rect>
            ))}
          </g>
        ))}
        <g ref={axes} className={styles.axis} />
        <text x={4} y={HEIGHT - 4} className={styles.axisWord}>
          {area}
        </text>
      </svg>
      <figcaption>
        {PARTS.map((part) => (
          <span key={part}>
            <svg width="16" height="12" aria-hidden>
              <rect width="16" height="12" className={styles[part]} />
            </svg>{' '}
            {WORD[part]}
          </span>
        ))}
      </figcaption>
    </figure>
  );
}
