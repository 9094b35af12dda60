'use client';

import { Segmented } from 'antd';
import { useMemo, useRef, useState, type MouseEvent } from 'react';
import { seatIn } from '@/core/fit';
import { hasPanel, isReady, type Stack } from '@/core/fold';
import { apply, type Point } from '@/core/geometry';
import { sayThin } from '@/core/length';
import { basePieces, closurePlan, panelName, viewOf, type Made } from '@/core/plan';
import { asMade, beginning, finishedFront, printOn, windowOnFront } from '@/core/looks';
import type { Design, DesignChange } from '@/core/design';
import { facesAt, heightOf, pileScene, placeOf, widthOf, type Face, type Scene } from '@/core/scene';
import { SceneDrawn, sightOf } from '../draw/SceneDrawn';
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
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};
/** Room round a face for its outline, px. */
const RIM = 2;

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
  const gathers = design.construction.does === 'gathers';
  // A book is leafed through.
  const [way, setWay] = useState<'faces' | 'space' | 'leaves'>(gathers ? 'leaves' : 'faces');
  return (
    <div className={styles.folded}>
      {!stands && (
        <Segmented
          aria-label="How it is shown"
          size="small"
          value={way}
          options={[
            ...(gathers ? [{ value: 'leaves' as const, label: 'Leaf through' }] : []),
            { value: 'faces', label: 'Front and back' },
            { value: 'space', label: 'In space' },
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
  const [probe, setProbe] = useState<Point | null>(null);
  const at = Math.min(chosen ?? frames.length - 1, frames.length - 1);
  const last = at === frames.length - 1;
  const shown = frames[at]!;
  const faces = useMemo(() => facesOf(made, design, shown, last), [made, design, shown, last]);
  const [front] = faces;
  const [width, height] = [widthOf(front.scene), heightOf(front.scene)];
  // Side by side or one above the other, whichever draws it larger.
  const scaleFor = (columns: 1 | 2): number =>
    size
      ? Math.min((size.width / columns - 44) / width, ((size.height * columns) / 2 - 170 / (3 - columns)) / height)
      : 1;
  const side = scaleFor(2) > scaleFor(1);
  const scale = Math.max(0.2, Math.min(scaleFor(side ? 2 : 1), 4));
  const own = probe ? layersFromTable(faces, probe).filter(({ stuff }) => stuff === 'paper') : [];
  return (
    <div ref={frame} className={styles.frame}>
      {size && (
        <div className={`${styles.faces} ${side ? styles.sideBySide : ''}`}>
          {faces.map(({ name, scene }) => {
            const sight = sightOf(scene, scale, RIM, RIM);
            const pointAt = ({ x, y }: Point): void =>
              setProbe(placeOf(scene, { x: Math.min(width, Math.max(0, x)), y: Math.min(height, Math.max(0, y)) }));
            const point = (event: MouseEvent<SVGSVGElement>): void => {
              const { left, top } = event.currentTarget.getBoundingClientRect();
              pointAt({
                x: (event.clientX - left - RIM) / scale,
                y: height - (event.clientY - top - RIM) / scale,
              });
            };
            return (
              <figure key={name} className={styles.face}>
                <svg
                  width={width * scale + 2 * RIM}
                  height={height * scale + 2 * RIM}
                  role="img"
                  aria-label={`${name === 'front' ? 'Front' : 'Back'}${last ? ` of the finished thing, ${say(made.finished.width)} by ${say(made.finished.height)}` : `: ${shown.text}`}`}
                  tabIndex={0}
                  aria-describedby="layers-here"
                  onKeyDown={(event) => {
                    const by = PROBE_KEYS[event.key];
                    if (!by) return;
                    event.preventDefault();
                    const now = probe ? apply(scene.frame, probe) : { x: width / 2, y: height / 2 };
                    pointAt({ x: now.x + (by[0] * width) / 20, y: now.y + (by[1] * height) / 20 });
                  }}
                  onMouseMove={point}
                  onClick={point}
                >
                  <SceneDrawn scene={scene} sight={sight} />
                  {probe && <Probe at={sight.at(apply(scene.frame, probe))} />}
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
                  .map(({ panel, up }) => `${panelName(made.built, panel)} (${up} up)`)
                  .join(', ')}, from the table up.`
              : 'Point at the paper, or use the arrow keys on it, to read its layers.',
        }}
        onPull={setChosen}
        onStep={(by) => setChosen(Math.max(0, Math.min(frames.length - 1, at + by)))}
      />
    </div>
  );
}

const Probe = ({ at: [x, y] }: { readonly at: readonly [number, number] }) => (
  <circle cx={x} cy={y} r={4} className={styles.probe} />
);

/** One side of the pile as it is seen. */
interface SeenFace {
  readonly name: 'front' | 'back';
  readonly from: 'below' | 'above';
  readonly scene: Scene;
}

/** Front and back of a frame; the finished thing with what is glued on it and what shuts it. */
function facesOf(made: Made, design: Design, { stack, inserted }: Frame, last: boolean): readonly [SeenFace, SeenFace] {
  const { built } = made;
  const view = viewOf(built, stack);
  const [cavity] = built.cavities;
  const seat = cavity && cavity.kind !== 'box' ? seatIn(cavity, made.inside, design.contents ?? made.largest) : null;
  const going = inserted === null || !seat ? null : { ...seat, y: seat.y - (1 - inserted) * seat.height };
  const dressed = last ? finishedFront(made, design, 'whole').on : null;
  const closure = last ? closurePlan(made, design) : null;
  const face = (name: SeenFace['name']): SeenFace => {
    const from = (name === 'front') === (built.front === 'below') ? 'below' : 'above';
    return {
      name,
      from,
      scene: asMade(
        made,
        pileScene(
          { stack, view, from },
          {
            given: basePieces(built),
            contents: going ?? (last ? seat : null),
            upward: (shown) => printOn(made, design, shown),
            window: last && name === 'front' ? windowOnFront(made, design)?.region : undefined,
            insert: dressed?.insert,
            glue: dressed?.glue,
            laid: name === 'front' ? dressed?.laid : undefined,
            closure: closure?.face === name ? closure : null,
          },
        ),
      ),
    };
  };
  return [face('front'), face('back')];
}

/** The layers over a place of the pile, from the table up, and which of their sides looks up there. */
function layersFromTable(
  faces: readonly SeenFace[],
  probe: Point,
): readonly { readonly panel: string; readonly up: Face['side']; readonly stuff: Face['stuff'] }[] {
  const { scene } = faces.find(({ from }) => from === 'above')!;
  return facesAt(scene, apply(scene.frame, probe))
    .flatMap(({ panel, side: up, stuff }) => (panel === null ? [] : [{ panel, up, stuff }]))
    .reverse();
}
