import type { Book } from '../model/book.ts';
import type { Choice } from '../model/quote.ts';
import { transitPhrase } from './rate-phrase.ts';

/** The working days on the way that the book says of a choice of which no date is known; '' where it says none. */
export const daysPhrase = (
  { rates }: Pick<Book, 'rates'>,
  { arrives, of: { rateId, serviceCode } }: Pick<Choice, 'arrives' | 'of'>,
): string => {
  if (arrives || rateId === undefined) return '';
  const rate = rates.find(({ id }) => id === rateId);
  const service =
    rate?.price.kind === 'carrier' ? rate.price.services.find(({ code }) => code === serviceCode) : undefined;
  const days = service?.transit ?? rate?.transit;
  return days ? transitPhrase(days) : '';
};
