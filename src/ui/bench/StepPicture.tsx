import { turned } from '@/core/fit';
import { foldedBox, hasPanel, inView, layerOf } from '@/core/fold';
import { apply, type Point } from '@/core/geometry';
import { edgeLength, onEdge } from '@/core/pattern';
import {
  givenPieces,
  glueAreas,
  stillStep,
  viewOf,
  type Design,
  type Made,
  type StepPicture as Picture,
} from '@/core/plan';
import { simulate } from '@/core/tools';
import { FoldedFace, facePlace } from '../draw/FoldedFace';
import { ringsPath } from '../draw/path';
import { Still, stillSize } from '../draw/Still';
import styles from './StepPicture.module.css';

interface StepPictureProps {
  readonly picture: Picture;
  readonly made: Made;
  readonly design: Design;
}

/** Side of a step's picture, px, and the rim left round the paper. */
const SIZE = 116;
const RIM = 15;

/** The paper as it lies during one step, seen by the maker: what is new stands out. */
export function StepPicture({ picture, made, design }: StepPictureProps) {
  if (picture.kind === 'standing') return <PartStanding picture={picture} made={made} design={design} />;
  return (
    <svg width={SIZE} height={SIZE} viewBox={`0 0 ${SIZE} ${SIZE}`} className={styles.picture} aria-hidden="true">
      {picture.kind === 'flat' ? (
        <FlatSheet picture={picture} made={made} design={design} />
      ) : (
        <PartFolded picture={picture} made={made} design={design} />
      )}
    </svg>
  );
}

/** The sheet with the near edge at the bottom, and what the simulated tool has made of it so far. */
function FlatSheet({ picture, made, design }: StepPictureProps & { picture: Extract<Picture, { kind: 'flat' }> }) {
  const { piece, programme } = made.pieces.find((part) => part.piece.name === picture.piece)!;
  const { blank } = piece;
  const { moves } = programme;
  const before = simulate(blank, design.tool, moves.slice(0, picture.moves - picture.fresh));
  const now = simulate(blank, design.tool, moves.slice(0, picture.moves));
  const scale = (SIZE - 2 * RIM) / Math.max(blank.width, blank.height);
  const turn = ((picture.near - 1) * Math.PI) / 2;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  // A quarter clockwise for every turn made, about the middle of the sheet.
  const at = (p: Point): readonly [number, number] => {
    const [x, y] = [p.x - blank.width / 2, p.y - blank.height / 2];
    return [SIZE / 2 + (x * cos + y * sin) * scale, SIZE / 2 - (y * cos - x * sin) * scale];
  };
  const line = ({ from, to }: { from: Point; to: Point }): string => `M${at(from).join(' ')}L${at(to).join(' ')}`;
  const isNew = (i: number, count: number): string => (i >= count ? styles.fresh! : '');
  const corners = ([1, 2, 3, 4] as const).map((edge) => onEdge(blank, edge, 0));
  const fresh = moves.slice(picture.moves - picture.fresh, picture.moves);
  const rounded = piece.trims.filter(({ name }) =>
    fresh.some((m) => (m.do === 'round' || m.do === 'bite') && m.what === name),
  );
  const marks = moves.slice(0, picture.moves).flatMap((move) => (move.do === 'mark' ? [move] : []));
  return (
    <g>
      <path d={ringsPath([corners], at)} className={styles.sheet} />
      {now.scores.map((score, i) => (
        <path key={i} d={line(score)} className={`${styles.score} ${isNew(i, before.scores.length)}`} />
      ))}
      {now.slits.map((slit, i) => (
        <path key={i} d={line(slit)} className={`${styles.cut} ${isNew(i, before.slits.length)}`} />
      ))}
      {now.cuts.map((path, i) => (
        <path
          key={i}
          d={`M${path.map((p) => at(p).join(' ')).join('L')}`}
          fill="none"
          className={`${styles.cut} ${isNew(i, before.cuts.length)}`}
        />
      ))}
      {now.holes.map((hole, i) => {
        const [x, y] = at(hole.centre);
        return (
          <circle
            key={i}
            cx={x}
            cy={y}
            r={Math.max(1.6, (hole.diameter / 2) * scale)}
            className={`${styles.notch} ${isNew(i, before.holes.length)}`}
          />
        );
      })}
      {now.notches.map((notch, i) => (
        <path key={i} d={ringsPath([notch], at)} className={`${styles.notch} ${isNew(i, before.notches.length)}`} />
      ))}
      {rounded.map((trim) => (
        <path key={trim.id} d={ringsPath([trim.polygon], at)} className={`${styles.notch} ${styles.fresh}`} />
      ))}
      {marks.map((mark, i) => {
        const [from, to] = [onEdge(blank, mark.edge, 0), onEdge(blank, mark.edge, edgeLength(blank, mark.edge))];
        const length = edgeLength(blank, mark.edge);
        const deep = mark.deep ?? 0;
        const rim = onEdge(blank, mark.edge, mark.at);
        const [x, y] = at({
          x: rim.x - ((to.y - from.y) / length) * deep,
          y: rim.y + ((to.x - from.x) / length) * deep,
        });
        return (
          <circle key={i} cx={x} cy={y} r={2.6} className={fresh.includes(mark) ? styles.markFresh : styles.mark} />
        );
      })}
      {([1, 2, 3, 4] as const).map((edge) => {
        const [x, y] = at(onEdge(blank, edge, edgeLength(blank, edge) / 2));
        const [cx, cy] = [SIZE / 2, SIZE / 2];
        const out = 8 / Math.hypot(x - cx, y - cy);
        return (
          <text
            key={edge}
            x={x + (x - cx) * out}
            y={y + (y - cy) * out + 4}
            textAnchor="middle"
            className={edge === picture.near ? styles.near : styles.edge}
          >
            {edge}
          </text>
        );
      })}
      {fresh[0]?.do === 'turn' && (
        <path d={`M${SIZE / 2 + 17} ${SIZE / 2 - 12}a21 21 0 0 1 -14 33m6 -9l-7 9 10 4`} className={styles.turn} />
      )}
    </g>
  );
}

/** The pile before or after a stage, mouth at the top, with the glue to put on or the contents on their way in. */
function PartFolded({ picture, made, design }: StepPictureProps & { picture: Extract<Picture, { kind: 'folded' }> }) {
  const { folded, built } = made;
  const stage = folded.stages[picture.stage]!;
  const stack = picture.before ? stage.before : stage.stack;
  const view = viewOf(built, stack);
  const box = foldedBox(stack, view);
  const [wide, high] = [box.maxX - box.minX, box.maxY - box.minY];
  // A part-folded pile is drawn as large as its picture allows, but a small one never larger than the flat sheet.
  const flat = made.pieces[0].piece.blank;
  const scale = Math.min((SIZE - 8) / Math.max(wide, high), (1.6 * (SIZE - 8)) / Math.max(flat.width, flat.height));
  const [x, y] = [(SIZE - wide * scale) / 2, (SIZE - high * scale) / 2];
  const face = { stack, view, face: 'above', scale, x, y } as const;
  const place = facePlace(face);
  const glue = glueAreas(made)
    .filter(({ id, joint }) => id === picture.glue && hasPanel(stack, joint.panel))
    .flatMap(({ joint: { panel, polygons } }) =>
      polygons.map((ring) => ring.map((p) => inView(view, apply(layerOf(stack, panel).map, p)))),
    );
  const [contents, inside] = [turned(built, design.contents ?? made.largest), turned(built, made.inside)];
  // A little less than half of them is still outside; seen from above, the rectangle's left end is its right.
  const [left, top] = place({ x: (inside.width + contents.width) / 2, y: -0.45 * contents.height });
  return (
    <g>
      <FoldedFace {...face} given={givenPieces(built)} />
      {glue.length > 0 && <path d={ringsPath(glue, place)} className={styles.glue} />}
      {picture.inserting && (
        <rect
          x={left}
          y={top}
          width={contents.width * scale}
          height={contents.height * scale}
          rx={1.5}
          className={styles.contents}
        />
      )}
    </g>
  );
}

/** What stands before or after a stage, with the glue to put on or the contents on their way in. */
function PartStanding({
  picture,
  made,
  design,
}: StepPictureProps & { picture: Extract<Picture, { kind: 'standing' }> }) {
  const faces = stillStep(made, picture, design.contents ?? made.largest);
  const { width, height } = stillSize(faces);
  const scale = Math.min((SIZE - 8) / width, (SIZE - 8) / height);
  return (
    <span className={styles.standing}>
      <Still faces={faces} scale={scale} given={givenPieces(made.built)} />
    </span>
  );
}
