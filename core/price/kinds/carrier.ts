import { t } from '../../translate/translate.ts';
import type { CarrierPrice, CarrierService, Fallback } from '../../model/price.ts';
import { GREATEST_MONEY } from '../../model/bounds.ts';
import { moneyFigure } from '../../words/figure.ts';
import { isFilled, onlyRow } from '../figure-rows.ts';
import type { PriceKind } from '../price-kind.ts';
import { raisedAmount, type Raise } from '../raise.ts';
import { pointsOf } from '../rounding.ts';

const GREATEST_POINTS = 100_000;
const WHOLE = 10_000;

const within = (value: number, most: number): number => Math.min(most, Math.max(-most, value));

/** The change to a carrier's price with a raise on top: what the carrier asks is not known here, so it is not rounded. */
const raisedChange = ({ points = 0, amount = 0 }: NonNullable<CarrierService['change']>, { by }: Raise) =>
  by.kind === 'amount'
    ? { points, amount: within(amount + by.amount, GREATEST_MONEY) }
    : {
        points: within(pointsOf(WHOLE + points, WHOLE + by.points) - WHOLE, GREATEST_POINTS),
        amount: within(amount + pointsOf(amount, by.points), GREATEST_MONEY),
      };

const raisedService = (service: CarrierService, raise: Raise): CarrierService => {
  if (service.override !== undefined) return { ...service, override: raisedAmount(service.override, raise) };
  const { points, amount } = raisedChange(service.change ?? {}, raise);
  return {
    ...service,
    change: { ...(points === 0 ? {} : { points }), ...(amount === 0 ? {} : { amount }) },
  };
};

const raisedFallback = (fallback: Fallback | 'withhold', raise: Raise): Fallback | 'withhold' =>
  fallback === 'withhold' ? fallback : { ...fallback, amount: raisedAmount(fallback.amount, raise) };

const isAmount = (otherwise: Fallback | 'withhold'): otherwise is Fallback => otherwise !== 'withhold';

/** What is charged where the carrier gives no price, minor units; null where the rate is then not offered. */
export const fallbackAmount = ({ onError, onNone }: CarrierPrice): number | null =>
  [onError, onNone].find(isAmount)?.amount ?? null;

/** The price with the fallback's amount wherever it has one. */
export const withFallback = (price: CarrierPrice, amount: number): CarrierPrice => {
  const set = (otherwise: Fallback | 'withhold'): Fallback | 'withhold' =>
    isAmount(otherwise) ? { ...otherwise, amount } : otherwise;
  return { ...price, onError: set(price.onError), onNone: set(price.onNone) };
};

/** What a customer sees of a carrier's services, and what is charged where it does not answer. */
const phrase: PriceKind<CarrierPrice>['phrase'] = ({ services, show, onError }, { decimals }) => {
  const shown = show === 'all' ? [] : [t('the {show}', { show })];
  const fallback =
    onError === 'withhold'
      ? t('no fallback')
      : t('{amount} if no answer', { amount: moneyFigure(onError.amount, decimals) });
  return {
    price: t('{count, plural, one {# carrier service} other {# carrier services}}', {
      count: services.length,
    }),
    by: [...shown, fallback].join(', '),
  };
};

/** What a carrier answers for its services, with the merchant's changes to it. */
export const CARRIER: PriceKind<CarrierPrice> = {
  prepare: null,
  figure: ({ onError }) => (onError === 'withhold' ? 0 : onError.amount),
  chargesNothing: () => false,
  fromAmount: null,
  raised: (price, raise) => ({
    ...price,
    services: price.services.map((service) => raisedService(service, raise)),
    onError: raisedFallback(price.onError, raise),
    onNone: raisedFallback(price.onNone, raise),
  }),
  curve: () => null,
  curveBasis: () => 'weight',
  phrase,
  withAmount: () => null,
  basis: () => null,
  changesAt: () => [],
  isForAll: () => false,
  extent: () => null,
  names: ({ accountId }) => ({ accountId }),
  rows: (price) => [{ amount: fallbackAmount(price) }],
  rowsExpected: t(
    'A rate that a carrier prices takes one row; its amount is the fallback, where it has one.',
  ),
  beginsByRows: null,
  withRows: (price, rows) => {
    const row = onlyRow(rows);
    if (!row || isFilled(row.percent)) return null;
    const before = fallbackAmount(price);
    if (row.amount === undefined || row.amount === before) return price;
    return row.amount === null || before === null ? null : withFallback(price, row.amount);
  },
};
