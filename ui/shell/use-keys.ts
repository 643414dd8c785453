import { useRouter } from 'expo-router';
import { useLayoutEffect, useRef } from 'react';
import {
  choicesOpened,
  findToggled,
  keysToggled,
  previewOpened,
  testOrderChosen,
  testOrderEditing,
} from '../state/session.ts';
import { t } from '../../core/translate/translate.ts';
import { redone, undone } from '../state/draft.ts';
import { selectPreview, selectTestOrders, selectTestOrder } from '../state/selectors.ts';
import { closeOver } from '../parts/over-step.ts';
import { useSteady } from '../parts/use-steady.ts';
import { useAppStore, type AppStore } from '../state/store.ts';
import { PLACES } from '../page/program-pages.ts';

/** The keys, as the list of keys shows them. */
export const KEYS: readonly [keys: string, does: string][] = [
  ['/', t('find a rule, a product, a place or a setting')],
  [t('Ctrl Z'), t('undo')],
  [t('Ctrl Shift Z'), t('redo')],
  ['t', t('change the test order')],
  [t('[ and ]'), t('walk the test orders')],
  ['w', t('show or hide how every charge adds up')],
  [
    t('g, then {list}', { list: PLACES.map(({ key }) => key).join(', ') }),
    t('go to {list}', { list: PLACES.map(({ name }) => name).join(', ') }),
  ],
  ['?', t('this list')],
  [t('Esc'), t('close what is open')],
];

const isTyping = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName));

/** A table has its own Escape: it goes from the field back to the cell. */
const isInGrid = (target: EventTarget | null): boolean =>
  isTyping(target) && (target as HTMLElement).closest('[role=grid]') !== null;

/** The fields of the preview and of Find have the focus as they open: one Escape closes what they belong to. */
const isInOpened = (target: EventTarget | null): boolean =>
  (target as HTMLElement).closest('[data-testid=preview], [data-testid=find]') !== null;

interface Actions {
  undo: () => void;
  redo: () => void;
  close: () => void;
  letter: (key: string) => boolean;
}

const onKey = (event: KeyboardEvent, letters: boolean, { undo, redo, close, letter }: Actions): void => {
  const isCommand = event.ctrlKey || event.metaKey;
  if (isCommand && event.key.toLowerCase() === 'z') {
    event.preventDefault();
    if (isTyping(event.target)) (event.target as HTMLElement).blur();
    (event.shiftKey ? redo : undo)();
  } else if (event.key === 'Escape') {
    if (isInGrid(event.target)) return;
    const isElsewhere = isTyping(event.target) && !isInOpened(event.target);
    if (isTyping(event.target)) (event.target as HTMLElement).blur();
    if (!isElsewhere) close();
  } else if (letters && !isCommand && !event.altKey && !isTyping(event.target) && letter(event.key)) {
    event.preventDefault();
  }
};

/** Moves to the next or the last test order, round at the ends. */
const walk = ({ getState, dispatch }: AppStore, by: number): void => {
  const testOrders = selectTestOrders(getState());
  const { at, count } = selectTestOrder(getState());
  const next = testOrders[(at + by + count) % count];
  if (next) dispatch(testOrderChosen(next.id));
};

/** Opens how every charge adds up, or closes what is open of it. */
const toggleWorkings = ({ getState, dispatch }: AppStore): void => {
  const preview = selectPreview(getState());
  const ids = preview?.ok ? preview.quote.choices.map(({ id }) => id) : [];
  dispatch(choicesOpened(getState().session.openChoices.length > 0 ? [] : ids));
};

/** What each letter does. The store is asked when a key is pressed, so that the frame is not drawn for every edit. */
const BY_LETTER: Readonly<Record<string, (store: AppStore) => void>> = {
  t: ({ getState, dispatch }) => {
    dispatch(previewOpened(true));
    dispatch(testOrderEditing(!getState().session.editingTestOrder));
  },
  '[': (store) => walk(store, -1),
  ']': (store) => walk(store, 1),
  w: toggleWorkings,
  '?': ({ dispatch }) => dispatch(keysToggled(true)),
  '/': ({ dispatch }) => dispatch(findToggled(true)),
};

/** Closes what was opened last. */
const closeOpened = ({ getState, dispatch }: AppStore): void => {
  const { finding, keysShown, editingTestOrder, previewOpen } = getState().session;
  if (finding) closeOver(() => dispatch(findToggled(false)));
  else if (keysShown) dispatch(keysToggled(false));
  else if (editingTestOrder) dispatch(testOrderEditing(false));
  else if (previewOpen) closeOver(() => dispatch(previewOpened(false)));
};

/** What the keys do, as long as the program is open. */
export const useKeys = (): void => {
  const store = useAppStore();
  const router = useRouter();
  const going = useRef(false);
  const letter = useSteady((key: string): boolean => {
    const place = going.current ? PLACES.find((one) => one.key === key) : undefined;
    going.current = key === 'g' && !place;
    if (place) {
      store.dispatch(previewOpened(false));
      router.navigate(place.path);
    } else BY_LETTER[key]?.(store);
    return place !== undefined || key === 'g' || key in BY_LETTER;
  });
  // Before the page is seen: a key pressed at once counts.
  useLayoutEffect(() => {
    const actions: Actions = {
      undo: () => store.dispatch(undone()),
      redo: () => store.dispatch(redone()),
      close: () => closeOpened(store),
      letter,
    };
    const listen = (event: KeyboardEvent): void => onKey(event, store.getState().session.letterKeys, actions);
    // On the way down: a text field lets no key past it on the way up.
    window.addEventListener('keydown', listen, true);
    return () => window.removeEventListener('keydown', listen, true);
  }, [store, letter]);
};
