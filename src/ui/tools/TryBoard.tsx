'use client';

import { Alert, Select } from 'antd';
import { Link } from '../parts/Link';
import { useSearchParams } from 'next/navigation';
import { useMemo, useState } from 'react';
import { z } from '@/core/text/zod';
import { inches, mm, usualMarks } from '@/core/length';
import type { Blank } from '@/core/pattern';
import { boardsOf, COMMON_BOARD, planTool, type Toolbox } from '@/core/tools';
import type { Project } from '@/data/db';
import { pieceName } from '@/core/sets';
import { capitalised } from '@/core/text';
import { shelfAndBin } from '@/data/projects';
import { Empty } from '../parts/Empty';
import { LengthField } from '../parts/LengthField';
import { Opened } from '../parts/Opened';
import { usePlannedSet } from '../parts/plans';
import { useInAddress } from '../parts/useInAddress';
import { useAll } from '../parts/useKept';
import { useToolbox } from '../parts/useToolbox';
import { useAsked } from '../parts/useUnsent';
import { Waiting } from '../parts/Waiting';
import { InUnits, useUnits } from '../parts/InUnits';
import { ToolsHead } from './ToolsHead';
import { Trial } from './Trial';
import styles from './Tools.module.css';

/** A board on the screen: place, punch, score, turn, and see what the sheet would fold to. By oneself or along a plan. */
export const TryBoard = () => (
  <Opened what="Laying out the board">
    <TryOut />
  </Opened>
);

function TryOut() {
  const { units } = useUnits();
  const toolbox = useToolbox();
  const address = useSearchParams();
  const [id, setId] = useInAddress('p');
  const projects = useAll<Project>('projects');
  const shelf = useMemo(() => projects && shelfAndBin(projects).shelf, [projects]);
  const project = id ? (projects?.records.find((one) => one.id === id) ?? null) : null;
  return (
    <main className={styles.tools}>
      <ToolsHead title="Try a board" units={!project} />
      <p className={styles.lead}>
        Nothing is wasted here. Lay the sheet, punch, score, turn; the board does what a real one does with your
        figures, and says what the sheet would fold to.
      </p>
      <Select
        aria-label="What to try"
        className={styles.what}
        value={id}
        options={[
          { value: '', label: 'A sheet of my own' },
          ...(shelf ?? []).map(({ id: value, name }) => ({ value, label: `Along the plan: ${name}` })),
        ]}
        onChange={setId}
      />
      {(!toolbox || !projects) && <Waiting what="Laying out the board" />}
      {projects && id !== '' && !project && <Empty>That project is not on the shelf any more. Choose another.</Empty>}
      {toolbox && project && <AlongPlan key={project.id} project={project} />}
      {toolbox && id === '' && <Freely key={units} toolbox={toolbox} named={address.get('t')} />}
    </main>
  );
}

/** A piece of a plan, made move by move on the tool it was planned for. */
function AlongPlan({ project }: { readonly project: Project }) {
  const whole = usePlannedSet(project.set);
  const [chosen, setChosen] = useState(0);
  const all =
    'plan' in whole
      ? whole.plan.parts.flatMap(({ part: own, plan: { made, design } }) =>
          made && !own.given
            ? made.pieces.map((part) => {
                const label = capitalised(pieceName(whole.plan.set, own.id, part.piece.name));
                return { label, made, design, part };
              })
            : [],
        )
      : [];
  const shown = all[chosen] ?? all[0];
  if (!shown)
    return (
      <Alert
        type="warning"
        showIcon
        title="This plan has no pattern yet"
        description={<Link href={`/bench?p=${project.id}`}>See on the bench what is missing</Link>}
      />
    );
  const { made, design, part } = shown;
  return (
    <>
      {all.length > 1 && (
        <Select
          aria-label="Piece"
          className={styles.what}
          value={chosen}
          options={all.map(({ label }, value) => ({ value, label }))}
          onChange={setChosen}
        />
      )}
      <InUnits units={project.units} graduation={design.graduation}>
        <Trial key={chosen} blank={part.piece.blank} tool={design.tool} plan={{ made, part }} />
      </InUnits>
    </>
  );
}

const length = z.number().min(1).max(10_000);
/** The sheet that is tried, mm, and on which board. */
const TRIED = z.object({ board: z.string(), width: length, height: length });
const IN: z.infer<typeof TRIED> = { board: '', width: inches(6), height: inches(6) };
const METRIC: z.infer<typeof TRIED> = { board: '', width: 150, height: 150 };

/** A sheet of any size on one of one's own boards. */
function Freely({ toolbox, named }: { readonly toolbox: Toolbox; readonly named: string | null }) {
  const { units } = useUnits();
  const boards = boardsOf(toolbox).filter(({ tool }) => planTool(tool).hands);
  const first = units === 'in' ? IN : METRIC;
  const { value, set } = useAsked(`try/${units}`, first, TRIED);
  const { board, ...size } = value ?? first;
  // What an address names comes before what was tried last, until another is chosen.
  const [chosen, setChosen] = useState(named);
  const own = boards.find((one) => one.own.id === (chosen ?? board)) ?? boards[0];
  const blank: Blank = { width: mm(size.width), height: mm(size.height) };
  return (
    <InUnits units={units} graduation={usualMarks(units)}>
      <div className={styles.chartSettings}>
        <Select
          aria-label="Board"
          style={{ minWidth: 220 }}
          value={own?.own.id ?? ''}
          options={boards.map(({ own: { id, name } }) => ({ value: id, label: name }))}
          onChange={(id) => {
            setChosen(id);
            set({ board: id });
          }}
        />
        {(['width', 'height'] as const).map((side) => (
          <LengthField
            key={side}
            label={`Sheet’s ${side}`}
            value={blank[side]}
            least={40}
            most={600}
            onChange={(now) => set({ [side]: now })}
          />
        ))}
      </div>
      <Trial
        key={`${own?.own.id} ${blank.width} ${blank.height}`}
        blank={blank}
        tool={own?.tool ?? COMMON_BOARD}
        plan={null}
      />
    </InUnits>
  );
}
