'use client';

import { DeleteOutlined, PlusOutlined } from '@ant-design/icons';
import { App, Button, Input, InputNumber, Select, Spin } from 'antd';
import { useLiveQuery } from 'dexie-react-hooks';
import Link from 'next/link';
import { useCallback, useEffect, useState } from 'react';
import { blanksOf, type CutPiece } from '@/core/cutting';
import { inches, mm, type Graduation, type Units } from '@/core/length';
import { planFor, readDesign } from '@/core/plan';
import { TABLE } from '@/data/cuttings';
import type { CuttingRecord, Project } from '@/data/db';
import { allProjects, seedDemoShelf } from '@/data/projects';
import { LengthField } from '../parts/LengthField';
import { UnitsSwitch } from '../parts/UnitsSwitch';
import { useUnits } from '../parts/useUnits';
import { CutPlan } from './CutPlan';
import { useCuttingTable, type CuttingTable, type NeedOnPaper } from './useCuttingTable';
import { WhatFrom } from './WhatFrom';
import styles from './Cutting.module.css';

/** What a project takes, and the paper it was made for; null where its design has no pattern. */
interface Takes {
  readonly pieces: readonly CutPiece[];
  readonly caliper: number;
}

/** Each design is planned once. */
const planned = new Map<string, Takes | null>();

function takesOf({ design }: Project): Takes | null {
  const key = JSON.stringify(design);
  const known = planned.get(key);
  if (known !== undefined) return known;
  const read = readDesign(design);
  const made = read.ok ? planFor(read.design).made : null;
  const takes = read.ok && made ? { pieces: blanksOf(made, read.design), caliper: read.design.paper.caliper } : null;
  planned.set(key, takes);
  return takes;
}

/** Several projects on one cutting table. */
export function CuttingPage() {
  const [ready, setReady] = useState(false);
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    seedDemoShelf().then(
      () => setReady(true),
      (error: Error) => setTrouble(error.message),
    );
  }, []);
  const shelf = useLiveQuery(async () => (ready ? (await allProjects()).shelf : undefined), [ready]);
  if (trouble) return <main className={styles.page}>The browser’s storage cannot be opened: {trouble}.</main>;
  if (!shelf)
    return <Spin style={{ display: 'block', margin: '20vh auto' }} aria-label="Laying out the cutting table" />;
  return <SeveralProjects shelf={shelf} />;
}

function SeveralProjects({ shelf }: { readonly shelf: readonly Project[] }) {
  const { message } = App.useApp();
  const { units, graduation, set } = useUnits();
  const needsFor = useCallback(
    ({ needs }: CuttingRecord): NeedOnPaper[] =>
      needs.flatMap(({ projectId, copies }) => {
        const project = shelf.find(({ id }) => id === projectId);
        const takes = project && takesOf(project);
        return takes ? [{ name: project.name, copies, ...takes }] : [];
      }),
    [shelf],
  );
  const tell = useCallback((sentence: string) => void message.error(sentence), [message]);
  const table = useCuttingTable(TABLE, needsFor, tell);
  if (!table)
    return <Spin style={{ display: 'block', margin: '20vh auto' }} aria-label="Laying out the cutting table" />;
  const names = table.record.needs.flatMap(({ projectId }) => shelf.find(({ id }) => id === projectId)?.name ?? []);
  return (
    <main className={styles.page}>
      <div className={styles.head}>
        <h1>Cutting</h1>
        <p className={styles.lead}>
          Everything several projects take, from the fewest sheets there can be. <Link href="/stash">Your stash</Link>{' '}
          follows when you cut.
        </p>
        <UnitsSwitch value={units} onChange={set} />
      </div>
      <div className={styles.table}>
        <div className={styles.brief}>
          <WhatToCut table={table} shelf={shelf} units={units} graduation={graduation} />
          <WhatFrom table={table} units={units} />
        </div>
        <CutPlan
          table={table}
          title={
            names.length === 1 ? names[0]! : names.length > 1 ? `${names[0]} and ${names.length - 1} more` : 'Pieces'
          }
          units={units}
          graduation={graduation}
          copies={0}
        />
      </div>
    </main>
  );
}

interface WhatToCutProps {
  readonly table: CuttingTable;
  readonly shelf: readonly Project[];
  readonly units: Units;
  readonly graduation: Graduation;
}

/** Projects with their copies, and pieces that belong to none. */
function WhatToCut({ table, shelf, units, graduation }: WhatToCutProps) {
  const { record, save } = table;
  const { needs, extra } = record;
  const free = shelf.filter(({ id }) => !needs.some(({ projectId }) => projectId === id));
  const change = (i: number, part: Partial<CutPiece>): void =>
    save((now) => ({ extra: now.extra.map((piece, k) => (k === i ? { ...piece, ...part } : piece)), step: 0 }));
  return (
    <section aria-label="To be cut">
      <h2>To be cut</h2>
      <ul className={styles.needs}>
        {needs.map(({ projectId, copies }) => {
          const project = shelf.find(({ id }) => id === projectId);
          const name = project?.name ?? 'A project that is gone';
          const found = project && takesOf(project);
          return (
            <li key={projectId}>
              <span className={styles.needName}>
                {project ? <Link href={`/bench?p=${encodeURIComponent(projectId)}`}>{name}</Link> : name}
                {!found && <span className={styles.warn}> has no pattern</span>}
              </span>
              <InputNumber
                aria-label={`Copies of ${name}`}
                min={1}
                max={500}
                precision={0}
                value={copies}
                onChange={(n) =>
                  n !== null &&
                  save((now) => ({
                    needs: now.needs.map((need) => (need.projectId === projectId ? { projectId, copies: n } : need)),
                    step: 0,
                  }))
                }
              />
              <Button
                type="text"
                icon={<DeleteOutlined />}
                aria-label={`Take ${name} off the table`}
                onClick={() =>
                  save((now) => ({ needs: now.needs.filter((need) => need.projectId !== projectId), step: 0 }))
                }
              />
            </li>
          );
        })}
      </ul>
      <Select
        aria-label="Add a project"
        className={styles.wide}
        placeholder="Add a project from the shelf"
        showSearch={{ optionFilterProp: 'label' }}
        value={null}
        options={free.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={(projectId: string | null) =>
          projectId && save((now) => ({ needs: [...now.needs, { projectId, copies: 1 }], step: 0 }))
        }
      />
      <h3>Other pieces</h3>
      <ul className={styles.extra}>
        {extra.map((piece, i) => (
          <li key={i}>
            <div className={styles.extraHead}>
              <Input
                aria-label={`Name of piece ${i + 1}`}
                value={piece.name}
                maxLength={120}
                onChange={({ target }) => change(i, { name: target.value })}
              />
              <Button
                type="text"
                icon={<DeleteOutlined />}
                aria-label={`Take ${piece.name} off the table`}
                onClick={() => save((now) => ({ extra: now.extra.filter((_, k) => k !== i), step: 0 }))}
              />
            </div>
            <div className={styles.extraSizes}>
              {(['width', 'height'] as const).map((side) => (
                <LengthField
                  key={side}
                  label={side === 'width' ? 'Width' : 'Height'}
                  units={units}
                  graduation={graduation}
                  value={piece[side]}
                  least={3}
                  onChange={(length) => change(i, { [side]: mm(length) })}
                />
              ))}
              <label className={styles.labelled}>
                How many
                <InputNumber
                  aria-label={`How many ${piece.name}`}
                  min={1}
                  max={500}
                  precision={0}
                  value={piece.quantity}
                  onChange={(quantity) => quantity !== null && change(i, { quantity })}
                />
              </label>
            </div>
          </li>
        ))}
      </ul>
      <Button
        icon={<PlusOutlined />}
        onClick={() =>
          save((now) => ({
            extra: [
              ...now.extra,
              { name: `Piece ${now.extra.length + 1}`, width: inches(4), height: inches(6), quantity: 1, turn: true },
            ],
            step: 0,
          }))
        }
      >
        Add a piece
      </Button>
    </section>
  );
}
