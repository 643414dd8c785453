import { createSelector } from '@reduxjs/toolkit';
import type { Choice, Quote } from '../../core/model/quote.ts';
import type { QuoteRequest } from '../../core/model/request.ts';
import { prepaidOf } from '../../core/duty/prepaid.ts';
import { obstacles, toldReason } from '../../core/order/obstacles.ts';
import type { CompiledBook } from '../../core/quote/compile.ts';
import { requestFaults } from '../../core/quote/quote.ts';
import { splitBasket, type Split } from '../../core/quote/split.ts';
import { taxLines, type TaxLine } from '../../core/quote/tax-lines.ts';
import type { CustomerReason } from '../../core/words/customer-reason.ts';
import { quoteWithKnown, type AnswersState, type AskedQuote } from './answers.ts';
import { selectServedCompiled, selectServedGoods } from './served.ts';
import type { RootState } from './store.ts';

/** What a choice would make of the order: its taxes line by line, and all of it, in minor units. */
export interface Sums {
  goods: number;
  charge: number;
  taxes: TaxLine[];
  taxIncluded: boolean;
  total: number;
  /** Import charges paid at checkout. */
  prepaid: number;
}

/** What the shopfront's customer is shown for a request. */
export interface CustomerView {
  quote: Quote;
  /** Services that wait for their carrier, and what has to be asked and was answered. */
  asked: AskedQuote;
  sums: ReadonlyMap<string, Sums>;
  /** Why there is no choice at all. */
  obstacles: CustomerReason[];
  /** The fewest parts the basket can be had in, where no one choice takes all of it. */
  split: Split | null;
  /** Choices that are not offered and of which the customer is told. */
  told: { id: string; name: string; reason: CustomerReason }[];
}

const sumsOf = (compiled: CompiledBook, request: QuoteRequest, quoted: Quote, choice: Choice): Sums => {
  const taxes = taxLines(compiled, request, quoted, choice);
  const due = choice.taxIncluded ? 0 : taxes.reduce((sum, { amount }) => sum + amount, 0);
  return {
    goods: quoted.subtotal,
    charge: choice.charge,
    taxes,
    taxIncluded: choice.taxIncluded,
    prepaid: prepaidOf(choice),
    total: quoted.subtotal + choice.charge + due + prepaidOf(choice),
  };
};

const viewOf = (
  compiled: CompiledBook,
  request: QuoteRequest | null,
  known: AnswersState,
): CustomerView | null => {
  if (!request || requestFaults(compiled, request).length > 0) return null;
  const asked = quoteWithKnown(compiled, request, known);
  const { quote: quoted } = asked;
  return {
    quote: quoted,
    asked,
    sums: new Map(quoted.choices.map((choice) => [choice.id, sumsOf(compiled, request, quoted, choice)])),
    obstacles: obstacles(quoted, compiled.speech),
    split: quoted.choices.length === 0 && asked.pending.length === 0 ? splitBasket(compiled, request) : null,
    told: quoted.withheld
      .filter(({ tell }) => tell)
      .map((one) => ({ id: one.id, name: one.name, reason: toldReason(one, compiled.speech) })),
  };
};

/** What the customer is shown for a request; null where there is none yet. */
export const selectCustomerView = createSelector(
  [
    selectServedCompiled,
    (_: RootState, request: QuoteRequest | null) => request,
    (state: RootState) => state.answers,
  ],
  viewOf,
);

/** The basket's lines with their goods, and what they come to; goods that are no longer sold are left out. */
export const selectBasket = createSelector(
  [(state: RootState) => state.basket, selectServedGoods],
  (basket, goods) => {
    const lines = basket.flatMap(({ sku, quantity }) => {
      const good = goods.get(sku);
      return good ? [{ good, quantity, amount: good.price * quantity }] : [];
    });
    return {
      lines,
      units: lines.reduce((sum, { quantity }) => sum + quantity, 0),
      subtotal: lines.reduce((sum, { amount }) => sum + amount, 0),
      travels: lines.some(({ good }) => good.fulfilment === 'physical'),
    };
  },
);
