import { createAction, type UnknownAction } from '@reduxjs/toolkit';
import type { PastOrder } from '../../core/model/order.ts';
import { mergeOrders } from '../../core/order/merge-orders.ts';

export const orderPlaced = createAction<PastOrder>('orders/placed');
/** Orders from a file, from another tab, or from the device, beside those that are here. */
export const ordersTaken = createAction<readonly PastOrder[]>('orders/taken');

export const demoOrdersCame = createAction<PastOrder[]>('orders/demo');

/** The made-up orders of the demo shop; they are never kept. */
export const demoOrdersReducer = (state: PastOrder[], action: UnknownAction): PastOrder[] =>
  demoOrdersCame.match(action) ? action.payload : state;

/**
 * The orders that were placed, oldest first. They are facts, not part of the draft: undo leaves them. There
 * may be a hundred thousand, so they are never copied into drafts of the state.
 */
export const ordersReducer = (state: PastOrder[], action: UnknownAction): PastOrder[] => {
  if (orderPlaced.match(action)) return mergeOrders(state, [action.payload]);
  if (ordersTaken.match(action)) return mergeOrders(state, action.payload);
  return state;
};
