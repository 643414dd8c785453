import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  expect,
  test as base,
  type BrowserContext,
  type CDPSession,
  type ConsoleMessage,
  type Page,
  type WebError,
} from '@playwright/test';

export { expect, type Locator, type Page } from '@playwright/test';

interface Profile {
  context: BrowserContext;
  /** A page that stays open between the tests, with its line to the browser. */
  devtools: CDPSession;
  /** The page of the tests that only look. */
  lookedAt: Page | null;
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

const isSilent = (noted: readonly string[]): void =>
  expect(noted, 'nothing is written to the console').toEqual([]);

/**
 * Tests of one worker share a browser profile, so that the program's files and their compiled code are read
 * once; before each test all that the program stored is deleted, which is what a fresh machine is. Tests that only
 * look at the program take `lookedAt` in place of `page`: a page that stays open from test to test, with what it
 * stored.
 */
export const test = base.extend<{ lookedAt: Page }, { profile: Profile }>({
  profile: [
    async ({ playwright }, give, { project }) => {
      const { viewport, hasTouch, launchOptions, contextOptions, baseURL, serviceWorkers } = project.use;
      const folder = mkdtempSync(join(tmpdir(), 'emporos-browser-'));
      const context = await playwright.chromium.launchPersistentContext(folder, {
        ...launchOptions,
        ...contextOptions,
        viewport,
        hasTouch,
        baseURL,
        serviceWorkers,
      });
      const page = context.pages()[0] ?? (await context.newPage());
      await give({ context, devtools: await context.newCDPSession(page), lookedAt: null });
      await context.close();
      rmSync(folder, { recursive: true, force: true });
    },
    { scope: 'worker' },
  ],
  context: async ({ profile: { context, devtools }, baseURL }, give) => {
    const [keeper] = context.pages();
    await devtools.send('Storage.clearDataForOrigin', { origin: baseURL ?? '', storageTypes: STORED });
    const noted = consoleOf(context);
    await give(context);
    const written = noted();
    for (const page of context.pages()) if (page !== keeper) await page.close();
    isSilent(written);
  },
  lookedAt: async ({ profile }, give) => {
    const { context, lookedAt } = profile;
    const page = lookedAt && !lookedAt.isClosed() ? lookedAt : await context.newPage();
    profile.lookedAt = page;
    const noted = consoleOf(context);
    await give(page);
    isSilent(noted());
  },
});
