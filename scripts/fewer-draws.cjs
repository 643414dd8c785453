const fc = require('fast-check');

/** For `npm run mutate`: what is true of a hundred drawn orders is tried on a dozen for each change, so that it ends. */
fc.configureGlobal({ numRuns: 12 });
