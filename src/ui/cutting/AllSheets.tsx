import type { CutList, Layout } from '@/core/cutting';
import { kindOf } from './byHand';
import { LaidSheet, SmallSheet } from './LaidSheet';
import type { SheetGroup } from './sheetGroups';
import styles from './Cutting.module.css';

interface AllSheetsProps {
  readonly list: CutList;
  readonly layout: Layout;
  /** Sheets alike are shown once. */
  readonly groups: readonly SheetGroup[];
}

/** Every sheet small, to choose one or to let a piece go over it. */
export function AllSheets({
  list,
  layout,
  groups,
  shown,
  onShow,
}: AllSheetsProps & { readonly shown: number; readonly onShow: (sheet: number) => void }) {
  return (
    <div className={styles.sheets} role="group" aria-label="All sheets">
      {groups.map(({ first, count }, i) => (
        <button
          key={first}
          type="button"
          data-sheet={first}
          aria-pressed={i === shown}
          aria-label={`Sheet ${first + 1}${count > 1 ? ` and ${count - 1} like it` : ''}`}
          onClick={() => onShow(first)}
        >
          <SmallSheet sheet={layout.sheets[first]!} kind={kindOf(list, layout.sheets[first]!.sheet)} />
          <span>{count > 1 ? `${first + 1}–${first + count}` : first + 1}</span>
        </button>
      ))}
    </div>
  );
}

/** Every sheet large, for paper. */
export const PrintedSheets = ({ list, layout, groups }: AllSheetsProps) => (
  <div className={styles.printed} aria-hidden>
    {groups.map(({ first, count }) => {
      const sheet = layout.sheets[first]!;
      return (
        <figure key={first}>
          <figcaption>
            {count > 1 ? `Sheets ${first + 1} to ${first + count}` : `Sheet ${first + 1}`}: {sheet.sheet}
          </figcaption>
          <LaidSheet
            sheet={sheet}
            kind={kindOf(list, sheet.sheet)}
            label={sheet.sheet}
            wrong={[]}
            selected={null}
            cuts={[]}
            hands={null}
          />
        </figure>
      );
    })}
  </div>
);
