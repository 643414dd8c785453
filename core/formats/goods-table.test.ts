import fc from 'fast-check';
import { goodsDifference, sizeFigure } from '../goods/difference.ts';
import type { Good } from '../model/good.ts';
import { makeGood } from '../testing/book.ts';
import { faultSentence } from '../words/fault-sentence.ts';
import type { CellReading } from './goods-cell.ts';
import { GOODS_COLUMNS, guessColumns } from './goods-columns.ts';
import { goodCells, goodsSheet, readGoodsTable, type TableTaking } from './goods-table.ts';
import { placeless } from './list-format.ts';
import { typedSize } from './size-typed.ts';

const READING: CellReading = {
  display: { decimals: 2, units: 'metric' },
  mark: '.',
  groups: [{ id: 'pots', name: 'Glazed pots' }],
};
const KEEP: TableTaking = { empty: 'leaves', others: 'kept' };
const CLEAR: TableTaking = { empty: 'clears', others: 'removed' };

const take = (rows: string[][], here: Good[] = [], taking = KEEP, reading = READING) =>
  readGoodsTable(
    rows,
    guessColumns(rows[0] ?? [], reading.display.units),
    { ...reading, here, taking },
    placeless(reading.mark),
  );

describe('a size as people write it', () => {
  test.each([
    ['30x20x15 cm', { length: 300, width: 200, height: 150 }],
    ['30 × 20 × 15', { length: 300, width: 200, height: 150 }],
    ['300X200x150mm', { length: 300, width: 200, height: 150 }],
    ['12in x 8 in x 4 in', { length: 304.8, width: 203.2, height: 101.6 }],
    ['1.8 m by 5 cm by 40 mm', { length: 1_800, width: 50, height: 40 }],
    ['12,5*10*2', { length: 125, width: 100, height: 20 }],
  ])('%s', (text, size) => expect(typedSize(text, 'cm')).toEqual(size));

  test.each(['30x20', '30x20x', 'wide', '30x20x15x2', '30x-2x15', '30x20x15 kg', '900 m x 1 x 1'])(
    '%s is none',
    (text) => expect(typedSize(text, 'cm')).toBeNull(),
  );

  test('is shown in one unit', () => {
    expect(sizeFigure({ length: 300, width: 200, height: 150 }, 'metric')).toBe('30 × 20 × 15 cm');
    expect(sizeFigure({ length: 110, width: 80, height: 3 }, 'metric')).toBe('11 × 8 × 0.3 cm');
  });
});

describe('the columns of a table', () => {
  test('are known by their headings, with the unit a heading names', () => {
    const headings = [
      'SKU',
      'Product name',
      'Unit price',
      'Weight (lb)',
      'length_mm',
      'Height in inches',
      'Colour',
    ];
    expect(guessColumns(headings, 'metric')).toEqual([
      { column: 'sku' },
      { column: 'name' },
      { column: 'price' },
      { column: 'weight', unit: 'lb' },
      { column: 'length', unit: 'mm' },
      { column: 'height', unit: 'in' },
      { column: null },
    ]);
  });

  test('knows each column by the heading it is saved under, and by former ones', () => {
    const columnsOf = (headings: string[]) => guessColumns(headings, 'metric').map(({ column }) => column);
    expect(columnsOf(GOODS_COLUMNS.map(({ name }) => name))).toEqual(
      GOODS_COLUMNS.map(({ column }) => column),
    );
    expect(columnsOf(['Travels free', 'Its own shipping price'])).toEqual(['chargeFree', 'shippingPrice']);
  });

  test('bare figures are in the shop’s own units where the heading names none', () => {
    expect(guessColumns(['weight', 'dimensions'], 'imperial')).toEqual([
      { column: 'weight', unit: 'lb' },
      { column: 'size', unit: 'in' },
    ]);
  });

  test('one field is taken from one column', () => {
    expect(guessColumns(['sku', 'Item number'], 'metric')).toEqual([{ column: 'sku' }, { column: null }]);
  });
});

describe('a table of goods', () => {
  test('understands weights, sizes and prices with their units', () => {
    const { goods, faults, sound } = take([
      ['sku', 'name', 'price', 'weight', 'size', 'keep upright', 'group'],
      ['pot', 'Glazed pot', 'CAD 48.00', '2.5kg', '30x20x15 cm', 'yes', 'glazed POTS'],
      ['can', 'Watering can', '$39', '7 lb 4 oz', '', 'no', ''],
      ['bag', 'Soil', '12', '9', '', '', ''],
    ]);
    expect(faults).toEqual([]);
    expect(sound).toBe(3);
    expect(goods).toEqual([
      {
        sku: 'pot',
        name: 'Glazed pot',
        price: 4_800,
        fulfilment: 'physical',
        weight: 2_500,
        size: { length: 300, width: 200, height: 150 },
        keepUpright: true,
        groupIds: ['pots'],
      },
      { sku: 'can', name: 'Watering can', price: 3_900, fulfilment: 'physical', weight: 3_288.5446825 },
      { sku: 'bag', name: 'Soil', price: 1_200, fulfilment: 'physical', weight: 9_000 },
    ]);
  });

  test('three columns of sides make a size, and a side alone changes a size that is there', () => {
    const here = [makeGood('pot', { size: { length: 10, width: 20, height: 30 } })];
    const { goods } = take(
      [
        ['sku', 'name', 'price', 'length (cm)', 'width (cm)', 'height (cm)'],
        ['pot', '', '', '5', '', ''],
        ['box', 'Box', '1', '1', '2', '3'],
      ],
      here,
    );
    expect(goods[0]?.size).toEqual({ length: 50, width: 20, height: 30 });
    expect(goods[1]?.size).toEqual({ length: 10, width: 20, height: 30 });
  });

  test.each([
    [['pot', 'Pot', 'four', '', ''], 'row 2, Price', 'cell-unread'],
    [['pot', 'Pot', '-4', '', ''], 'row 2, Price', 'cell-unread'],
    [['pot', 'Pot', '4', 'heavy', ''], 'row 2, Weight', 'cell-unread'],
    [['pot', 'Pot', '4', '', '30x20'], 'row 2, Size, three sides', 'cell-unread'],
    [['pot', '', '4', '', ''], 'row 2, Name', 'cell-missing'],
    [['', 'Pot', '4', '', ''], 'row 2, Stock number', 'cell-missing'],
    [['pot', 'x'.repeat(121), '4', '', ''], 'row 2, Name', 'cell-unread'],
    [['pot', 'Pot', '4', '', '', 'more'], 'row 2', 'row-too-long'],
  ])('a fault says its row and column: %j', (row, path, code) => {
    const { goods, faults, faulty, sound } = take([['sku', 'name', 'price', 'weight', 'size'], row]);
    expect({ goods, faulty, sound }).toEqual({ goods: [], faulty: 1, sound: 0 });
    expect(faults).toMatchObject([{ path, code }]);
    expect(faultSentence(faults[0]!)).toMatch(/\.$/);
  });

  test('a row with a fault is left out and costs no other row', () => {
    const { goods, faulty } = take([
      ['sku', 'name', 'price'],
      ['a', 'A', '1'],
      ['b', 'B', 'x'],
      ['', '', ''],
      ['a', 'Again', '2'],
      ['c', 'C', '3'],
    ]);
    expect(goods.map(({ sku }) => sku)).toEqual(['a', 'c']);
    expect(faulty).toBe(2);
  });

  test('a stock number that stands twice names the row it stood in first', () => {
    const { faults } = take([
      ['sku', 'name', 'price'],
      ['a', 'A', '1'],
      ['a', 'Again', '2'],
    ]);
    expect(faultSentence(faults[0]!)).toBe('“a” is already in row 2.');
  });

  test('without the columns it needs nothing is read', () => {
    const { faults, goods } = take(
      [
        ['name', 'colour'],
        ['Pot', 'blue'],
      ],
      [],
    );
    expect(goods).toEqual([]);
    expect(faults.map(({ code, detail }) => [code, detail.column])).toEqual([
      ['column-missing', 'Stock number'],
      ['column-missing', 'Price'],
    ]);
  });

  test('two columns for one field are refused before any row is read', () => {
    const rows = [
      ['sku', 'size', 'length'],
      ['a', '', ''],
    ];
    const { faults } = take(rows, [makeGood('a')]);
    expect(faults.map(({ code }) => code)).toEqual(['column-twice']);
  });

  test('an empty cell leaves the field, or clears it where the person says so; never name or price', () => {
    const here = [makeGood('a', { weight: 100, keepUpright: true }), makeGood('b')];
    const rows = [
      ['sku', 'name', 'price', 'weight'],
      ['a', '', '', ''],
    ];
    expect(take(rows, here).goods).toEqual(here);
    expect(take(rows, here, CLEAR).goods).toEqual([
      { sku: 'a', name: 'a', price: 1_000, fulfilment: 'physical', keepUpright: true },
    ]);
  });

  test('a comma is read as the person’s own mark of decimals', () => {
    const reading: CellReading = { ...READING, mark: ',' };
    const { goods } = take(
      [
        ['sku', 'name', 'price', 'weight'],
        ['a', 'A', '12,50', '1,250'],
      ],
      [],
      KEEP,
      reading,
    );
    expect(goods[0]).toMatchObject({ price: 1_250, weight: 1_250 });
  });
});

describe('a difference between goods', () => {
  test('names what is new, what is gone, and each changed field in words', () => {
    const from = [makeGood('a', { weight: 400 }), makeGood('b')];
    const to = [makeGood('a', { weight: 1_500, packsAlone: true }), makeGood('c')];
    const { added, removed, changed } = goodsDifference(from, to, READING.display);
    expect(added.map(({ sku }) => sku)).toEqual(['c']);
    expect(removed.map(({ sku }) => sku)).toEqual(['b']);
    expect(changed).toEqual([
      {
        sku: 'a',
        name: 'a',
        fields: [
          { name: 'weight', from: '400 g', to: '1.5 kg' },
          { name: 'packs alone', from: 'none', to: 'yes' },
        ],
      },
    ]);
  });
});

const side = fc.oneof(
  fc.integer({ min: 0, max: 100_000 }),
  fc.integer({ min: 1, max: 999 }).map((tenths) => Number((tenths * 2.54).toFixed(9))),
);
const maybe = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: undefined });
const anyGood = fc
  .record({
    name: fc.string({ minLength: 1, maxLength: 60 }).filter((name) => name.trim() === name && name !== ''),
    price: fc.integer({ min: 0, max: 1_000_000_000 }),
    fulfilment: fc.constantFrom('physical' as const, 'digital' as const),
    weight: maybe(
      fc.oneof(
        fc.integer({ min: 0, max: 100_000_000 }),
        fc.integer({ min: 1, max: 9_999 }).map((ounces) => Number((ounces * 28.349523125).toFixed(9))),
      ),
    ),
    size: maybe(fc.record({ length: side, width: side, height: side })),
    onceFee: maybe(fc.integer({ min: 0, max: 1_000_000_000 })),
    packsAlone: maybe(fc.constant(true)),
    hsCode: maybe(fc.stringMatching(/^\d{4,10}$/)),
  })
  .map(
    (good) =>
      Object.fromEntries(Object.entries(good).filter(([, value]) => value !== undefined)) as unknown as Omit<
        Good,
        'sku'
      >,
  );

test('written and read back, any goods are the same goods', () => {
  fc.assert(
    fc.property(
      fc.array(anyGood, { maxLength: 8 }),
      fc.constantFrom('metric' as const, 'imperial' as const),
      (list, units) => {
        const goods = list.map((good, at): Good => ({ ...good, sku: `good-${at}` }));
        const reading: CellReading = { ...READING, display: { decimals: 2, units } };
        const read = take(
          [
            goodsSheet().map(({ heading }) => heading),
            ...goods.map((good) => goodCells(good, reading.display)),
          ],
          [],
          CLEAR,
          reading,
        );
        expect(read.faults).toEqual([]);
        expect(read.goods).toEqual(goods);
      },
    ),
  );
});
