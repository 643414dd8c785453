import type { Price, RateTable } from '../model/price.ts';
import { CARRIER } from './kinds/carrier.ts';
import { FLAT } from './kinds/flat.ts';
import { PER_PRODUCT } from './kinds/per-product.ts';
import { PERCENT } from './kinds/percent.ts';
import { STEPS } from './kinds/steps.ts';
import { TABLE } from './kinds/table.ts';
import type { PriceKind, PriceOfKind, TableLookup } from './price-kind.ts';
import type { TableIndex } from './table.ts';

/** Every kind of price; a kind that is not here, or lacks a part, does not compile. */
export const PRICE_KINDS: { readonly [K in Price['kind']]: PriceKind<PriceOfKind<K>> } = {
  flat: FLAT,
  steps: STEPS,
  percent: PERCENT,
  'per-product': PER_PRODUCT,
  table: TABLE,
  carrier: CARRIER,
};

/** All that is known of a price's kind, to be asked about prices of that kind. */
export const kindOf = <P extends Price>({ kind }: P): PriceKind<P> =>
  PRICE_KINDS[kind] as unknown as PriceKind<P>;

/** What a price charges that comes of one without a figure, so that it is never nothing by itself. */
const NEVER_NOTHING = 1_000;

/**
 * A price of another kind that charges about what the first did, and never less than its figure: a percentage
 * has it as its least, products without a price of their own are charged it. A price without a figure, as of a
 * carrier without a fallback, becomes one that is not 0: only what charges nothing already goes on doing so. Null
 * for a kind that takes more than an amount.
 */
export const asKind = (
  price: Price,
  kind: Price['kind'],
  tables: readonly RateTable[] = [],
): Price | null => {
  if (price.kind === kind) return price;
  const { figure, chargesNothing } = kindOf(price);
  const amount = figure(price, tables) || (chargesNothing(price) ? 0 : NEVER_NOTHING);
  return PRICE_KINDS[kind].fromAmount?.(amount) ?? null;
};

/** The rate table that a price goes by, where it goes by one. */
export const tableOf = (price: Price, tables: TableLookup): TableIndex | undefined => {
  const { tableId } = kindOf(price).names(price);
  return tableId === undefined ? undefined : tables(tableId);
};
