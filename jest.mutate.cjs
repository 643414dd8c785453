const { projects } = require('./jest.config.js');

const core = projects.find(({ displayName }) => displayName === 'core');

/** The core's tests of one folder, for `npm run mutate`; without that which would take seconds for each change. */
module.exports = {
  ...core,
  testMatch: [`<rootDir>/core/${process.env.MUTATED ?? '*'}/**/*.test.ts`],
  testPathIgnorePatterns: [...(core.testPathIgnorePatterns ?? []), 'compile-again'],
  setupFiles: [...(core.setupFiles ?? []), './scripts/fewer-draws.cjs'],
};
