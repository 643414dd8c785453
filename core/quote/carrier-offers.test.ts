import fc from 'fast-check';
import type { AnsweredService, CarrierAnswer } from '../model/carrier.ts';
import type { CarrierPrice, CarrierService } from '../model/price.ts';
import { makeCarrierPrice } from '../testing/book.ts';
import { carrierOutcome, changedPrice, type CarrierOffer } from './carrier-offers.ts';

const CODES = ['ground', 'air', 'night'];
const answer = (...services: AnsweredService[]): CarrierAnswer => ({ key: 'fulmar', ok: true, services });
const answered = (code: string, amount: number, min?: number, max = min): AnsweredService => ({
  code,
  name: `Fulmar ${code}`,
  amount,
  ...(min === undefined || max === undefined ? {} : { days: { min, max } }),
});
const listed = (...codes: string[]): CarrierService[] => codes.map((code) => ({ code }));
const outcome = (part: Partial<CarrierPrice>, given?: CarrierAnswer, transit?: CarrierOffer['days']) =>
  carrierOutcome(makeCarrierPrice(part), 'Fulmar', given, transit);
const offered = (part: Partial<CarrierPrice>, given: CarrierAnswer, transit?: CarrierOffer['days']) => {
  const found = outcome(part, given, transit);
  if (found.kind !== 'offers') throw new Error(`expected offers: ${JSON.stringify(found)}`);
  return found;
};
const codesOf = (offers: readonly CarrierOffer[]): string[] => offers.map(({ service }) => service.code);

test('a carrier’s price is changed by points, then by an amount, or set, and never below 0', () => {
  expect(changedPrice({}, 1_370)).toBe(1_370);
  expect(changedPrice({ change: { points: 400, amount: 90 } }, 1_370)).toBe(1_515);
  expect(changedPrice({ change: { points: -5_000 } }, 1_371)).toBe(685);
  expect(changedPrice({ change: { amount: -2_000 } }, 1_370)).toBe(0);
  expect(changedPrice({ override: 990, change: { amount: 5 } }, 1_370)).toBe(990);
  expect(changedPrice({ override: 0 }, 1_370)).toBe(0);
});

describe('what an answer comes to', () => {
  test('is the listed services that it has, once each, in the order of the list, and those it lacks', () => {
    const part = { services: listed('air', 'ground', 'air', 'night') };
    const found = offered(part, answer(answered('ground', 5), answered('air', 9), answered('air', 7)));
    expect(codesOf(found.offers)).toEqual(['air', 'ground']);
    expect(found.offers.map(({ price }) => price)).toEqual([9, 5]);
    expect(found.missing).toEqual(listed('night'));
  });

  test('has the days of the service, else of the answer, else of the rate', () => {
    const own = { code: 'air', transit: { min: 1, max: 1 } };
    const part = { services: [own, ...listed('ground', 'night')] };
    const given = answer(answered('air', 5, 3), answered('ground', 5, 2, 4), answered('night', 5));
    expect(offered(part, given, { min: 6, max: 9 }).offers.map(({ days }) => days)).toEqual([
      { min: 1, max: 1 },
      { min: 2, max: 4 },
      { min: 6, max: 9 },
    ]);
    expect(offered(part, given).offers[2]?.days).toBeUndefined();
  });

  test('is a fallback or a reason where it did not answer, or has none of the services', () => {
    const onError = { amount: 2_400, per: 'order' as const };
    const onNone = { amount: 2_600, per: 'parcel' as const };
    const failed: CarrierAnswer = { key: 'fulmar', ok: false, error: 'timed-out', text: 'too late' };
    for (const given of [undefined, failed])
      expect(outcome({ onError, onNone }, given)).toEqual({
        kind: 'fallback',
        why: 'error',
        fallback: onError,
      });
    expect(outcome({ onError, onNone }, answer())).toEqual({
      kind: 'fallback',
      why: 'none',
      fallback: onNone,
    });
    const refusal = (given?: CarrierAnswer) => {
      const found = outcome({ services: [{ code: 'air', label: 'By air' }, { code: 'ground' }] }, given);
      return found.kind === 'refused' ? found.refusal : null;
    };
    expect(refusal()).toMatchObject({
      code: 'carrier-error',
      say: { account: 'Fulmar', error: 'unreachable', text: '' },
    });
    expect(refusal(failed)).toMatchObject({ say: { error: 'timed-out', text: 'too late' } });
    expect(refusal(answer(answered('sea', 5)))).toMatchObject({
      code: 'carrier-none',
      say: { account: 'Fulmar', services: ['By air', 'ground'] },
    });
  });
});

describe('the services shown', () => {
  const part = (show: CarrierPrice['show']): Partial<CarrierPrice> => ({ services: listed(...CODES), show });
  const one = (show: CarrierPrice['show'], ...services: AnsweredService[]): string[] =>
    codesOf(offered(part(show), answer(...services)).offers);

  test('are all, the cheapest or the fastest; of equals the better otherwise, then the first', () => {
    const three = [answered('ground', 5, 4), answered('air', 9, 1), answered('night', 9, 1)];
    expect([one('all', ...three), one('cheapest', ...three), one('fastest', ...three)]).toEqual([
      CODES,
      ['ground'],
      ['air'],
    ]);
    expect(one('cheapest', answered('ground', 5, 4), answered('air', 5, 1))).toEqual(['air']);
    expect(one('cheapest', answered('ground', 5, 2, 4), answered('air', 5, 1, 4))).toEqual(['air']);
    expect(one('fastest', answered('ground', 5, 1), answered('air', 4, 1))).toEqual(['air']);
    expect(one('fastest', answered('ground', 5), answered('air', 9, 8))).toEqual(['air']);
  });

  test('one is no worse than any other', () => {
    const service = fc.record({
      amount: fc.integer({ min: 1, max: 4 }),
      days: fc.option(fc.tuple(fc.nat(3), fc.nat(3)), { nil: undefined }),
    });
    const three = fc
      .tuple(service, service, service)
      .map((drawn) =>
        drawn.map(({ amount, days }, at) =>
          answered(CODES[at] ?? '', amount, days && Math.min(...days), days && Math.max(...days)),
        ),
      );
    const ranks = ({ price, days }: CarrierOffer, show: CarrierPrice['show']): number[] => {
      const late = [days?.max ?? 99, days?.min ?? 99];
      return show === 'cheapest' ? [price, ...late] : [...late, price];
    };
    const isBetter = (a: number[], b: number[]): boolean => {
      const at = a.findIndex((value, place) => value !== b[place]);
      return at >= 0 && (a[at] ?? 0) < (b[at] ?? 0);
    };
    fc.assert(
      fc.property(three, fc.constantFrom('cheapest' as const, 'fastest' as const), (services, show) => {
        const { offers } = offered(part('all'), answer(...services));
        const [best, ...rest] = offered(part(show), answer(...services)).offers;
        expect([best === undefined, rest]).toEqual([false, []]);
        if (best)
          expect(offers.filter((offer) => isBetter(ranks(offer, show), ranks(best, show)))).toEqual([]);
      }),
    );
  });
});
