'use client';

import { Alert, Button, Progress, Select } from 'antd';
import { useRouter, useSearchParams } from 'next/navigation';
import { CONSTRUCTIONS } from '@/core/constructions';
import { inches, mm, stepOf, type Graduation, sayer } from '@/core/length';
import { onlyHinge } from '@/core/mending';
import { partNamed } from '@/core/plan';
import { stepsOf } from '@/core/making';
import type { DesignInput } from '@/core/design';
import { readRescue, sheetAsItIs } from '@/core/rescue';
import { designOf, setOf, withDesign, type SetInput } from '@/core/sets';
import { uncapitalised } from '@/core/text';
import type { MakeRecord, PaperRecord, Project, SpoiledSheet } from '@/data/db';
import { goesOnWith, settleSheet, takeWay, takeWayBack } from '@/data/makes';
import { addProject, keepProject, shelfAndBin } from '@/data/projects';
import { MISREADS, remembering, UNITS } from '@/data/setting-kinds';
import { Boundary } from '../parts/Boundary';
import { LengthField } from '../parts/LengthField';
import { useOnce } from '../parts/once';
import { Opened } from '../parts/Opened';
import { inputOfPart, planned, usePlannedSet } from '../parts/plans';
import { InUnits } from '../parts/InUnits';
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
const HOLDERS = CONSTRUCTIONS.map(({ name, title }) => ({ value: name, label: title }));
const NO_SET: SetInput = setOf({ version: 1, construction: 'mat', contents: { width: 50, height: 50 } });

/** What the sheet was to be: something on the shelf, or a copy in a make as that was begun. */
interface Source {
  readonly name: string;
  readonly units: Project['units'];
  readonly set: SetInput;
}
/** A sheet that a make set aside. */
interface Aside {
  readonly make: MakeRecord;
  readonly sheet: SpoiledSheet;
}

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
  if (!all || !makes) return null;
  // What is told of one mishap is not what was told of another.
  const form = `rescue ${query.toString()}`.trim();
  return (
    <Mishap
      key={form}
      form={form}
      projectId={query.get('p') ?? ''}
      aside={asideOf(makes.records, query)}
      vanished={query.has('make') && asideOf(makes.records, query) === null}
      shelf={shelfAndBin(all).shelf}
    />
  );
}

interface MishapProps {
  readonly form: string;
  readonly projectId: string;
  readonly aside: Aside | null;
  /** The address names a sheet that is there no more. */
  readonly vanished: boolean;
  readonly shelf: readonly Project[];
}

function Mishap({ form, projectId, aside, vanished, shelf }: MishapProps) {
  const begun: Told = {
    ...USUAL,
    project: projectId,
    ...(aside && { part: aside.sheet.part, piece: aside.sheet.piece, step: aside.sheet.step }),
  };
  const { value, set, forget } = useUnsent(form, begun, TOLD);
  const told = value ?? begun;
  const project = aside ? null : (shelf.find(({ id }) => id === told.project) ?? null);
  const source: Source | null = aside?.make ?? project;
  const [units = 'in'] = useSetting(UNITS);
  const graduation: Graduation =
    (source?.set.graduation as Graduation | undefined) ?? (units === 'in' ? '1/8 in' : '1 mm');
  return (
    <InUnits units={source?.units ?? units} graduation={graduation}>
      <main className={styles.rescue}>
        <h1>I cut it wrong</h1>
        <p className={styles.lead}>
          Tell what the sheet is now. What it can still be is folded with its scars, the best first.
        </p>
        {vanished && (
          <Alert type="info" showIcon title="That sheet is not in this browser any more. Tell of another here." />
        )}
        <WithPlan
          key={told.project}
          told={told}
          project={project}
          aside={aside}
          shelf={shelf}
          graduation={graduation}
          units={source?.units ?? units}
          onTell={(part) => set({ ...told, ...part })}
          onDone={forget}
        />
      </main>
    </InUnits>
  );
}

interface WithPlanProps {
  readonly told: Told;
  readonly project: Project | null;
  readonly aside: Aside | null;
  readonly shelf: readonly Project[];
  readonly graduation: Graduation;
  readonly units: Project['units'];
  readonly onTell: (part: Partial<Told>) => void;
  readonly onDone: () => void;
}

/** The design a copy in a make goes by: its own, where it went its own way before. */
const ownDesign = ({ make, sheet }: Aside): DesignInput | null =>
  make.ways?.findLast(({ part, copy }) => part === sheet.part && copy === sheet.copy)?.design ?? null;

function WithPlan({ told, project, aside, shelf, graduation, units, onTell, onDone }: WithPlanProps) {
  const router = useRouter();
  const { failed, undoable } = useTell();
  const stash = useStashPapers();
  const [, setMisreads] = useSetting(MISREADS);
  const source: Source | null = aside?.make ?? project;
  const whole = usePlannedSet(source?.set ?? NO_SET);
  const parts = 'plan' in whole ? whole.plan.parts.filter(({ part }) => !part.given) : [];
  const part = parts.find((one) => one.part.id === told.part) ?? parts[0] ?? null;
  const design: DesignInput =
    source && part
      ? ((aside && ownDesign(aside)) ?? inputOfPart(source.set, part))
      : {
          version: 1,
          construction: told.construction,
          contents: { width: told.width, height: told.height },
          graduation,
        };
  const answer = planned(design);
  const plan = 'plan' in answer ? answer.plan : null;
  const made = plan?.made ?? null;
  const piece = made && partNamed(made, told.piece).piece;
  const flaps = piece ? piece.panels.filter(({ id }) => onlyHinge(piece, id)) : [];
  const cut = made ? [...made.pieces, ...made.layers] : [];
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
      let to = '';
      if (aside && goesOnWith(aside.make, aside.sheet)) {
        // Nothing was wrong: it goes on as it was.
        const { make, sheet: own } = aside;
        if (way.kind === 'as-it-is' && !way.design.rescued) settleSheet(make, own.at);
        else {
          const taken = takeWay(make, own, way.design);
          undoable({
            key: `${make.id} ${own.at}`,
            done: `Copy ${own.copy} goes on: ${uncapitalised(way.title)}`,
            back: () => Promise.resolve(takeWayBack(taken, make)),
            label: 'Take it back',
          });
        }
        to = `/make?p=${aside.make.projectId}`;
      } else if (project && part && part.part.quantity === 1) {
        // The paper and the tool are the set’s, and other parts have them too: only the sheet is what it is.
        const taken = { ...way.design, paper: design.paper, tool: design.tool } as DesignInput;
        const next = withDesign(project.set, part.part.id, design, taken);
        const was = { name: project.name, units: project.units, set: project.set };
        const is = { ...was, set: next };
        const { id } = project;
        keepProject(id, was, is);
        undoable({
          key: id,
          done: `“${project.name}” is planned anew: ${uncapitalised(way.title)}`,
          back: () => keepProject(id, is, was),
          label: 'Take it back',
        });
        to = `/bench?p=${id}`;
      } else {
        // Of several copies one goes its own way: it is a thing of its own.
        const name = source ? `${source.name}: ${uncapitalised(way.title)}` : way.title;
        to = `/bench?p=${await addProject({ name, units, set: setOf(way.design) })}`;
        if (aside) settleSheet(aside.make, aside.sheet.at);
      }
      setMisreads((now) =>
        remembering(
          now,
          found.mistakes.map(({ misread }) => misread),
        ),
      );
      onDone();
      router.push(to);
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
        {aside ? (
          <p className={styles.of}>
            <strong>{aside.make.name}</strong>, as it was begun: copy {aside.sheet.copy}
            {parts.length > 1 && part ? ` of ${part.part.name}` : ''}, step {aside.sheet.step}.
            {goesOnWith(aside.make, aside.sheet) && ' What you take goes on from there.'}
          </p>
        ) : (
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
        )}
        {source ? (
          <>
            {!aside && parts.length > 1 && (
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
        {made && cut.length > 1 && (
          <label>
            Which piece
            <Select
              aria-label="Which piece"
              value={piece!.name}
              options={cut.map((one) => ({ value: one.piece.name, label: one.piece.name }))}
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
            <SheetAsItIs
              sheet={sheet}
              flaps={flaps}
              step={graduation === 'exact' ? 1 : stepOf(graduation)}
              onMove={moved}
              onHappened={(fact) =>
                onTell({ facts: [...told.facts.filter(({ kind }) => kind !== 'glued' || fact.kind !== kind), fact] })
              }
            />
            <Facts
              facts={told.facts}
              blank={piece!.blank}
              flaps={flaps}
              onChange={(facts) => onTell({ facts: [...facts] })}
            />
          </div>
        </Boundary>
      )}
      {trouble && <Alert type="error" showIcon title={`${trouble}.`} />}
      {sheet && told.facts.length > 0 && (
        <section aria-label="Ways out" className={styles.ways}>
          <h2>Ways out</h2>
          {found.mistakes.map(({ text }) => (
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
