import { useMemo, useRef } from 'react';
import type { Standing } from '@/core/fold';
import { asMade } from '@/core/looks';
import type { Made } from '@/core/plan';
import { heightOf, stillScene, widthOf } from '@/core/scene';
import { SmallPicture } from '../draw/SmallPicture';
import { useSize } from '../draw/useSize';
import styles from './SpaceView.module.css';

interface DrawnProps {
  readonly made: Made;
  readonly standing: Standing;
  readonly label: string;
  readonly given: ReadonlySet<string>;
  /** Room to draw for, mm, where the scale must not change from picture to picture; its own size when left out. */
  readonly extent?: { readonly width: number; readonly height: number };
}

/** Paper in space without the graphics card: a drawing from one side. */
export function Drawn({ made, standing, label, given, extent }: DrawnProps) {
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const scene = useMemo(() => asMade(made, stillScene(standing, given)), [made, standing, given]);
  const { width, height } = extent ?? { width: widthOf(scene), height: heightOf(scene) };
  return (
    <div ref={frame} className={styles.drawing}>
      {size && (
        <SmallPicture
          picture={scene}
          scale={Math.min((size.width - 30) / width, (size.height - 30) / height)}
          label={label}
        />
      )}
    </div>
  );
}
