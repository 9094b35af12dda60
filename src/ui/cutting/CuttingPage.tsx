'use client';

import { DeleteOutlined, PlusOutlined } from '@ant-design/icons';
import { Button, Select } from 'antd';
import { Link } from '../parts/Link';
import { useCallback, useMemo } from 'react';
import type { CutPiece } from '@/core/cutting';
import { inches, mm } from '@/core/length';
import { TABLE } from '@/data/cuttings';
import type { CuttingRecord, Project } from '@/data/db';
import { cameWithApp } from '@/data/examples';
import { keepCopies, shelfAndBin } from '@/data/projects';
import { Boundary } from '../parts/Boundary';
import { plannedSet } from '../parts/plans';
import { LengthField } from '../parts/LengthField';
import { NumberField } from '../parts/NumberField';
import { useOnce } from '../parts/once';
import { Opened } from '../parts/Opened';
import { TextField } from '../parts/TextField';
import { useAll } from '../parts/useKept';
import { MyUnitsSwitch } from '../parts/MyUnits';
import { Waiting } from '../parts/Waiting';
import { CutPlan } from './CutPlan';
import type { NeedOnPaper } from './listOn';
import { useCuttingTable, type CuttingTable } from './useCuttingTable';
import { takenOf } from './needOn';
import { Besides } from './Shopping';
import { WhatFrom } from './WhatFrom';
import styles from './Cutting.module.css';
import { newId } from '@/data/newId';

/** What one set of a project takes of one paper. */
type Takes = Omit<NeedOnPaper, 'copies'>;

/** What a project takes, paper by paper; one that cannot be worked out takes no sheet, and the others go on. */
function takesOf(project: Project): readonly Takes[] {
  const example = cameWithApp(project);
  const whole = plannedSet(project.set);
  return 'plan' in whole ? takenOf(whole.plan, project).map((takes) => ({ ...takes, example })) : [];
}

/** Several projects on one cutting table. */
export function CuttingPage() {
  return (
    <Opened what="Laying out the cutting table">
      <SeveralProjects />
    </Opened>
  );
}

const NOTHING: readonly Project[] = [];

function SeveralProjects() {
  const projects = useAll<Project>('projects');
  const shelf = useMemo(() => (projects ? shelfAndBin(projects).shelf : NOTHING), [projects]);
  const needsFor = useCallback(
    ({ needs }: CuttingRecord): NeedOnPaper[] =>
      needs.flatMap(({ projectId, copies }) => {
        const project = shelf.find(({ id }) => id === projectId);
        return project ? takesOf(project).map((takes) => ({ ...takes, copies: project.copies ?? copies })) : [];
      }),
    [shelf],
  );
  const table = useCuttingTable(TABLE, needsFor);
  const needs = table?.record.needs;
  const sets = useMemo(
    () =>
      (needs ?? []).flatMap(({ projectId, copies }) => {
        const project = shelf.find(({ id }) => id === projectId);
        const whole = project && plannedSet(project.set);
        return whole && 'plan' in whole ? [{ plan: whole.plan, copies: project.copies ?? copies }] : [];
      }),
    [needs, shelf],
  );
  if (!table || !projects) return <Waiting what="Laying out the cutting table" whole />;
  const names = table.record.needs.flatMap(({ projectId }) => shelf.find(({ id }) => id === projectId)?.name ?? []);
  return (
    <main className={styles.page}>
      <div className={styles.head}>
        <h1>Cutting</h1>
        <p className={styles.lead}>
          Everything several projects take, from the fewest sheets of the papers you tick.{' '}
          <Link href="/stash">Your stash</Link> follows when you cut.
        </p>
        <MyUnitsSwitch />
      </div>
      <div className={styles.table}>
        <div className={styles.brief}>
          <WhatToCut table={table} shelf={shelf} />
          <WhatFrom table={table} />
          <Boundary what="What it takes besides paper" of={sets}>
            {sets.length > 0 && (
              <details className={styles.besides}>
                <summary>Besides paper</summary>
                <ul>
                  <Besides of={sets} />
                </ul>
              </details>
            )}
          </Boundary>
        </div>
        <Boundary what="The sheets" of={table.list}>
          <CutPlan
            table={table}
            title={
              names.length === 1 ? names[0]! : names.length > 1 ? `${names[0]} and ${names.length - 1} more` : 'Pieces'
            }
            copies={0}
          />
        </Boundary>
      </div>
    </main>
  );
}

interface WhatToCutProps {
  readonly table: CuttingTable;
  readonly shelf: readonly Project[];
}

/** Projects with their copies, and pieces that belong to none. */
function WhatToCut({ table, shelf }: WhatToCutProps) {
  const { record, save } = table;
  const { needs, extra } = record;
  const free = shelf.filter(({ id }) => !needs.some(({ projectId }) => projectId === id));
  const change = (id: string, part: Partial<CutPiece>): void =>
    save({ extra: extra.map((piece) => (piece.id === id ? { ...piece, ...part } : piece)), step: 0 });
  const [addPiece] = useOnce(() =>
    save({
      extra: [
        ...extra,
        {
          id: newId(),
          name: `Piece ${extra.length + 1}`,
          width: inches(4),
          height: inches(6),
          quantity: 1,
          turn: true,
        },
      ],
      step: 0,
    }),
  );
  return (
    <section aria-label="To be cut">
      <h2>To be cut</h2>
      <ul className={styles.needs}>
        {needs.map(({ projectId, copies: told }) => {
          const project = shelf.find(({ id }) => id === projectId);
          const name = project?.name ?? 'A project that is gone';
          const copies = project?.copies ?? told;
          const found = project !== undefined && takesOf(project).length > 0;
          return (
            <li key={projectId}>
              <span className={styles.needName}>
                {project ? <Link href={`/bench?p=${encodeURIComponent(projectId)}`}>{name}</Link> : name}
                {!found && <span className={styles.warn}> has no pattern</span>}
              </span>
              <NumberField
                aria-label={`Copies of ${name}`}
                min={1}
                max={500}
                precision={0}
                value={copies}
                disabled={!project}
                onChange={(n) => {
                  if (project) keepCopies(project, n);
                  save({ step: 0 });
                }}
              />
              <Button
                type="text"
                icon={<DeleteOutlined />}
                aria-label={`Take ${name} off the table`}
                onClick={() => save({ needs: needs.filter((need) => need.projectId !== projectId), step: 0 })}
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
          projectId && save({ needs: [...needs, { id: projectId, projectId, copies: 1 }], step: 0 })
        }
      />
      <h3>Other pieces</h3>
      <ul className={styles.extra}>
        {extra.map((piece, i) => (
          <li key={piece.id}>
            <div className={styles.extraHead}>
              <TextField
                aria-label={`Name of piece ${i + 1}`}
                value={piece.name}
                maxLength={120}
                needed
                onChange={(name) => change(piece.id, { name })}
              />
              <Button
                type="text"
                icon={<DeleteOutlined />}
                aria-label={`Take ${piece.name} off the table`}
                onClick={() => save({ extra: extra.filter(({ id }) => id !== piece.id), step: 0 })}
              />
            </div>
            <div className={styles.extraSizes}>
              {(['width', 'height'] as const).map((side) => (
                <LengthField
                  key={side}
                  label={side === 'width' ? 'Width' : 'Height'}
                  value={piece[side]}
                  least={3}
                  onChange={(length) => change(piece.id, { [side]: mm(length) })}
                />
              ))}
              <label className={styles.labelled}>
                How many
                <NumberField
                  aria-label={`How many ${piece.name}`}
                  min={1}
                  max={500}
                  precision={0}
                  value={piece.quantity}
                  onChange={(quantity) => change(piece.id, { quantity })}
                />
              </label>
            </div>
          </li>
        ))}
      </ul>
      <Button icon={<PlusOutlined />} onClick={addPiece}>
        Add a piece
      </Button>
    </section>
  );
}
