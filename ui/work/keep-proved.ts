import type { Remote } from 'comlink';
import type { Book } from '../../core/model/book.ts';
import { selectPastOrders } from '../state/selectors.ts';
import { proofCame, proofOutdated } from '../state/proof.ts';
import type { AppStore, RootState } from '../state/store.ts';
import { listText } from '../state/lists-text.ts';
import type { LongList, Prover, ShopParts } from './prover.ts';

/** Edits that follow each other within this time are proved together. */
const PAUSE_MS = 60;

interface Held {
  book: Book | null;
  catalogue: unknown;
  trials: unknown;
  orders: unknown;
}

const LISTS: readonly LongList[] = ['rateTables', 'postalList'];
const isList = (field: string): field is LongList => LISTS.includes(field as LongList);

/** The fields of a book that are not as they were handed over last; long lists as text. */
const changedFields = (book: Book, before: Book | null): Pick<ShopParts, 'book' | 'lists'> => {
  const changed = Object.entries(book).filter(([field, value]) => value !== before?.[field as keyof Book]);
  const lists = LISTS.filter((list) => book[list] !== before?.[list]);
  return {
    book: Object.fromEntries(changed.filter(([field]) => !isList(field))),
    lists: Object.fromEntries(lists.map((list) => [list, listText(book[list])])),
  };
};

/** What of the shop is not as it was handed over last. */
const changes = (state: RootState, held: Held): ShopParts => {
  const { workbook } = state.draft;
  const orders = selectPastOrders(state);
  return {
    ...(workbook.book === held.book ? {} : changedFields(workbook.book, held.book)),
    ...(workbook.catalogue === held.catalogue ? {} : { catalogue: workbook.catalogue }),
    ...(workbook.trials === held.trials ? {} : { trials: workbook.trials }),
    ...(orders === held.orders ? {} : { orders }),
  };
};

const hasChanged = (state: RootState, held: Held): boolean => {
  const { workbook } = state.draft;
  return (
    workbook.book !== held.book ||
    workbook.catalogue !== held.catalogue ||
    workbook.trials !== held.trials ||
    selectPastOrders(state) !== held.orders
  );
};

/**
 * Has the trials run over the draft after every change, beside the page, and the outcome put into the
 * store. Only what changed is handed over. Gives a function that ends it.
 */
export const keepProved = (store: AppStore, prover: Prover | Remote<Prover>): (() => void) => {
  let held: Held = { book: null, catalogue: null, trials: null, orders: null };
  let timer: ReturnType<typeof setTimeout> | undefined;
  let isBusy = false;
  const run = async (): Promise<void> => {
    const state = store.getState();
    if (isBusy || !hasChanged(state, held)) return;
    isBusy = true;
    const parts = changes(state, held);
    const { workbook } = state.draft;
    held = { ...workbook, orders: selectPastOrders(state) };
    await prover.take(parts);
    const proof = await prover.prove();
    isBusy = false;
    store.dispatch(proofCame(proof));
    later();
  };
  const later = (): void => {
    if (!hasChanged(store.getState(), held)) return;
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
