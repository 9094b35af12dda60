import { useMemo, useRef } from 'react';
import { stillOf, type Leaf } from '@/core/fold';
import { Still, stillSize } from '../draw/Still';
import { useSize } from '../draw/useSize';
import styles from './SpaceView.module.css';

interface DrawnProps {
  readonly leaves: readonly Leaf[];
  readonly touches: Parameters<typeof stillOf>[1];
  readonly label: string;
  readonly given: ReadonlySet<string>;
  /** Room to draw for, mm, where the scale must not change from picture to picture; its own size when left out. */
  readonly extent?: { readonly width: number; readonly height: number };
}

/** Paper in space without the graphics card: a drawing from one side. */
export function Drawn({ leaves, touches, label, given, extent }: DrawnProps) {
  const frame = useRef<HTMLDivElement>(null);
  const size = useSize(frame);
  const faces = useMemo(() => stillOf(leaves, touches), [leaves, touches]);
  const { width, height } = extent ?? stillSize(faces);
  return (
    <div ref={frame} className={styles.drawing}>
      {size && (
        <Still
          faces={faces}
          scale={Math.min((size.width - 30) / width, (size.height - 30) / height)}
          label={label}
          given={given}
        />
      )}
    </div>
  );
}
