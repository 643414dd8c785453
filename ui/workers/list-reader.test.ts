import { TextDecoder as NodeDecoder } from 'node:util';
import fc from 'fast-check';
import Papa from 'papaparse';
import { guessMapping } from '../../core/formats/list-columns.ts';
import { RATE_TABLE } from '../../core/formats/rate-table.ts';
import { csvText, parseCsvInParts } from '../files/csv.ts';
import { decoded } from '../files/files.ts';
import { makeListReader } from './list-reader.ts';

// The test's own decoder knows one encoding only; a browser's knows those of older spreadsheets.
globalThis.TextDecoder = NodeDecoder as typeof TextDecoder;

const KILOS = { basis: 'weight', unit: 'kg', includesTo: false, decimals: 2 } as const;
const bytesOf = (text: string): ArrayBuffer => new TextEncoder().encode(text).buffer as ArrayBuffer;
const nothing = (): void => undefined;

describe('a list out of a file', () => {
  test('tells its headings, the first rows, and how far it is', async () => {
    const reader = makeListReader();
    const shares: number[] = [];
    const opened = await reader.open(bytesOf('From;Amount\n0;5\n1;6\n\n'), (share) => shares.push(share));
    expect(opened).toEqual({
      headings: ['From', 'Amount'],
      samples: [['0', '5'], ['1', '6'], [''], ['']],
      rows: 2,
    });
    expect(shares.at(-1)).toBe(1);
    const summary = reader.read('rate-table', ['from', 'amount'], KILOS, '.');
    expect(summary).toMatchObject({ sound: 2, faulty: 0, oddCount: 1 });
    expect(reader.items(1, 5)).toEqual([{ from: 1_000, amount: 600 }]);
  });

  test('says so many faults and oddities as can be read, and how many there are', async () => {
    const reader = makeListReader();
    const rows = Array.from({ length: 300 }, (_, at) => `${at * 10},${at % 2 === 0 ? 'x' : at * 10 + 5},1`);
    await reader.open(bytesOf(['From,To,Amount', ...rows].join('\n')), nothing);
    const summary = reader.read('rate-table', ['from', 'to', 'amount'], KILOS, '.');
    expect([summary.faults.length, summary.faultCount, summary.odd.length]).toEqual([100, 150, 100]);
    expect(summary.oddCount).toBeGreaterThan(100);
    expect(summary.oddRows[0]).toBe(3);
  });

  test('of older spreadsheets is read in their writing', async () => {
    const reader = makeListReader();
    const bytes = Uint8Array.from([...'From,Amount,Cit'].map((one) => one.charCodeAt(0)).concat(0xe9));
    expect((await reader.open(bytes.buffer as ArrayBuffer, nothing)).headings).toEqual([
      'From',
      'Amount',
      'Cité',
    ]);
  });

  test('of any bytes whatever is read or refused row by row, and never more than is there', async () => {
    await fc.assert(
      fc.asyncProperty(fc.uint8Array({ maxLength: 400 }), async (bytes) => {
        const reader = makeListReader();
        const { headings, rows } = await reader.open(bytes.slice().buffer as ArrayBuffer, nothing);
        const table = reader.read('rate-table', guessMapping(headings, RATE_TABLE.columns), KILOS, '.');
        const postal = reader.read(
          'postal-list',
          headings.map((_, at) => (at === 0 ? 'pattern' : null)),
          { home: 'CA' },
          '.',
        );
        for (const { sound, faulty } of [table, postal])
          expect(sound + faulty).toBeLessThanOrEqual(Math.max(rows, faulty));
        expect(reader.items(0, 1_000)).toHaveLength(postal.sound);
      }),
      { numRuns: 200 },
    );
  });
});

test('cells that a spreadsheet would run are made harmless, and are themselves again when they are read', () => {
  const cell = fc.string({ maxLength: 12 }).map((text) => text.replace(/[\r\n\0]/g, ''));
  const dangerous = fc
    .tuple(fc.constantFrom('=', '+', '-', '@', '|', ' =', '  +', '＝', '＋', '＠', '\t', '\n='), cell)
    .map(([mark, text]) => mark + text);
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.constant('a'), fc.oneof(cell, dangerous)), { minLength: 1, maxLength: 8 }),
      (rows) => {
        const text = csvText(rows);
        for (const cells of Papa.parse<string[]>(text, { delimiter: ',' }).data)
          for (const written of cells)
            expect(written).not.toMatch(/^(?!\s*[+-]\d+([.,]\d+)?$)\s*[=+@|＝＋＠-]/);
        const again = parseCsvInParts(text, nothing).rows.slice(0, rows.length);
        expect(again.map(([, held]) => held)).toEqual(rows.map(([, held]) => held));
      },
    ),
    { numRuns: 500, examples: [[[['a', '=||']]], [[['a', '=;;']]]] },
  );
});

test('what parts the cells is read off the headings; a cell may hold any of the others', () => {
  const read = (text: string): string[][] =>
    parseCsvInParts(text, nothing).rows.filter(([cell]) => cell !== '');
  expect(read('a,"\'=||"')).toEqual([['a', '=||']]);
  expect(read('name,note\nx,one; two; three')).toEqual([
    ['name', 'note'],
    ['x', 'one; two; three'],
  ]);
  expect(read('\n"A, B";Preis\n"x;y";1,50')).toEqual([
    ['A, B', 'Preis'],
    ['x;y', '1,50'],
  ]);
  expect(read('Artikel;Preis, EUR\nTopf;1,50\nUrne;2,50')[1]).toEqual(['Topf', '1,50']);
  expect(read('a\tb\n1\t2')[1]).toEqual(['1', '2']);
});

test('an apostrophe that stands before a formula is kept, and a number is left as it is', () => {
  const cells = ["'=1+1", "''@a", '-5', '+1.50', "'-5", "it's"];
  expect(parseCsvInParts(csvText([cells]), nothing).rows[0]).toEqual(cells);
  expect(csvText([['-5', '=1+1']])).toBe(`-5,"'=1+1"\r\n`);
});

test.each([
  ['UTF-8', [], 'utf8'],
  ['UTF-16, little end first', [0xff, 0xfe], 'utf16le'],
  ['UTF-16 without a mark', [], 'utf16le'],
] as const)('a list written in %s is read', async (_, mark, encoding) => {
  const text = 'country;postal;from;to;amount\r\nCA;B3H;0;2000;8.45\r\n';
  const bytes = Uint8Array.from([...mark, ...Buffer.from(text, encoding)]);
  expect((await makeListReader().open(bytes.buffer, nothing)).headings[0]).toBe('country');
});

test('a list in UTF-16 with the great end first is read, and Latin letters of older spreadsheets are', () => {
  const swapped = Buffer.from('\ufeffcode;place\nH2X;Montréal', 'utf16le').swap16();
  expect(decoded(Uint8Array.from(swapped).buffer)).toBe('code;place\nH2X;Montréal');
  expect(decoded(Uint8Array.from(Buffer.from('Montréal', 'latin1')).buffer)).toBe('Montréal');
});
