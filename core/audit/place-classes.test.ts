import { makeBook, makeCatalogue, makeGood, makeRate, makeZone } from '../testing/book.ts';
import { compile } from '../quote/compile.ts';
import { makeParts } from '../quote/compiled-parts.ts';
import { audit } from './audit.ts';

test('of a country that zones take in part, the rest is named; countries that no rule names come last, together', () => {
  const zones = [
    makeZone('home', { includes: [{ country: 'CA', subdivision: 'CA-NS' }] }),
    makeZone('over', { includes: [{ country: 'US' }], excludes: [{ country: 'US', subdivision: 'US-AK' }] }),
  ];
  const rates = zones.map(({ id }) => makeRate({ id: `rate-${id}`, zoneId: id }));
  const pot = makeGood('pot', { size: { length: 300, width: 200, height: 100 } });
  const parts = makeParts({ regionName: (code) => (code === 'US-AK' ? 'Alaska' : code) });
  const [first] = audit(compile(makeBook({ zones, rates }), makeCatalogue(pot), null, parts), '2026-11-24');
  expect(first?.text).toBe(
    'No zone takes the rest of Canada, Alaska in the United States and all other countries, although the shop sells there: nothing can be bought.',
  );
});
