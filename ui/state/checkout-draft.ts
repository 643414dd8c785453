import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What a customer typed at the checkout and left without ordering: it is there when they come back. */
export interface CheckoutDraft {
  /** The form's values, which its own file knows the shape of. */
  values: unknown;
  code: string;
}

const checkoutDraft = createSlice({
  name: 'checkoutDraft',
  initialState: null as CheckoutDraft | null,
  reducers: {
    checkoutLeft: (_, { payload }: PayloadAction<CheckoutDraft>) => payload,
    checkoutDone: () => null,
  },
});

export const { checkoutLeft, checkoutDone } = checkoutDraft.actions;
export const checkoutDraftReducer = checkoutDraft.reducer;
