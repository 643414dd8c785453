import { guessMapping } from './list-columns.ts';
import { placeless, readList, type ReadingContext } from './list-format.ts';
import { PAST_ORDERS, type PastMeaning } from './past-orders-table.ts';

const MEANING: PastMeaning = {
  decimals: 2,
  unit: 'kg',
  units: 'metric',
  dates: 'day-first',
  home: 'CA',
  subdivisions: new Map([['CA', [{ code: 'CA-NS', name: 'Nova Scotia' }]]]),
};
const CONTEXT: ReadingContext = {
  ...placeless('.'),
  countryOf: (text) => ({ canada: 'CA', us: 'US' })[text.toLowerCase()] ?? null,
};
const HEADINGS = [
  'Order no',
  'Created at',
  'Shipping method',
  'Postage',
  'Label cost',
  'Total weight',
  'Items total',
  'ZIP',
  'Province',
];
const read = (rows: string[][], meaning: Partial<PastMeaning> = {}, headings = HEADINGS) =>
  readList(
    PAST_ORDERS,
    [headings, ...rows],
    guessMapping(headings, PAST_ORDERS.columns),
    { ...MEANING, ...meaning },
    CONTEXT,
  );
const ROW = ['A-7', '03/04/2026 15:30', 'Parcel', '$12.50', '9.80', '1.2', '48', 'B3H 2Y9', ''];
const over = (changes: Record<number, string>): string[] => ROW.map((cell, at) => changes[at] ?? cell);

describe('past orders from elsewhere', () => {
  test('are read under headings of other names; a weight and a subtotal stand for the products', () => {
    const { items, faults } = read([ROW]);
    expect(faults).toEqual([]);
    expect(items).toMatchObject([
      {
        number: 'A-7',
        request: {
          placedAt: '2026-04-03T15:30:00Z',
          destination: { country: 'CA', subdivision: 'CA-NS', postalCode: 'B3H 2Y9' },
          lines: [{ quantity: 1, weight: 1_200, price: 4_800, fulfilment: 'physical' }],
        },
        chosen: { name: 'Parcel', charge: 1_250 },
        cost: 980,
        status: 'handed-over',
      },
    ]);
  });

  test('have dates by what comes first in them, and weights by the unit of the file', () => {
    const [month] = read([ROW], { dates: 'month-first' }).items;
    expect(month?.request.placedAt).toBe('2026-03-04T15:30:00Z');
    const [iso] = read([over({ 1: '2026-11-24', 5: '900' })], { unit: 'g' }).items;
    expect(iso?.request).toMatchObject({ placedAt: '2026-11-24T12:00:00Z', lines: [{ weight: 900 }] });
    const [instant] = read([over({ 1: '2026-11-24T09:00:00-04:00', 5: '2 lb' })]).items;
    expect(instant?.request.placedAt).toBe('2026-11-24T09:00:00-04:00');
    expect(instant?.request.lines[0]?.weight).toBeCloseTo(907.185, 2);
  });

  test('keep their products where the file has them', () => {
    const headings = [...HEADINGS, 'Items'];
    const [order] = read([[...ROW, '2 x pot-26; trowel']], {}, headings).items;
    expect(order?.request.lines).toEqual([
      { sku: 'pot-26', quantity: 2 },
      { sku: 'trowel', quantity: 1 },
    ]);
  });

  test.each([
    [{ 1: '31/31/2026' }, 'cell-unread', 'row 2, Date'],
    [{ 1: '' }, 'cell-unread', 'row 2, Date'],
    [{ 3: '' }, 'cell-unread', 'row 2, Charged'],
    [{ 3: 'twelve' }, 'cell-unread', 'row 2, Charged'],
    [{ 4: 'n/a' }, 'cell-unread', 'row 2, Cost'],
    [{ 5: 'heavy' }, 'cell-unread', 'row 2, Weight'],
    [{ 5: '', 6: '' }, 'order-without-goods', 'row 2'],
    [{ 0: '' }, 'cell-unread', 'row 2, Number'],
  ])('with %j are left out and named', (changes: Record<number, string>, code, path) => {
    const { items, faults, faulty } = read([over(changes), over({ 0: 'A-8' })]);
    expect(faults.map((one) => [one.code, one.path])).toEqual([[code, path]]);
    expect([faulty, items.map(({ number }) => number)]).toEqual([1, ['A-8']]);
  });

  test('with a country nobody knows, or a number that was there, are left out', () => {
    const headings = [...HEADINGS, 'Country'];
    const { items, faults } = read(
      [
        [...ROW, 'Canada'],
        [...ROW, 'Canada'],
        [...over({ 0: 'A-9' }), 'Moon'],
      ],
      {},
      headings,
    );
    expect(items).toHaveLength(1);
    expect(faults.map(({ code, path }) => `${path}: ${code}`)).toEqual([
      'row 3, Number: cell-duplicate',
      'row 4, Country: cell-unread',
    ]);
  });

  test('are not read at all where a needed column is missing', () => {
    expect(read([['1', '2026-01-01']], {}, ['Number', 'Date']).faults).toEqual([
      expect.objectContaining({ code: 'column-missing', detail: { column: 'Charged' } }),
    ]);
  });
});
