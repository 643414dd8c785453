import type { Adjustment } from '../model/adjustment.ts';
import type { Good } from '../model/good.ts';
import type { Limits, Measure, Price } from '../model/price.ts';
import type { QuoteRequest } from '../model/request.ts';
import { GREATEST_QUANTITY } from '../model/bounds.ts';
import { volumeOf } from '../pack/cuboid.ts';
import type { CompiledBook } from '../quote/compile.ts';
import { conditionKind } from '../adjust/condition-kinds.ts';
import { kindOf } from '../price/kinds.ts';

/** Goods and a discount that are put to a book. */
export type Basket = Pick<QuoteRequest, 'lines' | 'discount'>;

/** Values at which a rule changes its mind, by measure. */
export type Thresholds = Partial<Record<Measure, readonly number[]>>;

const MEASURES: readonly Measure[] = ['weight', 'subtotal', 'units', 'volume'];

/** What of a rate, an area or a pickup point changes its mind at some value. */
export interface Ruled {
  price?: Price;
  freeFrom?: number | undefined;
  minSubtotal?: number | undefined;
  limits?: Limits | undefined;
}

const priceThresholds = (
  price: Price,
  { book }: CompiledBook,
  add: (of: Measure, value: number) => void,
): void => {
  const kind = kindOf(price);
  const basis = kind.basis(price, book.rateTables);
  if (basis) for (const value of kind.changesAt(price, book.rateTables)) add(basis, value);
};

/** Every value at which a step, a limit, a threshold or a condition begins or ends to hold, for some rules and adjustments. */
export const thresholdsOf = (
  compiled: CompiledBook,
  rules: readonly Ruled[],
  adjustments: readonly Adjustment[],
): Thresholds => {
  const found = new Map<Measure, Set<number>>(MEASURES.map((measure) => [measure, new Set()]));
  const add = (of: Measure, value: number): void => void found.get(of)?.add(value);
  for (const { price, freeFrom, minSubtotal, limits } of rules) {
    if (price) priceThresholds(price, compiled, add);
    for (const value of [freeFrom, minSubtotal]) if (value !== undefined) add('subtotal', value);
    for (const measure of ['weight', 'subtotal', 'units', 'volume'] as const) {
      const { min, max } = limits?.[measure] ?? {};
      if (min !== undefined) add(measure, min);
      if (max !== undefined) add(measure, max + 1);
    }
  }
  for (const { when } of adjustments)
    for (const condition of when) {
      const basis = conditionKind(condition).basis(condition);
      for (const at of basis?.at ?? []) if (basis) add(basis.of, at);
    }
  return Object.fromEntries(
    [...found].map(([measure, values]) => [measure, [...values].sort((a, b) => a - b)]),
  );
};

const eachOf = (good: Good, measure: Measure, defaultWeight: number | undefined): number | undefined => {
  if (measure === 'weight') return good.weight ?? defaultWeight;
  if (measure === 'volume') return good.size && volumeOf(good.size);
  return measure === 'units' ? 1 : good.price;
};

const MOST_QUANTITIES = 40;

/** The quantities of a good that bring it just below, to, and just above each threshold; one, and very many. */
const quantitiesOf = (good: Good, thresholds: Thresholds, defaultWeight: number | undefined): number[] => {
  const found = new Set([1, 2, GREATEST_QUANTITY]);
  for (const measure of MEASURES) {
    const each = eachOf(good, measure, defaultWeight);
    if (!each) continue;
    for (const threshold of thresholds[measure] ?? []) {
      const at = Math.floor(threshold / each);
      for (const quantity of [at - 1, at, at + 1])
        if (quantity >= 1 && quantity <= GREATEST_QUANTITY) found.add(quantity);
    }
  }
  return [...found].sort((a, b) => a - b).slice(0, MOST_QUANTITIES);
};

/** The products that stand for all of a group: the lightest, heaviest, cheapest, dearest, and those of which a figure is missing. */
const extremes = (goods: readonly Good[]): Good[] => {
  const by = (value: (good: Good) => number | undefined): Good[] => {
    const known = goods.filter((good) => value(good) !== undefined);
    const sorted = [...known].sort((a, b) => (value(a) ?? 0) - (value(b) ?? 0));
    return [sorted[0], sorted.at(-1)].filter((good) => good !== undefined);
  };
  const missing = [
    goods.find(({ weight }) => weight === undefined),
    goods.find(({ size }) => size === undefined),
    goods.find(({ chargeFree }) => chargeFree),
    goods.find(({ shippingPrice }) => shippingPrice === 0),
  ].filter((good) => good !== undefined);
  const lean = (good: Good): number | undefined => (good.weight ? good.price / good.weight : undefined);
  return [...new Set([...by((good) => good.weight), ...by(({ price }) => price), ...by(lean), ...missing])];
};

const SMALL = 6;

/** The handling groups of a good, as one name for all that travel like it. */
const groupsOf = ({ groupIds }: Good): string => [...(groupIds ?? [])].sort().join();

/** The products that are tried in every quantity: all of a small catalogue, else the extremes of each group. */
export const probesOf = (goods: readonly Good[]): Good[] => {
  const physical = goods.filter(({ fulfilment }) => fulfilment === 'physical');
  if (physical.length <= SMALL) return physical;
  const groups = new Map<string, Good[]>();
  for (const good of physical) groups.set(groupsOf(good), [...(groups.get(groupsOf(good)) ?? []), good]);
  return [...groups.values()].flatMap(extremes);
};

/** The probes that come nearest to any threshold: the lightest and the leanest of each group, or all of a few. */
const finest = (probes: readonly Good[]): ReadonlySet<Good> => {
  if (probes.length <= SMALL) return new Set(probes);
  const least = (goods: readonly Good[], value: (good: Good) => number): Good | undefined =>
    [...goods].filter(({ weight }) => weight).sort((a, b) => value(a) - value(b))[0];
  const groups = new Set(probes.map(groupsOf));
  return new Set(
    [...groups].flatMap((group) => {
      const goods = probes.filter((good) => groupsOf(good) === group);
      const light = least(goods, ({ weight = 1 }) => weight);
      const lean = least(goods, ({ weight = 1, price }) => price / weight);
      return [light, lean].filter((good) => good !== undefined);
    }),
  );
};

const line = ({ sku }: Good, quantity: number): Basket['lines'][number] => ({ sku, quantity });

/** Pairs of goods, one of each, that different rules may be for: of every two groups, or every two of a few goods. */
const pairs = (probes: readonly Good[]): Basket[] => {
  const groups =
    probes.length <= SMALL ? probes : [...new Map(probes.map((good) => [groupsOf(good), good])).values()];
  return groups.flatMap((one, at) =>
    groups.slice(at + 1).map((other) => ({ lines: [line(one, 1), line(other, 1)] })),
  );
};

/** A basket with the discounts that bring its subtotal just below, to and above each threshold, and to nothing. */
const discounted = (basket: Basket, gross: number, thresholds: readonly number[]): Basket[] =>
  [...new Set([gross, ...thresholds.flatMap((threshold) => [gross - threshold, gross - threshold + 1])])]
    .filter((discount) => discount > 0 && discount <= gross)
    .map((discount) => ({ ...basket, discount }));

/**
 * Baskets that reach every threshold: each good alone, the probes in the quantities that bring them to each
 * threshold, pairs that different rules may be for, and discounts that bring the subtotal to each.
 */
export const basketsFor = (
  compiled: CompiledBook,
  probes: readonly Good[],
  thresholds: Thresholds,
): Basket[] => {
  const physical = [...compiled.goods.values()].filter(({ fulfilment }) => fulfilment === 'physical');
  const { defaultWeight } = compiled.book.store;
  const alone = physical.map((good) => ({ lines: [line(good, 1)] }));
  const fine = finest(probes);
  const many = probes.flatMap((good) =>
    quantitiesOf(good, fine.has(good) ? thresholds : {}, defaultWeight)
      .filter((quantity) => quantity > 1)
      .map((quantity) => ({ lines: [line(good, quantity)] })),
  );
  const cut = probes.flatMap((good) => {
    const quantities = [
      1,
      ...quantitiesOf(good, { weight: thresholds.weight ?? [] }, defaultWeight).slice(-1),
    ];
    return quantities.flatMap((quantity) =>
      discounted({ lines: [line(good, quantity)] }, good.price * quantity, thresholds.subtotal ?? []),
    );
  });
  return [...alone, ...many, ...pairs(probes), ...cut];
};

const FEW_EACH = 6;
const MOST_MIXES = 20_000;

/** Every mix of a small catalogue's goods, up to six of each; null where there are too many to try. */
export const allMixes = (goods: readonly Good[]): Basket[] | null => {
  if ((FEW_EACH + 1) ** goods.length > MOST_MIXES) return null;
  const mixes = goods.reduce<Basket['lines'][]>(
    (made, good) =>
      made.flatMap((lines) =>
        Array.from({ length: FEW_EACH + 1 }, (_, quantity) =>
          quantity === 0 ? lines : [...lines, line(good, quantity)],
        ),
      ),
    [[]],
  );
  return mixes.filter((lines) => lines.length > 0).map((lines) => ({ lines }));
};
