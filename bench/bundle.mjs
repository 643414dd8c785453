import { spawnSync } from 'node:child_process';
import { build } from 'esbuild';

/** Bundles a bench as the app's own code is bundled, so that no loader is measured with it, and runs it. */
const outfile = '.emporos/bench.cjs';
await build({
  entryPoints: ['bench/run.ts'],
  bundle: true,
  platform: 'node',
  target: 'node20',
  outfile,
  logLevel: 'error',
});
process.exit(spawnSync(process.execPath, ['--expose-gc', outfile], { stdio: 'inherit' }).status ?? 1);
