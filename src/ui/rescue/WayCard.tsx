import { Button } from 'antd';
import { foldedBox } from '@/core/fold';
import { FoldedFace, facePlace } from '../draw/FoldedFace';
import { SmallPicture } from '../draw/SmallPicture';
import type { ShownWay } from '@/workers/rescue.worker';
import styles from './Rescue.module.css';

const ROOM = { width: 200, height: 140 };
const KINDS: Record<ShownWay['kind'], string> = {
  'as-it-is': 'It will still do',
  mend: 'Mend it',
  'other-holder': 'Something near',
  'other-contents': 'For something smaller',
  'new-sheet': 'Begin anew',
};

/** One way out: the folded thing with its scars, what is left of the room, what it costs. */
export function WayCard({ way, onTake }: { readonly way: ShownWay; readonly onTake: () => void }) {
  const { kind, title, text, keeps } = way;
  return (
    <li className={styles.way}>
      <div className={styles.drawn}>
        <WayDrawing way={way} />
      </div>
      <p className={styles.kind}>
        {KINDS[kind]}
        {!keeps && ': not for what it was meant for'}
      </p>
      <h3>{title}</h3>
      <p>{text}</p>
      <Button type={kind === 'new-sheet' ? 'default' : 'primary'} onClick={onTake} aria-label={`Take it: ${title}`}>
        Take it
      </Button>
    </li>
  );
}

function WayDrawing({ way: { flat, picture, title } }: { readonly way: ShownWay }) {
  if (picture) return <SmallPicture picture={picture} scale={1} room={ROOM} />;
  if (!flat) return null;
  const { stack, view, face, given, laid, scars } = flat;
  const box = foldedBox(stack, view);
  const [width, height] = [box.maxX - box.minX, box.maxY - box.minY];
  const scale = Math.min(ROOM.width / width, ROOM.height / height);
  const drawn = { stack, view, face, scale, x: 2, y: 2 } as const;
  const place = facePlace(drawn);
  const where = face === 'below' ? 'from the front' : 'from the back';
  return (
    <svg
      width={width * scale + 4}
      height={height * scale + 4}
      role="img"
      aria-label={`${title}, seen ${where}${scars.length > 0 ? ', its scars marked' : ''}`}
    >
      <FoldedFace {...drawn} given={given} laid={laid} />
      {scars.map((p, i) => {
        const [cx, cy] = place(p);
        return <circle key={i} cx={cx} cy={cy} r={2} className={styles.scar} />;
      })}
    </svg>
  );
}
