import { act, fireEvent, screen } from '@testing-library/react-native';
import { readTestOrdersFile, writeTestOrdersFile } from '../../../core/check/test-orders-file.ts';
import { Preview } from '../../preview/preview.tsx';
import { edit, undone } from '../../state/draft.ts';
import { choiceToggled, withheldToggled } from '../../state/session.ts';
import { selectTestOrders } from '../../state/selectors.ts';
import type { AppStore } from '../../state/store.ts';
import { demoStore, renderOver, placesAtHand } from '../../testing/store.tsx';
import { keepChecked } from '../../workers/keep-checked.ts';
import { makeChecker } from '../../workers/checker.ts';
import CheckScreen from './check-screen.tsx';

jest.mock('../../parts/use-width.ts', () => ({ useWidth: () => 'wide' }));

beforeAll(placesAtHand);

const mockOpen = jest.fn<Promise<{ name: string; text: string | null } | null>, []>();
jest.mock('../../files/files.ts', () => ({
  ...jest.requireActual<object>('../../files/files.ts'),
  openFile: () => mockOpen(),
}));

let stop: (() => void) | null = null;
afterEach(() => stop?.());

const checked = (): AppStore => {
  const store = demoStore();
  stop = keepChecked(store, makeChecker());
  return store;
};
const settle = (): Promise<void> => act(() => jest.advanceTimersByTimeAsync(300));
const dearer = (store: AppStore): void =>
  void store.dispatch(edit('setStore', { changes: { handling: { amount: 100, per: 'order' } } }, 'dearer'));

describe('the test orders', () => {
  test('are run on every edit, and a broken one says what was expected and what came', async () => {
    const store = checked();
    renderOver(store, <CheckScreen />);
    await settle();
    expect(screen.getByText('20 of 20 test orders as expected.')).toBeTruthy();
    act(() => dearer(store));
    await settle();
    expect(screen.getByText('11 of 20 test orders as expected, 9 not as expected.')).toBeTruthy();
    expect(screen.getByText('Expected: Parcel to Maritimes costs 17.30. Got: costs 18.30.')).toBeTruthy();
    act(() => void store.dispatch(undone()));
    await settle();
    expect(screen.getByText('20 of 20 test orders as expected.')).toBeTruthy();
  });

  test('are pinned, put under a heading, moved and removed', async () => {
    const store = checked();
    renderOver(store, <CheckScreen />);
    await settle();
    fireEvent.press(screen.getByText('Seeds to Utrecht'));
    expect(store.getState().session.testOrderId).toBe('seeds-utrecht');
    fireEvent.press(screen.getByLabelText('Pinned: first under its heading'));
    const heading = screen.getByLabelText('Stands under the heading');
    fireEvent(heading, 'focus');
    fireEvent.changeText(heading, 'Far away');
    fireEvent(heading, 'blur');
    expect(selectTestOrders(store.getState()).find(({ id }) => id === 'seeds-utrecht')).toMatchObject({
      pinned: true,
      group: 'Far away',
    });
    expect(screen.getByLabelText('Test orders: Far away')).toBeTruthy();
    fireEvent.press(screen.getByText('Remove the test order'));
    expect(selectTestOrders(store.getState())).toHaveLength(19);
  });

  test('come out of a file in place of those with their ids; a faulty file changes nothing', async () => {
    const store = checked();
    renderOver(store, <CheckScreen />);
    const [first] = selectTestOrders(store.getState());
    if (!first) throw new Error('no test order');
    mockOpen.mockResolvedValue({ name: 't.json', text: '[{"id": 1}]' });
    fireEvent.press(screen.getByText('Open test orders'));
    await settle();
    expect(screen.getByText('Nothing was imported.')).toBeTruthy();
    const taken = [
      { ...first, name: 'Renamed' },
      { ...first, id: 'new-one' },
    ];
    mockOpen.mockResolvedValue({ name: 't.json', text: writeTestOrdersFile(taken) });
    fireEvent.press(screen.getByText('Open test orders'));
    await settle();
    expect(selectTestOrders(store.getState()).map(({ name }) => name)).toContain('Renamed');
    expect(selectTestOrders(store.getState())).toHaveLength(21);
  });
});

test('a file of test orders is read as it was written', () => {
  const testOrders = selectTestOrders(demoStore().getState());
  expect(readTestOrdersFile(writeTestOrdersFile(testOrders))).toEqual({ ok: true, value: testOrders });
});

describe('what a test order expects', () => {
  const expectsOf = (store: AppStore) => selectTestOrders(store.getState())[0]?.expects;

  test('is set by pointing at the preview, choice by choice', () => {
    const store = demoStore();
    store.dispatch(choiceToggled('express-maritimes:two-day'));
    renderOver(store, <Preview />);
    expect(screen.getAllByText('as expected')).toHaveLength(1);
    fireEvent.press(screen.getByLabelText('Express, two days: expect this'));
    expect(expectsOf(store)).toContainEqual({
      kind: 'offered',
      choiceId: 'express-maritimes:two-day',
      charge: 3_367,
    });
    expect(screen.getAllByText('as expected')).toHaveLength(2);
    act(() => dearer(store));
    expect(screen.getAllByText('not as expected')).toHaveLength(2);
    fireEvent.press(screen.getByLabelText('Express, two days: expect this'));
    expect(expectsOf(store)).toContainEqual({
      kind: 'offered',
      choiceId: 'express-maritimes:two-day',
      charge: 3_467,
    });
    fireEvent.press(screen.getByLabelText('Express, two days: stop checking this'));
    expect(screen.getAllByText('not as expected')).toHaveLength(1);
  });

  test('may be that a choice is rightly withheld, or that all of the preview is right', () => {
    const store = demoStore();
    store.dispatch(withheldToggled());
    renderOver(store, <Preview />);
    fireEvent.press(screen.getByLabelText('Seed mail: expect this'));
    expect(expectsOf(store)).toContainEqual({
      kind: 'withheld',
      id: 'seed-mail-maritimes',
      code: 'above-limit',
    });
    fireEvent.press(screen.getByText('Expect all of this'));
    expect(expectsOf(store)).toHaveLength(11);
    expect(screen.queryByText('Expect all of this')).toBeNull();
    expect(expectsOf(store)?.[0]).toEqual({ kind: 'cheapest', choiceId: 'parcel-maritimes' });
  });
});
