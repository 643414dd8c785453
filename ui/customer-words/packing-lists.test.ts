import type { PastOrder } from '../../core/model/order.ts';
import { makeBook, makeGood, makeRequest } from '../../core/testing/book.ts';
import { packingLists } from './packing-lists.ts';

const book = makeBook({
  store: { languages: ['en', 'fr'] },
  translations: [{ language: 'fr', text: 'Glazed pot', as: 'Pot émaillé' }],
});
const goods = new Map(
  [
    makeGood('pot', { name: 'Glazed pot' }),
    makeGood('card', { name: 'Gift card', fulfilment: 'digital' }),
  ].map((good) => [good.sku, good]),
);
const SLOT = { start: '2026-11-30T09:00:00-04:00', end: '2026-11-30T10:00:00-04:00' };

const order = (skus: readonly string[], part: Partial<PastOrder> = {}): PastOrder => ({
  number: '1001',
  request: makeRequest({
    lines: skus.map((sku) => ({ sku, quantity: 2 })),
    destination: {
      country: 'CA',
      subdivision: 'CA-NS',
      postalCode: 'B3H 4R2',
      city: 'Halifax',
      lines: ['4 Tide Lane'],
    },
  }),
  chosen: { id: 'ring:van', kind: 'delivery', name: 'Van', charge: 640, total: 640, slot: SLOT },
  status: 'placed',
  history: [{ status: 'placed', at: '2026-11-24T10:15:00-04:00' }],
  recipient: 'Ines Varga',
  ...part,
});

describe('packing lists', () => {
  test('say to whom, how and when, with what is packed alone', async () => {
    expect(await packingLists([order(['pot', 'card'])], book, goods)).toEqual([
      {
        title: 'Order 1001',
        notes: [
          'Ines Varga',
          '4 Tide Lane',
          'Halifax NS B3H 4R2',
          'Canada',
          'Van, Mon 30 Nov, 09:00 to 10:00',
        ],
        rows: [['2 ×', 'Glazed pot']],
      },
    ]);
  });

  test('are in the language the customer ordered in', async () => {
    const french = order(['pot'], {
      language: 'fr',
      chosen: { ...order([]).chosen, shownAs: 'Camionnette' },
    });
    const [list] = await packingLists([french], book, goods);
    expect(list?.title).toBe('Commande 1001');
    expect(list?.notes.at(-1)).toBe('Camionnette, lun. 30 nov., 09:00 à 10:00');
    expect(list?.rows).toEqual([['2 ×', 'Pot émaillé']]);
  });

  test('call a product as it was called when it was ordered', async () => {
    const lines = [{ sku: 'pot', quantity: 1, name: 'Old pot' }];
    const [list] = await packingLists([order([], { request: makeRequest({ lines }) })], book, goods);
    expect(list?.rows).toEqual([['1 ×', 'Old pot']]);
  });

  test('need no address', async () => {
    const collected = order(['pot'], {
      request: makeRequest({ lines: [{ sku: 'pot', quantity: 1 }], destination: null }),
    });
    const lists = await packingLists([collected], book, goods);
    expect(lists.map(({ notes }) => notes)).toEqual([['Ines Varga', 'Van, Mon 30 Nov, 09:00 to 10:00']]);
  });
});
