import { fault, type Fault, type Result } from '../model/fault.ts';
import { pastOrdersSchema, type PastOrder } from '../model/order.ts';
import { parseWith } from '../model/schema-fault.ts';
import { ordersUpToDate } from './version-1.ts';

const numberFaults = (orders: readonly PastOrder[]): Fault[] => {
  const first = new Map<string, number>();
  return orders.flatMap(({ number }, at) => {
    const earlier = first.get(number);
    if (earlier === undefined) {
      first.set(number, at);
      return [];
    }
    return [fault('duplicate-number', [at, 'number'], { number, first: `[${earlier}]` })];
  });
};

/** A list of past orders of the right shape, each number once. */
export const readOrders = (value: unknown): Result<PastOrder[]> => {
  const orders = parseWith(pastOrdersSchema, ordersUpToDate(value));
  if (!orders.ok) return orders;
  const faults = numberFaults(orders.value);
  return faults.length === 0 ? orders : { ok: false, faults };
};
