import { createSlice, prepareAutoBatched, type PayloadAction } from '@reduxjs/toolkit';

/** A document that was copied aside instead of being lost, under a key of its own. */
export interface SetAsideDocument {
  key: string;
  document: string;
  /** It could not be read, or another tab kept it while this one had changes of its own. */
  why: 'unreadable' | 'other-tab';
  at: string;
}

/** Whether what is on the screen is also kept. */
export interface StorageStatus {
  /** 'off' where the person goes on without a storage that could not be opened. */
  state: 'kept' | 'keeping' | 'failed' | 'off';
  /** Why the last write failed. */
  reason: string | null;
  aside: SetAsideDocument[];
  /** The documents set aside since the program was opened, of which the person is to be told. */
  news: SetAsideDocument[];
  /** When the draft was last changed on this device. */
  changedAt: string | null;
  /** Whether all orders that are kept have been read: they come after the page. */
  ordersRead: boolean;
  /** When the whole shop was last saved as a file. */
  savedAt: string | null;
  /** A new version of the program: one that waits to be taken, or one that another tab has taken. */
  version: 'waiting' | 'taken' | null;
}

export const initialStorage: StorageStatus = {
  state: 'kept',
  reason: null,
  aside: [],
  news: [],
  changedAt: null,
  ordersRead: true,
  savedAt: null,
  version: null,
};

/** Whether the draft is saved. Actions that come with each edit tell of it a frame later, so that the edit is drawn first. */
const status = createSlice({
  name: 'storage',
  initialState: initialStorage,
  reducers: {
    keeping: {
      reducer: (state) => {
        if (state.state === 'kept') state.state = 'keeping';
      },
      prepare: prepareAutoBatched<void>(),
    },
    kept: {
      reducer: (state) => {
        state.state = 'kept';
        state.reason = null;
      },
      prepare: prepareAutoBatched<void>(),
    },
    keepingFailed: (state, { payload }: PayloadAction<string>) => {
      state.state = 'failed';
      state.reason = payload;
    },
    readingOrders: (state, { payload }: PayloadAction<boolean>) => {
      state.ordersRead = !payload;
    },
    changedNow: {
      reducer: (state, { payload }: PayloadAction<string | null>) => {
        state.changedAt = payload;
      },
      prepare: prepareAutoBatched<string | null>(),
    },
    newVersion: (state, { payload }: PayloadAction<'waiting' | 'taken'>) => {
      state.version = payload;
    },
    savedNow: (state, { payload }: PayloadAction<string>) => {
      state.savedAt = payload;
    },
    asideMade: (state, { payload }: PayloadAction<SetAsideDocument[]>) => {
      state.aside.push(...payload);
      state.news.push(...payload);
    },
    asideGone: (state, { payload }: PayloadAction<string>) => {
      state.aside = state.aside.filter(({ key }) => key !== payload);
      state.news = state.news.filter(({ key }) => key !== payload);
    },
    newsRead: (state) => {
      state.news = [];
    },
  },
});

export const {
  keeping,
  kept,
  keepingFailed,
  changedNow,
  readingOrders,
  newVersion,
  savedNow,
  asideMade,
  asideGone,
  newsRead,
} = status.actions;
export const storageReducer = status.reducer;
