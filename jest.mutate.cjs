const { projects } = require('./jest.config.js');

const core = projects.find(({ displayName }) => displayName === 'core');

/** The core's tests of one folder, for `npm run mutate`. */
module.exports = { ...core, testMatch: [`<rootDir>/core/${process.env.MUTATED ?? '*'}/**/*.test.ts`] };
