import { alongContents } from '@/core/fit';
import { foldedBox } from '@/core/fold';
import { boxOf, middle, TOLERANCE, type Point } from '@/core/geometry';
import { edgeLength, onEdge } from '@/core/pattern';
import { planTool, toolMove } from '@/core/tools';
import { basePieces, glueAreas, keepDry, partNamed, scoreNumbers, type Made } from '@/core/plan';
import {
  finishedFront,
  gluedFlat,
  cutFromSheet,
  inPile,
  pileAtStep,
  stillStep,
  type CutOut,
  type Finish,
  type StepPicture as Picture,
} from '@/core/looks';
import type { Design } from '@/core/design';
import { FoldedFace, facePlace } from '../draw/FoldedFace';
import { MadeSheet } from '../draw/MadeSheet';
import { ringsPath } from '../draw/path';
import { Still, stillSize } from '../draw/Still';
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

type Sized = StepPictureProps & { readonly size: number };

/** The paper as it lies during one step, seen by the maker: what is new stands out. */
export function StepPicture({ picture, made, design, size = SMALL }: StepPictureProps) {
  const of = { made, design, size };
  if (picture.kind === 'standing') return <PartStanding picture={picture} {...of} />;
  return (
    <svg width={size} height={size} viewBox={`0 0 ${size} ${size}`} className={styles.picture} aria-hidden="true">
      {picture.done ? (
        <Finished done={picture.done} laying={picture.laying} {...of} />
      ) : picture.kind === 'flat' ? (
        picture.cut ? (
          <Cutting picture={picture} {...of} />
        ) : picture.glued ? (
          <GluedFlat picture={picture} glued={picture.glued} {...of} />
        ) : (
          <FlatSheet picture={picture} {...of} />
        )
      ) : (
        <PartFolded picture={picture} {...of} />
      )}
    </svg>
  );
}

/** The sheet with the near edge at the bottom, and what the simulated tool has made of it so far. */
function FlatSheet({ picture, made, design, size: side }: Sized & { picture: Extract<Picture, { kind: 'flat' }> }) {
  const { piece, programme } = partNamed(made, picture.piece);
  const { blank } = piece;
  const { moves } = programme;
  const scale = (side - 2 * RIM) / Math.max(blank.width, blank.height);
  const turn = ((picture.near - 1) * Math.PI) / 2;
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  // A quarter clockwise for every turn made, about the middle of the sheet.
  const at = (p: Point): readonly [number, number] => {
    const [x, y] = [p.x - blank.width / 2, p.y - blank.height / 2];
    return [side / 2 + (x * cos + y * sin) * scale, side / 2 - (y * cos - x * sin) * scale];
  };
  const done = moves.slice(0, picture.moves);
  const fresh = done.slice(done.length - picture.fresh);
  // The tool as it lies: the near edge at the bottom, as far to the left as the tool asks.
  const wide = edgeLength(blank, picture.near);
  const deep = edgeLength(blank, picture.near % 2 === 1 ? 2 : 1);
  const onTool = fresh.some((move) => toolMove(move) !== null);
  const under = onTool ? (planTool(design.tool).under?.(design.tool, done, { wide, deep }) ?? null) : null;
  const view = {
    px: (x: number): number => side / 2 + (x + (under?.shift ?? 0) - wide / 2) * scale,
    py: (y: number): number => side / 2 + (deep / 2 - y) * scale,
    scale,
  };
  return (
    <g>
      {under && <Under under={under} plain {...view} />}
      <MadeSheet blank={blank} tool={design.tool} moves={done} fresh={picture.fresh} at={at} scale={scale} />
      <HandTools blank={blank} moves={fresh} at={at} scale={scale} size={10} />
      {([1, 2, 3, 4] as const).map((edge) => {
        const [x, y] = at(onEdge(blank, edge, edgeLength(blank, edge) / 2));
        const [cx, cy] = [side / 2, side / 2];
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
      {done[done.length - picture.fresh]?.do === 'turn' && (
        <path d={`M${side / 2 + 17} ${side / 2 - 12}a21 21 0 0 1 -14 33m6 -9l-7 9 10 4`} className={styles.turn} />
      )}
    </g>
  );
}

/** The flat sheet seen from one side, with what is glued on it there. */
function GluedFlat({
  picture: { piece: name, moves: count },
  glued,
  made,
  design,
  size: side,
}: Sized & {
  readonly picture: Extract<Picture, { kind: 'flat' }>;
  readonly glued: NonNullable<Extract<Picture, { kind: 'flat' }>['glued']>;
}) {
  const { piece, programme } = partNamed(made, name);
  const { blank } = piece;
  const scale = (side - 2 * RIM) / Math.max(blank.width, blank.height);
  // Turned over from left to right, as one turns a page.
  const mirrored = glued.side === 'outside' ? -1 : 1;
  const at = (p: Point): readonly [number, number] => [
    side / 2 + mirrored * (p.x - blank.width / 2) * scale,
    side / 2 - (p.y - blank.height / 2) * scale,
  ];
  const { laid, ribbon } = gluedFlat(made, design, name, glued);
  // The score its place is told from has its number, beyond it.
  const told = piece.hinges.find(({ id }) => id === glued.from);
  const [lx, ly] = told ? at(middle(told.line.from, told.line.to)) : [0, 0];
  const box = laid.length > 0 ? boxOf(laid.at(-1)!) : boxOf(piece.panels[0]!.polygon);
  const [mx, my] = at({ x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 });
  const beyond = 9 / Math.max(1, Math.hypot(lx - mx, ly - my));
  const [tx, ty] = [lx + (lx - mx) * beyond, ly + (ly - my) * beyond];
  return (
    <g className={glued.side === 'outside' ? styles.outside : undefined}>
      <MadeSheet
        blank={blank}
        tool={design.tool}
        moves={programme.moves.slice(0, count)}
        fresh={0}
        at={at}
        scale={scale}
      />
      {ribbon && <path d={`M${at(ribbon.from).join(' ')}L${at(ribbon.to).join(' ')}`} className={styles.ribbon} />}
      {laid.map((polygon, i) => (
        <path key={i} d={ringsPath([polygon], at)} className={styles.laid} />
      ))}
      {told && (
        <text x={tx} y={ty} textAnchor="middle" dominantBaseline="central" className={styles.near}>
          {scoreNumbers(programme).get(told.id)}
        </text>
      )}
    </g>
  );
}

/** A blank in the sheet it is cut from, the trimmer's rail along each cut; by itself where no sheet is known. */
function Cutting({ picture, made, design, size: side }: Sized & { picture: Extract<Picture, { kind: 'flat' }> }) {
  const part = partNamed(made, picture.piece);
  const { blank } = part.piece;
  const { paper, out } = cutFromSheet(made, design, part) ?? { paper: blank, out: { x: 0, y: 0, ...blank } };
  const scale = (side - 2 * RIM) / Math.max(paper.width, paper.height);
  const px = (x: number): number => side / 2 + (x - paper.width / 2) * scale;
  const py = (y: number): number => side / 2 + (paper.height / 2 - y) * scale;
  const box = ({ x, y, width, height }: CutOut) => ({
    x: px(x),
    y: py(y + height),
    width: width * scale,
    height: height * scale,
  });
  const [right, top] = [out.x + out.width, out.y + out.height];
  // First from side to side of the sheet, then across what is left; nothing is cut along the sheet's own rim.
  const inside = (at: number, most: number): boolean => at > TOLERANCE.drawn && at < most - TOLERANCE.drawn;
  const rails = [
    ...[out.x, right]
      .filter((x) => inside(x, paper.width))
      .map((x) => `M${px(x)} ${py(0) + 5}V${py(paper.height) - 5}`),
    ...[out.y, top].filter((y) => inside(y, paper.height)).map((y) => `M${px(out.x) - 5} ${py(y)}H${px(right) + 5}`),
  ];
  return (
    <g>
      <rect {...box({ x: 0, y: 0, ...paper })} className={styles.sheet} />
      <rect {...box(out)} className={styles.blank} />
      {/* Of unknown paper two sides are cut. */}
      <path
        d={rails.length > 0 ? rails.join('') : `M${px(right)} ${py(0) + 5}V${py(top)}H${px(0) - 5}`}
        className={styles.rail}
      />
    </g>
  );
}

/** The pile before or after a stage, mouth at the top, with the glue to put on or the contents on their way in. */
function PartFolded({ picture, made, design, size }: Sized & { picture: Extract<Picture, { kind: 'folded' }> }) {
  const { folded, built } = made;
  const stage = folded.stages[picture.stage]!;
  const { stack, view } = pileAtStep(made, picture);
  const box = foldedBox(stack, view);
  const [wide, high] = [box.maxX - box.minX, box.maxY - box.minY];
  // A part-folded pile is drawn as large as its picture allows, but a small one never larger than the flat sheet.
  const flat = made.pieces[0].piece.blank;
  const scale = Math.min((size - 8) / Math.max(wide, high), (1.6 * (size - 8)) / Math.max(flat.width, flat.height));
  const [x, y] = [(size - wide * scale) / 2, (size - high * scale) / 2];
  const face = { stack, view, face: 'above', scale, x, y } as const;
  const place = facePlace(face);
  const glue = glueAreas(made)
    .filter(({ id }) => id === picture.glue)
    .flatMap(({ joint: { panel, polygons } }) => inPile(panel, polygons, stack, view));
  // Where the same part must stay free: told by its outline, so that it is not told by colour alone.
  const dry = keepDry(made)
    .filter(({ step }) => picture.glue && step === stage.step.id)
    .flatMap(({ panel, polygons }) => inPile(panel, polygons, stack, view));
  const [cavity] = built.cavities;
  const [contents, inside] = [
    alongContents(cavity, design.contents ?? made.largest),
    alongContents(cavity, made.inside),
  ];
  // A little less than half of them is still outside; seen from above, the rectangle's left end is its right.
  const [left, top] = place({ x: (inside.width + contents.width) / 2, y: -0.45 * contents.height });
  return (
    <g>
      <FoldedFace {...face} given={basePieces(built)} />
      {dry.length > 0 && <path d={ringsPath(dry, place)} className={styles.dry} />}
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

/** The front of the finished pile with what lies in it and on it, its glue seen through the paper. */
function Finished({
  done,
  laying,
  made,
  design,
  size: side,
}: Omit<Sized, 'picture'> & { readonly done: Finish; readonly laying: string | undefined }) {
  const drawn = finishedFront(made, design, done, laying);
  const box = foldedBox(drawn.stack, drawn.view);
  const [wide, high] = [box.maxX - box.minX, box.maxY - box.minY];
  const scale = (side - 12) / Math.max(wide, high);
  return <FoldedFace {...drawn} scale={scale} x={(side - wide * scale) / 2} y={(side - high * scale) / 2} />;
}

/** What stands before or after a stage, with the glue to put on or the contents on their way in. */
function PartStanding({
  picture,
  made,
  design,
  size: side,
}: Sized & { picture: Extract<Picture, { kind: 'standing' }> }) {
  const faces = stillStep(made, picture, design);
  const { width, height } = stillSize(faces);
  const scale = Math.min((side - 8) / width, (side - 8) / height);
  return (
    <span className={styles.standing} style={{ width: side, height: side }}>
      <Still faces={faces} scale={scale} given={basePieces(made.built)} />
    </span>
  );
}
