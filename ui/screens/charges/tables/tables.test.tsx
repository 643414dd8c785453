import { act, fireEvent, screen } from '@testing-library/react-native';
import type { RateTable, TableRow } from '../../../../core/model/price.ts';
import { makeListReader as mockMakeReader } from '../../../workers/list-reader.ts';
import type { ListWork } from '../../../workers/start-list-reader.ts';
import { undone } from '../../../state/draft.ts';
import { selectBook } from '../../../state/selectors.ts';
import { type AppStore } from '../../../state/store.ts';
import { useBookParts } from '../../../state/use-book-parts.ts';
import { goTo } from '../../../testing/router.ts';
import { demoStore, renderOver } from '../../../testing/store.tsx';
import { ChargesScreen } from '../charges-screen.tsx';
import TablePage from './table-page.tsx';
import TablesPart from './tables-part.tsx';

jest.mock('../../../parts/use-width.ts', () => ({ useWidth: () => 'wide' }));

const mockFile = jest.fn<Promise<File | null>, []>();
const mockSaved = jest.fn<void, [string, readonly string[]]>();
jest.mock('../../../files/files.ts', () => ({
  ...jest.requireActual<object>('../../../files/files.ts'),
  chooseFile: () => mockFile(),
  saveParts: (name: string, parts: readonly string[]) => mockSaved(name, parts),
}));

/** The reader where the test is, in place of the worker. */
jest.mock('../../../workers/start-list-reader.ts', () => ({
  startListReader: (list: 'rate-table'): ListWork<'rate-table'> => {
    const reader = mockMakeReader();
    return {
      read: async (...args) => reader.read(list, ...args),
      open: reader.open,
      take: async (count) => reader.items(0, count) as TableRow[],
      stop: () => undefined,
    };
  },
}));

const tableOf = (store: AppStore): RateTable => selectBook(store.getState()).rateTables[0] as RateTable;
const fileOf = (text: string): File =>
  ({
    name: 'leaflet.csv',
    size: text.length,
    arrayBuffer: async () => new TextEncoder().encode(text).buffer,
  }) as unknown as File;
const settle = (): Promise<void> => act(() => jest.advanceTimersByTimeAsync(100));

const FirstTable = () => {
  const [table] = useBookParts('rateTables').rateTables;
  return table ? <TablePage table={table} onBack={() => undefined} /> : null;
};

const openTable = (): AppStore => {
  const store = demoStore();
  renderOver(store, <FirstTable />);
  return store;
};
const take = async (text: string): Promise<AppStore> => {
  const store = openTable();
  mockFile.mockResolvedValue(fileOf(text));
  fireEvent.press(screen.getByText('Open a CSV or spreadsheet'));
  await settle();
  return store;
};

describe('the rate tables', () => {
  test('stand with what they go by and how many rates they price', () => {
    const store = demoStore();
    const onOpen = jest.fn();
    renderOver(store, <TablesPart onOpen={onOpen} />);
    expect(screen.getByText('By weight · 30 rows · prices 1 rate')).toBeTruthy();
    fireEvent.press(screen.getByText('Add a table'));
    expect(onOpen).toHaveBeenCalledWith('new-table');
    expect(selectBook(store.getState()).rateTables.at(-1)).toMatchObject({ id: 'new-table', rows: [] });
  });

  test('are searched, and a row of one is edited, added and removed', () => {
    const store = openTable();
    fireEvent.changeText(screen.getByLabelText('Find a place or an amount'), 'V8');
    expect(screen.getByText('5 of 30 rows')).toBeTruthy();
    fireEvent.press(screen.getByLabelText(/^21: CA V8\*, 0 kg to 50 kg: 214\.00/));
    const amount = screen.getByLabelText('Amount');
    fireEvent(amount, 'focus');
    fireEvent.changeText(amount, '199');
    fireEvent(amount, 'blur');
    expect(tableOf(store).rows[20]?.amount).toBe(19_900);
    const each = screen.getByLabelText('And for each');
    fireEvent(each, 'focus');
    fireEvent.changeText(each, '0');
    expect(screen.getByText('This must be more than 0.')).toBeTruthy();
    fireEvent.changeText(each, '10 kg');
    fireEvent(each, 'blur');
    fireEvent.press(screen.getByText('In proportion'));
    expect(tableOf(store).rows[20]?.each).toEqual({ size: 10_000, amount: 0, count: 'exact' });
    fireEvent.press(screen.getByText('Remove the row'));
    expect(tableOf(store).rows).toHaveLength(29);
    act(() => void store.dispatch(undone()));
    expect(tableOf(store).rows).toHaveLength(30);
  });

  test('are saved as CSV with the unit in the headings', async () => {
    openTable();
    fireEvent.press(screen.getByText('Save as CSV'));
    await settle();
    const [name, parts] = mockSaved.mock.calls.at(-1) ?? ['', []];
    expect(name).toMatch(/^pallets-in-the-west-rates-.*\.csv$/);
    expect(parts.join('').split('\r\n').slice(0, 2)).toEqual([
      'From (g),"To, less than (g)",Amount,Each (g),Amount for each,Counted,Country,Region,Postal code',
      '0,50000,142.00,,,,CA,CA-MB,',
    ]);
  });

  test('are taken from a file: unit guessed, faults located, oddities told, and only then replaced', async () => {
    const store = await take('Province;Min (kg);Max;Price\nCA-MB;0;10;100\nCA-MB;8;20;x\nCA-MB;5;;150\n');
    expect(screen.getByText(/^row 3, Amount: /)).toBeTruthy();
    expect(
      screen.getByText('Rows 2 and 4 overlap from 5 kg to less than 10 kg; row 2 applies.'),
    ).toBeTruthy();
    expect(tableOf(store).rows).toHaveLength(30);
    fireEvent.press(screen.getByText('Import 2 rows without faults'));
    await settle();
    expect(tableOf(store).rows).toEqual([
      { subdivision: 'CA-MB', from: 0, to: 10_000, amount: 10_000 },
      { subdivision: 'CA-MB', from: 5_000, amount: 15_000 },
    ]);
    expect(store.getState().session.message?.text).toBe(
      'Imported 2 rows from leaflet.csv. 1 row not imported.',
    );
    act(() => void store.dispatch(undone()));
    expect(tableOf(store).rows).toHaveLength(30);
  });

  test('are read again when the meaning is another, and left as they are when told to', async () => {
    const store = await take('From,To,Price\n0,10,1\n11,20,2\n');
    expect(screen.getByText(/from 10 kg to less than 11 kg: not offered there/)).toBeTruthy();
    fireEvent.press(screen.getByText('g'));
    fireEvent.press(screen.getByLabelText('“To” is still within the row: up to and including'));
    await settle();
    expect(screen.queryByText(/not offered there/)).not.toBeNull();
    expect(screen.queryByText(/from 10 g/)).toBeNull();
    fireEvent.press(screen.getByText('Cancel'));
    expect(tableOf(store).rows).toHaveLength(30);
  });
});

test('a rate is priced by a table and leads to it', async () => {
  goTo({ pathname: '/charges', params: { zone: 'west', service: 'pallet' } });
  const store = demoStore();
  renderOver(store, <ChargesScreen />);
  await screen.findByText(/not offered, never free/);
  fireEvent.press(screen.getByText('Flat'));
  const priceOf = () => selectBook(store.getState()).rates.find(({ id }) => id === 'pallet-west')?.price;
  expect(priceOf()?.kind).toBe('flat');
  fireEvent.press(screen.getByText('Table'));
  expect(priceOf()).toEqual({ kind: 'table', tableId: 'pallets-west' });
});
