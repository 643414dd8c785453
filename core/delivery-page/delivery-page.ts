import { closedZones } from '../coverage/closed-zones.ts';
import type { Book } from '../model/book.ts';
import type { DeliveryArea, DeliveryMethod, PickupPoint } from '../model/delivery.ts';
import type { Location } from '../model/location.ts';
import type { Destination, Region, Zone } from '../model/place.ts';
import type { Rate } from '../model/rate.ts';
import type { OpeningHours, Timing, Transit } from '../model/time.ts';
import { patternNames } from '../place/written-code.ts';
import type { PlaceNames } from '../place/region-phrase.ts';
import { dateOf, dayOf } from '../time/calendar.ts';
import type { CustomerWords } from '../words/customer/customer-words.ts';
import type { MessageId } from '../words/customer/english.ts';
import { weekText } from '../words/customer/week-text.ts';
import { priceKey, type PriceSpan } from './price-key.ts';

/** A way to get an order: what it is called, what it costs, and what else a customer has to know. */
export interface PageLine {
  name: string;
  /** In the customer's words: '8.50', 'from 8.50', 'free', or that it is worked out at checkout. */
  price: string;
  /** The span of charges that the price says, in minor units; null where a carrier is asked at checkout. */
  span: PriceSpan | null;
  notes: string[];
  transit: Transit | null;
}

export interface PageZone {
  id: string;
  places: string;
  regions: readonly Region[];
  lines: PageLine[];
}

export interface PageArea {
  id: string;
  name: string;
  where: string;
  lines: PageLine[];
  notes: string[];
  /** The merchant's own words, as CommonMark; '' is none. */
  instructions: string;
}

export interface PagePoint {
  id: string;
  name: string;
  address: string[];
  point: Destination['point'] | null;
  price: string;
  span: PriceSpan | null;
  notes: string[];
  hours: readonly OpeningHours[];
  week: string;
  instructions: string;
}

/** All that a customer can know of delivery and pickup before they order, in their language. */
export interface DeliveryPage {
  language: CustomerWords['language'];
  shop: string;
  currency: string;
  decimals: number;
  amounts: string;
  zones: PageZone[];
  areas: PageArea[];
  points: PagePoint[];
  duties: string[];
  /** Days ahead on which a location is closed. */
  closed: { name: string; days: string[] }[];
}

interface Context {
  book: Book;
  prices: ReadonlyMap<string, PriceSpan>;
  words: CustomerWords;
  names: PlaceNames;
}

const priceText = (span: PriceSpan | null, { say, money }: CustomerWords): string => {
  if (!span) return say('page.at-checkout');
  if (span.most === 0) return say('shop.free');
  if (span.least === span.most) return money(span.least);
  return say('page.from', { least: money(span.least) });
};

const daysText = (transit: Transit | undefined, { say }: CustomerWords): string[] => {
  if (!transit) return [];
  return [say(transit.min === transit.max ? 'choice.days' : 'choice.days-between', transit)];
};

const rateNotes = (rate: Rate, note: string | undefined, words: CustomerWords): string[] => {
  const { weight, subtotal } = rate.limits ?? {};
  return [
    ...(note === undefined || note === '' ? [] : [note]),
    ...daysText(rate.transit, words),
    ...(rate.freeFrom === undefined
      ? []
      : [words.say('page.free-from', { amount: words.money(rate.freeFrom) })]),
    ...(weight?.max === undefined ? [] : [words.say('page.up-to', { weight: words.weight(weight.max) })]),
    ...(subtotal?.min === undefined
      ? []
      : [words.say('page.minimum', { amount: words.money(subtotal.min) })]),
  ];
};

const regionName = (code: string, { words, names }: Context): string =>
  code.includes('-') ? words.region(code, names(code)) : words.country(code);

const placesText = (zone: Zone, context: Context): string => {
  const { say } = context.words;
  const named = zone.includes.map(({ country, subdivision, postal }) =>
    postal
      ? say('page.codes', { count: postal.length, country: context.words.country(country) })
      : regionName(subdivision ?? country, context),
  );
  const text = [...named, ...(zone.remainder ? [say('page.everywhere-else')] : [])].join(', ');
  return text.charAt(0).toUpperCase() + text.slice(1);
};

const serviceLines = (zone: Zone, context: Context): PageLine[] =>
  context.book.services.flatMap(({ id, name, note }): PageLine[] => {
    const rate = context.book.rates.find((one) => one.zoneId === zone.id && one.serviceId === id);
    if (!rate?.active) return [];
    const span = context.prices.get(priceKey.service(zone.id, id)) ?? null;
    // What no order was offered is not promised.
    if (!span && rate.price.kind !== 'carrier') return [];
    return [
      {
        name,
        price: priceText(span, context.words),
        span,
        notes: rateNotes(rate, note, context.words),
        transit: rate.transit ?? null,
      },
    ];
  });

const zonesOf = (context: Context): PageZone[] => {
  const closed = closedZones(context.book);
  return context.book.zones
    .filter(({ id, active }) => active && !closed.has(id))
    .map((zone) => ({
      id: zone.id,
      places: placesText(zone, context),
      regions: zone.includes,
      lines: serviceLines(zone, context),
    }))
    .filter(({ lines }) => lines.length > 0);
};

const timingText = (timing: Timing, words: CustomerWords): string => {
  switch (timing.kind) {
    case 'words':
      return timing.text;
    case 'days':
      return words.say('page.days', { max: timing.max });
    case 'day':
      return words.say('page.choose-day', { hours: weekText(timing.hours, words) });
    case 'slot':
      return words.say('page.choose-time', { hours: weekText(timing.hours, words) });
  }
};

const SHOWN_CODES = 12;

/** The beginning of codes as customers read it: 'B3H' is known by itself, of figures it is said that more follow. */
const beginningText = (name: string): string =>
  name.endsWith('*') ? name.slice(0, -1) + (/[A-Z]/.test(name) ? '' : '…') : name;

const whereText = ({ covers, locationId }: DeliveryArea, { book, words }: Context): string => {
  const location = book.locations.find(({ id }) => id === locationId)?.name ?? '';
  if (covers.kind === 'radius')
    return words.say('page.within', { distance: words.distance(covers.metres), location });
  if (covers.kind === 'shape') return words.say('page.around', { location });
  const names = patternNames(covers.country, covers.patterns, (from, to) =>
    words.say('page.code-range', { from, to }),
  );
  const codes = names.slice(0, SHOWN_CODES).map(beginningText);
  const more = names.length - codes.length;
  const said = codes.join(', ');
  return more > 0
    ? words.say('page.codes-and-more', { codes: said, count: more })
    : words.say('page.in-codes', { codes: said });
};

const methodLine = (area: DeliveryArea, method: DeliveryMethod, { prices, words }: Context): PageLine[] => {
  const span = prices.get(priceKey.method(area.id, method.id));
  if (!span) return [];
  return [
    {
      name: method.name,
      price: priceText(span, words),
      span,
      notes: [timingText(method.timing, words)],
      transit: null,
    },
  ];
};

const areaNotes = (
  { minSubtotal, freeFrom, serviceFee }: DeliveryArea,
  { say, money }: CustomerWords,
): string[] => [
  ...(minSubtotal === undefined ? [] : [say('page.minimum', { amount: money(minSubtotal) })]),
  ...(freeFrom === undefined ? [] : [say('page.free-from', { amount: money(freeFrom) })]),
  ...(serviceFee ? [say('page.fee', { name: serviceFee.name, amount: money(serviceFee.amount) })] : []),
];

const areasOf = (context: Context): PageArea[] =>
  context.book.areas
    .filter(({ active }) => active)
    .map((area) => ({
      id: area.id,
      name: area.name,
      where: whereText(area, context),
      lines: area.methods.flatMap((method) => methodLine(area, method, context)),
      notes: areaNotes(area, context.words),
      instructions: area.instructions ?? '',
    }))
    .filter(({ lines }) => lines.length > 0);

const pointNotes = (
  { timing, minSubtotal, maxDistance, kerbside }: PickupPoint,
  words: CustomerWords,
): string[] => [
  timingText(timing, words),
  ...(minSubtotal === undefined ? [] : [words.say('page.minimum', { amount: words.money(minSubtotal) })]),
  ...(maxDistance === undefined
    ? []
    : [words.say('page.customers-within', { distance: words.distance(maxDistance) })]),
  ...(kerbside ? [words.say('page.kerbside')] : []),
];

const pointsOf = (context: Context): PagePoint[] =>
  context.book.pickups.flatMap((pickup): PagePoint[] => {
    const location = context.book.locations.find(({ id }) => id === pickup.locationId);
    const span = context.prices.get(priceKey.pickup(pickup.id)) ?? null;
    if (!pickup.active || !location || !span) return [];
    const { lines = [], city, postalCode, point = null } = location.address;
    return [
      {
        id: pickup.id,
        name: pickup.name,
        address: [location.name, ...lines, [postalCode, city].filter(Boolean).join(' ')].filter(Boolean),
        point,
        price: priceText(span, context.words),
        span,
        notes: pointNotes(pickup, context.words),
        hours: location.hours,
        week: weekText(location.hours, context.words),
        instructions: pickup.instructions ?? '',
      },
    ];
  });

const dutiesOf = ({ duties, store }: Book, { say }: CustomerWords): string[] => {
  const sellsAbroad =
    store.sellsTo.mode !== 'listed' ||
    store.sellsTo.countries.some((one) => !duties.homeCountries.includes(one));
  if (!sellsAbroad) return [];
  const paid = duties.terms !== 'DAP' ? [say('page.duties-now')] : [];
  const later = duties.terms !== 'DDP' && duties.show !== 'nothing' ? [say('page.duties-later')] : [];
  return [...paid, ...later];
};

const DAYS_AHEAD = 60;

const closedOf = (
  locations: readonly Location[],
  today: string,
  words: CustomerWords,
): DeliveryPage['closed'] => {
  const last = dateOf(dayOf(today) + DAYS_AHEAD);
  return locations
    .map(({ name, closedDates }) => ({
      name,
      days: [...closedDates]
        .filter((date) => date >= today && date <= last)
        .sort()
        .map(words.day),
    }))
    .filter(({ days }) => days.length > 0);
};

/** What is said of taxes beside the amounts: nothing where there are none. */
const amountsText = ({ store, taxes }: Book): MessageId => {
  if (taxes.length === 0) return 'page.amounts-untaxed';
  return store.pricesIncludeTax ? 'page.amounts-with-tax' : 'page.amounts';
};

/**
 * The page “Delivery and pickup” of a shop as it stands on a day (a date of its own time zone), in the language of the
 * words: the book is the one that `inLanguage` gave, the prices are those that `pricesOf` found.
 */
export const deliveryPage = (
  book: Book,
  prices: ReadonlyMap<string, PriceSpan>,
  today: string,
  words: CustomerWords,
  names: PlaceNames,
): DeliveryPage => {
  const { name, currency } = book.store;
  const context = { book, prices, words, names };
  return {
    language: words.language,
    shop: name,
    currency,
    decimals: words.display.decimals,
    amounts: words.say(amountsText(book), { currency }),
    zones: zonesOf(context),
    areas: areasOf(context),
    points: pointsOf(context),
    duties: dutiesOf(book, words),
    closed: closedOf(book.locations, today, words),
  };
};
