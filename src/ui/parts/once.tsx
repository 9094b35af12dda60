import { Button, type ButtonProps } from 'antd';
import { useCallback, useRef, useState } from 'react';

/** A second press within this time is the second half of a double click, ms. */
const DOUBLE = 450;

/**
 * An action that is done once, however fast it is pressed: while it runs, and for a moment after it began, further
 * presses do nothing. One that gives false did nothing itself, and may be tried again at once.
 */
export function useOnce<A extends readonly unknown[]>(
  action: (...args: A) => Promise<unknown> | void,
): readonly [run: (...args: A) => void, busy: boolean] {
  const state = useRef({ running: false, since: -Infinity });
  const [busy, setBusy] = useState(false);
  const run = useCallback(
    (...args: A): void => {
      const now = performance.now();
      if (state.current.running || now - state.current.since < DOUBLE) return;
      state.current = { running: true, since: now };
      const job = action(...args);
      if (!job) {
        state.current.running = false;
        return;
      }
      setBusy(true);
      void job
        .then((done) => {
          if (done === false) state.current.since = -Infinity;
        })
        .finally(() => {
          state.current.running = false;
          setBusy(false);
        });
    },
    [action],
  );
  return [run, busy];
}

/** A button whose action is done once, however fast it is pressed. */
export function OnceButton({
  onPress,
  ...rest
}: Omit<ButtonProps, 'onClick' | 'loading'> & { readonly onPress: () => Promise<unknown> | void }) {
  const [run, busy] = useOnce(onPress);
  return <Button {...rest} loading={busy} onClick={() => run()} />;
}
