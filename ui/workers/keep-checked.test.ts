import { touchesShown } from '../state/check.ts';
import { edit } from '../state/draft.ts';
import { demoPastOrders } from '../state/demo-orders.ts';
import { demoOrdersCame } from '../state/orders.ts';
import { demoStore } from '../testing/store.tsx';
import { makeChecker } from './checker.ts';
import { keepChecked } from './keep-checked.ts';
import type { ShopParts } from './shop-parts.ts';

const settle = (): Promise<void> => jest.advanceTimersByTimeAsync(300);

test('the checker is handed what changed, and past orders only where what adjustments touch is shown', async () => {
  const store = demoStore();
  const checker = makeChecker();
  const taken: (keyof ShopParts)[][] = [];
  const take = (parts: ShopParts): void => {
    taken.push(Object.keys(parts).sort() as (keyof ShopParts)[]);
    checker.take(parts);
  };
  const end = keepChecked(store, { ...checker, take });
  await settle();
  expect(taken).toEqual([['book', 'catalogue', 'entries', 'lists', 'testOrders']]);

  const orders = await demoPastOrders(new Date().toISOString());
  store.dispatch(demoOrdersCame(orders.slice(-200)));
  await settle();
  expect(taken).toHaveLength(1);

  store.dispatch(touchesShown(true));
  await settle();
  expect(taken.at(-1)).toEqual(['orders']);
  expect(store.getState().check.check?.touches?.['trade']?.orders).toBeGreaterThan(0);

  store.dispatch(edit('setStore', { changes: { handling: { amount: 100, per: 'order' } } }, 'dearer'));
  await settle();
  expect(taken).toHaveLength(3);
  expect(taken.at(-1)).toEqual(['book', 'entries', 'lists']);
  end();
});
