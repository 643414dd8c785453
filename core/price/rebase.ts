import type { Measure, StepsPrice } from '../model/price.ts';

/** What counts as one of each measure: a kilogram, one of the currency, a unit, a litre, a kilometre. */
const ONE: Record<Measure, number> = {
  weight: 1_000,
  subtotal: 100,
  units: 1,
  volume: 1_000_000,
  distance: 1_000,
};

/** The same steps by another measure: 2 kg becomes 2.00, 2 units or 2 litres, whole ones at least for units. */
export const rebased = (price: StepsPrice, basis: Measure): StepsPrice => {
  if (basis === price.basis) return price;
  const scaled = (value: number): number => Math.round((value / ONE[price.basis]) * ONE[basis]);
  const steps = price.steps.map((step) => ({
    ...step,
    from: scaled(step.from),
    ...(step.each ? { each: { ...step.each, size: Math.max(1, scaled(step.each.size)) } } : {}),
  }));
  return { ...price, basis, steps, ...(price.until === undefined ? {} : { until: scaled(price.until) }) };
};
