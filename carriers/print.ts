import { rgb } from 'pdf-lib';

/** The ink that papers are printed in. */
export const INK = rgb(0.11, 0.1, 0.09);

/** What a PDF's own fonts write beside Latin-1 (WinAnsi, ISO 32000 annex D). */
const BESIDE_LATIN = '€‚ƒ„…†‡ˆ‰Š‹ŒŽ‘’“”•–—˜™š›œžŸ';
const NO_LETTER = new RegExp(`[^\\x20-\\x7e\\xa0-\\xff${BESIDE_LATIN}]`, 'g');

/** What the fonts of a PDF can write; anything else becomes a question mark. */
export const printable = (text: string): string =>
  text.replaceAll('\u202f', '\u00a0').replace(NO_LETTER, '?');
