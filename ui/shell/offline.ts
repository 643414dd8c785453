import { t } from '../../core/translate/translate.ts';
import type { AppStore } from '../state/store.ts';

/**
 * Lets the browser keep the whole program, so that it opens without a network. Only an exported program has
 * a worker for it; where there is none, or the browser refuses, the program works as before. New versions are told
 * until the program is closed.
 */
export const keepOffline = (store: AppStore, closed: AbortSignal): void => {
  if (process.env.NODE_ENV !== 'production' || !('serviceWorker' in navigator)) return;
  import('./versions.ts')
    .then(({ watchVersions }) => watchVersions(store, closed))
    .catch((error: unknown) => console.warn(t('The program is not kept for use without a network:'), error));
};

/** Takes the new version of the program that waits, or has been taken by another tab. */
export const takeNewVersion = async (version: 'waiting' | 'taken'): Promise<void> => {
  if (version === 'taken') window.location.reload();
  else (await import('./versions.ts')).takeVersion();
};
