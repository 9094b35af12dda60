'use client';

import { useSearchParams } from 'next/navigation';
import { memo, useState } from 'react';
import type { Project } from '@/data/db';
import { keepProject } from '@/data/projects';
import { OneProject } from '../parts/OneProject';
import { Opened } from '../parts/Opened';
import { useRecord } from '../parts/useKept';
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
  const project = useRecord<Project>('projects', id);
  // The project as it was opened; what changes in it elsewhere the bench takes over by itself.
  const [opened, setOpened] = useState<Project | null>(null);
  if (project && project.deletedAt === 0 && !opened) setOpened(project);
  return (
    <OneProject
      // One in the bin is not on the shelf.
      project={opened ? (project ?? opened) : project && null}
      opening="Opening the project"
      what={() => 'This project'}
    >
      {() => <OnTheBench opened={opened!} />}
    </OneProject>
  );
}

/** The bench follows its own store: what changes in the record draws nothing here. */
const OnTheBench = memo(function OnTheBench({ opened }: { readonly opened: Project }) {
  const [store] = useState(() => createBenchStore(opened, (before, after) => keepProject(opened.id, before, after)));
  return <Bench store={store} />;
});
