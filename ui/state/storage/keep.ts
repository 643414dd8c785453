import { keeping, keepingFailed, kept } from '../storage-status.ts';
import type { AppStore } from '../store.ts';
import { KEYS, writeGoods, writeDraft, writeSession } from './documents.ts';
import { makeWriter, type Shelf, type Writer } from './writer.ts';

/** Keeps the store's documents on a shelf as they change, and says in the store whether that works. */
export const keepStore = (store: AppStore, shelf: Shelf): Writer => {
  const writer = makeWriter(shelf, {
    began: () => store.dispatch(keeping()),
    kept: () => store.dispatch(kept()),
    failed: (reason) => store.dispatch(keepingFailed(reason)),
  });
  let last = store.getState();
  /** A draft is kept with the catalogue it names: the demo's too, once the draft is no longer the demo's. */
  let goodsKept = false;
  store.subscribe(() => {
    const state = store.getState();
    const before = last;
    last = state;
    const isEdited = state.draft.revision !== before.draft.revision;
    if (state.draft.goodsStamp !== before.draft.goodsStamp || (isEdited && !goodsKept)) {
      goodsKept = true;
      writer.ask(KEYS.catalogue, () => writeGoods(store.getState().draft));
    }
    if (isEdited) writer.ask(KEYS.draft, () => writeDraft(store.getState().draft));
    const isNew = (['trialId', 'colours', 'letterKeys'] as const).some(
      (field) => state.session[field] !== before.session[field],
    );
    if (isNew) writer.ask(KEYS.session, () => writeSession(store.getState().session));
  });
  return writer;
};
