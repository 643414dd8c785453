import { useSyncExternalStore } from 'react';

/** Whether a media query holds, and who is told when that changes; unknown queries never hold. */
const watched = (text: string) => {
  const query = (): MediaQueryList | null =>
    typeof window === 'undefined' ? null : (window.matchMedia?.(text) ?? null);
  return {
    holds: () => query()?.matches ?? false,
    subscribe: (listener: () => void): (() => void) => {
      const asked = query();
      asked?.addEventListener('change', listener);
      return () => asked?.removeEventListener('change', listener);
    },
  };
};

const DARK = watched('(prefers-color-scheme: dark)');
const PRINT = watched('print');
const never = (): boolean => false;

/** Whether the person's system asks for dark colours, followed while the page is open. */
export const usePrefersDark = (): boolean => useSyncExternalStore(DARK.subscribe, DARK.holds, never);

/** Whether the page is being printed: on paper the light colours are used. */
export const useIsPrinting = (): boolean => useSyncExternalStore(PRINT.subscribe, PRINT.holds, never);
