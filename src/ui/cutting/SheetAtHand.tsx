import { Alert, Button, Select } from 'antd';
import type { CutList, Layout, TrimmerCut } from '@/core/cutting';
import { several } from '@/core/text';
import { kindOf, refusedWords } from './byHand';
import { LaidSheet } from './LaidSheet';
import type { useLaidByHand } from './useLaidByHand';
import styles from './Cutting.module.css';

interface SheetAtHandProps {
  readonly list: CutList;
  readonly at: number;
  /** Sheets alike, this one among them. */
  readonly alike: number;
  readonly byHand: ReturnType<typeof useLaidByHand>;
  /** It may be changed: it is not cut yet. */
  readonly free: boolean;
  readonly cut: TrimmerCut | null;
}

/** One sheet large, its pieces to be dragged, turned and taken to others; why it cannot be cut where it cannot. */
export function SheetAtHand({ list, at, alike, byHand, free, cut }: SheetAtHandProps) {
  const { layout, open, putBack, picked, pick, on } = byHand;
  const sheet = layout.sheets[at]!;
  const moves = on(at);
  const refused = open?.refused.get(at);
  const inHand = free && picked !== null ? sheet.placements[picked] : undefined;
  return (
    <figure className={styles.figure}>
      <figcaption>
        Sheet {at + 1}
        {alike > 1 && `, one of ${alike} alike`}: {sheet.sheet}
      </figcaption>
      <LaidSheet
        key={at}
        sheet={sheet}
        kind={kindOf(list, sheet.sheet)}
        label={`Sheet ${at + 1}: ${several(sheet.placements.length, 'piece')}`}
        wrong={refused?.pieces ?? []}
        selected={picked}
        cuts={cut && cut.sheet === at ? [cut] : []}
        hands={free ? { onSelect: pick, onDrag: moves.drop, onStep: moves.stepBy, onTurn: moves.turn } : null}
      />
      {open && (
        <Alert
          type="error"
          showIcon
          title={
            refused
              ? refusedWords(refused, sheet.placements)
              : `Sheet ${[...open.refused.keys()].map((i) => i + 1).join(', ')} cannot be cut like this.`
          }
          action={<Button onClick={putBack}>Put it back</Button>}
        />
      )}
      {inHand && (
        <div className={styles.pieceTools} role="group" aria-label={`The piece “${inHand.piece}”`}>
          <span>{inHand.piece}</span>
          <Button onClick={() => moves.turn(picked!)}>Turn</Button>
          {layout.sheets.length > 1 && <ToSheet {...{ layout, at }} onChoose={(to) => moves.toSheet(picked!, to)} />}
          <span className={styles.soft}>Drag it, or move it with the arrow keys; R turns it.</span>
        </div>
      )}
    </figure>
  );
}

const ToSheet = ({
  layout,
  at,
  onChoose,
}: {
  readonly layout: Layout;
  readonly at: number;
  readonly onChoose: (to: number) => void;
}) => (
  <Select
    aria-label="To another sheet"
    placeholder="To sheet…"
    value={null}
    className={styles.toSheet}
    options={layout.sheets.flatMap((_, i) => (i === at ? [] : [{ value: i, label: `To sheet ${i + 1}` }]))}
    onChange={(to: number | null) => to !== null && onChoose(to)}
  />
);
