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
import { redone, undone } from '../state/draft.ts';
import { selectPreview, selectTestOrders, selectTestOrder } from '../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { PLACES } from './places.ts';

/** The keys, as the list of keys shows them. */
export const KEYS: readonly [keys: string, does: string][] = [
  ['/', 'find a rule, a product, a place or a setting'],
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['t', 'change the test order'],
  ['[ and ]', 'walk the test orders'],
  ['w', 'show or hide how every charge adds up'],
  [
    `g, then ${PLACES.map(({ key }) => key).join(', ')}`,
    `go to ${PLACES.map(({ name }) => name).join(', ')}`,
  ],
  ['?', 'this list'],
  ['Esc', 'close what is open'],
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
const useWalk = (): ((by: number) => void) => {
  const dispatch = useAppDispatch();
  const testOrders = useAppSelector(selectTestOrders);
  const { at, count } = useAppSelector(selectTestOrder);
  return (by) => {
    const next = testOrders[(at + by + count) % count];
    if (next) dispatch(testOrderChosen(next.id));
  };
};

/** What the keys do, as long as the program is open. */
export const useKeys = (): void => {
  const dispatch = useAppDispatch();
  const router = useRouter();
  const walk = useWalk();
  const preview = useAppSelector(selectPreview);
  const session = useAppSelector((state) => state.session);
  const going = useRef(false);
  const latest = useRef<Actions>(null);

  const byLetter: Record<string, () => void> = {
    t: () => {
      dispatch(previewOpened(true));
      dispatch(testOrderEditing(!session.editingTestOrder));
    },
    '[': () => walk(-1),
    ']': () => walk(1),
    w: () => {
      const ids = preview?.ok ? preview.quote.choices.map((choice) => choice.id) : [];
      dispatch(choicesOpened(session.openChoices.length > 0 ? [] : ids));
    },
    '?': () => dispatch(keysToggled(true)),
    '/': () => dispatch(findToggled(true)),
  };
  const letter = (key: string): boolean => {
    const place = going.current ? PLACES.find((one) => one.key === key) : undefined;
    going.current = key === 'g' && !place;
    if (place) {
      dispatch(previewOpened(false));
      router.navigate(place.path);
    } else byLetter[key]?.();
    return place !== undefined || key === 'g' || key in byLetter;
  };
  latest.current = {
    undo: () => dispatch(undone()),
    redo: () => dispatch(redone()),
    close: () => {
      if (session.finding) dispatch(findToggled(false));
      else if (session.keysShown) dispatch(keysToggled(false));
      else if (session.editingTestOrder) dispatch(testOrderEditing(false));
      else if (session.previewOpen) dispatch(previewOpened(false));
    },
    letter,
  };

  const letters = session.letterKeys;
  // Before the page is seen: a key pressed at once counts.
  useLayoutEffect(() => {
    const listen = (event: KeyboardEvent): void => {
      if (latest.current) onKey(event, letters, latest.current);
    };
    // On the way down: a text field lets no key past it on the way up.
    window.addEventListener('keydown', listen, true);
    return () => window.removeEventListener('keydown', listen, true);
  }, [letters]);
};
