import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { browserTestsFor, changedFiles } from './changed.mjs';
import { findChromium } from './chromium.mjs';
import { findProgram } from './debian.mjs';
import { exportApp, exportGallery } from './export.mjs';
import { installPackages } from './install.mjs';
import { must, phase, ROOT, run } from './phases.mjs';
import { browserTimes, processorSeconds, slowestLines, unitTimes, withinBudget } from './test-times.mjs';

const REPORTS = {
  jest: join(ROOT, '.emporos', 'jest.json'),
  playwright: join(ROOT, '.emporos', 'playwright.json'),
};

const readReport = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null);

const unitCounts = () => {
  const report = readReport(REPORTS.jest);
  return report
    ? { passed: report.numPassedTests, failed: report.numFailedTests + report.numRuntimeErrorTestSuites }
    : { passed: 0, failed: 1 };
};

const browserCounts = () => {
  const stats = readReport(REPORTS.playwright)?.stats;
  return stats
    ? { passed: stats.expected + stats.flaky, failed: stats.unexpected }
    : { passed: 0, failed: 1 };
};

/** Runs one kind of tests and says which took longest; a whole run past its budget of processor time counts as a failure. */
const timed = async (kind, name, work, counts, timesOf) => {
  const before = processorSeconds();
  await phase(name, work);
  const taken = processorSeconds() - before;
  const counted = counts();
  const report = readReport(REPORTS[kind === 'unit' ? 'jest' : 'playwright']);
  if (!report) return counted;
  const times = timesOf(report);
  const { isWithin, words } = withinBudget(kind, times.length, taken);
  console.log(`  ${words}. The slowest:\n${slowestLines(times).join('\n')}`);
  return isWithin || changed ? counted : { ...counted, failed: counted.failed + 1 };
};

const finish = (...counts) => {
  const passed = counts.reduce((sum, one) => sum + one.passed, 0);
  const failed = counts.reduce((sum, one) => sum + one.failed, 0);
  console.log(`tests: ${passed} passed, ${failed} failed`);
  process.exit(failed > 0 || (passed === 0 && !changed) ? 1 : 0);
};

/** `npm test -- --changed` runs what a change touches; without it, everything runs. */
const changed = process.argv.includes('--changed') ? changedFiles() : null;
if (changed) console.log(`Only what these touch: ${changed.join(', ') || 'nothing'}`);
const browserTests = changed ? browserTestsFor(changed) : null;

await installPackages();
mkdirSync(join(ROOT, '.emporos'), { recursive: true });
for (const file of Object.values(REPORTS)) rmSync(file, { force: true });

/** Answers of carriers that processes share are tried with a real Redis, where there is one or it may be installed. */
const redis = changed
  ? null
  : await findProgram('Redis', [process.env.REDIS_SERVER, '/usr/bin/redis-server'], ['redis-server']);
if (!changed && !redis) console.log('There is no redis-server here: what needs one is not tried.');

const check = (name, script) => phase(name, () => must('npm', ['run', '-s', script]));
const checkTypes = async () => {
  await check('Types', 'types');
  if (!changed) await check('Data that went wrong', 'fuzz');
};
const checkStyle = async () => {
  if (browserTests?.length !== 0) {
    await exportApp();
    await exportGallery();
  }
  await check('Lint', 'lint');
  await check('Unused code and dependencies', 'unused');
  await check('Licences', 'licences');
};
// Each keeps one core busy; the unit tests after them, and the browser tests, use what there is.
await Promise.all([checkTypes(), checkStyle()]);
const related = changed ? ['--passWithNoTests', '--findRelatedTests', ...changed] : [];
const units = await timed(
  'unit',
  'Unit tests',
  () =>
    run('npx', ['jest', '--json', `--outputFile=${REPORTS.jest}`, ...related], {
      env: redis ? { REDIS_SERVER: redis } : {},
    }),
  unitCounts,
  unitTimes,
);
if (units.failed > 0 || browserTests?.length === 0) finish(units);

const chromium = await findChromium();
if (!chromium) {
  console.error(
    'The browser tests need Chromium: install it, as with “apt-get install chromium”, or set CHROMIUM to its path.',
  );
  finish(units, { passed: 0, failed: 1 });
}
const browsers = await timed(
  'browser',
  'Browser tests',
  () =>
    run('npx', ['playwright', 'test', ...(browserTests ?? [])], {
      env: { CHROMIUM: chromium, PLAYWRIGHT_JSON_OUTPUT_NAME: REPORTS.playwright },
    }),
  browserCounts,
  browserTimes,
);
finish(units, browsers);
