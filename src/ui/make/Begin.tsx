'use client';

import { Alert, Button, Segmented } from 'antd';
import { Link } from '../parts/Link';
import { useMemo } from 'react';
import { z } from '@/core/text/zod';
import { checkSentence } from '@/core/checks';
import { pictureOf } from '@/core/looks';
import { sayer } from '@/core/length';
import { minutesOf, setSentence, walkOf } from '@/core/sets';
import { listed } from '@/core/text';
import type { Toolbox } from '@/core/tools';
import type { LaidForMake, Project } from '@/data/db';
import { beginMake, laidPapers } from '@/data/makes';
import { keepCopies } from '@/data/projects';
import { checksAcross, checksOfParts, usePlannedSet } from '../parts/plans';
import { SmallPicture } from '../draw/SmallPicture';
import { NumberField } from '../parts/NumberField';
import { useOnce } from '../parts/once';
import { useTell } from '../parts/useTell';
import { useAsked } from '../parts/useUnsent';
import { withKit } from '../parts/withKit';
import { InUnits } from '../parts/InUnits';
import { timeSaid } from '../parts/titles';
import { useMedia } from '../shell/useMedia';
import { BenchCardButton } from './BenchCardButton';
import { useLaid } from './useLaid';
import { usePace } from '../parts/usePace';
import styles from './Make.module.css';

/** Most copies of one make. */
const MOST = 500;
const ROOM = { width: 300, height: 220 };

/** In what order of work; how many is the project’s. */
const WAYS = ['by-setting', 'trial-first', 'one-by-one'] as const;
const ASKED_SHAPE = z.object({ way: z.enum(WAYS).catch('by-setting') });
const ASKED: z.output<typeof ASKED_SHAPE> = { way: 'by-setting' };

/** What each order of work means at the table. */
const WAY_SAID: Readonly<Record<(typeof WAYS)[number], string>> = {
  'by-setting': 'Every step is done for all of them before the next: nothing is set twice.',
  'trial-first': 'One is made to its end and tried; then each step is done for all the others.',
  'one-by-one': 'Each is finished before the next is cut.',
};

interface BeginProps {
  readonly project: Project;
  readonly toolbox: Toolbox;
  readonly onBegin: () => void;
  readonly onFailed: () => void;
}

/** Before a make begins: how many, and in what order of work. */
export function Begin({ project, toolbox, onBegin, onFailed }: BeginProps) {
  const { failed } = useTell();
  const { value, set: ask, forget } = useAsked(`begin/${project.id}`, ASKED, ASKED_SHAPE);
  const { way } = value ?? ASKED;
  const { copies = 1 } = project;
  const pace = usePace();
  const narrow = useMedia('(max-width: 560px)');
  const set = useMemo(() => withKit(project.set, toolbox), [project.set, toolbox]);
  const whole = usePlannedSet(set);
  const plan = 'plan' in whole ? whole.plan : null;
  const several = project.set.parts.length > 1;
  const shown =
    plan?.parts.filter(({ part, plan: { made } }) => made && !part.given && !part.round).at(-1) ?? plan?.parts.at(-1);
  const made = plan && plan.parts.every((one) => one.plan.made) ? (shown?.plan.made ?? null) : null;
  const graduation = project.set.graduation ?? '1/8 in';
  const say = useMemo(() => sayer(project.units, graduation), [project.units, graduation]);
  const { laid } = useLaid(project, plan, copies, way);
  const walk = useMemo(
    () => (plan ? walkOf(plan, say, copies, way, laidPapers({ laid: laid ?? [] })) : []),
    [plan, say, copies, way, laid],
  );
  const stops = walk.length;
  const usual = minutesOf(walk);
  const found = useMemo(() => checksOfParts(whole), [whole]);
  const failing = found.filter(({ check }) => check.level === 'fail');
  const tools = found.filter(
    ({ check: { id, level } }, i) =>
      level === 'note' && TOOLS.has(id) && found.findIndex((other) => other.check.id === id) === i,
  );
  const across = plan ? checksAcross(whole).filter(({ level }) => level === 'warn' || level === 'fail') : [];
  // The page follows the makes there are, and lays this one out as soon as it is one of them.
  const [begin, busy] = useOnce(() => {
    onBegin();
    // Begun at once, whatever is known: of sheets that are not laid out yet each blank is cut by itself.
    return beginMake(project, copies, way, laid ?? [], usual)
      .then(() => forget())
      .catch((error: unknown) => {
        onFailed();
        failed('It could not be begun')(error);
      });
  });
  return (
    <InUnits units={project.units} graduation={graduation}>
      <main className={styles.begin}>
        <Link href={`/bench?p=${encodeURIComponent(project.id)}`}>‹ Bench</Link>
        <h1>Make “{project.name}”</h1>
        <div className={styles.beginTable}>
          <span className={styles.beginPicture}>
            {made && <SmallPicture picture={pictureOf(made)} scale={2} room={ROOM} />}
          </span>
          <div className={styles.beginForm}>
            <label className={styles.copies}>
              {several ? 'How many sets?' : 'How many?'}
              <NumberField
                aria-label={several ? 'How many sets?' : 'How many?'}
                size="large"
                min={1}
                max={MOST}
                precision={0}
                value={copies}
                onChange={(count) => keepCopies(project, count)}
              />
            </label>
            {(copies > 1 || several) && (
              <Segmented<(typeof WAYS)[number]>
                size="large"
                vertical={narrow}
                aria-label="Order of work"
                value={copies === 1 && way === 'trial-first' ? 'by-setting' : way}
                options={[
                  { value: 'by-setting', label: 'Each step for all' },
                  ...(copies > 1 ? [{ value: 'trial-first' as const, label: 'One first, then all' }] : []),
                  {
                    value: 'one-by-one',
                    label: several && copies === 1 ? 'Part by part' : 'One by one',
                  },
                ]}
                onChange={(next) => ask({ way: next })}
              />
            )}
            {copies > 1 && <p className={styles.count}>{WAY_SAID[way]}</p>}
            <p className={styles.count}>
              {stops} {stops === 1 ? 'step' : 'steps'} from the first cut to the last fold
              {stops > 0 && `, ${timeSaid(usual * pace)} ${pace === 1 ? 'by usual figures' : 'at your own pace'}`}
            </p>
            {failing.length > 0 && (
              <Alert
                type="warning"
                showIcon
                title="This plan is not ready to cut"
                description={`${several ? `${failing[0]!.part.part.name}: ` : ''}${checkSentence(failing[0]!.check, say)}`}
              />
            )}
            {'issues' in whole && (
              <Alert type="error" showIcon title={whole.issues.map(({ message: text }) => text).join(' ')} />
            )}
            {across.map((check) => (
              <Alert key={check.id} type="warning" showIcon title={setSentence(check, say)} />
            ))}
            {tools.map(({ check }) => (
              <Alert key={check.id} type="info" showIcon title={checkSentence(check, say)} />
            ))}
            <div className={styles.beginButtons}>
              <Button type="primary" size="large" disabled={!made} loading={busy} onClick={() => begin()}>
                Begin
              </Button>
              {made && <BenchCardButton set={set} title={project.name} copies={copies} />}
            </div>
            {/* Below: what is told a moment later moves no button away from under the finger. */}
            {plan && !laid && <p className={styles.count}>Laying out the sheets …</p>}
            {laid && laid.length > 0 && <p className={styles.count}>{sheetsSaid(laid)}</p>}
          </div>
        </div>
      </main>
    </InUnits>
  );
}

/** What is cut from how many sheets, and what is cut already. */
function sheetsSaid(laid: readonly LaidForMake[]): string {
  const counts = (some: readonly LaidForMake[]): string => {
    const all = new Map<string, number>();
    for (const { layout } of some) for (const { sheet } of layout.sheets) all.set(sheet, (all.get(sheet) ?? 0) + 1);
    return listed([...all].map(([name, count]) => `${count} × ${name}`));
  };
  const [cut, uncut] = [laid.filter((one) => one.cut !== ''), laid.filter((one) => one.cut === '')];
  return [
    ...(uncut.length > 0 ? [`Cut from ${counts(uncut)}, as Cutting lays them out.`] : []),
    ...(cut.length > 0 ? [`Cut already: ${counts(cut)}.`] : []),
  ].join(' ');
}

/** Checks about the tools of the table, worth reading before the first cut. */
const TOOLS = new Set([
  'trimmer-end',
  'ruler-short',
  'no-punch',
  'no-corner-rounder',
  'between-grooves',
  'ruler-end',
  'groove-end',
  'board-end',
]);
