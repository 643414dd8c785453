import fc from 'fast-check';
import { readBook, readCatalogue, readTestOrders } from '../formats/read.ts';
import { compile } from '../quote/compile.ts';
import { quote } from '../quote/quote.ts';
import { inEnglish, speakBy } from '../translate/translate.ts';
import {
  emptyBook,
  firstBook,
  firstCatalogue,
  firstTestOrders,
  firstZones,
  GOODS_KINDS,
  type FirstAnswers,
} from './first-book.ts';

const HOURS = [{ day: 1, from: '09:00', to: '17:00' } as const];
const answersOf = (part: Partial<FirstAnswers> = {}): FirstAnswers => ({
  name: 'Sedge & Slate',
  currency: 'EUR',
  timeZone: 'Europe/Dublin',
  units: 'metric',
  from: { country: 'IE', city: 'Sligo', postalCode: 'F91 A1B2' },
  fromName: 'Workshop',
  homeName: 'Ireland',
  reach: 'home',
  countries: [],
  kinds: ['parcels'],
  charges: { home: { parcels: 750 } },
  good: { sku: 'slate-1', name: 'Slate board', price: 3_200, weight: 1_200 },
  hours: HOURS,
  ...part,
});

const money = fc.integer({ min: 1, max: 20_000 });
const everyCharge = fc.record({ letters: money, parcels: money, heavy: money });
const someAnswers = fc
  .record({
    reach: fc.constantFrom('home', 'listed', 'everywhere'),
    countries: fc.subarray(['FR', 'DE', 'US']),
    kinds: fc.subarray([...GOODS_KINDS]),
    charges: fc.record({ home: everyCharge, abroad: everyCharge, rest: everyCharge }),
    nearby: fc.option(
      fc.constant<FirstAnswers['nearby'] & object>({ patterns: ['F91*'], charge: 400, minSubtotal: 2_000 }),
      {
        nil: undefined,
      },
    ),
    tax: fc.option(
      fc.record({ name: fc.constant('VAT'), points: fc.constant(2_300), included: fc.boolean() }),
      { nil: undefined },
    ),
  })
  .map(({ nearby, tax, ...rest }) =>
    answersOf({ ...rest, ...(nearby ? { nearby } : {}), ...(tax ? { tax } : {}) }),
  );

describe('the book of the five questions', () => {
  test('is sound, whatever the answers, with its goods and test orders', () => {
    fc.assert(
      fc.property(someAnswers, (answers) => {
        const book = firstBook(answers);
        expect(readBook(book)).toEqual({ ok: true, value: book });
        expect(readCatalogue(firstCatalogue(answers), book).ok).toBe(true);
        expect(readTestOrders(firstTestOrders(answers, '2026-11-26T10:00:00Z')).ok).toBe(true);
      }),
    );
  });

  test('a tax is within the prices and charges where they contain it, and else added to them', () => {
    const totalWith = (included: boolean) => {
      const answers = answersOf({ tax: { name: 'VAT', points: 2_300, included } });
      const { choices } = quote(compile(firstBook(answers), firstCatalogue(answers)), {
        destination: { country: 'IE' },
        lines: [{ sku: answers.good.sku, quantity: 1 }],
        placedAt: '2026-11-26T10:00:00Z',
      });
      return choices.map(({ charge, tax, total }) => ({ charge, tax, total }))[0];
    };
    expect(totalWith(true)).toEqual({ charge: 750, tax: 140, total: 750 });
    expect(totalWith(false)).toEqual({ charge: 750, tax: 173, total: 923 });
  });

  test('offers every place it sells to a choice that is not free, whatever the weight', () => {
    const weights = fc.constantFrom(1, 399, 400, 401, 29_999, 30_001, 900_000);
    const places = fc.constantFrom('IE', 'FR', 'DE', 'US', 'AU');
    fc.assert(
      fc.property(someAnswers, weights, places, (answers, weight, country) => {
        fc.pre(answers.kinds.length > 0);
        const compiled = compile(firstBook(answers), firstCatalogue(answers));
        const { choices, withheld } = quote(compiled, {
          destination: { country, ...(country === 'IE' ? { postalCode: 'F91 A1B2' } : {}) },
          lines: [{ sku: answers.good.sku, quantity: 1, weight }],
          placedAt: '2026-11-26T10:00:00Z',
        });
        const isSold =
          country === 'IE' ||
          answers.reach === 'everywhere' ||
          (answers.reach === 'listed' && answers.countries.includes(country));
        expect(choices.length > 0).toBe(isSold);
        expect(choices.every(({ charge }) => charge > 0)).toBe(true);
        if (!isSold) expect(withheld.every(({ code }) => code === 'not-sold-there')).toBe(true);
      }),
    );
  });

  test('of a shop that ships nothing has no zone, service or rate, and what is collected is free', () => {
    const answers = answersOf({ kinds: [], charges: {}, collect: true });
    const book = firstBook(answers);
    expect([book.zones, book.services, book.rates]).toEqual([[], [], []]);
    const { choices } = quote(compile(book, firstCatalogue(answers)), {
      destination: { country: 'IE' },
      lines: [{ sku: 'slate-1', quantity: 1 }],
      placedAt: '2026-11-26T10:00:00Z',
    });
    expect(choices.map(({ kind, charge }) => [kind, charge])).toEqual([['pickup', 0]]);
  });

  test('brings what is near for its own charge, and nowhere else', () => {
    const answers = answersOf({ nearby: { patterns: ['F91*'], charge: 400, minSubtotal: 2_000 } });
    const compiled = compile(firstBook(answers), firstCatalogue(answers));
    const namesAt = (postalCode: string, quantity = 1, price = 3_200) =>
      quote(compiled, {
        destination: { country: 'IE', postalCode },
        lines: [{ sku: 'slate-1', quantity, price }],
        placedAt: '2026-11-26T10:00:00Z',
      }).choices.map(({ name, charge }) => `${name} ${charge}`);
    expect(namesAt('F91 X0X0')).toEqual(['Parcel 750', 'Brought by us 400']);
    expect(namesAt('F91 X0X0', 1, 400)).toEqual(['Parcel 750']);
    expect(namesAt('D02 AF30')).toEqual(['Parcel 750']);
  });

  test('has the zones that the answers make, and a test order for home and for the first country abroad', () => {
    expect(firstZones({ reach: 'home', countries: ['FR'] })).toEqual(['home']);
    expect(firstZones({ reach: 'everywhere', countries: ['FR'] })).toEqual(['home', 'abroad', 'rest']);
    const testOrders = firstTestOrders(
      answersOf({ reach: 'listed', countries: ['FR'] }),
      '2026-11-26T10:00:00Z',
    );
    expect(testOrders.map(({ name, request }) => [name, request.destination?.country])).toEqual([
      ['Slate board, Ireland', 'IE'],
      ['Slate board, abroad', 'FR'],
    ]);
  });
});

test('an empty book is sound and offers nothing, saying that no zone takes the place', () => {
  const book = emptyBook({ name: 'New shop', currency: 'CAD', timeZone: 'America/Halifax' });
  expect(readBook(book).ok).toBe(true);
  const compiled = compile(book, { goods: [] });
  const line = { sku: 'a', name: 'a', price: 1, fulfilment: 'physical', quantity: 1 } as const;
  const { choices } = quote(compiled, {
    destination: { country: 'CA' },
    lines: [line],
    placedAt: '2026-11-26T10:00:00Z',
  });
  expect(choices).toEqual([]);
});

test('a book begun in French is written in French, and its customers read French', () => {
  speakBy(inEnglish, 'fr');
  const { store } = emptyBook({ name: 'Ardoise', currency: 'CHF', timeZone: 'Europe/Zurich' });
  speakBy(inEnglish, 'en');
  expect(store.languages).toEqual(['fr']);
  expect(emptyBook({ name: 'Slate', currency: 'CHF', timeZone: 'Europe/Zurich' }).store.languages).toBe(
    undefined,
  );
});
