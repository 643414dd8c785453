import { useRouter } from 'expo-router';
import { useLayoutEffect, useRef } from 'react';
import { choicesOpened, keysToggled, slipOpened, trialChosen, trialEditing } from '../state/session.ts';
import { redone, undone } from '../state/draft.ts';
import { selectSlip, selectTrials, selectTrial } from '../state/selectors.ts';
import { useAppDispatch, useAppSelector } from '../state/store.ts';
import { PLACES } from './places.ts';

/** The keys, as the list of keys shows them. */
export const KEYS: readonly [keys: string, does: string][] = [
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'redo'],
  ['t', 'change the test order'],
  ['[ and ]', 'walk the test orders'],
  ['w', 'open or fold every working'],
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

/** The slip's own fields have the focus as it opens: one Escape closes what they belong to. */
const isInSlip = (target: EventTarget | null): boolean =>
  (target as HTMLElement).closest('[data-testid=slip]') !== null;

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
    const isElsewhere = isTyping(event.target) && !isInSlip(event.target);
    if (isTyping(event.target)) (event.target as HTMLElement).blur();
    if (!isElsewhere) close();
  } else if (letters && !isCommand && !event.altKey && !isTyping(event.target) && letter(event.key)) {
    event.preventDefault();
  }
};

/** Moves to the next or the last trial, round at the ends. */
const useWalk = (): ((by: number) => void) => {
  const dispatch = useAppDispatch();
  const trials = useAppSelector(selectTrials);
  const { at, count } = useAppSelector(selectTrial);
  return (by) => {
    const next = trials[(at + by + count) % count];
    if (next) dispatch(trialChosen(next.id));
  };
};

/** What the keys do, as long as the program is open. */
export const useKeys = (): void => {
  const dispatch = useAppDispatch();
  const router = useRouter();
  const walk = useWalk();
  const slip = useAppSelector(selectSlip);
  const session = useAppSelector((state) => state.session);
  const going = useRef(false);
  const latest = useRef<Actions>(null);

  const byLetter: Record<string, () => void> = {
    t: () => {
      dispatch(slipOpened(true));
      dispatch(trialEditing(!session.editingTrial));
    },
    '[': () => walk(-1),
    ']': () => walk(1),
    w: () => {
      const ids = slip?.ok ? slip.quote.choices.map((choice) => choice.id) : [];
      dispatch(choicesOpened(session.openChoices.length > 0 ? [] : ids));
    },
    '?': () => dispatch(keysToggled(true)),
  };
  const letter = (key: string): boolean => {
    const place = going.current ? PLACES.find((one) => one.key === key) : undefined;
    going.current = key === 'g' && !place;
    if (place) {
      dispatch(slipOpened(false));
      router.navigate(place.path);
    } else byLetter[key]?.();
    return place !== undefined || key === 'g' || key in byLetter;
  };
  latest.current = {
    undo: () => dispatch(undone()),
    redo: () => dispatch(redone()),
    close: () => {
      if (session.keysShown) dispatch(keysToggled(false));
      else if (session.editingTrial) dispatch(trialEditing(false));
      else if (session.slipOpen) dispatch(slipOpened(false));
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
