'use client';

import { Alert, Button, Modal } from 'antd';
import { useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { saidOut } from '@/core/length';
import { stopWords, type SetPlan, type Stop } from '@/core/sets';
import type { Toolbox } from '@/core/tools';
import type { MakeRecord, Project } from '@/data/db';
import { keepSpoiled } from '@/data/makes';
import { Boundary } from '../parts/Boundary';
import { InUnits } from '../parts/InUnits';
import { KeysDialog, type KeyLine } from '../parts/KeysDialog';
import { KEYS } from '../parts/keys';
import { Link } from '../parts/Link';
import { usePlannedSet } from '../parts/plans';
import { withKit } from '../parts/withKit';
import { Finished } from './Finished';
import { MakeBar } from './MakeBar';
import { Measured } from './Measured';
import { OlderPlan } from './OlderPlan';
import { Progress } from './Progress';
import { SheetWrong } from './SheetWrong';
import { StashFollows } from './StashFollows';
import { StopView } from './StopView';
import { useMaking } from './useMaking';
import { useSwipe } from './useSwipe';
import { useAwake, useSpeech } from './useTable';
import { WentWrong } from './WentWrong';
import { WhichCopies } from './WhichCopies';
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
  ['← Page Up', 'A step back; twice, where a step was done for several copies'],
  ['E', 'Which edge was I on?'],
  ['S', 'Read the steps out, or stop'],
  ['W', 'That went wrong'],
  ['M', 'It measures otherwise than planned'],
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
  const making = useMaking(make, plan, onTable);
  const {
    walk,
    done,
    stop,
    made,
    design,
    steps,
    part,
    of,
    finished,
    beware,
    minutes,
    left,
    goTo,
    anew,
    again,
    asMade,
    measure,
    stopIt,
  } = making;
  const [open, setOpen] = useState<'edge' | 'wrong' | 'measured' | 'keys' | 'back' | null>(null);
  const awake = useAwake();
  const speech = useSpeech(
    stop ? `${part === null ? '' : `${part}. `}${spoken(stop, of)} ${saidOut(beware.join(' '))}` : 'All done.',
  );

  const going = open === null && stop !== undefined;
  const last = walk[done - 1];
  /** A step back; of a batch it is asked for which copies. */
  const back = (): void => {
    if (last && last.copies.length > 1 && open === null) return setOpen('back');
    setOpen(null);
    goTo(done - 1);
  };
  useHotkeys(['right', 'pagedown', 'n'], () => goTo(done + 1), { ...KEYS, preventDefault: true, enabled: going });
  // Space presses a button that has the focus; elsewhere it goes on.
  useHotkeys('space', () => goTo(done + 1), {
    ...KEYS,
    preventDefault: true,
    enabled: going,
    ignoreEventWhen: ({ target }) =>
      target instanceof HTMLElement && target.closest('button, a, input, textarea') !== null,
  });
  // Pressed twice it goes back for all.
  useHotkeys(['left', 'pageup', 'b'], back, { ...KEYS, preventDefault: true, enabled: going || open === 'back' });
  const swipe = useSwipe(
    () => going && goTo(done + 1),
    () => going && back(),
  );
  const onBlank = stop !== undefined && !stop.sheets;
  useHotkeys('e', () => setOpen(open === 'edge' ? null : 'edge'), { ...KEYS, enabled: onBlank });
  useHotkeys('w', () => stop && setOpen('wrong'), { ...KEYS, enabled: open === null });
  useHotkeys('m', () => setOpen('measured'), { ...KEYS, enabled: open === null });
  useHotkeys('s', () => speech.able && speech.toggle(), { ...KEYS, enabled: open === null });
  useHotkeys(['?', 'shift+?'], () => setOpen('keys'), { ...KEYS, useKey: true });

  return (
    <main className={styles.make}>
      <MakeBar
        make={make}
        minutes={minutes}
        awake={awake}
        speech={speech}
        going={stop !== undefined}
        onBlank={onBlank}
        onEdge={() => setOpen('edge')}
        onWrong={() => setOpen('wrong')}
        onMeasure={() => setOpen('measured')}
        onStop={stopIt}
      />
      {stop && (
        <Boundary what="The newer plan" of={project.set}>
          <OlderPlan make={make} project={project} toolbox={toolbox} plan={plan} walk={walk} />
        </Boundary>
      )}
      <StashFollows make={make} walk={walk} done={done} />
      <Progress
        done={done}
        all={walk.length}
        of={of}
        sets={make.copies}
        finished={finished}
        stop={stop}
        part={part}
        left={left}
      />
      {stop ? (
        <Boundary what="This step" of={done}>
          <StopView
            swipe={swipe}
            at={done}
            stop={stop}
            of={of}
            made={made}
            design={design}
            part={part}
            beware={beware}
          />
        </Boundary>
      ) : (
        <Finished make={make} plan={plan} walk={walk} minutes={minutes} onBack={back} />
      )}
      {stop && (
        <div className={styles.pedals}>
          <Button disabled={done === 0} onClick={back}>
            ‹ Back
          </Button>
          <Button type="primary" onClick={() => goTo(done + 1)}>
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
        {open === 'measured' && (
          <Measured
            make={make}
            project={project}
            begun={plan}
            plan={asMade}
            walk={walk}
            done={done}
            onMeasure={measure}
            onClose={() => setOpen(null)}
          />
        )}
        {stop?.sheets && open === 'wrong' && <SheetWrong sheets={stop.sheets} onClose={() => setOpen(null)} />}
        {stop && !stop.sheets && open === 'wrong' && (
          <WentWrong
            makeId={make.id}
            made={made}
            design={design}
            steps={steps}
            stop={stop}
            onClose={() => setOpen(null)}
            onKeep={(sheet) => keepSpoiled(make, { ...sheet, done })}
            onAgain={(copy, piece) => {
              setOpen(null);
              anew(copy, piece);
            }}
          />
        )}
        {last && open === 'back' && (
          <WhichCopies
            stop={last}
            onAll={back}
            onSome={(some) => {
              setOpen(null);
              again(some);
            }}
            onClose={() => setOpen(null)}
          />
        )}
      </Boundary>
      <KeysDialog keys={KEY_LINES} open={open === 'keys'} onClose={() => setOpen(null)} />
    </main>
  );
}

/** What is read out of a stop, in words a voice says well. */
function spoken(stop: Stop, of: number): string {
  const { who, first, text, follows, how, rhythm, cautions } = stopWords(stop, of);
  const then = follows.flatMap((next) => ['Then:', next]);
  return saidOut([who && `${who}.`, ...first, text, ...then, rhythm, ...how, ...cautions].filter(Boolean).join(' '));
}
