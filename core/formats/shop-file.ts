import { z } from 'zod';
import { acceptedListSchema, type Accepted } from '../model/accepted.ts';
import type { Book } from '../model/book.ts';
import { fault, type Fault, type Result } from '../model/fault.ts';
import type { Catalogue } from '../model/good.ts';
import { parseWith } from '../model/schema-fault.ts';
import type { PastOrder } from '../model/order.ts';
import { readEditions, type Edition } from './edition.ts';
import type { TestOrder } from '../model/test-order.ts';
import { instantSchema } from '../model/unit.ts';
import { readOrders } from './orders.ts';
import { readBook, readCatalogue, readJson, readTestOrders } from './read.ts';
import {
  bookUpToDate,
  catalogueUpToDate,
  editionsUpToDate,
  ordersUpToDate,
  testOrdersUpToDate,
} from './version-1.ts';

/** A whole shop, as one file carries it to another device. */
export interface Shop {
  book: Book;
  catalogue: Catalogue;
  testOrders: TestOrder[];
  /** The problems that are accepted, with why. */
  accepted?: Accepted[];
}

const shopSchema = z.strictObject({
  format: z.literal('emporos-shop'),
  version: z.literal(1),
  savedAt: instantSchema,
  book: z.unknown(),
  catalogue: z.unknown(),
  testOrders: z.unknown(),
  orders: z.unknown().optional(),
  accepted: acceptedListSchema.optional(),
  editions: z.unknown().optional(),
});
const headSchema = z.object({ format: z.enum(['emporos-shop', 'emporos-book', 'emporos-catalogue']) });

/** What a file holds: a whole shop, or a book or goods that go with what is here. */
export interface ShopFile {
  holds: 'shop' | 'book' | 'goods';
  shop: Shop;
  /** The orders of a whole shop; files from before there were any have none. */
  orders: PastOrder[];
  /** The editions of a whole shop; files from before there were any have none. */
  editions: Edition[];
  savedAt: string | null;
}

const within = (name: string, faults: readonly Fault[]): Fault[] =>
  faults.map((found) => ({
    ...found,
    path: found.path === '' || found.path.startsWith('[') ? name + found.path : `${name}.${found.path}`,
  }));

const faultsOf = (name: string, result: Result<unknown>): Fault[] =>
  result.ok ? [] : within(name, result.faults);

/** Goods against the book they would go with: a group that the book lacks is a fault of the goods. */
const together = (file: ShopFile): Result<ShopFile> => {
  const catalogue = readCatalogue(file.shop.catalogue, file.shop.book);
  if (!catalogue.ok) return { ok: false, faults: within('catalogue', catalogue.faults) };
  return { ok: true, value: file };
};

type Fields = Record<string, unknown>;

/** The parts of a whole shop by the names of today: files of before have their test orders under `trials`. */
const partsByName = (value: unknown): unknown => {
  const file = z.looseObject({ trials: z.unknown() }).safeParse(value);
  if (!file.success || !('trials' in file.data) || 'testOrders' in file.data) return value;
  const { trials, ...parts } = file.data;
  return { ...parts, testOrders: trials };
};

/** Each part of a whole shop brought up to date, so that the paths of its faults lead into the value given. */
export const shopValueUpToDate = (value: unknown): unknown => {
  const file = z.looseObject({ format: z.literal('emporos-shop') }).safeParse(partsByName(value));
  if (!file.success) return value;
  const parts: Fields = { ...file.data };
  const PARTS: [string, (part: unknown) => unknown][] = [
    ['book', bookUpToDate],
    ['catalogue', catalogueUpToDate],
    ['testOrders', testOrdersUpToDate],
    ['orders', ordersUpToDate],
    ['editions', editionsUpToDate],
  ];
  for (const [name, upToDate] of PARTS) if (name in parts) parts[name] = upToDate(parts[name]);
  return parts;
};

const part = (holds: 'book' | 'goods', shop: Shop): ShopFile => ({
  holds,
  shop,
  orders: [],
  editions: [],
  savedAt: null,
});

const readWhole = (value: unknown): Result<ShopFile> => {
  const file = parseWith(shopSchema, partsByName(value));
  if (!file.ok) return file;
  const book = readBook(file.value.book);
  const catalogue = readCatalogue(file.value.catalogue);
  const testOrders = readTestOrders(file.value.testOrders);
  const orders = readOrders(file.value.orders ?? []);
  const editions = readEditions(file.value.editions ?? []);
  if (!book.ok || !catalogue.ok || !testOrders.ok || !orders.ok || !editions.ok) {
    const faults = [
      ...faultsOf('book', book),
      ...faultsOf('catalogue', catalogue),
      ...faultsOf('testOrders', testOrders),
      ...faultsOf('orders', orders),
      ...faultsOf('editions', editions),
    ];
    return { ok: false, faults };
  }
  const { accepted } = file.value;
  const shop = {
    book: book.value,
    catalogue: catalogue.value,
    testOrders: testOrders.value,
    ...(accepted ? { accepted } : {}),
  };
  return together({
    holds: 'shop',
    shop,
    orders: orders.value,
    editions: editions.value,
    savedAt: file.value.savedAt,
  });
};

/**
 * What a file's text holds, over the shop that is here: a whole shop, or its book or its goods alone.
 * A faulty file is refused whole, every fault with its path.
 */
export const readShopFile = (text: string, here: Shop): Result<ShopFile> => {
  const json = readJson(text);
  return json.ok ? readShopValue(json.value, here) : json;
};

/** The same of a file's value, once its text is read. */
export const readShopValue = (value: unknown, here: Shop): Result<ShopFile> => {
  const head = parseWith(headSchema, value);
  if (!head.ok) {
    return {
      ok: false,
      faults: [fault('not-one-of', 'format', { options: headSchema.shape.format.options.join(', ') })],
    };
  }
  if (head.value.format === 'emporos-shop') return readWhole(value);
  if (head.value.format === 'emporos-book') {
    const book = readBook(value);
    return book.ok ? together(part('book', { ...here, book: book.value })) : book;
  }
  const catalogue = readCatalogue(value, here.book);
  return catalogue.ok ? together(part('goods', { ...here, catalogue: catalogue.value })) : catalogue;
};

/** A book without the secrets of its carrier accounts, which leave the device in no file. */
export const withoutSecrets = (book: Book): Book => ({
  ...book,
  carriers: book.carriers.map((account) =>
    account.credentials.kind === 'own'
      ? { ...account, credentials: { kind: 'own', accountNumber: account.credentials.accountNumber } }
      : account,
  ),
});

const json = (value: unknown): string => `${JSON.stringify(value, null, 1)}\n`;

/** The text of a file that holds the whole shop, saved at a moment. */
export const writeShopFile = (
  { book, catalogue, testOrders, accepted }: Shop,
  orders: readonly PastOrder[],
  savedAt: string,
  editions: readonly Edition[] = [],
): string =>
  json({
    format: 'emporos-shop',
    version: 1,
    savedAt,
    book: withoutSecrets(book),
    catalogue,
    testOrders,
    ...(accepted ? { accepted } : {}),
    orders,
    ...(editions.length > 0
      ? { editions: editions.map((one) => ({ ...one, book: withoutSecrets(one.book) })) }
      : {}),
  });

/** The text of a file that holds the book alone. */
export const writeBookFile = (book: Book): string => json(withoutSecrets(book));

/** The text of a file that holds the goods alone. */
export const writeGoodsFile = (catalogue: Catalogue): string => json(catalogue);
