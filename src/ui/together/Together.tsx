import { memo } from 'react';
import { Nested } from './Nested';
import { Papers } from './Papers';
import { Parts } from './Parts';
import type { TogetherProps } from './props';
import styles from './Together.module.css';

/** The whole set: nested outlines to one scale, its papers, its parts, and what it takes. */
export const Together = memo(function Together(props: TogetherProps) {
  const { whole } = props;
  if (!('plan' in whole)) return <p className={styles.soft}>{whole.issues.map(({ message }) => message).join(' ')}</p>;
  return (
    <div className={styles.together}>
      <Nested {...props} />
      <Papers {...props}>{(giving) => <Parts {...props} giving={giving} />}</Papers>
    </div>
  );
});
