import { t } from '../translate/translate.ts';
import type { Book } from '../model/book.ts';
import type { Choice } from '../model/quote.ts';
import { moneyFigure } from './figure.ts';

/** Whether something stays to be paid when a delivery is free: a service fee, or an addition that stays. */
const keepsFee = ({ areas }: Pick<Book, 'areas'>, { working, of }: Choice): boolean => {
  const method = areas.find(({ id }) => id === of.areaId)?.methods.find(({ id }) => id === of.methodId);
  return working.some(({ step }) => step === 'service-fee') || (method?.addStays === true && method.add > 0);
};

/** How much more in the basket makes a choice free, in minor units, and whether fees stay then; null where nothing does. */
export const freeShort = (
  choice: Choice,
  book: Pick<Book, 'areas'>,
): { short: number; feesStay: boolean } | null =>
  choice.hint ? { short: choice.hint.short, feesStay: keepsFee(book, choice) } : null;

/** What makes a choice free, for the merchant: 'Spend 14.00 more for free Parcel'; '' where nothing does. */
export const freeHint = (choice: Choice, book: Pick<Book, 'areas'>, decimals: number): string => {
  const free = freeShort(choice, book);
  if (!free) return '';
  const more = moneyFigure(free.short, decimals);
  return free.feesStay
    ? t('Spend {more} more for free delivery; fees stay', { more })
    : t('Spend {more} more for free {choice}', { more, choice: choice.name });
};
