import { Modal } from 'antd';
import styles from './KeysDialog.module.css';

const KEYS: readonly (readonly [string, string])[] = [
  ['1 2 3 4', 'Sheet, Folded, On paper, Steps'],
  ['Ctrl Z', 'Undo'],
  ['Ctrl Shift Z', 'Redo'],
  ['Tab', 'From grip to grip on the sheet and the paper'],
  ['Arrows', 'On a grip or a length: one mark at a time; on the folding, one step'],
  ['?', 'This list'],
];

/** What the keyboard does at the bench. */
export function KeysDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Modal open={open} title="Keys" footer={null} onCancel={onClose}>
      <dl className={styles.keys}>
        {KEYS.map(([key, what]) => (
          <div key={key}>
            <dt>
              <kbd>{key}</kbd>
            </dt>
            <dd>{what}</dd>
          </div>
        ))}
      </dl>
    </Modal>
  );
}
