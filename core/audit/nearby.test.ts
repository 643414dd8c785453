import type { Book } from '../model/book.ts';
import type { Problem } from '../model/problem.ts';
import type { Catalogue, HandlingGroup } from '../model/good.ts';
import { compile } from '../quote/compile.ts';
import { quote } from '../quote/quote.ts';
import {
  makeArea,
  makeBook,
  makeCatalogue,
  makeGood,
  makeGroup,
  makePickup,
  makeRate,
  makeYard,
} from '../testing/book.ts';
import { audit } from './audit.ts';

const ON = '2026-11-24';
const SELLS = { mode: 'listed', countries: ['CA'], closedRegions: [] } as Book['store']['sellsTo'];

const nearby = (parts: Partial<Book>, store: Partial<Book['store']> = {}): Book =>
  makeBook({
    locations: [makeYard()],
    services: [],
    rates: [],
    zones: [],
    ...parts,
    store: { sellsTo: SELLS, ...store },
  });
const found = (book: Book, catalogue: Catalogue = makeCatalogue()): Problem[] =>
  audit(compile(book, catalogue), ON);
const grave = (problems: readonly Problem[]): string[] =>
  problems.filter(({ gravity }) => gravity === 'stops' || gravity === 'leaks').map(({ code }) => code);
const codes = (problems: readonly Problem[]): string[] => problems.map(({ code }) => code);

describe('a shop without zones', () => {
  test('that only does pickup in its own country is sound', () => {
    expect(codes(found(nearby({ pickups: [makePickup()] })))).toEqual([]);
  });

  test('whose pickup point is limited stops the orders that it does not take, and shows one', () => {
    const book = nearby({ pickups: [makePickup({ minSubtotal: 5_000 })] });
    const [stop] = found(book);
    expect(stop).toMatchObject({
      code: 'no-choice',
      gravity: 'stops',
      where: [{ kind: 'pickup', id: 'counter' }],
    });
    expect(stop?.text).toContain('Counter');
    const request = stop?.example as NonNullable<Problem['example']>;
    expect(quote(compile(book, makeCatalogue()), request).choices).toEqual([]);
  });

  test('counts a pickup point within its greatest distance alone, and shows an order from beyond it', () => {
    const book = nearby({ pickups: [makePickup({ maxDistance: 25_000 })] });
    const [stop] = found(book).filter(({ gravity }) => gravity === 'stops');
    expect(stop?.code).toBe('no-zone');
    const request = stop?.example as NonNullable<Problem['example']>;
    expect(quote(compile(book, makeCatalogue()), request)).toMatchObject({
      choices: [],
      withheld: [{ code: 'too-far' }],
    });
  });

  test('does not count a pickup point for customers of another country', () => {
    const abroad = nearby({ pickups: [makePickup()] }, { sellsTo: { ...SELLS, countries: ['CA', 'US'] } });
    expect(found(abroad).filter(({ code }) => code === 'no-zone')).toMatchObject([{ places: ['US'] }]);
  });

  test('that delivers to some codes stops the rest', () => {
    const problems = found(nearby({ areas: [makeArea()] }));
    expect(grave(problems)).toEqual(['no-zone']);
    expect(problems[0]?.places).toEqual(['CA']);
  });
});

test('a pickup point takes what the zone and the postal list leave', () => {
  const postalList = [{ country: 'CA', pattern: 'B3*', served: false, cashOnDelivery: false }];
  const book = makeBook({ locations: [makeYard()], postalList, store: { sellsTo: SELLS } });
  expect(grave(found(book))).toEqual(['postal-not-served']);
  expect(grave(found({ ...book, pickups: [makePickup()] }))).toEqual([]);
});

test('goods of a group that is only collected are no stop, unless collecting them is not allowed', () => {
  const catalogue = makeCatalogue(makeGood('pot', { groupIds: ['soil'] }));
  const problems = (pickup: 'any' | 'none') =>
    grave(
      found(
        makeBook({
          locations: [makeYard()],
          groups: [makeGroup('soil', { pickup })],
          pickups: [makePickup()],
          store: { sellsTo: SELLS },
        }),
        catalogue,
      ),
    );
  expect(problems('any')).toEqual([]);
  expect(problems('none')).toEqual(['group-not-sent']);
});

describe('a basket that no one choice takes', () => {
  const catalogue = makeCatalogue(
    makeGood('plant', { groupIds: ['live'], name: 'Sea thrift' }),
    makeGood('pot', { groupIds: ['pots'], name: 'Tall jar' }),
  );
  const book = (live: Partial<HandlingGroup>, parts: Partial<Book> = {}): Book =>
    makeBook({
      locations: [makeYard()],
      groups: [makeGroup('live', live), makeGroup('pots', { shipping: 'any' })],
      pickups: [makePickup()],
      store: { sellsTo: SELLS },
      ...parts,
    });

  test('stops, and the problem says how it can be had in parts', () => {
    const problems = found(book({ pickup: 'any' }), catalogue).filter(({ gravity }) => gravity === 'stops');
    expect(problems).toMatchObject([
      {
        code: 'only-in-parts',
        where: [
          { kind: 'group', id: 'live' },
          { kind: 'zone', id: 'country' },
        ],
      },
    ]);
    expect(problems[0]?.text).toContain('Sea thrift by “Counter”; Tall jar by “Parcel”');
    const request = problems[0]?.example as NonNullable<Problem['example']>;
    expect(quote(compile(book({ pickup: 'any' }), catalogue), request).choices).toEqual([]);
  });

  test('has no parts where one of them cannot be had', () => {
    expect(grave(found(book({}), catalogue))).toEqual(['group-not-sent']);
  });

  test('has no parts that customers of another country would have to collect', () => {
    const SOLD = { ...SELLS, countries: ['US'] };
    const zones = makeBook().zones.map((zone) => ({ ...zone, includes: [{ country: 'US' }] }));
    const abroad = book({ pickup: 'any' }, { zones });
    const problems = found({ ...abroad, store: { ...abroad.store, sellsTo: SOLD } }, catalogue);
    expect(grave(problems)).toEqual(['group-not-sent']);
  });
});

describe('leaks', () => {
  const sound = { zones: makeBook().zones, services: makeBook().services, rates: [makeRate()] };

  test('are deliveries that cost nothing by no free rule, in listed areas and in drawn ones', () => {
    const price = { kind: 'flat', amount: 0, per: 'order' } as const;
    expect(found(nearby({ ...sound, areas: [makeArea({ price })] }))).toMatchObject([
      { code: 'free-price', where: [{ kind: 'area', id: 'ring:van' }] },
    ]);
    const drawn = makeArea({ price, covers: { kind: 'radius', metres: 2_000 } });
    const [leak] = found(nearby({ ...sound, areas: [drawn] }));
    expect(leak).toMatchObject({
      code: 'free-price',
      where: [{ kind: 'area', id: 'ring:van' }],
      reach: 'Ring',
    });
    const request = leak?.example as NonNullable<Problem['example']>;
    const free = quote(compile(nearby({ ...sound, areas: [drawn] }), makeCatalogue()), request);
    expect(free.choices.find(({ kind }) => kind === 'delivery')?.charge).toBe(0);
  });

  test('are not collections that are free, nor deliveries that a threshold frees', () => {
    const book = nearby({ ...sound, areas: [makeArea({ freeFrom: 9_000 })], pickups: [makePickup()] });
    expect(grave(found(book))).toEqual([]);
  });

  test('are thresholds below the cheapest good', () => {
    expect(codes(found(nearby({ ...sound, areas: [makeArea({ freeFrom: 900 })] })))).toContain('always-free');
  });
});

describe('oddities', () => {
  const odd = (parts: Partial<Book>): string[] =>
    found(nearby({ zones: makeBook().zones, services: makeBook().services, rates: [makeRate()], ...parts }))
      .filter(({ gravity }) => gravity === 'odd')
      .map(({ code, where: [first] }) => `${code} ${first?.kind} ${first?.id}`);

  test('are times that never come', () => {
    const timing = {
      kind: 'slot',
      hours: [{ day: 7, from: '10:00', to: '12:00' }],
      minutes: 60,
      horizonDays: 14,
    } as const;
    const sunday = { ...timing, hours: [{ day: 7 as const, from: '10:00', to: '12:00' }] };
    expect(odd({ pickups: [makePickup({ timing: sunday })] })).toEqual(['never-in-time pickup counter']);
    const late = {
      id: 'van',
      name: 'Van',
      add: 0,
      timing: { kind: 'words', text: 'today' },
      withinDays: 0,
    } as const;
    const batch = { kind: 'cut-off', cutoff: '11:00', readyAt: '14:00', days: 1 } as const;
    expect(odd({ areas: [makeArea({ preparation: batch, methods: [late] })] })).toEqual([
      'never-in-time area ring:van',
    ]);
    expect(odd({ areas: [makeArea({ preparation: { ...batch, days: 0 }, methods: [late] })] })).toEqual([]);
  });

  test('are distances from a location that has no point, empty lists, and one entry in two areas', () => {
    const nowhere = [makeYard({ address: { country: 'CA' } })];
    expect(odd({ locations: nowhere, areas: [makeArea({ covers: { kind: 'radius', metres: 5 } })] })).toEqual(
      ['location-without-point area ring'],
    );
    expect(odd({ areas: [makeArea({ covers: { kind: 'postal', country: 'CA', patterns: [] } })] })).toEqual([
      'area-covers-nothing area ring',
    ]);
    expect(odd({ areas: [makeArea(), makeArea({ id: 'twin', name: 'Twin' })] })).toEqual([
      'areas-contest area twin:B2G*',
    ]);
  });

  test('are limits that contradict and prices that fall', () => {
    const price = {
      kind: 'steps',
      basis: 'weight',
      per: 'order',
      steps: [
        { from: 0, amount: 9 },
        { from: 5, amount: 4 },
      ],
    } as const;
    const area = makeArea({
      price: { ...price, steps: [...price.steps] },
      limits: { units: { min: 3, max: 2 } },
    });
    expect(odd({ areas: [area] })).toEqual(['limits-contradict area ring:units', 'price-falls area ring:5']);
  });
});
