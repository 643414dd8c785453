import type { Location } from '../../model/location.ts';
import type { OrderStatus, PastOrder } from '../../model/order.ts';
import type { CustomerWords } from './customer-words.ts';
import { weekText } from './week-text.ts';

/** What was promised to the customer, in a few words; '' where nothing was. */
export const promised = ({ chosen, promise }: PastOrder, words: CustomerWords): string => {
  if (chosen.slot) return words.slot(chosen.slot);
  if (promise?.words) return promise.words;
  if (promise?.latest) return words.say('news.by', { day: words.day(promise.latest) });
  return promise?.ready ? words.say('news.ready-at', { moment: words.moment(promise.ready) }) : '';
};

/** Where an order is handed over: its name and address, and when it is open. */
interface Counter {
  place: string;
  hours: string;
  instructions: string;
}

const counterOf = ({ shop, location, instructions }: OrderSender, words: CustomerWords): Counter => ({
  place: location
    ? [location.name, ...(location.address.lines ?? []), location.address.city].filter(Boolean).join(', ')
    : shop,
  hours: location ? weekText(location.hours, words) : '',
  instructions: instructions ?? '',
});

const spaced = (...sentences: string[]): string => sentences.filter((one) => one !== '').join(' ');
const open = ({ hours }: Counter, words: CustomerWords): string =>
  hours === '' ? '' : words.say('news.open', { hours });

const isCollected = ({ chosen }: PastOrder): boolean => chosen.kind === 'pickup';
/** What the customer knows the choice by. */
export const nameOf = ({ chosen }: PastOrder): string => chosen.shownAs ?? chosen.name;

type News = (order: PastOrder, words: CustomerWords, counter: Counter) => string;

const placed: News = (order, words, counter) => {
  const thanks = words.say('news.placed');
  if (!isCollected(order)) return thanks;
  const when = promised(order, words);
  return spaced(
    thanks,
    when === '' ? '' : words.say('news.your-time', { when }),
    words.say('news.collect', { place: counter.place }),
    open(counter, words),
    counter.instructions,
  );
};

const packed: News = (order, words) => {
  const when = promised(order, words);
  if (when === '') return words.say('news.packed');
  return isCollected(order)
    ? words.say('news.packed-collect', { when })
    : words.say('news.packed-expect', { when, timed: order.chosen.slot ? 'yes' : 'no' });
};

const ready: News = ({ chosen: { slot } }, words, counter) => {
  const { place } = counter;
  const said = slot
    ? words.say('news.ready-slot', { place, slot: words.slot(slot) })
    : words.say('news.ready', { place });
  return spaced(said, open(counter, words), counter.instructions);
};

const NEWS: Record<OrderStatus, News> = {
  placed,
  packed,
  booked: (order, words) =>
    spaced(
      words.say('news.booked', { name: nameOf(order) }),
      order.shipment ? words.say('news.tracking', { number: order.shipment.tracking }) : '',
    ),
  'on-its-way': ({ chosen: { slot } }, words) =>
    slot ? words.say('news.on-its-way-slot', { slot: words.slot(slot) }) : words.say('news.on-its-way'),
  ready,
  'handed-over': (order, words) =>
    order.chosen.kind === 'shipping'
      ? words.say('news.handed-to-carrier', { name: nameOf(order) })
      : words.say('news.handed-over'),
  cancelled: (_, words) => words.say('news.cancelled'),
};

/** Who writes to a customer: the shop, the location an order is handed over at, and a pickup point's instructions. */
export interface OrderSender {
  shop: string;
  location: Location | undefined;
  instructions?: string | undefined;
}

/** A message to the customer about where the order stands, in their language, ready to be copied. */
export const orderMessage = (order: PastOrder, sender: OrderSender, words: CustomerWords): string =>
  [
    order.recipient === undefined
      ? words.say('news.good-day')
      : words.say('news.dear', { name: order.recipient }),
    '',
    NEWS[order.status](order, words, counterOf(sender, words)),
    words.say('news.order', { number: order.number }),
    '',
    sender.shop,
  ].join('\n');
