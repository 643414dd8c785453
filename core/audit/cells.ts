import { conditionKind } from '../adjust/condition-kinds.ts';
import { effectKind } from '../adjust/effect-kinds.ts';
import type { Adjustment } from '../model/adjustment.ts';
import type { Good } from '../model/good.ts';
import { volumeOf } from '../pack/cuboid.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { memoizeByObject } from '../memo/memoize-by-object.ts';
import type { Basket, Thresholds } from './baskets.ts';

const MEASURES = ['weight', 'subtotal', 'units', 'volume'] as const;

/** How many thresholds a value has passed, and whether it stands on one. */
const stepOf = (value: number, thresholds: readonly number[]): string => {
  let passed = 0;
  while (passed < thresholds.length && (thresholds[passed] ?? 0) <= value) passed += 1;
  return thresholds[passed - 1] === value ? `${passed}=` : `${passed}`;
};

/** What of a good rules tell apart besides its measures: its groups, what is not known of it, what is free. */
const kindOf = (good: Good): string =>
  [
    [...(good.groupIds ?? [])].sort().join('+'),
    good.weight === undefined ? 'w' : '',
    good.size === undefined ? 's' : '',
    good.chargeFree ? 'f' : '',
    good.shippingPrice === undefined ? 'p' : good.shippingPrice === 0 ? '0' : '',
    good.packsAlone ? 'a' : '',
    good.onceFee ? 'o' : '',
  ].join('/');

/**
 * Tells orders apart as far as the thresholds of some rules do: two orders of one cell pass the same thresholds with goods
 * that are alike to every rule. Goods that conditions name one by one are told apart.
 */
export const cellsOf = (
  compiled: CompiledBook,
  thresholds: Thresholds,
  adjustments: readonly Adjustment[],
): ((basket: Basket) => string) => {
  const named = new Set(
    adjustments.flatMap(({ when, effect }) => [
      ...when.flatMap((one) => conditionKind(one).goods(one).skus ?? []),
      ...(effectKind(effect).goods(effect).skus ?? []),
    ]),
  );
  const { defaultWeight = 0 } = compiled.book.store;
  const kind = memoizeByObject(kindOf);
  return ({ lines, discount = 0 }) => {
    const sums = { weight: 0, subtotal: -discount, units: 0, volume: 0 };
    const kinds = new Set<string>();
    let longest = 0;
    for (const { sku, quantity } of lines) {
      const good = compiled.goods.get(sku);
      if (!good) return JSON.stringify(lines);
      sums.weight += (good.weight ?? defaultWeight) * quantity;
      sums.subtotal += good.price * quantity;
      sums.units += quantity;
      sums.volume += (good.size ? volumeOf(good.size) : 0) * quantity;
      longest = Math.max(
        longest,
        good.size ? Math.max(good.size.length, good.size.width, good.size.height) : 0,
      );
      kinds.add(named.has(sku) ? `${sku} ${kind(good)}` : kind(good));
    }
    const steps = MEASURES.map((measure) => stepOf(sums[measure], thresholds[measure] ?? []));
    return `${[...kinds].sort().join()}|${steps.join()}|${longest}|${discount > 0}`;
  };
};

/** Of the orders of each cell the first: they are given with the smallest first. */
export const oneEach = (baskets: readonly Basket[], cellOf: (basket: Basket) => string): Basket[] => {
  const seen = new Set<string>();
  return baskets.filter((basket) => {
    const cell = cellOf(basket);
    const isNew = !seen.has(cell);
    seen.add(cell);
    return isNew;
  });
};
