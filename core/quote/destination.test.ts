import type { Book } from '../model/book.ts';
import type { QuoteRequest } from '../model/request.ts';
import { makeBook, makeCatalogue, makeRequest, makeZone } from '../testing/book.ts';
import { compile } from './compile.ts';
import { reachOf } from './destination.ts';

type Part = NonNullable<Parameters<typeof makeBook>[0]>;

const reach = (part: Part = {}, request: Partial<QuoteRequest> = {}) =>
  reachOf(compile(makeBook(part), makeCatalogue()), makeRequest(request));
const PAUSE = { from: '2026-11-24', to: '2026-11-26', message: 'Away', keepPickup: true };
const CLOSED: Book['store']['sellsTo'] = { mode: 'listed', countries: ['US'], closedRegions: [] };
const UNSERVED = { country: 'CA', pattern: 'B2G*', served: false, cashOnDelivery: false };

test('a place in a zone is stopped by nothing', () => {
  const { place, zone, stop, postal, closed } = reach();
  expect([place?.country, zone?.zone.id, stop, postal, closed]).toEqual(['CA', 'country', null, null, false]);
});

test.each([
  ['2026-11-23T23:59:00-04:00', false],
  ['2026-11-24T00:00:00-04:00', true],
  ['2026-11-26T23:59:00-04:00', true],
  ['2026-11-27T00:00:00-04:00', false],
  // Still the 26th in Halifax.
  ['2026-11-27T03:30:00Z', true],
])('a pause holds on the days of the shop’s time zone, both ends included: %s', (placedAt, holds) => {
  const { stop } = reach({ store: { pause: PAUSE } }, { placedAt });
  expect(stop).toEqual(
    holds
      ? {
          code: 'store-paused',
          say: { code: 'store-paused', message: 'Away' },
          from: { kind: 'store', id: 'store' },
        }
      : null,
  );
});

test('without an address nothing is known, and a pause is told first', () => {
  expect(reach({}, { destination: null })).toMatchObject({
    place: null,
    zone: null,
    closed: false,
    stop: { code: 'address-needed', say: { code: 'address-needed' } },
  });
  expect(reach({ store: { pause: PAUSE } }, { destination: null }).stop?.code).toBe('store-paused');
});

test('where the shop does not sell is told by country or region, and before the postal list', () => {
  const { stop, closed } = reach({ store: { sellsTo: CLOSED }, postalList: [UNSERVED] });
  expect(closed).toBe(true);
  expect(stop?.say).toEqual({ code: 'not-sold-there', place: 'CA-NS, B2G2L2' });
  const bare = reach({ store: { sellsTo: CLOSED } }, { destination: { country: 'CA' } });
  expect(bare.stop?.say).toEqual({ code: 'not-sold-there', place: 'CA' });
});

test('the postal list stops a code by its line, or as one that it has not', () => {
  expect(reach({ postalList: [UNSERVED] }).stop).toEqual({
    code: 'postal-not-served',
    say: { code: 'postal-not-served', place: 'CA-NS, B2G2L2', line: 'B2G*' },
    from: { kind: 'postal', id: 'CA:B2G*' },
  });
  const other = { ...UNSERVED, pattern: 'K1A*', served: true };
  const unlisted = (unlistedPostalCodes: 'served' | 'not-served') =>
    reach({ postalList: [other], store: { unlistedPostalCodes } }).stop;
  expect(unlisted('served')).toBeNull();
  expect(unlisted('not-served')).toMatchObject({
    say: { line: null },
    from: { kind: 'store', id: 'store' },
  });
});

test('a line that serves a code is known to whoever asks how it is served', () => {
  const served = { ...UNSERVED, served: true, days: 4 };
  expect(reach({ postalList: [served] }).postal).toMatchObject({ pattern: 'B2G*', days: 4 });
});

test('a place that no zone holds is told last', () => {
  const { stop, zone } = reach({ zones: [makeZone('country', { includes: [{ country: 'US' }] })] });
  expect(zone).toBeNull();
  expect(stop?.say).toEqual({ code: 'no-zone', place: 'CA-NS, B2G2L2' });
});
