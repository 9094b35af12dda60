import { polygonCentroid } from 'd3-polygon';
import type { ReactNode } from 'react';
import type { SheetDrawing } from '@/core/files';
import { boxOf, distance, type Point } from '@/core/geometry';
import { formatLength, mm, roundTo } from '@/core/length';
import type { Piece } from '@/core/pattern';
import { ringsPath } from '../draw/path';
import { useUnits } from '../parts/InUnits';
import type { Seat } from './contentsOnSheet';
import styles from './SheetView.module.css';

/** How a sheet is seen on the screen. */
export interface SheetView {
  readonly at: (p: Point) => readonly [number, number];
  /** Pixels to a millimetre. */
  readonly scale: number;
}

/** Hatchings for where glue goes and where none may; once a page. */
export const GlueHatches = () => (
  <defs>
    <pattern id="glue-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(30)">
      <rect width="7" height="7" className={styles.glueGround} />
      <path d="M0 0V7" className={styles.glueLine} />
    </pattern>
    <pattern id="dry-dots" width="9" height="9" patternUnits="userSpaceOnUse">
      <path d="M2 2l3 3M5 2l-3 3" className={styles.dryMark} />
    </pattern>
  </defs>
);

interface PaperProps {
  readonly drawing: SheetDrawing;
  readonly piece: Piece;
  readonly seat: Seat | null;
  readonly sight: SheetView;
}

/** The blank, the paper that is left of it, its glue, and what will lie on it. */
export function PaperDrawn({ drawing, piece: { blank }, seat, sight: { at, scale } }: PaperProps) {
  const [x, y] = at({ x: 0, y: blank.height });
  return (
    <>
      <rect x={x} y={y} width={blank.width * scale} height={blank.height * scale} className={styles.blank} />
      <path d={ringsPath(drawing.outline, at)} className={styles.paper} />
      <path d={ringsPath(drawing.noGlue, at)} fill="url(#dry-dots)" />
      <path d={ringsPath(drawing.glue, at)} fill="url(#glue-hatch)" />
      {seat && <path d={ringsPath([seat.card], at)} className={styles.contents} />}
      <path d={ringsPath(drawing.outline, at)} className={styles.cut} />
    </>
  );
}

/** Holes, slits, scores and their numbers. */
export function LinesDrawn({ drawing, sight: { at, scale } }: Pick<PaperProps, 'drawing' | 'sight'>) {
  return (
    <>
      {drawing.holes.map((hole) => {
        const [x, y] = at(hole.centre);
        return <circle key={hole.id} cx={x} cy={y} r={(hole.diameter / 2) * scale} className={styles.hole} />;
      })}
      {drawing.slits.map((slit, i) => {
        const [x1, y1] = at(slit.from);
        const [x2, y2] = at(slit.to);
        return <line key={i} x1={x1} y1={y1} x2={x2} y2={y2} className={styles.cut} />;
      })}
      {drawing.scores.map((score) => {
        const [x1, y1] = at(score.from);
        const [x2, y2] = at(score.to);
        const className = score.fold === 'valley' ? styles.valley : styles.mountain;
        return <line key={score.id} x1={x1} y1={y1} x2={x2} y2={y2} className={className} />;
      })}
      {badgesOf(drawing).map((score) => {
        const [x1, y1] = at(score.from);
        const [x2, y2] = at(score.to);
        // Staggered, so that the numbers of scores close together can be told apart.
        const share = 0.14 + 0.1 * (score.number % 3);
        const [bx, by] = [x1 + (x2 - x1) * share, y1 + (y2 - y1) * share];
        return (
          <g key={score.number}>
            <circle cx={bx} cy={by} r={11} className={styles.badge} />
            <text x={bx} y={by + 4.5} textAnchor="middle" className={styles.badgeText}>
              {score.number}
            </text>
          </g>
        );
      })}
    </>
  );
}

/** Scores run in one go carry one number, on the longest of them. */
const badgesOf = ({ scores }: SheetDrawing): SheetDrawing['scores'] =>
  [...new Set(scores.map((score) => score.number))].map((number) =>
    scores
      .filter((score) => score.number === number)
      .reduce((a, b) => (distance(b.from, b.to) > distance(a.from, a.to) ? b : a)),
  );

/** The panels by name, where there is room for it: upright on narrow ones. */
export const PanelNames = ({ piece, seat, sight: { at, scale } }: Omit<PaperProps, 'drawing'>) =>
  piece.panels.map((panel) => {
    const { minX, maxX, minY, maxY } = boxOf(panel.polygon);
    const [wide, high] = [(maxX - minX) * scale, (maxY - minY) * scale];
    const needs = panel.name.length * 7;
    const upright = wide < needs && high > needs;
    if (panel.id === seat?.panel || Math.max(wide, high) < needs || Math.min(wide, high) < 30) return null;
    const [cx, cy] = polygonCentroid(panel.polygon.map((p): [number, number] => [p.x, p.y]));
    const [x, y] = at({ x: cx, y: cy });
    return (
      <text
        key={panel.id}
        x={x}
        y={y + 5}
        textAnchor="middle"
        className={styles.flapName}
        transform={upright ? `rotate(-90 ${x} ${y})` : undefined}
      >
        {panel.name}
      </text>
    );
  });

/** What goes in, or the largest that would, by its size. */
export function ContentsLabel({
  seat,
  known,
  sight,
}: {
  readonly seat: Seat;
  readonly known: boolean;
  readonly sight: SheetView;
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

/** What the kinds of line and hatching mean; told by pattern, not by colour. */
export function Legend({ mountain }: { readonly mountain: boolean }) {
  const sample = (what: string, drawn: ReactNode) => (
    <li>
      <svg width="26" height="12" aria-hidden="true">
        {drawn}
      </svg>
      {what}
    </li>
  );
  return (
    <ul className={styles.legend} aria-label="What the lines mean">
      {sample('cut', <path d="M0 6H26" className={styles.cut} />)}
      {sample(mountain ? 'fold towards you' : 'fold', <path d="M0 6H26" className={styles.valley} />)}
      {mountain && sample('fold away', <path d="M0 6H26" className={styles.mountain} />)}
      {sample('glue here', <rect width="26" height="12" fill="url(#glue-hatch)" />)}
      {sample('keep glue off', <rect width="26" height="12" fill="url(#dry-dots)" />)}
    </ul>
  );
}
