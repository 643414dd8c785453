import { demoBook } from '../../demo/book.ts';
import type { Book } from '../model/book.ts';
import { makeBook, makeCatalogue, makeGood, makeRate, makeZone, tiers } from '../testing/book.ts';
import { locatedSentence } from '../words/fault-sentence.ts';
import { pastedSteps } from './pasted-steps.ts';
import { readBook, readCatalogue, readJson, readRequest } from './read.ts';
import { typedLength, typedMoney, typedNumber, typedPercent, typedVolume, typedWeight } from './typed.ts';

const METRIC = { decimals: 2, units: 'metric' as const };
const sentences = (value: unknown): string[] => {
  const read = readBook(value);
  return read.ok ? [] : read.faults.map(locatedSentence);
};

describe('figures as they are typed', () => {
  test.each([
    ['12.50', '.', 12.5],
    ['12,50', '.', 12.5],
    ['1,250', '.', 1_250],
    ['1,250', ',', 1.25],
    ['1.250,75', '.', 1_250.75],
    ['1,25,000', '.', 125_000],
    ['12,34,56,789.50', '.', 123_456_789.5],
    ['1,25,00', '.', null],
    ['1,250.75', ',', 1_250.75],
    ['1 250', '.', 1_250],
    ['1.250.000', '.', 1_250_000],
    ['.5', '.', 0.5],
    ['1.2.3', '.', null],
    ['abc', '.', null],
    ['-3', '.', null],
    ['', '.', null],
  ] as const)('%p with the mark %p is %p', (text, mark, value) => {
    expect(typedNumber(text, mark)).toBe(value);
  });

  test('money has no more decimals than its currency', () => {
    expect(typedMoney('$ 12.5', 2)).toEqual({ ok: true, value: 1_250 });
    expect(typedMoney('CAD 12,05', 2)).toEqual({ ok: true, value: 1_205 });
    for (const text of ['R$ 1.250,50', '₹1,250.50', 'Rs.1250.50', '1 250,50 kr', 'CA$1,250.50', '1250,50 zł'])
      expect([text, typedMoney(text, 2)]).toEqual([text, { ok: true, value: 125_050 }]);
    for (const text of ['12.505', '12 kg', '12 krone', 'Rs', '1e5', '1CAD2'])
      expect([text, typedMoney(text, 2)]).toEqual([text, { ok: false }]);
    expect(typedMoney('12.5', 0)).toEqual({ ok: false });
    expect(typedMoney('10000000.01', 2)).toEqual({ ok: false });
  });

  test.each([
    ['3.2kg', 'metric', 3_200],
    ['3.2', 'metric', 3_200],
    ['600 g', 'metric', 600],
    ['7 lb 4 oz', 'metric', 3_288.5446825],
    ['7', 'imperial', 3_175.14659],
    ['2 kilograms', 'metric', 2_000],
    ['7 stone', 'metric', null],
    ['kg', 'metric', null],
    ['3 4', 'metric', 34_000],
    ['-1 kg', 'metric', null],
  ] as const)('a weight of %p (%s) is %p grams', (text, units, grams) => {
    expect(typedWeight(text, units)).toEqual(grams === null ? { ok: false } : { ok: true, value: grams });
  });

  test('lengths, volumes and percentages', () => {
    expect([
      typedLength('1.8 m', 'metric'),
      typedLength('12', 'imperial'),
      typedVolume('12.5', 'metric'),
      typedVolume('3 cu in', 'metric'),
    ]).toEqual([1_800, 304.8, 12_500_000, 49_161].map((value) => ({ ok: true, value })));
    expect([typedPercent('12.5 %'), typedPercent('0,25'), typedPercent('1.005')]).toEqual([
      { ok: true, value: 1_250 },
      { ok: true, value: 25 },
      { ok: false },
    ]);
  });
});

describe('rows that are pasted', () => {
  test('from a spreadsheet, where each row says where it begins', () => {
    const text = '2 kg\t11.00\n0\t8,50\n\n10 kg;24.00';
    expect(pastedSteps(text, 'weight', 'from', METRIC)).toEqual({
      steps: [
        { from: 0, amount: 850 },
        { from: 2_000, amount: 1_100 },
        { from: 10_000, amount: 2_400 },
      ],
      unread: [],
    });
  });

  test('from a leaflet, where each row says the last value it holds', () => {
    const text = 'Up to and including 2 kg  $9.10\nover 2 kg up to 5 kg  $12.00\nPrices without tax';
    expect(pastedSteps(text, 'weight', 'up-to', METRIC)).toEqual({
      steps: [
        { from: 0, amount: 910 },
        { from: 2_001, amount: 1_200 },
      ],
      until: 5_001,
      unread: [{ line: 3, text: 'Prices without tax' }],
    });
  });

  test('ranges give their lower end where rows say where they begin', () => {
    expect(pastedSteps('0 – 49.99: 6.40\n50.00 – 120: 4.10', 'subtotal', 'from', METRIC).steps).toEqual([
      { from: 0, amount: 640 },
      { from: 5_000, amount: 410 },
    ]);
  });

  test('of nothing that is a row, nothing is made', () => {
    expect(pastedSteps('hello\nthere 3 x', 'weight', 'up-to', METRIC)).toMatchObject({
      steps: [],
      unread: [{ line: 1 }, { line: 2 }],
    });
  });
});

describe('a book that is read', () => {
  test('is the same book', () => {
    expect(readBook(JSON.parse(JSON.stringify(demoBook)))).toEqual({ ok: true, value: demoBook });
  });

  test.each<[string, (book: Book) => unknown, string]>([
    ['a missing field', (book) => ({ ...book, zones: undefined }), 'zones: This is missing.'],
    [
      'a field nobody knows',
      (book) => ({ ...book, rates: [{ ...makeRate(), freefrom: 1 }] }),
      'rates[0].freefrom: There is no field named “freefrom” here.',
    ],
    [
      'a wrong type',
      (book) => ({ ...book, rates: [{ ...makeRate(), price: { kind: 'flat', amount: 8.5, per: 'order' } }] }),
      'rates[0].price.amount: This must be a whole number.',
    ],
    [
      'a kind that is none',
      (book) => ({ ...book, rates: [{ ...makeRate(), price: { kind: 'free' } }] }),
      'rates[0].price.kind: This must be one of: flat, steps, percent, per-product, table, carrier.',
    ],
    [
      'a figure too large',
      (book) => ({ ...book, rates: [makeRate({ freeFrom: 2_000_000_000 })] }),
      'rates[0].freeFrom: This must be at most 1000000000.',
    ],
    [
      'a figure below 0',
      (book) => ({ ...book, rates: [makeRate({ freeFrom: -1 })] }),
      'rates[0].freeFrom: This must be at least 0.',
    ],
    [
      'an empty list of steps',
      (book) => ({ ...book, rates: [makeRate({ price: tiers('weight', []) })] }),
      'rates[0].price.steps: This needs at least 1 entries.',
    ],
    [
      'a country that is none',
      (book) => ({ ...book, zones: [makeZone('country', { includes: [{ country: 'Canada' }] })] }),
      'zones[0].includes[0].country: This must be a country of two capital letters, such as CA.',
    ],
    [
      'a subdivision elsewhere',
      (book) => ({
        ...book,
        zones: [makeZone('country', { includes: [{ country: 'CA', subdivision: 'US-NY' }] })],
      }),
      'zones[0].includes[0].subdivision: The region must belong to the country: CA-NS belongs to CA.',
    ],
    [
      'a subdivision with patterns',
      (book) => ({
        ...book,
        zones: [makeZone('country', { includes: [{ country: 'CA', subdivision: 'CA-NS', postal: ['B*'] }] })],
      }),
      'zones[0].includes[0]: A place is given by a region or by postal patterns, not by both.',
    ],
    [
      'a pattern that is none',
      (book) => ({
        ...book,
        zones: [makeZone('country', { includes: [{ country: 'CA', postal: ['B3*H'] }] })],
      }),
      'zones[0].includes[0].postal[0]: “B3*H” is not a postal pattern: write B3H4R2, B3H*, B3?1* or 90200 to 90299.',
    ],
    [
      'an id used twice',
      (book) => ({ ...book, services: [...book.services, ...book.services] }),
      'services[1].id: The id “parcel” is already used by services[0].',
    ],
    [
      'a reference to nothing',
      (book) => ({ ...book, rates: [makeRate({ zoneId: 'moon' })] }),
      'rates[0].zoneId: There is no “moon” in zones.',
    ],
    [
      'two rates in one cell',
      (book) => ({ ...book, rates: [makeRate(), makeRate({ id: 'again' })] }),
      'rates[1]: This service already has a rate in this zone, at rates[0].',
    ],
    [
      'two zones of everywhere else',
      (book) => ({
        ...book,
        zones: [makeZone('country', { remainder: true }), makeZone('b', { remainder: true })],
      }),
      'zones[1].remainder: Only one zone may take everywhere else; zones[0] does.',
    ],
    [
      'a time zone that is none',
      (book) => ({ ...book, store: { ...book.store, timeZone: 'Halifax' } }),
      'store.timeZone: This must be a time zone, such as America/Halifax.',
    ],
    [
      'hours that run backwards',
      (book) => ({
        ...book,
        locations: [
          {
            id: 'a',
            name: 'A',
            address: { country: 'CA' },
            hours: [{ day: 1, from: '17:00', to: '09:00' }],
            closedDates: [],
          },
        ],
      }),
      'locations[0].hours[0]: Opening hours must end after they begin.',
    ],
    [
      'a group that is carried to no zone there is',
      (book) => ({
        ...book,
        groups: [
          { id: 'g', name: 'G', shipping: 'any', onlyZones: ['moon'], delivery: 'any', pickup: 'any' },
        ],
      }),
      'groups[0].onlyZones[0]: There is no “moon” in zones.',
    ],
    [
      'a line of the postal list that is no pattern',
      (book) => ({
        ...book,
        postalList: [{ country: 'CA', pattern: 'B**', served: true, cashOnDelivery: false }],
      }),
      'postalList[0].pattern: “B**” is not a postal pattern: write B3H4R2, B3H*, B3?1* or 90200 to 90299.',
    ],
    [
      'a price from a table that is gone',
      (book) => ({ ...book, rates: [makeRate({ price: { kind: 'table', tableId: 'gone' } })] }),
      'rates[0].price.tableId: There is no “gone” in rateTables.',
    ],
    [
      'a row of a table that is no pattern',
      (book) => ({
        ...book,
        rateTables: [{ id: 't', name: 'T', basis: 'weight', rows: [{ postal: '..', from: 0, amount: 1 }] }],
      }),
      'rateTables[0].rows[0].postal: “..” is not a postal pattern: write B3H4R2, B3H*, B3?1* or 90200 to 90299.',
    ],
    [
      'an adjustment for a service that is gone',
      (book) => ({
        ...book,
        adjustments: [
          {
            id: 'a',
            name: 'A',
            active: true,
            when: [],
            to: { serviceIds: ['gone'] },
            effect: { do: 'free' },
          },
        ],
      }),
      'adjustments[0].to.serviceIds[0]: There is no “gone” in services.',
    ],
    [
      'an adjustment for goods of no group',
      (book) => ({
        ...book,
        adjustments: [
          {
            id: 'a',
            name: 'A',
            active: true,
            when: [
              { test: 'goods', match: 'any', groupIds: ['gone'] },
              { test: 'destination', in: [{ country: 'CA', postal: ['B**'] }] },
            ],
            to: {},
            effect: { do: 'free' },
          },
        ],
      }),
      'adjustments[0].when[0].groupIds[0]: There is no “gone” in groups.',
    ],
    [
      'an id that is no slug',
      (book) => ({ ...book, services: [{ id: 'Par cel', name: 'P' }] }),
      'services[0].id: This must be an id of lower-case letters, digits, dots, hyphens and underscores.',
    ],
  ])('with %s is refused with its place', (_name, spoil, sentence) => {
    expect(sentences(JSON.parse(JSON.stringify(spoil(makeBook()))))).toContain(sentence);
  });

  test.each<[string, (book: Book) => Book, string]>([
    [
      'a rate priced by an account that is gone',
      (book) => ({
        ...book,
        rates: book.rates.map((rate) => ({
          ...rate,
          price: {
            kind: 'carrier',
            accountId: 'gone',
            services: [],
            show: 'all',
            onError: 'withhold',
            onNone: 'withhold',
          },
        })),
      }),
      'rates[0].price.accountId: There is no “gone” in carriers.',
    ],
    [
      'packing into boxes that are gone',
      () => makeBook({ store: { packing: { kind: 'boxes', boxIds: ['gone'] } } }),
      'store.packing.boxIds[0]: There is no “gone” in boxes.',
    ],
  ])('with %s is refused with its place', (_name, spoil, sentence) => {
    expect(sentences(spoil(makeBook()))).toContain(sentence);
  });
});

describe('other files', () => {
  test('a catalogue names goods used twice and groups that are none', () => {
    expect(readCatalogue(makeCatalogue(makeGood('a'), makeGood('a')))).toMatchObject({
      faults: [{ code: 'duplicate-id', path: 'goods[1].sku' }],
    });
    expect(readCatalogue(makeCatalogue(makeGood('a', { groupIds: ['x'] })), makeBook())).toMatchObject({
      faults: [{ code: 'dangling', path: 'goods[0].groupIds[0]' }],
    });
  });

  test('a request needs a line, a whole quantity and a moment with its offset', () => {
    const paths = (value: unknown) => {
      const read = readRequest(value);
      return read.ok ? [] : read.faults.map(({ code, path }) => `${path} ${code}`);
    };
    expect(paths({ destination: null, lines: [], placedAt: '2026-02-30T10:00:00Z' })).toEqual([
      'lines too-short',
      'placedAt malformed',
    ]);
    expect(
      paths({ destination: null, lines: [{ sku: 'a', quantity: 0 }], placedAt: '2026-11-24T10:15Z' }),
    ).toEqual(['lines[0].quantity too-small']);
    expect(
      paths({
        destination: { country: 'CA', subdivision: 'US-NY' },
        lines: [{ sku: 'a', quantity: 1 }],
        placedAt: '2026-11-24T10:15:00',
      }),
    ).toEqual(['destination.subdivision subdivision-elsewhere', 'placedAt malformed']);
  });

  test('what is not JSON says where it stops being so', () => {
    expect(readJson('{"a": }')).toMatchObject({ ok: false, faults: [{ code: 'not-json', path: '' }] });
    expect(readJson('\uFEFF{"a":1}')).toEqual({ ok: true, value: { a: 1 } });
  });
});
