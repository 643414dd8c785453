import { prepaidOf } from '../duty/prepaid.ts';
import type { CarrierAnswer } from '../model/carrier.ts';
import { fault, type Result } from '../model/fault.ts';
import type { PastOrder } from '../model/order.ts';
import type { Line, QuoteRequest } from '../model/request.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { quote, requestFaults } from '../quote/quote.ts';
import { taxLines } from '../quote/tax-lines.ts';

/** What a customer ordered, and the charge that was shown for the choice taken. */
export interface Ordering {
  request: QuoteRequest;
  choiceId: string;
  shown: number;
  number: string;
  recipient: string;
  billing?: PastOrder['billing'];
  payment?: string;
  /** What the carriers answered. */
  answers?: readonly CarrierAnswer[];
}

const FIRST_NUMBER = 1001;

/** The number after the greatest given so far. */
export const nextNumber = (orders: readonly Pick<PastOrder, 'number'>[]): string => {
  let greatest = FIRST_NUMBER - 1;
  for (const { number } of orders)
    if (/^\d{1,12}$/.test(number)) greatest = Math.max(greatest, Number(number));
  return String(greatest + 1);
};

/** A line with the good's own figures, so that the order stays what it was when the catalogue changes. */
const asSold = (compiled: CompiledBook, line: Line): Line => {
  const good = compiled.goods.get(line.sku);
  if (!good) return line;
  const { name, price, fulfilment, weight, size } = good;
  return {
    name,
    price,
    fulfilment,
    ...(weight === undefined ? {} : { weight }),
    ...(size ? { size } : {}),
    ...line,
  };
};

/**
 * The order as it is kept, quoted once more. Faults: the request cannot be used, the choice is gone, or
 * its charge is no longer the one that was shown, or it can no longer be paid so.
 */
export const placeOrder = (compiled: CompiledBook, ordering: Ordering): Result<PastOrder> => {
  const { request, choiceId, shown, number, recipient, billing, payment, answers } = ordering;
  const faults = requestFaults(compiled, request);
  if (faults.length > 0) return { ok: false, faults: [...faults] };
  const quoted = quote(compiled, request, answers);
  const choice = quoted.choices.find(({ id }) => id === choiceId);
  if (!choice) return { ok: false, faults: [fault('choice-gone', '')] };
  if (payment !== undefined && !choice.payments.includes(payment))
    return { ok: false, faults: [fault('payment-gone', '')] };
  if (choice.charge !== shown) return { ok: false, faults: [fault('charge-changed', '')] };
  const { id, kind, name, charge, total, cost } = choice;
  const prepaid = prepaidOf(choice);
  const taxes = taxLines(compiled, request, quoted, choice).reduce((sum, line) => sum + line.amount, 0);
  const goods = quoted.subtotal;
  const order: PastOrder = {
    number,
    request: { ...request, lines: request.lines.map((line) => asSold(compiled, line)) },
    chosen: { id, kind, name, charge, total },
    status: 'placed',
    history: [{ status: 'placed', at: request.placedAt }],
    recipient,
    ...(cost === undefined ? {} : { cost }),
    ...(payment === undefined ? {} : { payment }),
    ...(billing ? { billing } : {}),
    sums: {
      goods,
      taxes,
      total: goods + charge + (choice.taxIncluded ? 0 : taxes) + prepaid,
      ...(prepaid > 0 ? { prepaid } : {}),
    },
  };
  return { ok: true, value: order };
};
