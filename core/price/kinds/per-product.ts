import { t } from '../../translate/translate.ts';
import type { Source } from '../../model/quote.ts';
import { moneyFigure } from '../../words/figure.ts';
import { refused } from '../entries.ts';
import type { Entry, PriceKind, PriceOf, PriceOfKind } from '../price-kind.ts';
import { raisedAmount } from '../raise.ts';
import { isFilled, onlyRow } from '../figure-rows.ts';

type PerProduct = PriceOfKind<'per-product'>;

/** Each product's own price for sending it, else the price of other products; a line of the working each. */
const prepare =
  ({ otherwise, per }: PerProduct): PriceOf =>
  ({ basket }, from) => {
    const without = basket.chargeable.filter(({ good }) => (good.shippingPrice ?? otherwise) === null);
    const [first] = without;
    if (first)
      return refused({
        code: 'price-unknown',
        say: { code: 'price-unknown', goods: without.map(({ good }) => good.name) },
        from: { kind: 'good', id: first.good.sku },
      });
    const entries = basket.chargeable.map(({ good, quantity }): Entry => {
      const own = good.shippingPrice !== undefined;
      const each = good.shippingPrice ?? otherwise ?? 0;
      const count = per === 'unit' ? quantity : 1;
      const source: Source = own ? { kind: 'good', id: good.sku } : from;
      const say = { code: 'good-price', good: good.name, per, count, each, own } as const;
      return { change: each * count, from: source, say };
    });
    return { ok: true, entries };
  };

/** What sending each product costs by itself, with a price for those that name none. */
export const PER_PRODUCT: PriceKind<PerProduct> = {
  prepare,
  figure: ({ otherwise }) => otherwise ?? 0,
  chargesNothing: ({ otherwise }) => otherwise === 0,
  fromAmount: (amount) => ({ kind: 'per-product', otherwise: amount, per: 'unit' }),
  raised: (price, raise) =>
    price.otherwise === null ? price : { ...price, otherwise: raisedAmount(price.otherwise, raise) },
  curve: () => null,
  curveBasis: () => 'weight',
  phrase: ({ otherwise, per }, { decimals }) => ({
    price: otherwise === null ? t('each its own') : moneyFigure(otherwise, decimals),
    by: t('per product, a {per}', { per }),
  }),
  withAmount: (price, _part, amount) => ({ ...price, otherwise: amount }),
  basis: () => null,
  changesAt: () => [],
  isForAll: ({ otherwise }) => otherwise !== null,
  extent: () => null,
  names: () => ({}),
  rows: ({ otherwise }) => [{ amount: otherwise }],
  rowsExpected: t(
    'A rate priced per product takes one row; its amount is for products without a price of their own.',
  ),
  beginsByRows: null,
  withRows: (price, rows) => {
    const row = onlyRow(rows);
    if (!row || isFilled(row.percent)) return null;
    return row.amount === undefined ? price : { ...price, otherwise: row.amount };
  },
};
