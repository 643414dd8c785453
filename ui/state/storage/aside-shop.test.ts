import { repaired } from '../../../core/formats/repair.ts';
import { readShopValue, type ShopFile } from '../../../core/formats/shop-file.ts';
import { NOVEMBER, open, rename } from '../../testing/opened-shop.ts';
import { makeShelf, type TestShelf } from '../../testing/memory-store.ts';
import { demoShop } from '../demo-shop.ts';
import { edit } from '../draft.ts';
import { orderPlaced } from '../orders.ts';
import type { SetAsideDocument } from '../storage-status.ts';
import { canOpen } from './aside.ts';
import { asideShop } from './aside-shop.ts';
import { isGoodsKey, KEYS } from './documents.ts';
import { VERSIONS } from './versions.ts';

/** A shop with an edit of its rules and one of its goods, kept and then spoilt, as the next start finds it. */
const spoilt = async (
  spoil: (shelf: TestShelf, goods: string) => void,
): Promise<[TestShelf, SetAsideDocument[]]> => {
  const shelf = makeShelf();
  const { store, writer } = await open(shelf);
  store.dispatch(rename('Prairies'));
  store.dispatch(edit('setGood', { sku: 'seed-lupin', changes: { price: 999 } }, 'price'));
  store.dispatch(orderPlaced(NOVEMBER));
  await writer.flush();
  spoil(shelf, [...shelf.kept.keys()].find(isGoodsKey) ?? '');
  return [shelf, (await open(shelf)).store.getState().storage.aside];
};
const replaced = (shelf: TestShelf, key: string, from: string | RegExp, to: string): void => {
  const text = shelf.kept.get(key) ?? '';
  expect(text).toMatch(from);
  shelf.kept.set(key, text.replace(from, to));
};
const mended = async (
  shelf: TestShelf,
  all: SetAsideDocument[],
  document = /^draft/,
): Promise<[ShopFile, string[]]> => {
  const aside = all.find((one) => document.test(one.document));
  if (!aside) throw new Error('nothing was set aside');
  const { value } = await asideShop(shelf, aside, all, demoShop());
  const result = repaired(value, (read) => readShopValue(read, demoShop()));
  if (!result.ok) throw new Error(result.faults.map(({ path }) => path).join(' '));
  return [result.value.value, result.value.repairs.map(({ place }) => place)];
};

test('rules that cannot be read are repaired with the products that were kept beside them', async () => {
  const [shelf, all] = await spoilt((kept) =>
    replaced(kept, KEYS.draft, '"weight":{"max":30000}', '"weight":{"max":-1}'),
  );
  const [{ shop }, places] = await mended(shelf, all);
  expect(places).toEqual([expect.stringMatching(/^book, rates, .*, limits, weight, max$/)]);
  expect(shop.book.zones.map(({ name }) => name)).toContain('Prairies');
  expect(shop.catalogue.goods.find(({ sku }) => sku === 'seed-lupin')?.price).toBe(999);
  expect(shop.book.postalList).toEqual(demoShop().book.postalList);
});

test('products that cannot be read are repaired with their rules', async () => {
  const [shelf, all] = await spoilt((kept, goods) => replaced(kept, goods, '"price":999', '"price":-999'));
  const [{ shop }, places] = await mended(shelf, all);
  expect(places[0]).toMatch(/^catalogue, goods, /);
  expect(shop.catalogue.goods).toHaveLength(demoShop().catalogue.goods.length - 1);
  expect(shop.book.zones.map(({ name }) => name)).toContain('Prairies');
  expect(all.map((one) => canOpen(one, all))).toEqual([true, false]);
});

test('rules that are gone altogether are not made up from what is here', async () => {
  const [shelf, all] = await spoilt((kept) => void kept.kept.set(KEYS.draft, '{"version": 5,'));
  await expect(mended(shelf, all)).rejects.toThrow('book');
});

test('rules of a later program are told, never repaired', async () => {
  const [shelf, all] = await spoilt((kept) =>
    replaced(kept, KEYS.draft, `"version":${VERSIONS.draft}`, '"version":99'),
  );
  const [aside] = all;
  if (!aside) throw new Error('nothing was set aside');
  expect((await asideShop(shelf, aside, all, demoShop())).isLater).toBe(true);
});

test('orders of a month are repaired beside what is here', async () => {
  const [shelf, all] = await spoilt((kept) =>
    replaced(kept, 'emporos/orders/2026-11', '"charge":845', '"charge":"much"'),
  );
  const [{ orders, shop }, places] = await mended(shelf, all, /^orders/);
  expect([orders, places]).toEqual([[], ['orders, 1001']]);
  expect(shop.book).toEqual(demoShop().book);
});
