import { act, fireEvent, screen } from '@testing-library/react-native';
import { Profiler } from 'react';
import type * as Paper from 'react-native-paper';
import { PageHead } from '../../page/page-head.tsx';
import { edit } from '../../state/draft.ts';
import { selectBook } from '../../state/selectors.ts';
import { useBookParts } from '../../state/use-book-parts.ts';
import { goTo } from '../../testing/router.ts';
import { demoStore, renderOver } from '../../testing/store.tsx';
import { selectAreaMarks, selectMapBook, selectNearbyCodes } from '../reach/nearby/nearby-selectors.ts';
import { ChargesScreen } from './charges-screen.tsx';

/** The fields that were drawn, by their labels. */
const mockDrawn: string[] = [];

jest.mock('react-native-paper', () => {
  const paper = jest.requireActual<typeof Paper>('react-native-paper');
  const { TextInput } = paper;
  const Counted = (props: React.ComponentProps<typeof TextInput>) => {
    mockDrawn.push(props['aria-label'] ?? '');
    return <TextInput {...props} />;
  };
  return { ...paper, TextInput: Object.assign(Counted, { Icon: TextInput.Icon, Affix: TextInput.Affix }) };
});

const setParcel = (freeFrom: number, visit: string | null) =>
  edit('setRate', { id: 'parcel-west', changes: { freeFrom } }, 'Parcel to West: free from', visit);

test('what is typed into a field of a rate draws that field anew, and no other', async () => {
  goTo({ params: { zone: 'west', service: 'parcel' } });
  renderOver(demoStore(), <ChargesScreen />);
  fireEvent.press(await screen.findByText('Limits, handling and more'));
  const field = await screen.findByLabelText('Free from a subtotal of');
  fireEvent(field, 'focus');
  expect(new Set(mockDrawn).size).toBeGreaterThan(10);
  mockDrawn.splice(0);
  fireEvent.changeText(field, '120');
  expect(new Set(mockDrawn)).toEqual(new Set(['Free from a subtotal of']));
});

test('the head of a page is not drawn for each edit of one visit', () => {
  const store = demoStore();
  let drawn = 0;
  renderOver(
    store,
    <Profiler id="head" onRender={() => (drawn += 1)}>
      <PageHead title="Charges" />
    </Profiler>,
  );
  act(() => void store.dispatch(setParcel(9_000, 'visit')));
  const afterFirst = drawn;
  act(() => void store.dispatch(setParcel(9_100, 'visit')));
  act(() => void store.dispatch(setParcel(9_200, 'visit')));
  expect(drawn).toBe(afterFirst);
});

test('who shows some parts of the book is drawn anew for these alone', () => {
  const store = demoStore();
  const seen: number[] = [];
  const Zones = () => {
    seen.push(useBookParts('zones', 'services').zones.length);
    return null;
  };
  renderOver(store, <Zones />);
  act(() => void store.dispatch(setParcel(9_000, null)));
  expect(seen).toHaveLength(1);
  act(
    () => void store.dispatch(edit('setZone', { id: 'west', changes: { name: 'Far west' } }, 'West: name')),
  );
  expect(seen).toHaveLength(2);
});

test('the map of the neighbourhood is what it was after an edit of what is not on it', () => {
  const store = demoStore();
  const { getState, dispatch } = store;
  const postal: never[] = [];
  const shown = () => [
    selectMapBook(getState()),
    selectAreaMarks(getState()),
    selectNearbyCodes(getState(), postal),
  ];
  const before = shown();
  const [area] = selectBook(getState()).areas;
  const set = (changes: object) => dispatch(edit('setArea', { id: area!.id, changes }, 'area'));
  set({ minSubtotal: 4_200 });
  shown().forEach((part, at) => expect(part).toBe(before[at]));
  set({ name: 'Isthmus' });
  expect(selectMapBook(getState())).not.toBe(before[0]);
  expect(selectAreaMarks(getState()).get(area!.id)?.letter).toBe('I');
});
