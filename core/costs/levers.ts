import type { Book } from '../model/book.ts';
import type { Rate } from '../model/rate.ts';
import { adjustmentFrom, leverValue, type Lever } from './lever.ts';

/** The levers of one rate: its threshold, its minima, each of its steps, its fallback. */
export const leversOfRate = (book: Book, rate: Rate): Lever[] => {
  const { id: rateId, price } = rate;
  const steps =
    price.kind === 'steps' ? price.steps.map((_, at) => ({ kind: 'step', rateId, at }) as const) : [];
  const fallback = { kind: 'fallback', rateId } as const;
  return [
    { kind: 'free-from', rateId },
    { kind: 'minimum-order', rateId },
    { kind: 'least-charge', rateId },
    ...steps,
    ...(leverValue(book, fallback) === null ? [] : [fallback]),
  ];
};

/** Every lever that a book has by itself; those that move several rates at once name the rates they are for. */
export const leversOf = (book: Book): Lever[] => [
  ...book.rates.flatMap((rate) => leversOfRate(book, rate)),
  ...book.adjustments
    .filter((one) => adjustmentFrom(one) !== null)
    .map(({ id }) => ({ kind: 'adjustment-from', adjustmentId: id }) as const),
  ...book.carriers.map(({ id }) => ({ kind: 'carrier-increase', accountId: id }) as const),
  { kind: 'carrier-increase', accountId: null },
];
