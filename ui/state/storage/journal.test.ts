import { makeMemoryStore, makeTabs, type MemoryStore } from '../../testing/memory-store.ts';
import { loadDemoShop } from '../demo.ts';
import { edit, undone } from '../draft.ts';
import { makeStore, type AppStore } from '../store.ts';
import { makeJournal, tabsLeft, takeUpJournals, type Journal } from './journal.ts';
import { keepStore } from './keep.ts';
import { readStart } from './start.ts';
import type { Writer } from './writer.ts';

interface Opened {
  store: AppStore;
  writer: Writer;
  journal: Journal;
  taken: number;
}

const ALL_GONE = async (_: string): Promise<boolean> => true;

/** Opens the program over two stores, as the page does. */
const open = async (
  device: MemoryStore,
  small: MemoryStore,
  id: string,
  isGone = ALL_GONE,
): Promise<Opened> => {
  const tabs = makeTabs()(id);
  const left = await tabsLeft(small, isGone);
  const start = await readStart(device, loadDemoShop);
  const over = start.draftStamp ?? null;
  const journal = makeJournal(small, id, over);
  const store = makeStore(start, [journal.middleware]);
  const writer = keepStore(store, device, tabs, loadDemoShop, start, journal);
  const taken = await takeUpJournals(store, small, over, left);
  return { store, writer, journal, taken };
};

const rename = (name: string) => edit('setZone', { id: 'west', changes: { name } }, 'West: name');
const west = ({ store }: Opened): string | undefined =>
  store.getState().draft.workbook.book.zones.find((zone) => zone.id === 'west')?.name;

test('an edit is there at the next start, however soon the page is left', async () => {
  const [device, small] = [makeMemoryStore(), makeMemoryStore()];
  const one = await open(device, small, 'one');
  one.store.dispatch(rename('Far West'));
  // The page is gone before anything was written to the draft.
  const two = await open(device, small, 'two');
  expect([west(two), two.taken]).toEqual(['Far West', 1]);
  two.store.dispatch(undone());
  const three = await open(device, small, 'three');
  expect(west(three)).toBe('West');
});

test('an edit that an earlier program noted is made by its name of today', async () => {
  const [device, small] = [makeMemoryStore(), makeMemoryStore()];
  const { store } = await open(device, small, 'one');
  const [first] = store.getState().draft.workbook.testOrders;
  const trial = { ...first, name: 'Two pots to Truro' };
  const entries = [
    { revision: 1, kind: 'edit', name: 'addTrial', payload: { trial }, label: 'Added' },
    { revision: 2, kind: 'edit', name: 'renameTrial', payload: { id: first?.id, name: 'Renamed' } },
  ];
  await small.setItem('emporos-journal/old', JSON.stringify({ base: null, entries }));
  const two = await open(device, small, 'two');
  const { testOrders } = two.store.getState().draft.workbook;
  expect([testOrders[0]?.name, testOrders.at(-1)?.name]).toEqual(['Renamed', 'Two pots to Truro']);
});

test.each([1, 2, 3])('an edit survives the page being gone after write %i of keeping it', async (at) => {
  const [device, small] = [makeMemoryStore(), makeMemoryStore()];
  const one = await open(device, small, 'one');
  one.store.dispatch(rename('Far West'));
  device.refuse = (asked) => (asked > at ? new Error('gone') : null);
  await one.writer.flush();
  device.refuse = () => null;
  const two = await open(device, small, 'two');
  expect(west(two)).toBe('Far West');
});

test('what the draft already holds is not made again', async () => {
  const [device, small] = [makeMemoryStore(), makeMemoryStore()];
  const one = await open(device, small, 'one');
  one.store.dispatch(rename('Far West'));
  await one.writer.flush();
  expect(small.kept.size).toBe(0);
  one.store.dispatch(rename('Farther West'));
  const two = await open(device, small, 'two');
  expect([west(two), two.taken]).toEqual(['Farther West', 1]);
  await two.writer.flush();
  const three = await open(device, small, 'three');
  expect([west(three), three.taken]).toEqual(['Farther West', 0]);
});

test('a tab that is open keeps its own edits, and what another has gone on from is left', async () => {
  const [device, small] = [makeMemoryStore(), makeMemoryStore()];
  const one = await open(device, small, 'one');
  one.store.dispatch(rename('Far West'));
  const two = await open(device, small, 'two', async (id) => id !== 'one');
  expect([west(two), two.taken]).toEqual(['West', 0]);
  two.store.dispatch(rename('Wild West'));
  await two.writer.flush();
  const three = await open(device, small, 'three');
  expect(west(three)).toBe('Wild West');
});

test('a journal that cannot be written or read is told, and harms nothing', async () => {
  const [device, small] = [makeMemoryStore(), makeMemoryStore()];
  small.refuse = () => new Error('full');
  const one = await open(device, small, 'one');
  one.store.dispatch(rename('Far West'));
  await Promise.resolve();
  await Promise.resolve();
  expect(one.journal.isSafe()).toBe(false);
  expect(one.writer.waiting()).toEqual(['workbook']);
  await one.writer.flush();
  expect([one.journal.isSafe(), one.writer.waiting()]).toEqual([true, []]);
  small.refuse = () => null;
  await small.setItem('emporos-journal/gone', '{"base": 3');
  const two = await open(device, small, 'two');
  expect([west(two), two.taken, small.kept.size]).toEqual(['Far West', 0, 0]);
});
