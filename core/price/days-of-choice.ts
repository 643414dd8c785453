import type { Book } from '../model/book.ts';
import type { Choice } from '../model/quote.ts';
import type { Transit } from '../model/time.ts';

/** The working days on the way that the book says of a choice of which no date is known; null where it says none. */
export const daysOfChoice = (
  { rates }: Pick<Book, 'rates'>,
  { arrives, of: { rateId, serviceCode } }: Pick<Choice, 'arrives' | 'of'>,
): Transit | null => {
  if (arrives || rateId === undefined) return null;
  const rate = rates.find(({ id }) => id === rateId);
  const service =
    rate?.price.kind === 'carrier' ? rate.price.services.find(({ code }) => code === serviceCode) : undefined;
  return service?.transit ?? rate?.transit ?? null;
};
