import { useCallback, useEffect, useState } from 'react';
import type { AuditProgress } from '../../../core/audit/audit.ts';
import { loadWorldPlaces } from '../../places/places.ts';
import { auditCame } from '../../state/check.ts';
import { selectBook, selectCatalogue } from '../../state/selectors.ts';
import { useAppDispatch, useAppSelector, useAppStore } from '../../state/store.ts';
import { auditDraft } from '../../workers/start-audit.ts';

/** Edits that follow each other within this time are audited together. */
const PAUSE_MS = 20;
/** An audit that is done sooner says nothing of how far it is. */
const QUIET_MS = 400;

/** Waits for the names of regions, which problems have in their sentences; without them they have codes. */
const withNames = (): Promise<unknown> => loadWorldPlaces().catch(() => null);

export interface AuditRun {
  /** How far the audit that runs now is; null while none runs, or has only just begun. */
  progress: AuditProgress | null;
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
    ({ check: { audit } }) => audit?.book === book && audit.catalogue === catalogue,
  );
  const [progress, setProgress] = useState<AuditProgress | null>(null);
  const [stopped, setStopped] = useState(false);
  const [fault, setFault] = useState<string | null>(null);
  const [tries, setTries] = useState(0);
  useEffect(() => setStopped(false), [book, catalogue]);
  useEffect(() => {
    if (isDone || stopped) return undefined;
    let isOver = false;
    let stop = (): void => undefined;
    const begin = (): void => {
      const begun = performance.now();
      const tell = (now: AuditProgress): void => {
        if (performance.now() - begun > QUIET_MS) setProgress(now);
      };
      const state = store.getState();
      const { workbook } = state.draft;
      const work = auditDraft(state, on, tell);
      stop = work.stop;
      work.problems.then(
        (problems) => {
          setFault(null);
          if (problems) dispatch(auditCame({ problems, book: workbook.book, catalogue: workbook.catalogue }));
        },
        (error: unknown) => setFault(error instanceof Error ? error.message : String(error)),
      );
    };
    const timer = setTimeout(() => {
      void withNames().then(() => {
        if (!isOver) begin();
      });
    }, PAUSE_MS);
    return () => {
      isOver = true;
      clearTimeout(timer);
      stop();
      setProgress(null);
    };
  }, [isDone, stopped, tries, book, catalogue, on, store, dispatch]);
  const again = useCallback(() => {
    setFault(null);
    setStopped(false);
    setTries((count) => count + 1);
  }, []);
  return { progress, stopped, fault, stop: () => setStopped(true), again };
};
