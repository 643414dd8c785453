import { act, fireEvent, screen } from '@testing-library/react-native';
import type { PastOrder } from '../../../core/model/order.ts';
import { undone } from '../../state/draft.ts';
import { orderPlaced } from '../../state/orders.ts';
import { selectBook, selectPreview, selectTestOrder } from '../../state/selectors.ts';
import type { AppStore } from '../../state/store.ts';
import { goTo } from '../../testing/router.ts';
import { demoStore, renderOver, placesAtHand } from '../../testing/store.tsx';
import SettingsScreen from './settings-screen.tsx';

beforeAll(placesAtHand);

const open = (part: string, store = demoStore()): AppStore => {
  goTo({ pathname: '/settings', params: { part } });
  renderOver(store, <SettingsScreen />);
  return store;
};
const type = (label: string, text: string): void => {
  const field = screen.getByLabelText(label);
  fireEvent(field, 'focus');
  fireEvent.changeText(field, text);
  fireEvent(field, 'blur');
};
const locations = (store: AppStore) => selectBook(store.getState()).locations;
const arrival = (store: AppStore) => {
  const preview = selectPreview(store.getState());
  return preview?.ok ? preview.quote.choices[0]?.arrives : undefined;
};

describe('the locations', () => {
  test('have hours and closed dates that move the day of arrival', () => {
    const store = open('locations');
    expect(screen.getByText('orders are sent from here · open 6 days a week')).toBeTruthy();
    fireEvent.press(screen.getByText('The Nursery'));
    const before = arrival(store);
    type('Open on Tuesday', '');
    type('Open on Wednesday', '10am to 2pm, 3pm-5pm');
    expect(locations(store)[0]?.hours).toContainEqual({ day: 3, from: '15:00', to: '17:00' });
    expect(arrival(store)).not.toEqual(before);
    type(
      'Closed on: dates such as 2026-12-25, ranges such as 2026-12-24 to 2026-12-26',
      '2026-12-24 to 2026-12-26',
    );
    expect(locations(store)[0]?.closedDates).toEqual(['2026-12-24', '2026-12-25', '2026-12-26']);
  });

  test('take Monday’s hours over to other days', () => {
    const store = open('locations');
    fireEvent.press(screen.getByText('The Nursery'));
    type('Open on Monday', '10-12, 13-16');
    fireEvent.press(screen.getByText('Monday’s hours to Friday'));
    const days = () => (locations(store)[0]?.hours ?? []).map(({ day, from, to }) => `${day} ${from} ${to}`);
    expect(days().slice(0, 4)).toEqual(['1 10:00 12:00', '1 13:00 16:00', '2 10:00 12:00', '2 13:00 16:00']);
    expect(days().slice(-1)).toEqual(['6 09:00 17:30']);
    fireEvent.press(screen.getByText('Monday’s hours every day'));
    expect(days()).toHaveLength(14);
    expect(days().at(-1)).toBe('7 13:00 16:00');
  });

  test('keep the last sound hours where what is typed cannot be read', () => {
    const store = open('locations');
    const before = locations(store);
    fireEvent.press(screen.getByText('The Nursery'));
    type('Open on Monday', '17-9');
    expect(screen.getByText('“17-9” ends before it begins. Kept: 09:00–17:30')).toBeTruthy();
    expect(locations(store)).toBe(before);
  });

  test('say when orders are ready, in each of the ways', () => {
    const store = open('locations');
    fireEvent.press(screen.getByText('The Nursery'));
    type('Cut-off', '11:30');
    expect(locations(store)[0]?.preparation).toMatchObject({ kind: 'cut-off', cutoff: '11:30' });
    fireEvent.press(screen.getByText('after days'));
    type('Open days', '3');
    expect(locations(store)[0]?.preparation).toEqual({ kind: 'working-days', days: 3 });
    fireEvent.press(screen.getByText('after minutes'));
    type('Minutes', '90');
    expect(locations(store)[0]?.preparation).toEqual({ kind: 'open-minutes', minutes: 90 });
    fireEvent.press(screen.getByText('the same day'));
    expect(locations(store)[0]).not.toHaveProperty('preparation');
  });

  test('are added, moved to the front, removed, and brought back', () => {
    const store = open('locations');
    fireEvent.press(screen.getByText('Add a location'));
    fireEvent.press(screen.getByText('New location'));
    type('Location', 'Cold store');
    type('Street and number', '2 Quay Side');
    type('Town', 'Lunenburg');
    fireEvent.press(screen.getByText('Send orders from here'));
    expect(locations(store)[0]).toMatchObject({
      name: 'Cold store',
      address: { country: 'CA', city: 'Lunenburg', lines: ['2 Quay Side'] },
    });
    fireEvent.press(screen.getByText('Remove the location'));
    expect(locations(store).map(({ id }) => id)).toEqual(['nursery', 'market-stall']);
    act(() => void store.dispatch(undone()));
    expect(locations(store)).toHaveLength(3);
  });
});

describe('the taxes', () => {
  const taxesOf = (store: AppStore) => selectBook(store.getState()).taxes;

  test('are added for the shop’s own country, at nothing until a percentage is written', () => {
    const store = open('taxes');
    const count = taxesOf(store).length;
    fireEvent.press(screen.getByText('Add a tax'));
    expect(taxesOf(store)).toHaveLength(count + 1);
    expect(taxesOf(store).at(-1)).toMatchObject({ name: 'Tax', region: { country: 'CA' }, points: 0 });
  });

  test('are changed in place, refuse what is no place, and are removed', () => {
    const store = open('taxes');
    for (const tax of taxesOf(store).slice(1))
      fireEvent.press(screen.getByLabelText(new RegExp(`^Remove ${tax.name}, ${tax.region.subdivision}`)));
    expect(taxesOf(store).map(({ id }) => id)).toEqual(['tax-ca']);
    type('%', '6.5');
    type('Where', 'CA-NS, CA-NB');
    expect(screen.getByText(/Write one place: CA, CA-NS/)).toBeTruthy();
    type('Where', 'ca: b2g*');
    fireEvent.press(screen.getByText('charges'));
    expect(taxesOf(store)[0]).toMatchObject({
      points: 650,
      region: { country: 'CA', postal: ['B2G*'] },
      on: 'charges',
    });
    const preview = selectPreview(store.getState());
    expect(preview?.ok && preview.quote.choices[0]?.tax).toBe(112);
    fireEvent.press(screen.getByLabelText('Prices and charges include tax'));
    expect(selectBook(store.getState()).store.pricesIncludeTax).toBe(true);
  });
});

test('the orders stand newest first, and each can be kept as a test order', () => {
  const store = demoStore();
  const order = (number: string, at: string): PastOrder => ({
    number,
    request: {
      destination: { country: 'CA', postalCode: 'B2G 2L2', city: 'Antigonish' },
      lines: [{ sku: 'pot-26', quantity: 2 }],
      placedAt: at,
    },
    chosen: { id: 'parcel-maritimes', kind: 'shipping', name: 'Parcel', charge: 1_730, total: 1_972 },
    status: 'placed',
    history: [{ status: 'placed', at }],
    recipient: 'Ines Varga',
    sums: { goods: 6_400, taxes: 1_139, total: 9_269 },
  });
  open('orders', store);
  expect(screen.getByText(/Orders placed in the shopfront are listed here/)).toBeTruthy();
  for (const one of [order('1001', '2026-11-20T10:00:00Z'), order('1002', '2026-11-21T10:00:00Z')])
    act(() => void store.dispatch(orderPlaced(one)));
  expect(screen.getAllByLabelText(/^Order /).map(({ props }) => String(props['aria-label']))).toEqual([
    'Order 1002',
    'Order 1001',
  ]);
  fireEvent.press(screen.getByLabelText('More about order 1002'));
  expect(screen.getByText('products 64.00 · Parcel 17.30 · taxes 11.39 · total 92.69')).toBeTruthy();
  expect(screen.getByText('B2G 2L2, Antigonish')).toBeTruthy();
  expect(screen.getByText('2 ×')).toBeTruthy();
  fireEvent.press(screen.getByText('Keep as a test order'));
  expect(selectTestOrder(store.getState()).testOrder?.name).toBe('Order 1002');
});
