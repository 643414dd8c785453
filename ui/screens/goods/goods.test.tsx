import { act, fireEvent, screen, waitFor, within } from '@testing-library/react-native';
import { gapsOf } from '../../../core/goods/gaps.ts';
import type { Good } from '../../../core/model/good.ts';
import { parseCsv } from '../../files/csv.ts';
import { saveParts } from '../../files/files.ts';
import { chooseRows } from '../../list-import/read-rows.ts';
import { undone } from '../../state/draft.ts';
import { selectCatalogue, selectTestOrders } from '../../state/selectors.ts';
import type { AppStore } from '../../state/store.ts';
import { goTo } from '../../testing/router.ts';
import { demoStore, renderOver } from '../../testing/store.tsx';
import { cellText, cellWords, readCellText } from './goods-columns.ts';
import { rowPlace } from './goods-layout.ts';
import GoodsScreen from './goods-screen.tsx';
import { cellAfter } from './use-grid.ts';

jest.mock('../../files/files.ts', () => ({
  ...jest.requireActual<object>('../../files/files.ts'),
  saveParts: jest.fn(),
}));
jest.mock('../../list-import/read-rows.ts', () => ({ chooseRows: jest.fn() }));
let mockWidth: 'phone' | 'wide' = 'wide';
jest.mock('../../parts/use-width.ts', () => ({ useWidth: () => mockWidth }));

const saved = saveParts as jest.MockedFunction<typeof saveParts>;
const chosen = chooseRows as jest.MockedFunction<typeof chooseRows>;

const open = (params: Record<string, string> = {}, width: 'phone' | 'wide' = 'wide'): AppStore => {
  mockWidth = width;
  goTo({ pathname: '/goods', params });
  const store = demoStore();
  renderOver(store, <GoodsScreen />);
  return store;
};
const goodsOf = (store: AppStore): Good[] => selectCatalogue(store.getState()).goods;
const goodOf = (store: AppStore, sku: string): Good | undefined =>
  goodsOf(store).find((good) => good.sku === sku);
const type = (label: string, text: string): void => {
  const field = screen.getByLabelText(label);
  fireEvent(field, 'focus');
  fireEvent.changeText(field, text);
  fireEvent(field, 'blur');
};
const openCsv = async (text: string | null): Promise<void> => {
  chosen.mockResolvedValueOnce(
    text === null
      ? { ok: false, name: 'stock.csv', why: 'it is larger than 200 MB.' }
      : { ok: true, name: 'stock.csv', ...parseCsv(text), isSheet: false },
  );
  fireEvent.press(screen.getByText('Open a CSV or spreadsheet'));
  await act(async () => {
    await jest.advanceTimersByTimeAsync(10);
  });
};

describe('the table', () => {
  test('finds, and shows only what lacks something', () => {
    const store = open();
    const lacking = goodsOf(store).filter((good) => gapsOf(good).length > 0);
    fireEvent.press(screen.getByText(`${lacking.length} incomplete`));
    for (const { name } of lacking) expect(screen.getByLabelText(`Choose ${name}`)).toBeTruthy();
    expect(screen.queryByLabelText('Choose Lupin seeds')).toBeNull();
    fireEvent.press(screen.getByText(/^all/));
    fireEvent.changeText(screen.getByLabelText('Find products'), 'lupin');
    expect(screen.getByText('1 product shown')).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('Find products'), 'nothing like it');
    expect(screen.getByText('No product matches.')).toBeTruthy();
  });

  test('is edited where it stands, and a good that lacks nothing any more stays in sight', () => {
    const store = open();
    const lacking = goodsOf(store).find((good) => gapsOf(good).includes('weight'))!;
    fireEvent.press(screen.getByText(/incomplete$/));
    fireEvent.press(screen.getByLabelText('Weight: missing'));
    type(`Weight of ${lacking.name}`, '2.5kg');
    expect(goodOf(store, lacking.sku)?.weight).toBe(2_500);
    expect(screen.getByLabelText(`Choose ${lacking.name}`)).toBeTruthy();
    act(() => void store.dispatch(undone()));
    expect(goodOf(store, lacking.sku)?.weight).toBeUndefined();
  });

  test('a cell left half-typed keeps its value and says so', () => {
    const store = open();
    fireEvent.press(screen.getByLabelText('Price: 3.75'));
    type('Price of Lupin seeds', 'four');
    expect(goodOf(store, 'seed-lupin')?.price).toBe(375);
    expect(store.getState().session.message?.text).toContain('Kept: 3.75');
  });

  test('sorts by a column, the other way round, and then as listed', () => {
    open();
    const first = (): string =>
      screen.getAllByLabelText(/^Choose /)[1]?.props.accessibilityLabel ??
      screen.getAllByLabelText(/^Choose /)[1]?.props['aria-label'];
    const listed = first();
    fireEvent.press(screen.getByLabelText('Sort by price'));
    fireEvent.press(screen.getByLabelText('Sort by price'));
    expect(first()).not.toBe(listed);
    fireEvent.press(screen.getByLabelText('Sort by price'));
    expect(first()).toBe(listed);
  });
});

describe('many goods at once', () => {
  const choose = (...names: string[]): void => {
    for (const name of names) fireEvent.press(screen.getByLabelText(`Choose ${name}`), { nativeEvent: {} });
  };

  test('get one weight, in one step of undo', () => {
    const store = open();
    choose('Lupin seeds', 'Foxglove seeds');
    fireEvent.press(within(screen.getByLabelText('Chosen products')).getByText('Weight'));
    fireEvent.changeText(screen.getByLabelText('Weight of each'), 'light');
    fireEvent.press(screen.getByText('Set it'));
    expect(screen.getByText('Write a weight, such as 3.2 kg.')).toBeTruthy();
    fireEvent.changeText(screen.getByLabelText('Weight of each'), '15 g');
    fireEvent.press(screen.getByText('Set it'));
    expect([goodOf(store, 'seed-lupin')?.weight, goodOf(store, 'seed-foxglove')?.weight]).toEqual([15, 15]);
    act(() => void store.dispatch(undone()));
    expect([goodOf(store, 'seed-lupin')?.weight, goodOf(store, 'seed-foxglove')?.weight]).toEqual([12, 12]);
  });

  test('are raised, marked, and removed together', async () => {
    const store = open();
    choose('Lupin seeds', 'Foxglove seeds');
    fireEvent.press(screen.getByText('Prices'));
    fireEvent.changeText(await screen.findByLabelText('By how many %'), '10');
    fireEvent.press(screen.getByText('Change 2 products'));
    await act(async () => {
      await jest.advanceTimersByTimeAsync(10);
    });
    expect([goodOf(store, 'seed-lupin')?.price, goodOf(store, 'seed-foxglove')?.price]).toEqual([415, 395]);
    fireEvent.press(screen.getByText('How they travel'));
    fireEvent.press(screen.getByText('kept upright'));
    expect(goodOf(store, 'seed-lupin')?.keepUpright).toBe(true);
    const before = goodsOf(store).length;
    fireEvent.press(screen.getByText('Remove'));
    expect(goodsOf(store)).toHaveLength(before - 2);
  });

  test('all that are shown are chosen at once, and none again', () => {
    const store = open();
    fireEvent.changeText(screen.getByLabelText('Find products'), 'seeds');
    fireEvent.press(screen.getByLabelText('Choose all that are shown'));
    const seeds = goodsOf(store).filter(({ name }) => name.includes('seeds')).length;
    expect(screen.getByText(`${seeds} products chosen`)).toBeTruthy();
    fireEvent.press(screen.getByText('Deselect all'));
    expect(screen.queryByText(/chosen/)).toBeNull();
  });
});

describe('one good', () => {
  test('opens as a page on a phone, with all that is known of it', () => {
    const store = open({ good: 'seed-lupin' }, 'phone');
    expect(screen.getByRole('heading', { name: 'Lupin seeds' })).toBeTruthy();
    type('HS code', '120999');
    type('Extra fee per order line', '1.25');
    fireEvent.press(screen.getByLabelText('Packs alone'));
    expect(goodOf(store, 'seed-lupin')).toMatchObject({ hsCode: '120999', onceFee: 125, packsAlone: true });
    fireEvent.press(screen.getByText('digital'));
    expect(screen.queryByLabelText('Weight')).toBeNull();
  });

  test('takes another stock number, which test orders follow and nobody else may have', () => {
    const store = open({}, 'phone');
    const sku = selectTestOrders(store.getState())[0]!.request.lines[0]!.sku;
    act(() => goTo({ pathname: '/goods', params: { good: sku } }));
    type('Stock number', 'seed-lupin');
    expect(screen.getByText(/Lupin seeds has this number/)).toBeTruthy();
    type('Stock number', 'pot-new');
    expect(goodOf(store, 'pot-new')).toBeTruthy();
    expect(selectTestOrders(store.getState())[0]?.request.lines[0]?.sku).toBe('pot-new');
  });

  test('that is removed says which test orders named it', () => {
    const store = open({}, 'phone');
    const sku = selectTestOrders(store.getState())[0]!.request.lines[0]!.sku;
    const { name } = goodOf(store, sku)!;
    act(() => goTo({ pathname: '/goods', params: { good: sku } }));
    fireEvent.press(screen.getByText(`Remove ${name}`));
    expect(goodOf(store, sku)).toBeUndefined();
    expect(store.getState().session.message?.text).toMatch(/named it and cannot be used now/);
  });

  test('is added with its faults said, and stands first', async () => {
    const store = open();
    fireEvent.press(screen.getByText('Add a product'));
    const fill = (label: string, text: string): void =>
      fireEvent.changeText(screen.getByLabelText(label), text);
    const submit = () =>
      act(async () => {
        fireEvent.press(screen.getByText('Add the product'));
        await jest.advanceTimersByTimeAsync(10);
      });
    await screen.findByText('Add the product');
    fill('Its stock number', 'seed-lupin');
    fill('Its price', 'dear');
    await submit();
    expect(screen.getByText('Lupin seeds has this number.')).toBeTruthy();
    expect(screen.getByText('Write an amount, such as 12.50.')).toBeTruthy();
    fill('Name of the new product', 'Saucer');
    fill('Its stock number', 'saucer-9');
    fill('Its price', '12.50');
    fill('Its size', '18x18x3');
    await submit();
    expect(goodsOf(store)[0]).toEqual({
      sku: 'saucer-9',
      name: 'Saucer',
      price: 1_250,
      fulfilment: 'physical',
      size: { length: 180, width: 180, height: 30 },
    });
  });
});

describe('a CSV', () => {
  test('is written and read back as the same goods', async () => {
    const store = open();
    const before = goodsOf(store);
    fireEvent.press(screen.getByText('Save as CSV'));
    await waitFor(() => expect(saved).toHaveBeenCalled());
    const [name, parts] = saved.mock.calls.at(-1)!;
    expect(name).toMatch(/-goods-.*\.csv$/);
    await openCsv(parts.join(''));
    expect(screen.getByText('Nothing would change.')).toBeTruthy();
    expect(goodsOf(store)).toBe(before);
  });

  test('says its faults by row and column, and takes the sound rows once told to', async () => {
    const store = open();
    await openCsv(
      'SKU;Name;Price;Weight (lb)\nseed-lupin;Lupin seeds;3,75;2\nbad;Bad;free;1\nnew;New one;8.00;1 lb 4 oz\n',
    );
    expect(screen.getByText(/^row 3, Price: “free” was not understood/)).toBeTruthy();
    expect(goodOf(store, 'seed-lupin')?.weight).toBe(12);
    fireEvent.press(screen.getByText('Import 2 rows without faults'));
    expect(goodOf(store, 'seed-lupin')?.weight).toBe(907.18474);
    expect(goodOf(store, 'new')).toMatchObject({ price: 800, weight: 566.9904625 });
    expect(goodOf(store, 'bad')).toBeUndefined();
    act(() => void store.dispatch(undone()));
    expect(goodOf(store, 'new')).toBeUndefined();
  });

  test('has its columns taken for what the person says, with the unit of bare figures', async () => {
    const store = open();
    await openCsv('Number,What,Heavy\nseed-lupin,Blue lupin,14\n');
    expect(screen.getByText(/No column is “Stock number”/)).toBeTruthy();
    const take = (heading: string, text: string, name: string): void => {
      const field = screen.getByLabelText(`“${heading}” is`);
      fireEvent(field, 'focus');
      fireEvent.changeText(field, text);
      fireEvent.press(within(screen.getByLabelText(`“${heading}” is: what matches`)).getByLabelText(name));
    };
    take('Number', 'stock', 'Stock number');
    take('Heavy', 'weig', 'Weight');
    fireEvent.press(screen.getByText('g'));
    fireEvent.press(screen.getByText('Import into the draft'));
    expect(goodOf(store, 'seed-lupin')).toMatchObject({ name: 'Lupin seeds', weight: 14 });
  });

  test('that lacks goods takes them out only where that is chosen', async () => {
    const store = open();
    await openCsv('sku\nseed-lupin\n');
    expect(screen.getByText('Nothing would change.')).toBeTruthy();
    fireEvent.press(screen.getByText('are removed'));
    fireEvent.press(screen.getByText('Import into the draft'));
    expect(goodsOf(store).map(({ sku }) => sku)).toEqual(['seed-lupin']);
  });

  test('of more than can be read is told', async () => {
    const store = open();
    await openCsv(null);
    expect(store.getState().session.message?.text).toContain('larger than 200 MB');
  });
});

describe('the pieces of the table', () => {
  const goods = ['a', 'b', 'c'].map((sku): Good => ({ sku, name: sku, price: 100, fulfilment: 'physical' }));
  const display = { decimals: 2, units: 'metric' } as const;
  const key = (name: string, more: object = {}) => ({ key: name, ctrlKey: false, shiftKey: false, ...more });

  test.each([
    ['ArrowDown', {}, 'c', 'price'],
    ['ArrowUp', {}, 'a', 'price'],
    ['ArrowLeft', {}, 'b', 'name'],
    ['ArrowRight', {}, 'b', 'weight'],
    ['PageDown', {}, 'c', 'price'],
    ['Home', {}, 'b', 'name'],
    ['End', {}, 'b', 'size'],
    ['Home', { ctrlKey: true }, 'a', 'name'],
    ['End', { ctrlKey: true }, 'c', 'size'],
    ['Tab', { shiftKey: true }, 'b', 'name'],
  ] as const)('%s %j leads on from the cell', (name, more, sku, column) =>
    expect(cellAfter(goods, { sku: 'b', column: 'price' }, key(name, more))).toEqual({ sku, column }),
  );

  test('other keys lead nowhere, nor does a good that is gone', () => {
    expect(cellAfter(goods, { sku: 'b', column: 'price' }, key('x'))).toBeNull();
    expect(cellAfter(goods, { sku: 'z', column: 'price' }, key('ArrowDown'))).toBeNull();
  });

  test('rows below an opened good stand lower', () => {
    expect(rowPlace(2, 44, -1)).toEqual({ index: 2, length: 44, offset: 88 });
    expect(rowPlace(1, 44, 1).length).toBeGreaterThan(44);
    expect(rowPlace(2, 44, 1).offset).toBe(88 + rowPlace(1, 44, 1).length - 44);
  });

  test('a cell says what is missing and is written as it is read', () => {
    expect(cellWords(goods[0]!, 'weight', display)).toEqual({ text: 'missing', missing: true });
    expect(cellWords({ ...goods[0]!, fulfilment: 'digital' }, 'weight', display)).toEqual({
      text: '–',
      missing: false,
    });
    const sized: Good = { ...goods[0]!, size: { length: 110, width: 80, height: 3 } };
    const text = cellText(sized, 'size', display);
    expect(readCellText('size', display)(text)).toEqual({ ok: true, value: { size: sized.size } });
    expect(readCellText('weight', display)('')).toEqual({ ok: true, value: { weight: undefined } });
    expect(readCellText('weight', display, '12 g')('600')).toEqual({ ok: true, value: { weight: 600 } });
    expect(readCellText('weight', display, '12 g')('0.6 kg')).toEqual({ ok: true, value: { weight: 600 } });
    expect(readCellText('weight', display, '3.2 kg')('4')).toEqual({ ok: true, value: { weight: 4_000 } });
    expect(readCellText('weight', display)('100001 kg').ok).toBe(false);
  });
});
