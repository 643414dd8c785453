import type { CarrierQuestion } from '../../core/model/carrier.ts';

/** A parcel of two kilograms from Halifax to an address, as a shop would ask. */
export const makeQuestion = (part: Partial<CarrierQuestion> = {}): CarrierQuestion => ({
  key: 'account',
  carrier: 'fulmar',
  mode: 'live',
  credentials: { kind: 'shared' },
  from: { country: 'CA', subdivision: 'CA-NS', postalCode: 'B3K 2Z1', city: 'Halifax' },
  to: { country: 'CA', subdivision: 'CA-ON', postalCode: 'M5V 2T6', city: 'Toronto' },
  parcels: [{ weight: 2_000 }],
  residential: false,
  handover: 'collected',
  insured: 0,
  currency: 'CAD',
  shipDate: '2026-11-26',
  ...part,
});
