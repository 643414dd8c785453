import { measureBasket } from '../basket/basket.ts';
import { taxesAt, taxOn } from '../duty/tax.ts';
import type { PastOrder } from '../model/order.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { reachOf } from '../quote/destination.ts';
import { requestFaults } from '../quote/quote.ts';
import { estimatedCost } from './estimated-cost.ts';

/** How a cost is known: kept with the order, worked out from what carriers ask for its parcels, or not at all. */
export type CostOrigin = 'recorded' | 'estimated' | 'unknown';

/** The row and the column of the board by margin that an order is counted in. */
export interface BoardPlace {
  /** 'zone', 'area' or 'pickup' and an id; 'gone' where the book no longer has what was chosen. */
  row: string;
  /** 'service' and an id for what is shipped; else 'nearby', or 'gone'. */
  column: string;
}

/** One order that was sent, delivered or collected, with what it brought and what it took; amounts in minor units. */
export interface CostedOrder extends BoardPlace {
  order: PastOrder;
  /** Grams of what travels, or null where it is not known. */
  weight: number | null;
  /** Of the goods, after discount; null where they are not known. */
  subtotal: number | null;
  /** The handling groups of its goods. */
  groupIds: readonly string[];
  /** What the customer was charged, without the tax in it. */
  charged: number;
  cost: number | null;
  origin: CostOrigin;
}

const GONE: BoardPlace = { row: 'gone', column: 'gone' };

/** Where an order stands on the board of the book as it is now. */
const placeOf = ({ book }: CompiledBook, { chosen: { of = {} } }: PastOrder): BoardPlace => {
  const { rateId, areaId, pickupId } = of;
  const rate = book.rates.find(({ id }) => id === rateId);
  if (rate) return { row: `zone:${rate.zoneId}`, column: `service:${rate.serviceId}` };
  if (book.areas.some(({ id }) => id === areaId)) return { row: `area:${areaId}`, column: 'nearby' };
  if (book.pickups.some(({ id }) => id === pickupId)) return { row: `pickup:${pickupId}`, column: 'nearby' };
  return GONE;
};

const isTaxable = ({ book }: CompiledBook, { chosen: { of = {} } }: PastOrder): boolean =>
  [
    ...book.rates.filter(({ id }) => id === of.rateId),
    ...book.areas.filter(({ id }) => id === of.areaId),
    ...book.pickups.filter(({ id }) => id === of.pickupId),
  ].some(({ taxable }) => taxable);

/** A charge without the tax in it, where the shop's prices hold tax. */
const withoutTax = (compiled: CompiledBook, order: PastOrder): number => {
  const { charge } = order.chosen;
  if (!compiled.book.store.pricesIncludeTax || !isTaxable(compiled, order)) return charge;
  const { place } = reachOf(compiled, order.request);
  return charge - taxOn(charge, taxesAt(compiled.taxes.charges, place), true);
};

type Goods = Pick<CostedOrder, 'weight' | 'subtotal' | 'groupIds'>;
const NO_GOODS: Goods = { weight: null, subtotal: null, groupIds: [] };

const goodsOf = (compiled: CompiledBook, { request }: PastOrder): Goods => {
  const { basket } = measureBasket(compiled.goods, compiled.book.store.defaultWeight, request);
  const { weight } = basket.travels;
  return {
    weight: weight.unknown.length > 0 ? null : weight.value,
    subtotal: basket.subtotal,
    groupIds: [...new Set(basket.lines.flatMap(({ good }) => good.groupIds ?? []))],
  };
};

/**
 * A past order with its charge and its cost: the cost on record, else what the cheapest carrier asks for its parcels,
 * else none. Null for an order that was cancelled or in which nothing travelled.
 */
export const costedOrder = (compiled: CompiledBook, order: PastOrder): CostedOrder | null => {
  const { status, chosen, cost } = order;
  if (status === 'cancelled' || chosen.kind === 'nothing-to-ship') return null;
  const isMeasured = requestFaults(compiled, order.request).length === 0;
  const known = { order, ...placeOf(compiled, order), ...(isMeasured ? goodsOf(compiled, order) : NO_GOODS) };
  const charged = isMeasured ? withoutTax(compiled, order) : chosen.charge;
  if (cost !== undefined) return { ...known, charged, cost, origin: 'recorded' };
  const estimate = isMeasured && chosen.kind === 'shipping' ? estimatedCost(compiled, order) : null;
  return { ...known, charged, cost: estimate, origin: estimate === null ? 'unknown' : 'estimated' };
};
