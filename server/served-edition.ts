import type { Edition } from '../core/formats/edition.ts';
import type { Language } from '../core/model/language.ts';
import { makeParts } from '../core/quote/compiled-parts.ts';
import { compile, type CompiledBook } from '../core/quote/compile.ts';
import { currencyDecimals } from '../core/words/figure.ts';
import { customerWords, type CustomerWords } from '../core/words/customer/customer-words.ts';
import { customerLanguages, inLanguage, ownLanguage } from '../core/words/customer/own-texts.ts';
import { regionName } from '../core/words/region-name.ts';

/** An edition as it speaks one language: its book with the merchant's texts in it, and the words around them. */
export interface Speaking {
  compiled: CompiledBook;
  words: CustomerWords;
}

/** A book with its catalogue, ready for quotes that call regions by name. */
const compiled = ({ book, catalogue }: Pick<Edition, 'book' | 'catalogue'>): CompiledBook =>
  compile(book, catalogue, null, makeParts({ regionName }));

/** An edition that quotes are made from. */
export class ServedEdition {
  readonly edition: Edition;
  readonly digest: string;
  readonly compiled: CompiledBook;
  readonly #spoken = new Map<Language, Speaking>();

  constructor(edition: Edition, digest: string) {
    this.edition = edition;
    this.digest = digest;
    this.compiled = compiled(edition);
  }

  get number(): number {
    return this.edition.number;
  }

  /** The languages that its customers can choose from, the shop's own first. */
  get languages(): readonly Language[] {
    return customerLanguages(this.edition.book);
  }

  /** The edition in a language, made ready when it is first asked for. */
  speaking(language: Language): Speaking {
    const known = this.#spoken.get(language);
    if (known) return known;
    const { book, catalogue } = this.edition;
    const { currency, units } = book.store;
    const own = inLanguage(book, catalogue, language);
    const made = {
      compiled: language === ownLanguage(book) ? this.compiled : compiled(own),
      words: customerWords(language, { currency, units, decimals: currencyDecimals(currency) }),
    };
    this.#spoken.set(language, made);
    return made;
  }
}

/** A file that is not served, and why, in sentences. */
export interface RefusedFile {
  file: string;
  reasons: string[];
}

/** Where quotes come from: the editions of each shop, the last of which is live. */
export interface EditionSource {
  readonly shops: ReadonlyMap<string, readonly ServedEdition[]>;
  readonly refused: readonly RefusedFile[];
}

/** An edition of a shop by its number, or the live one; null where there is none. */
export const findEdition = (
  { shops }: EditionSource,
  shop: string,
  number: number | null,
): ServedEdition | null => {
  const editions = shops.get(shop) ?? [];
  return (number === null ? editions.at(-1) : editions.find((one) => one.number === number)) ?? null;
};
