import { useRef } from 'react';
import { useSize } from '../draw/useSize';
import { useUnits } from '../parts/InUnits';
import { outlinesOf } from './nest';
import type { TogetherProps } from './props';
import { tintOf } from './tint';
import styles from './Together.module.css';

/** Room round the drawing and for the names beside it, px. */
const RIM = 18;
const NAMES = 150;
/** Thicknesses are drawn as many times thicker as it takes for the whole to be so wide, px. */
const SEEN = 90;
/** So much room the words over the side take, px. */
const SIDE_WORDS = 160;
const TIMES = [1, 2, 4, 8, 16] as const;

/** The set to one scale: from the front and from the side, each thing in what holds it; tap one and it is on the table. */
export function Nested({ whole, part, onShow }: TogetherProps) {
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  return (
    <div ref={frame} className={styles.nested}>
      {size && 'plan' in whole && <Drawn whole={whole} part={part} onShow={onShow} room={size} />}
    </div>
  );
}

function Drawn({
  whole,
  part,
  onShow,
  room,
}: Pick<TogetherProps, 'part' | 'onShow'> & {
  readonly whole: Extract<TogetherProps['whole'], { readonly plan: unknown }>;
  readonly room: { readonly width: number; readonly height: number };
}) {
  const { say } = useUnits();
  const { plan } = whole;
  const [front, side] = [outlinesOf(plan, 'front'), outlinesOf(plan, 'side')];
  const span = (all: typeof front) => ({
    left: Math.min(0, ...all.map(({ x }) => x)),
    right: Math.max(1, ...all.map(({ x, width }) => x + width)),
    low: Math.min(0, ...all.map(({ y }) => y)),
    high: Math.max(1, ...all.map(({ y, height }) => y + height)),
  });
  const [f, s] = [span(front), span(side)];
  const names = room.width > 560 ? NAMES : 0;
  const tall = f.high - f.low;
  const sideShare = room.width > 560 ? 0.3 : 0.26;
  const scale = Math.min(
    (room.height - 3 * RIM - 16) / tall,
    ((room.width - 4 * RIM - names) * (1 - sideShare)) / (f.right - f.left),
  );
  const sideWide = (room.width - 4 * RIM - names) * sideShare;
  const fits = TIMES.filter((times) => (s.right - s.left) * scale * times <= sideWide);
  const times = fits.find((n) => (s.right - s.left) * scale * n >= SEEN) ?? fits.at(-1) ?? 1;
  const top = RIM + 16;
  const frontLeft = RIM;
  const sideLeft = frontLeft + (f.right - f.left) * scale + 2 * RIM;
  const frontAt = (x: number, y: number): readonly [number, number] => [
    frontLeft + (x - f.left) * scale,
    top + (f.high - y) * scale,
  ];
  const sideAt = (x: number, y: number): readonly [number, number] => [
    sideLeft + (x - s.left) * scale * times,
    top + (f.high - y) * scale,
  ];
  const called = new Map(plan.parts.map((one) => [one.part.id, one]));
  const label = (id: string): string => {
    const { part: own, own: outside } = called.get(id)!;
    return `${own.name}: ${say(outside!.width)} × ${say(outside!.height)}, ${say(outside!.thickness)} thick`;
  };
  const outline = (one: (typeof front)[number], at: typeof frontAt, wide: number, key: string, first: boolean) => {
    const [x, y] = at(one.x, one.y + one.height);
    const given = called.get(one.part)!.part.given !== null;
    return (
      <g
        key={key}
        role="button"
        tabIndex={first ? 0 : -1}
        aria-pressed={one.part === part}
        aria-label={label(one.part)}
        className={styles.outline}
        data-part={one.part}
        data-given={given || undefined}
        data-round={one.round || undefined}
        data-layer={one.layer || undefined}
        style={tintOf(whole.set, one.paper)}
        onClick={() => onShow(one.part, 'together')}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' && event.key !== ' ') return;
          event.preventDefault();
          onShow(one.part, 'together');
        }}
      >
        <title>{label(one.part)}</title>
        <rect x={x} y={y} width={Math.max(1, one.width * wide)} height={Math.max(1, one.height * scale)} rx={1.5} />
      </g>
    );
  };
  const seen = new Set<string>();
  const firstOf = (id: string): boolean => !seen.has(id) && Boolean(seen.add(id));
  const labelled = names > 0 ? namesBeside(front, frontAt, plan.parts.length) : [];
  const namesLeft = sideLeft + Math.max(SEEN, (s.right - s.left) * scale * times) + RIM;
  return (
    <svg
      width={room.width}
      height={room.height}
      className={styles.drawing}
      role="group"
      aria-label="The set to one scale"
    >
      <text x={frontLeft} y={RIM} className={styles.from}>
        from the front
      </text>
      <text
        // On a phone there is no room for all of it beyond where the side begins.
        {...(sideLeft + SIDE_WORDS > room.width ? { x: room.width - 2, textAnchor: 'end' } : { x: sideLeft })}
        y={RIM}
        className={styles.from}
      >
        from the side{times > 1 ? `, ${times} × as thick` : ''}
      </text>
      {front.map((one, i) => outline(one, frontAt, scale, `f${i}`, firstOf(one.part)))}
      {side.map((one, i) => outline(one, sideAt, scale * times, `s${i}`, false))}
      {labelled.map(({ part: id, y }) => {
        const { part: own, own: outside } = called.get(id)!;
        return (
          <g key={id} className={styles.name} data-shown={id === part || undefined}>
            <text x={namesLeft} y={y}>
              {own.name}
              {own.quantity > 1 ? ` × ${own.quantity}` : ''}
            </text>
            <text x={namesLeft} y={y + 15} className={styles.thick}>
              {say(outside!.thickness)} thick
            </text>
          </g>
        );
      })}
    </svg>
  );
}

/** Names one under the other, the outermost at the top. */
function namesBeside(
  outlines: ReturnType<typeof outlinesOf>,
  at: (x: number, y: number) => readonly [number, number],
  most: number,
): readonly { readonly part: string; readonly y: number }[] {
  const parts = [...new Set([...outlines].sort((a, b) => a.deep - b.deep).map(({ part }) => part))];
  const top = Math.min(...outlines.map((one) => at(0, one.y + one.height)[1]));
  const bottom = Math.max(...outlines.map((one) => at(0, one.y)[1]));
  const step = Math.min(44, Math.max(34, (bottom - top) / Math.max(1, most)));
  return parts.map((part, i) => ({ part, y: top + 14 + i * step }));
}
