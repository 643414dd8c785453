import type { CarrierPrice, Handling, Limits, Measure, Price, StepsPrice } from '../model/price.ts';
import type { Rate } from '../model/rate.ts';
import {
  countFigure,
  measureFigure,
  moneyFigure,
  percentFigure,
  type MeasureName,
  type DisplayFormat,
} from './figure.ts';

/** A rate in a few words, as a cell of the board shows it. */
export interface RatePhrase {
  price: string;
  notes: string[];
}

const BY: Record<Measure, string> = {
  weight: 'by weight',
  subtotal: 'by subtotal',
  units: 'by units',
  volume: 'by volume',
  distance: 'by distance',
};

interface PricePhrase {
  price: string;
  by: string | null;
}

const flatPhrase = (
  { amount, per, first }: Extract<Price, { kind: 'flat' }>,
  { decimals }: DisplayFormat,
): PricePhrase => {
  const money = (sum: number): string => moneyFigure(sum, decimals);
  if (per === 'order') return { price: money(first ?? amount), by: null };
  return first === undefined
    ? { price: money(amount), by: `a ${per}` }
    : { price: money(first), by: `then ${money(amount)} a ${per}` };
};

const tiersPhrase = (price: StepsPrice, { decimals }: DisplayFormat): PricePhrase => {
  const amounts = price.steps.map((step) => step.amount);
  const least = moneyFigure(Math.min(...amounts), decimals);
  const most = moneyFigure(Math.max(...amounts), decimals);
  const open = price.steps.some((step) => step.each || step.percent);
  const range = open ? `from ${least}` : least === most ? least : `${least} to ${most}`;
  return { price: range, by: `${BY[price.basis]}${price.per === 'parcel' ? ', each parcel' : ''}` };
};

const percentPhrase = (
  { points, min, max }: Extract<Price, { kind: 'percent' }>,
  { decimals }: DisplayFormat,
): PricePhrase => {
  const ends = [
    ...(min === undefined ? [] : [`at least ${moneyFigure(min, decimals)}`]),
    ...(max === undefined ? [] : [`at most ${moneyFigure(max, decimals)}`]),
  ];
  return { price: percentFigure(points), by: ['by subtotal', ...ends].join(', ') };
};

/** What a customer sees of a carrier's services, and what is charged where it does not answer. */
const carrierNote = ({ show, onError }: CarrierPrice, { decimals }: DisplayFormat): string => {
  const shown = show === 'all' ? [] : [`the ${show}`];
  const fallback = onError === 'withhold' ? 'no fallback' : `else ${moneyFigure(onError.amount, decimals)}`;
  return [...shown, fallback].join(', ');
};

/** A price in a few words, and what it goes by: '4.00 to 21.00', 'by weight'. */
export const pricePhrase = (price: Price, display: DisplayFormat): PricePhrase => {
  switch (price.kind) {
    case 'flat':
      return flatPhrase(price, display);
    case 'steps':
      return tiersPhrase(price, display);
    case 'percent':
      return percentPhrase(price, display);
    case 'per-product': {
      const others =
        price.otherwise === null ? 'each its own' : moneyFigure(price.otherwise, display.decimals);
      return { price: others, by: `by goods, a ${price.per}` };
    }
    case 'table':
      return { price: 'table', by: null };
    case 'carrier':
      return { price: `carrier, ${price.services.length}`, by: carrierNote(price, display) };
  }
};

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
  const { price, by } = pricePhrase(rate.price, display);
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
