import type { Language } from '../../../core/model/language.ts';
import type { Choice } from '../../../core/model/quote.ts';
import type { QuoteRequest } from '../../../core/model/request.ts';
import type { Ordering } from '../../../core/order/place-order.ts';
import type { CompiledBook } from '../../../core/quote/compile.ts';
import { ownLanguage } from '../../../core/words/customer/own-texts.ts';

/** The channel that orders of the shopfront come by. */
export const SHOP_CHANNEL = 'shopfront';

/** What an order says of who places it. */
export const shopperOf = (
  customer: string | null,
  code: string,
): Pick<QuoteRequest, 'channel' | 'customer' | 'code'> => ({
  channel: SHOP_CHANNEL,
  ...(customer === null ? {} : { customer }),
  ...(code.trim() === '' ? {} : { code: code.trim() }),
});

/** What an order keeps of the language that the customer reads, where it is not the book's. */
export const customerLanguage = (
  { book }: CompiledBook,
  language: Language,
  { name }: Choice,
): Pick<Ordering, 'language' | 'shownAs'> =>
  language === ownLanguage(book) ? {} : { language, shownAs: name };
