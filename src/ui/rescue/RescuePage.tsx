'use client';

import { Alert, Button, Progress, Select } from 'antd';
import { useRouter, useSearchParams } from 'next/navigation';
import { useMemo } from 'react';
import { CONSTRUCTIONS } from '@/core/constructions';
import { inches, mm, stepOf, type Graduation } from '@/core/length';
import { planFor, readDesign, sayer, stepsOf, type DesignInput, type Plan } from '@/core/plan';
import { readRescue, sheetAsItIs } from '@/core/rescue';
import { designOf, setOf, withDesign, type SetInput } from '@/core/sets';
import { uncapitalised } from '@/core/text';
import type { PaperRecord, Project } from '@/data/db';
import { addProject, keepProject, shelfAndBin } from '@/data/projects';
import { UNITS } from '@/data/setting-kinds';
import { Boundary } from '../parts/Boundary';
import { LengthField } from '../parts/LengthField';
import { useOnce } from '../parts/once';
import { Opened } from '../parts/Opened';
import { inputOfPart, usePlannedSet } from '../parts/plans';
import { Reading } from '../parts/Reading';
import { useAll, useSetting } from '../parts/useKept';
import { useStashPapers } from '../parts/useStash';
import { useTell } from '../parts/useTell';
import { useUnsent } from '../parts/useUnsent';
import type { ShownWay } from '@/workers/rescue.worker';
import { Facts } from './Facts';
import { TOLD, wrongOf, type Told, type ToldFact } from './facts';
import { SheetAsItIs, type MarkPlace } from './SheetAsItIs';
import { useWays } from './useWays';
import { WayCard } from './WayCard';
import styles from './Rescue.module.css';

/** A sheet that went wrong, and what it can still be: `/rescue`, or with the project, piece and step it happened at. */
export const RescuePage = () => (
  <Opened what="Opening the shelf">
    <OnTheTable />
  </Opened>
);

const USUAL: Told = {
  project: '',
  part: '',
  piece: '',
  step: null,
  construction: 'diagonal-envelope',
  width: inches(3),
  height: inches(4),
  facts: [],
};
/** Makers draw holders; books are made of several. */
const HOLDERS = CONSTRUCTIONS.filter(({ does }) => does !== 'gathers').map(({ name, title }) => ({
  value: name,
  label: title,
}));
const NO_SET: SetInput = setOf({ version: 1, construction: 'mat', contents: { width: 50, height: 50 } });

function OnTheTable() {
  const query = useSearchParams();
  const all = useAll<Project>('projects');
  const shelf = all ? shelfAndBin(all).shelf : [];
  const begun = useMemo(
    (): Told => ({
      ...USUAL,
      project: query.get('p') ?? '',
      part: query.get('part') ?? '',
      piece: query.get('piece') ?? '',
      step: Number(query.get('step')) || null,
    }),
    [query],
  );
  // What is told of one mishap is not what was told of another.
  const { value, set, forget } = useUnsent(`rescue ${query.toString()}`.trim(), begun, TOLD);
  const told = value ?? begun;
  const project = shelf.find(({ id }) => id === told.project) ?? null;
  const [units = 'in'] = useSetting(UNITS);
  if (!all) return null;
  const graduation: Graduation =
    (project?.set.graduation as Graduation | undefined) ?? (units === 'in' ? '1/8 in' : '1 mm');
  return (
    <Reading units={project?.units ?? units} graduation={graduation}>
      <main className={styles.rescue}>
        <h1>I cut it wrong</h1>
        <p className={styles.lead}>
          Tell what the sheet is now. What it can still be is folded with its scars, the best first.
        </p>
        <WithPlan
          key={told.project}
          told={told}
          project={project}
          shelf={shelf}
          graduation={graduation}
          units={project?.units ?? units}
          onTell={(part) => set({ ...told, ...part })}
          onDone={forget}
        />
      </main>
    </Reading>
  );
}

interface WithPlanProps {
  readonly told: Told;
  readonly project: Project | null;
  readonly shelf: readonly Project[];
  readonly graduation: Graduation;
  readonly units: Project['units'];
  readonly onTell: (part: Partial<Told>) => void;
  readonly onDone: () => void;
}

/** The plan of a design; null where it cannot be read. */
function planOf(design: DesignInput): Plan | null {
  const read = readDesign(design);
  return read.ok ? planFor(read.design) : null;
}

function WithPlan({ told, project, shelf, graduation, units, onTell, onDone }: WithPlanProps) {
  const router = useRouter();
  const { failed, undoable } = useTell();
  const stash = useStashPapers();
  const whole = usePlannedSet(project?.set ?? NO_SET);
  const parts = 'plan' in whole ? whole.plan.parts.filter(({ part }) => !part.given) : [];
  const part = parts.find((one) => one.part.id === told.part) ?? parts[0] ?? null;
  const design: DesignInput =
    project && part
      ? inputOfPart(project.set, part)
      : {
          version: 1,
          construction: told.construction,
          contents: { width: told.width, height: told.height },
          graduation,
        };
  const plan = planOf(design);
  const made = plan?.made ?? null;
  const piece = made && (made.pieces.find((one) => one.piece.name === told.piece) ?? made.pieces[0]).piece;
  const say = sayer(units, graduation);
  const steps = plan?.made ? stepsOf(plan, say) : [];
  const size = told.facts.find((fact) => fact.kind === 'blank');
  const blank = size ? { width: mm(size.width), height: mm(size.height) } : piece?.blank;
  const document: object | null =
    (piece &&
      blank && {
        version: 1,
        design,
        piece: piece.name,
        ...(told.step !== null && { step: told.step }),
        wrong: wrongOf(told.facts, blank),
        papers: papersOf(stash),
        others: othersOf(shelf, project),
      }) ??
    null;
  const read = document ? readRescue(document) : null;
  const sheet = plan && made && read?.ok ? sheetAsItIs(plan, made, read.mishap, say) : null;
  const { found, trouble } = useWays(sheet && told.facts.length > 0 ? document : null, units, graduation);
  const [take] = useOnce(async (way: ShownWay): Promise<void> => {
    try {
      let id = project?.id ?? '';
      if (project && part) {
        // The paper and the tool are the set’s, and other parts have them too: only the sheet is what it is.
        const taken = { ...way.design, paper: design.paper, tool: design.tool } as DesignInput;
        const next = withDesign(project.set, part.part.id, design, taken);
        const was = { name: project.name, units: project.units, set: project.set };
        const is = { ...was, set: next };
        keepProject(id, was, is);
        undoable({
          key: id,
          done: `“${project.name}” is planned anew: ${uncapitalised(way.title)}`,
          back: () => keepProject(id, is, was),
        });
      } else id = await addProject({ name: way.title, units, set: setOf(way.design) });
      onDone();
      router.push(`/bench?p=${id}`);
    } catch (error) {
      failed('It could not be taken')(error);
    }
  });

  const moved = ({ kind, edge, at }: MarkPlace, to: number): void => {
    // A mark that was moved before is moved on from where it should have been.
    const before = told.facts.findIndex(
      (fact) =>
        fact.kind === kind &&
        'instead' in fact &&
        fact.edge === edge &&
        fact.instead !== null &&
        Math.abs(fact.instead - at) < 0.5,
    );
    const facts: ToldFact[] =
      before >= 0
        ? told.facts.map((fact, i) => (i === before && 'instead' in fact ? { ...fact, instead: to } : fact))
        : [...told.facts, { kind, edge, at, instead: to }];
    onTell({ facts });
  };
  return (
    <>
      <section className={styles.which} aria-label="What it was to be">
        <label>
          What it was to be
          <Select
            aria-label="What it was to be"
            className={styles.wide}
            value={told.project}
            options={[
              { value: '', label: 'Nothing on the shelf' },
              ...shelf.map(({ id, name }) => ({ value: id, label: name })),
            ]}
            onChange={(id) => onTell({ ...USUAL, project: id })}
          />
        </label>
        {project ? (
          <>
            {parts.length > 1 && (
              <label>
                Which of them
                <Select
                  aria-label="Which of them"
                  value={part?.part.id ?? null}
                  options={parts.map((one) => ({ value: one.part.id, label: one.part.name ?? one.part.id }))}
                  onChange={(id) => id && onTell({ part: id, piece: '', step: null, facts: [] })}
                />
              </label>
            )}
          </>
        ) : (
          <>
            <label>
              Holder
              <Select
                aria-label="Holder"
                className={styles.wide}
                value={told.construction}
                options={HOLDERS}
                onChange={(construction) => onTell({ construction, piece: '', step: null, facts: [] })}
              />
            </label>
            <LengthField
              label="What goes in, wide"
              value={told.width}
              least={5}
              most={1000}
              onChange={(width) => onTell({ width })}
            />
            <LengthField
              label="What goes in, high"
              value={told.height}
              least={5}
              most={1000}
              onChange={(height) => onTell({ height })}
            />
          </>
        )}
        {made && made.pieces.length > 1 && (
          <label>
            Which piece
            <Select
              aria-label="Which piece"
              value={piece!.name}
              options={made.pieces.map((one) => ({ value: one.piece.name, label: one.piece.name }))}
              onChange={(name) => onTell({ piece: name, step: null, facts: [] })}
            />
          </label>
        )}
        {piece && (
          <label>
            It went wrong at
            <Select
              aria-label="It went wrong at"
              className={styles.wide}
              value={told.step ?? 0}
              options={[
                ...steps
                  .filter((step) => step.piece === piece.name && step.phase !== 'fold')
                  .map(({ id, text }) => ({ value: id, label: `${id}. ${text}` })),
                { value: 0, label: 'Later: all of it is scored and cut' },
              ]}
              onChange={(id) => onTell({ step: id || null })}
            />
          </label>
        )}
      </section>
      {!made && (
        <Alert type="warning" showIcon title="There is no pattern for this: choose another size, or another holder." />
      )}
      {read && !read.ok && <Alert type="warning" showIcon title={read.issues[0]!.message} />}
      {sheet && (
        <Boundary what="The sheet" of={document}>
          <div className={styles.table}>
            <SheetAsItIs sheet={sheet} step={graduation === 'exact' ? 1 : stepOf(graduation)} onMove={moved} />
            <Facts facts={told.facts} blank={piece!.blank} onChange={(facts) => onTell({ facts: [...facts] })} />
          </div>
        </Boundary>
      )}
      {trouble && <Alert type="error" showIcon title={`${trouble}.`} />}
      {sheet && told.facts.length > 0 && (
        <section aria-label="Ways out" className={styles.ways}>
          <h2>Ways out</h2>
          {found.mistakes.map((text) => (
            <Alert key={text} type="info" showIcon title={text} />
          ))}
          {found.done < 1 && (
            <Progress percent={Math.round(found.done * 100)} size="small" aria-label="How many ways are tried" />
          )}
          <ul>
            {found.ways.map((way) => (
              <WayCard key={`${way.kind} ${way.title}`} way={way} onTake={() => void take(way)} />
            ))}
          </ul>
        </section>
      )}
      {told.facts.length > 0 && <Button onClick={() => onTell({ facts: [] })}>Begin telling anew</Button>}
    </>
  );
}

const MOST = 20;
/** Papers of the stash for a new one. */
const papersOf = (stash: readonly PaperRecord[]): object[] =>
  stash
    .slice(0, MOST)
    .map(({ name, width, height, caliper }) => ({ name: name.slice(0, 120), width, height, caliper }));

/** What else on the shelf goes into something: it may go into this. */
function othersOf(shelf: readonly Project[], project: Project | null): object[] {
  const sizes = shelf
    .filter((one) => one !== project)
    .flatMap(({ name, set }) =>
      set.parts.flatMap((part) => {
        const { contents } = designOf(set, part);
        const { width, height, thickness = 0 } = contents ?? {};
        return typeof width === 'number' && typeof height === 'number' && !part.given
          ? [{ width, height, thickness, name: `what goes into “${name.slice(0, 30)}”` }]
          : [];
      }),
    );
  return sizes.slice(0, 6);
}
