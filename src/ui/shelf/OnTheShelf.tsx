'use client';

import { Button, Modal, Select } from 'antd';
import { Link } from '../parts/Link';
import { useRouter } from 'next/navigation';
import { useCallback, useMemo, useState } from 'react';
import { z } from '@/core/text/zod';
import { LONGEST_PROJECT, readProject } from '@/core/files';
import type { MakeRecord, Project } from '@/data/db';
import { isExample } from '@/data/examples';
import { openMakesOf } from '@/data/makes';
import {
  addProject,
  binProject,
  bringExamplesBack,
  clearExamples,
  duplicateProject,
  keepProject,
  putBackProject,
  inShelfOrder,
  shelfAndBin,
  SHELF_ORDERS,
  type ShelfOrder,
} from '@/data/projects';
import { Boundary } from '../parts/Boundary';
import { FilePicker } from '../parts/FilePicker';
import { useOnce } from '../parts/once';
import { Empty } from '../parts/Empty';
import { Opened } from '../parts/Opened';
import { Overtaken } from '../parts/Overtaken';
import { projectAlong } from '../parts/projectAlong';
import { SearchField, searching } from '../parts/SearchField';
import { SetAside } from '../parts/SetAside';
import { TextField } from '../parts/TextField';
import { useInAddress } from '../parts/useInAddress';
import { damagedIn, useAll, useLastFirst } from '../parts/useKept';
import { useTell } from '../parts/useTell';
import { useEditing } from '../parts/useUnsent';
import { Waiting } from '../parts/Waiting';
import { FirstRun } from '../backup/FirstRun';
import { kindOf } from './kindOf';
import { ProjectCard } from './ProjectCard';
import { PutTogether } from './PutTogether';
import { SheetsAside } from './SheetsAside';
import { ShelfGrid } from './ShelfGrid';
import styles from './Shelf.module.css';

/** So many are seen at a glance: nobody searches them. */
const FEW = 8;
const ORDER_TITLE: Record<ShelfOrder, string> = { used: 'last used first', name: 'by name', kind: 'by kind' };

/** Everything made and being made, and the bin. */
export const OnTheShelf = () => (
  <Opened what="Opening the shelf" whole={false}>
    <MadeAndMaking />
  </Opened>
);

function MadeAndMaking() {
  const { failed, wrong, undoable } = useTell();
  const router = useRouter();
  const projects = useLastFirst<Project>('projects');
  const makes = useAll<MakeRecord>('makes');
  const [renaming, setRenaming] = useState<Project | null>(null);
  const [binOpen, setBinOpen] = useState(false);
  const all = useMemo(() => projects && shelfAndBin(projects), [projects]);
  const [words, setWords] = useInAddress('words');
  const [order, setOrder] = useInAddress('by', 'used');
  const found = useMemo(() => {
    const wanted = searching(words);
    const by = SHELF_ORDERS.find((one) => one === order) ?? 'used';
    const all = projects ? shelfAndBin(projects).shelf : [];
    return inShelfOrder(words ? all.filter((one) => wanted(`${one.name} ${kindOf(one)}`)) : all, by, kindOf);
  }, [projects, words, order]);
  const making = useMemo(() => (makes && all ? openMakesOf(makes.records, all.shelf) : []), [makes, all]);

  const bin = (project: Project): Promise<void> =>
    binProject(project.id)
      .then(() =>
        undoable({ key: project.id, done: `“${project.name}” is in the bin`, back: () => putBackProject(project.id) }),
      )
      .catch(failed('It could not be moved'));
  const [duplicate] = useOnce(
    useCallback((id: string) => duplicateProject(id).catch(failed('It could not be copied')), [failed]),
  );
  const importFile = async (file: File): Promise<void> => {
    if (file.size > LONGEST_PROJECT)
      return wrong(
        `“${file.name}” has ${file.size} bytes; a project has under ${LONGEST_PROJECT}. Nothing was changed.`,
      );
    const read = readProject(await file.text());
    if (!read.ok)
      return wrong(`“${file.name}” was not taken in. ${read.issues.map((issue) => issue.message).join(' ')}`);
    const { name, units, set } = read.project;
    router.push(`/bench?p=${await addProject({ name, units, set })}`);
  };
  if (!all) return <Waiting what="Opening the shelf" />;
  // One's own things are never below the examples.
  const [own, examples] = [found.filter((one) => !isExample(one)), found.filter(isExample)];
  const card = (project: Project) => (
    <Boundary
      key={project.id}
      what={`“${project.name}”`}
      along={projectAlong(project)}
      onBin={() => void bin(project)}
      of={project.set}
    >
      <ProjectCard
        project={project}
        onRename={() => setRenaming(project)}
        onDuplicate={() => duplicate(project.id)}
        onBin={() => void bin(project)}
      />
    </Boundary>
  );
  return (
    <>
      <FirstRun />
      <SetAside damaged={damagedIn(projects, makes)} />
      {making.length > 0 && (
        <section className={styles.making} aria-label="On the table">
          {making.map((make) => (
            <Link key={make.id} href={`/make?p=${encodeURIComponent(make.projectId)}`}>
              <strong>Go on making: {make.name}</strong>
              <span>
                {make.done} {make.done === 1 ? 'step' : 'steps'} done
                {make.copies > 1 && `, ${make.copies} copies`}
              </span>
            </Link>
          ))}
        </section>
      )}
      {makes && (
        <Boundary what="The sheets set aside" of={makes}>
          <SheetsAside makes={makes.records} />
        </Boundary>
      )}
      <div className={styles.heading}>
        <h2>On the shelf</h2>
        {(all.shelf.length > FEW || words) && (
          <span className={styles.find} data-few={own.length <= FEW && words === '' ? true : undefined}>
            <SearchField label="Search the shelf" placeholder="words in name, kind" value={words} onChange={setWords} />
            <Select
              aria-label="In which order"
              value={order}
              options={SHELF_ORDERS.map((value) => ({ value, label: ORDER_TITLE[value] }))}
              onChange={setOrder}
            />
          </span>
        )}
        <FilePicker
          label="Project file"
          accept=".json,application/json"
          onFile={(file) => void importFile(file).catch(failed('The file could not be read'))}
        >
          Open a project file
        </FilePicker>
      </div>
      {words && found.length === 0 && (
        <Empty>
          {projects?.more
            ? 'Looking through the shelf …'
            : `Nothing on the shelf is called that. ${all.shelf.length} are there.`}
        </Empty>
      )}
      {!words && own.length === 0 && !projects?.more && (
        <Empty>Nothing of your own yet. Begin with one of the questions above.</Empty>
      )}
      <PutTogether shelf={all.shelf}>
        <ShelfGrid of={own} card={card} />
        {examples.length > 0 && (
          <>
            <div className={styles.heading}>
              <h2>Examples</h2>
              {!projects?.more && <Examples there />}
            </div>
            <ShelfGrid of={examples} card={card} />
          </>
        )}
      </PutTogether>
      {!projects?.more && !all.shelf.some(isExample) && <Examples there={false} />}
      {all.bin.length > 0 && (
        <section className={styles.bin}>
          <Button type="text" aria-expanded={binOpen} onClick={() => setBinOpen(!binOpen)}>
            In the bin: {all.bin.length}
          </Button>
          {binOpen && (
            <ul>
              {all.bin.map((project) => (
                <li key={project.id}>
                  {project.name}{' '}
                  <Button
                    size="small"
                    onClick={() => void putBackProject(project.id).catch(failed('It could not be put back'))}
                  >
                    Put it back
                  </Button>
                </li>
              ))}
            </ul>
          )}
        </section>
      )}
      <Boundary what="This dialog" of={renaming}>
        {renaming && (
          <RenameDialog
            key={renaming.id}
            project={all.shelf.find(({ id }) => id === renaming.id) ?? renaming}
            onClose={() => setRenaming(null)}
          />
        )}
      </Boundary>
    </>
  );
}

/** Examples are told from one's own, and go or come back with one button. */
function Examples({ there }: { readonly there: boolean }) {
  const { failed, undoable } = useTell();
  const clear = (): Promise<void> =>
    clearExamples()
      .then(() => undoable({ key: 'examples', done: 'The examples are cleared', back: bringExamplesBack }))
      .catch(failed('The examples could not be cleared'));
  return there ? (
    <Button onClick={() => void clear()}>Clear the examples</Button>
  ) : (
    <Button onClick={() => void bringExamplesBack().catch(failed('The examples could not be brought back'))}>
      Bring the examples back
    </Button>
  );
}

const NAME = z.object({ name: z.string().max(200) });

function RenameDialog({ project, onClose }: { project: Project; onClose: () => void }) {
  const kept = useMemo(() => ({ name: project.name }), [project.name]);
  const editing = useEditing(`rename/${project.id}`, kept, NAME);
  const { value, base, set, forget } = editing;
  const missing = !value || value.name.trim() === '';
  const ok = (): void => {
    if (missing || !base) return;
    keepProject(project.id, { ...project, ...base }, { ...project, ...value });
    forget();
    onClose();
  };
  return (
    <Modal open title="Rename" okText="Rename" okButtonProps={{ disabled: missing }} onOk={ok} onCancel={onClose}>
      <Overtaken editing={editing} words={(_, { name }) => `“${name}”`} />
      {value && (
        <TextField
          aria-label="New name"
          value={value.name}
          maxLength={120}
          autoFocus
          onChange={(name) => set({ name })}
          onPressEnter={ok}
        />
      )}
    </Modal>
  );
}
