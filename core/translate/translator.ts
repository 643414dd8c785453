import { IntlMessageFormat } from 'intl-messageformat';
import { inEnglish, type Translate } from './translate.ts';

/** A text and its context as catalogues name it, which is as gettext does. */
const keyOf = (source: string, context: string | undefined): string =>
  context === undefined ? source : `${context}\u0004${source}`;

/**
 * Speaks another language: `texts` are its ICU messages by their English sources, `locale` the rules of its plurals and
 * figures. What it lacks is said in English.
 */
export const translatorOf = (texts: Readonly<Record<string, string>>, locale: string): Translate => {
  const formats = new Map<string, IntlMessageFormat>();
  const formatOf = (text: string): IntlMessageFormat => {
    const known = formats.get(text) ?? new IntlMessageFormat(text, locale, undefined, { ignoreTag: true });
    formats.set(text, known);
    return known;
  };
  return (source, values = {}, context) => {
    const text = texts[keyOf(source, context)];
    if (text === undefined || text === '') return inEnglish(source, values);
    if (!text.includes('{')) return text;
    const given = Object.fromEntries(Object.entries(values).map(([name, value]) => [name, value ?? '']));
    return String(formatOf(text).format(given));
  };
};
