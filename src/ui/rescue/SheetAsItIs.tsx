import { useRef, useState, type KeyboardEvent, type PointerEvent } from 'react';
import { Dropdown } from 'antd';
import { apply, direction, dot, minus, type Point } from '@/core/geometry';
import { edgeLength, onEdge, type Blank, type Edge } from '@/core/pattern';
import { placeOnEdge, type ScarredSheet, type SheetMark } from '@/core/rescue';
import { areaAt, scarredScene, STYLE } from '@/core/scene';
import { FaceDrawn, LineDrawn, MarkDrawn, sightOf } from '../draw/SceneDrawn';
import { useSize } from '../draw/useSize';
import { useUnits } from '../parts/InUnits';
import type { HangingFlap } from './useMishap';
import { TORN, type MarkKind, type MarkPlace, type ToldFact } from './facts';
import styles from './Rescue.module.css';

interface SheetAsItIsProps {
  /** The piece it was to become. */
  readonly piece: string;
  readonly sheet: ScarredSheet;
  /** A key moves a mark by so much, mm. */
  readonly step: number;
  /** A mark lies elsewhere: it was there, and is so far along its edge. */
  readonly onMove: (mark: MarkPlace, to: number, what: string) => void;
  /** Parts of it that hang by one fold: what may be stuck. */
  readonly flaps: readonly HangingFlap[];
  /** Something happened where the sheet was tapped. */
  readonly onHappened: (fact: ToldFact) => void;
}

/** Room round the sheet for the numbers of its edges, px. */
const RIM = 30;
const MOST_HIGH = 460;

/** Where the sheet was tapped, on the drawing and on the sheet itself. */
interface Tap {
  readonly left: number;
  readonly top: number;
  readonly at: Point<'sheet'>;
}

/**
 * Names a mark among the others, wherever it is moved: by its kind and its place among those on its edge. (What it is told as
 * says how far along it lies.)
 */
function keyOf(marks: readonly SheetMark[], i: number, blank: Blank): string {
  const name = (mark: SheetMark): string => `${mark.kind} ${placeOnEdge(mark, blank)?.edge ?? ''}`;
  const mine = name(marks[i]!);
  return `${mine} ${marks.slice(0, i).filter((mark) => name(mark) === mine).length}`;
}

/** What may have happened at a place of the sheet, measured along the edge that is nearest. */
function whatHappened(
  p: Point<'sheet'>,
  blank: Blank,
  flap: HangingFlap | undefined,
  step: number,
): readonly { readonly label: string; readonly fact: ToldFact }[] {
  const places = ([1, 2, 3, 4] as const).map((edge) => {
    const from = onEdge(blank, edge, 0);
    const along = direction(from, onEdge(blank, edge, 1));
    const off = minus(p, from);
    return { edge, at: dot(off, along), deep: off.y * along.x - off.x * along.y };
  });
  const { edge, at: raw, deep } = places.reduce((a, b) => (b.deep < a.deep ? b : a));
  const at = Math.max(0, Math.round(raw / step) * step);
  const far = Math.max(TORN, Math.round(deep / step) * step);
  const mark = (kind: MarkKind): ToldFact => ({ kind, edge, at, instead: null });
  const reaching = (kind: MarkKind): ToldFact => ({ kind, edge, at, instead: null, deep: far });
  return [
    {
      label: 'Torn here',
      fact: { kind: 'torn', edge, at, wide: TORN, deep: far },
    },
    { label: 'A score too many here', fact: mark('score') },
    { label: 'A notch too many here', fact: mark('notch') },
    { label: 'Cut in to here', fact: reaching('slit') },
    { label: 'A hole here', fact: reaching('hole') },
    ...(flap
      ? [
          { label: `The ${flap.name} is stuck`, fact: { kind: 'glued', panel: flap.id } as const },
          { label: `The ${flap.name} came off at its fold`, fact: { kind: 'flap-off', score: flap.score } as const },
        ]
      : []),
  ];
}

/** The sheet as it is, to scale: every score and notch can be dragged along its edge to where it really is. */
export function SheetAsItIs({ piece, sheet, flaps, step, onMove, onHappened }: SheetAsItIsProps) {
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const { say } = useUnits();
  const [tapped, setTapped] = useState<Tap | null>(null);
  const [drag, setDrag] = useState<{ readonly mark: SheetMark; readonly by: number } | null>(null);
  const began = useRef<{ readonly x: number; readonly y: number } | null>(null);
  const { width, height } = sheet.blank;
  const scale = size ? Math.min((size.width - 2 * RIM) / width, (MOST_HIGH - 2 * RIM) / height) : 1;
  const scene = scarredScene({ name: piece, blank: sheet.blank }, sheet.paper, sheet.marks, flaps);
  const sight = sightOf(scene, scale, RIM, RIM);
  const place = sight.at;
  const look = STYLE.scarred;
  /** Along the edge a mark is measured on, on the drawing. */
  const along = (edge: Edge): readonly [number, number] => {
    const { x, y } = direction(onEdge(sheet.blank, edge, 0), onEdge(sheet.blank, edge, 1));
    return [x, -y];
  };
  const middles: readonly (readonly [Edge, Point])[] = ([1, 2, 3, 4] as const).map((edge) => [
    edge,
    onEdge(sheet.blank, edge, edgeLength(sheet.blank, edge) / 2),
  ]);
  const flapAt = tapped && areaAt(scene, 'flap', apply(scene.frame, tapped.at));
  const happened = tapped
    ? whatHappened(
        tapped.at,
        sheet.blank,
        flaps.find(({ id }) => id === flapAt?.id),
        step,
      )
    : [];
  const off: Record<Edge, readonly [number, number]> = { 1: [0, 18], 2: [16, 4], 3: [0, -10], 4: [-16, 4] };
  return (
    <div ref={frame} className={styles.sheet}>
      {tapped && (
        <Dropdown
          open
          trigger={['click']}
          onOpenChange={(open) => !open && setTapped(null)}
          menu={{
            autoFocus: true,
            items: happened.map(({ label }, key) => ({ key, label })),
            onClick: ({ key }) => {
              onHappened(happened[Number(key)]!.fact);
              setTapped(null);
            },
          }}
        >
          <span className={styles.tap} style={{ left: tapped.left, top: tapped.top }} />
        </Dropdown>
      )}
      {size && (
        <svg
          width={width * scale + 2 * RIM}
          height={height * scale + 2 * RIM}
          role="group"
          aria-label={`The sheet as it is, ${say(width)} by ${say(height)}`}
        >
          <g
            className={styles.paper}
            onClick={({ clientX, clientY, currentTarget }) => {
              const box = currentTarget.ownerSVGElement!.getBoundingClientRect();
              const [x, y] = [clientX - box.left, clientY - box.top];
              const at: Point<'sheet'> = { x: (x - RIM) / scale, y: height - (y - RIM) / scale };
              const { left, top } = frame.current!.getBoundingClientRect();
              setTapped({ left: clientX - left, top: clientY - top, at });
            }}
          >
            <FaceDrawn face={scene.faces[0]!} sight={sight} look={look} />
          </g>
          {middles.map(([edge, p]) => {
            const [x, y] = place(p);
            return (
              <text key={edge} x={x + off[edge][0]} y={y + off[edge][1]} className={styles.edge}>
                {edge}
              </text>
            );
          })}
          {sheet.marks.map((mark, i) => {
            const at = placeOnEdge(mark, sheet.blank);
            const kind = mark.kind === 'cut' || mark.kind === 'tear' ? null : mark.kind;
            const [ux, uy] = at ? along(at.edge) : [0, 0];
            const by = drag?.mark === mark ? drag.by : 0;
            const held = at && kind;
            const move = (to: number): void => {
              if (held) onMove({ kind, ...at }, Math.max(0, to), mark.what);
            };
            return (
              <g
                key={keyOf(sheet.marks, i, sheet.blank)}
                className={styles.mark}
                transform={`translate(${ux * by * scale} ${uy * by * scale})`}
                {...(held && {
                  role: 'slider',
                  tabIndex: 0,
                  'aria-label': `${mark.what}: where it really is`,
                  'aria-valuenow': Math.round(at.at),
                  'aria-valuemin': 0,
                  'aria-valuemax': Math.round(edgeLength(sheet.blank, at.edge)),
                  'aria-valuetext': `${say(at.at)} along edge ${at.edge}`,
                  onKeyDown: (event: KeyboardEvent) => {
                    const way = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
                    if (way === undefined) return;
                    event.preventDefault();
                    move(at.at + way * step);
                  },
                  onPointerDown: (event: PointerEvent) => {
                    event.currentTarget.setPointerCapture(event.pointerId);
                    began.current = { x: event.clientX, y: event.clientY };
                    setDrag({ mark, by: 0 });
                  },
                  onPointerMove: (event: PointerEvent) => {
                    if (!began.current || drag?.mark !== mark) return;
                    const [dx, dy] = [event.clientX - began.current.x, event.clientY - began.current.y];
                    const raw = (dx * ux + dy * uy) / scale;
                    setDrag({ mark, by: Math.round(raw / step) * step });
                  },
                  onPointerUp: () => {
                    if (drag?.mark === mark && Math.abs(drag.by) >= step / 2) move(at.at + drag.by);
                    began.current = null;
                    setDrag(null);
                  },
                  onPointerCancel: () => {
                    began.current = null;
                    setDrag(null);
                  },
                })}
              >
                <title>{mark.what}</title>
                {scene.faces[0]!.lines.filter(({ id }) => id === String(i)).map((line, k) => {
                  const [[x1, y1], [x2, y2]] = [place(line.points[0]!), place(line.points[1]!)];
                  return (
                    <g key={k}>
                      <LineDrawn line={line} sight={sight} look={look} />
                      <line x1={x1} y1={y1} x2={x2} y2={y2} className={styles.grip} />
                    </g>
                  );
                })}
                {scene.marks
                  .filter((one) => one.kind === 'area' && one.id === String(i))
                  .map((one, k) => (
                    <MarkDrawn key={k} mark={one} sight={sight} look={look} />
                  ))}
              </g>
            );
          })}
        </svg>
      )}
    </div>
  );
}
