import { Button, Spin } from 'antd';
import { useEffect, useState } from 'react';
import styles from './Waiting.module.css';

/** Waiting longer than this is said, ms. */
const LONG = 8000;

interface WaitingProps {
  /** What is being done: `Opening the log`. */
  readonly what: string;
  /** In place of a whole screen, or of a part of it. */
  readonly whole?: boolean;
}

/** Something is on its way. When it does not come, it says so and what to do, instead of turning for ever. */
export function Waiting({ what, whole = false }: WaitingProps) {
  const [long, setLong] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => setLong(true), LONG);
    return () => clearTimeout(timer);
  }, []);
  return (
    <div className={whole ? styles.whole : styles.part} role="status">
      <span className="sr-only">{what}</span>
      <Spin aria-hidden />
      {long && (
        <>
          <p>{what} takes long. On a busy machine it comes by itself; where nothing comes, load the page again.</p>
          <Button onClick={() => window.location.reload()}>Load the page again</Button>
        </>
      )}
    </div>
  );
}
