import {
  accountsByCell,
  accountShares,
  comparedOrder,
  type AccountShare,
  type ComparedCell,
} from '../../../core/costs/accounts-compared.ts';
import type { OrderFilter } from '../../../core/costs/order-filter.ts';
import type { OnCostProgress } from './cost-progress.ts';
import { listed, type ListedOrder } from './listed-order.ts';
import { keptOrMade, type PastOrders } from './past-orders.ts';

/** An order with what an account asks for it, and the cheapest of all accounts; minor units. */
export type PricedOrder = ListedOrder & { price: number; least: number };

/** What the accounts ask for past orders, in sum and by zone and weight. */
export interface AccountsCompared {
  orders: number;
  shares: ReadonlyMap<string, AccountShare>;
  cells: readonly ComparedCell[];
}

/** The carrier accounts beside each other. */
export interface AccountCosts {
  /** Asks every account about every order that was shipped; null where it was stopped. */
  accounts: (
    filter: OrderFilter,
    edges: readonly number[],
    onProgress: OnCostProgress,
  ) => Promise<AccountsCompared | null>;
  /** The orders that an account prices, once it was asked about them, those first for which others are cheaper by most. */
  ordersPriced: (filter: OrderFilter, accountId: string) => PricedOrder[];
}

/** The part of the work on costs that compares carrier accounts. */
export const accountCosts = (past: PastOrders): AccountCosts => ({
  accounts: async (filter, edges, onProgress) => {
    const { compiled, compared } = past.opened;
    const all = await past.inTurn(
      past.counted(filter),
      (one) => keptOrMade(compared, one, () => comparedOrder(compiled, one)),
      onProgress,
    );
    if (!all) return null;
    const orders = all.filter((one) => one !== null);
    return { orders: orders.length, shares: accountShares(orders), cells: accountsByCell(orders, edges) };
  },
  ordersPriced: (filter, accountId) =>
    past
      .counted(filter)
      .flatMap((one) => {
        const prices = past.opened.compared.get(one)?.prices;
        const price = prices?.get(accountId);
        return prices && price !== undefined
          ? [{ ...listed(one), price, least: Math.min(...prices.values()) }]
          : [];
      })
      .sort((a, b) => b.price - b.least - (a.price - a.least)),
});
