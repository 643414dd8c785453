import { demoStore } from '../../testing/store.tsx';
import { edit } from '../draft.ts';
import { selectBook } from '../selectors.ts';

const ALL = ['CA-NS', 'CA-NB', 'CA-PE'];
const sellsTo = (store: ReturnType<typeof demoStore>) => selectBook(store.getState()).store.sellsTo;
const closed = (store: ReturnType<typeof demoStore>) =>
  sellsTo(store)
    .closedRegions.filter(({ country }) => country === 'CA')
    .map(({ subdivision }) => subdivision);

test('regions are closed, opened and swapped in one step that one undo takes back', () => {
  const store = demoStore();
  store.dispatch(edit('setRegions', { open: [], close: ALL }, 'none'));
  expect(closed(store)).toEqual(ALL);
  store.dispatch(edit('setRegions', { open: ['CA-NS'], close: [] }, 'one'));
  store.dispatch(edit('setRegions', { open: ['CA-NB', 'CA-PE'], close: ['CA-NS'] }, 'swapped'));
  expect(closed(store)).toEqual(['CA-NS']);
  expect(store.getState().draft.past).toHaveLength(3);
});

test('where only some regions are open, swapping them never closes the country', () => {
  const store = demoStore();
  store.dispatch(edit('setRegionMode', { country: 'CA', only: true, all: ['CA-NS'] }, 'only'));
  store.dispatch(edit('setRegions', { open: ['CA-NB'], close: ['CA-NS'] }, 'swapped'));
  expect(sellsTo(store).onlyRegions).toEqual([{ country: 'CA', subdivision: 'CA-NB' }]);
  expect(sellsTo(store).countries).not.toContain('CA');
});
