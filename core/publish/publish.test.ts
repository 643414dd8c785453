import type { Book } from '../model/book.ts';
import type { Good } from '../model/good.ts';
import type { Rate } from '../model/rate.ts';
import { compile } from '../quote/compile.ts';
import {
  makeAccount,
  makeBook,
  makeCatalogue,
  makeGood,
  makeRate,
  makeRequest,
  makeZone,
  tiers,
} from '../testing/book.ts';
import { differences } from './differences.ts';
import { liveOf, mergeEditions, nextEdition, readEditions } from '../formats/edition.ts';
import { testOrderChanges } from './test-order-changes.ts';

type Part = Parameters<typeof makeBook>[0];
const said = (before: Part, after: Part, goods: [Good[], Good[]] = [[], []]): string[] =>
  differences(
    { book: makeBook(before), catalogue: makeCatalogue(...goods[0]) },
    { book: makeBook(after), catalogue: makeCatalogue(...goods[1]) },
    (code) => (code === 'CA-NS' ? 'Nova Scotia' : code),
  ).map(({ text }) => text);
const rates = (part: Partial<Rate>): Part => ({ rates: [makeRate(part)] });
const steps = (...pairs: [number, number][]): Part =>
  rates({
    price: tiers(
      'weight',
      pairs.map(([from, amount]) => ({ from, amount })),
    ),
  });
const rule: Book['adjustments'][number] = {
  id: 'a',
  name: 'Moss week',
  active: true,
  when: [],
  to: {},
  effect: { do: 'free' },
};

describe('what changed, in sentences', () => {
  test.each<[string, Part, Part, string[]]>([
    ['nothing', {}, {}, []],
    ['a new rate', { rates: [] }, {}, ['Parcel to country is new: 8.45.']],
    ['a rate that is gone', {}, { rates: [] }, ['Parcel to country is removed.']],
    [
      'a flat price',
      {},
      rates({ price: { kind: 'flat', amount: 900, per: 'order' } }),
      ['Parcel to country: 8.45 becomes 9.00.'],
    ],
    [
      'steps',
      steps([0, 500], [2_000, 900], [9_000, 1_500]),
      steps([0, 500], [2_000, 950], [5_000, 1_100]),
      [
        'Parcel to country: from 2 kg: 9.00 becomes 9.50; from 5 kg: 11.00 is new; from 9 kg: the step is removed.',
      ],
    ],
    ['another kind of price', {}, steps([0, 500]), ['Parcel to country: 8.45 becomes 5.00 by weight.']],
    [
      'thresholds, limits and bounds',
      rates({ freeFrom: 8_500, bounds: { min: 300 } }),
      rates({ freeFrom: 9_000, bounds: { min: 300 }, limits: { weight: { max: 30_000 } } }),
      ['Parcel to country: no longer free from 85.00; now free from 90.00, up to 30 kg.'],
    ],
    [
      'what is switched, for whom, and what is told',
      {},
      rates({ active: false, channels: ['web'], taxable: false, whenWithheld: 'tell' }),
      [
        'Parcel to country: is switched off; only for web; is not taxed; customers are told where it is not offered.',
      ],
    ],
    [
      'the places of a zone',
      { zones: [makeZone('country')] },
      {
        zones: [
          makeZone('country', {
            name: 'Home',
            includes: [
              { country: 'CA', subdivision: 'CA-NS' },
              { country: 'CA', postal: ['B3H*'] },
            ],
            remainder: true,
          }),
        ],
      },
      ['Home: was named country; takes everywhere else; takes Nova Scotia, B3H*; no longer takes Canada.'],
    ],
    ['an adjustment', {}, { adjustments: [rule] }, ['“Moss week” is new: Always: every choice is free.']],
    [
      'an adjustment that changed',
      { adjustments: [rule] },
      { adjustments: [{ ...rule, effect: { do: 'set', amount: 500 }, active: false, last: true }] },
      ['“Moss week”: is switched off; Always: every choice costs 5.00; skips later adjustments.'],
    ],
    [
      'what an adjustment is called, and what it tells customers',
      { adjustments: [{ ...rule, effect: { do: 'withhold', message: 'Too cold.' } }] },
      { adjustments: [{ ...rule, name: 'Frost', effect: { do: 'withhold', message: 'Too wet.' } }] },
      ['“Frost”: was named Moss week; what the customer is told: “Too cold.” becomes “Too wet.”'],
    ],
    [
      'a rate that is moved to another zone',
      { zones: [makeZone('country'), makeZone('far')] },
      { zones: [makeZone('country'), makeZone('far')], rates: [makeRate({ zoneId: 'far' })] },
      ['Parcel to far: was for Parcel to country.'],
    ],
    [
      'a step’s amount and what is added above it',
      rates({ price: tiers('weight', [{ from: 0, amount: 500, percent: 100 }]) }),
      rates({ price: tiers('weight', [{ from: 0, amount: 600, percent: 200 }]) }),
      ['Parcel to country: from 0 kg: 5.00 becomes 6.00, 1 % more becomes 2 % more.'],
    ],
    [
      'the order of adjustments',
      { adjustments: [rule, { ...rule, id: 'b' }] },
      { adjustments: [{ ...rule, id: 'b' }, rule] },
      ['The order of the adjustments changes.'],
    ],
    [
      'the store',
      { store: { handling: { amount: 100, per: 'order' } } },
      { store: { name: 'Other yard', defaultWeight: 500, rounding: { to: 5, mode: 'up' } } },
      [
        'The store, its name: Test yard becomes Other yard.',
        'The store, the weight where none is known: none becomes 500 g.',
        'The store, handling: 1.00 an order becomes none.',
        'The store, the rounding of charges: none becomes to 0.05, upwards.',
      ],
    ],
    [
      'where it sells',
      { store: { sellsTo: { mode: 'everywhere', countries: ['CU'], closedRegions: [] } } },
      { store: { sellsTo: { mode: 'everywhere', countries: ['IR'], closedRegions: [] } } },
      ['The store, where it sells: Iran closed.', 'The store, where it sells: Cuba opened.'],
    ],
    [
      'tables and the postal list',
      { rateTables: [{ id: 't', name: 'Far', basis: 'weight', rows: [{ from: 0, amount: 1 }] }] },
      {
        rateTables: [
          {
            id: 't',
            name: 'Far',
            basis: 'weight',
            rows: [
              { from: 0, amount: 2 },
              { from: 9, amount: 3 },
            ],
          },
        ],
        postalList: [{ country: 'CA', pattern: 'B*', served: true, cashOnDelivery: false }],
      },
      ['Far: 1 rows become 2; 2 rows changed or new.', 'The postal list, new: CA B*.'],
    ],
  ])('%s', (_, before, after, sentences) => {
    expect(said(before, after)).toEqual(sentences);
  });

  test('goods that came, went and changed', () => {
    expect(
      said({}, {}, [
        [makeGood('pot'), makeGood('urn')],
        [makeGood('pot', { price: 1_200 }), makeGood('vase')],
      ]),
    ).toEqual(['vase is a new product.', 'urn is no longer sold.', 'pot: price 10.00 becomes 12.00.']);
  });
});

describe('editions', () => {
  const catalogue = makeCatalogue();
  const note = { publishedAt: '2026-11-24T10:00:00-04:00', note: 'First' };

  test('are numbered on, the newest live, and merged without changing any', () => {
    const one = nextEdition([], makeBook(), catalogue, note);
    const two = nextEdition([one], makeBook(), catalogue, { ...note, despite: 'Urgent' });
    expect([one.number, two.number, two.despite]).toEqual([1, 2, 'Urgent']);
    expect(liveOf([two, one])).toBe(two);
    expect(liveOf([])).toBeNull();
    const first = [one];
    expect(mergeEditions(first, [{ ...one, note: 'Other' }])).toBe(first);
    expect(mergeEditions(first, [two]).map(({ number }) => number)).toEqual([1, 2]);
  });

  test('are read as they are written, and refused with their places', () => {
    const one = nextEdition([], makeBook(), catalogue, note);
    expect(readEditions(JSON.parse(JSON.stringify([one])))).toEqual({ ok: true, value: [one] });
    const bad = { ...one, note: '', catalogue: makeCatalogue(makeGood('pot', { groupIds: ['gone'] })) };
    const read = readEditions([bad]);
    expect(read.ok ? [] : read.faults.map(({ path }) => path)).toEqual(['[0].note']);
    const dangling = readEditions([{ ...bad, note: 'x' }]);
    expect(dangling.ok ? [] : dangling.faults.map(({ path }) => path)).toEqual([
      '[0].catalogue.goods[0].groupIds[0]',
    ]);
  });
});

test('test orders whose charges or choices differ say by how much, what is lost and what is gained', () => {
  const services = ['parcel', 'van', 'bike'].map((id) => ({ id, name: id }));
  const before = compile(
    makeBook({ services, rates: [makeRate(), makeRate({ id: 'van', serviceId: 'van' })] }),
    makeCatalogue(),
  );
  const after = compile(
    makeBook({
      services,
      rates: [
        makeRate({ price: { kind: 'flat', amount: 900, per: 'order' } }),
        makeRate({ id: 'bike', serviceId: 'bike' }),
      ],
    }),
    makeCatalogue(),
  );
  const testOrder = { id: 't', name: 'T', request: makeRequest(), expects: [] };
  const gone = { ...testOrder, id: 'gone', request: makeRequest({ lines: [{ sku: 'gone', quantity: 1 }] }) };
  expect(testOrderChanges(before, after, [testOrder, gone])).toEqual([
    {
      id: 't',
      name: 'T',
      charges: [{ name: 'parcel', was: 845, now: 900 }],
      lost: ['van'],
      gained: ['bike'],
    },
  ]);
  expect(testOrderChanges(before, before, [testOrder])).toEqual([]);
});

test('a rate that was put in place of another of the same service is no choice lost and gained', () => {
  const [testOrder] = [{ id: 't', name: 'T', request: makeRequest(), expects: [] }];
  const withRate = (id: string, amount: number) =>
    compile(
      makeBook({ rates: [makeRate({ id, price: { kind: 'flat', amount, per: 'order' } })] }),
      makeCatalogue(),
    );
  const name = expect.any(String) as string;
  expect(testOrderChanges(withRate('rest', 1_200), withRate('abroad', 1_200), [testOrder])).toEqual([]);
  expect(testOrderChanges(withRate('rest', 1_200), withRate('abroad', 900), [testOrder])).toEqual([
    { id: 't', name: 'T', charges: [{ name, was: 1_200, now: 900 }], lost: [], gained: [] },
  ]);
});

test('changes of carriers, boxes and import charges are told, and never a secret', () => {
  const box = {
    id: 'crate',
    name: 'Crate',
    inside: { length: 400, width: 300, height: 200 },
    maxWeight: 9_000,
    tare: 90,
  };
  const own = { kind: 'own' as const, accountNumber: 'T1' };
  const account = makeAccount({ mode: 'sandbox', credentials: { ...own, secret: 'hush' } });
  const before = makeBook({ boxes: [box], carriers: [account] });
  const after = {
    ...before,
    boxes: [{ ...box, maxWeight: 12_000 }],
    carriers: [
      {
        ...account,
        mode: 'live' as const,
        credentials: { ...own, secret: 'louder' },
        timeoutMs: 900,
      },
    ],
    duties: { ...before.duties, terms: 'DDP' as const, clearanceFee: 700 },
  };
  const catalogue = makeCatalogue();
  const told = differences({ book: before, catalogue }, { book: after, catalogue }).map(({ text }) => text);
  expect(told.join(' ')).toMatch(
    /Fulmar: mode: sandbox becomes live; has other credentials; time for an answer: 2000 ms becomes 900 ms/,
  );
  expect(told.join(' ')).toContain('40 × 30 × 20 cm, up to 12 kg');
  expect(told).toEqual(
    expect.arrayContaining(['Terms of delivery: DAP becomes DDP.', 'Clearance fee: 0.00 becomes 7.00.']),
  );
  expect(told.join(' ')).not.toMatch(/hush|louder/);
});
