import { useId, type CSSProperties } from 'react';
import { affineOf, compose, type Affine, type Point } from '@/core/geometry';
import { CASING, groundOf, lineOn, printNamed, type PaperFace } from '@/core/papers';
import {
  facePaint,
  lookOf,
  type Face,
  type Line,
  type DrawStyle,
  type SceneMark,
  type Paint,
  type Scene,
  type SideLooks,
  type Tone,
} from '@/core/scene';
import { usePrint } from './usePrint';
import styles from './SceneDrawn.module.css';

/** What carries a scene to the screen, as a map. */
const screenMap = (at: OnScreen['at']): Affine =>
  affineOf<'scene'>((p) => {
    const [x, y] = at(p);
    return { x, y };
  });

/** SVG path data for closed rings, after mapping each point to pixels. */
const ringsPath = (rings: readonly (readonly Point[])[], at: OnScreen['at']): string =>
  rings
    .map(
      (ring) =>
        `M${ring
          .map((p) =>
            at(p)
              .map((v) => v.toFixed(2))
              .join(' '),
          )
          .join('L')}Z`,
    )
    .join('');

/** How a scene is seen on the screen: where its places stand, px, and how many pixels a millimetre takes. */
export interface OnScreen {
  readonly at: (p: Point) => readonly [number, number];
  readonly scale: number;
}

/** A scene with its upper left corner at `x`, `y`. */
export const sightOf = ({ box }: Pick<Scene, 'box'>, scale: number, x = 0, y = 0): OnScreen => ({
  at: (p) => [x + (p.x - box.minX) * scale, y + (box.maxY - p.y) * scale],
  scale,
});

/** The page's colour for a tone, or the hatching of that name. */
const PAINTED: Partial<Record<Tone, string>> = { given: 'card-deep' };
const HATCHED = new Set<string>(['glue-hatch', 'dry-dots', 'offcut-hatch']);
/** The name of the page's own colour for a tone. */
export const toneName = (tone: Tone): string => PAINTED[tone] ?? tone;
const painted = (tone: NonNullable<Paint['fill']>): string =>
  HATCHED.has(tone) ? `url(#${tone})` : `var(--${toneName(tone as Tone)})`;

/** A paint as the browser takes it. Every paint is turned into one but once. */
function css(paint: Paint): CSSProperties {
  const known = CSS.get(paint);
  if (known) return known;
  const { fill, cover, stroke, width, dash } = paint;
  const made: CSSProperties = {
    fill: fill ? painted(fill) : 'none',
    ...(cover !== undefined && { fillOpacity: cover }),
    ...(stroke && { stroke: painted(stroke), strokeWidth: width, strokeLinejoin: 'round' }),
    ...(dash && { strokeDasharray: dash.join(' ') }),
  };
  CSS.set(paint, made);
  return made;
}
const CSS = new WeakMap<Paint, CSSProperties>();

interface Drawn {
  readonly sight: OnScreen;
  readonly look: DrawStyle;
}

const FIXED: CSSProperties = { vectorEffect: 'non-scaling-stroke' };

/** What the side of a face that is seen looks like, where it is drawn as the paper it is. */
function sideSeen({ paper, stuff, side }: Face, paint: Paint): SideLooks | null {
  if (!paper || (paint.fill !== 'inside' && paint.fill !== 'outside')) return null;
  // Of a whole sheet the side is seen that the picture shows.
  return paper[stuff === 'stock' ? paint.fill : side];
}

/** A light rim on dark paper: the edge of the sheet, not a line on it. */
const LIGHT_RIM = 0.55;

/** Paper in the light of the room. */
const lit = (colour: string): string => `color-mix(in srgb, ${colour} var(--paper-lit), #141210)`;

/** A paint on paper of a colour: filled with it, its rim in what is seen on it. */
const onColour = (paint: Paint, ground: string, fill: string): CSSProperties => ({
  ...css(paint),
  fill,
  ...(paint.stroke && lineOn(ground) === CASING && { stroke: CASING, strokeOpacity: LIGHT_RIM }),
});

/** A print where it lies on a face: one tile of it, and how it is carried from there to the screen. */
function PrintLaid({
  id,
  face,
  map,
  address,
}: {
  readonly id: string;
  readonly face: PaperFace;
  readonly map: Affine;
  readonly address: string;
}) {
  const print = 'print' in face ? printNamed(face.print) : null;
  if (!print) return null;
  const { width, height } = print.tile;
  return (
    <pattern
      id={id}
      width={width}
      height={height}
      patternUnits="userSpaceOnUse"
      patternTransform={`matrix(${map.map((part) => part.toFixed(4)).join(' ')})`}
    >
      <image href={address} width={width} height={height} preserveAspectRatio="none" />
      <rect width={width} height={height} className={styles.unlit} />
    </pattern>
  );
}

/** What of a face is seen. */
export function FaceDrawn({ face, sight: { at }, look }: Drawn & { readonly face: Face }) {
  const id = useId();
  const paint = facePaint(look, face);
  const seen = paint && sideSeen(face, paint);
  const print = usePrint(seen ? seen.face : null);
  if (!paint || face.rings.length === 0) return null;
  const path = ringsPath(face.rings, at);
  const own = face.stuff === 'paper' ? look.shadow : undefined;
  const laid = seen && print ? compose(screenMap(at), compose(face.map, seen.lies)) : null;
  const ground = seen && groundOf(seen.face);
  const style = ground ? onColour(paint, ground, laid ? `url(#${id})` : lit(ground)) : css(paint);
  return (
    <>
      {seen && print && laid && <PrintLaid id={id} face={seen.face} map={laid} address={print} />}
      <path
        d={path}
        data-is={face.stuff}
        style={look.fixed ? { ...style, ...FIXED } : style}
        fillRule="evenodd"
        className={own && styles[own]}
      >
        {face.title && <title>{face.title}</title>}
      </path>
      {look.shade !== undefined && (
        <path d={path} className={styles.shade} fillOpacity={(1 - face.light) * look.shade} />
      )}
    </>
  );
}

/** How far the casing of a line reaches past it, px: whatever the paper, one of the two is seen on it. */
const CASED = 1.4;

/** A line on a face; on paper in a casing. */
export function LineDrawn({
  line,
  cased = false,
  sight: { at },
  look,
}: Drawn & { readonly line: Line; readonly cased?: boolean }) {
  const paint = look.line[line.kind];
  if (!paint) return null;
  const state = line.state && look.state[line.state]?.line;
  const style = state ? stateCss(state, paint) : css(paint);
  const path = pathOf(line.points, at);
  return (
    <>
      {cased && <path d={path} className={styles.casing} strokeWidth={Number(style.strokeWidth ?? 1) + 2 * CASED} />}
      <path d={path} data-is={named(line.kind, line.state)} style={style} />
    </>
  );
}
/** What a drawn thing is, for whoever reads the picture: `score`, `score fresh`. */
const named = (kind: string, state: string | undefined): string => (state ? `${kind} ${state}` : kind);
const pathOf = (points: readonly Point[], at: OnScreen['at']): string =>
  `M${points
    .map((p) =>
      at(p)
        .map((v) => v.toFixed(2))
        .join(' '),
    )
    .join('L')}`;
/** What stands out keeps the dashes and the fill of its kind. */
const stateCss = (state: Paint, paint: Paint): CSSProperties => css({ ...paint, ...state });

interface MarkDrawnProps extends Drawn {
  readonly mark: SceneMark;
  /** What fills an area, where the picture has a hatching of its own. */
  readonly fill?: string;
}

/** A mark on a face. */
export function MarkDrawn({ mark, sight, look, fill }: MarkDrawnProps) {
  const { at, scale } = sight;
  const spot = 'state' in mark && mark.state ? look.state[mark.state]?.spot : undefined;
  const over = (paint: Paint): CSSProperties => (spot ? css({ ...paint, ...spot }) : css(paint));
  const radius = (paint: Paint, diameter: number): number =>
    Math.max(spot?.least ?? paint.least ?? 0, (diameter / 2) * scale);
  switch (mark.kind) {
    case 'area': {
      const paint = look.area[mark.of];
      if (!paint) return null;
      const ground = mark.paper && groundOf(mark.paper.outside.face);
      const own = ground ? onColour(paint, ground, lit(ground)) : over(paint);
      const style = fill === undefined ? own : { ...own, fill };
      return <path d={ringsPath(mark.rings, at)} data-is={named(mark.of, mark.state)} style={style} />;
    }
    case 'hole':
    case 'mark':
    case 'scar': {
      const paint = look[mark.kind];
      if (!paint) return null;
      const [cx, cy] = at(mark.at);
      const r = radius(paint, mark.kind === 'hole' ? mark.diameter : 0);
      return <circle cx={cx} cy={cy} r={r} data-is={named(mark.kind, mark.state)} style={over(paint)} />;
    }
    case 'disc': {
      if (!look.disc) return null;
      const { diameter, cut } = mark;
      const path = discPath(at(mark.at), (diameter / 2) * scale, cut === null ? null : cut * scale);
      return <path d={path} data-is="disc" style={css(look.disc)} />;
    }
    case 'cord':
    case 'ribbon': {
      const paint = look[mark.kind];
      return paint ? <path d={pathOf([mark.from, mark.to], at)} data-is={mark.kind} style={css(paint)} /> : null;
    }
    case 'number':
      return look.number ? <NumberDrawn {...mark} paint={look.number} at={at} /> : null;
    case 'upward': {
      if (!look.upward) return null;
      const [x, y] = at(mark.at);
      return (
        <g transform={`translate(${x} ${y}) rotate(${mark.turn})`}>
          <path d="M0 14V-12M-6 -5 0 -13 6 -5" style={css(look.upward)} />
        </g>
      );
    }
    case 'name':
      // Names are written by the views that have room for them.
      return null;
  }
}

/** Staggered along the lines, so that the numbers of scores close together can be told apart. */
function NumberDrawn({
  number,
  from,
  to,
  paint,
  at,
}: Extract<SceneMark, { kind: 'number' }> & { readonly paint: Paint; readonly at: OnScreen['at'] }) {
  const [[x1, y1], [x2, y2]] = [at(from), at(to)];
  const share = 0.14 + 0.1 * (number % 3);
  const [x, y] = [x1 + (x2 - x1) * share, y1 + (y2 - y1) * share];
  return (
    <g>
      <circle cx={x} cy={y} r={11} style={css(paint)} />
      <text x={x} y={y + 4.5} textAnchor="middle" className={styles.number}>
        {number}
      </text>
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

interface SceneDrawnProps {
  readonly scene: Pick<Scene, 'kind' | 'faces' | 'marks'>;
  readonly sight: OnScreen;
  /** How it is drawn, where that is not how its kind is. */
  readonly look?: DrawStyle;
}

/** What is drawn on paper keeps the inks of the day. */
export const ON_PAPER = 'on-paper';
const isPaper = ({ faces }: Pick<Scene, 'faces'>): boolean => faces.some(({ paper }) => paper !== undefined);

/** A scene: its paper, what lies on that, its lines, and what lies over them. */
export function SceneDrawn(props: SceneDrawnProps) {
  return (
    <g className={isPaper(props.scene) ? ON_PAPER : undefined}>
      <Ground {...props} />
      <Upper {...props} />
    </g>
  );
}

/** Paper, and the areas that lie on it. */
export function Ground({ scene, sight, look = lookOf(scene) }: SceneDrawnProps) {
  const { rim } = look;
  return (
    <>
      {scene.faces.map((face) => (
        <FaceDrawn key={face.id} face={face} sight={sight} look={look} />
      ))}
      {scene.marks.map((mark, i) => isUnder(mark, look) && <MarkDrawn key={i} mark={mark} sight={sight} look={look} />)}
      {rim &&
        scene.faces.map(
          (face) =>
            face.stuff === 'paper' && <path key={face.id} d={ringsPath(face.rings, sight.at)} style={css(rim)} />,
        )}
    </>
  );
}

/** Lines, and what lies over them. */
export function Upper({ scene, sight, look = lookOf(scene) }: SceneDrawnProps) {
  return (
    <>
      {scene.faces.flatMap(({ id, lines, paper }) =>
        lines.map((line, i) => (
          <LineDrawn key={`${id} ${i}`} line={line} cased={paper !== undefined} sight={sight} look={look} />
        )),
      )}
      {scene.marks.map(
        (mark, i) => !isUnder(mark, look) && <MarkDrawn key={i} mark={mark} sight={sight} look={look} />,
      )}
    </>
  );
}

const isUnder = (mark: SceneMark, look: DrawStyle): boolean => mark.kind === 'area' && !look.over?.includes(mark.of);

/** Hatchings for where glue goes and where none may; once a page. */
export const Hatches = () => (
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
