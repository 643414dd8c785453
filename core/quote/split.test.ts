import fc from 'fast-check';
import type { Book } from '../model/book.ts';
import {
  makeArea,
  makeBook,
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
