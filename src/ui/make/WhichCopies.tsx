import { Button, Modal } from 'antd';
import { useState } from 'react';
import type { Stop } from '@/core/sets';
import { ACTION_TITLE } from '../parts/titles';
import { Words } from '../parts/Words';
import styles from './Make.module.css';

interface WhichCopiesProps {
  /** The stop that is gone back to. */
  readonly stop: Stop;
  readonly onAll: () => void;
  readonly onSome: (copies: readonly number[]) => void;
  readonly onClose: () => void;
}

/** Back to what was done for several copies: for all of them, or again for some. */
export function WhichCopies({ stop: { step, copies }, onAll, onSome, onClose }: WhichCopiesProps) {
  const [chosen, setChosen] = useState<readonly number[]>([]);
  const turn = (copy: number): void =>
    setChosen(chosen.includes(copy) ? chosen.filter((one) => one !== copy) : [...chosen, copy]);
  return (
    <Modal open title={`Back to: ${ACTION_TITLE[step.action]}`} footer={null} width={560} onCancel={onClose}>
      <div className={styles.which}>
        <p>
          <Words>{step.text}</Words>
        </p>
        <Button type="primary" size="large" autoFocus onClick={onAll}>
          Back to it, for all {copies.length}
        </Button>
        <p>Or only some of them again; the others stay as they are:</p>
        <div className={styles.copyNumbers} role="group" aria-label="Copies to do again">
          {copies.map((copy) => (
            <button key={copy} type="button" aria-pressed={chosen.includes(copy)} onClick={() => turn(copy)}>
              {copy}
            </button>
          ))}
        </div>
        <Button size="large" disabled={chosen.length === 0} onClick={() => onSome([...chosen].sort((a, b) => a - b))}>
          {chosen.length === 0
            ? 'Only these again'
            : chosen.length === 1
              ? 'Only this one again'
              : `Only these ${chosen.length} again`}
        </Button>
      </div>
    </Modal>
  );
}
