'use client';

import { Segmented } from 'antd';
import { useMemo, useRef, useState, type MouseEvent } from 'react';
import { seatIn } from '@/core/fit';
import { foldedBox, hasPanel, isReady, layersAt, outOfView, type Stack } from '@/core/fold';
import { sayThin } from '@/core/length';
import { basePieces, closurePlan, panelName, viewOf, type Made } from '@/core/plan';
import { beginning, finishedFront, printOn, windowOnFront } from '@/core/looks';
import type { Design, DesignChange } from '@/core/design';
import { FoldedFace, facePlace } from '../draw/FoldedFace';
import { useSize } from '../draw/useSize';
import { StepSlider } from '../parts/StepSlider';
import { SpaceView } from '../space/SpaceView';
import { useUnits } from '../parts/InUnits';
import { LeafThrough } from './LeafThrough';
import { PrintTable } from './PrintTable';
import styles from './FoldedView.module.css';

interface FoldedViewProps {
  readonly made: Made;
  readonly design: Design;
  readonly onChange: (change: DesignChange, key: string) => void;
}

/** Arrow keys move the place whose layers are read: right, left, up and down on the drawing. */
const PROBE_KEYS: Record<string, readonly [number, number]> = {
  ArrowRight: [1, 0],
  ArrowLeft: [-1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};

/** One picture of the making: a pile, how far the contents are in, and what was just done. */
interface Frame {
  readonly text: string;
  readonly stack: Stack;
  /** How far the contents are in: 0 outside, 1 lying; null when they are not there. */
  readonly inserted: number | null;
}

/** From the flat sheet to the finished thing, one frame a step; the contents slide in when their step has come. */
function framesOf(made: Made): readonly Frame[] {
  const { folded, built } = made;
  const [cavity] = built.cavities;
  let inserted: number | null = null;
  const frames: Frame[] = [{ text: beginning(made), stack: folded.flat, inserted }];
  const goIn = (stack: Stack): void => {
    frames.push(
      { text: 'The contents go in', stack, inserted: 0.5 },
      { text: 'The contents lie inside', stack, inserted: 1 },
    );
    inserted = 1;
  };
  if (cavity && isReady(folded, cavity)) goIn(folded.flat);
  for (const { step, stack } of folded.stages) {
    // What is made beside it meanwhile holds nothing.
    frames.push({ text: step.name, stack, inserted: cavity && hasPanel(stack, cavity.floor) ? inserted : null });
    if (cavity?.insertAfter === step.id) goIn(stack);
  }
  return frames;
}

/** The folded thing: its faces true to scale, or all of it in space; what stands has only space. */
export function FoldedView(props: FoldedViewProps) {
  const { made, design, onChange } = props;
  const stands = made.folded.standing !== null;
  const [way, setWay] = useState<'faces' | 'space' | 'leaves'>('faces');
  const gathers = design.construction.does === 'gathers';
  return (
    <div className={styles.folded}>
      {!stands && (
        <Segmented
          aria-label="How it is shown"
          size="small"
          value={way}
          options={[
            { value: 'faces', label: 'Front and back' },
            { value: 'space', label: 'In space' },
            ...(gathers ? [{ value: 'leaves' as const, label: 'Leaf through' }] : []),
          ]}
          onChange={setWay}
        />
      )}
      {stands || way === 'space' ? (
        <SpaceView made={made} design={design} />
      ) : way === 'leaves' && gathers ? (
        <LeafThrough made={made} design={design} />
      ) : (
        <Faces {...props} />
      )}
      <PrintTable made={made} design={design} onChange={onChange} />
    </div>
  );
}

/** The thing from both sides at any step of its folding, true to scale; a point of it tells its layers. */
function Faces({ made, design }: FoldedViewProps) {
  const { say, units } = useUnits();
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const frames = useMemo(() => framesOf(made), [made]);
  const [chosen, setChosen] = useState<number | null>(null);
  const [probe, setProbe] = useState<{ readonly x: number; readonly y: number } | null>(null);
  const at = Math.min(chosen ?? frames.length - 1, frames.length - 1);
  const { stack, text, inserted } = frames[at]!;
  const last = at === frames.length - 1;
  const view = viewOf(made.built, stack);
  const box = foldedBox(stack, view);
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const contents = design.contents ?? made.largest;
  const [cavity] = made.built.cavities;
  const seat = cavity && cavity.kind !== 'box' ? seatIn(cavity, made.inside, contents) : null;
  const going = inserted === null || !seat ? null : { ...seat, y: seat.y - (1 - inserted) * seat.height };
  // Side by side or one above the other, whichever draws it larger.
  const scaleFor = (columns: 1 | 2): number =>
    size
      ? Math.min((size.width / columns - 44) / width, ((size.height * columns) / 2 - 170 / (3 - columns)) / height)
      : 1;
  const side = scaleFor(2) > scaleFor(1);
  const scale = Math.max(0.2, Math.min(scaleFor(side ? 2 : 1), 4));
  const front = made.built.front;
  const given = basePieces(made.built);
  const window = last ? windowOnFront(made, design) : null;
  const dressed = last ? finishedFront(made, design, 'whole') : null;
  const closure = last ? closurePlan(made, design) : null;
  const here = probe ? layersAt(stack, outOfView(view, probe)) : [];
  const own = here.filter((layer) => !given.has(layer.piece));
  return (
    <div ref={frame} className={styles.frame}>
      {size && (
        <div className={`${styles.faces} ${side ? styles.sideBySide : ''}`}>
          {(['front', 'back'] as const).map((name) => {
            const face = (name === 'front') === (front === 'below') ? 'below' : 'above';
            const drawn = { stack, view, face, scale, x: 2, y: 2 } as const;
            const place = facePlace(drawn);
            const point = (event: MouseEvent<SVGSVGElement>): void => {
              const { left, top } = event.currentTarget.getBoundingClientRect();
              const [px, py] = [event.clientX - left - 2, event.clientY - top - 2];
              setProbe({
                x: face === 'above' ? box.maxX - px / scale : box.minX + px / scale,
                y: box.minY + py / scale,
              });
            };
            return (
              <figure key={name} className={styles.face}>
                <svg
                  width={width * scale + 4}
                  height={height * scale + 4}
                  role="img"
                  aria-label={`${name === 'front' ? 'Front' : 'Back'}${last ? ` of the finished thing, ${say(made.finished.width)} by ${say(made.finished.height)}` : `: ${text}`}`}
                  tabIndex={0}
                  aria-describedby="layers-here"
                  onKeyDown={(event) => {
                    const by = PROBE_KEYS[event.key];
                    if (!by) return;
                    event.preventDefault();
                    // Right on the drawing is left in the pile when it is seen from above.
                    const across = face === 'above' ? -by[0] : by[0];
                    const now = probe ?? { x: (box.minX + box.maxX) / 2, y: (box.minY + box.maxY) / 2 };
                    setProbe({
                      x: Math.min(box.maxX, Math.max(box.minX, now.x + (across * width) / 20)),
                      y: Math.min(box.maxY, Math.max(box.minY, now.y + (by[1] * height) / 20)),
                    });
                  }}
                  onMouseMove={point}
                  onClick={point}
                >
                  <FoldedFace
                    {...drawn}
                    contents={going ?? (last ? seat : null)}
                    arrows={(shown) => printOn(made, design, shown)}
                    given={given}
                    window={name === 'front' ? window?.region : undefined}
                    insert={dressed?.insert}
                    glue={dressed?.glue}
                    laid={name === 'front' ? dressed?.laid : undefined}
                    closure={closure?.face === name ? closure : null}
                  />
                  {probe && <circle cx={place(probe)[0]} cy={place(probe)[1]} r={4} className={styles.probe} />}
                </svg>
                <figcaption>{name === 'front' ? 'Front' : 'Back'}</figcaption>
              </figure>
            );
          })}
        </div>
      )}
      <StepSlider
        label="How far it is folded"
        at={at}
        words={frames.map((f) => f.text)}
        note={{
          id: 'layers-here',
          text:
            own.length > 0
              ? `Under the pointer ${own.length} ${own.length === 1 ? 'layer' : 'layers'}, ${sayThin(own.length * design.paper.caliper, units)}: ${own
                  .map((layer) => `${panelName(made.built, layer.panel)} (${layer.up} up)`)
                  .join(', ')}, from the table up.`
              : 'Point at the paper, or use the arrow keys on it, to read its layers.',
        }}
        onPull={setChosen}
        onStep={(by) => setChosen(Math.max(0, Math.min(frames.length - 1, at + by)))}
      />
    </div>
  );
}
