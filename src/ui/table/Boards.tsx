import { range } from 'd3';
import { INCH, stepOf, type Graduation, type Units } from '@/core/length';
import type { EdgeBoard, EnvelopeBoard, ScoringBoard } from '@/core/tools';
import { FigureText } from '../draw/FigureText';
import styles from './OnTable.module.css';

/** A box in the maker's own view, mm: x to the right, y away from the maker. */
export interface Box {
  readonly left: number;
  readonly right: number;
  readonly bottom: number;
  readonly top: number;
}

/** How the table is drawn: where a place lies, and the person's own marks. */
export interface View {
  readonly px: (x: number) => number;
  readonly py: (y: number) => number;
  /** Pixels to a millimetre. */
  readonly scale: number;
  readonly units: Units;
  readonly graduation: Graduation;
}

/** The envelope board under the sheet: its slab, the groove, the ruler that runs left from the notch. */
export function Board({
  board,
  box,
  lit,
  px,
  py,
  scale,
  units,
  graduation,
}: View & { readonly board: EnvelopeBoard; readonly box: Box; readonly lit: number | null }) {
  const reach = board.grooveEnd / Math.SQRT2;
  const whole = units === 'in' ? INCH : 10;
  const step = Math.max(stepOf(graduation) || 0, units === 'in' ? INCH / 8 : 1) * (scale < 1.6 ? 2 : 1);
  const marks = range(0, Math.floor(board.rulerEnd / step + 1e-6) + 1).map((i) => i * step);
  return (
    <g>
      <Slab box={box} px={px} py={py} />
      <path
        d={`M${px(0)} ${py(board.notch / 2)}L${px(reach)} ${py(board.notch / 2 + reach)}`}
        className={styles.groove}
      />
      <g className={styles.ticks}>
        {marks.map((mark) => {
          const x = px(-(mark + board.offset));
          const long = Math.abs(mark / whole - Math.round(mark / whole)) < 1e-6;
          return (
            <g key={mark}>
              <line x1={x} x2={x} y1={py(-2.5)} y2={py(-2.5) + (long ? 11 : 6)} />
              {long && (units === 'in' || Math.round(mark / whole) % 2 === 0) && (
                <text x={x} y={py(-2.5) + 23} textAnchor="middle">
                  {units === 'in' ? Math.round(mark / whole) : Math.round(mark)}
                </text>
              )}
            </g>
          );
        })}
      </g>
      {lit !== null && (
        <g>
          <line
            x1={px(-(lit + board.offset))}
            x2={px(-(lit + board.offset))}
            y1={py(0) - 5}
            y2={py(-2.5) + 14}
            className={styles.lit}
          />
          <FigureText
            x={px(-(lit + board.offset))}
            y={py(-2.5) + 40}
            value={lit}
            units={units}
            graduation={graduation}
            className={styles.figure}
          />
        </g>
      )}
    </g>
  );
}

/** The punch at the notch and the pointer beside it, over the sheet. */
export function Punch({
  board,
  pressed,
  px,
  py,
  scale,
}: View & { readonly board: EnvelopeBoard; readonly pressed: boolean }) {
  const half = (board.notch / 2) * scale;
  return (
    <g>
      <rect
        x={px(0) - half * 1.15}
        y={py(0) + 4}
        width={half * 2.3}
        height={Math.max(16, 13 * scale)}
        rx={5}
        className={pressed ? styles.pressed : styles.punch}
      />
      <path d={`M${px(board.notch / 2)} ${py(0) + 1}l-5 11h10z`} className={styles.pointer} />
    </g>
  );
}

/** A scoring board under the sheet: fence on the left, its grooves, the one to use lit. */
export function Grooves({
  board,
  box,
  lit,
  px,
  py,
  scale,
  units,
  graduation,
}: View & { readonly board: ScoringBoard; readonly box: Box; readonly lit: number }) {
  const pitch = board.pitch ?? (units === 'in' ? INCH / 8 : 5);
  const each = pitch * Math.max(1, Math.ceil(4 / (pitch * scale)));
  const whole = units === 'in' ? INCH : 50;
  return (
    <g>
      <Slab box={box} px={px} py={py} />
      {range(1, Math.floor(Math.min(board.length, box.right) / each + 1e-6) + 1).map((i) => (
        <line
          key={i}
          x1={px(i * each)}
          x2={px(i * each)}
          y1={py(box.bottom + 4)}
          y2={py(box.top - 4)}
          className={styles.fine}
        />
      ))}
      <g className={styles.ticks}>
        {range(1, Math.floor(Math.min(board.length, box.right) / whole + 1e-6) + 1).map((i) => (
          <text key={i} x={px(i * whole)} y={py(box.top) - 5} textAnchor="middle">
            {units === 'in' ? i : i * whole}
          </text>
        ))}
      </g>
      <rect x={px(0) - 7} y={py(box.top)} width={7} height={py(box.bottom) - py(box.top)} className={styles.fence} />
      <rect x={px(box.left)} y={py(0)} width={px(box.right) - px(box.left)} height={7} className={styles.fence} />
      <line x1={px(lit)} x2={px(lit)} y1={py(box.bottom) + 2} y2={py(box.top)} className={styles.lit} />
      <FigureText
        x={px(lit)}
        y={py(box.bottom) + 20}
        value={lit}
        units={units}
        graduation={graduation}
        className={styles.figure}
      />
    </g>
  );
}

/** The board that makes one score near an edge: its slab and its groove. */
export function EdgeSlab({ board, box, px, py }: View & { readonly board: EdgeBoard; readonly box: Box }) {
  const groove = py(board.scoreFrom + board.offset);
  return (
    <g>
      <Slab box={box} px={px} py={py} />
      <rect x={px(box.left)} y={py(0)} width={px(box.right) - px(box.left)} height={7} className={styles.fence} />
      <line x1={px(box.left) + 6} x2={px(box.right) - 6} y1={groove} y2={groove} className={styles.groove} />
    </g>
  );
}

function Slab({ box, px, py }: Pick<View, 'px' | 'py'> & { readonly box: Box }) {
  return (
    <rect
      x={px(box.left)}
      y={py(box.top)}
      width={px(box.right) - px(box.left)}
      height={py(box.bottom) - py(box.top)}
      rx={10}
      className={styles.slab}
    />
  );
}
