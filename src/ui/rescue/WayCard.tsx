import { Button } from 'antd';
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

function WayDrawing({ way: { picture, scarred, title } }: { readonly way: ShownWay }) {
  if (!picture) return null;
  const label = scarred ? `${title}, seen from the ${scarred}, its scars marked` : undefined;
  return <SmallPicture picture={picture} {...(!scarred && { scale: 1 })} room={ROOM} label={label} />;
}
