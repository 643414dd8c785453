import { t } from '../../translate/translate.ts';
import { moneyFigure } from '../../words/figure.ts';
import { levelCurve, linearCurve, type Curve } from '../curve.ts';
import { oneEntry, refused } from '../entries.ts';
import { countOf } from '../measure-order.ts';
import { onlyRow } from '../figure-rows.ts';
import type { PriceKind, PriceOf, PriceOfKind } from '../price-kind.ts';
import { raisedAmount, raisedIf } from '../raise.ts';

type Flat = PriceOfKind<'flat'>;

const MOST_UNITS = 12;

/** The price of an order, or of each parcel, unit or line; the first may have a price of its own. */
const prepare =
  ({ amount, per, first }: Flat): PriceOf =>
  (order, from) => {
    if (per === 'order') return oneEntry(first ?? amount, from, { code: 'flat', amount: first ?? amount });
    const count = countOf(per, order);
    if (typeof count !== 'number') return refused(count);
    const total = first === undefined ? count * amount : first + (count - 1) * amount;
    return oneEntry(total, from, { code: 'flat-count', per, count, amount, first });
  };

/** Level, or growing with each unit; null where it counts what has no measure. */
const curve = ({ amount, per, first }: Flat, reach: number): Curve | null => {
  if (per === 'order') return levelCurve(first ?? amount, Math.max(reach, 1));
  if (per !== 'unit') return null;
  const pieces = Array.from({ length: MOST_UNITS }, (_, at) => {
    const charge = (first ?? amount) + at * amount;
    return { from: at + 1, to: at + 2, start: charge, end: charge };
  });
  return linearCurve('units', pieces, MOST_UNITS + 1);
};

const phrase: PriceKind<Flat>['phrase'] = ({ amount, per, first }, { decimals }) => {
  const money = (sum: number): string => moneyFigure(sum, decimals);
  if (per === 'order') return { price: money(first ?? amount), by: null };
  return first === undefined
    ? { price: money(amount), by: t('a {per}', { per }, 'what a flat price is for: unit, parcel') }
    : { price: money(first), by: t('then {amount} a {per}', { amount: money(amount), per }) };
};

/** The amount that a merchant knows it by. */
const charged = ({ amount, per, first }: Flat): number => (per === 'order' ? (first ?? amount) : amount);

/** One amount: of an order, or of each parcel, unit or line. */
export const FLAT: PriceKind<Flat> = {
  prepare,
  figure: ({ amount }) => amount,
  chargesNothing: ({ amount, first = 0 }) => amount === 0 && first === 0,
  fromAmount: (amount) => ({ kind: 'flat', amount, per: 'order' }),
  raised: (price, raise) => {
    const first = raisedIf(price.first, raise);
    return {
      ...price,
      amount: raisedAmount(price.amount, raise),
      ...(first === undefined ? {} : { first }),
    };
  },
  curve,
  curveBasis: ({ per }) => (per === 'unit' ? 'units' : 'weight'),
  phrase,
  withAmount: (price, _part, amount) => ({ ...price, amount }),
  basis: () => null,
  changesAt: () => [],
  isForAll: ({ per }, { isSingleParcel }) => per !== 'parcel' || isSingleParcel,
  extent: ({ per, first, amount }) => {
    const level = first ?? amount;
    return per === 'order' ? { least: level, most: level } : null;
  },
  names: () => ({}),
  rows: (price) => [{ amount: charged(price) }],
  rowsExpected: t('A flat rate takes one row with an amount, and nothing under “From”.'),
  beginsByRows: () => ({ kind: 'flat', amount: 0, per: 'order' }),
  withRows: (price, rows) => {
    const amount = onlyRow(rows)?.amount;
    if (amount === undefined || amount === null) return null;
    if (amount === charged(price)) return price;
    const { first: _, ...rest } = price;
    return price.per === 'order' ? { ...rest, amount } : { ...price, amount };
  },
};
