import { Alert, Button, Modal, Select } from 'antd';
import { useMemo } from 'react';
import { formatLength, mm } from '@/core/length';
import { followsFrom, isFolded, isRefused, planAsMade, type Follows, type SetPlan, type Stop } from '@/core/sets';
import { listed } from '@/core/text';
import { z } from '@/core/text/zod';
import type { LaidForMake, MakeRecord, Project, TakenMeasure } from '@/data/db';
import { LengthField } from '../parts/LengthField';
import { useOnce } from '../parts/once';
import { planAtHand } from '../parts/plans';
import { useAsked } from '../parts/useUnsent';
import { useUnits } from '../parts/InUnits';
import { Words } from '../parts/Words';
import { useLaid } from './useLaid';
import styles from './Make.module.css';

interface MeasuredProps {
  readonly make: MakeRecord;
  readonly project: Project;
  /** The set as it was planned when it was begun, and as it is now, with what was measured before. */
  readonly begun: SetPlan;
  readonly plan: SetPlan;
  readonly walk: readonly Stop[];
  readonly done: number;
  readonly onMeasure: (taken: Omit<TakenMeasure, 'at'>) => void;
  readonly onClose: () => void;
}

/** Whoever measures so much otherwise has measured something else. */
const FAR = 1.1;
/** Sides that differ by less are as planned, mm. */
const SEEN = 0.05;

const ASKED_SHAPE = z.object({
  part: z.string().nullable().catch(null),
  width: z.number().positive().nullable().catch(null),
  height: z.number().positive().nullable().catch(null),
});
const ASKED: z.output<typeof ASKED_SHAPE> = { part: null, width: null, height: null };

/** What came out of the hands measures otherwise than it was planned: what is still to be cut for it follows. */
export function Measured({ make, project, begun, plan, walk, done, onMeasure, onClose }: MeasuredProps) {
  const { say } = useUnits();
  const { value, set: ask, forget } = useAsked(`measured/${make.id}`, ASKED, ASKED_SHAPE);
  const asked = value ?? ASKED;
  const parts = plan.parts.filter(({ part, own }) => own && !part.given);
  const usual = parts.findLast(({ part }) => isFolded(walk, done, part.id)) ?? parts[0]!;
  const { part, own } = parts.find((one) => one.part.id === asked.part) ?? usual;
  const now = { width: own!.width, height: own!.height };
  const first = begun.parts.find((one) => one.part.id === part.id)?.own;
  const planned = first ? { width: first.width, height: first.height } : now;
  const measured = { width: asked.width ?? now.width, height: asked.height ?? now.height };
  return (
    <Modal open title="It measures…" footer={null} width={620} onCancel={onClose}>
      <div className={styles.which}>
        {parts.length > 1 && (
          <label className={styles.copies}>
            What is measured?
            <Select
              aria-label="What is measured?"
              value={part.id}
              options={parts.map((one) => ({ value: one.part.id, label: one.part.name }))}
              onChange={(id: string) => ask({ part: id, width: null, height: null })}
            />
          </label>
        )}
        <p>
          Planned from the outside:{' '}
          <Words>
            {say(planned.width)} × {say(planned.height)}
          </Words>
          . Measure what lies before you, at its widest.
        </p>
        <div className={styles.measures}>
          <LengthField label="Width" value={measured.width} least={5} onChange={(one) => ask({ width: one })} />
          <LengthField label="Height" value={measured.height} least={5} onChange={(one) => ask({ height: one })} />
        </div>
        {FAR <
          Math.max(
            measured.width / planned.width,
            planned.width / measured.width,
            measured.height / planned.height,
            planned.height / measured.height,
          ) && (
          <p className={styles.beware}>
            That is far from what was planned. Are width and height the right way round, and is it this part?
          </p>
        )}
        <WhatFollows
          {...{ make, project, plan, walk, done, onClose }}
          part={part.id}
          width={measured.width}
          height={measured.height}
          otherwise={Math.abs(measured.width - now.width) + Math.abs(measured.height - now.height) > SEEN}
          onMeasure={(laid) => {
            onMeasure({ part: part.id, measured, planned, ...(laid.length > 0 && { laid }) });
            forget();
            onClose();
          }}
        />
      </div>
    </Modal>
  );
}

interface WhatFollowsProps extends Omit<MeasuredProps, 'begun' | 'onMeasure'> {
  readonly part: string;
  readonly width: number;
  readonly height: number;
  /** It is not as it was planned. */
  readonly otherwise: boolean;
  readonly onMeasure: (laid: readonly LaidForMake[]) => void;
}

/** What becomes of everything that depends on a measure, before it is taken. */
function WhatFollows(props: WhatFollowsProps) {
  const { make, project, plan, walk, done, part, width, height, otherwise, onMeasure, onClose } = props;
  const { units, graduation } = useUnits();
  const next = useMemo(
    () => (otherwise ? planAsMade(plan, [{ part, measured: { width, height } }], planAtHand) : null),
    [plan, part, otherwise, width, height],
  );
  const refused = next !== null && isRefused(plan, next);
  const follows = useMemo(() => (next ? followsFrom(plan, next, walk, done) : []), [plan, next, walk, done]);
  const open = follows.some(({ cut }) => !cut);
  const { whenLaid } = useLaid(project, open ? next : null, make.copies, make.way);
  const [go, busy] = useOnce(async () => onMeasure(open ? (await whenLaid()).filter(({ cut }) => cut === '') : []));
  return (
    <>
      {refused && (
        <Alert
          type="error"
          showIcon
          title="What holds it, or lies on it, cannot be made for that size. Measure it again."
        />
      )}
      {otherwise && !refused && (
        <ul className={styles.follows} aria-label="What follows">
          {follows.map((one) => (
            <li key={`${one.part} ${one.name}`}>
              <Words>{followsSaid(one, (length) => formatLength(mm(length), units, graduation, true))}</Words>
            </li>
          ))}
          {follows.length === 0 && <li>Nothing that is cut for it depends on that.</li>}
        </ul>
      )}
      <div className={styles.wrongButtons}>
        <Button type="primary" size="large" loading={busy} disabled={refused} onClick={() => go()}>
          {otherwise ? (open ? 'Go on with that' : 'Remember it') : 'It is as planned: remember it'}
        </Button>
        <Button size="large" onClick={onClose}>
          Cancel
        </Button>
      </div>
    </>
  );
}

/** How a blank is off from what would be right: by so much too wide, or not wide enough. */
const OFF = { width: ['too wide', 'not wide enough'], height: ['too high', 'not high enough'] } as const;

/** What a blank becomes, or what of it is off where it is cut already. */
function followsSaid({ name, was, is, cut, layer }: Follows, say: (length: number) => string): string {
  const size = ({ width, height }: Follows['is']): string => `${say(width)} × ${say(height)}`;
  if (!cut) return `${name}: ${size(is)}, still to be cut. It was ${size(was)}.`;
  const over = (['width', 'height'] as const).map((side) => ({ side, by: was[side] - is[side] }));
  const off = over
    .filter(({ by }) => Math.abs(by) > SEEN)
    .map(({ side, by }) => `${say(Math.abs(by))} ${OFF[side][by > 0 ? 0 : 1]}`);
  // What is scored, or folded, has its folds where they are: only what lies flat on it is trimmed.
  const then =
    layer && over.every(({ by }) => by > -SEEN)
      ? `Trim it to ${size(is)}.`
      : 'It stays as it is: try how it fits before you glue.';
  return `${name} is cut already, ${listed(off)}. ${then}`;
}
