import type { Good } from '../model/good.ts';
import type { PastOrder } from '../model/order.ts';

/** The lines of an order that are fetched and packed: those of physical products. */
export const packedLines = (
  { request }: PastOrder,
  goods: ReadonlyMap<string, Good>,
): PastOrder['request']['lines'] =>
  request.lines.filter(({ sku, fulfilment }) => (fulfilment ?? goods.get(sku)?.fulfilment) !== 'digital');

/** The orders that are still to be packed: placed, and with something to pack. */
export const ordersToPack = (
  orders: readonly PastOrder[],
  goods: ReadonlyMap<string, Good>,
): readonly PastOrder[] =>
  orders.filter((order) => order.status === 'placed' && packedLines(order, goods).length > 0);

/** A good and how many of it some orders need. */
export interface Picked {
  sku: string;
  name: string;
  quantity: number;
  orders: string[];
}

/** What has to be fetched for some orders, by the goods' names, each with the orders it is for. */
export const pickingList = (orders: readonly PastOrder[], goods: ReadonlyMap<string, Good>): Picked[] => {
  const picked = new Map<string, Picked>();
  for (const order of orders)
    for (const { sku, name, quantity } of packedLines(order, goods)) {
      const known = picked.get(sku) ?? {
        sku,
        name: name ?? goods.get(sku)?.name ?? sku,
        quantity: 0,
        orders: [],
      };
      picked.set(sku, {
        ...known,
        quantity: known.quantity + quantity,
        orders: [...known.orders, order.number],
      });
    }
  return [...picked.values()].sort((a, b) => (a.name < b.name ? -1 : 1));
};
