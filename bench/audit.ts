import { audit } from '../core/audit/audit.ts';
import { AuditMemory } from '../core/audit/memory.ts';
import type { Adjustment } from '../core/model/adjustment.ts';
import type { Book } from '../core/model/book.ts';
import type { Catalogue } from '../core/model/good.ts';
import { compile } from '../core/quote/compile.ts';
import { quote } from '../core/quote/quote.ts';
import { demoBook } from '../demo/book.ts';
import { demoCatalogue } from '../demo/goods.ts';
import { largeBook, randomRequests } from './large-book.ts';
import { measure } from './measure.ts';

export interface Report {
  print: (name: string, figure: string, target?: string) => void;
  expect: (name: string, reached: boolean, figure: string, target: string) => void;
}

interface Shop {
  book: Book;
  catalogue: Catalogue;
}

const ON = '2026-11-24';

/** Adjustments by weight and by customer, spread over the services. */
const manyAdjustments = (count: number, services: number): Adjustment[] =>
  Array.from({ length: count }, (_, at) => ({
    id: `adjustment-${at}`,
    name: `Adjustment ${at}`,
    active: true,
    when: [
      { test: 'measure', of: 'weight', min: at * 500 },
      ...(at % 5 === 0 ? [{ test: 'customer' as const, in: [`group-${at % 3}`] }] : []),
    ],
    to: { serviceIds: [`service-${at % services}`] },
    effect: { do: 'percent', points: at % 2 === 0 ? -300 : 500, of: 'charge' },
  }));

const LARGE: Shop = {
  book: {
    ...largeBook(200, 6, 20, 5_000),
    adjustments: manyAdjustments(50, 6),
    groups: [],
    rateTables: [],
    postalList: [],
  },
  catalogue: { ...demoCatalogue, goods: demoCatalogue.goods.map(({ groupIds: _, ...good }) => good) },
};

/** A list with one entry changed. */
const edited = <T>(list: readonly T[], at: number, changes: Partial<T>): T[] =>
  list.map((one, place) => (place === at ? { ...one, ...changes } : one));

/** One edit, another each round, so that none is known from before. */
const EDITS: Record<string, (shop: Shop, round: number) => Shop> = {
  'a rate': ({ book, catalogue }, round) => ({
    catalogue,
    book: { ...book, rates: edited(book.rates, 3, { freeFrom: 9_000 + round }) },
  }),
  'a product': ({ book, catalogue }, round) => ({
    book,
    catalogue: { ...catalogue, goods: edited(catalogue.goods, 3, { weight: 1_000 + round }) },
  }),
  'an adjustment': ({ book, catalogue }, round) => ({
    catalogue,
    book: { ...book, adjustments: edited(book.adjustments, 0, { active: round % 2 === 0 }) },
  }),
};

/** An edit that touches more orders than this is judged nearly as a whole book is. */
const MOST_TOUCHED = 10_000;

const benchEdits = async (
  { print, expect }: Report,
  name: string,
  shop: Shop,
  target: number,
): Promise<void> => {
  const memory = new AuditMemory();
  audit(compile(shop.book, shop.catalogue), ON, memory);
  for (const [what, edit] of Object.entries(EDITS)) {
    let round = 0;
    const judged = memory.judged;
    const { median } = await measure(() => {
      round += 1;
      const now = edit(shop, round);
      return audit(compile(now.book, now.catalogue), ON, memory);
    }, false);
    const touched = Math.round((memory.judged - judged) / round);
    const title = `audit, ${name}, after ${what} is edited, ${touched.toLocaleString('en')} orders`;
    const figure = `${median.toFixed(0)} ms`;
    if (touched > MOST_TOUCHED) print(title, figure, 'touches every zone: no target');
    else expect(title, median < target, figure, `${target} ms`);
  }
};

/** What an audit takes against quoting as many orders one after the other. */
const benchRatio = async ({ print }: Report, taken: number): Promise<void> => {
  const memory = new AuditMemory();
  const demo = compile(demoBook, demoCatalogue);
  audit(demo, ON, memory);
  const skus = demoCatalogue.goods.filter((good) => good.weight).map((good) => good.sku);
  const requests = randomRequests(memory.judged, skus);
  const plain = await measure(() => requests.map((request) => quote(demo, request).choices.length));
  print(
    `audit, demo book, against ${memory.judged} plain quotes`,
    `${(taken / plain.median).toFixed(1)} times`,
  );
};

/** The whole audit of the demo and of a large book, and of each after one edit. */
export const benchAudit = async (report: Report): Promise<void> => {
  const demo = compile(demoBook, demoCatalogue);
  const { median } = await measure(() => audit(demo, ON), false);
  report.expect('audit, demo book', median < 150, `${median.toFixed(0)} ms`, '150 ms');
  await benchRatio(report, median);
  await benchEdits(report, 'demo book', { book: demoBook, catalogue: demoCatalogue }, 100);
  const large = compile(LARGE.book, LARGE.catalogue);
  const start = performance.now();
  const found = audit(large, ON).length;
  const taken = performance.now() - start;
  report.print('audit, large book, problems found', String(found), '5,000 patterns, 50 adjustments');
  report.expect('audit, large book', taken < 5_000, `${(taken / 1_000).toFixed(1)} s`, '5 s');
  await benchEdits(report, 'large book', LARGE, 1_000);
};
