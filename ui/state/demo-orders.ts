import { t } from '../../core/translate/translate.ts';
import file from '../../demo/data/past-orders.json';
import type { PastOrder } from '../../core/model/order.ts';
import { openDemoOrders } from '../../demo/open-orders.ts';
import { movedUpTo, pastOrdersOf, type OrdersFile } from '../../demo/past-orders.ts';
import type { Edition } from '../../core/formats/edition.ts';
import type { Workbook } from './workbook.ts';

/** How many orders are made in one go: some milliseconds of a slow phone. */
const AT_ONCE = 400;

const goOn = (): Promise<void> => Promise.resolve();

/**
 * The made-up orders of the demo shop in the year before, oldest first. `pause` is waited for between one lot and the
 * next, so that others can go first.
 */
export const demoPastOrders = async (
  now: string,
  pause: () => Promise<void> = goOn,
): Promise<PastOrder[]> => {
  const { rows, ...alike } = movedUpTo(file as unknown as OrdersFile, now);
  const made: PastOrder[] = [];
  for (let from = 0; from < rows.length; from += AT_ONCE) {
    await pause();
    made.push(...pastOrdersOf({ ...alike, rows: rows.slice(from, from + AT_ONCE) }));
  }
  return made;
};

/** The orders of the demo shop that have to be handed over from today on. */
export const demoOpenOrders = (now: string, { book, catalogue }: Workbook): PastOrder[] =>
  openDemoOrders(book, catalogue, now);

const LIVE_SINCE_DAYS = 31;
const DAY_MS = 86_400_000;

/**
 * The edition that the demo shop is served by: the book as it was a month ago, before heavy pots cost more
 * and before the heaviest parcels to the Maritimes became dearer.
 */
export const demoEdition = (now: string, { book, catalogue }: Workbook): Edition => {
  return {
    number: 1,
    publishedAt: new Date(Date.parse(now) - LIVE_SINCE_DAYS * DAY_MS).toISOString(),
    note: t('The book for the autumn.'),
    book: {
      ...book,
      adjustments: book.adjustments.filter(({ id }) => id !== 'heavy-pots'),
      rates: book.rates.map((rate) =>
        rate.id === 'parcel-maritimes' && rate.price.kind === 'steps'
          ? {
              ...rate,
              price: {
                ...rate.price,
                steps: rate.price.steps.map((step) =>
                  step.from === 10_000 ? { ...step, amount: step.amount - 300 } : step,
                ),
              },
            }
          : rate,
      ),
    },
    catalogue,
  };
};
