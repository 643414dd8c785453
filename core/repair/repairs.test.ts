import { problemKey } from '../model/accepted.ts';
import { audit } from '../audit/audit.ts';
import { AuditMemory } from '../audit/memory.ts';
import type { Book } from '../model/book.ts';
import type { Problem } from '../model/problem.ts';
import type { Good } from '../model/good.ts';
import type { TestOrder } from '../model/test-order.ts';
import { bookSchema } from '../model/book.ts';
import { compile, type Ask } from '../quote/compile.ts';
import {
  makeAccount,
  makeArea,
  makeBook,
  makeCarrierPrice,
  makeCatalogue,
  makeGood,
  makeGroup,
  makeRate,
  makeYard,
  makeZone,
  tiers,
} from '../testing/book.ts';
import { askedLabel, repairLabel } from './repair-words.ts';
import { askedValue } from './asked-value.ts';
import { withChanges, type Shop } from './change.ts';
import type { Change } from './change.ts';
import { triedRepairs, type TriedRepair, type TriedShop } from './tried-repairs.ts';

const ON = '2026-11-24';
const noAnswer: Ask = (questions) =>
  questions.map(({ key }) => ({ key, ok: false, error: 'unreachable' }) as never);

interface Fault {
  part?: Parameters<typeof makeBook>[0];
  goods?: Good[];
  /** The repairs that are offered. */
  repairs?: string[];
  /** What is asked for, and a value that mends it. */
  asks?: [label: string, value: unknown];
}

const CA = makeZone('country', { name: 'Canada' });
const adjustment = (part: Partial<Book['adjustments'][number]>): Book['adjustments'][number] => ({
  id: 'frost',
  name: 'Frost',
  active: true,
  when: [],
  to: {},
  effect: { do: 'withhold' },
  ...part,
});
const two = [CA, makeZone('states', { name: 'States', includes: [{ country: 'US' }] })];
const inTwo = ['country', 'states'].map((id) => makeRate({ id: `parcel-${id}`, zoneId: id }));
const sellsTo = (...countries: string[]): Book['store']['sellsTo'] => ({
  mode: 'listed',
  countries,
  closedRegions: [],
});
const steps = tiers('weight', [{ from: 0, amount: 500 }], 2_000);
const ca = { store: { sellsTo: sellsTo('CA') } };

const FAULTS: Record<string, Fault> = {
  'no-zone': {
    part: { zones: [CA], store: { sellsTo: sellsTo('CA', 'US') } },
    repairs: ['Add United States to Canada', 'Stop selling to United States'],
  },
  'postal-not-served': {
    part: { ...ca, postalList: [{ country: 'CA', pattern: 'B3S*', served: false, cashOnDelivery: false }] },
    repairs: ['Serve B3S*'],
  },
  'zone-without-rate': {
    part: { ...ca, rates: [makeRate({ active: false })] },
    repairs: ['Switch on Parcel to country'],
  },
  'group-not-sent': {
    part: { ...ca, groups: [makeGroup('soil', { name: 'Soil' })] },
    goods: [makeGood('pot'), makeGood('loam', { groupIds: ['soil'] })],
    repairs: ['Allow Soil to be shipped to country'],
  },
  'measure-gap': {
    part: { ...ca, rates: [makeRate({ price: steps })] },
    goods: [makeGood('urn', { weight: 5_000 })],
    repairs: ['Let the last step of Parcel to country have no end'],
  },
  'no-choice': {
    part: { ...ca, rates: [makeRate({ limits: { weight: { max: 900 }, units: { max: 9_999_999 } } })] },
    goods: [makeGood('urn', { weight: 5_000 })],
    repairs: ['Remove the limit on weight of Parcel to country', 'Remove all limits of Parcel to country'],
    asks: ['Parcel to country takes up to', 9_999_999_999],
  },
  'withheld-by-adjustment': {
    part: {
      store: { sellsTo: sellsTo('CA', 'US') },
      zones: two,
      rates: inTwo,
      adjustments: [adjustment({ when: [{ test: 'destination', in: [{ country: 'US' }] }] })],
    },
    repairs: ['Switch off “Frost”', 'Keep “Frost” out of States'],
  },
  'free-by-adjustment': {
    part: { ...ca, adjustments: [adjustment({ effect: { do: 'add', amount: -900, per: 'order' } })] },
    repairs: ['Switch off “Frost”'],
  },
  'discount-meets-free': {
    part: {
      ...ca,
      rates: [makeRate({ freeFrom: 5_000 })],
      adjustments: [adjustment({ effect: { do: 'add', amount: -100, per: 'order' } })],
    },
    repairs: ['Switch off “Frost”', 'Never make Parcel to country free'],
  },
  'always-free': {
    part: { ...ca, rates: [makeRate({ freeFrom: 500 })] },
    repairs: ['Never make Parcel to country free'],
    asks: ['Parcel to country is free from', 5_000],
  },
  'free-price': {
    part: { ...ca, rates: [makeRate({ price: { kind: 'flat', amount: 0, per: 'order' } })] },
    asks: ['Price of Parcel to country', 845],
  },
  'free-out-of-reach': {
    part: { ...ca, rates: [makeRate({ freeFrom: 9_000, limits: { subtotal: { max: 5_000 } } })] },
    repairs: ['Never make Parcel to country free'],
    asks: ['Parcel to country is free from', 4_000],
  },
  'minimum-above-free': {
    part: { ...ca, rates: [makeRate({ freeFrom: 5_000, bounds: { min: 6_000 } })] },
    repairs: ['Remove the minimum charge of Parcel to country', 'Never make Parcel to country free'],
    asks: ['Parcel to country is free from', 7_000],
  },
  'bounds-contradict': {
    part: { ...ca, rates: [makeRate({ bounds: { min: 900, max: 400 } })] },
    repairs: [
      'Remove the minimum charge of Parcel to country',
      'Remove the maximum charge of Parcel to country',
    ],
  },
  'limits-contradict': {
    part: {
      ...ca,
      services: [
        { id: 'parcel', name: 'Parcel' },
        { id: 'van', name: 'Van' },
      ],
      rates: [
        makeRate(),
        makeRate({ id: 'van-country', serviceId: 'van', limits: { weight: { min: 900, max: 400 } } }),
      ],
    },
    repairs: ['Remove the minimum weight of Van to country', 'Remove the maximum weight of Van to country'],
  },
  'step-never-acts': {
    part: {
      ...ca,
      rates: [
        makeRate({
          price: tiers('weight', [
            { from: 0, amount: 500 },
            { from: 0, amount: 700 },
          ]),
        }),
      ],
    },
    repairs: ['Remove that step of Parcel to country'],
  },
  'adjustment-never-acts': {
    part: {
      ...ca,
      adjustments: [adjustment({ when: [{ test: 'dates', to: '2020-01-01' }], effect: { do: 'free' } })],
    },
    repairs: ['Remove “Frost”'],
  },
  'zone-off': {
    part: {
      zones: [{ ...CA, active: false }, makeZone('rest', { name: 'Rest', includes: [], remainder: true })],
      rates: [makeRate(), makeRate({ id: 'parcel-rest', zoneId: 'rest' })],
    },
    repairs: ['Switch on Canada'],
  },
  'zone-not-sold': {
    part: { store: { sellsTo: sellsTo('CA') }, zones: two, rates: inTwo },
    repairs: ['Switch off States'],
  },
  'zones-contest': {
    part: {
      ...ca,
      zones: [CA, makeZone('states', { name: 'States', includes: [{ country: 'CA' }, { country: 'US' }] })],
      rates: inTwo,
    },
    repairs: ['Remove CA from States'],
  },
  'service-without-rate': {
    part: {
      ...ca,
      services: [
        { id: 'parcel', name: 'Parcel' },
        { id: 'van', name: 'Van' },
      ],
    },
    repairs: ['Leave Van out of country on purpose'],
    asks: ['Price of Van to country', 1_200],
  },
  'carrier-serves-nothing': {
    part: {
      ...ca,
      locations: [makeYard()],
      carriers: [makeAccount()],
      rates: [makeRate({ price: makeCarrierPrice() })],
    },
    asks: ['Fallback charge of Fulmar', 1_500],
  },
  'weight-missing': {
    part: { ...ca, rates: [makeRate({ price: steps })] },
    goods: [makeGood('pot'), makeGood('urn', { weight: undefined })],
    asks: ['Weight of urn', 900],
  },
  'size-missing': {
    part: { ...ca, rates: [makeRate({ limits: { longestSide: { max: 900 } } })] },
    goods: [makeGood('urn')],
    asks: ['Size of urn', { length: 100, width: 100, height: 100 }],
  },
};

const auditOf = ({ book, catalogue }: Shop): Problem[] => audit(compile(book, catalogue, noAnswer), ON);

const shopOf = ({ part = {}, goods = [] }: Fault): Shop => {
  const zones = part.zones ?? [makeZone('country')];
  return { book: makeBook({ zones, ...part }), catalogue: makeCatalogue(...goods) };
};

const isIn = (shop: Shop, changes: readonly Change[], problem: Problem): boolean =>
  auditOf(withChanges(shop, changes)).some((one) => problemKey(one) === problemKey(problem));

const repairsOf = (shop: Shop, problem: Problem, testOrders: TestOrder[] = []): TriedRepair[] => {
  const compiled = compile(shop.book, shop.catalogue, noAnswer);
  const memory = new AuditMemory();
  const tried: TriedShop = {
    ...shop,
    compiled,
    problems: audit(compiled, ON, memory),
    testOrders,
    on: ON,
    memory,
  };
  return [...triedRepairs(tried, problem)].filter((one) => one !== null);
};

describe.each(Object.entries(FAULTS))('%s', (code, fault) => {
  const shop = shopOf(fault);
  const problem = auditOf(shop).find((one) => one.code === code) as Problem;

  test('offers the repairs that work, each of which is a sound book without the fault', () => {
    expect(problem).toBeDefined();
    const offered = repairsOf(shop, problem);
    expect(offered.map(({ repair }) => repairLabel(repair))).toEqual(fault.repairs ?? []);
    for (const { repair } of offered) {
      expect(isIn(shop, repair.changes, problem)).toBe(false);
      expect(bookSchema.safeParse(withChanges(shop, repair.changes).book).success).toBe(true);
    }
  });

  test('asks for one value where one mends it', () => {
    const asked = askedValue({ problem, compiled: compile(shop.book, shop.catalogue, noAnswer) });
    const [label, value] = fault.asks ?? [null, null];
    if (label === null && asked === null) return;
    if (!asked) throw new Error('nothing is asked for');
    if (label !== null) expect(askedLabel(asked)).toBe(label);
    if (label !== null) expect(isIn(shop, asked.give(value), problem)).toBe(false);
  });
});

test('a repair tells what it would change for test orders', () => {
  const shop = shopOf(FAULTS['withheld-by-adjustment'] as Fault);
  const problem = auditOf(shop).find(({ code }) => code === 'withheld-by-adjustment') as Problem;
  const request = problem.example as NonNullable<Problem['example']>;
  const testOrder: TestOrder = { id: 'one', name: 'To the States', request, expects: [] } as never;
  const [first] = repairsOf(shop, problem, [testOrder]);
  expect(first?.testOrders).toEqual([
    { id: 'one', name: 'To the States', charges: [], lost: [], gained: ['Parcel'] },
  ]);
});

test('a repair does no more than it says: what is sold elsewhere, delivered, or already a fallback stays', () => {
  const labels = (fault: Fault, code: string): string[] => {
    const shop = shopOf(fault);
    const problem = auditOf(shop).find((one) => one.code === code) as Problem;
    return repairsOf(shop, problem).map(({ repair }) => repairLabel(repair));
  };
  const province = makeZone('country', {
    name: 'Halifax',
    includes: [{ country: 'CA', subdivision: 'CA-NS' }],
  });
  expect(labels({ part: { ...ca, zones: [province] } }, 'no-zone')).toEqual(['Add Canada to Halifax']);
  const delivers = { locations: [makeYard()], areas: [makeArea()] };
  const frost = FAULTS['withheld-by-adjustment']?.part;
  expect(labels({ part: { ...frost, ...delivers } }, 'withheld-by-adjustment')).toEqual([
    'Switch off “Frost”',
  ]);

  const price = makeCarrierPrice({ onNone: { amount: 900, per: 'parcel', label: 'Post' } });
  const part = { ...ca, locations: [makeYard()], carriers: [makeAccount()], rates: [makeRate({ price })] };
  const shop = shopOf({ part });
  const problem = auditOf(shop).find(({ code }) => code === 'carrier-serves-nothing') as Problem;
  const asked = askedValue({ problem, compiled: compile(shop.book, shop.catalogue, noAnswer) });
  expect(withChanges(shop, asked?.give(1_500) ?? []).book.rates[0]?.price).toEqual({
    ...price,
    onError: { amount: 1_500, per: 'order' },
  });
});
