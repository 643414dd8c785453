import { emptyBook } from '../begin/first-book.ts';
import type { Book } from '../model/book.ts';
import type { CarrierAccount } from '../model/carrier.ts';
import type { Catalogue, Good } from '../model/good.ts';
import type { Zone } from '../model/place.ts';
import type { CarrierPrice, Step, TiersPrice } from '../model/price.ts';
import type { Choice, Quote, Withheld } from '../model/quote.ts';
import type { Rate } from '../model/rate.ts';
import type { QuoteRequest } from '../model/request.ts';
import { compile } from '../quote/compile.ts';
import { quote } from '../quote/quote.ts';

/** Small sound pieces that tests put together. */

export const makeZone = (id: string, part: Partial<Zone> = {}): Zone => ({
  id,
  name: id,
  active: true,
  includes: [{ country: 'CA' }],
  excludes: [],
  remainder: false,
  ...part,
});

export const makeRate = (part: Partial<Rate> = {}): Rate => ({
  id: 'parcel-country',
  serviceId: 'parcel',
  zoneId: 'country',
  active: true,
  price: { kind: 'flat', amount: 845, per: 'order' },
  whenWithheld: 'hide',
  taxable: true,
  ...part,
});

/** An account with a carrier that ships from the location `yard`. */
export const makeAccount = (part: Partial<CarrierAccount> = {}): CarrierAccount => ({
  id: 'tern',
  name: 'Tern',
  carrier: 'tern',
  mode: 'live',
  credentials: { kind: 'shared' },
  locationId: 'yard',
  handover: 'collected',
  address: 'as-given',
  packing: { kind: 'single' },
  booking: 'rate-only',
  timeoutMs: 2_000,
  ...part,
});

/** A price by that account's carrier, for its ground service, withheld where it cannot be had. */
export const makeCarrierPrice = (part: Partial<CarrierPrice> = {}): CarrierPrice => ({
  kind: 'carrier',
  accountId: 'tern',
  services: [{ code: 'ground' }],
  show: 'all',
  onError: 'withhold',
  onNone: 'withhold',
  ...part,
});

export const tiers = (basis: TiersPrice['basis'], steps: Step[], until?: number): TiersPrice => ({
  kind: 'tiers',
  basis,
  per: 'order',
  steps,
  ...(until === undefined ? {} : { until }),
});

export const makeGood = (sku: string, part: Partial<Good> = {}): Good => ({
  sku,
  name: sku,
  price: 1_000,
  fulfilment: 'physical',
  weight: 500,
  ...part,
});

type Part = Partial<Omit<Book, 'store'>> & { store?: Partial<Book['store']> };

/** A book of one zone, one service and one flat rate, with parts replaced. */
export const makeBook = ({ store, ...part }: Part = {}): Book => {
  const empty = emptyBook({ name: 'Test yard', currency: 'CAD', timeZone: 'America/Halifax', ...store });
  return {
    ...empty,
    zones: [makeZone('country')],
    services: [{ id: 'parcel', name: 'Parcel' }],
    rates: [makeRate()],
    duties: { ...empty.duties, homeCountries: ['CA'] },
    ...part,
  };
};

export const makeCatalogue = (...goods: Good[]): Catalogue => ({
  format: 'emporos-catalogue',
  version: 1,
  goods: goods.length > 0 ? goods : [makeGood('pot')],
});

export const makeRequest = (part: Partial<QuoteRequest> = {}): QuoteRequest => ({
  destination: { country: 'CA', subdivision: 'CA-NS', postalCode: 'B2G 2L2' },
  lines: [{ sku: 'pot', quantity: 1 }],
  placedAt: '2026-11-24T10:15:00-04:00',
  ...part,
});

/** A quote of a book, a request and, where it matters, a catalogue. */
export const quoted = (
  book: Book,
  request: QuoteRequest = makeRequest(),
  catalogue: Catalogue = makeCatalogue(),
): Quote => quote(compile(book, catalogue), request);

/** The one choice of a quote that has just one. */
export const onlyChoice = ({ choices, withheld }: Quote): Choice => {
  const [choice, ...rest] = choices;
  if (!choice || rest.length > 0)
    throw new Error(`expected one choice: ${JSON.stringify({ choices, withheld })}`);
  return choice;
};

/** The one withheld choice of a quote that has nothing else. */
export const onlyWithheld = ({ choices, withheld }: Quote): Withheld => {
  const [one, ...rest] = withheld;
  if (!one || rest.length > 0 || choices.length > 0)
    throw new Error(`expected one withheld: ${JSON.stringify({ choices, withheld })}`);
  return one;
};
