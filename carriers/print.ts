import { rgb } from 'pdf-lib';

/** The ink that papers are printed in. */
export const INK = rgb(0.11, 0.1, 0.09);

/** What the fonts of a PDF can write; anything else becomes a question mark. */
export const printable = (text: string): string =>
  text
    .replaceAll('’', "'")
    .replaceAll('–', '-')
    .replace(/[^\x20-\x7e\xa0-\xff]/g, '?');
