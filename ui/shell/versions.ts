import { Workbox } from 'workbox-window';
import { newVersion } from '../state/storage-status.ts';
import type { AppStore } from '../state/store.ts';

/** How often a tab that stays open asks for a new version, at most. */
const ASK_AGAIN_MS = 10 * 60_000;

const workbox = new Workbox('/sw.js');
let isTaking = false;

/** Asks for a new version when the tab is looked at again. */
const askAgain = (closed: AbortSignal): void => {
  let asked = performance.now();
  const ask = (): void => {
    if (document.visibilityState !== 'visible' || performance.now() - asked < ASK_AGAIN_MS) return;
    asked = performance.now();
    workbox.update().catch(() => undefined);
  };
  document.addEventListener('visibilitychange', ask, { signal: closed });
};

/**
 * Has the browser keep the program's files, and tells of a new version: one that waits to be taken, or one that another
 * tab has taken, of which this page has none of the files.
 */
export const watchVersions = async (
  { dispatch }: Pick<AppStore, 'dispatch'>,
  closed: AbortSignal,
): Promise<void> => {
  const { serviceWorker } = navigator;
  let isKnown = serviceWorker.controller !== null;
  const follow = (): void => {
    if (isTaking) window.location.reload();
    else if (isKnown) dispatch(newVersion('taken'));
    isKnown = true;
  };
  const tell = (): void => void dispatch(newVersion('waiting'));
  serviceWorker.addEventListener('controllerchange', follow, { signal: closed });
  workbox.addEventListener('waiting', tell);
  closed.addEventListener('abort', () => workbox.removeEventListener('waiting', tell));
  // A browser that keeps workers out gives no registration, and no error either.
  if (!(await serviceWorker.register('/sw.js'))) return;
  await workbox.register();
  askAgain(closed);
};

/** Has the version that waits take over, and loads the page anew with it. */
export const takeVersion = (): void => {
  isTaking = true;
  workbox.messageSkipWaiting();
};
