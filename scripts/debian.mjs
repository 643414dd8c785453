import { existsSync } from 'node:fs';
import { phase, run } from './phases.mjs';

const mayInstall = () => process.getuid?.() === 0 && existsSync('/usr/bin/apt-get');

const install = (name) =>
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name], {
    quiet: true,
    env: { DEBIAN_FRONTEND: 'noninteractive' },
  });

/**
 * The path of a program at one of some places. Where it is at none, the first of Debian's packages that there is gets
 * installed, if that is allowed here; null where it is then still missing.
 */
export const findProgram = async (name, places, packages) => {
  const found = () => places.find((path) => path && existsSync(path)) ?? null;
  if (found() || !mayInstall()) return found();
  await phase(`Installing ${name}`, async () => {
    await run('apt-get', ['update', '-qq'], { quiet: true });
    for (const one of packages) if ((await install(one)).code === 0) break;
  });
  return found();
};
