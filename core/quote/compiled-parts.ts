import { compileAdjustment, type CompiledAdjustment } from '../adjust/adjust.ts';
import { activeLimits } from '../basket/limits.ts';
import { indexDuties } from '../duty/import-charges.ts';
import { indexTaxes } from '../duty/tax.ts';
import { memoizeByObject } from '../memo/memoize-by-object.ts';
import { memoizeByText } from '../memo/memoize-by-text.ts';
import type { Book } from '../model/book.ts';
import type { DeliveryArea, PickupPoint } from '../model/delivery.ts';
import type { Good } from '../model/good.ts';
import type { Location } from '../model/location.ts';
import type { PackPlan } from '../model/pack.ts';
import type { Region } from '../model/place.ts';
import type { RateTable } from '../model/price.ts';
import type { Rate, Service } from '../model/rate.ts';
import type { Store } from '../model/store.ts';
import { packingOf, type Packing } from '../pack/packing.ts';
import { indexAreas } from '../place/area-index.ts';
import { buildPlaceIndex, type PlaceIndex } from '../place/place-index.ts';
import { indexPostalList } from '../place/postal-list.ts';
import { indexSellsTo, indexZones } from '../place/zone-index.ts';
import { kindOf } from '../price/kinds.ts';
import type { PriceOf, TableLookup } from '../price/price-kind.ts';
import { tableFalls, tableOddities, type TableOddity } from '../price/table-report.ts';
import { indexTable } from '../price/table.ts';
import { departuresFrom, type Departure } from '../time/arrival.ts';
import { indexBooked } from '../time/booked.ts';
import { makeClock, type Clock } from '../time/clock.ts';
import { currencyDecimals, type DisplayFormat } from '../words/figure.ts';
import type { CompiledRate } from './compile.ts';
import { indexGroups } from './groups.ts';
import { compileArea, compilePickup, type CompiledArea, type CompiledPickup } from './nearby.ts';
import { rateWay, shippingSteps } from './shipping.ts';

/** The parts that are made, by name, as a test counts them. */
export type PartName =
  | 'adjustment'
  | 'area'
  | 'area-index'
  | 'booked'
  | 'clock'
  | 'departures'
  | 'duties'
  | 'goods'
  | 'groups'
  | 'packing'
  | 'pickup'
  | 'postal-list'
  | 'rate'
  | 'sells-to'
  | 'table'
  | 'taxes'
  | 'zones';

const pricedByAnswers =
  (id: string): PriceOf =>
  () => {
    throw new Error(`${id} is priced by a carrier`);
  };

/** A rate of a service under a store's settings. */
const compileRate = (store: Store, service: Service, rate: Rate): CompiledRate => {
  const { id, price } = rate;
  const source = { kind: 'rate', id } as const;
  const prepared = kindOf(price).prepare?.(price) ?? pricedByAnswers(id);
  return {
    rate,
    source,
    limits: activeLimits(rate.limits),
    way: rateWay(service, rate, source),
    steps: shippingSteps(store, rate, prepared),
  };
};

/** What a part of the book that is at a location is made with. */
interface Surroundings {
  location: Location;
  clock: Clock;
  store: Store;
}

/** A part of the book at its location, made anew only where it, the location, the clock or the store is another. */
const atLocation = <P extends object, C>(
  work: (part: P, location: Location, clock: Clock, store: Store) => C,
): ((part: P, location: Location, clock: Clock, store: Store) => C) => {
  const known = new WeakMap<P, Surroundings & { made: C }>();
  return (part, location, clock, store) => {
    const last = known.get(part);
    if (last?.location === location && last.clock === clock && last.store === store) return last.made;
    const made = work(part, location, clock, store);
    known.set(part, { location, clock, store, made });
    return made;
  };
};

/**
 * What the parts of books are made into, each kept with the part it came of: one object, handed from one compilation
 * to the next. Parts that are the same objects as before are not made again.
 */
export interface CompiledParts {
  display: (store: Store) => DisplayFormat;
  clock: (zone: string) => Clock;
  goods: (goods: readonly Good[]) => ReadonlyMap<string, Good>;
  sellsTo: (sellsTo: Store['sellsTo']) => ReturnType<typeof indexSellsTo>;
  zones: (zones: Book['zones']) => ReturnType<typeof indexZones>;
  taxes: (taxes: Book['taxes']) => ReturnType<typeof indexTaxes>;
  duties: (duties: Book['duties']) => ReturnType<typeof indexDuties>;
  groups: (groups: Book['groups']) => ReturnType<typeof indexGroups>;
  postalList: (list: Book['postalList']) => ReturnType<typeof indexPostalList>;
  tables: (tables: Book['rateTables']) => TableLookup;
  adjustment: (adjustment: Book['adjustments'][number]) => CompiledAdjustment;
  rate: (store: Store) => (service: Service) => (rate: Rate) => CompiledRate;
  departures: (location: Location) => (clock: Clock) => Departure;
  packing: (boxes: Book['boxes']) => (plan: PackPlan) => (carrier: string) => Packing;
  areaIndex: (areas: Book['areas']) => (locations: Book['locations']) => ReturnType<typeof indexAreas>;
  area: (part: DeliveryArea, location: Location, clock: Clock, store: Store) => CompiledArea;
  pickup: (part: PickupPoint, location: Location, clock: Clock, store: Store) => CompiledPickup;
  /** Places that a rule names, to be asked whether they hold one. */
  regions: (regions: readonly Region[]) => PlaceIndex<null>;
  /** What is odd about a table's rows. */
  tableReport: (table: RateTable) => { odd: TableOddity[]; falls: ReturnType<typeof tableFalls> };
  booked: (slots: Parameters<typeof indexBooked>[0]) => ReturnType<typeof indexBooked>;
}

type Counted = <A extends unknown[], V>(name: PartName, work: (...args: A) => V) => (...args: A) => V;

/** The parts that are looked up by an order's place, goods or day. */
const lookups = (counted: Counted) => ({
  goods: memoizeByObject(
    counted('goods', (goods: readonly Good[]) => new Map(goods.map((good) => [good.sku, good]))),
  ),
  sellsTo: memoizeByObject(counted('sells-to', indexSellsTo)),
  zones: memoizeByObject(counted('zones', indexZones)),
  taxes: memoizeByObject(counted('taxes', indexTaxes)),
  duties: memoizeByObject(counted('duties', indexDuties)),
  groups: memoizeByObject(counted('groups', indexGroups)),
  postalList: memoizeByObject(counted('postal-list', indexPostalList)),
  booked: memoizeByObject(counted('booked', indexBooked)),
  regions: memoizeByObject((regions: readonly Region[]) => buildPlaceIndex([{ owner: null, regions }])),
  tableReport: memoizeByObject(({ rows }: RateTable) => ({
    odd: tableOddities(rows),
    falls: tableFalls(rows),
  })),
});

const tablesBy = (counted: Counted): CompiledParts['tables'] => {
  const indexOf = memoizeByObject(counted('table', indexTable));
  return memoizeByObject((tables) => {
    const byId = new Map(tables.map((table) => [table.id, table]));
    return (id) => {
      const table = byId.get(id);
      return table && indexOf(table);
    };
  });
};

export interface PartsOptions {
  /** Told of each part that is made. */
  onMade?: (name: PartName) => void;
  /** What a region is called in sentences; without it they have its code of ISO 3166-2. */
  regionName?: (code: string) => string;
}

/** No parts yet. */
export const makeParts = ({ onMade = () => {}, regionName }: PartsOptions = {}): CompiledParts => {
  const counted: Counted =
    (name, work) =>
    (...args) => {
      onMade(name);
      return work(...args);
    };
  const decimals = memoizeByText(currencyDecimals);
  const departures = counted('departures', departuresFrom);
  const packing = counted('packing', packingOf);
  const areaIndex = counted('area-index', indexAreas);
  const rate = counted('rate', compileRate);
  return {
    ...lookups(counted),
    display: memoizeByObject(({ currency, units }) => ({
      decimals: decimals(currency),
      units,
      ...(regionName ? { regionName } : {}),
    })),
    clock: memoizeByText(counted('clock', makeClock)),
    tables: tablesBy(counted),
    adjustment: memoizeByObject(counted('adjustment', compileAdjustment)),
    rate: memoizeByObject((store) =>
      memoizeByObject((service) => memoizeByObject((one) => rate(store, service, one))),
    ),
    departures: memoizeByObject((location) => memoizeByObject((clock) => departures(location, clock))),
    packing: memoizeByObject((boxes) =>
      memoizeByObject((plan) =>
        memoizeByText((carrier) => packing(plan, boxes, carrier === '' ? undefined : carrier)),
      ),
    ),
    areaIndex: memoizeByObject((areas) => memoizeByObject((locations) => areaIndex(areas, locations))),
    area: atLocation(counted('area', compileArea)),
    pickup: atLocation(counted('pickup', compilePickup)),
  };
};
