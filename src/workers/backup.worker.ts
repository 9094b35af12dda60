import { expose, transfer } from 'comlink';
import { readBackup, writeBackup, type Backup, type ReadBackup } from '@/core/files/backup';
import { greets } from './helper';

const backupWorker = {
  ...greets,
  write(backup: Backup): Uint8Array {
    const bytes = writeBackup(backup);
    return transfer(bytes, [bytes.buffer]);
  },
  read: (bytes: Uint8Array): ReadBackup => readBackup(bytes),
};
export type BackupWorker = typeof backupWorker;
expose(backupWorker);
