import type { Browser, BrowserContext, Page } from '@playwright/test';
import type { Book } from '../core/model/book.ts';
import type { PostalRule } from '../core/model/delivery.ts';
import { seeded } from '../core/seeded.ts';
import { demoBook } from '../demo/book.ts';
import { demoCatalogue } from '../demo/goods.ts';
import {
  draftDocument,
  GOODS,
  goodsDocument,
  keep,
  keyToPreview,
  largeWorkbook,
  manyGoods,
  newContext,
  percentile,
  report,
  scrolled,
} from './in-browser.ts';
import { postalCode } from './large-book.ts';

/** What is measured on the phone's size with the processor slowed four times, and what an hour of editing leaves in memory. */

const PHONE = { width: 390, height: 844 };
const SLOWED = 4;
const CODES = 20_000;
const KEYSTROKES = 40;
/** The edits of an hour: as many as somebody makes who never stops typing. */
const EDITS = 10_000;
const MEGABYTE = 1_048_576;

const slowed = async (page: Page): Promise<void> => {
  const devtools = await page.context().newCDPSession(page);
  await devtools.send('Emulation.setCPUThrottlingRate', { rate: SLOWED });
};

const pageOf = async (
  browser: Browser,
  origin: string,
  documents: [string, string][] = [],
): Promise<Page> => {
  const context = await newContext(browser, origin, PHONE);
  const page = await context.newPage();
  await page.goto('/charges');
  await page.getByTestId('preview-strip').waitFor();
  if (documents.length > 0) await keep(page, documents);
  return page;
};

/** Opens a rate with its limits and writes a figure into the threshold from which it is free. */
const rateField = async (page: Page, path: string): Promise<void> => {
  await page.goto(path);
  await page.getByRole('button', { name: 'Limits, handling and more' }).click();
  const field = page.getByLabel('Free from a subtotal of', { exact: true });
  await field.click();
  await field.press('Control+A');
  await page.keyboard.type('1');
  await page.waitForTimeout(1_500);
};

const DEMO_RATE = '/charges?zone=maritimes&service=parcel';

/** The phone shows the preview as a strip; its text is what changes. */
const benchKeys = async (
  browser: Browser,
  origin: string,
  name: string,
  path: string,
  most: number,
  documents: [string, string][] = [],
): Promise<void> => {
  const page = await pageOf(browser, origin, documents);
  await rateField(page, path);
  await slowed(page);
  const keys: number[] = [];
  for (let at = 0; at < KEYSTROKES; at += 1) {
    const press = (): Promise<void> => page.keyboard.press(at % 2 === 0 ? 'Backspace' : '1');
    keys.push(await keyToPreview(page, press, 'preview-strip'));
    await page.waitForTimeout(500);
  }
  report(
    `a keystroke to a changed preview at ${SLOWED} x, ${name}`,
    percentile(keys, 0.95),
    most,
    'ms',
    ' at the 95th',
  );
  const undos: number[] = [];
  await page.getByRole('heading', { level: 1 }).click();
  for (let at = 0; at < 12; at += 1) {
    const press = (): Promise<void> => page.keyboard.press(at % 2 === 0 ? 'Control+z' : 'Control+Shift+z');
    undos.push(await keyToPreview(page, press, 'preview-strip'));
    await page.waitForTimeout(500);
  }
  report(
    `undo to a changed preview at ${SLOWED} x, ${name}`,
    percentile(undos, 0.95),
    most,
    'ms',
    ' at the 95th',
  );
  await page.context().close();
};

const manyCodes = (): PostalRule[] => {
  const random = seeded(5);
  return Array.from({ length: CODES }, () => ({
    country: 'CA',
    pattern: postalCode(random),
    served: random() < 0.9,
    cashOnDelivery: random() < 0.5,
  }));
};

const benchScrolls = async (browser: Browser, origin: string): Promise<void> => {
  const book: Book = { ...demoBook, postalList: manyCodes() };
  const page = await pageOf(browser, origin, [
    ['emporos/draft', draftDocument(book, [])],
    ['emporos/catalogue', goodsDocument(manyGoods(), book)],
  ]);
  for (const [name, path, ready] of [
    [`${GOODS} products`, '/goods', 'Lupin seeds'],
    [`${CODES} postal codes`, '/reach?part=postal', 'cash on delivery'],
  ] as const) {
    await page.goto(path);
    await page.getByText(ready).first().waitFor();
    await page.waitForTimeout(2_500);
    await slowed(page);
    const frames = await scrolled(page, 300, 60);
    const middle = percentile([...frames], 0.95).toFixed(0);
    report(
      `${name} scrolled at ${SLOWED} x, the longest frame`,
      Math.max(...frames),
      50,
      'ms',
      `, 95th ${middle}`,
    );
  }
  await page.context().close();
};

/** Frames a second while a map is zoomed and moved by keys. */
const benchMaps = async (browser: Browser, origin: string): Promise<void> => {
  const page = await pageOf(browser, origin);
  await page.goto('/reach');
  const map = page.getByRole('img', { name: /^The world by zones/ });
  await map.waitFor();
  await page.waitForTimeout(2_000);
  await slowed(page);
  await map.focus();
  const frames = page.evaluate(async () => {
    const from = performance.now();
    let count = 0;
    while (performance.now() - from < 3_000) {
      await new Promise((resolve) => requestAnimationFrame(resolve));
      count += 1;
    }
    return count / 3;
  });
  const end = Date.now() + 3_000;
  for (let at = 0; Date.now() < end; at += 1) {
    await page.keyboard.press(['+', 'ArrowRight', 'ArrowDown', '-'][at % 4] ?? '+');
    await page.waitForTimeout(40);
  }
  const fps = await frames;
  report(
    `the world moved and zoomed at ${SLOWED} x, a frame`,
    1_000 / fps,
    1_000 / 30,
    'ms',
    ` (${fps.toFixed(0)} a second)`,
  );
  await page.context().close();
};

const heapOf = async (context: BrowserContext, page: Page): Promise<number> => {
  const devtools = await context.newCDPSession(page);
  await devtools.send('HeapProfiler.collectGarbage');
  const { usedSize } = await devtools.send('Runtime.getHeapUsage');
  await devtools.detach();
  return usedSize / MEGABYTE;
};

/** What an hour of editing leaves behind, against what is in use after its first twentieth. */
const benchMemory = async (browser: Browser, origin: string): Promise<void> => {
  const page = await pageOf(browser, origin);
  await rateField(page, DEMO_RATE);
  const edit = async (count: number): Promise<number> => {
    for (let at = 0; at < count; at += 1) await page.keyboard.press(at % 2 === 0 ? 'Backspace' : '1');
    await page.waitForTimeout(3_000);
    return heapOf(page.context(), page);
  };
  const first = await edit(EDITS / 20);
  const last = await edit(EDITS - EDITS / 20);
  report(
    `${EDITS} edits, what they leave in memory`,
    last - first,
    3,
    'MB',
    `, ${first.toFixed(1)} to ${last.toFixed(1)}`,
  );
  await page.context().close();
};

/** Everything on the phone's size, one after the other. */
export const benchSlowPhone = async (browser: Browser, origin: string): Promise<void> => {
  await benchKeys(browser, origin, 'demo', DEMO_RATE, 50);
  const { book, testOrders, path } = largeWorkbook();
  await benchKeys(browser, origin, 'large book', path, 100, [
    ['emporos/draft', draftDocument(book, testOrders)],
    ['emporos/catalogue', goodsDocument(demoCatalogue, book)],
  ]);
  await benchScrolls(browser, origin);
  await benchMaps(browser, origin);
  await benchMemory(browser, origin);
};
