import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import { demoTestOrders } from '../../demo/test-orders.ts';
import type { Shop } from '../formats/shop-file.ts';
import type { Book } from '../model/book.ts';
import { makeZone } from '../testing/book.ts';
import { shopDifference } from './shop-difference.ts';

const DEMO: Shop = { book: demoBook, catalogue: demoCatalogue, testOrders: demoTestOrders };

describe('what differs between two shops', () => {
  test('is nothing for a shop and its copy', () => {
    expect(shopDifference(DEMO, structuredClone(DEMO))).toEqual([]);
  });

  test('is told kind by kind and by name', () => {
    const zones = [...demoBook.zones.slice(1), makeZone('islands', { name: 'Islands' })];
    const rates = demoBook.rates.map((rate, at) => (at === 9 ? { ...rate, active: false } : rate));
    const book = { ...demoBook, zones, rates, store: { ...demoBook.store, pricesIncludeTax: true } };
    const catalogue = { ...demoCatalogue, goods: demoCatalogue.goods.slice(1) };
    const testOrders = DEMO.testOrders
      .slice(1)
      .map((one, at) => (at === 0 ? { ...one, name: 'Other' } : one));
    expect(shopDifference(DEMO, { ...DEMO, book, catalogue, testOrders })).toEqual([
      { what: 'store', added: [], removed: [], changed: [] },
      { what: 'zones', added: ['Islands'], removed: ['Maritimes'], changed: [] },
      { what: 'rates', added: [], removed: [], changed: ['Parcel to Newfoundland and Labrador'] },
      { what: 'goods', added: [], removed: ['Lupin seeds'], changed: [] },
      { what: 'testOrders', added: [], removed: [DEMO.testOrders[0]?.name], changed: ['Other'] },
    ]);
  });

  test('names a rate that goes by the zone that goes with it', () => {
    const [zone] = demoBook.zones;
    const rates = demoBook.rates.filter(({ zoneId }) => zoneId !== zone?.id);
    const book = { ...demoBook, zones: demoBook.zones.slice(1), rates };
    const told = shopDifference(DEMO, { ...DEMO, book }).find(({ what }) => what === 'rates');
    expect(told?.removed).toContain('Parcel to Maritimes');
  });

  test('is told of every part of a shop', () => {
    const { store, duties } = demoBook;
    const otherwise: Partial<Book> = {
      store: { ...store, sellsTo: { ...store.sellsTo, digitalEverywhere: !store.sellsTo.digitalEverywhere } },
      duties: { ...duties, clearanceFee: duties.clearanceFee + 1 },
    };
    const without = (part: keyof Book): Shop => {
      const value = demoBook[part];
      return {
        ...DEMO,
        book: { ...demoBook, [part]: Array.isArray(value) ? value.slice(1) : otherwise[part] },
      };
    };
    const parts = (Object.keys(demoBook) as (keyof Book)[]).filter(
      (part) => part !== 'format' && part !== 'version',
    );
    const told = parts.map((part) => [part, shopDifference(DEMO, without(part)).map(({ what }) => what)]);
    expect(told).toEqual(parts.map((part) => [part, [part === 'store' ? 'sellsTo' : part]]));
    const accepted = [{ code: 'no-rate', where: 'zone:west', note: '', print: '' }];
    expect(shopDifference(DEMO, { ...DEMO, accepted }).map(({ what }) => what)).toEqual(['accepted']);
  });

  test('is told where only the order of a list is another', () => {
    const book = { ...demoBook, services: [...demoBook.services].reverse() };
    expect(shopDifference(DEMO, { ...DEMO, book })).toEqual([
      { what: 'order', added: [], removed: [], changed: ['services'] },
    ]);
  });
});
