import fc from 'fast-check';
import type { Book } from '../model/book.ts';
import {
  makeAccount,
  makeArea,
  makeBook,
  makeCarrierPrice,
  makeCatalogue,
  makeGood,
  makeGroup,
  makePickup,
  makeRate,
  makeRequest,
  makeYard,
  makeZone,
} from '../testing/book.ts';
import { compile } from './compile.ts';
import { quote } from './quote.ts';
import { splitBasket } from './split.ts';

const shop = (parts: Partial<Book>): Book =>
  makeBook({
    locations: [makeYard()],
    areas: [makeArea()],
    pickups: [makePickup({ charge: 100 })],
    ...parts,
  });
const groups = [
  makeGroup('pots', { shipping: 'any' }),
  makeGroup('plants', { delivery: 'any' }),
  makeGroup('soil', { pickup: 'any' }),
  makeGroup('tools', { shipping: 'any', delivery: 'any', pickup: 'any' }),
];
const catalogue = makeCatalogue(
  ...groups.map(({ id }) => makeGood(id, { groupIds: [id] })),
  makeGood('card', { fulfilment: 'digital' }),
);
const order = (...skus: string[]) => makeRequest({ lines: skus.map((sku) => ({ sku, quantity: 1 })) });
const split = (...skus: string[]) => splitBasket(compile(shop({ groups }), catalogue), order(...skus));
const partsOf = (found: ReturnType<typeof splitBasket>) =>
  found?.parts.map(({ request, choice }) => [request.lines.map(({ sku }) => sku).join(), choice.id]);

test('goods that go in different ways go in as many parts, each with its own choice and charge', () => {
  const found = split('pots', 'plants', 'soil');
  expect(partsOf(found)).toEqual(
    expect.arrayContaining([
      ['pots', 'parcel-country'],
      ['plants', 'ring:van'],
      ['soil', 'counter'],
    ]),
  );
  expect(found?.charge).toBe(845 + 640 + 100);
});

test('goods that can go with several make no part of their own', () => {
  const found = split('pots', 'soil', 'tools');
  expect(found?.parts).toHaveLength(2);
  expect(found?.charge).toBe(845 + 100);
});

test('what needs no sending goes with the first part, and a discount is shared by value', () => {
  const compiled = compile(shop({ groups }), catalogue);
  const found = splitBasket(compiled, { ...order('pots', 'plants', 'card'), discount: 300 });
  expect(found?.parts[0]?.request.lines.map(({ sku }) => sku)).toContain('card');
  expect(found?.parts.map(({ request }) => request.discount)).toEqual([200, 100]);
});

test('nothing is parted that one choice takes, that cannot be had at all, or that is of one group', () => {
  expect(split('pots', 'tools')).toBeNull();
  expect(split('pots')).toBeNull();
  const never = shop({ groups: [...groups.slice(1), makeGroup('pots', {})] });
  expect(splitBasket(compile(never, catalogue), order('pots', 'plants'))).toBeNull();
});

test('a part’s share of the discount goes by what its lines cost, and is nothing where all cost nothing', () => {
  const shares = (pots: object, plants: object, discount: number) =>
    splitBasket(
      compile(shop({ groups }), catalogue),
      makeRequest({
        lines: [
          { sku: 'pots', quantity: 1, ...pots },
          { sku: 'plants', quantity: 1, ...plants },
        ],
        discount,
      }),
    )?.parts.map(({ request: { lines, discount: share } }) => [lines[0]?.sku, share]);
  expect(shares({ quantity: 3 }, {}, 400)).toEqual(
    expect.arrayContaining([
      ['pots', 300],
      ['plants', 100],
    ]),
  );
  expect(shares({}, { price: 3_000 }, 400)).toEqual(
    expect.arrayContaining([
      ['pots', 100],
      ['plants', 300],
    ]),
  );
  expect(shares({ price: 0 }, { price: 0 }, 0)?.map(([, share]) => share)).toEqual([0, 0]);
});

test('a line says by itself what the catalogue does not know', () => {
  const own = { fulfilment: 'physical', name: 'Gone', price: 500, weight: 300 } as const;
  const found = splitBasket(
    compile(shop({ groups }), catalogue),
    makeRequest({
      lines: [
        { sku: 'gone', quantity: 1, ...own, groupIds: ['plants'] },
        { sku: 'pots', quantity: 1 },
        { sku: 'plain', quantity: 1, ...own },
      ],
    }),
  );
  expect(partsOf(found)).toEqual(
    expect.arrayContaining([
      ['gone,plain', 'ring:van'],
      ['pots', 'parcel-country'],
    ]),
  );
});

test('of equally cheap choices a part takes the one that is listed first', () => {
  const twice = shop({
    groups,
    services: [
      { id: 'parcel', name: 'Parcel' },
      { id: 'letter', name: 'Letter' },
    ],
    rates: [makeRate(), makeRate({ id: 'letter-country', serviceId: 'letter' })],
  });
  expect(partsOf(splitBasket(compile(twice, catalogue), order('plants', 'pots')))).toContainEqual([
    'pots',
    'parcel-country',
  ]);
});

test('what a carrier would charge is no choice of a part before the carrier is asked', () => {
  const byCarrier = shop({
    groups,
    carriers: [makeAccount()],
    rates: [makeRate({ price: makeCarrierPrice({ onError: { amount: 900, per: 'order' } }) })],
  });
  const asked = order('pots', 'plants');
  expect(splitBasket(compile(byCarrier, catalogue), asked)).toBeNull();
  const failing = compile(byCarrier, catalogue, () => []);
  expect(partsOf(splitBasket(failing, asked))).toContainEqual(['pots', 'parcel-country']);
});

test('eleven sets are parted, twelve are more than can be searched', () => {
  const many = Array.from({ length: 12 }, (_, at) =>
    makeGroup(`g${at}`, at === 0 ? { pickup: 'any' } : { shipping: 'any' }),
  );
  const goods = makeCatalogue(...many.map(({ id }) => makeGood(id, { groupIds: [id] })));
  const parted = (count: number) =>
    splitBasket(compile(shop({ groups: many }), goods), order(...many.slice(0, count).map(({ id }) => id)));
  expect(parted(11)?.parts).toHaveLength(2);
  expect(parted(12)).toBeNull();
});

describe('against trying every way to part the goods', () => {
  const ways = ['parcel', 'letter', 'freight'];
  const flags = fc.record({
    shipping: fc.subarray(ways),
    delivery: fc.constantFrom<'any' | 'none'>('any', 'none'),
    pickup: fc.constantFrom<'any' | 'none'>('any', 'none'),
  });

  /** Every partition of a list. */
  const partitions = <T>([first, ...rest]: readonly T[]): T[][][] => {
    if (first === undefined) return [[]];
    return partitions(rest).flatMap((made) => [
      [[first], ...made],
      ...made.map((part, at) => made.map((one, n) => (n === at ? [first, ...part] : one))),
    ]);
  };

  test('no way has fewer parts, nor as few for less', () => {
    fc.assert(
      fc.property(
        fc.array(flags, { minLength: 2, maxLength: 5 }),
        fc.array(fc.integer({ min: 1, max: 900 }), { minLength: 5, maxLength: 5 }),
        (list, amounts) => {
          const made = list.map((part, at) => makeGroup(`g${at}`, part));
          const book = makeBook({
            locations: [makeYard()],
            zones: [makeZone('country')],
            services: ways.map((id) => ({ id, name: id })),
            rates: ways.map((id, at) =>
              makeRate({
                id,
                serviceId: id,
                price: { kind: 'flat', amount: amounts[at] ?? 1, per: 'order' },
              }),
            ),
            areas: [makeArea({ price: { kind: 'flat', amount: amounts[3] ?? 1, per: 'order' } })],
            pickups: [makePickup({ charge: amounts[4] ?? 1 })],
            groups: made,
          });
          const compiled = compile(
            book,
            makeCatalogue(...made.map(({ id }) => makeGood(id, { groupIds: [id] }))),
          );
          const costOf = (skus: string[]): number | null => {
            const charges = quote(compiled, order(...skus)).choices.map(({ charge }) => charge);
            return charges.length === 0 ? null : Math.min(...charges);
          };
          const all = partitions(made.map(({ id }) => id)).flatMap((parts) => {
            const costs = parts.map(costOf);
            return costs.includes(null)
              ? []
              : [{ parts: parts.length, charge: costs.reduce<number>((sum, cost) => sum + (cost ?? 0), 0) }];
          });
          const [best] = all.sort((a, b) => a.parts - b.parts || a.charge - b.charge);
          const found = splitBasket(compiled, order(...made.map(({ id }) => id)));
          if (!best || best.parts < 2) expect(found).toBeNull();
          else expect({ parts: found?.parts.length, charge: found?.charge }).toEqual(best);
        },
      ),
      { numRuns: 80 },
    );
  });
});
