'use client';

import { Button, Result, Spin } from 'antd';
import { useRouter, useSearchParams } from 'next/navigation';
import { useEffect, useState } from 'react';
import { db } from '@/data/db';
import { seedDemoShelf } from '@/data/projects';
import { Bench } from './Bench';
import { createBenchStore, type BenchStore } from './store';

/** Opens the project the address names: `/bench?p=…`. Everything is in the browser, so the page itself is static. */
export function BenchPage() {
  const id = useSearchParams().get('p') ?? '';
  const router = useRouter();
  const [opened, setOpened] = useState<{ id: string; store: BenchStore | null; trouble?: string } | null>(null);
  useEffect(() => {
    let gone = false;
    seedDemoShelf()
      .then(() => db.projects.get(id))
      .then(
        (project) =>
          !gone && setOpened({ id, store: project && project.deletedAt === 0 ? createBenchStore(project) : null }),
        (error: Error) => !gone && setOpened({ id, store: null, trouble: error.message }),
      );
    return () => {
      gone = true;
    };
  }, [id]);
  if (!opened || opened.id !== id)
    return <Spin style={{ display: 'block', margin: '20vh auto' }} aria-label="Opening the project" />;
  if (!opened.store)
    return (
      <main>
        <Result
          title={opened.trouble ? 'The browser’s storage cannot be opened' : 'This project is not on the shelf'}
          subTitle={opened.trouble ?? 'It may be in the bin, or in another browser.'}
          extra={
            <Button type="primary" onClick={() => router.push('/')}>
              To the shelf
            </Button>
          }
        />
      </main>
    );
  return <Bench key={id} store={opened.store} />;
}
