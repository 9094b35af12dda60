'use client';

import { App, Button, Input, Modal, Spin } from 'antd';
import { useLiveQuery } from 'dexie-react-hooks';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { LONGEST_PROJECT, readProject } from '@/core/files';
import type { Project } from '@/data/db';
import { openMakes } from '@/data/makes';
import {
  addProject,
  allProjects,
  binProject,
  duplicateProject,
  putBackProject,
  saveProject,
  seedDemoShelf,
} from '@/data/projects';
import { FilePicker } from '../parts/FilePicker';
import { ProjectCard } from './ProjectCard';
import styles from './Shelf.module.css';

/** The questions a project starts with: each leads to the holders that answer it. */
const QUESTIONS = [
  {
    key: 'contents',
    title: 'I have something to put in',
    text: 'A card, a photo, a ticket. See what can hold it, and what paper each takes.',
  },
  {
    key: 'paper',
    title: 'I have this paper',
    text: 'A square, a strip or a scrap. See what it can become.',
  },
] as const;

/** Home: begin something, or go on with what is on the shelf. */
export function Shelf() {
  const { message, notification } = App.useApp();
  const router = useRouter();
  const all = useLiveQuery(allProjects);
  const making = useLiveQuery(openMakes);
  const [renaming, setRenaming] = useState<Project | null>(null);
  const [binOpen, setBinOpen] = useState(false);
  const failed = (what: string) => (error: Error) => void message.error(`${what}: ${error.message}`);

  useEffect(() => {
    seedDemoShelf().catch(
      (error: Error) =>
        void message.error(`The browser’s storage cannot be used: ${error.message}. Nothing will be kept.`),
    );
  }, [message]);

  const bin = async (project: Project): Promise<void> => {
    await binProject(project.id);
    notification.open({
      key: project.id,
      title: `“${project.name}” is in the bin`,
      actions: (
        <Button
          type="primary"
          onClick={() => {
            void putBackProject(project.id).then(() => notification.destroy(project.id));
          }}
        >
          Put it back
        </Button>
      ),
      duration: 8,
    });
  };
  const importFile = async (file: File): Promise<void> => {
    if (file.size > LONGEST_PROJECT)
      return void message.error(
        `“${file.name}” has ${file.size} bytes; a project has under ${LONGEST_PROJECT}. Nothing was changed.`,
      );
    const read = readProject(await file.text());
    if (!read.ok)
      return void message.error(
        `“${file.name}” was not taken in. ${read.issues.map((issue) => issue.message).join(' ')}`,
        8,
      );
    const { name, units, design } = read.project;
    router.push(`/bench?p=${await addProject({ name, units, design })}`);
  };

  return (
    <main className={styles.shelf}>
      <h1>What shall it hold?</h1>
      <div className={styles.questions}>
        {QUESTIONS.map((question) => (
          <Link key={question.key} href={`/choose?have=${question.key}`} className={styles.question}>
            <QuestionDrawing kind={question.key} />
            <span>
              <strong>{question.title}</strong>
              <span>{question.text}</span>
            </span>
          </Link>
        ))}
      </div>
      {(making?.length ?? 0) > 0 && (
        <section className={styles.making} aria-label="On the table">
          {making!.map((make) => (
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
      <div className={styles.heading}>
        <h2>On the shelf</h2>
        <FilePicker
          label="Project file"
          accept=".json,application/json"
          onFile={(file) => void importFile(file).catch(failed('The file could not be read'))}
        >
          Open a project file
        </FilePicker>
      </div>
      {!all && <Spin aria-label="Opening the shelf" />}
      {all?.shelf.length === 0 && (
        <p className={styles.empty}>The shelf is empty. Begin with one of the questions above.</p>
      )}
      <ul className={styles.projects}>
        {all?.shelf.map((project) => (
          <ProjectCard
            key={project.id}
            project={project}
            onRename={() => setRenaming(project)}
            onDuplicate={() => void duplicateProject(project.id).catch(failed('It could not be copied'))}
            onBin={() => void bin(project).catch(failed('It could not be moved'))}
          />
        ))}
      </ul>
      {(all?.bin.length ?? 0) > 0 && (
        <section className={styles.bin}>
          <Button type="text" aria-expanded={binOpen} onClick={() => setBinOpen(!binOpen)}>
            In the bin: {all!.bin.length}
          </Button>
          {binOpen && (
            <ul>
              {all!.bin.map((project) => (
                <li key={project.id}>
                  {project.name}{' '}
                  <Button size="small" onClick={() => void putBackProject(project.id)}>
                    Put it back
                  </Button>
                </li>
              ))}
            </ul>
          )}
        </section>
      )}
      {renaming && <RenameDialog project={renaming} onClose={() => setRenaming(null)} />}
    </main>
  );
}

function RenameDialog({ project, onClose }: { project: Project; onClose: () => void }) {
  const { message } = App.useApp();
  const [name, setName] = useState(project.name);
  const ok = (): void => {
    if (name.trim() === '') return;
    saveProject(project.id, { name: name.trim() }).then(onClose, (error: Error) =>
      message.error(`It could not be renamed: ${error.message}`),
    );
  };
  return (
    <Modal
      open
      title="Rename"
      okText="Rename"
      okButtonProps={{ disabled: name.trim() === '' }}
      onOk={ok}
      onCancel={onClose}
    >
      <Input
        aria-label="New name"
        value={name}
        maxLength={120}
        autoFocus
        onChange={(event) => setName(event.target.value)}
        onPressEnter={ok}
      />
    </Modal>
  );
}

function QuestionDrawing({ kind }: { kind: 'contents' | 'paper' }) {
  return (
    <svg viewBox="0 0 96 76" width="96" height="76" aria-hidden="true" className={styles.drawing}>
      {kind === 'contents' ? (
        <>
          <rect x="30" y="4" width="36" height="48" rx="2" className={styles.card} />
          <path d="M18 32h60v38H18z" className={styles.paper} />
          <path d="M18 70 42 50 48 54 54 50 78 70" className={styles.line} />
          <path d="M18 32 48 54 78 32" className={styles.line} />
        </>
      ) : (
        <>
          <path d="M17 6h62v62H17z" className={styles.paper} />
          <path d="M43 6 17 32M53 6 79 32M79 42 53 68M17 42 43 68" className={styles.fold} />
          <path d="M17 68V74M28 68v4M38 68v4M48 68v6M58 68v4M68 68v4M79 68v6" className={styles.line} />
        </>
      )}
    </svg>
  );
}
