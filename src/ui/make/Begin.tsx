'use client';

import { Alert, Button, Segmented } from 'antd';
import Link from 'next/link';
import { useMemo } from 'react';
import { z } from 'zod';
import { checkSentence, pictureOf, sayer, stepsOf, walkOf, type WayOfWork } from '@/core/plan';
import type { Toolbox } from '@/core/tools';
import type { Project } from '@/data/db';
import { beginMake } from '@/data/makes';
import { usePlan } from '../parts/plans';
import { SmallPicture } from '../draw/SmallPicture';
import { NumberField } from '../parts/NumberField';
import { useOnce } from '../parts/once';
import { useTell } from '../parts/useTell';
import { useUnsent } from '../parts/useUnsent';
import { withKit } from '../parts/withKit';
import { Reading } from '../parts/Reading';
import { BenchCardButton } from './BenchCardButton';
import styles from './Make.module.css';

/** Most copies of one make. */
const MOST = 500;
const ROOM = { width: 300, height: 220 };

/** How many, and in what order of work. */
const ASKED_SHAPE = z.object({ copies: z.int().min(1).max(MOST), way: z.enum(['together', 'one-by-one']) });
const ASKED: z.output<typeof ASKED_SHAPE> = { copies: 1, way: 'together' };

/** Before a make begins: how many, and in what order of work. */
export function Begin({ project, toolbox }: { readonly project: Project; readonly toolbox: Toolbox }) {
  const { failed } = useTell();
  const { value, set, forget } = useUnsent(`begin/${project.id}`, ASKED, ASKED_SHAPE);
  const { copies, way } = value ?? ASKED;
  const design = useMemo(() => withKit(project.design, toolbox), [project.design, toolbox]);
  const planned = usePlan(design);
  const made = 'plan' in planned ? planned.plan.made : null;
  const graduation = project.design.graduation ?? '1/8 in';
  const say = useMemo(() => sayer(project.units, graduation), [project.units, graduation]);
  const steps = useMemo(() => ('plan' in planned ? stepsOf(planned.plan, say) : []), [planned, say]);
  const stops = walkOf(steps, copies, way).length;
  const failing = 'checks' in planned ? planned.checks.filter(({ level }) => level === 'fail') : [];
  const tools = 'checks' in planned ? planned.checks.filter(({ id, level }) => level === 'note' && TOOLS.has(id)) : [];
  // The page follows the makes there are, and lays this one out as soon as it is one of them.
  const [begin, busy] = useOnce(() =>
    beginMake(project, copies, way)
      .then(() => forget())
      .catch(failed('It could not be begun')),
  );
  return (
    <Reading units={project.units} graduation={graduation}>
      <main className={styles.begin}>
        <Link href={`/bench?p=${encodeURIComponent(project.id)}`}>‹ Bench</Link>
        <h1>Make “{project.name}”</h1>
        <div className={styles.beginTable}>
          <span className={styles.beginPicture}>
            {made && <SmallPicture picture={pictureOf(made)} scale={2} room={ROOM} />}
          </span>
          <div className={styles.beginForm}>
            <label className={styles.copies}>
              How many?
              <NumberField
                size="large"
                min={1}
                max={MOST}
                precision={0}
                value={copies}
                onChange={(count) => set({ copies: count })}
              />
            </label>
            {copies > 1 && (
              <Segmented<WayOfWork>
                size="large"
                aria-label="Order of work"
                value={way}
                options={[
                  { value: 'together', label: 'Cut all, score all, fold all' },
                  { value: 'one-by-one', label: 'One after the other' },
                ]}
                onChange={(next) => set({ way: next })}
              />
            )}
            <p className={styles.count}>
              {stops} {stops === 1 ? 'step' : 'steps'} from the first cut to the last fold
            </p>
            {failing.length > 0 && (
              <Alert
                type="warning"
                showIcon
                title="This plan is not ready to cut"
                description={checkSentence(failing[0]!, say)}
              />
            )}
            {'issues' in planned && (
              <Alert type="error" showIcon title={planned.issues.map(({ message: text }) => text).join(' ')} />
            )}
            {tools.map((check) => (
              <Alert key={check.id} type="info" showIcon title={checkSentence(check, say)} />
            ))}
            <div className={styles.beginButtons}>
              <Button type="primary" size="large" disabled={!made} loading={busy} onClick={() => begin()}>
                Begin
              </Button>
              {made && <BenchCardButton design={design} title={project.name} copies={copies} />}
            </div>
          </div>
        </div>
      </main>
    </Reading>
  );
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
