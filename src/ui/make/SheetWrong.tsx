import { Button, Modal } from 'antd';
import type { SheetsAtHand } from '@/core/sets';
import { Link } from '../parts/Link';
import { useUnits } from '../parts/InUnits';
import styles from './Make.module.css';

interface SheetWrongProps {
  readonly sheets: SheetsAtHand;
  readonly onClose: () => void;
}

/** A whole sheet was cut wrong: what to do about its blanks, and what the rest may become. */
export function SheetWrong({ sheets: { layout, group }, onClose }: SheetWrongProps) {
  const { units } = useUnits();
  const [first] = layout.sheets[group?.cuts[0]?.sheet ?? 0]?.placements ?? [];
  return (
    <Modal open title="A sheet was cut wrong" footer={null} width={560} onCancel={onClose}>
      <div className={styles.which}>
        <p className={styles.text}>
          Cut what it was to give from another sheet: the picture shows where each piece lies. Go on with Next as soon
          as there are as many blanks as the picture has.
        </p>
        <p>A blank that is too small for what it was to be may still become something else.</p>
        <div className={styles.wrongButtons}>
          {first && (
            <Link
              className={styles.askPaper}
              href={`/choose?have=paper&width=${first.width}&height=${first.height}&units=${units}`}
            >
              What can it become?
            </Link>
          )}
          <Button size="large" onClick={onClose}>
            Back to the cut
          </Button>
        </div>
      </div>
    </Modal>
  );
}
