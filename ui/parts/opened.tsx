import { useEffect, useRef, type ReactNode } from 'react';
import { View, type ViewStyle } from 'react-native';
import { isByPerson } from './acts.ts';
import { waitForDrawing } from './waiting.ts';

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

/** Brings a box into view and its first field into focus once there is one; gives how to stop waiting for it. */
const bringUp = (box: HTMLElement): (() => void) => {
  const show = (): void => box.scrollIntoView?.({ block: 'nearest' });
  show();
  if (focusFirst(box)) return () => undefined;
  const waiting = waitForDrawing();
  const watch = new MutationObserver(() => {
    show();
    if (focusFirst(box)) waiting.abort();
  });
  watch.observe(box, { childList: true, subtree: true });
  waiting.signal.addEventListener('abort', () => watch.disconnect());
  return () => waiting.abort();
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
