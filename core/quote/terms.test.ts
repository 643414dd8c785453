import fc from 'fast-check';
import type { Adjustment } from '../model/adjustment.ts';
import type { Good } from '../model/good.ts';
import type { Quote } from '../model/quote.ts';
import type { DutyRules } from '../model/tax.ts';
import {
  makeBook,
  makeCatalogue,
  makeDuties,
  makeDutyRate,
  makeGood,
  makeRate,
  makeRequest,
  makeZone,
  quoted,
} from '../testing/book.ts';

interface Sent {
  rules?: Partial<DutyRules>;
  goods?: Partial<Good>;
  country?: string;
  adjustments?: Adjustment[];
}

/** A pot for 100.00, sent for 10.00. */
const sent = ({ rules = {}, goods = {}, country = 'US', adjustments = [] }: Sent): Quote =>
  quoted(
    makeBook({
      zones: [makeZone('country', { includes: [{ country: 'CA' }, { country: 'US' }] })],
      rates: [makeRate({ price: { kind: 'flat', amount: 1_000, per: 'order' } })],
      duties: makeDuties({ terms: 'both', clearanceFee: 250, ...rules }),
      adjustments,
    }),
    makeRequest({ destination: { country } }),
    makeCatalogue(makeGood('pot', { price: 10_000, hsCode: '691200', ...goods })),
  );
const shown = ({ choices, withheld }: Quote) => [
  ...choices.map(({ id, total, duties }) => [id, total, duties?.terms, duties?.show]),
  ...withheld.map(({ id, code }) => [id, code]),
];

test('by both terms there is a choice of each, told apart by id', () => {
  const { choices } = sent({});
  expect(choices.map(({ id, total, of }) => [id, total, of.terms])).toEqual([
    ['parcel-country:DAP', 1_000, 'DAP'],
    ['parcel-country:DDP', 1_000 + 500 + 1_050 + 250, 'DDP'],
  ]);
  expect(choices.map(({ duties }) => duties)).toEqual([
    { terms: 'DAP', show: 'amount', duty: 500, importTax: 1_050, clearance: 0 },
    { terms: 'DDP', show: 'amount', duty: 500, importTax: 1_050, clearance: 250 },
  ]);
});

test('by one of the terms the choice keeps its id', () => {
  expect(shown(sent({ rules: { terms: 'DAP' } }))).toEqual([['parcel-country', 1_000, 'DAP', 'amount']]);
  expect(shown(sent({ rules: { terms: 'DDP' } }))).toEqual([['parcel-country', 2_800, 'DDP', 'amount']]);
});

test('at home, and where no rule speaks of it, nothing is said', () => {
  expect(shown(sent({ country: 'CA' }))).toEqual([['parcel-country', 1_000, undefined, undefined]]);
  expect(shown(sent({ rules: { rates: [], terms: 'DAP', show: 'nothing' } }))).toEqual([
    ['parcel-country', 1_000, undefined, undefined],
  ]);
});

test('the fee for clearance is charged where something is due', () => {
  expect(shown(sent({ rules: { terms: 'DDP', rates: [makeDutyRate({ duty: 0, importTax: 0 })] } }))).toEqual([
    ['parcel-country', 1_000, 'DDP', 'amount'],
  ]);
  expect(shown(sent({ rules: { terms: 'DDP', rates: [makeDutyRate({ duty: 0, importTax: 1 })] } }))).toEqual([
    ['parcel-country', 1_000 + 1 + 250, 'DDP', 'amount'],
  ]);
});

test('a product that no rate covers keeps it from being prepaid, and makes an amount a mention', () => {
  const rates = [makeDutyRate({ hsPrefix: '99' })];
  const uncovered = sent({ rules: { rates } });
  expect(shown(uncovered)).toEqual([
    ['parcel-country:DAP', 1_000, 'DAP', 'mention'],
    ['parcel-country:DDP', 'duty-unknown'],
  ]);
  expect(uncovered.withheld[0]).toMatchObject({ detail: { country: 'US', goods: ['pot'] } });
  expect(shown(sent({ rules: { rates, show: 'nothing' } }))[0]).toEqual([
    'parcel-country:DAP',
    1_000,
    'DAP',
    'nothing',
  ]);
  expect(shown(sent({ rules: { rates, terms: 'DDP' } }))).toEqual([['parcel-country', 'duty-unknown']]);
});

test('what does not travel bears no import charges', () => {
  expect(shown(sent({ goods: { fulfilment: 'digital' } }))).toEqual([
    ['nothing-to-ship', 0, undefined, undefined],
  ]);
});

test('prepaid costs as much more as the two charges and the fee, whatever they are', () => {
  const points = fc.integer({ min: 0, max: 5_000 });
  const rates = fc.record({
    duty: points,
    importTax: points,
    freeBelow: fc.constantFrom(0, 9_999, 10_001),
    valueBasis: fc.constantFrom('goods' as const, 'goods-and-shipping' as const),
  });
  fc.assert(
    fc.property(rates, fc.nat(900), (part, clearanceFee) => {
      const [dap, ddp] = sent({ rules: { clearanceFee, rates: [makeDutyRate(part)] } }).choices;
      const { duty = 0, importTax = 0, clearance = 0 } = ddp?.duties ?? {};
      expect(dap?.duties).toMatchObject({ duty, importTax, clearance: 0 });
      expect(clearance).toBe(duty + importTax > 0 ? clearanceFee : 0);
      expect(ddp?.total).toBe((dap?.total ?? 0) + duty + importTax + clearance);
      expect(ddp?.charge).toBe(dap?.charge);
    }),
  );
});

test('what falls due on arrival is remarked on where it is said and not paid before', () => {
  const noted = (rules: Partial<DutyRules>, country = 'US') =>
    sent({ rules, country }).notices.map(({ say }) => say);
  const onArrival = [{ code: 'prices-exclude-duty', country: 'US' }];
  expect(noted({ terms: 'DAP' })).toEqual(onArrival);
  expect(noted({ terms: 'both' })).toEqual(onArrival);
  expect(noted({ terms: 'DAP', show: 'mention' })).toEqual(onArrival);
  expect(noted({ terms: 'DAP', show: 'nothing' })).toEqual([]);
  expect(noted({ terms: 'DDP' })).toEqual([]);
  expect(noted({ terms: 'both' }, 'CA')).toEqual([]);
});

test('a product that no rate covers is named where it keeps a way from being prepaid, with the country', () => {
  const { withheld } = sent({ rules: { terms: 'DDP', rates: [makeDutyRate({ country: 'FR' })] } });
  expect(withheld.map(({ say, from }) => [say, from])).toEqual([
    [
      { code: 'duty-unknown', country: 'US', goods: ['pot'] },
      { kind: 'duty', id: 'US' },
    ],
  ]);
});

test('one of the terms is no part of the choice, for there is no other to tell it from', () => {
  expect(sent({ rules: { terms: 'DAP' } }).choices[0]?.of).toEqual({ rateId: 'parcel-country' });
});
