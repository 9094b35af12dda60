import { drawnBox, heightOf, widthOf, type DrawStyle, type Scene } from '@/core/scene';
import { SceneDrawn, sightOf } from './SceneDrawn';

interface SmallPictureProps {
  readonly picture: Scene;
  /** Pixels to a millimetre where there is room for it; as large as there is room where left out. */
  readonly scale?: number;
  readonly room?: { readonly width: number; readonly height: number };
  /** What it shows, where it is more than decoration. */
  readonly label?: string | undefined;
  /** How it is drawn, where that is not how its kind is. */
  readonly look?: DrawStyle;
}

/** Room round the picture for its outline, px. */
const RIM = 2;

/** A scene as a picture of its own, as large as there is room: also what sticks out of it takes room. */
export function SmallPicture({ picture, scale = Infinity, room, label, look }: SmallPictureProps) {
  const box = drawnBox(picture);
  const [width, height] = [widthOf({ box }), heightOf({ box })];
  const drawn = room ? Math.min(scale, room.width / width, room.height / height) : scale;
  return (
    <svg
      width={width * drawn + 2 * RIM}
      height={height * drawn + 2 * RIM}
      role={label ? 'img' : undefined}
      aria-label={label}
      aria-hidden={label ? undefined : true}
    >
      <SceneDrawn scene={picture} sight={sightOf({ box }, drawn, RIM, RIM)} {...(look && { look })} />
    </svg>
  );
}
