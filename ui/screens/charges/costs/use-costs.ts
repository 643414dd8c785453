import { useEffect, useState } from 'react';
import type { Remote } from 'comlink';
import { selectBook, selectCatalogue, selectPastOrders } from '../../../state/selectors.ts';
import { useAppSelector, useAppStore } from '../../../state/store.ts';
import type { CostProgress } from '../../../workers/costs/cost-progress.ts';
import type { Coster } from '../../../workers/costs/coster.ts';
import { openCosts, stopCosts } from '../../../workers/start-costs.ts';

/** The costs of past orders: how far they are worked out, then who answers questions about them. */
export interface Costs {
  coster: Remote<Coster> | null;
  progress: CostProgress | null;
  fault: string | null;
  stopped: boolean;
  stop: () => void;
  again: () => void;
}

const textOf = (error: unknown): string => (error instanceof Error ? error.message : String(error));

/** Works out the costs of the draft's past orders in a worker, anew after every change. */
export const useCosts = (): Costs => {
  const store = useAppStore();
  const book = useAppSelector(selectBook);
  const catalogue = useAppSelector(selectCatalogue);
  const orders = useAppSelector(selectPastOrders);
  const [coster, setCoster] = useState<Remote<Coster> | null>(null);
  const [progress, setProgress] = useState<CostProgress | null>(null);
  const [fault, setFault] = useState<string | null>(null);
  const [stopped, setStopped] = useState(false);
  useEffect(() => {
    if (stopped) return undefined;
    let wanted = true;
    const work = openCosts(store.getState(), (now) => wanted && setProgress(now));
    setFault(null);
    work.ready.then(
      (isReady) => {
        if (!wanted || !isReady) return;
        setProgress(null);
        setCoster(() => work.coster);
      },
      (error: unknown) => wanted && setFault(textOf(error)),
    );
    return () => {
      wanted = false;
      work.leave();
    };
  }, [book, catalogue, orders, store, stopped]);
  const stop = (): void => {
    stopCosts();
    setProgress(null);
    setCoster(null);
    setStopped(true);
  };
  return { coster, progress, fault, stopped, stop, again: () => setStopped(false) };
};

/** What the coster answers to a question, the last answer while the next is on its way; null until the first. */
export const useAnswer = <T>(
  coster: Remote<Coster>,
  ask: (coster: Remote<Coster>) => Promise<T>,
): T | null => {
  const [answer, setAnswer] = useState<T | null>(null);
  useEffect(() => {
    let wanted = true;
    void ask(coster).then(
      (found) => wanted && setAnswer(() => found),
      () => undefined,
    );
    return () => {
      wanted = false;
    };
  }, [coster, ask]);
  return answer;
};
