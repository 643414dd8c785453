import { act, fireEvent, screen, waitFor } from '@testing-library/react-native';
import { writeShopFile } from '../../../core/formats/shop-file.ts';
import { demoShop } from '../../state/demo-shop.ts';
import { edit, undone } from '../../state/draft.ts';
import { selectBook, selectPreview } from '../../state/selectors.ts';
import type { AppStore } from '../../state/store.ts';
import { readingOrders } from '../../state/storage-status.ts';
import { goTo } from '../../testing/router.ts';
import { demoStore, renderOver } from '../../testing/store.tsx';
import { fileName, openFile, saveFile } from '../../files/files.ts';
import SettingsScreen from './settings-screen.tsx';

jest.mock('../../files/files.ts', () => ({
  ...jest.requireActual<object>('../../files/files.ts'),
  saveFile: jest.fn(),
  openFile: jest.fn(),
}));

const saved = saveFile as jest.MockedFunction<typeof saveFile>;
const opened = openFile as jest.MockedFunction<typeof openFile>;
beforeEach(() => saved.mockClear());

const open = (part = 'store', store = demoStore()): AppStore => {
  goTo({ pathname: '/settings', params: { part } });
  renderOver(store, <SettingsScreen />);
  return store;
};
const storeOf = (store: AppStore) => selectBook(store.getState()).store;
const type = (label: string, text: string): void => {
  const field = screen.getByLabelText(label);
  fireEvent(field, 'focus');
  fireEvent.changeText(field, text);
  fireEvent(field, 'blur');
};
const choose = (label: string, text: string, name: string): void => {
  const field = screen.getByLabelText(label);
  fireEvent(field, 'focus');
  fireEvent.changeText(field, text);
  fireEvent.press(screen.getByLabelText(name));
};
const openText = async (text: string | null): Promise<void> => {
  opened.mockResolvedValueOnce({ name: 'shop.json', text });
  fireEvent.press(screen.getByText('Open a file'));
  await act(async () => {
    await jest.advanceTimersByTimeAsync(10);
  });
};

describe('what holds for the whole shop', () => {
  test('is its name, currency, time zone and units', () => {
    const store = open();
    type('Name of the shop', 'Kelp & Thistle');
    choose('Currency', 'yen', 'Japanese Yen');
    choose('Time zone', 'tokyo', 'Asia/Tokyo');
    fireEvent.press(screen.getByText('lb and in'));
    expect(storeOf(store)).toMatchObject({
      name: 'Kelp & Thistle',
      currency: 'JPY',
      timeZone: 'Asia/Tokyo',
      units: 'imperial',
    });
    const preview = selectPreview(store.getState());
    expect(preview?.ok && preview.quote.choices[0]?.working[0]?.text).toBe(
      'Weight 14 lb 1.75 oz, from 11 lb 0.37 oz: 1,550',
    );
  });

  test('is a handling on every charge, taken out when emptied', () => {
    const store = open();
    type('Handling on every charge', '1.30');
    fireEvent.press(screen.getByText('unit'));
    type('and % of the charge', '10');
    expect(storeOf(store).handling).toEqual({ amount: 130, points: 1_000, per: 'unit' });
    type('Handling on every charge', '');
    type('and % of the charge', '');
    expect(storeOf(store)).not.toHaveProperty('handling');
  });

  test('is how a basket becomes parcels, which prices per parcel count', () => {
    const store = open();
    fireEvent.press(screen.getByText('by weight'));
    type('A parcel weighs at most', '0');
    expect(screen.getByText('This must be more than 0. Kept: 20 kg')).toBeTruthy();
    type('A parcel weighs at most', '4 kg');
    expect(storeOf(store).packing).toEqual({ kind: 'by-weight', maxWeight: 4_000 });
    const preview = selectPreview(store.getState());
    expect(preview?.ok && preview.quote.parcels.map(({ weight }) => weight)).toEqual([3_200, 3_200]);
    fireEvent.press(screen.getByText('by count'));
    type('Units to a parcel', '1');
    expect(storeOf(store).packing).toEqual({ kind: 'by-count', maxUnits: 1 });
    fireEvent.press(screen.getByText('equal parcels'));
    expect(storeOf(store).packing).toEqual({ kind: 'even', maxWeight: 20_000 });
    fireEvent.press(screen.getByText('one parcel'));
    expect(storeOf(store).packing).toEqual({ kind: 'single' });
  });

  test('is a rounding, an assumed weight, tax and the order of choices', () => {
    const store = open();
    type('Round charges to', '0');
    expect(screen.getByText('This must be more than 0. Kept: nothing')).toBeTruthy();
    type('Round charges to', '0.25');
    fireEvent.press(screen.getByText('upwards'));
    expect(storeOf(store).rounding).toEqual({ to: 25, mode: 'up' });
    type('Round charges to', '');
    expect(storeOf(store).rounding).toBe('none');
    type('Weight where unknown', '750 g');
    expect(storeOf(store).defaultWeight).toBe(750);
    type('Weight where unknown', '');
    expect(storeOf(store)).not.toHaveProperty('defaultWeight');
    fireEvent.press(screen.getByText('cheapest first'));
    expect(storeOf(store)).toMatchObject({ choiceOrder: 'cheapest' });
  });
});

describe('the data of the shop', () => {
  test('goes out whole and in parts, under names that say what and when', async () => {
    open('data');
    await screen.findByText('Save the whole shop');
    jest.setSystemTime(new Date('2026-11-25T12:00:00Z'));
    for (const name of ['Save the whole shop', 'Save the book', 'Save the products'])
      fireEvent.press(screen.getByText(name));
    expect(saved.mock.calls.map(([name]) => name)).toEqual([
      'wrack-thistle-shop-2026-11-25.json',
      'wrack-thistle-book-2026-11-25.json',
      'wrack-thistle-goods-2026-11-25.json',
    ]);
    expect(JSON.parse(saved.mock.calls[0]?.[1] ?? '')).toMatchObject({
      format: 'emporos-shop',
      savedAt: '2026-11-25T12:00:00.000Z',
    });
    expect(fileName('№', 'shop', '2026-11-25')).toBe('shop-shop-2026-11-25.json');
  });

  test('is not saved as a whole before all its orders are read', async () => {
    const store = demoStore();
    store.dispatch(readingOrders(true));
    open('data', store);
    await screen.findByText('Save the whole shop');
    fireEvent.press(screen.getByText('Save the whole shop'));
    expect(saved).not.toHaveBeenCalled();
    act(() => void store.dispatch(readingOrders(false)));
    fireEvent.press(screen.getByText('Save the whole shop'));
    expect(saved).toHaveBeenCalledTimes(1);
  });

  test('comes in after a review, and one undo takes it back', async () => {
    const store = open('data');
    const shop = demoShop();
    const zones = shop.book.zones.map((zone) => (zone.id === 'west' ? { ...zone, name: 'Prairies' } : zone));
    await openText(
      writeShopFile({ ...shop, book: { ...shop.book, zones } }, [], '2026-11-25T09:00:00-04:00'),
    );
    expect(screen.getByText('shop.json holds a whole shop')).toBeTruthy();
    expect(screen.getByText(/What is here was never changed on this device/)).toBeTruthy();
    expect(screen.getByText(/zones.*1 changed: Prairies/)).toBeTruthy();
    expect(selectBook(store.getState()).zones[3]?.name).toBe('West');
    fireEvent.press(screen.getByText('Import into the draft'));
    expect(selectBook(store.getState()).zones[3]?.name).toBe('Prairies');
    act(() => void store.dispatch(undone()));
    expect(selectBook(store.getState()).zones[3]?.name).toBe('West');
  });

  test('that is the same, or is left, changes nothing', async () => {
    const store = open('data');
    await openText(writeShopFile(demoShop(), [], '2026-11-25T09:00:00-04:00'));
    expect(screen.getByText('It is the same as what is here.')).toBeTruthy();
    fireEvent.press(screen.getByText('Cancel'));
    expect(screen.queryByText('It is the same as what is here.')).toBeNull();
    expect(store.getState().draft.past).toEqual([]);
  });

  test('that differs in one adjustment alone can be looked at and taken', async () => {
    const store = open('data');
    const shop = demoShop();
    const [first, ...others] = shop.book.adjustments;
    const adjustments = [{ ...first!, active: !first!.active }, ...others];
    await openText(
      writeShopFile({ ...shop, book: { ...shop.book, adjustments } }, [], '2026-11-25T09:00:00-04:00'),
    );
    expect(screen.queryByText('It is the same as what is here.')).toBeNull();
    expect(screen.getByText(`adjustments 1 changed: ${first!.name}`)).toBeTruthy();
    fireEvent.press(screen.getByText('Show each change'));
    expect(screen.getByText(`“${first!.name}”: is switched off.`)).toBeTruthy();
    fireEvent.press(screen.getByText('Import into the draft'));
    expect(selectBook(store.getState()).adjustments[0]?.active).toBe(!first!.active);
  });

  test('that is faulty is refused with its places, and one too large is told', async () => {
    const store = open('data');
    await openText('{"format": "emporos-book", "version": 1}');
    expect(screen.getByText('shop.json was not imported; nothing here has changed')).toBeTruthy();
    expect(screen.getByText('store: This is missing.')).toBeTruthy();
    fireEvent.press(screen.getByText('Close'));
    await openText(null);
    expect(store.getState().session.message?.text).toBe('shop.json is larger than 200 MB and was not read.');
    expect(store.getState().draft.past).toEqual([]);
  });

  test('goes back to the demo', async () => {
    const store = demoStore();
    store.dispatch(edit('setStore', { changes: { name: 'Other' } }, 'name'));
    open('data', store);
    fireEvent.press(screen.getByText('Back to the demo'));
    await waitFor(() => expect(store.getState().draft.workbook).toEqual(demoShop()));
    expect(store.getState().session.message).toEqual({ text: 'Back to the demo shop.', undo: true });
  });
});
