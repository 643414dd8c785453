import { day, open, rename, west } from '../../testing/opened-shop.ts';
import { makeMemoryStore, makeTabs, memoryStoreAfter } from '../../testing/memory-store.ts';
import { demoShop } from '../demo-shop.ts';
import { edit, undone } from '../draft.ts';
import { isGoodsKey, KEYS } from './documents.ts';

describe('a crash', () => {
  test('between any two writes leaves a whole shop that was on the screen, and the next edit is kept', async () => {
    const device = makeMemoryStore();
    const opened = await open(device);
    const seen = [opened.store.getState().draft.workbook];
    opened.store.subscribe(() => seen.push(opened.store.getState().draft.workbook));
    await day(opened);
    expect(device.writes.length).toBeGreaterThan(15);
    for (let count = 0; count <= device.writes.length; count += 1) {
      const left = memoryStoreAfter(device, count);
      const { store, writer } = await open(left);
      const { draft, storage } = store.getState();
      expect(storage.news).toEqual([]);
      expect(seen).toContainEqual(draft.workbook);
      // Its history is of these very goods: each step can be taken back.
      for (const _ of draft.past) store.dispatch(undone());
      store.dispatch(rename('After the crash'));
      await writer.flush();
      expect(west((await open(left)).store)).toBe('After the crash');
      expect([...left.kept.keys()].filter(isGoodsKey)).toHaveLength(1);
    }
  }, 60_000);

  test('between the goods and the draft, and then another tab writes: neither loses the goods it names', async () => {
    const device = makeMemoryStore();
    const tab = makeTabs();
    const first = await open(device, tab('first'));
    first.store.dispatch(edit('setGood', { sku: 'seed-lupin', changes: { price: 999 } }, 'price'));
    device.refuse = (at) => (at === 3 ? new Error('blocked') : null);
    await first.writer.flush();
    const second = await open(device, tab('second'));
    second.store.dispatch(rename('Plains'));
    await second.writer.flush();
    await jest.advanceTimersByTimeAsync(5_000);
    const again = (await open(device)).store.getState();
    expect(again.storage.news).toEqual([]);
    expect(again.draft.workbook).toEqual(first.store.getState().draft.workbook);
    expect(again.storage.aside.map(({ document, why }) => `${document.split('/')[0]} ${why}`)).toContain(
      'draft other-tab',
    );
  });
});

describe('a shop whose goods cannot be read', () => {
  test('is set aside with its rules, and neither goes with another shop’s', async () => {
    const device = makeMemoryStore();
    const { store, writer } = await open(device);
    store.dispatch(rename('Prairies'));
    await writer.flush();
    const key = [...device.kept.keys()].find(isGoodsKey) ?? '';
    device.kept.set(key, '{"version": 3');
    const again = (await open(device)).store.getState();
    expect(again.storage.news.map(({ document }) => document)).toEqual(['draft', 'catalogue/one:1']);
    expect(again.draft.workbook).toEqual(demoShop());
  });

  test('and one whose rules cannot: the goods are set aside with them before they are written over', async () => {
    const device = makeMemoryStore();
    const { store, writer } = await open(device);
    store.dispatch(edit('setGood', { sku: 'seed-lupin', changes: { price: 999 } }, 'price'));
    await writer.flush();
    device.kept.set(KEYS.draft, '{"version": 1');
    const again = await open(device);
    again.store.dispatch(rename('Plains'));
    await again.writer.flush();
    const aside = again.store
      .getState()
      .storage.aside.find(({ document }) => document.startsWith('catalogue'));
    expect(device.kept.get(aside?.key ?? '')).toContain('"price":999');
  });
});
