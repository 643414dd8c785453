import { makeBook, makeCatalogue, makeRate, makeRequest, makeZone } from '../testing/book.ts';
import { compile } from './compile.ts';
import { quote } from './quote.ts';

describe('compiling again', () => {
  const book = makeBook();
  const catalogue = makeCatalogue();
  const first = compile(book, catalogue);

  test('after a rate is edited keeps the indexes of places, goods and taxes', () => {
    const edited = compile({ ...book, rates: [makeRate({ freeFrom: 1 })] }, catalogue);
    expect(edited.zones).toBe(first.zones);
    expect(edited.goods).toBe(first.goods);
    expect(edited.taxes).toBe(first.taxes);
    expect(edited.sellsTo).toBe(first.sellsTo);
    expect(quote(edited, makeRequest()).choices[0]?.charge).toBe(0);
  });

  test('after the zones are edited indexes them anew, and keeps the rates', () => {
    const zones = [makeZone('country', { includes: [{ country: 'US' }] })];
    const edited = compile({ ...book, zones }, catalogue);
    expect(edited.zones).not.toBe(first.zones);
    expect(edited.services[0]?.byZone.get('country')).toBe(first.services[0]?.byZone.get('country'));
    expect(quote(edited, makeRequest()).withheld[0]?.code).toBe('no-zone');
  });

  test('in another time zone gives other days', () => {
    const hours = ([1, 2, 3, 4, 5] as const).map((day) => ({ day, from: '09:00', to: '17:00' }));
    const locations = [{ id: 'yard', name: 'Yard', address: { country: 'CA' }, hours, closedDates: [] }];
    const rates = [makeRate({ transit: { min: 1, max: 1 } })];
    const arrival = (timeZone: string, placedAt: string) => {
      const compiled = compile(makeBook({ locations, rates, store: { timeZone } }), catalogue);
      return quote(compiled, makeRequest({ placedAt })).choices[0]?.arrives;
    };
    const day = (date: string) => ({ earliest: date, latest: date });
    expect(arrival('America/Halifax', '2026-11-24T20:30:00Z')).toEqual(day('2026-11-25'));
    expect(arrival('America/Halifax', '2026-11-24T21:30:00Z')).toEqual(day('2026-11-26'));
    expect(arrival('America/Vancouver', '2026-11-24T21:30:00Z')).toEqual(day('2026-11-25'));
    expect(arrival('Pacific/Auckland', '2026-11-24T21:30:00Z')).toEqual(day('2026-11-26'));
  });

  test('a currency without decimals is written without them', () => {
    const compiled = compile(makeBook({ store: { currency: 'JPY' } }), catalogue);
    expect(quote(compiled, makeRequest()).choices[0]?.working[0]?.text).toBe('Flat price: 845');
  });
});
