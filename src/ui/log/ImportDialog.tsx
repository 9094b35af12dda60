import { App, Modal } from 'antd';
import { useState } from 'react';
import type { LogEntry } from '@/core/files';
import type { LogLine } from '@/core/files/log-csv';
import { addLog, sameEntry } from '@/data/log';
import { FilePicker } from '../parts/FilePicker';
import { useUnits } from '../parts/useUnits';
import styles from './Log.module.css';

interface ImportDialogProps {
  readonly known: readonly LogEntry[];
  readonly onClose: () => void;
}

/** What a table would bring into the log: what will be added, what is there already, what cannot be read. */
interface Preview {
  readonly file: string;
  readonly fresh: readonly { readonly line: number; readonly entry: LogEntry }[];
  readonly already: number;
  readonly unread: readonly Extract<LogLine, { problems: readonly string[] }>[];
}

/** Most lines shown of either list. */
const SHOWN = 60;

/** A log read in from a table: nothing is added before it was looked at. */
export function ImportDialog({ known, onClose }: ImportDialogProps) {
  const { message } = App.useApp();
  const { units } = useUnits();
  const [preview, setPreview] = useState<Preview | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const look = async (file: File): Promise<void> => {
    setPreview(null);
    setTrouble(null);
    const [{ readLogCsv }, { LONGEST_TABLE }] = await Promise.all([
      import('@/core/files/log-csv'),
      import('@/core/files/csv'),
    ]);
    if (file.size > LONGEST_TABLE * 4)
      return setTrouble(`“${file.name}” has ${file.size} bytes; a log has far less. Nothing was changed.`);
    const read = readLogCsv(await file.text());
    if (!read.ok) return setTrouble(`“${file.name}” was not taken in. ${read.message}`);
    const good = read.lines.flatMap((line) => ('entry' in line ? [line] : []));
    const fresh = good.filter(({ entry }) => !known.some((one) => sameEntry(one, entry)));
    setPreview({
      file: file.name,
      fresh,
      already: good.length - fresh.length,
      unread: read.lines.flatMap((line) => ('problems' in line ? [line] : [])),
    });
  };
  const take = async (): Promise<void> => {
    setBusy(true);
    for (const { entry } of preview!.fresh) await addLog(entry, { units });
    void message.success(`${preview!.fresh.length} ${preview!.fresh.length === 1 ? 'entry' : 'entries'} added.`);
    onClose();
  };
  return (
    <Modal
      open
      title="Import a log"
      width={720}
      onCancel={onClose}
      okText={preview ? `Add ${preview.fresh.length}` : 'Add'}
      okButtonProps={{ disabled: !preview || preview.fresh.length === 0, loading: busy }}
      onOk={() =>
        void take().catch((error: Error) => {
          setBusy(false);
          setTrouble(`Not all could be added: ${error.message}`);
        })
      }
      cancelText="Leave it"
    >
      <p>
        A table with one make a line, its columns named in the first: day, name, holder, width, height, and what else
        you wrote down. Lengths are millimetres unless they carry their unit.
      </p>
      <FilePicker
        label="Log as a table (CSV)"
        accept=".csv,text/csv"
        onFile={(file) =>
          void look(file).catch((error: Error) => setTrouble(`The file could not be read: ${error.message}`))
        }
      >
        Choose a file
      </FilePicker>
      {trouble && (
        <p role="alert" className={styles.trouble}>
          {trouble}
        </p>
      )}
      {preview && (
        <div aria-live="polite">
          <p>
            <strong>{preview.fresh.length}</strong> will be added
            {preview.already > 0 && (
              <>
                , <strong>{preview.already}</strong> {preview.already === 1 ? 'is' : 'are'} there already
              </>
            )}
            {preview.unread.length > 0 && (
              <>
                , <strong>{preview.unread.length}</strong> cannot be read
              </>
            )}
            .
          </p>
          {preview.fresh.length > 0 && (
            <ul className={styles.preview}>
              {preview.fresh.slice(0, SHOWN).map(({ line, entry }) => (
                <li key={line}>
                  {entry.day}, {entry.name}: {entry.construction}
                </li>
              ))}
              {preview.fresh.length > SHOWN && <li>and {preview.fresh.length - SHOWN} more</li>}
            </ul>
          )}
          {preview.unread.length > 0 && (
            <>
              <p>These lines stay out:</p>
              <ul className={styles.preview}>
                {preview.unread.slice(0, SHOWN).map(({ line, text, problems }) => (
                  <li key={line}>
                    Line {line} ({text}): {problems.join(' ')}
                  </li>
                ))}
                {preview.unread.length > SHOWN && <li>and {preview.unread.length - SHOWN} more</li>}
              </ul>
            </>
          )}
        </div>
      )}
    </Modal>
  );
}
