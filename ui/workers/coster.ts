import { answersAtOnce } from '../../carriers/stand-ins.ts';
import {
  accountsByCell,
  accountShares,
  comparedOrder,
  type AccountShare,
  type ComparedCell,
  type ComparedOrder,
} from '../../core/costs/accounts-compared.ts';
import { costedOrder, type CostedOrder } from '../../core/costs/costed-order.ts';
import { fewestSteps, isTooFine, type FittedSteps, type StepsBound } from '../../core/costs/fewest-steps.ts';
import { leverValues } from '../../core/costs/lever-range.ts';
import type { Lever, LeverValue } from '../../core/costs/lever.ts';
import { marginBoard, type MarginBoard } from '../../core/costs/margin-board.ts';
import { nearThreshold, type NearThreshold } from '../../core/costs/near-threshold.ts';
import { isCounted, type OrderFilter } from '../../core/costs/order-filter.ts';
import {
  inStep,
  measuredOrders,
  orderHandling,
  stepCosts,
  type MeasuredOrder,
  type StepCosts,
} from '../../core/costs/step-costs.ts';
import { switchOver } from '../../core/costs/switch-over.ts';
import type { Switch } from '../../core/costs/switch.ts';
import { preparedOrder, type PreparedOrder, type WhatIfOrders } from '../../core/costs/what-if-orders.ts';
import { leverOver, type LeverOver, type MovedOrder, type WhatIf } from '../../core/costs/what-if.ts';
import type { Book } from '../../core/model/book.ts';
import type { Rate } from '../../core/model/rate.ts';
import { compile, type CompiledBook } from '../../core/quote/compile.ts';
import { makeParts } from '../../core/quote/compiled-parts.ts';
import { breath, STINT_MS, type OnCostProgress } from './cost-progress.ts';
import { listed, margin, type ListedOrder } from './listed-order.ts';
import { packingCosts, type PackingCosts } from './packing-costs.ts';
import { withParts, type ShopParts } from './shop-parts.ts';

/** An order that a lever would change, with its charge before and after; null is not offered. */
export type ListedMove = ListedOrder & Pick<MovedOrder, 'was' | 'now'>;

/** An order with what an account asks for it, and the cheapest of all accounts; minor units. */
export type PricedOrder = ListedOrder & { price: number; least: number };

/** What a switch would do, and the orders it would change, those by most first. */
export interface Switched {
  result: WhatIf;
  moved: ListedMove[];
}

/** What the accounts ask for past orders, in sum and by zone and weight. */
export interface AccountsCompared {
  orders: number;
  shares: ReadonlyMap<string, AccountShare>;
  cells: readonly ComparedCell[];
}

/** A step of a rate beside its orders, and its fit. */
export interface RateCosts {
  orders: number;
  steps: readonly StepCosts[];
}

/** The board by margin, and when the first and the last of its orders were placed; null where there is none. */
export interface BoardOfPeriod extends MarginBoard {
  first: string | null;
  last: string | null;
}

/** Works out what past orders cost, beside the page. Each answer is of the shop and the orders it was given last. */
export interface Coster extends PackingCosts {
  /** Takes a shop with its past orders and finds their costs; false where another was given on the way, or `stop`. */
  open: (shop: ShopParts, onProgress: OnCostProgress) => Promise<boolean>;
  stop: () => void;
  board: (filter: OrderFilter) => BoardOfPeriod;
  /** The orders of a row, a column or a cell of the board, the greatest losses first; null is all. */
  ordersOf: (filter: OrderFilter, row: string | null, column: string | null) => ListedOrder[];
  /** Measures the orders that a filter counts, for levers; null where another shop was given on the way, or `stop`. */
  prepare: (
    filter: OrderFilter,
    onProgress: OnCostProgress,
  ) => Promise<{ orders: number; unusable: number } | null>;
  /** What a lever at a value would do; `prepare` comes before it, as before all that follow. */
  whatIf: (filter: OrderFilter, lever: Lever, value: LeverValue) => WhatIf;
  /** The orders it would change, those by most first. */
  movedOrders: (filter: OrderFilter, lever: Lever, value: LeverValue) => ListedMove[];
  /** The same over the lever's range, handed over one after the other; false where something else was asked on the way. */
  curve: (filter: OrderFilter, lever: Lever, onPoint: (point: WhatIf) => void) => Promise<boolean>;
  /** What another account or another packing would do; null where it was stopped. */
  switched: (filter: OrderFilter, switched: Switch, onProgress: OnCostProgress) => Promise<Switched | null>;
  near: (filter: OrderFilter, rateId: string, threshold: number) => NearThreshold;
  steps: (filter: OrderFilter, rateId: string) => RateCosts;
  /** The orders in one of its steps. */
  ordersInStep: (filter: OrderFilter, rateId: string, at: number) => ListedOrder[];
  /** The fewest steps that follow the costs of a rate's orders; null where there are too many to look through. */
  fit: (filter: OrderFilter, rateId: string, bound: StepsBound) => FittedSteps | null;
  /** Asks every account about every order that was shipped; null where it was stopped. */
  accounts: (
    filter: OrderFilter,
    edges: readonly number[],
    onProgress: OnCostProgress,
  ) => Promise<AccountsCompared | null>;
  /** The orders that an account prices, once it was asked about them, those first for which others are cheaper by most. */
  ordersPriced: (filter: OrderFilter, accountId: string) => PricedOrder[];
}

/** Values of a lever worked out in one go over all orders: four take half as long as each for itself. */
const AT_ONCE = 4;

/** By how much an order is changed; one that is lost or gained comes before all others. */
const movedBy = ({ was, now }: MovedOrder): number =>
  was === null || now === null ? Number.MAX_SAFE_INTEGER : now - was;

/** A shop with its orders, as far as they are worked out. */
interface Opened {
  compiled: CompiledBook;
  shop: ShopParts;
  costed: CostedOrder[];
  /** The orders that were measured; null are those that cannot be. */
  prepared: Map<CostedOrder, PreparedOrder | null>;
  compared: Map<CostedOrder, ComparedOrder | null>;
}

/** It runs in a worker; tests run it where they are. */
export const makeCoster = (): Coster => {
  const kept = makeParts();
  let opened: Opened | null = null;
  let run = 0;
  let drawing = 0;
  let moving: { key: string; of: Opened | null; over: LeverOver } | null = null;

  const the = (): Opened => {
    if (!opened) throw new Error('no shop was given yet');
    return opened;
  };
  const counted = (filter: OrderFilter): CostedOrder[] =>
    the().costed.filter((order) => isCounted(filter, order));
  const preparedOf = (filter: OrderFilter): WhatIfOrders => {
    const { compiled, shop, prepared } = the();
    const orders = counted(filter).flatMap((one) => {
      const found = prepared.get(one);
      if (found === undefined) throw new Error('the orders were not measured yet');
      return found ?? [];
    });
    return { compiled, goods: shop.catalogue?.goods ?? [], orders };
  };
  /** The lever asked about last goes on with what it has worked out. */
  const over = (filter: OrderFilter, lever: Lever): LeverOver => {
    const key = JSON.stringify([filter, lever]);
    if (moving?.key !== key || moving.of !== opened)
      moving = { key, of: opened, over: leverOver(preparedOf(filter), lever) };
    return moving.over;
  };
  const rateOf = (rateId: string): Rate | undefined =>
    the().compiled.book.rates.find(({ id }) => id === rateId);
  const measured = (filter: OrderFilter, rateId: string): MeasuredOrder[] => {
    const rate = rateOf(rateId);
    return rate ? measuredOrders(preparedOf(filter), rate) : [];
  };

  /** Each of a list in turn, with a breath now and then; null where another run was begun. */
  const inTurn = async <T, R>(
    list: readonly T[],
    make: (one: T) => R,
    onProgress: OnCostProgress,
  ): Promise<R[] | null> => {
    const mine = run;
    const made: R[] = [];
    let rested = performance.now();
    for (const one of list) {
      made.push(make(one));
      if (performance.now() - rested < STINT_MS) continue;
      onProgress({ done: made.length, of: list.length });
      await breath();
      if (run !== mine) return null;
      rested = performance.now();
    }
    return made;
  };

  const listedMoves = (moved: readonly MovedOrder[]): ListedMove[] =>
    [...moved]
      .sort((a, b) => Math.abs(movedBy(b)) - Math.abs(movedBy(a)))
      .map(({ costed, was, now }) => ({ ...listed(costed), was, now }));

  return {
    open: async (shop, onProgress) => {
      run += 1;
      opened = null;
      const book = withParts({}, shop) as Book;
      const compiled = compile(book, shop.catalogue ?? { goods: [] }, answersAtOnce, kept);
      const costed = await inTurn(shop.orders ?? [], (order) => costedOrder(compiled, order), onProgress);
      if (!costed) return false;
      const orders = costed.filter((one) => one !== null);
      opened = {
        compiled,
        shop,
        costed: orders,
        prepared: new Map(),
        compared: new Map(),
      };
      return true;
    },
    stop: () => {
      run += 1;
      drawing += 1;
    },
    board: (filter) => {
      const orders = counted(filter);
      const moments = orders.map(({ order }) => order.request.placedAt).sort();
      return { ...marginBoard(orders), first: moments[0] ?? null, last: moments.at(-1) ?? null };
    },
    ordersOf: (filter, row, column) =>
      counted(filter)
        .filter(
          (order) => (row === null || order.row === row) && (column === null || order.column === column),
        )
        .sort((a, b) => margin(a) - margin(b))
        .map(listed),
    prepare: async (filter, onProgress) => {
      const { compiled, prepared } = the();
      const measured = await inTurn(
        counted(filter),
        (one) => {
          const known = prepared.get(one);
          if (known !== undefined) return known;
          const found = preparedOrder(compiled, one);
          prepared.set(one, found);
          return found;
        },
        onProgress,
      );
      if (!measured) return null;
      const orders = measured.filter((one) => one !== null).length;
      return { orders, unusable: measured.length - orders };
    },
    whatIf: (filter, lever, value) => over(filter, lever).at([value])[0] as WhatIf,
    movedOrders: (filter, lever, value) => listedMoves(over(filter, lever).moved(value)),
    switched: async (filter, asked, onProgress) => {
      const orders = preparedOf(filter);
      const work = switchOver(orders, asked);
      // Each turn is one order; the last has what all of them come to.
      const turns = await inTurn([...orders.orders, null], () => work.next(), onProgress);
      const last = turns?.at(-1);
      return last?.done ? { result: last.value.result, moved: listedMoves(last.value.moved) } : null;
    },
    curve: async (filter, lever, onPoint) => {
      drawing += 1;
      const mine = drawing;
      const { at } = over(filter, lever);
      const values = leverValues(the().compiled.book, lever, counted(filter));
      for (let done = 0; done < values.length; done += AT_ONCE) {
        at(values.slice(done, done + AT_ONCE)).forEach((point) => onPoint(point));
        await breath();
        if (drawing !== mine) return false;
      }
      return true;
    },
    near: (filter, rateId, threshold) =>
      nearThreshold(
        counted(filter).filter(({ order }) => order.chosen.of?.rateId === rateId),
        threshold,
      ),
    steps: (filter, rateId) => {
      const orders = measured(filter, rateId);
      const price = rateOf(rateId)?.price;
      return { orders: orders.length, steps: price?.kind === 'steps' ? stepCosts(price, orders) : [] };
    },
    fit: (filter, rateId, bound) => {
      const rate = rateOf(rateId);
      const handling = rate ? orderHandling(rate) : 0;
      const costs = measured(filter, rateId).flatMap(({ value, cost }) =>
        cost === null ? [] : [{ value, cost: Math.max(0, cost - handling) }],
      );
      return isTooFine(costs, bound) ? null : fewestSteps(costs, bound);
    },
    ordersInStep: (filter, rateId, at) => {
      const price = rateOf(rateId)?.price;
      if (price?.kind !== 'steps') return [];
      return inStep(price, at, measured(filter, rateId))
        .map(({ costed }) => costed)
        .sort((a, b) => margin(a) - margin(b))
        .map(listed);
    },
    ordersPriced: (filter, accountId) =>
      counted(filter)
        .flatMap((one) => {
          const prices = the().compared.get(one)?.prices;
          const price = prices?.get(accountId);
          return prices && price !== undefined
            ? [{ ...listed(one), price, least: Math.min(...prices.values()) }]
            : [];
        })
        .sort((a, b) => b.price - b.least - (a.price - a.least)),
    accounts: async (filter, edges, onProgress) => {
      const { compiled, compared } = the();
      const all = await inTurn(
        counted(filter),
        (one) => {
          const known = compared.get(one);
          if (known !== undefined) return known;
          const found = comparedOrder(compiled, one);
          compared.set(one, found);
          return found;
        },
        onProgress,
      );
      if (!all) return null;
      const orders = all.filter((one) => one !== null);
      return { orders: orders.length, shares: accountShares(orders), cells: accountsByCell(orders, edges) };
    },
    ...packingCosts({ compiled: () => the().compiled, counted, run: () => run, inTurn }),
  };
};
