import type { Handling, Limits } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import {
  countFigure,
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

const LIMIT_WORDS: Partial<Record<MeasureName, string>> = { longestSide: 'longest side ' };

/** Limits in a few words: 'up to 30 kg', '5 kg to 450 kg'. */
export const limitPhrases = (limits: Limits | undefined, display: DisplayFormat): string[] =>
  Object.entries(limits ?? {}).flatMap(([name, limit]) => {
    const measure = name as MeasureName;
    const { min, max } = (limit ?? {}) as { min?: number; max?: number };
    const figure = (value: number): string => measureFigure(measure, value, display);
    const word = LIMIT_WORDS[measure] ?? '';
    if (min !== undefined && max !== undefined) return [`${word}${figure(min)} to ${figure(max)}`];
    if (max !== undefined) return [`${word}up to ${figure(max)}`];
    return min === undefined ? [] : [`${word}from ${figure(min)}`];
  });

/** '5 %' and '1.30 an order': what handling is made of. */
export const handlingWords = (handling: Handling, { decimals }: DisplayFormat): string[] => [
  ...(handling.points ? [percentFigure(handling.points)] : []),
  ...(handling.amount
    ? [`${moneyFigure(handling.amount, decimals)} ${handling.per === 'order' ? 'an' : 'a'} ${handling.per}`]
    : []),
];

const handlingPhrase = ({ handling }: Rate, display: DisplayFormat): string[] => {
  const parts = handling ? handlingWords(handling, display) : [];
  return parts.length > 0 ? [`handling ${parts.join(' and ')}`] : [];
};

/** '2 to 4 working days'. */
export const transitPhrase = ({ min, max }: { min: number; max: number }): string =>
  min === max ? countFigure(min, 'working day') : `${min} to ${countFigure(max, 'working day')}`;

/** What a rate costs, in a few words, and what else holds for it: what tells most first. */
export const ratePhrase = (rate: Rate, display: DisplayFormat): RatePhrase => {
  const { price, by } = kindOf(rate.price).phrase(rate.price, display);
  const { freeFrom, bounds } = rate;
  const money = (amount: number): string => moneyFigure(amount, display.decimals);
  return {
    price,
    notes: [
      ...(by ? [by] : []),
      ...(freeFrom === undefined ? [] : [`free from ${money(freeFrom)}`]),
      ...limitPhrases(rate.limits, display),
      ...handlingPhrase(rate, display),
      ...(bounds?.min === undefined ? [] : [`at least ${money(bounds.min)}`]),
      ...(bounds?.max === undefined ? [] : [`at most ${money(bounds.max)}`]),
      ...(rate.transit ? [transitPhrase(rate.transit)] : []),
    ],
  };
};
