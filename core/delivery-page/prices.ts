import { addressesIn } from '../audit/nearby-places.ts';
import { probesOf } from '../audit/baskets.ts';
import { placeClasses } from '../audit/place-classes.ts';
import type { Book } from '../model/book.ts';
import type { Catalogue } from '../model/good.ts';
import type { Destination } from '../model/place.ts';
import type { Choice, Quote } from '../model/quote.ts';
import type { Line, QuoteRequest } from '../model/request.ts';
import { compile, type CompiledBook } from '../quote/compile.ts';
import { measureOrder } from '../quote/quote.ts';
import { priceKey, type PriceSpan } from './price-key.ts';

/** Quantities that are tried where one of a product does not reach what a service takes. */
const MORE = [3, 12, 60];

/** So many places of a zone stand for all, and so many quotes are made at the most. */
const MOST_PLACES = 4;
const MOST_QUOTES = 6_000;

const keyOf = ({ book }: CompiledBook, zone: string | undefined, { of }: Choice): string | null => {
  if (of.pickupId !== undefined) return priceKey.pickup(of.pickupId);
  if (of.areaId !== undefined && of.methodId !== undefined) return priceKey.method(of.areaId, of.methodId);
  const rate = book.rates.find(({ id }) => id === of.rateId);
  // What a carrier charges is only known once it is asked.
  return rate && rate.price.kind !== 'carrier' && zone !== undefined
    ? priceKey.service(zone, rate.serviceId)
    : null;
};

/** Addresses that stand for every zone, area and point: a few of each zone, and one inside each area that is drawn. */
const destinationsOf = (compiled: CompiledBook): Destination[] => {
  const seen = new Map<string, number>();
  const places = placeClasses(compiled).classes.flatMap(({ zone, served, destination }) => {
    if (!served) return [];
    const key = zone?.zone.id ?? '';
    const count = seen.get(key) ?? 0;
    seen.set(key, count + 1);
    return count < MOST_PLACES ? [destination] : [];
  });
  const drawn = compiled.areas.flatMap(addressesIn);
  const homes = compiled.pickups.map(({ location }) => location.address);
  return [...places, ...drawn, ...homes];
};

type Prices = Map<string, PriceSpan>;

const noted = (prices: Prices, compiled: CompiledBook, { zone, choices }: Quote): void => {
  for (const choice of choices) {
    const key = keyOf(compiled, zone?.id, choice);
    if (key === null) continue;
    const known = prices.get(key);
    // From when it is free is said beside it.
    if (known && choice.charge === 0) continue;
    const { least, most } = known && known.most > 0 ? known : { least: choice.charge, most: choice.charge };
    prices.set(key, { least: Math.min(least, choice.charge), most: Math.max(most, choice.charge) });
  }
};

/** The shop as it is while it is not paused: a pause ends, and what things cost is asked meanwhile. */
const unpaused = (book: Book): Book => {
  const { pause: _, ...store } = book.store;
  return { ...book, store };
};

/**
 * What each way to get an order costs, by `priceKey`, found by quoting: products of each kind to places of each kind,
 * ordered at a moment and by the channel that customers come by. Carriers are not asked. What no order of a few of one
 * product is offered has no price.
 */
export const pricesOf = (
  book: Book,
  catalogue: Catalogue,
  order: Pick<QuoteRequest, 'placedAt' | 'channel'>,
): ReadonlyMap<string, PriceSpan> => {
  const compiled = compile(unpaused(book), catalogue);
  const prices: Prices = new Map();
  const charged = [...compiled.goods.values()].filter(
    ({ chargeFree, shippingPrice }) => !chargeFree && shippingPrice === undefined,
  );
  const goods = probesOf(charged.length > 0 ? charged : [...compiled.goods.values()]);
  const destinations = destinationsOf(compiled);
  let left = MOST_QUOTES;
  const look = (destination: Destination, lines: Line[]): void => {
    const request: QuoteRequest = { destination, lines, ...order };
    const measured = left > 0 ? measureOrder(compiled, request) : null;
    if (!measured?.ok) return;
    left -= 1;
    noted(prices, compiled, measured.value.quote([]));
  };
  const lookAll = (quantity: number): void => {
    for (const destination of destinations)
      for (const { sku } of goods) look(destination, [{ sku, quantity }]);
  };
  lookAll(1);
  const ofOne = new Map(prices);
  for (const quantity of MORE) lookAll(quantity);
  // Several of a product only stand for what one of it is not offered.
  return new Map([...prices, ...ofOne]);
};
