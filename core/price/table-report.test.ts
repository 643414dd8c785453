import fc from 'fast-check';
import type { TableRow } from '../model/price.ts';
import { odditySentence } from '../audit/oddity-sentence.ts';
import { tableFalls, tableOddities } from './table-report.ts';

const row = (from: number, to?: number, part: Partial<TableRow> = {}): TableRow => ({
  country: 'CA',
  from,
  ...(to === undefined ? {} : { to }),
  amount: 1,
  ...part,
});
const said = (rows: TableRow[]): string[] =>
  tableOddities(rows).map((odd) =>
    odditySentence(odd, 'weight', { decimals: 2, units: 'metric' }, (at) => at + 2),
  );

test('what is odd about the rows of a place is said by row', () => {
  expect(said([row(0, 1_000), row(1_000)])).toEqual([]);
  expect(said([row(500, 1_000), row(2_000, 3_000)])).toEqual([
    'No row covers the place of row 2 from 0 kg to less than 500 g: not offered there.',
    'No row covers the place of row 3 from 1 kg to less than 2 kg: not offered there.',
    'No row covers the place of row 3 from 3 kg on: not offered there.',
  ]);
  expect(said([row(0), row(1_000, 2_000), row(0)])).toEqual([
    'Row 4 is for the same place and range as row 2, which applies.',
    'Rows 2 and 3 overlap from 1 kg to less than 2 kg; row 2 applies.',
  ]);
  expect(said([row(0), row(700, 700)])).toEqual(['Row 3 ends at or before its start, so it is never used.']);
  expect(said([row(0, 100), row(100, undefined, { country: 'US' }), row(100)])).toEqual([
    'No row covers the place of row 3 from 0 kg to less than 100 g: not offered there.',
  ]);
});

test('rows without oddities hold every value exactly once, and the others do not', () => {
  const drawn = fc.array(fc.tuple(fc.nat(6), fc.option(fc.integer({ min: 0, max: 8 }), { nil: undefined })), {
    minLength: 1,
    maxLength: 6,
  });
  fc.assert(
    fc.property(drawn, (pairs) => {
      const rows = pairs.map(([from, to]) => row(from, to));
      const holders = (value: number): number =>
        rows.filter(({ from, to }) => from <= value && (to === undefined || value < to)).length;
      const isExact = Array.from({ length: 10 }, (_, value) => holders(value)).every((count) => count === 1);
      const odd = tableOddities(rows).filter(({ kind }) => kind !== 'empty');
      expect(odd.length === 0).toBe(isExact);
    }),
    { numRuns: 500 },
  );
});

test('a price that falls within one place of a table is told, with what is added to a row counted', () => {
  const US = { country: 'US' };
  expect(tableFalls([row(0, 100, { amount: 500 }), row(100, undefined, { amount: 400 })])).toEqual([
    { row: 1, at: 100, by: 100 },
  ]);
  const each = { size: 10, amount: 20, count: 'started' as const };
  expect(tableFalls([row(0, 100, { amount: 300, each }), row(100, 200, { amount: 450 })])).toEqual([
    { row: 1, at: 100, by: 50 },
  ]);
  expect(tableFalls([row(0, 100, { amount: 500 }), row(100, undefined, { amount: 400, ...US })])).toEqual([]);
  expect(tableFalls([row(0, undefined, { amount: 500 }), row(100, undefined, { amount: 400 })])).toEqual([]);
});
