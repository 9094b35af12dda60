'use client';

import { drag } from 'd3-drag';
import { select } from 'd3-selection';
import { useEffect, useId, useRef, type KeyboardEvent } from 'react';
import type { Placement, SheetKind, SheetLayout, TrimmerCut } from '@/core/cutting';
import { formatLength, mm } from '@/core/length';
import { looksNamed } from '@/core/looks';
import { layoutScene, marksOf, papered, STYLE, type Face } from '@/core/scene';
import { groundOf, lineOn } from '@/core/papers';
import { useSize } from '../draw/useSize';
import { FaceDrawn, MarkDrawn, SceneDrawn, sightOf, type OnScreen } from '../draw/SceneDrawn';
import { useUnits } from '../parts/InUnits';
import { DrawnWords } from '../parts/Words';
import styles from './Cutting.module.css';

/** What hands do to the pieces of a sheet. */
export interface PieceGestures {
  readonly onSelect: (piece: number) => void;
  /** A piece was dragged by so much, mm; `over` is the element it was dropped on. */
  readonly onDrag: (piece: number, dx: number, dy: number, over: Element | null) => void;
  /** Keys on a piece: a step right, left, up or down, or a quarter turn. */
  readonly onStep: (piece: number, dx: number, dy: number) => void;
  readonly onTurn: (piece: number) => void;
}

interface LaidSheetProps {
  readonly sheet: SheetLayout;
  readonly kind: SheetKind;
  readonly label: string;
  /** Pieces that stand in the way of cutting. */
  readonly wrong: readonly number[];
  readonly selected: number | null;
  /** The cuts that are being made, if they are on this sheet. */
  readonly cuts: readonly TrimmerCut[];
  /** Null for a sheet that is only looked at. */
  readonly hands: PieceGestures | null;
  /** So many of its letters go into the sheet’s longer side. */
  readonly letters?: number;
}

const STEPS: Record<string, readonly [number, number]> = {
  ArrowUp: [0, 1],
  ArrowRight: [1, 0],
  ArrowDown: [0, -1],
  ArrowLeft: [-1, 0],
};

/** A letter is about so much of its size wide. */
const LETTER = 0.54;
/** So many go into a sheet’s longer side where nothing else is told. */
const LETTERS = 34;
/** Letters are made smaller down to this share before a name is cut off. */
const SMALLEST = 0.66;

/** Letters smaller than this cannot be read, px. */
const LEGIBLE = 6;
/** A name that is cut off tells something with so many letters left. */
const TELLING = 6;
/** A wide letter more than most, in letters. */
const WIDE = 0.6;

/** Cuts a name off where its piece ends; what would tell nothing is left out. */
function fitted(name: string, width: number, size: number): string {
  const most = Math.floor(width / (size * LETTER) - WIDE);
  if (name.length <= most) return name;
  return most < TELLING ? '' : `${name.slice(0, most - 1)}…`;
}

/** One sheet to scale: its pieces by name, what is kept of it, and the cut at hand. Pieces are dragged or stepped. */
export function LaidSheet(props: LaidSheetProps) {
  const { sheet, kind, label, wrong, selected, cuts, hands, letters = LETTERS } = props;
  const { units, graduation } = useUnits();
  const hatch = useId();
  const { width, height } = kind;
  const margin = Math.max(width, height) * 0.03;
  const frame = useRef<SVGSVGElement>(null);
  const shown = useSize(frame);
  const legible =
    shown && shown.width > 0
      ? LEGIBLE * Math.max((width + 2 * margin) / shown.width, (height + 2 * margin) / shown.height)
      : 0;
  // Where the sheet is drawn small there are fewer letters, not smaller ones.
  const size = Math.max(Math.max(width, height) / letters, legible / SMALLEST);
  const up = (y: number, h = 0): number => height - y - h;
  const say = (value: number): string => formatLength(mm(value), units, graduation);
  const scene = papered(layoutScene(kind, sheet), () => looksNamed(kind.name, kind));
  const sight = sightOf(scene, 1);
  const [stock, ...pieces] = scene.faces;
  const offcuts = marksOf(scene, 'area');
  return (
    <svg
      ref={frame}
      className={styles.sheet}
      viewBox={`${-margin} ${-margin} ${width + 2 * margin} ${height + 2 * margin}`}
      role="group"
      aria-label={label}
    >
      <defs>
        <pattern id={hatch} width={size} height={size} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width={size} height={size} className={styles.offcutGround} />
          <line x1={0} x2={0} y1={0} y2={size} className={styles.offcutLine} strokeWidth={size / 6} />
        </pattern>
      </defs>
      <FaceDrawn face={stock!} sight={sight} look={STYLE.layout} />
      {sheet.offcuts.map((r, i) => (
        <g key={i}>
          <MarkDrawn mark={offcuts[i]!} sight={sight} look={STYLE.layout} fill={`url(#${hatch})`} />
          {Math.min(r.width, r.height) > size * 1.6 && (
            <Words
              {...r}
              y={up(r.y, r.height)}
              size={size}
              legible={legible}
              lines={['keep']}
              measures={`${say(r.width)} × ${say(r.height)}`}
              className={styles.offcutText!}
            />
          )}
        </g>
      ))}
      {sheet.placements.map((piece, i) => (
        <Piece
          key={i}
          index={i}
          piece={piece}
          face={pieces[i]!}
          sight={sight}
          sheetHeight={height}
          size={size}
          legible={legible}
          state={[wrong.includes(i) ? styles.wrong : '', selected === i ? styles.selected : ''].join(' ')}
          hands={hands}
        />
      ))}
      {cuts.map((cut) => (
        <g key={cut.cut} className={styles.cutNow}>
          <rect x={cut.part.x} y={up(cut.part.y, cut.part.height)} width={cut.part.width} height={cut.part.height} />
          <line
            x1={cut.upright ? cut.part.x + cut.setting : cut.part.x}
            x2={cut.upright ? cut.part.x + cut.setting : cut.part.x + cut.part.width}
            y1={cut.upright ? up(cut.part.y) : up(cut.part.y + cut.setting)}
            y2={cut.upright ? up(cut.part.y, cut.part.height) : up(cut.part.y + cut.setting)}
          />
          <line
            className={styles.fenceEdge}
            x1={cut.part.x}
            x2={cut.upright ? cut.part.x : cut.part.x + cut.part.width}
            y1={up(cut.part.y)}
            y2={cut.upright ? up(cut.part.y, cut.part.height) : up(cut.part.y)}
          />
        </g>
      ))}
    </svg>
  );
}

/** Words in the middle of a rectangle, a line each, those that fit; under them what it measures, whole or not at all. */
function Words({
  x,
  y,
  width,
  height,
  size,
  legible,
  lines,
  measures,
  on,
  className,
}: {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly size: number;
  /** Letters smaller than this are left out. */
  readonly legible: number;
  readonly lines: readonly string[];
  readonly measures: string;
  /** The colour it stands on, where that is paper’s. */
  readonly on?: string | undefined;
  readonly className: string;
}) {
  // Along the longer side, so that narrow strips can be read.
  const upright = height > width * 1.6 && width < size * 7;
  const [along, across] = upright ? [height, width] : [width, height];
  const wide = measures.length * LETTER * size * SMALLEST <= along * 0.94;
  const shown = [...lines, ...(wide ? [measures] : [])].slice(0, Math.max(1, Math.floor(across / (size * 1.15))));
  const longest = Math.max(...shown.map(({ length }) => length));
  const letters = Math.min(size, across * 0.72, Math.max(size * SMALLEST, (along * 0.94) / (longest * LETTER)));
  if (letters < 0.99 * legible) return null;
  return (
    <text
      className={className}
      fontSize={letters}
      {...(on && { style: { fill: lineOn(on) } })}
      textAnchor="middle"
      transform={`translate(${x + width / 2} ${y + height / 2})${upright ? ' rotate(-90)' : ''}`}
      aria-hidden
    >
      {shown.map((line, i) => (
        <tspan key={i} x={0} y={(i - (shown.length - 1) / 2) * letters * 1.2 + letters * 0.34}>
          <DrawnWords>{fitted(line, along * 0.94, letters)}</DrawnWords>
        </tspan>
      ))}
    </text>
  );
}

interface PieceProps {
  readonly index: number;
  readonly piece: Placement;
  readonly face: Face;
  readonly sight: OnScreen;
  readonly sheetHeight: number;
  readonly size: number;
  readonly legible: number;
  readonly state: string;
  readonly hands: PieceGestures | null;
}

/** A piece on the sheet: dragged with mouse or finger, stepped with the arrows, turned with R. */
function Piece({ index, piece, face, sight, sheetHeight, size, legible, state, hands }: PieceProps) {
  const { units, graduation } = useUnits();
  const group = useRef<SVGGElement>(null);
  const latest = useRef(hands);
  useEffect(() => {
    latest.current = hands;
  });
  const movable = hands !== null;
  useEffect(() => {
    if (!group.current || !movable) return;
    const node = group.current;
    const svg = node.ownerSVGElement!;
    let [dx, dy] = [0, 0];
    const behaviour = drag<SVGGElement, unknown>()
      .container(() => svg)
      .subject(() => ({ x: 0, y: 0 }))
      .on('start', () => {
        [dx, dy] = [0, 0];
        node.focus();
        latest.current?.onSelect(index);
      })
      .on('drag', (event: { x: number; y: number }) => {
        [dx, dy] = [event.x, event.y];
        node.setAttribute('transform', `translate(${dx} ${dy})`);
        node.style.pointerEvents = 'none';
      })
      .on('end', (event: { sourceEvent: MouseEvent | TouchEvent }) => {
        const at = 'changedTouches' in event.sourceEvent ? event.sourceEvent.changedTouches[0] : event.sourceEvent;
        const over = at ? document.elementFromPoint(at.clientX, at.clientY) : null;
        node.removeAttribute('transform');
        node.style.pointerEvents = '';
        if (dx !== 0 || dy !== 0) latest.current?.onDrag(index, dx, -dy, over);
      });
    select(node).call(behaviour);
  }, [index, movable]);
  const keys = (event: KeyboardEvent): void => {
    if (!hands) return;
    const step = STEPS[event.key];
    if (step) hands.onStep(index, ...step);
    else if (event.key === 'r' || event.key === 'R') hands.onTurn(index);
    else if (event.key === 'Enter' || event.key === ' ') hands.onSelect(index);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const say = (value: number): string => formatLength(mm(value), units, graduation);
  const { x, y, width, height } = piece;
  return (
    <g
      ref={group}
      className={`${styles.piece} ${state}`}
      {...(hands && { role: 'button', tabIndex: 0 })}
      aria-label={`${piece.piece}, ${say(width)} × ${say(height)}${piece.turned ? ', turned' : ''}, from left ${say(x)}, from below ${say(y)}`}
      onFocus={() => hands?.onSelect(index)}
      onKeyDown={keys}
    >
      <FaceDrawn face={face} sight={sight} look={STYLE.layout} />
      <Words
        x={x}
        y={sheetHeight - y - height}
        width={width}
        height={height}
        size={size}
        // What it is for stands above what it is.
        legible={legible}
        on={face.paper && groundOf(face.paper[face.side].face)}
        lines={piece.piece.split(': ')}
        measures={`${say(width)} × ${say(height)}`}
        className={styles.pieceText!}
      />
    </g>
  );
}

/** A sheet in small, for the row of all sheets. */
export function SmallSheet({ sheet, kind }: { readonly sheet: SheetLayout; readonly kind: SheetKind }) {
  const scene = papered(layoutScene(kind, sheet), () => looksNamed(kind.name, kind));
  return (
    <svg viewBox={`0 0 ${kind.width} ${kind.height}`} className={styles.small} aria-hidden>
      <SceneDrawn scene={scene} sight={sightOf(scene, 1)} look={STYLE.smallLayout} />
    </svg>
  );
}
