import { answersAtOnce } from '../../../carriers/stand-ins.ts';
import type { ComparedOrder } from '../../../core/costs/accounts-compared.ts';
import { costedOrder, type CostedOrder } from '../../../core/costs/costed-order.ts';
import { isCounted, type OrderFilter } from '../../../core/costs/order-filter.ts';
import { preparedOrder, type PreparedOrder, type WhatIfOrders } from '../../../core/costs/what-if-orders.ts';
import type { Book } from '../../../core/model/book.ts';
import { compile, type CompiledBook } from '../../../core/quote/compile.ts';
import { makeParts } from '../../../core/quote/compiled-parts.ts';
import { withParts, type ShopParts } from '../shop-parts.ts';
import { breath, STINT_MS, type OnCostProgress } from './cost-progress.ts';

/** A shop with its orders, as far as they are worked out. */
export interface OpenedShop {
  compiled: CompiledBook;
  shop: ShopParts;
  costed: readonly CostedOrder[];
  /** The orders that were measured; null are those that cannot be. */
  prepared: Map<CostedOrder, PreparedOrder | null>;
  compared: Map<CostedOrder, ComparedOrder | null>;
}

/** What is kept of an order, or is made now and kept. */
export const keptOrMade = <T>(kept: Map<CostedOrder, T>, order: CostedOrder, make: () => T): T => {
  const known = kept.get(order);
  if (known !== undefined) return known;
  const made = make();
  kept.set(order, made);
  return made;
};

/** The shop that the worker was given last, with its past orders, and a way through them that another run ends. */
export class PastOrders {
  readonly #parts = makeParts();
  #opened: OpenedShop | null = null;
  #run = 0;

  /** The shop that is open; none is a fault of the program. */
  get opened(): OpenedShop {
    if (!this.#opened) throw new Error('no shop was given yet');
    return this.#opened;
  }

  /** A number that is another after each stop. */
  get run(): number {
    return this.#run;
  }

  /** Ends what is under way. */
  stop(): void {
    this.#run += 1;
  }

  /** Takes a shop and finds what its orders cost; false where another was given on the way. */
  async open(shop: ShopParts, onProgress: OnCostProgress): Promise<boolean> {
    this.stop();
    this.#opened = null;
    const book = withParts({}, shop) as Book;
    const compiled = compile(book, shop.catalogue ?? { goods: [] }, answersAtOnce, this.#parts);
    const costed = await this.inTurn(shop.orders ?? [], (order) => costedOrder(compiled, order), onProgress);
    if (!costed) return false;
    this.#opened = {
      compiled,
      shop,
      costed: costed.filter((one) => one !== null),
      prepared: new Map(),
      compared: new Map(),
    };
    return true;
  }

  counted(filter: OrderFilter): CostedOrder[] {
    return this.opened.costed.filter((order) => isCounted(filter, order));
  }

  /** Measures the orders that a filter counts; null where it was stopped. */
  prepare(filter: OrderFilter, onProgress: OnCostProgress): Promise<(PreparedOrder | null)[] | null> {
    const { compiled, prepared } = this.opened;
    return this.inTurn(
      this.counted(filter),
      (one) => keptOrMade(prepared, one, () => preparedOrder(compiled, one)),
      onProgress,
    );
  }

  /** The measured orders that a filter counts; `prepare` comes before. */
  preparedOf(filter: OrderFilter): WhatIfOrders {
    const { compiled, shop, prepared } = this.opened;
    const orders = this.counted(filter).flatMap((one) => {
      const found = prepared.get(one);
      if (found === undefined) throw new Error('the orders were not measured yet');
      return found ?? [];
    });
    return { compiled, goods: shop.catalogue?.goods ?? [], orders };
  }

  /** Each of a list in turn, with a breath now and then; null where another run was begun. */
  async inTurn<T, R>(
    list: readonly T[],
    make: (one: T) => R,
    onProgress: OnCostProgress,
  ): Promise<R[] | null> {
    const mine = this.#run;
    const made: R[] = [];
    let rested = performance.now();
    for (const one of list) {
      made.push(make(one));
      if (performance.now() - rested < STINT_MS) continue;
      onProgress({ done: made.length, of: list.length });
      await breath();
      if (this.#run !== mine) return null;
      rested = performance.now();
    }
    return made;
  }
}
