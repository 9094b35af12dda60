'use client';

import { DownloadOutlined, PlusOutlined, UploadOutlined } from '@ant-design/icons';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { carriedOut } from '@/data/cuttings';
import type { CutRecord, PaperRecord } from '@/data/db';
import type { Damaged } from '@/data/keep';
import { CURRENCY } from '@/data/setting-kinds';
import { dropPaper, inStash, stashPaperOf, putBackPaper } from '@/data/stash';
import { Boundary } from '../parts/Boundary';
import { download } from '../parts/download';
import { Opened } from '../parts/Opened';
import { SetAside } from '../parts/SetAside';
import { TextField } from '../parts/TextField';
import { SearchField, searching } from '../parts/SearchField';
import { useInAddress } from '../parts/useInAddress';
import { damagedIn, useAll, useSetting } from '../parts/useKept';
import { useTell } from '../parts/useTell';
import { MyUnitsSwitch } from '../parts/MyUnits';
import { Waiting } from '../parts/Waiting';
import { Becomes } from './Becomes';
import { ImportPapers } from './ImportPapers';
import { ChangePaper, NewPaper } from './PaperForm';
import { PaperTable } from './PaperTable';
import { Spent } from './Spent';
import styles from './Stash.module.css';

/** Papers and offcuts on hand, what they can become, and what was saved. */
export function StashPage() {
  return (
    <Opened what="Opening the stash">
      <ReadStash />
    </Opened>
  );
}

function ReadStash() {
  const papers = useAll<PaperRecord>('papers');
  const cuts = useAll<CutRecord>('cuts');
  const inOrder = useMemo(() => papers && inStash(papers.records), [papers]);
  const done = useMemo(() => cuts && carriedOut(cuts.records), [cuts]);
  if (!inOrder || !done) return <Waiting what="Opening the stash" whole />;
  return <Stash papers={inOrder} cuts={done} damaged={damagedIn(papers, cuts)} />;
}

const NONE_CALLED_THAT = 'Nothing here is called that.';

type Open =
  | { kind: 'new' }
  | { kind: 'change'; paper: PaperRecord }
  | { kind: 'import' }
  | { kind: 'becomes'; paper: PaperRecord };

function Stash({
  papers,
  cuts,
  damaged,
}: {
  readonly papers: readonly PaperRecord[];
  readonly cuts: readonly CutRecord[];
  readonly damaged: readonly Damaged[];
}) {
  const { failed, undoable } = useTell();
  const [currency = '', setCurrency] = useSetting(CURRENCY);
  const [words, setWords] = useInAddress('words');
  const [open, setOpen] = useState<Open | null>(null);
  // What lies open follows what becomes of it elsewhere.
  const changing = open?.kind === 'change' ? (papers.find(({ id }) => id === open.paper.id) ?? open.paper) : null;
  const wanted = searching(words);
  const found = papers.filter(({ name, colour, note, of }) => wanted(`${name} ${colour} ${note} ${of}`));
  const remove = (paper: PaperRecord): void => {
    void dropPaper(paper.id).catch(failed('It could not be taken out'));
    undoable({ key: paper.id, done: `“${paper.name}” is taken out of the stash`, back: () => putBackPaper(paper.id) });
  };
  const save = async (): Promise<void> => {
    const { writeStashCsv } = await import('@/core/files/stash-csv');
    download('tuck-fold-stash.csv', 'text/csv;charset=utf-8', writeStashCsv(papers.map(stashPaperOf)));
  };
  const table = {
    cuts,
    onBecomes: (paper: PaperRecord) => setOpen({ kind: 'becomes', paper }),
    onChange: (paper: PaperRecord) => setOpen({ kind: 'change', paper }),
    onRemove: remove,
  };
  return (
    <main className={styles.page}>
      <div className={styles.head}>
        <h1>Stash</h1>
        <Button type="primary" icon={<PlusOutlined />} onClick={() => setOpen({ kind: 'new' })}>
          Add a paper
        </Button>
        <Button icon={<UploadOutlined />} onClick={() => setOpen({ kind: 'import' })}>
          Paste or import
        </Button>
        <Button
          icon={<DownloadOutlined />}
          disabled={papers.length === 0}
          onClick={() => void save().catch(failed('It could not be written'))}
        >
          Export (CSV)
        </Button>
        <label className={styles.currency}>
          Money in
          <TextField value={currency} maxLength={20} onChange={setCurrency} />
        </label>
        <MyUnitsSwitch />
      </div>
      <SetAside damaged={damaged} />
      <SearchField
        className={styles.search}
        label="Search the stash"
        placeholder="words in name, colour, note"
        value={words}
        onChange={setWords}
      />
      <PaperTable
        {...table}
        title="Papers"
        papers={found.filter(({ offcut }) => !offcut)}
        none={words ? NONE_CALLED_THAT : 'No papers yet. Add one, or paste a table.'}
      />
      <PaperTable
        {...table}
        title="Offcuts"
        papers={found.filter(({ offcut, count }) => offcut && count > 0)}
        none={words ? NONE_CALLED_THAT : 'None yet. They come in by themselves when a cutting is marked as cut.'}
      />
      <Spent cuts={cuts} />
      <Boundary what="This dialog" of={open}>
        {open?.kind === 'new' && <NewPaper onClose={() => setOpen(null)} />}
        {changing && <ChangePaper key={changing.id} paper={changing} onClose={() => setOpen(null)} />}
        {open?.kind === 'import' && <ImportPapers onClose={() => setOpen(null)} />}
        {open?.kind === 'becomes' && <Becomes paper={open.paper} onClose={() => setOpen(null)} />}
      </Boundary>
    </main>
  );
}
