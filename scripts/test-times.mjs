import { cpus } from 'node:os';

/** The most seconds of processor time that a test of each kind may take on average; past it the run fails. */
export const BUDGETS = { unit: 0.9, browser: 8 };

/** Seconds of processor time that this machine has spent since it was started, but for idling. */
export const processorSeconds = () =>
  cpus().reduce((sum, { times }) => sum + times.user + times.nice + times.sys, 0) / 1_000;

/** The tests of a report of Jest, with how long each took, in milliseconds. */
export const unitTimes = (report) =>
  report.testResults.flatMap(({ assertionResults }) =>
    assertionResults.map(({ fullName, duration }) => ({ name: fullName, ms: duration ?? 0 })),
  );

const specsOf = (suite) => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(specsOf)];

/** The tests of a report of Playwright, with how long each took, in milliseconds. */
export const browserTimes = (report) =>
  report.suites
    .flatMap(specsOf)
    .flatMap(({ title, file, tests }) =>
      tests.flatMap(({ projectName, results }) =>
        results.map(({ duration }) => ({ name: `${file}, ${projectName}: ${title}`, ms: duration })),
      ),
    );

/** The ten tests that took longest, a line each. */
export const slowestLines = (times) =>
  [...times]
    .sort((a, b) => b.ms - a.ms)
    .slice(0, 10)
    .map(({ name, ms }) => `  ${(ms / 1_000).toFixed(1).padStart(6)} s  ${name}`);

/** What a kind of tests took of the processor, and whether that is within its budget. */
export const withinBudget = (kind, tests, seconds) => {
  const each = tests === 0 ? 0 : seconds / tests;
  const isWithin = each <= BUDGETS[kind];
  const words = `${each.toFixed(2)} s of processor time a ${kind} test, of at most ${BUDGETS[kind]} s`;
  return { isWithin, words: isWithin ? words : `${words}: too much. Look at the slowest.` };
};
