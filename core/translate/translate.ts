import { englishText, type Values } from './english-message.ts';

/**
 * Gives a text in the program's language. `source` is the English text, as an ICU message; `context` tells two texts
 * apart that are one word in English: 'Open', the button, and 'Open', the state.
 */
export type Translate = (source: string, values?: Values, context?: string) => string;

const NONE: Values = {};

/** The English text itself: what is said where no catalogue says it otherwise. */
export const inEnglish: Translate = (source, values = NONE) => englishText(source, values);

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
