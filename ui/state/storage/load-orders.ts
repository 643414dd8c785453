import type { PastOrder } from '../../../core/model/order.ts';
import type { SetAsideDocument } from '../storage-status.ts';
import { setAside } from './aside.ts';
import { isOrdersKey, readMonth } from './documents.ts';
import type { KeyValueStore } from './writer.ts';
import { momentNow } from '../../time/now.ts';

export interface OrdersFound {
  orders: (found: PastOrder[]) => void;
  aside: (made: SetAsideDocument) => void;
}

const breath = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/** Reads one month; what cannot be read is set aside. */
export const loadMonth = async (shelf: KeyValueStore, key: string, found: OrdersFound): Promise<void> => {
  const text = await shelf.getItem(key);
  if (text === null) return;
  const orders = readMonth(text);
  if (orders) {
    found.orders(orders);
    return;
  }
  const made = await setAside(shelf, key, 'unreadable', momentNow());
  if (made) found.aside(made);
};

/**
 * Reads the orders that are kept, the newest month first and one after another, so that a page is there
 * before many years of orders are and answers meanwhile.
 */
export const loadOrders = async (shelf: KeyValueStore, found: OrdersFound): Promise<void> => {
  const months = (await shelf.getAllKeys()).filter(isOrdersKey).sort().reverse();
  for (const key of months) {
    await breath();
    await loadMonth(shelf, key, found);
  }
};
