import type { QuoteRequest } from '../model/request.ts';
import type { Preparation } from '../model/time.ts';
import {
  makeAccount,
  makeArea,
  makeBook,
  makeCarrierPrice,
  makeCatalogue,
  makeGood,
  makePickup,
  makeRate,
  makeRequest,
  makeYard,
  makeZone,
  onlyChoice,
  onlyWithheld,
  quoted,
  tiers,
} from '../testing/book.ts';
import { compile } from './compile.ts';
import { quote } from './quote.ts';

/** A basket whose goods come to a subtotal. */
const worth = (price: number, weight = 500) =>
  makeRequest({ lines: [{ sku: 'pot', quantity: 1, price, weight }] });

describe('worked examples', () => {
  test('3: the first unit has a price of its own, each further one another', () => {
    const price = { kind: 'flat', amount: 430, per: 'unit', first: 1_150 } as const;
    const book = makeBook({ rates: [makeRate({ price })] });
    const choice = onlyChoice(quoted(book, makeRequest({ lines: [{ sku: 'pot', quantity: 3 }] })));
    expect(choice.charge).toBe(2_010);
    expect(choice.working[0]?.text).toBe('First unit: 11.50, 2 more at 4.30');
  });

  test('5: goods’ own prices once a line, others at the rate’s, then its greatest charge', () => {
    const price = { kind: 'per-product', otherwise: 560, per: 'line' } as const;
    const goods = makeCatalogue(makeGood('a', { shippingPrice: 420 }), makeGood('b'));
    const request = makeRequest({
      lines: [
        { sku: 'a', quantity: 3 },
        { sku: 'b', quantity: 1 },
      ],
    });
    const plain = onlyChoice(quoted(makeBook({ rates: [makeRate({ price })] }), request, goods));
    expect(plain.charge).toBe(980);
    expect(plain.working.map(({ text, from }) => `${text} (${from.kind})`)).toEqual([
      'a, its own price: 4.20 (good)',
      'b, the price of other products: 5.60 (rate)',
    ]);
    const capped = makeBook({ rates: [makeRate({ price, bounds: { max: 880 } })] });
    expect(onlyChoice(quoted(capped, request, goods)).charge).toBe(880);
  });

  test('1: tiers on the subtotal take the greatest step reached, and the working names it', () => {
    const steps = [
      { from: 0, amount: 640 },
      { from: 4_500, amount: 1_120 },
      { from: 12_000, amount: 1_890 },
    ];
    const book = makeBook({ rates: [makeRate({ price: tiers('subtotal', steps) })] });
    const choice = onlyChoice(quoted(book, worth(11_800)));
    expect(choice.charge).toBe(1_120);
    expect(choice.working[0]?.text).toBe('Subtotal 118.00, from 45.00: 11.20');
  });

  test('2: an exact surcharge for what lies above a step; nothing from `until` on', () => {
    const step = { from: 0, amount: 410, each: { size: 1_000, amount: 65, count: 'exact' as const } };
    const book = makeBook({ rates: [makeRate({ price: tiers('weight', [step], 750) })] });
    expect(onlyChoice(quoted(book, worth(1_000, 600))).charge).toBe(410 + 39);
    expect(onlyWithheld(quoted(book, worth(1_000, 750)))).toMatchObject({
      code: 'above-last-step',
      id: 'parcel-country',
    });
  });

  test('4: store handling, then the free threshold: one minor unit short, then reached', () => {
    const book = makeBook({
      store: { handling: { amount: 130, per: 'order' } },
      rates: [makeRate({ freeFrom: 11_000 })],
    });
    expect(onlyChoice(quoted(book, worth(10_999)))).toMatchObject({
      charge: 975,
      hint: { kind: 'free-from', short: 1 },
    });
    const free = onlyChoice(quoted(book, worth(11_000)));
    expect(free).toMatchObject({ charge: 0, total: 0 });
    expect(free.hint).toBeUndefined();
  });

  test('6: the longer entry wins, whatever the order of zones, and is named', () => {
    const zones = [
      makeZone('nation', { name: 'Country' }),
      makeZone('province', { name: 'Province', includes: [{ country: 'CA', subdivision: 'CA-NS' }] }),
      makeZone('islands', { name: 'Islands', includes: [{ country: 'CA', postal: ['B0C*'] }] }),
    ];
    const rates = zones.map(({ id }, at) =>
      makeRate({ id, zoneId: id, price: { kind: 'flat', amount: at + 1, per: 'order' } }),
    );
    const request = makeRequest({
      destination: { country: 'CA', subdivision: 'CA-NS', postalCode: 'b0c 1a0' },
    });
    const answer = quoted(makeBook({ zones, rates }), request);
    expect(answer.zone).toEqual({ id: 'islands', name: 'Islands', because: 'B0C*' });
    expect(onlyChoice(answer).charge).toBe(3);
  });

  test('7: a service without a rate in the zone is withheld, never free', () => {
    expect(onlyWithheld(quoted(makeBook({ rates: [] })))).toMatchObject({
      code: 'no-rate',
      id: 'parcel',
      tell: false,
    });
  });

  test('9: a delivery that an adjustment makes free still bears its service fee', () => {
    const book = makeBook({
      locations: [makeYard()],
      services: [],
      rates: [],
      areas: [makeArea({ serviceFee: { name: 'Crate', amount: 85 } })],
      adjustments: [
        {
          id: 'free',
          name: 'Free from 62.00',
          active: true,
          when: [{ test: 'measure', of: 'subtotal', min: 6_200 }],
          to: { kinds: ['delivery'] },
          effect: { do: 'free' },
        },
      ],
    });
    expect(onlyChoice(quoted(book, worth(6_199))).charge).toBe(640 + 85);
    const free = onlyChoice(quoted(book, worth(6_200)));
    expect(free).toMatchObject({ id: 'ring:van', kind: 'delivery', charge: 85 });
    expect(free.working.map(({ step, change }) => [step, change])).toEqual([
      ['price', 640],
      ['adjustment', -640],
      ['service-fee', 85],
    ]);
  });

  test('10: tax on a charge, added and included', () => {
    const taxes = [
      { id: 'hst', name: 'HST', region: { country: 'CA' }, points: 1_400, on: 'charges' as const },
    ];
    const rates = [makeRate({ price: { kind: 'flat', amount: 1_150, per: 'order' } })];
    expect(onlyChoice(quoted(makeBook({ taxes, rates })))).toMatchObject({
      tax: 161,
      total: 1_311,
      taxIncluded: false,
    });
    const included = makeBook({ taxes, rates, store: { pricesIncludeTax: true } });
    expect(onlyChoice(quoted(included))).toMatchObject({ tax: 141, total: 1_150, taxIncluded: true });
  });

  test('8: a change by points, then by an amount, of what the carrier answers', () => {
    const price = makeCarrierPrice({ services: [{ code: 'ground', change: { points: 400, amount: 90 } }] });
    const book = makeBook({
      locations: [makeYard()],
      carriers: [makeAccount()],
      rates: [makeRate({ price })],
    });
    const services = [{ code: 'ground', name: 'Ground', amount: 1_370 }];
    const answer = quote(compile(book, makeCatalogue()), makeRequest(), [
      { key: 'fulmar', ok: true, services },
    ]);
    expect(onlyChoice(answer)).toMatchObject({
      charge: 1_515,
      id: 'parcel-country:ground',
      of: { rateId: 'parcel-country', serviceCode: 'ground' },
    });
  });

  const readyOf = (preparation: Preparation, closedDates: string[], placedAt: string) =>
    onlyChoice(
      quoted(
        makeBook({
          zones: [],
          services: [],
          rates: [],
          locations: [makeYard({ closedDates })],
          pickups: [makePickup({ preparation })],
        }),
        makeRequest({ placedAt }),
      ),
    ).ready;

  test('12: minutes tick only while the location is open', () => {
    expect(readyOf({ kind: 'open-minutes', minutes: 150 }, [], '2026-11-27T15:00:00-04:00')).toBe(
      '2026-11-30T09:30:00-04:00',
    );
  });

  test('13: at the cut-off it is too late for the day', () => {
    const cutOff = { kind: 'cut-off', cutoff: '13:00', readyAt: '15:30', days: 0 } as const;
    expect(readyOf(cutOff, ['2026-11-25'], '2026-11-24T13:00:00-04:00')).toBe('2026-11-26T15:30:00-04:00');
  });

  test('11: a minimum does not override a free threshold that is reached', () => {
    const book = makeBook({ rates: [makeRate({ freeFrom: 1_000, bounds: { min: 700 } })] });
    expect(onlyChoice(quoted(book, worth(1_000))).charge).toBe(0);
    expect(
      onlyChoice(quoted(makeBook({ rates: [makeRate({ bounds: { min: 900 } })] }), worth(1_000))).charge,
    ).toBe(900);
  });

  test('14: a basket of digital goods has one choice, and it says why it is free', () => {
    const answer = quoted(
      makeBook(),
      makeRequest(),
      makeCatalogue(makeGood('pot', { fulfilment: 'digital' })),
    );
    expect(answer.withheld).toEqual([]);
    expect(onlyChoice(answer)).toMatchObject({ kind: 'nothing-to-ship', id: 'nothing-to-ship', charge: 0 });
    expect(onlyChoice(answer).working[0]?.text).toBe(
      'Nothing in the basket is shipped, so nothing is charged',
    );
  });

  test('15: an unknown weight withholds only what needs it, naming the goods', () => {
    const book = makeBook({
      services: [
        { id: 'parcel', name: 'Parcel' },
        { id: 'pallet', name: 'Pallet' },
      ],
      rates: [
        makeRate(),
        makeRate({
          id: 'pallet-country',
          serviceId: 'pallet',
          price: tiers('weight', [{ from: 0, amount: 400 }]),
        }),
      ],
    });
    const answer = quoted(
      book,
      makeRequest(),
      makeCatalogue(makeGood('pot', { name: 'Blue urn', weight: undefined })),
    );
    expect(onlyChoice({ ...answer, withheld: [] }).charge).toBe(845);
    expect(answer.withheld).toMatchObject([{ id: 'pallet-country', code: 'weight-unknown' }]);
    expect(answer.withheld[0]?.text).toBe('The weight of Blue urn is not known.');
  });

  test('16: three goods of 3 lb are within a limit of 9 lb', () => {
    const rates = [makeRate({ limits: { weight: { max: 4_082.33133 } } })];
    const three = makeRequest({ lines: [{ sku: 'pot', quantity: 3, weight: 1_360.77711 }] });
    expect(onlyChoice(quoted(makeBook({ rates }), three)).charge).toBe(845);
    const more = makeRequest({ lines: [{ sku: 'pot', quantity: 3, weight: 1_360.778 }] });
    expect(onlyWithheld(quoted(makeBook({ rates }), more)).code).toBe('above-limit');
  });

  test('17: handling counts the parcels that the carrier is asked about', () => {
    const account = makeAccount({ packing: { kind: 'by-count', maxUnits: 1 } });
    const book = makeBook({
      locations: [makeYard()],
      carriers: [account],
      rates: [
        makeRate({
          price: makeCarrierPrice(),
          handling: { amount: 150, per: 'parcel' },
        }),
      ],
    });
    const services = [{ code: 'ground', name: 'Ground', amount: 1_200 }];
    const request = makeRequest({ lines: [{ sku: 'pot', quantity: 3 }] });
    const answer = quote(compile(book, makeCatalogue(makeGood('pot'))), request, [
      { key: account.id, ok: true, services },
    ]);
    expect(onlyChoice(answer).charge).toBe(1_650);
  });

  test('18: a pickup with a greatest distance goes by where the customer is, if that is said', () => {
    const book = makeBook({
      zones: [],
      services: [],
      rates: [],
      locations: [makeYard()],
      pickups: [makePickup({ charge: 0, maxDistance: 40_000 })],
      store: { sellsTo: { mode: 'listed', countries: ['CA'], closedRegions: [] } },
    });
    const to = (destination: QuoteRequest['destination']) => quoted(book, makeRequest({ destination }));
    expect(onlyWithheld(to({ country: 'BR' })).code).toBe('not-sold-there');
    expect(onlyWithheld(to({ country: 'CA' })).code).toBe('distance-unknown');
    expect(onlyChoice(to(null))).toMatchObject({ charge: 0, of: { pickupId: 'counter' } });
  });

  test('19: what a method adds and keeps adding is due when the delivery is free', () => {
    const method = {
      id: 'night',
      name: 'Night mail',
      add: 260,
      timing: { kind: 'words', text: '' },
    } as const;
    const charge = (addStays: boolean): number => {
      const area = makeArea({
        price: { kind: 'flat', amount: 520, per: 'order' },
        freeFrom: 1_000,
        methods: [{ ...method, addStays }],
      });
      const book = makeBook({ zones: [], services: [], rates: [], locations: [makeYard()], areas: [area] });
      return onlyChoice(quoted(book, worth(1_000))).charge;
    };
    expect(charge(true)).toBe(260);
    expect(charge(false)).toBe(0);
  });

  test('20: only some regions of a country are open, while what does not travel goes everywhere', () => {
    const sellsTo = {
      mode: 'listed' as const,
      countries: ['US'],
      closedRegions: [],
      onlyRegions: [{ country: 'US', subdivision: 'US-OR' }],
      digitalEverywhere: true,
    };
    const book = makeBook({ zones: [makeZone('us', { includes: [{ country: 'US' }] })], store: { sellsTo } });
    const to = (country: string, subdivision?: string) =>
      makeRequest({ destination: { country, ...(subdivision ? { subdivision } : {}) } });
    expect(onlyWithheld(quoted(book, to('US', 'US-WA'))).code).toBe('not-sold-there');
    expect(onlyWithheld(quoted(book, to('US', 'US-OR'))).code).toBe('no-rate');
    const digital = makeCatalogue(makeGood('pot', { fulfilment: 'digital' }));
    expect(onlyChoice(quoted(book, to('FR'), digital)).id).toBe('nothing-to-ship');
    const closed = makeBook({ store: { sellsTo: { ...sellsTo, digitalEverywhere: false } } });
    expect(onlyWithheld(quoted(closed, to('FR'), digital)).code).toBe('not-sold-there');
  });
});
