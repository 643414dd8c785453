import { useCallback, useEffect, useState } from 'react';
import { auditCame } from '../../state/proof.ts';
import { selectBook, selectCatalogue } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector, useAppStore } from '../../state/store.ts';
import { startAudit } from '../../workers/start-audit.ts';
import { changedParts, NOTHING_HELD } from '../../workers/shop-parts.ts';

/** Edits that follow each other within this time are audited together. */
const PAUSE_MS = 500;

export interface AuditRun {
  /** How far the audit that runs now is, from 0 to 1; null while none runs. */
  share: number | null;
  /** Whether it was stopped by hand; the next change or `again` starts it anew. */
  stopped: boolean;
  fault: string | null;
  stop: () => void;
  again: () => void;
}

/** Audits the draft in a worker while the page is open, anew after every change; `on` is the day it judges from. */
export const useAudit = (on: string): AuditRun => {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const book = useAppSelector(selectBook);
  const catalogue = useAppSelector(selectCatalogue);
  const isDone = useAppSelector(
    ({ proof: { audit } }) => audit?.book === book && audit.catalogue === catalogue,
  );
  const [share, setShare] = useState<number | null>(null);
  const [stopped, setStopped] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const [tries, setTries] = useState(0);
  useEffect(() => setStopped(false), [book, catalogue]);
  useEffect(() => {
    if (isDone || stopped) return undefined;
    let stop = (): void => undefined;
    const timer = setTimeout(() => {
      const { orders: _, trials: __, ...shop } = changedParts(store.getState(), NOTHING_HELD);
      setShare(0);
      const work = startAudit(shop, on, setShare);
      stop = work.stop;
      work.errata.then(
        (errata) => {
          setShare(null);
          dispatch(auditCame({ errata, book, catalogue }));
        },
        (error: unknown) => setFault(error instanceof Error ? error.message : String(error)),
      );
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      stop();
      setShare(null);
    };
  }, [isDone, stopped, tries, book, catalogue, on, store, dispatch]);
  const again = useCallback(() => {
    setStopped(false);
    setTries((count) => count + 1);
  }, []);
  return { share, stopped, fault, stop: () => setStopped(true), again };
};
