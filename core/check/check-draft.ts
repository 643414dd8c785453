import type { PastOrder } from '../model/order.ts';
import type { TestOrder } from '../model/test-order.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { measureOrder } from '../quote/quote.ts';
import { checkTestOrder, type TestOrderResult } from './check-test-order.ts';
import { countTouched } from './touched.ts';

/** How many test orders and past orders a rule touches. */
export interface Touches {
  testOrders: number;
  orders: number;
}

/** The test orders put through a book, and what each adjustment touches; null where that was not asked. */
export interface DraftCheck {
  results: TestOrderResult[];
  touches: Record<string, Touches> | null;
}

const touchedByOrders = (compiled: CompiledBook, orders: readonly PastOrder[]): Map<string, number> => {
  const touched = new Map<string, number>();
  if (compiled.adjustments.length === 0) return touched;
  for (const { request } of orders) {
    const order = measureOrder(compiled, request);
    if (order.ok) countTouched(touched, order.value.quote());
  }
  return touched;
};

/**
 * Every test order against what it should give. Where past orders are handed in, also how many test orders and past orders
 * each adjustment touches; every one of them is quoted for it.
 */
export const checkDraft = (
  compiled: CompiledBook,
  testOrders: readonly TestOrder[],
  orders: readonly PastOrder[] | null,
): DraftCheck => {
  const byTestOrders = new Map<string, number>();
  const results = testOrders.map((testOrder) => {
    const { result, quote: quoted } = checkTestOrder(compiled, testOrder);
    if (quoted) countTouched(byTestOrders, quoted);
    return result;
  });
  if (orders === null) return { results, touches: null };
  const byOrders = touchedByOrders(compiled, orders);
  const touches = Object.fromEntries(
    compiled.book.adjustments.map(({ id }) => [
      id,
      { testOrders: byTestOrders.get(id) ?? 0, orders: byOrders.get(id) ?? 0 },
    ]),
  );
  return { results, touches };
};
