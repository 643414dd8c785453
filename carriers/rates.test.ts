import fc from 'fast-check';
import { carrierAnswerSchema, type CarrierAnswer, type CarrierQuestion } from '../core/model/carrier.ts';
import { billedWeight, ratesBy } from './rates.ts';
import { answersAtOnce, STAND_INS } from './stand-ins.ts';
import { cairnFreight } from './tariffs/cairn-freight.ts';
import { gannetPost } from './tariffs/gannet-post.ts';
import { fulmarParcel } from './tariffs/fulmar-parcel.ts';
import type { Tariff } from './tariff.ts';
import { makeQuestion } from './testing/question.ts';
import { isoWeekOf, workingDaysAfter } from './working-days.ts';

const TARIFFS = [gannetPost, fulmarParcel, cairnFreight];
const servicesOf = (tariff: Tariff, part: Partial<CarrierQuestion> = {}) => {
  const answer = ratesBy(tariff, makeQuestion({ carrier: tariff.id, ...part }));
  if (!answer.ok) throw new Error(answer.text);
  return new Map(answer.services.map((service) => [service.code, service]));
};
const amount = (tariff: Tariff, code: string, part: Partial<CarrierQuestion> = {}): number =>
  servicesOf(tariff, part).get(code)?.amount ?? -1;
const refusedWith = (answer: CarrierAnswer): string =>
  answer.ok ? 'answered' : `${answer.error}: ${answer.text}`;

test('an account that still names its carrier as it was called before gets the same answer', () => {
  const [now, before] = answersAtOnce(['fulmar', 'tern'].map((carrier) => makeQuestion({ carrier })));
  expect(now?.ok).toBe(true);
  expect(before).toEqual(now);
  expect(answersAtOnce([makeQuestion({ carrier: 'nobody' })])[0]?.ok).toBe(false);
});

describe.each(TARIFFS)('the tariff of $name', (tariff) => {
  test('has a price and days for every zone, and prices that rise with weight and distance', () => {
    for (const { steps, days, beyond } of tariff.services) {
      expect(days).toHaveLength(tariff.zones.length);
      for (const { amounts } of steps) expect(amounts).toHaveLength(tariff.zones.length);
      if (beyond) expect(beyond).toHaveLength(tariff.zones.length);
      steps.slice(1).forEach(({ upTo, amounts }, at) => {
        expect(upTo).toBeGreaterThan(steps[at]?.upTo ?? 0);
        amounts.forEach((one, zone) => expect(one).toBeGreaterThanOrEqual(steps[at]?.amounts[zone] ?? 0));
      });
    }
  });

  test('answers every question it understands in the shape of an answer, never for nothing', () => {
    const place = fc.constantFrom(
      { country: 'CA', postalCode: 'B2Y 1A1' },
      { country: 'CA', postalCode: 'X0A 0H0' },
      { country: 'US', postalCode: '99501' },
      { country: 'US', postalCode: '04401-1234' },
      { country: 'DE', postalCode: '10115' },
      { country: 'JP' },
    );
    const side = fc.integer({ min: 1, max: 3_000 });
    const parcel = fc.record({
      weight: fc.integer({ min: 0, max: 80_000 }),
      size: fc.option(fc.record({ length: side, width: side, height: side }), { nil: undefined }),
    });
    fc.assert(
      fc.property(
        place,
        fc.array(parcel, { minLength: 1, maxLength: 5 }),
        fc.boolean(),
        fc.integer({ min: 0, max: 300_000 }),
        (to, parcels, residential, insured) => {
          const answer = ratesBy(tariff, makeQuestion({ to, parcels, residential, insured }));
          expect(carrierAnswerSchema.parse(answer)).toEqual(answer);
          if (!answer.ok) throw new Error(answer.text);
          for (const service of answer.services) expect(service.amount).toBeGreaterThan(100);
        },
      ),
      { numRuns: 200 },
    );
  });

  test('refuses wrong credentials, another currency, a sender abroad, and codes it does not know', () => {
    const own = (accountNumber: string, secret?: string) =>
      refusedWith(ratesBy(tariff, makeQuestion({ credentials: { kind: 'own', accountNumber, secret } })));
    const [account] = tariff.accounts;
    expect(own(account?.number ?? '', 'guess')).toContain('refused: the account number and the secret');
    expect(own('nobody', account?.secret)).toContain('do not go together');
    expect(own(account?.number ?? '')).toBe('refused: the secret is missing');
    expect(own(account?.number ?? '', account?.secret)).toBe('answered');
    const asked = (part: Partial<CarrierQuestion>) => refusedWith(ratesBy(tariff, makeQuestion(part)));
    expect(asked({ currency: 'EUR' })).toContain('prices are in CAD only');
    expect(asked({ from: { country: 'DE' } })).toContain('collected in CA only');
    expect(asked({ to: { country: 'CA' } })).toBe('refused: the receiver’s postal code is missing');
    expect(asked({ to: { country: 'CA', postalCode: 'Z9Z 9Z9' } })).toContain('is not known');
  });

  test('gives an account of its own a lower price, but not in the sandbox', () => {
    const [account] = tariff.accounts;
    if (!account) throw new Error('no account');
    const credentials = { kind: 'own', accountNumber: account.number, secret: account.secret } as const;
    const code = tariff.services[tariff.id === 'gannet' ? 1 : 0]?.code ?? '';
    const listed = amount(tariff, code);
    expect(amount(tariff, code, { credentials })).toBeLessThan(listed);
    expect(amount(tariff, code, { credentials, mode: 'sandbox' })).toBe(listed);
  });
});

describe('prices by the tariff', () => {
  test('are the zone’s, a step up to and including its weight, then by the begun kilogram', () => {
    const near = { to: { country: 'CA', postalCode: 'B2Y 1A1' } };
    const at = (weight: number) => amount(gannetPost, 'parcel', { ...near, parcels: [{ weight }] });
    expect([at(500), at(501), at(20_000), at(20_001), at(21_001)]).toEqual([845, 930, 2_270, 2_340, 2_410]);
  });

  test('count the room a parcel takes where that is more than its weight', () => {
    const size = { length: 500, width: 400, height: 300 };
    expect(billedWeight({ dimensional: 5_000 }, { weight: 2_000, size })).toBe(12_000);
    expect(billedWeight({ dimensional: 5_000 }, { weight: 13_000, size })).toBe(13_000);
    expect(billedWeight({}, { weight: 2_000, size })).toBe(2_000);
    expect(amount(fulmarParcel, 'ground', { parcels: [{ weight: 2_000, size }] })).toBe(
      amount(fulmarParcel, 'ground', { parcels: [{ weight: 12_000 }] }),
    );
  });

  test('add fuel by the week, surcharges, and declared value', () => {
    const plain = amount(fulmarParcel, 'ground');
    expect(plain).toBe(1_460 + Math.round((1_460 * (fulmarParcel.fuel[48 % 13] ?? 0)) / 10_000));
    expect(amount(fulmarParcel, 'ground', { residential: true }) - plain).toBe(395);
    expect(amount(fulmarParcel, 'ground', { insured: 10_001 }) - plain).toBe(185);
    expect(amount(fulmarParcel, 'ground', { insured: 30_000 }) - plain).toBe(2 * 185 + 460);
    const twice = { parcels: [{ weight: 2_000 }, { weight: 2_000 }], residential: true };
    expect(amount(fulmarParcel, 'ground', twice)).toBe(
      2 * (1_460 + 395) + Math.round((2_920 * (fulmarParcel.fuel[48 % 13] ?? 0)) / 10_000),
    );
    const remote = { to: { country: 'CA', postalCode: 'B0C 1A0' } };
    const near = { to: { country: 'CA', postalCode: 'B4A 1A1' } };
    expect(amount(fulmarParcel, 'two-day', remote)).toBeGreaterThan(
      amount(fulmarParcel, 'two-day', near) + 1_149,
    );
  });

  test('of a carrier’s own box are its one price where that is cheaper', () => {
    const size = { length: 360, width: 260, height: 140 };
    const price = (weight: number, boxCode?: string) =>
      amount(gannetPost, 'parcel', { parcels: [{ weight, size, ...(boxCode ? { boxCode } : {}) }] });
    expect(price(9_000, 'GB-M')).toBe(1_890);
    expect(price(9_000)).toBe(2_960);
    expect(price(10_001, 'GB-M')).toBe(price(10_001));
    expect(price(400, 'GB-M')).toBeLessThan(1_891);
  });

  test('of freight are one for all that leaves together', () => {
    const one = amount(cairnFreight, 'pallet', { parcels: [{ weight: 20_000 }] });
    const two = amount(cairnFreight, 'pallet', { parcels: [{ weight: 20_000 }, { weight: 20_000 }] });
    expect(two).toBe(one);
    expect(amount(cairnFreight, 'pallet', { parcels: [{ weight: 60_000 }] })).toBeGreaterThan(one);
  });

  test('are not given where a service does not go or does not take the parcel', () => {
    const codes = (tariff: Tariff, part: Partial<CarrierQuestion>) => [...servicesOf(tariff, part).keys()];
    const yukon = { to: { country: 'CA', postalCode: 'Y1A 1A1' } };
    expect(codes(fulmarParcel, yukon)).toEqual(['ground', 'two-day']);
    expect(codes(cairnFreight, yukon)).toEqual([]);
    expect(codes(fulmarParcel, { to: { country: 'FR' } })).toEqual([]);
    expect(codes(fulmarParcel, { parcels: [{ weight: 62_001 }] })).toEqual([]);
    const letter = { length: 240, width: 165, height: 18 };
    expect(codes(gannetPost, { parcels: [{ weight: 80, size: letter }] })).toContain('letter');
    expect(codes(gannetPost, { parcels: [{ weight: 80, size: { ...letter, height: 19 } }] })).not.toContain(
      'letter',
    );
    expect(codes(gannetPost, { parcels: [{ weight: 80 }] })).not.toContain('letter');
    const girth = { length: 2_000, width: 600, height: 600 };
    expect(codes(fulmarParcel, { parcels: [{ weight: 9_000, size: girth }] })).toEqual([]);
  });

  test('come from every carrier at once, and a carrier that is none is not reached', () => {
    const questions = [
      ...STAND_INS.map(({ id }) => makeQuestion({ key: id, carrier: id })),
      makeQuestion({ carrier: 'auk' }),
    ];
    const answers = answersAtOnce(questions);
    expect(answers.map(({ ok }) => ok)).toEqual([true, true, true, false]);
    expect(answers[3]).toMatchObject({ error: 'unreachable' });
  });
});

test('weeks and working days are the calendar’s', () => {
  expect([isoWeekOf('2026-01-01'), isoWeekOf('2026-11-26'), isoWeekOf('2027-01-03')]).toEqual([1, 48, 53]);
  expect(workingDaysAfter('2026-11-27', 1)).toBe('2026-11-30');
  expect(workingDaysAfter('2026-11-27', 0)).toBe('2026-11-27');
});
