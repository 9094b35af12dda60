import type { ReactNode } from 'react';
import { formatLength, mm, roundTo } from '@/core/length';
import type { SheetSeat } from '@/core/looks';
import { rect } from '@/core/pattern';
import { marksOf, STYLE, type AreaKind, type Line, type Scene } from '@/core/scene';
import { LineDrawn, MarkDrawn, type OnScreen } from '../draw/SceneDrawn';
import { useUnits } from '../parts/InUnits';
import styles from './SheetView.module.css';

/** The panels by name, where there is room for it: upright on narrow ones. */
export const PanelNames = ({
  scene,
  seat,
  sight: { at, scale },
}: {
  readonly scene: Scene;
  readonly seat: SheetSeat | null;
  readonly sight: OnScreen;
}) =>
  marksOf(scene, 'name').map(({ text, of, at: place, room }) => {
    const [wide, high] = [room.width * scale, room.height * scale];
    const needs = text.length * STYLE.sheet.name.letter;
    const upright = wide < needs && high > needs;
    if (of === seat?.panel || Math.max(wide, high) < needs || Math.min(wide, high) < STYLE.sheet.name.least)
      return null;
    const [x, y] = at(place);
    return (
      <text
        key={of}
        x={x}
        y={y + 5}
        textAnchor="middle"
        className={styles.flapName}
        transform={upright ? `rotate(-90 ${x} ${y})` : undefined}
      >
        {text}
      </text>
    );
  });

/** What goes in, or the largest that would, by its size. */
export function ContentsLabel({
  seat,
  known,
  sight,
}: {
  readonly seat: SheetSeat;
  readonly known: boolean;
  readonly sight: OnScreen;
}) {
  const { units, graduation } = useUnits();
  const [x, y] = sight.at(seat.heart);
  if (seat.shown * sight.scale < 70) return null;
  // What fits is never said larger than it is.
  const say = (value: number): string =>
    formatLength(known ? mm(value) : roundTo(mm(value), graduation, 'down'), units, graduation);
  return (
    <text textAnchor="middle" className={styles.cardLabel}>
      <tspan x={x} y={y - 6}>
        {known ? 'what goes in' : 'holds up to'}
      </tspan>
      <tspan x={x} y={y + 15} className={styles.cardSize}>
        {say(seat.width)} × {say(seat.height)}
      </tspan>
    </text>
  );
}

/** Room of a sample, px. */
const SAMPLE = { width: 26, height: 12 };
const SAMPLED: OnScreen = { at: ({ x, y }) => [x, y], scale: 1 };
const ACROSS = [
  { x: 0, y: 6 },
  { x: SAMPLE.width, y: 6 },
];
const WHOLE = rect(0, 0, SAMPLE.width, SAMPLE.height).map(({ x, y }) => ({ x, y }));

/** What the kinds of line and hatching mean; told by pattern, not by colour. */
export function Legend({ mountain }: { readonly mountain: boolean }) {
  const sample = (what: string, drawn: ReactNode) => (
    <li>
      <svg {...SAMPLE} aria-hidden="true">
        {drawn}
      </svg>
      {what}
    </li>
  );
  const line = (kind: Line['kind']) => <LineDrawn line={{ kind, points: ACROSS }} sight={SAMPLED} look={STYLE.sheet} />;
  const area = (of: AreaKind) => (
    <MarkDrawn mark={{ kind: 'area', of, rings: [WHOLE] }} sight={SAMPLED} look={STYLE.sheet} />
  );
  return (
    <ul className={styles.legend} aria-label="What the lines mean">
      {sample('cut', line('slit'))}
      {sample(mountain ? 'fold towards you' : 'fold', line('valley'))}
      {mountain && sample('fold away', line('mountain'))}
      {sample('glue here', area('glue'))}
      {sample('keep glue off', area('no-glue'))}
    </ul>
  );
}
