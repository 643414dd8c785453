import type { Book } from '../../model/book.ts';
import type { Catalogue } from '../../model/good.ts';
import type { Language } from '../../model/language.ts';
import type { CarrierPrice } from '../../model/price.ts';
import type { Rate } from '../../model/rate.ts';
import type { Timing } from '../../model/time.ts';

/** What a text of the merchant's is for. */
export type TextPart = 'ways' | 'messages' | 'payments' | 'goods';

type Turn = (text: string, part: TextPart) => string;

/** The same thing with some of its texts turned; what is not there, or empty, stays as it is. */
const turned = <T extends object>(thing: T, keys: readonly (keyof T)[], part: TextPart, turn: Turn): T => {
  const changes: Partial<T> = {};
  for (const key of keys) {
    const text = thing[key];
    if (typeof text === 'string' && text !== '') changes[key] = turn(text, part) as T[keyof T];
  }
  return { ...thing, ...changes };
};

/** What a carrier's services and the fallback are called, where the merchant says so. */
const turnedPrice = (price: CarrierPrice, turn: Turn): CarrierPrice => {
  const fallback = (one: CarrierPrice['onError']): CarrierPrice['onError'] =>
    one === 'withhold' ? one : turned(one, ['label', 'note'], 'ways', turn);
  return {
    ...price,
    services: price.services.map((one) => turned(one, ['label'], 'ways', turn)),
    onError: fallback(price.onError),
    onNone: fallback(price.onNone),
  };
};

const turnedRate = (rate: Rate, turn: Turn): Rate => ({
  ...turned(rate, ['message'], 'messages', turn),
  price: rate.price.kind === 'carrier' ? turnedPrice(rate.price, turn) : rate.price,
});

const turnedTiming = (timing: Timing, turn: Turn): Timing =>
  timing.kind === 'words' ? turned(timing, ['text'], 'messages', turn) : timing;

const turnedStore = (store: Book['store'], turn: Turn): Book['store'] => ({
  ...store,
  ...(store.codeCheck
    ? {
        codeCheck: turned(store.codeCheck, ['label', 'served', 'notServed', 'noCash'], 'messages', turn),
      }
    : {}),
  ...(store.pause ? { pause: turned(store.pause, ['message'], 'messages', turn) } : {}),
});

/** A book with each text that customers read turned into another. */
const turnedBook = (book: Book, turn: Turn): Book => ({
  ...book,
  store: turnedStore(book.store, turn),
  services: book.services.map((one) => turned(one, ['name', 'note'], 'ways', turn)),
  rates: book.rates.map((rate) => turnedRate(rate, turn)),
  areas: book.areas.map((area) => ({
    ...turned(area, ['name', 'instructions'], 'ways', turn),
    ...(area.serviceFee ? { serviceFee: turned(area.serviceFee, ['name'], 'payments', turn) } : {}),
    methods: area.methods.map((method) => ({
      ...turned(method, ['name'], 'ways', turn),
      timing: turnedTiming(method.timing, turn),
    })),
  })),
  pickups: book.pickups.map((one) => ({
    ...turned(one, ['name', 'instructions'], 'ways', turn),
    timing: turnedTiming(one.timing, turn),
  })),
  adjustments: book.adjustments.map((one) => ({
    ...one,
    effect: one.effect.do === 'withhold' ? turned(one.effect, ['message'], 'messages', turn) : one.effect,
  })),
  payments: book.payments.map((one) => turned(one, ['name', 'instructions'], 'payments', turn)),
  taxes: book.taxes.map((one) => turned(one, ['name'], 'payments', turn)),
});

const turnedGoods = ({ goods, ...rest }: Catalogue, turn: Turn): Catalogue => ({
  ...rest,
  goods: goods.map((good) => turned(good, ['name'], 'goods', turn)),
});

/** The language in which a book's own texts are written. */
export const ownLanguage = ({ store }: Pick<Book, 'store'>): Language => store.languages?.[0] ?? 'en';

/** The languages that customers can choose from, the shop's own first. */
export const customerLanguages = ({ store }: Pick<Book, 'store'>): readonly Language[] =>
  store.languages ?? ['en'];

/** The merchant's own texts in a language, by the text; null where there is nothing to translate. */
const translationsIn = (book: Book, language: Language): ReadonlyMap<string, string> | null => {
  const known = new Map(
    (book.translations ?? []).filter((one) => one.language === language).map(({ text, as }) => [text, as]),
  );
  return language === ownLanguage(book) || known.size === 0 ? null : known;
};

/** How a text of the merchant's reads in a language: as it stands where it has no translation. */
export const textIn = (book: Book, language: Language): ((text: string) => string) => {
  const known = translationsIn(book, language);
  return (text) => known?.get(text) ?? text;
};

/**
 * A shop with the texts that customers read in a language: those without a translation stay as they are. The very
 * same book and catalogue where there is nothing to translate.
 */
export const inLanguage = (
  book: Book,
  catalogue: Catalogue,
  language: Language,
): { book: Book; catalogue: Catalogue } => {
  if (translationsIn(book, language) === null) return { book, catalogue };
  const turn = textIn(book, language);
  return { book: turnedBook(book, turn), catalogue: turnedGoods(catalogue, turn) };
};

/** Every text of the merchant's that customers read, once, in the order of the book, with what it is for. */
export const ownTexts = (book: Book, catalogue: Catalogue): { text: string; part: TextPart }[] => {
  const parts = new Map<string, TextPart>();
  const note: Turn = (text, part) => {
    if (!parts.has(text)) parts.set(text, part);
    return text;
  };
  turnedBook(book, note);
  turnedGoods(catalogue, note);
  return [...parts].map(([text, part]) => ({ text, part }));
};
