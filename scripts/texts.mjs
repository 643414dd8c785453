import { existsSync, mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join, relative } from 'node:path';
import { fileURLToPath } from 'node:url';
import PO from 'pofile';
import ts from 'typescript';

/**
 * Collects every text of the merchant's side into languages/merchant.pot, brings the translations beside it
 * (languages/fr.po) up to date, and makes of each what the program reads (public/languages). docs/languages.md says how
 * a language is added.
 */
const ROOT = fileURLToPath(new URL('..', import.meta.url));
const FOLDER = join(ROOT, 'languages');
const SERVED = join(ROOT, 'public', 'languages');
const TEMPLATE = 'merchant.pot';

/** The folders that speak to the merchant, from the page down. */
const SPEAKING = ['ui', 'core', 'carriers', 'cli'];
const isSource = (name) => /\.tsx?$/.test(name) && !/\.test\.tsx?$|(^|\/)(testing|gallery)\//.test(name);

const sourcesIn = (folder) =>
  readdirSync(join(ROOT, folder), { recursive: true })
    .map((name) => `${folder}/${String(name)}`)
    .filter(isSource)
    .sort();

/** The names under which a text is written: said at once, or marked to be said later. */
const SAYING = new Set(['t', 'marked']);

/** The texts of a file: each with its context, where it has one. */
const textsIn = (file) => {
  const source = ts.createSourceFile(file, readFileSync(join(ROOT, file), 'utf8'), ts.ScriptTarget.Latest);
  const found = [];
  const visit = (node) => {
    if (ts.isCallExpression(node) && ts.isIdentifier(node.expression) && SAYING.has(node.expression.text)) {
      const [text, , context] = node.arguments;
      if (text && ts.isStringLiteralLike(text))
        found.push({
          text: text.text,
          context: context && ts.isStringLiteralLike(context) ? context.text : null,
        });
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
};

/** Attributes that a person reads or hears. */
const SPOKEN = /^(label|title|summary|what|placeholder|aria-label|accessibilityLabel)$/;
const isPhrase = (text) => /[a-z]{2,} [a-z]{2,}/.test(text);
const hasWord = (text) => /\p{L}{2}/u.test(text);

/** What a node says outside of the catalogue, or null: words between tags, in an attribute that is read, or a phrase. */
const saidBy = (node, parent) => {
  if (ts.isJsxText(node)) return hasWord(node.text) ? node.text.trim() : null;
  if (ts.isTemplateExpression(node)) {
    const text = [node.head, ...node.templateSpans.map(({ literal }) => literal)]
      .map((part) => part.text)
      .join('…');
    return isPhrase(text) ? text : null;
  }
  if (!ts.isStringLiteralLike(node)) return null;
  const isRead = parent && ts.isJsxAttribute(parent) && SPOKEN.test(parent.name.getText());
  return isPhrase(node.text) || (isRead && hasWord(node.text)) ? node.text : null;
};

const isSilent = (node) =>
  ts.isImportDeclaration(node) ||
  ts.isExportDeclaration(node) ||
  ts.isTypeNode(node) ||
  (ts.isNewExpression(node) && /Error$/.test(node.expression.getText()));

/** The texts of the interface that are in no catalogue, as 'file: text'; the customers' own words are elsewhere. */
export const textsOutside = () =>
  sourcesIn('ui').flatMap((file) => {
    const source = ts.createSourceFile(
      file,
      readFileSync(join(ROOT, file), 'utf8'),
      ts.ScriptTarget.Latest,
      true,
    );
    const found = [];
    const visit = (node, parent) => {
      if (isSilent(node)) return;
      const isSaid = ts.isCallExpression(node) && SAYING.has(node.expression.getText());
      const said = saidBy(node, parent);
      if (said !== null) found.push(`${file}: ${said}`);
      const inside = isSaid ? node.arguments.slice(1, 2) : node.getChildren();
      for (const child of inside) visit(child, node.kind === ts.SyntaxKind.SyntaxList ? parent : node);
    };
    visit(source, null);
    return found;
  });

/** What the program looks a text up by: as gettext does, the context before it. */
const keyOf = ({ msgctxt, msgid }) => (msgctxt ? `${msgctxt}\u0004${msgid}` : msgid);

/** Every text with the files that say it, in the order of the files. */
export const textsOfProgram = () => {
  const items = new Map();
  for (const file of SPEAKING.flatMap(sourcesIn))
    for (const { text, context } of textsIn(file)) {
      const item = new PO.Item();
      Object.assign(item, { msgid: text, msgctxt: context });
      const known = items.get(keyOf(item)) ?? item;
      if (!known.references.includes(file)) known.references.push(file);
      items.set(keyOf(item), known);
    }
  return [...items.values()];
};

const HEADERS = {
  'Project-Id-Version': 'Emporos',
  'MIME-Version': '1.0',
  'Content-Type': 'text/plain; charset=UTF-8',
  'Content-Transfer-Encoding': '8bit',
  'X-Message-Format': 'ICU',
};

/** The catalogue as a file: the texts of `items`, in the words of `translations` where it has them. */
const fileOf = (items, headers, translations = new Map()) => {
  const po = new PO();
  po.headers = headers;
  po.headerOrder = Object.keys(headers);
  po.items = items.map((item) => {
    const copy = Object.assign(new PO.Item(), item);
    copy.msgstr = [translations.get(keyOf(item)) ?? ''];
    return copy;
  });
  return `${po.toString()}\n`;
};

const translationsIn = (po) => new Map(po.items.map((item) => [keyOf(item), item.msgstr.join('')]));

/** All files as they should be, by their paths. */
export const languageFiles = () => {
  const items = textsOfProgram();
  const files = new Map([[join(FOLDER, TEMPLATE), fileOf(items, HEADERS)]]);
  const languages = [];
  for (const name of existsSync(FOLDER) ? readdirSync(FOLDER).sort() : []) {
    if (!name.endsWith('.po')) continue;
    const po = PO.parse(readFileSync(join(FOLDER, name), 'utf8'));
    const language = name.slice(0, -'.po'.length);
    const translations = translationsIn(po);
    files.set(join(FOLDER, name), fileOf(items, po.headers, translations));
    const texts = items.flatMap((item) => {
      const as = translations.get(keyOf(item));
      return as ? [[keyOf(item), as]] : [];
    });
    languages.push({ language, name: po.headers['X-Language-Name'] ?? language });
    files.set(join(SERVED, `${language}.json`), `${JSON.stringify(Object.fromEntries(texts), null, 1)}\n`);
  }
  files.set(join(SERVED, 'index.json'), `${JSON.stringify(languages, null, 1)}\n`);
  return files;
};

const write = () => {
  for (const folder of [FOLDER, SERVED]) mkdirSync(folder, { recursive: true });
  for (const [path, text] of languageFiles()) {
    const was = existsSync(path) ? readFileSync(path, 'utf8') : null;
    if (was === text) continue;
    writeFileSync(path, text);
    console.log(`${relative(ROOT, path)} is written.`);
  }
};

if (process.argv[1] === fileURLToPath(import.meta.url)) write();
