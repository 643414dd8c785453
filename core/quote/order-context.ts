import type { QuoteRequest } from '../model/request.ts';
import type { Parcels } from '../pack/parcels.ts';
import { metresBetween } from '../place/distance.ts';
import type { Basket } from '../basket/basket.ts';
import type { CompiledBook } from './compile.ts';
import type { Reach } from './destination.ts';

/** What one quote is asked, measured once; rules look at nothing else. */
export interface OrderContext {
  compiled: CompiledBook;
  request: QuoteRequest;
  basket: Basket;
  parcels: Parcels;
  reach: Reach;
}

/** Metres from a location to the destination, or null where either point is not known. */
export const distanceFrom = (
  location: CompiledBook['book']['locations'][number] | undefined,
  { destination }: QuoteRequest,
): number | null => {
  const here = location?.address.point;
  const there = destination?.point;
  return here && there ? metresBetween(here, there) : null;
};
