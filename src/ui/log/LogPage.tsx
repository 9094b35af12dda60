'use client';

import { DownloadOutlined, UploadOutlined } from '@ant-design/icons';
import { Button, Select, Table, type TableColumnsType } from 'antd';
import { Link } from '../parts/Link';
import { useSearchParams } from 'next/navigation';
import { useMemo, useState } from 'react';
import { CONSTRUCTIONS } from '@/core/constructions';
import type { LogRecord } from '@/data/db';
import { isExample } from '@/data/examples';
import type { Damaged } from '@/data/keep';
import { latestFirst } from '@/data/log';
import { ExampleTag } from '../parts/ExampleTag';
import { Boundary } from '../parts/Boundary';
import { download } from '../parts/download';
import { Empty } from '../parts/Empty';
import { MainLink } from '../parts/MainLink';
import { NotHere } from '../parts/NotHere';
import { Opened } from '../parts/Opened';
import { SetAside } from '../parts/SetAside';
import { SearchField, searching } from '../parts/SearchField';
import { useInAddress } from '../parts/useInAddress';
import { damagedIn, useAll } from '../parts/useKept';
import { useTell } from '../parts/useTell';
import { Waiting } from '../parts/Waiting';
import { InUnits, useUnits } from '../parts/InUnits';
import { Words } from '../parts/Words';
import { ByHand } from './ByHand';
import { EntryPage } from './EntryPage';
import { fitWords, titleOf } from './fitWords';
import { ImportDialog } from './ImportDialog';
import { MisreadBefore } from './Misread';
import { WhatFitsSay } from './WhatFitsSay';
import styles from './Log.module.css';

/** What was made and how it fitted; `/log?e=…` is the page of one make. */
export function LogPage() {
  return (
    <Opened what="Opening the log">
      <ReadLog />
    </Opened>
  );
}

function ReadLog() {
  const address = useSearchParams();
  const id = address.get('e');
  const { units } = useUnits();
  const all = useAll<LogRecord>('log');
  const entries = useMemo(() => all && latestFirst(all.records), [all]);
  if (!entries) return <Waiting what="Opening the log" whole />;
  if (address.has('new')) return <ByHand units={units} />;
  const entry = id ? entries.find((one) => one.id === id) : undefined;
  if (id && !entry)
    return (
      <NotHere
        title="That entry is not in the log"
        why="It may have been taken out, or be in another browser."
        to={{ href: '/log', label: 'All entries' }}
      />
    );
  return entry ? (
    <InUnits units={entry.units} graduation={entry.units === 'in' ? '1/16 in' : '0.5 mm'}>
      <EntryPage key={entry.id} entry={entry} />
    </InUnits>
  ) : (
    <Log entries={entries} damaged={damagedIn(all)} />
  );
}

interface LogProps {
  readonly entries: readonly LogRecord[];
  readonly damaged: readonly Damaged[];
}

function Log({ entries, damaged }: LogProps) {
  const { failed } = useTell();
  const [words, setWords] = useInAddress('words');
  const [holder, setHolder] = useInAddress('holder', 'any');
  const [verdict, setVerdict] = useInAddress('fit', 'any');
  const [importing, setImporting] = useState(false);
  const found = useMemo(() => {
    const wanted = searching(words);
    return entries.filter(({ name, note, changed, paper, construction, fit }) => {
      return (
        wanted(`${name} ${note} ${changed} ${paper} ${titleOf(construction)}`) &&
        (holder === 'any' || construction === holder) &&
        (verdict === 'any' ||
          (verdict === 'right'
            ? fit.width.how === 'right' && fit.height.how === 'right'
            : fit.width.how === verdict || fit.height.how === verdict))
      );
    });
  }, [entries, words, holder, verdict]);
  const kinds = CONSTRUCTIONS.filter(({ name }) => entries.some(({ construction }) => construction === name));
  const columns: TableColumnsType<LogRecord> = [
    {
      title: 'Day',
      dataIndex: 'day',
      width: 116,
      sorter: (a, b) => a.day.localeCompare(b.day),
      defaultSortOrder: 'descend',
    },
    {
      title: 'Made',
      dataIndex: 'name',
      sorter: (a, b) => a.name.localeCompare(b.name),
      render: (name: string, entry) => (
        <>
          <Link href={`/log?e=${encodeURIComponent(entry.id)}`}>{name}</Link>
          {isExample(entry) && <ExampleTag />}
        </>
      ),
    },
    {
      title: 'Holder',
      responsive: ['md'],
      dataIndex: 'construction',
      sorter: (a, b) => titleOf(a.construction).localeCompare(titleOf(b.construction)),
      render: titleOf,
    },
    {
      title: 'Fit',
      key: 'fit',
      sorter: (a, b) => tightness(a) - tightness(b),
      render: (_, entry) => (
        <span className={styles.verdict}>
          <Words>{fitWords(entry)}</Words>
        </span>
      ),
    },
    {
      title: 'Copies',
      dataIndex: 'copies',
      responsive: ['md'],
      align: 'right',
      width: 92,
      sorter: (a, b) => a.copies - b.copies,
    },
    {
      title: 'Minutes',
      dataIndex: 'minutes',
      responsive: ['lg'],
      align: 'right',
      width: 100,
      sorter: (a, b) => a.minutes - b.minutes,
    },
    { title: 'Paper', dataIndex: 'paper', responsive: ['lg'] },
  ];
  const save = async (): Promise<void> => {
    const { writeLogCsv } = await import('@/core/files/log-csv');
    download('tuck-fold-log.csv', 'text/csv;charset=utf-8', writeLogCsv(found));
  };
  return (
    <main className={styles.log}>
      <div className={styles.head}>
        <h1>Log</h1>
        <MainLink href="/log?new">Write one down</MainLink>
        <span className={styles.noPrint}>
          <Button icon={<DownloadOutlined />} onClick={() => void save().catch(failed('It could not be written'))}>
            {found.length === entries.length ? 'Export (CSV)' : `Export these ${found.length} (CSV)`}
          </Button>
        </span>
        <span className={styles.noPrint}>
          <Button icon={<UploadOutlined />} onClick={() => setImporting(true)}>
            Import (CSV)
          </Button>
        </span>
        <span className={styles.noPrint}>
          <Button onClick={() => window.print()}>Print</Button>
        </span>
      </div>
      <SetAside damaged={damaged} />
      <div className={`${styles.filters} ${styles.noPrint}`}>
        <SearchField
          className={styles.search}
          label="Search the log"
          placeholder="words in name, paper, note"
          value={words}
          onChange={setWords}
        />
        <Select
          aria-label="Kind of holder"
          value={holder}
          style={{ minWidth: 210 }}
          options={[
            { value: 'any', label: 'every kind of holder' },
            ...kinds.map(({ name, title }) => ({ value: name, label: title })),
          ]}
          onChange={setHolder}
        />
        <Select
          aria-label="How it fitted"
          value={verdict}
          style={{ minWidth: 150 }}
          options={[
            { value: 'any', label: 'every fit' },
            { value: 'tight', label: 'tight' },
            { value: 'right', label: 'just right' },
            { value: 'loose', label: 'loose' },
          ]}
          onChange={setVerdict}
        />
      </div>
      <div className={styles.card}>
        <Table<LogRecord>
          rowKey="id"
          size="middle"
          columns={columns}
          dataSource={found}
          pagination={found.length > 25 ? { pageSize: 25, showSizeChanger: false } : false}
          locale={{
            emptyText: (
              <Empty>
                {entries.length > 0
                  ? 'Nothing in the log matches that.'
                  : 'Nothing yet: a make that ends is written down here.'}
              </Empty>
            ),
          }}
        />
      </div>
      <Boundary what="What the fits say" of={entries}>
        <WhatFitsSay entries={entries} />
      </Boundary>
      <Boundary what="Readings that were mistaken" of={entries}>
        <MisreadBefore />
      </Boundary>
      <Boundary what="This dialog" of={importing}>
        {importing && <ImportDialog known={entries} onClose={() => setImporting(false)} />}
      </Boundary>
    </main>
  );
}

/** How far from right, for sorting: tight first. */
const tightness = ({ fit }: LogRecord): number =>
  [fit.width, fit.height].reduce(
    (sum, { how, by }) => sum + (how === 'tight' ? -1 - by : how === 'loose' ? 1 + by : 0),
    0,
  );
