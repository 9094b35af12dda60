import { Modal } from 'antd';
import styles from './KeysDialog.module.css';

/** A key, and what it does. */
export type KeyLine = readonly [key: string, does: string];

interface KeysDialogProps {
  readonly keys: readonly KeyLine[];
  readonly open: boolean;
  readonly onClose: () => void;
}

/** What the keyboard does on this screen. */
export function KeysDialog({ keys, open, onClose }: KeysDialogProps) {
  return (
    <Modal open={open} title="Keys" footer={null} onCancel={onClose}>
      <dl className={styles.keys}>
        {keys.map(([key, what]) => (
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
