import { t } from '../../translate/translate.ts';
import { moneyFigure, percentFigure } from '../../words/figure.ts';
import { linearCurve, type Curve } from '../curve.ts';
import { oneEntry } from '../entries.ts';
import { isFilled, onlyRow } from '../figure-rows.ts';
import type { PriceKind, PriceOf, PriceOfKind } from '../price-kind.ts';
import { raisedIf } from '../raise.ts';
import { pointsOf } from '../rounding.ts';

type Percent = PriceOfKind<'percent'>;

const prepare =
  ({ points, min, max }: Percent): PriceOf =>
  ({ basket: { subtotal } }, from) => {
    const raised = Math.max(pointsOf(subtotal, points), min ?? 0);
    const amount = Math.min(raised, max ?? raised);
    return oneEntry(amount, from, { code: 'percent-price', points, subtotal, min, max });
  };

/** Level at its least, rising, and level at its greatest. */
const curve = ({ points, min, max }: Percent): Curve => {
  const at = (charge: number | undefined): number =>
    charge === undefined || points === 0 ? 0 : Math.ceil((charge * 10_000) / points);
  const rises = at(min);
  const levels = max === undefined ? Number.POSITIVE_INFINITY : Math.max(at(max), rises);
  const end = Math.ceil(Math.max(rises * 2, Number.isFinite(levels) ? levels * 1.3 : 0, 10_000));
  const share = (value: number): number =>
    Math.min(Math.max(Math.round((value * points) / 10_000), min ?? 0), max ?? Number.POSITIVE_INFINITY);
  const ends = [0, rises, Math.min(levels, end), end].filter(
    (value, i, all) => i === 0 || value > (all[i - 1] ?? 0),
  );
  const pieces = ends.slice(1).map((to, i) => ({
    from: ends[i] ?? 0,
    to,
    start: share(ends[i] ?? 0),
    end: share(to),
  }));
  return linearCurve('subtotal', pieces, end);
};

const phrase: PriceKind<Percent>['phrase'] = ({ points, min, max }, { decimals }) => {
  const ends = [
    ...(min === undefined ? [] : [t('at least {amount}', { amount: moneyFigure(min, decimals) })]),
    ...(max === undefined ? [] : [t('at most {amount}', { amount: moneyFigure(max, decimals) })]),
  ];
  return { price: percentFigure(points), by: [t('by subtotal'), ...ends].join(', ') };
};

const TENTH = 1_000;

/** A share of the subtotal, between a least and a greatest charge. */
export const PERCENT: PriceKind<Percent> = {
  prepare,
  figure: ({ min = 0 }) => min,
  chargesNothing: ({ points, min = 0 }) => points === 0 && min === 0,
  fromAmount: (amount) => ({ kind: 'percent', points: TENTH, min: amount }),
  raised: (price, raise) => {
    const min = raisedIf(price.min, raise);
    const max = raisedIf(price.max, raise);
    return { ...price, ...(min === undefined ? {} : { min }), ...(max === undefined ? {} : { max }) };
  },
  curve,
  curveBasis: () => 'subtotal',
  phrase,
  withAmount: () => null,
  basis: () => null,
  changesAt: () => [],
  isForAll: () => true,
  extent: () => null,
  names: () => ({}),
  rows: ({ points }) => [{ percent: points }],
  rowsExpected: t('A percentage takes one row with a percent, and no amount.'),
  beginsByRows: () => ({ kind: 'percent', points: 0 }),
  withRows: (price, rows) => {
    const row = onlyRow(rows);
    if (!row || row.percent === null || isFilled(row.amount)) return null;
    return row.percent === undefined ? price : { ...price, points: row.percent };
  },
};
