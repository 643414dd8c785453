import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Proof } from '../../core/proof/prove.ts';

/** What the trials gave when they were last run over the draft; null until they have been. */
export interface ProofState {
  proof: Proof | null;
  /** Whether the draft has changed since. */
  isOld: boolean;
}

const proofSlice = createSlice({
  name: 'proof',
  initialState: { proof: null, isOld: true } as ProofState,
  reducers: {
    proofCame: (_, { payload }: PayloadAction<Proof>) => ({ proof: payload, isOld: false }),
    proofOutdated: (state) => {
      state.isOld = true;
    },
  },
});

export const { proofCame, proofOutdated } = proofSlice.actions;
export const proofReducer = proofSlice.reducer;
