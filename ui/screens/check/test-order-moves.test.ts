import { edit } from '../../state/draft.ts';
import { selectTestOrders } from '../../state/selectors.ts';
import type { AppStore } from '../../state/store.ts';
import { demoStore } from '../../testing/store.tsx';
import { selectTestOrderGroups, type PlacedLine } from './test-orders-selectors.ts';

/** The demo's test orders: all without a heading and unpinned but those that are named. */
const storeWith = (placed: Record<number, { group?: string; pinned?: boolean }>): AppStore => {
  const store = demoStore();
  selectTestOrders(store.getState()).forEach(({ id }, at) => {
    const { group = '', pinned = false } = placed[at] ?? {};
    store.dispatch(edit('placeTestOrder', { id, group, pinned }, 'placed'));
  });
  return store;
};
const idAt = (store: AppStore, at: number): string => selectTestOrders(store.getState())[at]?.id ?? '';
const linesOf = (store: AppStore): PlacedLine[] =>
  selectTestOrderGroups(store.getState()).flatMap(({ lines }) => lines);
const shown = (store: AppStore): string[] => linesOf(store).map(({ testOrder }) => testOrder.id);
const move = (store: AppStore, id: string, by: number): void =>
  void store.dispatch(edit('moveTestOrder', { id, by }, 'move'));

test('a test order moves by one place of the list that is seen, whatever stands between in the book', () => {
  const store = storeWith({ 1: { group: 'Far away' }, 2: { pinned: true } });
  const [first, fourth] = [idAt(store, 0), idAt(store, 3)];
  expect(shown(store).slice(1, 3)).toEqual([first, fourth]);
  move(store, fourth, -1);
  expect(shown(store).slice(1, 3)).toEqual([fourth, first]);
  move(store, fourth, 1);
  expect(shown(store).slice(1, 3)).toEqual([first, fourth]);
});

test('one that is alone under its heading, or the only one pinned, has nowhere to move to', () => {
  const store = storeWith({ 1: { group: 'Far away' }, 2: { pinned: true } });
  const before = shown(store);
  for (const id of [idAt(store, 1), idAt(store, 2)]) {
    expect(linesOf(store).find(({ testOrder }) => testOrder.id === id)).toMatchObject({ at: 0, count: 1 });
    for (const by of [1, -1]) move(store, id, by);
  }
  expect(shown(store)).toEqual(before);
});
