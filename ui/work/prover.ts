import type { Book } from '../../core/model/book.ts';
import type { Catalogue } from '../../core/model/good.ts';
import type { PastOrder } from '../../core/model/order.ts';
import type { Trial } from '../../core/model/trial.ts';
import { prove, type Proof } from '../../core/proof/prove.ts';
import { compile } from '../../core/quote/compile.ts';

/** The parts of a book that may have a hundred thousand entries. */
export type LongList = 'rateTables' | 'postalList';

/** The parts of the shop that changed since they were last handed over; a book part by part. */
export interface ShopParts {
  book?: Partial<Book>;
  /** The long lists that changed, as JSON. */
  lists?: Partial<Record<LongList, string>>;
  catalogue?: Catalogue;
  trials?: Trial[];
  orders?: PastOrder[];
}

/** What proves the draft, beside the page: it holds a copy of the shop, and is handed what changes. */
export interface Prover {
  take: (parts: ShopParts) => void;
  prove: () => Proof;
}

/** A prover with nothing in it yet. It runs in a worker; tests run it where they are. */
export const makeProver = (): Prover => {
  let book: Partial<Book> = {};
  let catalogue: Catalogue | null = null;
  let trials: Trial[] = [];
  let orders: PastOrder[] = [];
  return {
    take: (parts) => {
      const lists = Object.entries(parts.lists ?? {}).map(([name, text]) => [name, JSON.parse(text)]);
      book = { ...book, ...parts.book, ...Object.fromEntries(lists) };
      catalogue = parts.catalogue ?? catalogue;
      trials = parts.trials ?? trials;
      orders = parts.orders ?? orders;
    },
    prove: () => {
      if (!catalogue) throw new Error('there is no shop to prove yet');
      return prove(compile(book as Book, catalogue), trials, orders);
    },
  };
};
