import type { CarrierAccount, CarrierQuestion } from '../../core/model/carrier.ts';
import type { Location } from '../../core/model/location.ts';
import type { Destination } from '../../core/model/place.ts';

/** One parcel of a weight in grams, asked about as an order of the account's would be, to leave today. */
export const sampleQuestion = (
  account: CarrierAccount,
  { address }: Location,
  to: Destination,
  weight: number,
  currency: string,
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
  currency,
  shipDate: new Date().toISOString().slice(0, 10),
});
