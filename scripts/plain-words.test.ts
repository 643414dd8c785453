import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

/** What nobody says: turns that people stumbled over, each with what is said instead. */
const TURNS: readonly [turn: RegExp, instead: string][] = [
  [/zone of time/i, 'time zone'],
  [/may be left\b/i, '(optional)'],
  [/parted by/i, 'separated by'],
  [/passed over/i, 'Do not import'],
  [/take it into the draft/i, 'Import into the draft'],
  [/draft, (kept|keeping|not kept)/i, 'Draft saved'],
  [/comes into being/i, 'New countries start open'],
  [/\boutranked\b/i, 'Also listed in'],
  [/really placed/i, 'Fitted in 3D'],
  [/weighs itself/i, 'Empty weight'],
  [/told instead of/i, 'Message to the customer'],
  [/\bno (least|most|greatest)\b/i, 'no minimum, no maximum'],
  [/what is (shipped|delivered|collected)\b/i, 'shipping, local delivery, pickup'],
  [/for what it touches|whom it touches/i, 'Who is affected'],
  [/as the draft stands|stands? here\b/i, 'is listed here'],
  [/remaining places/i, 'everywhere else'],
  [/\bset off\b|\bset ready\b/i, 'Send out, Mark ready'],
  [/what it comes to|how it gets to you/i, 'Order total, Delivery options'],
  [/threw away|throw away/i, 'Delete'],
  [/^'fold'$|\bfold (the|what)\b/i, 'hide'],
  [/milliseconds/i, 'seconds'],
  [/\bnever acts?\b|can never act/i, 'is never used, never applies'],
  [/which stands|first stands|row \S+ stands/i, 'applies'],
  [/\bis no (place|date|json|postal)\b/i, 'is not a'],
  [/as it should be/i, 'as expected'],
  [/all the same\b/i, 'anyway'],
  [/, as (?=\d|CA\b)/, 'such as'],
  [/\bthe gazetteer\b/i, 'the built-in map'],
  [/\bways? to pay\b/i, 'payment method'],
  [/\bnot to be had\b|can be had\b/i, 'available, can be bought'],
  [/\bends the list\b/i, 'skips later adjustments'],
  [/\bfalls by\b/i, 'costs less from'],
  [/\bgood that\b|\bgoods that\b|\ball goods\b/i, 'product'],
];

/** Texts that are no words to a person: what a file or a quote holds as data. */
const DATA: readonly string[] = ['all remaining places'];

const filesOf = (path: string): string[] =>
  statSync(path).isDirectory()
    ? readdirSync(path).flatMap((name) => filesOf(join(path, name)))
    : /\.tsx?$/.test(path) && !/test|testing/.test(path)
      ? [path]
      : [];

/** The texts that a source file gives to people: strings, templates and what stands between tags. */
const textsOf = (file: string): string[] => {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
  const texts: string[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isImportDeclaration(node)) return;
    if (ts.isStringLiteralLike(node) || ts.isTemplateExpression(node)) texts.push(node.getText());
    else if (ts.isJsxText(node)) texts.push(node.text.replace(/\s+/g, ' '));
    ts.forEachChild(node, visit);
  };
  visit(source);
  return texts;
};

const texts = ['core', 'ui', 'cli', 'app', 'carriers']
  .flatMap((folder) => filesOf(join(__dirname, '..', folder)))
  .flatMap((file) => textsOf(file).map((text) => ({ file, text })))
  .filter(({ text }) => !DATA.some((data) => text === `'${data}'`));

test('the program has texts to look at', () => expect(texts.length).toBeGreaterThan(3_000));

test.each(TURNS)('nobody reads %s', (turn, instead) => {
  const found = texts
    .filter(({ text }) => turn.test(text))
    .map(({ file, text }) => `${file.split(/[\\/]/).slice(-2).join('/')}: ${text} → ${instead}`);
  expect(found).toEqual([]);
});
