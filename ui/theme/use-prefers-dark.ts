import { useSyncExternalStore } from 'react';

const query = (): MediaQueryList | null =>
  typeof window === 'undefined' ? null : (window.matchMedia?.('(prefers-color-scheme: dark)') ?? null);

const subscribe = (listener: () => void): (() => void) => {
  const asked = query();
  asked?.addEventListener('change', listener);
  return () => asked?.removeEventListener('change', listener);
};

/** Whether the person's system asks for dark colours, followed while the page is open. */
export const usePrefersDark = (): boolean =>
  useSyncExternalStore(
    subscribe,
    () => query()?.matches ?? false,
    () => false,
  );
