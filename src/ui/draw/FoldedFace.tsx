import { foldedBox, inView, visibleFrom, type Stack, type View, type Visible } from '@/core/fold';
import type { Point, Polygon } from '@/core/geometry';
import type { ClosurePlan } from '@/core/plan';
import { ringsPath } from './path';
import styles from './FoldedFace.module.css';

interface FoldedFaceProps {
  readonly stack: Stack;
  readonly view: View;
  /** Seen from the table's side, or from above. */
  readonly face: 'below' | 'above';
  /** Pixels to a millimetre, and where the drawing's upper left corner stands. */
  readonly scale: number;
  readonly x?: number;
  readonly y?: number;
  /** Contents as a rectangle in the view, mm, drawn through the paper. */
  readonly contents?: {
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly height: number;
  } | null;
  /** An insert that lies in it with them, the same way. */
  readonly insert?: FoldedFaceProps['contents'];
  /** Quarter turns a panel’s blank lies turned with on the print that shows, whose direction is drawn; null without. */
  readonly arrows?: (shown: Pick<Visible, 'panel' | 'side'>) => number | null;
  /** A window of the paper as it shows here, in the view, mm. */
  readonly window?: readonly (readonly Point[])[];
  /** What is glued on this face, in the view, mm. */
  readonly laid?: readonly Polygon<'folded'>[];
  /** Where paper is glued to paper, seen through it, in the view, mm. */
  readonly glue?: readonly Polygon<'folded'>[];
  /** What shuts it, in the view. */
  readonly closure?: Pick<ClosurePlan, 'line' | 'discs'> | null;
  /** Pieces the maker has already: drawn faintly. */
  readonly given?: ReadonlySet<string>;
}

type Place = (p: Point) => readonly [number, number];

/** Where points of a view, mm, stand on the drawing of one face, px: mouth at the top, the back seen from behind. */
export function facePlace({ stack, view, face, scale, x = 0, y = 0 }: Omit<FoldedFaceProps, 'contents'>): Place {
  const box = foldedBox(stack, view);
  return (v) => [x + (face === 'above' ? box.maxX - v.x : v.x - box.minX) * scale, y + (v.y - box.minY) * scale];
}

/** One face of the folded thing, mouth at the top, seen from above or from the table's side. */
export function FoldedFace({
  contents,
  insert,
  arrows = () => null,
  window,
  laid = [],
  glue = [],
  closure,
  given,
  ...props
}: FoldedFaceProps) {
  const { stack, view, face, scale } = props;
  const place = facePlace(props);
  const at: Place = (p) => place(inView(view, p as Point<'folded'>));
  const seen = visibleFrom(stack, face, view);
  return (
    <g>
      {[...seen].reverse().map((visible) => {
        const points = visible.region.flat().map(at);
        const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
        const middle = [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2] as const;
        const quarters = arrows(visible);
        return (
          <g key={visible.panel}>
            <path
              d={ringsPath(visible.region, at)}
              className={
                given?.has(stack.layers.find((layer) => layer.panel === visible.panel)!.piece)
                  ? styles.given
                  : visible.side === 'inside'
                    ? styles.inside
                    : styles.outside
              }
            />
            {quarters !== null && (
              <g
                transform={`translate(${middle[0]} ${middle[1]}) rotate(${visible.turn + 180 - 90 * quarters})`}
                className={styles.arrow}
              >
                <path d="M0 14V-12M-6 -5 0 -13 6 -5" />
              </g>
            )}
          </g>
        );
      })}
      {glue.length > 0 && <path d={ringsPath(glue, place)} className={styles.glue} />}
      {laid.map((polygon, i) => (
        <path key={i} d={ringsPath([polygon], place)} className={styles.laid} />
      ))}
      {closure && <Closure {...closure} place={place} scale={scale} />}
      {window && window.length > 0 && <path d={ringsPath(window, place)} className={styles.window} />}
      {[insert, contents].map((inside, i) => {
        if (!inside) return null;
        const [x, y] = place({ x: face === 'above' ? inside.x + inside.width : inside.x, y: inside.y });
        const size = { width: inside.width * scale, height: inside.height * scale };
        return <rect key={i} x={x} y={y} {...size} rx={2} className={i === 0 ? styles.insert : styles.contents} />;
      })}
    </g>
  );
}

/** A cord or band along its line, and discs and dots. */
function Closure({
  line,
  discs,
  place,
  scale,
}: Pick<ClosurePlan, 'line' | 'discs'> & { readonly place: Place; readonly scale: number }) {
  const [from, to] = line ? [place(line[0]), place(line[1])] : [null, null];
  return (
    <g className={styles.closure}>
      {from && to && <line x1={from[0]} y1={from[1]} x2={to[0]} y2={to[1]} />}
      {discs.map(({ at, diameter, cut }, i) => (
        <path key={i} d={discPath(place(at), (diameter / 2) * scale, cut === null ? null : cut * scale)} />
      ))}
    </g>
  );
}

/** A round disc, or one cut off along a level line so far below its middle (above it where that is negative), px. */
function discPath([x, y]: readonly [number, number], r: number, cut: number | null): string {
  if (cut === null || Math.abs(cut) >= r)
    return `M${x - r} ${y}a${r} ${r} 0 1 0 ${2 * r} 0a${r} ${r} 0 1 0 ${-2 * r} 0Z`;
  const half = Math.sqrt(r * r - cut * cut);
  return `M${x - half} ${y + cut}A${r} ${r} 0 1 ${cut > 0 ? 1 : 0} ${x + half} ${y + cut}Z`;
}
