'use client';

import { Button, Result, Spin } from 'antd';
import { useRouter, useSearchParams } from 'next/navigation';
import { useEffect, useState } from 'react';
import type { Toolbox } from '@/core/tools';
import { db, type MakeRecord, type Project } from '@/data/db';
import { openMake } from '@/data/makes';
import { seedDemoShelf } from '@/data/projects';
import { loadToolbox } from '@/data/settings';
import { Begin } from './Begin';
import { Make } from './Make';

/** What stands behind `/make?p=…`: a project, the make of it that goes on, and the tools of this table. */
interface Opened {
  readonly project: Project | null;
  readonly make: MakeRecord | null;
  readonly toolbox: Toolbox;
}

/** Reads what stands behind the address; not followed live, or every step would lay the table anew. */
async function open(id: string): Promise<Opened> {
  await seedDemoShelf();
  const [project, make, toolbox] = await Promise.all([db.projects.get(id), openMake(id), loadToolbox()]);
  return { project: project ?? null, make, toolbox };
}

/** Opens the make of the project the address names, where it was left; begins one when none goes on. */
export function MakePage() {
  const id = useSearchParams().get('p') ?? '';
  const router = useRouter();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [opened, setOpened] = useState<Opened | null>(null);
  useEffect(() => {
    let gone = false;
    open(id).then(
      (found) => !gone && setOpened(found),
      (error: Error) => !gone && setTrouble(error.message),
    );
    return () => {
      gone = true;
    };
  }, [id]);
  if (trouble || (opened && !opened.project))
    return (
      <main>
        <Result
          title={trouble ? 'The browser’s storage cannot be opened' : 'This project is not on the shelf'}
          subTitle={trouble ?? 'It may be in the bin, or in another browser.'}
          extra={
            <Button type="primary" onClick={() => router.push('/')}>
              To the shelf
            </Button>
          }
        />
      </main>
    );
  if (!opened) return <Spin style={{ display: 'block', margin: '20vh auto' }} aria-label="Laying out the table" />;
  const { project, make, toolbox } = opened;
  return make ? (
    <Make key={make.id} make={make} toolbox={toolbox} />
  ) : (
    <Begin project={project!} toolbox={toolbox} onBegun={() => open(id).then(setOpened)} />
  );
}
