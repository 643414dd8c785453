import type { Remote } from 'comlink';
import { proofCame, proofOutdated } from '../state/proof.ts';
import type { AppStore } from '../state/store.ts';
import type { Prover } from './prover.ts';
import { changedParts, hasChanged, heldOf, NOTHING_HELD } from './shop-parts.ts';

/** Edits that follow each other within this time are proved together. */
const PAUSE_MS = 60;

/**
 * Has the trials run over the draft after every change, beside the page, and the outcome put into the
 * store. Only what changed is handed over. Gives a function that ends it.
 */
export const keepProved = (store: AppStore, prover: Prover | Remote<Prover>): (() => void) => {
  let held = NOTHING_HELD;
  let timer: ReturnType<typeof setTimeout> | undefined;
  let isBusy = false;
  const isDue = (): boolean => {
    const state = store.getState();
    const { areTouchesShown, proof } = state.proof;
    return hasChanged(state, held) || (areTouchesShown && proof?.touches === null);
  };
  const run = async (): Promise<void> => {
    const state = store.getState();
    if (isBusy || !isDue()) return;
    isBusy = true;
    const parts = changedParts(state, held);
    held = heldOf(state);
    await prover.take(parts);
    const proof = await prover.prove(state.proof.areTouchesShown);
    isBusy = false;
    store.dispatch(proofCame(proof));
    later();
  };
  const later = (): void => {
    if (!isDue()) return;
    if (!store.getState().proof.isOld) store.dispatch(proofOutdated());
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
