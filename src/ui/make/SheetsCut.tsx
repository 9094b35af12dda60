import { useMemo } from 'react';
import type { SheetsAtHand } from '@/core/sets';
import { several } from '@/core/text';
import { kindOf } from '../cutting/byHand';
import { LaidSheet } from '../cutting/LaidSheet';
import { sheetGroups } from '../cutting/sheetGroups';
import styles from './Make.module.css';

/** So many unlike sheets are shown beside each other. */
const SHOWN = 4;

/** Read from an arm’s length away. */
const LETTERS = 22;

/** The sheets that are cut at one setting, each kind once, with the cuts that are made now. */
export function SheetsCut({ list, layout, group }: SheetsAtHand) {
  const kinds = useMemo(() => {
    const cuts = group?.cuts ?? [];
    return sheetGroups(layout.sheets)
      .map(({ first, count }) => ({ first, count, cuts: cuts.filter(({ sheet }) => sheet === first) }))
      .filter((kind) => group === null || kind.cuts.length > 0);
  }, [layout, group]);
  const shown = kinds.slice(0, SHOWN);
  const more = kinds.slice(SHOWN).reduce((sum, { count }) => sum + count, 0);
  return (
    <div className={styles.sheets} data-several={shown.length > 1 || undefined}>
      {shown.map(({ first, count, cuts }) => {
        const sheet = layout.sheets[first]!;
        const which = count === 1 ? `Sheet ${first + 1}` : `Sheets ${first + 1} to ${first + count}`;
        return (
          <figure key={first}>
            <figcaption>
              {which}: {sheet.sheet}
            </figcaption>
            <LaidSheet
              sheet={sheet}
              kind={kindOf(list, sheet.sheet)}
              label={`${which}: ${several(cuts.length, 'cut')}`}
              wrong={[]}
              selected={null}
              cuts={cuts}
              hands={null}
              letters={LETTERS}
            />
          </figure>
        );
      })}
      {more > 0 && <p>and {several(more, 'more sheet')}, cut alike.</p>}
    </div>
  );
}
