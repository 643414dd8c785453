import { act, fireEvent, screen } from '@testing-library/react-native';
import { localMoment } from '../../core/time/local-moment.ts';
import { selectPreview, selectTestOrder, selectTestOrders } from '../state/selectors.ts';
import { undone } from '../state/draft.ts';
import type { AppStore } from '../state/store.ts';
import { demoStore, renderOver, placesAtHand } from '../testing/store.tsx';
import { Preview } from './preview.tsx';
import { PreviewStrip } from './preview-strip.tsx';

/** The preview with its test order being changed, once the names of the world's places are there. */
beforeAll(placesAtHand);

const open = async (): Promise<AppStore> => {
  const store = demoStore();
  renderOver(store, <Preview />);
  fireEvent.press(screen.getByText('Change the test order'));
  await act(async () => {
    await jest.advanceTimersByTimeAsync(10);
  });
  return store;
};
const request = (store: AppStore) => selectTestOrder(store.getState()).testOrder?.request;
const type = (label: string, text: string): void => {
  const field = screen.getByLabelText(label);
  fireEvent(field, 'focus');
  fireEvent.changeText(field, text);
  fireEvent(field, 'blur');
};

describe('the place of a test order', () => {
  test('is typed, and the preview follows', async () => {
    const store = await open();
    type('Postal code', 'B3J 1S9');
    type('Town', 'Halifax');
    expect(request(store)?.destination).toEqual({
      country: 'CA',
      subdivision: 'CA-NS',
      postalCode: 'B3J 1S9',
      city: 'Halifax',
      point: { lat: 44.641, lng: -63.5682 },
    });
  });

  test('is a country and its part, found by name', async () => {
    const store = await open();
    const country = screen.getByLabelText('Country');
    fireEvent(country, 'focus');
    fireEvent.changeText(country, 'united st');
    fireEvent.press(await screen.findByLabelText('United States'));
    expect(request(store)?.destination).toEqual({ country: 'US', postalCode: 'B2G 2L2', city: 'Antigonish' });
    const state = await screen.findByLabelText('Province or state');
    fireEvent(state, 'focus');
    fireEvent.changeText(state, 'alaska');
    fireEvent.press(screen.getByLabelText('Alaska'));
    expect(request(store)?.destination?.subdivision).toBe('US-AK');
    expect(screen.getByText('zone Everywhere else, as no other zone includes it')).toBeTruthy();
  });

  test('may not be known yet', async () => {
    const store = await open();
    fireEvent.press(screen.getByText('Without an address'));
    expect(request(store)?.destination).toBeNull();
    fireEvent.press(screen.getByText('Not offered, 7'));
    expect(screen.getAllByText('Needs to know where the order goes.')).toHaveLength(7);
    expect(screen.getByText('Collect at the Nursery')).toBeTruthy();
    fireEvent.press(screen.getByText('Give it an address'));
    expect(request(store)?.destination).toEqual({ country: 'CA' });
  });

  test('that matches nothing says so', async () => {
    await open();
    const country = screen.getByLabelText('Country');
    fireEvent(country, 'focus');
    fireEvent.changeText(country, 'atlantis');
    expect(await screen.findByText('Nothing matches “atlantis”.')).toBeTruthy();
  });
});

describe('the basket of a test order', () => {
  test('takes goods by name, once more where they are there, and lets them go', async () => {
    const store = await open();
    const add = (text: string, name: string): void => {
      const field = screen.getByLabelText('Add a product');
      fireEvent(field, 'focus');
      fireEvent.changeText(field, text);
      fireEvent.press(screen.getByLabelText(name));
    };
    add('lupin', 'Lupin seeds');
    add('lupin', 'Lupin seeds');
    expect(request(store)?.lines).toEqual([
      { sku: 'pot-26', quantity: 2 },
      { sku: 'seed-lupin', quantity: 2 },
    ]);
    fireEvent.press(screen.getByLabelText('Remove Glazed pot, 26 cm'));
    expect(request(store)?.lines).toEqual([{ sku: 'seed-lupin', quantity: 2 }]);
    expect(screen.getByLabelText('Remove Lupin seeds').props.accessibilityState.disabled).toBe(true);
  });

  test('has whole quantities, and a discount that may be taken away', async () => {
    const store = await open();
    type('How many: Glazed pot, 26 cm', '0');
    expect(screen.getByText('Write a whole number from 1 to 99999. Kept: 2')).toBeTruthy();
    type('How many: Glazed pot, 26 cm', '3');
    type('Discount', '10');
    const preview = selectPreview(store.getState());
    expect(preview?.ok && preview.quote.subtotal).toBe(3 * 3_550 - 1_000);
    type('Discount', '');
    expect(request(store)?.discount).toBeUndefined();
  });
});

describe('the moment of a test order', () => {
  test('is a date and a time in the store’s zone', async () => {
    const store = await open();
    type('Placed on', '2026-07-01');
    expect(request(store)?.placedAt).toBe('2026-07-01T10:15:00-03:00');
    type('at', '23:30');
    expect(request(store)?.placedAt).toBe('2026-07-01T23:30:00-03:00');
    type('Placed on', '2026-02-30');
    expect(screen.getByText('Write a date, such as 2026-11-24. Kept: 2026-07-01')).toBeTruthy();
  });

  test('may be now', async () => {
    jest.setSystemTime(new Date('2026-12-24T15:00:00Z'));
    const store = await open();
    fireEvent.press(screen.getByText('Now'));
    expect(localMoment(request(store)?.placedAt ?? '', 'America/Halifax')).toEqual({
      date: '2026-12-24',
      time: '11:00',
    });
  });
});

describe('the test orders', () => {
  test('are walked round at both ends', () => {
    const store = demoStore();
    renderOver(store, <Preview />);
    fireEvent.press(screen.getByLabelText('Last test order'));
    expect(selectTestOrder(store.getState())).toMatchObject({ at: 19, testOrder: { name: 'A gift card' } });
    expect(screen.getByText('Nothing travels')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Next test order'));
    expect(selectTestOrder(store.getState()).at).toBe(0);
  });

  test('are kept as new ones, renamed, and removed with a way back', async () => {
    const store = demoStore();
    renderOver(store, <Preview />);
    fireEvent.press(screen.getByText('Keep as a new test order'));
    await act(async () => {
      await jest.advanceTimersByTimeAsync(10);
    });
    expect(screen.getByText('Test order 2 of 21')).toBeTruthy();
    type('Test order', '  ');
    expect(screen.getByText('A name is needed. Kept: Two pots to Antigonish, again')).toBeTruthy();
    type('Test order', 'Again');
    expect(selectTestOrders(store.getState())[1]).toMatchObject({ name: 'Again', expects: [] });
    fireEvent.press(screen.getByText('Remove'));
    expect(selectTestOrders(store.getState())).toHaveLength(20);
    expect(store.getState().session.message).toEqual({ text: 'Removed the test order “Again”.', undo: true });
    act(() => void store.dispatch(undone()));
    expect(selectTestOrders(store.getState())).toHaveLength(21);
  });
});

describe('the strip', () => {
  test('says place, basket and the first charge, and opens the preview', () => {
    const store = demoStore();
    renderOver(store, <PreviewStrip />);
    expect(screen.getByText('B2G 2L2 · 2 items, 6.4 kg')).toBeTruthy();
    expect(screen.getByText('Parcel · 4 choices')).toBeTruthy();
    fireEvent.press(screen.getByLabelText('Open the preview of Two pots to Antigonish'));
    expect(store.getState().session.previewOpen).toBe(true);
  });
});
