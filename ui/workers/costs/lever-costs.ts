import { leverValues } from '../../../core/costs/lever-range.ts';
import type { Lever, LeverValue } from '../../../core/costs/lever.ts';
import type { OrderFilter } from '../../../core/costs/order-filter.ts';
import { switchOver } from '../../../core/costs/switch-over.ts';
import type { Switch } from '../../../core/costs/switch.ts';
import { leverOver, type LeverOver, type MovedOrder, type WhatIf } from '../../../core/costs/what-if.ts';
import { breath, type OnCostProgress } from './cost-progress.ts';
import { listed, type ListedOrder } from './listed-order.ts';
import type { OpenedShop, PastOrders } from './past-orders.ts';

/** An order that a lever would change, with its charge before and after; null is not offered. */
export type ListedMove = ListedOrder & Pick<MovedOrder, 'was' | 'now'>;

/** What a switch would do, and the orders it would change, those by most first. */
export interface Switched {
  result: WhatIf;
  moved: ListedMove[];
}

/** What changes of the book would do to past orders; `prepare` comes before. */
export interface LeverCosts {
  /** What a lever at a value would do. */
  whatIf: (filter: OrderFilter, lever: Lever, value: LeverValue) => WhatIf;
  /** The orders it would change, those by most first. */
  movedOrders: (filter: OrderFilter, lever: Lever, value: LeverValue) => ListedMove[];
  /** The same over the lever's range, handed over one after the other; false where something else was asked on the way. */
  curve: (filter: OrderFilter, lever: Lever, onPoint: (point: WhatIf) => void) => Promise<boolean>;
  stopCurve: () => void;
  /** What another account or another packing would do; null where it was stopped. */
  switched: (filter: OrderFilter, switched: Switch, onProgress: OnCostProgress) => Promise<Switched | null>;
}

/** Values of a lever worked out in one go over all orders: four take half as long as each for itself. */
const AT_ONCE = 4;

/** By how much an order is changed; one that is lost or gained comes before all others. */
const movedBy = ({ was, now }: MovedOrder): number =>
  was === null || now === null ? Number.MAX_SAFE_INTEGER : now - was;

const listedMoves = (moved: readonly MovedOrder[]): ListedMove[] =>
  [...moved]
    .sort((a, b) => Math.abs(movedBy(b)) - Math.abs(movedBy(a)))
    .map(({ costed, was, now }) => ({ ...listed(costed), was, now }));

/** The part of the work on costs that tries changes of the book. */
export const leverCosts = (past: PastOrders): LeverCosts => {
  let drawing = 0;
  let moving: { key: string; of: OpenedShop; over: LeverOver } | null = null;

  /** The lever asked about last goes on with what it has worked out. */
  const over = (filter: OrderFilter, lever: Lever): LeverOver => {
    const key = JSON.stringify([filter, lever]);
    if (moving?.key !== key || moving.of !== past.opened)
      moving = { key, of: past.opened, over: leverOver(past.preparedOf(filter), lever) };
    return moving.over;
  };

  return {
    whatIf: (filter, lever, value) => over(filter, lever).at([value])[0] as WhatIf,
    movedOrders: (filter, lever, value) => listedMoves(over(filter, lever).moved(value)),
    curve: async (filter, lever, onPoint) => {
      drawing += 1;
      const mine = drawing;
      const { at } = over(filter, lever);
      const values = leverValues(past.opened.compiled.book, lever, past.counted(filter));
      for (let done = 0; done < values.length; done += AT_ONCE) {
        at(values.slice(done, done + AT_ONCE)).forEach((point) => onPoint(point));
        await breath();
        if (drawing !== mine) return false;
      }
      return true;
    },
    stopCurve: () => {
      drawing += 1;
    },
    switched: async (filter, asked, onProgress) => {
      const orders = past.preparedOf(filter);
      const work = switchOver(orders, asked);
      // Each turn is one order; the last has what all of them come to.
      const turns = await past.inTurn([...orders.orders, null], () => work.next(), onProgress);
      const last = turns?.at(-1);
      return last?.done ? { result: last.value.result, moved: listedMoves(last.value.moved) } : null;
    },
  };
};
