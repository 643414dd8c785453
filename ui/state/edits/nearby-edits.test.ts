import type { Adjustment } from '../../../core/model/adjustment.ts';
import { edit } from '../draft.ts';
import { selectBook } from '../selectors.ts';
import { demoStore } from '../../testing/store.tsx';

const adjustment = (to: Adjustment['to']): Adjustment => ({
  id: 'near',
  name: 'Near',
  active: true,
  when: [],
  to,
  effect: { do: 'free' },
});

test('an area and a point that go are left out of the adjustments that name them, which never become for all', () => {
  const store = demoStore();
  const { id } = selectBook(store.getState()).adjustments[0] ?? { id: '' };
  const change = (to: Adjustment['to']) =>
    store.dispatch(edit('setAdjustment', { id, changes: adjustment(to) }, 'near'));
  change({ areaIds: ['peninsula'], pickupIds: ['nursery-yard', 'market-stall'] });
  store.dispatch(edit('removeArea', { id: 'peninsula' }, 'gone'));
  store.dispatch(edit('removePickup', { id: 'nursery-yard' }, 'gone'));
  const found = selectBook(store.getState()).adjustments.find(({ name }) => name === 'Near');
  expect(found?.to).toEqual({ areaIds: [], pickupIds: ['market-stall'] });
});

test('the last way of an area stays', () => {
  const store = demoStore();
  store.dispatch(edit('removeMethod', { areaId: 'harbour-ring', id: 'van' }, 'gone'));
  expect(selectBook(store.getState()).areas[1]?.methods).toHaveLength(1);
});

test('what is delivered and collected at a location that goes is so at the first of the others', () => {
  const store = demoStore();
  store.dispatch(edit('removeLocation', { id: 'nursery' }, 'gone'));
  const { areas, pickups } = selectBook(store.getState());
  expect([...areas, ...pickups].map(({ locationId }) => locationId)).toEqual(Array(4).fill('market-stall'));
});

test('an area and a point are copied below themselves, switched off, each with an id of its own', () => {
  const store = demoStore();
  for (const _ of [1, 2]) store.dispatch(edit('copyArea', { id: 'peninsula' }, 'copy'));
  store.dispatch(edit('copyPickup', { id: 'nursery-yard' }, 'copy'));
  store.dispatch(edit('copyPickup', { id: 'nowhere' }, 'copy'));
  const { areas, pickups } = selectBook(store.getState());
  expect(areas.map(({ name, active }) => [name, active])).toEqual([
    ['Peninsula', true],
    ['Peninsula, copy', false],
    ['Peninsula, copy', false],
    ['Harbour ring', true],
  ]);
  expect(new Set(areas.map(({ id }) => id)).size).toBe(4);
  expect(areas[1]?.methods).toEqual(areas[0]?.methods);
  expect(pickups.map(({ name }) => name)).toEqual([
    'Collect at the Nursery',
    'Collect at the Nursery, copy',
    'Collect at the Market Stall',
  ]);
});
