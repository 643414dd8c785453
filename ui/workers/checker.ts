import { answersAtOnce } from '../../carriers/stand-ins.ts';
import type { Book } from '../../core/model/book.ts';
import type { Catalogue } from '../../core/model/good.ts';
import type { PastOrder } from '../../core/model/order.ts';
import type { TestOrder } from '../../core/model/test-order.ts';
import { checkDraft, type DraftCheck } from '../../core/check/check-draft.ts';
import { compile } from '../../core/quote/compile.ts';
import { makeParts } from '../../core/quote/compiled-parts.ts';
import { withCatalogue, withParts, type ShopParts } from './shop-parts.ts';

/** What checks the draft, beside the page: it holds a copy of the shop, and is handed what changes. */
export interface Checker {
  take: (parts: ShopParts) => void;
  /** The test orders; and what each adjustment touches, where that is asked. */
  checkDraft: (withTouches: boolean) => DraftCheck;
}

/** A checker with nothing in it yet. It runs in a worker; tests run it where they are. */
export const makeChecker = (): Checker => {
  const kept = makeParts();
  let book: Partial<Book> = {};
  let catalogue: Catalogue | null = null;
  let testOrders: TestOrder[] = [];
  let orders: PastOrder[] = [];
  return {
    take: (parts) => {
      book = withParts(book, parts);
      catalogue = withCatalogue(catalogue, parts);
      testOrders = parts.testOrders ?? testOrders;
      orders = parts.orders ?? orders;
    },
    checkDraft: (withTouches) => {
      if (!catalogue) throw new Error('there is no shop to check yet');
      return checkDraft(
        compile(book as Book, catalogue, answersAtOnce, kept),
        testOrders,
        withTouches ? orders : null,
      );
    },
  };
};
