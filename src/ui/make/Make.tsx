'use client';

import {
  AudioMutedOutlined,
  AudioOutlined,
  CloseOutlined,
  QuestionCircleOutlined,
  WarningOutlined,
} from '@ant-design/icons';
import { Alert, Button, Modal } from 'antd';
import { Link } from '../parts/Link';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { saidOut } from '@/core/length';
import { careAt, USUAL_HANDS } from '@/core/hands';
import { inputOf, readDesign, type Design } from '@/core/design';
import { planFor } from '@/core/plan';
import type { Step } from '@/core/making';
import { warningAt } from '@/core/rescue';
import { partSteps, setsDone, walkOf, withOwnWays, type OwnWay, type SetPlan, type Stop } from '@/core/sets';
import type { Toolbox } from '@/core/tools';
import type { MakeRecord, Project } from '@/data/db';
import { keepMake, keepSpoiled } from '@/data/makes';
import { HANDS, MISREADS } from '@/data/setting-kinds';
import { useCare } from '../fit/useOdds';
import { inputOfPart, usePlannedSet } from '../parts/plans';
import { Boundary } from '../parts/Boundary';
import { KeysDialog, type KeyLine } from '../parts/KeysDialog';
import { KEYS } from '../parts/keys';
import { useTell } from '../parts/useTell';
import { useSetting } from '../parts/useKept';
import { withKit } from '../parts/withKit';
import { InUnits, useUnits } from '../parts/InUnits';
import { BenchCardButton } from './BenchCardButton';
import { Finished } from './Finished';
import { OlderPlan } from './OlderPlan';
import { StopView } from './StopView';
import { useAwake, useClock, useSpeech } from './useTable';
import { WentWrong } from './WentWrong';
import { WhichEdge } from './WhichEdge';
import styles from './Make.module.css';

interface MakeProps {
  readonly make: MakeRecord;
  /** The project as it stands now: it may have been changed since. */
  readonly project: Project;
  readonly toolbox: Toolbox;
  /** Says, once it lies on the table, how many steps were pressed on before. */
  readonly onTable: () => number;
}

/** What the keyboard, or a foot pedal, does during a make. */
const KEY_LINES: readonly KeyLine[] = [
  ['→ Page Down Space', 'Next step'],
  ['← Page Up', 'A step back'],
  ['E', 'Which edge was I on?'],
  ['S', 'Read the steps out, or stop'],
  ['W', 'That went wrong'],
  ['?', 'This list'],
];

/** A make on the table: planned anew from what was decided when it began. */
export function Make(props: MakeProps) {
  const { make, toolbox } = props;
  const set = useMemo(() => withKit(make.set, toolbox), [make.set, toolbox]);
  const whole = usePlannedSet(set);
  if (!('plan' in whole) || whole.plan.parts.some(({ plan }) => !plan.made))
    return (
      <main className={styles.begin}>
        <Alert
          type="error"
          showIcon
          title="There is no pattern for this make"
          description={
            <>
              {'issues' in whole && <p>{whole.issues[0]?.message}</p>}
              <Link href={`/bench?p=${make.projectId}`}>Back to the bench</Link>
            </>
          }
        />
      </main>
    );
  return (
    <InUnits units={props.make.units} graduation={whole.plan.set.graduation}>
      <AtTheTable {...props} plan={whole.plan} />
    </InUnits>
  );
}

interface TableProps extends MakeProps {
  readonly plan: SetPlan;
}

/** One step at a time, to be read from an arm's length away. */
function AtTheTable({ make, project, toolbox, plan, onTable }: TableProps) {
  const { undoable } = useTell();
  const router = useRouter();
  const { copies, way } = make;
  const { say } = useUnits();
  const ways = useMemo(() => waysOf(make.ways), [make.ways]);
  const walk = useMemo(
    () => withOwnWays(walkOf(plan, say, copies, way), plan, say, ways),
    [plan, say, copies, way, ways],
  );
  // The make is followed live: another window that goes on with it takes this one along.
  const done = Math.min(make.done, walk.length);
  const [open, setOpen] = useState<'edge' | 'wrong' | 'keys' | null>(null);
  const clock = useClock();
  const awake = useAwake();
  const stop: Stop | undefined = walk[done];
  const at = stop?.own ?? plan.parts.find(({ part }) => part.id === stop?.part) ?? plan.parts.at(-1)!;
  const made = at.plan.made!;
  const { design } = at.plan;
  const beware = useBeware(stop, design);
  const steps = useMemo(() => partSteps(at, say), [at, say]);
  const several = plan.parts.length > 1;
  const of = at.part.quantity * copies;
  const speech = useSpeech(
    stop ? `${several ? `${at.part.name}. ` : ''}${spoken(stop, of)} ${saidOut(beware.join(' '))}` : 'All done.',
  );

  /** To that stop; the time since the last one is counted. */
  const goTo = (to: number): void => {
    const next = Math.max(0, Math.min(walk.length, to));
    if (next !== done) keepMake(make, { done: next, spent: make.spent + clock.take() });
  };
  /** The copy at hand of a new sheet: it goes its own way from here, as it was planned. */
  const again = ({ part, copies: [copy] }: Stop): void => {
    const planned = plan.parts.find((one) => one.part.id === part)!;
    const way = { part, copy: copy!, at: done, design: inputOfPart(make.set, planned) };
    keepMake(make, { ways: [...(make.ways ?? []), way], spent: make.spent + clock.take() });
  };
  useEffect(() => {
    const ahead = onTable();
    if (ahead > 0) goTo(done + ahead);
    // Once, when it is laid out.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [onTable]);
  const latest = useRef(make);
  useEffect(() => {
    latest.current = make;
  });
  useEffect(() => {
    const leave = (): void => {
      const passed = clock.take();
      if (passed > 0) keepMake(latest.current, { spent: latest.current.spent + passed });
    };
    window.addEventListener('pagehide', leave);
    return () => window.removeEventListener('pagehide', leave);
  }, [clock]);

  /** Taken off the table without a word in the log; it can be laid there again. */
  const stopIt = (): void => {
    keepMake(make, { endedAt: Date.now(), spent: make.spent + clock.take() });
    undoable({
      key: make.id,
      done: `“${make.name}” is off the table`,
      back: () => Promise.resolve(keepMake({ ...make, endedAt: 1 }, { endedAt: 0 })),
    });
    router.push('/');
  };

  const going = open === null && stop !== undefined;
  useHotkeys(['right', 'pagedown', 'n'], () => goTo(done + 1), { ...KEYS, preventDefault: true, enabled: going });
  // Space presses a button that has the focus; elsewhere it goes on.
  useHotkeys('space', () => goTo(done + 1), {
    ...KEYS,
    preventDefault: true,
    enabled: going,
    ignoreEventWhen: ({ target }) =>
      target instanceof HTMLElement && target.closest('button, a, input, textarea') !== null,
  });
  useHotkeys(['left', 'pageup', 'b'], () => goTo(done - 1), { ...KEYS, preventDefault: true, enabled: going });
  useHotkeys('e', () => setOpen(open === 'edge' ? null : 'edge'), KEYS);
  useHotkeys('w', () => stop && setOpen('wrong'), { ...KEYS, enabled: open === null });
  useHotkeys('s', () => speech.able && speech.toggle(), { ...KEYS, enabled: open === null });
  useHotkeys(['?', 'shift+?'], () => setOpen('keys'), { ...KEYS, useKey: true });

  const minutes = Math.floor((make.spent + clock.running) / 60_000);
  const finished = setsDone(plan, walk, done);
  return (
    <main className={styles.make}>
      <div className={styles.bar}>
        <Link href={`/bench?p=${encodeURIComponent(make.projectId)}`} className={styles.name}>
          ‹ {make.name}
        </Link>
        <span className={styles.time}>
          {minutes} min{awake && ', screen kept awake'}
        </span>
        <div className={styles.tools}>
          <BenchCardButton set={make.set} title={make.name} copies={copies} />
          {speech.able && (
            <Button
              size="large"
              aria-pressed={speech.on}
              icon={speech.on ? <AudioOutlined /> : <AudioMutedOutlined />}
              onClick={speech.toggle}
            >
              <span className={styles.label}>{speech.on ? 'Reading out' : 'Read out'}</span>
            </Button>
          )}
          <Button size="large" icon={<QuestionCircleOutlined />} disabled={!stop} onClick={() => setOpen('edge')}>
            <span className={styles.label}>Which edge?</span>
          </Button>
          <Button size="large" icon={<WarningOutlined />} disabled={!stop} onClick={() => setOpen('wrong')}>
            <span className={styles.label}>That went wrong</span>
          </Button>
          <Button size="large" icon={<CloseOutlined />} disabled={!stop} onClick={stopIt}>
            <span className={styles.label}>Stop making</span>
          </Button>
        </div>
      </div>
      {stop && (
        <Boundary what="The newer plan" of={project.set}>
          <OlderPlan make={make} project={project} toolbox={toolbox} plan={plan} walk={walk} />
        </Boundary>
      )}
      <Progress
        done={done}
        all={walk.length}
        of={of}
        sets={copies}
        finished={finished}
        stop={stop}
        part={several ? at.part.name : null}
      />
      {stop ? (
        <Boundary what="This step" of={done}>
          <StopView
            at={done}
            stop={stop}
            made={made}
            design={design}
            part={several ? at.part.name : null}
            beware={beware}
          />
        </Boundary>
      ) : (
        <Finished make={make} plan={plan} walk={walk} minutes={minutes} onBack={() => goTo(done - 1)} />
      )}
      {stop && (
        <div className={styles.pedals}>
          <Button className={styles.backButton} disabled={done === 0} onClick={() => goTo(done - 1)}>
            ‹ Back
          </Button>
          <Button type="primary" className={styles.nextButton} onClick={() => goTo(done + 1)}>
            {done + 1 === walk.length ? 'Finished' : 'Next'} ›
          </Button>
        </div>
      )}
      <Boundary what="This dialog" of={open}>
        {stop && open === 'edge' && (
          <Modal open title="Which edge was I on?" footer={null} width={640} onCancel={() => setOpen(null)}>
            <WhichEdge made={made} design={design} steps={steps} stop={stop} />
          </Modal>
        )}
        {stop && open === 'wrong' && (
          <WentWrong
            makeId={make.id}
            made={made}
            design={design}
            steps={steps}
            stop={stop}
            onClose={() => setOpen(null)}
            onKeep={(sheet) => keepSpoiled(make, { ...sheet, done })}
            onAgain={() => {
              setOpen(null);
              again(stop);
            }}
          />
        )}
      </Boundary>
      <KeysDialog keys={KEY_LINES} open={open === 'keys'} onClose={() => setOpen(null)} />
    </main>
  );
}

/** Copies that go their own way, planned; one that cannot be read any more goes the common way. */
const waysOf = (taken: MakeRecord['ways'] = []): readonly OwnWay[] =>
  taken.flatMap(({ design, ...way }) => {
    const read = readDesign(design);
    return read.ok ? [{ ...way, plan: planFor(read.design) }] : [];
  });

/** What is told at a step besides: that it was misread before, that it matters more than any other. */
function useBeware(stop: Stop | undefined, design: Design): readonly string[] {
  const [misreads = []] = useSetting(MISREADS);
  const [hands] = useSetting(HANDS);
  const input = useMemo(() => inputOf(design), [design]);
  const most = useCare(stop ? input : null, hands ?? USUAL_HANDS);
  if (!stop) return [];
  const told = [warningAt(stop.step, design.construction.name, misreads), most && careAt(stop.step, most)];
  return told.filter((one) => one !== null);
}

/** What is read out of a step. */
function spoken({ step, copies }: Stop, all: number): string {
  const which = all > 1 ? (copies.length > 1 ? `All ${copies.length}. ` : `Copy ${copies[0]}. `) : '';
  return `${which}${readable(step)}`;
}

/** A step in words a voice says well. */
const readable = ({ text, how, caution }: Step): string => saidOut([text, how, caution].filter(Boolean).join(' '));

function Progress({
  done,
  all,
  of,
  sets,
  finished,
  stop,
  part,
}: {
  readonly done: number;
  readonly all: number;
  /** Copies there are of the part at hand, and sets of all of it. */
  readonly of: number;
  readonly sets: number;
  readonly finished: number;
  readonly stop: Stop | undefined;
  /** The part at hand, where there are several. */
  readonly part: string | null;
}) {
  return (
    <div className={styles.progress}>
      <div
        className={styles.track}
        role="progressbar"
        aria-label="How far the make has come"
        aria-valuemin={0}
        aria-valuemax={all}
        aria-valuenow={done}
      >
        <div style={{ width: `${(done / all) * 100}%` }} />
      </div>
      <span>
        {stop ? (
          <>
            Step <strong>{done + 1}</strong> of {all}
          </>
        ) : (
          <>All {all} steps done</>
        )}
        {stop && part && ` · ${part}`}
        {(of > 1 || sets > 1) && (
          <>
            {stop && of > 1 && (
              <>
                {' · '}
                {stop.copies.length > 1 ? (
                  <>
                    all <strong>{of}</strong> copies
                  </>
                ) : (
                  <>
                    copy <strong>{stop.copies[0]}</strong> of {of}
                  </>
                )}
              </>
            )}
            {sets > 1 && ` · ${finished} finished`}
          </>
        )}
      </span>
    </div>
  );
}
