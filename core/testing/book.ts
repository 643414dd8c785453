import { emptyBook } from '../begin/first-book.ts';
import type { Book } from '../model/book.ts';
import type { CarrierAccount } from '../model/carrier.ts';
import type { Catalogue, Good, HandlingGroup } from '../model/good.ts';
import type { DeliveryArea, PickupPoint } from '../model/delivery.ts';
import type { Location } from '../model/location.ts';
import type { Zone } from '../model/place.ts';
import type { CarrierPrice, Step, StepsPrice } from '../model/price.ts';
import type { Choice, Quote, Withheld } from '../model/quote.ts';
import type { Rate } from '../model/rate.ts';
import type { DutyRate, DutyRules } from '../model/tax.ts';
import type { QuoteRequest } from '../model/request.ts';
import type { CarrierShipment } from '../model/shipment.ts';
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
  id: 'fulmar',
  name: 'Fulmar',
  carrier: 'fulmar',
  mode: 'live',
  credentials: { kind: 'shared' },
  locationId: 'yard',
  handover: 'collected',
  address: 'as-given',
  packing: { kind: 'single' },
  books: false,
  timeoutMs: 2_000,
  ...part,
});

/** A price by that account's carrier, for its ground service, withheld where it cannot be had. */
export const makeCarrierPrice = (part: Partial<CarrierPrice> = {}): CarrierPrice => ({
  kind: 'carrier',
  accountId: 'fulmar',
  services: [{ code: 'ground' }],
  show: 'all',
  onError: 'withhold',
  onNone: 'withhold',
  ...part,
});

export const tiers = (basis: StepsPrice['basis'], steps: Step[], until?: number): StepsPrice => ({
  kind: 'steps',
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

/** A handling group named after its id, whose goods go in no way but those given. */
export const makeGroup = (id: string, part: Partial<HandlingGroup> = {}): HandlingGroup => ({
  id,
  name: id,
  shipping: 'none',
  delivery: 'none',
  pickup: 'none',
  ...part,
});

/** A point in Halifax, and one so many metres north of it. */
export const YARD_POINT = { lat: 44.65, lng: -63.6 };
export const northOfYard = (metres: number): { lat: number; lng: number } => ({
  ...YARD_POINT,
  lat: YARD_POINT.lat + (metres / 6_371_008.8) * (180 / Math.PI),
});

/** A location that is open on weekdays from 08:30 to 16:30. */
export const makeYard = (part: Partial<Location> = {}): Location => ({
  id: 'yard',
  name: 'Yard',
  address: { country: 'CA', subdivision: 'CA-NS', postalCode: 'B3K 1A1', point: YARD_POINT },
  hours: ([1, 2, 3, 4, 5] as const).map((day) => ({ day, from: '08:30', to: '16:30' })),
  closedDates: [],
  ...part,
});

/** A delivery area around that location: B2G*, 6.40, by van, ready at once. */
export const makeArea = (part: Partial<DeliveryArea> = {}): DeliveryArea => ({
  id: 'ring',
  name: 'Ring',
  active: true,
  locationId: 'yard',
  covers: { kind: 'postal', country: 'CA', patterns: ['B2G*'] },
  price: { kind: 'flat', amount: 640, per: 'order' },
  methods: [{ id: 'van', name: 'Van', add: 0, timing: { kind: 'words', text: 'within two days' } }],
  preparation: { kind: 'open-minutes', minutes: 0 },
  taxable: true,
  ...part,
});

/** A pickup point at that location, without a charge. */
export const makePickup = (part: Partial<PickupPoint> = {}): PickupPoint => ({
  id: 'counter',
  name: 'Counter',
  active: true,
  locationId: 'yard',
  charge: 0,
  preparation: { kind: 'open-minutes', minutes: 60 },
  timing: { kind: 'words', text: 'when we write' },
  kerbside: false,
  taxable: true,
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

/** Import charges of the United States: 5 % duty, and 10 % tax on both. */
export const makeDutyRate = (part: Partial<DutyRate> = {}): DutyRate => ({
  country: 'US',
  duty: 500,
  importTax: 1_000,
  freeBelow: 0,
  valueBasis: 'goods',
  ...part,
});

/** Duties of a shop at home in Canada, which says how much falls due on arrival. */
export const makeDuties = (part: Partial<DutyRules> = {}): DutyRules => ({
  show: 'amount',
  terms: 'DAP',
  homeCountries: ['CA'],
  clearanceFee: 0,
  rates: [makeDutyRate()],
  ...part,
});

/** A shipment of one parcel that a carrier booked. */
export const makeShipment = (part: Partial<CarrierShipment> = {}): CarrierShipment => ({
  carrier: 'fulmar',
  tracking: 'TE1',
  reference: '1001',
  service: { code: 'ground', name: 'Ground' },
  sandbox: false,
  amount: 1_120,
  currency: 'CAD',
  parcels: [1_360.777],
  from: { country: 'CA', postalCode: 'B3K 1A1' },
  to: { country: 'CA', postalCode: 'B3H 4R2' },
  bookedAt: '2026-11-24T10:15:00-04:00',
  shipDate: '2026-11-24',
  due: '2026-11-26',
  ...part,
});
