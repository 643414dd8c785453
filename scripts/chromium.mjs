import { findProgram } from './debian.mjs';

const PLACES = [
  process.env.CHROMIUM,
  '/usr/bin/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
];

/** Chromium without a window, which needs a tenth less of the processor; older releases of Debian have the whole alone. */
const PACKAGES = ['chromium-headless-shell', 'chromium'];

/** The path of a Chromium for the browser tests, installed from Debian's packages where that is allowed; else null. */
export const findChromium = () => findProgram('Chromium', PLACES, PACKAGES);
