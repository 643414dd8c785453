import { compile } from '../quote/compile.ts';
import { makeBook, makeCatalogue, makeRate, makeZone } from '../testing/book.ts';
import { audit } from './audit.ts';

const services = [
  { id: 'parcel', name: 'Parcel' },
  { id: 'express', name: 'Express' },
];
const zones = [makeZone('country'), makeZone('far', { includes: [{ country: 'US' }] })];
const rates = [
  makeRate(),
  makeRate({ id: 'parcel-far', zoneId: 'far' }),
  makeRate({ id: 'express-far', serviceId: 'express', zoneId: 'far' }),
];

const missing = (part: Parameters<typeof makeBook>[0]) =>
  audit(compile(makeBook({ services, zones, rates, ...part }), makeCatalogue()), '2026-11-24').filter(
    ({ code }) => code === 'service-without-rate',
  );

describe('a service without a rate', () => {
  test('is told though others go there, with what mends it', () => {
    expect(missing({})).toMatchObject([
      {
        gravity: 'odd',
        text: 'Express has no rate in country: it is not offered there. Set a rate, or leave it out on purpose.',
        where: [
          { kind: 'service', id: 'express' },
          { kind: 'zone', id: 'country' },
        ],
      },
    ]);
  });

  test('is no problem where it is left out on purpose, switched off, or nothing is sold', () => {
    const [, far] = zones;
    expect(
      missing({ zones: [makeZone('country', { without: ['express'] }), ...(far ? [far] : [])] }),
    ).toEqual([]);
    expect(
      missing({ rates: [...rates, makeRate({ id: 'off', serviceId: 'express', active: false })] }),
    ).toEqual([]);
    const closed = { mode: 'listed' as const, countries: ['US'], closedRegions: [] };
    expect(missing({ store: { sellsTo: closed } })).toEqual([]);
  });
});
