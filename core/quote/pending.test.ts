import type { CarrierPrice } from '../model/price.ts';
import {
  makeAccount,
  makeBook,
  makeCarrierPrice,
  makeCatalogue,
  makeDuties,
  makeRate,
  makeRequest,
  makeZone,
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

  test('says once of a service on two terms that it waits, and nothing of accounts that have answered', () => {
    const duties = makeDuties({ terms: 'both' });
    const compiled = compile(
      makeBook({
        duties,
        zones: [makeZone('country', { includes: [{ country: 'US' }] })],
        locations: [yard],
        carriers: [makeAccount(), makeAccount({ id: 'gannet', name: 'Gannet' })],
        services: ['parcel', 'express', 'post'].map((id) => ({ id, name: id })),
        rates: [
          makeRate(),
          makeRate({
            id: 'quick',
            serviceId: 'express',
            price: makeCarrierPrice({ onError: { amount: 900, per: 'order' } }),
          }),
          makeRate({ id: 'slow', serviceId: 'post', price: makeCarrierPrice({ accountId: 'gannet' }) }),
        ],
      }),
      makeCatalogue(),
    );
    const whole = quote(compiled, makeRequest({ destination: { country: 'US' } }));
    expect(whole.choices.map(({ id }) => id)).toEqual(expect.arrayContaining(['quick:DAP', 'quick:DDP']));
    const { quote: shown, pending } = withoutPending(compiled, whole, waiting);
    expect(pending).toEqual([{ rateId: 'quick', name: 'express', account: 'Fulmar' }]);
    expect(shown.choices.map(({ id }) => id)).toEqual(['parcel-country:DAP', 'parcel-country:DDP']);
    expect(shown.withheld.map(({ id, code }) => [id, code])).toEqual([['slow', 'carrier-error']]);
    expect(whole.notices.map(({ code }) => code)).toContain('fallback-used');
    expect(shown.notices).toEqual(whole.notices.filter(({ code }) => code !== 'fallback-used'));
  });

  test('tells of the fallback of a carrier that has failed, while others are waited for', () => {
    const onError = { amount: 900, per: 'order' } as const;
    const byCarrier = (id: string, accountId: string) =>
      makeRate({ id, serviceId: id, price: makeCarrierPrice({ accountId, onError }) });
    const compiled = compile(
      makeBook({
        locations: [yard],
        carriers: ['fulmar', 'gannet', 'petrel'].map((id) => makeAccount({ id, name: id })),
        services: ['quick', 'slow', 'late'].map((id) => ({ id, name: `By ${id}` })),
        rates: [byCarrier('quick', 'fulmar'), byCarrier('slow', 'gannet'), byCarrier('late', 'petrel')],
      }),
      makeCatalogue(),
    );
    const whole = quote(compiled, makeRequest());
    const shown = withoutPending(compiled, whole, new Set(['fulmar', 'petrel']));
    expect(shown.pending.map(({ rateId, account }) => [rateId, account])).toEqual([
      ['quick', 'fulmar'],
      ['late', 'petrel'],
    ]);
    expect(shown.quote.choices.map(({ id }) => id)).toEqual(['slow']);
    expect(shown.quote.notices.map(({ text }) => text)).toEqual([
      'Charged by the fallback, not by the carrier: By slow.',
    ]);
  });

  test('is the quote itself where nothing is waited for, and keeps other reasons', () => {
    const compiled = compiledWith({});
    const whole = quote(compiled, makeRequest());
    expect(withoutPending(compiled, whole, new Set())).toEqual({ quote: whole, pending: [] });
    expect(withoutPending(compiled, whole, new Set()).quote).toBe(whole);
    const abroad = quote(compiled, makeRequest({ destination: { country: 'FR' } }));
    expect(withoutPending(compiled, abroad, waiting).quote.withheld).toHaveLength(2);
  });
});
