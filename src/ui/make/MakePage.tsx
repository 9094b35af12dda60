'use client';

import { useSearchParams } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { MakeRecord, Project } from '@/data/db';
import { OneProject } from '../parts/OneProject';
import { Opened } from '../parts/Opened';
import { SetAside } from '../parts/SetAside';
import { damagedIn, useAll, useRecord } from '../parts/useKept';
import { useToolbox } from '../parts/useToolbox';
import { Begin } from './Begin';
import { Make } from './Make';
import { useAhead } from './useAhead';

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
  const ahead = useAhead();
  const read = project === undefined || !makes || !toolbox ? undefined : project;
  return (
    <OneProject project={read} opening="Laying out the table" what={({ name }) => `The make of “${name}”`}>
      {(own) => (
        <>
          <SetAside
            damaged={damagedIn(makes).filter(({ raw }) => (raw as { projectId?: unknown })?.projectId === id)}
          />
          {make ? (
            <Make key={make.id} make={make} project={own} toolbox={toolbox!} onTable={ahead.take} />
          ) : (
            <Begin project={own} toolbox={toolbox!} onBegin={ahead.begin} onFailed={ahead.take} />
          )}
        </>
      )}
    </OneProject>
  );
}
