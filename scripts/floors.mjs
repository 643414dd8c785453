import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { dirname, join, relative, sep } from 'node:path';
import { fileURLToPath } from 'node:url';
import { FLOORS } from '../eslint.floors.mjs';
import { ROOT } from './phases.mjs';

const CORE = join(ROOT, 'core');
const PICTURE = join(ROOT, 'docs', 'core-floors.svg');
const [ROW, WIDTH, LEFT] = [34, 480, 24];

const filesOf = (folder) =>
  readdirSync(folder, { recursive: true })
    .map(String)
    .filter((name) => /\.ts$/.test(name) && !/\.test\.ts$/.test(name))
    .map((name) => join(folder, name));

/** The folders of the core that a folder imports from, by its files that are no tests. */
const importsOf = (folder) => {
  const found = new Set();
  for (const file of filesOf(join(CORE, folder)))
    for (const [, path] of readFileSync(file, 'utf8').matchAll(/from '(\.[^']+)'/g)) {
      const [to] = relative(CORE, join(dirname(file), path)).split(sep);
      if (to !== folder && FLOORS.includes(to)) found.add(to);
    }
  return found;
};

/** Of the folders that one imports from, those that no other of them leads to. */
const direct = (folder, graph) => {
  const reaches = (from, to, seen = new Set()) =>
    [...graph.get(from)].some(
      (next) => next === to || (!seen.has(next) && seen.add(next) && reaches(next, to, seen)),
    );
  const all = [...graph.get(folder)];
  return all.filter((to) => !all.some((other) => other !== to && reaches(other, to)));
};

/** The folders of the core, the ground at the foot, each with lines to what it imports from, as SVG. */
export const drawFloors = () => {
  const graph = new Map(FLOORS.map((folder) => [folder, importsOf(folder)]));
  const yOf = (folder) => (FLOORS.length - FLOORS.indexOf(folder)) * ROW - ROW / 2;
  const lines = FLOORS.flatMap((folder) =>
    direct(folder, graph).map((to) => {
      const [from, down] = [yOf(folder), yOf(to)];
      const bend = 150 + Math.round((down - from) * 0.62);
      return `<path d="M130 ${from}C${bend} ${from} ${bend} ${down} 130 ${down}" />`;
    }),
  );
  const names = FLOORS.map((folder) => `<text x="${LEFT}" y="${yOf(folder) + 5}">${folder}</text>`);
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${WIDTH} ${FLOORS.length * ROW}" role="img">`,
    '<title>The folders of the core, the ground at the foot, with lines to what each imports from</title>',
    `<rect width="${WIDTH}" height="${FLOORS.length * ROW}" fill="#fffdf8" />`,
    '<g fill="none" stroke="#8a3b2a" stroke-opacity="0.55" stroke-width="1.2">',
    ...lines,
    '</g>',
    '<g font-family="Public Sans, sans-serif" font-size="14" fill="#1d2733">',
    ...names,
    '</g>',
    '</svg>',
    '',
  ].join('\n');
};

if (process.argv[1] === fileURLToPath(import.meta.url)) writeFileSync(PICTURE, drawFloors());
