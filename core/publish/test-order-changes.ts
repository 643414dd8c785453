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

/**
 * What a choice was before, or is now: the choice of the same id, or, where its rule was put in place of another, the one
 * that a customer reads as the same.
 */
const counterpart = (
  { id, kind, name }: Choice,
  others: readonly Choice[],
  own: readonly Choice[],
): Choice | undefined =>
  others.find((other) => other.id === id) ??
  others.find(
    (other) => other.kind === kind && other.name === name && !own.some((one) => one.id === other.id),
  );

/** The test orders whose charges or choices differ between two books; one that cannot be used by both is left out. */
export const testOrderChanges = (
  before: CompiledBook,
  after: CompiledBook,
  testOrders: readonly TestOrder[],
): TestOrderChange[] =>
  testOrders.flatMap((testOrder) => {
    const [was, is] = [choicesOf(before, testOrder), choicesOf(after, testOrder)];
    if (!was || !is) return [];
    const charges = is.flatMap((choice) => {
      const old = counterpart(choice, was, is);
      return old && old.charge !== choice.charge
        ? [{ name: choice.name, was: old.charge, now: choice.charge }]
        : [];
    });
    const missing = (of: readonly Choice[], others: readonly Choice[]): string[] =>
      of.filter((choice) => !counterpart(choice, others, of)).map(({ name }) => name);
    const [lost, gained] = [missing(was, is), missing(is, was)];
    return charges.length + lost.length + gained.length === 0
      ? []
      : [{ id: testOrder.id, name: testOrder.name, charges, lost, gained }];
  });
