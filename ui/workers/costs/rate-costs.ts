import {
  fewestSteps,
  isTooFine,
  type FittedSteps,
  type StepsBound,
} from '../../../core/costs/fewest-steps.ts';
import { nearThreshold, type NearThreshold } from '../../../core/costs/near-threshold.ts';
import type { OrderFilter } from '../../../core/costs/order-filter.ts';
import {
  inStep,
  measuredOrders,
  orderHandling,
  stepCosts,
  type MeasuredOrder,
  type StepCosts,
} from '../../../core/costs/step-costs.ts';
import type { Rate } from '../../../core/model/rate.ts';
import { listed, margin, type ListedOrder } from './listed-order.ts';
import type { PastOrders } from './past-orders.ts';

/** A step of a rate beside its orders, and its fit. */
export interface StepsBeside {
  orders: number;
  steps: readonly StepCosts[];
}

/** One rate beside what its orders cost; `prepare` comes before. */
export interface RateCosts {
  near: (filter: OrderFilter, rateId: string, threshold: number) => NearThreshold;
  steps: (filter: OrderFilter, rateId: string) => StepsBeside;
  /** The orders in one of its steps. */
  ordersInStep: (filter: OrderFilter, rateId: string, at: number) => ListedOrder[];
  /** The fewest steps that follow the costs of a rate's orders; null where there are too many to look through. */
  fit: (filter: OrderFilter, rateId: string, bound: StepsBound) => FittedSteps | null;
}

/** The part of the work on costs that looks at one rate. */
export const rateCosts = (past: PastOrders): RateCosts => {
  const rateOf = (rateId: string): Rate | undefined =>
    past.opened.compiled.book.rates.find(({ id }) => id === rateId);
  const measured = (filter: OrderFilter, rateId: string): MeasuredOrder[] => {
    const rate = rateOf(rateId);
    return rate ? measuredOrders(past.preparedOf(filter), rate) : [];
  };
  return {
    near: (filter, rateId, threshold) =>
      nearThreshold(
        past.counted(filter).filter(({ order }) => order.chosen.of?.rateId === rateId),
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
  };
};
