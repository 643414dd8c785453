import type { CarrierAccount } from '../model/carrier.ts';
import type { Location } from '../model/location.ts';
import type { Source } from '../model/quote.ts';
import type { Packing } from '../pack/packing.ts';
import type { Departure } from '../time/arrival.ts';

/** A carrier account with the location it ships from and the boxes it packs into. */
export interface CompiledAccount {
  account: CarrierAccount;
  source: Source;
  location: Location;
  departures: Departure;
  packing: Packing;
}
