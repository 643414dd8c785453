import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';

/**
 * The bundler puts each module that two parts of the program use into one file, which every page then loads first. Here
 * such a module goes to the parts that use it: into each of them where they are few, else into a file that they share.
 * Only what the first scripts use themselves, and what is not worth a file, stays.
 */

/** As many parts get a copy of a module. */
const MOST_COPIES = 2;
/** As many characters make a file of their own worth its request. */
const LEAST_SHARED = 4_000;
const FOLDER = '_expo/static/js/web';
const NAME = /-[0-9a-f]{32}\.js$/;
/** Each file is loaded without others. */
const ALONE = new Map();

/** Whether a script runs by itself, such as a worker: it holds all that it uses. */
const isWhole = (script) => script.startsWith('var __BUNDLE_START_TIME__');

const digestOf = (...texts) => {
  const hash = createHash('md5');
  for (const text of texts) hash.update(text);
  return hash.digest('hex');
};

const keyOf = ({ key }) => key.name ?? key.value;

/** What a module asks for: an array, or an object that also says where parts that come later are. */
const askedBy = (node) => {
  if (!node) return [];
  if (node.type === 'ArrayExpression') return node.elements.map(({ value }) => value);
  const later = node.properties.find((one) => keyOf(one) === 'paths')?.value.properties ?? [];
  const ids = later.map((one) => Number(keyOf(one)));
  return node.properties
    .map(({ value }) => value.value)
    .filter((id) => id !== undefined && !ids.includes(id));
};

/** The modules that a script defines: `{ id, asks, text }`, in their order. */
const modulesOf = (script, parse) =>
  parse(script, { ecmaVersion: 2022 })
    .body.filter(({ expression }) => expression?.callee?.name === '__d')
    .map(({ expression, start, end }) => ({
      id: expression.arguments[1].value,
      asks: askedBy(expression.arguments[2]),
      text: script.slice(start, end),
    }));

/** By each common module, the names of the parts that use it, be it through others. */
const usersOf = (common, parts) => {
  const byId = new Map(common.map((module) => [module.id, module]));
  const users = new Map(common.map(({ id }) => [id, []]));
  for (const [name, modules] of parts) {
    const waiting = modules.flatMap(({ asks }) => asks);
    for (const id of waiting) {
      const module = byId.get(id);
      if (!module || users.get(id).includes(name)) continue;
      users.get(id).push(name);
      waiting.push(...module.asks);
    }
  }
  return users;
};

/**
 * Where each common module goes: `first` stay where all pages load them, `copies` go into parts by name, and `shared`
 * are the modules of further files with the names of the parts that need them.
 */
export const planOf = (common, parts, entry) => {
  const users = usersOf(common, parts);
  const alike = new Map();
  for (const module of common) {
    const key = users.get(module.id).join(' ');
    alike.set(key, [...(alike.get(key) ?? []), module]);
  }
  const plan = { first: [], copies: new Map(), shared: [] };
  for (const [key, modules] of alike) {
    const names = key === '' ? [] : key.split(' ');
    const size = modules.reduce((sum, { text }) => sum + text.length, 0);
    // What nobody is seen to use is kept where it was, for it was put there for some reason.
    if (names.length === 0 || names.includes(entry)) plan.first.push(...modules);
    else if (names.length <= MOST_COPIES)
      for (const name of names) plan.copies.set(name, [...(plan.copies.get(name) ?? []), ...modules]);
    else if (size >= LEAST_SHARED) plan.shared.push({ names, modules });
    else plan.first.push(...modules);
  }
  return plan;
};

const scriptOf = (modules) => modules.map(({ text }) => `${text}\n`).join('');

/** The scripts after the plan, still by their former names, and by each part the files that it needs before itself. */
const planned = (scripts, plan, common) => {
  const changed = new Map(scripts);
  changed.set(common, scriptOf(plan.first));
  for (const [name, modules] of plan.copies) changed.set(name, `${scriptOf(modules)}${scripts.get(name)}`);
  const before = new Map();
  for (const { names, modules } of plan.shared) {
    const text = scriptOf(modules);
    const file = `shared-${digestOf(text)}.js`;
    changed.set(file, text);
    for (const name of names) before.set(name, [...(before.get(name) ?? []), file]);
  }
  return { changed, before };
};

/** New names: each by all that a script, and what it names, is made of, for a name promises what is in the file. */
const namesOf = (scripts, before) => {
  const files = [...scripts.keys()];
  const namedIn = (text) => files.filter((one) => text.includes(one));
  const leads = new Map(
    [...scripts].map(([file, text]) => [
      file,
      namedIn(text).flatMap((one) => [...(before.get(one) ?? []), one]),
    ]),
  );
  const digests = new Map(files.map((file) => [file, digestOf(scripts.get(file))]));
  const nameOf = (file) => {
    const reached = [file];
    for (const one of reached) reached.push(...leads.get(one).filter((next) => !reached.includes(next)));
    return file.replace(NAME, `-${digestOf(...reached.map((one) => digests.get(one)).sort())}.js`);
  };
  return new Map(files.map((file) => [file, nameOf(file)]));
};

/** A text with the new names; a script that is loaded later is named after the files that it needs. */
const renamed = (text, names, before) =>
  text.replace(/(\/_expo\/static\/js\/web\/)([\w.[\]+-]+\.js)/g, (whole, path, file) => {
    if (!names.has(file)) return whole;
    return [...(before.get(file) ?? []), file].map((one) => `${path}${names.get(one)}`).join(' ');
  });

/**
 * Divides the common modules of the web app exported into `dist` among its parts. Returns, by the name of a part, the
 * files that it is made of. It throws where the export is not as it knows it.
 */
export const shareModules = async (dist) => {
  // Not at the top: this file is loaded before packages are installed.
  const { parse } = await import('acorn');
  const folder = join(dist, FOLDER);
  const scripts = new Map(
    readdirSync(folder)
      .filter((file) => NAME.test(file))
      .map((file) => [file, readFileSync(join(folder, file), 'utf8')]),
  );
  const find = (start) => [...scripts.keys()].find((file) => file.startsWith(start));
  const [common, entry] = [find('__common-'), find('entry-')];
  if (!common || !entry) throw new Error('the export has no common script or no entry');
  const parts = [...scripts]
    .filter(([file, text]) => file !== common && !isWhole(text))
    .map(([file, text]) => [file, modulesOf(text, parse)]);
  const { changed, before } = planned(
    scripts,
    planOf(modulesOf(scripts.get(common), parse), parts, entry),
    common,
  );
  const names = namesOf(changed, before);
  for (const file of scripts.keys()) rmSync(join(folder, file));
  for (const [file, text] of changed)
    writeFileSync(join(folder, names.get(file)), renamed(text, names, isWhole(text) ? ALONE : before));
  for (const page of readdirSync(dist).filter((file) => file.endsWith('.html')))
    writeFileSync(join(dist, page), renamed(readFileSync(join(dist, page), 'utf8'), names, ALONE));
  return new Map(
    [...changed.keys()].map((file) => [
      file.replace(NAME, ''),
      [...(before.get(file) ?? []), file].map((one) => names.get(one)),
    ]),
  );
};
