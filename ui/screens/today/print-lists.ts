import { t } from '../../../core/translate/translate.ts';
import type { Book } from '../../../core/model/book.ts';
import type { Good } from '../../../core/model/good.ts';
import type { PastOrder } from '../../../core/model/order.ts';
import { pickingList } from '../../../core/order/picking.ts';
import { packingLists } from '../../customer-words/packing-lists.ts';
import { saveBytes } from '../../files/files.ts';

const PICKING_COLUMNS = [0, 40, 300];
const PACKING_COLUMNS = [0, 40];

/** What has to be fetched for some orders, as one paper. */
export const printPicking = async (
  orders: readonly PastOrder[],
  goods: ReadonlyMap<string, Good>,
  day: string,
): Promise<void> => {
  const { papersPdf } = await import('../../carriers/papers.ts');
  const rows = pickingList(orders, goods).map(({ quantity, name, orders: numbers }) => [
    `${quantity} ×`,
    name,
    numbers.join(', '),
  ]);
  const notes = [t('{day}, {count, plural, one {# order} other {# orders}}', { day, count: orders.length })];
  saveBytes(
    `picking-${day}.pdf`,
    await papersPdf([{ title: t('Picking list'), notes, columns: PICKING_COLUMNS, rows }]),
  );
};

/** A paper for each order, in its customer's language: what goes into it, to whom, and what was promised. */
export const printPacking = async (
  orders: readonly PastOrder[],
  book: Book,
  goods: ReadonlyMap<string, Good>,
  day: string,
): Promise<void> => {
  const { papersPdf } = await import('../../carriers/papers.ts');
  const lists = await packingLists(orders, book, goods);
  saveBytes(
    `packing-${day}.pdf`,
    await papersPdf(lists.map((list) => ({ ...list, columns: PACKING_COLUMNS }))),
  );
};
