import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** Whether what is on the screen is also kept. */
export interface StorageStatus {
  state: 'kept' | 'keeping' | 'failed';
  /** Why the last write failed. */
  reason: string | null;
  /** Documents that could not be read at the start and were set aside. */
  setAside: string[];
}

const status = createSlice({
  name: 'storage',
  initialState: { state: 'kept', reason: null, setAside: [] } as StorageStatus,
  reducers: {
    keeping: (state) => {
      if (state.state === 'kept') state.state = 'keeping';
    },
    kept: (state) => {
      state.state = 'kept';
      state.reason = null;
    },
    keepingFailed: (state, { payload }: PayloadAction<string>) => {
      state.state = 'failed';
      state.reason = payload;
    },
  },
});

export const { keeping, kept, keepingFailed } = status.actions;
export const storageReducer = status.reducer;
