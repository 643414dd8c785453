import { configureStore, type Middleware, type UnknownAction } from '@reduxjs/toolkit';
import { useDispatch, useSelector, useStore } from 'react-redux';
import { draftReducer, type DraftState } from './draft.ts';
import { tellRefusals } from './refusals.ts';
import { initialSession, sessionReducer, type SessionState } from './session.ts';
import { answersReducer } from './answers.ts';
import { basketReducer, type BasketLine } from './basket.ts';
import { checkoutDraftReducer } from './checkout-draft.ts';
import { customerPlaceReducer } from './customer-place.ts';
import { holdsReducer } from './holds.ts';
import { demoEditionReducer, editionsReducer } from './editions.ts';
import { demoOrdersReducer, ordersReducer } from './orders.ts';
import { checkReducer } from './check.ts';
import { initialStorage, storageReducer, type StorageStatus } from './storage-status.ts';
import type { Edition } from '../../core/formats/edition.ts';
import type { PastOrder } from '../../core/model/order.ts';

/** What the program starts from: read from storage, or the demo shop. */
export interface Start {
  draft: DraftState;
  session?: Partial<SessionState>;
  basket?: BasketLine[];
  orders?: PastOrder[];
  storage?: Partial<StorageStatus>;
  /** The stamp of the tab that wrote the draft last. */
  stamp?: string | null;
  /** The stamp inside the draft itself: what it was written with, where a write was cut short. */
  draftStamp?: string | null;
  /** The key of the goods that the draft names; null where nothing is kept yet. */
  goods?: string | null;
}

const NO_ORDERS: PastOrder[] = [];
const NO_EDITIONS: Edition[] = [];

/** The program's one store. The state it holds is trusted: it was parsed where it came in. */
export const makeStore = (
  { draft, session, basket = [], orders = [], storage }: Start,
  watchers: readonly Middleware[] = [],
) =>
  configureStore({
    reducer: {
      draft: (state: DraftState = draft, action: UnknownAction) => draftReducer(state, action),
      session: sessionReducer,
      basket: basketReducer,
      holds: holdsReducer,
      checkoutDraft: checkoutDraftReducer,
      customerPlace: customerPlaceReducer,
      orders: (state: PastOrder[] = orders, action: UnknownAction) => ordersReducer(state, action),
      demoOrders: (state: PastOrder[] = NO_ORDERS, action: UnknownAction) => demoOrdersReducer(state, action),
      editions: (state: Edition[] = NO_EDITIONS, action: UnknownAction) => editionsReducer(state, action),
      demoEdition: (state: Edition | null = null, action: UnknownAction) => demoEditionReducer(state, action),
      storage: storageReducer,
      check: checkReducer,
      answers: answersReducer,
    },
    preloadedState: {
      draft,
      session: { ...initialSession, ...session },
      basket,
      orders,
      storage: { ...initialStorage, ...storage },
    },
    middleware: (middleware) =>
      middleware({ serializableCheck: false, immutableCheck: false }).concat(tellRefusals, ...watchers),
  });

export type AppStore = ReturnType<typeof makeStore>;
export type RootState = ReturnType<AppStore['getState']>;
export const useAppDispatch = useDispatch.withTypes<AppStore['dispatch']>();
export const useAppStore = useStore.withTypes<AppStore>();
export const useAppSelector = useSelector.withTypes<RootState>();
