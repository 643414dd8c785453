import fc from 'fast-check';
import type { PostalRule } from '../model/delivery.ts';
import type { Measure, TableRow } from '../model/price.ts';
import { locatedSentence } from '../words/fault-sentence.ts';
import { guessMapping, guessUnit } from './list-columns.ts';
import { codeFormOf } from '../place/code-shapes.ts';
import { placeless, readList, sheetOf, type ListFormat, type ListMapping } from './list-format.ts';
import { LISTS, type ListName, type Lists } from './lists.ts';
import { POSTAL_LIST, postalLineCells } from './postal-list.ts';
import {
  ownMeaning,
  RATE_TABLE,
  TABLE_UNITS,
  tableRowCells,
  tableSheet,
  type TableColumn,
  type TableMeaning,
} from './rate-table.ts';
import type { Mark } from './typed.ts';

const KILOS: TableMeaning = { basis: 'weight', unit: 'kg', includesTo: false, decimals: 2 };
const MEANINGS: { [K in ListName]: Lists[K]['meaning'] } = {
  'rate-table': KILOS,
  'postal-list': { home: 'CA' },
  'past-orders': {
    ...{ decimals: 2, unit: 'kg', units: 'metric', dates: 'day-first', home: 'CA', subdivisions: null },
  },
  texts: { own: [] },
};
const TABLE_COLUMNS = RATE_TABLE.columns;
const readRows = (
  rows: string[][],
  mapping: ListMapping<TableColumn>,
  meaning: TableMeaning,
  mark: Mark = '.',
) => readList(RATE_TABLE, rows, mapping, meaning, placeless(mark));
const read = (rows: string[][], meaning: TableMeaning = KILOS, mark: Mark = '.') =>
  readRows(rows, guessMapping(rows[0] ?? [], TABLE_COLUMNS), meaning, mark);
const HEAD = ['Country', 'Region', 'Postcode', 'Min weight', 'Max weight', 'Price'];

describe('the columns of a list', () => {
  test('are guessed by their headings, with the unit that they name', () => {
    const headings = ['country_code', 'ZIP Code', 'From (lb)', 'Max', 'Charge', 'Remarks', 'Amount'];
    const mapping = guessMapping(headings, TABLE_COLUMNS);
    expect(mapping).toEqual(['country', 'postal', 'from', 'to', 'amount', null, null]);
    const units = TABLE_UNITS.weight;
    expect(guessUnit(headings, mapping, TABLE_COLUMNS, units)).toBe('lb');
    expect(guessUnit(['From'], ['from'], TABLE_COLUMNS, units)).toBeNull();
  });

  test('that are needed and missing, or there twice, are said before any row is read', () => {
    const missing = readRows([['From'], ['1']], ['from'], KILOS);
    expect([missing.items, missing.faulty, missing.faults.map(locatedSentence)]).toEqual([
      [],
      1,
      ['row 1: No column is “Amount”, and each row needs one.'],
    ]);
    const twice = readRows(
      [
        ['A', 'B', 'C'],
        ['1', '2', '3'],
      ],
      ['from', 'amount', 'amount'],
      KILOS,
    );
    expect(twice.faults[0]?.code).toBe('column-twice');
  });
});

describe('a rate table in a file', () => {
  test('is read with its places, its unit and its marks', () => {
    const { items, rows, faulty } = read([
      HEAD,
      ['ca', 'ns', '', '0', '1.5', '7.00'],
      [],
      ['CA', '', 'b3h*', '1.5', '', '$8.25'],
    ]);
    expect(items).toEqual([
      { country: 'CA', subdivision: 'CA-NS', from: 0, to: 1_500, amount: 700 },
      { country: 'CA', postal: 'B3H*', from: 1_500, amount: 825 },
    ]);
    expect([rows, faulty]).toEqual([[2, 4], 0]);
  });

  test('says what is wrong by row and column, and takes the rest', () => {
    const { items, faults, faulty } = read([
      HEAD,
      ['Canada', '', '', '0', '1', '7'],
      ['CA', 'US-NY', 'B3*4', '-1', 'x', 'free'],
      ['CA', '', '', '', '', ''],
      ['CA', '', '', '0', '', '5'],
    ]);
    expect(items).toEqual([{ country: 'CA', from: 0, amount: 500 }]);
    expect(faulty).toBe(3);
    expect(faults.map(({ path }) => path)).toEqual([
      'row 2, Country',
      'row 3, Region',
      'row 3, Postal code',
      'row 3, From',
      'row 3, To, less than',
      'row 3, Amount',
      'row 4, From',
      'row 4, Amount',
    ]);
  });

  test('may say up to and including, other units, and what each further size costs', () => {
    const rows = [
      ['From', 'To', 'Amount', 'Each', 'Amount for each', 'Counted'],
      ['0', '2', '4', '', '', ''],
      ['2', '', '6', '1', '0,50', 'exact'],
      ['3', '', '6', '1', '', ''],
      ['4', '', '6', '0', '1', ''],
    ];
    const { items, faults } = read(rows, { ...KILOS, unit: 'lb', includesTo: true }, ',');
    expect(items).toEqual([
      { from: 0, to: 907.186, amount: 400 },
      { from: 907.18474, amount: 600, each: { size: 453.59237, amount: 50, count: 'exact' } },
    ]);
    expect(faults.map(({ path }) => path)).toEqual(['row 4, Amount for each', 'row 5, Each']);
  });

  test('with hostile cells is refused cell by cell, and nothing else happens', () => {
    const { items, faulty } = read([
      ['__proto__', 'From', 'Amount', 'constructor'],
      ['x'.repeat(100_000), '0', '1e9999', '{}'],
      ['\u0000', '=1+1', '5', ''],
      ['__proto__', '0', '5', '__proto__'],
    ]);
    expect([items, faulty]).toEqual([[{ from: 0, amount: 500 }], 2]);
    expect(({} as Record<string, unknown>).polluted).toBeUndefined();
  });

  test('that is written and read again is the same, row by row and cell by cell', () => {
    const each = fc.record({
      size: fc.integer({ min: 1, max: 9_999 }),
      amount: fc.nat(99_999),
      count: fc.constantFrom('started' as const, 'exact' as const),
    });
    const rows = fc.array(
      fc.record(
        {
          country: fc.constantFrom('CA', 'US'),
          postal: fc.constantFrom('B3H*', '90200 to 90299', 'B3?1*'),
          from: fc.nat(1_000_000),
          to: fc.nat(1_000_000),
          amount: fc.nat(1_000_000),
          each,
        },
        { requiredKeys: ['from', 'amount'] },
      ),
      { minLength: 1, maxLength: 20 },
    );
    const basis = fc.constantFrom<Measure>('weight', 'subtotal', 'units', 'volume', 'distance');
    fc.assert(
      fc.property(rows, basis, fc.constantFrom(0, 2, 3), (drawn, measure, decimals) => {
        const written = [
          tableSheet(measure).map(({ heading }) => heading),
          ...drawn.map((row) => tableRowCells(row as TableRow, measure, decimals)),
        ];
        const mapping = guessMapping(written[0] ?? [], TABLE_COLUMNS);
        const again = readRows(written, mapping, ownMeaning(measure, decimals));
        expect(again.items).toEqual(drawn);
        expect(again.items.map((row) => tableRowCells(row, measure, decimals))).toEqual(written.slice(1));
      }),
    );
  });
});

const BRITISH = codeFormOf((code) => /^[A-Z]{1,2}\d[A-Z0-9]?\d[A-Z]{2}$/.test(code.replace(/\s/g, '')));
const CANADIAN = codeFormOf((code) => /^[A-Z]\d[A-Z]\d[A-Z]\d$/.test(code.replace(/\s/g, '')));

describe('places of a rate table in a file', () => {
  const placesOf = (...rows: string[][]) => {
    const { items, faults } = readList(
      RATE_TABLE,
      [['Country', 'Postal code', 'From', 'Amount'], ...rows.map((row) => [...row, '0', '7'])],
      ['country', 'postal', 'from', 'amount'],
      { basis: 'weight', unit: null, includesTo: false, decimals: 2 },
      {
        ...placeless('.'),
        countryOf: (text) => ({ Canada: 'CA', 'United Kingdom': 'GB' })[text] ?? null,
        codes: (country) => (country === 'GB' ? BRITISH : CANADIAN),
      },
    );
    return [items.map(({ country, postal }) => `${country} ${postal}`), faults.map(({ path }) => path)];
  };

  test('a code that is shorter than a whole one is the beginning of codes', () => {
    expect(placesOf(['Canada', 'b3h'], ['CA', 'B3H 4R2'])).toEqual([['CA B3H*', 'CA B3H 4R2'], []]);
  });

  test('a row with British districts, or with several codes, is a row for each', () => {
    expect(placesOf(['United Kingdom', 'HS1-HS3'], ['CA', 'B3H B3J*'])).toEqual([
      ['GB HS1???', 'GB HS2???', 'GB HS3???', 'CA B3H*', 'CA B3J*'],
      [],
    ]);
  });

  test('what no code of the country begins with is named', () => {
    expect(placesOf(['Canada', '97201'], ['Nowhere', 'B3H'])).toEqual([
      [],
      ['row 2, Postal code', 'row 3, Country'],
    ]);
  });
});

describe('a postal list in a file', () => {
  const lines = (rows: string[][]) =>
    readList(
      POSTAL_LIST,
      rows,
      guessMapping(rows[0] ?? [], POSTAL_LIST.columns),
      { home: 'CA' },
      placeless('.'),
    );

  test('is read with what is usual where a cell is empty', () => {
    expect(
      lines([
        ['Land', 'PIN code', 'COD', 'Serviceable', 'Delivery days'],
        ['', 'b3h 4r2', 'Y', '', '2'],
        ['', 'B2*', '', 'no', ''],
      ]).items,
    ).toEqual([
      { country: 'CA', pattern: 'B3H 4R2', served: true, cashOnDelivery: true, days: 2 },
      { country: 'CA', pattern: 'B2*', served: false, cashOnDelivery: false },
    ]);
  });

  test('says what is wrong by row and column, and a code that is there twice', () => {
    const { items, faults } = lines([
      ['Country', 'Postal code', 'Served', 'Cash on delivery', 'Days'],
      ['CA', 'B3H4R2', 'yes', 'no', '3'],
      ['CA', 'b3h 4r2', 'no', 'no', '3'],
      ['Canada', '', 'perhaps', 'maybe', '400'],
    ]);
    expect(items).toHaveLength(1);
    expect(faults.map(({ code, path }) => `${path}: ${code}`)).toEqual([
      'row 3, Code: cell-duplicate',
      'row 4, Country: cell-unread',
      'row 4, Code: cell-unread',
      'row 4, Served: cell-unread',
      'row 4, Payable at the door: cell-unread',
      'row 4, Days: cell-unread',
    ]);
  });

  test('names codes that the country does not have, and takes countries by name', () => {
    const isWhole = (code: string): boolean => /^[A-Z]\d[A-Z]\d[A-Z]\d$/.test(code);
    const rows = [
      ['Country', 'Postal code'],
      ['Canada', 'B3H'],
      ['', '97201'],
      ['Nowhere', 'B3H*'],
    ];
    const mapping = guessMapping(rows[0] ?? [], POSTAL_LIST.columns);
    const { items, faults } = readList(
      POSTAL_LIST,
      rows,
      mapping,
      { home: 'CA' },
      {
        ...placeless('.'),
        countryOf: (text) => (text === 'Canada' ? 'CA' : null),
        codes: () => codeFormOf(isWhole),
      },
    );
    expect(items.map(({ country, pattern }) => `${country} ${pattern}`)).toEqual(['CA B3H*']);
    expect(faults.map(({ path, detail }) => `${path}: ${String(detail?.text)}`)).toEqual([
      'row 3, Code: 97201',
      'row 4, Country: Nowhere',
    ]);
  });

  test('a row with British districts is a line for each, and a code that is there twice is named', () => {
    const { items, rows, faults } = readList(
      POSTAL_LIST,
      [
        ['Country', 'Postal code', 'Days'],
        ['GB', 'ZE1-ZE3', '4'],
        ['GB', 'AB31 5', '2'],
        ['GB', 'ZE2', '3'],
      ],
      ['country', 'pattern', 'days'],
      { home: 'GB' },
      { ...placeless('.'), codes: () => BRITISH },
    );
    expect(items.map(({ pattern, days }) => `${pattern} ${days}`)).toEqual([
      'ZE1??? 4',
      'ZE2??? 4',
      'ZE3??? 4',
      'AB315?? 2',
    ]);
    expect(rows).toEqual([2, 2, 2, 3]);
    expect(faults.map(({ code, path }) => `${path}: ${code}`)).toEqual(['row 4, Code: cell-duplicate']);
  });

  test('that is written and read again is the same', () => {
    const list: PostalRule[] = [
      { country: 'US', pattern: '90200 to 90299', served: true, cashOnDelivery: true, days: 0 },
      { country: 'CA', pattern: 'B3H*', served: false, cashOnDelivery: false },
    ];
    expect(
      lines([sheetOf(POSTAL_LIST.columns).map(({ heading }) => heading), ...list.map(postalLineCells)]).items,
    ).toEqual(list);
  });
});

test.each(Object.entries(LISTS))(
  'of a list of %s, no row has more in it than there are headings',
  (name, format) => {
    const headings = format.columns.map((one) => one.name);
    const { faults, faulty } = readList(
      format as ListFormat<string, unknown, unknown>,
      [headings, [...headings.map(() => '1'), '', 'more'], headings.map(() => '')],
      format.columns.map(({ column }) => column),
      MEANINGS[name as ListName],
      placeless('.'),
    );
    expect([faulty, faults.map(({ code, path }) => [code, path])]).toEqual([1, [['row-too-long', 'row 2']]]);
  },
);
