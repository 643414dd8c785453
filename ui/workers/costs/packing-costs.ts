import type { BoxLimits } from '../../../core/costs/best-box.ts';
import type { OrderFilter } from '../../../core/costs/order-filter.ts';
import {
  boxUse,
  packedSums,
  usedPackings,
  type BoxUse,
  type PackedSums,
} from '../../../core/costs/packing-compared.ts';
import type { PackPlan } from '../../../core/model/pack.ts';
import { bestBox, type BoxFound, type BoxSearch } from './box-search.ts';
import type { OnCostProgress } from './cost-progress.ts';
import { listed, margin, type ListedOrder } from './listed-order.ts';
import { isIn, PackedOrders } from './packed-orders.ts';
import type { PastOrders } from './past-orders.ts';

/** A way of packing over the orders that both it and the account's own can pack. */
export interface ComparedPlan {
  plan: PackPlan;
  /** Who packs so: 'store', or accounts by id. */
  by: readonly string[];
  sums: PackedSums;
  own: PackedSums;
}

/** Each way of packing that the book has beside the account's own, which comes first, and how its boxes were used. */
export interface PackingCompared {
  plans: readonly ComparedPlan[];
  uses: readonly BoxUse[];
}

/** Works out how past orders were packed, and how they could be. */
export interface PackingCosts {
  /** Packs every order that was shipped anew, at an account's prices; null where it was stopped. */
  packing: (
    filter: OrderFilter,
    accountId: string,
    onProgress: OnCostProgress,
  ) => Promise<PackingCompared | null>;
  /** The orders with a parcel in a box, as the account packs them; those that were packed already. */
  ordersInBox: (filter: OrderFilter, accountId: string, boxId: string) => ListedOrder[];
  /**
   * The one more box with which the account's carrier and the boxes take least; 'none' where none saves anything, null
   * where it was stopped. Says how many sizes it has tried.
   */
  bestBox: (
    filter: OrderFilter,
    accountId: string,
    limits: BoxLimits,
    onTried: BoxSearch['onTried'],
  ) => Promise<BoxFound | 'none' | null>;
}

/** The part of the work on costs that is about packing. */
export const packingCosts = (past: PastOrders): PackingCosts => {
  const packed = new PackedOrders(past);
  return {
    packing: async (filter, accountId, onProgress) => {
      const used = usedPackings(past.opened.compiled, accountId);
      const packings = used.map(({ packing }) => packing);
      const all = await packed.all(filter, accountId, packings, onProgress);
      if (!all) return null;
      const plans = used.map(({ packing: { plan }, by }, which) => {
        const both = all.filter((ways) => ways[0] && ways[which]);
        const sumsOf = (way: number): PackedSums => packedSums(both.flatMap((ways) => ways[way] ?? []));
        return { plan, by, sums: sumsOf(which), own: sumsOf(0) };
      });
      const [own] = packings;
      const inOwn = all.flatMap(([one]) => one ?? []);
      return { plans, uses: own ? boxUse(own, inOwn) : [] };
    },
    ordersInBox: (filter, accountId, boxId) => {
      const own = packed.packingOf(accountId);
      const known = own && packed.knownOf(accountId, own);
      return past
        .counted(filter)
        .filter((one) => {
          const order = known?.get(one);
          return order !== undefined && order !== null && isIn(boxId, order);
        })
        .sort((a, b) => margin(a) - margin(b))
        .map(listed);
    },
    bestBox: (filter, accountId, limits, onTried) =>
      bestBox(past, packed, { filter, accountId, limits, onTried }),
  };
};
