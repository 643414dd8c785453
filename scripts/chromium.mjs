import { existsSync } from 'node:fs';
import { phase, run } from './phases.mjs';

const PLACES = [
  process.env.CHROMIUM,
  '/usr/bin/chromium-headless-shell',
  '/usr/bin/chromium',
  '/usr/bin/chromium-browser',
  '/usr/bin/google-chrome',
];
const found = () => PLACES.find((path) => path && existsSync(path)) ?? null;

const mayInstall = () => process.getuid?.() === 0 && existsSync('/usr/bin/apt-get');

/** Chromium without a window, which needs a tenth less of the processor; older releases of Debian have the whole alone. */
const PACKAGES = ['chromium-headless-shell', 'chromium'];

const install = (name) =>
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], {
    quiet: true,
    env: { DEBIAN_FRONTEND: 'noninteractive' },
  });

/** The path of a Chromium for the browser tests, installed from Debian's packages where that is allowed; else null. */
export const findChromium = async () => {
  if (found() || !mayInstall()) return found();
  await phase('Installing Chromium', async () => {
    await run('apt-get', ['update', '-qq'], { quiet: true });
    for (const name of PACKAGES) if ((await install(name)).code === 0) break;
  });
  return found();
};
