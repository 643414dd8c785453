import { chromium, type Browser, type BrowserContext } from '@playwright/test';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import type { PastOrder } from '../core/model/order.ts';
import { demoCatalogue } from '../demo/goods.ts';
import { exportApp } from '../scripts/export.mjs';
import { findChromium } from '../scripts/chromium.mjs';
import { makeServer } from '../server/app.ts';
import {
  draftDocument,
  GOODS,
  goodsDocument,
  keep,
  keyToPreview,
  largeWorkbook,
  manyGoods,
  median,
  missed,
  newContext,
  opened,
  percentile,
  report,
  scrolled,
} from './in-browser.ts';
import { randomRequests } from './large-book.ts';
import { benchSlowPhone } from './slow-phone.ts';

/** What is measured in the browser itself, on the exported app: opening, scrolling, a keystroke, undo. */

const ORDERS = 90_000;
const KEYSTROKES = 24;

/** About so many bytes of past orders, by month. */
const manyOrders = (): Map<string, PastOrder[]> => {
  const skus = demoCatalogue.goods.map((good) => good.sku);
  const months = new Map<string, PastOrder[]>();
  randomRequests(ORDERS, skus).forEach((request, at) => {
    const month = `2026-${String((at % 12) + 1).padStart(2, '0')}`;
    const placedAt = `${month}-${request.placedAt.slice(8)}`;
    const lines = request.lines.map((line) => ({
      ...line,
      name: `Something with a name, ${line.sku}`,
      price: 1_250,
    }));
    const order: PastOrder = {
      number: String(1_000 + at),
      request: { ...request, lines, placedAt },
      chosen: { id: 'parcel-maritimes', kind: 'shipping', name: 'Parcel', charge: 1_730, total: 1_972 },
      status: 'placed',
      history: [{ status: 'placed', at: placedAt }],
      recipient: `Customer number ${at}`,
      sums: { goods: 2_500, taxes: 592, total: 4_822 },
    };
    months.set(month, [...(months.get(month) ?? []), order]);
  });
  return months;
};

/** The time until a page shows its preview, in a browser that has the program's files. */
const openingTime = async (context: BrowserContext, rounds = 7): Promise<number> => {
  const times: number[] = [];
  for (let round = 0; round < rounds; round += 1) {
    const page = await context.newPage();
    const from = performance.now();
    await opened(page, '/charges');
    times.push(performance.now() - from);
    await page.close();
  }
  return median(times);
};

const benchOpening = async (browser: Browser, origin: string): Promise<void> => {
  const plain = await newContext(browser, origin);
  await openingTime(plain, 2);
  const demo = await openingTime(plain);
  await plain.close();
  const full = await newContext(browser, origin);
  const page = await full.newPage();
  await opened(page, '/charges');
  const months = [...manyOrders()].map(([month, orders]): [string, string] => [
    `emporos/orders/${month}`,
    JSON.stringify({ version: 1, orders }),
  ]);
  await keep(page, months);
  await page.close();
  const bytes = months.reduce((sum, [, text]) => sum + text.length, 0);
  await openingTime(full, 2);
  const stored = await openingTime(full);
  await full.close();
  const more = `, ${demo.toFixed(0)} to ${stored.toFixed(0)} ms`;
  report(
    `opening with ${(bytes / 1e6).toFixed(0)} MB stored against the demo`,
    stored / demo,
    2,
    'times',
    more,
  );
};

/** The frames of a scroll through the goods, in milliseconds. */
const benchScroll = async (browser: Browser, origin: string): Promise<void> => {
  const context = await newContext(browser, origin);
  const page = await context.newPage();
  await opened(page, '/charges');
  const { book, testOrders } = largeWorkbook();
  await keep(page, [
    ['emporos/draft', draftDocument(book, testOrders)],
    ['emporos/catalogue', goodsDocument(manyGoods(), book)],
  ]);
  await page.goto('/goods');
  await page
    .getByRole('row', { name: /Lupin seeds/ })
    .first()
    .waitFor();
  await page.waitForTimeout(1_000);
  const frames = await scrolled(page, 400, 90);
  const worst = Math.max(...frames).toFixed(0);
  report(
    `${GOODS} goods scrolled, frame at the 95th percentile`,
    percentile(frames, 0.95),
    50,
    'ms',
    `, worst ${worst}`,
  );
  await context.close();
};

const benchKeystroke = async (browser: Browser, origin: string): Promise<void> => {
  const context = await newContext(browser, origin);
  const page = await context.newPage();
  await opened(page, '/charges');
  const { book, testOrders, path } = largeWorkbook();
  await keep(page, [
    ['emporos/draft', draftDocument(book, testOrders)],
    ['emporos/catalogue', goodsDocument(demoCatalogue, book)],
  ]);
  await opened(page, path);
  const field = page.getByLabel('Free from a subtotal of', { exact: true });
  await page.getByRole('button', { name: 'Limits, handling and more' }).click();
  await field.click();
  await field.press('Control+A');
  await page.keyboard.type('1');
  await page.waitForTimeout(500);
  const keys: number[] = [];
  for (let at = 0; at < KEYSTROKES; at += 1) {
    keys.push(await keyToPreview(page, () => page.keyboard.press(at % 2 === 0 ? 'Backspace' : '1')));
    await page.waitForTimeout(400);
  }
  report('a keystroke in a rate to a changed preview, large book', median(keys), 50, 'ms', ' median');
  const undos: number[] = [];
  await page.getByRole('heading', { level: 1 }).click();
  for (let at = 0; at < 10; at += 1) {
    const key = at % 2 === 0 ? 'Control+z' : 'Control+Shift+z';
    undos.push(await keyToPreview(page, () => page.keyboard.press(key)));
    await page.waitForTimeout(300);
  }
  report('undo and redo to a changed preview, large book', Math.max(...undos), 50, 'ms', ' worst');
  await context.close();
};

const main = async (): Promise<void> => {
  await exportApp();
  const executablePath = await findChromium();
  if (!executablePath) throw new Error('the browser bench needs Chromium');
  const server = makeServer({ webRoot: join(process.cwd(), 'dist') }).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const origin = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const browser = await chromium.launch({
    executablePath,
    args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking'],
  });
  console.log(`\nIn Chromium ${browser.version()}, without a graphics card\n`);
  await benchOpening(browser, origin);
  await benchScroll(browser, origin);
  await benchKeystroke(browser, origin);
  await benchSlowPhone(browser, origin);
  await browser.close();
  server.close();
  if (missed() > 0) process.exitCode = 1;
};

void main();
