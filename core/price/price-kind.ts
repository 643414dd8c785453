import type { Price } from '../model/price.ts';

/** The kinds of price that a merchant writes directly, without a table or a carrier. */
export type WrittenKind = 'flat' | 'steps' | 'percent' | 'per-product';

/** A written price, one from a table, or a carrier's. */
export type ChosenKind = WrittenKind | 'table' | 'carrier';

/** One figure that stands for a price: what most like it charges. Minor units. */
const figureOf = (price: Price): number => {
  switch (price.kind) {
    case 'flat':
      return price.amount;
    case 'steps':
      return price.steps[0]?.amount ?? 0;
    case 'percent':
      return price.min ?? 0;
    case 'per-product':
      return price.otherwise ?? 0;
    case 'carrier':
      return price.onError === 'withhold' ? 0 : price.onError.amount;
    default:
      return 0;
  }
};

const TENTH = 1_000;

/**
 * A price of another kind that charges about what the first did, and never less than its figure: a percentage
 * has it as its least, goods without a price of their own are charged it.
 */
export const asKind = (price: Price, kind: WrittenKind): Price => {
  if (price.kind === kind) return price;
  const amount = figureOf(price);
  switch (kind) {
    case 'flat':
      return { kind, amount, per: 'order' };
    case 'steps':
      return { kind, basis: 'weight', per: 'order', steps: [{ from: 0, amount }] };
    case 'percent':
      return { kind, points: TENTH, min: amount };
    case 'per-product':
      return { kind, otherwise: amount, per: 'unit' };
  }
};
