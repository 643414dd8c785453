import { createSelector } from '@reduxjs/toolkit';
import { t } from '../../core/translate/translate.ts';
import { measureBasket } from '../../core/basket/basket.ts';
import { localMoment } from '../../core/time/local-moment.ts';
import { moneyFigure, weightFigure, type DisplayFormat } from '../../core/words/figure.ts';
import { placeNames } from '../../core/words/place-phrase.ts';
import type { Book } from '../../core/model/book.ts';
import type { Destination } from '../../core/model/place.ts';
import type { TestOrder } from '../../core/model/test-order.ts';
import { momentText } from '../parts/dates.ts';
import { selectBook, selectGoods, selectDisplayFormat, selectTestOrder } from '../state/selectors.ts';

/** What is said about a test order above its preview. */
export interface TestOrderFacts {
  place: string;
  basket: string;
  moment: string;
  /** Place and basket in the fewest words. */
  brief: string;
}

const placeText = (destination: Destination | null, display: DisplayFormat): string => {
  const names = placeNames(display);
  if (!destination) return t('no address yet');
  const { postalCode, city, subdivision, country } = destination;
  const area =
    postalCode || city ? [postalCode, city].filter(Boolean).join(' ') : subdivision ? names(subdivision) : '';
  return [area, names(country)].filter(Boolean).join(', ');
};

/** Who orders, with what code and through which channel, where that is said. */
const whoOf = ({ customer, code, channel }: TestOrder['request']): string[] => [
  ...(customer ? [t('customer {customer}', { customer })] : []),
  ...(code ? [t('code {code}', { code })] : []),
  ...(channel ? [t('from {channel}', { channel })] : []),
];

const factsOf = (
  testOrder: TestOrder,
  book: Book,
  goods: Parameters<typeof measureBasket>[0],
  display: DisplayFormat,
): TestOrderFacts => {
  const { basket, faults } = measureBasket(goods, book.store.defaultWeight, testOrder.request);
  const units = basket.lines.reduce((sum, line) => sum + line.quantity, 0);
  const { weight } = basket.travels;
  const heavy =
    basket.physical.length === 0
      ? []
      : [weight.unknown.length > 0 ? t('weight not known') : weightFigure(weight.value, display.units)];
  const { date, time } = localMoment(testOrder.request.placedAt, book.store.timeZone);
  return {
    place: placeText(testOrder.request.destination, display),
    basket:
      faults.length > 0
        ? t('a basket that cannot be used')
        : [
            t('{units, plural, one {# item} other {# items}}', { units }),
            ...heavy,
            moneyFigure(basket.subtotal, display.decimals),
          ].join(' · '),
    moment: [momentText(date, time), ...whoOf(testOrder.request)].join(' · '),
    brief: [
      testOrder.request.destination?.postalCode || placeText(testOrder.request.destination, display),
      [t('{units, plural, one {# item} other {# items}}', { units }), ...heavy].join(', '),
    ].join(' · '),
  };
};

/** Place, basket and moment of the test order that the preview shows, in words. */
export const selectTestOrderFacts = createSelector(
  [selectTestOrder, selectBook, selectGoods, selectDisplayFormat],
  ({ testOrder }, book, goods, display) => (testOrder ? factsOf(testOrder, book, goods, display) : null),
);
