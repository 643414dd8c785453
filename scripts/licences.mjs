import { init } from 'license-checker-rseidelsohn';
import { ROOT } from './phases.mjs';

/** Every package that ships must have a licence that permits shipping it. */

const PERMITTED = [
  'MIT',
  'MIT-0',
  'ISC',
  'BSD',
  'BSD-2-Clause',
  'BSD-3-Clause',
  '0BSD',
  'Apache-2.0',
  'OFL-1.1',
  'CC0-1.0',
  'CC-BY-4.0',
  'CC-BY-3.0',
  'Unlicense',
  'BlueOak-1.0.0',
  'Python-2.0',
  'MPL-2.0',
  'W3C-20150513',
  'Zlib',
  'WTFPL',
  'Public Domain',
];

/** An expression is permitted where one side of an OR, or both of an AND, is. */
const isPermitted = (expression) =>
  expression
    .replace(/[()*]/g, '')
    .split(' OR ')
    .some((side) => side.split(' AND ').every((name) => PERMITTED.includes(name.trim())));

init({ start: ROOT, production: true, excludePrivatePackages: true }, (error, packages) => {
  if (error) {
    console.error(error.message);
    process.exit(1);
  }
  const refused = Object.entries(packages).filter(
    ([, { licenses }]) => ![licenses].flat().some((one) => isPermitted(String(one))),
  );
  for (const [name, { licenses }] of refused) console.error(`${name}: ${[licenses].flat().join(', ')}`);
  console.log(
    `  ${Object.keys(packages).length} packages, ${refused.length} with a licence that does not permit shipping`,
  );
  process.exit(refused.length > 0 ? 1 : 0);
});
