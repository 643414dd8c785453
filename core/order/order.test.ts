import { isTaxWithin } from './tax-within.ts';
import { quoteSchema } from '../model/quote.ts';
import fc from 'fast-check';
import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import type { PastOrder } from '../model/order.ts';
import type { TaxRate } from '../model/tax.ts';
import { compile } from '../quote/compile.ts';
import { quote } from '../quote/quote.ts';
import { taxLines } from '../quote/tax-lines.ts';
import {
  makeAccount,
  makeBook,
  makeCarrierPrice,
  makeCatalogue,
  makeGood,
  makeRate,
  makeRequest,
  makeYard,
  quoted,
  tiers,
} from '../testing/book.ts';
import { customerReason } from '../words/customer/customer-reason.ts';
import { withStatus } from './hand-over.ts';
import { mergeOrders } from './merge-orders.ts';
import { takeOrders } from './take-orders.ts';
import { ENGLISH_WORDS } from '../testing/words.ts';
import { obstacles, toldReason } from './obstacles.ts';
import { nextNumber, placeOrder, type Ordering } from './place-order.ts';

const TAXES: TaxRate[] = [
  { id: 'gst', name: 'GST', region: { country: 'CA' }, points: 500, on: 'both' },
  { id: 'pst', name: 'PST', region: { country: 'CA', subdivision: 'CA-NS' }, points: 700, on: 'goods' },
  { id: 'far', name: 'Far tax', region: { country: 'US' }, points: 900, on: 'both' },
];
const compiled = compile(makeBook({ taxes: TAXES }), makeCatalogue());
const ordering = (part: Partial<Ordering> = {}): Ordering => ({
  request: makeRequest(),
  choiceId: 'parcel-country',
  shown: 845,
  number: '1001',
  recipient: 'Ines Varga',
  ...part,
});

describe('the taxes of an order', () => {
  test('stand each on a line of its own, on goods and charge together', () => {
    const request = makeRequest();
    const quoteOf = quote(compiled, request);
    expect(taxLines(compiled, request, quoteOf, quoteOf.choices[0] ?? null)).toEqual([
      { id: 'gst', name: 'GST', points: 500, amount: 50 + 42 },
      { id: 'pst', name: 'PST', points: 700, amount: 70 },
    ]);
    expect(taxLines(compiled, request, quoteOf, null).map(({ amount }) => amount)).toEqual([50, 70]);
  });

  test('add up to what the quote says, whatever the rates, included or not', () => {
    const points = fc.integer({ min: 0, max: 3_000 });
    const on = fc.constantFrom('goods', 'charges', 'both');
    const sample = fc.record({
      taxes: fc.array(fc.record({ points, on }), { maxLength: 4 }),
      amount: fc.integer({ min: 0, max: 50_000 }),
      price: fc.integer({ min: 0, max: 200_000 }),
      included: fc.boolean(),
      taxable: fc.boolean(),
    });
    fc.assert(
      fc.property(sample, ({ taxes, amount, price, included, taxable }) => {
        const book = makeBook({
          store: { pricesIncludeTax: included },
          rates: [makeRate({ price: { kind: 'flat', amount, per: 'order' }, taxable })],
          taxes: taxes.map((tax, at) => ({
            id: `t${at}`,
            name: `T${at}`,
            region: { country: 'CA' },
            ...tax,
          })),
        });
        const ready = compile(book, makeCatalogue(makeGood('pot', { price })));
        const quoteOf = quote(ready, makeRequest());
        const [choice] = quoteOf.choices;
        const sum = taxLines(ready, makeRequest(), quoteOf, choice ?? null).reduce(
          (all, l) => all + l.amount,
          0,
        );
        expect(sum).toBe(quoteOf.goodsTax + (choice?.tax ?? 0));
      }),
    );
  });
});

describe('placing an order', () => {
  test('takes the charge of the preview and keeps the goods as they were sold', () => {
    const placed = placeOrder(compiled, ordering());
    expect(placed).toMatchObject({
      ok: true,
      value: {
        number: '1001',
        chosen: { id: 'parcel-country', kind: 'shipping', name: 'Parcel', charge: 845, total: 887 },
        request: { lines: [{ sku: 'pot', quantity: 1, price: 1_000, weight: 500, name: 'pot' }] },
        status: 'placed',
        sums: { goods: 1_000, taxes: 162, total: 1_000 + 845 + 162 },
      },
    });
    const dearer = compile(makeBook({ taxes: TAXES }), makeCatalogue(makeGood('pot', { price: 9_000 })));
    expect(placed.ok && quote(dearer, placed.value.request).subtotal).toBe(1_000);
  });

  test('says whether its taxes are added to what makes its total, or are within', () => {
    const withTax = (pricesIncludeTax: boolean, taxes = TAXES) => {
      const book = makeBook({ store: { pricesIncludeTax }, rates: [makeRate()], taxes });
      const placed = placeOrder(compile(book, makeCatalogue(makeGood('pot', { price: 1_000 }))), ordering());
      if (!placed.ok) throw new Error('the order was not placed');
      return placed.value;
    };
    expect(withTax(true).sums).toMatchObject({ goods: 1_000, total: 1_845 });
    expect([withTax(true), withTax(false), withTax(true, [])].map(isTaxWithin)).toEqual([true, false, false]);
  });

  test('remembers that a fallback was charged', () => {
    const price = makeCarrierPrice({ onError: { amount: 845, per: 'order' } });
    const down = compile(
      makeBook({
        locations: [makeYard()],
        carriers: [makeAccount()],
        rates: [makeRate({ price })],
      }),
      makeCatalogue(),
    );
    const placed = placeOrder(down, ordering());
    expect(placed.ok && placed.value.chosen.fallback).toBe(true);
    const flat = placeOrder(compiled, ordering());
    expect(flat.ok && flat.value.chosen).not.toHaveProperty('fallback');
  });

  test('does not add tax that the prices include', () => {
    const inclusive = compile(makeBook({ taxes: TAXES, store: { pricesIncludeTax: true } }), makeCatalogue());
    const placed = placeOrder(inclusive, ordering());
    expect(placed.ok && placed.value.sums?.total).toBe(1_845);
  });

  test('is refused where the choice is gone, its charge has moved, or a good is no longer sold', () => {
    const codeOf = (part: Partial<Ordering>) => {
      const placed = placeOrder(compiled, ordering(part));
      return placed.ok ? null : placed.faults.map(({ code }) => code);
    };
    expect(codeOf({ choiceId: 'express-country' })).toEqual(['choice-gone']);
    expect(codeOf({ shown: 800 })).toEqual(['charge-changed']);
    expect(codeOf({ request: makeRequest({ lines: [{ sku: 'urn', quantity: 1 }] }) })).toEqual([
      'good-unknown',
    ]);
  });

  test('gives the number after the greatest', () => {
    expect(nextNumber([])).toBe('1001');
    const most = [{ number: '999999999999' }, { number: '1000000000000' }];
    expect(nextNumber(most)).toBe('1000000000001');
    expect(nextNumber([{ number: '1007' }, { number: 'web-2000' }, { number: '1002' }])).toBe('1008');
  });
});

describe('orders from two places', () => {
  const order = (number: string, at: string, part: Partial<PastOrder> = {}): PastOrder => ({
    number,
    request: makeRequest({ placedAt: at }),
    chosen: { id: 'parcel-country', kind: 'shipping', name: 'Parcel', charge: 845, total: 845 },
    status: 'placed',
    history: [{ status: 'placed', at }],
    ...part,
  });
  const early = order('1001', '2026-11-01T09:00:00-04:00');
  const late = order('1002', '2026-11-02T09:00:00-04:00');

  test('are one list, oldest first, and the same list where nothing is new', () => {
    expect(mergeOrders([late], [early])).toEqual([early, late]);
    const both = [early, late];
    expect(mergeOrders(both, [{ ...late }])).toBe(both);
  });

  test('keep what is known further on of one order', () => {
    const packed = { status: 'packed' as const, at: '2026-11-01T10:00:00-04:00' };
    const further = { ...early, status: packed.status, history: [...early.history, packed] };
    expect(mergeOrders([early], [further])).toEqual([further]);
    expect(mergeOrders([further], [early])).toEqual([further]);
  });

  test('that got one number are both kept', () => {
    const other = order('1001', '2026-11-03T09:00:00-04:00', { recipient: 'Tomas Oriel' });
    expect(mergeOrders([early], [other]).map(({ number }) => number)).toEqual(['1001', '1001-2']);
    expect(
      mergeOrders([early, { ...other, number: '1001-2' }], [order('1001', '2026-11-04T09:00:00-04:00')]),
    ).toHaveLength(3);
  });
});

describe('orders of a file', () => {
  const at = '2026-11-20T09:00:00-04:00';
  const here: PastOrder = {
    number: '1001',
    request: makeRequest({ placedAt: '2026-11-01T09:00:00-04:00' }),
    chosen: { id: 'parcel-country', kind: 'shipping', name: 'Parcel', charge: 845, total: 845 },
    status: 'packed',
    recipient: 'Ines Varga',
    billing: { name: 'Quay & Co', address: { country: 'CA' } },
    history: [
      { status: 'placed', at: '2026-11-01T09:00:00-04:00' },
      { status: 'packed', at: '2026-11-02T09:00:00-04:00' },
    ],
  };
  const row = (part: Partial<PastOrder>): PastOrder => {
    const { billing: _, ...rest } = here;
    const status = part.status ?? here.status;
    return { ...rest, status, history: [{ status, at: here.request.placedAt }], ...part };
  };

  test('that are here just so add nothing', () => {
    expect(takeOrders([here], [row({}), here], at)).toMatchObject({ orders: [], same: 2, updated: [] });
  });

  test('change the recipient and the state of those here, as a step, and keep what a table does not hold', () => {
    const taken = takeOrders([here], [row({ status: 'handed-over', recipient: 'Tomas Oriel' })], at);
    expect(taken).toMatchObject({ added: 0, updated: ['1001'], same: 0 });
    const merged = mergeOrders([here], taken.orders);
    expect(merged).toHaveLength(1);
    expect(merged[0]).toMatchObject({
      recipient: 'Tomas Oriel',
      status: 'handed-over',
      billing: here.billing,
    });
    expect(merged[0]?.history.at(-1)).toEqual({ status: 'handed-over', at });
  });

  test('that say nothing of the state leave it', () => {
    const silent = row({ status: 'handed-over' });
    expect(takeOrders([here], [silent], at, new Set(['1001'])).same).toBe(1);
  });

  test('that are others of the same number get one of their own', () => {
    const other = row({ request: makeRequest({ placedAt: '2026-11-05T09:00:00-04:00' }) });
    const taken = takeOrders([here], [other], at);
    expect(taken).toMatchObject({ added: 1, renumbered: ['1001'] });
    expect(mergeOrders([here], taken.orders).map(({ number }) => number)).toEqual(['1001', '1001-2']);
  });

  test('go on past a hundred steps', () => {
    let order = here;
    for (let step = 0; step < 130; step += 1) {
      const later = new Date(Date.parse(at) + step * 60_000).toISOString();
      const next = withStatus(order, step % 2 === 0 ? 'placed' : 'packed', later);
      expect(mergeOrders([order], [next])).toEqual([next]);
      order = next;
    }
    expect(order.history).toHaveLength(100);
    expect(order.history[0]).toEqual(here.history[0]);
  });
});

describe('a customer who is offered nothing', () => {
  test('is told what stands in the way of this basket, once, and what would help', () => {
    const heavy = makeCatalogue(makeGood('pot', { weight: 40_000 }));
    const book = makeBook({
      services: [
        { id: 'parcel', name: 'Parcel' },
        { id: 'express', name: 'Express' },
      ],
      rates: [makeRate({ limits: { weight: { max: 30_000 } } })],
    });
    expect(obstacles(quoted(book, makeRequest(), heavy), ENGLISH_WORDS)).toEqual([
      {
        because: 'basket',
        why: 'Parcel takes up to 30 kg; your basket weighs 40 kg.',
        help: 'Take something out, or place two smaller orders.',
      },
    ]);
  });

  test('is told only of the service that takes most of what is too much', () => {
    const limits = (max: number) => ({ limits: { weight: { max } } });
    const book = makeBook({
      services: ['letter', 'parcel'].map((id) => ({ id, name: id })),
      rates: [
        makeRate({ id: 'a', serviceId: 'letter', ...limits(500) }),
        makeRate({ id: 'b', ...limits(30_000) }),
      ],
    });
    const heavy = makeCatalogue(makeGood('pot', { weight: 40_000 }));
    const whys = obstacles(quoted(book, makeRequest(), heavy), ENGLISH_WORDS).map(({ why }) => why);
    expect(whys).toEqual(['parcel takes up to 30 kg; your basket weighs 40 kg.']);
    const message = 'Ring us for freight.';
    const worded = {
      ...book,
      services: [...book.services, { id: 'freight', name: 'freight' }],
      rates: [
        ...book.rates,
        makeRate({ id: 'c', serviceId: 'freight', ...limits(35_000), whenWithheld: 'tell', message }),
      ],
    };
    expect(obstacles(quoted(worded, makeRequest(), heavy), ENGLISH_WORDS).map(({ why }) => why)).toEqual([
      ...whys,
      message,
    ]);
  });

  test('is told how much is lacking, in money', () => {
    const book = makeBook({ rates: [makeRate({ limits: { subtotal: { min: 2_500 } } })] });
    expect(obstacles(quoted(book), ENGLISH_WORDS)[0]).toMatchObject({
      why: 'Parcel is for 25.00 or more; your products come to 10.00.',
      help: 'Add 15.00 more to the basket.',
    });
  });

  test('reads the merchant’s own words where the rate has some', () => {
    const rate = makeRate({
      price: tiers('weight', [{ from: 0, amount: 400 }], 100),
      whenWithheld: 'tell',
      message: 'Ring us for heavy orders.',
    });
    const { withheld } = quoted(makeBook({ rates: [rate] }));
    expect(withheld.map((one) => toldReason(one, ENGLISH_WORDS).why)).toEqual(['Ring us for heavy orders.']);
  });

  test('says the same of a quote that went through JSON', () => {
    const limits = [{ weight: { max: 100 } }, { subtotal: { min: 2_500 } }, { units: { min: 2 } }];
    for (const part of limits) {
      const answer = quoted(makeBook({ rates: [makeRate({ limits: part })] }));
      const revived = quoteSchema.parse(JSON.parse(JSON.stringify(answer)));
      expect(obstacles(revived, ENGLISH_WORDS)).toEqual(obstacles(answer, ENGLISH_WORDS));
      expect(revived.withheld.map((one) => toldReason(one, ENGLISH_WORDS))).toEqual(
        answer.withheld.map((one) => toldReason(one, ENGLISH_WORDS)),
      );
      expect(obstacles(answer, ENGLISH_WORDS)).not.toEqual([]);
    }
  });

  test('where only the shop’s rules stand in the way, is told that once', () => {
    const reasons = obstacles(quoted(makeBook({ rates: [] })), ENGLISH_WORDS);
    expect(reasons.map(({ because }) => because)).toEqual(['shop']);
  });

  test('never reads a code, an id or the merchant’s word “zone”, anywhere in the demo', () => {
    const demo = compile(demoBook, demoCatalogue);
    const lines = demoCatalogue.goods.map(({ sku }) => ({ sku, quantity: 1 }));
    for (const country of ['CA', 'US', 'FR', 'KP', 'AQ']) {
      for (const line of lines) {
        const quoteOf = quote(demo, makeRequest({ destination: { country }, lines: [line] }));
        for (const { why, help } of obstacles(quoteOf, ENGLISH_WORDS))
          expect(`${why} ${help}`).not.toMatch(/zone|_/i);
        expect(quoteOf.choices.length > 0 || obstacles(quoteOf, ENGLISH_WORDS).length > 0).toBe(true);
      }
    }
  });
});

test('every reason that can be said to a merchant can be said to a customer', () => {
  const measure = 'weight' as const;
  const says = [
    { code: 'store-paused', message: '' },
    { code: 'address-needed' },
    { code: 'not-sold-there', place: 'KP' },
    { code: 'no-zone', place: 'AQ' },
    { code: 'no-rate', service: 'Parcel', zone: 'West', meant: true },
    { code: 'below-limit', measure, value: 100, limit: 500 },
    { code: 'below-first-step', measure, value: 100, first: 500 },
    { code: 'above-limit', measure: 'longestSide', value: 1_800, limit: 1_500 },
    { code: 'above-last-step', measure, value: 900, until: 500 },
    { code: 'weight-unknown', goods: ['Urn'] },
    { code: 'size-unknown', goods: ['Urn'] },
  ] as const;
  const reasons = says.map((say) => customerReason(say, 'Parcel', ENGLISH_WORDS));
  expect(reasons.map(({ why }) => why)).toEqual([
    'We are taking no orders at present.',
    'The charge depends on where the order goes.',
    'We do not send to this address.',
    'We do not send to this address.',
    'We cannot offer a way to send this order to this address.',
    'Parcel is for 500 g or more; your basket weighs 100 g.',
    'Parcel is for 500 g or more; your basket weighs 100 g.',
    'Parcel takes up to 150 cm; your longest item measures 180 cm.',
    'Parcel takes less than 500 g; your basket weighs 900 g.',
    'We do not have the weight of Urn on record, so we cannot say what sending it costs.',
    'We do not have the size of Urn on record, so we cannot say what sending it costs.',
  ]);
  expect(reasons.every(({ help }) => help !== '')).toBe(true);
});
