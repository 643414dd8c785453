import type { PastOrder } from '../model/order.ts';
import type { Choice } from '../model/quote.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { measureOrder } from '../quote/quote.ts';

/** What became of one past order: the charge for the choice it took, before and now; null where it is not offered. */
export interface ReplayedOrder {
  number: string;
  name: string;
  was: number | null;
  now: number | null;
  /** Choices that were offered before and are not now, by name. */
  lost: string[];
  /** Whether the customer would be left with no choice at all. */
  stranded: boolean;
}

/** How many orders changed by how much: from the first figure on, to less than the second; null is no end. Minor units. */
export interface Bucket {
  from: number | null;
  to: number | null;
  count: number;
}

/** Past orders put through a book, in minor units. */
export interface Replay {
  orders: number;
  /** Orders whose goods can no longer be measured. */
  unusable: number;
  same: number;
  more: number;
  less: number;
  /** Orders whose choice is no longer offered. */
  gone: number;
  /** Orders that would be left with no choice. */
  stranded: number;
  /** Of the orders that have a charge both times; the cost of those that have one on record. */
  sums: { was: number; now: number; costed: number; cost: number; chargedForCosted: number };
  changes: Bucket[];
  /** Orders whose charge or choices changed, those that changed most first. */
  changed: ReplayedOrder[];
}

const offeredBy = (compiled: CompiledBook, { request }: PastOrder): readonly Choice[] | null => {
  const order = measureOrder(compiled, request);
  return order.ok ? order.value.quote().choices : null;
};

const chargeIn = (choices: readonly Choice[], id: string): number | null =>
  choices.find((choice) => choice.id === id)?.charge ?? null;

/** One past order through a book, against another book or what was charged then; null where it is unusable. */
const replayOrder = (
  now: CompiledBook,
  against: CompiledBook | null,
  order: PastOrder,
): ReplayedOrder | null => {
  const { id, name, charge } = order.chosen;
  const offered = offeredBy(now, order);
  if (!offered) return null;
  const before = against && offeredBy(against, order);
  const ids = new Set(offered.map((choice) => choice.id));
  return {
    number: order.number,
    name,
    was: before ? chargeIn(before, id) : charge,
    now: chargeIn(offered, id),
    lost: (before ?? []).filter((choice) => !ids.has(choice.id)).map((choice) => choice.name),
    stranded: offered.length === 0 && (before === null || before.length > 0),
  };
};

const change = ({ was, now }: ReplayedOrder): number => (was === null || now === null ? 0 : now - was);

/** Where the distribution is cut, in whole units of the currency; below the first lies what changed by less than one. */
const CUTS = [1, 2, 5, 10, 20, 50];

const distribution = (orders: readonly ReplayedOrder[], decimals: number): Bucket[] => {
  const edges = [1, ...CUTS.map((cut) => cut * 10 ** decimals)];
  const above: Bucket[] = edges.map((from, at) => ({ from, to: edges[at + 1] ?? null, count: 0 }));
  const below: Bucket[] = above
    .map(({ from, to }) => ({ from: to === null ? null : 1 - to, to: 1 - (from ?? 0), count: 0 }))
    .reverse();
  const buckets = [...below, { from: 0, to: 1, count: 0 }, ...above];
  for (const order of orders) {
    const by = change(order);
    const bucket = buckets.find(({ from, to }) => by >= (from ?? by) && by < (to ?? by + 1));
    if (bucket) bucket.count += 1;
  }
  return buckets;
};

const isChanged = (order: ReplayedOrder): boolean =>
  order.was !== order.now || order.lost.length > 0 || order.stranded;

const weight = (order: ReplayedOrder): number =>
  order.stranded ? Number.MAX_SAFE_INTEGER : order.now === null ? 1e12 : Math.abs(change(order));

/** Replayed orders summed up; `costs` are those of the orders by number, where they are on record. */
const sumReplay = (
  replayed: readonly ReplayedOrder[],
  unusable: number,
  costs: ReadonlyMap<string, number>,
  decimals: number,
): Replay => {
  const both = replayed.filter(({ was, now }) => was !== null && now !== null);
  const count = (test: (order: ReplayedOrder) => boolean): number => both.filter(test).length;
  const costed = both.filter(({ number }) => costs.has(number));
  const sum = (orders: readonly ReplayedOrder[], of: (order: ReplayedOrder) => number | null): number =>
    orders.reduce((total, order) => total + (of(order) ?? 0), 0);
  return {
    orders: replayed.length + unusable,
    unusable,
    same: count((order) => change(order) === 0),
    more: count((order) => change(order) > 0),
    less: count((order) => change(order) < 0),
    gone: replayed.filter(({ was, now }) => was !== null && now === null).length,
    stranded: replayed.filter(({ stranded }) => stranded).length,
    sums: {
      was: sum(both, ({ was }) => was),
      now: sum(both, ({ now }) => now),
      costed: costed.length,
      cost: sum(costed, ({ number }) => costs.get(number) ?? 0),
      chargedForCosted: sum(costed, ({ now }) => now),
    },
    changes: distribution(both, decimals),
    changed: replayed.filter(isChanged).sort((a, b) => weight(b) - weight(a)),
  };
};

/**
 * Past orders through a book: what the choice each took would cost now, against another book or, without
 * one, against what was charged then; who loses a choice, and the sums. Charges in minor units. Yields how many
 * orders are done after each.
 */
export const replayInSteps = function* (
  now: CompiledBook,
  against: CompiledBook | null,
  orders: readonly PastOrder[],
): Generator<number, Replay, void> {
  const usable: ReplayedOrder[] = [];
  for (const [at, order] of orders.entries()) {
    const replayed = replayOrder(now, against, order);
    if (replayed) usable.push(replayed);
    yield at + 1;
  }
  const costs = new Map(orders.flatMap(({ number, cost }) => (cost === undefined ? [] : [[number, cost]])));
  return sumReplay(usable, orders.length - usable.length, costs, now.display.decimals);
};

/** The same in one go. */
export const replay = (
  now: CompiledBook,
  against: CompiledBook | null,
  orders: readonly PastOrder[],
): Replay => {
  const steps = replayInSteps(now, against, orders);
  let step = steps.next();
  while (!step.done) step = steps.next();
  return step.value;
};
