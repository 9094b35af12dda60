'use client';

import { PlusOutlined } from '@ant-design/icons';
import { Alert, App, Button, Spin } from 'antd';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import { formatLength, inches, mm, type Graduation, type Mm, type Units } from '@/core/length';
import { CARDS, planFor, readDesign, sizeChart, type ChartLine } from '@/core/plan';
import { calibrate, simulate, toolOf, trialInside, type OwnTool, type Tool, type TrialFold } from '@/core/tools';
import type { Project } from '@/data/db';
import { projectsWith, retool } from '@/data/projects';
import { loadToolbox, saveToolbox } from '@/data/settings';
import { FigureText } from '../draw/FigureText';
import { MadeSheet } from '../draw/MadeSheet';
import { LengthField } from '../parts/LengthField';
import { useUnits } from '../parts/useUnits';
import { BoardSelect } from './BoardSelect';
import { ToolsHead } from './ToolsHead';
import { useBoard } from './useBoard';
import styles from './Tools.module.css';

type OwnBoard = Extract<OwnTool, { kind: 'envelope-board' }>;

/** Trial sheets the app gives, to start with: one square, three settings. */
const TRIALS: Record<Units, readonly TrialFold[]> = {
  in: [2.625, 2.25, 3].map((setting) => ({ sheet: inches(6), setting: inches(setting) })),
  mm: [66, 57, 75].map((setting) => ({ sheet: mm(150), setting: mm(setting) })),
};

/** A board's notch and guide from what it really folds. */
export function Calibrate() {
  const { units, graduation, set } = useUnits();
  const { read, board, boards, choose } = useBoard();
  return (
    <main className={styles.tools}>
      <ToolsHead title="Calibrate a board" units={units} onUnits={set} />
      {!read && <Spin aria-label="Opening the toolbox" />}
      {read && !board && (
        <p>
          There is no envelope board among your tools. <Link href="/tools">Add one</Link> first.
        </p>
      )}
      {board && (
        <>
          <BoardSelect boards={boards} board={board} onChoose={choose} />
          <Trials key={`${board.id} ${units}`} board={board} units={units} graduation={graduation} />
        </>
      )}
    </main>
  );
}

function Trials({
  board,
  units,
  graduation,
}: {
  readonly board: OwnBoard;
  readonly units: Units;
  readonly graduation: Graduation;
}) {
  const { message, notification } = App.useApp();
  const [trials, setTrials] = useState<readonly TrialFold[]>(TRIALS[units]);
  const [asked, setAsked] = useState<{ readonly projects: readonly Project[]; readonly tool: Tool } | null>(null);
  const change = (i: number, part: Partial<TrialFold>): void =>
    setTrials((now) => now.map((trial, j) => (i === j ? { ...trial, ...part } : trial)));
  const measured = trials.filter(({ width, height }) => width !== undefined || height !== undefined);
  const found = measured.length > 0 ? calibrate(measured) : null;
  const odd = found?.ok && found.odd !== null ? trials.indexOf(measured[found.odd]!) : null;
  const fine = (value: number): string =>
    formatLength(mm(value), units, units === 'in' ? '1/32 in' : '0.5 mm', true).replace('about ', '≈ ');
  const give = (value: number): string =>
    units === 'in' ? `${(value / 25.4).toFixed(3)} in` : `${value.toFixed(1)} mm`;
  const next: OwnBoard | null = found?.ok
    ? { ...board, notch: mm(round(found.board.notch)), offset: mm(round(found.board.offset)) }
    : null;
  const take = async (): Promise<void> => {
    if (!next) return;
    const [old, tool] = [toolOf(board)!, toolOf(next)!];
    const projects = await projectsWith(old);
    await saveToolbox((await loadToolbox()).map((own) => (own.id === board.id ? next : own)));
    setAsked(projects.length > 0 ? { projects, tool } : null);
    void message.success(`${board.name} has its new figures.`);
  };
  const follow = async (): Promise<void> => {
    if (!asked) return;
    const back = await retool(asked.projects, asked.tool);
    setAsked(null);
    notification.open({
      key: 'retooled',
      title: `${asked.projects.length} ${asked.projects.length === 1 ? 'project is' : 'projects are'} planned with the new figures`,
      actions: (
        <Button
          type="primary"
          onClick={() => {
            void back().then(() => notification.destroy('retooled'));
          }}
        >
          As they were
        </Button>
      ),
      duration: 10,
    });
  };
  const failed = (error: Error): void => void message.error(`It could not be kept: ${error.message}`);
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
              const field = { units, graduation };
              return (
                <li key={i} className={odd === i ? styles.odd : undefined} aria-label={`Trial ${i + 1}`}>
                  <LengthField
                    {...field}
                    label="Square"
                    value={trial.sheet}
                    least={50}
                    most={500}
                    onChange={(sheet) => change(i, { sheet: mm(sheet) })}
                  />
                  <LengthField
                    {...field}
                    label="Set at"
                    value={trial.setting}
                    least={10}
                    most={490}
                    onChange={(setting) => change(i, { setting: mm(setting) })}
                  />
                  {(['width', 'height'] as const).map((side) => (
                    <LengthField
                      {...field}
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
          <Button
            icon={<PlusOutlined />}
            onClick={() => setTrials((now) => [...now, { ...now.at(-1)!, width: undefined, height: undefined }])}
          >
            Another trial
          </Button>
        </section>
        <section className={styles.panel} aria-label="The trial sheet">
          <TrialPicture trial={trials[0]!} board={toolOf(board)!} units={units} graduation={graduation} />
        </section>
      </div>
      <section className={styles.panel} aria-live="polite" aria-label="What the trials say">
        <h2>What they say</h2>
        {!found && <p>Measure one fold or several: the more, the surer.</p>}
        {found && !found.ok && <Alert type="warning" showIcon title={found.message} />}
        {found?.ok && next && (
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
                <dd className={styles.before}>each good to about {units === 'in' ? '1/16 in' : '1.6 mm'}</dd>
              </div>
            </dl>
            {odd !== null && (
              <Alert
                type="warning"
                showIcon
                title={`Trial ${odd + 1} does not go with the others. Measure it again, or leave it out.`}
              />
            )}
            <Changes board={board} next={next} units={units} />
            <Button type="primary" size="large" onClick={() => void take().catch(failed)}>
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
              <Button type="primary" onClick={() => void follow().catch(failed)}>
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

/** What the new figures change for a few cards, before they are taken. */
function Changes({ board, next, units }: { readonly board: OwnBoard; readonly next: OwnBoard; readonly units: Units }) {
  const graduation = units === 'in' ? '1/8 in' : '1 mm';
  const [before, after] = useMemo(() => {
    const cards = CARDS.slice(1, 6).map(({ title, width, height }) => ({
      name: title,
      width,
      height,
      thickness: mm(0),
    }));
    return [board, next].map((own) => sizeChart(cards, toolOf(own)!, graduation)) as [ChartLine[], ChartLine[]];
  }, [board, next, graduation]);
  const say = (value: number): string => formatLength(mm(value), units, graduation, true);
  const told = (line: ChartLine): string =>
    line.ok ? `${say(line.row.blank)} square at ${say(line.row.setting)}` : 'cannot be made';
  return (
    <table className={styles.changes}>
      <caption>What changes</caption>
      <thead>
        <tr>
          <th>For</th>
          <th>was</th>
          <th>will be</th>
        </tr>
      </thead>
      <tbody>
        {before.map((line, i) => {
          const [was, will] = [told(line), told(after[i]!)];
          return (
            <tr key={i} className={was === will ? undefined : styles.changed}>
              <td>{line.ok ? line.row.card.name : line.card.name}</td>
              <td>{was}</td>
              <td>{was === will ? 'the same' : will}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

/** The first trial sheet, scored, with the two lengths to measure. */
function TrialPicture({
  trial,
  board,
  units,
  graduation,
}: {
  readonly trial: TrialFold;
  readonly board: Tool;
  readonly units: Units;
  readonly graduation: Graduation;
}) {
  const read = readDesign({
    version: 1,
    construction: 'diagonal-envelope',
    blank: { width: trial.sheet, height: trial.sheet },
    tool: board,
    graduation: 'exact',
    options: { setting: trial.setting },
  });
  const made = read.ok ? planFor(read.design).made : null;
  if (!made) return <p>A square of that size cannot be set there.</p>;
  const { blank } = made.pieces[0].piece;
  const { moves } = made.pieces[0].programme;
  const size = 340;
  const scale = (size - 30) / blank.width;
  const at = (p: { readonly x: number; readonly y: number }): readonly [number, number] => [
    15 + p.x * scale,
    size - 15 - p.y * scale,
  ];
  const corners = simulate(blank, board, moves).notches.map((notch) => notch[1]!);
  // The four tips of the notches are the inside's corners.
  const [a, b, c] = corners.map(at);
  if (!a || !b || !c) return null;
  const between = (p: readonly [number, number], q: readonly [number, number], share = 0.5): [number, number] => [
    p[0] + (q[0] - p[0]) * share,
    p[1] + (q[1] - p[1]) * share,
  ];
  const [widthAt, heightAt] = [between(b, c), between(a, b)];
  const centre = at({ x: blank.width / 2, y: blank.height / 2 });
  const inwards = (p: readonly [number, number]): [number, number] => between(p, centre, 0.3);
  return (
    <svg
      viewBox={`0 0 ${size} ${size}`}
      className={styles.trialPicture}
      role="img"
      aria-label="Where to measure the inside: from fold to fold"
    >
      <MadeSheet
        blank={blank}
        piece={made.pieces[0].piece}
        tool={board}
        moves={moves}
        fresh={0}
        at={at}
        scale={scale}
      />
      {[
        { at: inwards(heightAt), word: 'height', value: made.inside },
        { at: inwards(widthAt), word: 'width', value: made.inside },
      ].map(({ at: [x, y], word }) => (
        <text key={word} x={x} y={y} textAnchor="middle" className={styles.measureWord}>
          {word}
        </text>
      ))}
      <path d={`M${between(a, b, 0.04).join(' ')}L${between(a, b, 0.96).join(' ')}`} className={styles.measure} />
      <path d={`M${between(b, c, 0.04).join(' ')}L${between(b, c, 0.96).join(' ')}`} className={styles.measure} />
      <FigureText
        x={size / 2}
        y={size - 1}
        value={trial.sheet}
        units={units}
        graduation={graduation}
        className={styles.sheetWord}
      />
    </svg>
  );
}
