import { rgb } from 'pdf-lib';

/** The ink that papers are printed in. */
export const INK = rgb(0.11, 0.1, 0.09);

/** What a PDF's own fonts write beside Latin-1 (WinAnsi, ISO 32000 annex D). */
const BESIDE_LATIN = '€‚ƒ„…†‡ˆ‰Š‹ŒŽ‘’“”•–—˜™š›œžŸ';
const NO_LETTER = new RegExp(`[^\\x20-\\x7e\\xa0-\\xff${BESIDE_LATIN}]`, 'g');

/** Letters that do not come apart into a plain one and a mark. */
const PLAIN: Record<string, string> = {
  ...{ Ł: 'L', ł: 'l', Đ: 'D', đ: 'd', Ħ: 'H', ħ: 'h', ı: 'i', Ŋ: 'N', ŋ: 'n', ẞ: 'SS', Ə: 'E', ə: 'e' },
  '\u2212': '-',
};

const plain = (letter: string): string => {
  const bare = PLAIN[letter] ?? letter.normalize('NFD').replace(/\p{M}/gu, '');
  return bare.search(NO_LETTER) < 0 ? bare : '?';
};

/** What the fonts of a PDF can write: a letter with a mark that they lack loses the mark; others become question marks. */
export const printable = (text: string): string =>
  text.normalize('NFC').replaceAll('\u202f', '\u00a0').replace(NO_LETTER, plain);
