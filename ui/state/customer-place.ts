import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** Where the shopfront's customer says they are: typed once, it is there on the next page of the shop. */
export interface CustomerPlace {
  country: string;
  postalCode: string;
}

const customerPlace = createSlice({
  name: 'customerPlace',
  initialState: null as CustomerPlace | null,
  reducers: {
    placeTyped: (_, { payload }: PayloadAction<CustomerPlace>) => payload,
  },
});

export const { placeTyped } = customerPlace.actions;
export const customerPlaceReducer = customerPlace.reducer;
