import type { Backup, ReadBackup } from '@/core/files/backup';
import type { BackupWorker } from '@/workers/backup.worker';
import { HelperTrouble, startHelper } from '@/workers/helper';

type Job<R> = (core: {
  readonly write: (backup: Backup) => Uint8Array | Promise<Uint8Array>;
  readonly read: (bytes: Uint8Array) => ReadBackup | Promise<ReadBackup>;
}) => R | Promise<R>;

/** Zips beside the page; where nothing runs beside it, in the page: a backup is the last thing that may fail. */
async function zipping<R>(job: Job<R>): Promise<R> {
  const helper = startHelper<BackupWorker>(
    () => new Worker(new URL('../../workers/backup.worker.ts', import.meta.url), { type: 'module' }),
  );
  try {
    return await new Promise<R>((done, failed) =>
      helper.ask(async (remote) => job(remote as unknown as Parameters<Job<R>>[0]), failed).then(done, failed),
    );
  } catch (error) {
    if (!(error instanceof HelperTrouble)) throw error;
    const { readBackup, writeBackup } = await import('@/core/files/backup');
    return job({ write: writeBackup, read: readBackup });
  } finally {
    helper.end();
  }
}

/** A backup as the bytes of its file. */
export const packed = (backup: Backup): Promise<Uint8Array> => zipping(({ write }) => write(backup));
/** A file's bytes as a backup, or the sentence why they are none. */
export const unpacked = (bytes: Uint8Array): Promise<ReadBackup> => zipping(({ read }) => read(bytes));
