import type { MeasureName } from '../figure.ts';
import type { Message, MessageCode } from '../message.ts';
import type { CustomerWords } from './customer-words.ts';
import type { MessageId } from './english.ts';

/** Why a customer is not offered something, in the customer's words, and what would help. */
export interface CustomerReason {
  /** What stands in the way: the basket, the address, the moment, or only the shop's own rules. */
  because: 'basket' | 'place' | 'moment' | 'shop';
  why: string;
  /** What would help, or nothing where the merchant's own words say all. */
  help: string;
}

type Because = CustomerReason['because'];

const plain =
  (because: Because, why: MessageId, help: MessageId) =>
  (words: CustomerWords): CustomerReason => ({ because, why: words.say(why), help: words.say(help) });

const elsewhere = plain('place', 'reason.elsewhere', 'help.address');
const noWay = plain('shop', 'reason.no-way', 'help.write-address');

const tooLittle = (
  name: string,
  { measure, value, limit }: Pick<Extract<Message, { code: 'below-limit' }>, 'measure' | 'value' | 'limit'>,
  words: CustomerWords,
): CustomerReason => {
  const figure = (amount: number): string => words.measure(measure, amount);
  return {
    because: 'basket',
    why: words.say('reason.too-little', { name, measure, limit: figure(limit), value: figure(value) }),
    help:
      measure === 'longestSide'
        ? words.say('help.other-way')
        : words.say('help.add', { more: figure(limit - value) }),
  };
};

/** Nobody says a distance to the metre. */
const HUNDRED_METRES = 100;
const rounded = (measure: MeasureName, value: number): number =>
  measure === 'distance' ? Math.round(value / HUNDRED_METRES) * HUNDRED_METRES : value;

const tooMuch = (
  name: string,
  {
    kind,
    measure,
    value,
    limit,
  }: { kind: 'below' | 'up-to'; measure: MeasureName; value: number; limit: number },
  words: CustomerWords,
): CustomerReason => ({
  because: 'basket',
  why: words.say('reason.too-much', {
    ...{ name, kind, measure },
    limit: words.measure(measure, limit),
    value: words.measure(measure, rounded(measure, value)),
  }),
  help: words.say(measure === 'longestSide' ? 'help.longest' : 'help.smaller'),
});

type Reasons = {
  [C in MessageCode]?: (
    say: Extract<Message, { code: C }>,
    name: string,
    words: CustomerWords,
  ) => CustomerReason;
};

/** Products that stand in the way: what is wrong with them, and what would help. */
const ofGoods = (
  why: MessageId,
  values: Record<string, string>,
  words: CustomerWords,
  help: MessageId = 'help.without-or-write',
): CustomerReason => ({ because: 'basket', why: words.say(why, values), help: words.say(help, values) });

const REASONS: Reasons = {
  'store-paused': ({ message }, _, words) => ({
    because: 'moment',
    why: message === '' ? words.say('reason.paused') : message,
    help: words.say('help.come-back'),
  }),
  'address-needed': (_, __, words) => plain('place', 'reason.address-needed', 'help.address-first')(words),
  'not-sold-there': (_, __, words) => elsewhere(words),
  'no-zone': (_, __, words) => elsewhere(words),
  'postal-not-served': (_, __, words) => elsewhere(words),
  'no-table-row': (_, __, words) => noWay(words),
  'below-limit': (say, name, words) => tooLittle(name, say, words),
  'below-first-step': (say, name, words) => tooLittle(name, { ...say, limit: say.first }, words),
  'above-limit': (say, name, words) => tooMuch(name, { ...say, kind: 'up-to' }, words),
  'above-last-step': (say, name, words) => tooMuch(name, { ...say, kind: 'below', limit: say.until }, words),
  'distance-unknown': (_, __, words) =>
    plain('place', 'reason.distance-unknown', 'help.code-or-write')(words),
  'weight-unknown': ({ goods }, _, words) =>
    ofGoods('reason.weight-unknown', { goods: goods.join(', ') }, words),
  'size-unknown': ({ goods }, _, words) => ofGoods('reason.size-unknown', { goods: goods.join(', ') }, words),
  'price-unknown': ({ goods }, _, words) =>
    ofGoods('reason.price-unknown', { goods: goods.join(', ') }, words),
  'goods-not-allowed': ({ goods, by }, name, words) =>
    ofGoods(
      'reason.not-allowed',
      { goods: goods.join(', '), by, name },
      words,
      by === 'pickup' ? 'help.without' : 'help.without-or-address',
    ),
  'does-not-pack': ({ good }, name, words) =>
    ofGoods('reason.too-heavy', { good, name }, words, 'help.without-good-or-write'),
  'fits-no-box': ({ good }, name, words) =>
    ofGoods('reason.no-box', { good, name }, words, 'help.without-good-or-write'),
  'outside-area': (_, __, words) => plain('place', 'reason.outside-area', 'help.code-or-way')(words),
  'below-minimum': ({ subtotal, least }, name, words) => ({
    because: 'basket',
    why: words.say('reason.below-minimum', { name, least: words.money(least) }),
    help: words.say('help.add', { more: words.money(least - subtotal) }),
  }),
  'too-far': ({ most }, name, words) => ({
    because: 'place',
    why: words.say('reason.too-far', { name, most: words.distance(most) }),
    help: words.say('help.code-or-way'),
  }),
  'no-time-left': ({ next }, name, words) => ({
    because: 'moment',
    why: words.say('reason.no-time', { name }),
    help:
      next === null
        ? words.say('help.other-way')
        : words.say('help.next-time', { moment: words.moment(next) }),
  }),
};

/** What a reason for withholding a service says to the customer. `name` is the service's. */
export const customerReason = (say: Message, name: string, words: CustomerWords): CustomerReason => {
  const reason = REASONS[say.code] as
    ((say: Message, name: string, words: CustomerWords) => CustomerReason) | undefined;
  return reason ? reason(say, name, words) : noWay(words);
};
