import { App, Input, Modal } from 'antd';
import { useState } from 'react';
import type { Units } from '@/core/length';
import type { StashLine } from '@/core/files/stash-csv';
import { addPapers } from '@/data/stash';
import { FilePicker } from '../parts/FilePicker';
import styles from './Stash.module.css';

interface ImportPapersProps {
  readonly units: Units;
  readonly onClose: () => void;
}

/** Most lines shown of either list. */
const SHOWN = 60;

/** Papers from a table, pasted or from a file; nothing is put in before it was looked at. */
export function ImportPapers({ units, onClose }: ImportPapersProps) {
  const { message } = App.useApp();
  const [pasted, setPasted] = useState('');
  const [lines, setLines] = useState<readonly StashLine[] | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const look = async (text: string): Promise<void> => {
    setLines(null);
    setTrouble(null);
    if (text.trim() === '') return;
    const { readStashCsv } = await import('@/core/files/stash-csv');
    const read = readStashCsv(text, units);
    if (read.ok) setLines(read.lines);
    else setTrouble(read.message);
  };
  const lookAt = async (file: File): Promise<void> => {
    const { LONGEST_TABLE } = await import('@/core/files/csv');
    if (file.size > LONGEST_TABLE * 4)
      return setTrouble(`“${file.name}” has ${file.size} bytes; a list of papers has far less. Nothing was changed.`);
    await look(await file.text());
  };
  const failed = (error: Error): void => setTrouble(`The table could not be read: ${error.message}`);
  const good = lines?.flatMap((line) => ('paper' in line ? [line] : [])) ?? [];
  const bad = lines?.flatMap((line) => ('problems' in line ? [line] : [])) ?? [];
  const take = async (): Promise<void> => {
    setBusy(true);
    try {
      await addPapers(good.map(({ paper }) => paper));
      void message.success(`${good.length} ${good.length === 1 ? 'paper' : 'papers'} put in.`);
      onClose();
    } catch (error) {
      setBusy(false);
      setTrouble(`Nothing was put in: ${(error as Error).message}`);
    }
  };
  return (
    <Modal
      open
      title="Papers from a table"
      width={720}
      onCancel={onClose}
      okText={`Put in ${good.length}`}
      okButtonProps={{ disabled: good.length === 0, loading: busy }}
      onOk={() => void take()}
      cancelText="Leave it"
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
        onChange={({ target }) => {
          setPasted(target.value);
          void look(target.value).catch(failed);
        }}
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
