import type { Choice } from '../model/quote.ts';
import type { TestOrder } from '../model/test-order.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { measureOrder } from '../quote/quote.ts';

/** What a test order's customer would pay and be offered otherwise than before. Charges in minor units. */
export interface TestOrderChange {
  id: string;
  name: string;
  charges: { name: string; was: number; now: number }[];
  lost: string[];
  gained: string[];
}

const choicesOf = (compiled: CompiledBook, { request, answers }: TestOrder): readonly Choice[] | null => {
  const order = measureOrder(compiled, request);
  return order.ok ? order.value.quote(answers).choices : null;
};

/** The test orders whose charges or choices differ between two books; one that cannot be used by both is left out. */
export const testOrderChanges = (
  before: CompiledBook,
  after: CompiledBook,
  testOrders: readonly TestOrder[],
): TestOrderChange[] =>
  testOrders.flatMap((testOrder) => {
    const [was, is] = [choicesOf(before, testOrder), choicesOf(after, testOrder)];
    if (!was || !is) return [];
    const charges = is.flatMap(({ id, name, charge }) => {
      const old = was.find((choice) => choice.id === id);
      return old && old.charge !== charge ? [{ name, was: old.charge, now: charge }] : [];
    });
    const missing = (from: readonly Choice[], other: readonly Choice[]): string[] =>
      from.filter(({ id }) => !other.some((choice) => choice.id === id)).map(({ name }) => name);
    const [lost, gained] = [missing(was, is), missing(is, was)];
    return charges.length + lost.length + gained.length === 0
      ? []
      : [{ id: testOrder.id, name: testOrder.name, charges, lost, gained }];
  });
