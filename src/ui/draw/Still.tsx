import type { Side, StillFace } from '@/core/fold';
import { boxOf } from '@/core/geometry';
import { ringsPath } from './path';
import styles from './Still.module.css';

interface StillProps {
  readonly faces: readonly StillFace[];
  /** Pixels to a millimetre. */
  readonly scale: number;
  /** What it shows, where it is more than decoration. */
  readonly label?: string;
  /** Pieces the maker has already: drawn faintly. */
  readonly given?: ReadonlySet<string>;
}

/** Room round the picture for its outline, px. */
const RIM = 2;

/** Size of a still picture, mm. */
export function stillSize(faces: readonly StillFace[]): { readonly width: number; readonly height: number } {
  const { minX, maxX, minY, maxY } = boxOf(faces.flatMap(({ points }) => points));
  return { width: maxX - minX, height: maxY - minY };
}

/** What stands on the table, as a drawing: every panel in its tint, darker where less light falls on it. */
export function Still({ faces, scale, label, given }: StillProps) {
  const { minX, maxX, minY, maxY } = boxOf(faces.flatMap(({ points }) => points));
  return (
    <svg
      width={(maxX - minX) * scale + 2 * RIM}
      height={(maxY - minY) * scale + 2 * RIM}
      role={label ? 'img' : undefined}
      aria-label={label}
      aria-hidden={label ? undefined : true}
    >
      {faces.map(({ piece, panel, points, side, light }) => {
        const path = ringsPath([points], (p) => [RIM + (p.x - minX) * scale, RIM + (maxY - p.y) * scale]);
        return (
          <g key={panel} className={styles.face}>
            <path d={path} className={tint(piece, side, given)} />
            <path d={path} className={styles.shade} fillOpacity={(1 - light) * 0.34} />
          </g>
        );
      })}
    </svg>
  );
}

function tint(piece: string, side: Side, given?: ReadonlySet<string>): string | undefined {
  if (piece === 'contents') return styles.contents;
  if (piece === 'glue') return styles.glue;
  if (piece === 'laid') return styles.laid;
  if (given?.has(piece)) return styles.given;
  return side === 'inside' ? styles.inside : styles.outside;
}
