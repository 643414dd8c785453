import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import { looseJson } from './loose-json.ts';
import type { Fault } from '../model/fault.ts';
import { canBeGiven, givenValue, placeOf, repaired, valueAt, withoutFault, withValueAt } from './repair.ts';
import { readShopValue, shopValueUpToDate, writeShopFile, type Shop } from './shop-file.ts';

const here: Shop = { book: demoBook, catalogue: demoCatalogue, testOrders: [] };
const whole = (): Record<string, never> =>
  JSON.parse(writeShopFile(here, [], '2026-11-28T12:00:00Z')) as Record<string, never>;
const read = (value: unknown) => readShopValue(value, here);
const faultsOf = (value: unknown): readonly Fault[] => {
  const result = read(value);
  return result.ok ? [] : result.faults;
};
interface Loose {
  book: { rates: Record<string, unknown>[]; zones: { id: string }[]; store: Record<string, unknown> };
  catalogue: { goods: Record<string, unknown>[] };
}
const broken = (breaking: (shop: Loose) => void): unknown => {
  const value = whole() as unknown as Loose;
  breaking(value);
  return value;
};
const told = (value: unknown): string[] => {
  const result = repaired(value, read);
  return result.ok ? result.value.repairs.map(({ did, place }) => `${did}: ${place}`) : ['refused'];
};

test('a sound shop is left as it is', () => {
  const result = repaired(whole(), read);
  expect(result).toMatchObject({ ok: true, value: { repairs: [], value: { shop: here } } });
});

describe('fault by fault', () => {
  test('an optional field goes alone, a needed one takes the smallest entry around it', () => {
    const value = broken(({ book, catalogue }) => {
      (book.rates[2] as { limits: unknown }).limits = { weight: { max: -5 } };
      (catalogue.goods[1] as { price: unknown }).price = 'dear';
    });
    expect(told(value)).toEqual([
      `left-out: book, rates, ${demoBook.rates[2]?.id}, limits, weight, max`,
      `left-out: catalogue, goods, ${demoCatalogue.goods[1]?.name}`,
    ]);
  });

  test('what named an entry that was left out goes with it', () => {
    const value = broken(({ book }) => {
      (book.zones[0] as { id: unknown }).id = 'Not An Id';
    });
    const result = repaired(value, read);
    if (!result.ok) throw new Error('refused');
    const { book } = result.value.value.shop;
    expect(book.zones).toHaveLength(demoBook.zones.length - 1);
    const gone = demoBook.zones[0]?.id;
    expect(demoBook.rates.some(({ zoneId }) => zoneId === gone)).toBe(true);
    expect(book.rates.some(({ zoneId }) => zoneId === gone)).toBe(false);
    expect(result.value.repairs.length).toBeGreaterThan(1);
  });

  test('a text or a list that is too long is cut to what it may hold', () => {
    const value = broken(({ book }) => {
      book.store.name = 'x'.repeat(5_000);
    });
    expect(told(value)).toEqual(['cut: book, store, name']);
  });

  test('what nothing can be left out of is refused, and a given value mends it', () => {
    const value = broken(({ book }) => {
      book.store.currency = 'dollars';
    });
    const [fault] = faultsOf(value);
    if (!fault) throw new Error('no fault');
    expect([told(value), withoutFault(value, fault, faultsOf)]).toEqual([['refused'], null]);
    expect([placeOf(value, fault), valueAt(value, fault.path)]).toEqual(['book, store, currency', 'dollars']);
    expect(canBeGiven('dollars', fault)).toBe(true);
    const mended = withValueAt(value, fault, givenValue('CAD', 'dollars', fault));
    expect(read(mended)).toMatchObject({ ok: true, value: { shop: here } });
    expect(valueAt(value, fault.path)).toBe('dollars');
  });

  test('a number is given as one, a text as one', () => {
    const number: Fault = { code: 'wrong-type', path: 'x', detail: { expected: 'int' } };
    const text: Fault = { code: 'malformed', path: 'x', detail: {} };
    expect([givenValue(' 12 ', 'a', number), givenValue('12', 'a', text), givenValue('7', 3, text)]).toEqual([
      12,
      '12',
      7,
    ]);
    expect(givenValue('true', 'a', { code: 'wrong-type', path: 'x', detail: { expected: 'boolean' } })).toBe(
      true,
    );
  });
});

describe('a text that is no JSON', () => {
  test('that broke off is read as far as it goes, and what is lost is told', () => {
    const text = JSON.stringify({ ...whole(), testOrders: [] });
    const { value, broken: why } = looseJson(text.slice(0, text.indexOf('"catalogue"') - 40));
    expect(why?.code).toBe('not-json');
    const withGoods = { ...(value as object), catalogue: demoCatalogue, testOrders: [] };
    expect(repaired(withGoods, read).ok).toBe(true);
  });

  test('and holds nothing is nothing', () => {
    expect(looseJson('').value).toBeNull();
    expect(repaired(looseJson('}{').value, read).ok).toBe(false);
  });
});

test('a file of version 1 has its faults where they are in it', () => {
  const value = { ...whole(), book: { ...demoBook, version: 1, rates: [{ price: { kind: 'tiers' } }] } };
  const shop = shopValueUpToDate(value) as { book: { rates: { price: { kind: string } }[] } };
  expect(shop.book.rates[0]?.price.kind).toBe('steps');
});
