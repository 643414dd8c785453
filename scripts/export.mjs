import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { gzipSync } from 'node:zlib';
import { writeFrames } from './frame.mjs';
import { writeWorker } from './offline/write-worker.mjs';
import { must, phase, ROOT } from './phases.mjs';

/** What the exported web app is made of; an export of the same sources is used again. */
const SOURCES = [
  'app',
  'carriers',
  'gazetteer',
  'ui',
  'core',
  'demo/data',
  'public',
  'scripts/frame.mjs',
  'scripts/offline',
  'app.json',
  'babel.config.js',
  'metro.config.js',
  'scripts/minify.cjs',
  'scripts/paper-parts.cjs',
  'package-lock.json',
  'tsconfig.json',
  'tsconfig.base.json',
];
const DIST = join(ROOT, 'dist');
/** The program with the gallery of parts in it, for its test alone. */
const GALLERY = join(ROOT, 'export', 'gallery');
/** The most JavaScript that the first page may load, gzipped. */
const MOST_FIRST_LOAD = 548_000;

/** The edition of ECMAScript that every browser of .browserslistrc reads whole. */
const SYNTAX = 2022;

const filesOf = (path) => {
  if (!existsSync(path)) return [];
  if (!statSync(path).isDirectory()) return [path];
  return readdirSync(path)
    .sort()
    .flatMap((name) => filesOf(join(path, name)));
};

const sourceHash = () => {
  const hash = createHash('sha256');
  for (const file of SOURCES.flatMap((name) => filesOf(join(ROOT, name)))) {
    if (/\.test\.tsx?$/.test(file)) continue;
    hash.update(relative(ROOT, file)).update(readFileSync(file));
  }
  return hash.digest('hex');
};

/** The bytes of JavaScript that index.html names, gzipped; more than allowed fails the export. */
const checkFirstLoad = () => {
  const html = readFileSync(join(DIST, 'index.html'), 'utf8');
  const scripts = [...html.matchAll(/src="(\/[^"]+\.js)"/g)].map(([, path]) => path);
  const size = scripts.reduce(
    (sum, path) => sum + gzipSync(readFileSync(join(DIST, path)), { level: 9 }).length,
    0,
  );
  console.log(
    `  First load: ${(size / 1000).toFixed(0)} kB of JavaScript, gzipped (at most ${MOST_FIRST_LOAD / 1000} kB)`,
  );
  if (scripts.length > 0 && size <= MOST_FIRST_LOAD) return;
  console.error('The first load is too large, or no script was found in index.html.');
  process.exit(1);
};

/** A script in newer syntax than browsers read fails the export. */
const checkSyntax = async () => {
  // Not at the top: this file is loaded before packages are installed.
  const { parse } = await import('acorn');
  for (const file of filesOf(join(DIST, '_expo')).filter((name) => name.endsWith('.js')))
    try {
      parse(readFileSync(file, 'utf8'), { ecmaVersion: SYNTAX });
    } catch (error) {
      console.error(`${relative(ROOT, file)} is not ECMAScript ${SYNTAX}: ${error.message}`);
      process.exit(1);
    }
};

/** Exports into a folder unless an export of the same sources is there. */
const exportInto = async (folder, name, environment) => {
  const stamp = join(folder, '.sources');
  const hash = sourceHash();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === hash) return;
  await phase(name, () =>
    must('npx', ['expo', 'export', '--platform', 'web', '--output-dir', relative(ROOT, folder)], {
      quiet: true,
      env: { EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', CI: '1', NODE_ENV: 'production', ...environment },
    }),
  );
  // The gallery is of the same files.
  if (folder === DIST) await checkSyntax();
  await writeFrames(folder);
  console.log(`  Kept for use without a network: ${await writeWorker(folder)} files`);
  writeFileSync(stamp, hash);
};

/** Exports the web app into dist/ unless an export of the same sources is there. */
export const exportApp = async () => {
  await exportInto(DIST, 'Exporting the web app', {});
  checkFirstLoad();
};

/** Exports it with the gallery of parts; after the export of the app most of its work is done. */
export const exportGallery = () => exportInto(GALLERY, 'Exporting the gallery of parts', { GALLERY: '1' });
