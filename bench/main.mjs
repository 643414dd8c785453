import { execFileSync, spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, rmSync, symlinkSync } from 'node:fs';
import { join } from 'node:path';
import { build } from 'esbuild';
import { ROOT } from '../scripts/phases.mjs';

const OUT = join(ROOT, '.emporos', 'bench');

/** Bundles a bench as the app's own code is bundled, so that no loader is measured with it. */
const bundled = async (entry, name) => {
  const outfile = join(OUT, `${name}.cjs`);
  await build({
    entryPoints: [entry],
    bundle: true,
    platform: 'node',
    target: 'node20',
    outfile,
    logLevel: 'error',
  });
  return outfile;
};

const node = (...args) => spawnSync(process.execPath, args, { cwd: ROOT, stdio: 'inherit' }).status ?? 1;
const tsx = (file) => node('--import', 'tsx', file);

/** Each kind of bench after the other; the first that misses a target makes the whole fail, when all have run. */
const everything = async () => {
  const core = await bundled('bench/run.ts', 'run');
  const codes = [
    node('--expose-gc', core),
    tsx('bench/checkout.ts'),
    tsx('bench/service.ts'),
    tsx('bench/browser.ts'),
  ];
  return codes.some((code) => code !== 0) ? 1 : 0;
};

/** The core of this tree against that of a commit, which is put beside it with this tree's own bench. */
const against = async (commit) => {
  const sha = execFileSync('git', ['rev-parse', '--verify', `${commit}^{commit}`], {
    cwd: ROOT,
    encoding: 'utf8',
  }).trim();
  const other = join(OUT, 'other');
  rmSync(other, { recursive: true, force: true });
  mkdirSync(other, { recursive: true });
  const archive = execFileSync('git', ['archive', sha, 'core', 'demo', 'carriers', 'gazetteer'], {
    cwd: ROOT,
    maxBuffer: 2 ** 28,
  });
  execFileSync('tar', ['-x', '-C', other], { input: archive });
  for (const file of ['subjects.ts', 'large-book.ts'])
    cpSync(join(ROOT, 'bench', file), join(other, 'bench', file));
  symlinkSync(join(ROOT, 'node_modules'), join(other, 'node_modules'), 'dir');
  const [runner, mine, theirs] = [
    await bundled('bench/against.ts', 'against'),
    await bundled('bench/subjects.ts', 'mine'),
    await bundled(join(other, 'bench', 'subjects.ts'), 'theirs'),
  ];
  console.log(`This tree against ${sha.slice(0, 9)}: how many times as long it takes\n`);
  return node('--expose-gc', runner, mine, theirs);
};

/** Quotes of the demo, with a profile to open in any tool for V8's profiles. */
const profile = async () => {
  const file = await bundled('bench/profile.ts', 'profile');
  const code = node('--cpu-prof', `--cpu-prof-dir=${OUT}`, '--cpu-prof-name=quotes.cpuprofile', file);
  console.log(`The profile is ${join('.emporos', 'bench', 'quotes.cpuprofile')}.`);
  return code;
};

mkdirSync(OUT, { recursive: true });
const [option, commit] = process.argv.slice(2);
if (option === '--against' && commit) process.exit(await against(commit));
else if (option === '--profile') process.exit(await profile());
else if (option === undefined) process.exit(await everything());
console.error('npm run bench [-- --against COMMIT | --profile]');
process.exit(2);
