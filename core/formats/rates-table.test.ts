import fc from 'fast-check';
import { demoBook } from '../../demo/book.ts';
import type { Book } from '../model/book.ts';
import type { Rate } from '../model/rate.ts';
import { currencyDecimals, type DisplayFormat } from '../words/figure.ts';
import { locatedSentence } from '../words/fault-sentence.ts';
import { guessMapping } from './list-columns.ts';
import { placeless } from './list-format.ts';
import { rateRowChanges } from './rates-changes.ts';
import { RATE_COLUMNS, rateRowCells, rateRows, ratesSheet } from './rates-sheet.ts';
import { readRates, type RatesRead } from './rates-table.ts';

const { currency, units } = demoBook.store;
const display: DisplayFormat = { decimals: currencyDecimals(currency), units };
const HEADINGS = ratesSheet().map(({ heading }) => heading);
const written = (book: Book): string[][] => [
  HEADINGS,
  ...rateRows(book).map((row) => rateRowCells(row, book, display)),
];
const read = (rows: string[][], empty: 'leaves' | 'clears' = 'clears', book = demoBook): RatesRead =>
  readRates(rows, guessMapping(rows[0] ?? [], RATE_COLUMNS), book, { display, empty }, placeless('.'));
const rateOf = ({ rates }: { rates: readonly Rate[] }, id: string): Rate | undefined =>
  rates.find((rate) => rate.id === id);
/** The steps of Parcel to the Maritimes, of which the second adds a share. */
const STEPS = [
  ['Maritimes', 'Parcel', '0', '8.50', '', '85'],
  ['Maritimes', 'Parcel', '2 kg', '11.00', '1.5', ''],
];
const sentences = ({ faults }: RatesRead): string[] => faults.map(locatedSentence);

describe('the rates of a board in a list', () => {
  test('read again as they were written change nothing', () => {
    for (const empty of ['leaves', 'clears'] as const) {
      const found = read(written(demoBook), empty);
      expect(found.faults).toEqual([]);
      expect(found.sound).toBe(rateRows(demoBook).length);
      expect(found.rates).toEqual(demoBook.rates);
    }
  });

  test('give steps their rows, in the order of the board', () => {
    const rows = written(demoBook);
    const parcel = rows.filter((cells) => cells[0] === 'Maritimes' && cells[1] === 'Parcel');
    expect(parcel.map(([, , price, by, from, amount]) => [price, by, from, amount])).toEqual([
      ['steps', 'weight', '0 g', '8.50'],
      ['steps', 'weight', '2000 g', '11.00'],
      ['steps', 'weight', '5000 g', '15.50'],
      ['steps', 'weight', '10000 g', '24.00'],
    ]);
    expect(parcel.map((cells) => cells[7])).toEqual(['85.00', '', '', '']);
  });

  test('take every amount that was changed, and nothing else', () => {
    fc.assert(
      fc.property(fc.array(fc.nat(900), { minLength: 40, maxLength: 40 }), (more) => {
        const rows = written(demoBook);
        const dearer = rows.map((cells, at) =>
          at === 0 || cells[5] === ''
            ? cells
            : cells.map((cell, column) =>
                column === 5 ? (Number(cell) + (more[at % more.length] ?? 0) / 100).toFixed(2) : cell,
              ),
        );
        const found = read(dearer);
        expect(found.faults).toEqual([]);
        expect(written({ ...demoBook, rates: found.rates })).toEqual(dearer);
        const without = (rate: Rate): object => ({ ...rate, price: rate.price.kind });
        expect(found.rates.map(without)).toEqual(demoBook.rates.map(without));
      }),
      { numRuns: 30 },
    );
  });

  test('take thresholds and edges, and say by choice what an empty cell means', () => {
    const rows = [
      ['Zone', 'Service', 'Amount', 'Free from', 'Minimum charge', 'Minimum order', 'Offered'],
      ['maritimes', 'SEED MAIL', '2.40', '60', '1.00', '5', 'no'],
    ];
    const rate = rateOf(read(rows), 'seed-mail-maritimes');
    expect(rate).toMatchObject({ freeFrom: 6_000, bounds: { min: 100 }, active: false });
    expect(rate?.limits?.subtotal).toEqual({ min: 500 });
    expect(rate?.price).toEqual({ kind: 'flat', amount: 240, per: 'order' });
    const book = { ...demoBook, rates: read(rows).rates };
    const empty = [rows[0] as string[], ['Maritimes', 'Seed mail', '2.40', '', '', '', '']];
    expect(read(empty, 'leaves', book).rates).toEqual(book.rates);
    const cleared = rateOf(read(empty, 'clears', book), 'seed-mail-maritimes');
    expect(cleared?.freeFrom).toBeUndefined();
    expect(cleared?.bounds).toBeUndefined();
    expect(cleared?.limits?.subtotal).toBeUndefined();
    expect(cleared?.active).toBe(false);
  });

  test('leave the figures that a row leaves empty, or that the list has no column for', () => {
    const rows = (figures: string[][]): string[][] => [
      ['Zone', 'Service', 'From', 'Amount', 'Percent', 'Free from'],
      ...figures,
    ];
    const withShare = read(rows([['Maritimes', 'Seed mail', '', '2.10', '', '70'], ...STEPS]));
    const book = { ...demoBook, rates: withShare.rates };
    const empty = rows([
      ['Maritimes', 'Seed mail', '', '', '', ''],
      ...STEPS.map((row) => [...row.slice(0, 3), '', '', '']),
    ]);
    expect(read(empty, 'leaves', book)).toMatchObject({ faults: [], rates: book.rates });
    expect(sentences(read(empty, 'clears', book))).toHaveLength(2);
    const thresholds = [
      ['Zone', 'Service', 'Free from'],
      ['Maritimes', 'Parcel', '95'],
    ];
    const free = rateOf(read(thresholds), 'parcel-maritimes');
    expect(free).toEqual({ ...rateOf(demoBook, 'parcel-maritimes'), freeFrom: 9_500 });
    const oneAmount = [
      ['Zone', 'Service', 'Amount'],
      ['Maritimes', 'Parcel', '9'],
    ];
    expect(sentences(read(oneAmount))).toEqual([expect.stringMatching(/^row 2: Each step takes a row/)]);
    const newAndEmpty = rows([['Everywhere else', 'Express', '', '', '', '']]);
    expect(sentences(read(newAndEmpty, 'leaves'))).toEqual([
      expect.stringMatching(/^row 2: A flat rate takes/),
    ]);
  });

  test('make new rates and other kinds, and steps in any order', () => {
    const found = read([
      ['Zone', 'Service', 'Price', 'By', 'From', 'Charge', 'Percent'],
      ['Western Europe', 'Parcel', 'steps', 'weight', '5 kg', '44.00', ''],
      ['Western Europe', 'Parcel', '', '', '', '29.00', ''],
      ['Everywhere else', 'Express', 'flat', '', '', '75', ''],
      ['Central', 'Parcel', 'percent', '', '', '', '12.5'],
    ]);
    expect(sentences(found)).toEqual([]);
    expect(
      found.rates.find(({ zoneId, serviceId }) => `${zoneId} ${serviceId}` === 'europe parcel'),
    ).toMatchObject({
      active: true,
      price: {
        kind: 'steps',
        basis: 'weight',
        steps: [
          { from: 0, amount: 2_900 },
          { from: 5_000, amount: 4_400 },
        ],
      },
    });
    expect(found.rates).toHaveLength(demoBook.rates.length + 2);
    expect(rateOf(found, 'parcel-central')?.price).toEqual({ kind: 'percent', points: 1_250 });
  });

  test('say by row and column what is wrong, and take a rate whole or not at all', () => {
    const found = read([
      ['Zone', 'Service', 'Price', 'Goes by', 'From', 'Amount', 'Free from'],
      ['Atlantis', 'Parcel', '', '', '', '5', ''],
      ['Maritimes', 'Parcel', '', '', '', '9.00', ''],
      ['Maritimes', 'Parcel', '', '', 'heavy', '11.00', ''],
      ['Central', 'Parcel', '', '', '', '9.00', 'lots'],
      ['West', 'Parcel', '', '', '', '9.00', ''],
      ['West', 'Parcel', '', '', '0 g', '9.50', ''],
      ['North', 'Parcel', 'table', '', '', '', ''],
      ['Maritimes', 'Seed mail', '', '', '', '2.20', ''],
      ['Maritimes', 'Seed mail', '', '', '', '2.30', ''],
      ['Maritimes', 'Express', 'carrier', '', '', '25', ''],
      ['Central', 'Pallet', 'carrier', '', '', '25', ''],
    ]);
    expect(sentences(found)).toEqual([
      'row 2, Zone: “Atlantis” was not understood: write the name of a zone.',
      'row 4, From: “heavy” was not understood: write where the step begins, such as 2 kg.',
      'row 5, Free from: “lots” was not understood: write an amount, such as 12.50.',
      'row 6: Each step takes a row with an amount and where it begins, no two of them the same, all before the steps end.',
      'row 8, Price: The board has no “table” price here: choose it on the board first, then import its figures.',
      'row 9: A flat rate takes one row with an amount, and nothing under “From”.',
      'row 12: A rate that a carrier prices takes one row; its amount is the fallback, where it has one.',
    ]);
    expect([found.sound, found.faulty]).toEqual([1, 10]);
    const express = rateOf(found, 'express-maritimes')?.price;
    expect(express?.kind === 'carrier' ? express.onError : null).toMatchObject({ amount: 2_500 });
    expect(found.rates.filter((rate) => !demoBook.rates.includes(rate))).toHaveLength(1);
  });

  test('are compared row by row with those that are there', () => {
    const rows = [
      ['Zone', 'Service', 'Price', 'From', 'Amount', 'Free from'],
      ['Maritimes', 'Parcel', 'steps', '0', '8.50', '90'],
      ['Maritimes', 'Parcel', 'steps', '2 kg', '11.50', ''],
      ['Maritimes', 'Parcel', 'steps', '20 kg', '40', ''],
      ['Everywhere else', 'Express', 'flat', '', '75', ''],
    ];
    const changes = rateRowChanges(demoBook, read(rows, 'leaves').rates, display);
    expect(
      changes.map(({ name, kind, fields }) => [
        name,
        kind,
        ...(kind === 'new' ? [] : fields.map((field) => `${field.name} ${field.from} ${field.to}`)),
      ]),
    ).toEqual([
      ['Parcel to Maritimes, from 0 g', 'changed', 'Free from 85.00 90.00'],
      ['Parcel to Maritimes, from 2000 g', 'changed', 'Amount 11.00 11.50'],
      ['Parcel to Maritimes, from 20000 g', 'new'],
      ['Express to Everywhere else', 'new'],
      ['Parcel to Maritimes, from 5000 g', 'gone'],
      ['Parcel to Maritimes, from 10000 g', 'gone'],
    ]);
    expect(rateRowChanges(demoBook, demoBook.rates, display)).toEqual([]);
  });

  test('need their zone and service', () => {
    const found = read([
      ['Zone', 'Amount'],
      ['Maritimes', '5'],
    ]);
    expect(sentences(found)).toEqual(['row 1: No column is “Service”, and each row needs one.']);
    expect(found.rates).toEqual(demoBook.rates);
  });
});
