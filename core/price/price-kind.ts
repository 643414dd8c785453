import type { Price, RateTable } from '../model/price.ts';

/** The kinds of price that a merchant writes directly, without a table or a carrier. */
export type WrittenKind = 'flat' | 'steps' | 'percent' | 'per-product';

/** A written price, one from a table, or a carrier's. */
export type ChosenKind = WrittenKind | 'table' | 'carrier';

const greatest = (amounts: readonly number[]): number =>
  amounts.reduce((most, one) => Math.max(most, one), 0);

/** One figure that stands for a price: what most like it charges, 0 where it says none. Minor units. */
const figureOf = (price: Price, tables: readonly RateTable[]): number => {
  switch (price.kind) {
    case 'flat':
      return price.amount;
    case 'steps':
      return price.steps[0]?.amount || greatest(price.steps.map(({ amount }) => amount));
    case 'percent':
      return price.min ?? 0;
    case 'per-product':
      return price.otherwise ?? 0;
    case 'carrier':
      return price.onError === 'withhold' ? 0 : price.onError.amount;
    case 'table':
      return greatest(
        (tables.find(({ id }) => id === price.tableId)?.rows ?? []).map(({ amount }) => amount),
      );
  }
};

/** Whether a price that is written charges nothing whatever is in the basket. */
export const chargesNothing = (price: Price): boolean => {
  switch (price.kind) {
    case 'flat':
      return price.amount === 0 && (price.first ?? 0) === 0;
    case 'steps':
      return price.steps.every(({ amount, each, percent }) => amount === 0 && !each?.amount && !percent);
    case 'percent':
      return price.points === 0 && (price.min ?? 0) === 0;
    case 'per-product':
      return price.otherwise === 0;
    default:
      return false;
  }
};

/** What a price charges that comes of one without a figure, so that it is never nothing by itself. */
const NEVER_NOTHING = 1_000;

const TENTH = 1_000;

/**
 * A price of another kind that charges about what the first did, and never less than its figure: a percentage
 * has it as its least, goods without a price of their own are charged it. A price without a figure, as of a carrier
 * without a fallback, becomes one that is not 0: only what charges nothing already goes on doing so.
 */
export const asKind = (price: Price, kind: WrittenKind, tables: readonly RateTable[] = []): Price => {
  if (price.kind === kind) return price;
  const amount = figureOf(price, tables) || (chargesNothing(price) ? 0 : NEVER_NOTHING);
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
