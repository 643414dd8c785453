import type { CompiledBook } from '../quote/compile.ts';
import { accountPrices } from './estimated-cost.ts';
import type { CostedOrder } from './costed-order.ts';

/** What the carriers of the accounts ask for one order that was shipped; minor units. */
export interface ComparedOrder {
  costed: CostedOrder;
  /** The cheapest service of each account that gives a price. */
  prices: ReadonlyMap<string, number>;
}

/** What one order would cost with each account; null where it was not shipped, or no account gives a price. */
export const comparedOrder = (compiled: CompiledBook, costed: CostedOrder): ComparedOrder | null => {
  if (costed.order.chosen.kind !== 'shipping' || costed.subtotal === null) return null;
  const prices = accountPrices(compiled, costed.order, compiled.accounts.keys());
  if (prices.length === 0) return null;
  const least = (services: readonly { amount: number }[]): number =>
    Math.min(...services.map(({ amount }) => amount));
  return { costed, prices: new Map(prices.map(({ accountId, services }) => [accountId, least(services)])) };
};

/** One account over some orders; amounts in minor units. */
export interface AccountShare {
  /** Orders it gives a price for, what they cost with it, and what they cost as they were sent, where that is known. */
  orders: number;
  cost: number;
  withCost: number;
  costAsSent: number;
  /** What the orders with a cost would cost with it. */
  costInstead: number;
  /** Orders for which no other account is cheaper. */
  cheapest: number;
}

const NO_SHARE: AccountShare = {
  orders: 0,
  cost: 0,
  withCost: 0,
  costAsSent: 0,
  costInstead: 0,
  cheapest: 0,
};

const shareWith = (share: AccountShare, price: number, least: number, cost: number | null): AccountShare => ({
  orders: share.orders + 1,
  cost: share.cost + price,
  withCost: share.withCost + (cost === null ? 0 : 1),
  costAsSent: share.costAsSent + (cost ?? 0),
  costInstead: share.costInstead + (cost === null ? 0 : price),
  cheapest: share.cheapest + (price === least ? 1 : 0),
});

/** Each account over some orders, by its id. */
export const accountShares = (orders: readonly ComparedOrder[]): Map<string, AccountShare> => {
  const shares = new Map<string, AccountShare>();
  for (const { costed, prices } of orders) {
    const least = Math.min(...prices.values());
    const cost = costed.origin === 'recorded' ? costed.cost : null;
    for (const [id, price] of prices)
      shares.set(id, shareWith(shares.get(id) ?? NO_SHARE, price, least, cost));
  }
  return shares;
};

/** Orders of one zone and of weights up to a figure, with each account over them. */
export interface ComparedCell {
  row: string;
  /** Grams, to this and above the one before it; null is all that is heavier. */
  upTo: number | null;
  orders: number;
  shares: ReadonlyMap<string, AccountShare>;
}

/** The accounts by zone and weight, the rows in the order in which they come; `edges` in grams, rising. */
export const accountsByCell = (
  orders: readonly ComparedOrder[],
  edges: readonly number[],
): ComparedCell[] => {
  const rows = [...new Set(orders.map(({ costed }) => costed.row))];
  const bands = [...edges, null];
  const bandOf = ({ costed: { weight } }: ComparedOrder): number | null =>
    edges.find((edge) => (weight ?? 0) <= edge) ?? null;
  return rows.flatMap((row) =>
    bands.flatMap((upTo) => {
      const inside = orders.filter((one) => one.costed.row === row && bandOf(one) === upTo);
      return inside.length === 0 ? [] : [{ row, upTo, orders: inside.length, shares: accountShares(inside) }];
    }),
  );
};
