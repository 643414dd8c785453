/** What is put into a text: figures already written, names, and counts for its plurals; null is written as nothing. */
export type Values = Readonly<Record<string, string | number | null | undefined>>;

/**
 * Gives a text in the program's language. `source` is the English text, as an ICU message; `context` tells two texts
 * apart that are one word in English: 'Open', the button, and 'Open', the state.
 */
export type Translate = (source: string, values?: Values, context?: string) => string;

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
const formsOf = (text: string): Map<string, string> => {
  const forms = new Map<string, string>();
  for (let at = text.indexOf('{'), from = 0; at >= 0; at = text.indexOf('{', from)) {
    const end = closing(text, at);
    forms.set(text.slice(from, at).trim(), text.slice(at + 1, end));
    from = end + 1;
  }
  return forms;
};

const argument = (inside: string, values: Values, count?: number): string => {
  const [name = '', kind, ...rest] = inside.split(', ');
  if (!(name in values)) throw new Error(`A text lacks its value: ${name}`);
  const value = values[name] ?? '';
  if (kind === undefined) return String(value);
  const forms = formsOf(rest.join(', '));
  const plural = kind === 'plural';
  const form = forms.get(plural && value === 1 ? 'one' : String(value)) ?? forms.get('other');
  return filled(form ?? '', values, plural ? Number(value) : count);
};

const filled = (text: string, values: Values, count?: number): string => {
  let out = '';
  for (let at = 0; at < text.length; at++) {
    const char = text[at];
    if (char === '{') {
      const end = closing(text, at);
      out += argument(text.slice(at + 1, end), values, count);
      at = end;
    } else out += char === '#' && count !== undefined ? count.toLocaleString('en') : char;
  }
  return out;
};

/**
 * The English text itself. It reads the part of ICU that the sources keep to ({name}, plural with one and other,
 * select), so that a page in English needs neither a catalogue nor a library of messages; a test compares it with
 * that library for every source.
 */
export const inEnglish: Translate = (source, values = {}) =>
  source.includes('{') ? filled(source, values) : source;

/** The language of the program, one for all of it: a program has one merchant, who reads one language. */
let spoken: { translate: Translate; locale: string } = { translate: inEnglish, locale: 'en' };

/** A text of the merchant's side in the language that the program speaks. */
export const t: Translate = (source, values, context) => spoken.translate(source, values, context);

/**
 * Marks an English text that is said later, by `t`: one that is also a name in files, such as the heading of a column.
 * It goes into the catalogue, and stays as it is.
 */
export const marked = (source: string): string => source;

/** The locale by which the program writes names of places, dates and counts: 'en', 'fr'. */
export const spokenLocale = (): string => spoken.locale;

/** Says in which language the program speaks from now on; done once, before the first text is read. */
export const speakBy = (translate: Translate, locale: string): void => {
  spoken = { translate, locale };
};
