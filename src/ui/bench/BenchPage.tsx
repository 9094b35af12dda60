'use client';

import { Button, Result } from 'antd';
import { useRouter, useSearchParams } from 'next/navigation';
import { memo, useState } from 'react';
import type { Project } from '@/data/db';
import { binProject, keepProject } from '@/data/projects';
import { Boundary } from '../parts/Boundary';
import { Opened } from '../parts/Opened';
import { projectAlong } from '../parts/projectAlong';
import { useRecord } from '../parts/useKept';
import { useTell } from '../parts/useTell';
import { Waiting } from '../parts/Waiting';
import { Bench } from './Bench';
import { createBenchStore } from './store';

/** Opens the project the address names: `/bench?p=…`. Everything is in the browser, so the page itself is static. */
export function BenchPage() {
  const id = useSearchParams().get('p') ?? '';
  return (
    <Opened what="Opening the project">
      <OpenProject key={id} id={id} />
    </Opened>
  );
}

function OpenProject({ id }: { readonly id: string }) {
  const router = useRouter();
  const { failed } = useTell();
  const project = useRecord<Project>('projects', id);
  // The project as it was opened; what changes in it elsewhere the bench takes over by itself.
  const [opened, setOpened] = useState<Project | null>(null);
  if (project && project.deletedAt === 0 && !opened) setOpened(project);
  if (project === undefined) return <Waiting what="Opening the project" whole />;
  if (!opened)
    return (
      <main>
        <Result
          title="This project is not on the shelf"
          subTitle="It may be in the bin, or in another browser."
          extra={
            <Button type="primary" onClick={() => router.push('/')}>
              To the shelf
            </Button>
          }
        />
      </main>
    );
  return (
    <Boundary
      what="This project"
      along={projectAlong(project ?? opened)}
      onBin={() =>
        void binProject(id)
          .then(() => router.push('/'))
          .catch(failed('It could not be moved'))
      }
    >
      <OnTheBench opened={opened} />
    </Boundary>
  );
}

/** The bench follows its own store: what changes in the record draws nothing here. */
const OnTheBench = memo(function OnTheBench({ opened }: { readonly opened: Project }) {
  const [store] = useState(() => createBenchStore(opened, (before, after) => keepProject(opened.id, before, after)));
  return <Bench store={store} />;
});
