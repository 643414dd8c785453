import { repaired } from '../../../core/formats/repair.ts';
import { readShopValue, type ShopFile } from '../../../core/formats/shop-file.ts';
import { NOVEMBER, open, rename } from '../../testing/opened-shop.ts';
import { makeMemoryStore, type MemoryStore } from '../../testing/memory-store.ts';
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
  spoil: (device: MemoryStore, goods: string) => void,
): Promise<[MemoryStore, SetAsideDocument[]]> => {
  const device = makeMemoryStore();
  const { store, writer } = await open(device);
  store.dispatch(rename('Prairies'));
  store.dispatch(edit('setGood', { sku: 'seed-lupin', changes: { price: 999 } }, 'price'));
  store.dispatch(orderPlaced(NOVEMBER));
  await writer.flush();
  spoil(device, [...device.kept.keys()].find(isGoodsKey) ?? '');
  return [device, (await open(device)).store.getState().storage.aside];
};
const replaced = (device: MemoryStore, key: string, from: string | RegExp, to: string): void => {
  const text = device.kept.get(key) ?? '';
  expect(text).toMatch(from);
  device.kept.set(key, text.replace(from, to));
};
const mended = async (
  device: MemoryStore,
  all: SetAsideDocument[],
  document = /^draft/,
): Promise<[ShopFile, string[]]> => {
  const aside = all.find((one) => document.test(one.document));
  if (!aside) throw new Error('nothing was set aside');
  const { value } = await asideShop(device, aside, all, demoShop());
  const result = repaired(value, (read) => readShopValue(read, demoShop()));
  if (!result.ok) throw new Error(result.faults.map(({ path }) => path).join(' '));
  return [result.value.value, result.value.repairs.map(({ place }) => place)];
};

test('rules that cannot be read are repaired with the products that were kept beside them', async () => {
  const [device, all] = await spoilt((kept) =>
    replaced(kept, KEYS.draft, '"weight":{"max":30000}', '"weight":{"max":-1}'),
  );
  const [{ shop }, places] = await mended(device, all);
  expect(places).toEqual([expect.stringMatching(/^book, rates, .*, limits, weight, max$/)]);
  expect(shop.book.zones.map(({ name }) => name)).toContain('Prairies');
  expect(shop.catalogue.goods.find(({ sku }) => sku === 'seed-lupin')?.price).toBe(999);
  expect(shop.book.postalList).toEqual(demoShop().book.postalList);
});

test('products that cannot be read are repaired with their rules', async () => {
  const [device, all] = await spoilt((kept, goods) => replaced(kept, goods, '"price":999', '"price":-999'));
  const [{ shop }, places] = await mended(device, all);
  expect(places[0]).toMatch(/^catalogue, goods, /);
  expect(shop.catalogue.goods).toHaveLength(demoShop().catalogue.goods.length - 1);
  expect(shop.book.zones.map(({ name }) => name)).toContain('Prairies');
  expect(all.map((one) => canOpen(one, all))).toEqual([true, false]);
});

test('rules that are gone altogether are not made up from what is here', async () => {
  const [device, all] = await spoilt((kept) => void kept.kept.set(KEYS.draft, '{"version": 5,'));
  await expect(mended(device, all)).rejects.toThrow('book');
});

test('rules of a later program are told, never repaired', async () => {
  const [device, all] = await spoilt((kept) =>
    replaced(kept, KEYS.draft, `"version":${VERSIONS.draft}`, '"version":99'),
  );
  const [aside] = all;
  if (!aside) throw new Error('nothing was set aside');
  expect((await asideShop(device, aside, all, demoShop())).isLater).toBe(true);
});

test('orders of a month are repaired beside what is here', async () => {
  const [device, all] = await spoilt((kept) =>
    replaced(kept, 'emporos/orders/2026-11', '"charge":845', '"charge":"much"'),
  );
  const [{ orders, shop }, places] = await mended(device, all, /^orders/);
  expect([orders, places]).toEqual([[], ['orders, 1001']]);
  expect(shop.book).toEqual(demoShop().book);
});
