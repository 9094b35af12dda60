import { CheckCircleFilled } from '@ant-design/icons';
import { Button } from 'antd';
import { useState } from 'react';
import { checkSentence, remedyLabel, type Check } from '@/core/checks';
import type { DesignChange, DesignInput } from '@/core/design';
import type { Level } from '@/core/constructions';
import { useMedia } from '../shell/useMedia';
import { CheckLine, CheckList } from '../parts/CheckList';
import { useUnits } from '../parts/InUnits';
import { useRemedies } from './useRemedies';
import styles from './Checks.module.css';

const ORDER: readonly Level[] = ['fail', 'warn', 'note', 'pass'];

interface ChecksProps {
  readonly of: DesignInput;
  readonly checks: readonly Check[];
  readonly onRemedy: (change: DesignChange) => void;
}

/** What the folding proved and what it did not, worst first, each with the button that cures it. */
export function Checks({ of, checks, onRemedy }: ChecksProps) {
  const { say } = useUnits();
  const remedies = useRemedies(of, checks);
  const wide = useMedia('(min-width: 721px)');
  const [chosen, setAll] = useState<boolean | null>(null);
  const all = chosen ?? wide;
  const passed = checks.filter((check) => check.level === 'pass');
  const open = [...checks]
    .filter((check) => check.level !== 'pass')
    .sort((a, b) => ORDER.indexOf(a.level) - ORDER.indexOf(b.level));
  const line = (check: Check) => (
    <CheckLine
      key={check.id}
      id={check.id}
      level={check.level}
      sentence={checkSentence(check, say)}
      remedies={(remedies[check.id] ?? []).map((remedy) => ({
        label: remedyLabel(remedy, say),
        take: () => onRemedy(remedy.change),
      }))}
    />
  );
  const failed = checks.some((check) => check.level === 'fail');
  if (checks.length === 0) return null;
  return (
    <CheckList title={failed ? 'Not ready to cut' : 'Folded and proved'} bad={failed}>
      <ul>{open.map(line)}</ul>
      {passed.length > 0 && (
        <>
          <Button type="text" size="small" className={styles.passed} aria-expanded={all} onClick={() => setAll(!all)}>
            <CheckCircleFilled className={styles.tick} /> {passed.length} things hold. {all ? 'Hide them' : 'Show them'}
          </Button>
          {all && <ul>{passed.map(line)}</ul>}
        </>
      )}
    </CheckList>
  );
}
