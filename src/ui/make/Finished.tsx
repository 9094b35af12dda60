import { Button, Segmented } from 'antd';
import dayjs from 'dayjs';
import { Link } from '../parts/Link';
import { useMemo, useState, type ReactNode } from 'react';
import type { LogEntry } from '@/core/files';
import { whenDone } from '@/core/making';
import type { Design } from '@/core/design';
import type { Made } from '@/core/plan';
import { minutesOf, type SetPlan, type Stop } from '@/core/sets';
import { uncapitalised } from '@/core/text';
import type { LogRecord, MakeRecord } from '@/data/db';
import { endMake, writtenOf } from '@/data/log';
import { takenWays } from '@/data/makes';
import { StepPicture } from '../bench/StepPicture';
import { FitForm } from '../log/FitForm';
import { plannedEntry } from '../log/plannedEntry';
import { OnceButton } from '../parts/once';
import { useAll } from '../parts/useKept';
import { useTell } from '../parts/useTell';
import styles from './Make.module.css';

interface FinishedProps {
  readonly make: MakeRecord;
  readonly plan: SetPlan;
  readonly walk: readonly Stop[];
  /** All of it took. */
  readonly minutes: number;
  readonly onBack: () => void;
}

/** Side of the picture of what was made, px. */
const PICTURE = 200;

/** The make is done: how each part of it fitted is asked while it still lies on the table, once. */
export function Finished(props: FinishedProps) {
  const log = useAll<LogRecord>('log');
  return log && <Asked {...props} log={log.records} />;
}

function Asked({ make, plan, walk, minutes, onBack, log }: FinishedProps & { readonly log: readonly LogRecord[] }) {
  const { failed } = useTell();
  // What holds something fits, or does not; where nothing does, what was made is remembered all the same.
  const made = plan.parts.flatMap((one) => (one.plan.made && !one.part.given ? [{ ...one, made: one.plan.made }] : []));
  const holders = made.filter((one) => one.made.holds.length > 0);
  const asked = holders.length > 0 ? holders : made;
  const several = plan.parts.length > 1;
  const written = writtenOf(make, log);
  const [ended, setEnded] = useState(false);
  const [chosen, setChosen] = useState(asked.at(-1)!.part.id);
  const left = asked.filter(({ part }) => !written.some((one) => one.part === part.id));
  const shown = left.find(({ part }) => part.id === chosen) ?? left.at(-1) ?? asked.at(-1)!;
  const { part, plan: own } = shown;
  const name = several ? `${make.name}: ${part.name}` : make.name;
  const end = async (entry: LogEntry | null, photo: Blob | null | undefined): Promise<void> => {
    const last = entry === null || left.every((one) => one === shown);
    await endMake(make, entry && { part: part.id, entry, photo }, last);
    if (last) setEnded(true);
  };
  if (ended)
    return (
      <section className={styles.finished}>
        <h1>{written.length > 0 ? 'Written down' : 'Done'}</h1>
        <p className={styles.text}>
          {written.length > 0 && (
            <>
              <Link href={`/log?e=${written.at(-1)!.id}`}>See it in the log</Link> ·{' '}
            </>
          )}
          <Link href="/">To the shelf</Link> · <Link href={`/bench?p=${make.projectId}`}>Back to the bench</Link>
        </p>
      </section>
    );
  return (
    <section className={styles.finished}>
      <h1>{make.copies > 1 ? `All ${make.copies} made` : 'Made'}</h1>
      {left.length > 1 && (
        <Segmented
          aria-label="Which part"
          value={part.id}
          options={left.map((one) => ({ value: one.part.id, label: one.part.name }))}
          onChange={setChosen}
        />
      )}
      <PartDone
        key={part.id}
        make={make}
        made={shown.made}
        design={own.design}
        name={name}
        quantity={part.quantity}
        minutes={shareOf(part.id, walk) * minutes}
        spoiled={make.spoiled.filter(({ at, part: of }) => (!several || of === part.id) && !isRescued(make, at)).length}
        form={several ? `make/${make.id}/${part.id}` : `make/${make.id}`}
        saveText={several ? `Write the ${uncapitalised(part.name)} in the log` : 'Write it in the log'}
        onSave={(entry, photo) => end(entry, photo)}
        beside={(leave) => (
          <>
            <OnceButton size="large" onPress={() => end(null, null).then(leave).catch(failed('It could not be ended'))}>
              {written.length > 0 ? 'That is all' : 'Not now'}
            </OnceButton>
            <Button size="large" onClick={onBack}>
              ‹ One step back
            </Button>
          </>
        )}
      />
    </section>
  );
}

/** A sheet that one of the copies was made of after all is no further one. */
const isRescued = (make: MakeRecord, at: number): boolean => {
  const sheet = make.spoiled.find((one) => one.at === at);
  return takenWays(make).some(
    ({ part, copy, design }) => part === sheet?.part && copy === sheet.copy && design.rescued?.piece === sheet.piece,
  );
};

/** How much of the work on all of it is that on one part; cutting up whole sheets is shared alike. */
const shareOf = (part: string, walk: readonly Stop[]): number =>
  minutesOf(walk.filter((stop) => stop.part === part)) / minutesOf(walk.filter((stop) => !stop.sheets));

interface PartDoneProps {
  readonly make: MakeRecord;
  readonly made: Made;
  readonly design: Design;
  readonly name: string;
  /** Of it in one set. */
  readonly quantity: number;
  readonly minutes: number;
  /** Sheets of it that went wrong. */
  readonly spoiled: number;
  readonly form: string;
  readonly saveText: string;
  readonly onSave: (entry: LogEntry, photo: Blob | null | undefined) => Promise<void>;
  readonly beside: (leave: () => void) => ReactNode;
}

/** How one part came out: its picture, and what is written of it. */
function PartDone(props: PartDoneProps) {
  const { make, made, design, name, quantity, minutes, spoiled, form, saveText, onSave, beside } = props;
  const known = useMemo(
    () => ({
      ...plannedEntry(name, made, design, make.units),
      day: dayjs().format('YYYY-MM-DD'),
      copies: make.copies * quantity,
      minutes: Math.max(1, Math.round(minutes)),
      sheets: make.copies * quantity * made.pieces.length + spoiled,
    }),
    [make, name, made, design, quantity, minutes, spoiled],
  );
  return (
    <>
      <StepPicture picture={whenDone(made, 'whole')} made={made} design={design} size={PICTURE} />
      <FitForm
        form={form}
        known={known}
        saveText={saveText}
        onSave={(entry, _, photo) => onSave(entry, photo)}
        beside={beside}
      />
    </>
  );
}
