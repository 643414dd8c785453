import type { Adjustment } from '../model/adjustment.ts';
import type { Good } from '../model/good.ts';
import type { Choice } from '../model/quote.ts';
import type { Rate } from '../model/rate.ts';
import {
  makeArea,
  makeBook,
  makeCatalogue,
  makeGood,
  makeRate,
  makeRequest,
  makeYard,
  onlyChoice,
  quoted,
} from '../testing/book.ts';

type Part = NonNullable<Parameters<typeof makeBook>[0]>;

/** The working of a charge after its price: which step, by how much, and what is said of it. */
const workingOf = ({ working }: Choice) =>
  working.slice(1).map(({ step, change, say }) => [step, change, say]);

/** A pot for 10.00, sent for 8.45 and what a rate and a store add. */
const sent = (rate: Partial<Rate>, part: Part = {}, good: Partial<Good> = {}) =>
  workingOf(
    onlyChoice(
      quoted(
        makeBook({ rates: [makeRate(rate)], ...part }),
        makeRequest(),
        makeCatalogue(makeGood('pot', good)),
      ),
    ),
  );

const lowered = (amount: number): Adjustment => ({
  id: 'less',
  name: 'Less',
  active: true,
  when: [],
  to: {},
  effect: { do: 'add', amount, per: 'order' },
});
const FREE: Adjustment = { ...lowered(0), id: 'free', name: 'Free', effect: { do: 'free' } };

test('handling is a rate’s or the store’s, as points of the charge so far, as an amount, or as both', () => {
  const points = { points: 1_000, per: 'order' } as const;
  expect(sent({ handling: points })).toEqual([
    [
      'handling',
      85,
      {
        code: 'handling',
        whose: 'rate',
        points: 1_000,
        of: 845,
        share: 85,
        amount: 0,
        count: 0,
        per: 'order',
      },
    ],
  ]);
  const amount = { amount: 120, per: 'unit' } as const;
  expect(sent({}, { store: { handling: amount } })).toEqual([
    [
      'store-handling',
      120,
      { code: 'handling', whose: 'store', points: 0, of: 845, share: 0, amount: 120, count: 1, per: 'unit' },
    ],
  ]);
});

test('handling by the parcel is not said of goods whose parcels are not known', () => {
  const unknown = quoted(
    makeBook({
      rates: [makeRate({ handling: { amount: 100, per: 'parcel' } })],
      store: { packing: { kind: 'by-weight', maxWeight: 5_000 } },
    }),
    makeRequest(),
    makeCatalogue({ sku: 'pot', name: 'pot', price: 1_000, fulfilment: 'physical' }),
  );
  expect(unknown.withheld.map(({ code }) => code)).toEqual(['weight-unknown']);
});

test('a threshold makes the whole charge nothing, of an area the price alone', () => {
  expect(sent({ freeFrom: 1_000, handling: { amount: 100, per: 'order' } }).at(-1)).toEqual([
    'free-from',
    -945,
    { code: 'free-reached', subtotal: 1_000, from: 1_000 },
  ]);
  expect(sent({ freeFrom: 1_001 })).toEqual([]);
  const area = makeArea({
    freeFrom: 1_000,
    methods: [{ id: 'van', name: 'Van', add: 150, addStays: true, timing: { kind: 'words', text: 'soon' } }],
  });
  const delivered = quoted(makeBook({ rates: [], services: [], locations: [makeYard()], areas: [area] }));
  expect(workingOf(onlyChoice(delivered)).find(([step]) => step === 'free-from')).toEqual([
    'free-from',
    -640,
    { code: 'area-free', subtotal: 1_000, from: 1_000, taken: 640, left: 150 },
  ]);
});

test('the store rounds what is not round, and says nothing of what is', () => {
  const rounding = { to: 50, mode: 'up' } as const;
  expect(sent({}, { store: { rounding } })).toEqual([
    ['rounding', 5, { code: 'rounded', to: 50, mode: 'up' }],
  ]);
  expect(sent({ price: { kind: 'flat', amount: 850, per: 'order' } }, { store: { rounding } })).toEqual([]);
});

test('bounds raise to the least and cut to the greatest, and say nothing within', () => {
  expect(sent({ bounds: { min: 900 } })).toEqual([['bounds', 55, { code: 'raised', min: 900 }]]);
  expect(sent({ bounds: { max: 800 } })).toEqual([['bounds', -45, { code: 'cut', max: 800 }]]);
  expect(sent({ bounds: { min: 845, max: 845 } })).toEqual([]);
  expect(sent({ bounds: { min: 900, max: 870 } })).toEqual([
    ['bounds', 55, { code: 'raised', min: 900 }],
    ['bounds', -30, { code: 'cut', max: 870 }],
  ]);
});

test('a charge that was made free stays below a least, whichever rule made it so, until one changes it again', () => {
  const least = { bounds: { min: 500 } };
  expect(sent({ ...least, freeFrom: 1_000 }).map(([step]) => step)).toEqual(['free-from']);
  expect(sent(least, { adjustments: [FREE] }).map(([step]) => step)).toEqual(['adjustment']);
  expect(sent(least, { adjustments: [FREE, lowered(100)] }).at(-1)).toEqual([
    'bounds',
    400,
    { code: 'raised', min: 500 },
  ]);
  // A threshold that is not reached makes nothing free.
  expect(sent({ bounds: { min: 900 }, freeFrom: 2_000 }).map(([step]) => step)).toEqual(['bounds']);
});

test('no charge is below nothing', () => {
  expect(sent({}, { adjustments: [lowered(-900)] }).at(-1)).toEqual([
    'not-below-zero',
    55,
    { code: 'not-below-zero' },
  ]);
});

test('a product with a fee has a line, others none', () => {
  expect(sent({}, {}, { onceFee: 300 })).toEqual([
    ['goods-fee', 300, { code: 'once-fee', good: 'pot', amount: 300 }],
  ]);
  expect(sent({})).toEqual([]);
});
