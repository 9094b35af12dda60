'use client';

import { Button, Result } from 'antd';
import { useRouter, useSearchParams } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { MakeRecord, Project } from '@/data/db';
import { binProject } from '@/data/projects';
import { Boundary } from '../parts/Boundary';
import { Opened } from '../parts/Opened';
import { projectAlong } from '../parts/projectAlong';
import { SetAside } from '../parts/SetAside';
import { damagedIn, useAll, useRecord } from '../parts/useKept';
import { useTell } from '../parts/useTell';
import { useToolbox } from '../parts/useToolbox';
import { Waiting } from '../parts/Waiting';
import { Begin } from './Begin';
import { Make } from './Make';

/** Opens the make of the project the address names, where it was left; begins one when none goes on. */
export function MakePage() {
  const id = useSearchParams().get('p') ?? '';
  return (
    <Opened what="Laying out the table">
      <MakeOf key={id} id={id} />
    </Opened>
  );
}

function MakeOf({ id }: { readonly id: string }) {
  const router = useRouter();
  const { failed } = useTell();
  const project = useRecord<Project>('projects', id);
  const makes = useAll<MakeRecord>('makes');
  const toolbox = useToolbox();
  /** The make on the table: it stays there when it ends, for what it says then. */
  const [onTable, setOnTable] = useState<string | null>(null);
  const make = useMemo(() => {
    const own = makes?.records.filter(({ projectId }) => projectId === id) ?? [];
    const [last] = own.filter(({ endedAt }) => endedAt === 0).sort((a, b) => b.updatedAt - a.updatedAt);
    return own.find((one) => one.id === onTable) ?? last ?? null;
  }, [makes, id, onTable]);
  if (make && make.id !== onTable) setOnTable(make.id);
  if (project === undefined || !makes || !toolbox) return <Waiting what="Laying out the table" whole />;
  if (!project)
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
      what={`The make of “${project.name}”`}
      along={projectAlong(project)}
      onBin={() =>
        void binProject(id)
          .then(() => router.push('/'))
          .catch(failed('It could not be moved'))
      }
    >
      <SetAside damaged={damagedIn(makes).filter(({ raw }) => (raw as { projectId?: unknown })?.projectId === id)} />
      {make ? <Make key={make.id} make={make} toolbox={toolbox} /> : <Begin project={project} toolbox={toolbox} />}
    </Boundary>
  );
}
