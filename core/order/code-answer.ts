import type { Quote } from '../model/quote.ts';
import type { QuoteRequest } from '../model/request.ts';
import { placeOf } from '../place/place.ts';
import { askPostalList } from '../place/postal-list.ts';
import type { CompiledBook } from '../quote/compile.ts';
import type { CustomerWords } from '../words/customer/customer-words.ts';
import { promiseSentence } from './promise-sentence.ts';

/** Whether the line of the postal list that holds the address says that nothing is paid at the door there. */
const isWithoutCash = ({ book, postalList }: CompiledBook, { destination }: QuoteRequest): boolean => {
  const isOffered = book.payments.some(({ kind }) => kind === 'on-delivery');
  if (!isOffered || !destination) return false;
  const found = askPostalList(postalList, placeOf(destination), book.store.unlistedPostalCodes);
  return found?.rule?.cashOnDelivery === false;
};

/**
 * What the product page answers to a postal code: the merchant's own words for codes that are served and for those
 * that are not, where there are some; when it is there and for how much, as checkout has it; and that nothing can be
 * paid at the door, where the postal list says so.
 */
export const codeAnswer = (
  compiled: CompiledBook,
  request: QuoteRequest,
  quoted: Quote,
  today: string,
  words: CustomerWords,
): string => {
  const { codeCheck } = compiled.book.store;
  const isServed = quoted.choices.some(({ kind }) => kind !== 'pickup');
  const sentence = promiseSentence(quoted, compiled.book, today, words);
  if (quoted.choices.length === 0) return codeCheck?.notServed ?? sentence;
  const own = isServed ? codeCheck?.served : codeCheck?.notServed;
  const cash =
    isServed && isWithoutCash(compiled, request)
      ? (codeCheck?.noCash ?? words.say('product.no-cash'))
      : undefined;
  return [own, sentence, cash].filter(Boolean).join(' ');
};
