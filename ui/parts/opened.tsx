import { useEffect, useRef, type ReactNode } from 'react';
import { View, type ViewStyle } from 'react-native';

/** How long what is opened may take to be drawn. */
const PATIENCE_MS = 3_000;

/** Whether the person is in a field elsewhere, as in Find: a form that comes late leaves the focus there. */
const isTypingElsewhere = (box: HTMLElement): boolean => {
  const at = document.activeElement;
  return at !== null && at.matches('input, textarea') && !box.contains(at);
};

/** Whether there is nothing left to do: the first field has the focus, or the person is elsewhere. */
const focusFirst = (box: HTMLElement): boolean => {
  if (isTypingElsewhere(box)) return true;
  const field = box.querySelector<HTMLElement>('input:not([disabled]), textarea:not([disabled])');
  field?.focus({ preventScroll: true });
  // A form that is taller than the page shows its beginning, and its first field.
  field?.scrollIntoView?.({ block: 'nearest' });
  return field !== null;
};

/** A form that opens this long after a press or a key is opened by it, and not by the address of the page. */
const AFTER_MS = 1_500;
let lastPress = Number.NEGATIVE_INFINITY;

const noteAct = (): void => {
  lastPress = performance.now();
};
if (typeof window !== 'undefined' && typeof window.addEventListener === 'function')
  for (const kind of ['pointerdown', 'keydown'] as const) window.addEventListener(kind, noteAct, true);

const isByPerson = (): boolean => performance.now() - lastPress < AFTER_MS;

/** Brings a box into view and its first field into focus once there is one; gives how to stop waiting for it. */
const bringUp = (box: HTMLElement): (() => void) => {
  const show = (): void => box.scrollIntoView({ block: 'nearest' });
  show();
  if (focusFirst(box)) return () => undefined;
  const watch = new MutationObserver(() => {
    show();
    if (focusFirst(box)) watch.disconnect();
  });
  watch.observe(box, { childList: true, subtree: true });
  const timer = setTimeout(() => watch.disconnect(), PATIENCE_MS);
  return () => {
    clearTimeout(timer);
    watch.disconnect();
  };
};

/** A form that somebody opens: it comes into view, and its first field has the focus. */
export const Opened = ({ children, style }: { children: ReactNode; style?: ViewStyle }) => {
  const box = useRef<View>(null);
  useEffect(() => {
    const element = box.current as unknown as HTMLElement | null;
    return element && isByPerson() ? bringUp(element) : undefined;
  }, []);
  return (
    <View ref={box} style={style}>
      {children}
    </View>
  );
};
