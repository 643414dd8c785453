import { mkdtempSync, rmSync, statfsSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  expect,
  test as base,
  type BrowserContext,
  type CDPSession,
  type ConsoleMessage,
  type Page,
  type ViewportSize,
  type WebError,
} from '@playwright/test';

export { expect, type Locator, type Page } from '@playwright/test';

interface Profile {
  context: BrowserContext;
  /** A page that stays empty, so that the browser stays open, with its line to the browser. */
  keeper: Page;
  devtools: CDPSession;
  /** The page in which the program stays loaded from test to test. */
  loaded: Page | null;
}

const NOTED = ['error', 'warning'];
/** What the browser itself notes: a request that a test makes fail, and the service worker that tests keep out. */
const OUTSIDE = /Failed to load resource|Service Worker registration blocked/;

const STORED = 'cookies,indexeddb,local_storage,session_storage,cache_storage,service_workers';

/** Notes what is written to the console of a context's pages until it is told to stop; gives what was. */
const consoleOf = (context: BrowserContext): (() => string[]) => {
  const noted: string[] = [];
  const listen = (message: ConsoleMessage): void => {
    const words = `${message.type()}: ${message.text()}`;
    if (NOTED.includes(message.type()) && !OUTSIDE.test(words)) noted.push(words);
  };
  const fail = (error: WebError): void => void noted.push(error.error().message);
  context.on('console', listen);
  context.on('weberror', fail);
  return () => {
    context.off('console', listen);
    context.off('weberror', fail);
    return noted;
  };
};

const MEMORY_DISK = '/dev/shm';
const ROOM_FOR_PROFILE = 500_000_000;

/** Where a browser's profile is kept: in memory where the machine offers room, since each test writes all its data. */
const profileFolder = (): string => {
  try {
    const { bavail, bsize } = statfsSync(MEMORY_DISK);
    if (bavail * bsize > ROOM_FOR_PROFILE) return mkdtempSync(join(MEMORY_DISK, 'emporos-browser-'));
  } catch {
    // No such folder, or it cannot be written to.
  }
  return mkdtempSync(join(tmpdir(), 'emporos-browser-'));
};

const isSilent = (noted: readonly string[]): void =>
  expect(noted, 'nothing is written to the console').toEqual([]);

/** Closes the program in a page and deletes all that it stored; false where the page no longer has it. */
const closedAndEmptied = (page: Page): Promise<boolean> =>
  page.evaluate(async () => {
    const { dataset } = document.documentElement;
    if (dataset['storage'] === undefined) return false;
    window.dispatchEvent(new Event('emporos-close'));
    const until = performance.now() + 5_000;
    while (dataset['storage'] !== 'closed') {
      if (performance.now() > until) return false;
      await new Promise((resolve) => setTimeout(resolve, 5));
    }
    localStorage.clear();
    sessionStorage.clear();
    for (const { name = '' } of await indexedDB.databases()) {
      const opened = indexedDB.open(name);
      await new Promise((resolve) => opened.addEventListener('success', resolve));
      const stores = [...opened.result.objectStoreNames];
      const clearing = opened.result.transaction(stores, 'readwrite');
      for (const store of stores) clearing.objectStore(store).clear();
      await new Promise((resolve) => clearing.addEventListener('complete', resolve));
      opened.result.close();
    }
    return true;
  });

/** A page as no test has touched it. */
const untouched = async (page: Page, viewport: ViewportSize | null) => {
  await page.unrouteAll({ behavior: 'ignoreErrors' });
  page.removeAllListeners();
  if (viewport) await page.setViewportSize(viewport);
  await page.emulateMedia({ colorScheme: 'light', reducedMotion: 'reduce' });
  await page.mouse.move(0, 0);
};

/**
 * Tests of one worker share a browser profile, and, unless they load it themselves (`loadsItself`), a page: the
 * program stays loaded, is closed between two tests, has all that it stored deleted, and is opened again by
 * `openProgram`, which is what a fresh machine sees. A test that fails leaves no page behind.
 */
export const test = base.extend<{ loadsItself: boolean }, { profile: Profile }>({
  loadsItself: [false, { option: true }],
  profile: [
    async ({ playwright }, give, { project }) => {
      const { viewport, hasTouch, launchOptions, contextOptions, baseURL, serviceWorkers } = project.use;
      const folder = profileFolder();
      const context = await playwright.chromium.launchPersistentContext(folder, {
        ...launchOptions,
        ...contextOptions,
        viewport,
        hasTouch,
        baseURL,
        serviceWorkers,
      });
      const keeper = context.pages()[0] ?? (await context.newPage());
      await give({ context, keeper, devtools: await context.newCDPSession(keeper), loaded: null });
      await context.close();
      rmSync(folder, { recursive: true, force: true });
    },
    { scope: 'worker' },
  ],
  context: async ({ profile, baseURL, loadsItself, viewport }, give, info) => {
    const { context, devtools, keeper } = profile;
    const isOpen = !loadsItself && profile.loaded !== null && (await closedAndEmptied(profile.loaded));
    if (!isOpen) {
      await profile.loaded?.close();
      profile.loaded = null;
      await devtools.send('Storage.clearDataForOrigin', { origin: baseURL ?? '', storageTypes: STORED });
    }
    const noted = consoleOf(context);
    await give(context);
    const written = noted();
    const { loaded } = profile;
    const isKept =
      loaded !== null && !loadsItself && !loaded.isClosed() && info.status === info.expectedStatus;
    if (!isKept) profile.loaded = null;
    for (const page of context.pages())
      if (page !== keeper && page !== profile.loaded) await page.close({ runBeforeUnload: false });
    if (profile.loaded) await untouched(profile.loaded, viewport);
    isSilent(written);
  },
  page: async ({ profile, context }, give) => {
    const page = profile.loaded ?? (await context.newPage());
    profile.loaded = page;
    await give(page);
  },
});
