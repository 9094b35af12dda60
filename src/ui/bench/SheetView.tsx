'use client';

import { drag, polygonCentroid, select } from 'd3';
import { useEffect, useMemo, useRef, useState, type KeyboardEvent, type ReactNode } from 'react';
import { sheetDrawing } from '@/core/files';
import { turned } from '@/core/fit';
import { mouthView } from '@/core/fold';
import { area, middle, type Point } from '@/core/geometry';
import { formatLength, mm, roundTo, stepOf, type Graduation, type Units } from '@/core/length';
import { edgeLength, onEdge, type Edge } from '@/core/pattern';
import type { Design, Made } from '@/core/plan';
import { FigureText } from '../draw/FigureText';
import { ringsPath } from '../draw/path';
import { Ruler } from '../draw/Ruler';
import { useSize } from '../draw/useSize';
import styles from './SheetView.module.css';

interface SheetViewProps {
  readonly made: Made;
  readonly design: Design;
  readonly units: Units;
  readonly graduation: Graduation;
  /** A fold pulled outward by mm since the drag began. */
  readonly onFold: (hinge: string, outward: number, phase: DragPhase) => void;
  /** Contents made larger or smaller by mm since the drag began. */
  readonly onContents: (wider: number, higher: number, phase: DragPhase) => void;
}
export type DragPhase = 'start' | 'move';

/** Room round the sheet for its rulers and marks, px. */
const MARGIN = 58;

/** The flat sheet, true to scale: ruled edges, numbered scores, notches, flaps, glue, and what can be dragged. */
export function SheetView({ made, design, units, graduation, onFold, onContents }: SheetViewProps) {
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const [heldScale, setHeldScale] = useState<number | null>(null);
  const drawing = useMemo(() => sheetDrawing(made), [made]);
  const { blank } = made.built.piece;
  const box = size ?? { width: 600, height: 600 };
  const free = Math.max(120, Math.min(box.width, box.height) - 2 * MARGIN);
  const scale = heldScale ?? free / Math.max(blank.width, blank.height);
  // The middle of the sheet stands still while it grows, so a drag never runs away from the finger.
  const at = (p: Point): readonly [number, number] => [
    box.width / 2 + (p.x - blank.width / 2) * scale,
    box.height / 2 - (p.y - blank.height / 2) * scale,
  ];
  const say = (value: number): string => formatLength(mm(value), units, graduation, true);
  const hold = (held: boolean): void => setHeldScale(held ? scale : null);
  const step = stepOf(graduation) || 1;

  const view = mouthView(made.folded.flat, made.built.cavities[0]);
  const contents = design.contents ?? made.largest;
  const { width: across, height: deep } = turned(made.built, { width: view.across, height: view.up });
  const body = made.built.piece.panels.find((panel) => panel.id === made.built.cavities[0].floor)!;
  const heart = { x: mean(body.polygon.map((p) => p.x)), y: mean(body.polygon.map((p) => p.y)) };
  const card = (
    [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ] as const
  ).map(([u, v]) => ({
    x: heart.x + (across.x * u * contents.width) / 2 + (deep.x * v * contents.height) / 2,
    y: heart.y + (across.y * u * contents.width) / 2 + (deep.y * v * contents.height) / 2,
  }));
  const topCorner = card.reduce((a, b) => (b.y > a.y + 1e-6 ? b : a));
  const outwardOf = (hinge: { from: Point; to: Point }): Point => {
    const m = middle(hinge.from, hinge.to);
    const length = Math.hypot(m.x - heart.x, m.y - heart.y);
    return { x: (m.x - heart.x) / length, y: (m.y - heart.y) / length };
  };
  const draggable = drawing.scores.filter((score) =>
    made.built.piece.hinges.some((hinge) => hinge.id === score.id && hinge.between[0] === body.id),
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
            <path d={ringsPath([card], at)} className={styles.contents} />
            <path d={ringsPath(drawing.outline, at)} className={styles.cut} />
            {([1, 2, 3, 4] as const).map((edge) => {
              const [x, y] = at(onEdge(blank, edge, 0));
              return (
                <g key={edge} transform={`translate(${x} ${y}) rotate(${-90 * (edge - 1)})`}>
                  <Ruler length={edgeLength(blank, edge)} scale={scale} units={units} graduation={graduation} />
                  <text x={edgeLength(blank, edge) * scale} y={54} textAnchor="end" className={styles.edgeName}>
                    edge {edge}
                  </text>
                  <EdgeMarks made={made} edge={edge} scale={scale} units={units} graduation={graduation} />
                </g>
              );
            })}
            {made.built.piece.panels.map((panel) => {
              if (panel.id === body.id || Math.sqrt(area(panel.polygon)) * scale < panel.name.length * 5.2) return null;
              const [cx, cy] = polygonCentroid(panel.polygon.map((p): [number, number] => [p.x, p.y]));
              const [x, y] = at({ x: cx, y: cy });
              return (
                <text key={panel.id} x={x} y={y} textAnchor="middle" className={styles.flapName}>
                  {panel.name}
                </text>
              );
            })}
            <CardLabel
              at={at(heart)}
              width={contents.width}
              height={contents.height}
              units={units}
              graduation={graduation}
              known={design.contents !== null}
            />
            {drawing.scores.map((score) => {
              const [x1, y1] = at(score.from);
              const [x2, y2] = at(score.to);
              const [bx, by] = [x1 + (x2 - x1) * 0.24, y1 + (y2 - y1) * 0.24];
              return (
                <g key={score.id}>
                  <line
                    x1={x1}
                    y1={y1}
                    x2={x2}
                    y2={y2}
                    className={score.fold === 'valley' ? styles.valley : styles.mountain}
                  />
                  <circle cx={bx} cy={by} r={11} className={styles.badge} />
                  <text x={bx} y={by + 4.5} textAnchor="middle" className={styles.badgeText}>
                    {score.number}
                  </text>
                </g>
              );
            })}
            {draggable.map((score) => {
              const outward = outwardOf(score);
              return (
                <Handle
                  key={score.id}
                  at={at(middle(score.from, score.to))}
                  label={`Score ${score.number}: move the fold`}
                  text={`room ${say(made.inside.width - contents.width)} by ${say(made.inside.height - contents.height)}`}
                  value={distanceOf(score, heart)}
                  shape="fold"
                  onHold={hold}
                  onDrag={(dx, dy, phase) => onFold(score.id, (dx * outward.x - dy * outward.y) / scale, phase)}
                  onStep={(steps) => {
                    onFold(score.id, 0, 'start');
                    onFold(score.id, (steps * step) / Math.SQRT2, 'move');
                  }}
                />
              );
            })}
            {design.contents && (
              <Handle
                at={at(topCorner)}
                label="Corner of the contents: drag to resize"
                text={`${say(contents.width)} by ${say(contents.height)}`}
                value={contents.width}
                shape="corner"
                onHold={hold}
                onDrag={(dx, dy, phase) => {
                  const pull = { x: dx / scale, y: -dy / scale };
                  const sign = (axis: Point): number =>
                    Math.sign((topCorner.x - heart.x) * axis.x + (topCorner.y - heart.y) * axis.y);
                  onContents(
                    2 * sign(across) * (pull.x * across.x + pull.y * across.y),
                    2 * sign(deep) * (pull.x * deep.x + pull.y * deep.y),
                    phase,
                  );
                }}
                onStep={(steps, sideways) => {
                  onContents(0, 0, 'start');
                  onContents(sideways ? steps * step : 0, sideways ? 0 : steps * step, 'move');
                }}
              />
            )}
          </svg>
        )}
      </div>
      <Legend />
    </>
  );
}

/** What the kinds of line and hatching mean; told by pattern, not by colour. */
function Legend() {
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
      {sample('fold', <path d="M0 6H26" className={styles.valley} />)}
      {sample('glue here', <rect width="26" height="12" fill="url(#glue-hatch)" />)}
      {sample('keep glue off', <rect width="26" height="12" fill="url(#dry-dots)" />)}
    </ul>
  );
}

const mean = (values: readonly number[]): number => values.reduce((a, b) => a + b, 0) / values.length;
const distanceOf = (line: { from: Point; to: Point }, p: Point): number => {
  const m = middle(line.from, line.to);
  return Math.hypot(m.x - p.x, m.y - p.y);
};

/** What to set or measure along an edge: flags that point at the place, each with its figure. */
function EdgeMarks({
  made,
  edge,
  scale,
  units,
  graduation,
}: {
  made: Made;
  edge: Edge;
  scale: number;
  units: Units;
  graduation: Graduation;
}) {
  const onBoard = made.programme.moves.some((move) => move.do === 'punch');
  const marks = made.programme.marks.filter(
    (mark) => mark.edge === edge && mark.for !== 'slant' && (!onBoard || mark.for === 'notch'),
  );
  const slants = made.programme.marks.filter((mark) => mark.edge === edge && mark.for === 'slant');
  const first = onBoard && made.built.start.edge === edge;
  return (
    <g>
      {marks.map((mark, i) => {
        const notch = made.built.piece.notches.find((n) => n.edge === edge);
        const x = (onBoard && notch ? notch.at : mark.at) * scale;
        const anchor = onBoard || marks.length !== 2 ? 'middle' : i === 0 ? 'end' : 'start';
        return (
          <g key={i}>
            <path d={`M${x} 2l-4.500 9h9z`} className={first || !onBoard ? styles.flag : styles.flagQuiet} />
            <FigureText
              x={x + (anchor === 'end' ? 6 : anchor === 'start' ? -6 : 0)}
              y={42}
              value={mark.at}
              units={units}
              graduation={graduation}
              before={first ? 'set ' : ''}
              anchor={anchor}
              className={first || !onBoard ? styles.setting : styles.settingQuiet}
            />
          </g>
        );
      })}
      {slants.map((mark, i) => (
        <g key={`slant-${i}`}>
          <path d={`M${mark.at * scale} 2l-4.500 9h9z`} className={styles.flagQuiet} />
          <FigureText
            x={mark.at * scale}
            y={42}
            value={mark.at}
            units={units}
            graduation={graduation}
            className={styles.settingQuiet}
          />
        </g>
      ))}
    </g>
  );
}

function CardLabel({
  at: [x, y],
  width,
  height,
  units,
  graduation,
  known,
}: {
  at: readonly [number, number];
  width: number;
  height: number;
  units: Units;
  graduation: Graduation;
  known: boolean;
}) {
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

interface HandleProps {
  readonly at: readonly [number, number];
  readonly label: string;
  readonly text: string;
  readonly value: number;
  readonly shape: 'fold' | 'corner';
  readonly onHold: (held: boolean) => void;
  /** Pixels since the drag began. */
  readonly onDrag: (dx: number, dy: number, phase: DragPhase) => void;
  /** Arrow keys: whole steps of the graduation, sideways or up and down. */
  readonly onStep: (steps: number, sideways: boolean) => void;
}

/** A grip on the sheet: mouse, touch and arrow keys. */
function Handle({ at: [x, y], label, text, value, shape, onHold, onDrag, onStep }: HandleProps) {
  const grip = useRef<SVGGElement>(null);
  const latest = useRef({ onDrag, onHold });
  useEffect(() => {
    latest.current = { onDrag, onHold };
  });
  useEffect(() => {
    if (!grip.current) return;
    const svg = grip.current.ownerSVGElement!;
    const behaviour = drag<SVGGElement, unknown>()
      .container(() => svg)
      .subject(() => ({ x: 0, y: 0 }))
      .on('start', () => {
        grip.current?.focus();
        latest.current.onHold(true);
        latest.current.onDrag(0, 0, 'start');
      })
      .on('drag', (event: { x: number; y: number }) => latest.current.onDrag(event.x, event.y, 'move'))
      .on('end', () => latest.current.onHold(false));
    select(grip.current).call(behaviour);
  }, []);
  const keys = (event: KeyboardEvent): void => {
    const step = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
    if (!step) return;
    event.preventDefault();
    onStep(step, event.key === 'ArrowLeft' || event.key === 'ArrowRight');
  };
  return (
    <g
      ref={grip}
      className={styles.handle}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuetext={text}
      aria-valuenow={Math.round(value * 100) / 100}
      transform={`translate(${x} ${y})`}
      onKeyDown={keys}
    >
      <circle r={22} className={styles.reach} />
      {shape === 'fold' ? (
        <circle r={7.5} className={styles.knob} />
      ) : (
        <rect x={-7} y={-7} width={14} height={14} rx={2} transform="rotate(45)" className={styles.knob} />
      )}
    </g>
  );
}
