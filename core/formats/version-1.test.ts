import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { compile } from '../quote/compile.ts';
import { quote } from '../quote/quote.ts';
import { makeBook, makeCatalogue } from '../testing/book.ts';
import { readOrders } from './orders.ts';
import { readBook, readCatalogue, readTestOrders } from './read.ts';
import { readShopFile } from './shop-file.ts';
import type { Result } from '../model/fault.ts';

/** Files as a program of version 1 wrote them. */
const text = (name: string): string =>
  readFileSync(join(__dirname, '..', 'testing', 'version-1', `${name}.json`), 'utf8');
const file = (name: string): unknown => JSON.parse(text(name)) as unknown;

const sound = <T>(read: Result<T>): T => {
  if (!read.ok) throw new Error(JSON.stringify(read.faults.slice(0, 5)));
  return read.value;
};

const book = () => sound(readBook(file('book')));

describe('a book of version 1', () => {
  test('opens as one of version 2, each thing under its name of now', () => {
    const read = book();
    expect(read.version).toBe(2);
    const kinds = new Set(read.rates.map(({ price }) => price.kind));
    expect([...kinds].sort()).toEqual(['carrier', 'flat', 'per-product', 'steps', 'table']);
    const preparations = [...read.locations, ...read.areas, ...read.pickups].flatMap(
      ({ preparation }) => preparation?.kind ?? [],
    );
    expect(new Set(preparations)).toEqual(new Set(['open-minutes', 'cut-off', 'working-days']));
    expect(read.carriers.map(({ books }) => books)).toEqual([true, true, false]);
    expect(read.duties.show).toBe('amount');
    expect(read.store.postalSpareDays).toBe(0);
    expect(read.areas.map(({ methods }) => methods.map(({ id }) => id))).toEqual([
      ['today', 'bike'],
      ['van'],
    ]);
  });

  test('has its ranges of codes written with “to”, wherever they are', () => {
    const read = book();
    expect(read.zones[0]?.includes.at(-1)).toEqual({ country: 'US', postal: ['04101 to 04199'] });
    expect(read.store.sellsTo.closedRegions.at(-1)).toEqual({ country: 'CA', postal: ['X0A to X0C'] });
    expect(JSON.stringify(read)).not.toMatch(/[A-Z0-9]\.\.[A-Z0-9]/);
  });

  test('has groups that go by any or by none', () => {
    const { groups } = book();
    expect(groups.find(({ id }) => id === 'long-goods')).toMatchObject({ delivery: 'none', pickup: 'any' });
  });

  test('once read and written is read the same again', () => {
    const read = book();
    expect(sound(readBook(JSON.parse(JSON.stringify(read))))).toEqual(read);
  });
});

test('goods of version 1 are in the one group that they named', () => {
  const { goods } = sound(readCatalogue(file('catalogue'), book()));
  expect(goods.find(({ sku }) => sku === 'seed-lupin')?.groupIds).toEqual(['seeds']);
  expect(goods.every((good) => !('groupId' in good))).toBe(true);
});

test('test orders of version 1 open, a line that names its group too, and can be quoted', () => {
  const testOrders = sound(readTestOrders(file('trials')));
  const line = testOrders[0]?.request.lines.at(-1);
  expect(line).toMatchObject({ sku: 'by-hand', groupIds: [book().groups[0]?.id] });
  const compiled = compile(book(), sound(readCatalogue(file('catalogue'))));
  for (const { request } of testOrders) {
    const { choices, withheld } = quote(compiled, request);
    expect(choices.length + withheld.length).toBeGreaterThan(0);
  }
});

test('past orders of version 1 say what their choices are made of', () => {
  const orders = sound(readOrders(file('orders')));
  for (const { chosen } of orders) {
    if (chosen.kind === 'pickup') expect(chosen.of).toEqual({ pickupId: chosen.id });
    if (chosen.kind === 'delivery') expect(`${chosen.of?.areaId}:${chosen.of?.methodId}`).toBe(chosen.id);
    if (chosen.kind === 'shipping') expect(chosen.id.startsWith(chosen.of?.rateId ?? '-')).toBe(true);
  }
  expect(new Set(orders.map(({ chosen }) => chosen.kind)).size).toBeGreaterThan(1);
});

test('a shop file of version 1 opens whole, its editions too', () => {
  const here = { book: makeBook(), catalogue: makeCatalogue(), testOrders: [] };
  const read = sound(readShopFile(text('shop'), here));
  expect(read.shop.book).toEqual(book());
  expect(read.editions[0]?.book.version).toBe(2);
  expect(read.orders).toHaveLength(12);
});
