import type { Book } from '../model/book.ts';
import {
  makeAccount,
  makeArea,
  makeBook,
  makeCatalogue,
  makeGood,
  makePickup,
  makeRate,
  makeRequest,
  makeYard,
  makeZone,
} from '../testing/book.ts';
import { compile } from './compile.ts';
import { makeParts, type PartName } from './compiled-parts.ts';
import { quote } from './quote.ts';

describe('compiling again', () => {
  const book = makeBook();
  const catalogue = makeCatalogue();
  const first = compile(book, catalogue);

  test('after a rate is edited keeps the indexes of places, goods and taxes', () => {
    const edited = compile({ ...book, rates: [makeRate({ freeFrom: 1 })] }, catalogue, null, first.parts);
    expect(edited.zones).toBe(first.zones);
    expect(edited.goods).toBe(first.goods);
    expect(edited.taxes).toBe(first.taxes);
    expect(edited.sellsTo).toBe(first.sellsTo);
    expect(quote(edited, makeRequest()).choices[0]?.charge).toBe(0);
  });

  test('after the zones are edited indexes them anew, and keeps the rates', () => {
    const zones = [makeZone('country', { includes: [{ country: 'US' }] })];
    const edited = compile({ ...book, zones }, catalogue, null, first.parts);
    expect(edited.zones).not.toBe(first.zones);
    expect(edited.services[0]?.byZone.get('country')).toBe(first.services[0]?.byZone.get('country'));
    expect(quote(edited, makeRequest()).withheld[0]?.code).toBe('no-zone');
  });

  test('without the parts of before makes all anew', () => {
    expect(compile(book, catalogue).zones).not.toBe(first.zones);
  });

  test('in another time zone gives other days', () => {
    const hours = ([1, 2, 3, 4, 5] as const).map((day) => ({ day, from: '09:00', to: '17:00' }));
    const locations = [{ id: 'yard', name: 'Yard', address: { country: 'CA' }, hours, closedDates: [] }];
    const rates = [makeRate({ transit: { min: 1, max: 1 } })];
    const arrival = (timeZone: string, placedAt: string) => {
      const compiled = compile(makeBook({ locations, rates, store: { timeZone } }), catalogue);
      return quote(compiled, makeRequest({ placedAt })).choices[0]?.arrives;
    };
    const day = (date: string) => ({ earliest: date, latest: date });
    expect(arrival('America/Halifax', '2026-11-24T20:30:00Z')).toEqual(day('2026-11-25'));
    expect(arrival('America/Halifax', '2026-11-24T21:30:00Z')).toEqual(day('2026-11-26'));
    expect(arrival('America/Vancouver', '2026-11-24T21:30:00Z')).toEqual(day('2026-11-25'));
    expect(arrival('Pacific/Fiji', '2026-11-24T21:30:00Z')).toEqual(day('2026-11-26'));
  });

  test('a currency without decimals is written without them', () => {
    const compiled = compile(makeBook({ store: { currency: 'JPY' } }), catalogue);
    expect(quote(compiled, makeRequest()).choices[0]?.working[0]?.text).toBe('Flat price: 845');
  });
});

test('an area and a pickup point whose location is gone are left out', () => {
  const compiled = compile(
    makeBook({
      locations: [makeYard()],
      areas: [makeArea(), makeArea({ id: 'lost', locationId: 'gone' })],
      pickups: [makePickup(), makePickup({ id: 'lost', locationId: 'gone' })],
    }),
    makeCatalogue(),
  );
  expect(compiled.areas.map(({ area }) => area.id)).toEqual([makeArea().id]);
  expect(compiled.pickups.map(({ point }) => point.id)).toEqual([makePickup().id]);
});

describe('what an edit makes anew', () => {
  const catalogue = makeCatalogue(makeGood('pot'), makeGood('seed'));
  const box = {
    id: 'crate',
    name: 'Crate',
    inside: { length: 400, width: 300, height: 300 },
    tare: 500,
    maxWeight: 20_000,
  };
  const table = { id: 't', name: 'T', basis: 'weight', rows: [{ from: 0, amount: 500 }] } as const;
  const book: Book = makeBook({
    zones: [makeZone('country'), makeZone('abroad', { includes: [{ country: 'US' }] })],
    services: [
      { id: 'parcel', name: 'Parcel' },
      { id: 'letter', name: 'Letter' },
    ],
    rates: [
      makeRate(),
      makeRate({ id: 'parcel-abroad', zoneId: 'abroad', price: { kind: 'table', tableId: 't' } }),
      makeRate({ id: 'letter-country', serviceId: 'letter' }),
    ],
    rateTables: [{ ...table, rows: [...table.rows] }],
    locations: [makeYard(), makeYard({ id: 'shop', name: 'Shop' })],
    areas: [makeArea(), makeArea({ id: 'wide', name: 'Wide' })],
    pickups: [makePickup(), makePickup({ id: 'door', locationId: 'shop' })],
    carriers: [makeAccount()],
    boxes: [box],
    adjustments: [1, 2].map((at) => ({
      id: `a${at}`,
      name: `A${at}`,
      active: true,
      when: [],
      to: {},
      effect: { do: 'add', amount: at, per: 'order' },
    })),
    store: { packing: { kind: 'boxes', boxIds: ['crate'] } },
  });
  const orders = [makeRequest(), makeRequest({ destination: { country: 'US' } })];

  /** What is made for the edited shop, quoted as the first was; sorted by name. */
  const madeBy = (edited: Book, goods = catalogue): PartName[] => {
    const made: PartName[] = [];
    const parts = makeParts({ onMade: (name) => made.push(name) });
    for (const order of orders) quote(compile(book, catalogue, null, parts), order);
    made.length = 0;
    for (const order of orders) quote(compile(edited, goods, null, parts), order);
    return made.sort();
  };
  const changed = <T>(list: readonly T[], part: Partial<T>): T[] =>
    list.map((one, at) => (at === 0 ? { ...one, ...part } : one));

  test.each<[string, Book, PartName[]]>([
    ['nothing', { ...book }, []],
    ['a rate', { ...book, rates: changed(book.rates, { freeFrom: 5_000 }) }, ['rate']],
    ['a zone', { ...book, zones: changed(book.zones, { includes: [{ country: 'FR' }] }) }, ['zones']],
    ['a service’s name', { ...book, services: changed(book.services, { name: 'Post' }) }, ['rate', 'rate']],
    ['a table', { ...book, rateTables: changed(book.rateTables, { name: 'U' }) }, ['table']],
    ['an area', { ...book, areas: changed(book.areas, { freeFrom: 9_000 }) }, ['area', 'area-index']],
    ['a pickup point', { ...book, pickups: changed(book.pickups, { charge: 100 }) }, ['pickup']],
    ['an adjustment', { ...book, adjustments: changed(book.adjustments, { name: 'B' }) }, ['adjustment']],
    ['a carrier account', { ...book, carriers: changed(book.carriers, { name: 'T' }) }, []],
    ['a box', { ...book, boxes: changed(book.boxes, { tare: 600 }) }, ['packing', 'packing']],
    ['the groups', { ...book, groups: [] }, ['groups']],
    ['the taxes', { ...book, taxes: [] }, ['taxes']],
    ['the postal list', { ...book, postalList: [] }, ['postal-list']],
    ['the duties', { ...book, duties: { ...book.duties, clearanceFee: 100 } }, ['duties']],
    [
      'a location’s hours',
      { ...book, locations: changed(book.locations, { hours: [] }) },
      ['area', 'area', 'area-index', 'departures', 'pickup'],
    ],
    [
      'how the store rounds',
      { ...book, store: { ...book.store, rounding: { to: 10, mode: 'up' } } },
      ['area', 'area', 'pickup', 'pickup', 'rate', 'rate', 'rate'],
    ],
  ])('%s', (_, edited, made) => expect(madeBy(edited)).toEqual(made));

  test('a product is the goods alone', () => {
    expect(madeBy(book, makeCatalogue(makeGood('pot', { weight: 600 })))).toEqual(['goods']);
  });
});
