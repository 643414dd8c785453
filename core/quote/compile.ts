import type { CompiledAdjustment } from '../adjust/adjust.ts';
import type { ActiveLimit } from '../basket/limits.ts';
import type { DutyIndex } from '../duty/import-charges.ts';
import type { TaxIndex } from '../duty/tax.ts';
import type { Book } from '../model/book.ts';
import type { CarrierAnswer, CarrierQuestion } from '../model/carrier.ts';
import type { Catalogue, Good } from '../model/good.ts';
import type { Location } from '../model/location.ts';
import type { Source } from '../model/quote.ts';
import type { Rate, Service } from '../model/rate.ts';
import type { Packing } from '../pack/packing.ts';
import type { AreaIndex } from '../place/area-index.ts';
import type { PostalIndex } from '../place/postal-list.ts';
import type { SellsToIndex, ZoneIndex } from '../place/zone-index.ts';
import type { TableLookup } from '../price/price-kind.ts';
import type { Departure } from '../time/arrival.ts';
import type { Clock } from '../time/clock.ts';
import type { DisplayFormat } from '../words/figure.ts';
import type { CompiledAccount } from './account.ts';
import type { ChargeStep } from './charge.ts';
import { makeParts, type CompiledParts } from './compiled-parts.ts';
import type { GroupIndex } from './groups.ts';
import type { CompiledArea, CompiledPickup } from './nearby.ts';
import type { Way } from './outcome.ts';

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
  /** What it was made of, for the next compilation of the same shop. */
  parts: CompiledParts;
  /** Answers carriers' questions at once where none are handed in: stand-ins, for test orders and replays. */
  ask: Ask | null;
}

const servicesOf = ({ services, rates, store }: Book, parts: CompiledParts): CompiledService[] => {
  const compiled = services.map((service) => ({
    service,
    source: { kind: 'service', id: service.id } as const,
    byZone: new Map<string, CompiledRate>(),
  }));
  const byId = new Map(compiled.map((one) => [one.service.id, one]));
  for (const rate of rates) {
    const one = byId.get(rate.serviceId);
    one?.byZone.set(rate.zoneId, parts.rate(store)(one.service)(rate));
  }
  return compiled;
};

/** Parts of the book with the locations they name; the reader refuses one whose location is gone. */
const located = <P extends { locationId: string }, C>(
  list: readonly P[],
  locations: readonly Location[],
  make: (part: P, location: Location) => C,
): C[] =>
  list.flatMap((part) => {
    const location = locations.find(({ id }) => id === part.locationId);
    return location ? [make(part, location)] : [];
  });

const accountsOf = (
  { carriers, locations, boxes }: Book,
  clock: Clock,
  parts: CompiledParts,
): Map<string, CompiledAccount> =>
  new Map(
    located(carriers, locations, (account, location) => [
      account.id,
      {
        account,
        source: { kind: 'carrier', id: account.id } as const,
        location,
        departures: parts.departures(location)(clock),
        packing: parts.packing(boxes)(account.packing)(account.carrier),
      },
    ]),
  );

/**
 * A book and its catalogue, indexed once for many quotes. `parts` are those of an earlier compilation: what is the
 * same object as in it is not made again, so that editing a rate makes that rate again and nothing else.
 */
export const compile = (
  book: Book,
  catalogue: Pick<Catalogue, 'goods'>,
  ask: Ask | null = null,
  parts: CompiledParts = makeParts(),
): CompiledBook => {
  const { store, locations } = book;
  const clock = parts.clock(store.timeZone);
  const [first] = locations;
  return {
    book,
    parts,
    display: parts.display(store),
    goods: parts.goods(catalogue.goods),
    sellsTo: parts.sellsTo(store.sellsTo),
    zones: parts.zones(book.zones),
    services: servicesOf(book, parts),
    taxes: parts.taxes(book.taxes),
    groups: parts.groups(book.groups),
    adjustments: book.adjustments.filter(({ active }) => active).map(parts.adjustment),
    postalList: parts.postalList(book.postalList),
    tables: parts.tables(book.rateTables),
    clock,
    ask,
    accounts: accountsOf(book, clock, parts),
    areas: located(book.areas, locations, (area, at) => parts.area(area, at, clock, store)),
    areaIndex: parts.areaIndex(book.areas)(locations),
    pickups: located(book.pickups, locations, (point, at) => parts.pickup(point, at, clock, store)),
    duties: parts.duties(book.duties),
    packing: parts.packing(book.boxes)(store.packing)(''),
    departures: first ? parts.departures(first)(clock) : null,
  };
};
