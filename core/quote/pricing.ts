import { toThousandth } from '../model/measured.ts';
import type { ParcelRun } from '../pack/pack.ts';
import type { Measure, Price } from '../model/price.ts';
import type { Source } from '../model/quote.ts';
import { unknownRefusal, type Refusal } from '../price/limits.ts';
import { pointsOf } from '../price/rounding.ts';
import { findTableRow, indexTable, tablePlaceName } from '../price/table.ts';
import { eachAmount, priceByTiers, type SortedTiers } from '../price/tiers.ts';
import type { Basket, BasketLine } from '../basket/basket.ts';
import { memoizeByObject } from '../memo/memoize-by-object.ts';
import type { LocatedOrder } from './conditions.ts';
import type { Ledger } from './ledger.ts';

type Flat = Extract<Price, { kind: 'flat' }>;
type PerProduct = Extract<Price, { kind: 'per-product' }>;
type Percent = Extract<Price, { kind: 'percent' }>;
type Per = Flat['per'];

/** How many of `per` there are among the goods charged for, or why that cannot be said. */
export const countOf = (
  per: Per,
  { basket, parcels }: Pick<LocatedOrder, 'basket' | 'parcels'>,
): number | Refusal => {
  if (per === 'order') return 1;
  if (per === 'parcel') return parcels.count();
  return per === 'unit' ? basket.charged.units : basket.chargeable.length;
};

const addFlat = (ledger: Ledger, price: Flat, order: LocatedOrder, from: Source): Refusal | null => {
  const { amount, per, first } = price;
  if (per === 'order') {
    ledger.add('price', first ?? amount, from, { code: 'flat', amount: first ?? amount });
    return null;
  }
  const count = countOf(per, order);
  if (typeof count !== 'number') return count;
  const total = first === undefined ? count * amount : first + (count - 1) * amount;
  ledger.add('price', total, from, { code: 'flat-count', per, count, amount, first });
  return null;
};

const measureOf = (basis: Measure, { basket, distance }: LocatedOrder): number | Refusal => {
  if (basis === 'subtotal') return basket.subtotal;
  if (basis === 'units') return basket.charged.units;
  if (basis === 'distance')
    return distance ?? { code: 'distance-unknown', say: { code: 'distance-unknown' } };
  const known = basket.charged[basis];
  return known.unknown.length > 0 ? unknownRefusal(basis, known) : known.value;
};

const addTiers = (ledger: Ledger, tiers: SortedTiers, order: LocatedOrder, from: Source): Refusal | null => {
  const { basket } = order;
  const value = measureOf(tiers.basis, order);
  if (typeof value !== 'number') return value;
  const priced = priceByTiers(tiers, value, basket.subtotal);
  if (!priced.ok) return { code: priced.code, say: priced.say };
  ledger.add('price', priced.amount, from, priced.say);
  return null;
};

const volumeOf = ({ contents }: ParcelRun, lines: readonly BasketLine[]): number =>
  Math.round(
    contents.reduce((sum, { line, quantity }) => {
      const size = lines[line]?.good.size;
      return size ? sum + size.length * size.width * size.height * quantity : sum;
    }, 0),
  );

/** A parcel's own weight, units or volume; the subtotal is the order's, for it has no parts. */
const measureOfParcel = (basis: Measure, run: ParcelRun, { basket, distance }: LocatedOrder): number => {
  if (basis === 'weight') return toThousandth(run.weight);
  if (basis === 'units') return run.units;
  if (basis === 'distance') return distance ?? 0;
  return basis === 'volume' ? volumeOf(run, basket.chargeable) : basket.subtotal;
};

/** Each parcel priced and rounded for itself, then added. */
const addTiersByParcel = (
  ledger: Ledger,
  tiers: SortedTiers,
  order: LocatedOrder,
  from: Source,
): Refusal | null => {
  const { basket, parcels } = order;
  const known = measureOf(tiers.basis, order);
  if (typeof known !== 'number') return known;
  const packed = parcels.all();
  if (!packed.ok) return packed.refusal;
  for (const run of packed.runs) {
    const priced = priceByTiers(tiers, measureOfParcel(tiers.basis, run, order), basket.subtotal);
    if (!priced.ok) return { code: priced.code, say: priced.say };
    const { count } = run;
    ledger.add('price', priced.amount * count, from, { code: 'parcels-tier', count, tier: priced.say });
  }
  return null;
};

const addPercent = (ledger: Ledger, { points, min, max }: Percent, basket: Basket, from: Source): void => {
  const { subtotal } = basket;
  const raised = Math.max(pointsOf(subtotal, points), min ?? 0);
  const amount = Math.min(raised, max ?? raised);
  ledger.add('price', amount, from, { code: 'percent-price', points, subtotal, min, max });
};

/** Each good's own price for sending it, else the rate's for other goods; a line of the working each. */
const addPerProduct = (ledger: Ledger, price: PerProduct, basket: Basket, from: Source): Refusal | null => {
  const { otherwise, per } = price;
  const without = basket.chargeable.filter(({ good }) => (good.shippingPrice ?? otherwise) === null);
  const [first] = without;
  if (first) {
    const goods = without.map(({ good }) => good.name);
    return {
      code: 'price-unknown',
      say: { code: 'price-unknown', goods },
      from: { kind: 'good', id: first.good.sku },
    };
  }
  for (const { good, quantity } of basket.chargeable) {
    const own = good.shippingPrice !== undefined;
    const each = good.shippingPrice ?? otherwise ?? 0;
    const count = per === 'unit' ? quantity : 1;
    const source: Source = own ? { kind: 'good', id: good.sku } : from;
    ledger.add('price', each * count, source, { code: 'good-price', good: good.name, per, count, each, own });
  }
  return null;
};

/** A table's index, made when the first order is priced by it. */
/** The index of a table, made once. */
export const tableIndexOf = memoizeByObject(indexTable);

/** The row of a table for the destination and what the basket measures. */
const addFromTable = (ledger: Ledger, tableId: string, order: LocatedOrder): Refusal | null => {
  const table = order.compiled.tables.get(tableId);
  if (!table) throw new Error(`the table ${tableId} was not missed by the reader`);
  const from: Source = { kind: 'table', id: tableId };
  const value = measureOf(table.basis, order);
  if (typeof value !== 'number') return value;
  const index = tableIndexOf(table);
  const found = findTableRow(index, order.reach.place, value);
  const said = {
    table: table.name,
    measure: table.basis,
    value,
    place: tablePlaceName(index, found.place),
  };
  const row = table.rows[found.row];
  if (!row) return { code: 'no-table-row', say: { code: 'no-table-row', ...said }, from };
  const { amount, each, from: start, to } = row;
  const added = each ? eachAmount(each, value - start) : 0;
  const say = {
    ...said,
    code: 'table-row',
    row: found.row + 1,
    from: start,
    to,
    amount,
    each,
    added,
  } as const;
  ledger.add('price', amount + added, from, say);
  return null;
};

/** The price itself, written into the ledger; a refusal where it cannot be known or does not hold. */
export const addPrice = (
  ledger: Ledger,
  { rate: { id, price }, tiers }: { rate: { id: string; price: Price }; tiers: SortedTiers | null },
  order: LocatedOrder,
  from: Source,
): Refusal | null => {
  const { basket } = order;
  if (basket.chargeable.length === 0) {
    ledger.add('price', 0, from, { code: 'goes-free' });
    return null;
  }
  switch (price.kind) {
    case 'flat':
      return addFlat(ledger, price, order, from);
    case 'steps': {
      if (!tiers) throw new Error(`${id}: its steps were not sorted`);
      const add = price.per === 'parcel' ? addTiersByParcel : addTiers;
      return add(ledger, tiers, order, from);
    }
    case 'percent':
      addPercent(ledger, price, basket, from);
      return null;
    case 'per-product':
      return addPerProduct(ledger, price, basket, from);
    case 'table':
      return addFromTable(ledger, price.tableId, order);
    default:
      throw new Error(`${id}: a ${price.kind} price was let through by the reader`);
  }
};
