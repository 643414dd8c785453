import { audit } from '../core/audit/audit.ts';
import type { Quote } from '../core/model/quote.ts';
import type { QuoteRequest } from '../core/model/request.ts';
import type { CompiledBook } from '../core/quote/compile.ts';
import { quote, requestFaults } from '../core/quote/quote.ts';

const AMOUNTS: readonly string[] = [
  'subtotal',
  'goodsTax',
  'charge',
  'total',
  'amount',
  'tax',
  'prepaid',
  'due',
];

/** The amounts of a quote that are no whole number of minor units, or below 0 where nothing may be. */
const wrongAmounts = (value: unknown, path = ''): string[] => {
  if (typeof value !== 'object' || value === null) return [];
  return Object.entries(value).flatMap(([key, held]) => {
    const here = `${path}.${key}`;
    if (typeof held === 'number' && AMOUNTS.includes(key)) {
      const isSum = key === 'charge' || key === 'total' || key === 'subtotal';
      return Number.isSafeInteger(held) && (!isSum || held >= 0) ? [] : [`${here} is ${held}`];
    }
    return wrongAmounts(held, here);
  });
};

/** What is wrong with a quote of a book that was taken; every sentence of it is written. */
export const quoteWrongs = (compiled: CompiledBook, request: QuoteRequest): string[] => {
  if (requestFaults(compiled, request).length > 0) return [];
  const quoted: Quote = quote(compiled, request);
  // Where each unit lies has no amounts, and is by far the most of a large order's quote.
  return wrongAmounts(
    JSON.parse(JSON.stringify(quoted, (key, value: unknown) => (key === 'placed' ? [] : value))),
  );
};

/** What is wrong with the audit of a book: an order it shows that is not quoted, or none where there must be one. */
export const auditWrongs = (compiled: CompiledBook, on: string): string[] =>
  audit(compiled, on).flatMap(({ code, text, example }) => [
    ...(text === '' ? [`${code} has no words`] : []),
    ...(example && requestFaults(compiled, example).length > 0
      ? [`${code} shows an order that cannot be`]
      : []),
  ]);
