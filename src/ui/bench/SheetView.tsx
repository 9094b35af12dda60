'use client';

import { polygonCentroid } from 'd3';
import { useMemo, useRef, useState, type ReactNode } from 'react';
import { sheetDrawing } from '@/core/files';
import { turned } from '@/core/fit';
import { flatStack, mouthView } from '@/core/fold';
import { boxOf, distance, middle, type Point } from '@/core/geometry';
import { formatLength, mm, roundTo, stepOf } from '@/core/length';
import { edgeLength, onEdge, type Edge } from '@/core/pattern';
import type { Design, Made, MadePiece } from '@/core/plan';
import { FigureText } from '../draw/FigureText';
import { Grab } from '../draw/Grab';
import { ringsPath } from '../draw/path';
import { Ruler } from '../draw/Ruler';
import { useSize } from '../draw/useSize';
import { useReading } from '../parts/Reading';
import type { Dragging } from './useDrag';
import styles from './SheetView.module.css';

interface SheetViewProps {
  readonly made: Made;
  /** The piece on the table. */
  readonly part: MadePiece;
  readonly design: Design;
  readonly dragging: Dragging;
}

/** Room round the sheet for its rulers and marks, px. */
const MARGIN = 58;

/** The flat sheet of one piece, true to scale: ruled edges, numbered scores, cuts, flaps, glue, and what can be dragged. */
export function SheetView({ made, part, design, dragging }: SheetViewProps) {
  const { graduation, say } = useReading();
  const { onFold, onContents } = dragging;
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const [heldScale, setHeldScale] = useState<number | null>(null);
  const drawing = useMemo(() => sheetDrawing(made, part), [made, part]);
  const { piece } = part;
  const { blank } = piece;
  const box = size ?? { width: 600, height: 600 };
  const free = { width: Math.max(120, box.width - 2 * MARGIN), height: Math.max(120, box.height - 2 * MARGIN) };
  const scale = heldScale ?? Math.min(free.width / blank.width, free.height / blank.height);
  // The middle of the sheet stands still while it grows, so a drag never runs away from the finger.
  const at = (p: Point): readonly [number, number] => [
    box.width / 2 + (p.x - blank.width / 2) * scale,
    box.height / 2 - (p.y - blank.height / 2) * scale,
  ];
  const hold = (held: boolean): void => setHeldScale(held ? scale : null);
  const step = stepOf(graduation) || 1;
  const seat = contentsOnSheet(made, part, design);
  const heart = seat?.heart ?? { x: blank.width / 2, y: blank.height / 2 };
  const grips = made.built.grips.filter(({ hinge }) => drawing.scores.some(({ id }) => id === hinge));
  const numbered = new Map(drawing.scores.map((score) => [score.id, score.number]));
  // Scores run in one go carry one number, on the longest of them.
  const badges = [...new Set(drawing.scores.map((score) => score.number))].map((number) =>
    drawing.scores
      .filter((score) => score.number === number)
      .reduce((a, b) => (distance(b.from, b.to) > distance(a.from, a.to) ? b : a)),
  );

  return (
    <>
      <div ref={frame} className={styles.frame}>
        {size && (
          <svg
            width={box.width}
            height={box.height}
            className={styles.sheet}
            role="group"
            aria-label={`The sheet, ${say(blank.width)} by ${say(blank.height)}, inside face up`}
          >
            <defs>
              <pattern id="glue-hatch" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(30)">
                <rect width="7" height="7" className={styles.glueGround} />
                <path d="M0 0V7" className={styles.glueLine} />
              </pattern>
              <pattern id="dry-dots" width="9" height="9" patternUnits="userSpaceOnUse">
                <path d="M2 2l3 3M5 2l-3 3" className={styles.dryMark} />
              </pattern>
            </defs>
            <rect
              x={at({ x: 0, y: blank.height })[0]}
              y={at({ x: 0, y: blank.height })[1]}
              width={blank.width * scale}
              height={blank.height * scale}
              className={styles.blank}
            />
            <path d={ringsPath(drawing.outline, at)} className={styles.paper} />
            <path d={ringsPath(drawing.noGlue, at)} fill="url(#dry-dots)" />
            <path d={ringsPath(drawing.glue, at)} fill="url(#glue-hatch)" />
            {seat && <path d={ringsPath([seat.card], at)} className={styles.contents} />}
            <path d={ringsPath(drawing.outline, at)} className={styles.cut} />
            {([1, 2, 3, 4] as const).map((edge) => {
              const [x, y] = at(onEdge(blank, edge, 0));
              return (
                <g key={edge} transform={`translate(${x} ${y}) rotate(${-90 * (edge - 1)})`}>
                  <Ruler length={edgeLength(blank, edge)} scale={scale} />
                  <text x={edgeLength(blank, edge) * scale} y={54} textAnchor="end" className={styles.edgeName}>
                    edge {edge}
                  </text>
                  <EdgeMarks made={made} part={part} edge={edge} scale={scale} />
                </g>
              );
            })}
            {piece.panels.map((panel) => {
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
            })}
            {seat && (
              <CardLabel
                at={at(heart)}
                width={seat.width}
                height={seat.height}
                known={design.contents !== null}
                room={seat.shown * scale}
              />
            )}
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
              return (
                <line
                  key={score.id}
                  x1={x1}
                  y1={y1}
                  x2={x2}
                  y2={y2}
                  className={score.fold === 'valley' ? styles.valley : styles.mountain}
                />
              );
            })}
            {badges.map((score) => {
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
            {grips.map((grip) => {
              const score = drawing.scores.find(({ id }) => id === grip.hinge)!;
              const { along, does } = grip;
              return (
                <Grab
                  key={`${grip.hinge}-${grip.label}`}
                  at={at(middle(score.from, score.to))}
                  label={`Score ${numbered.get(grip.hinge)}: ${grip.label}`}
                  text={
                    does.kind === 'option'
                      ? say(does.from)
                      : `room ${say(made.fit?.ease.width ?? 0)} by ${say(made.fit?.ease.height ?? 0)}`
                  }
                  value={does.kind === 'option' ? does.from : (made.fit?.ease[does.side] ?? 0)}
                  onStart={() => {
                    hold(true);
                    onFold(grip, 0, 'start');
                  }}
                  onDrag={(dx, dy) => onFold(grip, (dx * along.x - dy * along.y) / scale, 'move')}
                  onEnd={() => {
                    hold(false);
                    onFold(grip, 0, 'end');
                  }}
                  onStep={(dx, dy) => {
                    // Along the fold's own way where the key points that way, else more for up and right.
                    const way = dx * along.x + dy * along.y;
                    const by = (Math.abs(way) > 0.1 ? Math.sign(way) : dx + dy) * step;
                    onFold(grip, by / Math.abs(does.rate), 'step');
                  }}
                />
              );
            })}
            {seat && design.contents && (
              <Grab
                at={at(seat.corner)}
                label="Corner of the contents: drag to resize"
                text={`${say(seat.width)} by ${say(seat.height)}`}
                value={seat.width}
                corner
                onStart={() => {
                  hold(true);
                  onContents(0, 0, 'start');
                }}
                onEnd={() => hold(false)}
                onDrag={(dx, dy) => {
                  const pull = { x: dx / scale, y: -dy / scale };
                  const sign = (axis: Point): number =>
                    Math.sign((seat.corner.x - heart.x) * axis.x + (seat.corner.y - heart.y) * axis.y);
                  onContents(
                    2 * sign(seat.across) * (pull.x * seat.across.x + pull.y * seat.across.y),
                    2 * sign(seat.deep) * (pull.x * seat.deep.x + pull.y * seat.deep.y),
                    'move',
                  );
                }}
                onStep={(dx, dy) => onContents(dx * step, dy * step, 'step')}
              />
            )}
          </svg>
        )}
      </div>
      <Legend mountain={drawing.scores.some(({ fold }) => fold === 'mountain')} />
    </>
  );
}

/** What the kinds of line and hatching mean; told by pattern, not by colour. */
function Legend({ mountain }: { readonly mountain: boolean }) {
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

interface Seat {
  readonly panel: string;
  readonly card: readonly Point<'sheet'>[];
  readonly corner: Point<'sheet'>;
  readonly heart: Point<'sheet'>;
  /** Directions of the contents' width and height on the sheet. */
  readonly across: Point;
  readonly deep: Point;
  readonly width: number;
  readonly height: number;
  /** Width of the label's place on the sheet, mm. */
  readonly shown: number;
}

/** The contents as they will lie on the panel that takes them, when that is on this piece. */
function contentsOnSheet(made: Made, { piece }: MadePiece, design: Design): Seat | null {
  const [cavity] = made.built.cavities;
  const panel = piece.panels.find(({ id }) => id === cavity?.floor);
  if (!cavity || cavity.kind === 'box' || !panel) return null;
  const view = mouthView(flatStack(piece), cavity);
  const { width, height } = design.contents ?? made.largest;
  const { width: across, height: deep } = turned(cavity, { width: view.across, height: view.up });
  const xs = panel.polygon.map((p) => p.x);
  const ys = panel.polygon.map((p) => p.y);
  const heart = { x: (Math.min(...xs) + Math.max(...xs)) / 2, y: (Math.min(...ys) + Math.max(...ys)) / 2 };
  const card = (
    [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ] as const
  ).map(([u, v]) => ({
    x: heart.x + (across.x * u * width) / 2 + (deep.x * v * height) / 2,
    y: heart.y + (across.y * u * width) / 2 + (deep.y * v * height) / 2,
  }));
  const corner = card.reduce((a, b) => (b.y > a.y + 1e-6 || (Math.abs(b.y - a.y) < 1e-6 && b.x > a.x) ? b : a));
  const shown = Math.max(...card.map((p) => p.x)) - Math.min(...card.map((p) => p.x));
  return { panel: panel.id, card, corner, heart, across, deep, width, height, shown };
}

/** What to set or measure along an edge: flags that point at the place, each with its figure. */
function EdgeMarks({
  made,
  part: { piece, programme },
  edge,
  scale,
}: {
  made: Made;
  part: MadePiece;
  edge: Edge;
  scale: number;
}) {
  const onBoard = programme.marks.some((mark) => mark.for === 'notch');
  const own = programme.marks.filter((mark) => mark.edge === edge);
  const marks = own.filter((mark) => mark.for === (onBoard ? 'notch' : 'score'));
  const slants = own.filter((mark) => mark.for === 'slant' && !mark.deep);
  const first = onBoard && made.built.start.edge === edge;
  return (
    <g>
      {marks.map((mark, i) => {
        const notch = piece.notches.filter((n) => n.edge === edge)[i];
        const x = (onBoard && notch ? notch.at : mark.at) * scale;
        const anchor =
          onBoard || marks.length !== 2 || marks[1]!.at - marks[0]!.at > 60 / scale
            ? 'middle'
            : i === 0
              ? 'end'
              : 'start';
        // Marks that stand too close to be told apart keep their flags; the numbers beside the sheet say them all.
        const crowded =
          marks.length > 2 && marks.some((other, j) => j !== i && Math.abs(other.at - mark.at) * scale < 44 && j < i);
        return (
          <g key={i}>
            <path d={`M${x} 2l-4.500 9h9z`} className={first || !onBoard ? styles.flag : styles.flagQuiet} />
            {!crowded && (
              <FigureText
                x={x + (anchor === 'end' ? 6 : anchor === 'start' ? -6 : 0)}
                y={42}
                value={mark.at}
                before={first ? 'set ' : ''}
                anchor={anchor}
                className={first || !onBoard ? styles.setting : styles.settingQuiet}
              />
            )}
          </g>
        );
      })}
      {slants.map((mark, i) => (
        <g key={`slant-${i}`}>
          <path d={`M${mark.at * scale} 2l-4.500 9h9z`} className={styles.flagQuiet} />
          {onBoard && <FigureText x={mark.at * scale} y={42} value={mark.at} className={styles.settingQuiet} />}
        </g>
      ))}
    </g>
  );
}

function CardLabel({
  at: [x, y],
  width,
  height,
  known,
  room,
}: {
  at: readonly [number, number];
  width: number;
  height: number;
  known: boolean;
  /** Pixels there are across. */
  room: number;
}) {
  const { units, graduation } = useReading();
  if (room < 70) return null;
  // What fits is never said larger than it is.
  const say = (value: number): string =>
    formatLength(known ? mm(value) : roundTo(mm(value), graduation, 'down'), units, graduation);
  return (
    <text textAnchor="middle" className={styles.cardLabel}>
      <tspan x={x} y={y - 6}>
        {known ? 'what goes in' : 'holds up to'}
      </tspan>
      <tspan x={x} y={y + 15} className={styles.cardSize}>
        {say(width)} × {say(height)}
      </tspan>
    </text>
  );
}
