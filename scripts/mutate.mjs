/**
 * Mutation testing of the core: `npm run mutate -- place time` changes each line of these folders in small ways, one at
 * a time, and runs the folder's own tests: a change that no test notices is a test to write, or code to delete. Without
 * a name, all folders that are held to a share are tried, one after the other. The page of each folder's result is
 * `.emporos/mutate/<folder>.html`.
 */
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { Stryker } from '@stryker-mutator/core';
import { ROOT } from './phases.mjs';

/** Of a hundred changes, as many as the folder's tests must notice. */
const LEAST = { place: 85, price: 85, quote: 85, time: 85, duty: 85 };

const asked = process.argv.slice(2);
const unknown = asked.find((folder) => !existsSync(join(ROOT, 'core', folder)));
if (unknown) {
  console.error(`There is no folder core/${unknown}.`);
  process.exit(2);
}

const mutate = async (folder) => {
  process.env.MUTATED = folder;
  const results = await new Stryker({
    mutate: [`core/${folder}/**/*.ts`, `!core/${folder}/**/*.test.ts`],
    testRunner: 'jest',
    jest: { configFile: 'jest.mutate.cjs' },
    coverageAnalysis: 'perTest',
    // What is worked out when a file is loaded would need all tests for each change.
    ignoreStatic: true,
    concurrency: 2,
    reporters: ['progress-append-only', 'clear-text', 'html'],
    clearTextReporter: { logTests: false, reportTests: false, allowColor: false },
    htmlReporter: { fileName: `.emporos/mutate/${folder}.html` },
    tempDirName: '.emporos/mutating',
    ignorePatterns: ['dist', '.emporos', '.expo', 'docs', 'e2e'],
    allowEmpty: false,
  }).runMutationTest();
  const count = (...statuses) => results.filter(({ status }) => statuses.includes(status)).length;
  const noticed = count('Killed', 'Timeout');
  // What cannot even be loaded is neither noticed nor missed.
  const all = noticed + count('Survived', 'NoCoverage');
  const share = (100 * noticed) / all;
  console.log(`core/${folder}: ${noticed} of ${all} changes noticed, ${share.toFixed(1)} %`);
  return share >= (LEAST[folder] ?? 0);
};

let isHeld = true;
for (const folder of asked.length > 0 ? asked : Object.keys(LEAST)) isHeld = (await mutate(folder)) && isHeld;
process.exit(isHeld ? 0 : 1);
