import { extent, group } from 'd3-array';
import { axisBottom } from 'd3-axis';
import { scaleLinear } from 'd3-scale';
import { select } from 'd3-selection';
import { useEffect, useRef } from 'react';
import { wantedRoom, type RoomAdvice } from '@/core/fit';
import { formatLength, INCH, mm } from '@/core/length';
import type { Evidence } from '@/data/log';
import { useUnits } from '../parts/InUnits';
import styles from './Log.module.css';

interface FitChartProps {
  readonly side: 'width' | 'height';
  readonly makes: readonly Evidence[];
  readonly advice: RoomAdvice;
}

const [WIDTH, HEIGHT] = [440, 132];
const LANES = ['tight', 'right', 'loose'] as const;
/** Makes a dot names; of more it says how many. */
const NAMED = 3;
const WORD = { tight: 'tight', right: 'just right', loose: 'loose' } as const;

/** Room left against the verdict, a dot a make; a line leads to the room that would have been right. */
export function FitChart({ side, makes, advice }: FitChartProps) {
  const { units } = useUnits();
  const axis = useRef<SVGGElement>(null);
  const unit = units === 'in' ? INCH : 1;
  const values = makes.flatMap((make) => [make.room[side], wantedRoom(make.room[side], make.fit[side])]);
  const [low = 0, high = 1] = extent([...values, 0, advice.onMark] as number[]);
  const x = scaleLinear()
    .domain([Math.min(0, low) / unit, (high * 1.12 + 1) / unit])
    .range([76, WIDTH - 14]);
  const y = (how: (typeof LANES)[number]): number => 20 + LANES.indexOf(how) * 28;
  const placed = makes.map((make, i) => {
    const fit = make.fit[side];
    return {
      make,
      from: Math.round(x(make.room[side] / unit)),
      to: Math.round(x(wantedRoom(make.room[side], fit) / unit)),
      // Makes at one place stand beside each other, a little up or down.
      at: y(fit.how) + ((i % 3) - 1) * 6,
    };
  });
  // What would be drawn on top of each other is drawn once: a log of years stays a chart of some dozen dots.
  const dots = [...group(placed, ({ from, to, at }) => [from, to, at].join()).entries()];
  const domain = x.domain().join();
  useEffect(() => {
    if (!axis.current) return;
    const ticks = axisBottom(x)
      .ticks(units === 'in' ? 5 : 6)
      .tickFormat((value) =>
        units === 'in' ? formatLength(mm(Number(value) * INCH), 'in', '1/16 in').replace(' in', '') : String(value),
      );
    if (units === 'in') {
      const step = x.domain()[1]! > 0.6 ? 1 / 4 : 1 / 8;
      ticks.tickValues(Array.from({ length: Math.floor(x.domain()[1]! / step) + 1 }, (_, i) => i * step));
    }
    select(axis.current).call(ticks);
    // The scale is made anew at every drawing; its domain tells whether it changed.
    // oxlint-disable-next-line react/exhaustive-deps
  }, [domain, units]);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      className={styles.chart}
      role="img"
      aria-label={`Room in the ${side} against the fit: ${makes.length} makes, ${advice.off} not right; ${formatLength(advice.onMark, units, units === 'in' ? '1/16 in' : '1 mm')} would have been right`}
    >
      {LANES.map((how) => (
        <g key={how}>
          <text x={0} y={y(how) + 4}>
            {WORD[how]}
          </text>
          <line x1={76} x2={WIDTH - 14} y1={y(how)} y2={y(how)} className={styles.lane} />
        </g>
      ))}
      <line x1={x(advice.onMark / unit)} x2={x(advice.onMark / unit)} y1={6} y2={98} className={styles.wanted} />
      {dots.map(([key, own]) => {
        const { from, to, at } = own[0]!;
        return (
          <g key={key}>
            <line x1={from} x2={to} y1={at} y2={at} className={styles.pull} />
            <circle cx={from} cy={at} r={5.5} className={styles.dot}>
              <title>
                {own
                  .slice(0, NAMED)
                  .map(({ make }) => `${make.name}, ${make.day}`)
                  .join('; ') + (own.length > NAMED ? `; and ${own.length - NAMED} more` : '')}
              </title>
            </circle>
          </g>
        );
      })}
      <g ref={axis} transform={`translate(0 ${HEIGHT - 32})`} className={styles.axis} />
      <text x={0} y={HEIGHT - 12}>
        room, {side}
      </text>
    </svg>
  );
}
