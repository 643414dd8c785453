import { act, fireEvent, screen, waitFor, within } from '@testing-library/react-native';
import { demoEditionCame } from '../../state/editions.ts';
import { demoEdition, demoOpenOrders, demoPastOrders } from '../../state/demo-orders.ts';
import { demoShop } from '../../state/demo-shop.ts';
import { demoOrdersCame } from '../../state/orders.ts';
import { selectPastOrders } from '../../state/selectors.ts';
import type { AppStore } from '../../state/store.ts';
import { goTo } from '../../testing/router.ts';
import { demoStore, renderOver } from '../../testing/store.tsx';
import { bookShipment, cancelShipment } from '../../carriers/shipments.ts';
import TodayScreen from './today-screen.tsx';

jest.mock('../../carriers/shipments.ts', () => ({
  bookShipment: jest.fn(),
  cancelShipment: jest.fn(),
  openLabel: jest.fn(),
}));
jest.mock('../check/check-parts.ts', () => ({ CheckSummary: () => null }));
jest.setTimeout(60_000);

/** A Friday morning, in Halifax. */
const NOW = '2026-11-27T12:30:00Z';

const open = async (): Promise<AppStore> => {
  jest.setSystemTime(new Date(NOW));
  goTo('/today');
  const store = demoStore();
  store.dispatch(demoOrdersCame([...(await demoPastOrders(NOW)), ...demoOpenOrders(NOW, demoShop())]));
  store.dispatch(demoEditionCame(demoEdition(NOW, demoShop())));
  renderOver(store, <TodayScreen />);
  await act(async () => {
    await jest.advanceTimersByTimeAsync(50);
  });
  return store;
};
const row = (number: string) => within(screen.getByLabelText(`Order ${number}`));
const statusOf = (store: AppStore, number: string): string | undefined =>
  selectPastOrders(store.getState()).find((order) => order.number === number)?.status;
const unfold = (number: string): void => {
  const [fold] = row(number).getAllByRole('button');
  if (fold) fireEvent.press(fold);
};

describe('orders to hand over', () => {
  test('stand by the day they are due, with what is late', async () => {
    await open();
    expect(screen.getByText(/^Fri 27 Nov, 08:30\. 13 orders to hand over/)).toBeTruthy();
    expect(screen.getAllByText('Today')).toHaveLength(2);
    expect(row('995').getByText('ready to collect')).toBeTruthy();
    expect(screen.getAllByText(/^late: /).length).toBeGreaterThan(0);
  });

  test('go on step by step, and a step is undone by one of its own', async () => {
    const store = await open();
    fireEvent.press(row('989').getByLabelText('Pack: order 989'));
    expect(statusOf(store, '989')).toBe('packed');
    fireEvent.press(row('989').getByLabelText('Send out: order 989'));
    expect(statusOf(store, '989')).toBe('on-its-way');
    unfold('989');
    fireEvent.press(row('989').getByText('Undo the last step'));
    expect(statusOf(store, '989')).toBe('packed');
    const kept = store.getState().orders.find(({ number }) => number === '989');
    expect(kept?.history.map(({ status }) => status)).toEqual(['placed', 'packed', 'on-its-way', 'packed']);
    expect(store.getState().session.message?.text).toBe('Order 989 is packed again.');
  });

  test('are gone once they are handed over or cancelled', async () => {
    const store = await open();
    fireEvent.press(row('995').getByLabelText('Hand over: order 995'));
    expect(screen.queryByLabelText('Order 995')).toBeNull();
    unfold('990');
    fireEvent.press(row('990').getByText('Cancel the order'));
    fireEvent.press(row('990').getByText('Keep it'));
    expect(statusOf(store, '990')).toBe('placed');
    fireEvent.press(row('990').getByText('Cancel the order'));
    fireEvent.press(row('990').getByText('Yes, cancel it'));
    expect(statusOf(store, '990')).toBe('cancelled');
    expect(screen.getByText(/11 orders to hand over/)).toBeTruthy();
  });

  test('of one location are shown alone', async () => {
    await open();
    fireEvent.press(screen.getByText('Market Stall'));
    expect(screen.getByLabelText('Order 997')).toBeTruthy();
    expect(screen.queryByLabelText('Order 989')).toBeNull();
  });

  test('are booked with the carrier of their account, and the booking cancelled', async () => {
    const store = await open();
    const shipment = {
      carrier: 'fulmar',
      tracking: 'TE00000000017',
      reference: '999',
      service: { code: 'two-day', name: 'Two-day' },
      sandbox: false,
      amount: 2_210,
      currency: 'CAD',
      parcels: [900],
      from: { country: 'CA' },
      to: { country: 'CA' },
      bookedAt: NOW,
      shipDate: '2026-11-27',
      due: '2026-12-01',
    };
    jest.mocked(bookShipment).mockResolvedValue({ ok: true, shipment });
    jest.mocked(cancelShipment).mockResolvedValue({ ok: true, shipment });
    fireEvent.press(row('999').getByLabelText('Pack: order 999'));
    fireEvent.press(row('999').getByLabelText('Book: order 999'));
    await waitFor(() => expect(statusOf(store, '999')).toBe('booked'));
    const booked = store.getState().orders.find(({ number }) => number === '999');
    expect(booked).toMatchObject({ cost: 2_210, shipment: { tracking: 'TE00000000017' } });
    unfold('999');
    expect(row('999').getByText('Tracking number TE00000000017.')).toBeTruthy();
    fireEvent.press(row('999').getByText('Cancel the shipment'));
    await waitFor(() => expect(statusOf(store, '999')).toBe('packed'));
    expect(store.getState().orders.find(({ number }) => number === '999')?.shipment).toBeUndefined();
  });

  test('whose carrier refuses stay packed, and it is said why', async () => {
    const store = await open();
    jest.mocked(bookShipment).mockResolvedValue({ ok: false, text: 'the account is closed' });
    fireEvent.press(row('999').getByLabelText('Pack: order 999'));
    fireEvent.press(row('999').getByLabelText('Book: order 999'));
    await waitFor(() =>
      expect(store.getState().session.message?.text).toBe('Order 999 was not booked: the account is closed.'),
    );
    expect(statusOf(store, '999')).toBe('packed');
  });
});

test('the round of the first day with deliveries has its stops and its length', async () => {
  await open();
  expect(screen.getByText('The round from The Nursery')).toBeTruthy();
  expect(screen.getByText(/^3 stops, [\d.]+ km there and back as the crow flies\./)).toBeTruthy();
  const stops = within(screen.getByLabelText('Stops of the round from The Nursery'));
  expect(stops.getAllByText(/^9\d\d /)).toHaveLength(3);
});
