import { indexDuties, type DutyIndex } from '../duty/import-charges.ts';
import { indexTaxes, type TaxIndex } from '../duty/tax.ts';
import type { Book } from '../model/book.ts';
import type { CarrierAnswer, CarrierQuestion } from '../model/carrier.ts';
import type { Catalogue, Good } from '../model/good.ts';
import type { PackPlan } from '../model/pack.ts';
import type { Source } from '../model/quote.ts';
import type { Rate, Service } from '../model/rate.ts';
import type { Location } from '../model/location.ts';
import type { Store } from '../model/store.ts';
import { indexAreas, type AreaIndex } from '../place/area-index.ts';
import { indexPostalList, type PostalIndex } from '../place/postal-list.ts';
import { indexSellsTo, indexZones, type SellsToIndex, type ZoneIndex } from '../place/zone-index.ts';
import { packingOf, type Packing } from '../pack/packing.ts';
import { activeLimits, type ActiveLimit } from '../basket/limits.ts';
import { kindOf } from '../price/kinds.ts';
import type { PriceOf, TableLookup } from '../price/price-kind.ts';
import { indexTable } from '../price/table.ts';
import { departuresFrom, type Departure } from '../time/arrival.ts';
import { makeClock, type Clock } from '../time/clock.ts';
import { memoizeByText } from '../memo/memoize-by-text.ts';
import type { CompiledAccount } from './account.ts';
import type { ChargeStep } from './charge.ts';
import { compileAdjustment, type CompiledAdjustment } from '../adjust/adjust.ts';
import { memoizeByObject } from '../memo/memoize-by-object.ts';
import { compileArea, compilePickup, type CompiledArea, type CompiledPickup } from './nearby.ts';
import type { Way } from './outcome.ts';
import { rateWay, shippingSteps } from './shipping.ts';
import { indexGroups, type GroupIndex } from './groups.ts';
import { currencyDecimals, type DisplayFormat } from '../words/figure.ts';

/** A rate with its limits in order, and the steps by which it charges. */
export interface CompiledRate {
  rate: Rate;
  source: Source;
  limits: readonly ActiveLimit[];
  way: Way;
  steps: readonly ChargeStep[];
}

/** A service and where it is to be found in each zone. */
export interface CompiledService {
  service: Service;
  source: Source;
  byZone: ReadonlyMap<string, CompiledRate>;
}

/** What carriers say to questions, in a pure function. */
export type Ask = (questions: readonly CarrierQuestion[]) => readonly CarrierAnswer[];

/** A book and a catalogue made ready for many quotes. */
export interface CompiledBook {
  book: Book;
  display: DisplayFormat;
  goods: ReadonlyMap<string, Good>;
  sellsTo: SellsToIndex;
  zones: ZoneIndex;
  services: readonly CompiledService[];
  taxes: TaxIndex;
  groups: GroupIndex;
  /** The adjustments that are switched on, in their order. */
  adjustments: readonly CompiledAdjustment[];
  postalList: PostalIndex;
  tables: TableLookup;
  clock: Clock;
  departures: Departure | null;
  /** The carrier accounts by id, in the order of the book. */
  accounts: ReadonlyMap<string, CompiledAccount>;
  duties: DutyIndex;
  areas: readonly CompiledArea[];
  areaIndex: AreaIndex;
  pickups: readonly CompiledPickup[];
  /** How the store packs, with its boxes. */
  packing: Packing;
  /** Answers carriers' questions at once where none are handed in: stand-ins, for test orders and replays. */
  ask: Ask | null;
}

const decimalsByCurrency = new Map<string, number>();
const decimalsOf = (currency: string): number => {
  const decimals = decimalsByCurrency.get(currency) ?? currencyDecimals(currency);
  decimalsByCurrency.set(currency, decimals);
  return decimals;
};

const displayFormatOf = memoizeByObject(({ currency, units }: Book['store']): DisplayFormat => ({
  decimals: decimalsOf(currency),
  units,
}));
const goodsBySku = memoizeByObject(
  (goods: readonly Good[]) => new Map(goods.map((good) => [good.sku, good])),
);
const sellsToOf = memoizeByObject(indexSellsTo);
const zonesOf = memoizeByObject(indexZones);
const taxesOf = memoizeByObject(indexTaxes);
const dutiesOf = memoizeByObject(indexDuties);
const groupsOf = memoizeByObject(indexGroups);
const postalListOf = memoizeByObject(indexPostalList);
const tableIndexOf = memoizeByObject(indexTable);
const tablesOf = memoizeByObject((tables: Book['rateTables']): TableLookup => {
  const byId = new Map(tables.map((table) => [table.id, table]));
  return (id) => {
    const table = byId.get(id);
    return table && tableIndexOf(table);
  };
});
const adjustmentOf = memoizeByObject(compileAdjustment);
const adjustmentsOf = memoizeByObject((adjustments: Book['adjustments']) =>
  adjustments.filter(({ active }) => active).map(adjustmentOf),
);
const ratesOf = memoizeByObject((store: Store) =>
  memoizeByObject((service: Service) =>
    memoizeByObject((rate: Rate): CompiledRate => {
      const { id, price } = rate;
      const source = { kind: 'rate', id } as const;
      const prepared = kindOf(price).prepare?.(price) ?? pricedByAnswers(id);
      return {
        rate,
        source,
        limits: activeLimits(rate.limits),
        way: rateWay(service, rate, source),
        steps: shippingSteps(store, rate, source, prepared),
      };
    }),
  ),
);

const pricedByAnswers =
  (id: string): PriceOf =>
  () => {
    throw new Error(`${id} is priced by what a carrier answers`);
  };

const servicesOf = (book: Book): CompiledService[] => {
  const compiled = book.services.map((service) => ({
    service,
    source: { kind: 'service', id: service.id } as const,
    byZone: new Map<string, CompiledRate>(),
  }));
  const byId = new Map(compiled.map((one) => [one.service.id, one]));
  for (const rate of book.rates) {
    const service = byId.get(rate.serviceId);
    service?.byZone.set(rate.zoneId, ratesOf(book.store)(service.service)(rate));
  }
  return compiled;
};

const clocks = new Map<string, Clock>();
const clockOf = (zone: string): Clock => {
  const clock = clocks.get(zone) ?? makeClock(zone);
  clocks.set(zone, clock);
  return clock;
};

/** The departures of one location, kept for each time zone it was asked in. */
const departuresOf = memoizeByObject((location: Book['locations'][number]) => {
  const byZone = new Map<string, Departure>();
  return (clock: Clock): Departure => {
    const known = byZone.get(clock.zone) ?? departuresFrom(location, clock);
    byZone.set(clock.zone, known);
    return known;
  };
});

/** What a part of the book that is at a location is made with. */
interface Surroundings {
  location: Location;
  clock: Clock;
  store: Store;
}

/** A part of the book made anew only where it, its location or the store is another; one whose location is gone is left out. */
const atLocation = <P extends { locationId: string }, C>(
  work: (part: P, location: Location, clock: Clock, store: Store) => C,
): ((parts: readonly P[], book: Book, clock: Clock) => C[]) => {
  const known = memoizeByObject((_part: P): { last: (Surroundings & { made: C }) | null } => ({
    last: null,
  }));
  const make = (part: P, location: Location, clock: Clock, store: Store): C => {
    const kept = known(part);
    const { last } = kept;
    if (last?.location === location && last.clock === clock && last.store === store) return last.made;
    const made = work(part, location, clock, store);
    kept.last = { location, clock, store, made };
    return made;
  };
  return (parts, { locations, store }, clock) =>
    parts.flatMap((part) => {
      const location = locations.find(({ id }) => id === part.locationId);
      return location ? [make(part, location, clock, store)] : [];
    });
};

const areasOf = atLocation(compileArea);
const pickupsOf = atLocation(compilePickup);
const areaIndexOf = memoizeByObject((areas: Book['areas']) =>
  memoizeByObject((locations: Book['locations']) => indexAreas(areas, locations)),
);

/** The packing of a plan with the boxes of a book, kept with all that was packed by it. */
const packingsOf = memoizeByObject((boxes: Book['boxes']) =>
  memoizeByObject((plan: PackPlan) =>
    memoizeByText((carrier) => packingOf(plan, boxes, carrier === '' ? undefined : carrier)),
  ),
);

/** Accounts with their locations; one whose location is gone is left out by the reader's refusal. */
const accountsOf = (book: Book, clock: Clock): Map<string, CompiledAccount> =>
  new Map(
    book.carriers.flatMap((account): [string, CompiledAccount][] => {
      const location = book.locations.find(({ id }) => id === account.locationId);
      if (!location) return [];
      const compiled = {
        account,
        source: { kind: 'carrier', id: account.id } as const,
        location,
        departures: departuresOf(location)(clock),
        packing: packingsOf(book.boxes)(account.packing)(account.carrier),
      };
      return [[account.id, compiled]];
    }),
  );

/**
 * A book and its catalogue, indexed once for many quotes. Parts that are the same objects as in an
 * earlier call are not indexed again: editing a rate leaves the place index as it is.
 */
export const compile = (
  book: Book,
  catalogue: Pick<Catalogue, 'goods'>,
  ask: Ask | null = null,
): CompiledBook => {
  const clock = clockOf(book.store.timeZone);
  const first = book.locations[0];
  return {
    book,
    display: displayFormatOf(book.store),
    goods: goodsBySku(catalogue.goods),
    sellsTo: sellsToOf(book.store.sellsTo),
    zones: zonesOf(book.zones),
    services: servicesOf(book),
    taxes: taxesOf(book.taxes),
    groups: groupsOf(book.groups),
    adjustments: adjustmentsOf(book.adjustments),
    postalList: postalListOf(book.postalList),
    tables: tablesOf(book.rateTables),
    clock,
    ask,
    accounts: accountsOf(book, clock),
    areas: areasOf(book.areas, book, clock),
    areaIndex: areaIndexOf(book.areas)(book.locations),
    pickups: pickupsOf(book.pickups, book, clock),
    duties: dutiesOf(book.duties),
    packing: packingsOf(book.boxes)(book.store.packing)(''),
    departures: first ? departuresOf(first)(clock) : null,
  };
};
