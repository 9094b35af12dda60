'use client';

import { Button, Result } from 'antd';
import { Link } from './Link';
import { useEffect, useState, type ReactNode } from 'react';
import { openData } from '@/data/opened';
import { troubleOf, type DataTrouble } from '@/data/trouble';
import { Boundary } from './Boundary';
import { InMyUnits } from './MyUnits';
import { Waiting } from './Waiting';

interface OpenedProps {
  /** What is being opened: `Opening the log`. */
  readonly what: string;
  /** In place of a whole screen, or of a part of it. */
  readonly whole?: boolean;
  readonly children: ReactNode;
}

/**
 * Shows its children once the data is open, read in the person's own units. Where it cannot be opened, says why and what still works; where it may
 * still open, goes on trying.
 */
export function Opened({ what, whole = true, children }: OpenedProps) {
  const [open, setOpen] = useState(false);
  const [trouble, setTrouble] = useState<DataTrouble | null>(null);
  const [tries, setTries] = useState(0);
  useEffect(() => {
    let gone = false;
    openData().then(
      () => !gone && setOpen(true),
      (error: unknown) => {
        if (gone) return;
        const met = troubleOf(error);
        setTrouble(met);
        // It may still come: what held it up may end without anything done here.
        if (met.kind === 'held' || met.kind === 'silent') setTries((now) => now + 1);
      },
    );
    return () => {
      gone = true;
    };
  }, [tries]);
  if (open)
    return (
      <Boundary what="This screen">
        <InMyUnits>{children}</InMyUnits>
      </Boundary>
    );
  if (!trouble) return <Waiting what={what} whole={whole} />;
  return (
    <Result
      status="warning"
      title="What you made cannot be opened here"
      subTitle={`${trouble.message}. Nothing of it was changed. Finding a holder, and reading how each is made, still work.`}
      extra={[
        <Button key="again" type="primary" onClick={() => window.location.reload()}>
          Load the page again
        </Button>,
        <Link key="choose" href="/choose?have=contents">
          <Button>What can hold this?</Button>
        </Link>,
      ]}
    />
  );
}
