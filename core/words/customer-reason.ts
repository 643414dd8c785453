import {
  distanceFigure,
  measureFigure,
  moneyFigure,
  type MeasureName,
  type DisplayFormat,
} from './figure.ts';
import { momentFigure } from './moment-figure.ts';
import type { Message, MessageCode } from './message.ts';

/** Why a customer is not offered something, in the customer's words, and what would help. */
export interface CustomerReason {
  /** What stands in the way: the basket, the address, the moment, or only the shop's own rules. */
  because: 'basket' | 'place' | 'moment' | 'shop';
  why: string;
  /** What would help, or nothing where the merchant's own words say all. */
  help: string;
}

const ELSEWHERE: CustomerReason = {
  because: 'place',
  why: 'We do not send to this address.',
  help: 'Check the country and the postal code, or give another address.',
};
const ASK: CustomerReason = {
  because: 'shop',
  why: 'We cannot offer a way to send this order to this address.',
  help: 'Write to us with your address and we will see what can be done.',
};

const COMES_TO: Record<MeasureName, string> = {
  weight: 'your basket weighs',
  subtotal: 'your products come to',
  units: 'you have',
  volume: 'your basket takes up',
  distance: 'you are away by',
  longestSide: 'your longest item measures',
};

const unknown = (what: string, goods: readonly string[]): CustomerReason => ({
  because: 'basket',
  why: `We do not have the ${what} of ${goods.join(', ')} on record, so we cannot say what sending it costs.`,
  help: 'Order without it, or write to us.',
});

const tooLittle = (
  name: string,
  say: Extract<Message, { code: 'below-limit' }>,
  display: DisplayFormat,
): CustomerReason => {
  const { measure, value, limit } = say;
  const figure = (amount: number): string => measureFigure(measure, amount, display);
  const short = measure === 'subtotal' ? moneyFigure(limit - value, display.decimals) : figure(limit - value);
  return {
    because: 'basket',
    why: `${name} is for ${figure(limit)} or more; ${COMES_TO[measure]} ${figure(value)}.`,
    help: measure === 'longestSide' ? 'Choose another way.' : `Add ${short} more to the basket.`,
  };
};

/** Nobody says a distance to the metre. */
const HUNDRED_METRES = 100;
const customerFigure = (measure: MeasureName, value: number, display: DisplayFormat): string =>
  measure === 'distance'
    ? distanceFigure(Math.round(value / HUNDRED_METRES) * HUNDRED_METRES, display.units)
    : measureFigure(measure, value, display);

const tooMuch = (
  name: string,
  measure: MeasureName,
  value: number,
  most: string,
  display: DisplayFormat,
): CustomerReason => ({
  because: 'basket',
  why: `${name} takes ${most}; ${COMES_TO[measure]} ${customerFigure(measure, value, display)}.`,
  help:
    measure === 'longestSide'
      ? 'Order without the longest item.'
      : 'Take something out, or place two smaller orders.',
});

const GOES: Record<Extract<Message, { code: 'goods-not-allowed' }>['by'], (name: string) => string> = {
  service: (name) => `sent by ${name}`,
  zone: () => 'sent to this address',
  delivery: () => 'brought by us',
  pickup: () => 'collected',
};

type Reasons = {
  [C in MessageCode]?: (
    say: Extract<Message, { code: C }>,
    name: string,
    display: DisplayFormat,
  ) => CustomerReason;
};

const REASONS: Reasons = {
  'store-paused': ({ message }) => ({
    because: 'moment',
    why: message === '' ? 'We are taking no orders at present.' : message,
    help: 'Your basket stays as it is; come back later.',
  }),
  'address-needed': () => ({
    because: 'place',
    why: 'The charge depends on where the order goes.',
    help: 'Write the address first.',
  }),
  'not-sold-there': () => ELSEWHERE,
  'no-zone': () => ELSEWHERE,
  'postal-not-served': () => ELSEWHERE,
  'no-table-row': () => ASK,
  'below-limit': (say, name, display) => tooLittle(name, say, display),
  'below-first-step': (say, name, display) =>
    tooLittle(name, { ...say, code: 'below-limit', limit: say.first }, display),
  'above-limit': ({ measure, value, limit }, name, display) =>
    tooMuch(name, measure, value, `up to ${measureFigure(measure, limit, display)}`, display),
  'above-last-step': ({ measure, value, until }, name, display) =>
    tooMuch(name, measure, value, `less than ${measureFigure(measure, until, display)}`, display),
  'distance-unknown': () => ({
    because: 'place',
    why: 'We could not tell how far away this address is.',
    help: 'Check the postal code, or write to us.',
  }),
  'weight-unknown': ({ goods }) => unknown('weight', goods),
  'size-unknown': ({ goods }) => unknown('size', goods),
  'goods-not-allowed': ({ goods, by }, name) => ({
    because: 'basket',
    why: `${goods.join(', ')} cannot be ${GOES[by](name)}.`,
    help: by === 'pickup' ? 'Order without it.' : 'Order without it, or give another address.',
  }),
  'outside-area': () => ({
    because: 'place',
    why: 'This address is outside the area where we deliver ourselves.',
    help: 'Check the postal code, or choose another way.',
  }),
  'below-minimum': ({ subtotal, least }, name, { decimals }) => ({
    because: 'basket',
    why: `${name} is for orders from ${moneyFigure(least, decimals)}.`,
    help: `Add ${moneyFigure(least - subtotal, decimals)} more to the basket.`,
  }),
  'too-far': ({ most }, name, { units }) => ({
    because: 'place',
    why: `${name} is for customers up to ${distanceFigure(most, units)} away.`,
    help: 'Check the postal code, or choose another way.',
  }),
  'no-time-left': ({ next }, name) => ({
    because: 'moment',
    why: `${name}: every time that could be chosen is gone.`,
    help:
      next === null
        ? 'Choose another way.'
        : `The next would be ${momentFigure(next)}; come back nearer to it.`,
  }),
  'does-not-pack': ({ good }, name) => ({
    because: 'basket',
    why: `${good} is too heavy for a parcel of ${name}.`,
    help: `Order without ${good}, or write to us.`,
  }),
  'fits-no-box': ({ good }, name) => ({
    because: 'basket',
    why: `${good} is too large or too heavy for the boxes of ${name}.`,
    help: `Order without ${good}, or write to us.`,
  }),
  'price-unknown': ({ goods }) => ({
    because: 'basket',
    why: `We have no charge on record for sending ${goods.join(', ')}.`,
    help: 'Order without it, or write to us.',
  }),
};

/** What a reason for withholding a service says to the customer. `name` is the service's. */
export const customerReason = (say: Message, name: string, display: DisplayFormat): CustomerReason => {
  const reason = REASONS[say.code] as
    ((say: Message, name: string, display: DisplayFormat) => CustomerReason) | undefined;
  return reason ? reason(say, name, display) : ASK;
};
