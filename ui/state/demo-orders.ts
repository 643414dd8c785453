import orders from '../../demo/data/orders.json';
import { readOrders } from '../../core/formats/orders.ts';
import type { PastOrder } from '../../core/model/order.ts';
import { movedTo } from '../../core/order/moved-orders.ts';

/** The made-up orders of the demo shop, the newest of them today's. */
export const demoOrders = (now: string): PastOrder[] => {
  const read = readOrders(orders);
  if (!read.ok) throw new Error('the orders of the demo shop are not sound');
  return movedTo(read.value, now);
};
