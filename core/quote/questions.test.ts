import type { Book } from '../model/book.ts';
import type { CarrierQuestion } from '../model/carrier.ts';
import type { Good } from '../model/good.ts';
import type { QuoteRequest } from '../model/request.ts';
import {
  makeAccount,
  makeBook,
  makeCarrierPrice,
  makeCatalogue,
  makeGood,
  makeRate,
  makeRequest,
  makeYard,
} from '../testing/book.ts';
import { compile } from './compile.ts';
import { carrierQuestions } from './questions.ts';

/** What carriers are asked by a book whose one service goes by an account. */
const askedBy = (
  account: Parameters<typeof makeAccount>[0],
  {
    book = {},
    goods = [],
    request = {},
  }: { book?: Partial<Book>; goods?: Good[]; request?: Partial<QuoteRequest> } = {},
): CarrierQuestion[] =>
  carrierQuestions(
    compile(
      makeBook({
        locations: [makeYard()],
        carriers: [makeAccount(account)],
        rates: [makeRate({ price: makeCarrierPrice() })],
        ...book,
      }),
      makeCatalogue(...goods),
    ),
    makeRequest(request),
  );
const SIDES = { length: 200, width: 200, height: 200 };

describe('a carrier is not asked', () => {
  test('where no account prices a service, or there is no address', () => {
    expect(askedBy({}, { book: { carriers: [], rates: [makeRate()] } })).toEqual([]);
    expect(askedBy({}, { book: { rates: [makeRate()] } })).toEqual([]);
    expect(askedBy({}, { request: { destination: null } })).toEqual([]);
  });

  test('where the place is not reached, nothing travels, or nothing is charged for', () => {
    expect(askedBy({}, { request: { destination: { country: 'FR' } } })).toEqual([]);
    expect(askedBy({}, { goods: [makeGood('pot', { fulfilment: 'digital' })] })).toEqual([]);
    expect(askedBy({}, { goods: [makeGood('pot', { chargeFree: true })] })).toEqual([]);
  });

  test('where one weight is not known, though others are, and no weight stands in', () => {
    const goods = [makeGood('pot'), { ...makeGood('urn'), weight: undefined } as Good];
    const request = { lines: goods.map(({ sku }) => ({ sku, quantity: 1 })) };
    expect(askedBy({}, { goods, request })).toEqual([]);
    const store = { ...makeBook().store, defaultWeight: 700 };
    expect(askedBy({}, { goods, request, book: { store } })[0]?.parcels).toEqual([{ weight: 1_200 }]);
  });

  test('where the products fit none of its boxes', () => {
    const boxes = [{ id: 'small', name: 'Small', inside: SIDES, maxWeight: 400, tare: 50 }];
    expect(askedBy({ packing: { kind: 'boxes', boxIds: ['small'] } }, { book: { boxes } })).toEqual([]);
  });
});

describe('a carrier is asked', () => {
  test('about boxes of its own by their codes, and about others without', () => {
    const box = { inside: SIDES, maxWeight: 5_000, tare: 50 };
    const boxes = [
      { ...box, id: 'own', name: 'Own' },
      { ...box, id: 'theirs', name: 'Theirs', carrierBox: { carrier: 'fulmar', code: 'T-S' } },
    ];
    const goods = [makeGood('pot', { size: { length: 100, width: 100, height: 100 } })];
    const parcels = (boxId: string) =>
      askedBy({ packing: { kind: 'boxes', boxIds: [boxId] } }, { book: { boxes }, goods })[0]?.parcels;
    expect(parcels('theirs')).toEqual([{ weight: 550, size: SIDES, boxCode: 'T-S' }]);
    expect(parcels('own')?.map((parcel) => Object.keys(parcel))).toEqual([['weight', 'size']]);
  });

  test('about a home as the account says, or as the address does', () => {
    const residential = (address: 'residential' | 'business' | 'as-given', home?: boolean) =>
      askedBy(
        { address },
        { request: { destination: { country: 'CA', ...(home === undefined ? {} : { residential: home }) } } },
      ).map((question) => question.residential);
    expect(residential('as-given', true)).toEqual([true]);
    expect(residential('as-given', false)).toEqual([false]);
    expect(residential('as-given')).toEqual([false]);
    expect(residential('residential', false)).toEqual([true]);
    expect(residential('business', true)).toEqual([false]);
  });

  test('to hand over on the next open day, or on the day of the order where no hours are known', () => {
    const late = { placedAt: '2026-11-24T21:30:00-04:00' };
    const shipDate = (hours?: ReturnType<typeof makeYard>['hours']) =>
      askedBy({}, { request: late, book: { locations: [makeYard(hours ? { hours } : {})] } })[0]?.shipDate;
    expect(shipDate()).toBe('2026-11-25');
    expect(shipDate([])).toBe('2026-11-24');
  });
});
