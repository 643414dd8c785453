import { useMemo } from 'react';
import { useWorldPlaces } from '../places/places.ts';
import { selectBook, selectCatalogue, selectDisplayFormat, selectTestOrders } from '../state/selectors.ts';
import { useAppSelector } from '../state/store.ts';
import type { Entry } from './entry.ts';
import { countryEntries } from './place-entries.ts';
import { shopEntries } from './shop-entries.ts';
import { TOPICS } from './topics.ts';

/** All that can be found in the draft as it is: what the merchant has named first, then pages, then countries. */
export const useEntries = (): readonly Entry[] => {
  const book = useAppSelector(selectBook);
  const { goods } = useAppSelector(selectCatalogue);
  const testOrders = useAppSelector(selectTestOrders);
  const display = useAppSelector(selectDisplayFormat);
  const places = useWorldPlaces();
  return useMemo(
    () => [
      ...shopEntries(book, goods, testOrders, display),
      ...TOPICS,
      ...(places ? countryEntries(places) : []),
    ],
    [book, goods, testOrders, display, places],
  );
};
