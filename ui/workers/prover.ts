import { answersAtOnce } from '../../carriers/stand-ins.ts';
import type { Book } from '../../core/model/book.ts';
import type { Catalogue } from '../../core/model/good.ts';
import type { PastOrder } from '../../core/model/order.ts';
import type { Trial } from '../../core/model/trial.ts';
import { prove, type Proof } from '../../core/proof/prove.ts';
import { compile } from '../../core/quote/compile.ts';
import { withCatalogue, withParts, type ShopParts } from './shop-parts.ts';

/** What proves the draft, beside the page: it holds a copy of the shop, and is handed what changes. */
export interface Prover {
  take: (parts: ShopParts) => void;
  /** The trials; and what each adjustment touches, where that is asked. */
  prove: (withTouches: boolean) => Proof;
}

/** A prover with nothing in it yet. It runs in a worker; tests run it where they are. */
export const makeProver = (): Prover => {
  let book: Partial<Book> = {};
  let catalogue: Catalogue | null = null;
  let trials: Trial[] = [];
  let orders: PastOrder[] = [];
  return {
    take: (parts) => {
      book = withParts(book, parts);
      catalogue = withCatalogue(catalogue, parts);
      trials = parts.trials ?? trials;
      orders = parts.orders ?? orders;
    },
    prove: (withTouches) => {
      if (!catalogue) throw new Error('there is no shop to prove yet');
      return prove(compile(book as Book, catalogue, answersAtOnce), trials, withTouches ? orders : null);
    },
  };
};
