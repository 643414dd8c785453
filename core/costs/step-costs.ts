import type { StepsPrice } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
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
  number: string;
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
    const { order, cost } = one.costed;
    const value = order.chosen.of?.rateId === rate.id ? valueOf(one, price) : null;
    return value === null || one.charge === null
      ? []
      : [{ number: order.number, value, charge: one.charge, cost }];
  });
};

/** Each step of a price with the charges and costs of the orders in it. */
export const stepCosts = ({ steps }: StepsPrice, orders: readonly MeasuredOrder[]): StepCosts[] =>
  steps.map(({ from }, at) => {
    const to = steps[at + 1]?.from ?? null;
    const inside = orders.filter(({ value }) => value >= from && (to === null || value < to));
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
