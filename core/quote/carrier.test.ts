import type { Book } from '../model/book.ts';
import type { CarrierAnswer } from '../model/carrier.ts';
import type { CarrierPrice } from '../model/price.ts';
import type { Quote } from '../model/quote.ts';
import type { QuoteRequest } from '../model/request.ts';
import {
  makeAccount,
  makeBook,
  makeCarrierPrice,
  makeCatalogue,
  makeGood,
  makeRate,
  makeRequest,
  onlyChoice,
  onlyWithheld,
} from '../testing/book.ts';
import { compile } from './compile.ts';
import { carrierParcels } from './carrier-parcels.ts';
import { carrierQuestions, shipmentQuestion } from './questions.ts';
import { quote } from './quote.ts';

const yard = {
  id: 'yard',
  name: 'Yard',
  address: { country: 'CA', postalCode: 'B3K 1A1', point: { lat: 44.65, lng: -63.6 } },
  hours: [1, 2, 3, 4, 5].map((day) => ({ day: day as 1, from: '09:00', to: '17:00' })),
  closedDates: [],
};
const bookOf = (by: Partial<CarrierPrice> = {}, part: Partial<Book> = {}, rate = {}): Book =>
  makeBook({
    locations: [yard],
    carriers: [makeAccount()],
    rates: [makeRate({ id: 'express', price: makeCarrierPrice(by), ...rate })],
    ...part,
  });
const answer = (
  ...services: [code: string, amount: number, min?: number, max?: number][]
): CarrierAnswer => ({
  key: 'fulmar',
  ok: true,
  services: services.map(([code, amount, min, max]) => ({
    code,
    name: `Fulmar ${code}`,
    amount,
    ...(min === undefined ? {} : { days: { min, max: max ?? min } }),
  })),
});
const asked = (book: Book, answers: CarrierAnswer[], request: QuoteRequest = makeRequest()): Quote =>
  quote(compile(book, makeCatalogue()), request, answers);
const charges = ({ choices }: Quote): [string, number][] => choices.map(({ id, charge }) => [id, charge]);

describe('a charge that a carrier works out', () => {
  test('is changed by points, then by an amount (worked example 8)', () => {
    const book = bookOf({ services: [{ code: 'ground', change: { points: 400, amount: 90 } }] });
    const choice = onlyChoice(asked(book, [answer(['ground', 1_370, 2, 4])]));
    expect(choice).toMatchObject({ id: 'express:ground', name: 'Fulmar ground', charge: 1_515, cost: 1_370 });
    expect(choice.arrives).toEqual({ earliest: '2026-11-26', latest: '2026-11-30' });
    expect(choice.working.map(({ change, text }) => [change, text])).toEqual([
      [1_370, 'Fulmar, Fulmar ground: 13.70'],
      [55, '4 % of 13.70 more'],
      [90, '0.90 more'],
    ]);
  });

  test('never falls below 0, is set where the merchant sets it, and goes under the merchant’s name', () => {
    const services = [
      { code: 'ground', change: { amount: -2_000 } },
      { code: 'air', override: 990, label: 'By air' },
    ];
    const found = asked(bookOf({ services }), [answer(['ground', 1_370], ['air', 2_500])]);
    expect(charges(found)).toEqual([
      ['express:ground', 0],
      ['express:air', 990],
    ]);
    expect(found.choices[0]?.working.at(-1)?.step).toBe('price');
    expect(found.choices[1]?.name).toBe('By air');
  });

  test('goes through fees, handling, adjustments of that service, and the lower of two thresholds', () => {
    const book = bookOf(
      { services: [{ code: 'ground', freeFrom: 5_000 }, { code: 'air' }] },
      {
        adjustments: [
          {
            id: 'air-less',
            name: 'Air less',
            active: true,
            when: [],
            to: { carrierCodes: ['air'] },
            effect: { do: 'percent', points: -1_000, of: 'charge' },
          },
        ],
      },
      { handling: { amount: 100, per: 'order' }, freeFrom: 8_000 },
    );
    const answers = [answer(['ground', 1_000], ['air', 2_000])];
    const at = (quantity: number) => asked(book, answers, makeRequest({ lines: [{ sku: 'pot', quantity }] }));
    expect(charges(at(1))).toEqual([
      ['express:ground', 1_100],
      ['express:air', 1_890],
    ]);
    expect(at(1).choices.map(({ hint }) => hint?.short)).toEqual([4_000, 7_000]);
    expect(charges(at(5))).toEqual([
      ['express:ground', 0],
      ['express:air', 1_890],
    ]);
  });

  test('shows all, the cheapest, or the fastest', () => {
    const services = [
      { code: 'slow' },
      { code: 'quick', change: { amount: -300 } },
      { code: 'vague' },
      { code: 'even' },
    ];
    const answers = [
      answer(['slow', 700, 4, 6], ['quick', 1_000, 1, 2], ['vague', 900], ['even', 1_500, 1, 2]),
    ];
    const shown = (show: CarrierPrice['show']) => charges(asked(bookOf({ services, show }), answers));
    expect(shown('all').map(([id]) => id)).toEqual(services.map(({ code }) => `express:${code}`));
    expect(shown('cheapest')).toEqual([['express:quick', 700]]);
    expect(shown('fastest')).toEqual([['express:quick', 700]]);
  });

  test('withholds a listed service that the answer lacks, under its own id', () => {
    const services = [{ code: 'ground' }, { code: 'air', label: 'By air' }];
    const { choices, withheld } = asked(bookOf({ services }), [answer(['ground', 1_000])]);
    expect(choices).toHaveLength(1);
    expect(withheld).toMatchObject([
      { id: 'express:air', name: 'By air', code: 'carrier-none', from: { kind: 'carrier', id: 'fulmar' } },
    ]);
  });

  test.each([
    [undefined, 'could not be reached'],
    [{ key: 'fulmar', ok: false, error: 'timed-out', text: '' } as const, 'did not answer in time'],
    [{ key: 'fulmar', ok: false, error: 'refused', text: 'no such account' } as const, 'no such account'],
  ])('that is not answered is withheld or falls back, never free', (failed, words) => {
    const answers = failed ? [failed] : [];
    const without = onlyWithheld(asked(bookOf(), answers));
    expect(without).toMatchObject({ id: 'express', code: 'carrier-error' });
    expect(without.text).toContain(words);
    const onError = { amount: 1_200, per: 'order', label: 'Express, about' } as const;
    const found = asked(bookOf({ onError }), answers);
    expect(onlyChoice(found)).toMatchObject({ id: 'express', name: 'Express, about', charge: 1_200 });
    expect(found.notices).toMatchObject([{ code: 'fallback-used' }]);
  });

  test('says of a fallback what the merchant says of it, and the service’s note only under its name', () => {
    const noteOf = (fallback: { label?: string; note?: string }): string | undefined => {
      const book = bookOf({ onError: { amount: 1_200, per: 'order', ...fallback } });
      const services = book.services.map((service) => ({ ...service, note: 'Signed for' }));
      return onlyChoice(asked({ ...book, services }, [])).note;
    };
    expect(noteOf({})).toBe('Signed for');
    expect(noteOf({ label: 'By post' })).toBeUndefined();
    expect(noteOf({ label: 'By post', note: 'Five days' })).toBe('Five days');
  });

  test('with none of the services falls back by the parcel, or is withheld', () => {
    const onNone = { amount: 700, per: 'parcel' } as const;
    const packing = { kind: 'by-count', maxUnits: 2 } as const;
    const request = makeRequest({ lines: [{ sku: 'pot', quantity: 5 }] });
    const book = bookOf({ onNone }, { carriers: [makeAccount({ packing })] });
    expect(onlyChoice(asked(book, [answer(['sea', 400])], request)).charge).toBe(2_100);
    expect(onlyWithheld(asked(bookOf(), [answer(['sea', 400])]))).toMatchObject({
      id: 'express',
      code: 'carrier-none',
    });
  });

  test('from a sandbox is marked as such', () => {
    const book = bookOf({}, { carriers: [makeAccount({ mode: 'sandbox' })] });
    const { notices, choices } = asked(book, [answer(['ground', 1_000])]);
    expect(notices.map(({ code, text }) => [code, text])).toEqual([
      ['sandbox-rates', 'Sandbox prices, for trying out only: Fulmar.'],
    ]);
    expect(choices[0]?.working[0]?.text).toBe('Fulmar, sandbox, Fulmar ground: 10.00');
  });

  test('of goods that travel free asks no carrier and costs nothing', () => {
    const catalogue = makeCatalogue(makeGood('pot', { chargeFree: true }));
    const compiled = compile(bookOf(), catalogue);
    expect(carrierQuestions(compiled, makeRequest())).toEqual([]);
    expect(onlyChoice(quote(compiled, makeRequest()))).toMatchObject({ id: 'express', charge: 0 });
  });
});

describe('what a carrier is asked', () => {
  const catalogue = makeCatalogue(
    makeGood('pot', { weight: 900, size: { length: 100, width: 100, height: 100 } }),
    makeGood('fog', { weight: undefined }),
  );
  const box = (id: string, side: number, part = {}) => ({
    id,
    name: id,
    inside: { length: side, width: side, height: side },
    maxWeight: 20_000,
    tare: 150,
    ...part,
  });
  const book = bookOf(
    {},
    {
      boxes: [box('s', 100, { carrierBox: { carrier: 'fulmar', code: 'T-S' } }), box('m', 200)],
      carriers: [
        makeAccount({
          packing: { kind: 'boxes', boxIds: ['s', 'm'] },
          insure: 5_000,
          address: 'residential',
        }),
      ],
    },
  );

  test('is each parcel with its box, what it is worth, and the day it leaves', () => {
    const request = makeRequest({ lines: [{ sku: 'pot', quantity: 9 }], discount: 1_000 });
    expect(carrierQuestions(compile(book, catalogue), request)).toEqual([
      {
        key: 'fulmar',
        carrier: 'fulmar',
        mode: 'live',
        credentials: { kind: 'shared' },
        from: yard.address,
        to: request.destination,
        parcels: [
          { weight: 8 * 900 + 150, size: { length: 200, width: 200, height: 200 } },
          { weight: 1_050, size: { length: 100, width: 100, height: 100 }, boxCode: 'T-S' },
        ],
        residential: true,
        handover: 'collected',
        insured: 4_000,
        currency: 'CAD',
        shipDate: '2026-11-24',
      },
    ]);
  });

  test('is about the parcels that the preview shows for its choices', () => {
    const request = makeRequest({ lines: [{ sku: 'pot', quantity: 9 }] });
    const compiled = compile(book, catalogue);
    const rateId = book.rates.find(({ price }) => price.kind === 'carrier')?.id ?? '';
    const shown = carrierParcels(compiled, request, rateId);
    const [question] = carrierQuestions(compiled, request);
    expect(shown?.account).toBe('Fulmar');
    expect(shown?.parcels.map(({ weight }) => weight)).toEqual(question?.parcels.map(({ weight }) => weight));
    expect(shown?.parcels.length).not.toBe(quote(compiled, request).parcels.length);
    expect(carrierParcels(compiled, request, 'none')).toBeNull();
  });

  test('is nothing where the address, the zone, the limits or the parcels do not let it go', () => {
    const questions = (part: Partial<QuoteRequest>, from: Book = book) =>
      carrierQuestions(compile(from, catalogue), makeRequest(part)).length;
    expect(questions({})).toBe(1);
    expect(questions({ destination: null })).toBe(0);
    expect(questions({ destination: { country: 'FR' } })).toBe(0);
    expect(questions({ lines: [{ sku: 'fog', quantity: 1 }] })).toBe(0);
    const limited = {
      ...book,
      rates: [makeRate({ price: makeCarrierPrice(), limits: { weight: { max: 100 } } })],
    };
    expect(questions({}, limited)).toBe(0);
    const fog = onlyWithheld(
      quote(compile(book, catalogue), makeRequest({ lines: [{ sku: 'fog', quantity: 1 }] })),
    );
    expect(fog).toMatchObject({ id: 'express', code: 'weight-unknown', from: { kind: 'good', id: 'fog' } });
  });

  test('is asked for the goods charged for, and booked with all that travel', () => {
    const gift = makeCatalogue(...catalogue.goods, makeGood('gift', { chargeFree: true, weight: 300 }));
    const single = { ...book, carriers: [makeAccount()] };
    const compiled = compile(single, gift);
    const lines = [
      { sku: 'pot', quantity: 1 },
      { sku: 'gift', quantity: 1 },
    ];
    const request = makeRequest({ lines });
    expect(carrierQuestions(compiled, request)[0]?.parcels).toEqual([{ weight: 900 }]);
    expect(shipmentQuestion(compiled, request, 'fulmar')?.parcels).toEqual([{ weight: 1_200 }]);
    expect(shipmentQuestion(compiled, request, 'none')).toBeNull();
    expect(shipmentQuestion(compiled, { ...request, destination: null }, 'fulmar')).toBeNull();
  });

  test('is asked once for an account, however many rates it prices', () => {
    const two = {
      ...book,
      services: [...book.services, { id: 'express', name: 'Express' }],
      rates: [...book.rates, makeRate({ id: 'other', serviceId: 'express', price: makeCarrierPrice() })],
    };
    expect(carrierQuestions(compile(two, catalogue), makeRequest())).toHaveLength(1);
  });
});
