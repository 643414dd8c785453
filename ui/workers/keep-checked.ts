import type { Remote } from 'comlink';
import { checkCame, checkOutdated } from '../state/check.ts';
import type { AppStore } from '../state/store.ts';
import type { Checker } from './checker.ts';
import { butForOrders, changedParts, hasChanged, heldOf, NOTHING_HELD } from './changed-parts.ts';

/** Edits that follow each other within this time are checked together. */
const PAUSE_MS = 60;

/**
 * Has the test orders run over the draft after every change, beside the page, and the outcome put into the
 * store. Only what changed is handed over, past orders once what adjustments touch is shown. Gives a function that
 * ends it.
 */
export const keepChecked = (store: AppStore, checker: Checker | Remote<Checker>): (() => void) => {
  let held = NOTHING_HELD;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let isBusy = false;
  const isDue = (): boolean => {
    const state = store.getState();
    const { areTouchesShown, check } = state.check;
    if (!areTouchesShown) return hasChanged(state, butForOrders(state, held));
    return hasChanged(state, held) || check?.touches === null;
  };
  const run = async (): Promise<void> => {
    const state = store.getState();
    if (isBusy || !isDue()) return;
    isBusy = true;
    const { areTouchesShown } = state.check;
    const parts = changedParts(state, areTouchesShown ? held : butForOrders(state, held));
    held = { ...heldOf(state), ...(areTouchesShown ? {} : { orders: held.orders }) };
    await checker.take(parts);
    const check = await checker.checkDraft(areTouchesShown);
    isBusy = false;
    store.dispatch(checkCame(check));
    later();
  };
  const later = (): void => {
    if (!isDue()) return;
    if (!store.getState().check.isOld) store.dispatch(checkOutdated());
    clearTimeout(timer);
    timer = setTimeout(() => void run(), PAUSE_MS);
  };
  const stop = store.subscribe(later);
  later();
  return () => {
    stop();
    clearTimeout(timer);
  };
};
