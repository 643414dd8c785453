import { configureStore, type UnknownAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { draftReducer, type DraftState } from './draft.ts';
import { initialSession, sessionReducer, type SessionState } from './session.ts';
import { storageReducer, type StorageStatus } from './storage-status.ts';

/** What the program starts from: read from storage, or the demo shop. */
export interface Start {
  draft: DraftState;
  session?: Partial<SessionState>;
  setAside?: string[];
}

/** The program's one store. The state it holds is trusted: it was parsed where it came in. */
export const makeStore = ({ draft, session, setAside = [] }: Start) =>
  configureStore({
    reducer: {
      draft: (state: DraftState = draft, action: UnknownAction) => draftReducer(state, action),
      session: sessionReducer,
      storage: storageReducer,
    },
    preloadedState: {
      draft,
      session: { ...initialSession, ...session },
      storage: { state: 'kept', reason: null, setAside } as StorageStatus,
    },
    middleware: (middleware) => middleware({ serializableCheck: false, immutableCheck: false }),
  });

export type AppStore = ReturnType<typeof makeStore>;
export type RootState = ReturnType<AppStore['getState']>;
export const useAppDispatch = useDispatch.withTypes<AppStore['dispatch']>();
export const useAppSelector = useSelector.withTypes<RootState>();
