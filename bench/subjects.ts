import { audit } from '../core/audit/audit.ts';
import { AuditMemory } from '../core/audit/memory.ts';
import type { QuoteRequest } from '../core/model/request.ts';
import { compile, type CompiledBook } from '../core/quote/compile.ts';
import { quote } from '../core/quote/quote.ts';
import { demoBook } from '../demo/book.ts';
import { demoCatalogue } from '../demo/goods.ts';
import { demoTestOrders } from '../demo/test-orders.ts';
import { largeBook, randomRequests } from './large-book.ts';

const skus = demoCatalogue.goods.filter((good) => good.weight).map((good) => good.sku);

/** The demo's own test orders, and orders to places all over its zones, at many moments. */
export const demoRequests = (): QuoteRequest[] => [
  ...randomRequests(1_800, skus),
  ...Array.from({ length: 20 }, () => demoTestOrders.map(({ request }) => request)).flat(),
];

export const quoteAll = (compiled: CompiledBook, requests: readonly QuoteRequest[]): number => {
  let charges = 0;
  for (const request of requests)
    for (const choice of quote(compiled, request).choices) charges += choice.charge;
  return charges;
};

const ON = '2026-11-24';

/** What two commits are compared by, each as long as a tenth of a second or so. It may only use what both have. */
export const subjects = (): Record<string, () => unknown> => {
  const demo = compile(demoBook, demoCatalogue);
  const requests = demoRequests();
  const large = compile(largeBook(200, 6, 20, 20_000), demoCatalogue);
  const far = randomRequests(2_200, skus);
  const edited = { ...demoBook, rates: demoBook.rates.map((rate, at) => (at === 3 ? { ...rate } : rate)) };
  return {
    'quotes, demo book': () => quoteAll(demo, requests),
    'quotes, large book': () => quoteAll(large, far),
    'sentences of quotes, demo book': () =>
      requests.slice(0, 600).map((request) => JSON.stringify(quote(demo, request)).length),
    'audit, demo book': () => audit(compile(demoBook, demoCatalogue), ON),
    'audit after an edit': () => {
      const memory = new AuditMemory();
      audit(demo, ON, memory);
      return audit(compile(edited, demoCatalogue, null, demo.parts), ON, memory);
    },
  };
};
