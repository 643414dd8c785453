import type { QuoteRequest } from '../model/request.ts';
import type { WithheldCode, Source } from '../model/quote.ts';
import type { PostalRule } from '../model/delivery.ts';
import { askPostalList, type PostalAnswer } from '../place/postal-list.ts';
import { placeOf, type Place } from '../place/place.ts';
import { findZone, sellsThere, type ZoneFound } from '../place/zone-index.ts';
import { dateOf } from '../time/calendar.ts';
import type { Message } from '../words/message.ts';
import { placedDay } from './placed-day.ts';
import type { CompiledBook } from './compile.ts';

/** Why nothing ships to a destination at all. */
export interface Stop {
  code: WithheldCode;
  say: Message;
  from: Source;
}

export interface Reach {
  place: Place | null;
  zone: ZoneFound | null;
  /** The first of the reasons that withhold every service, or null. */
  stop: Stop | null;
  /** The line of the postal list that holds it, or null. */
  postal: PostalRule | null;
  /** Whether the shop does not sell there at all: it holds for digital goods too. */
  closed: boolean;
}

const STORE: Source = { kind: 'store', id: 'store' };

/** A place in the fewest words that name it: 'CA, B2G2L2'. */
const placeName = ({ country, subdivision, code }: Place): string => {
  const area = subdivision ?? country;
  return code === undefined ? area : `${area}, ${code}`;
};

const pauseOf = (compiled: CompiledBook, request: QuoteRequest): Stop | null => {
  const { pause } = compiled.book.store;
  if (!pause) return null;
  const date = dateOf(placedDay({ compiled, request }));
  if (date < pause.from || date > pause.to) return null;
  return { code: 'store-paused', say: { code: 'store-paused', message: pause.message }, from: STORE };
};

/** The stop for a place where the shop does not sell at all. */
export const notSoldThere = (place: Place): Stop => ({
  code: 'not-sold-there',
  say: { code: 'not-sold-there', place: placeName(place) },
  from: STORE,
});

const postalStop = (place: Place, { rule }: PostalAnswer): Stop => ({
  code: 'postal-not-served',
  say: { code: 'postal-not-served', place: placeName(place), line: rule?.pattern ?? null },
  from: rule ? { kind: 'postal', id: `${rule.country}:${rule.pattern}` } : STORE,
});

const stopOf = (
  compiled: CompiledBook,
  request: QuoteRequest,
  place: Place | null,
  { closed, zone, postal }: { closed: boolean; zone: ZoneFound | null; postal: PostalAnswer | null },
): Stop | null => {
  const paused = pauseOf(compiled, request);
  if (paused) return paused;
  if (!place) return { code: 'address-needed', say: { code: 'address-needed' }, from: STORE };
  if (closed) return notSoldThere(place);
  if (postal && !postal.served) return postalStop(place, postal);
  return zone ? null : { code: 'no-zone', say: { code: 'no-zone', place: placeName(place) }, from: STORE };
};

/**
 * From a request's destination to its zone, or to what stops every service: pause, address, sells-to,
 * postal list, zone, in that order.
 */
export const reachOf = (compiled: CompiledBook, request: QuoteRequest): Reach => {
  const place = request.destination ? placeOf(request.destination) : null;
  const closed = place !== null && !sellsThere(compiled.sellsTo, place);
  const zone = place ? findZone(compiled.zones, place) : null;
  const { unlistedPostalCodes } = compiled.book.store;
  const postal = place && askPostalList(compiled.postalList, place, unlistedPostalCodes);
  const stop = stopOf(compiled, request, place, { closed, zone, postal });
  return { place, zone, closed, postal: postal?.rule ?? null, stop };
};
