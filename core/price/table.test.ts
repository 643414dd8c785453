import fc from 'fast-check';
import type { TableRow } from '../model/price.ts';
import type { Destination } from '../model/place.ts';
import { placeOf, type Place } from '../place/place.ts';
import { parsePattern, patternTakes } from '../place/postal.ts';
import {
  makeBook,
  makeCatalogue,
  makeGood,
  makeRate,
  makeRequest,
  onlyChoice,
  onlyWithheld,
  quoted,
} from '../testing/book.ts';
import { findTableRow, indexTable } from './table.ts';

const tableOf = (rows: TableRow[]) => ({ id: 'far', name: 'Far table', basis: 'weight' as const, rows });
const find = (rows: TableRow[], destination: Destination, value: number): number | null => {
  const found = findTableRow(indexTable(tableOf(rows)), placeOf(destination), value);
  return found.row < 0 ? null : found.row;
};

const NS = { country: 'CA', subdivision: 'CA-NS', postalCode: 'B3H 4R2' };

describe('the row of a table', () => {
  const rows: TableRow[] = [
    { country: 'CA', from: 0, amount: 900 },
    { country: 'CA', subdivision: 'CA-NS', from: 0, to: 1_000, amount: 700 },
    { country: 'CA', subdivision: 'CA-NS', from: 1_000, amount: 800 },
    { country: 'CA', postal: 'B3H*', from: 0, to: 500, amount: 500 },
    { country: 'CA', postal: 'B3H 4R2', from: 0, to: 100, amount: 100 },
    { from: 0, amount: 5_000 },
    { postal: 'Z9*', from: 0, amount: 1 },
  ];

  test.each<[string, Destination, number, number | null]>([
    ['of the whole code, before its beginning', NS, 50, 4],
    ['of no wider place, where the code has none for the value', NS, 100, null],
    ['of the beginning', { ...NS, postalCode: 'B3H1A1' }, 499, 3],
    ['of no wider place, at the end of the beginning’s rows', { ...NS, postalCode: 'B3H1A1' }, 500, null],
    ['of the subdivision', { ...NS, postalCode: 'B2G2L2' }, 999, 1],
    ['of the subdivision, from its next row on', { ...NS, postalCode: 'B2G2L2' }, 1_000, 2],
    ['of the country', { country: 'CA', subdivision: 'CA-ON' }, 1_000, 0],
    ['of a row that names no place', { country: 'FR' }, 1_000, 5],
    ['of a pattern that names no country', { country: 'FR', postalCode: 'z9 100' }, 1_000, 6],
  ])('is that %s', (_, destination, value, at) => {
    expect(find(rows, destination, value)).toBe(at);
  });

  test('with a code and a subdivision holds where both do', () => {
    const both: TableRow[] = [
      { country: 'CA', subdivision: 'CA-ON', postal: 'B3H*', from: 0, amount: 1 },
      { country: 'CA', from: 0, amount: 2 },
    ];
    expect(find(both, NS, 0)).toBe(1);
    expect(find(both, { ...NS, subdivision: 'CA-ON' }, 0)).toBe(0);
  });

  test('of rows that overlap is the first listed', () => {
    const overlapping: TableRow[] = [
      { country: 'CA', from: 500, to: 900, amount: 1 },
      { country: 'CA', from: 0, amount: 2 },
      { country: 'CA', from: 700, amount: 3 },
    ];
    expect([0, 600, 800, 950].map((value) => find(overlapping, NS, value))).toEqual([1, 0, 0, 1]);
  });
});

/** The same answer by reading every row. */
const byReading = (rows: readonly TableRow[], place: Place, value: number): number | null => {
  const rank = ({ country, subdivision, postal }: TableRow): number => {
    const home = country ?? subdivision?.slice(0, 2);
    if (home !== undefined && home !== place.country) return -1;
    if (subdivision !== undefined && subdivision !== place.subdivision) return -1;
    if (postal === undefined) return subdivision === undefined ? (home === undefined ? 0 : 1) : 2;
    const pattern = parsePattern(home ?? '', postal);
    if (!pattern || place.code === undefined || !patternTakes(pattern, place.code)) return -1;
    return pattern.kind === 'exact' ? 1_000 : 100 + pattern.fixed;
  };
  const best = Math.max(-1, ...rows.map(rank));
  if (best < 0) return null;
  const first = rows.find((row) => rank(row) === best) as TableRow;
  const key = (row: TableRow): string =>
    JSON.stringify([row.country ?? row.subdivision?.slice(0, 2), row.subdivision, row.postal]);
  const at = rows.findIndex(
    (row) => key(row) === key(first) && row.from <= value && (row.to === undefined || value < row.to),
  );
  return at < 0 ? null : at;
};

test('the row found is that of reading every row', () => {
  const optional = <T>(values: T[]) => fc.constantFrom<T | undefined>(undefined, ...values);
  const row = fc
    .record({
      country: optional(['CA', 'US']),
      subdivision: fc.constantFrom<string | undefined>(undefined, undefined, 'CA-NS', 'CA-ON'),
      postal: optional(['B3*', 'B3H*', 'B3H4R2', 'B2 to B3', 'B?H*', 'B*']),
      from: fc.nat(9),
      to: fc.option(fc.integer({ min: 1, max: 12 }), { nil: undefined }),
    })
    .filter(({ country, subdivision }) => country !== 'US' || subdivision === undefined);
  const destination = fc.record({
    country: fc.constantFrom('CA', 'US', 'FR'),
    subdivision: optional(['CA-NS', 'CA-ON']),
    code: optional(['B3H4R2', 'B3H1A1', 'B2G2L2', 'A1A1A1']),
  });
  fc.assert(
    fc.property(fc.array(row, { maxLength: 14 }), destination, fc.nat(12), (drawn, place, value) => {
      const rows = drawn.map((one) =>
        Object.fromEntries(Object.entries({ ...one, amount: 1 }).filter(([, held]) => held !== undefined)),
      ) as unknown as TableRow[];
      const found = findTableRow(indexTable(tableOf(rows)), place as Place, value);
      expect(found.row < 0 ? null : found.row).toBe(byReading(rows, place as Place, value));
    }),
    { numRuns: 400 },
  );
});

describe('a price from a table', () => {
  const rows: TableRow[] = [
    { country: 'CA', from: 0, to: 1_000, amount: 700 },
    { country: 'CA', from: 2_000, amount: 900, each: { size: 500, amount: 40, count: 'started' } },
  ];
  const book = makeBook({
    rateTables: [tableOf(rows)],
    rates: [makeRate({ price: { kind: 'table', tableId: 'far' } })],
  });
  const weighing = (weight: number) =>
    quoted(book, makeRequest(), makeCatalogue(makeGood('pot', { weight })));

  test('says its row, and what is added above its beginning', () => {
    expect(onlyChoice(weighing(999)).working).toMatchObject([
      {
        text: 'Far table, row 1, CA, 0 kg to less than 1 kg: 7.00',
        change: 700,
        from: { kind: 'table', id: 'far' },
      },
    ]);
    expect(onlyChoice(weighing(2_501)).working).toMatchObject([
      {
        text: 'Far table, row 2, CA, from 2 kg: 9.00; 501 g above it at 0.40 for each started 500 g: 0.80',
        change: 980,
      },
    ]);
  });

  test('is withheld where no row holds', () => {
    expect(onlyWithheld(weighing(1_000))).toMatchObject({
      code: 'no-table-row',
      text: 'Far table has no row for Canada and 1 kg.',
      from: { kind: 'table', id: 'far' },
    });
    const france = makeRequest({ destination: { country: 'FR' } });
    const world = { ...book, zones: book.zones.map((zone) => ({ ...zone, remainder: true })) };
    expect(onlyWithheld(quoted(world, france)).text).toBe('Far table has no row for this place.');
  });
});
