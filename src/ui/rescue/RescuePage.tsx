'use client';

import { Alert, Button, Progress } from 'antd';
import { useRouter, useSearchParams } from 'next/navigation';
import { useMemo } from 'react';
import { stepOf, usualMarks, type Graduation } from '@/core/length';
import { several } from '@/core/text';
import type { MakeRecord, Project } from '@/data/db';
import { shelfAndBin } from '@/data/projects';
import { MISREADS, remembering, UNITS } from '@/data/setting-kinds';
import { takeWayOut, type Aside } from '@/data/way-out';
import { Boundary } from '../parts/Boundary';
import { InUnits } from '../parts/InUnits';
import { useOnce } from '../parts/once';
import { Opened } from '../parts/Opened';
import { useAll, useSetting } from '../parts/useKept';
import { useTell } from '../parts/useTell';
import { useAsked } from '../parts/useUnsent';
import type { ShownWay, ShownWays } from '@/workers/rescue.worker';
import { Facts } from './Facts';
import { TOLD, USUAL, withHappened, withMoved, type Told } from './facts';
import { SheetAsItIs } from './SheetAsItIs';
import { useMishap, type MishapAsked } from './useMishap';
import { useWays } from './useWays';
import { WayCard } from './WayCard';
import { WhatItWasToBe } from './WhatItWasToBe';
import styles from './Rescue.module.css';

/** A sheet that went wrong, and what it can still be: `/rescue`, or with the project, piece and step it happened at. */
export const RescuePage = () => (
  <Opened what="Opening the shelf">
    <OnTheTable />
  </Opened>
);

/** The sheet that the address names; null where it names none that is there. */
function asideOf(makes: readonly MakeRecord[], query: URLSearchParams): Aside | null {
  const make = makes.find(({ id }) => id === query.get('make'));
  const sheet = make?.spoiled.find(({ at }) => String(at) === query.get('sheet'));
  return make && sheet ? { make, sheet } : null;
}

function OnTheTable() {
  const query = useSearchParams();
  const all = useAll<Project>('projects');
  const makes = useAll<MakeRecord>('makes');
  const shelf = useMemo(() => all && shelfAndBin(all).shelf, [all]);
  const aside = useMemo(() => makes && asideOf(makes.records, query), [makes, query]);
  if (!shelf || !makes) return null;
  // What is told of one mishap is not what was told of another.
  const form = `rescue ${query.toString()}`.trim();
  return (
    <WentWrong
      key={form}
      form={form}
      projectId={query.get('p') ?? ''}
      aside={aside}
      vanished={query.has('make') && aside === null}
      shelf={shelf}
    />
  );
}

interface WentWrongProps {
  readonly form: string;
  readonly projectId: string;
  readonly aside: Aside | null;
  /** The address names a sheet that is there no more. */
  readonly vanished: boolean;
  readonly shelf: readonly Project[];
}

function WentWrong({ form, projectId, aside, vanished, shelf }: WentWrongProps) {
  const begun: Told = {
    ...USUAL,
    project: projectId,
    ...(aside && { part: aside.sheet.part, piece: aside.sheet.piece, step: aside.sheet.step }),
  };
  const { value, set, forget } = useAsked(form, begun, TOLD);
  const told = value ?? begun;
  const project = aside ? null : (shelf.find(({ id }) => id === told.project) ?? null);
  const source = aside?.make ?? project;
  const [own = UNITS.fallback] = useSetting(UNITS);
  const units = source?.units ?? own;
  const graduation = (source?.set.graduation as Graduation | undefined) ?? usualMarks(own);
  return (
    <InUnits units={units} graduation={graduation}>
      <main className={styles.rescue}>
        <h1>I cut it wrong</h1>
        <p className={styles.lead}>
          Tell what the sheet is now. What it can still be is folded with its scars, the best first.
        </p>
        {vanished && (
          <Alert type="info" showIcon title="That sheet is not in this browser any more. Tell of another here." />
        )}
        <Telling
          key={told.project}
          told={told}
          project={project}
          aside={aside}
          shelf={shelf}
          graduation={graduation}
          units={units}
          onTell={(part) => set({ ...told, ...part })}
          onDone={forget}
        />
      </main>
    </InUnits>
  );
}

interface TellingProps extends MishapAsked {
  readonly onTell: (part: Partial<Told>) => void;
  readonly onDone: () => void;
}

/** What it was to be, what is wrong, and the ways out. */
function Telling({ onTell, onDone, ...asked }: TellingProps) {
  const { told, project, aside, graduation, units } = asked;
  const router = useRouter();
  const { failed, undoable } = useTell();
  const [, setMisreads] = useSetting(MISREADS);
  const mishap = useMishap(asked);
  const { part, design, piece, flaps, document, unread, sheet } = mishap;
  const { facts } = told;
  const { found, trouble } = useWays(sheet && facts.length > 0 ? document : null, units, graduation);
  const [take] = useOnce(async (way: ShownWay): Promise<void> => {
    try {
      const { to, undo } = await takeWayOut(way, { aside, project, part: part?.part ?? null, design, units });
      if (undo) undoable({ ...undo, label: 'Take it back' });
      const misreads = found.mistakes.map(({ misread }) => misread);
      setMisreads((now) => remembering(now, misreads));
      onDone();
      router.push(to);
    } catch (error) {
      failed('It could not be taken')(error);
    }
  });
  return (
    <>
      <WhatItWasToBe {...asked} mishap={mishap} onTell={onTell} />
      {!piece && (
        <Alert type="warning" showIcon title="There is no pattern for this: choose another size, or another holder." />
      )}
      {unread !== null && <Alert type="warning" showIcon title={unread} />}
      {sheet && piece && (
        <Boundary what="The sheet" of={document}>
          <div className={styles.table}>
            <SheetAsItIs
              piece={piece.name}
              sheet={sheet}
              flaps={flaps}
              step={graduation === 'exact' ? 1 : stepOf(graduation)}
              onMove={(mark, to) => onTell({ facts: withMoved(facts, mark, to) })}
              onHappened={(fact) => onTell({ facts: withHappened(facts, fact) })}
            />
            <Facts
              facts={facts}
              blank={piece.blank}
              flaps={flaps}
              onChange={(changed) => onTell({ facts: [...changed] })}
            >
              {facts.length > 0 && <BestSoFar found={found} />}
            </Facts>
          </div>
        </Boundary>
      )}
      {trouble && <Alert type="error" showIcon title={`${trouble}.`} />}
      {sheet && facts.length > 0 && <Ways found={found} onTake={(way) => void take(way)} />}
      {facts.length > 0 && <Button onClick={() => onTell({ facts: [] })}>Begin telling anew</Button>}
    </>
  );
}

/** The best answer, beside what was told: the ways themselves lie below the sheet. */
function BestSoFar({ found: { ways, done } }: { readonly found: ShownWays }) {
  const [best, ...more] = ways;
  return (
    <p role="status" className={styles.best}>
      {best ? (
        <>
          Best way out{done < 1 && ' so far'}: <a href="#ways-out">{best.title}</a>
          {more.length > 0 && `, and ${several(more.length, 'other')} below`}.
        </>
      ) : (
        'Ways out are being sought …'
      )}
    </p>
  );
}

function Ways({ found, onTake }: { readonly found: ShownWays; readonly onTake: (way: ShownWay) => void }) {
  return (
    <section aria-label="Ways out" id="ways-out" className={styles.ways}>
      <h2>Ways out</h2>
      {found.mistakes.map(({ text }) => (
        <Alert key={text} type="info" showIcon title={text} />
      ))}
      {found.done < 1 && (
        <Progress percent={Math.round(found.done * 100)} size="small" aria-label="How many ways are tried" />
      )}
      <ul>
        {found.ways.map((way) => (
          <WayCard key={`${way.kind} ${way.title}`} way={way} onTake={() => onTake(way)} />
        ))}
      </ul>
    </section>
  );
}
