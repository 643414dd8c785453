import type { Good } from '../../../core/model/good.ts';
import type { PastOrder } from '../../../core/model/order.ts';
import { pickingList } from '../../../core/order/picking.ts';
import { promiseWords } from '../../../core/words/order-status-words.ts';
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
    `${quantity} x`,
    name,
    numbers.join(', '),
  ]);
  const notes = [`${day}, ${orders.length} orders`];
  saveBytes(
    `picking-${day}.pdf`,
    await papersPdf([{ title: 'Picking list', notes, columns: PICKING_COLUMNS, rows }]),
  );
};

/** A paper for each order: what goes into it, to whom, and what was promised. */
export const printPacking = async (
  orders: readonly PastOrder[],
  goods: ReadonlyMap<string, Good>,
  day: string,
): Promise<void> => {
  const { papersPdf } = await import('../../carriers/papers.ts');
  const papers = orders.map((order) => {
    const { number, recipient = '', request, chosen } = order;
    const { lines = [], postalCode = '', city = '' } = request.destination ?? {};
    const notes = [
      recipient,
      ...lines,
      `${postalCode} ${city}`.trim(),
      `${chosen.name} ${promiseWords(order)}`.trim(),
    ];
    return {
      title: `Order ${number}`,
      notes: notes.filter(Boolean),
      columns: PACKING_COLUMNS,
      rows: request.lines.map(({ sku, name, quantity }) => [
        `${quantity} x`,
        name ?? goods.get(sku)?.name ?? sku,
      ]),
    };
  });
  saveBytes(`packing-${day}.pdf`, await papersPdf(papers));
};
