import { proxy, wrap, type Remote } from 'comlink';
import { workerLanguage } from '../language/chosen-language.ts';
import type { RootState } from '../state/store.ts';
import type { OnCostProgress } from './costs/cost-progress.ts';
import type { Coster } from './costs/coster.ts';
import { changedParts, heldOf, NOTHING_HELD, type Held } from './changed-parts.ts';

/** The worker that works out costs, and the shop it was given. */
interface Desk {
  worker: Worker;
  coster: Remote<Coster>;
  held: Held;
  ready: Promise<boolean>;
  waiting: Set<OnCostProgress>;
}

let desk: Desk | null = null;

const isOf = ({ held }: Desk, state: RootState): boolean => {
  const now = heldOf(state);
  return held.book === now.book && held.catalogue === now.catalogue && held.orders === now.orders;
};

const openDesk = (state: RootState): Desk => {
  desk?.worker.terminate();
  const worker = new Worker(new URL('./coster.worker.ts', window.location.href), { name: workerLanguage() });
  const coster = wrap<Coster>(worker);
  const waiting = new Set<OnCostProgress>();
  const tell: OnCostProgress = (progress) => waiting.forEach((one) => one(progress));
  const ready = coster.open(changedParts(state, NOTHING_HELD), proxy(tell));
  return { worker, coster, held: heldOf(state), ready, waiting };
};

/** The costs of a shop's past orders, worked out beside the page. */
export interface CostsWork {
  coster: Remote<Coster>;
  /** Whether they are known; false where another shop came on the way. */
  ready: Promise<boolean>;
  leave: () => void;
}

/** Opens the draft with its past orders; what was opened before is kept while neither has changed. */
export const openCosts = (state: RootState, onProgress: OnCostProgress): CostsWork => {
  const at = desk && isOf(desk, state) ? desk : openDesk(state);
  desk = at;
  at.waiting.add(onProgress);
  return { coster: at.coster, ready: at.ready, leave: () => void at.waiting.delete(onProgress) };
};

/** Ends what is worked out; the next to open begins anew. */
export const stopCosts = (): void => {
  desk?.worker.terminate();
  desk = null;
};
