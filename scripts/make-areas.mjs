import { writeFileSync } from 'node:fs';
import zipcodes from 'zipcodes';

/**
 * Writes carriers/areas.json out of the open gazetteer `zipcodes`: where each postal area lies that carriers
 * tell apart, as [latitude, longitude] to a hundredth of a degree. Canada by its forward sortation areas, the
 * United States by the first three figures of the code, in the middle of the codes that begin with them.
 */

const round = (degrees) => Math.round(degrees * 100) / 100;
const mean = (figures) => figures.reduce((sum, one) => sum + one, 0) / figures.length;

const areas = { CA: {}, US: {} };
for (const { zip, country, latitude, longitude } of Object.values(zipcodes.codes)) {
  const [name, area] = country === 'Canada' ? ['CA', zip] : ['US', zip.slice(0, 3)];
  (areas[name][area] ??= []).push([latitude, longitude]);
}
for (const country of Object.values(areas))
  for (const [area, points] of Object.entries(country))
    country[area] = [
      round(mean(points.map(([latitude]) => latitude))),
      round(mean(points.map(([, longitude]) => longitude))),
    ];

writeFileSync(new URL('../carriers/areas.json', import.meta.url), `${JSON.stringify(areas)}\n`);
