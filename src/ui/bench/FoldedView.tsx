'use client';

import { useRef } from 'react';
import { turned } from '@/core/fit';
import { foldedBox, mouthView } from '@/core/fold';
import { formatLength, mm, type Graduation, type Units } from '@/core/length';
import type { Design, Made } from '@/core/plan';
import { FoldedFace } from '../draw/FoldedFace';
import { useSize } from '../draw/useSize';
import styles from './FoldedView.module.css';

interface FoldedViewProps {
  readonly made: Made;
  readonly design: Design;
  readonly units: Units;
  readonly graduation: Graduation;
}

/** The finished thing from both sides, true to scale with each other, its contents seen through the paper. */
export function FoldedView({ made, design, units, graduation }: FoldedViewProps) {
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const stack = made.folded.finished;
  const view = mouthView(stack, made.built.cavities[0]);
  const box = foldedBox(stack, view);
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const contents = design.contents ?? made.largest;
  const [lying, inside] = [turned(made.built, contents), turned(made.built, made.inside)];
  const seat = { ...lying, x: (inside.width - lying.width) / 2, y: (inside.height - lying.height) / 2 };
  // Side by side or one above the other, whichever draws it larger.
  const scaleFor = (columns: 1 | 2): number =>
    size ? Math.min((size.width / columns - 48) / width, ((size.height * columns) / 2 - 76) / height) : 1;
  const side = scaleFor(2) > scaleFor(1);
  const scale = Math.max(0.3, Math.min(scaleFor(side ? 2 : 1), 4));
  const say = (value: number): string => formatLength(mm(value), units, graduation, true);
  return (
    <div ref={frame} className={`${styles.frame} ${side ? styles.sideBySide : ''}`}>
      {size &&
        (['front', 'back'] as const).map((face) => (
          <figure key={face} className={styles.face}>
            <svg
              width={width * scale + 4}
              height={height * scale + 4}
              role="img"
              aria-label={`${face === 'front' ? 'Front' : 'Back'} of the finished envelope, ${say(made.finished.width)} by ${say(made.finished.height)}`}
            >
              <FoldedFace
                stack={stack}
                view={view}
                face={face}
                scale={scale}
                x={2}
                y={2}
                contents={seat}
                arrows={design.paper.directional}
              />
            </svg>
            <figcaption>
              {face === 'front' ? 'Front' : 'Back'}, opening at the top
              {face === 'back' && <span>dashed: {design.contents ? 'what goes in' : 'the largest that fits'}</span>}
            </figcaption>
          </figure>
        ))}
    </div>
  );
}
