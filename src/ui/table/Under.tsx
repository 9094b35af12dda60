import { range } from 'd3-array';
import { INCH, stepOf, type Mm } from '@/core/length';
import type { UnderThing, Under as UnderSheet } from '@/core/tools';
import { FigureText } from '../draw/FigureText';
import { useUnits } from '../parts/InUnits';
import { figureRows, numberedEvery, ROW, toldIn } from './figureRows';
import styles from './OnTable.module.css';

/** How far under the board the figure of a groove stands, px. */
export const LIT = 20;

/** A box in the maker's own view, mm: x to the right, y away from the maker. */
export type TableBox = UnderSheet['box'];

/** How far under the scale’s ruler the figure that is set on it stands, px, and where that ruler lies, mm from the board’s near edge. */
export const SET = 46;
export const SCALE_AT = -2.5;

/** How the table is drawn: where a place lies, and the person's own marks. */
export interface TableView {
  readonly px: (x: number) => number;
  readonly py: (y: number) => number;
  /** Pixels to a millimetre. */
  readonly scale: number;
}

/** The tool that lies under the sheet; `plain` without its ruler. */
export function Under({
  under: { box, things },
  plain = false,
  shown,
  ...view
}: TableView & { readonly under: UnderSheet; readonly plain?: boolean; readonly shown?: number | undefined }) {
  const { px, py } = view;
  return (
    <g>
      <rect
        x={px(box.left)}
        y={py(box.top)}
        width={px(box.right) - px(box.left)}
        height={py(box.bottom) - py(box.top)}
        rx={10}
        className={styles.slab}
      />
      {things.map((thing, i) =>
        // In a small picture there is no room for rulers.
        plain && (thing.is === 'scale' || thing.is === 'grooves') ? null : (
          <Part key={i} thing={thing} box={box} shown={shown} {...view} />
        ),
      )}
    </g>
  );
}

/** What of the tool comes down over the sheet. */
export const Over = ({ under: { things }, ...view }: TableView & { readonly under: UnderSheet }) => (
  <>{things.map((thing, i) => (thing.is === 'punch' ? <Punch key={i} {...thing} {...view} /> : null))}</>
);

function Part({
  thing,
  box,
  shown,
  ...view
}: TableView & { readonly thing: UnderThing; readonly box: TableBox; readonly shown: number | undefined }) {
  const { px, py } = view;
  switch (thing.is) {
    case 'groove':
      return (
        <path
          d={`M${px(thing.from.x)} ${py(thing.from.y)}L${px(thing.to.x)} ${py(thing.to.y)}`}
          className={styles.groove}
        />
      );
    case 'fence':
      return thing.along === 'left' ? (
        <rect x={px(0) - 7} y={py(box.top)} width={7} height={py(box.bottom) - py(box.top)} className={styles.fence} />
      ) : (
        <rect x={px(box.left)} y={py(0)} width={px(box.right) - px(box.left)} height={7} className={styles.fence} />
      );
    case 'scale':
      return <Scale {...thing} {...view} />;
    case 'grooves':
      return <Grooves {...thing} box={box} shown={shown} {...view} />;
    case 'punch':
      return null;
  }
}

/** A ruler along the near edge that runs left, what is set on it lit. */
function Scale({
  from,
  end,
  lit,
  px,
  py,
  scale,
}: TableView & { readonly from: number; readonly end: Mm; readonly lit: Mm | null }) {
  const { units, graduation } = useUnits();
  const whole = units === 'in' ? INCH : 10;
  const step = Math.max(stepOf(graduation) || 0, units === 'in' ? INCH / 8 : 1) * (scale < 1.6 ? 2 : 1);
  const every = numberedEvery(units, scale);
  const x = (reading: number): number => px(from - reading);
  return (
    <g>
      <g className={styles.ticks}>
        {range(0, Math.floor(end / step + 1e-6) + 1).map((i) => {
          const mark = i * step;
          const long = Math.abs(mark / whole - Math.round(mark / whole)) < 1e-6;
          return (
            <g key={i}>
              <line x1={x(mark)} x2={x(mark)} y1={py(SCALE_AT)} y2={py(SCALE_AT) + (long ? 11 : 6)} />
              {long && Math.abs(mark / every - Math.round(mark / every)) < 1e-6 && (
                <text x={x(mark)} y={py(SCALE_AT) + 23} textAnchor="middle">
                  {units === 'in' ? Math.round(mark / whole) : Math.round(mark)}
                </text>
              )}
            </g>
          );
        })}
      </g>
      {lit !== null && (
        <g>
          <line x1={x(lit)} x2={x(lit)} y1={py(0) - 5} y2={py(SCALE_AT) + 14} className={styles.lit} />
          <FigureText x={x(lit)} y={py(SCALE_AT) + SET} value={lit} className={styles.figure} />
        </g>
      )}
    </g>
  );
}

/** Grooves from a fence on the left, those to use lit. */
function Grooves({
  end,
  pitch: own,
  lit,
  box,
  shown,
  px,
  py,
  scale,
}: TableView & {
  readonly shown: number | undefined;
  readonly end: number;
  readonly pitch: number | null;
  readonly lit: readonly Mm[];
  readonly box: TableBox;
}) {
  const { units } = useUnits();
  const pitch = own ?? (units === 'in' ? INCH / 8 : 5);
  const each = pitch * Math.max(1, Math.ceil(4 / (pitch * scale)));
  const whole = Math.max(units === 'in' ? INCH : 50, numberedEvery(units, scale));
  const told = toldIn(lit, shown);
  const rows = figureRows(told.map(px));
  const upTo = (step: number): number[] => range(1, Math.floor(Math.min(end, box.right) / step + 1e-6) + 1);
  return (
    <g>
      {upTo(each).map((i) => (
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
        {upTo(whole).map((i) => (
          <text key={i} x={px(i * whole)} y={py(box.top) - 5} textAnchor="middle">
            {Math.round((i * whole) / (units === 'in' ? INCH : 1))}
          </text>
        ))}
      </g>
      {lit.map((at, i) => (
        <line key={i} x1={px(at)} x2={px(at)} y1={py(box.bottom) + 2} y2={py(box.top)} className={styles.lit} />
      ))}
      {told.map((at, i) => (
        <FigureText
          key={at}
          x={px(at)}
          y={py(box.bottom) + LIT + ROW * rows[i]!}
          value={at}
          className={styles.figure}
        />
      ))}
    </g>
  );
}

/** The punch at the notch and the pointer beside it. */
function Punch({ across, pressed, px, py, scale }: TableView & { readonly across: number; readonly pressed: boolean }) {
  const half = (across / 2) * scale;
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
      <path d={`M${px(across / 2)} ${py(0) + 1}l-5 11h10z`} className={styles.pointer} />
    </g>
  );
}
