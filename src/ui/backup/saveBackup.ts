import dayjs from 'dayjs';
import { wholeBackup } from '@/data/backup';
import { download } from '../parts/download';
import { packed } from './zipping';

/** Writes everything that is kept into a file and hands it to the person. */
export async function saveBackup(): Promise<void> {
  const backup = await wholeBackup();
  download(
    `tuck-fold-backup-${dayjs(backup.writtenAt).format('YYYY-MM-DD')}.zip`,
    'application/zip',
    await packed(backup),
  );
}
