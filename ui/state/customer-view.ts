import { createSelector } from '@reduxjs/toolkit';
import type { Choice, Quote } from '../../core/model/quote.ts';
import type { QuoteRequest } from '../../core/model/request.ts';
import { prepaidOf } from '../../core/duty/prepaid.ts';
import type { CompiledBook } from '../../core/quote/compile.ts';
import type { Split } from '../../core/quote/split.ts';
import { taxLines, type TaxLine } from '../../core/quote/tax-lines.ts';
import { splitWithKnown, type AskedSplit } from './asked-split.ts';
import { askedQuote, quoteWithKnown, type AnswersState, type AskedQuote } from './answers.ts';
import { selectShopCompiled, selectShopGoods } from './shop-language.ts';
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
  /** Services that wait for their carrier, and what was answered. */
  asked: AskedQuote;
  /** What has to be asked of carriers, for the whole or for its parts. */
  questions: AskedQuote['questions'];
  sums: ReadonlyMap<string, Sums>;
  /** The fewest parts the basket can be had in, where no one choice takes all of it, and what they come to together. */
  parts: { split: Split; sums: Sums } | null;
  /** Carriers are still asked what some part would cost. */
  partsWait: boolean;
  /** Choices that are not offered and of which the customer is told. */
  told: Quote['withheld'];
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

const NO_SPLIT: AskedSplit = { split: null, waits: false, questions: [] };

const addTaxes = (all: readonly TaxLine[], more: readonly TaxLine[]): TaxLine[] =>
  more.reduce<TaxLine[]>(
    (sum, line) => {
      const same = sum.find(({ id, points }) => id === line.id && points === line.points);
      if (!same) return [...sum, line];
      return sum.map((one) => (one === same ? { ...one, amount: one.amount + line.amount } : one));
    },
    [...all],
  );

/** What all parts come to, as one order would. */
const sumsOfParts = (compiled: CompiledBook, { parts }: Split, known: AnswersState): Sums =>
  parts
    .map(({ request, choice }) =>
      sumsOf(compiled, request, quoteWithKnown(compiled, request, known).quote, choice),
    )
    .reduce((all, part) => ({
      goods: all.goods + part.goods,
      charge: all.charge + part.charge,
      taxes: addTaxes(all.taxes, part.taxes),
      taxIncluded: all.taxIncluded,
      prepaid: all.prepaid + part.prepaid,
      total: all.total + part.total,
    }));

const viewOf = (
  compiled: CompiledBook,
  request: QuoteRequest | null,
  known: AnswersState,
): CustomerView | null => {
  if (!request) return null;
  const measured = askedQuote(compiled, request, known);
  if (!measured.ok) return null;
  const asked = measured.value;
  const { quote: quoted } = asked;
  const isStuck = quoted.choices.length === 0 && asked.pending.length === 0;
  const { split, waits, questions } = isStuck ? splitWithKnown(compiled, request, known) : NO_SPLIT;
  return {
    quote: quoted,
    asked,
    sums: new Map(quoted.choices.map((choice) => [choice.id, sumsOf(compiled, request, quoted, choice)])),
    questions: [...asked.questions, ...questions],
    parts: split && { split, sums: sumsOfParts(compiled, split, known) },
    partsWait: waits,
    told: quoted.withheld.filter(({ tell }) => tell),
  };
};

/** What the customer is shown for a request; null where there is none yet. */
export const selectCustomerView = createSelector(
  [
    selectShopCompiled,
    (_: RootState, request: QuoteRequest | null) => request,
    (state: RootState) => state.answers,
  ],
  viewOf,
);

/** The basket's lines with their goods, and what they come to; goods that are no longer sold are left out. */
export const selectBasket = createSelector(
  [(state: RootState) => state.basket, selectShopGoods],
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
