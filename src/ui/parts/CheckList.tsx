import { CheckCircleFilled, CloseCircleFilled, InfoCircleFilled, WarningFilled } from '@ant-design/icons';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import type { Level } from '@/core/constructions';
import { Words } from './Words';
import styles from './CheckList.module.css';

const ICON: Record<Level, ReactNode> = {
  fail: <CloseCircleFilled />,
  warn: <WarningFilled />,
  note: <InfoCircleFilled />,
  pass: <CheckCircleFilled />,
};
const WORD: Record<Level, string> = { fail: 'Will not do', warn: 'Take care', note: 'Worth knowing', pass: 'Proved' };

interface CheckListProps {
  readonly title: string;
  /** Something of it will not do. */
  readonly bad: boolean;
  readonly children: ReactNode;
}

/** What was found, under its title; read out as it changes. */
export const CheckList = ({ title, bad, children }: CheckListProps) => (
  <div className={styles.checks} aria-live="polite">
    <h2 className={bad ? styles.bad : undefined}>{title}</h2>
    {children}
  </div>
);

interface CheckLineProps {
  readonly id: string;
  readonly level: Level;
  readonly sentence: string;
  /** What would mend it: the words on each button, and what it does. */
  readonly remedies?: readonly { readonly label: string; readonly take: () => void }[];
}

/** One thing found: its sentence, and the buttons that help. */
export const CheckLine = ({ id, level, sentence, remedies = [] }: CheckLineProps) => (
  <li className={`${styles.line} ${styles[level]}`} data-check={id} data-level={level}>
    <span className={styles.icon} aria-hidden="true">
      {ICON[level]}
    </span>
    <span>
      <span className="sr-only">{WORD[level]}: </span>
      <Words>{sentence}</Words>
      {remedies.length > 0 && (
        <span className={styles.remedies}>
          {remedies.map(({ label, take }) => (
            <Button key={label} size="small" onClick={take}>
              <span>
                <Words>{label}</Words>
              </span>
            </Button>
          ))}
        </span>
      )}
    </span>
  </li>
);
