import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Language } from '../../core/model/language.ts';

/** How this person has the program set up on this device; not part of the book and not undone. */
export interface SessionState {
  testOrderId: string | null;
  colours: 'system' | 'light' | 'dark';
  letterKeys: boolean;
  previewOpen: boolean;
  editingTestOrder: boolean;
  openChoices: string[];
  withheldOpen: boolean;
  message: { text: string; undo: boolean } | null;
  keysShown: boolean;
  /** The address of the page whose menu is open. */
  menuOn: string | null;
  finding: boolean;
  /** What was found last, the newest first: ids of entries. */
  found: string[];
  /** The customer group as whose member the shopfront is seen. */
  seenAs: string | null;
  /** What the shopfront serves. */
  shopFrom: 'live' | 'draft';
  /** The language that the customer chose; null for the shop's own. */
  shopLanguage: Language | null;
}

export const initialSession: SessionState = {
  testOrderId: null,
  colours: 'system',
  letterKeys: true,
  previewOpen: false,
  editingTestOrder: false,
  openChoices: [],
  withheldOpen: false,
  message: null,
  keysShown: false,
  menuOn: null,
  finding: false,
  found: [],
  seenAs: null,
  shopFrom: 'live',
  shopLanguage: null,
};

/** So many of what was found last are kept. */
export const MOST_FOUND = 8;

const session = createSlice({
  name: 'session',
  initialState: initialSession,
  reducers: {
    testOrderChosen: (state, { payload }: PayloadAction<string | null>) => {
      state.testOrderId = payload;
      state.openChoices = [];
    },
    coloursChosen: (state, { payload }: PayloadAction<SessionState['colours']>) => {
      state.colours = payload;
    },
    letterKeysSet: (state, { payload }: PayloadAction<boolean>) => {
      state.letterKeys = payload;
    },
    previewOpened: (state, { payload }: PayloadAction<boolean>) => {
      state.previewOpen = payload;
    },
    testOrderEditing: (state, { payload }: PayloadAction<boolean>) => {
      state.editingTestOrder = payload;
    },
    choiceToggled: (state, { payload }: PayloadAction<string>) => {
      const without = state.openChoices.filter((id) => id !== payload);
      state.openChoices = without.length < state.openChoices.length ? without : [...without, payload];
    },
    choicesOpened: (state, { payload }: PayloadAction<string[]>) => {
      state.openChoices = payload;
    },
    withheldToggled: (state) => {
      state.withheldOpen = !state.withheldOpen;
    },
    messageShown: (state, { payload }: PayloadAction<SessionState['message']>) => {
      state.message = payload;
    },
    shopServed: (state, { payload }: PayloadAction<SessionState['shopFrom']>) => {
      state.shopFrom = payload;
    },
    shopLanguageChosen: (state, { payload }: PayloadAction<Language>) => {
      state.shopLanguage = payload;
    },
    shopSeenAs: (state, { payload }: PayloadAction<string | null>) => {
      state.seenAs = payload;
    },
    keysToggled: (state, { payload }: PayloadAction<boolean>) => {
      state.keysShown = payload;
    },
    menuShown: (state, { payload }: PayloadAction<string | null>) => {
      state.menuOn = payload;
    },
    findToggled: (state, { payload }: PayloadAction<boolean>) => {
      state.finding = payload;
    },
    entryFound: (state, { payload }: PayloadAction<string>) => {
      state.finding = false;
      state.found = [payload, ...state.found.filter((id) => id !== payload)].slice(0, MOST_FOUND);
    },
  },
});

export const {
  testOrderChosen,
  coloursChosen,
  letterKeysSet,
  previewOpened,
  testOrderEditing,
  choiceToggled,
  choicesOpened,
  withheldToggled,
  messageShown,
  keysToggled,
  menuShown,
  findToggled,
  entryFound,
  shopLanguageChosen,
  shopSeenAs,
  shopServed,
} = session.actions;

/** Says what was done, beside a button that undoes it. */
export const undoMessage = (text: string) => messageShown({ text, undo: true });
export const sessionReducer = session.reducer;
