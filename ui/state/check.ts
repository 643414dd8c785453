import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import { problemKey } from '../../core/model/accepted.ts';
import type { Book } from '../../core/model/book.ts';
import type { Problem } from '../../core/model/problem.ts';
import type { Catalogue } from '../../core/model/good.ts';
import type { DraftCheck } from '../../core/check/check-draft.ts';

/** What an audit found, and what it was of. */
export interface AuditDone {
  problems: Problem[];
  book: Book;
  catalogue: Catalogue;
}

export interface CheckState {
  /** What the test orders gave when they were last run over the draft; null until they have been. */
  check: DraftCheck | null;
  /** Whether the draft has changed since. */
  isOld: boolean;
  /** Whether what the adjustments touch is on the screen, and so has to be worked out. */
  areTouchesShown: boolean;
  audit: AuditDone | null;
  /** What the live edition has by itself, as keys of its problems; null until it was audited. */
  live: { number: number; keys: string[] } | null;
}

const checkSlice = createSlice({
  name: 'check',
  initialState: { check: null, isOld: true, areTouchesShown: false, audit: null, live: null } as CheckState,
  reducers: {
    checkCame: (state, { payload }: PayloadAction<DraftCheck>) => ({
      ...state,
      check: payload,
      isOld: false,
    }),
    checkOutdated: (state) => ({ ...state, isOld: true }),
    touchesShown: (state, { payload }: PayloadAction<boolean>) => ({ ...state, areTouchesShown: payload }),
    auditCame: (state, { payload }: PayloadAction<AuditDone>) => ({ ...state, audit: payload }),
    liveAuditCame: (state, { payload }: PayloadAction<{ number: number; problems: readonly Problem[] }>) => ({
      ...state,
      live: { number: payload.number, keys: payload.problems.map(problemKey) },
    }),
  },
});

export const { checkCame, checkOutdated, touchesShown, auditCame, liveAuditCame } = checkSlice.actions;
export const checkReducer = checkSlice.reducer;
