import { execFileSync } from 'node:child_process';
import { ROOT } from './phases.mjs';

const git = (...args) =>
  execFileSync('git', args, { cwd: ROOT, encoding: 'utf8' }).split('\n').filter(Boolean);

/** The files that differ from the last commit; where none does, those that the last commit changed. */
export const changedFiles = () => {
  const now = [...git('diff', '--name-only', 'HEAD'), ...git('ls-files', '--others', '--exclude-standard')];
  return now.length > 0 ? now : git('diff', '--name-only', 'HEAD~1', 'HEAD');
};

/** The browser tests that try a screen, by the folder of the screen. */
const BY_SCREEN = {
  begin: ['begin'],
  guide: ['keeping', 'accessible'],
  charges: ['board', 'charges', 'adjustments', 'carriers', 'lists', 'costs'],
  goods: ['goods'],
  check: ['check'],
  reach: ['reach', 'nearby', 'lists'],
  settings: ['settings', 'keeping', 'nearby'],
  shopfront: ['shop', 'nearby', 'lists'],
  today: ['today'],
};
/** What no browser test depends on. */
const APART = /^(docs|bench|cli|\.ci)\/|^(?!public\/).*\.md$|\.test\.tsx?$|^demo\/(?!data)/;

/**
 * The files of browser tests that a change touches: those of a screen for the screen's files, a changed test itself,
 * and null, which is all of them, for anything that several screens share.
 */
export const browserTestsFor = (files) => {
  const tests = new Set();
  for (const file of files) {
    if (APART.test(file)) continue;
    const [, screen] = /^ui\/screens\/([^/]+)\//.exec(file) ?? [];
    if (/^e2e\/.*\.spec\.ts$/.test(file)) tests.add(file);
    else if (screen && BY_SCREEN[screen])
      for (const name of BY_SCREEN[screen]) tests.add(`e2e/${name}.spec.ts`);
    else return null;
  }
  return [...tests].sort();
};
