import { Alert } from 'antd';
import { memo } from 'react';
import type { DesignChange, DesignInput } from '@/core/design';
import { Boundary } from '../parts/Boundary';
import type { Planned } from '../parts/plans';
import { Checks } from './Checks';
import { FitsSoFar } from './FitsSoFar';
import { Numbers } from './Numbers';

interface AnswerProps {
  readonly planned: Planned;
  /** The last plan that could be worked out. */
  readonly last: Planned | null;
  readonly of: DesignInput;
  /** It is there already: of it nothing is told but what is laid on it. */
  readonly given: boolean;
  readonly onChange: (change: DesignChange, key: string) => void;
}

/** What the plan comes to: the numbers, how such holders fitted, the checks; or why the design cannot be read. */
export const Answer = memo(function Answer({ planned, last, of, given, onChange }: AnswerProps) {
  if ('plan' in planned) return <Told planned={planned} of={of} given={given} onChange={onChange} />;
  const fault = 'design' in planned;
  return (
    <>
      <Alert
        type="error"
        title={fault ? 'This could not be worked out' : 'This design cannot be read'}
        description={planned.issues.map(({ path, message }) => (path ? `${path}: ${message}` : message)).join(' ')}
      />
      {fault && last && 'plan' in last && (
        <>
          <p>What stands here is the last that could be.</p>
          <Told planned={last} of={of} given={given} onChange={onChange} />
        </>
      )}
    </>
  );
});

function Told({
  planned,
  of,
  given,
  onChange,
}: Pick<AnswerProps, 'of' | 'given' | 'onChange'> & {
  readonly planned: Extract<Planned, { readonly plan: unknown }>;
}) {
  const { made } = planned.plan;
  return (
    <>
      {made && (
        <Boundary what="The numbers" of={of}>
          <Numbers made={made} design={planned.design} given={given} />
        </Boundary>
      )}
      <Boundary what="What the log says" of={of}>
        <FitsSoFar design={planned.design} fit={made?.fit ?? null} onChange={onChange} />
      </Boundary>
      <Boundary what="The checks" of={of}>
        <Checks
          of={of}
          checks={given ? planned.checks.filter(({ level }) => level !== 'pass') : planned.checks}
          onRemedy={(patch) => onChange(patch, 'remedy')}
        />
      </Boundary>
    </>
  );
}
