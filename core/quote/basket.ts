import { fault, type Fault } from '../model/fault.ts';
import type { Good } from '../model/good.ts';
import type { Line, QuoteRequest } from '../model/request.ts';
import { GREATEST_SUBTOTAL, GREATEST_SUM } from '../model/unit.ts';

/** A line of the basket with the catalogue's good under the line's own fields. */
export interface BasketLine extends Good {
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
  lines: number;
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
  /** The goods whose weight the store's default stands for. */
  assumed: readonly BasketLine[];
}

const lineOf = (good: Good | undefined, line: Line): BasketLine | null => {
  const merged = good ? { ...good, ...definedOf(line) } : line;
  return merged.price === undefined || merged.fulfilment === undefined
    ? null
    : ({ ...merged, name: merged.name ?? line.sku } as BasketLine);
};

const definedOf = (line: Line): Line => {
  for (const key in line) if (line[key as keyof Line] === undefined) return JSON.parse(JSON.stringify(line)) as Line;
  return line;
};

const NOTHING: readonly BasketLine[] = [];

const sum = (lines: readonly BasketLine[], figure: (line: BasketLine) => number | undefined): Known => {
  let value = 0;
  let unknown = NOTHING;
  for (const line of lines) {
    const one = figure(line);
    if (one === undefined) unknown = [...unknown, line];
    else value += one * line.quantity;
  }
  return { value, unknown };
};

const volumeOf = ({ size }: BasketLine): number | undefined => size && size.length * size.width * size.height;

const longestOf = (lines: readonly BasketLine[]): Known => {
  let value = 0;
  let unknown = NOTHING;
  for (const line of lines) {
    if (!line.size) unknown = [...unknown, line];
    else value = Math.max(value, line.size.length, line.size.width, line.size.height);
  }
  return { value, unknown };
};

const measure = (lines: readonly BasketLine[], defaultWeight: number | undefined): Measures => {
  let units = 0;
  for (const line of lines) units += line.quantity;
  return {
    weight: sum(lines, (line) => line.weight ?? defaultWeight),
    volume: sum(lines, volumeOf),
    units,
    lines: lines.length,
    longestSide: longestOf(lines),
  };
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
  for (const line of lines) total += line.price * line.quantity;
  return total;
};

const sizeFaults = (basket: Basket): Fault[] => [
  ...(basket.subtotal > GREATEST_SUBTOTAL ? [fault('subtotal-too-big', ['lines'], { limit: GREATEST_SUBTOTAL })] : []),
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
  const physical = lines.filter((line) => line.fulfilment === 'physical');
  const chargeable = physical.some((line) => line.chargeFree) ? physical.filter((line) => !line.chargeFree) : physical;
  const travels = measure(physical, defaultWeight);
  const basket: Basket = {
    lines,
    physical,
    chargeable,
    subtotal: Math.max(0, gross(lines) - (request.discount ?? 0)),
    travels,
    charged: chargeable === physical ? travels : measure(chargeable, defaultWeight),
    assumed: defaultWeight === undefined ? NOTHING : physical.filter((line) => line.weight === undefined),
  };
  return { basket, faults: faults.length > 0 ? faults : sizeFaults(basket) };
};
