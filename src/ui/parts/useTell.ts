import { App } from 'antd';
import { useCallback, useMemo } from 'react';
import { whyOf } from '@/data/trouble';

/** How a screen tells what became of something. */
interface Tell {
  /** A handler that says what could not be done, and why: `failed('It could not be copied')`. */
  readonly failed: (what: string) => (error: unknown) => void;
  readonly wrong: (sentence: string) => void;
  readonly warn: (sentence: string) => void;
}

/** Tells in sentences of our own, whatever was thrown. */
export function useTell(): Tell {
  const { message } = App.useApp();
  const wrong = useCallback((sentence: string) => void message.error(sentence, 8), [message]);
  const failed = useCallback((what: string) => (error: unknown) => wrong(`${what}: ${whyOf(error)}.`), [wrong]);
  const warn = useCallback((sentence: string) => void message.warning(sentence, 8), [message]);
  return useMemo(() => ({ failed, wrong, warn }), [failed, wrong, warn]);
}
