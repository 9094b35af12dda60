import { Alert, Button } from 'antd';
import type { Stop } from '@/core/sets';
import { several } from '@/core/text';
import type { MakeRecord } from '@/data/db';
import { laidIn, leaveStash, markCutIn } from '@/data/makes';
import { OnceButton } from '../parts/once';
import { useTell } from '../parts/useTell';
import styles from './Make.module.css';

interface StashFollowsProps {
  readonly make: MakeRecord;
  readonly walk: readonly Stop[];
  readonly done: number;
}

/** Once a paper is cut up: its sheets are taken out of the stash at a touch, and its offcuts put in. */
export function StashFollows({ make, walk, done }: StashFollowsProps) {
  const { failed } = useTell();
  const open = laidIn(make).filter(({ cut, followed, layout }) => {
    const last = walk.findLastIndex(({ sheets }) => sheets?.layout === layout);
    // Where the last of it was cut, and once more when all is done: elsewhere the step has the room.
    return cut === '' && followed === undefined && last >= 0 && [last + 1, walk.length].includes(done);
  });
  if (open.length === 0) return null;
  const sheets = open.flatMap(({ layout }) => layout.sheets);
  const names = [...new Set(sheets.map(({ sheet }) => sheet))].join(', ');
  return (
    <Alert
      type="info"
      className={styles.stash}
      title={`${several(sheets.length, 'sheet')} cut: ${names}`}
      action={
        <span className={styles.stashButtons}>
          <OnceButton onPress={() => markCutIn(make, open).catch(failed('The stash could not follow'))}>
            Let the stash follow
          </OnceButton>
          <Button type="text" onClick={() => leaveStash(make, open)}>
            Leave it
          </Button>
        </span>
      }
    />
  );
}
