'use client';

import { useMemo, useRef, useState } from 'react';
import type { Design } from '@/core/design';
import type { Made, MadePiece } from '@/core/plan';
import { useSize } from '../draw/useSize';
import { useUnits } from '../parts/InUnits';
import { contentsOnSheet, sheetPicture } from '@/core/looks';
import { linesOf } from '@/core/scene';
import { Ground, Hatches, ON_PAPER, Upper, type OnScreen } from '../draw/SceneDrawn';
import { ContentsLabel, Legend, PanelNames } from './SheetDrawn';
import { SheetEdges } from './SheetEdges';
import { ContentsGrip, FoldGrips } from './SheetGrips';
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
  const { say } = useUnits();
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const [heldScale, setHeldScale] = useState<number | null>(null);
  const seat = useMemo(() => contentsOnSheet(made, part, design), [made, part, design]);
  const scene = useMemo(() => sheetPicture(made, part, { contents: seat?.card ?? null }), [made, part, seat]);
  const { piece } = part;
  const { blank } = piece;
  const box = size ?? { width: 600, height: 600 };
  const free = { width: Math.max(120, box.width - 2 * MARGIN), height: Math.max(120, box.height - 2 * MARGIN) };
  const scale = heldScale ?? Math.min(free.width / blank.width, free.height / blank.height);
  const sight: OnScreen = {
    scale,
    // The middle of the sheet stands still while it grows, so a drag never runs away from the finger.
    at: (p) => [box.width / 2 + (p.x - blank.width / 2) * scale, box.height / 2 - (p.y - blank.height / 2) * scale],
  };
  const grips = { sight, dragging, onHold: (held: boolean) => setHeldScale(held ? scale : null) };
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
            <Hatches />
            <g className={ON_PAPER}>
              <Ground scene={scene} sight={sight} />
            </g>
            <SheetEdges made={made} part={part} scene={scene} sight={sight} />
            <g className={ON_PAPER}>
              <PanelNames scene={scene} seat={seat} sight={sight} />
              {seat && <ContentsLabel seat={seat} known={design.contents !== null} sight={sight} />}
              <Upper scene={scene} sight={sight} />
              <FoldGrips made={made} scene={scene} {...grips} />
              {seat && design.contents && <ContentsGrip seat={seat} {...grips} />}
            </g>
          </svg>
        )}
      </div>
      <Legend mountain={linesOf(scene, 'mountain').length > 0} />
    </>
  );
}
