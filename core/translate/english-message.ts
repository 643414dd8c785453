import { memoizeByText } from '../memo/memoize-by-text.ts';

/** What is put into a text: figures already written, names, and counts for its plurals; null is written as nothing. */
export type Values = Readonly<Record<string, string | number | null | undefined>>;

/** Writes a message or a part of it; `count` is that of the plural it stands in. */
type Writer = (values: Values, count: number | undefined) => string;

/** Where the brace that opens at `from` is closed. */
const closing = (text: string, from: number): number => {
  let depth = 0;
  for (let at = from; at < text.length; at++) {
    if (text[at] === '{') depth++;
    if (text[at] === '}' && --depth === 0) return at;
  }
  throw new Error(`A brace is not closed: ${text}`);
};

/** The forms of a plural or a selection by name: 'one {a row} other {# rows}'. */
const formsOf = (text: string): Map<string, Writer> => {
  const forms = new Map<string, Writer>();
  for (let at = text.indexOf('{'), from = 0; at >= 0; at = text.indexOf('{', from)) {
    const end = closing(text, at);
    forms.set(text.slice(from, at).trim(), writerOf(text.slice(at + 1, end)));
    from = end + 1;
  }
  return forms;
};

/** 'name', 'name, plural, one {…} other {…}' or 'name, select, a {…} other {…}', as it stands in braces. */
const argument = (inside: string): Writer => {
  const [name = '', kind, ...rest] = inside.split(', ');
  const valueOf = (values: Values): string | number => {
    const value = values[name];
    if (value === undefined && !(name in values)) throw new Error(`A text lacks its value: ${name}`);
    return value ?? '';
  };
  if (kind === undefined)
    return (values) => {
      const value = valueOf(values);
      return typeof value === 'string' ? value : String(value);
    };
  const forms = formsOf(rest.join(', '));
  const other = forms.get('other') ?? (() => '');
  if (kind === 'plural')
    return (values) => {
      const count = Number(valueOf(values));
      return (count === 1 ? (forms.get('one') ?? other) : other)(values, count);
    };
  return (values, count) => (forms.get(String(valueOf(values))) ?? other)(values, count);
};

const written = (count: number): string =>
  Number.isInteger(count) && count >= 0 && count < 1_000 ? String(count) : count.toLocaleString('en');

const SIGN = /[{#]/;

const writerOf = (text: string): Writer => {
  const parts: (string | Writer)[] = [];
  for (let rest = text; rest !== '';) {
    const at = rest.search(SIGN);
    if (at !== 0) parts.push(at < 0 ? rest : rest.slice(0, at));
    if (at < 0) break;
    const end = rest[at] === '#' ? at : closing(rest, at);
    parts.push(
      rest[at] === '#'
        ? (_, count) => (count === undefined ? '#' : written(count))
        : argument(rest.slice(at + 1, end)),
    );
    rest = rest.slice(end + 1);
  }
  const [only = ''] = parts;
  if (parts.length < 2) return typeof only === 'string' ? () => only : only;
  return (values, count) => {
    let out = '';
    for (const part of parts) out += typeof part === 'string' ? part : part(values, count);
    return out;
  };
};

/** A message is read once, and written as often as it is said. */
const messageOf = memoizeByText(writerOf);

/**
 * An English text with its values put in. It reads the part of ICU that the sources keep to: {name}, plural with one and
 * other, select. A page in English so needs no library of messages; a test compares it with that library for every text.
 */
export const englishText = (source: string, values: Values): string => messageOf(source)(values, undefined);
