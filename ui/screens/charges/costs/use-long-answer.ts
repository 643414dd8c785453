import { proxy } from 'comlink';
import { useEffect, useState } from 'react';

/** Work that is begun when it is asked for, says how far it is, and can be stopped. */
export interface LongAnswer<T, P> {
  found: T | null;
  progress: P | null;
  isAsked: boolean;
  ask: () => void;
  stop: () => void;
}

/**
 * The answer to a question that takes its time, once it is asked for, and anew where the question is another. `ask`
 * gives null where the work was stopped; it and `stop` stay the same as long as they mean the same.
 */
export const useLongAnswer = <T, P>(
  ask: (onProgress: (progress: P) => void) => Promise<T | null>,
  stop: () => unknown,
): LongAnswer<T, P> => {
  const [found, setFound] = useState<T | null>(null);
  const [progress, setProgress] = useState<P | null>(null);
  const [isAsked, setAsked] = useState(false);
  useEffect(() => {
    if (!isAsked) return undefined;
    let wanted = true;
    setFound(null);
    setProgress(null);
    const tell = proxy((now: P) => {
      if (wanted) setProgress(() => now);
    });
    void ask(tell).then(
      (answer) => {
        if (wanted && answer !== null) setFound(() => answer);
      },
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, [ask, isAsked]);
  return {
    found,
    progress,
    isAsked,
    ask: () => setAsked(true),
    stop: () => {
      void stop();
      setAsked(false);
    },
  };
};
