import { prepaidOf } from '../duty/prepaid.ts';
import type { CarrierAnswer } from '../model/carrier.ts';
import { fault, type Fault, type Result } from '../model/fault.ts';
import type { Language } from '../model/language.ts';
import type { PastOrder } from '../model/order.ts';
import type { Choice } from '../model/quote.ts';
import type { Line, QuoteRequest } from '../model/request.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { measureOrder } from '../quote/quote.ts';
import { taxLines } from '../quote/tax-lines.ts';

/** What a customer ordered, and the charge that was shown for the choice taken. */
export interface Ordering {
  request: QuoteRequest;
  choiceId: string;
  shown: number;
  number: string;
  recipient: string;
  billing?: PastOrder['billing'];
  /** How the customer is reached. */
  contact?: PastOrder['contact'];
  payment?: string;
  /** The day or time that was chosen, where there is one to choose. */
  slot?: { start: string; end: string };
  /** When it is placed, where a time was held and the order is worked out as of then; else the request's moment. */
  at?: string;
  /** The language the customer reads, and what the choice is called in it, where it is not the book's. */
  language?: Language;
  shownAs?: string;
  /** What the carriers answered. */
  answers?: readonly CarrierAnswer[];
}

const FIRST_NUMBER = 1001;

/** The number after the greatest given so far; none that is taken. */
export const nextNumber = (orders: readonly Pick<PastOrder, 'number'>[]): string => {
  const taken = new Set(orders.map(({ number }) => number));
  let next = FIRST_NUMBER;
  for (const number of taken) if (/^\d{1,12}$/.test(number)) next = Math.max(next, Number(number) + 1);
  while (taken.has(String(next))) next += 1;
  return String(next);
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

/** What is wrong with the time that was chosen: none where one is needed, or one that is not to be had any more. */
const slotFault = ({ slots }: Choice, slot: Ordering['slot']): Fault | null => {
  if (!slots) return slot ? fault('slot-gone', '') : null;
  if (!slot) return fault('slot-needed', '');
  const isThere = slots.some(({ end }) => Date.parse(end) === Date.parse(slot.end));
  return isThere ? null : fault('slot-gone', '');
};

/** Whether a choice of a rate that its carrier prices is none of the carrier's services. */
const isFallback = ({ book }: CompiledBook, { of: { rateId, serviceCode } }: Choice): boolean =>
  serviceCode === undefined && book.rates.some(({ id, price }) => id === rateId && price.kind === 'carrier');

const chosenOf = (
  compiled: CompiledBook,
  choice: Choice,
  { slot, shownAs }: Ordering,
): PastOrder['chosen'] => {
  const { id, kind, of, name, charge, total } = choice;
  return {
    ...{ id, kind, of, name, charge, total },
    ...(shownAs === undefined || shownAs === name ? {} : { shownAs }),
    ...(isFallback(compiled, choice) ? { fallback: true as const } : {}),
    ...(slot ? { slot } : {}),
  };
};

/** What the customer is told of the time. */
const promiseOf = ({ ready, arrives }: Choice): Pick<PastOrder, 'promise'> => {
  const said = arrives && ('words' in arrives ? { words: arrives.words } : { latest: arrives.latest });
  const promise = { ...(ready === undefined ? {} : { ready }), ...said };
  return Object.keys(promise).length > 0 ? { promise } : {};
};

/**
 * The order as it is kept, quoted once more. Faults: the request cannot be used, the choice is gone, or
 * its charge is no longer the one that was shown, it can no longer be paid so, or its time is gone.
 */
export const placeOrder = (compiled: CompiledBook, ordering: Ordering): Result<PastOrder> => {
  const { request, choiceId, shown, number, recipient, billing, contact, payment, language } = ordering;
  const { answers, slot, at } = ordering;
  const measured = measureOrder(compiled, request);
  if (!measured.ok) return measured;
  const quoted = measured.value.quote(answers);
  const choice = quoted.choices.find(({ id }) => id === choiceId);
  if (!choice) return { ok: false, faults: [fault('choice-gone', '')] };
  if (payment !== undefined && !choice.payments.includes(payment))
    return { ok: false, faults: [fault('payment-gone', '')] };
  if (choice.charge !== shown) return { ok: false, faults: [fault('charge-changed', '')] };
  const timing = slotFault(choice, slot);
  if (timing) return { ok: false, faults: [timing] };
  const { charge, cost } = choice;
  const prepaid = prepaidOf(choice);
  const taxes = taxLines(compiled, request, quoted, choice).reduce((sum, line) => sum + line.amount, 0);
  const goods = quoted.subtotal;
  const { slotsTaken: _, ...asked } = request;
  const order: PastOrder = {
    number,
    request: { ...asked, lines: request.lines.map((line) => asSold(compiled, line)) },
    chosen: chosenOf(compiled, choice, ordering),
    status: 'placed',
    history: [{ status: 'placed', at: at ?? request.placedAt }],
    recipient,
    ...promiseOf(choice),
    ...(cost === undefined ? {} : { cost }),
    ...(payment === undefined ? {} : { payment }),
    ...(billing ? { billing } : {}),
    ...(contact ? { contact } : {}),
    ...(language === undefined ? {} : { language }),
    sums: {
      goods,
      taxes,
      total: goods + charge + (choice.taxIncluded ? 0 : taxes) + prepaid,
      ...(prepaid > 0 ? { prepaid } : {}),
    },
  };
  return { ok: true, value: order };
};
