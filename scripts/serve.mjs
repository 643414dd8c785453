/**
 * `npm run serve`: the server in plain JavaScript, made anew in less than a second, and run in this process. Each file
 * that begins a process or a thread of its own is made for itself.
 */
import { existsSync, mkdirSync, readdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build, stop } from 'esbuild';
import { ROOT } from './phases.mjs';

const OUT = join(ROOT, '.emporos');
const SERVER = join(ROOT, 'server');
const threads = readdirSync(SERVER).filter((name) => name.endsWith('.worker.ts'));

const { outputFiles } = await build({
  entryPoints: ['main.ts', ...threads].map((name) => join(SERVER, name)),
  outdir: OUT,
  outExtension: { '.js': '.cjs' },
  bundle: true,
  platform: 'node',
  target: 'node20',
  packages: 'external',
  sourcemap: true,
  logLevel: 'error',
  write: false,
});
// Servers that run already may start further processes from these files: each is whole at every moment.
mkdirSync(OUT, { recursive: true });
for (const { path, contents } of outputFiles) {
  if (existsSync(path) && readFileSync(path).equals(contents)) continue;
  writeFileSync(`${path}.${process.pid}`, contents);
  renameSync(`${path}.${process.pid}`, path);
}
// What makes the files is a process of its own, and not needed any more.
await stop();
await import(pathToFileURL(join(OUT, 'main.cjs')).href);
