import { App, Input, Modal, Progress } from 'antd';
import { useCallback, useEffect, useRef, useState } from 'react';
import { z } from '@/core/text/zod';
import type { StashLine } from '@/core/files/stash-csv';
import { addPapers } from '@/data/stash';
import { whyOf } from '@/data/trouble';
import { FilePicker } from '../parts/FilePicker';
import { useOnce } from '../parts/once';
import { readInParts } from '../parts/readInParts';
import { useUnsent } from '../parts/useUnsent';
import { useUnits } from '../parts/InUnits';
import styles from './Stash.module.css';

interface ImportPapersProps {
  readonly onClose: () => void;
}

const TABLE = z.object({ pasted: z.string() });
const NO_TABLE = { pasted: '' };

/** Most lines shown of either list. */
const SHOWN = 60;

/** Papers from a table, pasted or from a file; nothing is put in before it was looked at. */
export function ImportPapers({ onClose }: ImportPapersProps) {
  const { units } = useUnits();
  const { message } = App.useApp();
  const { value, set, forget } = useUnsent('papers-table', NO_TABLE, TABLE);
  const [lines, setLines] = useState<readonly StashLine[] | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [share, setShare] = useState<number | null>(null);
  // Of two readings only the last one's lines are shown.
  const latest = useRef(0);
  const look = useCallback(
    async (text: string): Promise<void> => {
      const own = ++latest.current;
      setLines(null);
      setTrouble(null);
      setShare(null);
      if (text.trim() === '') return;
      const { readStashCsv } = await import('@/core/files/stash-csv');
      const reading = readStashCsv(text, units);
      if (!reading.ok) return setTrouble(reading.message);
      const all = await readInParts(reading, (read) => own === latest.current && setShare(read));
      if (own !== latest.current) return;
      setLines(all);
      setShare(null);
    },
    [units],
  );
  const lookAt = async (file: File): Promise<void> => {
    const { LONGEST_TABLE } = await import('@/core/files/csv');
    if (file.size > LONGEST_TABLE * 4)
      return setTrouble(`“${file.name}” has ${file.size} bytes; a list of papers has far less. Nothing was changed.`);
    await look(await file.text());
  };
  const failed = useCallback((error: unknown) => setTrouble(`The table could not be read: ${whyOf(error)}.`), []);
  const pasted = value?.pasted ?? '';
  useEffect(() => {
    // What was pasted is read when it has stood for a moment, and when it was there before.
    const timer = setTimeout(() => void look(pasted).catch(failed), 150);
    return () => clearTimeout(timer);
  }, [pasted, look, failed]);
  const good = lines?.flatMap((line) => ('paper' in line ? [line] : [])) ?? [];
  const bad = lines?.flatMap((line) => ('problems' in line ? [line] : [])) ?? [];
  const [take, busy] = useOnce(async () => {
    try {
      await addPapers(good.map(({ paper }) => paper));
      void message.success(`${good.length} ${good.length === 1 ? 'paper' : 'papers'} put in.`);
      forget();
      onClose();
    } catch (error) {
      setTrouble(`Nothing was put in: ${whyOf(error)}.`);
    }
  });
  return (
    <Modal
      open
      title="Papers from a table"
      width={720}
      onCancel={onClose}
      okText={`Put in ${good.length}`}
      okButtonProps={{ disabled: good.length === 0, loading: busy }}
      onOk={() => take()}
      cancelText="Leave it"
      cancelButtonProps={{
        onClick: () => {
          forget();
          onClose();
        },
      }}
    >
      <p>
        One paper a line, the columns named in the first: name, width, height, and count, weight or caliper, sides,
        right way up, colour, price, made, of, note where you have them. Plain sizes are{' '}
        {units === 'in' ? 'inches' : 'millimetres'}; fractions and units are understood.
      </p>
      <Input.TextArea
        aria-label="Table of papers"
        placeholder={'name\twidth\theight\tcount\nBlue card\t12\t12\t20'}
        value={pasted}
        autoSize={{ minRows: 4, maxRows: 12 }}
        onChange={({ target }) => set({ pasted: target.value })}
      />
      <p>
        <FilePicker
          label="Papers as a table (CSV)"
          accept=".csv,.tsv,text/csv,text/tab-separated-values"
          onFile={(file) => void lookAt(file).catch(failed)}
        >
          Or choose a file
        </FilePicker>
      </p>
      {share !== null && <Progress percent={Math.round(share * 100)} aria-label="Reading" />}
      {trouble && (
        <p role="alert" className={styles.trouble}>
          {trouble}
        </p>
      )}
      {lines && (
        <div aria-live="polite">
          <p>
            <strong>{good.length}</strong> will be put in
            {bad.length > 0 && (
              <>
                , <strong>{bad.length}</strong> cannot be read
              </>
            )}
            .
          </p>
          <ul className={styles.preview}>
            {good.slice(0, SHOWN).map(({ line, paper }) => (
              <li key={line}>
                {paper.name}: {paper.count} {paper.count === 1 ? 'sheet' : 'sheets'}
              </li>
            ))}
            {bad.slice(0, SHOWN).map(({ line, text, problems }) => (
              <li key={line}>
                Line {line} ({text}) stays out: {problems.join(' ')}
              </li>
            ))}
            {lines.length > 2 * SHOWN && <li>and more</li>}
          </ul>
        </div>
      )}
    </Modal>
  );
}
