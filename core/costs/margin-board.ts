import type { CostedOrder } from './costed-order.ts';

/** Orders counted together; amounts in minor units. The margin is of those whose cost is known or estimated. */
export interface Margin {
  orders: number;
  /** Of all orders. */
  charged: number;
  /** Orders whose cost is on record, is estimated, is not known. */
  recorded: number;
  estimated: number;
  unknown: number;
  /** What was charged for the orders that have a cost, what they cost, and what is left. */
  chargedWithCost: number;
  cost: number;
  margin: number;
}

export const NO_MARGIN: Margin = {
  orders: 0,
  charged: 0,
  recorded: 0,
  estimated: 0,
  unknown: 0,
  chargedWithCost: 0,
  cost: 0,
  margin: 0,
};

/** A margin with one order more. */
const withOrder = (sum: Margin, { charged, cost, origin }: CostedOrder): Margin => ({
  orders: sum.orders + 1,
  charged: sum.charged + charged,
  recorded: sum.recorded + (origin === 'recorded' ? 1 : 0),
  estimated: sum.estimated + (origin === 'estimated' ? 1 : 0),
  unknown: sum.unknown + (origin === 'unknown' ? 1 : 0),
  chargedWithCost: sum.chargedWithCost + (cost === null ? 0 : charged),
  cost: sum.cost + (cost ?? 0),
  margin: sum.margin + (cost === null ? 0 : charged - cost),
});

/** What some orders come to together. */
export const marginOf = (orders: readonly CostedOrder[]): Margin => orders.reduce(withOrder, NO_MARGIN);

/** What orders come to by a key of theirs; those whose key is null are left out. */
export const marginsBy = (
  orders: readonly CostedOrder[],
  key: (order: CostedOrder) => string | null,
): Map<string, Margin> => {
  const margins = new Map<string, Margin>();
  for (const order of orders) {
    const at = key(order);
    if (at !== null) margins.set(at, withOrder(margins.get(at) ?? NO_MARGIN, order));
  }
  return margins;
};

/** The key of a cell of the board by margin. */
export const cellKey = (row: string, column: string): string => `${row} ${column}`;

/** Where orders earn and lose: by zone, delivery area and pickup point, by service, and by both. */
export interface MarginBoard {
  total: Margin;
  rows: ReadonlyMap<string, Margin>;
  columns: ReadonlyMap<string, Margin>;
  /** By `cellKey`. */
  cells: ReadonlyMap<string, Margin>;
}

/** The board by margin of some orders. */
export const marginBoard = (orders: readonly CostedOrder[]): MarginBoard => ({
  total: marginOf(orders),
  rows: marginsBy(orders, ({ row }) => row),
  columns: marginsBy(orders, ({ column }) => column),
  cells: marginsBy(orders, ({ row, column }) => cellKey(row, column)),
});
