import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { GREATEST_QUANTITY } from '../../core/model/bounds.ts';

export interface BasketLine {
  sku: string;
  quantity: number;
}

/** What the customer of the shopfront has in the basket on this device. */
const basket = createSlice({
  name: 'basket',
  initialState: [] as BasketLine[],
  reducers: {
    added: (state, { payload: sku }: PayloadAction<string>) => {
      const line = state.find((one) => one.sku === sku);
      if (line) line.quantity = Math.min(line.quantity + 1, GREATEST_QUANTITY);
      else state.push({ sku, quantity: 1 });
    },
    /** A quantity of 0 takes the line out. */
    counted: (state, { payload: { sku, quantity } }: PayloadAction<BasketLine>) =>
      quantity === 0
        ? state.filter((line) => line.sku !== sku)
        : state.map((line) => (line.sku === sku ? { sku, quantity } : line)),
    emptied: () => [],
  },
});

export const { added, counted, emptied } = basket.actions;
export const basketReducer = basket.reducer;
