import { taxOn } from '../duty/tax.ts';
import type { Choice } from '../model/quote.ts';
import type { TaxRate } from '../model/tax.ts';
import type { Charged } from './charge.ts';
import type { OrderContext } from './order-context.ts';
import type { Way } from './outcome.ts';
import { paymentsFor } from './payments.ts';

/** When an order is ready and there, as far as that is known. */
export interface ChoiceTimes {
  ready?: Choice['ready'] | undefined;
  arrives?: Choice['arrives'] | undefined;
  slots?: Choice['slots'] | undefined;
}

/** How much more in the basket would make a charge free, where it is not; 0 where nothing would. Minor units. */
const shortOf = (freeFrom: number | undefined, charge: number, subtotal: number): number =>
  freeFrom !== undefined && charge > 0 ? Math.max(0, freeFrom - subtotal) : 0;

/** The choice that a way with its charge and times comes to, before import charges. */
export const choiceOf = (
  order: OrderContext,
  way: Way,
  { charge, working }: Extract<Charged, { ok: true }>,
  taxes: readonly TaxRate[],
  { ready, arrives, slots }: ChoiceTimes,
): Choice => {
  const { compiled, basket } = order;
  const { id, kind, of, name, note, cost, freeFrom } = way;
  const taxIncluded = compiled.book.store.pricesIncludeTax;
  const tax = taxOn(charge, taxes, taxIncluded);
  const total = taxIncluded ? charge : charge + tax;
  const short = shortOf(freeFrom, charge, basket.subtotal);
  const choice: Choice = {
    id,
    kind,
    of,
    name,
    charge,
    tax,
    taxIncluded,
    total,
    payments: paymentsFor(order, way, total),
    working,
  };
  if (cost !== undefined) choice.cost = cost;
  if (ready !== undefined) choice.ready = ready;
  if (arrives) choice.arrives = arrives;
  if (slots) choice.slots = slots;
  if (note) choice.note = note;
  if (short > 0) choice.hint = { kind: 'free-from', short };
  return choice;
};
