import { readFileSync } from 'node:fs';
import { metresBetween } from '../core/place/distance.ts';
import { postalReach } from '../core/coverage/postal-reach.ts';
import { allLocated, type Gazetteer } from './locate.ts';

test('among the codes of a whole large country each finds the nearest of all', () => {
  const all = allLocated(JSON.parse(readFileSync('gazetteer/us.json', 'utf8')) as Gazetteer);
  expect(all.length).toBeGreaterThan(30_000);
  for (const one of all.filter((_, at) => at % 6_000 === 0)) {
    const others = all.filter(({ code }) => code !== one.code);
    const nearest = Math.min(...others.map(({ point }) => metresBetween(one.point, point)));
    expect(postalReach(one, all)).toBe(nearest / 2);
  }
});
