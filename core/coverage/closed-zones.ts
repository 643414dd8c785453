import type { Book } from '../model/book.ts';
import type { Region } from '../model/place.ts';
import { indexSellsTo, sellsThere } from '../place/zone-index.ts';

/**
 * The zones of which nothing can be ordered, for the shop sells to none of the places they name. A zone
 * without places of its own is not among them, nor is the one for everywhere else.
 */
export const closedZones = ({ store, zones }: Book): ReadonlySet<string> => {
  const index = indexSellsTo(store.sellsTo);
  const isSold = ({ country, subdivision }: Region): boolean =>
    sellsThere(index, { country, subdivision, code: undefined });
  return new Set(
    zones
      .filter(({ includes, remainder }) => !remainder && includes.length > 0 && !includes.some(isSold))
      .map(({ id }) => id),
  );
};
