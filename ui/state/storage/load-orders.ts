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
export const loadMonth = async (device: KeyValueStore, key: string, found: OrdersFound): Promise<void> => {
  const text = await device.getItem(key);
  if (text === null) return;
  const orders = readMonth(text);
  if (orders) {
    found.orders(orders);
    return;
  }
  const made = await setAside(device, key, 'unreadable', momentNow());
  if (made) found.aside(made);
};

/**
 * Reads the orders that are kept, the newest month first and one after another, so that a page is there
 * before many years of orders are and answers meanwhile.
 */
export const loadOrders = async (device: KeyValueStore, found: OrdersFound): Promise<void> => {
  const months = (await device.getAllKeys()).filter(isOrdersKey).sort().reverse();
  for (const key of months) {
    await breath();
    await loadMonth(device, key, found);
  }
};
