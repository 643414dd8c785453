import type { Parcel } from '../model/quote.ts';
import type { QuoteRequest } from '../model/request.ts';
import { listParcels } from '../pack/list.ts';
import { measureBasket } from '../basket/basket.ts';
import type { CompiledBook } from './compile.ts';

/** The parcels in which a carrier is asked about an order, and the account it is asked for. */
export interface CarrierParcels {
  account: string;
  /** A lighter parcel is asked about at this weight, in grams. */
  leastWeight?: number;
  parcels: Parcel[];
}

/**
 * The parcels that the carrier of a rate is asked about: the goods that are charged for, packed by its account's plan.
 * Null where the rate is not priced by a carrier.
 */
export const carrierParcels = (
  compiled: CompiledBook,
  request: QuoteRequest,
  rateId: string,
): CarrierParcels | null => {
  const price = compiled.book.rates.find(({ id }) => id === rateId)?.price;
  const account = price?.kind === 'carrier' ? compiled.accounts.get(price.accountId) : undefined;
  if (!account) return null;
  const { defaultWeight } = compiled.book.store;
  const { basket } = measureBasket(compiled.goods, defaultWeight, request);
  const { name, leastParcelWeight } = account.account;
  return {
    account: name,
    ...(leastParcelWeight === undefined ? {} : { leastWeight: leastParcelWeight }),
    parcels: listParcels(account.packing, basket.chargeable, defaultWeight),
  };
};
