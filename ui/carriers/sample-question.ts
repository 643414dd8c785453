import type { CarrierAccount, CarrierQuestion } from '../../core/model/carrier.ts';
import type { Location } from '../../core/model/location.ts';
import type { Destination } from '../../core/model/place.ts';
import type { Store } from '../../core/model/store.ts';
import { dayNow } from '../time/now.ts';

/** One parcel of a weight in grams, asked about as an order of the account's would be, to leave today. */
export const sampleQuestion = (
  account: CarrierAccount,
  { address }: Location,
  to: Destination,
  weight: number,
  store: Store,
): CarrierQuestion => ({
  key: account.id,
  carrier: account.carrier,
  mode: account.mode,
  credentials: account.credentials,
  from: address,
  to,
  parcels: [{ weight }],
  residential: account.address === 'residential',
  handover: account.handover,
  insured: 0,
  currency: store.currency,
  shipDate: dayNow(store),
});
