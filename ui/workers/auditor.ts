import { answersAtOnce } from '../../carriers/stand-ins.ts';
import { auditInSteps, type AuditProgress } from '../../core/audit/audit.ts';
import { AuditMemory } from '../../core/audit/memory.ts';
import { checkDraft } from '../../core/check/check-draft.ts';
import type { Book } from '../../core/model/book.ts';
import type { Problem } from '../../core/model/problem.ts';
import type { Catalogue } from '../../core/model/good.ts';
import type { QuoteRequest } from '../../core/model/request.ts';
import type { TestOrder } from '../../core/model/test-order.ts';
import { testOrderChanges, type TestOrderChange } from '../../core/publish/test-order-changes.ts';
import { compile, type CompiledBook } from '../../core/quote/compile.ts';
import { pricesOf } from '../../core/delivery-page/prices.ts';
import type { PriceSpan } from '../../core/delivery-page/price-key.ts';
import { makeParts, type CompiledParts } from '../../core/quote/compiled-parts.ts';
import { triedRepairs, type TriedRepair, type TriedShop } from '../../core/repair/tried-repairs.ts';
import { replayInSteps, type Replay } from '../../core/replay/replay.ts';
import { withCatalogue, withParts, type ShopParts } from './shop-parts.ts';

/** When and by what channel the orders are placed that prices are of. */
export type PricedOrder = Pick<QuoteRequest, 'placedAt' | 'channel'>;

/** What publishing the draft in place of an edition would do to the test orders and to past orders. */
export interface Comparison {
  testOrders: TestOrderChange[];
  replay: Replay;
}

/** Judges a shop that is handed to it, beside the page. It holds the shop and what it found: later only what changed goes over. */
export interface Auditor {
  /** Every fault of the shop with the parts put over those it holds; null where another audit was asked for on the way, or `stop`. */
  audit: (
    parts: ShopParts,
    on: string,
    onProgress: (progress: AuditProgress) => void,
  ) => Promise<Problem[] | null>;
  stop: () => void;
  /** The repairs of a fault that work, tried on the shop as it was audited last; null where another audit was asked for. */
  repairs: (problem: Problem, testOrders: TestOrder[]) => Promise<TriedRepair[] | null>;
  /** The shop against the one that is live; told now and then how many past orders are done. */
  compare: (
    shop: ShopParts,
    live: ShopParts,
    onProgress: (done: number, of: number) => void,
  ) => Promise<Comparison>;
  /** What each way to get an order of a shop costs, by `priceKey`. */
  prices: (shop: ShopParts, order: PricedOrder) => ReadonlyMap<string, PriceSpan>;
  /** The ids of a shop's test orders that get what they should. */
  keptTestOrders: (shop: ShopParts) => string[];
}

const compiledOf = (shop: ShopParts, parts: CompiledParts): CompiledBook =>
  compile(withParts({}, shop) as Book, shop.catalogue as Catalogue, answersAtOnce, parts);

/** It works so long before it looks whether it should stop. */
const STINT_MS = 30;
const breath = (): Promise<void> => new Promise((done) => void setTimeout(done));

/** Work in steps, done a stint at a time: how far it is told, and what it gives; null where it is to stop on the way. */
const inStints = async <P, R>(
  steps: Generator<P, R>,
  onProgress: (progress: P) => void,
  isToStop: () => boolean,
): Promise<R | null> => {
  let rested = performance.now();
  let step = steps.next();
  while (!step.done) {
    if (performance.now() - rested > STINT_MS) {
      onProgress(step.value);
      await breath();
      if (isToStop()) return null;
      rested = performance.now();
    }
    step = steps.next();
  }
  return step.value;
};

const never = (): boolean => false;

/** It runs in a worker; tests run it where they are. */
export const makeAuditor = (): Auditor => {
  const memory = new AuditMemory();
  let names: Record<string, string> = {};
  const kept = makeParts({ regionName: (code) => names[code] ?? code });
  let book: Partial<Book> = {};
  let catalogue: Catalogue | null = null;
  let run = 0;
  let audited: Omit<TriedShop, 'testOrders' | 'memory'> | null = null;
  return {
    audit: async (parts, on, onProgress) => {
      run += 1;
      const mine = run;
      book = withParts(book, parts);
      catalogue = withCatalogue(catalogue, parts);
      names = parts.regionNames ?? names;
      if (!catalogue) throw new Error('there is no shop to audit yet');
      const shop = { book: book as Book, catalogue };
      const compiled = compile(shop.book, catalogue, answersAtOnce, kept);
      const problems = await inStints(auditInSteps(compiled, on, memory), onProgress, () => run !== mine);
      if (problems) audited = { ...shop, compiled, problems, on };
      return problems;
    },
    stop: () => {
      run += 1;
    },
    repairs: async (problem, testOrders) => {
      if (!audited) return null;
      const mine = run;
      const found: TriedRepair[] = [];
      for (const works of triedRepairs({ ...audited, testOrders, memory }, problem)) {
        if (works) found.push(works);
        await breath();
        if (run !== mine) return null;
      }
      return found;
    },
    compare: async (shop, live, onProgress) => {
      const [now, before] = [compiledOf(shop, kept), compiledOf(live, kept)];
      const { orders = [], testOrders = [] } = shop;
      const steps = replayInSteps(now, before, orders);
      const replay = await inStints(steps, (done) => onProgress(done, orders.length), never);
      if (!replay) throw new Error('a comparison is never stopped');
      return { testOrders: testOrderChanges(before, now, testOrders), replay };
    },
    prices: (shop, order) => pricesOf(withParts({}, shop) as Book, shop.catalogue as Catalogue, order),
    keptTestOrders: (shop) =>
      checkDraft(compiledOf(shop, kept), shop.testOrders ?? [], null)
        .results.filter((result) => result.kept)
        .map(({ id }) => id),
  };
};
