import { createHash } from 'node:crypto';
import { readdirSync, readFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { ROOT } from '../phases.mjs';

const KEPT = /\.(html|js|css|json|woff2|png|svg|ico|webmanifest|md)$/;
/** Files that carry the hash of their content in their name never change. */
const NAMED_BY_CONTENT = /[-.][0-9a-f]{32}\./;

const filesOf = (folder) =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((entry) => entry.isFile() && KEPT.test(entry.name) && entry.name !== 'sw.js')
    .map((entry) => join(entry.parentPath, entry.name))
    .sort();

/** Writes dist/sw.js, which keeps all exported files on the device; returns how many they are. */
export const writeWorker = async (dist) => {
  // Loaded here, for this file is read before the packages are installed.
  const { build } = await import('esbuild');
  const files = filesOf(dist).map((file) => ({
    url: `/${relative(dist, file)}`,
    revision: NAMED_BY_CONTENT.test(file)
      ? null
      : createHash('sha256').update(readFileSync(file)).digest('hex').slice(0, 16),
  }));
  await build({
    entryPoints: [join(ROOT, 'scripts/offline/worker.js')],
    outfile: join(dist, 'sw.js'),
    bundle: true,
    minify: true,
    format: 'iife',
    define: {
      EXPORTED_FILES: JSON.stringify(files),
      'process.env.NODE_ENV': '"production"',
    },
    logLevel: 'warning',
  });
  return files.length;
};
