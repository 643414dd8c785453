import { act, fireEvent, screen } from '@testing-library/react-native';
import { Preview } from '../../preview/preview.tsx';
import { undone } from '../../state/draft.ts';
import { testOrderEditing } from '../../state/session.ts';
import { selectBook, selectPreview, selectTestOrders } from '../../state/selectors.ts';
import type { AppStore } from '../../state/store.ts';
import { goTo } from '../../testing/router.ts';
import { demoStore, renderOver, placesAtHand } from '../../testing/store.tsx';
import { RateConditions } from '../charges/rate-conditions.tsx';
import { edit } from '../../state/draft.ts';
import SettingsScreen from './settings-screen.tsx';

jest.mock('../../parts/use-width.ts', () => ({ useWidth: () => 'wide' }));

beforeAll(placesAtHand);

const open = (part: string): AppStore => {
  goTo({ pathname: '/settings', params: { part } });
  const store = demoStore();
  renderOver(store, <SettingsScreen />);
  return store;
};
const typeAt = (label: string, at: number, text: string): void => {
  const field = screen.getAllByLabelText(label)[at];
  if (!field) throw new Error(`there is no field ${label}`);
  fireEvent(field, 'focus');
  fireEvent.changeText(field, text);
  fireEvent(field, 'blur');
};
const paymentsOf = (store: AppStore) => selectBook(store.getState()).payments;
const previewOf = (store: AppStore) => {
  const preview = selectPreview(store.getState());
  if (!preview?.ok) throw new Error('the test order cannot be used');
  return preview.quote;
};

describe('the ways to pay', () => {
  test('fit choices by kind, total and country, as the preview’s choices say', () => {
    const store = open('payments');
    const waysOf = () => previewOf(store).choices[0]?.payments;
    expect(waysOf()).toEqual(['card', 'at-the-door']);
    typeAt('Up to a total of', 1, '50');
    expect(waysOf()).toEqual(['card']);
    act(() => void store.dispatch(undone()));
    typeAt('Only in these countries', 0, 'us, gb');
    expect(paymentsOf(store)[0]?.countries).toEqual(['US', 'GB']);
    expect(waysOf()).toEqual(['at-the-door']);
    typeAt('Only in these countries', 0, 'Atlantis');
    expect(screen.getByText(/“Atlantis” is not a country/)).toBeTruthy();
    fireEvent.press(screen.getAllByLabelText('shipped')[1] as never);
    expect(waysOf()).toEqual([]);
  });

  test('are added, moved and removed with a way back', () => {
    const store = open('payments');
    fireEvent.press(screen.getByText('Add a payment method'));
    expect(paymentsOf(store).at(-1)).toMatchObject({ id: 'card-2', kind: 'online' });
    fireEvent.press(screen.getAllByText('Move up').at(-1) as never);
    expect(paymentsOf(store)[2]?.id).toBe('card-2');
    fireEvent.press(screen.getByText('Remove At the door'));
    expect(paymentsOf(store).map(({ id }) => id)).not.toContain('at-the-door');
    expect(store.getState().session.message).toEqual({ text: 'Removed At the door.', undo: true });
  });
});

test('a pause keeps everything from being shipped on its days, and says what customers are told', () => {
  const store = open('store');
  fireEvent.press(screen.getByLabelText('Paused for some days'));
  typeAt('First day of the pause', 0, '2026-11-20');
  typeAt('Last day of the pause', 0, '2026-11-30');
  typeAt('What customers are told', 0, 'We are moving the glasshouse.');
  expect(previewOf(store).choices).toEqual([]);
  const sent = previewOf(store).withheld.filter(({ kind }) => kind !== 'pickup');
  expect(sent.every(({ code }) => code === 'store-paused')).toBe(true);
  typeAt('Last day of the pause', 0, '2026-11-01');
  expect(screen.getByText(/The last day is not before the first\./)).toBeTruthy();
  fireEvent.press(screen.getByLabelText('Orders can still be collected'));
  expect(selectBook(store.getState()).store.pause).toEqual({
    from: '2026-11-20',
    to: '2026-11-30',
    message: 'We are moving the glasshouse.',
    keepPickup: false,
  });
  fireEvent.press(screen.getByLabelText('Paused for some days: nothing is shipped or delivered'));
  expect(previewOf(store).choices.length).toBeGreaterThan(0);
});

test('a test order may say who orders, with what code and through which channel', async () => {
  const store = demoStore();
  store.dispatch(testOrderEditing(true));
  renderOver(store, <Preview />);
  const before = previewOf(store).choices[0]?.charge ?? 0;
  await screen.findByLabelText('Customer group');
  typeAt('Customer group', 0, 'trade');
  expect(previewOf(store).choices[0]?.charge).toBe(0);
  expect(before).toBeGreaterThan(0);
  typeAt('Code', 0, ' MOSS ');
  typeAt('Channel', 0, 'market');
  expect(selectTestOrders(store.getState())[0]?.request).toMatchObject({
    customer: 'trade',
    code: 'MOSS',
    channel: 'market',
  });
  typeAt('Customer group', 0, '');
  expect(selectTestOrders(store.getState())[0]?.request).not.toHaveProperty('customer');
});

test('a rate may be for some channels only, and an order from none is not offered it', () => {
  const store = demoStore();
  const [rate] = selectBook(store.getState()).rates.filter(({ id }) => id === 'parcel-maritimes');
  if (!rate) throw new Error('no rate');
  renderOver(
    store,
    <RateConditions
      rate={rate}
      onChange={(changes, what) => void store.dispatch(edit('setRate', { id: rate.id, changes }, what))}
    />,
  );
  typeAt('Only for orders from these channels, separated by commas', 0, 'market, shopfront');
  expect(previewOf(store).withheld.find(({ id }) => id === 'parcel-maritimes')?.code).toBe('channel');
});
