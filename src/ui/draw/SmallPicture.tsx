import { foldedBox } from '@/core/fold';
import type { Picture } from '@/core/looks';
import { FoldedFace } from './FoldedFace';
import { Still, stillSize } from './Still';
import styles from './FoldedFace.module.css';

interface SmallPictureProps {
  readonly picture: Picture;
  /** Pixels to a millimetre where there is room for it; only what is larger is drawn smaller. */
  readonly scale: number;
  readonly room: { readonly width: number; readonly height: number };
  /** What it shows, where it is more than decoration. */
  readonly label?: string;
}

/** The finished thing, small: the face of a pile, or what stands. */
export function SmallPicture({ picture, scale, room, label }: SmallPictureProps) {
  const fit = (width: number, height: number): number => Math.min(scale, room.width / width, room.height / height);
  if (picture.kind === 'still') {
    const { width, height } = stillSize(picture.faces);
    return <Still faces={picture.faces} scale={fit(width, height)} label={label} />;
  }
  const box = foldedBox(picture.stack, picture.view);
  const { contents } = picture;
  // What still sticks out over the mouth takes room too.
  const over = contents ? Math.max(0, box.minY - contents.y) : 0;
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY + over];
  const drawn = fit(width, height);
  return (
    <svg
      width={width * drawn + 4}
      height={height * drawn + 4}
      role={label ? 'img' : undefined}
      aria-label={label}
      aria-hidden={label ? undefined : true}
    >
      {contents && over > 0 && (
        <rect
          x={2 + (box.maxX - contents.x - contents.width) * drawn}
          y={2}
          width={contents.width * drawn}
          height={over * drawn}
          className={styles.card}
        />
      )}
      <FoldedFace
        stack={picture.stack}
        view={picture.view}
        face="above"
        scale={drawn}
        x={2}
        y={2 + over * drawn}
        contents={contents ?? null}
      />
    </svg>
  );
}
