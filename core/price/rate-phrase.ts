import { t } from '../translate/translate.ts';
import type { Handling, Limits } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import {
  measureFigure,
  moneyFigure,
  percentFigure,
  type MeasureName,
  type DisplayFormat,
} from '../words/figure.ts';
import { kindOf } from './kinds.ts';

/** A rate in a few words, as a cell of the board shows it. */
export interface RatePhrase {
  price: string;
  notes: string[];
}

const LIMIT_WORDS: Partial<Record<MeasureName, string>> = { longestSide: t('longest side ') };

/** Limits in a few words: 'up to 30 kg', '5 kg to 450 kg'. */
export const limitPhrases = (limits: Limits | undefined, display: DisplayFormat): string[] =>
  Object.entries(limits ?? {}).flatMap(([name, limit]) => {
    const measure = name as MeasureName;
    const { min, max } = (limit ?? {}) as { min?: number; max?: number };
    const figure = (value: number): string => measureFigure(measure, value, display);
    const word = LIMIT_WORDS[measure] ?? '';
    if (min !== undefined && max !== undefined)
      return [t('{word}{figure} to {figure2}', { word, figure: figure(min), figure2: figure(max) })];
    if (max !== undefined) return [t('{word}up to {figure}', { word, figure: figure(max) })];
    return min === undefined ? [] : [t('{word}from {figure}', { word, figure: figure(min) })];
  });

/** '5 %' and '1.30 an order': what handling is made of. */
export const handlingWords = (handling: Handling, { decimals }: DisplayFormat): string[] => [
  ...(handling.points ? [percentFigure(handling.points)] : []),
  ...(handling.amount
    ? [
        t('{amount} {per, select, order {an order} parcel {a parcel} other {a unit}}', {
          amount: moneyFigure(handling.amount, decimals),
          per: handling.per,
        }),
      ]
    : []),
];

const handlingPhrase = ({ handling }: Rate, display: DisplayFormat): string[] => {
  const parts = handling ? handlingWords(handling, display) : [];
  return parts.length > 0 ? [t('handling {list}', { list: parts.join(t(' and ')) })] : [];
};

/** '2 to 4 working days'. */
export const transitPhrase = ({ min, max }: { min: number; max: number }): string =>
  min === max
    ? t('{min, plural, one {# working day} other {# working days}}', { min })
    : t('{min} to {max, plural, one {# working day} other {# working days}}', { min, max });

/** What a rate costs, in a few words, and what else holds for it: what tells most first. */
export const ratePhrase = (rate: Rate, display: DisplayFormat): RatePhrase => {
  const { price, by } = kindOf(rate.price).phrase(rate.price, display);
  const { freeFrom, bounds } = rate;
  const money = (amount: number): string => moneyFigure(amount, display.decimals);
  return {
    price,
    notes: [
      ...(by ? [by] : []),
      ...(freeFrom === undefined ? [] : [t('free from {amount}', { amount: money(freeFrom) })]),
      ...limitPhrases(rate.limits, display),
      ...handlingPhrase(rate, display),
      ...(bounds?.min === undefined ? [] : [t('at least {amount}', { amount: money(bounds.min) })]),
      ...(bounds?.max === undefined ? [] : [t('at most {amount}', { amount: money(bounds.max) })]),
      ...(rate.transit ? [transitPhrase(rate.transit)] : []),
    ],
  };
};
