import { toThousandth } from '../model/measured.ts';
import { fault, type Fault } from '../model/fault.ts';
import type { Good } from '../model/good.ts';
import type { Line, QuoteRequest } from '../model/request.ts';
import { GREATEST_SUBTOTAL, GREATEST_SUM } from '../model/bounds.ts';

/** A line of the basket: the catalogue's good, with the line's own fields over it where it has some. */
export interface BasketLine {
  good: Good;
  quantity: number;
}

/** A sum over goods, with the names of those whose figure is unknown. */
export interface Known {
  value: number;
  unknown: readonly BasketLine[];
}

export interface Measures {
  weight: Known;
  volume: Known;
  units: number;
  longestSide: Known;
}

/** What a basket measures: limits look at all that travels, prices at what is charged for. */
export interface Basket {
  lines: readonly BasketLine[];
  physical: readonly BasketLine[];
  chargeable: readonly BasketLine[];
  subtotal: number;
  travels: Measures;
  charged: Measures;
  /** The products whose weight the store's default stands for. */
  assumed: readonly BasketLine[];
}

const ownFields = ({ sku: _sku, quantity: _quantity, ...own }: Line): Partial<Good> =>
  Object.fromEntries(Object.entries(own).filter(([, value]) => value !== undefined));

const isPlain = (line: Line): boolean => {
  for (const field in line) if (field !== 'sku' && field !== 'quantity') return false;
  return true;
};

const lineOf = (known: Good | undefined, line: Line): BasketLine | null => {
  const { sku, quantity } = line;
  if (known && isPlain(line)) return { good: known, quantity };
  const good = { name: sku, ...known, sku, ...ownFields(line) };
  return good.price === undefined || good.fulfilment === undefined ? null : { good: good as Good, quantity };
};

const NOTHING: readonly BasketLine[] = [];

/** One pass over the lines, as every quote makes it. */
const measure = (lines: readonly BasketLine[], defaultWeight: number | undefined): Measures => {
  let units = 0;
  let weight = 0;
  let volume = 0;
  let longest = 0;
  let weightless = NOTHING;
  let sizeless = NOTHING;
  for (const line of lines) {
    const { good, quantity } = line;
    const each = good.weight ?? defaultWeight;
    units += quantity;
    if (each === undefined) weightless = [...weightless, line];
    else weight += each * quantity;
    if (good.size) {
      const { length, width, height } = good.size;
      volume += length * width * height * quantity;
      longest = Math.max(longest, length, width, height);
    } else {
      sizeless = [...sizeless, line];
    }
  }
  return {
    units,
    weight: { value: toThousandth(weight), unknown: weightless },
    volume: { value: Math.round(volume), unknown: sizeless },
    longestSide: { value: toThousandth(longest), unknown: sizeless },
  };
};

/** The lines that pass, and the same list where all do. */
const only = (lines: readonly BasketLine[], passes: (line: BasketLine) => boolean): readonly BasketLine[] => {
  for (const line of lines) if (!passes(line)) return lines.filter(passes);
  return lines;
};

const merge = (
  goods: ReadonlyMap<string, Good>,
  request: QuoteRequest,
): { lines: BasketLine[]; faults: Fault[] } => {
  const lines: BasketLine[] = [];
  const faults: Fault[] = [];
  request.lines.forEach((line, at) => {
    const merged = lineOf(goods.get(line.sku), line);
    if (merged) lines.push(merged);
    else faults.push(fault('good-unknown', ['lines', at, 'sku'], { sku: line.sku }));
  });
  return { lines, faults };
};

const gross = (lines: readonly BasketLine[]): number => {
  let total = 0;
  for (const line of lines) total += line.good.price * line.quantity;
  return total;
};

const sizeFaults = (basket: Basket): Fault[] => [
  ...(basket.subtotal > GREATEST_SUBTOTAL
    ? [fault('subtotal-too-big', ['lines'], { limit: GREATEST_SUBTOTAL })]
    : []),
  ...(Math.max(basket.travels.weight.value, basket.travels.volume.value) > GREATEST_SUM
    ? [fault('basket-too-big', ['lines'])]
    : []),
];

/**
 * A request's basket, measured once: grams, cubic millimetres, units, minor units.
 * Faults: a good the catalogue lacks that brings no price and fulfilment of its own; sums too large to stay exact.
 */
export const measureBasket = (
  goods: ReadonlyMap<string, Good>,
  defaultWeight: number | undefined,
  request: QuoteRequest,
): { basket: Basket; faults: readonly Fault[] } => {
  const { lines, faults } = merge(goods, request);
  const physical = only(lines, ({ good }) => good.fulfilment === 'physical');
  const chargeable = only(physical, ({ good }) => !good.chargeFree);
  const travels = measure(physical, defaultWeight);
  const basket: Basket = {
    lines,
    physical,
    chargeable,
    subtotal: Math.max(0, gross(lines) - (request.discount ?? 0)),
    travels,
    charged: chargeable === physical ? travels : measure(chargeable, defaultWeight),
    assumed: defaultWeight === undefined ? NOTHING : physical.filter(({ good }) => good.weight === undefined),
  };
  return { basket, faults: faults.length > 0 ? faults : sizeFaults(basket) };
};
