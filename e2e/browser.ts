import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import {
  expect,
  test as base,
  type BrowserContext,
  type CDPSession,
  type ConsoleMessage,
  type WebError,
} from '@playwright/test';

export { expect, type Locator, type Page } from '@playwright/test';

interface Profile {
  context: BrowserContext;
  /** A page that stays open between the tests, with its line to the browser. */
  devtools: CDPSession;
}

const NOTED = ['error', 'warning'];
/** What the browser itself notes: a request that a test makes fail, and the service worker that tests keep out. */
const OUTSIDE = /Failed to load resource|Service Worker registration blocked/;

const STORED = 'cookies,indexeddb,local_storage,session_storage,cache_storage,service_workers';

/**
 * Tests of one worker share a browser profile, so that the program's files and their compiled code are read
 * once; before each test all that the program stored is deleted, which is what a fresh machine is.
 */
export const test = base.extend<object, { profile: Profile }>({
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
      await give({ context, devtools: await context.newCDPSession(page) });
      await context.close();
      rmSync(folder, { recursive: true, force: true });
    },
    { scope: 'worker' },
  ],
  context: async ({ profile: { context, devtools }, baseURL }, give) => {
    const [keeper] = context.pages();
    await devtools.send('Storage.clearDataForOrigin', { origin: baseURL ?? '', storageTypes: STORED });
    const noted: string[] = [];
    const listen = (message: ConsoleMessage): void => {
      const words = `${message.type()}: ${message.text()}`;
      if (NOTED.includes(message.type()) && !OUTSIDE.test(words)) noted.push(words);
    };
    const fail = (error: WebError): void => void noted.push(error.error().message);
    context.on('console', listen);
    context.on('weberror', fail);
    await give(context);
    context.off('console', listen);
    context.off('weberror', fail);
    for (const page of context.pages()) if (page !== keeper) await page.close();
    expect(noted, 'nothing is written to the console').toEqual([]);
  },
});
