import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { PastOrder } from '../../core/model/order.ts';
import { mergeOrders } from '../../core/order/merge-orders.ts';

/** The orders that were placed, oldest first. They are facts, not part of the draft: undo leaves them. */
const orders = createSlice({
  name: 'orders',
  initialState: [] as PastOrder[],
  reducers: {
    orderPlaced: (state, { payload }: PayloadAction<PastOrder>) => mergeOrders(state, [payload]),
    /** Orders from a file or from another tab, beside those that are here. */
    ordersTaken: (state, { payload }: PayloadAction<readonly PastOrder[]>) => mergeOrders(state, payload),
  },
});

export const { orderPlaced, ordersTaken } = orders.actions;
export const ordersReducer = orders.reducer;
