'use client';

import { RotateRightOutlined } from '@ant-design/icons';
import { Button, Checkbox, Segmented } from 'antd';
import { useMemo, useRef } from 'react';
import { affineOf, type Point } from '@/core/geometry';
import { mm, roundTo, stepOf, type Graduation, type Mm } from '@/core/length';
import { rect, type Blank } from '@/core/pattern';
import { basePieces, ownPaper, viewOf, type Made } from '@/core/plan';
import { asMade, onPaper, printMap, printOn, toCentreFront, windowOnFront } from '@/core/looks';
import type { Design, DesignChange } from '@/core/design';
import { areaOf, onStock, pileScene, sheetScene, STYLE, type Scene } from '@/core/scene';
import { Grab } from '../draw/Grab';
import { SceneDrawn, type OnScreen } from '../draw/SceneDrawn';
import { SmallPicture } from '../draw/SmallPicture';
import { useSize } from '../draw/useSize';
import { LengthField } from '../parts/LengthField';
import { useUnits } from '../parts/InUnits';
import styles from './PaperView.module.css';

type Change = (change: DesignChange, key: string) => void;

interface PaperViewProps {
  readonly made: Made;
  readonly design: Design;
  readonly onChange: Change;
  /** The same while something is dragged: shown once it is planned. */
  readonly onPull: (seen: Design, change: DesignChange, key: string) => void;
}

type Paper = Design['paper'];
type Place = NonNullable<Paper['window']>;
/** How far something is moved or made larger, mm. */
type By = readonly [x: number, y: number];
const NOT: By = [0, 0];

/** The sheet that is cut, as large as told or as the blank, and the blank as it lies on it. */
function sheetFor({ turn, width, height }: Paper, blank: Blank): { readonly sheet: Blank; readonly turned: Blank } {
  const turned = turn % 2 === 0 ? blank : { width: blank.height, height: blank.width };
  return { turned, sheet: { width: width ?? turned.width, height: height ?? turned.height } };
}

/** Where the blank and the place to mind come to lie when they are moved: on a mark, and on the sheet. */
function movesOn(paper: Paper, blank: Blank, graduation: Graduation) {
  const { sheet, turned } = sheetFor(paper, blank);
  const snap = (value: number, most: number): Mm =>
    mm(Math.min(Math.max(0, roundTo(mm(Math.max(0, value)), graduation, 'nearest')), Math.max(0, most)));
  const side = (value: number, most: number): Mm => mm(Math.max(SMALLEST, snap(value, most)));
  return {
    blank: (from: Point, [dx, dy]: By): Paper => ({
      ...paper,
      at: { x: snap(from.x + dx, sheet.width - turned.width), y: snap(from.y + dy, sheet.height - turned.height) },
    }),
    place: (from: Place, [dx, dy]: By, [wider, higher]: By): Paper => {
      const width = side(from.width + wider, sheet.width);
      const height = side(from.height + higher, sheet.height);
      const [x, y] = [snap(from.x + dx, sheet.width - width), snap(from.y + dy, sheet.height - height)];
      return { ...paper, window: { keep: from.keep, x, y, width, height } };
    },
    /** A place to begin with, about the middle. */
    first: (): Paper => ({
      ...paper,
      window: {
        x: snap(sheet.width * 0.35, sheet.width),
        y: snap(sheet.height * 0.35, sheet.height),
        width: side(sheet.width * 0.3, sheet.width),
        height: side(sheet.height * 0.3, sheet.height),
        keep: 'show',
      },
    }),
  };
}
/** Least side of a place to mind, mm. */
const SMALLEST = 5;
/** Room for the finished front, px. */
const FACE = { width: 170, height: 150 };

/**
 * The blank on the paper it is cut from: dragged to where the front should fall, turned so that it reads upright, and
 * a window marked on the paper shown where it lands on the finished front.
 */
export function PaperView({ made, design, onChange, onPull }: PaperViewProps) {
  const { graduation, say } = useUnits();
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const { paper } = design;
  const { blank } = made.pieces[0].piece;
  const { sheet, turned } = sheetFor(paper, blank);
  const moves = movesOn(paper, blank, graduation);
  const from = paper.at ?? { x: 0, y: 0 };
  const room = {
    width: Math.max(sheet.width, from.x + turned.width),
    height: Math.max(sheet.height, from.y + turned.height),
  };
  const box = size ?? { width: 600, height: 480 };
  const scale = Math.min((box.width - 40) / room.width, (box.height - 40) / room.height);
  const [left, bottom] = [(box.width - room.width * scale) / 2, (box.height + room.height * scale) / 2];
  const at = (p: Point): readonly [number, number] => [left + p.x * scale, bottom - p.y * scale];
  const step = stepOf(graduation) || 1;
  const start = useRef({ at: from as Point, window: paper.window });
  const begin = (): void => void (start.current = { at: from, window: paper.window });
  const blankTo = (to: Change, paperThen: Paper): void => to({ paper: paperThen }, 'paper-at');
  const placeTo = (to: Change, paperThen: Paper): void => to({ paper: paperThen }, 'paper-window');
  const pull: Change = (change, key) => onPull(design, change, key);
  const { window } = paper;
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
            <BlankOnPaper made={made} design={design} sight={{ at, scale }} />
            <Grab
              at={at(onPaper(paper, blank, { x: blank.width / 2, y: blank.height / 2 }))}
              label="The blank: move it on the paper"
              text={`${say(from.x)} from the left, ${say(from.y)} from the near edge`}
              value={from.x}
              onStart={begin}
              onDrag={(dx, dy) => blankTo(pull, moves.blank(start.current.at, [dx / scale, -dy / scale]))}
              onStep={(dx, dy) => blankTo(onChange, moves.blank(from, [dx * step, dy * step]))}
            />
            {window && (
              <>
                <Grab
                  at={at({ x: window.x + window.width / 2, y: window.y + window.height / 2 })}
                  label="The window: move it on the paper"
                  text={`${say(window.x)} from the left, ${say(window.y)} from the near edge`}
                  value={window.x}
                  onStart={begin}
                  onDrag={(dx, dy) => placeTo(pull, moves.place(start.current.window!, [dx / scale, -dy / scale], NOT))}
                  onStep={(dx, dy) => placeTo(onChange, moves.place(window, [dx * step, dy * step], NOT))}
                />
                <Grab
                  at={at({ x: window.x + window.width, y: window.y + window.height })}
                  label="Corner of the window: drag to resize"
                  text={`${say(window.width)} by ${say(window.height)}`}
                  value={window.width}
                  corner
                  onStart={begin}
                  onDrag={(dx, dy) => placeTo(pull, moves.place(start.current.window!, NOT, [dx / scale, -dy / scale]))}
                  onStep={(dx, dy) => placeTo(onChange, moves.place(window, NOT, [dx * step, dy * step]))}
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
        {/* The same by figures as by dragging: two distances from two edges. */}
        <LengthField
          label="From the left edge"
          value={from.x}
          least={0}
          most={Math.max(0, sheet.width - turned.width)}
          onChange={(x) => blankTo(onChange, { ...paper, at: { x: mm(x), y: mm(from.y) } })}
        />
        <LengthField
          label="From the near edge"
          value={from.y}
          least={0}
          most={Math.max(0, sheet.height - turned.height)}
          onChange={(y) => blankTo(onChange, { ...paper, at: { x: mm(from.x), y: mm(y) } })}
        />
        <Button
          onClick={() => {
            const place = window
              ? { x: window.x + window.width / 2, y: window.y + window.height / 2 }
              : { x: sheet.width / 2, y: sheet.height / 2 };
            const by = toCentreFront(made, design, place);
            if (by) blankTo(onChange, moves.blank(from, [by.x, by.y]));
          }}
        >
          {window ? 'Centre the front on it' : 'Centre the front on the sheet'}
        </Button>
        <Checkbox
          checked={window !== undefined}
          onChange={({ target }) => placeTo(onChange, target.checked ? moves.first() : { ...paper, window: undefined })}
        >
          A place to show or avoid
        </Checkbox>
        {window && (
          <Segmented<'show' | 'avoid'>
            aria-label="What to do with the place"
            value={window.keep}
            options={[
              { value: 'show', label: 'Show it' },
              { value: 'avoid', label: 'Avoid it' },
            ]}
            onChange={(keep) => placeTo(onChange, { ...paper, window: { ...window, keep } })}
          />
        )}
        <FinishedFront made={made} design={design} />
        {paper.width === undefined && <p>Choose a paper size to see the whole sheet.</p>}
      </div>
    </div>
  );
}

/** The paper, and on it the blank with its folds, the panel that becomes the front, and the place to mind. */
function BlankOnPaper({
  made,
  design,
  sight,
}: {
  readonly made: Made;
  readonly design: Design;
  readonly sight: OnScreen;
}) {
  const scene = useMemo(() => blankOnPaper(made, design), [made, design]);
  const { paper } = design;
  const [right, top] = sight.at({ x: scene.box.maxX, y: scene.box.maxY });
  return (
    <>
      <SceneDrawn scene={scene} sight={sight} look={STYLE.stock} />
      {paper.directional && (
        <g className={styles.arrow} transform={`translate(${right - 42} ${top + 30})`}>
          <path d="M0 14V-14M-7 -6 0 -15 7 -6" />
          <text y="32" textAnchor="middle">
            print’s top
          </text>
        </g>
      )}
    </>
  );
}

function blankOnPaper(made: Made, design: Design): Scene {
  const { paper } = design;
  const { window } = paper;
  const { piece } = made.pieces[0];
  const front = printMap(made, design)[0];
  const sheet = sheetScene(piece, { front: front?.panel });
  const lay = affineOf<'sheet'>((p) => onPaper(paper, piece.blank, p));
  const scene = asMade(made, onStock(sheet, lay, sheetFor(paper, piece.blank).sheet));
  if (!window) return scene;
  const { x, y, width, height } = window;
  return {
    ...scene,
    marks: [...scene.marks, areaOf('window', rect(x, y, x + width, y + height))],
  };
}

/** The finished front small, with what of the place to mind comes to lie on it. */
function FinishedFront({ made, design }: Pick<PaperViewProps, 'made' | 'design'>) {
  const { window } = design.paper;
  const landed = windowOnFront(made, design);
  const stack = ownPaper(made.folded.finished, made.built);
  const scene = asMade(
    made,
    pileScene(
      { stack, view: viewOf(made.built, stack), from: made.built.front },
      {
        given: basePieces(made.built),
        upward: (shown) => printOn(made, design, shown),
        window: landed?.region,
      },
    ),
  );
  return (
    <figure className={styles.result}>
      <SmallPicture
        picture={scene}
        room={FACE}
        label={`The finished front${landed ? `, with ${Math.round(landed.share * 100)} % of the window on it` : ''}`}
      />
      <figcaption>
        The finished front
        {landed && window?.keep === 'show' && <span>{Math.round(landed.share * 100)} % of the window shows</span>}
        {landed && window?.keep === 'avoid' && (
          <span>{landed.onBlank > 0.001 ? 'it lies on the blank' : 'it stays outside'}</span>
        )}
      </figcaption>
    </figure>
  );
}
