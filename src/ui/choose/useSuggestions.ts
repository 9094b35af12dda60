import { wrap, type Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { Question, Suggestion } from '@/core/plan';
import type { ChooserWorker } from '@/workers/chooser.worker';

/** Answers to the question as it stands, from the worker; the last ones stay while new ones are worked out. */
export function useSuggestions(question: Question): {
  readonly suggestions: readonly Suggestion[] | null;
  readonly trouble: string | null;
} {
  const worker = useRef<{ raw: Worker; remote: Remote<ChooserWorker> } | null>(null);
  const [answer, setAnswer] = useState<{ suggestions: readonly Suggestion[] | null; trouble: string | null }>({
    suggestions: null,
    trouble: null,
  });
  useEffect(() => {
    const raw = new Worker(new URL('../../workers/chooser.worker.ts', import.meta.url), { type: 'module' });
    worker.current = { raw, remote: wrap<ChooserWorker>(raw) };
    return () => {
      raw.terminate();
      worker.current = null;
    };
  }, []);
  useEffect(() => {
    let stale = false;
    worker.current?.remote.choose(question).then(
      (suggestions) => !stale && setAnswer({ suggestions, trouble: null }),
      (error: Error) => !stale && setAnswer((last) => ({ ...last, trouble: error.message })),
    );
    return () => {
      stale = true;
    };
  }, [question]);
  return answer;
}
