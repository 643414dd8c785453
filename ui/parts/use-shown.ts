import { useEffect, useRef } from 'react';
import type { View } from 'react-native';

/** A ref for what an address opened: it is scrolled to, once, when it opens. */
export const useShown = (isOpen: boolean): React.RefObject<View | null> => {
  const ref = useRef<View>(null);
  useEffect(() => {
    // On the web a view is its element.
    const element = ref.current as unknown as Partial<Element> | null;
    if (isOpen) element?.scrollIntoView?.({ block: 'nearest' });
  }, [isOpen]);
  return ref;
};
