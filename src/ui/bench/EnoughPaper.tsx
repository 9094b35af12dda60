import { useMemo } from 'react';
import { copiesFrom, sheetsFrom, type KeptPaper } from '@/core/cutting';
import { blanksOf } from '@/core/making';
import { paperOf, type Design } from '@/core/design';
import type { Made } from '@/core/plan';
import styles from './Brief.module.css';

interface EnoughPaperProps {
  readonly paper: KeptPaper;
  readonly made: Made;
  readonly design: Design;
}

/** How far the sheets of a paper in the stash reach. */
export function EnoughPaper({ paper, made, design }: EnoughPaperProps) {
  const copies = useMemo(
    () =>
      copiesFrom(
        // What is of a paper of its own is not cut from this one.
        blanksOf(made, design).filter(({ name }) => paperOf(design, name).id === design.paper.id),
        sheetsFrom([paper], false)[0]!.sheet,
        paper.count,
      ),
    [paper, made, design],
  );
  const sheets = `${paper.count} ${paper.count === 1 ? 'sheet' : 'sheets'} in the stash`;
  return (
    <p className={copies === 0 ? styles.short : styles.note} role={copies === 0 ? 'alert' : undefined}>
      {copies > 0
        ? `${sheets}: enough for ${copies} ${copies === 1 ? 'copy' : 'copies'}.`
        : `${sheets}: not enough for one copy. Take a larger paper, or more of it.`}
    </p>
  );
}
