import { CheckCircleFilled, CloseCircleFilled, InfoCircleFilled, WarningFilled } from '@ant-design/icons';
import { Button } from 'antd';
import { useState, type ReactNode } from 'react';
import { checkSentence, remedyLabel, type Check, type DesignChange, type DesignInput, type Level } from '@/core/plan';
import { useMedia } from '../shell/useMedia';
import { useReading } from '../parts/Reading';
import { Words } from '../parts/Words';
import { useRemedies } from './useRemedies';
import styles from './Checks.module.css';

const ICON: Record<Level, ReactNode> = {
  fail: <CloseCircleFilled />,
  warn: <WarningFilled />,
  note: <InfoCircleFilled />,
  pass: <CheckCircleFilled />,
};
const WORD: Record<Level, string> = { fail: 'Will not do', warn: 'Take care', note: 'Worth knowing', pass: 'Proved' };
const ORDER: readonly Level[] = ['fail', 'warn', 'note', 'pass'];

interface ChecksProps {
  readonly of: DesignInput;
  readonly checks: readonly Check[];
  readonly onRemedy: (change: DesignChange) => void;
}

/** What the folding proved and what it did not, worst first, each with the button that cures it. */
export function Checks({ of, checks, onRemedy }: ChecksProps) {
  const { say } = useReading();
  const remedies = useRemedies(of, checks);
  const wide = useMedia('(min-width: 721px)');
  const [chosen, setAll] = useState<boolean | null>(null);
  const all = chosen ?? wide;
  const passed = checks.filter((check) => check.level === 'pass');
  const open = [...checks]
    .filter((check) => check.level !== 'pass')
    .sort((a, b) => ORDER.indexOf(a.level) - ORDER.indexOf(b.level));
  const line = (check: Check) => (
    <li key={check.id} className={styles[check.level]} data-check={check.id} data-level={check.level}>
      <span className={styles.icon} aria-hidden="true">
        {ICON[check.level]}
      </span>
      <span>
        <span className="sr-only">{WORD[check.level]}: </span>
        <Words>{checkSentence(check, say)}</Words>
        {remedies[check.id] && (
          <span className={styles.remedies}>
            {remedies[check.id]!.map((remedy) => (
              <Button key={remedyLabel(remedy, say)} size="small" onClick={() => onRemedy(remedy.change)}>
                <span>
                  <Words>{remedyLabel(remedy, say)}</Words>
                </span>
              </Button>
            ))}
          </span>
        )}
      </span>
    </li>
  );
  const failed = checks.some((check) => check.level === 'fail');
  return (
    <div className={styles.checks} aria-live="polite">
      <h2 className={failed ? styles.bad : undefined}>{failed ? 'Not ready to cut' : 'Folded and proved'}</h2>
      <ul>{open.map(line)}</ul>
      {passed.length > 0 && (
        <>
          <Button type="text" size="small" className={styles.passed} aria-expanded={all} onClick={() => setAll(!all)}>
            <CheckCircleFilled className={styles.tick} /> {passed.length} things hold. {all ? 'Hide them' : 'Show them'}
          </Button>
          {all && <ul>{passed.map(line)}</ul>}
        </>
      )}
    </div>
  );
}
