'use client';

import { PlusOutlined } from '@ant-design/icons';
import { Alert, App, Button } from 'antd';
import { useMemo, useState } from 'react';
import { z } from '@/core/text/zod';
import { formatLength, inches, mm, type Mm, type Units } from '@/core/length';
import { calibrate, toolOf, trialInside, withChanged, type Tool, type TrialFold } from '@/core/tools';
import type { Project } from '@/data/db';
import { projectsWith, retool } from '@/data/projects';
import { TOOLBOX } from '@/data/setting-kinds';
import { LengthField } from '../parts/LengthField';
import { useOnce } from '../parts/once';
import { Opened } from '../parts/Opened';
import { useSetting } from '../parts/useKept';
import { useTell } from '../parts/useTell';
import { useAsked } from '../parts/useUnsent';
import { Waiting } from '../parts/Waiting';
import { useUnits } from '../parts/InUnits';
import { BoardSelect, NoBoard } from './BoardSelect';
import { Changes } from './Changes';
import { ToolsHead } from './ToolsHead';
import { TrialPicture } from './TrialPicture';
import { useBoard, type OwnBoard } from './useBoard';
import { fromTrials } from '@/core/hands/exactness';
import { OwnFigure } from '../fit/OwnFigure';
import { Words } from '../parts/Words';
import styles from './Tools.module.css';

/** Trial sheets the app gives, to start with: one square, three settings. */
const TRIALS: Record<Units, readonly TrialFold[]> = {
  in: [2.625, 2.25, 3].map((setting) => ({ sheet: inches(6), setting: inches(setting) })),
  mm: [66, 57, 75].map((setting) => ({ sheet: mm(150), setting: mm(setting) })),
};

/** Trials as they were measured so far. */
const length = z.number().transform(mm);
const MEASURED: z.ZodType<{ readonly trials: readonly TrialFold[] }> = z.object({
  trials: z
    .array(z.object({ sheet: length, setting: length, width: length.optional(), height: length.optional() }))
    .min(1),
});

/** A board's notch and guide from what it really folds. */
export const Calibrate = () => (
  <Opened what="Opening the toolbox">
    <CalibrateBoard />
  </Opened>
);

function CalibrateBoard() {
  const { units } = useUnits();
  const { read, board, boards, choose } = useBoard();
  return (
    <main className={styles.tools}>
      <ToolsHead title="Calibrate a board" />
      {!read && <Waiting what="Opening the toolbox" />}
      {read && !board && <NoBoard />}
      {board && (
        <>
          <BoardSelect boards={boards} board={board} onChoose={choose} />
          <Trials key={`${board.id} ${units}`} board={board} />
        </>
      )}
    </main>
  );
}

function Trials({ board }: { readonly board: OwnBoard }) {
  const { units } = useUnits();
  const { message } = App.useApp();
  const { failed, undoable } = useTell();
  const [, setToolbox] = useSetting(TOOLBOX);
  const first = useMemo(() => ({ trials: TRIALS[units] }), [units]);
  const unsent = useAsked(`trials/${board.id}/${units}`, first, MEASURED);
  const { trials } = unsent.value ?? first;
  const setTrials = (next: (now: readonly TrialFold[]) => readonly TrialFold[]): void =>
    unsent.set((now) => ({ trials: next(now.trials) }));
  const [asked, setAsked] = useState<{
    readonly projects: readonly Project[];
    readonly old: Tool;
    readonly tool: Tool;
  } | null>(null);
  const change = (i: number, part: Partial<TrialFold>): void =>
    setTrials((now) => now.map((trial, j) => (i === j ? { ...trial, ...part } : trial)));
  const [another] = useOnce(() =>
    setTrials((now) => [...now, { ...now.at(-1)!, width: undefined, height: undefined }]),
  );
  const measured = trials.filter(({ width, height }) => width !== undefined || height !== undefined);
  const found = measured.length > 0 ? calibrate(measured) : null;
  const own = found?.ok ? fromTrials(measured) : null;
  const odd = found?.ok && found.odd !== null ? trials.indexOf(measured[found.odd]!) : null;
  const fine = (value: number): string =>
    formatLength(mm(value), units, units === 'in' ? '1/32 in' : '0.5 mm', true).replace('about ', '≈ ');
  const give = (value: number): string =>
    units === 'in' ? `${(value / 25.4).toFixed(3)} in` : `${value.toFixed(1)} mm`;
  const figures = found?.ok ? { notch: mm(round(found.board.notch)), offset: mm(round(found.board.offset)) } : null;
  const take = async (): Promise<void> => {
    if (!figures) return;
    const [old, tool] = [toolOf(board)!, toolOf({ ...board, ...figures })!];
    const projects = await projectsWith(old);
    setToolbox((now) => withChanged(now, board.id, figures));
    setAsked(projects.length > 0 ? { projects, old, tool } : null);
    void message.success(`${board.name} has its new figures.`);
  };
  const follow = (): void => {
    if (!asked) return;
    const back = retool(asked.projects, asked.old, asked.tool);
    setAsked(null);
    undoable({
      key: 'retooled',
      done: `${asked.projects.length} ${asked.projects.length === 1 ? 'project is' : 'projects are'} planned with the new figures`,
      back,
      label: 'As they were',
    });
  };
  return (
    <>
      <div className={styles.two}>
        <section className={styles.panel}>
          <h2>Trial folds</h2>
          <p>
            Cut each square, set it on the board by its ruler, punch and score all four edges, fold the four flaps over.
            Then measure the inside from fold to fold, once each way: the width is the side that the setting makes.
          </p>
          <ol className={styles.trials}>
            {trials.map((trial, i) => {
              const inside = trialInside(board, trial.sheet, trial.setting);
              return (
                <li key={i} className={odd === i ? styles.odd : undefined} aria-label={`Trial ${i + 1}`}>
                  <LengthField
                    label="Square"
                    value={trial.sheet}
                    least={50}
                    most={500}
                    onChange={(sheet) => change(i, { sheet: mm(sheet) })}
                  />
                  <LengthField
                    label="Set at"
                    value={trial.setting}
                    least={10}
                    most={490}
                    onChange={(setting) => change(i, { setting: mm(setting) })}
                  />
                  {(['width', 'height'] as const).map((side) => (
                    <LengthField
                      key={side}
                      label={side === 'width' ? 'Inside width' : 'Inside height'}
                      placeholder={inside[side] > 0 ? `${fine(inside[side])}?` : 'measure'}
                      value={trial[side]}
                      least={10}
                      most={700}
                      onChange={(length) => change(i, { [side]: mm(length) })}
                      onClear={() => change(i, { [side]: undefined })}
                    />
                  ))}
                </li>
              );
            })}
          </ol>
          <Button icon={<PlusOutlined />} onClick={() => another()}>
            Another trial
          </Button>
          {measured.length > 0 && (
            <Button type="text" onClick={() => unsent.forget()}>
              Begin anew
            </Button>
          )}
        </section>
        <section className={styles.panel} aria-label="The trial sheet">
          <TrialPicture trial={trials[0]!} board={toolOf(board)!} />
        </section>
      </div>
      <section className={styles.panel} aria-live="polite" aria-label="What the trials say">
        <h2>What they say</h2>
        {!found && <p>Measure one fold or several: the more, the surer.</p>}
        {found && !found.ok && <Alert type="warning" showIcon title={found.message} />}
        {found?.ok && figures && (
          <>
            <dl className={styles.found}>
              <div>
                <dt>Notch</dt>
                <dd>
                  {fine(found.board.notch)} <small>± {give(found.sure.notch)}</small>
                </dd>
                <dd className={styles.before}>was {fine(board.notch)}</dd>
              </div>
              <div>
                <dt>Guide offset</dt>
                <dd>
                  {fine(found.board.offset)} <small>± {give(found.sure.offset)}</small>
                </dd>
                <dd className={styles.before}>was {fine(board.offset)}</dd>
              </div>
              <div>
                <dt>Rests on</dt>
                <dd>
                  {found.readings} {found.readings === 1 ? 'reading' : 'readings'}
                </dd>
                <dd className={styles.before}>
                  <Words>each good to about {units === 'in' ? '1/16 in' : '1.6 mm'}</Words>
                </dd>
              </div>
            </dl>
            {own && <OwnFigure from="your trial folds" kind="setting" found={own} />}
            {odd !== null && (
              <Alert
                type="warning"
                showIcon
                title={`Trial ${odd + 1} does not go with the others. Measure it again, or leave it out.`}
              />
            )}
            <Changes board={board} next={{ ...board, ...figures }} />
            <Button type="primary" size="large" onClick={() => void take().catch(failed('It could not be kept'))}>
              Take these figures
            </Button>
          </>
        )}
        {asked && (
          <Alert
            className={styles.asked}
            type="info"
            showIcon
            title={`${asked.projects.length} ${asked.projects.length === 1 ? 'project was' : 'projects were'} planned with the old figures`}
            description={asked.projects.map(({ name }) => name).join(', ')}
            action={
              <Button type="primary" onClick={follow}>
                Plan them anew
              </Button>
            }
          />
        )}
      </section>
    </>
  );
}

/** Kept to a hundredth of a millimetre: more is no knowledge. */
const round = (value: number): Mm => mm(Math.round(value * 100) / 100);
