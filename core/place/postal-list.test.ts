import type { PostalRule } from '../model/delivery.ts';
import type { Book } from '../model/book.ts';
import { makeBook, makeRate, makeRequest, onlyChoice, onlyWithheld, quoted } from '../testing/book.ts';

const line = (pattern: string, part: Partial<PostalRule> = {}): PostalRule => ({
  country: 'CA',
  pattern,
  served: true,
  cashOnDelivery: false,
  ...part,
});
const LIST = [line('B*'), line('B2*', { served: false }), line('B2G 2L2'), line('B2G*', { served: false })];
const HOURS = [1, 2, 3, 4, 5].map((day) => ({ day: day as 1, from: '09:00', to: '17:00' }));
const yard = { id: 'yard', name: 'Yard', address: { country: 'CA' }, hours: HOURS, closedDates: [] };

const book = (postalList: PostalRule[], store: Partial<Book['store']> = {}) =>
  makeBook({ postalList, store, locations: [yard], rates: [makeRate({ transit: { min: 3, max: 6 } })] });
const to = (postalCode: string | undefined, country = 'CA') =>
  makeRequest({ destination: { country, ...(postalCode ? { postalCode } : {}) } });

describe('the postal list', () => {
  test.each([
    ['B3H 1A1', true],
    ['B2N 1A1', false],
    ['B2G 2L2', true],
    ['B2G 2L1', false],
  ])('serves by its most specific line: %s', (code, served) => {
    expect(quoted(book(LIST), to(code)).choices.length).toBe(served ? 1 : 0);
  });

  test('says which line does not serve, and leads to it', () => {
    expect(onlyWithheld(quoted(book(LIST), to('B2N 1A1')))).toMatchObject({
      id: 'parcel',
      code: 'postal-not-served',
      text: 'The postal list does not serve B2N 1A1 in Canada, by its line B2*.',
      from: { kind: 'postal', id: 'CA:B2*' },
    });
  });

  test('decides of codes it does not list, and of no code, in the countries it has lines for', () => {
    const strict = book(LIST, { unlistedPostalCodes: 'not-served' });
    expect(onlyWithheld(quoted(strict, to('A1A 1A1')))).toMatchObject({
      code: 'postal-not-served',
      text: 'A1A 1A1 in Canada is not on the postal list, and codes not listed are not served.',
      from: { kind: 'store', id: 'store' },
    });
    expect(quoted(strict, to(undefined)).choices).toHaveLength(0);
    expect(quoted(book(LIST), to(undefined)).choices).toHaveLength(1);
    const world = { ...strict, zones: strict.zones.map((zone) => ({ ...zone, remainder: true })) };
    expect(quoted(world, to('75001', 'FR')).choices).toHaveLength(1);
  });

  test('comes after where the shop sells, and before the zone, which is worked out all the same', () => {
    const closed = book(LIST, { sellsTo: { mode: 'listed', countries: [], closedRegions: [] } });
    expect(onlyWithheld(quoted(closed, to('B2N 1A1'))).code).toBe('not-sold-there');
    expect(quoted(book(LIST), to('B2N 1A1')).zone?.id).toBe('country');
  });

  test('its days, with the margin, replace the latest and cut the earliest', () => {
    const arrives = (days: number | undefined, margin = 0) =>
      onlyChoice(
        quoted(book([line('B*', days === undefined ? {} : { days })], { postalSpareDays: margin }), {
          ...to('B3H 1A1'),
          placedAt: '2026-11-23T10:00:00-04:00',
        }),
      ).arrives;
    expect(arrives(undefined)).toEqual({ earliest: '2026-11-26', latest: '2026-12-01' });
    expect(arrives(4)).toEqual({ earliest: '2026-11-26', latest: '2026-11-27' });
    expect(arrives(4, 1)).toEqual({ earliest: '2026-11-26', latest: '2026-11-30' });
    expect(arrives(1, 1)).toEqual({ earliest: '2026-11-25', latest: '2026-11-25' });
  });
});

describe('how an order can be paid', () => {
  const payments: Book['payments'] = [
    { id: 'card', name: 'Card', kind: 'online', for: ['shipping', 'nothing-to-ship'] },
    { id: 'door', name: 'At the door', kind: 'on-delivery', for: ['shipping'], maxTotal: 3_000 },
    { id: 'home', name: 'Home bank', kind: 'online', for: ['shipping'], countries: ['US'] },
    { id: 'yard', name: 'In the yard', kind: 'at-pickup', for: ['pickup'] },
  ];
  const ways = (part: Parameters<typeof makeBook>[0], request = to('B3H 1A1')): string[] =>
    onlyChoice(quoted(makeBook({ payments, locations: [yard], ...part }), request)).payments;

  test('fits the kind of choice, the country and the greatest total', () => {
    expect(ways({})).toEqual(['card', 'door']);
    const zones = makeBook().zones.map((zone) => ({ ...zone, remainder: true }));
    expect(ways({ zones }, to('10001', 'US'))).toEqual(['card', 'door', 'home']);
    expect(ways({}, { ...to('B3H 1A1'), lines: [{ sku: 'pot', quantity: 3 }] })).toEqual(['card']);
  });

  test('counts the tax that is due on the goods and the charge into the total', () => {
    const taxes: Book['taxes'] = [
      { id: 'tax', name: 'Tax', region: { country: 'CA' }, points: 6_000, on: 'both' },
    ];
    const exact = 1_000 + 600 + 845 + 507;
    const door = (maxTotal: number): string[] =>
      ways({ taxes, payments: payments.map((one) => (one.id === 'door' ? { ...one, maxTotal } : one)) });
    expect([door(exact), door(exact - 1)]).toEqual([['card', 'door'], ['card']]);
    const included = { taxes, store: { pricesIncludeTax: true } };
    expect(ways({ ...included, payments: payments.map((one) => ({ ...one, maxTotal: 1_845 })) })).toEqual([
      'card',
      'door',
    ]);
  });

  test('is at the door only where a line of the postal list that holds the address allows it', () => {
    expect(ways({ postalList: [line('B*')] })).toEqual(['card']);
    expect(ways({ postalList: [line('B*', { cashOnDelivery: true })] })).toEqual(['card', 'door']);
    expect(ways({ postalList: [line('A*')] })).toEqual(['card', 'door']);
  });

  test('of what needs no sending goes by where the shop is', () => {
    const gift = {
      ...to('B3H 1A1'),
      destination: null,
      lines: [{ sku: 'gift', quantity: 1, price: 500, fulfilment: 'digital' as const }],
    };
    const options = payments.map((one) => ({ ...one, countries: ['CA'] }));
    expect(ways({ payments: options }, gift)).toEqual(['card']);
    expect(ways({ payments: options, locations: [] }, gift)).toEqual([]);
  });
});
