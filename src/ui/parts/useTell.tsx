import { App, Button } from 'antd';
import { useCallback, useMemo } from 'react';
import { whyOf } from '@/data/trouble';

/** Something done that can be taken back for a while. */
interface Undoable {
  /** A later one of the same key takes its place. */
  readonly key: string;
  /** What was done: `“Star cards” is in the bin`. */
  readonly done: string;
  /** What takes it back, and what the button says. */
  readonly back: () => Promise<unknown> | void;
  readonly label?: string;
}

/** How a screen tells what became of something. */
interface Tell {
  /** A handler that says what could not be done, and why: `failed('It could not be copied')`. */
  readonly failed: (what: string) => (error: unknown) => void;
  readonly wrong: (sentence: string) => void;
  readonly warn: (sentence: string) => void;
  readonly undoable: (what: Undoable) => void;
}

/** How long it can be taken back, s. */
const A_WHILE = 8;

/** Tells in sentences of our own, whatever was thrown. */
export function useTell(): Tell {
  const { message, notification } = App.useApp();
  const wrong = useCallback((sentence: string) => void message.error(sentence, 8), [message]);
  const failed = useCallback((what: string) => (error: unknown) => wrong(`${what}: ${whyOf(error)}.`), [wrong]);
  const warn = useCallback((sentence: string) => void message.warning(sentence, 8), [message]);
  const undoable = useCallback(
    ({ key, done, back, label = 'Put it back' }: Undoable): void => {
      const takeBack = async (): Promise<void> => {
        await back();
        notification.destroy(key);
      };
      notification.open({
        key,
        title: done,
        actions: (
          <Button type="primary" onClick={() => void takeBack().catch(failed('It could not be put back'))}>
            {label}
          </Button>
        ),
        duration: A_WHILE,
      });
    },
    [notification, failed],
  );
  return useMemo(() => ({ failed, wrong, warn, undoable }), [failed, wrong, warn, undoable]);
}
