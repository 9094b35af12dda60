import { memo, useMemo } from 'react';
import { setRemedyLabel, setSentence, withRemedy } from '@/core/sets';
import { CheckLine, CheckList } from '../parts/CheckList';
import { checksAcross } from '../parts/plans';
import { useUnits } from '../parts/InUnits';
import type { TogetherProps } from './props';

/** What is found across the set, each with the button that helps: counts, what does not go in, papers that run out. */
export const Across = memo(function Across({ whole, onSet }: Pick<TogetherProps, 'whole' | 'onSet'>) {
  const { say } = useUnits();
  const found = useMemo(() => checksAcross(whole).filter(({ level }) => level !== 'pass'), [whole]);
  if (found.length === 0) return null;
  return (
    <CheckList title="Together" bad={found.some(({ level }) => level === 'fail')}>
      <ul>
        {found.map((check) => (
          <CheckLine
            key={check.id}
            id={check.id}
            level={check.level}
            sentence={setSentence(check, say)}
            remedies={check.remedies.map((remedy) => ({
              label: setRemedyLabel(remedy),
              take: () => onSet((set) => withRemedy(set, remedy), 'set-remedy'),
            }))}
          />
        ))}
      </ul>
    </CheckList>
  );
});
