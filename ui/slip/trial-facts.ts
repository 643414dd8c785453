import { createSelector } from '@reduxjs/toolkit';
import { measureBasket } from '../../core/quote/basket.ts';
import { localMoment } from '../../core/time/local-moment.ts';
import { countFigure, moneyFigure, weightFigure, type DisplayFormat } from '../../core/words/figure.ts';
import type { Book } from '../../core/model/book.ts';
import type { Destination } from '../../core/model/place.ts';
import type { Trial } from '../../core/model/trial.ts';
import { momentText } from '../parts/dates.ts';
import { selectBook, selectGoods, selectDisplayFormat, selectTrial } from '../state/selectors.ts';

/** What is said about a trial above its slip. */
export interface TrialFacts {
  place: string;
  basket: string;
  moment: string;
  /** Place and basket in the fewest words. */
  brief: string;
}

const placeText = (destination: Destination | null): string => {
  if (!destination) return 'no address yet';
  const { postalCode, city, subdivision, country } = destination;
  const area = postalCode || city ? [postalCode, city].filter(Boolean).join(' ') : (subdivision ?? '');
  return [area, country].filter(Boolean).join(', ');
};

/** Who orders, with what code and through which channel, where that is said. */
const whoOf = ({ customer, code, channel }: Trial['request']): string[] => [
  ...(customer ? [`customer ${customer}`] : []),
  ...(code ? [`code ${code}`] : []),
  ...(channel ? [`from ${channel}`] : []),
];

const factsOf = (
  trial: Trial,
  book: Book,
  goods: Parameters<typeof measureBasket>[0],
  display: DisplayFormat,
): TrialFacts => {
  const { basket, faults } = measureBasket(goods, book.store.defaultWeight, trial.request);
  const units = basket.lines.reduce((sum, line) => sum + line.quantity, 0);
  const { weight } = basket.travels;
  const heavy =
    basket.physical.length === 0
      ? []
      : [weight.unknown.length > 0 ? 'weight not known' : weightFigure(weight.value, display.units)];
  const { date, time } = localMoment(trial.request.placedAt, book.store.timeZone);
  return {
    place: placeText(trial.request.destination),
    basket:
      faults.length > 0
        ? 'a basket that cannot be used'
        : [countFigure(units, 'item'), ...heavy, moneyFigure(basket.subtotal, display.decimals)].join(' · '),
    moment: [momentText(date, time), ...whoOf(trial.request)].join(' · '),
    brief: [
      trial.request.destination?.postalCode || placeText(trial.request.destination),
      [countFigure(units, 'item'), ...heavy].join(', '),
    ].join(' · '),
  };
};

/** Place, basket and moment of the trial that the slip shows, in words. */
export const selectTrialFacts = createSelector(
  [selectTrial, selectBook, selectGoods, selectDisplayFormat],
  ({ trial }, book, goods, display) => (trial ? factsOf(trial, book, goods, display) : null),
);
