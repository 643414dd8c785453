import { useEffect, useState } from 'react';
import type { Edition } from '../../../core/formats/edition.ts';
import { selectBook, selectCatalogue, selectOrdersInTime } from '../../state/selectors.ts';
import { useAppSelector, useAppStore } from '../../state/store.ts';
import { startComparison } from '../../workers/start-audit.ts';
import type { Comparison } from '../../workers/auditor.ts';
import { changedParts, NOTHING_HELD } from '../../workers/changed-parts.ts';

const PAUSE_MS = 300;

/** So many of the newest past orders are priced unless all are asked for: enough to see whom a change affects. */
const NEWEST = 1_000;

/** What publishing the draft would do, null until it is known; and how far the past orders are, from 0 to 1. */
export interface ComparisonRun {
  compared: Comparison | null;
  share: number;
  /** How many older orders are left out. */
  older: number;
  priceAll: () => void;
}

/** What publishing the draft would do to the test orders and to past orders, against the live edition. */
export const useComparison = (live: Edition | null): ComparisonRun => {
  const store = useAppStore();
  const book = useAppSelector(selectBook);
  const catalogue = useAppSelector(selectCatalogue);
  const [compared, setCompared] = useState<Comparison | null>(null);
  const [share, setShare] = useState(0);
  const orders = useAppSelector(selectOrdersInTime);
  const [isAll, setAll] = useState(false);
  const older = isAll ? 0 : Math.max(0, orders.length - NEWEST);
  useEffect(() => {
    setCompared(null);
    setShare(0);
    if (!live) return undefined;
    let stop = (): void => undefined;
    const timer = setTimeout(() => {
      const shop = { ...changedParts(store.getState(), NOTHING_HELD), orders: orders.slice(older) };
      const work = startComparison(shop, { book: live.book, catalogue: live.catalogue }, (done, of) =>
        setShare(done / of),
      );
      stop = work.stop;
      work.compared.then(setCompared, () => undefined);
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [live, book, catalogue, orders, older, store]);
  return { compared, share, older, priceAll: () => setAll(true) };
};
