import { bestBoxOver, type BoxLimits } from '../../core/costs/best-box.ts';
import { BoxTrial, boxOfSize, makingOf } from '../../core/costs/box-trial.ts';
import type { CostedOrder } from '../../core/costs/costed-order.ts';
import type { OrderFilter } from '../../core/costs/order-filter.ts';
import { packedOrder, type PackedOrder } from '../../core/costs/packed-order.ts';
import {
  boxUse,
  packedSums,
  takenBy,
  usedPackings,
  type BoxUse,
  type PackedSums,
} from '../../core/costs/packing-compared.ts';
import type { Book } from '../../core/model/book.ts';
import type { Box, PackPlan } from '../../core/model/pack.ts';
import type { Packing } from '../../core/pack/packing.ts';
import { compile, type CompiledBook } from '../../core/quote/compile.ts';
import { breath, STINT_MS, type OnCostProgress } from './cost-progress.ts';
import { listed, margin, type ListedOrder } from './listed-order.ts';

/** A way of packing over the orders that both it and the account's own can pack. */
export interface ComparedPlan {
  plan: PackPlan;
  /** Who packs so: 'store', or accounts by id. */
  by: readonly string[];
  sums: PackedSums;
  own: PackedSums;
}

/** Each way of packing that the book has beside the account's own, which comes first, and how its boxes were used. */
export interface PackingCompared {
  plans: readonly ComparedPlan[];
  uses: readonly BoxUse[];
}

/** One more box with which past orders take least: how many would have a parcel in it, and what all take without and with it. */
export interface BoxFound {
  box: Omit<Box, 'id' | 'name'>;
  orders: number;
  was: PackedSums;
  now: PackedSums;
}

/** Works out how past orders were packed, and how they could be. */
export interface PackingCosts {
  /** Packs every order that was shipped anew, at an account's prices; null where it was stopped. */
  packing: (
    filter: OrderFilter,
    accountId: string,
    onProgress: OnCostProgress,
  ) => Promise<PackingCompared | null>;
  /** The orders with a parcel in a box, as the account packs them; those that were packed already. */
  ordersInBox: (filter: OrderFilter, accountId: string, boxId: string) => ListedOrder[];
  /**
   * The one more box with which the account's carrier and the boxes take least; 'none' where none saves anything, null
   * where it was stopped. Says how many sizes it has tried.
   */
  bestBox: (
    filter: OrderFilter,
    accountId: string,
    limits: BoxLimits,
    onTried: (sizes: number) => void,
  ) => Promise<BoxFound | 'none' | null>;
}

/** The shop's orders, and a way through them that another run ends. */
export interface OrdersAtHand {
  compiled: () => CompiledBook;
  counted: (filter: OrderFilter) => CostedOrder[];
  run: () => number;
  inTurn: <T, R>(list: readonly T[], make: (one: T) => R, onProgress: OnCostProgress) => Promise<R[] | null>;
}

const NEW_BOX = 'one-more-box';

/** So many orders stand for all while a size is sought. */
const ENOUGH_ORDERS = 800;

/** A book in which an account packs into one more box too. */
const withBox = (book: Book, accountId: string, box: BoxFound['box']): Book => ({
  ...book,
  boxes: [...book.boxes, { ...box, id: NEW_BOX, name: '' }],
  carriers: book.carriers.map((account) =>
    account.id === accountId && account.packing.kind === 'boxes'
      ? { ...account, packing: { kind: 'boxes', boxIds: [...account.packing.boxIds, NEW_BOX] } }
      : account,
  ),
});

const isIn = (boxId: string, { runs }: PackedOrder): boolean =>
  runs.some(({ packed }) => packed?.box.id === boxId);

type Known = Map<CostedOrder, PackedOrder | null>;

/** The part of the work on costs that is about packing; what it has packed is kept as long as the shop is the same. */
export const packingCosts = (at: OrdersAtHand): PackingCosts => {
  const packed = new WeakMap<CompiledBook, Map<string, Map<Packing, Known>>>();

  const knownOf = (accountId: string, packing: Packing): Known => {
    const compiled = at.compiled();
    const byAccount = packed.get(compiled) ?? new Map<string, Map<Packing, Known>>();
    const byPacking = byAccount.get(accountId) ?? new Map<Packing, Known>();
    const known: Known = byPacking.get(packing) ?? new Map<CostedOrder, PackedOrder | null>();
    packed.set(compiled, byAccount.set(accountId, byPacking.set(packing, known)));
    return known;
  };
  const packingOfAccount = (accountId: string): Packing | undefined =>
    at.compiled().accounts.get(accountId)?.packing;

  /** An order in a packing at an account's prices, worked out once. */
  const packedIn = (accountId: string, packing: Packing, one: CostedOrder): PackedOrder | null => {
    const known = knownOf(accountId, packing);
    const before = known.get(one);
    if (before !== undefined) return before;
    const found = packedOrder(at.compiled(), one, accountId, packing);
    known.set(one, found);
    return found;
  };

  /** Every order in each packing; null where it was stopped. */
  const packedAll = (
    filter: OrderFilter,
    accountId: string,
    packings: readonly Packing[],
    onProgress: OnCostProgress,
  ): Promise<(PackedOrder | null)[][] | null> =>
    at.inTurn(
      at.counted(filter),
      (one) => packings.map((packing) => packedIn(accountId, packing, one)),
      onProgress,
    );

  /** What a box would truly change: the orders packed again by the book with it, over those that both can pack. */
  const withOneMore = async (
    accountId: string,
    orders: readonly PackedOrder[],
    box: BoxFound['box'],
  ): Promise<BoxFound | null> => {
    const { book, parts, ask, goods } = at.compiled();
    const changed = compile(withBox(book, accountId, box), { goods: [...goods.values()] }, ask, parts);
    const anew = await at.inTurn(
      orders,
      (one) => packedOrder(changed, one.costed, accountId),
      () => undefined,
    );
    if (!anew) return null;
    const now = anew.filter((one) => one !== null);
    const was = orders.filter((_, which) => anew[which] !== null);
    return {
      box,
      orders: now.filter((one) => isIn(NEW_BOX, one)).length,
      was: packedSums(was),
      now: packedSums(now),
    };
  };

  return {
    packing: async (filter, accountId, onProgress) => {
      const used = usedPackings(at.compiled(), accountId);
      const packings = used.map(({ packing }) => packing);
      const all = await packedAll(filter, accountId, packings, onProgress);
      if (!all) return null;
      const plans = used.map(({ packing: { plan }, by }, which) => {
        const both = all.filter((ways) => ways[0] && ways[which]);
        const sumsOf = (way: number): PackedSums => packedSums(both.flatMap((ways) => ways[way] ?? []));
        return { plan, by, sums: sumsOf(which), own: sumsOf(0) };
      });
      const [own] = packings;
      return {
        plans,
        uses: own
          ? boxUse(
              own,
              all.flatMap(([one]) => one ?? []),
            )
          : [],
      };
    },
    ordersInBox: (filter, accountId, boxId) => {
      const own = packingOfAccount(accountId);
      const known = own && knownOf(accountId, own);
      return at
        .counted(filter)
        .filter((one) => {
          const packed = known?.get(one);
          return packed !== undefined && packed !== null && isIn(boxId, packed);
        })
        .sort((a, b) => margin(a) - margin(b))
        .map(listed);
    },
    bestBox: async (filter, accountId, limits, onTried) => {
      const own = packingOfAccount(accountId);
      const compiled = at.compiled();
      const { ask } = compiled;
      if (!own || !ask) return 'none';
      const all = await packedAll(filter, accountId, [own], () => undefined);
      if (!all) return null;
      const orders = all.flatMap(([one]) => one ?? []);
      const making = makingOf(own.boxes);
      const trialOf = (some: readonly PackedOrder[]): BoxTrial =>
        new BoxTrial(compiled, accountId, some, ask);
      const whole = trialOf(orders);
      const apart = Math.ceil(orders.length / ENOUGH_ORDERS);
      const some = apart === 1 ? whole : trialOf(orders.filter((_, which) => which % apart === 0));
      const search = bestBoxOver({ some, all: whole }, limits, making);
      let tried = 0;
      let rested = performance.now();
      const mine = at.run();
      let step = search.next();
      while (!step.done) {
        tried += 1;
        step = search.next();
        if (performance.now() - rested < STINT_MS) continue;
        onTried(tried);
        await breath();
        if (at.run() !== mine) return null;
        rested = performance.now();
      }
      if (!step.value) return 'none';
      const box = boxOfSize(step.value.inside, limits.maxWeight, making);
      const found = await withOneMore(accountId, orders, box);
      const saves = found && takenBy(found.was) - takenBy(found.now);
      return saves !== null && saves <= 0 ? 'none' : found;
    },
  };
};
