'use client';

import { RotateRightOutlined } from '@ant-design/icons';
import { Button, Checkbox, Segmented } from 'antd';
import { useRef } from 'react';
import { foldedBox } from '@/core/fold';
import type { Point } from '@/core/geometry';
import { mm, roundTo, stepOf, type Mm } from '@/core/length';
import { blankPolygon, outlineOf } from '@/core/pattern';
import {
  basePieces,
  onPaper,
  ownPaper,
  printMap,
  viewOf,
  windowOnFront,
  type Design,
  type DesignChange,
  type Made,
} from '@/core/plan';
import { FoldedFace } from '../draw/FoldedFace';
import { Grab } from '../draw/Grab';
import { ringsPath } from '../draw/path';
import { useSize } from '../draw/useSize';
import { useReading } from '../parts/Reading';
import styles from './PaperView.module.css';

interface PaperViewProps {
  readonly made: Made;
  readonly design: Design;
  readonly onChange: (change: DesignChange, key: string) => void;
  /** The same while something is dragged: shown once it is planned. */
  readonly onPull: (change: DesignChange, key: string) => void;
}

/**
 * The blank on the paper it is cut from: dragged to where the front should fall, turned so that it reads upright, and
 * a window marked on the paper shown where it lands on the finished front.
 */
export function PaperView({ made, design, onChange, onPull }: PaperViewProps) {
  const { graduation, say } = useReading();
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const { paper } = design;
  const { piece } = made.pieces[0];
  const { blank } = piece;
  const turned = paper.turn % 2 === 0 ? blank : { width: blank.height, height: blank.width };
  const sheet = {
    width: paper.width ?? turned.width,
    height: paper.height ?? turned.height,
  };
  const at0 = paper.at ?? { x: 0, y: 0 };
  const room = {
    width: Math.max(sheet.width, at0.x + turned.width),
    height: Math.max(sheet.height, at0.y + turned.height),
  };
  const box = size ?? { width: 600, height: 480 };
  const scale = Math.min((box.width - 40) / room.width, (box.height - 40) / room.height);
  const [left, bottom] = [(box.width - room.width * scale) / 2, (box.height + room.height * scale) / 2];
  const at = (p: Point): readonly [number, number] => [left + p.x * scale, bottom - p.y * scale];
  const lay = (p: Point<'sheet'>): Point<'sheet'> => onPaper(paper, blank, p);
  const step = stepOf(graduation) || 1;
  const snap = (value: number, most: number): Mm =>
    mm(Math.min(Math.max(0, roundTo(mm(Math.max(0, value)), graduation, 'nearest')), Math.max(0, most)));
  const move = (to: typeof onChange, from: Point, dx: number, dy: number): void =>
    to(
      {
        paper: {
          ...paper,
          at: { x: snap(from.x + dx, sheet.width - turned.width), y: snap(from.y + dy, sheet.height - turned.height) },
        },
      },
      'paper-at',
    );
  const { window } = paper;
  const moveWindow = (
    to: typeof onChange,
    from: NonNullable<typeof window>,
    [dx, dy]: readonly [number, number],
    [wider, higher]: readonly [number, number] = [0, 0],
  ): void => {
    const width = mm(Math.max(5, snap(from.width + wider, sheet.width)));
    const height = mm(Math.max(5, snap(from.height + higher, sheet.height)));
    to(
      {
        paper: {
          ...paper,
          window: {
            keep: from.keep,
            x: snap(from.x + dx, sheet.width - width),
            y: snap(from.y + dy, sheet.height - height),
            width,
            height,
          },
        },
      },
      'paper-window',
    );
  };
  const front = printMap(made, design)[0];
  const shown = front && piece.panels.find(({ id }) => id === front.panel);
  const landed = windowOnFront(made, design);
  const stack = ownPaper(made.folded.finished, made.built);
  const view = viewOf(made.built, stack);
  const faceBox = foldedBox(stack, view);
  const small = Math.min(170 / (faceBox.maxX - faceBox.minX), 150 / (faceBox.maxY - faceBox.minY));
  const start = useRef<{ at: Point; window: typeof window }>({ at: at0, window });
  return (
    <div className={styles.paper}>
      <div ref={frame} className={styles.frame}>
        {size && (
          <svg
            width={box.width}
            height={box.height}
            role="group"
            aria-label={`The paper, ${say(sheet.width)} by ${say(sheet.height)}`}
          >
            <rect
              x={at({ x: 0, y: sheet.height })[0]}
              y={at({ x: 0, y: sheet.height })[1]}
              width={sheet.width * scale}
              height={sheet.height * scale}
              className={styles.sheet}
            />
            {paper.directional && (
              <g
                className={styles.arrow}
                transform={`translate(${at({ x: sheet.width, y: sheet.height })[0] - 42} ${at({ x: 0, y: sheet.height })[1] + 30})`}
              >
                <path d="M0 14V-14M-7 -6 0 -15 7 -6" />
                <text y="32" textAnchor="middle">
                  print’s top
                </text>
              </g>
            )}
            <path d={ringsPath([blankPolygon(blank).map(lay)], at)} className={styles.blank} />
            <path
              d={ringsPath(
                outlineOf(piece).map((ring) => ring.map(lay)),
                at,
              )}
              className={styles.outline}
            />
            {shown && <path d={ringsPath([shown.polygon.map(lay)], at)} className={styles.front} />}
            {piece.hinges.map((hinge) => {
              const [[x1, y1], [x2, y2]] = [at(lay(hinge.line.from)), at(lay(hinge.line.to))];
              return <line key={hinge.id} x1={x1} y1={y1} x2={x2} y2={y2} className={styles.score} />;
            })}
            {window && (
              <rect
                x={at({ x: window.x, y: window.y + window.height })[0]}
                y={at({ x: window.x, y: window.y + window.height })[1]}
                width={window.width * scale}
                height={window.height * scale}
                className={styles.window}
              />
            )}
            <Grab
              at={at(lay({ x: blank.width / 2, y: blank.height / 2 }))}
              label="The blank: move it on the paper"
              text={`${say(at0.x)} from the left, ${say(at0.y)} from the near edge`}
              value={at0.x}
              onStart={() => void (start.current = { at: at0, window })}
              onDrag={(dx, dy) => move(onPull, start.current.at, dx / scale, -dy / scale)}
              onStep={(dx, dy) => move(onChange, at0, dx * step, dy * step)}
            />
            {window && (
              <>
                <Grab
                  at={at({ x: window.x + window.width / 2, y: window.y + window.height / 2 })}
                  label="The window: move it on the paper"
                  text={`${say(window.x)} from the left, ${say(window.y)} from the near edge`}
                  value={window.x}
                  onStart={() => void (start.current = { at: at0, window })}
                  onDrag={(dx, dy) => moveWindow(onPull, start.current.window!, [dx / scale, -dy / scale])}
                  onStep={(dx, dy) => moveWindow(onChange, window, [dx * step, dy * step])}
                />
                <Grab
                  at={at({ x: window.x + window.width, y: window.y + window.height })}
                  label="Corner of the window: drag to resize"
                  text={`${say(window.width)} by ${say(window.height)}`}
                  value={window.width}
                  corner
                  onStart={() => void (start.current = { at: at0, window })}
                  onDrag={(dx, dy) => moveWindow(onPull, start.current.window!, [0, 0], [dx / scale, -dy / scale])}
                  onStep={(dx, dy) => moveWindow(onChange, window, [0, 0], [dx * step, dy * step])}
                />
              </>
            )}
          </svg>
        )}
      </div>
      <div className={styles.side}>
        <Button
          icon={<RotateRightOutlined aria-hidden />}
          onClick={() => onChange({ paper: { ...paper, turn: ((paper.turn + 1) % 4) as 0 | 1 | 2 | 3 } }, 'paper-turn')}
        >
          Turn the blank
        </Button>
        <Checkbox
          checked={window !== undefined}
          onChange={(event) =>
            onChange(
              {
                paper: {
                  ...paper,
                  window: event.target.checked
                    ? {
                        x: snap(sheet.width * 0.35, sheet.width),
                        y: snap(sheet.height * 0.35, sheet.height),
                        width: mm(Math.max(5, snap(sheet.width * 0.3, sheet.width))),
                        height: mm(Math.max(5, snap(sheet.height * 0.3, sheet.height))),
                        keep: 'show',
                      }
                    : undefined,
                },
              },
              'paper-window',
            )
          }
        >
          A place to mind
        </Checkbox>
        {window && (
          <Segmented<'show' | 'avoid'>
            aria-label="What to do with the place"
            value={window.keep}
            options={[
              { value: 'show', label: 'Show it' },
              { value: 'avoid', label: 'Avoid it' },
            ]}
            onChange={(keep) => onChange({ paper: { ...paper, window: { ...window, keep } } }, 'paper-window')}
          />
        )}
        <figure className={styles.result}>
          <svg
            width={(faceBox.maxX - faceBox.minX) * small + 4}
            height={(faceBox.maxY - faceBox.minY) * small + 4}
            role="img"
            aria-label={`The finished front${landed ? `, with ${Math.round(landed.share * 100)} % of the window on it` : ''}`}
          >
            <FoldedFace
              stack={stack}
              view={view}
              face={made.built.front}
              scale={small}
              x={2}
              y={2}
              arrows={paper.directional ? paper.turn : null}
              window={landed?.region}
              given={basePieces(made.built)}
            />
          </svg>
          <figcaption>
            The finished front
            {landed && window?.keep === 'show' && <span>{Math.round(landed.share * 100)} % of the window shows</span>}
            {landed && window?.keep === 'avoid' && (
              <span>{landed.onBlank > 0.001 ? 'it lies on the blank' : 'it stays outside'}</span>
            )}
          </figcaption>
        </figure>
        {paper.width === undefined && <p>Choose a paper size to see the whole sheet.</p>}
      </div>
    </div>
  );
}
