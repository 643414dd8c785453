import type { Book } from '../model/book.ts';
import type { Choice } from '../model/quote.ts';
import { moneyFigure } from './figure.ts';

/** Whether something stays to be paid when a delivery is free: a service fee, or an addition that stays. */
const keepsFee = ({ areas }: Pick<Book, 'areas'>, { working, of }: Choice): boolean => {
  const method = areas.find(({ id }) => id === of.areaId)?.methods.find(({ id }) => id === of.methodId);
  return working.some(({ step }) => step === 'service-fee') || (method?.addStays === true && method.add > 0);
};

/** How much more in the basket makes a choice free: 'Spend 14.00 more for free Parcel'; '' where nothing does. */
export const freeHint = (choice: Choice, book: Pick<Book, 'areas'>, decimals: number): string => {
  if (!choice.hint) return '';
  const more = moneyFigure(choice.hint.short, decimals);
  return keepsFee(book, choice)
    ? `Spend ${more} more for free delivery; fees stay`
    : `Spend ${more} more for free ${choice.name}`;
};
