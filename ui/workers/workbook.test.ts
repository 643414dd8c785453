import { Blob as NodeBlob } from 'node:buffer';
import type { makeListReader as ListReaderMaker } from './list-reader.ts';
import type ReadWorkbook from 'read-excel-file/universal';
import type * as Workbook from '../files/workbook.ts';

// A browser's: the one that stands in for a phone's has no bytes.
globalThis.Blob = NodeBlob as never;

let readWorkbook: typeof ReadWorkbook;
let rowsOfWorkbook: (typeof Workbook)['rowsOfWorkbook'];
let workbookOf: (typeof Workbook)['workbookOf'];
let makeListReader: typeof ListReaderMaker;

const KILOS = { basis: 'weight', unit: 'kg', includesTo: false, decimals: 3 } as const;
const nothing = (): void => undefined;

// What unpacks keeps the timers that it finds when it is loaded.
beforeAll(async () => {
  jest.useRealTimers();
  ({ default: readWorkbook } = await import('read-excel-file/universal'));
  ({ rowsOfWorkbook, workbookOf } = await import('../files/workbook.ts'));
  ({ makeListReader } = await import('./list-reader.ts'));
});

describe('a spreadsheet', () => {
  const columns = [
    { heading: 'From', about: 'The least.', isNumber: true },
    { heading: 'Amount', about: 'The charge.', isNumber: true },
    { heading: 'Postal code', about: 'A code.', isNumber: false },
  ];

  test('has what was put into it: numbers as such, codes with their zeros, empty cells, and what the columns hold', async () => {
    const rows = [
      ['0', '12.50', '04101'],
      ['1500', '-3.05', ''],
      ['', '', '=1+1'],
    ];
    const bytes = await workbookOf({ name: 'Pallets: west/east', columns, rows });
    expect(await rowsOfWorkbook(bytes)).toEqual([
      ['From', 'Amount', 'Postal code'],
      ['0', '12.5', '04101'],
      ['1500', '-3.05', ''],
      ['', '', '=1+1'],
    ]);
    const [first, about] = await readWorkbook(new Blob([bytes]));
    expect([first?.sheet, about?.sheet]).toEqual(['Pallets  west east', 'About the columns']);
    expect(first?.data[1]).toEqual([0, 12.5, '04101']);
    expect(about?.data.slice(1).map(([heading]) => heading)).toEqual(['From', 'Amount', 'Postal code']);
  });

  test('is read as a list with a dot in its numbers, whatever marks decimals here', async () => {
    const bytes = await workbookOf({
      name: 'Steps',
      columns,
      rows: [
        ['0', '1.234', 'B3H*'],
        ['1', '5', 'B3J*'],
      ],
    });
    const reader = makeListReader();
    expect(await reader.open(bytes, nothing)).toMatchObject({
      rows: 2,
      headings: ['From', 'Amount', 'Postal code'],
    });
    reader.read('rate-table', ['from', 'amount', null], KILOS, ',');
    expect(reader.items(0, 2)).toEqual([
      { from: 0, amount: 1_234 },
      { from: 1_000, amount: 5_000 },
    ]);
  });

  test('that is spoilt or of an older kind is refused in a sentence', async () => {
    const spoilt = Uint8Array.from([0x50, 0x4b, 0x03, 0x04, 1, 2, 3]).buffer;
    await expect(makeListReader().open(spoilt, nothing)).rejects.toThrow(/cannot be read/);
    const old = Uint8Array.from([0xd0, 0xcf, 0x11, 0xe0, 1]).buffer;
    await expect(makeListReader().open(old, nothing)).rejects.toThrow(/older kind/);
  });
});
