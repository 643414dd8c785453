import type { AdjustedOrder } from '../adjust/adjustment-kind.ts';
import { measureBasket } from '../basket/basket.ts';
import { taxesAt, taxOn } from '../duty/tax.ts';
import type { CarrierAnswer } from '../model/carrier.ts';
import type { Result } from '../model/fault.ts';
import type { HandlingGroup } from '../model/good.ts';
import type { QuoteRequest } from '../model/request.ts';
import type { TaxRate } from '../model/tax.ts';
import type { Packing } from '../pack/packing.ts';
import { Parcels } from '../pack/parcels.ts';
import type { Entries } from '../price/price-kind.ts';
import { metresBetween } from '../place/distance.ts';
import type { Departure, HandOver } from '../time/arrival.ts';
import type { BookedCount } from '../time/booked.ts';
import type { DayNumber } from '../time/calendar.ts';
import type { CompiledAccount } from './account.ts';
import type { CompiledBook } from './compile.ts';
import { reachOf, type Reach } from './destination.ts';
import { goodsFeesOf } from './goods-fees.ts';
import { groupsOf } from './groups.ts';
import { placedDay } from './placed-day.ts';

/** All that one order is asked and measures, worked out once; rules look at nothing else. */
export interface OrderContext extends AdjustedOrder {
  compiled: CompiledBook;
  request: QuoteRequest;
  reach: Reach;
  /** The tax on the goods, minor units. */
  goodsTax: number;
  /** The taxes on charges at the destination. */
  taxes: readonly TaxRate[];
  /** The handling groups that its goods are in. */
  groups: readonly HandlingGroup[];
  /** What its products add to every charge. */
  goodsFees: Entries;
  /** Where the order leaves from, and when it does. */
  departures: Departure | null;
  handOver: HandOver | null;
  /** What the carriers said, by account. */
  answers: ReadonlyMap<string, CarrierAnswer>;
  /** The slots that other orders took, by pickup point or 'area:method'; null where none are said to be. */
  booked: ReadonlyMap<string, BookedCount> | null;
  /** The products charged for in the parcels of a carrier's account. */
  carrierParcels: (account: CompiledAccount) => Parcels;
}

/** Metres from a location to the destination, or null where either point is not known. */
export const distanceFrom = (
  location: CompiledBook['book']['locations'][number] | undefined,
  { destination }: QuoteRequest,
): number | null => {
  const here = location?.address.point;
  const there = destination?.point;
  return here && there ? metresBetween(here, there) : null;
};

/** The same order as it is asked from another location, so many metres away; null where that is not known. */
export const fromThere = (order: OrderContext, distance: number | null): OrderContext =>
  distance === order.distance ? order : { ...order, distance };

/** The same order with what the carriers said to its questions. */
export const withAnswers = (order: OrderContext, answers: readonly CarrierAnswer[]): OrderContext =>
  answers.length === 0 ? order : { ...order, answers: new Map(answers.map((one) => [one.key, one])) };

const NO_ANSWERS: ReadonlyMap<string, CarrierAnswer> = new Map();

/** Packs for an account once, however many ask. */
const packedByAccount = (packed: (packing: Packing) => Parcels): OrderContext['carrierParcels'] => {
  let known: Map<CompiledAccount, Parcels> | null = null;
  return (account) => {
    known ??= new Map();
    const parcels = known.get(account) ?? packed(account.packing);
    known.set(account, parcels);
    return parcels;
  };
};

/** An order measured once, or what makes it unusable with this book. */
export const checkedContext = (compiled: CompiledBook, request: QuoteRequest): Result<OrderContext> => {
  const { defaultWeight, pricesIncludeTax } = compiled.book.store;
  const { basket, faults } = measureBasket(compiled.goods, defaultWeight, request);
  if (faults.length > 0) return { ok: false, faults: [...faults] };
  const reach = reachOf(compiled, request);
  const { place } = reach;
  const packed = (packing: Packing): Parcels => new Parcels(packing, basket.chargeable, defaultWeight);
  let placedOn: DayNumber | null = null;
  const order: OrderContext = {
    compiled,
    request,
    basket,
    reach,
    place,
    tables: compiled.tables,
    parcels: packed(compiled.packing),
    carrierParcels: packedByAccount(packed),
    placedOn: () => (placedOn ??= placedDay({ compiled, request })),
    distance: distanceFrom(compiled.book.locations[0], request),
    goodsTax: taxOn(basket.subtotal, taxesAt(compiled.taxes.goods, place), pricesIncludeTax),
    taxes: taxesAt(compiled.taxes.charges, place),
    goodsFees: goodsFeesOf(basket.physical),
    groups: groupsOf(compiled.groups, basket.physical),
    departures: compiled.departures,
    handOver: compiled.departures?.handOver(request.placedAt) ?? null,
    answers: NO_ANSWERS,
    booked: request.slotsTaken ? compiled.parts.booked(request.slotsTaken) : null,
  };
  return { ok: true, value: order };
};

/** An order measured once. The request is one that `requestFaults` finds nothing wrong with; another throws. */
export const orderContext = (compiled: CompiledBook, request: QuoteRequest): OrderContext => {
  const order = checkedContext(compiled, request);
  if (order.ok) return order.value;
  throw new Error(`the request was not checked: ${order.faults.map(({ code }) => code).join()}`);
};
