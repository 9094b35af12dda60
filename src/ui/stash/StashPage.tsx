'use client';

import { DeleteOutlined, DownloadOutlined, EditOutlined, PlusOutlined, UploadOutlined } from '@ant-design/icons';
import { App, Button, Input, Table, type TableColumnsType } from 'antd';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { formatLength, gramsAt, INCH, mm } from '@/core/length';
import { carriedOut, undoCut } from '@/data/cuttings';
import type { CutRecord, PaperRecord } from '@/data/db';
import type { Damaged } from '@/data/keep';
import { dropPaper, inStash, keepPaper, paperOf, putBackPaper } from '@/data/stash';
import { whyOf } from '@/data/trouble';
import { Boundary } from '../parts/Boundary';
import { download } from '../parts/download';
import { NumberField } from '../parts/NumberField';
import { OnceButton } from '../parts/once';
import { Opened } from '../parts/Opened';
import { SetAside } from '../parts/SetAside';
import { damagedIn, useAll } from '../parts/useKept';
import { useTell } from '../parts/useTell';
import { MyUnitsSwitch } from '../parts/MyUnits';
import { Waiting } from '../parts/Waiting';
import { useReading } from '../parts/Reading';
import { Becomes } from './Becomes';
import { ImportPapers } from './ImportPapers';
import { ChangePaper, NewPaper } from './PaperForm';
import { SavedChart } from './SavedChart';
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
  const { notification } = App.useApp();
  const { failed } = useTell();
  const { units, graduation } = useReading();
  const say = (value: number): string => formatLength(mm(value), units, graduation);
  const [words, setWords] = useState('');
  const [open, setOpen] = useState<Open | null>(null);
  // What lies open follows what becomes of it elsewhere.
  const changing = open?.kind === 'change' ? (papers.find(({ id }) => id === open.paper.id) ?? open.paper) : null;
  const wanted = words.toLowerCase().split(/\s+/).filter(Boolean);
  const found = papers.filter(({ name, colour, note, of }) =>
    wanted.every((word) => `${name} ${colour} ${note} ${of}`.toLowerCase().includes(word)),
  );
  const cutOf = new Map(cuts.map((cut) => [cut.id, cut]));
  const remove = (paper: PaperRecord): void => {
    void dropPaper(paper.id).catch(failed('It could not be taken out'));
    notification.open({
      key: paper.id,
      title: `“${paper.name}” is taken out of the stash`,
      actions: (
        <Button
          type="primary"
          onClick={() => {
            void putBackPaper(paper.id).catch(failed('It could not be put back'));
            notification.destroy(paper.id);
          }}
        >
          Put it back
        </Button>
      ),
      duration: 8,
    });
  };
  const save = async (): Promise<void> => {
    const { writeStashCsv } = await import('@/core/files/stash-csv');
    download('tuck-fold-stash.csv', 'text/csv;charset=utf-8', writeStashCsv(papers.map(paperOf)));
  };
  const columns: TableColumnsType<PaperRecord> = [
    {
      title: 'Paper',
      dataIndex: 'name',
      sorter: (a, b) => a.name.localeCompare(b.name),
      render: (name: string, { made, of, note, from }) => (
        <>
          <strong>{name}</strong>
          <span className={styles.under}>
            {[
              made !== 'plain' && `${made}${of && ` from ${of}`}`,
              cutOf.get(from) && `left of “${cutOf.get(from)!.name}”`,
              note,
            ]
              .filter(Boolean)
              .join('; ')}
          </span>
        </>
      ),
    },
    {
      title: 'Size',
      key: 'size',
      sorter: (a, b) => a.width * a.height - b.width * b.height,
      render: (_, { width, height }) => (
        <span className={styles.figure}>
          {say(width)} × {say(height)}
        </span>
      ),
    },
    {
      title: 'Sheets',
      dataIndex: 'count',
      width: 100,
      sorter: (a, b) => a.count - b.count,
      render: (count: number, paper) => (
        <NumberField
          aria-label={`Sheets of ${paper.name}, ${say(paper.width)} × ${say(paper.height)}`}
          min={0}
          max={9999}
          precision={0}
          value={count}
          className={styles.count}
          onChange={(n) => keepPaper(paper.id, paper, { ...paper, count: n })}
        />
      ),
    },
    {
      title: 'Kind',
      key: 'kind',
      render: (_, { caliper, sided, directional, colour }) =>
        [
          colour,
          `${Math.round(gramsAt(caliper) / 5) * 5} g/m²`,
          sided === 1 && 'printed on one side',
          directional && 'right way up',
        ]
          .filter(Boolean)
          .join(', '),
    },
    {
      title: 'A sheet',
      dataIndex: 'price',
      align: 'right',
      width: 92,
      sorter: (a, b) => a.price - b.price,
      render: (price: number) => (price > 0 ? <span className={styles.figure}>{price.toFixed(2)}</span> : ''),
    },
    {
      key: 'do',
      title: <span className="sr-only">What to do</span>,
      width: 250,
      render: (_, paper) => (
        <span className={styles.rowTools}>
          <Button onClick={() => setOpen({ kind: 'becomes', paper })}>What can it become?</Button>
          <Button
            type="text"
            icon={<EditOutlined />}
            aria-label={`Change ${paper.name}`}
            onClick={() => setOpen({ kind: 'change', paper })}
          />
          <Button
            type="text"
            icon={<DeleteOutlined />}
            aria-label={`Take ${paper.name} out`}
            onClick={() => remove(paper)}
          />
        </span>
      ),
    },
  ];
  const table = (rows: readonly PaperRecord[], title: string, none: string) => (
    <section className={styles.card} aria-label={title}>
      <h2>{title}</h2>
      {rows.length === 0 ? (
        <p className={styles.soft}>{none}</p>
      ) : (
        <Table<PaperRecord>
          size="small"
          rowKey="id"
          columns={columns}
          dataSource={[...rows]}
          pagination={rows.length > 40 ? { pageSize: 40, showSizeChanger: false } : false}
          scroll={{ x: 860 }}
        />
      )}
    </section>
  );
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
        <MyUnitsSwitch />
      </div>
      <SetAside damaged={damaged} />
      <Input
        className={styles.search}
        allowClear
        aria-label="Search the stash"
        placeholder="Search: name, colour, note"
        value={words}
        onChange={({ target }) => setWords(target.value)}
      />
      {table(
        found.filter(({ offcut }) => !offcut),
        'Papers',
        words ? 'Nothing here is called that.' : 'No papers yet. Add one, or paste a table.',
      )}
      {table(
        found.filter(({ offcut, count }) => offcut && count > 0),
        'Offcuts',
        words
          ? 'Nothing here is called that.'
          : 'None yet. They come in by themselves when a cutting is marked as cut.',
      )}
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

/** What was cut, how much of it came from offcuts, and what can be taken back. */
function Spent({ cuts }: { readonly cuts: readonly CutRecord[] }) {
  const { modal } = App.useApp();
  const { units } = useReading();
  const unit = units === 'in' ? (12 * INCH) ** 2 : 10_000;
  const saved = cuts.reduce((sum, cut) => sum + cut.saved, 0) / unit;
  const money = cuts.reduce((sum, cut) => sum + cut.savedCost, 0);
  if (cuts.length === 0)
    return (
      <section className={styles.card} aria-label="Paper saved">
        <h2>Paper saved</h2>
        <p className={styles.soft}>
          Nothing was cut yet. Lay something on the <Link href="/cutting">cutting table</Link>.
        </p>
      </section>
    );
  return (
    <section className={styles.card} aria-label="Paper saved">
      <h2>Paper saved</h2>
      <div className={styles.spent}>
        <div>
          <p className={styles.savedHero}>
            <strong>{saved.toFixed(1)}</strong> {units === 'in' ? 'square feet' : 'dm²'} of pieces were cut from offcuts
            {money > 0 && (
              <>
                , so <strong>{money.toFixed(2)}</strong> was not spent again
              </>
            )}
            .
          </p>
          <Boundary what="The chart" of={cuts}>
            <SavedChart cuts={cuts} />
          </Boundary>
        </div>
        <ol className={styles.cuts}>
          {[...cuts]
            .reverse()
            .slice(0, 8)
            .map(({ id, name, at, sheets, cost, taken }) => (
              <li key={id}>
                <span>
                  {new Date(at).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' })}
                </span>
                <span>
                  {name}: {sheets} {sheets === 1 ? 'sheet' : 'sheets'}
                  {cost > 0 && `, ${cost.toFixed(2)}`}
                </span>
                {taken.length > 0 && (
                  <OnceButton
                    size="small"
                    onPress={() =>
                      undoCut(id).catch((error: unknown) => {
                        modal.error({ title: 'It could not be taken back', content: `${whyOf(error)}.` });
                      })
                    }
                  >
                    Take it back
                  </OnceButton>
                )}
              </li>
            ))}
        </ol>
      </div>
    </section>
  );
}
