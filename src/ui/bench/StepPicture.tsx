import { apply, middle, TOLERANCE, type Point } from '@/core/geometry';
import { edgeLength } from '@/core/pattern';
import { planTool, toolMove } from '@/core/tools';
import { partNamed, scoreNumbers, type Made } from '@/core/plan';
import { stepScene, type StepPicture as Picture } from '@/core/looks';
import type { Design } from '@/core/design';
import { heightOf, STYLE, widthOf, type DrawStyle, type Scene } from '@/core/scene';
import { SceneDrawn, sightOf, type OnScreen } from '../draw/SceneDrawn';
import { HandTools } from '../table/HandTools';
import { Under } from '../table/Under';
import styles from './StepPicture.module.css';

interface StepPictureProps {
  readonly picture: Picture;
  readonly made: Made;
  readonly design: Design;
  /** Side of the picture, px. */
  readonly size?: number;
}

/** Side of a step's picture in a list, px, and the rim left round the paper. */
const SMALL = 116;
const RIM = 15;

type FlatPicture = Extract<Picture, { kind: 'flat' }>;

/** The paper as it lies during one step, seen by the maker: what is new stands out. */
export function StepPicture({ picture, made, design, size = SMALL }: StepPictureProps) {
  const scene = stepScene(made, design, picture);
  const scale = scaleFor(scene, picture, made, size);
  const sight = sightOf(scene, scale, (size - widthOf(scene) * scale) / 2, (size - heightOf(scene) * scale) / 2);
  const flat = picture.kind === 'flat' && !picture.done ? picture : null;
  const onTable = flat && !flat.cut && !flat.glued ? flat : null;
  return (
    <svg width={size} height={size} viewBox={`0 0 ${size} ${size}`} className={styles.picture} aria-hidden="true">
      {onTable && <OnTool picture={onTable} made={made} design={design} scale={scale} side={size} />}
      <SceneDrawn scene={scene} sight={sight} look={lookFor(picture)} />
      {flat?.cut && <Rails scene={scene} sight={sight} />}
      {flat?.glued?.from !== undefined && <ScoreNumber picture={flat} made={made} scene={scene} sight={sight} />}
      {onTable && <OnSheet picture={onTable} made={made} scene={scene} sight={sight} side={size} />}
    </svg>
  );
}

const lookFor = ({ kind, ...picture }: Picture): DrawStyle => {
  if (kind === 'standing') return STYLE.still;
  if (picture.done) return STYLE.pile;
  if (kind === 'folded') return STYLE.worked;
  return 'cut' in picture && picture.cut ? STYLE.cutOut : STYLE.table;
};

function scaleFor(scene: Scene, picture: Picture, made: Made, size: number): number {
  const fit = (rim: number): number => (size - 2 * rim) / Math.max(widthOf(scene), heightOf(scene));
  if (picture.kind === 'standing') return fit(4);
  if (picture.done) return fit(6);
  if (picture.kind === 'flat') return fit(RIM);
  // A part-folded pile is drawn as large as its picture allows, but a small one never larger than the flat sheet.
  const { width, height } = made.pieces[0].piece.blank;
  return Math.min(fit(4), (1.6 * (size - 8)) / Math.max(width, height));
}

/** The tool as it lies: the near edge at the bottom, as far to the left as the tool asks. */
function OnTool({
  picture: { piece: name, near, moves: count, fresh },
  made,
  design: { tool },
  scale,
  side,
}: {
  readonly picture: FlatPicture;
  readonly made: Made;
  readonly design: Design;
  readonly scale: number;
  readonly side: number;
}) {
  const { piece, programme } = partNamed(made, name);
  const done = programme.moves.slice(0, count);
  const onTool = done.slice(done.length - fresh).some((move) => toolMove(move) !== null);
  const wide = edgeLength(piece.blank, near);
  const deep = edgeLength(piece.blank, near % 2 === 1 ? 2 : 1);
  const under = onTool ? (planTool(tool).under?.(tool, done, { wide, deep }) ?? null) : null;
  if (!under) return null;
  return (
    <Under
      under={under}
      plain
      px={(x) => side / 2 + (x + under.shift - wide / 2) * scale}
      py={(y) => side / 2 + (deep / 2 - y) * scale}
      scale={scale}
    />
  );
}

/** What hands hold, the numbers of the edges, and how the sheet is turned. */
function OnSheet({
  picture: { piece: name, near, moves: count, fresh },
  made,
  scene,
  sight,
  side,
}: {
  readonly picture: FlatPicture;
  readonly made: Made;
  readonly scene: Scene;
  readonly sight: OnScreen;
  readonly side: number;
}) {
  const { piece, programme } = partNamed(made, name);
  const latest = programme.moves.slice(count - fresh, count);
  const onSheet = (p: Point): readonly [number, number] => sight.at(apply(scene.frame, p));
  return (
    <>
      <HandTools blank={piece.blank} moves={latest} at={onSheet} scale={sight.scale} size={10} />
      {scene.anchors.map(({ edge, from, to }) => {
        const [x, y] = sight.at(middle(from, to));
        const [cx, cy] = [side / 2, side / 2];
        const out = 8 / Math.hypot(x - cx, y - cy);
        return (
          <text
            key={edge}
            x={x + (x - cx) * out}
            y={y + (y - cy) * out + 4}
            textAnchor="middle"
            className={edge === near ? styles.near : styles.edge}
          >
            {edge}
          </text>
        );
      })}
      {latest[0]?.do === 'turn' && (
        <path d={`M${side / 2 + 17} ${side / 2 - 12}a21 21 0 0 1 -14 33m6 -9l-7 9 10 4`} className={styles.turn} />
      )}
    </>
  );
}

/** The score the place of what is glued is told from has its number, beyond it. */
function ScoreNumber({
  picture: { piece: name, glued },
  made,
  scene,
  sight: { at },
}: {
  readonly picture: FlatPicture;
  readonly made: Made;
  readonly scene: Scene;
  readonly sight: OnScreen;
}) {
  const { piece, programme } = partNamed(made, name);
  const told = piece.hinges.find(({ id }) => id === glued?.from);
  if (!told) return null;
  const [lx, ly] = at(apply(scene.frame, middle(told.line.from, told.line.to)));
  const laid = scene.marks.findLast((mark) => mark.kind === 'area' && mark.of === 'laid');
  const corners = (laid?.kind === 'area' ? laid.rings : scene.faces[0]!.rings).flat().map(at);
  const heart = [0, 1].map((axis) => {
    const values = corners.map((p) => p[axis]!);
    return (Math.min(...values) + Math.max(...values)) / 2;
  }) as [number, number];
  const beyond = 9 / Math.max(1, Math.hypot(lx - heart[0], ly - heart[1]));
  return (
    <text
      x={lx + (lx - heart[0]) * beyond}
      y={ly + (ly - heart[1]) * beyond}
      textAnchor="middle"
      dominantBaseline="central"
      className={styles.near}
    >
      {scoreNumbers(programme).get(told.id)}
    </text>
  );
}

/** The trimmer's rail along each cut: first from side to side of the sheet, then across what is left. */
function Rails({ scene, sight: { at } }: { readonly scene: Scene; readonly sight: OnScreen }) {
  const [stock, blank] = scene.faces.map(({ rings }) => rings[0]!);
  const [low, high] = [blank![0]!, blank![2]!];
  const sheet = stock![2]!;
  // Nothing is cut along the sheet's own rim.
  const inside = (place: number, most: number): boolean => place > TOLERANCE.drawn && place < most - TOLERANCE.drawn;
  const line = (from: Point, to: Point, dx: number, dy: number): string => {
    const [[x1, y1], [x2, y2]] = [at(from), at(to)];
    return `M${x1 - dx} ${y1 + dy}L${x2 + dx} ${y2 - dy}`;
  };
  const rails = [
    ...[low.x, high.x].filter((x) => inside(x, sheet.x)).map((x) => line({ x, y: 0 }, { x, y: sheet.y }, 0, 5)),
    ...[low.y, high.y].filter((y) => inside(y, sheet.y)).map((y) => line({ x: low.x, y }, { x: high.x, y }, 5, 0)),
  ];
  // Of unknown paper two sides are cut.
  const corner = `${line({ x: high.x, y: 0 }, high, 0, 5)}${line({ x: 0, y: high.y }, high, 5, 0)}`;
  return <path d={rails.length > 0 ? rails.join('') : corner} className={styles.rail} />;
}
