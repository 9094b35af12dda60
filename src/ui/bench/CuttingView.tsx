import { Segmented } from 'antd';
import { useCallback, useMemo, useState } from 'react';
import type { SetPlan } from '@/core/sets';
import type { Project } from '@/data/db';
import { cameWithApp } from '@/data/examples';
import { keepCopies } from '@/data/projects';
import { CutPlan } from '../cutting/CutPlan';
import { paperName, takenOf, type TakenOfPaper } from '../cutting/needOn';
import { PiecesTable } from '../cutting/PiecesTable';
import type { NeedOnPaper } from '../cutting/listOn';
import { useCuttingTable } from '../cutting/useCuttingTable';
import { WhatFrom } from '../cutting/WhatFrom';
import { NumberField } from '../parts/NumberField';
import type { PlannedSet } from '../parts/plans';
import { useRecord } from '../parts/useKept';
import { Waiting } from '../parts/Waiting';
import { Shopping } from '../cutting/Shopping';
import { capitalised } from '@/core/text';
import styles from './CuttingView.module.css';

interface CuttingViewProps {
  readonly id: string;
  readonly name: string;
  readonly whole: PlannedSet;
}

/** The sheets a whole set takes, paper by paper, from the papers on hand. */
export function CuttingView({ whole, ...props }: CuttingViewProps) {
  const plan = 'plan' in whole ? whole.plan : null;
  const { id, name } = props;
  const cuts = useMemo(() => (plan ? takenOf(plan, { id, name }) : []), [plan, id, name]);
  if (!plan || cuts.length === 0)
    return <p className={styles.nothing}>There is nothing to cut yet. The checks beside say why.</p>;
  return <ByPaper {...props} plan={plan} cuts={cuts} />;
}

interface ByPaperProps extends Omit<CuttingViewProps, 'whole'> {
  readonly plan: SetPlan;
  readonly cuts: readonly TakenOfPaper[];
}

function ByPaper({ id, name, plan, cuts }: ByPaperProps) {
  const [chosen, setChosen] = useState<string | null>(null);
  const shown = cuts.find(({ paper }) => paper === chosen) ?? cuts[0]!;
  const project = useRecord<Project>('projects', id);
  if (!project) return <Waiting what="Laying out the cutting table" />;
  const { copies = 1 } = project;
  return (
    <div className={styles.cutting}>
      <Shopping project={project} plan={plan} copies={copies} />
      <PiecesTable title={name} plan={plan} copies={copies} />
      {cuts.length > 1 && (
        <Segmented
          className={styles.byPaper}
          aria-label="Paper to cut"
          value={shown.paper}
          options={cuts.map(({ paper }) => ({ value: paper, label: capitalised(paperName(plan, paper)) }))}
          onChange={setChosen}
        />
      )}
      <OnePaper key={shown.paper} several={plan.set.parts.length > 1} cuts={shown} project={project} copies={copies} />
    </div>
  );
}

interface OnePaperProps {
  /** The project has several parts. */
  readonly several: boolean;
  readonly cuts: TakenOfPaper;
  readonly project: Project;
  readonly copies: number;
}

/** What is cut of one paper. */
function OnePaper({ several, cuts, project, copies }: OnePaperProps) {
  const example = cameWithApp(project);
  const needsFor = useCallback((): NeedOnPaper[] => [{ ...cuts, example, copies }], [cuts, example, copies]);
  const table = useCuttingTable(cuts.table, needsFor);
  if (!table) return <Waiting what="Laying out the cutting table" />;
  return (
    <>
      <label className={styles.copies}>
        {several ? 'Sets' : 'Copies'}
        <NumberField
          aria-label="Copies to cut"
          min={1}
          max={500}
          precision={0}
          value={copies}
          onChange={(n) => {
            keepCopies(project, n);
            table.save({ step: 0 });
          }}
        />
      </label>
      <details className={styles.papers}>
        <summary>
          {table.chosen.length + table.bought.length === 1
            ? 'From one paper'
            : `From ${table.chosen.length + table.bought.length} papers`}
        </summary>
        <WhatFrom table={table} />
      </details>
      <CutPlan table={table} title={cuts.name} copies={copies} />
    </>
  );
}
