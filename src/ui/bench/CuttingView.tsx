import { useCallback, useMemo } from 'react';
import { blanksOf, type Design, type Made } from '@/core/plan';
import type { CuttingRecord } from '@/data/db';
import { CutPlan } from '../cutting/CutPlan';
import { useCuttingTable, type NeedOnPaper } from '../cutting/useCuttingTable';
import { WhatFrom } from '../cutting/WhatFrom';
import { NumberField } from '../parts/NumberField';
import { Waiting } from '../parts/Waiting';
import styles from './CuttingView.module.css';

interface CuttingViewProps {
  readonly id: string;
  readonly name: string;
  readonly made: Made;
  readonly design: Design;
}

/** The sheets one project takes, from the papers on hand. */
export function CuttingView({ id, name, made, design }: CuttingViewProps) {
  const { width, height } = design.paper;
  const pieces = useMemo(() => blanksOf(made, design), [made, design]);
  const needsFor = useCallback(
    ({ needs }: CuttingRecord): NeedOnPaper[] => [
      {
        name,
        copies: needs[0]?.copies ?? 1,
        pieces,
        caliper: design.paper.caliper,
        ...(width !== undefined && height !== undefined && { sheet: { width, height } }),
      },
    ],
    [name, pieces, design.paper.caliper, width, height],
  );
  const table = useCuttingTable(id, needsFor);
  if (!table) return <Waiting what="Laying out the cutting table" />;
  const copies = table.record.needs[0]?.copies ?? 1;
  return (
    <div className={styles.cutting}>
      <label className={styles.copies}>
        Copies
        <NumberField
          aria-label="Copies to cut"
          min={1}
          max={500}
          precision={0}
          value={copies}
          onChange={(n) => table.save({ needs: [{ id, projectId: id, copies: n }], step: 0 })}
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
      <CutPlan table={table} title={name} copies={copies} />
    </div>
  );
}
