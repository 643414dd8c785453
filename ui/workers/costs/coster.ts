import { marginBoard, type MarginBoard } from '../../../core/costs/margin-board.ts';
import type { OrderFilter } from '../../../core/costs/order-filter.ts';
import type { ShopParts } from '../shop-parts.ts';
import { accountCosts, type AccountCosts } from './account-costs.ts';
import type { OnCostProgress } from './cost-progress.ts';
import { leverCosts, type LeverCosts } from './lever-costs.ts';
import { listed, margin, type ListedOrder } from './listed-order.ts';
import { packingCosts, type PackingCosts } from './packing-costs.ts';
import { PastOrders } from './past-orders.ts';
import { rateCosts, type RateCosts } from './rate-costs.ts';

/** The board by margin, and when the first and the last of its orders were placed; null where there is none. */
export interface BoardOfPeriod extends MarginBoard {
  first: string | null;
  last: string | null;
}

/** Works out what past orders cost, beside the page. Each answer is of the shop and the orders it was given last. */
export interface Coster extends PackingCosts, RateCosts, AccountCosts, Omit<LeverCosts, 'stopCurve'> {
  /** Takes a shop with its past orders and finds their costs; false where another was given on the way, or `stop`. */
  open: (shop: ShopParts, onProgress: OnCostProgress) => Promise<boolean>;
  stop: () => void;
  board: (filter: OrderFilter) => BoardOfPeriod;
  /** The orders of a row, a column or a cell of the board, the greatest losses first; null is all. */
  ordersOf: (filter: OrderFilter, row: string | null, column: string | null) => ListedOrder[];
  /** Measures the orders that a filter counts, for levers; null where another shop was given on the way, or `stop`. */
  prepare: (
    filter: OrderFilter,
    onProgress: OnCostProgress,
  ) => Promise<{ orders: number; unusable: number } | null>;
}

/** It runs in a worker; tests run it where they are. */
export const makeCoster = (): Coster => {
  const past = new PastOrders();
  const { stopCurve, ...levers } = leverCosts(past);
  return {
    ...levers,
    ...rateCosts(past),
    ...accountCosts(past),
    ...packingCosts(past),
    open: (shop, onProgress) => past.open(shop, onProgress),
    stop: () => {
      past.stop();
      stopCurve();
    },
    board: (filter) => {
      const orders = past.counted(filter);
      const moments = orders.map(({ order }) => order.request.placedAt).sort();
      return { ...marginBoard(orders), first: moments[0] ?? null, last: moments.at(-1) ?? null };
    },
    ordersOf: (filter, row, column) =>
      past
        .counted(filter)
        .filter(
          (order) => (row === null || order.row === row) && (column === null || order.column === column),
        )
        .sort((a, b) => margin(a) - margin(b))
        .map(listed),
    prepare: async (filter, onProgress) => {
      const measured = await past.prepare(filter, onProgress);
      if (!measured) return null;
      const orders = measured.filter((one) => one !== null).length;
      return { orders, unusable: measured.length - orders };
    },
  };
};
