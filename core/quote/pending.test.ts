import type { CarrierPrice } from '../model/price.ts';
import {
  makeAccount,
  makeBook,
  makeCarrierPrice,
  makeCatalogue,
  makeRate,
  makeRequest,
} from '../testing/book.ts';
import { compile } from './compile.ts';
import { withoutPending } from './pending.ts';
import { quote } from './quote.ts';

const yard = { id: 'yard', name: 'Yard', address: { country: 'CA' }, hours: [], closedDates: [] };
const compiledWith = (by: Partial<CarrierPrice>) =>
  compile(
    makeBook({
      locations: [yard],
      carriers: [makeAccount()],
      services: [
        { id: 'parcel', name: 'Parcel' },
        { id: 'express', name: 'Express' },
      ],
      rates: [makeRate(), makeRate({ id: 'quick', serviceId: 'express', price: makeCarrierPrice(by) })],
    }),
    makeCatalogue(),
  );
const waiting = new Set(['fulmar']);

describe('a quote while a carrier is being asked', () => {
  test('says nothing of the carrier’s failure, but that its service waits', () => {
    const compiled = compiledWith({});
    const { quote: shown, pending } = withoutPending(compiled, quote(compiled, makeRequest()), waiting);
    expect(shown.choices.map(({ id }) => id)).toEqual(['parcel-country']);
    expect(shown.withheld).toEqual([]);
    expect(pending).toEqual([{ rateId: 'quick', name: 'Express', account: 'Fulmar' }]);
  });

  test('does not offer the fallback either, nor tell of it', () => {
    const compiled = compiledWith({ onError: { amount: 900, per: 'order' } });
    const whole = quote(compiled, makeRequest());
    expect(whole.choices.map(({ id }) => id)).toEqual(['parcel-country', 'quick']);
    const { quote: shown, pending } = withoutPending(compiled, whole, waiting);
    expect([shown.choices.length, shown.notices.length, pending.length]).toEqual([1, 0, 1]);
    expect(shown.parcels).toEqual(whole.parcels);
  });

  test('is the quote itself where nothing is waited for, and keeps other reasons', () => {
    const compiled = compiledWith({});
    const whole = quote(compiled, makeRequest());
    expect(withoutPending(compiled, whole, new Set()).quote).toBe(whole);
    const abroad = quote(compiled, makeRequest({ destination: { country: 'FR' } }));
    expect(withoutPending(compiled, abroad, waiting).quote.withheld).toHaveLength(2);
  });
});
