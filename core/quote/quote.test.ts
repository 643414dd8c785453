import fc from 'fast-check';
import type { Book } from '../model/book.ts';
import { quoteSchema, type WorkingLine } from '../model/quote.ts';
import type { Line, QuoteRequest } from '../model/request.ts';
import { answersAtOnce } from '../../carriers/stand-ins.ts';
import { demoBook } from '../../demo/book.ts';
import { demoCatalogue } from '../../demo/goods.ts';
import {
  makeBook,
  makeCatalogue,
  makeGood,
  makeRate,
  makeRequest,
  makeZone,
  onlyChoice,
  onlyWithheld,
  quoted,
  tiers,
} from '../testing/book.ts';
import { compile, type CompiledBook } from './compile.ts';
import { makeParts } from './compiled-parts.ts';
import { quote, requestFaults } from './quote.ts';

const skus = demoCatalogue.goods.map((good) => good.sku);
const line: fc.Arbitrary<Line> = fc.record({
  sku: fc.constantFrom(...skus),
  quantity: fc.integer({ min: 1, max: 12 }),
});
const destination: fc.Arbitrary<QuoteRequest['destination']> = fc.option(
  fc.oneof(
    fc
      .constantFrom('NS', 'NB', 'ON', 'BC', 'YT')
      .map((code) => ({ country: 'CA', subdivision: `CA-${code}` })),
    fc.constantFrom('J0M 1C0', 'B2G 2L2', 'T0P 1A3').map((postalCode) => ({ country: 'CA', postalCode })),
    fc.constantFrom('US', 'FR', 'JP', 'CU', 'NO').map((country) => ({ country })),
    fc.constant({ country: 'US', subdivision: 'US-AK' }),
  ),
);
const request: fc.Arbitrary<QuoteRequest> = fc.record({
  destination,
  lines: fc.uniqueArray(line, { minLength: 1, maxLength: 6, selector: ({ sku }) => sku }),
  placedAt: fc.constantFrom('2026-11-24T10:15:00-04:00', '2026-12-24T18:00:00-04:00'),
  discount: fc.option(fc.nat(20_000), { nil: undefined }),
});
const variant: fc.Arbitrary<Book> = fc
  .record({
    handling: fc.option(
      fc.record({
        amount: fc.nat(300),
        points: fc.nat(900),
        per: fc.constantFrom('order', 'unit', 'parcel'),
      }),
      { nil: undefined },
    ),
    rounding: fc.constantFrom<Book['store']['rounding']>(
      'none',
      { to: 5, mode: 'up' },
      { to: 100, mode: 'nearest' },
    ),
    pricesIncludeTax: fc.boolean(),
    defaultWeight: fc.option(fc.nat(2_000), { nil: undefined }),
  })
  .map((store) => ({ ...demoBook, store: { ...demoBook.store, ...store } as Book['store'] }));

const parts = makeParts();
/** A variant of the demo as it is compiled after an edit: only what its store's settings touch is made anew. */
const compiledFrom = (book: Book): CompiledBook => compile(book, demoCatalogue, answersAtOnce, parts);

const NO_DUTIES = { duty: 0, importTax: 0, clearance: 0, terms: 'DAP' } as const;

/** Every service, method of an area and pickup point of a book. */
const idsOf = ({ services, areas, pickups }: Book): string[] =>
  [
    ...services.map(({ id }) => id),
    ...areas.flatMap(({ id, methods }) => methods.map((method) => `${id}:${method.id}`)),
    ...pickups.map(({ id }) => id),
  ].sort();

const FREE_PRICES = ['goes-free', 'nothing-travels', 'pickup-charge', 'flat'];
const TO_FREE = ['free-reached', 'area-free', 'adjusted', 'rounded', 'cut'];

/** What says why a charge is 0: a price of nothing, or the last change, which took it to 0. */
const codeOfFree = (working: readonly WorkingLine[]): string | undefined => {
  const last = working.findLast(({ change }) => change !== 0);
  const codes = last ? TO_FREE : FREE_PRICES;
  return (last ? [last] : working).map(({ say }) => say?.code ?? '').find((code) => codes.includes(code));
};

describe('the laws of a quote', () => {
  test('running totals add up to the charge, and a charge of 0 says why', () => {
    fc.assert(
      fc.property(variant, request, (book, asked) => {
        for (const choice of quote(compiledFrom(book), asked).choices) {
          let running = 0;
          for (const one of choice.working) {
            running += one.change;
            expect(one.running).toBe(running);
          }
          expect(choice.charge).toBe(running);
          const { duty, importTax, clearance, terms } = choice.duties ?? NO_DUTIES;
          const prepaid = terms === 'DDP' ? duty + importTax + clearance : 0;
          expect(choice.total).toBe(choice.charge + (choice.taxIncluded ? 0 : choice.tax) + prepaid);
          if (choice.charge === 0) expect(codeOfFree(choice.working)).toBeDefined();
        }
      }),
    );
  });

  test('every service, way and pickup point is offered or withheld, once', () => {
    fc.assert(
      fc.property(variant, request, (book, asked) => {
        const { choices, withheld } = quote(compiledFrom(book), asked);
        const travels = asked.lines.some(
          ({ sku }) => demoCatalogue.goods.find((good) => good.sku === sku)?.fulfilment === 'physical',
        );
        const ids = [...choices, ...withheld].map(({ id }) => id);
        expect(new Set(ids).size).toBe(ids.length);
        const services = ids.map((id) => {
          const [rateId] = id.split(':');
          return book.rates.find((rate) => rate.id === rateId)?.serviceId ?? id.replace(/:(DAP|DDP)$/, '');
        });
        expect([...new Set(services)].sort()).toEqual(travels ? idsOf(book) : ['nothing-to-ship']);
        for (const one of withheld) expect(one.text).not.toBe('');
      }),
    );
  });

  test('the order of the lines does not matter, and the same goes in as comes out', () => {
    fc.assert(
      fc.property(variant, request, (book, asked) => {
        const compiled = compiledFrom(book);
        const bare = (lines: Line[]) => {
          const { choices, withheld, subtotal, goodsTax } = quote(compiled, { ...asked, lines });
          return {
            subtotal,
            goodsTax,
            charges: choices.map(({ id, charge, tax }) => ({ id, charge, tax })),
            codes: withheld.map(({ id, code }) => ({ id, code })),
          };
        };
        expect(bare([...asked.lines].reverse())).toEqual(bare(asked.lines));
        expect(JSON.stringify(quote(compiled, asked))).toBe(
          JSON.stringify(
            quote(compile(structuredClone(book), demoCatalogue, answersAtOnce), structuredClone(asked)),
          ),
        );
      }),
    );
  });

  test('what it gives is of the public shape', () => {
    fc.assert(
      fc.property(variant, request, (book, asked) => {
        const json: unknown = JSON.parse(JSON.stringify(quote(compiledFrom(book), asked)));
        expect(quoteSchema.safeParse(json).error).toBeUndefined();
      }),
      { numRuns: 50 },
    );
  });
});

describe('what withholds every service', () => {
  const withheldFor = (book: Book, part: Partial<QuoteRequest> = {}) =>
    onlyWithheld(quoted(book, makeRequest(part)));

  test('no address, a closed country, no zone: in that order, under the id of the service', () => {
    const closed = { mode: 'listed' as const, countries: ['US'], closedRegions: [] };
    expect(withheldFor(makeBook(), { destination: null })).toMatchObject({
      id: 'parcel',
      code: 'address-needed',
      tell: false,
    });
    expect(withheldFor(makeBook({ store: { sellsTo: closed }, zones: [] }))).toMatchObject({
      id: 'parcel',
      code: 'not-sold-there',
    });
    expect(withheldFor(makeBook({ zones: [], rates: [] }))).toMatchObject({
      id: 'parcel',
      code: 'no-zone',
      text: 'No zone takes B2G 2L2 in Canada.',
    });
  });

  test('a pause, both days included, in the store’s time zone', () => {
    const pause = { from: '2026-12-24', to: '2026-12-26', message: 'Back on the 27th.', keepPickup: true };
    const book = makeBook({ store: { pause } });
    const code = (placedAt: string) => quoted(book, makeRequest({ placedAt })).withheld[0]?.code;
    expect(code('2026-12-24T03:59:00Z')).toBeUndefined();
    expect(code('2026-12-24T04:00:00Z')).toBe('store-paused');
    expect(code('2026-12-27T03:59:00Z')).toBe('store-paused');
    expect(code('2026-12-27T04:00:00Z')).toBeUndefined();
  });

  test('digital goods go on through a pause, and not to a closed country', () => {
    const pause = { from: '2026-01-01', to: '2026-12-31', message: '', keepPickup: false };
    const card = makeCatalogue(makeGood('pot', { fulfilment: 'digital' }));
    expect(onlyChoice(quoted(makeBook({ store: { pause } }), makeRequest(), card)).id).toBe(
      'nothing-to-ship',
    );
    const closed = makeBook({
      store: { sellsTo: { mode: 'everywhere', countries: ['CA'], closedRegions: [] } },
    });
    expect(onlyWithheld(quoted(closed, makeRequest(), card))).toMatchObject({
      id: 'nothing-to-ship',
      code: 'not-sold-there',
    });
  });

  test('a service left out on purpose says so', () => {
    const book = makeBook({ zones: [makeZone('country', { without: ['parcel'] })], rates: [] });
    expect(withheldFor(book).text).toBe('Parcel is deliberately not offered in country.');
  });
});

describe('what withholds a rate', () => {
  test('switched off, a channel, then limits by their order, under the id of the rate', () => {
    const code = (rate: Parameters<typeof makeRate>[0], part = {}) =>
      onlyWithheld(quoted(makeBook({ rates: [makeRate(rate)] }), makeRequest(part)));
    expect(code({ active: false, limits: { weight: { max: 1 } } })).toMatchObject({
      id: 'parcel-country',
      code: 'rate-off',
    });
    expect(code({ channels: ['market'] })).toMatchObject({ code: 'channel' });
    expect(code({ channels: ['market'] }, { channel: 'web' }).text).toBe(
      'Offered only on market; the order comes from web.',
    );
    const limits = { weight: { min: 600 }, subtotal: { max: 10 } };
    expect(code({ limits })).toMatchObject({
      code: 'below-limit',
      text: 'Weight 500 g is below the minimum of 600 g.',
    });
    expect(code({ limits: { units: { min: 2 } } }).text).toBe(
      'Basket 1 unit is below the minimum of 2 units.',
    );
  });

  test('limits include both ends, and measure what travels free too', () => {
    const book = makeBook({ rates: [makeRate({ limits: { weight: { min: 500, max: 500 } } })] });
    expect(onlyChoice(quoted(book)).charge).toBe(845);
    const heavy = makeCatalogue(makeGood('pot', { weight: 501, chargeFree: true }));
    expect(onlyWithheld(quoted(book, makeRequest(), heavy)).code).toBe('above-limit');
  });

  test('an unknown size is named where a limit needs it', () => {
    const book = makeBook({
      rates: [
        makeRate({ limits: { longestSide: { max: 10 } }, whenWithheld: 'tell', message: 'Too long for us.' }),
      ],
    });
    expect(onlyWithheld(quoted(book))).toMatchObject({
      code: 'size-unknown',
      tell: true,
      message: 'Too long for us.',
      from: { kind: 'good', id: 'pot' },
    });
  });
});

describe('a charge', () => {
  test('goods that travel free leave a price of 0 that says so; fees and handling still apply', () => {
    const catalogue = makeCatalogue(makeGood('pot', { chargeFree: true, onceFee: 40 }));
    const book = makeBook({
      rates: [makeRate({ handling: { amount: 100, per: 'order' } })],
      store: { handling: { amount: 7, per: 'unit' } },
    });
    const choice = onlyChoice(quoted(book, makeRequest(), catalogue));
    expect(choice.charge).toBe(140);
    expect(choice.working.map((one) => one.text)).toEqual([
      'All products shipped here ship free',
      'pot, extra fee per order line: 0.40',
      'Handling, 1.00 an order',
    ]);
  });

  test('prices leave out what travels free; handling counts chargeable parcels and units', () => {
    const catalogue = makeCatalogue(
      makeGood('pot'),
      makeGood('leaflet', { chargeFree: true, weight: 900 }),
      makeGood('crate', { packsAlone: true }),
    );
    const lines = [
      { sku: 'pot', quantity: 1 },
      { sku: 'leaflet', quantity: 3 },
      { sku: 'crate', quantity: 2 },
    ];
    const book = makeBook({
      rates: [
        makeRate({
          price: tiers('weight', [
            { from: 0, amount: 1 },
            { from: 1_501, amount: 9 },
          ]),
          handling: { amount: 10, points: 5_000, per: 'parcel' },
        }),
      ],
    });
    const answer = quoted(book, makeRequest({ lines }), catalogue);
    expect(onlyChoice(answer).charge).toBe(1 + 1 + 3 * 10);
    expect(answer.parcels.map((parcel) => parcel.weight)).toEqual([3_200, 500, 500]);
  });

  test('a discount comes off the subtotal, not below 0', () => {
    const book = makeBook({
      rates: [
        makeRate({
          price: tiers('subtotal', [
            { from: 0, amount: 5 },
            { from: 900, amount: 7 },
          ]),
        }),
      ],
    });
    expect(quoted(book, makeRequest({ discount: 101 })).choices[0]?.charge).toBe(5);
    expect(quoted(book, makeRequest({ discount: 100 })).choices[0]?.charge).toBe(7);
    expect(quoted(book, makeRequest({ discount: 5_000 })).subtotal).toBe(0);
  });

  test('is rounded before its bounds, which have the last word', () => {
    const book = makeBook({
      store: { rounding: { to: 100, mode: 'up' } },
      rates: [makeRate({ bounds: { max: 870 } })],
    });
    expect(onlyChoice(quoted(book)).working.map((one) => one.running)).toEqual([845, 900, 870]);
  });

  test('an assumed weight is noticed by name', () => {
    const catalogue = makeCatalogue(makeGood('pot', { weight: undefined }));
    const book = makeBook({
      store: { defaultWeight: 750 },
      rates: [
        makeRate({
          price: tiers('weight', [
            { from: 0, amount: 3 },
            { from: 750, amount: 4 },
          ]),
        }),
      ],
    });
    const answer = quoted(book, makeRequest(), catalogue);
    expect(onlyChoice(answer).charge).toBe(4);
    expect(answer.notices.map(({ code, text }) => [code, text])).toEqual([
      ['weight-assumed', 'Weight assumed to be 750 g each: pot.'],
    ]);
  });

  test('choices come cheapest first where the store says so', () => {
    const services = [
      { id: 'dear', name: 'Dear' },
      { id: 'parcel', name: 'Parcel' },
    ];
    const rates = [
      makeRate({ id: 'dear', serviceId: 'dear', price: { kind: 'flat', amount: 2_000, per: 'order' } }),
      makeRate(),
    ];
    const names = (choiceOrder: 'listed' | 'cheapest') =>
      quoted(makeBook({ services, rates, store: { choiceOrder } })).choices.map((choice) => choice.name);
    expect([names('listed'), names('cheapest')]).toEqual([
      ['Dear', 'Parcel'],
      ['Parcel', 'Dear'],
    ]);
  });

  test('taxes of a country, a subdivision and a code add up, each rounded for itself', () => {
    const on = 'both' as const;
    const taxes = [
      { id: 'a', name: 'A', region: { country: 'CA' }, points: 505, on },
      { id: 'b', name: 'B', region: { country: 'CA', subdivision: 'CA-NS' }, points: 905, on },
      { id: 'c', name: 'C', region: { country: 'CA', postal: ['B2*'] }, points: 100, on: 'goods' as const },
    ];
    const answer = quoted(makeBook({ taxes }));
    expect(onlyChoice(answer).tax).toBe(43 + 76);
    expect(answer.goodsTax).toBe(51 + 91 + 10);
    expect(quoted(makeBook({ taxes }), makeRequest({ destination: null })).goodsTax).toBe(0);
  });
});

describe('a request', () => {
  test('with a good that nobody knows is unusable, unless the line brings it', () => {
    const compiled = compile(makeBook(), makeCatalogue());
    const lines = [
      { sku: 'pot', quantity: 1 },
      { sku: 'new', quantity: 1 },
    ];
    expect(requestFaults(compiled, makeRequest({ lines }))).toMatchObject([
      { code: 'good-unknown', path: 'lines[1].sku' },
    ]);
    expect(() => quote(compiled, makeRequest({ lines }))).toThrow('good-unknown');
    const brought = [{ sku: 'new', quantity: 1, price: 5, fulfilment: 'physical' as const }];
    expect(quote(compiled, makeRequest({ lines: brought })).subtotal).toBe(5);
  });

  test('of goods beyond what stays exact is refused', () => {
    const compiled = compile(makeBook(), makeCatalogue(makeGood('pot', { price: 1_000_000_000 })));
    expect(requestFaults(compiled, makeRequest({ lines: [{ sku: 'pot', quantity: 91 }] }))).toMatchObject([
      { code: 'subtotal-too-big' },
    ]);
    expect(requestFaults(compiled, makeRequest({ lines: [{ sku: 'pot', quantity: 90 }] }))).toEqual([]);
  });
});
