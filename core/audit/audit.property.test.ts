import fc from 'fast-check';
import type { Adjustment } from '../model/adjustment.ts';
import type { Book } from '../model/book.ts';
import type { Problem } from '../model/problem.ts';
import type { Good } from '../model/good.ts';
import type { Destination, Region } from '../model/place.ts';
import type { Choice } from '../model/quote.ts';
import type { Rate } from '../model/rate.ts';
import type { QuoteRequest } from '../model/request.ts';
import { compile, type CompiledBook } from '../quote/compile.ts';
import { quote } from '../quote/quote.ts';
import { makeBook, makeCatalogue, makeGood, makeRate, makeZone } from '../testing/book.ts';
import { audit } from './audit.ts';
import { AuditMemory } from './memory.ts';

const ON = '2026-11-24';
const maybe = <T>(value: fc.Arbitrary<T>) => fc.option(value, { nil: undefined });
const money = fc.constantFrom(0, 1, 400, 900);

const region: fc.Arbitrary<Region> = fc.constantFrom<Region>(
  { country: 'CA' },
  { country: 'CA', subdivision: 'CA-NS' },
  { country: 'CA', postal: ['B3*'] },
  { country: 'CA', postal: ['B3H*', 'A1A1A1'] },
  { country: 'US' },
);
const zones = fc
  .array(
    fc.record({ includes: fc.array(region, { maxLength: 2 }), active: fc.constantFrom(true, true, false) }),
    {
      minLength: 1,
      maxLength: 3,
    },
  )
  .chain((list) =>
    fc
      .integer({ min: -1, max: list.length - 1 })
      .map((rest) => list.map((part, at) => makeZone(`zone-${at}`, { ...part, remainder: at === rest }))),
  );

const price: fc.Arbitrary<Rate['price']> = fc.oneof(
  money.map((amount) => ({ kind: 'flat' as const, amount, per: 'order' as const })),
  fc
    .record({ from: fc.constantFrom(0, 500), amount: money, until: maybe(fc.constantFrom(1_000, 4_000)) })
    .map(({ from, amount, until }) => ({
      kind: 'steps' as const,
      basis: 'weight' as const,
      per: 'order' as const,
      steps: [
        { from, amount },
        { from: 2_000, amount: 700 },
      ],
      ...(until === undefined ? {} : { until }),
    })),
  fc
    .constantFrom(null, 0, 300)
    .map((otherwise) => ({ kind: 'per-product' as const, otherwise, per: 'unit' as const })),
);
const limits = fc.record(
  {
    weight: fc.record(
      { min: fc.constantFrom(400, 1_500), max: fc.constantFrom(900, 3_000) },
      { requiredKeys: [] },
    ),
    subtotal: fc.record(
      { min: fc.constantFrom(500, 2_500), max: fc.constantFrom(1_500) },
      { requiredKeys: [] },
    ),
    units: fc.record({ max: fc.constantFrom(1, 4) }),
  },
  { requiredKeys: [] },
);
const rate = fc.record({
  price,
  limits: maybe(limits),
  freeFrom: maybe(fc.constantFrom(100, 3_000)),
  active: fc.constantFrom(true, true, true, false),
  max: maybe(fc.constantFrom(0, 500)),
  handling: maybe(fc.constantFrom(150)),
});

const adjustment: fc.Arbitrary<Pick<Adjustment, 'when' | 'effect'>> = fc.record({
  when: fc.array(
    fc.constantFrom<Adjustment['when'][number]>(
      { test: 'measure', of: 'weight', min: 1_000 },
      { test: 'measure', of: 'subtotal', max: 1_200 },
      { test: 'goods', match: 'any', skus: ['good-0'] },
      { test: 'destination', in: [{ country: 'CA', subdivision: 'CA-NS' }] },
      { test: 'customer', in: ['trade'] },
      { test: 'dates', from: '2026-12-01' },
    ),
    { maxLength: 2 },
  ),
  effect: fc.constantFrom<Adjustment['effect']>(
    { do: 'free' },
    { do: 'set', amount: 0 },
    { do: 'withhold' },
    { do: 'add', amount: -500, per: 'order' },
    { do: 'percent', points: -10_000, of: 'charge' },
  ),
});
const good: fc.Arbitrary<Partial<Good>> = fc.record(
  {
    price: fc.constantFrom(300, 1_000),
    weight: fc.constantFrom(100, 450, 1_200),
    groupIds: fc.subarray(['one', 'two'], { minLength: 1 }),
    shippingPrice: fc.constantFrom(0, 250),
  },
  { requiredKeys: ['price'] },
);

interface Drawn {
  book: Book;
  goods: Good[];
}

const drawn: fc.Arbitrary<Drawn> = zones.chain((made) =>
  fc
    .record({
      rates: fc.array(rate, { minLength: made.length * 2, maxLength: made.length * 2 }),
      adjustments: fc.array(adjustment, { maxLength: 2 }),
      goods: fc.array(good, { minLength: 1, maxLength: 3 }),
      shipping: fc.constantFrom<Book['groups'][number]['shipping']>('any', ['service-0'], 'none'),
      nearest: fc.boolean(),
    })
    .map(({ rates, adjustments, goods, shipping, nearest }) => ({
      goods: goods.map((part, at) => ({ ...makeGood(`good-${at}`), weight: undefined, ...part }) as Good),
      book: makeBook({
        store: { rounding: nearest ? { to: 1_000, mode: 'nearest' } : 'none' },
        zones: made,
        groups: ['one', 'two'].map((id) => ({
          id,
          name: id,
          shipping: id === 'one' ? shipping : 'any',
          delivery: 'any',
          pickup: 'any',
        })),
        services: [0, 1].map((at) => ({ id: `service-${at}`, name: `Service ${at}` })),
        rates: made.flatMap((zone, z) =>
          [0, 1].map((s) => {
            const {
              max,
              handling,
              limits: limit,
              freeFrom,
              ...part
            } = rates[z * 2 + s] as (typeof rates)[number];
            return makeRate({
              id: `rate-${z}-${s}`,
              serviceId: `service-${s}`,
              zoneId: zone.id,
              ...part,
              ...(limit ? { limits: limit } : {}),
              ...(freeFrom === undefined ? {} : { freeFrom }),
              ...(max === undefined ? {} : { bounds: { max } }),
              ...(handling === undefined ? {} : { handling: { amount: handling, per: 'order' as const } }),
            } as Partial<Rate>);
          }),
        ),
        adjustments: adjustments.map((part, at) => ({
          id: `rule-${at}`,
          name: `Rule ${at}`,
          active: true,
          to: {},
          ...part,
        })),
      }),
    })),
);

const PLACES: Destination[] = ['CA', 'US', 'FR'].flatMap((country) => [
  { country },
  ...(country === 'CA'
    ? [
        { country, subdivision: 'CA-NS' },
        { country, subdivision: 'CA-NS', postalCode: 'B3H 1A1' },
        { country, subdivision: 'CA-NS', postalCode: 'B3K 1A1' },
        { country, subdivision: 'CA-NL', postalCode: 'A1A 1A1' },
        { country, subdivision: 'CA-AB', postalCode: 'T0T 0T0' },
      ]
    : []),
]);

/** Up to three of each good, with and without money off, at some moments, by some customers. */
const orders = function* (goods: readonly Good[]): Generator<QuoteRequest> {
  const mixes = goods.reduce<QuoteRequest['lines'][]>(
    (made, { sku }) =>
      made.flatMap((lines) =>
        [0, 1, 2, 3].map((quantity) => (quantity === 0 ? lines : [...lines, { sku, quantity }])),
      ),
    [[]],
  );
  for (const destination of PLACES)
    for (const lines of mixes.filter((mix) => mix.length > 0))
      for (const placedAt of ['2026-11-24T12:00:00-04:00', '2026-12-02T12:00:00-04:00'])
        for (const part of [{}, { customer: 'trade' }]) yield { destination, lines, placedAt, ...part };
};

const isExplained = ({ working }: Choice, book: Book): boolean =>
  working.some(({ step, from }) => {
    if (step === 'free-from') return true;
    const rule = step === 'adjustment' ? book.adjustments.find(({ id }) => id === from.id) : undefined;
    return rule?.effect.do === 'free';
  });

const names = (problems: readonly Problem[], gravity: Problem['gravity'], id: string): boolean =>
  problems.some(
    ({ gravity: one, code, where }) =>
      (one === gravity || code === 'not-settled') &&
      where.some((rule) => rule.id === id || rule.id.startsWith(`${id}:`)),
  );

const check = (compiled: CompiledBook, goods: readonly Good[], problems: readonly Problem[]): void => {
  for (const request of orders(goods)) {
    const { choices, zone } = quote(compiled, request);
    if (choices.length === 0 && !names(problems, 'stops', zone?.id ?? 'store'))
      throw new Error(`not found: no choice for ${JSON.stringify(request)}`);
    for (const choice of choices)
      if (choice.charge === 0 && !isExplained(choice, compiled.book) && !names(problems, 'leaks', choice.id))
        throw new Error(`not found: free by accident, ${choice.id} for ${JSON.stringify(request)}`);
  }
};

test('every order that has no choice, and every charge that is free by accident, is found by the audit', () => {
  fc.assert(
    fc.property(drawn, ({ book, goods }) => {
      const compiled = compile(book, makeCatalogue(...goods));
      check(compiled, goods, audit(compiled, ON));
    }),
    { numRuns: 60 },
  );
}, 240_000);

test('every fault that stops a customer or leaks money has an order that shows it', () => {
  fc.assert(
    fc.property(drawn, ({ book, goods }) => {
      const compiled = compile(book, makeCatalogue(...goods));
      for (const { gravity, example, where, code } of audit(compiled, ON)) {
        expect(where.length).toBeGreaterThan(0);
        if (gravity !== 'stops' && gravity !== 'leaks') continue;
        if (!example) throw new Error(`${code} has no example`);
        const { choices } = quote(compiled, example);
        if (gravity === 'stops') expect(choices).toEqual([]);
        else expect(choices.some(({ charge }) => charge === 0 || code === 'below-handling')).toBe(true);
      }
    }),
    { numRuns: 60 },
  );
}, 240_000);

type Cause = Problem['where'][number];

/** The book with the rule that a stop names as its cause taken back, in the plainest way there is. */
const without = (book: Book, { kind, id }: Cause): Book | null => {
  if (kind === 'adjustment') return { ...book, adjustments: book.adjustments.filter((one) => one.id !== id) };
  if (kind === 'group')
    return { ...book, groups: book.groups.map((one) => (one.id === id ? { ...one, shipping: 'any' } : one)) };
  if (kind !== 'rate') return null;
  return {
    ...book,
    rates: book.rates.map(({ limits, ...one }) =>
      one.id === id
        ? { ...one, price: { kind: 'flat', amount: 500, per: 'order' } }
        : { ...one, ...(limits ? { limits } : {}) },
    ),
  };
};

test('taking back the rule that is named restores a choice, no two entries name one, and it is then named no more', () => {
  let tried = 0;
  fc.assert(
    fc.property(drawn, ({ book, goods }) => {
      const catalogue = makeCatalogue(...goods);
      const stops = audit(compile(book, catalogue), ON).filter(({ gravity }) => gravity === 'stops');
      const causes = stops.map(({ where: [cause], code }) => `${code} ${cause?.kind}:${cause?.id}`);
      expect(new Set(causes).size).toBe(causes.length);
      for (const { where, example } of stops) {
        const mended = where[0] && without(book, where[0]);
        if (!mended || !example) continue;
        tried += 1;
        expect(quote(compile(mended, catalogue), example).choices.length).toBeGreaterThan(0);
        const left = audit(compile(mended, catalogue), ON).filter(({ gravity }) => gravity === 'stops');
        expect(
          left.some(({ where: [cause] }) => cause?.kind === where[0]?.kind && cause?.id === where[0]?.id),
        ).toBe(false);
      }
    }),
    { numRuns: 25 },
  );
  expect(tried).toBeGreaterThan(0);
}, 240_000);

const PARTS = ['store', 'groups', 'zones', 'rates', 'adjustments'] as const;

test('what is remembered of a shop never changes what is found after an edit of any of its parts', () => {
  fc.assert(
    fc.property(drawn, drawn, fc.subarray([...PARTS, 'goods'], { minLength: 1 }), (one, other, edited) => {
      const edits = Object.fromEntries(
        PARTS.filter((part) => edited.includes(part)).map((part) => [part, other.book[part]]),
      );
      const book = { ...one.book, ...edits };
      const zones = new Set(book.zones.map(({ id }) => id));
      const rates = book.rates.filter(({ zoneId }) => zones.has(zoneId));
      const goods = edited.includes('goods') ? other.goods : one.goods;
      const memory = new AuditMemory();
      audit(compile(one.book, makeCatalogue(...one.goods)), ON, memory);
      const now = compile({ ...book, rates }, makeCatalogue(...goods));
      expect(audit(now, ON, memory)).toEqual(audit(now, ON));
    }),
    { numRuns: 60 },
  );
}, 240_000);
