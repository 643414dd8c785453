import type { QuoteRequest } from '../model/request.ts';
import type { WithheldCode, Source } from '../model/quote.ts';
import { placeOf, type Place } from '../place/place.ts';
import { findZone, sellsThere, type ZoneFound } from '../place/reach.ts';
import { dateOf } from '../time/calendar.ts';
import type { Say } from '../words/say.ts';
import { placedDay } from './placed-day.ts';
import type { CompiledBook } from './compile.ts';

/** Why nothing ships to a destination at all. */
export interface Stop {
  code: WithheldCode;
  say: Say;
  from: Source;
}

export interface Reach {
  place: Place | null;
  zone: ZoneFound | null;
  /** The first of the reasons that withhold every service, or null. */
  stop: Stop | null;
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

const stopOf = (
  compiled: CompiledBook,
  request: QuoteRequest,
  place: Place | null,
  closed: boolean,
  zone: ZoneFound | null,
): Stop | null => {
  const paused = pauseOf(compiled, request);
  if (paused) return paused;
  if (!place) return { code: 'address-needed', say: { code: 'address-needed' }, from: STORE };
  if (closed)
    return { code: 'not-sold-there', say: { code: 'not-sold-there', place: placeName(place) }, from: STORE };
  return zone ? null : { code: 'no-zone', say: { code: 'no-zone', place: placeName(place) }, from: STORE };
};

/** From a request's destination to its zone, or to what stops every service: pause, address, sells-to, zone, in that order. */
export const reachOf = (compiled: CompiledBook, request: QuoteRequest): Reach => {
  const place = request.destination ? placeOf(request.destination) : null;
  const closed = place !== null && !sellsThere(compiled.sellsTo, place);
  const zone = place ? findZone(compiled.zones, place) : null;
  return { place, zone, closed, stop: stopOf(compiled, request, place, closed, zone) };
};
