import type { BasketLine } from '../basket/basket.ts';
import type { CarrierQuestion } from '../model/carrier.ts';
import type { ParcelRun } from '../pack/pack.ts';
import type { Packing } from '../pack/packing.ts';
import { Parcels } from '../pack/parcels.ts';
import type { Ask, CompiledBook } from '../quote/compile.ts';
import { orderContext } from '../quote/order-context.ts';
import { shipmentIn } from '../quote/questions.ts';
import type { CostedOrder } from './costed-order.ts';

/** A past order in parcels of some packing, and what they take; amounts in minor units. */
export interface PackedOrder {
  costed: CostedOrder;
  lines: readonly BasketLine[];
  runs: readonly ParcelRun[];
  /** What the carrier was asked about them. */
  question: CarrierQuestion;
  /** What its cheapest service asks, and what the boxes cost. */
  carrier: number;
  boxes: number;
}

/** What the cheapest service of a carrier asks; null where it gives no price. */
export const leastAsked = (ask: Ask, question: CarrierQuestion): number | null => {
  const [answer] = ask([question]);
  if (!answer?.ok || answer.services.length === 0) return null;
  return Math.min(...answer.services.map(({ amount }) => amount));
};

/** What the boxes of some parcels cost by themselves, minor units. */
export const boxesCost = (runs: readonly ParcelRun[]): number =>
  runs.reduce((sum, { count, packed }) => sum + count * (packed?.box.cost ?? 0), 0);

/**
 * A past order packed anew and priced by an account at its present prices; `packing` is the account's own where it is
 * left out. Null for an order that was not shipped, whose goods are not known, that does not pack, or for which the
 * carrier gives no price.
 */
export const packedOrder = (
  compiled: CompiledBook,
  costed: CostedOrder,
  accountId: string,
  packing?: Packing,
): PackedOrder | null => {
  const { order, subtotal } = costed;
  const found = compiled.accounts.get(accountId);
  if (!found || !compiled.ask || order.chosen.kind !== 'shipping' || subtotal === null) return null;
  const account = packing ? { ...found, packing } : found;
  const context = orderContext(compiled, order.request);
  const lines = context.basket.physical;
  const parcels = new Parcels(account.packing, lines, compiled.book.store.defaultWeight);
  const question = shipmentIn(context, account, parcels);
  const packed = parcels.all();
  if (!question || !packed.ok) return null;
  const carrier = leastAsked(compiled.ask, question);
  if (carrier === null) return null;
  const { runs } = packed;
  return { costed, lines, runs, question, carrier, boxes: boxesCost(runs) };
};
