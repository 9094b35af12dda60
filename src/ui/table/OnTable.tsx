import { ascending, greatest, range } from 'd3-array';
import { dot, minus, translation, type Point } from '@/core/geometry';
import { INCH, mm } from '@/core/length';
import { asMade, type CutOut, type cutFromSheet } from '@/core/looks';
import { edgeLength, leftOf, onEdge, type Blank, type Edge } from '@/core/pattern';
import type { Made } from '@/core/plan';
import { inFrom, linesOf, onStock, STYLE, tableScene, uncutScene, type Scene } from '@/core/scene';
import { planTool, scoresRun, toolMove, type Move, type Tool } from '@/core/tools';
import { FigureText } from '../draw/FigureText';
import { SceneDrawn, type OnScreen } from '../draw/SceneDrawn';
import { useUnits } from '../parts/InUnits';
import { HandTools } from './HandTools';
import { figureRows, numberedEvery, roomForRows, ROW, toldIn } from './figureRows';
import { LIT, Over, SCALE_AT, SET, Under, type TableBox, type TableView } from './Under';
import styles from './OnTable.module.css';

interface OnTableProps {
  /** The piece it becomes. */
  readonly piece: string;
  readonly blank: Blank;
  /** What the sheet is a piece of, whose paper it is; left out for a sheet of no plan. */
  readonly made?: Made;
  readonly tool: Tool;
  /** Moves done so far; the last `fresh` of them are what is shown. With none fresh the sheet lies by itself. */
  readonly moves: readonly Move[];
  readonly fresh: number;
  /** The edge at the maker. */
  readonly near: Edge;
  readonly width: number;
  readonly height: number;
  readonly label: string;
  /** The length that is told in figures where several are found in one go; left out, all are. */
  readonly shown?: number | undefined;
  /** The sheet the blank is cut from and where, shown behind it while it is cut. */
  readonly from?: ReturnType<typeof cutFromSheet>;
}

/** Room for words and edge numbers round what is drawn, px. */
const RIM = 34;

/** How far under the near edge the figure of a mark on its ruler stands, px. */
const MARKED = 47;

/** Breadth of the trimmer's rail, px. */
const RAIL = 14;

/** Breadth of the tag that names an edge, px: scores have circled numbers, edges have tags. */
const TAG = 52;
/** The same where there is room for its number alone: on a sheet where the tags of two edges that meet would run into each other. */
const SHORT_TAG = 20;
const TAG_HIGH = 20;
const SMALL = 2 * TAG;
/** A sheet narrower than this, px, has no room for the numbers of its edges. */
const NARROW = 84;

/** The sheet with its near edge at the maker, in or under the tool that is used on it, seen from above. */
export function OnTable(props: OnTableProps) {
  const { piece, blank, made, tool, moves, fresh, near, width, height, label, shown } = props;
  const paper = props.from?.paper ?? null;
  const out = props.from?.told ? props.from.out : null;
  const latest = moves.slice(moves.length - fresh);
  const last = latest.at(-1);
  const [wide, deep] = [edgeLength(blank, near), edgeLength(blank, near % 2 === 1 ? 2 : 1)];
  // What is done by hand is done off the board.
  const onTool = latest.some((move) => toolMove(move) !== null);
  const laid = onTool ? (planTool(tool).under?.(tool, moves, { wide, deep }) ?? null) : null;
  // The sheet's left end stands so far left of where the tool works; elsewhere it is the origin.
  const shift = laid?.shift ?? 0;
  const sheet: TableBox = { left: -shift, right: wide - shift, bottom: 0, top: deep };
  const under: TableBox =
    laid?.box ??
    (paper
      ? { left: 0, right: paper.width, bottom: 0, top: paper.height }
      : { ...sheet, bottom: latest.some((move) => move.do === 'mark' || move.do === 'join') ? -14 : 0 });
  const all = {
    left: Math.min(sheet.left, under.left),
    right: Math.max(sheet.right, under.right),
    bottom: Math.min(sheet.bottom, under.bottom),
    top: Math.max(sheet.top, under.top),
  };
  const marks = latest.flatMap((move) => (move.do === 'mark' && move.edge === near ? [move.at] : []));
  const scaleOver = (foot: number): number =>
    Math.min((width - 2 * RIM) / (all.right - all.left), (height - RIM - foot) / (all.top - all.bottom));
  // Figures under their marks take rows: the drawing leaves room for them.
  const rough = 0.85 * scaleOver(RIM);
  const lit = laid?.things.flatMap((thing) => (thing.is === 'grooves' ? thing.lit : [])) ?? [];
  const set = laid?.things.flatMap((thing) => (thing.is === 'scale' && thing.lit !== null ? [thing.lit] : [])) ?? [];
  const room = (of: readonly number[], first: number): number =>
    roomForRows(
      of.map((mark) => mark * rough),
      first + 8,
    );
  const foot = Math.min(
    height / 2,
    Math.max(
      RIM,
      room(toldIn(marks, shown), MARKED) + all.bottom * rough,
      room(toldIn(lit, shown), LIT),
      set.length > 0 ? room(set, SET) + (all.bottom - SCALE_AT) * rough : 0,
    ),
  );
  const scale = scaleOver(foot);
  const left = (height - RIM - foot - (all.top - all.bottom) * scale) / 2;
  const [ox, oy] = [
    (width - (all.right - all.left) * scale) / 2 - all.left * scale,
    height - foot - left + all.bottom * scale,
  ];
  const px = (x: number): number => ox + x * scale;
  const py = (y: number): number => oy - y * scale;
  const [from, to] = [onEdge(blank, near, 0), onEdge(blank, near, wide)];
  const along = { x: (to.x - from.x) / wide, y: (to.y - from.y) / wide };
  const at = (p: Point): readonly [number, number] => {
    const by = minus(p, from);
    return [px(dot(by, along) - shift), py(along.x * by.y - along.y * by.x)];
  };
  const view = { px, py, scale };
  const sight: OnScreen = { at, scale };
  const lain = tableScene({ name: piece, blank }, tool, moves, fresh);
  const lying = made ? asMade(made, lain) : lain;
  const tags = tagsOf({
    blank,
    near,
    at,
    scale,
    ruled: marks.length > 0,
    onTool: laid !== null,
    figures: [...toldIn(lit, shown), ...set].map(px),
    inward: latest.some((move) => move.do === 'cut' || move.do === 'snip'),
  });
  const turns = latest.filter((move) => move.do === 'turn').length;
  const middle = { x: px((sheet.left + sheet.right) / 2), y: py(deep / 2) };
  return (
    <svg
      width={width}
      height={height}
      viewBox={`0 0 ${width} ${height}`}
      role="img"
      aria-label={label}
      className={styles.table}
    >
      {paper && fresh === 0 && moves.length === 0 && (
        <Uncut
          made={made}
          {...view}
          piece={piece}
          out={out ?? { x: 0, y: 0, ...blank }}
          paper={paper}
          upright={out !== null}
        />
      )}
      {laid && <Under under={laid} shown={shown} {...view} />}
      <g
        key={moves.length}
        className={turns > 0 ? styles.turning : undefined}
        style={
          turns > 0
            ? ({ '--from': `${-90 * turns}deg`, transformOrigin: `${middle.x}px ${middle.y}px` } as React.CSSProperties)
            : undefined
        }
      >
        <g className={laid ? styles.over : undefined}>
          {!(out && paper) && (
            <>
              <SceneDrawn scene={lying} sight={sight} />
              {last !== undefined && scoresRun(last).length > 0 && <Running scene={lying} sight={sight} />}
            </>
          )}
        </g>
        {/* While it is cut out of its sheet no edge has a number yet. */}
        {!paper && <EdgeNumbers tags={tags} near={near} />}
      </g>
      {!onTool && latest.some(({ do: what }) => WITHOUT_TOOL.has(what)) && (
        <ScoreNumbers
          scene={lying}
          moves={moves.slice(0, moves.length - fresh)}
          sight={sight}
          tags={paper ? [] : tags}
        />
      )}
      {turns > 0 && <TurnArrow x={middle.x} y={middle.y} r={Math.min(wide, deep) * scale * 0.22} />}
      {laid && <Over under={laid} {...view} />}
      <HandTools blank={blank} moves={latest} at={at} scale={scale} />
      {marks.length > 0 && <MarkRuler marks={marks} told={toldIn(marks, shown)} long={wide} {...view} />}
      {last?.do === 'join' && (
        <LaidRuler
          from={at(onEdge(blank, last.from.edge, last.from.at))}
          to={at(onEdge(blank, last.to.edge, last.to.at))}
        />
      )}
    </svg>
  );
}

/** What is done by hand beside scores, and told by their numbers. */
const WITHOUT_TOOL: ReadonlySet<Move['do']> = new Set(['mark', 'cut', 'snip', 'slit']);
/** Where the number of a score may stand along it; the first that is free of others. */
const ALONG = [0.25, 0.75, 0.5, 0.36, 0.64, 0.14, 0.86, 0.43, 0.57];
/** Radius of the ring round a number, px, and how far it keeps from others. */
const RING = 10;
const APART = 3;

/** The numbers of the scores that are made, as sentences name them; one that has no room is left out. */
function ScoreNumbers({
  scene,
  moves,
  sight: { at },
  tags,
}: {
  readonly scene: Scene;
  readonly moves: readonly Move[];
  readonly sight: OnScreen;
  readonly tags: readonly EdgeTag[];
}) {
  const numbers = moves
    .map(scoresRun)
    .filter((run) => run.length > 0)
    .flatMap((run, i) => run.map(() => i + 1));
  const lines = linesOf(scene, 'score').filter(({ state }) => state !== 'fresh');
  // Where scores were told apart otherwise than they were run, none is named wrongly.
  if (lines.length !== numbers.length) return null;
  const taken: (readonly [number, number])[] = [];
  const isFree = ([x, y]: readonly [number, number]): boolean =>
    taken.every(([a, b]) => Math.hypot(a - x, b - y) > 2 * RING + APART) &&
    tags.every(
      (tag) => Math.abs(tag.x - x) > tag.wide / 2 + RING + APART || Math.abs(tag.y - y) > TAG_HIGH / 2 + RING + APART,
    );
  return lines.map(({ points }, i) => {
    const [[x1, y1], [x2, y2]] = [at(points[0]!), at(points.at(-1)!)];
    const spot = ALONG.map((t): readonly [number, number] => [x1 + (x2 - x1) * t, y1 + (y2 - y1) * t]).find(isFree);
    if (!spot) return null;
    taken.push(spot);
    return (
      <g key={i} className={styles.scoreNumber}>
        <circle cx={spot[0]} cy={spot[1]} r={RING} />
        <text x={spot[0]} y={spot[1] + 4.5} textAnchor="middle">
          {numbers[i]}
        </text>
      </g>
    );
  });
}

/** New scores as they are run: what is still to run is laid over in the sheet's own colour. */
const Running = ({ scene, sight: { at } }: { readonly scene: Scene; readonly sight: OnScreen }) =>
  linesOf(scene, 'score')
    .filter(({ state }) => state === 'fresh')
    .map(({ points }, i) => (
      <path key={i} d={`M${points.map((p) => at(p).join(' ')).join('L')}`} pathLength={1} className={styles.running} />
    ));

/** The sheet a blank is cut from, with the cuts: what lies in its middle is cut on all four sides. */
function Uncut({
  paper,
  out: { x, y, width, height },
  upright,
  piece,
  made,
  px,
  py,
  scale,
}: TableView & {
  readonly piece: string;
  readonly made: Made | undefined;
  readonly paper: Blank;
  readonly out: CutOut;
  readonly upright: boolean;
}) {
  const [right, top] = [x + width, y + height];
  const blank = uncutScene(piece, { width: mm(width), height: mm(height) });
  const lain = onStock(blank, translation(x, y), paper);
  const scene = made ? asMade(made, lain) : lain;
  const uprights = [x, right].filter((at) => at > 1e-6 && at < paper.width - 1e-6);
  const levels = [y, top].filter((at) => at > 1e-6 && at < paper.height - 1e-6);
  return (
    <g>
      <SceneDrawn
        scene={upright ? scene : { ...scene, faces: scene.faces.filter(({ stuff }) => stuff === 'stock') }}
        sight={{ at: (p) => [px(p.x), py(p.y)], scale }}
        look={STYLE.uncut}
      />
      {/* The trimmer's rail along each cut, its blade at the far end. */}
      {uprights.map((at) => (
        <g key={at}>
          <rect
            x={px(at) - RAIL / 2}
            y={py(paper.height) - 4}
            width={RAIL}
            height={py(0) - py(paper.height) + 8}
            rx={4}
            className={styles.rail}
          />
          <rect
            x={px(at) - RAIL / 2 - 3}
            y={py(paper.height) + 8}
            width={RAIL + 6}
            height={22}
            rx={5}
            className={styles.blade}
          />
          <line x1={px(at)} x2={px(at)} y1={py(0)} y2={py(paper.height) - 8} className={styles.cutLine} />
          <FigureText x={px(at)} y={py(paper.height) - 14} value={at} className={styles.figure} />
        </g>
      ))}
      {levels.map((at) => (
        <g key={at}>
          <rect
            x={px(upright ? x : 0) - 4}
            y={py(at) - RAIL / 2}
            width={px(Math.min(right, paper.width)) - px(upright ? x : 0) + 8}
            height={RAIL}
            rx={4}
            className={styles.rail}
          />
          <line
            x1={px(upright ? x : 0)}
            x2={px(Math.min(right, paper.width)) + 8}
            y1={py(at)}
            y2={py(at)}
            className={styles.cutLine}
          />
          <FigureText x={px(right) + 14} y={py(at) + 5} value={at} className={styles.figure} anchor="start" />
        </g>
      ))}
    </g>
  );
}

/** Where the number of an edge stands, px. */
interface EdgeTag {
  readonly edge: Edge;
  readonly x: number;
  readonly y: number;
  readonly wide: number;
}

interface TagsOf {
  readonly blank: Blank;
  readonly near: Edge;
  readonly at: (p: Point) => readonly [number, number];
  readonly scale: number;
  /** Corners come off: the numbers stand nearer to the middle. */
  readonly inward: boolean;
  /** A ruler lies along the near edge: outside, its number stands at the ruler’s end. */
  readonly ruled: boolean;
  /** A tool lies under it, with numbers of its own beyond a narrow strip. */
  readonly onTool: boolean;
  /** Where figures stand beyond the near edge. */
  readonly figures: readonly number[];
}

/** Half a figure and half a tag beside it, px. */
const BESIDE_FIGURE = 40;

/** The numbers of the edges, where each stands; the one across has no room beyond a narrow strip on a tool. */
function tagsOf({ blank, near, at, scale, inward, ruled, onTool, figures }: TagsOf): readonly EdgeTag[] {
  // On a narrow strip four numbers would run together: there they stand outside.
  const least = Math.min(blank.width, blank.height) * scale;
  const narrow = least < NARROW;
  const wide = least < SMALL ? SHORT_TAG : TAG;
  const told = ([1, 2, 3, 4] as const).filter((edge) => !(narrow && onTool && (edge - near + 4) % 4 === 2));
  return told.map((edge) => {
    const beside = (edge - near + 4) % 2 === 1;
    const long = edgeLength(blank, edge);
    const standing = (along: number): readonly [number, number] =>
      at(inFrom(blank, edge, along, (narrow ? -17 : beside ? wide / 2 + 5 : 15) / scale));
    // Past the middle, where notches and marks seldom are; outside, where no figure stands.
    const places = !narrow
      ? [long * (inward ? 0.6 : 0.86)]
      : ruled && edge === near
        ? [-RIM / 2 / scale]
        : [0.5, 0.86, 0.14].map((share) => share * long);
    const free = ([x]: readonly [number, number]): number =>
      edge === near ? Math.min(BESIDE_FIGURE, ...figures.map((figure) => Math.abs(figure - x))) : BESIDE_FIGURE;
    const [x, y] = greatest(places.map(standing), (a, b) => ascending(free(a), free(b)))!;
    return { edge, x, y, wide };
  });
}

/** Which edge is which: the near one and the left one stand out, in words too. */
const EdgeNumbers = ({ tags, near }: { readonly tags: readonly EdgeTag[]; readonly near: Edge }) => (
  <g>
    {tags.map(({ edge, x, y, wide }) => (
      <g key={edge} className={edge === near ? styles.nearEdge : edge === leftOf(near) ? styles.leftEdge : styles.edge}>
        <rect x={x - wide / 2} y={y - TAG_HIGH / 2} width={wide} height={TAG_HIGH} rx={4} />
        <text x={x} y={y + 5} textAnchor="middle">
          {wide < TAG ? edge : `edge ${edge}`}
        </text>
      </g>
    ))}
  </g>
);

function TurnArrow({ x, y, r }: { readonly x: number; readonly y: number; readonly r: number }) {
  const tip = { x: x + r, y };
  return (
    <g className={styles.arrow}>
      <path d={`M${x} ${y - r}A${r} ${r} 0 0 1 ${tip.x} ${tip.y}`} />
      <path d={`M${tip.x - 11} ${tip.y - 9}L${tip.x} ${tip.y + 5}L${tip.x + 9} ${tip.y - 12}`} />
    </g>
  );
}

/** A ruler along the near edge, its end at the sheet's left end, with the marks to make. */
function MarkRuler({
  marks,
  told,
  long,
  px,
  py,
  scale,
}: TableView & { readonly marks: readonly number[]; readonly told: readonly number[]; readonly long: number }) {
  const { units } = useUnits();
  const whole = units === 'in' ? INCH : 10;
  const step = whole / (units === 'in' ? (scale > 2 ? 8 : 4) : scale > 2 ? 10 : 2);
  const every = numberedEvery(units, scale);
  const rows = figureRows(told.map(px));
  return (
    <g>
      <rect x={px(0)} y={py(0) + 2} width={long * scale + 12} height={26} rx={3} className={styles.laid} />
      <g className={styles.ticks}>
        {range(0, Math.floor(long / step + 1e-6) + 1).map((i) => {
          const mark = i * step;
          const isLong = Math.abs(mark / whole - Math.round(mark / whole)) < 1e-6;
          return (
            <g key={i}>
              <line x1={px(mark)} x2={px(mark)} y1={py(0) + 2} y2={py(0) + (isLong ? 12 : 7)} />
              {isLong && i > 0 && Math.abs(mark / every - Math.round(mark / every)) < 1e-6 && (
                <text x={px(mark)} y={py(0) + 23} textAnchor="middle">
                  {Math.round(mark / (units === 'in' ? INCH : 1))}
                </text>
              )}
            </g>
          );
        })}
      </g>
      {marks.map((at, i) => (
        <line key={i} x1={px(at)} x2={px(at)} y1={py(0) - 8} y2={py(0) + 27} className={styles.lit} />
      ))}
      {told.map((at, i) => (
        <FigureText key={at} x={px(at)} y={py(0) + MARKED + ROW * rows[i]!} value={at} className={styles.figure} />
      ))}
    </g>
  );
}

/** A ruler laid along a line from mark to mark. */
function LaidRuler({ from, to }: { readonly from: readonly [number, number]; readonly to: readonly [number, number] }) {
  const [dx, dy] = [to[0] - from[0], to[1] - from[1]];
  const length = Math.max(1, Math.hypot(dx, dy));
  return (
    <rect
      x={-14}
      y={2}
      width={length + 28}
      height={22}
      rx={3}
      transform={`translate(${from[0]} ${from[1]}) rotate(${(Math.atan2(dy, dx) * 180) / Math.PI})`}
      className={styles.laid}
    />
  );
}
