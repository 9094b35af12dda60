'use client';

import { useRouter } from 'next/navigation';
import type { ReactNode } from 'react';
import type { Project } from '@/data/db';
import { binProject } from '@/data/projects';
import { Boundary } from './Boundary';
import { NotHere } from './NotHere';
import { projectAlong } from './projectAlong';
import { useTell } from './useTell';
import { Waiting } from './Waiting';

interface OneProjectProps {
  /** Undefined until it is read, null where there is none. */
  readonly project: Project | null | undefined;
  /** What is being opened: `Opening the project`. */
  readonly opening: string;
  /** What cannot be shown when something in it breaks. */
  readonly what: (project: Project) => string;
  readonly children: (project: Project) => ReactNode;
}

/** A page of one project: waits for it, says when it is not on the shelf, and keeps what breaks in it from the rest. */
export function OneProject({ project, opening, what, children }: OneProjectProps) {
  const router = useRouter();
  const { failed } = useTell();
  if (project === undefined) return <Waiting what={opening} whole />;
  if (project === null)
    return (
      <NotHere
        title="This project is not on the shelf"
        why="It may be in the bin, or in another browser."
        to={{ href: '/', label: 'To the shelf' }}
      />
    );
  return (
    <Boundary
      what={what(project)}
      along={projectAlong(project)}
      onBin={() =>
        void binProject(project.id)
          .then(() => router.push('/'))
          .catch(failed('It could not be moved'))
      }
    >
      {children(project)}
    </Boundary>
  );
}
