import { writeFileSync } from 'node:fs';
import zipcodes from 'zipcodes';

/**
 * Writes gazetteer/ca.json and gazetteer/us.json out of the open gazetteer `zipcodes`: where each postal area of
 * Canada (its first three characters) and each five-digit code of the United States lies, as
 * [latitude, longitude, place] with four decimals, in order of the codes.
 */

const round = (degrees) => Math.round(degrees * 10_000) / 10_000;

const countries = { CA: {}, US: {} };
const codes = Object.values(zipcodes.codes).sort((a, b) => (a.zip < b.zip ? -1 : 1));
for (const { zip, country, latitude, longitude, city } of codes) {
  if (!latitude || !longitude) continue;
  countries[country === 'Canada' ? 'CA' : 'US'][zip] = [round(latitude), round(longitude), city];
}

for (const [country, places] of Object.entries(countries)) {
  const lines = Object.entries(places).map(([code, place]) => `"${code}":${JSON.stringify(place)}`);
  const file = new URL(`../gazetteer/${country.toLowerCase()}.json`, import.meta.url);
  writeFileSync(file, `{\n${lines.join(',\n')}\n}\n`);
}
