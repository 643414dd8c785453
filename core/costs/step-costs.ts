import type { StepsPrice } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import type { CostedOrder } from './costed-order.ts';
import { quartiles, type Quartiles } from './quantile.ts';
import type { PreparedOrder, WhatIfOrders } from './what-if-orders.ts';

/** A step of a rate beside the orders that fall into it; amounts in minor units. */
export interface StepCosts {
  at: number;
  /** In the units of the measure; null is no end. */
  from: number;
  to: number | null;
  orders: number;
  /** The quartiles of what they are charged now, and of what those with a cost cost. */
  charges: Quartiles | null;
  costs: Quartiles | null;
  /** What those with a cost are charged, less what they cost. */
  margin: number;
}

/** An order that took a rate: the measure its price goes by, what it is charged now and what it cost. */
export interface MeasuredOrder {
  costed: CostedOrder;
  value: number;
  charge: number;
  cost: number | null;
}

/** The measure of an order that a price in steps goes by; null where it is not known. */
const valueOf = ({ context }: PreparedOrder, { basis }: StepsPrice): number | null => {
  const { charged } = context.basket;
  if (basis === 'subtotal') return context.basket.subtotal;
  if (basis === 'distance') return context.distance;
  if (basis === 'units') return charged.units;
  return charged[basis].unknown.length > 0 ? null : charged[basis].value;
};

/** The orders that took a rate in steps for the whole order, by what its price measures, and are offered it now. */
export const measuredOrders = ({ orders }: WhatIfOrders, rate: Rate): MeasuredOrder[] => {
  const { price } = rate;
  if (price.kind !== 'steps' || price.per !== 'order') return [];
  return orders.flatMap((one) => {
    const { costed } = one;
    const value = costed.order.chosen.of?.rateId === rate.id ? valueOf(one, price) : null;
    return value === null || one.charge === null
      ? []
      : [{ costed, value, charge: one.charge, cost: costed.cost }];
  });
};

/** The orders that fall into one step of a price. */
export const inStep = <T extends { value: number }>(
  { steps }: StepsPrice,
  at: number,
  orders: readonly T[],
): T[] => {
  const [step, next] = [steps[at], steps[at + 1]];
  return step ? orders.filter(({ value }) => value >= step.from && (!next || value < next.from)) : [];
};

/** Each step of a price with the charges and costs of the orders in it. */
export const stepCosts = (price: StepsPrice, orders: readonly Omit<MeasuredOrder, 'costed'>[]): StepCosts[] =>
  price.steps.map(({ from }, at) => {
    const to = price.steps[at + 1]?.from ?? null;
    const inside = inStep(price, at, orders);
    const costed = inside.flatMap(({ charge, cost }) => (cost === null ? [] : [{ charge, cost }]));
    return {
      at,
      from,
      to,
      orders: inside.length,
      charges: quartiles(inside.map(({ charge }) => charge)),
      costs: quartiles(costed.map(({ cost }) => cost)),
      margin: costed.reduce((sum, { charge, cost }) => sum + charge - cost, 0),
    };
  });

/** What handling adds to each order of a rate, which its steps need not cover; minor units. */
export const orderHandling = ({ handling }: Pick<Rate, 'handling'>): number =>
  handling?.per === 'order' ? (handling.amount ?? 0) : 0;
