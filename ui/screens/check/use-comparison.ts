import { useEffect, useState } from 'react';
import type { Edition } from '../../../core/formats/edition.ts';
import { selectBook, selectCatalogue } from '../../state/selectors.ts';
import { useAppSelector, useAppStore } from '../../state/store.ts';
import { startComparison } from '../../workers/start-audit.ts';
import type { Comparison } from '../../workers/auditor.ts';
import { changedParts, NOTHING_HELD } from '../../workers/shop-parts.ts';

const PAUSE_MS = 300;

/** What publishing the draft would do to the test orders and to past orders, against the live edition; null until it is known. */
export const useComparison = (live: Edition | null): Comparison | null => {
  const store = useAppStore();
  const book = useAppSelector(selectBook);
  const catalogue = useAppSelector(selectCatalogue);
  const [compared, setCompared] = useState<Comparison | null>(null);
  useEffect(() => {
    setCompared(null);
    if (!live) return undefined;
    let stop = (): void => undefined;
    const timer = setTimeout(() => {
      const shop = changedParts(store.getState(), NOTHING_HELD);
      const work = startComparison(shop, { book: live.book, catalogue: live.catalogue });
      stop = work.stop;
      work.compared.then(setCompared, () => undefined);
    }, PAUSE_MS);
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [live, book, catalogue, store]);
  return compared;
};
