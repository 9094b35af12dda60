import { foldedBox, inView, visibleFrom, type Stack, type View } from '@/core/fold';
import type { Point } from '@/core/geometry';
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
  /** Quarter turns the print lies turned with on the sheet; draws its direction on every panel. */
  readonly arrows?: number | null;
  /** A window of the paper as it shows here, in the view, mm. */
  readonly window?: readonly (readonly Point[])[];
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
export function FoldedFace({ contents, arrows = null, window, given, ...props }: FoldedFaceProps) {
  const { stack, view, face, scale } = props;
  const place = facePlace(props);
  const at: Place = (p) => place(inView(view, p as Point<'folded'>));
  const seen = visibleFrom(stack, face, view);
  const [cx, cy] = contents
    ? place({ x: face === 'above' ? contents.x + contents.width : contents.x, y: contents.y })
    : [0, 0];
  return (
    <g>
      {[...seen].reverse().map((visible) => {
        const points = visible.region.flat().map(at);
        const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
        const middle = [(Math.min(...xs) + Math.max(...xs)) / 2, (Math.min(...ys) + Math.max(...ys)) / 2] as const;
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
            {arrows !== null && (
              <g
                transform={`translate(${middle[0]} ${middle[1]}) rotate(${visible.turn + 180 - 90 * arrows})`}
                className={styles.arrow}
              >
                <path d="M0 14V-12M-6 -5 0 -13 6 -5" />
              </g>
            )}
          </g>
        );
      })}
      {window && window.length > 0 && <path d={ringsPath(window, place)} className={styles.window} />}
      {contents && (
        <rect
          x={cx}
          y={cy}
          width={contents.width * scale}
          height={contents.height * scale}
          rx={2}
          className={styles.contents}
        />
      )}
    </g>
  );
}
