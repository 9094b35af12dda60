import { useEffect, useRef, useState } from 'react';
import type { Question, Suggestion } from '@/core/choosing';
import type { ChooserWorker } from '@/workers/chooser.worker';
import { helperWhy, startHelper, type Helper } from '@/workers/helper';

/** Answers to the question as it stands, from the worker; the last ones stay while new ones are worked out. */
export function useSuggestions(question: Question): {
  readonly suggestions: readonly Suggestion[] | null;
  readonly trouble: string | null;
} {
  const helper = useRef<Helper<ChooserWorker> | null>(null);
  const [answer, setAnswer] = useState<{ suggestions: readonly Suggestion[] | null; trouble: string | null }>({
    suggestions: null,
    trouble: null,
  });
  useEffect(() => {
    helper.current = startHelper<ChooserWorker>(
      () => new Worker(new URL('../../workers/chooser.worker.ts', import.meta.url), { type: 'module' }),
    );
    return () => {
      helper.current?.end();
      helper.current = null;
    };
  }, []);
  useEffect(() => {
    let stale = false;
    const trouble = (sentence: string): void => {
      if (!stale) setAnswer((last) => ({ ...last, trouble: sentence }));
    };
    helper.current
      ?.ask(
        (remote) => remote.choose(question),
        (silent) => trouble(silent.message),
      )
      .then(
        (suggestions) => !stale && setAnswer({ suggestions, trouble: null }),
        (error: unknown) => trouble(helperWhy(error)),
      );
    return () => {
      stale = true;
    };
  }, [question]);
  return answer;
}
