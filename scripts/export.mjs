import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { gzipSync } from 'node:zlib';
import { writeFrames } from './frame.mjs';
import { writeWorker } from './offline/write-worker.mjs';
import { must, phase, ROOT } from './phases.mjs';
import { shareModules } from './share-modules.mjs';

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
  'scripts/share-modules.mjs',
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
/** The most JavaScript that the scripts of a page may come to, gzipped. */
const MOST_FIRST_LOAD = 480_000;

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

/** The bytes of the JavaScript, gzipped, that a page names in this way. */
const namedBy = (html, pattern) =>
  [...html.matchAll(pattern)].reduce(
    (sum, [, path]) => sum + gzipSync(readFileSync(join(DIST, path)), { level: 9 }).length,
    0,
  );

const inKb = (bytes) => `${(bytes / 1000).toFixed(0)} kB`;

/** What each page loads before it can be used; more than allowed fails the export. */
const checkFirstLoad = () => {
  const pages = readdirSync(DIST).filter((file) => file.endsWith('.html'));
  const loads = pages.map((file) => {
    const html = readFileSync(join(DIST, file), 'utf8');
    const scripts = namedBy(html, /<script[^>]* src="(\/[^"]+\.js)"/g);
    return { scripts, parts: scripts + namedBy(html, /<link rel="prefetch"[^>]* href="(\/[^"]+\.js)"/g) };
  });
  const most = Math.max(...loads.map(({ scripts }) => scripts));
  const withParts = Math.max(...loads.map(({ parts }) => parts));
  console.log(
    `  First load: ${inKb(most)} of JavaScript, gzipped (at most ${inKb(MOST_FIRST_LOAD)}); ${inKb(withParts)} with the parts of the largest page and its data`,
  );
  if (most > 0 && most <= MOST_FIRST_LOAD) return;
  console.error('The first load is too large, or no page names a script.');
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
  await writeFrames(folder, await shareModules(folder));
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
