import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
import { join } from 'node:path';
import { must, phase, ROOT } from './phases.mjs';

const STAMP = join(ROOT, 'node_modules', '.emporos-lock');
const lockHash = () =>
  createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex');

/** Installs the packages of the lock file unless just those are there. */
export const installPackages = async () => {
  const hash = lockHash();
  if (existsSync(STAMP) && readFileSync(STAMP, 'utf8') === hash) return;
  await phase('Installing packages', () => must('npm', ['ci', '--no-audit', '--no-fund'], { quiet: true }));
  writeFileSync(STAMP, hash);
};
