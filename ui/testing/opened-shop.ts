import type { PastOrder } from '../../core/model/order.ts';
import { added } from '../state/basket.ts';
import { loadDemoShop } from '../state/demo.ts';
import { demoShop } from '../state/demo-shop.ts';
import { edit, undone } from '../state/draft.ts';
import { orderPlaced } from '../state/orders.ts';
import { coloursChosen } from '../state/session.ts';
import { keepStore } from '../state/storage/keep.ts';
import { readStart } from '../state/storage/start.ts';
import type { Tabs } from '../state/storage/tabs.ts';
import type { Writer } from '../state/storage/writer.ts';
import { makeStore, type AppStore } from '../state/store.ts';
import type { Workbook } from '../state/workbook.ts';
import { makeTabs, type MemoryStore } from './memory-store.ts';

export interface Opened {
  store: AppStore;
  writer: Writer;
}

/** Opens the program over a device, as a page does. */
export const open = async (device: MemoryStore, tabs: Tabs = makeTabs()('one')): Promise<Opened> => {
  const start = await readStart(device, loadDemoShop);
  const store = makeStore(start);
  const writer = keepStore(store, device, tabs, loadDemoShop, start);
  await jest.advanceTimersByTimeAsync(20);
  return { store, writer };
};

/** An edit for tests: the zone in the west gets another name. */
export const rename = (name: string) => edit('setZone', { id: 'west', changes: { name } }, 'West: name');
/** The name of the zone in the west. */
export const west = (store: AppStore) =>
  store.getState().draft.workbook.book.zones.find((zone) => zone.id === 'west')?.name;

/** An order for tests, placed at a moment. */
export const order = (number: string, at: string): PastOrder => ({
  number,
  request: { destination: null, lines: [{ sku: 'seed-lupin', quantity: 1 }], placedAt: at },
  chosen: {
    id: 'parcel-west',
    kind: 'shipping',
    of: { rateId: 'parcel-west' },
    name: 'Parcel',
    charge: 845,
    total: 845,
  },
  status: 'placed',
  history: [{ status: 'placed', at }],
});
export const NOVEMBER = order('1001', '2026-11-30T22:00:00Z');
export const DECEMBER = order('1002', '2026-12-01T09:00:00Z');

/** Another shop with few goods and rules of its own. */
const bareShop = (): Workbook => {
  const { book, catalogue } = demoShop();
  const goods = catalogue.goods.slice(0, 3).map(({ groupIds: _, ...good }) => good);
  return {
    book: { ...book, store: { ...book.store, name: 'Another' }, rateTables: book.rateTables.slice(0, 1) },
    catalogue: { ...catalogue, goods },
    testOrders: [],
  };
};

/** A working day: edits of the book and of the goods, undo, another shop, orders of two months, the device's settings. */
export const day = async ({ store, writer }: Opened): Promise<void> => {
  const acts = [
    rename('Prairies'),
    edit('setGood', { sku: 'seed-lupin', changes: { price: 999 } }, 'price'),
    orderPlaced(NOVEMBER),
    added('seed-lupin'),
    undone(),
    orderPlaced(DECEMBER),
    rename('Plains'),
    edit('replaceShop', bareShop(), 'another shop'),
    rename('Hills'),
    undone(),
    undone(),
    coloursChosen('dark'),
  ];
  for (const act of acts) {
    store.dispatch(act);
    await writer.flush();
    await jest.advanceTimersByTimeAsync(2_000);
  }
};
